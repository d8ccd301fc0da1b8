"""Straight on: the answer to something that the pipe clears without a bend."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from typing import ClassVar

from yarrow.bends.feature import Move, OnItsLeg
from yarrow.bends.leg import ByRule, Datum, Laid, Leg, Pipe, Read, Rule
from yarrow.bends.on_site import Dimension, SiteObject, Spot
from yarrow.geometry.vectors import Vector


@dataclass(frozen=True, slots=True)
class Straight(OnItsLeg):
    """No bend at all, at a place where something was measured; ``step`` is by how much the surface
    stands higher from there on."""

    at: Fraction
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    label: str = ""
    step: Fraction = Fraction(0)

    toward: ClassVar[None] = None

    @property
    def may_be_loose(self) -> tuple[str, ...]:
        """It is put where something else was measured."""
        return ()

    @property
    def own_angle(self) -> float | None:
        """It has no bend."""
        return None

    @property
    def move(self) -> Move | None:
        """It stays on its line."""
        return None

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """No corner; the leg goes on as it was."""
        place = leg.place(float(self.at), self.measured_from)
        hooked = leg.point(leg.datum(self.measured_from))
        return Laid((), place, place, leg.lowered(float(self.step)), hooked, leg.point(place))

    def dimensions(self, spot: Spot) -> tuple[Dimension, ...]:
        """How far it is along the leg."""
        return (spot.measured(self.at, self.measured_from, spot.reached),)

    def site_object(self, spot: Spot) -> SiteObject | None:
        """It passes nothing."""
        return None

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Read, ...]:
        """Nothing was asked of the pipe here."""
        return ()

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: Rule) -> ByRule | None:
        """No bend."""
        return None
