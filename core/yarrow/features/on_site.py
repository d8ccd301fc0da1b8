"""A line of the walk on its site: its dimensions, what it was measured to, where it ends a leg."""

from __future__ import annotations

from collections.abc import Hashable
from fractions import Fraction
from typing import ClassVar, Literal, Protocol

from yarrow.features.in_document import InDocument
from yarrow.features.leg import Datum, Following, Leg, Pipe, RiseFrom
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, along, dot, subtract
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class MeasuredSpan:
    """A number that was measured, between the two places that the tape was held to."""

    field: str
    value: float
    begins: Vector
    ends: Vector


@dataclass(frozen=True, slots=True)
class ObjectShape:
    """Something on site to draw: ``at`` its near corner on the side that the pipe passes, ``along``
    its extent in the direction of travel, ``toward`` the side that the pipe is on, ``height`` how
    far it stands up to there. For a hole ``at`` is its middle and ``height`` how wide it is."""

    kind: Literal["ledge", "round", "hole"]
    label: str
    at: Vector
    ahead: Vector
    toward: Vector
    along: float
    height: float


class OnSite(Hashable, Protocol):
    """A line of the walk, as it is drawn on its site."""

    document: ClassVar[InDocument]
    """How it stands in a document."""

    implied_fitting: ClassVar[str]
    """The fitting that the run starts with where the walk begins with this line; empty where it is
    the run's own."""

    @property
    def toward(self) -> Side | None:
        """The side that the pipe goes to; None where it goes to none."""

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """Its own numbers, as dimension lines."""

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """What the pipe passes there; None where nothing stands there, or it is not known."""

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """Where it ends the leg that it is on; None where the leg goes on."""


@dataclass(frozen=True, slots=True)
class LegPosition:
    """Where a line of the walk came to lie, in the document's unit: its leg, the pipe, the ``line``
    of bends that it was laid as, the place its number leads to, and how far along the leg the next
    line begins."""

    leg: Leg
    pipe: Pipe
    line: OnSite
    reached: Vector
    next_begins: float

    def place(self, at: Fraction, measured_from: Datum) -> Vector:
        """The centreline point that a number was measured to.

        Args:
            at: as it was measured, in the document's unit.

        Returns:
            In the plan's frame.
        """
        return self.leg.point(self.leg.place(float(at), measured_from))

    def measured(self, at: Fraction, measured_from: Datum, reached: Vector) -> MeasuredSpan:
        """A number along the leg, from where the tape was hooked.

        Args:
            at: as it was measured, in the document's unit.
            reached: the place that it was measured to.
        """
        return MeasuredSpan("at", float(at), self.leg.point(self.leg.datum(measured_from)), reached)

    def width(self, width: Fraction, reached: Vector) -> MeasuredSpan:
        """A width along the leg, from its near end.

        Args:
            width: in the document's unit.
            reached: its near end.
        """
        ends = along(reached, self.leg.frame.ahead, float(width))
        return MeasuredSpan("width", float(width), reached, ends)

    def across(
        self, field: str, value: Fraction, toward: Side, reached: Vector, below: float = 0.0
    ) -> MeasuredSpan:
        """A number across the leg, from ``below`` the centreline.

        Args:
            field: the number's name.
            value: in the document's unit, toward a side.
            reached: the place on the centreline.
            below: how far under that it begins.
        """
        side = self.leg.frame.toward(toward)
        low = along(reached, side, -below)
        return MeasuredSpan(field, float(value), low, along(low, side, float(value)))

    def rise(self, rise: Fraction, toward: Side, rise_from: RiseFrom) -> MeasuredSpan:
        """A rise, from centreline to centreline, with what the spacers carry behind it.

        Args:
            rise: in the document's unit, toward a side.
            rise_from: what it was measured from.
        """
        carried = float(rise) - self.leg.carried(self.pipe, rise, toward, rise_from)
        return self.across("rise", rise, toward, self.reached, carried)

    def height(self, height: Fraction, toward: Side, reached: Vector) -> MeasuredSpan:
        """What stands on the surface is measured from it; the centreline runs above that.

        Args:
            height: in the document's unit, toward a side.
            reached: the place on the centreline.
        """
        rest = self.leg.rest_above_surface(self.pipe, toward)
        return self.across("height", height, toward, reached, rest)

    def standing(
        self,
        kind: Literal["ledge", "round"],
        label: str,
        begins: float,
        extent: float,
        height: Fraction,
        toward: Side,
    ) -> ObjectShape:
        """Something that stands on the surface, from ``begins`` along the leg.

        Args:
            kind: as it is drawn and called.
            label: as it is drawn and called.
            begins: along the leg, in the document's unit.
            extent: along the leg from there, in the document's unit.
            height: off the surface, in the document's unit.
            toward: the side that it stands out to.
        """
        frame, side = self.leg.frame, self.leg.frame.toward(toward)
        top = float(height) - self.leg.rest_above_surface(self.pipe, toward)
        near = along(self.leg.point(begins), side, top)
        return ObjectShape(kind, label, near, frame.ahead, side, extent, float(height))

    def passed_over(
        self,
        kind: Literal["ledge", "round"],
        label: str,
        begins: float,
        extent: float,
        rise: Fraction,
        toward: Side,
        rise_from: RiseFrom,
    ) -> ObjectShape:
        """What bends step over, as their rise tells of it: half a pipe under where the centreline
        passes it, from ``begins`` after the place that their number leads to.

        Args:
            kind: as it is drawn and called.
            label: as it is drawn and called.
            begins: along the leg, in the document's unit.
            extent: along the leg from there, in the document's unit.
            rise: as it was measured, in the document's unit.
            toward: the side that is gone to.
            rise_from: what the rise was measured from.
        """
        frame, side = self.leg.frame, self.leg.frame.toward(toward)
        moved = self.leg.carried(self.pipe, rise, toward, rise_from)
        top = along(self.reached, side, moved - self.pipe.diameter / 2)
        near = along(top, frame.ahead, begins)
        return ObjectShape(kind, label, near, frame.ahead, side, extent, float(rise))

    @property
    def reached_place(self) -> float:
        """How far along the leg the place lies that its number leads to."""
        return dot(subtract(self.reached, self.leg.origin), self.leg.frame.ahead)

    def up_to_next(self, begins: float) -> float:
        """From a place along the leg to the next line; at least as wide as the pipe.

        Args:
            begins: a place along the leg, in the document's unit.

        Returns:
            In the document's unit.
        """
        return max(self.next_begins - begins, self.pipe.diameter)
