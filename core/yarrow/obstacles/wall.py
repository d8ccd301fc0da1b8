"""A wall to turn at: the pipe's back lies on it, or stands off it as everywhere on the run."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import Feature
from yarrow.features.in_document import (
    AT,
    FROM,
    LABEL,
    PICK,
    TOWARD,
    InDocument,
    TypedForm,
    angle_of,
)
from yarrow.features.leg import Datum, Following, Leg, Pipe
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.features.turn import Turn
from yarrow.geometry.frame import Side
from yarrow.obstacles.obstacle import StandsAlone
from yarrow.obstacles.setting import Section, Setting
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Wall(StandsAlone):
    """``at`` is its face; the run goes on ``toward`` a side of it, turned by ``angle``."""

    at: Fraction
    toward: Side
    angle: float = 90.0
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "wall",
        (AT, FROM, TOWARD, angle_of(90), PICK, LABEL),
        typed=tuple(
            TypedForm(
                (side, f"wall {side}"),
                hint,
                "at",
                ("at",),
                ("angle",),
                given={"toward": side},
                firm=True,
            )
            for side, hint in (
                ("left", "a wall: turn left"),
                ("right", "a wall: turn right"),
                ("out", "turn away from the wall"),
                ("in", "turn into the wall"),
            )
        ),
        about="A wall to turn at; its face is at a place.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its face is."""
        place = spot.place(self.at, self.measured_from)
        return (spot.measured(self.at, self.measured_from, place),)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """Not drawn: the turn lies along it."""
        return None

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following:
        """Where the turn along it does."""
        return self._turn().ends_leg(leg, pipe)

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """A turn."""
        return ("turn",)

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The turn along the wall; the wall itself says by how much."""
        if kind != "turn":
            return None
        return self._turn()

    def _turn(self) -> Turn:
        return Turn(
            self.at, self.toward, self.angle, measured_from=self.measured_from, label=self.label
        )

    def size(self) -> float:
        """A wall is as far as it is."""
        return float(self.at)

    def section(self, setting: Setting) -> Section | None:
        """The back lies on it by measure."""
        return None
