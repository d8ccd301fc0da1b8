"""From a key press to the pieces of a parted run, on the page."""

from __future__ import annotations

from benchmarks.page import FLOOR, WATCH, in_floors, press, sign_in
from benchmarks.row import Row
from e2e.browser import Browser

_PRESSES = 60
_MEDIAN = 8
"""Floors of a key: 5 was 100 ms where a floor takes 20; threaded pipe took 132 of 23."""


def measure(address: str, username: str, password: str, name: str, run_id: int) -> list[Row]:
    """Presses that part a run anew, its pieces in sight; ``name`` is what is said of it."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/runs/{run_id}")
        field = browser.field("walk[0].at")
        browser.press("Pieces")
        browser.see("[data-pieces][data-current=true]")
        browser.driver.execute_script(WATCH, "[data-pieces]")
        browser.driver.execute_script(FLOOR)
        taken, floor = press(browser, field, _PRESSES)
    finally:
        browser.close()
    what = f"key press to the pieces of {name} on the page"
    return in_floors(what, taken, floor, median_most=_MEDIAN)
