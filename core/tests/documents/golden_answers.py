"""What the core answers to a few documents, kept for who reads answers: the page's tests. Written
anew, where an answer is meant to change, by ``python -m core.tests.documents.golden_answers``."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any

import yarrow
from core.tests.builders import framed_wall

ROOT = Path(__file__).resolve().parents[3]
GOLDEN = ROOT / "contracts" / "golden"

_PRESS_HALL: dict[str, Any] = json.loads((ROOT / "core/tests/press-hall.run.json").read_text())
_RACK = {"rack": {"count": 3, "side": "left", "spacing": 3}}
_LOFT: dict[str, Any] = json.loads((ROOT / "docs/stock.json").read_text())
_STUDS = framed_wall(
    name="Office",
    boxes=[
        {"name": "A", "stud": 3, "height": 16, "kind": "square"},
        {"name": "B", "stud": 6, "height": 48},
    ],
    lines=[{"name": "low", "height": 40}],
    feeds=[{"from": "A", "to": "B", "line": "low", "wires": "3 x 12 thhn"}],
)
_FILL = {
    "format": "yarrow.fill/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "3/4"},
    "typed": "9 x 12 thhn",
}
_BOX = {
    "format": "yarrow.box/1",
    "box": "square-4-2-1/8",
    "conductors": [{"size": "12", "ends": 9}],
    "devices": [{"size": "12", "count": 1}],
}
_ENTRIES = {
    "format": "yarrow.entries/1",
    "units": "in",
    "box": {"width": 8, "height": 8, "depth": 4},
    "entries": [
        {"id": "a", "wall": "top", "size": "3/4", "at": 2},
        {"id": "b", "wall": "top", "size": "3/4", "at": 3},
    ],
}
_GROUNDS = {
    "format": "yarrow.site/1",
    "units": "mm",
    "places": [
        {"name": "House", "at": [0, 0], "kind": "building"},
        {"name": "P1", "at": [40, 0], "kind": "hand-hole"},
        {"name": "Pump", "at": [40, 30], "kind": "building"},
    ],
    "trenches": [
        {"name": "T1", "line": [[0, 0], [40, 0]]},
        {"name": "T2", "line": [[40, 0], [40, 30]]},
    ],
    "cables": [{"kind": "fibre", "from": "House", "to": "Pump", "diameter": 12}],
}

ASKED: dict[str, tuple[str, dict[str, Any]]] = {
    "press-hall.plan": ("plan", _PRESS_HALL),
    "press-hall.pieces": ("pieces", _PRESS_HALL),
    "press-hall.work": ("work", _PRESS_HALL),
    "press-hall.rack": ("rack", {**_PRESS_HALL, **_RACK}),
    "loft.cut-list": ("cut", _LOFT),
    "office.wall": ("wall", _STUDS),
    "grounds.site": ("site", _GROUNDS),
    "twelves.fill": ("fill", _FILL),
    "four-square.box": ("box", _BOX),
    "tub.entries": ("entries", _ENTRIES),
}
"""Each file with the verb and the document that it is the answer to."""


def answer(name: str) -> Any:
    """What the core answers today, as JSON has it."""
    verb, document = ASKED[name]
    return json.loads(json.dumps(getattr(yarrow, verb)(document)))


if __name__ == "__main__":
    for name in ASKED:
        text = json.dumps(answer(name), indent=2, ensure_ascii=False)
        (GOLDEN / f"{name}.json").write_text(f"{text}\n", "utf-8")
