"""A piece at the bench: what is left, worked out anew after a reading; a bender that is learnt; and
the gauge on the page."""

from __future__ import annotations

import math
import random
import socket
import threading
from typing import Any

import yarrow
from benchmarks.page import FLOOR, WATCH, in_floors, press, sign_in
from benchmarks.row import Row, at_least, within
from benchmarks.runs import SIX_BENDS, readings
from benchmarks.unit import in_units
from e2e.browser import Browser
from launcher.gauge.lines import Gauge
from launcher.gauge.simulated_bender import SimulatedBender

_REPLANNED, _LEARNT = 260, 150
"""Units of the loop."""
_MEDIAN = 4
"""Floors of a key."""
_BENDS = 200
_PRESSES = 60
_SHOWN_A_SECOND = 20
_WATCHED_S = 5

_COUNT = """
const [seconds, done] = arguments;
const shown = document.querySelector('[data-live-angle]');
let seen = 0;
new MutationObserver(() => { seen += 1; }).observe(shown, {attributes: true});
setTimeout(() => done(seen / seconds), seconds * 1000);
"""


def measure() -> list[Row]:
    """Another angle of the first bend of six at every turn, as at a reading that is typed; and a
    bender with two hundred bends, one more at every turn."""
    run = six_bends()
    came_out = readings(run, 28)
    taken = in_units(lambda: yarrow.bench(run, next(came_out)), 15)
    rng = random.Random(16)
    bends = [_measured(rng) for _ in range(_BENDS)]

    def learning() -> None:
        bends[0] = _measured(rng)
        yarrow.bender(_kept(bends))

    learnt = in_units(learning, 15)
    return [
        within("six bends replanned after a reading at the bench", taken, _REPLANNED),
        within(f"a bender learnt from {_BENDS} bends", learnt, _LEARNT),
    ]


def six_bends() -> dict[str, Any]:
    """A run of six bends, in one piece."""
    return {key: value for key, value in SIX_BENDS.items() if key != "joints"}


def _measured(rng: random.Random) -> dict[str, Any]:
    """A bend with both legs and its angle read: take-up 5.2, radius 4.6, thin wall 1/2."""
    angle = rng.choice((30, 45, 60, 90)) + rng.gauss(0, 0.4)
    t, theta = math.tan(math.radians(angle) / 2), math.radians(angle)
    stub = 12 + 5.2 - (4.6 + 0.353) * (1 - t)
    tail = 48 - stub + 2 * (4.6 + 0.353) * t - 4.6 * theta
    return {
        "mark": 12,
        "stick": 48,
        "stub": round(stub + rng.gauss(0, 0.03), 3),
        "tail": round(tail + rng.gauss(0, 0.03), 3),
        "angle": round(angle + rng.gauss(0, 0.5), 1),
        "commanded": round(angle * 1.04 + 1, 1),
    }


def _kept(bends: list[dict[str, Any]]) -> dict[str, Any]:
    return {
        "format": "yarrow.bender/1",
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": {"kind": "hand", "take_up": 5, "radius": 4.471, "tests": bends},
    }


def on_the_page(
    address: str, username: str, password: str, run_id: int, gauge: tuple[str, int]
) -> list[Row]:
    """A reading that is typed, from its keys to what becomes of the piece; and how many readings of
    a gauge that speaks twenty times a second are drawn."""
    bender = SimulatedBender(1)
    instrument = Gauge(bender, "482913")
    browser = Browser()
    server = socket.create_server(gauge)
    for work in (instrument.run, lambda: instrument.accept(server)):
        threading.Thread(target=work, daemon=True).start()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/runs/{run_id}/bench")
        browser.see("[data-bench][data-current=true]")
        browser.press("Done. Next mark")
        browser.press("Gauge", "[role=radio]")
        browser.write("gauge.code", instrument.code)
        browser.press("Pair it")
        browser.see("[data-gauge=instrument] [data-live-angle]")
        bender.press("bending")
        shown = browser.driver.execute_async_script(_COUNT, _WATCHED_S)
        bender.press("nothing")
        browser.press("No gauge", "[role=radio]")
        browser.press("It came out different")
        field = browser.field("read.angle")
        field.send_keys("31")
        browser.see("[data-tried][data-current=true]")
        browser.driver.execute_script(WATCH, "[data-tried]")
        browser.driver.execute_script(FLOOR)
        taken, floor = press(
            browser, field, _PRESSES, lambda n: f"{28 + n % 5}.{n:03d}", asked_as=float
        )
    finally:
        browser.close()
        server.close()
    what = "key press of a reading to what is left of six bends on the page"
    return [
        *in_floors(what, taken, floor, median_most=_MEDIAN),
        at_least("readings of the gauge drawn on the page", shown, _SHOWN_A_SECOND - 2, "a second"),
    ]
