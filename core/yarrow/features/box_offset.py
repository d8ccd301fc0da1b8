"""Box offset: from the knockout's height down to the surface, close to the pipe's end."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    LABEL,
    RISE,
    RISE_FROM,
    TOWARD,
    WHERE,
    Alone,
    InDocument,
    TypedForm,
    angle_of,
    margin_of,
)
from yarrow.features.leg import (
    Corner,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    ReadBack,
    RiseFrom,
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
class BoxOffset(LegFeature):
    """A line of the walk at its start or its end: ``margin`` of straight pipe is left between the
    pipe's end and the mark of the bend that is nearer to it, so that the hook holds straight pipe
    and does not spoil the end; where that is too short for the hook, up to its arc."""

    where: Literal["start", "end"]
    rise: Fraction
    toward: Side
    margin: Fraction
    angle: float = 10.0
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "box_offset",
        (
            WHERE,
            RISE,
            TOWARD,
            margin_of(
                "Straight pipe before it, which the bender's hook takes without crushing the end; "
                "left out, 2 in or 50 mm."
            ),
            angle_of(10),
            RISE_FROM,
            LABEL,
        ),
        loose=("rise", "angle"),
        typed=(
            TypedForm(
                ("box offset", "box set"),
                "from a knockout down to the wall",
                "rise",
                ("rise",),
                ("angle", "margin"),
                "angle",
                {"where": "start", "toward": "in"},
                alone=Alone(then={"in": 60, "mm": 1500}),
            ),
        ),
    )

    place_field: ClassVar[Literal["at", "margin"]] = "margin"

    @property
    def own_angle(self) -> float | None:
        """That of its bends."""
        return self.angle

    @property
    def move(self) -> Move | None:
        """By its rise."""
        return Move(self.rise, self.toward, self.rise_from)

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """An offset whose first mark (at the end: last) is ``margin`` from the pipe's end, with the
        hook toward that; where the hook has to face away, its arc is.

        Source:
            docs/geometry.md, the named bends.
        """
        run = self._rise(leg, pipe) / ieee.tan(math.radians(self.angle))
        reach = pipe.arc_from_end(float(self.margin)) + tangent_length(pipe.radius, self.angle)
        if self.where == "start" or pipe.end is None:
            near = pipe.begins + reach
        else:
            end = leg.place(pipe.end.at, pipe.end.measured_from) + pipe.end.allowance
            near = end - reach - run
        after = leg.stepped(pipe, self.toward, self._rise(leg, pipe), self.rise_from)
        return Laid(
            corners=(Corner(leg.point(near), Role.NEAR), Corner(after.point(near + run), Role.FAR)),
            begins=near,
            ends=near + run,
            after=after,
            hooked=leg.point(near),
            reached=leg.point(near + run),
        )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """Its rise; its margin is not read off a wall."""
        return (spot.rise(self.rise, self.toward, self.rise_from),)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """Its box is drawn by the run, at both ends alike."""
        return None

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """Rise: across the leg from vertex to vertex."""
        rise = dot(subtract(vertices[1], vertices[0]), leg.frame.toward(self.toward))
        return (
            ReadBack(
                "rise", float(self.rise), leg.rise_reads(pipe, rise, self.toward, self.rise_from)
            ),
        )

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """Rise: one vertex off the other."""
        return (across(0, 1, leg.frame.toward(self.toward)),)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """Nothing: so small an offset is marked from the pipe's end, which is exact."""
        return None

    def _rise(self, leg: Leg, pipe: Pipe) -> float:
        return leg.carried(pipe, self.rise, self.toward, self.rise_from)
