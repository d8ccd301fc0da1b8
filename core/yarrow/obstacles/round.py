"""Something round to go over: another pipe, a cable, a rail."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import Datum
from yarrow.bends.registry import Line
from yarrow.geometry.frame import Side
from yarrow.obstacles.obstacle import Section, Setting
from yarrow.obstacles.over import Hump


@dataclass(frozen=True, slots=True)
class RoundThing:
    """``at`` is its middle; it is ``across`` wide and stands ``height`` off the surface."""

    at: Fraction
    across: Fraction
    toward: Side
    height: Fraction
    clearance: Fraction
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    def hump(self) -> Hump:
        """The same as something to go over."""
        return Hump(
            begins=self.at - self.across / 2,
            width=self.across,
            height=self.height,
            clearance=self.clearance,
            toward=self.toward,
            measured_from=self.measured_from,
            label=self.label,
            radius=self.across / 2,
        )

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """A 3-bend saddle; a 4-bend one where it is as large as the bend itself."""
        return self.hump().kinds(setting)

    def answer(self, kind: str, angle: float, setting: Setting) -> Line | None:
        """The saddle of that kind."""
        return self.hump().line(kind, angle, setting)

    def size(self) -> float:
        """Its height and the clearance."""
        return float(self.height + self.clearance)

    def section(self, setting: Setting) -> Section:
        """A circle."""
        return self.hump().section(setting)
