"""The stub of a bend at an end of the piece, from that end to the back of the bend."""

from __future__ import annotations

from typing import ClassVar

from yarrow.bench.readings.reading import BentPiece, ReadingSchema, length_schema
from yarrow.geometry.arcs import tangent_length
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Stub:
    """A length, of the first bend from the pipe's start, of the last one from its end."""

    field: str = "stub"
    schema: ClassVar[ReadingSchema] = length_schema(
        "Of the first bend from the start, or of the last from the end: to its back."
    )

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """To the first bend and the last."""
        return bend in (0, len(piece.bends) - 1)

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        """Of a bend between others, or where the stub is no longer than the bend, or than the
        pipe allows."""
        if not self.applies(piece, bend):
            return "nothing: only the first and the last bend of a piece have a stub"
        arc_start = self._arc_start(piece, bend, value)
        if arc_start < 0 or arc_start + self._arc(piece, bend) > piece.cut:
            return "a length longer than the bend and shorter than the pipe"
        return ""

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        """With the arc where that stub puts it."""
        was = piece.bends[bend]
        arc_start = self._arc_start(piece, bend, value)
        return piece.with_bend(bend, arc_start, was.angle, piece.rolls[bend])

    def _arc_start(self, piece: BentPiece, bend: int, value: float) -> float:
        was = piece.bends[bend]
        # The back's vertex lies (D/2) tan(θ/2) beyond that of the centreline.
        straight = value - tangent_length(was.radius + piece.diameter / 2, was.angle)
        return straight if bend == 0 else piece.cut - straight - self._arc(piece, bend)

    def _arc(self, piece: BentPiece, bend: int) -> float:
        was = piece.bends[bend]
        return was.arc_end - was.arc_start
