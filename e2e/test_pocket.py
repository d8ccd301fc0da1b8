"""Without a server: a job that is kept on the device is planned, changed and benched, through a
closed browser, and everything comes home."""

from __future__ import annotations

import subprocess
from typing import Any

from django.db import connection
from django.test import TransactionTestCase
from selenium.webdriver.common.keys import Keys

from accounts.models import Member
from e2e.browser import Browser
from e2e.case import load_demo_rows
from jobs.demo import PASSWORD
from jobs.models import Job, PieceAtBench, Run
from jobs.runs import RUNS
from launcher.demo import serve, wait_until_it_answers
from launcher.postgres import free_port
from launcher.processes import stop
from server.tests.stored_databases import address_of

JOB = "Saltmarsh Cider Works"
FEED = "Press hall feed, bay 2"
DROP = "Bottling line drop"
AT_BENCH = "Cellar lighting, north wall"
TAKEN = "return navigator.serviceWorker.controller !== null"
"""The page's files are on the device, and are served from there."""


class Pocket(TransactionTestCase):
    """One server of its own, that can be taken away, and a browser that can be closed."""

    def setUp(self) -> None:
        load_demo_rows()
        self.port = free_port()
        self.server: subprocess.Popen[bytes] | None = None
        self.addCleanup(self.take_away)
        self.restore()
        self.browser = Browser()
        self.addCleanup(lambda: self.browser.close())
        self.sign_in()

    def restore(self) -> None:
        database = address_of(connection.settings_dict["NAME"])
        self.server = serve(self.port, {"YARROW_DATABASE": database})
        wait_until_it_answers(self.server, self.port)

    def take_away(self) -> None:
        if self.server:
            stop(self.server)
        self.server = None

    def go(self, path: str) -> None:
        self.browser.driver.get(f"http://127.0.0.1:{self.port}{path}")

    def sign_in(self) -> None:
        self.go("/")
        self.browser.see("input[autocomplete=username]").send_keys("wren")
        self.browser.see("input[type=password]").send_keys(PASSWORD)
        self.browser.press("Sign in")
        self.browser.see_text("Jobs", "h1")

    def keep_job(self) -> None:
        browser = self.browser
        browser.press("Account of Wren Hallow")
        browser.press("On this device")
        browser.press("Keep here")
        browser.see_text("Let go", "[role=dialog]")
        browser.until(lambda: browser.ask(TAKEN), "the page on the device")

    def close_and_open_again(self) -> None:
        folder = self.browser.folder
        self.browser.driver.quit()
        self.browser = Browser(folder=folder)

    def change(self, run: Run, path: str, text: str) -> None:
        """Change a field of a run, and see it kept here."""
        self.go(f"/runs/{run.id}")
        self.browser.see("[data-stick-mark]")
        self.browser.write(path, text)
        self.browser.see_text("No connection; kept on this machine", "[role=status]")

    def saved(self, name: str) -> dict[str, Any]:
        document: dict[str, Any] = Run.objects.get(name=name).document
        return document

    def test_a_day_without_a_server_and_everything_comes_home(self) -> None:
        browser = self.browser
        job = Job.objects.get(name=JOB)
        self.keep_job()
        self.take_away()

        self.go(f"/jobs/{job.id}")
        browser.press("New run")
        browser.see("[data-cut]")
        local = browser.ask("return location.pathname")
        self.assertRegex(local, r"^/runs/-\d+$")
        browser.keys("Cellar spur", Keys.ENTER)
        browser.keys("a")
        browser.press("Offset")
        browser.write("walk[0].rise", "4 3/8")
        browser.write("walk[0].at", "47")
        browser.write("walk[1].at", "70")
        # By hand: far arc ends at 48.062, mark 0.176 beyond it: 48.238; the near one 8.695 before.
        browser.see_marks("39 9/16", "48 1/4")
        browser.see_text("Saved", "[role=status]")
        feed, drop, bench = (Run.objects.get(name=name) for name in (FEED, DROP, AT_BENCH))
        self.change(feed, "walk[0].at", "35")
        self.change(drop, "walk[0].at", "41")
        self.bench_to_its_end(bench)

        self.close_and_open_again()
        browser = self.browser
        self.go(local)
        browser.see("[data-stick-mark]")
        self.go(f"/runs/{feed.id}")
        browser.see("[data-stick-mark]")
        self.assertEqual(browser.value("walk[0].at"), "35")
        browser.see_text("No connection; kept on this machine", "[role=status]")
        self.go("/")
        browser.see_text("No connection", "[data-pocket]")
        rook = Member.objects.get(username="rook")
        first, *rest = drop.document["walk"]
        theirs = {**drop.document, "walk": [{**first, "at": "44"}, *rest]}
        RUNS.save(rook, drop.id, theirs, drop.version)

        self.restore()
        browser.see_text("Someone else changed it meanwhile", "section")
        browser.see_text("1 waits", "[data-pocket=waiting]")
        made = Run.objects.get(name="Cellar spur")
        self.assertEqual((made.version, made.document["walk"][0]["rise"]), (1, "4 3/8"))
        self.assertEqual(self.saved(FEED)["walk"][0]["at"], "35")
        self.assertEqual(PieceAtBench.objects.get(run=bench).updated_by.username, "wren")
        self.assertEqual(Run.objects.get(id=bench.id).stage, "bent")
        self.assertEqual(self.saved(DROP)["walk"][0]["at"], "44")
        self.go(f"/runs/{drop.id}")
        browser.press("Restore")
        browser.see_text("Changed somewhere else", "[role=status]")
        self.go(local)
        self.see_address(f"/runs/{made.id}")

    def see_address(self, path: str) -> None:
        self.browser.until(lambda: self.browser.ask("return location.pathname") == path, path)

    def bench_to_its_end(self, run: Run) -> None:
        browser = self.browser
        self.go(f"/runs/{run.id}/bench")
        browser.see_text("1 of 5")
        for step in range(2, 6):
            browser.keys(Keys.ARROW_RIGHT)
            browser.see_text(f"{step} of 5")
        browser.press("Done. Offer it up")
        browser.press("It fits")
        browser.until(
            lambda: browser.ask("return location.pathname") == f"/runs/{run.id}", "it fits"
        )
