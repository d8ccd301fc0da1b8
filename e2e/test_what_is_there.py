"""What is there goes in: candidates and picks, typed lines, fixed ends, own benders, the shape."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.browser import Browser
from e2e.case import PageTest
from jobs.models import Run


class WhatIsThere(PageTest):
    def test_a_thing_is_said_and_its_bends_are_compared_and_picked_by_key(self) -> None:
        browser = self.browser
        run = self.open_run("Framed office, as the tape met it")
        browser.see_text("3-bend saddle 45°", "[data-compare='1']")
        # By hand: the middle of the saddle's arc on the notch, at 32 5/16.
        self.assertIn("32 5/16", browser.marks())
        browser.see("[data-compare='1']").send_keys(Keys.ENTER)
        taken = browser.see("[data-candidate='saddle3 45']")
        self.assertIn("usual", taken.text)
        self.assertIn("90°", taken.text)
        browser.see("[data-candidate='saddle3 30']").send_keys(Keys.SPACE)
        browser.see_text("Your pick", "li")
        browser.see_text("3-bend saddle 30°", "[data-compare='1']")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(Run.objects.get(id=run.id).document["walk"][1]["pick"], "saddle3 30")
        browser.press("Let Yarrow choose")
        browser.see_text("3-bend saddle 45°", "[data-compare='1']")
        self.assertEqual(browser.complaints(), [])

    def test_a_line_typed_as_it_is_said_with_its_completion(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        typed = browser.see("[data-typed-line]")
        typed.click()
        browser.keys("du")
        browser.see_text("duct", "[role=option]:only-child")  # and not what "d" could become
        browser.keys(Keys.ARROW_DOWN, Keys.ENTER)
        browser.until(lambda: typed.get_attribute("value") == "duct ", "the word is completed")
        browser.keys("3 x 1 1/2 at 20")
        browser.see_text("Add it to the walk")
        browser.keys(Keys.ENTER)
        browser.until(lambda: browser.value("walk[2].width") == "3", "it is in the walk as typed")
        self.assertEqual(browser.value("walk[2].height"), "1 1/2")
        typed.click()
        browser.keys("box 31 7/16")
        browser.see_text("Add it to the walk")
        browser.keys(Keys.ENTER)
        browser.until(lambda: browser.value("walk[3].at") == "31 7/16", "the end is another")
        typed.click()
        browser.keys("dragon 4")
        browser.see_text("Still to come: one of pipe")

    def test_lines_are_taken_in_the_order_of_enter_however_late_the_answers_come(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.slow(700)
        self.addCleanup(browser.slow, 0)
        browser.see("[data-typed-line]").click()
        browser.keys("pipe 2 3/8 at 20", Keys.ENTER, "left 29 1/2", Keys.ENTER)
        browser.keys("drgon 4", Keys.ENTER, "offset 3 30 at 12", Keys.ENTER)
        browser.see_text("Waiting for that: offset 3 30 at 12", "[data-still-said]")
        browser.see("[data-mend-said]").send_keys(Keys.CONTROL, "a")
        browser.keys("duct 2 x 2 at 14", Keys.ENTER)
        browser.until(lambda: browser.all("[data-still-said] *") == [], "all of it is taken")
        browser.see_text("Saved", "[role=status]")
        walk = self.run_named("Press hall feed, bay 2").document["walk"]
        self.assertEqual(
            [line["kind"] for line in walk[-5:]], ["round", "wall", "block", "offset", "end"]
        )
        self.assertEqual(browser.see("[data-typed-line]").get_attribute("value"), "")

    def test_two_fixed_ends_meet_by_what_floats(self) -> None:
        browser = self.browser
        self.open_run("Press 2, between two boxes that are up")
        browser.see_text("its place floats", "li")
        browser.see("li [data-reading='71 5/8']")
        browser.write("walk[2].meet[2]", "5")
        browser.see("li [data-reading='5']")
        # With the rise held, nothing else runs that way.
        browser.press("Line 1: move")
        browser.press("Hold its rise")
        browser.see_text("Let the rise of line 1", "[data-finding=end-not-reached]")
        browser.press("Let it float")
        browser.see("li [data-reading='5']")

    def test_an_offset_fits_into_a_length(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.press("Angle by")
        browser.press("within", "[role=option]")
        browser.write("walk[0].within", "15")
        browser.see_text("Offset 22.5°", "[data-compare='0']")
        browser.write("walk[0].within", "4")
        browser.see("[data-finding=does-not-fit-within]")

    def test_stand_off_and_another_way_of_working(self) -> None:
        browser = self.browser
        self.open_run("Gate motor")
        before = browser.marks()
        browser.write("stand_off", "12")
        browser.see("[data-finding=stand-off-taken]")
        browser.until(lambda: browser.marks() != before, "other marks")
        browser.press("Marking")
        browser.press("Chart", "[role=option]")
        browser.see_text("Saved", "[role=status]")
        browser.press("Sheet")
        browser.see_text("of straight to the start of the pipe", "svg")

    def test_a_bender_of_one_s_own_by_a_test_90(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        exact = browser.marks()
        browser.press("My benders")
        browser.press("Add a bender")
        for label, value in (
            ("Name", "Shed bender"),
            ("Mark at", "13 3/8"),
            ("Stick", "40"),
            ("Stub", "18 3/8"),
            ("Tail", "24 1/4"),
            ("Front mark is stamped", "spur"),
        ):
            self.labelled(label).send_keys(value)
        # The catalogue's own bender, found again: take-up 5, gain 2 5/8.
        browser.see_text("4.471", "[role=dialog]")
        browser.see_text("19 of 20 cases", "[role=dialog]")
        browser.press("Keep it and use it")
        browser.see_text("Shed bender", "[aria-label=Bender]")
        browser.see_text("spur", "tr[data-mark='0']")
        self.assertEqual(browser.marks(), exact)
        browser.press("My benders")
        browser.see_text("Shed bender", "[role=dialog]")

    def labelled(self, label: str) -> object:
        found = self.browser.driver.execute_script(
            "return [...document.querySelectorAll('[role=dialog] label')]"
            ".find((each) => each.textContent === arguments[0])?.control",
            label,
        )
        assert found, label
        return found

    def test_exact_and_printed_are_drawn_over_each_other(self) -> None:
        browser = self.browser
        self.open_run("Cellar lighting, north wall")
        browser.press("Exact and printed", "[role=radio]")
        browser.see("[data-printed-pipe]")
        browser.see("[data-exact-pipe]")
        browser.see_text("printed marks, as they come out")


class Steps(PageTest):
    def test_the_work_in_order_with_what_the_half_bent_pipe_meets(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.see("[data-cut]")
        marks = browser.marks()
        browser.press("Steps", "[role=radio]")
        # The 90 on the floor, then the offset in the air, the far mark first: no flip.
        browser.see_text("Bend 3", "[data-step='2']")
        browser.see_text("On the floor", "[data-step='2']")
        browser.see_text("In the air", "[data-step='3']")
        browser.see_text("0 flips end for end")
        # Elsewhere where someone says so, the piece or one bend: what is met there is told.
        browser.press("Where it is bent", "[role=combobox]")
        browser.press("on the floor", "[role=option]")
        browser.see_text("under the floor", "[data-meets=floor]")
        browser.press("Where bend 1 is made", "[role=combobox]")
        browser.press("in the air", "[role=option]")
        browser.see_text("0 flips end for end, 1 change of stance")
        browser.press("Where bend 1 is made", "[role=combobox]")
        browser.press("as usual", "[role=option]")
        browser.press("Where it is bent", "[role=combobox]")
        browser.press("where a good hand would", "[role=option]")
        browser.gone("under the floor")
        browser.press("Start", "[role=radio]")
        browser.see_text("not made where a good hand would")
        browser.see_text("marks of its own", "[role=status]")
        browser.see_text("Bend 2", "[data-step='2']")
        # What is picked is what the stick, the marks and the steps are for from then on.
        browser.press("Bend it in this order")
        browser.gone("marks of its own")
        browser.see_text("Bend 2", "[data-step='2']")
        browser.see_text("From the end costs less.")
        browser.see_text("Saved")
        browser.press("Marks", "[role=radio]")
        browser.until(lambda: browser.marks() and browser.marks() != marks, "other marks")
        browser.press("Steps", "[role=radio]")
        browser.write("walk[0].rise", "1")
        browser.see_text("can't be made as it is written")
        self.assertEqual(browser.complaints(), [])

    def test_the_steps_use_the_marks_on_the_stick_until_another_order_is_asked_for(self) -> None:
        browser = self.browser
        self.open_run("Framed office, as the tape met it")
        marks = browser.marks()
        browser.press("Steps", "[role=radio]")
        # Both ways to look at a bend stand side by side, the first one first.
        browser.see("svg[aria-label='Bend 7 on the wall, from the front']")
        browser.press("The next bend")
        browser.see("svg[aria-label='Bend 6 in the bender, hook to the right']")
        told = browser.see("[data-step='1']").text.replace("\u00a0", " ")
        for mark in marks:
            self.assertIn(mark, told)


class InSpace(PageTest):
    def test_the_shape_turns_by_key_and_by_hand(self) -> None:
        browser = Browser(webgl=True)
        self.addCleanup(browser.close)
        self.open_run("Level sensor, wet well stair", browser)
        browser.press("In space", "[role=radio]")
        canvas = browser.see("[data-space] canvas")
        browser.until(lambda: self.frames(browser) > 0, "the first picture")
        drawn = self.frames(browser)
        canvas.send_keys(Keys.ARROW_LEFT, "+")
        browser.until(lambda: self.frames(browser) > drawn, "another picture by key")
        drawn = self.frames(browser)
        browser.drag(canvas, 80, 30)
        browser.until(lambda: self.frames(browser) > drawn, "another picture by hand")
        # What the software renderer and the library say of themselves is not about the page.
        ours = [c for c in browser.complaints() if "GL Driver" not in c and "THREE." not in c]
        self.assertEqual(ours, [])

    def frames(self, browser: Browser) -> int:
        return int(browser.see("[data-space] canvas").get_attribute("data-frames") or 0)

    def test_without_webgl_it_is_drawn_flat(self) -> None:
        self.browser.driver.get("about:blank")
        self.browser.command(
            "Page.addScriptToEvaluateOnNewDocument",
            source="HTMLCanvasElement.prototype.getContext = () => null",
        )
        self.open_run("Level sensor, wet well stair")
        self.browser.press("In space", "[role=radio]")
        self.browser.see_text("In space, drawn flat")


class OnAPhone(PageTest):
    size = (390, 844)

    def test_candidates_and_typed_lines_fit_a_phone(self) -> None:
        browser = self.browser
        self.open_run("Framed office, as the tape met it")
        browser.see("[data-compare='1']").click()
        browser.see("[data-candidate='saddle3 60']").click()
        browser.see_text("Your pick", "li")
        self.assertFalse(
            browser.driver.execute_script(
                "return document.documentElement.scrollWidth > window.innerWidth"
            )
        )
