"""The unit of the core's times: a fixed loop of plain Python, measured in turns with each of them.

Another machine, or a busy one, slows both alike: how many loops a call takes says of the code what
milliseconds say of the machine.
"""

from __future__ import annotations

import math
import statistics
import time
from collections.abc import Callable
from dataclasses import dataclass

_ROUNDS = 400
_LOOPS = 5


@dataclass(frozen=True, slots=True)
class InUnits:
    """How long a call takes, and how many of the unit's loops that is: medians."""

    ms: float
    units: float


def loop() -> float:
    """What planning is made of: floats, tuples, small dicts, calls, branches."""
    total = 0.0
    seen: dict[int, tuple[float, float]] = {}
    for n in range(_ROUNDS):
        angle = n * 0.01
        point = (math.cos(angle), math.sin(angle))
        before = seen.get(n % 16, (0.0, 0.0))
        seen[n % 16] = (point[0] + before[1], point[1] - before[0])
        if before[0] > before[1]:
            total += math.hypot(*before)
    return total


def in_units(call: Callable[[], object], times: int) -> InUnits:
    """A call and some loops in turns."""
    calls, loops = [], []
    for _ in range(times):
        loops += _loops()
        calls.append(_taken(call))
    loops += _loops()
    taken = statistics.median(calls)
    return InUnits(taken * 1000, taken / statistics.median(loops))


def _loops() -> list[float]:
    return [_taken(loop) for _ in range(_LOOPS)]


def _taken(call: Callable[[], object]) -> float:
    began = time.perf_counter()
    call()
    return time.perf_counter() - began
