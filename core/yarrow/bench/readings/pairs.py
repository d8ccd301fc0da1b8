"""What is read of two bends beside each other on a piece: how far their corners are apart."""

from __future__ import annotations

from abc import ABC, abstractmethod

from yarrow.bench.readings.reading import BentPiece
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.pipe import PipeBend

_NEARLY = 30.0
"""Degrees that two bends may be twisted and still be a set, or both turn the same way."""


class OfPair(ABC):
    """A reading of a bend and the one beside it that lies ``turned`` so from it, degrees: 180 of a
    set, 0 of two that turn the same way. ``none`` is what was expected where there is no such."""

    turned: float
    none: str

    def belongs(self, one: PipeBend, other: PipeBend) -> bool:
        """Whether two bends that lie so have this between them.

        Args:
            one, other: beside each other.
        """
        return True

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """To a bend beside one that lies so.

        Args:
            piece: with all its bends.
            bend: along the pipe, from 0.
        """
        return self._beside(piece, bend) is not None

    def refused(self, piece: BentPiece, bend: int, value: float) -> str:
        """Of a bend beside none that lies so, or where the two would lie over each other.

        Args:
            piece: with all its bends.
            bend: along the pipe, from 0.
            value: what was read, in the piece's unit.

        Returns:
            What was expected, in words; empty where the reading can be.
        """
        other = self._beside(piece, bend)
        if other is None:
            return self.none
        fits = _lies_clear(piece, bend, other, self._arc_start(piece, bend, other, value))
        return "" if fits else "a length that leaves both bends on the pipe"

    def applied(self, piece: BentPiece, bend: int, value: float) -> BentPiece:
        """With the bend where that length puts it.

        Args:
            piece: with all its bends.
            bend: along the pipe, from 0.
            value: what was read, in the piece's unit.
        """
        other = self._beside(piece, bend)
        assert other is not None
        arc_start = self._arc_start(piece, bend, other, value)
        return piece.with_bend(bend, arc_start, piece.bends[bend].angle, piece.rolls[bend])

    @abstractmethod
    def apart(self, piece: BentPiece, bend: int, other: int, value: float) -> float:
        """From corner to corner of the two.

        Args:
            piece: with all its bends.
            bend, other: along the pipe, from 0, one beside the other.
            value: what was read, in the piece's unit.

        Returns:
            In the piece's unit.
        """

    def _beside(self, piece: BentPiece, bend: int) -> int | None:
        """The bend before one, or the one behind it, that lies so; None where neither."""
        for other in (bend - 1, bend + 1):
            if 0 <= other < len(piece.bends):
                rolled = piece.rolls[other] - piece.rolls[bend] - self.turned
                lies = abs((rolled + 180) % 360 - 180) <= _NEARLY
                if lies and self.belongs(piece.bends[bend], piece.bends[other]):
                    return other
        return None

    def _arc_start(self, piece: BentPiece, bend: int, other: int, value: float) -> float:
        one, two = piece.bends[bend], piece.bends[other]
        straight = self.apart(piece, bend, other, value)
        straight -= tangent_length(one.radius, one.angle) + tangent_length(two.radius, two.angle)
        if other < bend:
            return two.arc_end + straight
        return two.arc_start - straight - (one.arc_end - one.arc_start)


def _lies_clear(piece: BentPiece, bend: int, other: int, arc_start: float) -> bool:
    """Whether an arc that begins there lies on the pipe, and clear of the bend beside it."""
    one, two = piece.bends[bend], piece.bends[other]
    ends = arc_start + one.arc_end - one.arc_start
    clear = arc_start >= two.arc_end if other < bend else ends <= two.arc_start
    return clear and arc_start >= 0 and ends <= piece.cut
