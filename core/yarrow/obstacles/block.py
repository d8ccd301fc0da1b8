"""Something square to go over and come down behind: a duct, a beam, a tray."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import Datum
from yarrow.bends.registry import Line
from yarrow.geometry.frame import Side
from yarrow.obstacles.obstacle import Section, Setting
from yarrow.obstacles.over import Hump


@dataclass(frozen=True, slots=True)
class BlockThing:
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

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """A 4-bend saddle; a 3-bend one where its corners hardly lift that."""
        return self.hump().kinds(setting)

    def answer(self, kind: str, angle: float, setting: Setting) -> Line | None:
        """The saddle of that kind."""
        return self.hump().line(kind, angle, setting)

    def size(self) -> float:
        """Its height and the clearance."""
        return float(self.height + self.clearance)

    def section(self, setting: Setting) -> Section:
        """A rectangle."""
        return self.hump().section(setting)
