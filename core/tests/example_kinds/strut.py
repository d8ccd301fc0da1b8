"""An example of something that is there: strut channel across the way, as high as it is wide."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from typing import ClassVar

from yarrow.bends.in_document import AIR, AT, FROM, LABEL, OUT, PICK, Field, InDocument, Said
from yarrow.bends.leg import Datum
from yarrow.bends.on_site import Dimension, SiteObject, Spot
from yarrow.geometry.frame import Side
from yarrow.obstacles.over import GoneOver, Hump


@dataclass(frozen=True, slots=True)
class Strut(GoneOver):
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
        said=(
            Said(
                ("strut",), "strut channel to go over", "across", ("across", "at"), ("clearance",)
            ),
        ),
        about="Strut channel to go over.",
    )

    def dimensions(self, spot: Spot) -> tuple[Dimension, ...]:
        """How far along the leg its near face is, how wide it is, and how high it stands."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.width(self.across, place),
            spot.height(self.across, self.toward, place),
        )

    def site_object(self, spot: Spot) -> SiteObject | None:
        """A square block from its near face."""
        begins = spot.leg.place(float(self.at), self.measured_from)
        return spot.standing(
            "ledge", self.label, begins, float(self.across), self.across, self.toward
        )

    def hump(self) -> Hump:
        """The same as something to go over."""
        return Hump(
            begins=self.at,
            width=self.across,
            height=self.across,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
        )
