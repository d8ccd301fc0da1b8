"""Parting a run into sticks, getting it in, and a list of pieces on sticks."""

from __future__ import annotations

import time
from typing import Any

from benchmarks.row import Row, at_most, within
from benchmarks.runs import RUN, SIX_BENDS, THREADED, stock_of
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

_PARTED, _SCREWED, _GOT_IN = 110, 220, 60
"""Units of the loop."""
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
        within(
            f"a run of 24 bends parted into {len(pieces.pieces)} pieces, each planned",
            parted,
            _PARTED,
        ),
        within("… of threaded pipe, and how it is got in", screwed, _SCREWED),
        within("can a threaded piece of six bends be got in", got_in, _GOT_IN),
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
