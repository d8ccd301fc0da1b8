"""Kick: one small bend that leans the pipe over, until the next turn or the end."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    AT,
    CARRIED,
    FROM,
    LABEL,
    RISE,
    RISE_FROM,
    TOWARD,
    Alone,
    InDocument,
    TypedForm,
)
from yarrow.features.leg import (
    Corner,
    Datum,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    PointWeight,
    ReadBack,
    RiseFrom,
    RuleMarks,
    Weights,
    across,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, along, dot, scaled, subtract
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class Kick(LegFeature):
    """A line of the walk: from ``at`` on the pipe leans over, by ``rise`` at the next turn or end.

    Its angle is not given: it follows from the two places. The turn after it still faces its
    nominal way, so that its own angle comes from the two directions.
    """

    at: Fraction
    rise: Fraction
    toward: Side
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "kick",
        (AT, FROM, RISE, TOWARD, RISE_FROM, LABEL),
        loose=("at", "rise"),
        typed=(
            TypedForm(
                ("kick",),
                "a kick, by its rise",
                "rise",
                ("rise",),
                ("at",),
                given=CARRIED,
                blank=("at",),
                alone=Alone({"in": 36, "mm": 900}, {"in": 24, "mm": 600}),
            ),
        ),
    )

    @property
    def own_angle(self) -> float | None:
        """It has one bend."""
        return None

    @property
    def move(self) -> Move | None:
        """By its rise."""
        return Move(self.rise, self.toward, self.rise_from)

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """One vertex on the line; what comes after it is displaced.

        Source:
            docs/geometry.md.
        """
        place = leg.place(float(self.at), self.measured_from)
        after = leg.stepped(pipe, self.toward, self._rise(leg, pipe), self.rise_from)
        return Laid(
            corners=(Corner(leg.point(place), Role.KICK),),
            begins=place,
            ends=place,
            after=replace(after, leans_from=leg.point(place)),
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(place),
        )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg, and its rise."""
        return (
            spot.measured(self.at, self.measured_from, spot.reached),
            spot.rise(self.rise, self.toward, self.rise_from),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """What it leans over to was not measured."""
        return None

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """At: where it leaves the line. Rise: how far over the next vertex, or the face at the end
        lies."""
        kick, following = vertices[:2]
        place = dot(subtract(kick, origin), leg.frame.ahead)
        rise = dot(subtract(following, kick), leg.frame.toward(self.toward))
        return (
            ReadBack("at", float(self.at), leg.tape_reads(place, self.measured_from)),
            ReadBack(
                "rise", float(self.rise), leg.rise_reads(pipe, rise, self.toward, self.rise_from)
            ),
        )

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At: its vertex. Rise: the next one off that."""
        side = leg.frame.toward(self.toward)
        return (PointWeight(0, leg.frame.ahead),), across(0, 1, side)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Nothing: a kick is bent by eye where no one works it out."""
        return None

    def _rise(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise, self.toward, self.rise_from)


@dataclass(frozen=True, slots=True)
class KickThrough(Kick):
    """A kick whose slope goes through the middle of a hole: ``hole`` is the place of its face on
    the leg, by the same datum, and ``depth`` how far off the line its middle is."""

    hole: Fraction = Fraction(0)
    depth: Fraction = Fraction(0)

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """Depth: how far off the line the pipe passes the hole's face, in the arc or behind it."""
        kick, following = vertices[:2]
        ahead, side = leg.frame.ahead, leg.frame.toward(self.toward)
        slope = subtract(following, kick)
        angle = ieee.atan2(dot(slope, side), dot(slope, ahead))
        read = leg.tape_reads(dot(subtract(kick, origin), ahead), self.measured_from)
        beyond = float(self.hole) - read
        into_arc = beyond + pipe.radius * ieee.tan(angle / 2)
        passes = beyond * ieee.tan(angle)
        if into_arc < pipe.radius * ieee.sin(angle):
            passes = pipe.radius - math.sqrt(
                ieee.square(pipe.radius) - ieee.square(max(into_arc, 0.0))
            )
        return (ReadBack("depth", float(self.depth), passes),)

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """Depth: by the kick's place and its slope; a hole in the arc is refused."""
        kick, following = vertices[:2]
        ahead, side = leg.frame.ahead, leg.frame.toward(self.toward)
        slope = subtract(following, kick)
        run = dot(slope, ahead)
        steep = dot(slope, side) / run
        read = leg.tape_reads(dot(subtract(kick, origin), ahead), self.measured_from)
        by_steep = (float(self.hole) - read) / run
        leans = along(scaled(side, by_steep), ahead, -by_steep * steep)
        kicked = along(scaled(leans, -1.0), ahead, -steep)
        return ((PointWeight(0, kicked), PointWeight(1, leans)),)

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """As a kick. Less deep than R (1 − cos θ) the hole's face lies within the arc, where the
        pipe has not come over to the slope yet.

        Source:
            docs/geometry.md, a hole by a kick.
        """
        angle = ieee.atan2(float(self.depth), float(self.hole - self.at))
        short = pipe.radius * (1 - ieee.cos(angle)) - float(self.depth)
        return replace(Kick.lay(self, leg, pipe), too_shallow=max(short, 0.0))
