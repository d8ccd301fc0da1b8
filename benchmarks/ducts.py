"""A site of ducts replanned: pull points, ways, counts and cuts in the core."""

from __future__ import annotations

import random
import statistics
from collections.abc import Callable
from typing import Any

from selenium.webdriver.common.keys import Keys

import yarrow
from benchmarks.page import MORE_THAN, WATCH, late, sign_in
from benchmarks.row import Row, at_most
from benchmarks.unit import in_units
from e2e.browser import Browser
from yarrow.documents.site.reading import read_site
from yarrow.site.plan_site import planned_site

_LIMIT_MS = 300
_BUILDINGS = 60
_STRETCHES = 400
_SIZES = (50, 100, 200)
_PAGE_MS = 100
_PRESSES = 60
_WARM_UP = 10
ON_THE_PAGE = 40
"""Stretches of the site that is moved on the page."""


def measure() -> list[Row]:
    """The promised size, what its answer in words takes, and how it grows; a point is moved at
    every turn."""
    site = grounds(_STRETCHES, _BUILDINGS)
    number = len(yarrow.site(site)["stretches"])
    rows = [
        at_most(
            f"pull points, ways, counts and cuts of {_BUILDINGS} buildings, {number} stretches",
            _taken(site, _planned),
            _LIMIT_MS,
            "ms",
        ),
        Row("… and answered in words", f"{_taken(site, yarrow.site):.0f} ms"),
    ]
    for size in _SIZES:
        grown = grounds(size, size * _BUILDINGS // _STRETCHES)
        number = len(planned_site(read_site(grown)).parted.stretches)
        rows.append(Row(f"… of {number} stretches", f"{_taken(grown, _planned):.0f} ms"))
    return rows


def _planned(site: dict[str, Any]) -> object:
    return planned_site(read_site(site))


def _taken(site: dict[str, Any], plan: Callable[[dict[str, Any]], object]) -> float:
    moved = iter(range(1, 1_000_000))

    def move() -> None:
        site["trenches"][0]["line"][1][1] = next(moved) % 9 / 10
        plan(site)

    return in_units(move, 9).ms


def on_the_page(address: str, username: str, password: str, site_id: int) -> list[Row]:
    """A building moved by keys, to the plan as it is drawn then: as it is dragged, but counted."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/sites/{site_id}")
        browser.see("[data-site-plan][data-current=true] [data-stretch]")
        browser.see("[data-stop='Building 1']").click()
        browser.driver.execute_script(WATCH, "[data-site-plan]")
        for _ in range(_PRESSES + _WARM_UP):
            before = browser.driver.execute_script("return window.taken.length")
            browser.see("[data-stop='Building 1']").send_keys(Keys.ARROW_UP)
            browser.driver.execute_async_script(MORE_THAN, "taken", before)
        taken = browser.driver.execute_script("return window.taken")[_WARM_UP:]
    finally:
        browser.close()
    return [
        Row(
            f"a building of {ON_THE_PAGE} stretches moved on the page, median",
            f"{statistics.median(taken):.0f} ms",
        ),
        at_most(f"… 95th percentile over {_PRESSES} presses", late(taken), _PAGE_MS, "ms"),
    ]


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
