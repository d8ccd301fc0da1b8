"""Ducts between buildings on the page: planned, drawn, ticked, printed, out and in again."""

from __future__ import annotations

import json
import tempfile
from pathlib import Path

from selenium.webdriver.common.keys import Keys

from e2e.browser import PHONE
from e2e.case import PageTest
from jobs.models import JobSite

NAME = "Ducts in the grounds"


class Ducts(PageTest):
    def open_ducts(self) -> None:
        self.enter()
        self.go("/")
        self.browser.press("Harrow Lock pump house")
        self.browser.press(NAME)
        self.browser.see("[data-stretch='PH–H1']")

    def kept(self) -> JobSite:
        return JobSite.objects.get(name=NAME)

    def tap(self, x: int, y: int) -> None:
        """Tap the plan, so far from its middle."""
        plan = self.browser.see("[data-site-plan] svg")
        self.browser.tap_at(plan, x, y)

    def test_what_the_demo_comes_to_and_a_point_is_set(self) -> None:
        browser = self.browser
        self.open_ducts()
        browser.see_text("2 at branches, 2 on the way")
        # From the Towpath's branch to the visitors' building: 206 m, turning in and up.
        browser.see_text("1 on the way: with 0, 206 m (180°) would be one pull")
        browser.press("5 places that one cut takes down")
        browser.see_text("Workshop is down")
        browser.press("4 pull points that Yarrow puts")
        browser.press("Set P4 there")
        browser.until(lambda: len(self.kept().document["places"]) == 9, "a hand hole more")
        browser.see_text("2 at branches, 1 on the way")
        browser.press("Undo")
        browser.see_text("2 at branches, 2 on the way")
        self.assertEqual(browser.complaints(), [])

    def test_a_stretch_is_looked_at_and_ticked_on_a_phone(self) -> None:
        browser = self.browser
        browser.resize(PHONE)
        self.open_ducts()
        browser.see("[data-stretch='PH–H1']").send_keys(Keys.ENTER)
        browser.see_text("One cut here takes down Gauge hut", "[data-stretch-pane]")
        browser.see_text("180° of 270°", "[data-stretch-pane]")
        browser.press("mandrel through", "label")
        browser.see_text("Saved", "[role=status]")
        browser.until(
            lambda: (
                ("mandrel", "Wren Hallow")
                in [(tick["item"], tick["by"]) for tick in self.kept().document["ticks"]]
            ),
            "who saw it",
        )
        self.assertEqual(browser.complaints(), [])

    def test_a_trench_is_drawn_point_by_point_and_typed(self) -> None:
        browser = self.browser
        self.open_ducts()
        browser.press("Trench", "button")
        for x, y in ((100, 150), (220, 152), (222, 230)):
            self.tap(x, y)
        browser.keys(Keys.ENTER)
        browser.see_text("Trench T8 touches nothing")
        line = browser.until(
            lambda: (
                len(self.kept().document["trenches"]) == 8
                and self.kept().document["trenches"][7]["line"]
            ),
            "what was drawn",
        )
        # What was nearly level and upright is drawn square.
        self.assertEqual((line[0][1], line[1][0]), (line[1][1], line[2][0]))
        browser.press("What is drawn", "button")
        browser.write("trenches[7].legs[0].length", "55")
        browser.until(
            lambda: self.kept().document["trenches"][7]["line"][1][0] == line[0][0] + 55,
            "as long as it was typed",
        )
        browser.write("trenches[7].cover", "deep")
        browser.see_text("Trench T8, cover: expected")
        browser.press("Undo")
        browser.gone("cover: expected")

    def test_a_trench_begins_at_the_place_that_is_tapped_first(self) -> None:
        browser = self.browser
        self.open_ducts()
        browser.press("Trench", "button")
        middle = """
            const {left, right, top, bottom} = all(arguments[0])[0].getBoundingClientRect();
            return [(left + right) / 2, (top + bottom) / 2]
        """
        here, plan = (browser.ask(middle, at) for at in ("[data-stop=H1]", "[data-site-plan] svg"))
        self.tap(round(here[0] - plan[0]), round(here[1] - plan[1]))
        browser.until(lambda: browser.all("[data-drawn='1']"), "where it begins")
        self.tap(300, 250)
        browser.keys(Keys.ENTER)
        line = browser.until(
            lambda: (
                len(self.kept().document["trenches"]) == 8
                and self.kept().document["trenches"][7]["line"]
            ),
            "what was drawn",
        )
        self.assertEqual(line[0], self.kept().document["places"][6]["at"])

    def test_a_place_is_moved_by_keys_with_what_lies_on_it(self) -> None:
        browser = self.browser
        self.open_ducts()
        browser.see("[data-stop='H1']").send_keys(Keys.ARROW_UP)
        browser.until(
            lambda: self.kept().document["places"][6]["at"] == [110, 53], "a metre to the north"
        )
        trenches = self.kept().document["trenches"]
        self.assertEqual((trenches[0]["line"][1], trenches[1]["line"][0]), ([110, 53], [110, 53]))

    def test_it_is_printed_and_goes_out_and_in_without_loss(self) -> None:
        browser = self.browser
        self.open_ducts()
        browser.press("Sheet")
        browser.until(lambda: len(browser.all("[data-sheet] svg")) == 2, "plan and schedule")
        browser.see_text("PH–H1 · 1 of 4 · 100", "[data-sheet]")
        browser.press("Back to the ducts")
        browser.see("[data-stretch='PH–H1']")
        before = self.kept().document
        out = browser.driver.execute_async_script(
            "const [site, done] = arguments;"
            "fetch(`/api/sites/${site}/plan.geojson`).then(answer => answer.text()).then(done)",
            self.kept().id,
        )
        changed = json.loads(out)
        changed["site"]["name"] = "Came in"
        with tempfile.TemporaryDirectory() as folder:
            for name, text in (("no.geojson", "{}"), ("plan.geojson", json.dumps(changed))):
                path = Path(folder) / name
                path.write_text(text)
                browser.all("input[aria-label='GeoJSON or DXF file']")[0].send_keys(str(path))
                if text == "{}":
                    browser.see_text("expected FeatureCollection")
            browser.until(lambda: JobSite.objects.filter(name="Came in").exists(), "kept")
        kept = JobSite.objects.get(name="Came in").document
        self.assertEqual({**kept, "name": NAME}, before)
