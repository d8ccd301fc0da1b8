"""Runs that are measured: the one with twelve features, and random ones that a crew could meet."""

from __future__ import annotations

import random
from typing import Any

TWELVE: dict[str, Any] = {
    "format": "yarrow.run/1",
    "name": "Twelve features",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "start": {"kind": "connector"},
    "walk": [
        {"kind": "box", "where": "start", "knockout": "1 1/8"},
        {"kind": "round", "at": "27 7/8", "across": "1 5/8"},
        {"kind": "block", "at": "61", "width": "5 3/4", "height": "2 1/4"},
        {"kind": "wall", "at": "96 1/2", "toward": "left"},
        {"kind": "offset", "at": "30", "rise": "3 1/8", "toward": "out", "angle": 22.5},
        {"kind": "turn", "at": "61 3/8", "toward": "right"},
        {"kind": "round", "at": "33 1/4", "across": "2 3/8", "toward": "left"},
        {"kind": "turn", "at": "66 1/2", "toward": "left"},
        {"kind": "ledge", "at": "38 7/8", "height": "2 3/4"},
        {"kind": "wall", "at": "71 1/4", "toward": "out"},
        {"kind": "hole", "at": "21 3/8", "depth": "1 1/8", "toward": "left"},
        {"kind": "end", "at": "33 5/8"},
    ],
}


def random_run(
    rng: random.Random, units: str, conduit: dict[str, str], bender: str, scale: float
) -> dict[str, Any]:
    """Offsets, saddles and turns with room around them, at angles that cards have a row for."""
    step = 16 if units == "in" else 1

    def read(low: float, high: float) -> str:
        return f"{round(rng.uniform(low, high) * scale * step) / step:.4f}"

    walk: list[dict[str, Any]] = []
    at = 0.0
    for _ in range(rng.randint(2, 4)):
        at += float(read(26, 40))
        toward = rng.choice(["left", "right", "out", "in"])
        kind = rng.choice(["offset", "offset", "saddle3", "saddle4", "turn"])
        line: dict[str, Any] = {"kind": kind, "at": f"{at:.4f}", "toward": toward}
        if kind == "offset":
            line |= {"rise": read(5, 10), "angle": rng.choice([22.5, 30, 45])}
        elif kind == "saddle3":
            line |= {"rise": read(1.5, 4), "angle": 45}
            at += 20 * scale
        elif kind == "saddle4":
            line |= {"rise": read(5, 7), "width": read(3, 12), "angle": 30}
            at += float(line["width"]) + 22 * scale
        walk.append(line)
        if kind == "turn":
            at = 0.0
    walk.append({"kind": "end", "at": f"{at + float(read(26, 40)):.4f}"})
    return {
        "format": "yarrow.run/1",
        "units": units,
        "conduit": conduit,
        "bender": bender,
        "walk": walk,
    }
