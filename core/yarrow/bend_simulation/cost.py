"""What an order of bends costs in handling, item by item, and as one number."""

from __future__ import annotations

import operator
from typing import NamedTuple


class Cost(NamedTuple):
    """What an order costs, gravest first: bends without room and what they lack of it beside
    others, bends that meet the tool, bends that want blocks; hooks that face away from the saddle
    or the box that they are bound to; bends that are not made where they are by habit; flips end
    for end, changes of stance, turns of the pipe; groups of bends taken against the tape's way;
    hooks against habit; how far the first bend is from the end that it is hooked to, in tenths of
    the pipe's length; the height of all blocks."""

    no_room: int = 0
    short: float = 0.0
    blocked: int = 0
    low: int = 0
    away: int = 0
    elsewhere: int = 0
    flips: int = 0
    stances: int = 0
    turns: int = 0
    backward: int = 0
    unusual: int = 0
    reach: int = 0
    height: float = 0.0

    @property
    def works_at(self) -> tuple[float, ...]:
        """What it takes to work, as far as flips: the rest is ease."""
        return self[:7]

    def plus(self, other: Cost) -> Cost:
        """Both, added up.

        Args:
            other: of what comes next.
        """
        return Cost(*map(operator.add, self, other))

    @property
    def weight(self) -> int:
        """One number that sums as costs do and sorts as they do; lengths in small steps."""
        whole = 0
        for figure, shift in zip(self, _SHIFTS, strict=True):
            if figure:
                steps = figure if isinstance(figure, int) else round(figure * _STEPS)
                whole += steps << shift
        return whole


_COUNT_BITS = 12
"""Counts stay below 2 to their power: no piece that is searched has so many bends."""
_LENGTH_BITS = 44
_STEPS = 1 << 20


def _shifts() -> tuple[int, ...]:
    """By how many bits each item stands above the gentlest."""
    shift, result = 0, []
    for default in reversed(Cost()):
        result.append(shift)
        shift += _COUNT_BITS if isinstance(default, int) else _LENGTH_BITS
    return tuple(reversed(result))


_SHIFTS = _shifts()
