"""A site of ducts replanned: pull points, ways, counts and cuts in the core."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from selenium.webdriver.common.keys import Keys

import yarrow
from benchmarks.page import FLOOR, MORE_THAN, WATCH, in_floors, press_floor, sign_in
from benchmarks.row import Row, within
from benchmarks.runs import grounds, moved_sites
from benchmarks.unit import InUnits, in_units
from e2e.browser import Browser
from yarrow.documents.site.reading import read_site
from yarrow.site.plan_site import planned_site

_PLANNED = 1100
"""Units of the loop."""
_BUILDINGS = 60
_STRETCHES = 400
_SIZES = (50, 100, 200)
_LATE = 4.5
"""Floors of a key."""
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
        within(
            f"pull points, ways, counts and cuts of {_BUILDINGS} buildings, {number} stretches",
            _taken(site, _planned),
            _PLANNED,
        ),
        Row("… and answered in words", f"{_taken(site, yarrow.site).units:.0f} units"),
    ]
    for size in _SIZES:
        grown = grounds(size, size * _BUILDINGS // _STRETCHES)
        number = len(planned_site(read_site(grown)).parted.stretches)
        rows.append(Row(f"… of {number} stretches", f"{_taken(grown, _planned).units:.0f} units"))
    return rows


def _planned(site: dict[str, Any]) -> object:
    return planned_site(read_site(site))


def _taken(site: dict[str, Any], plan: Callable[[dict[str, Any]], object]) -> InUnits:
    moved = moved_sites(site)
    return in_units(lambda: plan(next(moved)), 9)


def on_the_page(address: str, username: str, password: str, site_id: int) -> list[Row]:
    """A building moved by keys, to the plan as it is drawn then: as it is dragged, but counted."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/sites/{site_id}")
        browser.see("[data-site-plan][data-current=true] [data-stretch]")
        browser.see("[data-stop='Building 1']").click()
        browser.driver.execute_script(WATCH, "[data-site-plan]")
        browser.driver.execute_script(FLOOR)
        for _ in range(_PRESSES + _WARM_UP):
            before = browser.driver.execute_script("return window.taken.length")
            browser.see("[data-stop='Building 1']").send_keys(Keys.ARROW_UP)
            browser.driver.execute_async_script(MORE_THAN, "taken", before)
            press_floor(browser)
        taken = browser.driver.execute_script("return window.taken")[_WARM_UP:]
        floor = browser.driver.execute_script("return window.floor")[_WARM_UP:]
    finally:
        browser.close()
    what = f"a building of {ON_THE_PAGE} stretches moved on the page"
    return in_floors(what, taken, floor, late_most=_LATE)
