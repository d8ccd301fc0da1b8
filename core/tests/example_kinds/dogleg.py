"""An example of a bend: a step at 45°, held by its middle."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from typing import ClassVar

from yarrow.features.feature import LegFeature, Move
from yarrow.features.in_document import (
    AT,
    CARRIED,
    FROM,
    LABEL,
    RISE,
    TOWARD,
    InDocument,
    TypedForm,
)
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
from yarrow.features.offset import Offset
from yarrow.features.on_site import LegPosition, MeasuredSpan, ObjectShape
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector


@dataclass(frozen=True, slots=True)
class Dogleg(LegFeature):
    """``at`` is the middle of the step."""

    at: Fraction
    rise: Fraction
    toward: Side
    measured_from: Datum = "back"
    loose: tuple[str, ...] = ()
    label: str = ""

    document: ClassVar[InDocument] = InDocument(
        "dogleg",
        (AT, FROM, RISE, TOWARD, LABEL),
        loose=("at", "rise"),
        typed=(TypedForm(("dogleg",), "a step at 45°", "rise", ("rise", "at"), given=CARRIED),),
    )

    @property
    def own_angle(self) -> float | None:
        """It is always 45°."""
        return None

    @property
    def move(self) -> Move | None:
        """By its rise."""
        return self._step().move

    def _step(self) -> Offset:
        return Offset(
            self.at, self.rise, self.toward, 45.0, "centre", self.measured_from, label=self.label
        )

    def lay(self, leg: Leg, pipe: Pipe) -> Laid:
        """An offset's vertices."""
        return self._step().lay(leg, pipe)

    def read_back(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[ReadBack, ...]:
        """Rise and place, as an offset's."""
        return self._step().read_back(leg, pipe, origin, vertices)

    def read_by(
        self, leg: Leg, pipe: Pipe, origin: Vector, vertices: tuple[Vector, ...]
    ) -> tuple[Weights, ...]:
        """As an offset's."""
        return self._step().read_by(leg, pipe, origin, vertices)

    def by_rule(self, leg: Leg, pipe: Pipe, base: float, rule: MultiplierTable) -> RuleMarks | None:
        """An offset's marks."""
        return self._step().by_rule(leg, pipe, base, rule)

    def dimensions(self, spot: LegPosition) -> tuple[MeasuredSpan, ...]:
        """How far along the leg, and its rise."""
        return self._step().dimensions(spot)

    def site_object(self, spot: LegPosition) -> ObjectShape | None:
        """Not known."""
        return None
