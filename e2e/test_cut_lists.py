"""A job's cut list on the page: sticks to scale, and offcuts in hand that are cut first."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from accounts.models import Member
from e2e.case import PageTest
from jobs.models import JobStock
from jobs.runs import RUNS
from jobs.services import create_job


class CutLists(PageTest):
    def bars(self, name: str) -> list[str]:
        found = self.browser.all(f"section[aria-label='{name}'] [data-bar]")
        return [bar.text.splitlines()[0] for bar in found]

    def test_a_job_is_cut_from_sticks_and_from_what_is_in_hand(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/")
        browser.press("Saltmarsh Cider Works")
        browser.press("Cut list")
        browser.see_text("no fewer can do")
        # Three sticks of the loft feed, and the drop's own; the run on strut takes a fifth.
        self.assertEqual(len(self.bars("EMT (thin wall) 3/4")), 5)
        sticks = self.bars("RMC (rigid) 1/2")
        section = browser.see("section[aria-label='RMC (rigid) 1/2']")
        length, place = section.find_elements("css selector", "form input")
        for wrong in ("tall", "-5"):
            length.send_keys(Keys.CONTROL, "a")
            length.send_keys(wrong)
            section.find_element("css selector", "form button").click()
            browser.see_text("Expected", "section[aria-label='RMC (rigid) 1/2'] [role=alert]")
            # What can't be read is not added, and nothing waits for it.
            self.assertEqual(browser.all(f"[aria-label='Take out the offcut of {wrong}']"), [])
        length.send_keys(Keys.CONTROL, "a")
        length.send_keys("10' 0\"")
        place.send_keys("behind the kiosk")
        section.find_element("css selector", "form button").click()
        browser.until(
            lambda: "Offcut, behind the kiosk" in self.bars("RMC (rigid) 1/2"),
            "the offcut in place of a stick",
        )
        self.assertEqual(len(self.bars("RMC (rigid) 1/2")), len(sticks))
        straps = browser.see("[aria-label='strap with its screws, 1/2: in hand']")
        straps.click()
        straps.send_keys("500")
        browser.see_text("all there", "section[aria-label='EMT (thin wall) 1/2']")
        browser.see_text("In hand, and no run takes it")
        browser.see_text("Saved")
        browser.press("Cut with", "[role=combobox]")
        browser.press("a wheel cutter", "[role=option]")
        browser.see_text("no fewer can do")
        self.assertEqual(browser.complaints(), [])

    def test_a_piece_is_moved_by_hand_and_what_is_left_goes_into_stock(self) -> None:
        browser, wren = self.browser, Member.objects.get(username="wren")
        job = create_job(wren, name="Short ends", place="", units="in", rules="us")
        for name, at in (("Long", 85), ("Middle", 70), ("Short", 48), ("Stub", 30)):
            walk = [{"kind": "end", "at": at}]
            RUNS.create(wren, job.id, {**THIN, "name": name, "walk": walk})
        self.enter()
        self.go(f"/jobs/{job.id}/cuts")
        browser.see_text("2 sticks, and no fewer can do")
        # 85 with 30 and 70 with 48; 70 with 30 leaves 85 and 48 a stick each.
        self.move("Middle", "Stub")
        browser.see_text("That costs a stick more")
        browser.see_text("3 sticks")
        browser.see_text("Saved")
        browser.press("Cut them as is best")
        browser.see_text("2 sticks, and no fewer can do")
        self.move("Middle", "Stub")
        browser.see_text("3 sticks")
        browser.press("Put the offcuts into stock")
        # 120 less 85, and less 48, and a cut each.
        browser.see_text("34 15/16", "section ul")
        browser.see_text("left of Short", "section ul")
        stock = JobStock.objects.get(job=job)
        self.assertEqual(len(stock.document["offcuts"]), 2)
        browser.press("More")
        browser.press("History of the stock", "[role=menuitem]")
        browser.see("[role=dialog]")
        self.assertEqual(browser.complaints(), [])

    def move(self, to: str, piece: str) -> None:
        """A piece on to the bar that another is cut from."""
        browser = self.browser
        bar = browser.until(
            lambda: next((each for each in browser.all("[data-bar]") if to in each.text), None),
            f"the bar of {to}",
        )
        bar.find_element("css selector", "[aria-label='Put another piece on this one']").click()
        browser.press(piece, "[role=menuitem]")


THIN = {
    "format": "yarrow.run/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
}
