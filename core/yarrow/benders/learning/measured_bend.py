"""A bend that was measured: a test, or one of a piece's at the bench."""

from __future__ import annotations

from fractions import Fraction
from typing import Literal

from yarrow.values import dataclass

Use = Literal["", "left-out", "put-back"]
"""What a person said of a bend: nothing, that it is not to count, that it is to count though it
is far from the others."""

SQUARE = 90.0


@dataclass(frozen=True, slots=True)
class MeasuredBend:
    """What was read of one bend, lengths in one unit: the front mark's place from the end that the
    hook faced, the straight stick, and both legs afterwards, back to end, ``stub`` the one on the
    hook's side; the ``angle`` that stayed (None: it was made a 90 until a square said so), what it
    was ``commanded`` to, and by how many clicks. What was not read is None."""

    mark: Fraction | None = None
    stick: Fraction | None = None
    stub: Fraction | None = None
    tail: Fraction | None = None
    angle: float | None = None
    commanded: float | None = None
    clicks: int | None = None
    use: Use = ""

    @property
    def kept(self) -> float:
        """The angle that stayed, degrees."""
        return SQUARE if self.angle is None else self.angle
