"""3-bend saddle: over something round, a centre bend and two outers of half its angle."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar

from yarrow.features.clearing import lift_over_round
from yarrow.features.feature import Context, LegFeature, Move
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
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, Remedy
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class Saddle3(LegFeature):
    """A line of the walk: what stands in the way is ``rise`` high, with ``clearance`` of air above.

    ``at`` is the middle of it; ``angle`` the centre bend's, in degrees.
    """

    at: Fraction
    rise: Fraction
    toward: Side
    angle: float = 45.0
    clearance: Fraction = Fraction(0)
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "saddle3",
        (AT, FROM, RISE, NO_AIR, TOWARD, angle_of(45), RISE_FROM, LABEL),
        loose=("at", "rise"),
        typed=(
            TypedForm(
                ("saddle", "crossover", "bridge", "3 bend saddle", "3 bend crossover"),
                "a 3-bend saddle; 4 bends with wide",
                "rise",
                ("rise", "at"),
                ("width", "angle", "clearance"),
                "width",
                CARRIED,
                with_field={"width": "saddle4"},
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
        """Vertices at 0, at h + R (1/cos θ − 1), at 0, with θ half the centre angle.

        The arc cuts the corner, so that its vertex stands higher than the pipe has to reach.

        Source:
            docs/geometry.md, the named bends.
        """
        place = leg.place(float(self.at), self.measured_from)
        half = math.radians(self.angle) / 2
        height = self._height(leg, pipe) + pipe.radius * (1 / ieee.cos(half) - 1)
        run = height / ieee.tan(half)
        raised = leg.displaced(self.toward, height)
        return Laid(
            corners=(
                Corner(leg.point(place - run), Role.OUTER_NEAR),
                Corner(raised.point(place), Role.SADDLE_CENTRE),
                Corner(leg.point(place + run), Role.OUTER_FAR),
            ),
            begins=place - run,
            ends=place + run,
            after=leg.straightened(),
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
        """Something round, as wide as it is high."""
        width = float(self.rise)
        return spot.passed_over(
            "round", self.label, -width / 2, width, self.rise, self.toward, self.rise_from
        )

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """At: the middle of the centre arc, along the leg. Rise: how high it passes there."""
        near, centre = vertices[:2]
        half = math.radians(self.angle) / 2
        cut = pipe.radius * (1 / ieee.cos(half) - 1)
        height = dot(subtract(centre, near), leg.frame.toward(self.toward)) - cut
        place = dot(subtract(centre, origin), leg.frame.ahead)
        return (
            ReadBack("at", float(self.at), leg.tape_reads(place, self.measured_from)),
            ReadBack(
                "rise",
                float(self.rise),
                leg.rise_reads(pipe, height - float(self.clearance), self.toward, self.rise_from),
            ),
        )

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At: the centre's vertex. Rise: that off the near one."""
        side = leg.frame.toward(self.toward)
        return (PointWeight(1, leg.frame.ahead),), across(0, 1, side)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Centre at the place plus the shrink, outers a multiple of the rise to either side.

        Source:
            catalog/rules-of-thumb-saddle.csv. Both outers' hooks face the centre.
        """
        multiplier, shrink = rule.saddle(self.angle)
        height = self._height(leg, pipe)
        centre = base + leg.place(float(self.at), self.measured_from) + shrink * height
        apart = multiplier * height
        return RuleMarks(
            (
                RuleMark(centre - apart),
                RuleMark(centre, "centre"),
                RuleMark(centre + apart, hook="start"),
            ),
            2 * shrink * height,
        )

    def warnings(self, context: Context) -> tuple[Finding, ...]:
        """Where it clears the top of something round, as wide as it is high, and not its sides."""
        lengths, clearance = context.lengths, float(self.clearance)
        across = float(self.rise)
        needed = lift_over_round(context.pipe, across / 2, 0.0, self.angle)
        short = needed - clearance
        if short <= _HAIR:
            return ()
        air = lengths.reading(lengths.up(needed))
        values: dict[str, Value] = {
            "across": lengths.measured(across),
            "cut": lengths.needed(short * ieee.cos(math.radians(self.angle) / 2)),
            "air": air,
        }
        path = context.path("clearance")
        remedy = Remedy(Phrase("ask-for-air", {"air": air}), path, str(air))
        code = FindingCode.TOUCHES_SIDES
        return (Finding(code, values, context.feature, path, (), remedy),)

    def _height(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise + self.clearance, self.toward, self.rise_from)
