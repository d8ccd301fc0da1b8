"""What every obstacle can do: name the bends that answer it, and tell its outline."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar, Literal, Protocol

from yarrow.features.feature import Feature
from yarrow.features.leg import Datum, Leg
from yarrow.features.on_site import OnSite
from yarrow.obstacles.at_usual_angles import AtUsualAngles
from yarrow.obstacles.crossing import CrossingProfile
from yarrow.obstacles.setting import Section, Setting


class Obstacle(OnSite, Protocol):
    """Something that a tape meets."""

    is_obstacle: ClassVar[Literal[True]]

    @property
    def pick(self) -> str:
        """The chosen answer: ``saddle3 45``; empty where Yarrow chooses."""

    @property
    def label(self) -> str:
        """What the person calls it."""

    @property
    def at(self) -> Fraction:
        """Where along the leg the tape met it."""

    @property
    def measured_from(self) -> Datum:
        """Where the tape was hooked for that."""

    def kinds(self, setting: Setting) -> tuple[str, ...]:
        """The kinds of bends that can answer it here, the usual one first.

        Returns:
            As documents name them.
        """

    def answer(self, kind: str, angle: float, setting: Setting) -> Feature | None:
        """The line of bends of a kind, at an angle in degrees; None where that is no answer.

        Args:
            kind: one of ``kinds``.
            angle: in degrees.
        """

    def size(self) -> float:
        """How far the pipe has to move for it: what a usual angle is told by.

        Returns:
            In the document's unit.
        """

    def section(self, setting: Setting) -> Section | None:
        """What must not be touched; None where the pipe is meant to lie on it or go through."""

    def lift(self, kind: str, angle: float, setting: Setting) -> float:
        """How much higher than its top and clearance bends of a kind have to go, at an angle in
        degrees, so that its sides are cleared too.

        Args:
            kind: one of ``kinds``.
            angle: in degrees.

        Returns:
            In the document's unit.
        """

    @property
    def leads_in(self) -> bool:
        """Whether it stands on the surface that the run lies on, and is said to be passed inside of
        that."""

    @property
    def pick_field(self) -> Literal["pick", "angle"]:
        """The field of its line that a person's pick is written to."""

    @property
    def room_given(self) -> Fraction | None:
        """The length along the leg that its bends must fit into; None where nothing was said."""

    def further_angles(self, setting: Setting) -> tuple[tuple[str, float], ...]:
        """Kinds and angles to try besides the usual ones.

        Returns:
            Angles in degrees.
        """

    def crossing(self) -> CrossingProfile | None:
        """Itself as something to go over and come down behind; None where it is no such thing."""

    def joined_to(
        self, first: CrossingProfile, leg: Leg, most_apart: float
    ) -> tuple[str, CrossingProfile] | None:
        """How bends that go over something before it take it too: their kind, and the hump that
        both make; None where they do not go together.

        Args:
            first: what stands before it.
            most_apart: a length, from where the first begins to where this one does, or ends.

        Returns:
            The kind of bends, and the hump in the document's unit.
        """


class StandsAlone(AtUsualAngles):
    """What bends are put to by itself, and which has no sides that have to be cleared."""

    __slots__ = ()

    @property
    def leads_in(self) -> bool:
        """It does not stand on the surface."""
        return False

    def lift(self, kind: str, angle: float, setting: Setting) -> float:
        """None."""
        return 0.0

    def crossing(self) -> CrossingProfile | None:
        """It is not gone over."""
        return None

    def joined_to(
        self, first: CrossingProfile, leg: Leg, most_apart: float
    ) -> tuple[str, CrossingProfile] | None:
        """It is not."""
        return None
