"""An offset whose angle is left open, or given by the length that it must fit into."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import ClassVar, Literal

from yarrow.catalog.tables import usual_angles
from yarrow.features.feature import Feature
from yarrow.features.in_document import InDocument
from yarrow.features.leg import Datum, Following, Leg, Pipe, RiseFrom
from yarrow.features.offset import Hold, Offset
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.frame import Side
from yarrow.measure import ieee
from yarrow.obstacles.obstacle import StandsAlone
from yarrow.obstacles.setting import Section, Setting
from yarrow.values import dataclass

_HALVINGS = 50


@dataclass(frozen=True, slots=True)
class FreeOffset(StandsAlone):
    """An offset without an angle; ``within``, where it is not None, is the length along the leg
    from where the pipe begins to leave the line to where it is straight again."""

    at: Fraction
    rise: Fraction
    toward: Side
    within: Fraction | None = None
    of: Hold = "full"
    measured_from: Datum = "back"
    rise_from: RiseFrom = "surface"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = Offset.document
    pick_field: ClassVar[Literal["pick", "angle"]] = "angle"

    @property
    def room_given(self) -> Fraction | None:
        """What it must fit into."""
        return self.within

    def further_angles(self, setting: Setting) -> tuple[tuple[str, float], ...]:
        """The angle that just fits, where no usual one does."""
        if self.within is None:
            return ()
        most = self.shortest_angle(setting)
        usual = usual_angles("offset").angles
        if any(angle <= most and not self.too_long(angle, setting) for angle in usual):
            return ()
        return (("offset", round(self.fitting_angle(setting), 2)),)

    @property
    def pick(self) -> str:
        """An angle that a person picks makes it a plain offset."""
        return ""

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """Those of the offset that it became."""
        return spot.line.dimensions(spot)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """That of the offset that it became."""
        return spot.line.site_object(spot)

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """An offset."""
        return ("offset",)

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The offset at that angle, whether it fits into its length or not."""
        if kind != "offset":
            return None
        return Offset(
            at=self.at,
            rise=self.rise,
            toward=self.toward,
            angle=angle,
            of=self.of,
            measured_from=self.measured_from,
            rise_from=self.rise_from,
            loose=self.loose,
            label=self.label,
        )

    def length(self, angle: float, setting: Setting) -> float:
        """h / tan θ + 2 T(θ), along the leg from arc to arc.

        Args:
            angle: in degrees.

        Returns:
            In the document's unit.

        Source:
            docs/geometry.md.
        """
        rise = setting.leg.carried(setting.pipe, self.rise, self.toward, self.rise_from)
        run = 0.0 if angle == 90 else rise / ieee.tan(math.radians(angle))
        return run + 2 * tangent_length(setting.pipe.radius, angle)

    def too_long(self, angle: float, setting: Setting) -> bool:
        """Whether it is longer at an angle than what it must fit into.

        Args:
            angle: in degrees.
        """
        return self.within is not None and self.length(angle, setting) > self.within + _HAIR

    def fitting_angle(self, setting: Setting) -> float:
        """The shallowest angle that fits, or the angle of the shortest offset where none does.

        h / tan θ + 2 R tan(θ/2) falls to its least at one angle, and only rises from there.

        Returns:
            Degrees.
        """
        low, high = 1.0, self.shortest_angle(setting)
        for _ in range(_HALVINGS):
            middle = (low + high) / 2
            fits = self.within is None or self.length(middle, setting) <= self.within
            low, high = (low, middle) if fits else (middle, high)
        return high

    def shortest_angle(self, setting: Setting) -> float:
        """The angle, up to 90, at which the offset takes up the least of the leg.

        The length's slope −h / sin² θ + R / cos²(θ/2) is 0 where sin²(θ/2) = h / 4 R.

        Returns:
            Degrees.
        """
        rise = setting.leg.carried(setting.pipe, self.rise, self.toward, self.rise_from)
        share = max(rise, 0.0) / (4 * setting.pipe.radius)
        return min(2 * math.degrees(ieee.asin(math.sqrt(min(share, 0.5)))), 90.0)

    def size(self) -> float:
        """The rise."""
        return float(self.rise)

    def section(self, setting: Setting) -> Section | None:
        """What it steps over was not said."""
        return None


_HAIR = Fraction(1, 10**6)
