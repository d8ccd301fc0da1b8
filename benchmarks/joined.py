"""Parting a run into sticks, and a list of pieces on sticks."""

from __future__ import annotations

import random
import time
from typing import Any

from benchmarks.core import run_of
from benchmarks.row import Row, at_most
from benchmarks.unit import in_units
from yarrow import cut
from yarrow.documents.run_file import read_run
from yarrow.pieces.pieces import pieces_of

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

_PARTED_MS = 100
_LOOK_S = 5.0
_GAP = 2.0


def measure() -> list[Row]:
    """Twelve pieces parted anew, as at a key press; three hundred pieces on sticks."""
    run = read_run(RUN)
    pieces = pieces_of(run)
    parted = in_units(lambda: pieces_of(run), 9)
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
        Row("300 pieces on sticks, the first answer", f"{first.ms:.0f} ms"),
        at_most("… looked at for fewer", took, _LOOK_S, "s"),
        at_most("… beyond what can't be beaten", gap, _GAP, "%"),
    ]


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
