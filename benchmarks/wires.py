"""A schedule of 2,000 runs through the server, and sixty conductors settled on the page."""

from __future__ import annotations

import json
import statistics

from selenium.webdriver.common.keys import Keys

from benchmarks.page import FLOOR, press_floor, sign_in
from benchmarks.row import Row, at_most, within
from benchmarks.server import Client
from benchmarks.unit import in_units
from e2e.browser import Browser

_RUNS = 2000
_TURNS = 12
_SCHEDULE, _SETTLED = 12_000, 6
"""What is promised: units of the loop, and floors of a key."""

_WATCH = """
window.settled = [];
window.longest = 0;
let pressed = null;
addEventListener('keydown', () => { pressed = performance.now(); }, true);
const drawn = () => document.querySelector('svg[data-packed]')?.dataset.packed;
let before = drawn();
new MutationObserver(() => {
  const now = drawn();
  if (pressed !== null && now && now !== before) {
    before = now;
    window.settled.push(performance.now() - pressed);
    pressed = null;
  }
}).observe(document.querySelector('main'), {subtree: true, childList: true, attributes: true});
new PerformanceObserver((list) => {
  for (const task of list.getEntries()) window.longest = Math.max(window.longest, task.duration);
}).observe({entryTypes: ['longtask']});
"""


def schedule(client: Client) -> list[Row]:
    """Every row read, checked and answered, with its progress."""
    head = "name,type,size,length,bends,wires\n"
    rows = "".join(
        f"run {n},emt,,{n % 100 + 20},{n % 4},{n % 14 + 1} x 12 thhn; 2 x 10; 1 x 12 bare\n"
        for n in range(_RUNS)
    )
    answer = b""

    def ask() -> None:
        nonlocal answer
        answer = client.send("POST", "/api/schedule?units=in", (head + rows).encode(), "text/csv")

    taken = in_units(ask, 3)
    lines = answer.splitlines()
    checked = len(json.loads(lines[-1])["rows"])
    if checked != _RUNS:
        raise RuntimeError(f"{checked} rows were answered")
    return [
        within(f"a schedule of {_RUNS} runs through the server", taken, _SCHEDULE),
        Row("… told on the way", f"{len(lines) - 1} times"),
    ]


def packing(address: str, username: str, password: str) -> list[Row]:
    """From a key on a count to sixty conductors settled and drawn, the check included."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        document = {
            "format": "yarrow.fill/1",
            "method": "area",
            "units": "in",
            "conduit": {"type": "emt", "size": "2"},
            "conductors": [
                {"count": 30, "insulation": "thhn", "size": "12"},
                {"count": 20, "insulation": "thhn", "size": "10"},
                {"count": 9, "insulation": "thhn", "size": "8"},
            ],
        }
        browser.driver.execute_script(
            "localStorage.setItem('yarrow.check.conduit', arguments[0])", json.dumps(document)
        )
        browser.driver.get(f"{address}/check/conduit")
        browser.see("svg[data-packed='59']")
        browser.driver.execute_script(_WATCH)
        browser.driver.execute_script(FLOOR)
        slider = browser.see("[role=slider]")
        for turn in range(_TURNS):
            # Each count is asked for the first time: what was checked before is known already.
            slider.send_keys(Keys.ARROW_RIGHT)
            browser.see(f"svg[data-packed='{60 + turn}']")
            press_floor(browser)
        taken: list[float] = browser.driver.execute_script("return window.settled")
        longest: float = browser.driver.execute_script("return window.longest")
        floor: list[float] = browser.driver.execute_script("return window.floor")
    finally:
        browser.close()
    median = statistics.median(taken)
    return [
        Row(
            "sixty conductors settled and drawn, from a key on a count, median", f"{median:.1f} ms"
        ),
        at_most("… of the floor of a key", median / statistics.median(floor), _SETTLED, "x"),
        Row("… longest the page was held up meanwhile (0: under 50)", f"{longest:.0f} ms"),
    ]
