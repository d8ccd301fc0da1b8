"""A hole to pass at a given depth: bored in a plate or a stud, off the line of the pipe."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import Feature
from yarrow.features.in_document import (
    AT,
    CARRIED,
    FROM,
    LABEL,
    PICK,
    TOWARD,
    Field,
    InDocument,
    TypedForm,
)
from yarrow.features.kick import KickThrough
from yarrow.features.leg import Datum, Following, Leg, Pipe
from yarrow.features.offset import Offset
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import along
from yarrow.measure import ieee
from yarrow.obstacles.obstacle import StandsAlone
from yarrow.obstacles.setting import Section, Setting, exact
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Hole(StandsAlone):
    """``at`` is the face that it is bored in, ``depth`` how far its middle lies off the pipe's
    line."""

    at: Fraction
    depth: Fraction
    toward: Side
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "hole",
        (
            AT,
            FROM,
            Field(
                "depth",
                "size",
                about="From the middle of the pipe as it lies to the middle of the hole.",
            ),
            TOWARD,
            PICK,
            LABEL,
        ),
        typed=(
            TypedForm(
                ("hole",),
                "a bored hole, so far off the line",
                "depth",
                ("depth", "at"),
                given=CARRIED,
            ),
        ),
        about="A hole to pass: its face is at a place, its middle so deep off the line of the "
        "pipe.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its face is, and how far off the line its middle."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.across("depth", self.depth, self.toward, place),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """The plate that it is bored in, as wide as the pipe."""
        frame, side = spot.leg.frame, spot.leg.frame.toward(self.toward)
        middle = along(spot.place(self.at, self.measured_from), side, float(self.depth))
        return ObjectShape("hole", self.label, middle, frame.ahead, side, 0.0, spot.pipe.diameter)

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """A kick where the leg ends behind it; otherwise an offset, which is straight again."""
        return ("offset",) if setting.following is None else ("kick", "offset")

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The offset, full at the face; or the kick whose slope goes through the hole's middle."""
        if kind == "offset":
            return Offset(
                at=self.at,
                rise=self.depth,
                toward=self.toward,
                angle=angle,
                measured_from=self.measured_from,
                rise_from="pipe",
                label=self.label,
            )
        if kind != "kick" or setting.following is None or angle >= 90:
            return None
        hole = setting.leg.place(float(self.at), self.measured_from)
        slope = ieee.tan(math.radians(angle))
        kick = hole - float(self.depth) / slope
        rise = (setting.following.vertex - kick) * slope
        if rise <= 0:
            return None
        return KickThrough(
            at=exact(kick - setting.leg.datum(self.measured_from)),
            rise=exact(rise),
            toward=self.toward,
            measured_from=self.measured_from,
            rise_from="pipe",
            label=self.label,
            hole=self.at,
            depth=self.depth,
        )

    def size(self) -> float:
        """How far off the line it is."""
        return float(self.depth)

    def section(self, setting: Setting) -> Section | None:
        """The pipe goes through it."""
        return None
