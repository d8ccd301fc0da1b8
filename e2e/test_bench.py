"""The bench on the page: one step at a time, what came out different, and its place kept."""

from __future__ import annotations

from typing import Any

from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.keys import Keys

from benders.models import CrewBender
from e2e.browser import PHONE, Browser
from e2e.case import PageTest
from jobs.models import PieceAtBench, Run

NAME = "Bottling line drop"

_HEARS = """
window.webkitSpeechRecognition = window.SpeechRecognition = class {
  start() { window.hears = (text) => this.onresult({results: [[{transcript: text}]]}); }
  stop() {}
};
"""
"""A browser's recognition of speech that hears what a test says."""


class AtTheBench(PageTest):
    def open_bench(self) -> None:
        self.enter()
        run = self.run_named(NAME)
        self.go(f"/runs/{run.id}")
        self.browser.see("[data-stick-mark]")
        self.browser.press("Bench")
        self.browser.see("[data-bench][data-current=true]")

    def figure(self) -> str:
        return str(
            self.browser.see("[data-bench] main [data-reading]").get_attribute("data-reading")
        )

    def test_a_piece_is_marked_as_you_go_from_end_to_end(self) -> None:
        browser = self.browser
        self.enter()
        run = self.run_named("Pump 1 supply")
        self.go(f"/runs/{run.id}/bench")
        browser.see("[data-bench][data-current=true]")
        browser.see_text("1 of 4")
        browser.see("[data-tape='start'] svg")
        self.assertEqual(self.figure(), "629")
        browser.press("Bent. Next mark")
        browser.see("[data-tape='height'] svg")
        # 112 of rise less 65 (1 - cos 30), and bent until the legs are parallel.
        self.assertEqual(self.figure(), "103")
        browser.see_text("off the leg beyond bend 1")
        browser.see_text("until both legs are parallel")
        browser.press("Bent. Next mark")
        browser.see_text("3 of 4")
        # 1863 from the face, 12 of thread before it; 10 to the middle and 65 to where it begins.
        self.assertEqual(self.figure(), "1800")
        browser.see_text("from the start, tape parallel")
        browser.press("Bent. On")
        browser.see_text("From the back of bend 3, along this leg, mark 936")
        browser.press("Done. Offer it up")
        browser.see_text("offer it up", "[data-bench] header")

    def test_how_a_run_is_marked_is_picked_beside_its_way_of_working(self) -> None:
        browser = self.browser
        self.enter()
        run = self.run_named(NAME)
        self.go(f"/runs/{run.id}")
        browser.see("[data-stick-mark]")
        browser.see("[aria-label='Marked']").click()
        browser.press("as you go")
        browser.see("[data-found='height']")
        browser.see("[data-found='cut']")
        browser.press("Printed table", "[role=radio]")
        browser.see_text("all flat, as printed tables are")
        browser.until(lambda: not browser.all("[data-found='height']"), "flat marks")

    def test_a_bend_that_came_out_different_moves_the_marks_that_are_left(self) -> None:
        browser = self.browser
        self.open_bench()
        browser.see_text("1 of 7")
        browser.press("Done. Next mark")
        self.assertEqual(self.figure(), "100 5/8")
        browser.press("It came out different")
        browser.write("read.angle", "400")
        browser.see_text("Expected a number from 0.5 to 170")
        browser.write("read.angle", "over")
        browser.see_text("Expected a number from 0.5 to 170")
        browser.press("Back", "[role=dialog] button")
        browser.press("It came out different")
        self.assertEqual(browser.value("read.angle"), "over")
        browser.write("read.angle", "88")
        browser.see_text("Bend 5 is 2° under")
        browser.see("[role=dialog] [data-mend='bend-on']")
        browser.press("Keep it, and go on")
        # Mending it is the first and the largest thing; nothing that is left changes by it.
        browser.see_text("Bend it on: to 93° on the scale")
        # Back from there is to the bend that it is of, on is that it is done.
        browser.keys(Keys.ARROW_LEFT)
        browser.see_text("2 of 7")
        browser.press("It came out different")
        browser.press("Keep it, and go on")
        browser.see_text("Bend it on: to 93° on the scale")
        browser.keys(Keys.ARROW_RIGHT)
        browser.gone("Done: it is mended")
        browser.see_text("3 of 7")
        browser.see("[data-bench][data-current=true]")
        browser.gone("mark it anew")
        browser.keys(Keys.ARROW_LEFT)
        browser.press("It came out different")
        self.assertEqual(browser.value("read.angle"), "88")
        browser.write("read.angle", "")
        browser.write("read.slid", "1/2")
        browser.see_text("It comes to lie as planned", "[role=dialog] [data-current=true]")
        browser.press("Keep it, and go on")
        browser.see_text("3 of 7")
        browser.see("[data-bench][data-current=true]")
        browser.see_text("mark it anew")
        moved = self.figure()
        browser.driver.refresh()
        browser.see("[data-bench][data-current=true]")
        browser.see_text("3 of 7")
        self.assertEqual(self.figure(), moved)
        browser.keys(Keys.ARROW_LEFT)
        browser.see_text("2 of 7")
        browser.press("It came out different")
        self.assertEqual(browser.value("read.slid"), "1/2")
        browser.write("read.slid", "")
        browser.press("It came out as planned")
        browser.see_text("3 of 7")
        browser.gone("mark it anew")
        self.assertEqual(browser.complaints(), [])

    def test_a_reading_waits_while_the_server_is_lost(self) -> None:
        browser = self.browser
        self.open_bench()
        browser.press("Done. Next mark")
        before = self.figure()
        self.offline(True)
        browser.press("Bent. Next mark")
        browser.see_text("3 of 7")
        self.assertNotEqual(self.figure(), before)
        browser.keys(Keys.ARROW_LEFT)
        browser.press("It came out different")
        browser.write("read.slid", "1/2")
        browser.see_text("can't be reached", "[role=dialog]")
        browser.press("Keep it, and go on")
        browser.see_text("Your readings are kept here")
        self.offline(False)
        browser.press("Try again")
        browser.see_text("mark it anew")

    def test_what_is_looked_at_before_a_bend_gets_a_yes_and_a_step_is_read_aloud(self) -> None:
        browser = self.browser
        self.open_bench()
        browser.ask(
            "window.said = []; speechSynthesis.speak = ({text}) => said.push(text);"
            "speechSynthesis.cancel = () => undefined"
        )
        browser.press("Read aloud")
        browser.until(lambda: "From the start end" in browser.ask("return said.join()"), "a voice")
        browser.press("Done. Next mark")
        heard = "back-of-bend mark on 100 5/8, hook to the end. Bend to 93 degrees"
        browser.until(lambda: heard in browser.ask("return said.join()"), heard)
        count = browser.ask("return said.length")
        browser.keys("r")
        browser.until(lambda: browser.ask("return said.length") == count + 1, "once more")
        browser.see_text("0 of 3", "[data-checked]")
        for box in browser.all("main [role=checkbox]"):
            box.click()
        browser.see_text("3 of 3", "[data-checked]")
        browser.press("Reading aloud")
        browser.keys(Keys.ARROW_RIGHT)
        browser.see_text("0 of 3", "[data-checked]")
        self.assertEqual(browser.ask("return said.length"), count + 1)

    def test_a_piece_is_offered_up_and_another_begun(self) -> None:
        browser = self.browser
        browser.resize(PHONE)
        self.open_bench()
        for number in range(2, 8):
            browser.keys(Keys.ARROW_RIGHT)
            browser.see_text(f"{number} of 7")
        browser.keys(Keys.ARROW_RIGHT)
        browser.see_text("It comes to lie as planned")
        # A touch in passing takes nothing away.
        browser.press("Hold to begin another like it")
        browser.see("[data-held=false]")
        held = browser.see("[data-held]")
        ActionChains(browser.driver).click_and_hold(held).perform()
        browser.see_text("1 of 7")
        for _ in range(7):
            browser.keys(Keys.ARROW_RIGHT)
        browser.press("It fits")
        browser.see("[data-stick-mark]")
        self.assertEqual(self.run_named(NAME).stage, "bent")
        built = PieceAtBench.objects.get(run=self.run_named(NAME)).document
        self.assertEqual((built["offered"], len(built["made"])), ("fits", 5))
        self.assertEqual(browser.complaints(), [])

    def test_a_piece_begun_by_a_run_that_is_changed_begins_anew(self) -> None:
        browser = self.browser
        self.open_bench()
        browser.press("Done. Next mark")
        browser.press("Leave")
        browser.see("[data-stick-mark]")
        browser.write("walk[0].rise", "6")
        browser.see_text("Saved")
        browser.press("Bench")
        browser.see_text("it begins anew")
        browser.see_text("1 of 7")

    def test_what_is_read_teaches_the_bender_and_a_plan_says_what_that_moves(self) -> None:
        browser = self.browser
        self.enter()
        run = self.run_named("Capper drop, own bender")
        self.go(f"/runs/{run.id}/bench")
        browser.see("[data-bench][data-current=true]")
        browser.press("Done. Next mark")
        browser.see_text("as well as this bender is known")
        browser.press("It came out different")
        browser.write("read.angle", "90")
        browser.write("read.stub", "18 3/4")
        browser.press("Keep it, and go on")
        browser.gone("What you measured of it")
        for _ in range(5):
            browser.keys(Keys.ARROW_RIGHT)
        browser.see_text("has learnt from 1 bend of this piece")
        bender = CrewBender.objects.get(name="The old half-inch")
        browser.until(lambda: self.newest(bender).get("of", "").startswith(f"run {run.id}"), "told")
        self.assertEqual(self.newest(bender)["stub"], "18.75 in")
        browser.driver.refresh()
        browser.see_text("has learnt from 1 bend of this piece")
        tests = CrewBender.objects.get(id=bender.id).document["bender"]["tests"]
        self.assertEqual(sum(each.get("of", "").startswith("run") for each in tests), 1)
        self.go(f"/runs/{run.id}")
        browser.see("[data-bender-moved]")
        browser.press("Take it as it is known now")
        browser.gone("is known better since")
        self.assertEqual(browser.complaints(), [])

    def test_plastic_has_its_stages_with_a_timer(self) -> None:
        browser = self.browser
        self.enter()
        self.go(f"/runs/{self.run_named('Wet well stair, plastic').id}/bench")
        browser.see("[data-bench][data-current=true]")
        for _ in range(3):
            if browser.all("[aria-label=Warming]"):
                break
            browser.keys(Keys.ARROW_RIGHT)
            browser.see("[data-bench][data-current=true]")
        browser.see_text("droop", "[aria-label=Warming]")
        browser.press("Cool it, 60 seconds")
        browser.see("[aria-label^='Cool it'][data-left='59']")
        browser.press("Cool it, 60 seconds")
        browser.see("[aria-label^='Cool it'][data-left='']")

    def test_it_goes_by_voice_where_the_browser_hears(self) -> None:
        browser = self.browser
        found = browser.command("Page.addScriptToEvaluateOnNewDocument", source=_HEARS)
        self.addCleanup(browser.command, "Page.removeScriptToEvaluateOnNewDocument", **found)
        self.open_bench()
        browser.press("Listen")
        browser.ask("hears('all right, next')")
        browser.see_text("2 of 7")
        browser.ask("hears('pass me the tape')")
        browser.ask("hears('angle 88 and a half')")
        browser.until(lambda: browser.value("read.angle") == "88.5", "the angle that was said")
        browser.press("Keep it, and go on")
        browser.press("Leave it so")
        browser.see_text("3 of 7")
        browser.ask("hears('back')")
        browser.see_text("2 of 7")

    def test_scrap_says_what_its_straight_can_still_become(self) -> None:
        browser = self.browser
        self.enter()
        self.go(f"/runs/{self.run_named('Capper drop, own bender').id}/bench")
        browser.see("[data-bench][data-current=true]")
        browser.press("Done. Next mark")
        browser.press("It came out different")
        browser.write("read.angle", "130")
        browser.see("[role=dialog] [data-verdict=scrap]")
        browser.see_text("of it is straight still", "[data-could-become]")
        browser.see_text("That is enough for", "[data-could-become]")
        browser.press("Hold to keep it, though it is scrap")
        browser.see("[role=dialog] [data-held=false]")
        held = browser.see("[role=dialog] [data-held]")
        ActionChains(browser.driver).click_and_hold(held).perform()
        browser.see_text("3 of 5")

    def test_of_two_devices_on_one_piece_the_second_is_told_and_may_take_over(self) -> None:
        browser = self.browser
        self.open_bench()
        run = self.run_named(NAME)
        browser.press("Done. Next mark")
        browser.press("Bent. Next mark")
        browser.see_text("3 of 7")
        browser.until(lambda: self.step_kept(run) == 2, "kept")
        other = Browser(PHONE)
        self.addCleanup(other.close)
        self.enter("rook", other)
        self.go(f"/runs/{run.id}/bench", other)
        other.see_text("Wren Hallow has this piece at step 3 on another device")
        other.press("Take over from there")
        other.see_text("3 of 7")
        other.press("Bent. Next mark")
        browser.until(lambda: self.step_kept(run) == 3, "kept there")
        browser.press("Bent. Next mark")
        browser.see_text("Rook Tansley has this piece at step 4 on another device")
        browser.press("Go on here")
        browser.gone("on another device")
        browser.press("Bent. Next mark")
        browser.until(lambda: self.step_kept(run) == 4, "kept here")
        self.assertEqual(browser.complaints(), [])

    def step_kept(self, run: Run) -> int:
        """How far the server has a run's piece."""
        kept = PieceAtBench.objects.filter(run=run, piece=0).first()
        return int(kept.document["step"]) if kept else 0

    def newest(self, bender: CrewBender) -> dict[str, Any]:
        """The last bend that a bender was told."""
        found: dict[str, Any] = CrewBender.objects.get(id=bender.id).document["bender"]["tests"][-1]
        return found
