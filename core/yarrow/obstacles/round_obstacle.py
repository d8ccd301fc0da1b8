"""Something round to go over: another pipe, a cable, a rail."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar

from yarrow.features.in_document import (
    AIR,
    AT,
    FROM,
    LABEL,
    OUT,
    PICK,
    Field,
    InDocument,
    TypedForm,
)
from yarrow.features.leg import Datum
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.frame import Side
from yarrow.obstacles.crossing import CrossedObstacle, CrossingProfile
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class RoundObstacle(CrossedObstacle):
    """``at`` is its middle; it is ``across`` wide and stands ``height`` off the surface."""

    at: Fraction
    across: Fraction
    toward: Side
    height: Fraction
    clearance: Fraction
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "round",
        (
            AT,
            FROM,
            Field("across", "size", about="Its diameter."),
            Field(
                "height",
                "size",
                like="across",
                about="Off the surface to its top; left out, as much as it is across.",
            ),
            AIR,
            OUT,
            PICK,
            LABEL,
        ),
        typed=(
            TypedForm(
                ("pipe", "round", "cable"),
                "something round to go over",
                "across",
                ("across", "at"),
                ("height", "clearance"),
            ),
        ),
        about="Something round to go over, with its middle at a place.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its middle is, and how high it stands."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.height(self.height, self.toward, place),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """A round thing about its middle."""
        across = float(self.across)
        begins = spot.leg.place(float(self.at), self.measured_from) - across / 2
        return spot.standing("round", self.label, begins, across, self.height, self.toward)

    def profile(self) -> CrossingProfile:
        """The same as something to go over."""
        return CrossingProfile(
            begins=self.at - self.across / 2,
            width=self.across,
            height=self.height,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
            radius=self.across / 2,
        )
