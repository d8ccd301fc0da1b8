"""The worst requests that are accepted: what the costliest of them takes of a processor."""

from __future__ import annotations

from benchmarks.row import Row, at_most
from server.tests.worst.costs import cost_of
from server.tests.worst.families import FAMILIES, worst

_LIMIT_S = 2.0


def measure() -> list[Row]:
    """All that the search found, each through its verb."""
    taken = {}
    for door, family, size in worst():
        cost = cost_of(door, FAMILIES[door, family](size))
        assert cost is not None, f"{door}, {family}, {size} is refused"
        taken[f"{door}, {size} of {family}"] = cost.seconds
    name = max(taken, key=lambda each: taken[each])
    what = f"the costliest of {len(taken)} worst requests ({name})"
    return [at_most(what, taken[name], _LIMIT_S, "s")]
