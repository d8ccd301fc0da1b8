"""A job's page as a place of work: runs looked for, their stage, a copy, another job."""

from __future__ import annotations

import threading
from typing import Any
from unittest import mock

from django.db import connection

from e2e.browser import PATIENCE
from e2e.case import PageTest
from jobs.models import Job
from long_work import services
from long_work.models import LongWork
from papers.run_sheets import run_sheets

PRESS_HALL = "Press hall feed, bay 2"


class JobPage(PageTest):
    def names(self) -> list[str]:
        look = "return all('[data-run] a .truncate').map(text).filter(one => !one.includes('bent'))"
        found: list[str] = self.browser.ask(look)
        return found

    def open_job(self) -> Job:
        job = self.run_named(PRESS_HALL).job
        self.enter()
        self.go(f"/jobs/{job.id}")
        self.browser.see("[data-run]")
        return job

    def test_a_run_is_found_and_said_to_be_bent(self) -> None:
        browser = self.browser
        self.open_job()
        browser.see("input[type=search]").send_keys("press hall")
        browser.until(lambda: self.names() == [PRESS_HALL], "the one run")
        browser.press(f"Stage of {PRESS_HALL}", "[role=combobox]")
        browser.press("bent", "[role=option]")
        browser.see_text("1 bent")
        self.assertEqual(self.run_named(PRESS_HALL).stage, "bent")
        browser.press("At which stage", "[role=combobox]")
        browser.press("fitted", "[role=option]")
        browser.see_text("No run of this job is like that")
        self.assertEqual(browser.complaints(), [])

    def test_a_copy_is_opened_and_a_run_goes_to_another_job(self) -> None:
        browser = self.browser
        job = self.open_job()
        browser.press(f"{PRESS_HALL}: duplicate")
        browser.press("Duplicate", "[role=menuitem]")
        browser.see("[data-cut]")
        copy = job.runs.get(name=f"{PRESS_HALL}, copy")
        self.go(f"/jobs/{job.id}")
        browser.press(f"{copy.name}: duplicate")
        browser.press("Harrow Lock", "[role=menuitem]")
        browser.gone(copy.name)
        copy.refresh_from_db()
        self.assertNotEqual(copy.job_id, job.id)

    def test_sorted_by_length_the_longest_is_first(self) -> None:
        browser = self.browser
        job = self.open_job()
        browser.press("Sort the runs", "[role=combobox]")
        browser.press("longest first", "[role=option]")
        longest = job.runs.order_by("-cut_length_mm").first()
        assert longest is not None
        browser.until(lambda: self.names()[0] == longest.name, "the longest first")

    def test_all_sheets_are_made_by_a_worker_also_while_the_page_is_away(self) -> None:
        browser = self.browser
        self.open_job()
        browser.press("All sheets")
        browser.press("Letter", "[role=menuitem]")
        browser.see_text("Waits for its turn", "[role=status]")
        browser.driver.refresh()
        browser.see_text("Waits for its turn", "[role=status]")
        first = LongWork.objects.get()
        begun, go_on = threading.Event(), threading.Event()

        def compose(*sheets: Any) -> Any:
            begun.set()
            go_on.wait(PATIENCE)
            return run_sheets(*sheets)

        with mock.patch("long_work.kinds.job_sheets.run_sheets", compose):
            worker = threading.Thread(target=self.work, args=(first.pk,))
            worker.start()
            self.assertTrue(begun.wait(PATIENCE))
            browser.see_text("Begun", "[role=status]")
            go_on.set()
            browser.see_text("saltmarsh-cider-works-sheets.pdf", "[role=status]")
            worker.join()
        browser.press("Export the job")
        browser.press("Stop")
        browser.see_text("Stopped", "[role=status]")
        self.work(LongWork.objects.latest("id").pk)
        self.assertEqual(LongWork.objects.latest("id").state, "stopped")
        self.assertEqual(browser.complaints(), [])

    def work(self, number: int) -> None:
        """What a worker does with it."""
        services.work(number)
        if threading.current_thread() is not threading.main_thread():
            connection.close()
