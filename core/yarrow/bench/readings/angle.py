"""The angle that stayed in a bend, measured from leg to leg."""

from __future__ import annotations

from typing import ClassVar

from yarrow.bench.readings.reading import BentPiece, ReadingSchema, number_schema
from yarrow.geometry.arcs import arc_length
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Angle:
    """Degrees. The arc keeps its end on the hook's side, where the bender's mark was put."""

    field: str = "angle"
    schema: ClassVar[ReadingSchema] = number_schema("Degrees that stayed.", 0.5, 170)

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """Of every bend."""
        return True

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        """Empty: the format keeps it above a straight pipe and below one that is folded back."""
        return ""

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        """With that angle."""
        was = piece.bends[bend]
        arc_start = was.arc_start
        if piece.hooks[bend] == "end":
            arc_start = was.arc_end - arc_length(was.radius, value)
        return piece.with_bend(bend, arc_start, value, piece.rolls[bend])
