"""From a key press to new marks on the page, from a step's picture to the next, and how much
script the first view takes."""

from __future__ import annotations

import gzip
import re
import statistics
from collections.abc import Callable
from pathlib import Path

from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement

from benchmarks.row import Row, at_most
from e2e.browser import Browser

_PRESSES = 200
_WARM_UP = 10
_MULTIPLE = 4
"""Floors: most of a key is drawing, which no cheaper answer makes less."""
_LIMIT_KB = 210
_PICTURE = 2
"""Floors of a key."""
_PICTURES = 60

FLOOR = """
window.floor = [];
const field = document.createElement('input');
const word = document.createElement('output');
field.id = 'floor';
field.style.cssText = word.style.cssText = 'position:fixed;z-index:99;bottom:0;width:4rem';
word.style.left = '5rem';
(document.querySelector('[role=dialog]') ?? document.body).append(field, word);
field.addEventListener('keydown', async () => {
  const began = performance.now();
  await (await fetch('/api/nothing')).json();
  word.textContent = `word ${window.floor.length}`;
  requestAnimationFrame(() => {
    window.floor.push(performance.now() - began);
    dispatchEvent(new Event('measured'));
  });
});
"""
"""A field beside the page, or in the window that is open over it, where a key fetches the empty
answer and paints one word."""

WATCH = """
window.taken = [];
let pressed = null;
const watched = document.querySelector(arguments[0]);
addEventListener('keydown', () => { pressed = performance.now(); }, true);
new MutationObserver(() => {
  if (pressed !== null && watched.dataset.current === 'true') {
    const began = pressed;
    pressed = null;
    requestAnimationFrame(() => {
      window.taken.push(performance.now() - began);
      dispatchEvent(new Event('measured'));
    });
  }
}).observe(watched, {attributes: true, attributeFilter: ['data-current']});
"""
"""From a key to the frame in which what it changes is current."""

MORE_THAN = """
const [list, before, done] = arguments;
const look = () => {
  if (window[list].length > before) {
    removeEventListener('measured', look);
    done();
  }
};
addEventListener('measured', look);
look();
"""
"""Waits in the page, which looks from outside would keep from its work."""

_TURN_OVER = """
const done = arguments[1];
const words = () => document.querySelector('[data-step-pictures] h2').textContent;
const frame = () => new Promise(requestAnimationFrame);
const button = (name) => document.querySelector(`[aria-label="${name}"]:not(:disabled)`);
(async () => {
  const taken = [];
  let way = 'The next bend';
  while (taken.length < arguments[0]) {
    if (!button(way)) way = way === 'The next bend' ? 'The bend before' : 'The next bend';
    const shown = words();
    await frame();
    const began = performance.now();
    button(way).click();
    do await frame(); while (words() === shown);
    taken.push(performance.now() - began);
  }
  done(taken);
})();
"""
"""Through the steps' pictures and back; each from the press to the frame that it stands in."""


def sign_in(browser: Browser, address: str, username: str, password: str) -> None:
    """Through the door, to the jobs."""
    browser.driver.get(address)
    browser.see("input[autocomplete=username]").send_keys(username)
    browser.see("input[type=password]").send_keys(password)
    browser.press("Sign in")
    browser.see_text("Jobs", "h1")


def measure(address: str, username: str, password: str, run_id: int) -> list[Row]:
    """The 95th percentile over 200 presses, each of which makes a walk that is planned anew."""
    browser = Browser()
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/runs/{run_id}")
        field = browser.field("walk[1].at")
        browser.see("main[data-current=true]")
        browser.driver.execute_script(WATCH, "main")
        browser.driver.execute_script(FLOOR)
        taken, floor = press(browser, field)
        browser.press("Steps")
        browser.see("[data-step-pictures] h2")
        pictures = browser.driver.execute_async_script(_TURN_OVER, _PICTURES)
    finally:
        browser.close()
    least = statistics.median(floor)
    return [
        Row("the floor of a key: an empty answer and one word painted, median", f"{least:.1f} ms"),
        *in_floors("key press to new marks on the page", taken, floor, _MULTIPLE, _MULTIPLE),
        *in_floors("the picture of another step", pictures, floor, late_most=_PICTURE),
    ]


