"""A ledge: the surface steps up, and the pipe stays up."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import Feature
from yarrow.features.in_document import (
    AT,
    FROM,
    LABEL,
    NO_AIR,
    OUT,
    PICK,
    Field,
    InDocument,
    TypedForm,
)
from yarrow.features.leg import Datum, Following, Leg, Pipe
from yarrow.features.offset import OffsetOnto
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.features.straight import Straight
from yarrow.geometry.frame import Side
from yarrow.obstacles.at_usual_angles import AtUsualAngles
from yarrow.obstacles.crossing import CrossingProfile
from yarrow.obstacles.outline import BlockOutline
from yarrow.obstacles.setting import Section, Setting
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class Ledge(AtUsualAngles):
    """``at`` is its face, ``height`` the step; ``clearance`` is 0 where the pipe lies on it."""

    at: Fraction
    height: Fraction
    toward: Side
    clearance: Fraction = Fraction(0)
    measured_from: Datum = "back"
    pick: str = ""
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "ledge",
        (
            AT,
            FROM,
            Field("height", "size", about="The step."),
            replace(NO_AIR, about="0 where the pipe lies on it."),
            OUT,
            PICK,
            LABEL,
        ),
        typed=(
            TypedForm(
                ("ledge", "plinth", "step"),
                "a step to go up and stay up",
                "height",
                ("height", "at"),
                ("clearance",),
            ),
        ),
        about="The surface steps up at a place, and the pipe stays up.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg its face is, and its step."""
        place = spot.place(self.at, self.measured_from)
        return (
            spot.measured(self.at, self.measured_from, place),
            spot.height(self.height, self.toward, place),
        )

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """From its face to the next line."""
        begins = spot.leg.place(float(self.at), self.measured_from)
        extent = spot.up_to_next(begins)
        return spot.standing("ledge", self.label, begins, extent, self.height, self.toward)

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    @property
    def leads_in(self) -> bool:
        """Going in leads into the surface that it stands on."""
        return self.toward == "in"

    def lift(self, kind: str, angle: float, setting: Setting) -> float:
        """None: the pipe stays up on it."""
        return 0.0

    def crossing(self) -> CrossingProfile | None:
        """It is not come down behind."""
        return None

    def joined_to(
        self, first: CrossingProfile, leg: Leg, most_apart: float
    ) -> tuple[str, CrossingProfile] | None:
        """An offset that is up before the first thing and stays up on the ledge, where that is at
        least as high."""
        place = leg.place(float(self.at), self.measured_from)
        apart = place - leg.place(float(first.begins), first.measured_from)
        rise = self.height + self.clearance
        near = self.toward == first.toward and apart <= most_apart
        if near and rise >= first.height + first.clearance:
            return "offset", replace(first, height=self.height, clearance=self.clearance)
        return None

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """An offset that is full at the face; nothing where spacers carry the pipe that high."""
        rise = self.height + self.clearance
        carried = setting.leg.carried(setting.pipe, rise, self.toward, "surface")
        return ("offset",) if carried > 0 else ("straight",)

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
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
        return Section(self.toward, BlockOutline(place, place + setting.pipe.radius, top))
