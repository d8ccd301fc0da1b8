"""How far the mark slid in the shoe before a bend took hold."""

from __future__ import annotations

from typing import ClassVar

from yarrow.bench.readings.reading import BentPiece, ReadingSchema, length_schema
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Slid:
    """A length: the bend lies so much nearer to the pipe's end, or to its start where below 0."""

    field: str = "slid"
    schema: ClassVar[ReadingSchema] = length_schema(
        "How far the mark slid toward the pipe's end; below 0, toward its start.", signed=True
    )

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """Of every bend."""
        return True

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        """Where the bend would lie beyond an end of the pipe."""
        was = piece.bends[bend]
        if was.arc_start + value >= 0 and was.arc_end + value <= piece.cut:
            return ""
        return "a length that leaves the bend on the pipe"

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        """Moved along."""
        was = piece.bends[bend]
        return piece.with_bend(bend, was.arc_start + value, was.angle, piece.rolls[bend])
