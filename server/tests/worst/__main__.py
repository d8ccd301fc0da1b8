"""Finds the worst bodies: ``PYTHONPATH=core:. python -m server.tests.worst > …/worst.tsv``.

Every family is tried at sizes that grow until it is refused, and the one that took most work and
the one that was answered at the greatest length are kept.
"""

from __future__ import annotations

import sys
from collections import Counter
from typing import Final

from server.tests.worst.costs import AT_MOST_S, cost_of
from server.tests.worst.families import FAMILIES, Sized

_SIZES: Final = (2, 5, 10, 15, 20, 30, 31, 60, 100, 200, 300, 400, 500, 999, 2000)
_KEPT: Final = 110
_OF_EACH: Final = 3


def _worst(door: str, family: Sized) -> set[tuple[int, float, int]]:
    tried = []
    for size in _SIZES:
        cost = cost_of(door, family(size))
        if cost is None:
            break
        tried.append((size, *cost))
        if cost.seconds >= AT_MOST_S:
            break
    if not tried:
        return set()
    return {max(tried, key=lambda each: each[1]), max(tried, key=lambda each: each[2])}


def main(doors: list[str]) -> None:
    """Writes the worst, a line each: door, family, size, seconds and bytes as they were found."""
    found = []
    for (door, name), family in FAMILIES.items():
        if doors and door not in doors:
            continue
        for size, seconds, length in _worst(door, family):
            found.append((door, name, size, seconds, length))
            print(*found[-1][:3], f"{seconds:.2f}", length, sep="\t", file=sys.stderr, flush=True)
    found.sort(key=lambda each: -max(each[3] / 2, each[4] / 1e6))
    of_door: Counter[str] = Counter()
    kept = []
    for each in found:
        of_door[each[0]] += 1
        # Of every door some, however cheap it is.
        kept.append((of_door[each[0]] > _OF_EACH, each))
    kept.sort(key=lambda each: each[0])
    for _, (door, name, size, seconds, length) in kept[:_KEPT]:
        print(door, name, size, f"{seconds:.2f}", length, sep="\t")


if __name__ == "__main__":
    main(sys.argv[1:])
