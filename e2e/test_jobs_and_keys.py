"""Jobs and runs as a crew handles them, and the planner by keyboard alone."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.case import PageTest
from jobs.models import Job, Run

PRESS_HALL = "Press hall feed, bay 2"


class Jobs(PageTest):
    def test_a_new_job_in_millimetres_starts_its_runs_in_them(self) -> None:
        browser = self.browser
        self.sign_in()
        browser.press("New job")
        fields = browser.until(lambda: browser.all("[role=dialog] input"), "the form")
        # The cursor is in the name as the form opens.
        browser.keys("Upper weir")
        fields[1].send_keys("East bank")
        browser.press("Millimetres", "[role=radio]")
        browser.press("Make the job")
        browser.see_text("Upper weir", "h1")
        browser.see_text("No runs yet")
        browser.press("New run")
        browser.see_text("millimetres", "[aria-label=Units]")
        browser.see_text("Steel, metric 20", "[aria-label=Conduit]")
        browser.see_text("A straight piece", "[aria-label=Marks]")
        self.assertEqual(Job.objects.get(name="Upper weir").runs.count(), 1)

    def test_a_run_is_copied_and_the_copy_is_another(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.press("More")
        browser.press("Copy this run")
        browser.see_text(f"{PRESS_HALL}, copy", "h1")
        browser.write("walk[0].at", "40")
        browser.see_text("Saved", "[role=status]")
        run.refresh_from_db()
        self.assertEqual(run.document["walk"][0]["at"], "33")

    def test_a_run_is_removed_and_brought_back(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.press("More")
        browser.press("Remove this run")
        browser.see_text("Saltmarsh Cider Works", "h1")
        browser.gone(PRESS_HALL, "main li")
        run.refresh_from_db()
        self.assertIsNotNone(run.removed_at)
        self.assertEqual(run.revisions.count(), 1)
        browser.press("Restore")
        browser.see_marks("25 9/16", "34 1/4", "72 11/16")

    def test_a_run_is_renamed_where_its_name_stands(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        name = browser.see("input[aria-label='Name of the run']")
        name.click()
        browser.chord(Keys.CONTROL, "a")
        name.send_keys("Press hall, bay 3")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(Run.objects.get(id=run.id).name, "Press hall, bay 3")

    def test_what_was_used_last_is_there_for_the_next_run(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.press("Conduit")
        browser.press("EMT (thin wall) 3/4")
        browser.see_text("Saved", "[role=status]")
        self.go(f"/jobs/{run.job_id}")
        browser.press("New run")
        browser.see_text("EMT (thin wall) 3/4", "[aria-label=Conduit]")
        browser.see_text("Hand bender 3/4", "[aria-label=Bender]")


class Keyboard(PageTest):
    def focused(self) -> str:
        script = "return document.activeElement.dataset.path || ''"
        return str(self.browser.driver.execute_script(script))

    def test_a_line_is_added_filled_moved_and_removed_without_a_mouse(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.keys("a")
        browser.see("[role=menu]")
        browser.keys(Keys.HOME, Keys.ENTER)  # the first: a wall to turn at
        browser.until(lambda: self.focused() == "walk[2].at", "the cursor in the new line")
        browser.keys("20", Keys.ENTER)
        browser.until(lambda: self.focused() != "walk[2].at", "the cursor further on")
        browser.until(lambda: len(browser.marks()) == 4, "four marks")
        browser.field("walk[2].at").click()
        browser.chord(Keys.ALT, Keys.BACK_SPACE)
        browser.until(lambda: len(browser.marks()) == 3, "three marks again")

    def test_the_focus_stays_beside_what_was_taken_away(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.field("walk[0].rise").click()
        browser.chord(Keys.ALT, Keys.BACKSPACE)
        browser.gone("press plinth")
        where = "return document.activeElement.closest('[data-path], li, main')?.tagName ?? 'none'"
        browser.until(lambda: browser.ask(where) != "none", "the focus is in the walk")
        browser.chord(Keys.CONTROL, "z")
        browser.see_text("press plinth")

    def test_the_shape_is_shown_as_it_was_after_a_reload(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.press("Wires", "[role=radio]")
        browser.driver.refresh()
        browser.see("[role=radio][aria-checked=true][data-state=on]")
        browser.see_text("Wires", "[role=radio][data-state=on]")
        self.open_run("Bottling line drop")
        browser.see_text("Flat", "[role=radio][data-state=on]")

    def test_what_is_made_is_named_first(self) -> None:
        browser = self.browser
        self.sign_in()
        browser.press("Saltmarsh Cider Works")
        for another, label, name in (
            ("New run", "Name of the run", "Loft spur"),
            ("New wall", "Name of the wall", "Tasting room"),
            ("New ducts", "Name of the ducts", "Yard"),
        ):
            browser.press(another)
            browser.see(f"input[aria-label='{label}']:focus")
            browser.keys(name)
            browser.see_text("Saved", "[role=status]")
            self.assertEqual(browser.see(f"[aria-label='{label}']").get_attribute("value"), name)
            self.go("/")
            browser.press("Saltmarsh Cider Works")
            browser.see_text(name)

    def test_escape_takes_a_field_back_to_what_it_was(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].rise", "9 1/2")
        browser.keys(Keys.ESCAPE)
        browser.until(lambda: browser.value("walk[0].rise") == "4 3/8", "as it was")

    def test_the_list_of_keys_opens_with_a_question_mark_and_not_while_typing(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.keys("?")
        browser.see_text("Add what comes next", "[role=dialog]")
        browser.keys(Keys.ESCAPE)
        browser.until(lambda: not browser.all("[role=dialog]"), "the list is closed")
        browser.field("walk[0].label").click()
        browser.keys("?a")
        browser.until(lambda: browser.value("walk[0].label").endswith("?a"), "what was typed")
        self.assertEqual(browser.all("[role=dialog]"), [])
