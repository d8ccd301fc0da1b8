"""Bodies that grow with a number: what a few kilobytes may ask for, door by door."""

from __future__ import annotations

import csv
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import Any, Final

from core.tests.builders import (
    block,
    box_offset,
    end,
    framed_wall,
    hole,
    kick,
    ledge,
    offset,
    round_thing,
    run,
    saddle3,
    saddle4,
    turn,
    wall,
)
from core.tests.site.helpers import fibre, site, trench
from core.tests.site.helpers import hole as hand_hole

Body = dict[str, Any]
Sized = Callable[[int], Body]

_SIDES = ("left", "out", "right", "in")


def _at_each(line: Callable[[int], Body], apart: int = 40) -> Callable[[int], list[Body]]:
    """So many alike in a row.

    Args: line, made from where it stands; apart, from one to the next.
    """
    return lambda size: [
        *(line(apart * (at + 1)) for at in range(size)),
        end(apart * (size + 2)),
    ]


def _turns(size: int) -> list[Body]:
    return [*(turn(24, _SIDES[at % 4]) for at in range(size)), end(24)]


def _flat_turns(size: int) -> list[Body]:
    """There and back in one plane, so that a bent pipe meets itself."""
    return [*(turn(24, _SIDES[(at // 2) % 2 * 2]) for at in range(size)), end(24)]


def _sets(size: int) -> list[Body]:
    """A set and a 90 on every leg."""
    pairs = ([offset(30, 3), turn(60, _SIDES[at % 4])] for at in range(size))
    return [*(line for pair in pairs for line in pair), end(40)]


def _kicks(size: int) -> list[Body]:
    pairs = ([turn(30, _SIDES[at % 4]), kick(12, 2, toward="out")] for at in range(size))
    return [*(line for pair in pairs for line in pair), end(40)]


def _loose(size: int) -> list[Body]:
    """Both ends fixed, and a rise of every offset open."""
    lines = [
        offset(40 * (at + 1), 2, toward=_SIDES[at % 4], loose=["at", "rise"]) for at in range(size)
    ]
    return [*lines, end(40 * (size + 2), loose=["at"], meet=[40 * (size + 2), 3, 4])]


def _mixed(size: int) -> list[Body]:
    """Of everything that may stand there, one after another."""
    kinds: tuple[Callable[[int], Body], ...] = (
        lambda at: round_thing(at, 4),
        lambda at: block(at, 6, 3),
        lambda at: ledge(at, 2),
        lambda at: offset(at, 3, toward="left"),
        lambda at: hole(at, 2, toward="left"),
        lambda at: saddle3(at, 2, toward="left"),
        lambda at: saddle4(at, 5, 2, toward="left"),
    )
    return [
        *(kinds[at % len(kinds)](60 * (at + 1)) for at in range(size)),
        end(60 * (size + 2)),
    ]


WALKS: Final[Mapping[str, Callable[[int], list[Body]]]] = {
    "turns": _turns,
    "turns in a plane": _flat_turns,
    "sets and turns": _sets,
    "turns and kicks": _kicks,
    "offsets": _at_each(lambda at: offset(at, 2)),
    "offsets side by side": _at_each(lambda at: offset(at, 2, toward=_SIDES[at % 4])),
    "3-bend saddles": _at_each(lambda at: saddle3(at, 2)),
    "4-bend saddles": _at_each(lambda at: saddle4(at, 6, 2)),
    "box offsets": lambda size: [
        box_offset("start", "3/4", margin=3),
        *_at_each(lambda at: offset(at, 2))(size),
    ],
    "pipes across": _at_each(lambda at: round_thing(at, 4)),
    "blocks": _at_each(lambda at: block(at, 6, 3)),
    "ledges": _at_each(lambda at: ledge(at, 2 if at // 40 % 2 else 4)),
    "walls": lambda size: [*(wall(40, _SIDES[at % 4]) for at in range(size)), end(40)],
    "holes": _at_each(lambda at: hole(at, 2 + at // 40 % 3)),
    "of everything": _mixed,
    "numbers left open": _loose,
    "long names": _at_each(lambda at: offset(at, 2, label="W" * 80)),
}

_RIGID: Final = {"conduit": {"type": "rmc", "size": "1"}}
SET_UPS: Final[Mapping[str, Body]] = {
    "by hand": {},
    "powered": {**_RIGID, "bender": "powered-2"},
    "ratchet": {**_RIGID, "bender": "ratchet-1"},
    "warm": {"conduit": {"type": "pvc40", "size": "1"}, "bender": "heat-form-us"},
    "by a table": {"method": "table"},
    "joined": {
        "joints": {
            "places": [{"at": 30}, {"at": 60}],
            "near": [{"what": "floor", "toward": "in", "off": 4 + at} for at in range(12)],
        },
        "stand_off": 1,
        **_RIGID,
        "bender": "ratchet-1",
    },
}


def _walked(walk: str, set_up: str) -> Sized:
    return lambda size: run(*WALKS[walk](size), **SET_UPS[set_up])


def _came_out(document: Body, bends: int) -> Body:
    """At the bench with so many bends made, none as it was planned."""
    made = [{"bend": bend, "angle": 87 - bend % 3, "as_is": True} for bend in range(bends)]
    came_out = {"format": "yarrow.bench/1", "units": "in", "made": made}
    return {"document": document, "came_out": came_out, "piece": None}


def _at_bench(walk: str, set_up: str, bends_a_line: int, share: float) -> Sized:
    def body(size: int) -> Body:
        return _came_out(_walked(walk, set_up)(size), max(1, int(size * bends_a_line * share)))

    return body


def _wired(size: int) -> Body:
    conductors = [{"count": 3, "insulation": "thhn", "size": "12"}] * size
    return run(*_turns(8), wires={"conductors": conductors})


def _rack(pipes: int, corners: str = "same") -> Sized:
    return lambda size: run(
        *_turns(size), rack={"count": pipes, "side": "right", "spacing": 3, "corners": corners}
    )


def _grid(size: int) -> Body:
    lines = [
        trench(
            f"{way}{at}",
            *([(at * 30, 0), (at * 30, 480)] if way else [(0, at * 30), (480, at * 30)]),
        )
        for way in (0, 1)
        for at in range(size)
    ]
    return site([hand_hole("A", 0, 0), hand_hole("B", 480, 480)], lines, [fibre("A", "B")] * 100)


def _one_trench(cables: int) -> Sized:
    def body(size: int) -> Body:
        half = size * 50
        return site(
            [hand_hole("A", -half, 0), hand_hole("B", half, 0)],
            [trench("T", (-half, 0), (half, 0))],
            [fibre("A", "B")] * cables,
            rules={"most_straight_m": 10},
        )

    return body


def _star(size: int) -> Body:
    """One hub with a trench and a cable to every other place, a second way asked for."""
    spots = [(f"N{at}", 40.0 * (at % 20), 40.0 * (at // 20 + 1)) for at in range(size)]
    return site(
        [hand_hole("hub", 0, 0), *(hand_hole(*spot) for spot in spots)],
        [trench(f"T{name}", (0, 0), (x + 1, y - 1), (x, y)) for name, x, y in spots],
        [fibre("hub", name, second=True) for name, *_ in spots],
    )


def _close_points(size: int) -> Body:
    line = [(at * 0.01, (at % 2) * 0.01) for at in range(200)]
    return site([], [trench(f"T{at}", *line) for at in range(size)])


def _ladder(size: int) -> Body:
    """Two long ways with rungs, and cables with places to be led through."""
    names = [f"{side}{at}" for at in range(size) for side in "LR"]
    places = [hand_hole(name, 30.0 * (name[0] == "R"), 30.0 * int(name[1:])) for name in names]
    rails = [
        trench(
            f"{side}{at}-",
            (30.0 * (side == "R"), 30.0 * at),
            (30.0 * (side == "R"), 30.0 * at + 30),
        )
        for at in range(size - 1)
        for side in "LR"
    ]
    rungs = [trench(f"rung{at}", (0, 30.0 * at), (30, 30.0 * at)) for at in range(size)]
    cables = [
        fibre(
            "L0", f"R{size - 1}", second=True, via=[f"L{at}" for at in range(1, size - 1, 3)][:20]
        )
    ] * 60
    return site(places, [*rails, *rungs], cables)


def _wall(boxes: list[Body], pairs: list[tuple[int, int]], **more: Any) -> Body:
    feeds = [
        {"from": f"B{one}", "to": f"B{other}", "key": str(key)}
        for key, (one, other) in enumerate(pairs)
        if one != other
    ]
    lines = [{"name": "a", "height": 110}, {"name": "b", "height": 120}]
    size = {"length": 2000, "height": 140, "studs": {}}
    return framed_wall(**{**size, "boxes": boxes, "lines": lines, "feeds": feeds, **more})


def _one_stud(size: int) -> Body:
    boxes = [
        {"name": f"B{at}", "stud": 3, "height": 10 + at * 0.8, "kind": "square"}
        for at in range(size)
    ]
    return _wall(boxes, [(at % size, (at * 7 + 1) % size) for at in range(199)])


def _outlets(pairs: Callable[[int], list[tuple[int, int]]]) -> Sized:
    def body(size: int) -> Body:
        boxes = [
            {"name": f"B{at}", "stud": 2 + at, "height": 16, "kind": "device"} for at in range(size)
        ]
        return _wall(boxes, pairs(size))

    return body


def _by_the_stud(size: int) -> Body:
    boxes = [{"name": f"B{at}", "stud": at + 1, "height": 16} for at in range(size)]
    studs = {"at": [3 + 9 * at for at in range(200)]}
    return _wall(boxes, [(at, at + 1) for at in range(size - 1)], studs=studs)


def _fold(size: int) -> Body:
    bends = [{"arc_start": 10 * at + 5, "angle": 30, "roll": 90 * (at % 4)} for at in range(size)]
    return {
        "format": "yarrow.bends/1",
        "units": "in",
        "radius": 4.471,
        "cut_length": 10 * size + 20,
        "bends": bends,
    }


def _fill(method: str) -> Sized:
    def body(size: int) -> Body:
        if method == "area":
            conductor: Body = {"count": 1, "insulation": "thhn", "size": "12"}
            return {
                "format": "yarrow.fill/1",
                "units": "in",
                "conduit": {"type": "emt"},
                "conductors": [conductor] * size,
            }
        conductor = {"count": 1, "csa": 2.5, "build": "stranded"}
        where: Body = (
            {"conduit": {"type": "steel"}, "length": 4200, "bends": 2}
            if method == "factor"
            else {"trunking": {"width": 100, "height": 100}}
        )
        return {"format": "yarrow.fill/1", "units": "mm", **where, "conductors": [conductor] * size}

    return body


def _pull_box(size: int) -> Body:
    walls = ("left", "right", "top", "bottom")
    entries = [
        {"id": str(at), "wall": walls[at % 4], "row": at // 4 % 9 + 1, "size": "2"}
        for at in range(size)
    ]
    pulls = [[str(at), str((at * 5 + 2) % size)] for at in range(size) if at != (at * 5 + 2) % size]
    return {"format": "yarrow.pullbox/1", "units": "in", "entries": entries, "pulls": pulls}


def _entries(size: int) -> Body:
    walls = ("left", "right", "top", "bottom")
    holes = [{"id": str(at), "wall": walls[at % 4], "size": "1/2"} for at in range(size)]
    box = {"width": 40, "height": 40, "depth": 12}
    return {"format": "yarrow.entries/1", "units": "in", "box": box, "entries": holes}


def _box(size: int) -> Body:
    return {
        "format": "yarrow.box/1",
        "box": "square-4-1-1/2",
        "conductors": [{"size": "12", "ends": 4}] * size,
        "devices": [{"size": "12", "count": 1}] * size,
    }


def _own_bender(size: int) -> Body:
    test = {"mark": "13 3/8", "stick": "40", "stub": "18 3/8", "tail": "24 1/4"}
    return {
        "format": "yarrow.bender/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": {"kind": "hand", "name": "Old", "tests": [test] * size},
    }


def _typed(word: str) -> Sized:
    return lambda size: {"text": (word * size)[:200], "units": "in"}


def _families() -> dict[tuple[str, str], Sized]:
    of_runs = ("plan", "handle", "pieces", "plan-in-pieces", "work")
    found: dict[tuple[str, str], Sized] = {}
    for walk in WALKS:
        for set_up in SET_UPS:
            for door in of_runs:
                found[door, f"{walk}, {set_up}"] = _walked(walk, set_up)
    for walk, bends in (("turns", 1), ("offsets", 2), ("4-bend saddles", 4), ("of everything", 2)):
        for set_up in ("by hand", "powered", "ratchet"):
            for share in (0.1, 0.5, 1.0):
                named = f"{walk}, {set_up}, {share:.0%} made"
                found["bench", named] = _at_bench(walk, set_up, bends, share)
                found["bench/fit", named] = _at_bench(walk, set_up, bends, share)
    found["plan", "wires"] = found["work", "wires"] = _wired
    for pipes in (2, 8, 30):
        found["rack", f"turns, {pipes} pipes"] = _rack(pipes)
        found["rack", f"turns about one centre, {pipes} pipes"] = _rack(pipes, "concentric")
    for walk in WALKS:
        found["convert", walk] = lambda size, walk=walk: {
            "document": run(*WALKS[walk](size)),
            "to": "mm",
        }
    found["site", "grid"] = _grid
    found["site", "star"] = _star
    found["site", "ladder"] = _ladder
    found["site", "close points"] = _close_points
    for cables in (1, 20, 75, 300):
        found["site", f"one trench, {cables} cables"] = _one_trench(cables)
    found["wall", "boxes on one stud"] = _one_stud
    found["wall", "studs one by one"] = _by_the_stud
    found["wall", "outlets in a chain"] = _outlets(lambda n: [(at, at + 1) for at in range(n - 1)])
    found["wall", "outlets from one"] = _outlets(lambda n: [(0, at) for at in range(1, n)])
    found["wall", "outlets across"] = _outlets(lambda n: [(at, n - 1 - at) for at in range(n // 2)])
    found["fold", "bends"] = _fold
    for method in ("area", "factor", "space"):
        found["fill", method] = _fill(method)
    found["pullbox", "pulls"] = _pull_box
    found["entries", "entries"] = _entries
    found["box", "conductors"] = _box
    found["bender", "tests"] = _own_bender
    for word in ("offset 6 45 ", "3 ", "3/4 ", "' ", "saddle "):
        found["line", f"{word!r} over and over"] = _typed(word)
    for insulation in ("9 x 12 thhn, ", "12 ", "x "):
        found["wires", f"{insulation!r} over and over"] = _typed(insulation)
    return found


FAMILIES: Final[Mapping[tuple[str, str], Sized]] = _families()
"""By the door's address under ``/api/`` and the family's name: a body of a size."""

_WORST: Final = Path(__file__).parent / "worst.tsv"


def worst(*, few: bool = False) -> list[tuple[str, str, int]]:
    """Doors, families and sizes as the search found them, the longest answers first; of a ``few``,
    each door's two longest and the one that takes longest."""
    with _WORST.open(encoding="utf-8", newline="") as lines:
        rows = list(csv.reader(lines, delimiter="\t"))
    if few:
        of_door = {
            door: [row for row in rows if row[0] == door] for door in {row[0] for row in rows}
        }
        slowest = [max(own, key=lambda row: float(row[3])) for own in of_door.values()]
        rows = [row for row in rows if row in of_door[row[0]][:2] or row in slowest]
    return [(door, family, int(size)) for door, family, size, *_ in rows]
