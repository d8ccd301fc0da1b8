"""The kinds of reading, in the order that they are taken in: a stub, a height and a distance are
read with the angle that the bend has."""

from __future__ import annotations

from collections.abc import Iterator, Mapping

from yarrow.bench.readings.angle import Angle
from yarrow.bench.readings.distance import Distance
from yarrow.bench.readings.height import Height
from yarrow.bench.readings.reading import BentPiece, ReadingKind
from yarrow.bench.readings.slid import Slid
from yarrow.bench.readings.stub import Stub
from yarrow.bench.readings.twist import Twist

_KINDS: tuple[ReadingKind, ...] = (Angle(), Slid(), Stub(), Height(), Distance(), Twist())

READINGS: dict[str, ReadingKind] = {kind.field: kind for kind in _KINDS}


def in_order(readings: Mapping[str, float]) -> Iterator[tuple[ReadingKind, float]]:
    """What was read of a bend, each with its kind, as it is taken in.

    Args:
        readings: by the names of their kinds: degrees, or lengths in the piece's unit.

    Returns:
        Kind and value, as ``readings`` has it, in the registry's order.
    """
    return ((kind, readings[name]) for name, kind in READINGS.items() if name in readings)


def that_apply(piece: BentPiece, bend: int) -> tuple[str, ...]:
    """The names of what can be read of a bend.

    Args:
        piece: with all its bends.
        bend: along the pipe, from 0.

    Returns:
        In the registry's order.
    """
    return tuple(name for name, kind in READINGS.items() if kind.applies(piece, bend))