def in_floors(
    what: str,
    taken: list[float],
    floor: list[float],
    median_most: float | None = None,
    late_most: float | None = None,
) -> list[Row]:
    """How long something takes on the page, of the floor of a key that was measured in turns with
    it: the median, and the 95th percentile of the floor's own."""

    def row(name: str, of: Callable[[list[float]], float], most: float | None) -> Row:
        ms, floors = of(taken), of(taken) / of(floor)
        measured = f"{ms:.1f} ms, {floors:.2f} floors"
        if most is None:
            return Row(name, measured)
        return Row(name, measured, f"at most {most:g} floors", floors <= most)

    return [
        row(f"{what}, median", statistics.median, median_most),
        row(f"… 95th percentile of {len(taken)}", late, late_most),
    ]


def late(taken: list[float]) -> float:
    """The 95th percentile."""
    return sorted(taken)[int(len(taken) * 0.95) - 1]


def press(
    browser: Browser,
    field: WebElement,
    presses: int = _PRESSES,
    text_of: Callable[[int], str] = lambda number: f"{20 + number % 60}.{number:03d}",
    asked_as: Callable[[str], object] = str,
) -> tuple[list[float], list[float]]:
    """Types numbers, and after each as many keys as that into the field of the floor."""
    taken = _type_numbers(browser, field, presses, text_of, asked_as)
    floor: list[float] = browser.driver.execute_script("return window.floor")
    return taken, floor[_WARM_UP:]


def _type_numbers(
    browser: Browser,
    field: WebElement,
    presses: int,
    text_of: Callable[[int], str],
    asked_as: Callable[[str], object],
) -> list[float]:
    """Types numbers none of whose beginnings was typed before, but for the first figure: how long
    each key takes, ms. What is ``asked_as`` something before is asked no more."""
    seen = {asked_as(str(field.get_attribute("value")))}
    counted = 0
    number = 0
    while counted < presses + _WARM_UP:
        number += 1
        field.click()
        browser.chord(Keys.CONTROL, "a")
        text = ""
        for figure in text_of(number):
            text += figure
            before = browser.driver.execute_script("return window.taken.length")
            browser.keys(figure)
            if asked_as(text) in seen:
                continue  # answered before: nothing is asked
            seen.add(asked_as(text))
            browser.driver.execute_async_script(MORE_THAN, "taken", before)
            counted += 1
        press_floor(browser)
    taken: list[float] = browser.driver.execute_script("return window.taken")
    return taken[_WARM_UP : _WARM_UP + presses]


def press_floor(browser: Browser) -> None:
    """Five keys into the field of the floor, one after the other."""
    browser.see("#floor").click()
    for figure in "12345":
        before = browser.driver.execute_script("return window.floor.length")
        browser.keys(figure)
        browser.driver.execute_async_script(MORE_THAN, "floor", before)


def script_size(dist: Path) -> Row:
    """The scripts that the planner needs to be shown for the first time, with all that they import
    before they run, compressed."""
    assets = dist / "assets"
    waiting = re.findall(r"assets/([\w.-]+\.js)", (dist / "index.html").read_text())
    for name in ("start", "PlannerScreen"):
        waiting += [path.name for path in assets.glob(f"{name}-*.js")]
    sizes: dict[str, int] = {}
    while waiting:
        name = waiting.pop()
        if name not in sizes:
            text = (assets / name).read_bytes()
            sizes[name] = len(gzip.compress(text))
            waiting += re.findall(r'(?:from|import)"\./([\w.-]+\.js)"', text.decode())
    size = sum(sizes.values()) / 1000
    return at_most("script for the first view, compressed", size, _LIMIT_KB, "kB")
