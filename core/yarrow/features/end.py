"""End: where the run stops, at the face of a fitting, with what the pipe goes beyond it."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import AT, FROM, LABEL, Field, InDocument, TypedForm
from yarrow.features.leg import (
    Corner,
    Datum,
    Following,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    PipeEnd,
    PointWeight,
    ReadBack,
    RuleMarks,
    Weights,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.vectors import Vector, along, dot, length, subtract
from yarrow.role import Role
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class End(LegFeature):
    """The last line of a walk; ``allowance`` is resolved: pipe beyond the face (< 0: short).
    ``own`` is what the crew calls its own fitting there."""

    at: Fraction
    allowance: Fraction
    fitting: str = "open"
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    box: str = ""
    label: str = ""
    own: str = ""

    toward: ClassVar[None] = None
    document: ClassVar[InDocument] = InDocument(
        "end",
        (
            AT,
            FROM,
            Field("fitting", "fitting", default="open"),
            Field("allowance", "length", optional=True),
            Field(
                "meet",
                "point",
                optional=True,
                about="Where this face is fixed, seen from the start: ahead, left, out. Loose "
                "numbers are moved until it is reached.",
            ),
            Field("box", "box_named"),
            LABEL,
            Field("own", "label"),
        ),
        loose=("at",),
        typed=(
            TypedForm(
                ("box",), "the box that it ends at", "at", ("at",), given={"fitting": "connector"}
            ),
            TypedForm(("end",), "where the pipe ends", "at", ("at",)),
            TypedForm(
                ("coupling", "coupler"),
                "the coupling that it ends in",
                "at",
                ("at",),
                given={"fitting": "coupling"},
            ),
            TypedForm(("hub",), "the hub that it ends in", "at", ("at",), given={"fitting": "hub"}),
        ),
    )

    @property
    def own_angle(self) -> float | None:
        """It has no bend."""
        return None

    @property
    def move(self) -> Move | None:
        """It ends on its line."""
        return None

    def ends_run(self) -> PipeEnd | None:
        """At its face."""
        return PipeEnd(
            float(self.at),
            self.measured_from,
            float(self.allowance),
            self.fitting,
            self.label,
            self.own,
        )

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """One vertex, the end of the pipe: the face and, along the pipe, the allowance beyond it. A
        kick before it has leaned the pipe over where it passes the face, and goes on as steep."""
        face = leg.place(float(self.at), self.measured_from)
        passes = leg.point(face)
        way = subtract(passes, leg.leans_from) if leg.leans_from else leg.frame.ahead
        reach = float(self.allowance) / (length(way) or 1.0)
        place = face + reach * dot(way, leg.frame.ahead)
        return Laid(
            corners=(Corner(along(passes, way, reach), Role.END),),
            begins=place,
            ends=place,
            after=leg,
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=passes,
        )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far it is along the leg."""
        return (spot.measured(self.at, self.measured_from, spot.reached),)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """Its fitting is drawn by the run, at both ends alike."""
        return None

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following:
        """At its face; the pipe ends with its allowance."""
        face = leg.place(float(self.at), self.measured_from)
        return Following(face, self.lay(leg, pipe).begins)

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """At: along the leg to the face."""
        face = dot(subtract(vertices[0], origin), leg.frame.ahead)
        return (ReadBack("at", float(self.at), leg.tape_reads(face, self.measured_from)),)

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At: the face."""
        return ((PointWeight(0, leg.frame.ahead),),)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """No bend."""
        return None
