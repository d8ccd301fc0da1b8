"""Counting by any method: whether a load goes in, how many of one kind, how many more."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.fill.conductor import Raceway
from yarrow.fill.method import FillMethod
from yarrow.values import dataclass, replace

CLOSE = 1e-9
"""Of a limit: printed figures have five places, so less than this is the arithmetic's own noise."""

ENOUGH = 3
"""From so many on the limit no longer changes with the count."""


@dataclass(frozen=True, slots=True)
class Load:
    """So many conductors that take ``each`` of the limit."""

    count: int
    each: float


def used_by(loads: Sequence[Load]) -> float:
    """What all take together.

    Returns:
        In what the method counts: an area, or factors.
    """
    return math.fsum(load.count * load.each for load in loads)


def fits(method: FillMethod, raceway: Raceway, loads: Sequence[Load], spare: float = 0.0) -> bool:
    """Whether the conductors keep within the limit with ``spare`` percent of it left free.

    Like conductors (all taking the same) may be counted: a count whose fraction is the method's
    ``rounds_up`` or more goes up to the next whole one.

    Args:
        spare: percent of the limit that is to stay free.
    """
    count = sum(load.count for load in loads)
    usable = method.limit(raceway, count) * (1 - spare / 100)
    taking = {load.each for load in loads if load.count}
    if method.rounds_up is not None and len(taking) == 1:
        return count <= _whole(usable / taking.pop(), method.rounds_up)
    return used_by(loads) <= usable * (1 + CLOSE)


def max_count(method: FillMethod, raceway: Raceway, each: float, spare: float = 0.0) -> int:
    """How many conductors that each take so much go in alone.

    Args:
        each: what one takes.
        spare: percent to keep free.

    Returns:
        0 where not one does.
    """
    return _largest_count(method, raceway, [], Load(0, each), spare)


def additional_count(
    method: FillMethod, raceway: Raceway, loads: Sequence[Load], index: int, spare: float = 0.0
) -> int:
    """How many more of one kind go in with the rest in place: none where the rest does not.

    Args:
        index: of the load that is added to.
        spare: percent to keep free.

    Returns:
        So many more.
    """
    if not fits(method, raceway, loads, spare):
        return 0
    rest = [load for at, load in enumerate(loads) if at != index]
    return _largest_count(method, raceway, rest, loads[index], spare)


def _largest_count(
    method: FillMethod, raceway: Raceway, rest: Sequence[Load], load: Load, spare: float
) -> int:
    """The largest number to add to a load. The limit is another one for one conductor, two and
    more, so the answer for many is tried first and then the few."""
    usable = method.limit(raceway, ENOUGH) * (1 - spare / 100)
    room = (usable - used_by([*rest, load])) / load.each
    many = max(math.floor(room) + 1, 0)
    counts: list[int] = [many, many - 1, *range(ENOUGH - 1, 0, -1)]
    for more in counts:
        grown = replace(load, count=load.count + more)
        if more > 0 and fits(method, raceway, [*rest, grown], spare):
            return more
    return 0


def _whole(ratio: float, rounds_up: float) -> int:
    return math.floor(ratio * (1 + CLOSE) + 1 - rounds_up)
