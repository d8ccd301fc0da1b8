"""A box whose knockout stands off the wall that the pipe lies on."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.features.box_offset import BoxOffset
from yarrow.features.feature import Feature
from yarrow.features.in_document import LABEL, PICK, WHERE, Field, InDocument, TypedForm, margin_of
from yarrow.features.leg import Datum, Following, Leg, Pipe
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.features.straight import Straight
from yarrow.obstacles.obstacle import StandsAlone
from yarrow.obstacles.setting import Section, Setting, exact
from yarrow.values import dataclass

AS_GOOD_AS_STRAIGHT = 0.02
"""Of the pipe's diameter: what a connector takes up without a bend."""


@dataclass(frozen=True, slots=True)
class Box(StandsAlone):
    """``knockout`` is from the surface to the middle of the hole; ``margin`` the straight that the
    connector and the bender's hook take."""

    where: Literal["start", "end"]
    knockout: Fraction
    margin: Fraction
    pick: str = ""
    label: str = ""

    at: ClassVar[Fraction] = Fraction(0)
    measured_from: ClassVar[Datum] = "centre"
    toward: ClassVar[None] = None
    implied_fitting: ClassVar[str] = "connector"
    document: ClassVar[InDocument] = InDocument(
        "box",
        (
            WHERE,
            Field("knockout", "size", about="From the wall to the middle of the hole."),
            margin_of("Straight pipe left for the connector; left out, 2 in or 50 mm."),
            PICK,
            LABEL,
        ),
        typed=(
            TypedForm(
                ("knockout",),
                "the start box's knockout off the wall",
                "knockout",
                ("knockout",),
                given={"where": "start"},
            ),
        ),
        about="A box at the start or the end, whose knockout stands off the wall that the pipe "
        "lies on.",
    )

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """Neither its knockout nor its margin is read off along the walk."""
        return ()

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """Drawn by the run, at both ends alike."""
        return None

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """A box offset, unless the pipe's own middle is at the knockout's height."""
        off = self._off(setting)
        straight = abs(off) <= AS_GOOD_AS_STRAIGHT * setting.pipe.diameter
        return ("straight",) if straight else ("box_offset",)

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The box offset, out of the box or into it, whichever side of the line the knockout is."""
        if kind == "straight":
            return Straight(self.at, self.measured_from, label=self.label)
        if kind != "box_offset" or angle >= 90:
            return None
        off = self._off(setting)
        down = (off > 0) == (self.where == "start")
        return BoxOffset(
            where=self.where,
            rise=exact(abs(off)),
            toward="in" if down else "out",
            margin=self.margin,
            angle=angle,
            rise_from="pipe",
            label=self.label,
        )

    def size(self) -> float:
        """How far off the wall the knockout is."""
        return float(self.knockout)

    def section(self, setting: Setting) -> Section | None:
        """The pipe goes into it."""
        return None

    def _off(self, setting: Setting) -> float:
        """The knockout's middle above the resting pipe's."""
        return float(self.knockout) - setting.rest_above_surface("out")
