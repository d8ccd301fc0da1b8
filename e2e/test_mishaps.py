"""What goes wrong, and that nothing typed is lost by it."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from e2e.browser import Browser
from e2e.case import PageTest
from jobs.models import Run

PRESS_HALL = "Press hall feed, bay 2"
MARKS = ("25 9/16", "34 1/4", "72 11/16")


class Mishaps(PageTest):
    def test_a_half_typed_number_keeps_the_last_good_plan_and_says_so_on_the_line(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.see_marks(*MARKS)
        browser.write("walk[0].rise", "4 3/")
        browser.see_text("Rise: expected a length such as 27 11/16", "li")
        browser.see_text("What you see is from before it")
        self.assertEqual(browser.marks(), list(MARKS))
        browser.see_text("Kept here", "[role=status]")
        self.go(f"/runs/{run.id}")
        browser.until(lambda: browser.value("walk[0].rise") == "4 3/", "it is still there")
        browser.write("walk[0].rise", "4 3/4")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(Run.objects.get(id=run.id).document["walk"][0]["rise"], "4 3/4")

    def test_every_refused_field_says_what_was_expected(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        for path, text, said in (
            ("walk[0].angle", "170", "Angle: expected a number from 1 to 120"),
            ("walk[0].rise", "0", "Rise: expected a length above 0"),
            ("walk[2].at", "", "Still to be measured: where"),
            ("walk[1].at", "7' 2 mm", "At: expected feet with inches"),
        ):
            with self.subTest(path=path):
                browser.write(path, text)
                browser.see_text(said, "li")
                browser.keys(Keys.ESCAPE)
                browser.gone("expected", "li")
                browser.gone("Still to be", "li")
        browser.see_marks(*MARKS)

    def test_what_cant_be_made_is_said_where_it_is_and_mended_by_a_touch(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].rise", "1")
        browser.see_text("arcs need a rise of at least 1 1/4 in", "[data-finding=arcs-overlap]")
        browser.see_text("No marks: this run can't be made")
        self.assertEqual(browser.marks(), [])
        self.assertNotIn("8'", browser.see("[data-cut]").text)
        browser.press("Use 22.5°")
        browser.until(lambda: len(browser.marks()) == 3, "marks again")
        self.assertEqual(browser.value("walk[0].angle"), "22.5")

    def test_undo_goes_back_by_whole_numbers_and_redo_forward_again(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].rise", "5 1/2")
        browser.write("walk[0].at", "36")
        # By hand: 36 + 5.5 tan 15° − 2 g + a = 37.540; 10.945 before it; 71 5/8 + 1.364 = 72.989.
        browser.see_marks("26 5/8", "37 9/16", "73")
        browser.chord(Keys.CONTROL, "z")
        browser.until(lambda: browser.value("walk[0].at") == "33", "the place is back")
        browser.chord(Keys.CONTROL, "z")
        browser.see_marks(*MARKS)
        self.assertEqual(browser.value("walk[0].rise"), "4 3/8")
        browser.press("Redo")
        browser.press("Redo")
        # By hand: 36 + 5.5 tan 15° − 2 g + a = 37.540; 10.945 before it; 71 5/8 + 1.364 = 72.989.
        browser.see_marks("26 5/8", "37 9/16", "73")

    def test_without_a_connection_typing_goes_on_and_is_saved_when_it_is_back(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.see_marks(*MARKS)
        self.offline(True)
        browser.write("walk[0].at", "35")
        browser.see_text("No connection; kept on this machine", "[role=status]")
        browser.see_text("What you see is from before your last change")
        self.offline(False)
        browser.see_marks("27 9/16", "36 1/4", "72 11/16")
        browser.see_text("Saved", "[role=status]")
        self.assertEqual(Run.objects.get(id=run.id).document["walk"][0]["at"], "35")

    def test_two_windows_and_neither_overwrites_the_other(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        other = Browser()
        self.addCleanup(other.close)
        self.enter("rook", other)
        self.go(f"/runs/{run.id}", other)
        other.see_marks(*MARKS)
        other.write("walk[0].at", "36")
        other.see_text("Saved", "[role=status]")

        browser.write("walk[0].at", "30")
        browser.see_text("Rook Tansley saved this run in the meantime", "[role=dialog]")
        row = browser.see("[role=dialog] tbody tr").text
        self.assertEqual(row, "line 1, at 30 36")
        browser.press("Keep mine as the next version")
        browser.see_text("Saved", "[role=status]")
        kept = run.revisions.order_by("version")
        self.assertEqual([r.document["walk"][0]["at"] for r in kept], ["33", "36", "30"])

        other.write("walk[0].at", "38")
        other.see_text("Wren Hallow saved this run", "[role=dialog]")
        other.press("Take the saved one")
        other.until(lambda: other.value("walk[0].at") == "30", "theirs")
        other.press("Undo")
        other.until(lambda: other.value("walk[0].at") == "38", "mine is one step back")

    def test_an_earlier_version_is_brought_back(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].at", "36")
        browser.see_text("Saved", "[role=status]")
        browser.press("More")
        browser.press("History")
        browser.press("Restore")
        browser.until(lambda: browser.value("walk[0].at") == "33", "as it was")
        browser.see_marks(*MARKS)

    def test_another_crew_s_run_is_not_there(self) -> None:
        self.enter("tern")
        self.go(f"/runs/{self.run_named(PRESS_HALL).id}")
        self.browser.see_text("it is another crew's, or it was removed")
        self.browser.press("To the jobs")
        self.browser.see_text("New job")
