"""An order of bends: each with its bender on it and where it is made, and what it costs."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Literal, Protocol

from yarrow.bend_simulation.collisions import TOOL, Collision
from yarrow.bend_simulation.cost import Cost
from yarrow.benders.placing import Placing
from yarrow.catalog.stances import Stance
from yarrow.values import dataclass

SAME_PLANE = 0.05
"""Degrees of roll that no one can set on a pipe."""

OrderName = Literal["from the start", "from the end", "from both ends", "as marked"]


@dataclass(frozen=True, slots=True)
class Handled:
    """One bend of an order: the placing of the bender and where it is worked; by how much its plane
    is rolled from that of the bend made last, and by how much the pipe is turned to bring it into
    place there, clockwise seen from its start (degrees); what the half-bent pipe meets."""

    bend: int
    placing: Placing
    stance: Stance
    rolled: float
    turned: float
    collisions: tuple[Collision, ...]

    @property
    def blocked(self) -> bool:
        """Whether the tool itself is met, which no block helps against."""
        return tool_collides(self.collisions)

    @property
    def low(self) -> float:
        """What has to be put under the bender: the worst of floor and bench; 0 where nothing."""
        return put_up(self.collisions)

    @property
    def works(self) -> bool:
        """Whether the bender has room here and the tool is not met."""
        return self.placing.fits and not self.blocked


def tool_collides(collisions: Sequence[Collision]) -> bool:
    """Whether the tool itself is among what is met.

    Args:
        collisions: while a bend is made.
    """
    return any(collision.what in TOOL for collision in collisions)


def put_up(collisions: Sequence[Collision]) -> float:
    """What has to be put under the bender so that nothing is met below: 0 where nothing is.

    Args:
        collisions: while a bend is made.

    Returns:
        In the unit of the pipe.
    """
    return max(
        (collision.by for collision in collisions if collision.what in ("floor", "bench")),
        default=0.0,
    )


@dataclass(frozen=True, slots=True)
class Order:
    """A sequence of bends, each with its hook and its stance, and what it costs."""

    name: OrderName
    bends: tuple[Handled, ...]
    cost: Cost

    @property
    def placings(self) -> tuple[Placing, ...]:
        """The bender on each bend, in order along the pipe."""
        by_bend = sorted(self.bends, key=lambda handled: handled.bend)
        return tuple(handled.placing for handled in by_bend)

    @property
    def turns(self) -> int:
        """How often the pipe is turned about itself."""
        return self.cost.turns

    @property
    def flips(self) -> int:
        """How often the pipe is carried round, end for end."""
        return self.cost.flips

    @property
    def changes(self) -> int:
        """How often the stance changes."""
        return self.cost.stances

    @property
    def blocks(self) -> float:
        """The highest that the bender has to be put up; 0 where nothing is met below."""
        return max((bend.low for bend in self.bends), default=0.0)

    @property
    def works(self) -> bool:
        """Whether the bender has room at every bend and the tool is not met: with what is put
        under it, where something would be met below."""
        return all(bend.works for bend in self.bends)


NO_BENDS = Order("as marked", (), Cost())
"""Of a straight piece."""


class _Placed(Protocol):
    """A bend with its bender on it."""

    @property
    def placing(self) -> Placing:
        """The bender's."""

    @property
    def stance(self) -> Stance:
        """Where it is worked."""


def flipped(one: _Placed, other: _Placed) -> bool:
    """Whether the pipe is carried end for end between two bends. Where it lies, the tool is turned
    round instead; and one that is laid down is laid either way.

    Args:
        one, other: one after the other.
    """
    lies = one.stance.pipe_lies or other.stance.pipe_lies
    return one.placing.hook != other.placing.hook and not lies


def brought_up(rolled: float, last: Stance, stance: Stance) -> float:
    """By how much the pipe is turned for a bend, degrees clockwise seen from its start, above −180
    and up to 180. A bend whose plane lies clockwise of the last one's comes up by turning the other
    way; in the air a bend closes downward, so that the pipe is turned half over on the way there.

    Args:
        rolled: its plane, from that of the bend made last, degrees.
        last: where that was made.
        stance: where this is made.

    Returns:
        Degrees.
    """
    return normalised(-rolled + (180.0 if last.in_air != stance.in_air else 0.0))


def normalised(roll: float) -> float:
    """A roll as it is told: above −180 and up to 180, and 0 where it is a hair off.

    Args:
        roll: degrees.

    Returns:
        Degrees.
    """
    turned = 180.0 - (180.0 - roll) % 360.0
    return 0.0 if math.isclose(turned, 0.0, abs_tol=1e-9) else turned
