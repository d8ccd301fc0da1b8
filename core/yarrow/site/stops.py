"""Pull points: where every branch, place and planned building has one, and the fewest that the ways
between them need besides."""

from __future__ import annotations

import math
from bisect import bisect_left, bisect_right
from collections.abc import Iterator, Sequence
from itertools import accumulate, pairwise

from yarrow.catalog.ducts import duct_figures
from yarrow.measure import ieee
from yarrow.site.network import Chain, TrenchNetwork, length_m
from yarrow.site.site import DuctSite, PlanPoint, PullRules
from yarrow.values import dataclass, replace

_HALVINGS = 30
_EXACT = 1e-9


@dataclass(frozen=True, slots=True)
class DuctBend:
    """A bend of the ducts: how far along it lies, m, its degrees, and where on the plan."""

    along: float
    degrees: float
    at: PlanPoint


@dataclass(frozen=True, slots=True)
class DuctWay:
    """A chain as its ducts go: the rise at either end, m, and the whole of it with both; its bends
    in order, with ``places``, where each is, and how far it has ``turned`` before each; where a
    pull point may stand, from and to, in order."""

    chain: Chain
    rises: tuple[float, float]
    whole: float
    bends: tuple[DuctBend, ...]
    may_stand: tuple[tuple[float, float], ...]
    places: tuple[float, ...]
    turned: tuple[float, ...]

    def degrees(self, begins: float, ends: float) -> float:
        """What it turns strictly between two places: a pull point at a bend takes that bend.

        Args:
            begins: metres along it.
            ends: likewise.

        Returns:
            Degrees.
        """
        first, beyond = self._between(begins, ends)
        return self.turned[beyond] - self.turned[first]

    def bends_between(self, begins: float, ends: float) -> tuple[DuctBend, ...]:
        """The bends that it turns by there, each as far along as it is from the first place.

        Args:
            begins: metres along it.
            ends: likewise.
        """
        first, beyond = self._between(begins, ends)
        return tuple(replace(bend, along=bend.along - begins) for bend in self.bends[first:beyond])

    def _between(self, begins: float, ends: float) -> tuple[int, int]:
        first = bisect_right(self.places, begins + _EXACT)
        return first, max(bisect_left(self.places, ends - _EXACT), first)


@dataclass(frozen=True, slots=True)
class OneLess:
    """Why one pull point less does not do: with all of the others as far along as they can be, this
    is what is left of the way, m and degrees, and how long that may be."""

    length: float
    degrees: float
    longest: float


@dataclass(frozen=True, slots=True)
class PullPointsOfWay:
    """The pull points that a way needs between its ends, m along it; ``why``, where there is one;
    ``kept``: every stretch keeps within its limit. It may not, where none may stand."""

    places: tuple[float, ...]
    kept: bool
    why: OneLess | None


def way_of(site: DuctSite, network: TrenchNetwork, chain: Chain) -> DuctWay:
    """The ducts of a chain, with their rises into the buildings at its ends.

    Args:
        site: as it was told.
        network: of its trenches.
        chain: of that.
    """
    figures = duct_figures()
    foot, long = [0.0, 0.0], length_m(chain.line)
    floors = [0, 0]
    for side in (0, 1):
        node = network.nodes[chain.ends[side]]
        place = site.places[node.place] if node.place is not None else None
        if place and place.kind.rises:
            trench = site.trenches[chain.trenches[-side]]
            floors[side] = place.floor
            foot[side] = trench.cover_mm / 1000 + place.floor * figures.storey_m
    whole = foot[0] + long + foot[1]
    bends = [
        *_rising(foot[0], floors[0], foot[0], chain.line[0], 0.0),
        *(DuctBend(foot[0] + bend.along, bend.degrees, bend.at) for bend in _turns(chain.line)),
        *reversed(list(_rising(foot[1], floors[1], whole - foot[1], chain.line[-1], whole))),
    ]
    return DuctWay(
        chain,
        (foot[0], foot[1]),
        whole,
        tuple(bends),
        tuple(_may_stand(site, chain, foot, whole)),
        tuple(bend.along for bend in bends),
        tuple(accumulate((bend.degrees for bend in bends), initial=0.0)),
    )


def _rising(rise: float, floor: int, foot: float, at: PlanPoint, top: float) -> Iterator[DuctBend]:
    """The turn up at a building's wall, and, above its ground floor, the turn in at the top."""
    if rise:
        if floor:
            yield DuctBend(top + math.copysign(min(rise / 2, 0.001), foot - top), 90.0, at)
        yield DuctBend(foot, 90.0, at)


def _turns(line: Sequence[PlanPoint]) -> Iterator[DuctBend]:
    segments = list(pairwise(line))
    far_of = accumulate(math.dist(*segment) for segment in segments[:-1])
    for (one, other), far in zip(pairwise(segments), far_of, strict=True):
        turn = turn_between(one, other)
        if turn > duct_figures().least_shown_degrees:
            yield DuctBend(far, turn, other[0])


