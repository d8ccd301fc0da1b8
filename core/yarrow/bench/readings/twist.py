"""How far a bend is twisted out of the plane that it was to lie in."""

from __future__ import annotations

from typing import ClassVar

from yarrow.bench.readings.reading import BentPiece, ReadingSchema, number_schema
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Twist:
    """Degrees clockwise, seen along the pipe from its start; 180 is the wrong way round."""

    field: str = "twist"
    schema: ClassVar[ReadingSchema] = number_schema(
        "Degrees clockwise seen along the pipe from its start, out of the plane that it was to "
        "lie in; 180 is the wrong way round.",
        -180,
        180,
    )

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """Of every bend."""
        return True

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        """Empty: a pipe can be turned any way."""
        return ""

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        """Rolled so much further."""
        was = piece.bends[bend]
        return piece.with_bend(bend, was.arc_start, was.angle, piece.rolls[bend] + value)
