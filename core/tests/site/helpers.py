"""Sites to ask about, and random ones."""

from __future__ import annotations

import random
from typing import Any

Point = tuple[float, float]


def hole(name: str, x: float, y: float, **more: Any) -> dict[str, Any]:
    return {"name": name, "kind": "hand-hole", "at": [x, y], **more}


def building(name: str, x: float, y: float, **more: Any) -> dict[str, Any]:
    return {"name": name, "kind": "building", "at": [x, y], **more}


def trench(name: str, *line: Point, **more: Any) -> dict[str, Any]:
    return {"name": name, "line": [list(point) for point in line], **more}


def fibre(start: str, end: str, **more: Any) -> dict[str, Any]:
    return {"from": start, "to": end, "kind": "fibre", "diameter": 12, **more}


def site(
    places: list[dict[str, Any]],
    trenches: list[dict[str, Any]],
    cables: list[dict[str, Any]] | None = None,
    **more: Any,
) -> dict[str, Any]:
    return {
        "format": "yarrow.site/1",
        "units": "mm",
        "places": places,
        "trenches": trenches,
        "cables": cables or [],
        **more,
    }


def between_holes(*line: Point, **more: Any) -> dict[str, Any]:
    """One trench from a hand hole to another."""
    return site([hole("A", *line[0]), hole("B", *line[-1])], [trench("T", *line)], **more)


def random_network(rng: random.Random) -> dict[str, Any]:
    """A few hand holes on a grid with straight trenches between some of them, and a cable to the
    first from each other: whole, parted and with rings."""
    count = rng.randint(2, 7)
    spots = rng.sample([(30.0 * x, 30.0 * y) for x in range(4) for y in range(4)], count)
    # Off the grid by a little, so that no trench goes through a place that it does not end at.
    spots = [(x + rng.random(), y + rng.random()) for x, y in spots]
    names = [f"N{number}" for number in range(count)]
    pairs = [(a, b) for a in range(count) for b in range(a + 1, count)]
    taken = rng.sample(pairs, min(len(pairs), rng.randint(1, count + 2)))
    return site(
        [hole(name, *spot) for name, spot in zip(names, spots, strict=True)],
        [trench(f"{a}-{b}", spots[a], spots[b]) for a, b in taken],
        [fibre(name, names[0]) for name in names[1:]],
    )
