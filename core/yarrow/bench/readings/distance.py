"""From back to back of two bends that turn the same way, side by side on a piece."""

from __future__ import annotations

import math
from typing import ClassVar

from yarrow.bench.readings.pairs import OfPair
from yarrow.bench.readings.reading import BentPiece, ReadingSchema, length_schema
from yarrow.measure import ieee
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Distance(OfPair):
    """A length, over the outside of both."""

    field: str = "distance"
    schema: ClassVar[ReadingSchema] = length_schema(
        "Of a bend beside one that turns the same way: from back to back."
    )
    turned: float = 0.0
    none: str = "nothing: no bend beside this one turns the same way"

    def apart(self, piece: BentPiece, bend: int, other: int, value: float) -> float:
        """The back's corner lies (D/2) tan(θ/2) beyond that of the centreline."""
        return value - sum(
            piece.diameter / 2 * ieee.tan(math.radians(piece.bends[number].angle) / 2)
            for number in (bend, other)
        )
