"""Quick bend: from the address to a mark in a few keys, at a desk and on a phone."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.browser import PHONE, Browser
from e2e.case import PageTest


class QuickBend(PageTest):
    def quick(self) -> Browser:
        self.enter()
        self.go("/quick")
        self.browser.see("[data-quick]")
        return self.browser

    def figures(self, browser: Browser) -> list[str]:
        """The marks in the order that they are bent, once they are those of what stands there."""
        browser.see("main[data-current=true]")
        look = "return all('[data-quick-mark] [data-reading]').map(one => one.dataset.reading)"
        found: list[str] = browser.ask(look)
        return found

    def test_a_stub_s_mark_takes_no_key_but_its_figures(self) -> None:
        browser = self.quick()
        browser.keys("18 3/8")
        browser.see("[data-quick-mark]")
        browser.until(lambda: self.figures(browser) == ["13 3/8"], "18 3/8 less the deduct of 5")
        browser.see_text("front mark on 13 3/8", "svg text")
        browser.see_text("bend to 93°")
        browser.see("svg[aria-label='Bend 1 in the bender, hook to the right']")
        self.assertEqual(browser.complaints(), [])

    def test_another_bend_is_picked_in_the_sentence(self) -> None:
        browser = self.quick()
        browser.press("What to bend", "[role=combobox]")
        browser.press("Offset", "[role=option]")
        browser.see("[data-quick=rise]").click()
        browser.keys("4 3/8")
        browser.until(lambda: len(self.figures(browser)) == 2, "two marks")
        browser.see("[data-quick=at]").click()
        browser.keys("47")
        # 8.695 apart, hooked to the end that is nearer.
        browser.until(lambda: self.figures(browser) == ["36 7/8", "45 9/16"], "8.695 apart")
        browser.press("front mark on · bend 1", "[data-quick-mark]")
        browser.see("svg[aria-label='Bend 1 in the bender, hook to the right']")

    def test_it_can_be_said_and_what_is_not_known_says_the_nearest(self) -> None:
        browser = self.quick()
        browser.see("[data-typed-line]").click()
        browser.keys("ofset 4")
        browser.see_text("offset: the nearest to ofset", "[role=status]")
        browser.chord(Keys.CONTROL, "a")
        browser.keys("back to back 44")
        browser.until(lambda: len(self.figures(browser)) == 2, "two marks")
        browser.see_text("back-of-bend mark on")
        browser.chord(Keys.CONTROL, "a")
        browser.keys("stub tall")
        browser.see_text('not "tall"', "[role=status]")

    def test_one_touch_makes_it_a_run(self) -> None:
        browser = self.quick()
        browser.keys("18 3/8")
        browser.see("main[data-current=true]")
        browser.press("Make it a run")
        browser.press("Of ", "[role=menuitem]")
        browser.see_text("stub 18 3/8", "h1, input")
        browser.see("[data-cut]")
        self.assertEqual(browser.value("walk[0].at"), "18 3/8")

    def test_the_units_and_the_bender_are_there_the_next_time(self) -> None:
        browser = self.quick()
        browser.press("Units", "[role=combobox]")
        browser.press("millimetres", "[role=option]")
        browser.press("Conduit", "[role=combobox]")
        browser.press("Steel, metric 25", "[role=option]")
        browser.driver.refresh()
        browser.see_text("Steel, metric 25", "[role=combobox]")
        browser.see("[data-quick]").click()
        browser.keys("400")
        browser.see("[data-quick-mark]")

    def test_on_a_phone_the_mark_is_in_sight_as_it_is_typed(self) -> None:
        self.browser.resize(PHONE)
        browser = self.quick()
        browser.see("[data-quick]").click()
        browser.keys("18 3/8")
        browser.until(lambda: self.figures(browser) == ["13 3/8"], "the mark")
        box = browser.ask(
            "const r = all('[data-quick-mark] [data-reading]')[0].getBoundingClientRect();"
            "return [r.top, r.bottom, innerHeight]"
        )
        self.assertGreater(box[0], 0)
        self.assertLess(box[1], box[2] * 0.62)
