"""What is measured: runs, pieces to cut, ducts; and random runs that a crew could meet."""

from __future__ import annotations

import random
from collections.abc import Iterator
from fractions import Fraction
from itertools import count
from typing import Any

import yarrow

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


def _sets(number: int, every: int, rise: str, angle: float) -> list[dict[str, Any]]:
    """So many offsets, right and left, each so much further on."""
    return [
        {
            "kind": "offset",
            "at": f"{every * (n + 1)} 3/8",
            "rise": rise,
            "toward": "left" if n % 2 else "right",
            "angle": angle,
        }
        for n in range(number)
    ]


def run_of(bends: int) -> dict[str, Any]:
    """A run of offsets, left and right, with so many bends."""
    end = {"kind": "end", "at": 24 * (bends // 2 + 1)}
    return {
        "format": "yarrow.run/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "walk": [*_sets(bends // 2, 24, "4 3/8", 30), end],
    }


IN_A_STICK: dict[str, Any] = {
    **run_of(0),
    "walk": [*_sets(6, 9, "1 1/2", 22.5), {"kind": "end", "at": 70}],
}
"""Twelve bends of a pipe of 6 ft."""

RUN: dict[str, Any] = {
    **run_of(0),
    "joints": {},
    "walk": [*_sets(12, 105, "4 3/8", 30), {"kind": "end", "at": 1365}],
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


def grounds(stretches: int, buildings: int) -> dict[str, Any]:
    """Streets of trench, every one 60 m from the next and bent a little, with buildings along them:
    about so many stretches, some of the ways closed to rings and some not."""
    rng = random.Random(17)
    side = max(round((stretches / 1.95) ** 0.5), 2)
    trenches, places = [], []
    for row in range(side):
        line = [[60.0 * x, 60.0 * row] for x in range(side)]
        line[0][0] -= 20.0
        trenches.append({"name": f"row {row}", "line": line})
    for column in range(1, side):
        for row in range(side - 1):
            if rng.random() < 0.75:
                x, y = 60.0 * column, 60.0 * row
                line = [[x, y], [x + 5.0, y + 30.0], [x, y + 60.0]]
                trenches.append({"name": f"link {column} {row}", "line": line})
    spots = [(column, row) for column in range(side - 1) for row in range(side)]
    for number, (column, row) in enumerate(rng.sample(spots, min(buildings, len(spots)))):
        x, y = 60.0 * column + 25.0, 60.0 * row
        name = f"Building {number + 1}"
        places.append({"name": name, "kind": "building", "at": [x, y + 15.0], "floor": number % 3})
        trenches.append({"name": f"to {name}", "line": [[x, y], [x, y + 15.0]]})
    cables = [
        {"from": place["name"], "to": "Building 1", "kind": kind, "diameter": across, "count": 2}
        for place in places[1:]
        for kind, across in (("fibre", 12), ("power", 28))
    ]
    return {
        "format": "yarrow.site/1",
        "units": "mm",
        "places": places,
        "trenches": trenches,
        "cables": cables,
    }


def moved_runs(document: dict[str, Any]) -> Iterator[dict[str, Any]]:
    """As keys make them: a run with the second line of its walk a little further on each time."""
    first, second, *rest = document["walk"]
    place = float(sum(map(Fraction, second["at"].split())))
    for key in count(1):
        yield {**document, "walk": [first, {**second, "at": place + key / 10_000}, *rest]}


def moved_sites(site: dict[str, Any]) -> Iterator[dict[str, Any]]:
    """A site with a point of its first trench in another place each time."""
    for key in count(1):
        site["trenches"][0]["line"][1][1] = key % 9 / 10
        yield site


def readings(run: dict[str, Any], angle: float) -> Iterator[dict[str, Any]]:
    """As they are typed: another angle of a run's first bend each time, a little over one."""
    first = yarrow.handle(run)["orders"][0]["bends"][0]["bend"]
    for key in count(1):
        made = [{"bend": first, "angle": angle + key / 100}]
        yield {"format": "yarrow.bench/1", "units": "in", "made": made}