def turn_between(one: tuple[PlanPoint, PlanPoint], other: tuple[PlanPoint, PlanPoint]) -> float:
    """How far a way turns from a straight part of it to the next, degrees.

    Args:
        one: both ends of the first, in the direction of travel.
        other: of the next.

    Returns:
        Degrees, 0 to 180.
    """
    ways = [ieee.atan2(ends[1] - begins[1], ends[0] - begins[0]) for begins, ends in (one, other)]
    return abs(math.degrees(math.remainder(ways[1] - ways[0], math.tau)))


def _may_stand(
    site: DuctSite, chain: Chain, rises: Sequence[float], whole: float
) -> Iterator[tuple[float, float]]:
    """Everywhere but in a road and close to a building."""
    clear = [rise + duct_figures().clear_m if rise else 0.0 for rise in rises]
    begins, stands = rises[0], None
    last = whole - clear[1]
    for trench, segment in zip(chain.trenches, pairwise(chain.line), strict=True):
        ends = begins + math.dist(*segment)
        if site.trenches[trench].surface == "road":
            if stands is not None and begins > stands:
                yield stands, min(begins, last)
            stands = None
        elif stands is None:
            stands = max(begins, clear[0])
        begins = ends
        if begins > last:
            break
    if stands is not None and last > stands:
        yield stands, last


def fewest_between(way: DuctWay, rules: PullRules) -> PullPointsOfWay:
    """The fewest pull points between the ends of a way, shared out so that the fullest stretch is
    as empty as it can be.

    A part of a stretch that keeps within its limit keeps within it too. So who goes as far as a
    stretch may reach, again and again, is never behind anyone who sets points otherwise: no fewer
    can do.

    Args:
        way: from one place to the next.
        rules: of pulling.
    """
    far, kept = _as_far_as_can_be(way, rules, 1.0)
    if not far:
        return PullPointsOfWay((), kept, None)
    last = far[-2] if len(far) > 1 else 0.0
    turned = way.degrees(last, way.whole)
    why = OneLess(way.whole - last, turned, max(rules.longest(turned), 0.0))
    if not kept:
        return PullPointsOfWay(tuple(far), False, why)
    low, high = 0.0, 1.0
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        tried, keeps = _as_far_as_can_be(way, rules, middle, len(far))
        low, high = (low, middle) if keeps and len(tried) <= len(far) else (middle, high)
    even, _ = _as_far_as_can_be(way, rules, high)
    return PullPointsOfWay(_whole_metres(way, rules, even), True, why)


def _as_far_as_can_be(
    way: DuctWay, rules: PullRules, share: float, most: int | None = None
) -> tuple[list[float], bool]:
    """Pull points each as far along as it can be, and whether all stretches keep within a share of
    their limit. Args: most, when more are found it is given up."""
    result: list[float] = []
    at, kept = 0.0, True
    while (reach := _furthest_reach(way, rules, share, at)) < way.whole - _EXACT:
        stands = [
            min(reach, ends) for begins, ends in way.may_stand if begins <= reach and ends > at
        ]
        if not stands or stands[-1] <= at + _EXACT:
            kept = False
            stands = [begins for begins, _ in way.may_stand if begins > at + _EXACT][:1]
            if not stands:
                break
        at = stands[-1]
        result.append(at)
        if most is not None and len(result) > most:
            break
    return result, kept


def _furthest_reach(way: DuctWay, rules: PullRules, share: float, begins: float) -> float:
    """How far a stretch may go from a place, m along the way."""
    turned = 0.0
    for number in range(bisect_right(way.places, begins + _EXACT), len(way.bends)):
        bend = way.bends[number]
        furthest = begins + share * rules.longest(turned)
        if furthest < bend.along - _EXACT:
            return furthest
        if rules.use(bend.along - begins, turned + bend.degrees) > share + _EXACT:
            return bend.along
        turned += bend.degrees
    return min(begins + share * rules.longest(turned), way.whole)


def _whole_metres(way: DuctWay, rules: PullRules, places: Sequence[float]) -> tuple[float, ...]:
    """The same, each on a whole metre of trench where that keeps within the limits too."""
    result = list(places)
    for number, at in enumerate(result):
        metre = way.rises[0] + round(at - way.rises[0])
        before = result[number - 1] if number else 0.0
        after = result[number + 1] if number + 1 < len(result) else way.whole
        keeps = all(
            rules.use(ends - begins, way.degrees(begins, ends)) <= 1 + _EXACT
            for begins, ends in ((before, metre), (metre, after))
        )
        at_bend = any(abs(bend.along - at) < 1e-6 for bend in way.bends)
        if keeps and not at_bend and any(low <= metre <= high for low, high in way.may_stand):
            result[number] = metre
    return tuple(result)
