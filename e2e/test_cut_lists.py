"""A job's cut list on the page: sticks to scale, and offcuts in hand that are cut first."""

from __future__ import annotations

from e2e.case import PageTest


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
        length.send_keys("tall")
        section.find_element("css selector", "form button").click()
        browser.see_text("Expected", "section[aria-label='RMC (rigid) 1/2']")
        browser.press("Take out the offcut of tall")
        browser.gone("Expected")
        length.send_keys("10' 0\"")
        place.send_keys("behind the kiosk")
        section.find_element("css selector", "form button").click()
        browser.until(
            lambda: "Offcut, behind the kiosk" in self.bars("RMC (rigid) 1/2"),
            "the offcut in place of a stick",
        )
        self.assertEqual(len(self.bars("RMC (rigid) 1/2")), len(sticks))
        browser.press("Cut with", "[role=combobox]")
        browser.press("a wheel cutter", "[role=option]")
        browser.see_text("no fewer can do")
        self.assertEqual(browser.complaints(), [])
