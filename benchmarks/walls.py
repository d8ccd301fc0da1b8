"""A framed wall of 40 studs, 16 boxes and 20 feeds: replanned in the core, and on the page."""

from __future__ import annotations

from collections.abc import Iterator
from itertools import count
from typing import Any

import yarrow
from benchmarks.page import FLOOR, WATCH, in_floors, press, sign_in
from benchmarks.row import Row, within
from benchmarks.unit import in_units
from e2e.browser import Browser

_PAIRS = 8
_LIGHTS = 12
_PRESSES = 60
_REPLANNED = 130
"""Units of the loop."""
_LATE = 4
"""Floors of a key."""

WALL: dict[str, Any] = {
    "format": "yarrow.wall/1",
    "name": "Forty studs",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "length": 640,
    "height": 120,
    "studs": {},
    "boxes": [
        {
            "name": f"{word} {n}",
            "kind": "square",
            "stud": stud + 5 * n,
            "side": side,
            "height": high,
        }
        for n in range(_PAIRS)
        for word, stud, side, high in (("Switch", 2, "right", 48), ("Outlet", 5, "left", 16))
    ],
    "ways_out": [{"name": f"Light {n}"} for n in range(_LIGHTS)],
    "lines": [{"name": "over all", "height": 72}],
    "feeds": [
        *({"from": f"Switch {n}", "to": f"Outlet {n}"} for n in range(_PAIRS)),
        *(
            {"from": f"{'Switch' if n < _PAIRS else 'Outlet'} {n % _PAIRS}", "to": f"Light {n}"}
            for n in range(_LIGHTS)
        ),
    ],
}


def moved_walls() -> Iterator[dict[str, Any]]:
    """The wall with a box at another height each time."""
    for key in count(1):
        boxes = [*WALL["boxes"]]
        boxes[6] = {**boxes[6], "height": 44 + key / 64}
        yield {**WALL, "boxes": boxes}


def measure() -> list[Row]:
    """Another height of a box at every turn, as at a key press."""
    moved = moved_walls()
    taken = in_units(lambda: yarrow.wall(next(moved)), 9)
    return [within("a wall of 20 feeds replanned, a box moved", taken, _REPLANNED)]


def on_the_page(address: str, username: str, password: str, wall_id: int) -> list[Row]:
    """Presses that change a box's height, to the wall as it is drawn."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/walls/{wall_id}")
        field = browser.field("boxes[6].height")
        browser.see("[data-wall-plan][data-current=true]")
        browser.driver.execute_script(WATCH, "[data-wall-plan]")
        browser.driver.execute_script(FLOOR)
        taken, floor = press(browser, field, _PRESSES)
    finally:
        browser.close()
    what = "key press to a wall of 40 studs and 20 feeds on the page"
    return in_floors(what, taken, floor, late_most=_LATE)
