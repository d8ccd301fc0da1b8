"""Orders: in which sequence the bends of a piece can be made, and what each costs in handling."""

from __future__ import annotations

import itertools
import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Literal

from yarrow.bend_simulation.collisions import TOOL, Collision, find_collisions
from yarrow.benders.bender import Bender, Hook
from yarrow.benders.placing import Placing, habit, in_group, place
from yarrow.catalog.tables import Stance
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure.units import Unit
from yarrow.role import Role, groups

SAME_PLANE = 0.05
"""Degrees of roll that no one can set on a pipe."""

_TURN, _FLIP, _UNUSUAL, _WALK_ROUND = 1, 3, 2, 2
"""What it costs to turn the pipe about itself, to carry it round end for end, to hook it another
way than the habit, and to go on from its other end: in turns of the pipe."""

_MOST_FROM_BOTH = 8
"""Bends, a saddle's three as one, up to which orders from both ends are tried: so many more would
not be answered at once."""

HOOKS: tuple[Hook, ...] = ("start", "end")

OrderName = Literal["from the start", "from the end", "from both ends", "as marked"]


@dataclass(frozen=True, slots=True)
class Handled:
    """One bend of an order: the placing of the bender, by how much its plane is rolled from that of
    the bend made last (degrees), and what the half-bent pipe meets."""

    bend: int
    placing: Placing
    rolled: float
    collisions: tuple[Collision, ...]

    @property
    def blocked(self) -> bool:
        """Whether the tool itself is met, which no block helps against."""
        return any(strike.what in TOOL for strike in self.collisions)

    @property
    def low(self) -> float:
        """What has to be put under the bender: the worst of floor and bench; 0 where nothing."""
        return max((s.by for s in self.collisions if s.what in ("floor", "bench")), default=0.0)


Cost = tuple[int, int, int, int, float]
"""Bends without room, bends that meet the tool, bends that want blocks, effort in turns, and the
height of all blocks: gravest first."""


@dataclass(frozen=True, slots=True)
class Order:
    """A sequence of bends: ``turns`` of the pipe about itself, ``flips`` end for end; ``blocks``,
    how high the bender has to stand so that nothing is met below it."""

    name: OrderName
    bends: tuple[Handled, ...]
    cost: Cost

    @property
    def turns(self) -> int:
        """How often the pipe is turned about itself."""
        return sum(abs(each.rolled) > SAME_PLANE for each in self.bends)

    @property
    def flips(self) -> int:
        """How often the pipe is carried round, end for end."""
        hooks = [each.placing.hook for each in self.bends]
        return sum(one != other for one, other in itertools.pairwise(hooks))

    @property
    def blocks(self) -> float:
        """The highest that the bender has to be put up; 0 where nothing is met below."""
        return max((each.low for each in self.bends), default=0.0)

    @property
    def works(self) -> bool:
        """Whether the bender has room at every bend and the tool is not met."""
        return self.cost[:2] == (0, 0)


def orders(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[Role],
    stance: Stance,
    unit: Unit,
    *,
    both_ends: bool = True,
) -> tuple[Order, ...]:
    """The best order from either end, best first; where neither works, the best of those that begin
    at one end and finish from the other too, unless the piece has too many bends to try them all.

    For each sequence the hook's direction at every bend is searched: costs add up, so the cheapest
    way to each bend and hook is kept, and no more. A saddle's centre comes before its outers.

    Args: bender and stance, where it is worked; pipe, with the part that each of its bends has in
    ``roles``; unit, of its lengths; both_ends, whether orders from both ends are tried where
    neither end alone works.
    Source: docs/geometry.md, orders.
    """
    if not pipe.bends:
        return ()
    search = _Search(bender, pipe, tuple(roles), stance, unit)
    parts = groups(roles)
    found = [
        search.best("from the start", tuple((g, HOOKS[0]) for g in parts)),
        search.best("from the end", tuple((g, HOOKS[1]) for g in reversed(parts))),
    ]
    few = both_ends and 2 < len(parts) <= _MOST_FROM_BOTH
    if few and not any(order.works for order in found):
        halves = (search.best("from both ends", each) for each in _from_both_ends(parts))
        found.append(min(halves, key=lambda each: each.cost))
    return tuple(sorted(found, key=lambda each: each.cost))


def as_said(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[Role],
    sequence: Sequence[int],
    placings: Sequence[Placing],
    stance: Stance,
    unit: Unit,
) -> Order:
    """An order that is not searched for but given, with what it meets and costs.

    Args: sequence, the bends in the order they are made, and placings, of each along the pipe; the
    others as for orders.
    """
    search = _Search(bender, pipe, tuple(roles), stance, unit)
    parts = tuple(((bend,), HOOKS[0]) for bend in sequence)
    return search.best("as marked", parts, {bend: placings[bend].hook for bend in sequence})


