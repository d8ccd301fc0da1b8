"""Drift: whether a bender still does what it did, and its numbers as they are now."""

from __future__ import annotations

import math
from collections.abc import Callable, Collection, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import partial

from yarrow.benders.learning.equations import Equation, Group
from yarrow.benders.learning.fitting import Believed, Fitted, fitted, squares_left

LAST = 5
"""Bends at the end that are held against all before: fewer tell chance from change badly."""

_MOVED = 3.0
"""Of the error of a difference, from which it is one."""

_CLEAR = 9.0
"""By how much the errors' squares have to fall for a drift to be believed: three errors' worth."""

_SINCE = (5, 10, 20, 40)
"""How many bends ago a step is looked for."""


_Left = Callable[[int], float]
"""How much of a movement, of 1, was still to come when a bend was made, by its number."""


@dataclass(frozen=True, slots=True)
class Drift:
    """What has moved: where bends lie (``stub``) or how far they go (``angle``); by how much, a
    length or degrees, since how many bends, and whether little by little."""

    what: Group
    by: float
    bends: int
    creeps: bool


def followed(
    equations: Sequence[Equation],
    believed: Sequence[Believed],
    without: Collection[int],
    certain: Collection[int],
) -> tuple[Fitted, Drift | None]:
    """The unknowns as they are now: where the first of them has moved, what it was before is
    another unknown, and how it moved is what explains the bends best.

    Args:
        equations: in the order that the bends were made.
        believed, without, certain: as for fitted.
    Source:
        docs/geometry.md, learning a bender.
    """
    still = fitted(equations, believed, without, certain)
    counted = [each for each in equations if each.bend not in still.left_out and each.factors[0]]
    if not _has_moved(still, counted):
        return still, None
    more = (*believed, Believed(0.0, None))
    kept = [each for each in equations if each.bend not in still.left_out]
    ways = list(_ways(counted))
    squares = [squares_left(_moving(kept, left), more) for left, _, _ in ways]
    least = min(range(len(ways)), key=squares.__getitem__)
    if squares_left(kept, believed) - squares[least] < _CLEAR:
        return still, None
    left, creeps, bends = ways[least]
    # What is far off while nothing moves need not be where something does.
    found = fitted(_moving(equations, left), more, without, certain)
    what: Group = counted[0].group
    return found, Drift(what, -found.values[-1], bends, creeps)


def _moving(equations: Sequence[Equation], left: _Left) -> list[Equation]:
    """The same with how much of a movement was still to come as another unknown."""
    return [
        replace(each, factors=(*each.factors, each.factors[0] * left(each.bend)))
        for each in equations
    ]


def _has_moved(still: Fitted, counted: Sequence[Equation]) -> bool:
    """Whether the last bends are off against all before."""
    bends = sorted({each.bend for each in counted})
    if len(bends) < 2 * LAST:
        return False
    first = bends[-LAST]
    last = [each for each in counted if each.bend >= first]
    before = [each for each in counted if each.bend < first]
    (one, one_error), (other, other_error) = _mean_off(still, last), _mean_off(still, before)
    return abs(one - other) > _MOVED * math.hypot(one_error, other_error)


def _mean_off(found: Fitted, equations: Sequence[Equation]) -> tuple[float, float]:
    """How far off in the mean, as the first unknown, and the error of that mean: by the readings,
    or by their own spread where that is more."""
    off = [found.off(each) / each.factors[0] for each in equations]
    mean = math.fsum(off) / len(off)
    by_readings = math.hypot(*(each.error / each.factors[0] for each in equations)) / len(off)
    own = math.sqrt(math.fsum((each - mean) ** 2 for each in off) / max(len(off) - 1, 1))
    return mean, max(by_readings, own / math.sqrt(len(off)))


def _ways(counted: Sequence[Equation]) -> Iterator[tuple[_Left, bool, int]]:
    """How it may have moved: little by little from the first bend, or at once some bends ago."""
    bends = sorted({each.bend for each in counted})
    first, last = bends[0], bends[-1]
    yield lambda bend: (last - bend) / (last - first), True, len(bends)
    for ago in _SINCE:
        if ago < len(bends):
            yield partial(_before, bends[-ago]), False, ago


def _before(step: int, bend: int) -> float:
    return 1.0 if bend < step else 0.0
