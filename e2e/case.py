"""A test with the demo data, a live server and a browser."""

from __future__ import annotations

from typing import ClassVar

from django.core.management import call_command
from django.db import connection
from django.test import LiveServerTestCase

from e2e.browser import Browser
from jobs.demo import PASSWORD
from jobs.models import Run

_LOOKS = 4
"""Looks in a row that find nothing under way, one at every turn of the browser's waiting."""


class PageTest(LiveServerTestCase):
    """One browser for a class, forgetting everything between its tests."""

    browser: ClassVar[Browser]
    size: ClassVar[tuple[int, int]] = (1280, 800)

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        cls.browser = Browser(cls.size)
        cls.addClassCleanup(cls.browser.close)

    def setUp(self) -> None:
        with open("/dev/null", "w") as nowhere:
            call_command("load_demo", stdout=nowhere)
        self.browser.driver.delete_all_cookies()
        self.go("/")
        self.browser.driver.execute_script("localStorage.clear()")
        self.browser.driver.get_log("browser")

    def tearDown(self) -> None:
        # Leave no request under way against a database that is about to be emptied.
        self.offline(False)
        self.browser.driver.get("about:blank")
        looks = [False] * _LOOKS

        def long_enough() -> bool:
            looks.append(self.quiet())
            return all(looks[-_LOOKS:])

        self.browser.until(long_enough, "nothing under way")

    def quiet(self) -> bool:
        """Whether the server is in the middle of nothing in this database: a page that is left
        saves what is not saved yet, after the browser has gone on."""
        with connection.cursor() as cursor:
            cursor.execute(
                "SELECT count(*) FROM pg_stat_activity WHERE datname = current_database() "
                "AND pid <> pg_backend_pid() AND state <> 'idle'"
            )
            return bool(cursor.fetchone()[0] == 0)

    def go(self, path: str, browser: Browser | None = None) -> None:
        """Load an address of the page."""
        (browser or self.browser).driver.get(f"{self.live_server_url}{path}")

    def sign_in(self, name: str = "wren", browser: Browser | None = None) -> None:
        """Sign in through the door."""
        browser = browser or self.browser
        self.go("/", browser)
        browser.see("input[autocomplete=username]").send_keys(name)
        browser.see("input[type=password]").send_keys(PASSWORD)
        browser.press("Sign in")
        browser.see_text("Jobs", "h1")

    def run_named(self, name: str) -> Run:
        """A run of the demo data."""
        return Run.objects.get(name=name)

    def open_run(self, name: str, browser: Browser | None = None) -> Run:
        """Sign in and open a run of the demo data."""
        browser = browser or self.browser
        self.sign_in(browser=browser)
        run = self.run_named(name)
        self.go(f"/runs/{run.id}", browser)
        browser.see("svg[aria-label^='The unbent pipe']")
        return run

    def offline(self, gone: bool) -> None:
        """Take the connection of the tab in front away, or give it back."""
        self.browser.command("Network.enable")
        self.browser.command(
            "Network.emulateNetworkConditions",
            offline=gone, latency=0, downloadThroughput=-1, uploadThroughput=-1,
        )  # fmt: skip
