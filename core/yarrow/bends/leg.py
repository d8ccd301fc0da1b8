"""A leg of the walk: the straight that a tape is laid along, and where on it a number lands."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace
from typing import Literal, Protocol

from yarrow.geometry.frame import Frame, Side
from yarrow.geometry.vectors import ORIGIN, Vector, add, along, scaled

Datum = Literal["back", "centre", "inside"]


@dataclass(frozen=True, slots=True)
class Pipe:
    """The two numbers of the pipe that decide where vertices lie, in the document's unit."""

    diameter: float
    radius: float

    def back_beyond_vertex(self, angle: float) -> float:
        """(D/2) tan(θ/2): how far the back of a bend lies beyond its centreline vertex, both ways.

        Args: angle in degrees. Source: docs/geometry.md, where a tape is hooked.
        """
        return self.diameter / 2 * math.tan(math.radians(angle) / 2)


@dataclass(frozen=True, slots=True)
class Leg:
    """``origin`` is the centreline where the leg starts, moved sideways by what displaced it since;
    ``back`` is how far behind it the back of the turn lies that it starts at (0 at the start)."""

    number: int
    origin: Vector
    frame: Frame
    back: float

    def place(self, at: float, measured_from: Datum) -> float:
        """How far along the leg from its origin a number lies that was measured from a datum."""
        return at + self.datum(measured_from)

    def datum(self, measured_from: Datum) -> float:
        """Where on the leg the tape is hooked: behind the origin for the back of the turn."""
        return {"back": -self.back, "centre": 0.0, "inside": self.back}[measured_from]

    def point(self, place: float) -> Vector:
        """The centreline point at a place along the leg."""
        return along(self.origin, self.frame.ahead, place)

    def displaced(self, side: Side, distance: float) -> Leg:
        """The same leg, moved sideways."""
        return replace(self, origin=add(self.origin, scaled(self.frame.toward(side), distance)))


FIRST_LEG = Leg(0, ORIGIN, Frame(), 0.0)


@dataclass(frozen=True, slots=True)
class Corner:
    """A vertex that a feature asks for, and its part in it (``near``, ``far``, ``turn``)."""

    point: Vector
    role: str


@dataclass(frozen=True, slots=True)
class Laid:
    """A feature on its leg: its corners, the stretch of the leg that their vertices take up, the
    leg that it leaves behind, and where its datum and its own number lie (for dimension lines)."""

    corners: tuple[Corner, ...]
    begins: float
    ends: float
    after: Leg
    hooked: Vector
    reached: Vector


@dataclass(frozen=True, slots=True)
class Read:
    """A dimension read off a bent pipe: the field of the line, as asked for and as it comes out."""

    field: str
    asked: float
    comes_out: float


@dataclass(frozen=True, slots=True)
class RuleSpot:
    """Where a printed rule puts one bend: as a front mark, hook toward the end, or as the start of
    the arc where the rule says no more than that."""

    position: float
    is_front_mark: bool


@dataclass(frozen=True, slots=True)
class ByRule:
    """A line worked by multiplier and shrink: its spots, and ``base``, what to add to a place on
    the leg that it leaves behind to come to a position on the pipe."""

    spots: tuple[RuleSpot, ...]
    base: float


class Rule(Protocol):
    """A printed table of multipliers and shrinks."""

    def __call__(self, angle: float) -> tuple[float, float]:
        """(multiplier, shrink per unit of rise) for an offset angle in degrees."""


class Feature(Protocol):
    """What every kind of line in a walk can do."""

    @property
    def label(self) -> str:
        """What the person calls it; empty where nothing was said."""

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """The vertices of this line on its leg."""

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """This line's dimensions as they come out on a bent pipe.

        Args: leg, as it was laid; origin, where the leg begins on the bent pipe; vertices, this
        feature's own on the bent pipe (for an end, the end of the pipe).
        """

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule:
        """Where printed multipliers and shrink put this line's bends.

        Args: base, what the lines before add to a place on this leg to come to the pipe.
        """

    def shrink(self, radius: float) -> float:
        """How much more pipe this line takes than going straight on would."""
