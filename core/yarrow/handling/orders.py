"""Orders: in which sequence the bends of a piece can be made, and what each costs in handling."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.benders.bender import Bender, Hook
from yarrow.benders.placing import Placing, making_order, place_bender
from yarrow.catalog.tables import Stance
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.handling.strikes import Strike, strikes
from yarrow.measure.units import Unit

SAME_PLANE = 0.05
"""Degrees of roll that no one can set on a pipe."""


@dataclass(frozen=True, slots=True)
class Handled:
    """One bend of an order: the placing of the bender, by how much the pipe is turned since the
    last one (degrees, seen from its start), and what the half-bent pipe meets."""

    bend: int
    placing: Placing
    turned: float
    strikes: tuple[Strike, ...]


@dataclass(frozen=True, slots=True)
class Order:
    """A sequence of bends: ``turns`` of the pipe about itself, ``flips`` end for end; ``blocks``,
    how high the bender has to stand so that nothing meets the floor."""

    name: str
    bends: tuple[Handled, ...]

    @property
    def turns(self) -> int:
        """How often the pipe is turned about itself."""
        return sum(abs(each.turned) > SAME_PLANE for each in self.bends)

    @property
    def flips(self) -> int:
        """How often the pipe is carried round, end for end."""
        hooks = [each.placing.hook for each in self.bends]
        return sum(one != other for one, other in itertools.pairwise(hooks))

    @property
    def blocks(self) -> float:
        """What the worst strike on the floor asks for; 0 where there is none."""
        return max(
            (s.by for each in self.bends for s in each.strikes if s.what == "floor"), default=0.0
        )

    @property
    def blocked(self) -> bool:
        """Whether the handle is met, which no block helps against."""
        return any(s.what == "handle" for each in self.bends for s in each.strikes)

    @property
    def tight(self) -> bool:
        """Whether the bender lacks straight pipe somewhere."""
        return any(not each.placing.fits for each in self.bends)

    @property
    def cost(self) -> tuple[float, ...]:
        """What makes an order worse, gravest first."""
        return (float(self.tight), float(self.blocked), self.blocks, 3 * self.flips + self.turns)


def orders(
    bender: Bender,
    pipe: StraightPipe,
    roles: Sequence[str],
    stance: Stance,
    unit: Unit,
) -> tuple[Order, ...]:
    """The orders that a crew would think of, best first: from the start, and from the end.

    Source: docs/geometry.md, the half-bent pipe.
    """
    count = len(pipe.bends)
    if not count:
        return ()
    order = making_order(roles)
    forward = place_bender(bender, pipe, roles, order)
    mirrored = _from_the_end(pipe)
    back_roles = tuple(_BACKWARD.get(role, role) for role in reversed(roles))
    back_order = making_order(back_roles)
    backward = place_bender(bender, mirrored, back_roles, back_order)
    named = (
        ("from the start", order, forward),
        (
            "from the end",
            tuple(count - 1 - n for n in back_order),
            tuple(_turned_round(p, count) for p in reversed(backward)),
        ),
    )
    found = [
        Order(name, _handled(bender, pipe, sequence, placings, stance, unit))
        for name, sequence, placings in named
    ]
    return tuple(sorted(found, key=lambda each: each.cost))


_BACKWARD = {"near": "far", "far": "near", "outer-near": "outer-far", "outer-far": "outer-near"}
"""A bend's part in its line, for someone who comes from the other end."""


def _handled(
    bender: Bender,
    pipe: StraightPipe,
    sequence: Sequence[int],
    placings: Sequence[Placing],
    stance: Stance,
    unit: Unit,
) -> tuple[Handled, ...]:
    made: list[int] = []
    found = []
    for index in sequence:
        placing = placings[index]
        roll = roll_between(pipe, made[-1], index) if made else 0.0
        met = strikes(pipe, made, index, placing.hook, bender, stance, unit)
        found.append(Handled(index, placing, roll, met))
        made.append(index)
    return tuple(found)


def roll_between(pipe: StraightPipe, last: int, bend: int) -> float:
    """By how much the pipe is turned from the bend made last to this one, −180 < roll ≤ 180."""
    if bend > last:
        roll = sum(pipe.bends[other].roll for other in range(last + 1, bend + 1))
    else:
        roll = -sum(pipe.bends[other].roll for other in range(bend + 1, last + 1))
    turned = 180.0 - (180.0 - roll) % 360.0
    return 0.0 if math.isclose(turned, 0.0, abs_tol=1e-9) else turned


def _from_the_end(pipe: StraightPipe) -> StraightPipe:
    """The same pipe, counted from its other end. Rolls keep their sign: both normals and the
    direction of travel are turned round."""
    bends = pipe.bends
    rolls = [0.0, *(bend.roll for bend in reversed(bends[1:]))]
    return StraightPipe(
        pipe.cut_length,
        tuple(reversed(pipe.straights)),
        tuple(
            PipeBend(pipe.cut_length - bend.arc_end, bend.angle, roll, bend.radius)
            for bend, roll in zip(reversed(bends), rolls, strict=True)
        ),
        tuple(reversed(pipe.corners)),
        pipe.ahead,
        pipe.first_toward,
    )


def _turned_round(placing: Placing, count: int) -> Placing:
    hook: Hook = "end" if placing.hook == "start" else "start"

    def other(bend: int | None) -> int | None:
        return None if bend is None else count - 1 - bend

    return Placing(
        hook=hook,
        reference=placing.reference,
        before=other(placing.after),
        after=other(placing.before),
        room=placing.room,
        need=placing.need,
        short_before=placing.short_after,
        short_after=placing.short_before,
    )
