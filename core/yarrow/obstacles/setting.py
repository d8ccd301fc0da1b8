"""Where an obstacle is met, and what of it must not be touched."""

from __future__ import annotations

from fractions import Fraction

from yarrow.features.leg import Following, Leg, Pipe
from yarrow.geometry.frame import Side
from yarrow.obstacles.outline import Outline
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Setting:
    """Where an obstacle is met: its leg, the pipe, what ends the leg right after it (else None)."""

    leg: Leg
    pipe: Pipe
    following: Following | None

    def rest_above_surface(self, toward: Side) -> float:
        """From the surface to the resting pipe's centreline, on the side that the pipe goes.

        Returns:
            In the document's unit.
        """
        return self.leg.rest_above_surface(self.pipe, toward)


@dataclass(frozen=True, slots=True)
class Section:
    """What must not be touched, in the plane of the leg and the side that the pipe goes to."""

    toward: Side
    outline: Outline


def exact(value: float) -> Fraction:
    """A place that geometry found, as a length: to far less than any tape or bender tells.

    Args:
        value: a length in the document's unit.

    Returns:
        In that unit.
    """
    return Fraction(value).limit_denominator(10**9)
