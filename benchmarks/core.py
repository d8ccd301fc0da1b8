"""Planning in the core: a document in, a plan out."""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable, Sequence
from typing import Any

from benchmarks.row import Row, at_most
from benchmarks.runs import TWELVE
from yarrow.documents.run_file import read_run
from yarrow.racks.rack import plan_rack
from yarrow.runs.handle import handle_run
from yarrow.runs.planner import plan_run

_SIZES = {6: 400, 60: 60, 600: 9}
"""Bends, and how often each is planned."""


def run_of(bends: int) -> dict[str, Any]:
    """A run of offsets, left and right, with so many bends."""
    walk: list[dict[str, Any]] = [
        {
            "kind": "offset",
            "at": f"{24 * (n + 1)} 3/8",
            "rise": "4 3/8",
            "toward": "left" if n % 2 else "right",
            "angle": 30,
        }
        for n in range(bends // 2)
    ]
    walk.append({"kind": "end", "at": 24 * (bends // 2 + 1)})
    return {
        "format": "yarrow.run/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "walk": walk,
    }


def measure() -> list[Row]:
    """Medians for 6, 60 and 600 bends, and how they grow."""
    medians = {bends: _median_ms(run_of(bends), times) for bends, times in _SIZES.items()}
    rows = [at_most("planning 6 bends in the core, median", medians[6], 1, "ms")]
    for small, large in ((6, 60), (60, 600)):
        growth = medians[large] / medians[small]
        # Linear is 10; more than 15 would be another power.
        rows.append(at_most(f"… {large} bends against {small}, ratio", growth, 15, "x"))
    twelve = _median_ms(TWELVE, 150)
    what = "planning 12 features with what is there, candidates and findings, median"
    rows.append(at_most(what, twelve, 10, "ms"))
    piece = read_run(run_of(12))
    handled = _median([lambda: handle_run(piece)] * 15)
    rows.append(
        at_most("orders and simulation of a 12-bend piece in the core, median", handled, 100, "ms")
    )
    racked = read_run(rack_of(20, 8))
    rows.append(
        at_most(
            "a rack of 20 eight-bend pipes in the core, median",
            _median([lambda: plan_rack(racked)] * 15),
            200,
            "ms",
        )
    )
    return rows


def rack_of(pipes: int, bends: int) -> dict[str, Any]:
    """A run of offsets and a rack of it, close enough for every pipe to be bent."""
    rack = {"count": pipes, "side": "left", "spacing": "1 1/2"}
    return {**run_of(bends), "rack": rack}


def _median_ms(document: dict[str, Any], times: int) -> float:
    return _median([lambda: plan_run(read_run(document))] * times)


def _median(calls: Sequence[Callable[[], object]]) -> float:
    taken = []
    for call in calls:
        began = time.perf_counter()
        call()
        taken.append(time.perf_counter() - began)
    return statistics.median(taken) * 1000
