"""How deep a set came out, over a straightedge on the leg before it."""

from __future__ import annotations

import math
from typing import ClassVar

from yarrow.bench.readings.pairs import OfPair
from yarrow.bench.readings.reading import BentPiece, ReadingSchema, length_schema
from yarrow.benders.habits import STUB_FROM
from yarrow.geometry.pipe import PipeBend
from yarrow.measure import ieee
from yarrow.values import dataclass

_NEARLY_ALIKE = 15.0
"""Degrees that one bend of a set may have come out more than the other."""


@dataclass(frozen=True, slots=True)
class Height(OfPair):
    """A length, of either bend of a set, centre to centre."""

    field: str = "height"
    schema: ClassVar[ReadingSchema] = length_schema(
        "Of a bend of a set: how deep that is, centre to centre."
    )
    turned: float = 180.0
    none: str = "nothing: only the bends of a set have a height"

    def belongs(self, one: PipeBend, other: PipeBend) -> bool:
        """Of a set, whose bends are alike and no 90s; neither of a 90 beside it.

        Args:
            one, other: beside each other.
        """
        alike = abs(one.angle - other.angle) <= _NEARLY_ALIKE
        return alike and max(one.angle, other.angle) < STUB_FROM

    def apart(self, piece: BentPiece, bend: int, other: int, value: float) -> float:
        """Depth is sin θ of the way down the slope."""
        return value / ieee.sin(math.radians(piece.bends[min(bend, other)].angle))
