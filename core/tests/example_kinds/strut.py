"""An example of something that is there: strut channel across the way, as high as it is wide."""

from __future__ import annotations

from dataclasses import dataclass
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


@dataclass(frozen=True, slots=True)
class Strut(CrossedObstacle):
    """``at`` is its near face; the channel is ``across`` wide and high."""

    at: Fraction
    across: Fraction
    toward: Side
    clearance: Fraction
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "strut",
        (AT, FROM, Field("across", "size"), AIR, OUT, PICK, LABEL),
        typed=(
            TypedForm(
                ("strut",), "strut channel to go over", "across", ("across", "at"), ("clearance",)
            ),
        ),
        about="Strut channel to go over.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its near face is, how wide it is, and how high it stands."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.width(self.across, place),
            spot.height(self.across, self.toward, place),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """A square block from its near face."""
        begins = spot.leg.place(float(self.at), self.measured_from)
        return spot.standing(
            "ledge", self.label, begins, float(self.across), self.across, self.toward
        )

    def profile(self) -> CrossingProfile:
        """The same as something to go over."""
        return CrossingProfile(
            begins=self.at,
            width=self.across,
            height=self.across,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
        )
