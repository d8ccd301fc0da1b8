"""Every version and all that was removed, on the page: runs, boxes and benders alike."""

from __future__ import annotations

from benders.models import CrewBender
from e2e.case import PageTest
from jobs.models import Run, SiteBox

PRESS_HALL = "Press hall feed, bay 2"


class History(PageTest):
    def test_a_box_has_its_versions_and_comes_back_when_it_was_forgotten(self) -> None:
        browser = self.browser
        self.enter()
        box = SiteBox.objects.get(key="press hall junction")
        self.go(f"/jobs/{box.job_id}/box?name=Press%20hall%20junction")
        browser.see("[data-met]")
        browser.press("A device in the middle", "button[role=checkbox], label")
        browser.until(lambda: SiteBox.objects.get(id=box.id).version == 2, "saved")
        browser.until(lambda: browser.all("[data-saving=saved]"), "said so")
        browser.press("More")
        browser.press("History")
        browser.see_text("this one", "[role=dialog] li")
        browser.press("Restore", "[role=dialog] button")
        browser.until(lambda: SiteBox.objects.get(id=box.id).version == 3, "restored")
        self.assertEqual(SiteBox.objects.get(id=box.id).document, box.document)
        tick = "button[role=checkbox][data-state=checked]"
        browser.until(lambda: not browser.all(tick), "as it was")

        browser.press("More")
        browser.press("Forget what is told of it")
        browser.press("What was removed")
        browser.press("Restore Press hall junction", "[role=dialog] button")
        browser.see_text("Nothing was removed", "[role=dialog]")
        self.assertIsNone(SiteBox.objects.get(id=box.id).removed_at)

    def test_a_run_that_was_removed_is_listed_and_comes_back(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.press("More")
        browser.press("Remove this run")
        browser.see_text(f"{PRESS_HALL} was removed.", "[role=status]")
        self.go(f"/jobs/{run.job_id}")
        browser.press("What was removed")
        browser.press(f"Restore {PRESS_HALL}", "[role=dialog] button")
        browser.press("Close")
        browser.see_text(PRESS_HALL, "main ul")
        self.assertIsNone(Run.objects.get(id=run.id).removed_at)

    def test_a_bender_that_was_taken_out_comes_back(self) -> None:
        browser = self.browser
        bender = CrewBender.objects.get()
        self.open_run(PRESS_HALL)
        browser.press("My benders")
        browser.press("Change", "[role=dialog] button")
        browser.see_text("this one", "section[aria-label='Earlier versions']")
        browser.press("Back", "[role=dialog] button")
        browser.press("Remove", "[role=dialog] button")
        browser.press(f"Restore {bender.name}", "[role=dialog] button")
        browser.gone("Taken out", "[role=dialog]")
        browser.see_text(bender.name, "[role=dialog] li")
        self.assertIsNone(CrewBender.objects.get().removed_at)

    def test_a_long_list_of_runs_is_read_page_by_page(self) -> None:
        browser = self.browser
        run = self.run_named(PRESS_HALL)
        there = run.job.runs.count()
        for number in range(120):
            run.pk = None
            run.key = f"copy{number}"
            run.name = f"Copy {number:03}"
            run.save()
        self.enter()
        self.go(f"/jobs/{run.job_id}")
        browser.until(lambda: len(browser.all("main a[href^='/runs/']")) == 100, "the first page")
        browser.press("More runs")
        browser.until(
            lambda: len(browser.all("main a[href^='/runs/']")) == there + 120, "all of them"
        )
        browser.gone("More runs")
