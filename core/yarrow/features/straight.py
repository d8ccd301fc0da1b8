"""Straight on: the answer to something that the pipe clears without a bend."""

from __future__ import annotations

from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import InDocument
from yarrow.features.leg import (
    Datum,
    Laid,
    Leg,
    MultiplierTable,
    Pipe,
    ReadBack,
    RuleMarks,
    Weights,
)
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Straight(LegFeature):
    """No bend at all, at a place where something was measured; ``step`` is by how much the surface
    stands higher from there on."""

    at: Fraction
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    label: str = ""
    step: Fraction = Fraction(0)

    toward: ClassVar[None] = None
    document: ClassVar[InDocument] = InDocument("straight", ())

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

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far it is along the leg."""
        return (spot.measured(self.at, self.measured_from, spot.reached),)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """It passes nothing."""
        return None

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """Nothing was asked of the pipe here."""
        return ()

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """Nothing."""
        return ()

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """No bend."""
        return None
