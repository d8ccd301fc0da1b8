"""Something square to go over and come down behind: a duct, a beam, a tray."""

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
class RectangularObstacle(CrossedObstacle):
    """``at`` is its near face; it is ``width`` wide and stands ``height`` off the surface."""

    at: Fraction
    width: Fraction
    height: Fraction
    toward: Side
    clearance: Fraction
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "block",
        (
            AT,
            FROM,
            Field("width", "size"),
            Field("height", "size", about="Off the surface to its top."),
            AIR,
            OUT,
            PICK,
            LABEL,
        ),
        typed=(
            TypedForm(
                ("duct", "block", "beam", "tray", "trunking"),
                "something square to go over: 7 3/4 wide 2 7/8 high",
                "width",
                ("width", "height", "at"),
                ("clearance",),
                "height",
            ),
        ),
        about="Something square to go over and come down behind, with its near face at a place.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its near face is, how wide it is, and how high it stands."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.width(self.width, place),
            spot.height(self.height, self.toward, place),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """A block from its near face."""
        begins = spot.leg.place(float(self.at), self.measured_from)
        width = float(self.width)
        return spot.standing("ledge", self.label, begins, width, self.height, self.toward)

    def profile(self) -> CrossingProfile:
        """The same as something to go over."""
        return CrossingProfile(
            begins=self.at,
            width=self.width,
            height=self.height,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
        )
