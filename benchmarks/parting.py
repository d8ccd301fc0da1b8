"""From a key press to the pieces of a parted run, on the page."""

from __future__ import annotations

import statistics

from benchmarks.page import FLOOR, WATCH, late, press, sign_in
from benchmarks.row import Row, at_most
from e2e.browser import Browser

_PRESSES = 60
_LIMIT_MS = 100


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
        taken, _ = press(browser, field, _PRESSES)
    finally:
        browser.close()
    return [
        at_most(
            f"key press to the pieces of {name} on the page, median",
            statistics.median(taken),
            _LIMIT_MS,
            "ms",
        ),
        Row(f"… 95th percentile over {_PRESSES} presses", f"{late(taken):.0f} ms"),
    ]