Sequenced = tuple[tuple[tuple[int, ...], Hook], ...]
"""Groups of bends in the order they are made, each with the end that one comes from."""


def _from_both_ends(parts: Sequence[tuple[int, ...]]) -> Iterator[Sequenced]:
    """Some groups from one end, the rest from the other, with the last one in the middle."""
    count = len(parts)
    for first in range(1, count - 1):
        forward = tuple((g, HOOKS[0]) for g in parts[:first])
        yield forward + tuple((g, HOOKS[1]) for g in reversed(parts[first:]))
        backward = tuple((g, HOOKS[1]) for g in reversed(parts[count - first :]))
        yield backward + tuple((g, HOOKS[0]) for g in parts[: count - first])


@dataclass(slots=True)
class _Search:
    """The cheapest hooks for sequences of one piece's bends; what was simulated is remembered."""

    bender: Bender
    pipe: StraightPipe
    roles: tuple[Role, ...]
    stance: Stance
    unit: Unit
    known: dict[tuple[frozenset[int], int, Hook], tuple[Placing, tuple[Collision, ...]]] = field(
        default_factory=dict
    )

    def best(
        self, name: OrderName, sequence: Sequenced, hooks: Mapping[int, Hook] | None = None
    ) -> Order:
        """The order of that sequence with the cheapest hooks, or with those that are given."""
        made: frozenset[int] = frozenset()
        last = side_before = None
        ways: dict[Hook, tuple[Cost, tuple[Handled, ...]]] = {}
        for group, side in sequence:
            for bend in in_group(group, side):
                roll = 0.0 if last is None else roll_between(self.pipe, last, bend)
                walked = _WALK_ROUND if side_before not in (None, side) else 0
                usual = habit(self.bender, self.pipe, self.roles, bend, side)
                turn = (_TURN if abs(roll) > SAME_PLANE else 0) + walked
                reached: dict[Hook, tuple[Cost, tuple[Handled, ...]]] = {}
                for hook in (hooks[bend],) if hooks else HOOKS:
                    placing, met = self._simulated(made, bend, hook)
                    handled = Handled(bend, placing, roll, met)
                    effort = turn + (_UNUSUAL if hook != usual else 0)
                    here = _cost(handled, effort)
                    options = [
                        (_sum(cost, here, _FLIP if before != hook else 0), way)
                        for before, (cost, way) in ways.items()
                    ]
                    cost, way = min(options, key=lambda o: o[0]) if options else (here, ())
                    reached[hook] = (cost, (*way, handled))
                ways, last, side_before = reached, bend, side
                made |= {bend}
        cost, way = min(ways.values(), key=lambda each: each[0])
        return Order(name, way, cost)

    def _simulated(
        self, made: frozenset[int], bend: int, hook: Hook
    ) -> tuple[Placing, tuple[Collision, ...]]:
        key = (made, bend, hook)
        if key not in self.known:
            placing = place(self.bender, self.pipe, self.roles, bend, hook, made)
            met = find_collisions(self.pipe, made, bend, hook, self.bender, self.stance, self.unit)
            self.known[key] = (placing, met)
        return self.known[key]


def _cost(handled: Handled, effort: int) -> Cost:
    low = handled.low
    return (int(not handled.placing.fits), int(handled.blocked), int(low > 0), effort, low)


def _sum(one: Cost, other: Cost, effort: int) -> Cost:
    return (
        one[0] + other[0],
        one[1] + other[1],
        one[2] + other[2],
        one[3] + other[3] + effort,
        one[4] + other[4],
    )


def roll_between(pipe: StraightPipe, last: int, bend: int) -> float:
    """By how much the plane of a bend is rolled from that of the one made last, seen from the
    pipe's start, −180 < roll ≤ 180. The pipe is turned the other way to bring it up."""
    if bend > last:
        roll = sum(pipe.bends[other].roll for other in range(last + 1, bend + 1))
    else:
        roll = -sum(pipe.bends[other].roll for other in range(bend + 1, last + 1))
    return normalised(roll)


def normalised(roll: float) -> float:
    """A roll as it is told: above −180 and up to 180, and 0 where it is a hair off.

    Args: roll, degrees.
    """
    turned = 180.0 - (180.0 - roll) % 360.0
    return 0.0 if math.isclose(turned, 0.0, abs_tol=1e-9) else turned
