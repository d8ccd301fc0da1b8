"""Finds the worst bodies: ``PYTHONPATH=core:. python -m server.tests.worst > …/worst.tsv``.

Every family is tried at sizes that grow until it is refused, and the one that took most work and
the one that was answered at the greatest length are kept.
"""

from __future__ import annotations

import json
import signal
import sys
import time
from collections.abc import Callable
from typing import Any, Final

import yarrow
from server.tests.worst.families import FAMILIES, Sized

_SIZES: Final = (2, 5, 10, 15, 20, 30, 31, 60, 100, 200, 300, 400, 500, 999, 2000, 8000)
_LARGEST_BODY: Final = 1_000_000
_AT_MOST_S: Final = 5.0
_KEPT: Final = 110


class _Over(BaseException):
    pass


def _ended(*_: Any) -> None:
    raise _Over


VERBS: Final[dict[str, Callable[[Any], Any]]] = {
    "plan": lambda body: yarrow.plan(body, None),
    "handling": lambda body: yarrow.handle(body, None, None),
    "pieces": lambda body: yarrow.pieces(body, None),
    "plan-in-pieces": lambda body: yarrow.plan_in_pieces(body, None),
    "work": lambda body: yarrow.work(body, None),
    "rack": lambda body: yarrow.rack(body, None),
    "wall": lambda body: yarrow.wall(body, None),
    "site": lambda body: yarrow.site(body, None),
    "bench": lambda body: yarrow.bench(body["document"], body["came_out"], None, None),
    "bench/fit": lambda body: yarrow.bench_fit(body["document"], body["came_out"], None, None),
    "convert": lambda body: yarrow.convert(body["document"], body["to"], half_typed=True),
    "fold": yarrow.fold,
    "fill": yarrow.fill,
    "pullbox": yarrow.pullbox,
    "entries": yarrow.entries,
    "box": yarrow.box,
    "benders/numbers": yarrow.bender,
    "line": lambda body: yarrow.line(body["text"], body["units"]),
    "wires": lambda body: yarrow.wires(body["text"], body["units"]),
}


def _cost(door: str, body: Any) -> tuple[float, int] | None:
    """Processor seconds and bytes answered; none where it is refused or the body is too long."""
    if len(json.dumps(body)) > _LARGEST_BODY:
        return None
    begun = time.process_time()
    signal.setitimer(signal.ITIMER_PROF, _AT_MOST_S)
    try:
        answer = VERBS[door](body)
    except yarrow.DocumentError:
        return None
    except _Over:
        return _AT_MOST_S, 0
    finally:
        signal.setitimer(signal.ITIMER_PROF, 0)
    return time.process_time() - begun, len(json.dumps(answer))


def _worst(door: str, family: Sized) -> set[tuple[int, float, int]]:
    tried = []
    for size in _SIZES:
        cost = _cost(door, family(size))
        if cost is None:
            break
        tried.append((size, *cost))
        if cost[0] >= _AT_MOST_S:
            break
    if not tried:
        return set()
    return {max(tried, key=lambda each: each[1]), max(tried, key=lambda each: each[2])}


def main(doors: list[str]) -> None:
    """Writes the worst, a line each: door, family, size, seconds and bytes as they were found."""
    signal.signal(signal.SIGPROF, _ended)
    found = []
    for (door, name), family in FAMILIES.items():
        if doors and door not in doors:
            continue
        for size, seconds, length in _worst(door, family):
            found.append((door, name, size, seconds, length))
            print(*found[-1][:3], f"{seconds:.2f}", length, sep="\t", file=sys.stderr, flush=True)
    found.sort(key=lambda each: -max(each[3] / 2, each[4] / 1e6))
    for door, name, size, seconds, length in found[:_KEPT]:
        print(door, name, size, f"{seconds:.2f}", length, sep="\t")


if __name__ == "__main__":
    main(sys.argv[1:])
