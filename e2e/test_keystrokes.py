"""What was typed is there again: another tab's, a killed browser's, a lapsed session's."""

from __future__ import annotations

import os
import signal

from accounts.models import MemberSession
from e2e.browser import Browser
from e2e.case import PageTest
from jobs.demo import PASSWORD
from jobs.models import Run, SiteBox

PRESS_HALL = "Press hall feed, bay 2"
KEPT = "No connection; kept on this machine"


class Keystrokes(PageTest):
    def at(self, run: Run) -> str:
        """Where the first line is, as the server has it."""
        return str(Run.objects.get(id=run.id).document["walk"][0]["at"])

    def test_two_tabs_on_one_run_keep_each_its_own_words(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        first = browser.driver.current_window_handle
        self.offline(True)
        browser.write("walk[0].at", "35")
        browser.see_text(KEPT, "[role=status]")

        browser.driver.switch_to.new_window("tab")
        self.go(f"/runs/{run.id}")
        browser.see_text("still open in another tab", "[role=dialog]")
        browser.press("Compare")
        browser.see_text("35", "[role=dialog] tbody")
        browser.press("Close")
        self.assertEqual(browser.value("walk[0].at"), "33")
        browser.write("walk[0].at", "34")
        browser.see_text("Saved", "[role=status]")

        browser.driver.switch_to.window(first)
        self.assertEqual(browser.value("walk[0].at"), "35")
        self.offline(False)
        browser.see_text("in another tab", "[role=dialog]")
        self.assertEqual(self.at(run), "34")
        browser.press("Keep mine as the next version")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(self.at(run), "35")

    def test_what_a_closed_tab_left_goes_on_where_it_is_opened_again(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        first = browser.driver.current_window_handle
        browser.driver.switch_to.new_window("tab")
        self.go(f"/runs/{run.id}")
        browser.see("svg[aria-label^='The unbent pipe']")
        self.offline(True)
        browser.write("walk[0].at", "35")
        browser.see_text(KEPT, "[role=status]")
        browser.driver.close()

        browser.driver.switch_to.window(first)
        self.go(f"/runs/{run.id}")
        browser.until(lambda: browser.value("walk[0].at") == "35", "what was left")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(self.at(run), "35")
        self.go(f"/runs/{run.id}")
        browser.see("svg[aria-label^='The unbent pipe']")
        self.assertEqual(browser.all("[role=dialog]"), [])

    def test_a_killed_browser_loses_nothing_that_was_said_to_be_kept(self) -> None:
        run = self.run_named(PRESS_HALL)
        killed = Browser()
        self.addCleanup(killed.close)
        self.enter(browser=killed)
        self.go(f"/runs/{run.id}", killed)
        killed.see("svg[aria-label^='The unbent pipe']")
        killed.offline(True)
        killed.write("walk[0].at", "35 1/8")
        killed.see_text(KEPT, "[role=status]")
        os.kill(killed.process(), signal.SIGKILL)

        again = Browser(folder=killed.folder)
        self.addCleanup(again.close)
        self.enter(browser=again)
        self.go(f"/runs/{run.id}", again)
        again.until(lambda: again.value("walk[0].at") == "35 1/8", "what was left")
        again.see_text("Saved", "[role=status]")
        self.assertEqual(self.at(run), "35 1/8")

    def test_a_killed_browser_loses_no_reading_at_the_bench(self) -> None:
        run = self.run_named("Bottling line drop")
        killed = Browser()
        self.addCleanup(killed.close)
        self.enter(browser=killed)
        self.go(f"/runs/{run.id}/bench", killed)
        killed.press("Done. Next mark")
        killed.press("It came out different")
        killed.write("read.angle", "88")
        killed.see_text("is 2° under")
        killed.offline(True)
        killed.press("Keep it, and go on")
        killed.see_text("Your readings are kept here")
        os.kill(killed.process(), signal.SIGKILL)

        again = Browser(folder=killed.folder)
        self.addCleanup(again.close)
        self.enter(browser=again)
        self.go(f"/runs/{run.id}/bench", again)
        again.see_text("Bend it on")

    def test_a_lapsed_session_is_signed_in_again_in_place_and_saving_goes_on(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        self.answered()
        MemberSession.objects.all().delete()
        browser.paste("walk[0].at", "35")
        browser.see_text("Your session has ended", "[role=dialog]")
        self.assertEqual(self.at(run), "33")
        browser.see("[role=dialog] input[type=password]").send_keys(PASSWORD)
        browser.press("Sign in", "[role=dialog] button[type=submit]")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual((self.at(run), browser.value("walk[0].at")), ("35", "35"))

    def test_a_page_lives_on_when_another_tab_signs_in_but_never_as_someone_else(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        first = browser.driver.current_window_handle
        for name in ("wren", "rook"):
            browser.driver.switch_to.new_window("tab")
            self.go("/")
            browser.press("Account of")
            browser.press("Sign out")
            browser.see("input[autocomplete=username]")
            self.sign_in(name)
            browser.driver.close()
            browser.driver.switch_to.window(first)
            browser.paste("walk[0].at", "35" if name == "wren" else "36")
            if name == "wren":
                browser.see_text("Saved", "[role=status]")
        browser.see_text("Your session has ended", "[role=dialog]")
        self.assertEqual(self.at(run), "35")
        browser.see("[role=dialog] input[type=password]").send_keys(PASSWORD)
        browser.press("Sign in", "[role=dialog] button[type=submit]")
        browser.see_text("Saved", "[role=status]")
        saved = Run.objects.get(id=run.id)
        self.assertEqual((self.at(run), saved.updated_by.username), ("36", "wren"))

    def test_a_box_typed_while_the_server_is_away_is_saved_when_it_is_back(self) -> None:
        browser = self.browser
        self.enter()
        box = SiteBox.objects.get(key="press hall junction")
        path = f"/jobs/{box.job_id}/box?name=Press%20hall%20junction"
        self.go(path)
        browser.see("[data-met]")
        self.offline(True)
        browser.press("A device in the middle", "button[role=checkbox], label")
        browser.see_text(KEPT, "[role=status]")
        self.offline(False)
        self.go(path)  # left before it was tried again: what was kept is on the screen
        browser.until(lambda: browser.all("[data-saving=saved]"), "saved")
        browser.until(
            lambda: SiteBox.objects.get(id=box.id).document.get("device"), "the device is kept"
        )
