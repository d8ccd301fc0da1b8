"""A leg of the walk: the straight that a tape is laid along, and where on it a number lands."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import Literal, NamedTuple, Protocol

from yarrow.geometry.frame import Frame, Side
from yarrow.geometry.vectors import ORIGIN, Vector, add, along, scaled
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass, replace

Datum = Literal["back", "centre", "inside"]

RiseFrom = Literal["surface", "pipe"]
"""What a rise was measured from: the surface that the run is fixed to, or the pipe itself."""


@dataclass(frozen=True, slots=True)
class PipeEnd:
    """Where the walk ends on its last leg: the face, the pipe beyond it, and what it goes into;
    ``own``: what the crew calls its own fitting there."""

    at: float
    measured_from: Datum
    allowance: float
    fitting: str
    label: str
    own: str = ""


@dataclass(frozen=True, slots=True)
class Pipe:
    """What of the pipe decides where vertices lie, in the document's unit: diameter and centreline
    radius; where it begins on the first leg, and how the walk ends (None without one);
    ``stand_off``, by how much spacers or strut hold it off every surface; ``mark_to_arc``, how far
    a bend's arc lies from its front mark, the hook toward the end that it is near, which takes
    ``hook`` of straight before that mark; ``heel``, straight that it takes behind an arc."""

    diameter: float
    radius: float
    begins: float = 0.0
    end: PipeEnd | None = None
    stand_off: float = 0.0
    mark_to_arc: float = 0.0
    hook: float = 0.0
    heel: float = 0.0

    def arc_from_end(self, margin: float) -> float:
        """How far from the pipe's end an arc begins beside a margin of straight pipe: the mark is
        on the margin; where that is too short for the hook, which then faces away, the arc is, with
        the heel's room at least.

        Args:
            margin: that is left, in the document's unit.

        Returns:
            In the document's unit.

        Source:
            docs/geometry.md, named bends.
        """
        return margin + self.mark_to_arc if margin >= self.hook else max(margin, self.heel)

    def back_beyond_vertex(self, angle: float, off: float | None = None) -> float:
        """(D/2 + stand-off) tan(θ/2): how far the surface behind a bend, which its back is on where
        nothing holds it off, lies beyond its centreline vertex, on both legs.

        Args:
            angle: in degrees.
            off: what the pipe is off that surface, where that is not its stand-off.

        Returns:
            In the document's unit.

        Source:
            docs/geometry.md, where a tape is hooked.
        """
        off = self.stand_off if off is None else off
        return (self.diameter / 2 + off) * ieee.tan(math.radians(angle) / 2)

    def inside_short_of_vertex(self, angle: float) -> float:
        """(D/2) tan(θ/2): how far the inside of a bend lies short of its vertex, on both legs.

        Args:
            angle: of the bend in degrees.

        Returns:
            In the document's unit.
        """
        return self.diameter / 2 * ieee.tan(math.radians(angle) / 2)


@dataclass(frozen=True, slots=True)
class Leg:
    """``origin`` is the centreline where the leg starts, moved sideways by what displaced it since;
    ``back`` is how far behind it the surface lies at the back of the turn that it starts at, and
    ``inside`` how far ahead of it that turn's inside (both 0 at the start). ``nearer`` is by how
    much less than its stand-off the pipe is off the surface under it: all of it where the pipe has
    stepped up on to something that it lies on. ``leans_from`` is the vertex from which a kick leans
    the pipe over to the leg, None where it runs along it."""

    number: int
    origin: Vector
    frame: Frame
    back: float
    inside: float
    nearer: float = 0.0
    leans_from: Vector | None = None

    def place(self, at: float, measured_from: Datum) -> float:
        """How far along the leg from its origin a number lies that was measured from a datum.

        Args:
            at: as it was measured, in the document's unit.
            measured_from: where the tape was hooked.

        Returns:
            In the document's unit.
        """
        return at + self.datum(measured_from)

    def datum(self, measured_from: Datum) -> float:
        """Where on the leg the tape is hooked: behind the origin for the back of the turn.

        Returns:
            In the document's unit, below zero behind the origin.
        """
        return {"back": -self.back, "centre": 0.0, "inside": self.inside}[measured_from]

    def tape_reads(self, place: float, hooked: Datum) -> float:
        """What a tape shows at a place of the leg; written apart from ``place``, so that a plan is
        read back by other sums than it was laid out by.

        Args:
            place: along the leg from its origin, in the document's unit.
            hooked: where the tape is.

        Returns:
            In the document's unit.
        """
        return {
            "back": place + self.back,
            "centre": place,
            "inside": place - self.inside,
        }[hooked]

    def rise_reads(self, pipe: Pipe, moved: float, toward: Side, rise_from: RiseFrom) -> float:
        """What is measured of a rise that moved the pipe; written apart from ``carried``.

        Args:
            moved: the pipe's own way sideways, in the document's unit.
            toward: the side.
            rise_from: what is measured from.

        Returns:
            In the document's unit.
        """
        off = {"out": self.off_surface(pipe), "in": pipe.stand_off}.get(toward, 0.0)
        return moved + off if rise_from == "surface" else moved

    def point(self, place: float) -> Vector:
        """The centreline point at a place along the leg.

        Args:
            place: from the leg's origin, in the document's unit.

        Returns:
            In the plan's frame.
        """
        return along(self.origin, self.frame.ahead, place)

    def off_surface(self, pipe: Pipe) -> float:
        """How far the pipe's underside is off the surface under it here.

        Returns:
            In the document's unit.
        """
        return pipe.stand_off - self.nearer

    def rest_above_surface(self, pipe: Pipe, toward: Side) -> float:
        """From the surface to the resting pipe's centreline, on the side that the pipe goes.

        Returns:
            In the document's unit.
        """
        off = {"out": self.off_surface(pipe), "in": pipe.stand_off}
        return off.get(toward, 0.0) + pipe.diameter / 2

    def carried(self, pipe: Pipe, rise: Fraction, toward: Side, rise_from: RiseFrom) -> float:
        """By how much a rise moves the pipe: less what it is off the surface already, where that is
        what the rise was measured off. Coming in, it ends on its spacers again. Sideways nothing
        carries it.

        Args:
            rise: as it was measured, in the document's unit.

        Returns:
            In that unit.

        Source:
            docs/geometry.md, stand-off.
        """
        if rise_from == "pipe" or toward not in ("out", "in"):
            return float(rise)
        return float(rise) - (self.off_surface(pipe) if toward == "out" else pipe.stand_off)

    def displaced(self, side: Side, distance: float) -> Leg:
        """The same leg, moved sideways; what it runs along moves with it.

        Args:
            side: that it goes to.
            distance: how far, in the document's unit.
        """
        origin = add(self.origin, scaled(self.frame.toward(side), distance))
        return replace(self, origin=origin, leans_from=None)

    def straightened(self) -> Leg:
        """The same leg, where a kick before it has come to its end."""
        return replace(self, leans_from=None)

    def stepped(
        self, pipe: Pipe, side: Side, distance: float, rise_from: RiseFrom, air: float = 0.0
    ) -> Leg:
        """The same leg, moved sideways on to another surface, with ``air`` left over it where that
        stands out, and on spacers where it is further in; a rise that was measured from the pipe
        tells of no surface.

        Args:
            side: that it goes to.
            distance: how far, in the document's unit.
            rise_from: what that was measured from.
            air: left over the new surface.
        """
        after = self.displaced(side, distance)
        if rise_from == "pipe" or side not in ("out", "in"):
            return after
        return replace(after, nearer=pipe.stand_off - air if side == "out" else 0.0)

    def lowered(self, step: float) -> Leg:
        """The same leg over a surface that stands ``step`` higher, where the pipe goes straight
        on.

        Args:
            step: a length in the document's unit.
        """
        return replace(self, nearer=self.nearer + step)


FIRST_LEG = Leg(0, ORIGIN, Frame(), 0.0, 0.0)


@dataclass(frozen=True, slots=True)
class Following:
    """Where a line ends the leg: its vertex (the run's end: its face), and where its arc begins or
    the pipe ends."""

    vertex: float
    arc_begins: float


@dataclass(frozen=True, slots=True)
class Corner:
    """A vertex that a feature asks for, and its part in it."""

    point: Vector
    role: Role


@dataclass(frozen=True, slots=True)
class Laid:
    """A feature on its leg: its corners, the stretch of the leg that their vertices take up, the
    leg that it leaves behind, and where its datum and its own number lie (for dimension lines).
    ``too_shallow`` is by how much a hole that it goes through would have to be deeper for its arc
    to be over at the face."""

    corners: tuple[Corner, ...]
    begins: float
    ends: float
    after: Leg
    hooked: Vector
    reached: Vector
    too_shallow: float = 0.0


@dataclass(frozen=True, slots=True)
class ReadBack:
    """A dimension read off a bent pipe: the field of the line, as asked for and as it comes out."""

    field: str
    asked: float
    comes_out: float


class PointWeight(NamedTuple):
    """One of a line's own points on a bent pipe, by its number among them, and what a number of the
    line grows by with each way that it moves."""

    point: int
    weight: Vector


Weights = tuple[PointWeight, ...]
"""What a number of a line is read by."""


def across(near: int, far: int, side: Vector) -> Weights:
    """How far one point lies off another to a side.

    Args:
        near, far: their numbers.
        side: a direction.
    """
    return PointWeight(near, scaled(side, -1.0)), PointWeight(far, side)


@dataclass(frozen=True, slots=True)
class RuleMark:
    """Where a printed rule puts one mark, the reference it goes on, and the end the hook faces."""

    position: float
    reference: Literal["front", "centre"] = "front"
    hook: Literal["start", "end"] = "end"


@dataclass(frozen=True, slots=True)
class RuleMarks:
    """A line worked by multiplier and shrink: its spots in order along the pipe, and the pipe that
    it uses up more than the straight line would."""

    spots: tuple[RuleMark, ...]
    shrink: float


class MultiplierTable(Protocol):
    """Printed tables of multipliers and shrinks."""

    def offset(self, angle: float) -> tuple[float, float]:
        """(multiplier, shrink per unit of rise) for an offset angle in degrees.

        Args:
            angle: in degrees.

        Returns:
            Two ratios.
        """

    def saddle(self, angle: float) -> tuple[float, float]:
        """(multiplier, shrink per unit of rise) for a 3-bend saddle's centre angle in degrees.

        Args:
            angle: in degrees.

        Returns:
            Two ratios.
        """
