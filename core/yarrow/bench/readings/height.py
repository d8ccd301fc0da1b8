"""How deep a set came out, over a straightedge on the leg before it."""

from __future__ import annotations

import math
from dataclasses import dataclass

from yarrow.bench.readings.pairs import OfPair
from yarrow.bench.readings.reading import BentPiece


@dataclass(frozen=True, slots=True)
class Height(OfPair):
    """A length, of either bend of a set, centre to centre."""

    field: str = "height"
    turned: float = 180.0
    none: str = "nothing: only the bends of a set have a height"

    def apart(self, piece: BentPiece, bend: int, other: int, value: float) -> float:
        """Depth is sin θ of the way down the slope."""
        return value / math.sin(math.radians(piece.bends[min(bend, other)].angle))
