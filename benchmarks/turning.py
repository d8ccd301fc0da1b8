"""How smoothly the shape turns, by the software renderer of a machine without a graphics card."""

from __future__ import annotations

from benchmarks.page import sign_in
from benchmarks.row import Row
from e2e.browser import Browser

_SECONDS = 4

_TURN = """
const done = arguments[arguments.length - 1];
const canvas = document.querySelector('[data-space] canvas');
const began = performance.now();
const first = Number(canvas.dataset.frames);
const turn = () => {
  canvas.dispatchEvent(new KeyboardEvent('keydown', {key: 'ArrowLeft'}));
  const took = performance.now() - began;
  if (took < arguments[0] * 1000) {
    requestAnimationFrame(turn);
  } else {
    done((Number(canvas.dataset.frames) - first) / took * 1000);
  }
};
turn();
"""


def measure(address: str, username: str, password: str, run_id: int) -> list[Row]:
    """Frames a second while the shape of a run is turned at every frame."""
    browser = Browser(webgl=True)
    try:
        sign_in(browser, address, username, password)
        browser.driver.get(f"{address}/runs/{run_id}")
        browser.see("main[data-current=true]")
        browser.press("In space", "[role=radio]")
        canvas = browser.see("[data-space] canvas")
        browser.until(lambda: canvas.get_attribute("data-frames"), "the first picture")
        rate = float(browser.driver.execute_async_script(_TURN, _SECONDS))
    finally:
        browser.close()
    return [
        Row(
            "frames a second while the shape of 12 features turns, software renderer", f"{rate:.0f}"
        )
    ]
