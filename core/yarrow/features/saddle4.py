"""4-bend saddle: over something wide, two offsets back to back."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    AT,
    CARRIED,
    FROM,
    IN_THE_MIDDLE,
    LABEL,
    NO_AIR,
    RISE,
    RISE_FROM,
    TOWARD,
    Field,
    InDocument,
    TypedForm,
    angle_of,
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
    RuleMark,
    RuleMarks,
    Weights,
    across,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Saddle4(LegFeature):
    """A line of the walk: ``at`` is the near face of something ``width`` wide and ``rise`` high."""

    at: Fraction
    width: Fraction
    rise: Fraction
    toward: Side
    angle: float = 30.0
    clearance: Fraction = Fraction(0)
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "saddle4",
        (AT, FROM, Field("width", "size"), RISE, NO_AIR, TOWARD, angle_of(30), RISE_FROM, LABEL),
        loose=("at", "width", "rise"),
        typed=(
            TypedForm(
                ("4 bend saddle", "4 bend crossover"),
                "a 4-bend saddle, over something wide",
                "rise",
                ("rise", "width", "at"),
                ("angle", "clearance"),
                "width",
                CARRIED,
                alone=IN_THE_MIDDLE,
            ),
        ),
    )

    @property
    def own_angle(self) -> float | None:
        """That of its bends."""
        return self.angle

    @property
    def move(self) -> Move | None:
        """By its rise."""
        return Move(self.rise, self.toward, self.rise_from, self.clearance)

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """Fully displaced over the whole width: vertices at − T − h/tan θ, at − T, and mirrored.

        Source:
            docs/geometry.md, the named bends.
        """
        place = leg.place(float(self.at), self.measured_from)
        height, run = self._height(leg, pipe), self._run(leg, pipe)
        tangent = tangent_length(pipe.radius, self.angle)
        raised = leg.displaced(self.toward, height)
        near, far = place - tangent, place + float(self.width) + tangent
        return Laid(
            corners=(
                Corner(leg.point(near - run), Role.NEAR),
                Corner(raised.point(near), Role.FAR),
                Corner(raised.point(far), Role.NEAR),
                Corner(leg.point(far + run), Role.FAR),
            ),
            begins=near - run,
            ends=far + run,
            after=leg.straightened(),
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(place),
        )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg, how wide, and its rise."""
        return (
            spot.measured(self.at, self.measured_from, spot.reached),
            spot.width(self.width, spot.reached),
            spot.rise(self.rise, self.toward, self.rise_from),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """A block of its width."""
        width = float(self.width)
        return spot.passed_over(
            "ledge", self.label, 0.0, width, self.rise, self.toward, self.rise_from
        )

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """At and width: where the pipe is straight over it. Rise: how high it passes."""
        up, near, far = vertices[:3]
        tangent = tangent_length(pipe.radius, self.angle)
        begins, ends = (dot(subtract(v, origin), leg.frame.ahead) for v in (near, far))
        height = dot(subtract(near, up), leg.frame.toward(self.toward))
        return (
            ReadBack("at", float(self.at), leg.tape_reads(begins + tangent, self.measured_from)),
            ReadBack("width", float(self.width), ends - begins - 2 * tangent),
            ReadBack(
                "rise",
                float(self.rise),
                leg.rise_reads(pipe, height - float(self.clearance), self.toward, self.rise_from),
            ),
        )

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At, width, rise: the vertices beside what it goes over."""
        ahead, side = leg.frame.ahead, leg.frame.toward(self.toward)
        return (PointWeight(1, ahead),), across(1, 2, ahead), across(0, 1, side)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Two offsets by multiplier and shrink; the second is the first, mirrored.

        Source:
            catalog/rules-of-thumb.csv.
        """
        multiplier, shrink = rule.offset(self.angle)
        height = self._height(leg, pipe)
        used = shrink * height
        up = base + leg.place(float(self.at), self.measured_from) + used
        down = up + float(self.width)
        slope = multiplier * height
        return RuleMarks(
            (
                RuleMark(up - slope),
                RuleMark(up),
                RuleMark(down, hook="start"),
                RuleMark(down + slope, hook="start"),
            ),
            2 * used,
        )

    def _height(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise + self.clearance, self.toward, self.rise_from)

    def _run(self, leg: Leg, pipe: Pipe) -> float:
        """h / tan θ, along the leg from vertex to vertex; 0 where it goes up square."""
        return (
            0.0
            if self.angle == 90
            else self._height(leg, pipe) / ieee.tan(math.radians(self.angle))
        )
