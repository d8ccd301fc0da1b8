"""Planning in the core: a document in, a plan out."""

from __future__ import annotations

from typing import Any

import yarrow
from benchmarks.row import Row, at_most, within
from benchmarks.runs import IN_A_STICK, TWELVE, moved_runs, run_of
from benchmarks.unit import InUnits, in_units
from yarrow.documents.boxes.reading import box_document, entries_document, pull_box_document
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.run.reading import read_run
from yarrow.racks.rack import plan_rack
from yarrow.runs.bending_sequence import handle_run
from yarrow.runs.expecting.expectation import expect
from yarrow.runs.planner import plan_run
from yarrow.runs.stages import BuildablePlan

_SIZES = {6: 400, 24: 100, 120: 30}
"""Bends, and how often each is planned."""


_LONGEST, _LARGEST = 600, 9_000


def measure() -> list[Row]:
    """Medians in units of the fixed loop, and how they grow."""
    taken = {bends: _planning(run_of(bends), times) for bends, times in _SIZES.items()}
    rows = [within("planning 6 bends in the core, the best order looked for", taken[6], 32)]
    for small, large in ((6, 24), (24, 120)):
        growth = taken[large].units / taken[small].units
        # Half as much again as linear would be another power.
        most = 1.5 * large / small
        rows.append(at_most(f"… {large} bends against {small}, ratio", growth, most, "x"))
    what = "planning 12 features with what is there, candidates and findings"
    planned = _planning(TWELVE, 150)
    rows.append(within(what, planned, 72))
    plan = plan_run(read_run(TWELVE))
    assert isinstance(plan, BuildablePlan)
    expected = in_units(lambda: expect(plan), 150)
    what = "… of it, how far each number comes out by either habit, a share"
    rows.append(at_most(what, expected.units / planned.units, 0.2, "x"))
    what = "planning 12 bends of one stick, the best order looked for"
    rows.append(within(what, _planning(IN_A_STICK, 100), 65))
    piece = read_run(run_of(12))
    handled = in_units(lambda: handle_run(piece), 15)
    rows.append(within("orders and simulation of a 12-bend piece in the core", handled, 140))
    racked = read_run(rack_of(20, 8))
    rack = in_units(lambda: plan_rack(racked), 15)
    rows.append(within("a rack of 20 eight-bend pipes in the core", rack, 500))
    rows += _at_the_limits()
    checks = [
        in_units(lambda read=read, document=document: read(document), 40)
        for read, document in (
            (fill_document, fill_of(60)),
            (fill_document, FACTORS),
            (box_document, BOX),
            (pull_box_document, PULL_BOX),
            (entries_document, ENTRIES),
        )
    ]
    what = "any check in the core (60 conductors, factors, box, pull box, holes), the slowest"
    rows.append(within(what, max(checks, key=lambda check: check.units), 35))
    return rows


def _at_the_limits() -> list[Row]:
    """The most that is answered at all: within a second and a half where a unit takes 0.1 ms."""
    piece, rack = read_run(run_of(30)), read_run(rack_of(14, 140))
    handled = in_units(lambda: handle_run(piece), 3)
    racked = in_units(lambda: plan_rack(rack), 3)
    return [
        within("… the longest piece that is simulated, 30 bends", handled, _LONGEST),
        within("… the largest rack that is laid, 1,960 bends", racked, _LARGEST),
    ]


def fill_of(conductors: int) -> dict[str, Any]:
    """So many conductors of twelve kinds, into a size that is chosen."""
    sizes = [("thhn", size) for size in ("14", "12", "10", "8", "6", "4")]
    sizes += [("xhhw", size) for size in ("14", "12", "10", "8", "6", "4")]
    listed = [
        {"count": conductors // len(sizes), "insulation": insulation, "size": size}
        for insulation, size in sizes
    ]
    return {
        "format": "yarrow.fill/1",
        "units": "in",
        "conduit": {"type": "emt"},
        "length": "20'",
        "bends": 3,
        "conductors": listed,
    }


FACTORS = {
    "format": "yarrow.fill/1",
    "units": "mm",
    "conduit": {"type": "steel"},
    "length": 4200,
    "bends": 2,
    "circuits": [{"kind": "ring", "count": 2, "csa": 2.5}, {"kind": "lighting", "csa": 1.5}],
}
BOX = {
    "format": "yarrow.box/1",
    "box": "square-4-1-1/2",
    "clamps": True,
    "conductors": [{"size": "12", "ends": 4, "passes": 2}],
    "grounds": {"size": "12", "count": 5},
    "devices": [{"size": "12", "count": 1}],
}
_WALLS = ("left", "right", "top", "bottom")
PULL_BOX = {
    "format": "yarrow.pullbox/1",
    "units": "in",
    "entries": [{"id": str(n), "wall": _WALLS[n % 4], "size": "2"} for n in range(12)],
    "pulls": [[str(n), str((n + 1) % 12)] for n in range(12)],
}
ENTRIES = {
    "format": "yarrow.entries/1",
    "units": "in",
    "box": {"width": 12, "height": 12, "depth": 4},
    "entries": [{"id": str(n), "wall": _WALLS[n % 4], "size": "1/2"} for n in range(24)],
}


def rack_of(pipes: int, bends: int) -> dict[str, Any]:
    """A run of offsets and a rack of it, close enough for every pipe to be bent."""
    rack = {"count": pipes, "side": "left", "spacing": "1 1/2"}
    return {**run_of(bends), "rack": rack}


def _planning(document: dict[str, Any], times: int) -> InUnits:
    """As key presses ask for it: each time one number of the walk is another."""
    moved = moved_runs(document)
    return in_units(lambda: yarrow.plan.values(next(moved)), times)
