"""The crew's own fittings on the page: measured once, and a run is cut by them."""

from __future__ import annotations

from e2e.case import PageTest

NAME = "Weighbridge kiosk, rigid"


class OwnFittings(PageTest):
    def test_a_fitting_of_the_crew_says_where_the_pipe_ends(self) -> None:
        browser = self.browser
        self.open_run(NAME)
        before = browser.see("[data-cut]").text
        browser.press("My fittings")
        browser.press("Add a fitting")
        name, beyond = browser.until(
            lambda: len(found := browser.all("[data-fitting] input")) == 2 and found, "two fields"
        )
        name.send_keys("Cast angle hub")
        beyond.send_keys("2")
        browser.see_text("Saved", "[role=dialog]")
        browser.press("Close", "[role=dialog] button")
        browser.press("Fitting at the start", "[role=combobox]")
        browser.press("Cast angle hub", "[role=option]")
        browser.until(lambda: browser.see("[data-cut]").text != before, "another cut")
        browser.see_text("Saved")
        start = self.run_named(NAME).document["start"]
        self.assertEqual((start["own"], start["allowance"]), ("Cast angle hub", "2"))
        browser.press("Fitting at the start", "[role=combobox]")
        browser.press("hub", "[role=option]")
        browser.until(lambda: browser.see("[data-cut]").text == before, "the cut as it was")
        self.assertEqual(browser.complaints(), [])
