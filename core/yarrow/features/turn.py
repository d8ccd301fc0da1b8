"""Turn: one bend that takes the run, and the frame with it, toward a side."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    AT,
    FROM,
    LABEL,
    TOWARD,
    Alone,
    Field,
    InDocument,
    TypedForm,
    angle_of,
)
from yarrow.features.leg import (
    Corner,
    Datum,
    Following,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    PointWeight,
    ReadBack,
    RuleMarks,
    Weights,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.measure import ieee
from yarrow.role import Role
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Turn(LegFeature):
    """A line of the walk; ``of`` is what ``at`` goes to: the turn's back, centre or inside."""

    at: Fraction
    toward: Side
    angle: float = 90.0
    of: Datum = "back"
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "turn",
        (AT, Field("of", "datum", default="back"), FROM, TOWARD, angle_of(90), LABEL),
        loose=("at", "angle"),
        typed=(
            TypedForm(
                ("stub", "turn", "bend", "upstand", "long leg"),
                "a 90 by its height, or where its back is",
                "at",
                ("at",),
                ("angle",),
                given={"toward": "left"},
                alone=Alone(),
            ),
            TypedForm(
                ("back to back",),
                "the next 90, from the back of the last",
                "at",
                ("at",),
                ("angle",),
                given={"toward": "left", "from": "back"},
                alone=Alone(then={"in": 20, "mm": 500}, before={"in": 20, "mm": 500}),
            ),
        ),
    )

    @property
    def own_angle(self) -> float | None:
        """It has one bend."""
        return None

    @property
    def move(self) -> Move | None:
        """It stays on its line."""
        return None

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """One vertex, short of the surface at its back by (D/2 + stand-off) tan(θ/2).

        Source:
            docs/geometry.md, where a tape is hooked.
        """
        # Behind a turn out lies what the pipe ran along, which it may have stepped up on to.
        off = leg.off_surface(pipe) if self.toward == "out" else pipe.stand_off
        back = pipe.back_beyond_vertex(self.angle, off)
        inside = pipe.inside_short_of_vertex(self.angle)
        reached = leg.place(float(self.at), self.measured_from)
        place = reached - self._beyond_vertex(pipe)
        vertex = leg.point(place)
        return Laid(
            corners=(Corner(vertex, Role.TURN),),
            begins=place,
            ends=place,
            after=Leg(
                leg.number + 1,
                vertex,
                leg.frame.turned(self.toward, self.angle),
                back,
                inside,
                # A turn out or in goes on along another surface, on its spacers.
                leg.nearer if self.toward in ("left", "right") else 0.0,
            ),
            hooked=leg.point(leg.datum(self.measured_from)),
            reached=leg.point(reached),
        )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far it is along the leg."""
        return (spot.measured(self.at, self.measured_from, spot.reached),)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """What it turns along was not measured."""
        return None

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following:
        """At its vertex."""
        vertex = self.lay(leg, pipe).begins
        return Following(vertex, vertex - tangent_length(pipe.radius, self.angle))

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """At: along the leg to the same surface that was measured to."""
        place = dot(subtract(vertices[0], origin), leg.frame.ahead)
        # Of two faces that lie so far off the centreline where they cross, by their two directions.
        off = {"back": pipe.diameter / 2 + pipe.stand_off, "inside": -pipe.diameter / 2}
        turn = math.radians(self.angle)
        reached = place + off.get(self.of, 0.0) * (1 - ieee.cos(turn)) / ieee.sin(turn)
        return (ReadBack("at", float(self.at), leg.tape_reads(reached, self.measured_from)),)

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """At: its vertex."""
        return ((PointWeight(0, leg.frame.ahead),),)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Nothing of its own: take-up and gain are the exact geometry."""
        return None

    def _beyond_vertex(self, pipe: Pipe) -> float:
        if self.of == "back":
            return pipe.back_beyond_vertex(self.angle)
        return -pipe.inside_short_of_vertex(self.angle) if self.of == "inside" else 0.0
