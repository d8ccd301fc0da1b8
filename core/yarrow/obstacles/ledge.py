"""A ledge: the surface steps up, and the pipe stays up."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction

from yarrow.bends.leg import Datum
from yarrow.bends.offset import OffsetOnto
from yarrow.bends.registry import Line
from yarrow.bends.straight import Straight
from yarrow.geometry.frame import Side
from yarrow.obstacles.obstacle import Section, Setting
from yarrow.obstacles.outline import Block


@dataclass(frozen=True, slots=True)
class Ledge:
    """``at`` is its face, ``height`` the step; ``clearance`` is 0 where the pipe lies on it."""

    at: Fraction
    height: Fraction
    toward: Side
    clearance: Fraction = Fraction(0)
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """An offset that is full at the face; nothing where spacers carry the pipe that high."""
        rise = self.height + self.clearance
        carried = setting.leg.carried(setting.pipe, rise, self.toward, "surface")
        return ("offset",) if carried > 0 else ("straight",)

    def answer(self, kind: str, angle: float, setting: Setting) -> Line | None:
        """The offset at that angle."""
        if kind == "straight":
            return Straight(self.at, self.measured_from, label=self.label, step=self.height)
        if kind != "offset":
            return None
        return OffsetOnto(
            at=self.at,
            rise=self.height + self.clearance,
            toward=self.toward,
            angle=angle,
            measured_from=self.measured_from,
            label=self.label,
            air=self.clearance,
        )

    def size(self) -> float:
        """The step and the clearance."""
        return float(self.height + self.clearance)

    def section(self, setting: Setting) -> Section:
        """Everything behind its face, as far as bends of this pipe matter."""
        place = setting.leg.place(float(self.at), self.measured_from)
        top = float(self.height) - setting.rest_above_surface(self.toward)
        return Section(self.toward, Block(place, place + setting.pipe.radius, top))
