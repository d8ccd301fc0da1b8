"""A site of ducts replanned: pull points, ways, counts and cuts in the core."""

from __future__ import annotations

import random
from typing import Any

import yarrow
from benchmarks.row import Row, at_most
from benchmarks.unit import in_units

_LIMIT_MS = 300
_BUILDINGS = 60
_STRETCHES = 400
_SIZES = (50, 200, 800)


def measure() -> list[Row]:
    """The promised size, and how it grows; a point is moved at every turn."""
    site = grounds(_STRETCHES, _BUILDINGS)
    number = len(yarrow.site(site)["stretches"])
    rows = [
        at_most(
            f"a site of {_BUILDINGS} buildings and {number} stretches planned",
            _taken(site),
            _LIMIT_MS,
            "ms",
        )
    ]
    for size in _SIZES:
        grown = grounds(size, size * _BUILDINGS // _STRETCHES)
        number = len(yarrow.site(grown)["stretches"])
        rows.append(Row(f"… of {number} stretches", f"{_taken(grown):.0f} ms"))
    return rows


def _taken(site: dict[str, Any]) -> float:
    moved = iter(range(1, 1_000_000))

    def move() -> None:
        site["trenches"][0]["line"][1][1] = next(moved) % 9 / 10
        yarrow.site(site)

    return in_units(move, 7).ms


def grounds(stretches: int, buildings: int) -> dict[str, Any]:
    """Streets of trench, every one 60 m from the next and bent a little, with buildings along them:
    about so many stretches, some of the ways closed to rings and some not."""
    rng = random.Random(17)
    side = max(round((stretches / 2.2) ** 0.5), 2)
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
