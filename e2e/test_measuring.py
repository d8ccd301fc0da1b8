"""From sign-in to correct marks: what a person at a wall does."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.case import PageTest


class Measuring(PageTest):
    def test_from_the_door_to_the_marks_of_a_wall_of_one_s_own(self) -> None:
        browser = self.browser
        self.sign_in()
        browser.press("Saltmarsh Cider Works")
        browser.press("New run")
        browser.see("[data-cut]")
        # A ledge of 4 3/8 to be cleared by 47, then up a post at 70: the handbook's own offset.
        # What is made is named first; then its keys are those of the walk.
        browser.keys("Drop to the still", Keys.ENTER)
        browser.keys("a")
        browser.press("Offset")
        browser.until(lambda: self.focused() == "walk[0].rise", "the cursor in the new line")
        browser.keys("4 3/8")
        browser.write("walk[0].at", "47")
        browser.write("walk[1].at", "70")
        # By hand: far arc ends at 48.062, mark 0.176 beyond it: 48.238; the near one 8.695 before.
        browser.see_marks("39 9/16", "48 1/4")
        browser.press("Add what comes next")
        browser.press("Turn")
        browser.until(lambda: self.focused() == "walk[1].at", "the cursor in the new line")
        browser.keys("67 1/2")
        browser.write("walk[2].at", "29 5/8")
        # The back of the turn: 67 1/2 and the 1.0623 that the offset uses up.
        browser.see_marks("39 9/16", "48 1/4", "68 9/16")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(browser.complaints(), [])

    def test_a_pipe_to_cross_is_a_saddle_with_its_centre_on_the_notch(self) -> None:
        browser = self.browser
        self.enter()
        self.go("/")
        browser.press("Saltmarsh Cider Works")
        browser.press("New run")
        browser.see("[data-cut]")
        browser.write("walk[0].at", "80")
        browser.press("Add what comes next")
        browser.press("3-bend saddle")
        browser.until(lambda: self.focused() == "walk[0].rise", "the cursor in the new line")
        browser.keys("1 3/4", Keys.ENTER, "53")
        # The handbook's saddle: middle at 53.302, outers' arcs 4.550 to either side of it.
        browser.see_marks("48 15/16", "53 5/16", "57 11/16")
        browser.see_text("centre", "tr[data-mark='1']")

    def test_a_job_speaks_its_own_country_s_words(self) -> None:
        browser = self.browser
        self.open_run("Gate motor")
        browser.press("Add what comes next")
        for word in ("Set", "3-bend crossover", "4-bend crossover", "Box set"):
            browser.see_text(word, "[role=menu]")
        offered = browser.see("[role=menu]").text
        browser.press("Set", "[role=menuitem]")
        browser.until(lambda: self.focused().endswith(".rise"), "the cursor in the new line")
        for theirs in ("Offset", "saddle"):
            self.assertNotIn(theirs, offered)
        browser.press("Fitting at the end")
        browser.see_text("inspection fitting", "[role=listbox]")

    def focused(self) -> str:
        return str(self.browser.driver.execute_script("return document.activeElement.dataset.path"))

    def test_the_marks_are_on_the_stick_and_point_at_their_lines(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.see_marks("25 9/16", "34 1/4", "72 11/16")
        stick = [mark.text.replace("\u200a", " ") for mark in browser.all("[data-stick-mark]")]
        self.assertIn("3 · 90°", stick[2])
        browser.see('[data-stick-mark="2"]').click()
        browser.see("li.bg-accent-soft [data-path='walk[1].at']")
        self.assertEqual(len(browser.all("tr[data-mark].bg-accent-soft")), 1)

    def test_lines_move_and_go_by_key_and_by_touch(self) -> None:
        browser = self.browser
        self.open_run("Bottling line drop")
        browser.field("walk[1].at").click()
        browser.chord(Keys.ALT, Keys.ARROW_UP)
        browser.until(lambda: browser.value("walk[0].label") == "back to the column", "it moved up")
        browser.press("Line 1: move")
        browser.press("Move down")
        browser.until(lambda: browser.value("walk[0].label") == "filler guard", "it moved down")
        browser.press("Line 3: move")
        browser.press("Remove")
        browser.until(lambda: len(browser.all("ol > li")) == 3, "the turn is gone")
        browser.press("Undo")
        browser.until(lambda: len(browser.marks()) == 5, "the turn is back")

    def test_units_change_and_what_was_typed_keeps_its_meaning(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.press("Units")
        browser.press("millimetres")
        browser.until(lambda: browser.value("walk[0].rise") == "4 3/8 in", "its unit is named")
        # By hand: 71 5/8 + 34 1/8 − 2 5/8 + 1.0623 = 104.187 in = 2646.4 mm.
        browser.see_text("2646 mm", "[data-cut]")

    def test_another_conduit_takes_a_bender_that_fits_it(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.press("Conduit")
        browser.press("RMC (rigid) 3/4")
        browser.see_text("Hand bender 1", "[aria-label=Bender]")
        browser.press("Bender")
        options = [option.text for option in browser.all("[role=option]")]
        self.assertEqual(options[0], "Hand bender 1")
        self.assertIn("Ratchet bender, shoes 1/2 to 1", options)
        # No shoe for thick wall of this size among the metric machines, nor in a heat gun.
        self.assertFalse([name for name in options if "Heat" in name or "Bench" in name])

    def test_the_printed_table_stands_beside_the_exact_marks(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.press("Printed table", "[role=radio]")
        browser.see_text("By the printed marks, it measures")
        browser.see_text("Exact marks: 25 9/16, 34 1/4, 72 11/16")


class OnAPhone(PageTest):
    size = (390, 844)

    def test_a_number_is_changed_and_its_mark_read_by_thumb(self) -> None:
        browser = self.browser
        self.open_run("Press hall feed, bay 2")
        browser.write("walk[0].at", "35")
        browser.press("Marks", "[role=radio]")
        browser.see_marks("27 9/16", "36 1/4", "72 11/16")
        browser.press("Shape", "[role=radio]")
        browser.see("svg[aria-label='The run as it will hang']")
        wide = browser.driver.execute_script("return document.documentElement.scrollWidth")
        self.assertLessEqual(wide, 390)

    def test_a_stick_with_many_marks_turns_its_pages(self) -> None:
        browser = self.browser
        self.open_run("Bottling line drop")
        self.assertEqual(len(browser.all("[data-stick-mark]")), 4)
        browser.press("Later part of the pipe")
        browser.until(lambda: len(browser.all("[data-stick-mark]")) == 1, "the last mark")
