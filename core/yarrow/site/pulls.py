"""What pulling a cable takes, along its true way and from either end."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator, Sequence
from itertools import pairwise

from yarrow.catalog.ducts import duct_figures
from yarrow.catalog.limits import limits
from yarrow.fill.pull import Pull, Stretch, pull_both_ways
from yarrow.site.graph import StretchSequence, walked
from yarrow.site.site import CableNeed
from yarrow.site.stops import turn_between
from yarrow.site.stretches import DuctStretch
from yarrow.values import dataclass

_GRAVITY = 9.81
"""N a kilogram."""

_UP_AND_DOWN = 180.0
"""What a cable turns in a building that it only passes through: it comes up and goes down again."""


@dataclass(frozen=True, slots=True)
class CablePull:
    """A need's cables pulled one at a time: in one go along their way, and the hardest of its
    stretches, by what it takes of its limits, where they are pulled stretch by stretch."""

    at_once: Pull
    hardest: int
    by_stretch: Pull


class Pulls:
    """The pulls through a site's stretches; what each stretch takes is worked out once for cables
    that are alike."""

    def __init__(
        self,
        stretches: Sequence[DuctStretch],
        radii: Sequence[float],
        eased: Collection[int] = (),
    ) -> None:
        """
        Args:
            stretches: of the site.
            radii: of the sweeps of each, m.
            eased: stops with a sheave, or a person who feeds.
        """
        self._stretches = stretches
        self._radii = radii
        self._eased = eased
        self._parts: dict[tuple[int, bool], tuple[Stretch, ...]] = {}
        self._pulled: dict[tuple[int, bool, float, float], Pull] = {}
        self._known: dict[tuple[StretchSequence, int, float, float], CablePull] = {}

    def of(self, need: CableNeed, way: StretchSequence) -> CablePull:
        """A need's pulls along a way from its first end.

        Args:
            need: its cables.
            way: that they go, of at least one stretch.

        Source:
            docs/ducts.md; the equations of fill/pull.py.
        """
        key = way, need.start, need.mass, need.most_tension
        if key not in self._known:
            self._known[key] = self._along(need, way)
        return self._known[key]

    def _along(self, need: CableNeed, way: StretchSequence) -> CablePull:
        together: list[Stretch] = []
        whole = 0.0
        hardest: tuple[int, Pull] | None = None
        before: tuple[int, bool] | None = None
        for at, _, number in walked(way, self._stretches, need.start):
            forth = self._stretches[number].ends[0] == at
            if before is not None and at not in self._eased:
                together += self._corner(before, (number, forth), whole, len(together))
            before = number, forth
            parts = self._parts_on(number, forth)
            together += [_moved_on(part, whole) for part in parts]
            whole += parts[-1].ends
            pull = self._by_itself(need, number, forth)
            if hardest is None or _of_its_limits(pull) > _of_its_limits(hardest[1]):
                hardest = number, pull
        if hardest is None:
            raise ValueError("a way of no stretch")
        return CablePull(_pull_of(need, together), *hardest)

    def _corner(
        self, before: tuple[int, bool], after: tuple[int, bool], at: float, bend: int
    ) -> Iterator[Stretch]:
        """What a cable that is pulled on past a pull point turns there, over the tighter of the
        sweeps that meet in it."""
        (came, came_forth), (goes, goes_forth) = before, after
        one, other = self._stretches[came], self._stretches[goes]
        degrees = _UP_AND_DOWN
        # Both come to the same place: into a building either goes up.
        if not one.rises[1 if came_forth else 0]:
            arriving = one.line if came_forth else one.line[::-1]
            leaving = other.line if goes_forth else other.line[::-1]
            if min(len(arriving), len(leaving)) < 2:
                return
            degrees = turn_between((arriving[-2], arriving[-1]), (leaving[0], leaving[1]))
        if degrees >= duct_figures().least_shown_degrees:
            radius = min(self._radii[came], self._radii[goes])
            yield Stretch(at, at, 0.0, degrees, radius, bend)

    def _parts_on(self, number: int, forth: bool) -> tuple[Stretch, ...]:
        key = number, forth
        if key not in self._parts:
            parts = _straights_and_bends(self._stretches[number], forth, self._radii[number])
            self._parts[key] = tuple(parts)
        return self._parts[key]

    def _by_itself(self, need: CableNeed, number: int, forth: bool) -> Pull:
        key = number, forth, need.mass, need.most_tension
        if key not in self._pulled:
            self._pulled[key] = _pull_of(need, self._parts_on(number, forth))
        return self._pulled[key]


def _of_its_limits(pull: Pull) -> float:
    """What a pull takes of its limits, 1 is all."""
    one = pull.easier
    limit = pull.tension_limit or math.inf
    return max(one.most_tension / limit, one.most_side_wall / pull.side_wall_limit)


def _pull_of(need: CableNeed, parts: Sequence[Stretch]) -> Pull:
    friction = limits().pulling.friction
    most_pressed = duct_figures().most_side_wall_n_m
    return pull_both_ways(parts, need.mass * _GRAVITY, friction, need.most_tension, most_pressed)


def _moved_on(part: Stretch, by: float) -> Stretch:
    return Stretch(
        part.begins + by, part.ends + by, part.rise, part.degrees, part.radius, part.bend
    )


def _straights_and_bends(stretch: DuctStretch, forth: bool, radius: float) -> Iterator[Stretch]:
    """Straights and bends as a cable meets them. Rises go up at both ends, away from the trench."""
    rises = stretch.rises if forth else stretch.rises[::-1]
    bends = [(bend.along, bend.degrees) for bend in stretch.bends]
    if not forth:
        bends = [(stretch.length - along, degrees) for along, degrees in reversed(bends)]
    top = stretch.length - rises[1]
    at = 0.0

    def straight(begins: float, ends: float) -> Iterator[Stretch]:
        edges = [begins, *(rise for rise in (rises[0], top) if begins < rise < ends), ends]
        for one, other in pairwise(edges):
            middle = (one + other) / 2
            rise = -1.0 if middle < rises[0] else 1.0 if middle > top else 0.0
            yield Stretch(one, other, rise)

    for number, (along, degrees) in enumerate(bends):
        yield from straight(at, along)
        yield Stretch(along, along, 0.0, degrees, radius, number)
        at = along
    yield from straight(at, stretch.length)
