"""Something square to go over and come down behind: a duct, a beam, a tray."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import Datum
from yarrow.geometry.frame import Side
from yarrow.obstacles.over import GoneOver, Hump


@dataclass(frozen=True, slots=True)
class BlockThing(GoneOver):
    """``at`` is its near face; it is ``width`` wide and stands ``height`` off the surface."""

    at: Fraction
    width: Fraction
    height: Fraction
    toward: Side
    clearance: Fraction
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    def hump(self) -> Hump:
        """The same as something to go over."""
        return Hump(
            begins=self.at,
            width=self.width,
            height=self.height,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
        )
