"""Going over: what a round thing and a block have in common, and how high a saddle must go."""

from __future__ import annotations

from abc import ABC, abstractmethod
from fractions import Fraction

from yarrow.features.clearing import lift_over_block, lift_over_round
from yarrow.features.feature import Feature
from yarrow.features.leg import Datum, Following, Leg, Pipe
from yarrow.features.saddle3 import Saddle3
from yarrow.features.saddle4 import Saddle4
from yarrow.features.straight import Straight
from yarrow.geometry.frame import Side
from yarrow.obstacles.at_usual_angles import AtUsualAngles
from yarrow.obstacles.outline import BlockOutline, RoundOutline
from yarrow.obstacles.setting import Section, Setting, exact
from yarrow.values import dataclass

SMALL_LIFT = 0.15
"""Of the height: as much higher as a 3-bend saddle may go before a 4-bend one is the usual."""


@dataclass(frozen=True, slots=True)
class CrossingProfile:
    """Something to go over and come down behind: from ``begins`` for ``width`` along the leg,
    ``height`` off the surface; ``radius`` of its round top, 0 for a square one."""

    begins: Fraction
    width: Fraction
    height: Fraction
    clearance: Fraction
    toward: Side
    measured_from: Datum
    label: str
    radius: Fraction = Fraction(0)

    def line(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The saddle of a kind, high enough that nothing is touched at its sides either.

        Args:
            kind: of saddle, or ``straight``.
            angle: of its centre or its offsets, degrees.
        """
        if kind == "straight":
            return Straight(self.begins, self.measured_from, label=self.label)
        if kind == "saddle4":
            return Saddle4(
                at=self.begins,
                width=self.width,
                rise=self.height,
                toward=self.toward,
                angle=angle,
                clearance=self.clearance,
                measured_from=self.measured_from,
                label=self.label,
            )
        if kind != "saddle3":
            return None
        return Saddle3(
            at=self.begins + self.width / 2,
            rise=self.height,
            toward=self.toward,
            angle=angle,
            clearance=self.clearance + exact(self.lift(angle, setting)),
            measured_from=self.measured_from,
            label=self.label,
        )

    def lift(self, angle: float, setting: Setting) -> float:
        """How much higher than its top and clearance a 3-bend saddle goes, to clear its sides.

        Args:
            angle: the centre bend's, in degrees.
            setting: for the pipe.
        """
        pipe, air = setting.pipe, float(self.clearance)
        if self.radius:
            return lift_over_round(pipe, float(self.radius), air, angle)
        return lift_over_block(pipe, float(self.width), air, angle)

    def joined_to(
        self, first: CrossingProfile, leg: Leg, most_apart: float
    ) -> tuple[str, CrossingProfile] | None:
        """One 4-bend saddle over a hump and this one, where both stand on one side and together
        reach no further than ``most_apart``."""
        if self.toward != first.toward:
            return None
        stretches = [
            (leg.place(float(profile.begins), profile.measured_from), float(profile.width))
            for profile in (first, self)
        ]
        begins = min(at for at, _ in stretches)
        ends = max(at + width for at, width in stretches)
        if ends - begins > most_apart:
            return None
        top = max(first.height + first.clearance, self.height + self.clearance)
        height = max(first.height, self.height)
        return "saddle4", CrossingProfile(
            begins=exact(begins),
            width=exact(ends - begins),
            height=height,
            clearance=top - height,
            toward=self.toward,
            measured_from="centre",
            label=" and ".join(name for name in (first.label, self.label) if name)[:80],
        )

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """Nothing where spacers carry the pipe over it already; else saddles, the usual first."""
        top = self.height + self.clearance
        if setting.leg.carried(setting.pipe, top, self.toward, "surface") <= 0:
            return ("straight",)
        lift = self.lift(45.0, setting)
        usual = lift <= SMALL_LIFT * float(self.height)
        return ("saddle3", "saddle4") if usual else ("saddle4", "saddle3")

    def section(self, setting: Setting) -> Section:
        """Its outline, in the plane of the bends."""
        place = setting.leg.place(float(self.begins), self.measured_from)
        top = float(self.height) - setting.rest_above_surface(self.toward)
        if self.radius:
            radius = float(self.radius)
            return Section(
                self.toward, RoundOutline(place + float(self.width) / 2, top - radius, radius)
            )
        return Section(self.toward, BlockOutline(place, place + float(self.width), top))


class CrossedObstacle(AtUsualAngles, ABC):
    """What everything that is gone over has in common: it answers by its hump."""

    __slots__ = ()

    @abstractmethod
    def profile(self) -> CrossingProfile:
        """The same as something to go over."""

    def ends_leg(self, leg: Leg, pipe: Pipe) -> Following | None:
        """The leg goes on."""
        return None

    @property
    def leads_in(self) -> bool:
        """Going in leads into the surface that it stands on."""
        return self.profile().toward == "in"

    def crossing(self) -> CrossingProfile:
        """It is gone over."""
        return self.profile()

    def lift(self, kind: str, angle: float, setting: Setting) -> float:
        """For its sides, where a 3-bend saddle goes over them.

        Args:
            kind: of bends.
            angle: in degrees.

        Returns:
            In the document's unit.
        """
        return self.profile().lift(angle, setting) if kind == "saddle3" else 0.0

    def joined_to(
        self, first: CrossingProfile, leg: Leg, most_apart: float
    ) -> tuple[str, CrossingProfile] | None:
        """One 4-bend saddle over both.

        Args:
            first: what stands before it.
            most_apart: how far both may reach together, a length.

        Returns:
            The kind of bends, and the hump in the document's unit.
        """
        return self.profile().joined_to(first, leg, most_apart)

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """Saddles, the usual one for its shape first.

        Returns:
            As documents name them.
        """
        return self.profile().kinds(setting)

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The saddle of that kind.

        Args:
            kind: of bends.
            angle: in degrees.
        """
        return self.profile().line(kind, angle, setting)

    def size(self) -> float:
        """Its height and the clearance.

        Returns:
            In the document's unit.
        """
        profile = self.profile()
        return float(profile.height + profile.clearance)

    def section(self, setting: Setting) -> Section:
        """Its outline, in the plane of the bends."""
        return self.profile().section(setting)
