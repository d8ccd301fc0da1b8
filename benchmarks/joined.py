"""Parting a run into sticks, getting it in, and a list of pieces on sticks."""

from __future__ import annotations

import random
import time
from typing import Any

from benchmarks.core import run_of
from benchmarks.row import Row, at_most
from benchmarks.unit import in_units
from yarrow import cut
from yarrow.documents.run.reading import read_run
from yarrow.pieces.getting_in.closings.closing import RunToClose
from yarrow.pieces.getting_in.ways import ways_in
from yarrow.pieces.pieces import pieces_of
from yarrow.pieces.places import allowed
from yarrow.pieces.planned_pieces import Parting
from yarrow.runs.planner import plan_resolved, resolve_run
from yarrow.runs.stages import BuildablePlan

RUN: dict[str, Any] = {
    **run_of(0),
    "joints": {},
    "walk": [
        *(
            {
                "kind": "offset",
                "at": f"{105 * (n + 1)} 3/8",
                "rise": "4 3/8",
                "toward": "left" if n % 2 else "right",
                "angle": 30,
            }
            for n in range(12)
        ),
        {"kind": "end", "at": 1365},
    ],
}
"""Twelve sticks' length, with a set on each."""

THREADED: dict[str, Any] = {
    **RUN,
    "conduit": {"type": "rmc", "size": "3/4"},
    "bender": "ratchet-1",
    "start": {"kind": "hub"},
    "walk": [*RUN["walk"][:-1], {**RUN["walk"][-1], "fitting": "hub"}],
}
"""The same in threaded pipe between two boxes that are fixed."""

SIX_BENDS: dict[str, Any] = {
    "format": "yarrow.run/1",
    "units": "in",
    "conduit": {"type": "rmc", "size": "3/4"},
    "bender": "ratchet-1",
    "start": {"kind": "hub"},
    "joints": {"places": [{"at": 24}]},
    "walk": [
        {"kind": "offset", "at": 40, "rise": 3, "toward": "out", "angle": 30},
        {"kind": "turn", "at": 70, "toward": "left"},
        {"kind": "offset", "at": 24, "rise": 3, "toward": "left", "angle": 30},
        {"kind": "turn", "at": 44, "toward": "out"},
        {"kind": "end", "at": 20, "fitting": "hub"},
    ],
}
"""A threaded piece of six bends, joined to a straight one, between two boxes."""

_PARTED_MS = 100
_GOT_IN_MS = 150
_LOOK_S = 5.0
_GAP = 2.0


def measure() -> list[Row]:
    """Twelve pieces parted anew, as at a key press; three hundred pieces on sticks."""
    run = read_run(RUN)
    pieces = pieces_of(run)
    parted = in_units(lambda: pieces_of(run), 9)
    threaded = read_run(THREADED)
    screwed = in_units(lambda: pieces_of(threaded), 9)
    to_hang = parted_to_close(SIX_BENDS)
    got_in = in_units(lambda: ways_in(to_hang), 9)
    stock = stock_of(300)
    first = in_units(lambda: cut(stock, seconds=0), 5)
    began = time.monotonic()
    found = cut(stock, seconds=4.0)
    took = time.monotonic() - began
    gap = 100 * (found["sticks"] / max(found["bound"], 1) - 1)
    return [
        at_most(
            f"a run of 24 bends parted into {len(pieces.pieces)} pieces, each planned",
            parted.ms,
            _PARTED_MS,
            "ms",
        ),
        at_most("… of threaded pipe, and how it is got in", screwed.ms, _PARTED_MS, "ms"),
        at_most("can a threaded piece of six bends be got in", got_in.ms, _GOT_IN_MS, "ms"),
        Row("300 pieces on sticks, the first answer", f"{first.ms:.0f} ms"),
        at_most("… looked at for fewer", took, _LOOK_S, "s"),
        at_most("… beyond what can't be beaten", gap, _GAP, "%"),
    ]


def parted_to_close(document: dict[str, Any]) -> RunToClose:
    """A run with its joints where its document says, before anything is turned."""
    resolution = resolve_run(read_run(document))
    plan, joints = plan_resolved(resolution), resolution.run.joints
    if not isinstance(plan, BuildablePlan) or joints is None:
        raise ValueError("The run of the benchmark has to be one that can be made, with joints.")
    parting = Parting.of(plan, joints)
    rooms = allowed(parting.parted)
    middles, _ = parting.taken(joints, rooms, ())
    return RunToClose(parting.parted, middles or (), joints.ends, rooms)


def stock_of(pieces: int) -> dict[str, Any]:
    """So many pieces of 10 to 90 in., none like another."""
    rng = random.Random(12)
    lengths = [rng.randint(160, 1440) / 16 for _ in range(pieces)]
    return {
        "format": "yarrow.stock/1",
        "units": "in",
        "stick": 120,
        "pieces": [{"length": length} for length in lengths],
    }
