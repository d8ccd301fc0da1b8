"""What every kind of reading answers: what it says of a bend, and when no bend could read so."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Protocol

from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import PipeBend
from yarrow.values import dataclass, replace


@dataclass(frozen=True, slots=True)
class BentPiece:
    """A piece while it is bent: its bends as they are or are to be, in order along the pipe; their
    ``rolls``, counted from one pencil line; the end that the hook faces at each; how long the stick
    is ``cut``, and its ``diameter``. Lengths are in one unit, angles in degrees."""

    bends: tuple[PipeBend, ...]
    rolls: tuple[float, ...]
    hooks: tuple[Hook, ...]
    cut: float
    diameter: float

    def with_bend(self, bend: int, arc_start: float, angle: float, roll: float) -> BentPiece:
        """The same with another bend in its place.

        Args:
            bend: along the pipe, from 0.
            arc_start: on the straight pipe.
            angle: how far it turns.
            roll: from the pencil line.
        """
        made = replace(self.bends[bend], arc_start=arc_start, angle=angle)
        bends = (*self.bends[:bend], made, *self.bends[bend + 1 :])
        rolls = (*self.rolls[:bend], roll, *self.rolls[bend + 1 :])
        return replace(self, bends=bends, rolls=rolls)


ReadingSchema = Mapping[str, str | float | list[str]]
"""A reading's JSON Schema."""


def number_schema(description: str, least: float, most: float) -> ReadingSchema:
    """Of a reading in degrees.

    Args:
        description: of what is read.
        least: it may be, degrees.
        most: it may be, degrees.

    Returns:
        Its JSON Schema.
    """
    return {"type": "number", "minimum": least, "maximum": most, "description": description}


def length_schema(description: str, *, signed: bool = False) -> ReadingSchema:
    """Of a reading by the tape.

    Args:
        description: of what is read.
        signed: whether it may be 0 and below.

    Returns:
        Its JSON Schema.
    """
    result: dict[str, str | float | list[str]] = {
        "format": "length",
        "type": ["string", "number"],
        "maxLength": 60,
        "description": description,
    }
    return result if signed else {**result, "x-above": 0}


class ReadingKind(Protocol):
    """A kind of reading of a bend."""

    @property
    def field(self) -> str:
        """Its name in a document."""

    @property
    def schema(self) -> ReadingSchema:
        """How it stands in a document."""

    def applies(self, piece: BentPiece, bend: int) -> bool:
        """Whether it can be read of a bend.

        Args:
            piece: with all its bends.
            bend: along the pipe, from 0.
        """

    def refused(self, piece: BentPiece, bend: int, value: Any) -> str:
        """What was expected instead, where no bend could read so; empty where one could.

        Args:
            piece: as it was before.
            bend: along the pipe, from 0.
            value: a number: degrees, or a length in the piece's unit.

        Returns:
            In words; empty where the reading can be.
        """

    def applied(self, piece: BentPiece, bend: int, value: Any) -> BentPiece:
        """The piece with that bend as it was read.

        Args:
            piece: as it was before.
            bend: along the pipe, from 0.
            value: as above, and not refused.
        """
