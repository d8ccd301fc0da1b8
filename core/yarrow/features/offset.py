"""Offset: two equal bends opposite ways that carry the pipe over to a parallel line."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    AT,
    CARRIED,
    FROM,
    IN_THE_MIDDLE,
    LABEL,
    RISE,
    RISE_FROM,
    TOWARD,
    Field,
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
    RuleMark,
    RuleMarks,
    Weights,
    across,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, scaled, subtract
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass

Hold = Literal["full", "begin", "centre"]


@dataclass(frozen=True, slots=True)
class Offset(LegFeature):
    """A line of the walk. Lengths exact, in the document's unit; angle in degrees.

    ``of`` says what ``at`` is measured to: where the pipe is fully displaced and straight again
    (``full``), where it begins to leave the line (``begin``), or the middle (``centre``).
    """

    at: Fraction
    rise: Fraction
    toward: Side
    angle: float = 30.0
    of: Hold = "full"
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "offset",
        (
            AT,
            FROM,
            Field("of", words=("full", "begin", "centre"), default="full"),
            RISE,
            TOWARD,
            Field(
                "angle",
                "angle",
                words=("choose",),
                default=30,
                about="a number from 1 to 120, or choose: then Yarrow chooses",
            ),
            Field(
                "within",
                "size",
                optional=True,
                about="The length along the leg that it must fit into, from where the pipe begins "
                "to leave the line to where it is straight again; the shallowest usual angle that "
                "fits is taken, and no angle is given.",
            ),
            RISE_FROM,
            LABEL,
        ),
        loose=("at", "rise", "angle"),
        typed=(
            TypedForm(
                ("offset", "set", "rise", "double set"),
                "an offset, by its rise",
                "rise",
                ("rise", "at"),
                ("angle", "within"),
                "angle",
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
        return Move(self.rise, self.toward, self.rise_from)

    @property
    def air_left(self) -> Fraction:
        """Air over what it steps on to: it lies on it, as far as a tape tells."""
        return Fraction(0)

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """Vertices at u1 and u2 = u1 + h / tan θ, held where ``of`` says.

        Source:
            docs/geometry.md, the named bends.
        """
        place = leg.place(float(self.at), self.measured_from)
        rise, run = self._rise(leg, pipe), self._run(leg, pipe)
        near = place - self._from_near_vertex(leg, pipe)
        after = leg.stepped(pipe, self.toward, rise, self.rise_from, float(self.air_left))
        return Laid(
            corners=(
                Corner(leg.point(near), Role.NEAR),
                Corner(after.point(near + run), Role.FAR),
            ),
            begins=near,
            ends=near + run,
            after=after,
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
        """A ledge from where it must be cleared to the next line; unknown where it is not full."""
        if self.of != "full":
            return None
        extent = spot.up_to_next(spot.reached_place)
        return spot.passed_over(
            "ledge", self.label, 0.0, extent, self.rise, self.toward, self.rise_from
        )

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """Rise: across the leg from vertex to vertex. At: along the leg, to what ``of`` holds."""
        near, far = vertices[:2]
        rise = dot(subtract(far, near), leg.frame.toward(self.toward))
        near_place, far_place = (dot(subtract(v, origin), leg.frame.ahead) for v in (near, far))
        tangent = tangent_length(pipe.radius, self.angle)
        held = {
            "full": far_place + tangent,
            "begin": near_place - tangent,
            "centre": (near_place + far_place) / 2,
        }[self.of]
        return (
            ReadBack("at", float(self.at), leg.tape_reads(held, self.measured_from)),
            ReadBack(
                "rise", float(self.rise), leg.rise_reads(pipe, rise, self.toward, self.rise_from)
            ),
        )

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At: the vertices that ``of`` is held by. Rise: one off the other."""
        ahead, side = leg.frame.ahead, leg.frame.toward(self.toward)
        half = scaled(ahead, 0.5)
        held: dict[str, Weights] = {
            "full": (PointWeight(1, ahead),),
            "begin": (PointWeight(0, ahead),),
            "centre": (PointWeight(0, half), PointWeight(1, half)),
        }
        return held[self.of], across(0, 1, side)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """The far mark at the full place plus the shrink, the near one back by the multiplier.

        Source:
            catalog/rules-of-thumb.csv; a printed rule knows no arcs.
        """
        multiplier, shrink = rule.offset(self.angle)
        rise, run = self._rise(leg, pipe), self._run(leg, pipe)
        to_full = {"full": 0.0, "begin": run, "centre": run / 2}[self.of]
        used = shrink * rise
        far = base + leg.place(float(self.at), self.measured_from) + to_full + used
        return RuleMarks((RuleMark(far - multiplier * rise), RuleMark(far)), used)

    def _rise(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise, self.toward, self.rise_from)

    def _run(self, leg: Leg, pipe: Pipe) -> float:
        """h / tan θ, along the leg from vertex to vertex; 0 for a square offset."""
        angle = math.radians(self.angle)
        return 0.0 if self.angle == 90 else self._rise(leg, pipe) / ieee.tan(angle)

    def _from_near_vertex(self, leg: Leg, pipe: Pipe) -> float:
        """Along the leg from the near vertex to the place that ``at`` is measured to."""
        tangent = tangent_length(pipe.radius, self.angle)
        return {
            "full": self._run(leg, pipe) + tangent,
            "begin": -tangent,
            "centre": self._run(leg, pipe) / 2,
        }[self.of]


@dataclass(frozen=True, slots=True)
class OffsetOnto(Offset):
    """An offset on to something that is known: ``air`` of its rise is left over that."""

    air: Fraction = Fraction(0)

    @property
    def air_left(self) -> Fraction:
        """What is left over it."""
        return self.air
