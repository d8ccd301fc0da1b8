"""The pictures in docs/screenshots, taken anew from the demo data: one of each main view."""

from __future__ import annotations

import sys
from pathlib import Path

from selenium.webdriver.common.keys import Keys

from e2e.browser import DESK, PHONE, Browser
from jobs.demo import PASSWORD
from jobs.models import JobSite, JobWall, Run

FOLDER = Path(__file__).resolve().parent.parent / "docs" / "screenshots"


_PAGE = {"width": 860, "height": 1220, "deviceScaleFactor": 1, "mobile": False}
"""A window in which a whole sheet can be seen."""

_WINDOW = {**_PAGE, "width": DESK[0], "height": DESK[1]}


def take_pictures(address: str) -> None:
    """Take every picture. Args: address, of a server with fresh demo data."""
    FOLDER.mkdir(exist_ok=True)
    for size, views in ((DESK, _at_a_desk), (PHONE, _on_a_phone)):
        browser = Browser(size, webgl=True)
        try:
            browser.driver.get(address)
            browser.see("form")
            browser.see("input[autocomplete=username]").send_keys("wren")
            browser.see("input[type=password]").send_keys(PASSWORD)
            browser.press("Sign in")
            browser.see("main li")
            views(browser, address)
        finally:
            browser.close()


def _open(browser: Browser, address: str, name: str, what: str = "") -> None:
    browser.driver.get(f"{address}/runs/{Run.objects.get(name=name).id}{what}")
    browser.see("svg")


def _at_a_desk(browser: Browser, address: str) -> None:
    browser.press("Quick bend")
    browser.see("[data-quick]").send_keys("18 3/8")
    browser.see("main[data-current=true]")
    browser.see("[data-quick-mark]")
    browser.see("svg[aria-label*='in the bender']")
    _save(browser, "quick-bend")
    browser.driver.get(address)
    browser.see("main li")
    browser.press("Saltmarsh Cider Works")
    browser.see_text("New run")
    _save(browser, "job")
    browser.press("Cut list")
    browser.see("[data-bar]")
    _save(browser, "cut-list")
    browser.driver.get(f"{address}/walls/{JobWall.objects.get().id}")
    browser.see("[data-wall-box]")
    browser.see_text("EMT")
    _save(browser, "framed-wall")
    _open(browser, address, "Press hall feed, bay 2")
    browser.see("[data-cut]")
    browser.field("walk[0].rise").click()
    _save(browser, "planner")
    browser.chord(Keys.CONTROL, "z")
    _open(browser, address, "Framed office, as the tape met it")
    browser.see("[data-compare='1']").click()
    browser.see("[data-candidate='saddle4 30']")
    middle = browser.see("[data-candidate='saddle3 60']")
    browser.driver.execute_script("arguments[0].scrollIntoView({block: 'center'})", middle)
    _save(browser, "candidates")
    browser.press("In space", "[role=radio]")
    canvas = browser.see("[data-space] canvas")
    browser.until(lambda: canvas.get_attribute("data-frames"), "the first picture")
    _save(browser, "space")
    _open(browser, address, "Press hall feed, bay 2")
    browser.press("Steps", "[role=radio]")
    browser.press("The next bend")
    browser.see("[data-step='3']")
    _save(browser, "steps")
    _of_more_than_one_pipe(browser, address)
    _of_the_tools(browser, address)


def _of_more_than_one_pipe(browser: Browser, address: str) -> None:
    _open(browser, address, "Bottling feeds, a bank of five")
    browser.press("Rack", "[role=radio]")
    browser.see("[data-rack-mark]")
    _save(browser, "rack")
    _open(browser, address, "Angle box, running coupler")
    browser.press("Pieces", "[role=radio]")
    browser.see("[data-way-in]")
    _save(browser, "pieces")
    _open(browser, address, "Cellar main, over the water pipe")
    browser.press("Wires", "[role=radio]")
    browser.see("svg[data-packed]")
    _save(browser, "wires")
    browser.driver.get(f"{address}/sites/{JobSite.objects.get().id}")
    browser.see("[data-stretch='PH–H1']").send_keys(Keys.ENTER)
    browser.see("[data-stretch-pane]")
    _save(browser, "ducts")
    job = Run.objects.get(name="Bottling feeder").job_id
    browser.driver.get(f"{address}/jobs/{job}/box?name=Press%20hall%20junction")
    browser.see("[data-met]")
    browser.see("[data-hole]")
    _save(browser, "box")


def _of_the_tools(browser: Browser, address: str) -> None:
    browser.driver.get(f"{address}/crew")
    browser.press("Invite")
    browser.see("[role=radio][value=bender]").click()
    browser.press("Make the link")
    browser.see_text("opens once", "[role=dialog]")
    browser.keys(Keys.ESCAPE)
    browser.see_text("Invited somebody", "main")
    _save(browser, "crew")
    _open(browser, address, "Pump 1 supply", "/bench")
    browser.press("Bent. Next mark")
    browser.see("[data-tape='height'] svg")
    _save(browser, "bench-wall")
    _open(browser, address, "Capper drop, own bender")
    browser.press("My benders")
    browser.press("Change")
    browser.see_text("19 of 20 cases", "[role=dialog]")
    _save(browser, "my-benders")
    _open(browser, address, "Framed office, as the tape met it", "/sheet")
    browser.see("[data-sheet] svg")
    browser.command("Emulation.setDeviceMetricsOverride", **_PAGE)
    _save(browser, "sheet")


def _on_a_phone(browser: Browser, address: str) -> None:
    _open(browser, address, "Press hall feed, bay 2")
    browser.see("svg[aria-label^='The unbent pipe']")
    browser.see_text("box connector")
    _save(browser, "phone-walk")
    _open(browser, address, "Bottling line drop", "/bench")
    browser.press("Done. Next mark")
    browser.press("It came out different")
    browser.write("read.angle", "88")
    browser.see_text("Bend 5 is 2° under")
    browser.press("Keep it, and go on")
    browser.see_text("Bend it on")
    _save(browser, "phone-bench")


def _save(browser: Browser, name: str) -> None:
    browser.driver.execute_async_script("document.fonts.ready.then(() => arguments[0]())")
    browser.driver.save_screenshot(str(FOLDER / f"{name}.png"))
    print(f"docs/screenshots/{name}.png", file=sys.stderr)
