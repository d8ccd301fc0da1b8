"""A test with the demo data, a live server and a browser."""

from __future__ import annotations

import atexit
import shutil
import tempfile
from functools import cache
from io import StringIO
from typing import ClassVar

from django.conf import settings
from django.core.management import call_command
from django.db import connection, transaction
from django.test import Client, LiveServerTestCase

from accounts.models import Member
from e2e.browser import Browser
from jobs.demo import PASSWORD
from jobs.models import Run

_LOOKS = 4
"""Looks in a row that find nothing under way, one at every turn of the browser's waiting."""


@cache
def demo_rows() -> str:
    """The demo data's rows in a file: runs are planned for the first test of a process alone."""
    folder = tempfile.mkdtemp(prefix="yarrow-demo-")
    atexit.register(shutil.rmtree, folder)
    with transaction.atomic():
        call_command("load_demo", stdout=StringIO())
        call_command("dumpdata", "accounts", "crib", "jobs", output=f"{folder}/demo.json")
        transaction.set_rollback(True)
    return f"{folder}/demo.json"


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
        call_command("loaddata", demo_rows(), verbosity=0)
        self.browser.command("Network.clearBrowserCookies")
        self.browser.command(
            "Storage.clearDataForOrigin",
            origin=self.live_server_url,
            storageTypes="local_storage,indexeddb",
        )
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

    def enter(self, name: str = "wren", browser: Browser | None = None) -> None:
        """Be signed in, as one who came through the door earlier today."""
        client = Client()
        client.force_login(Member.objects.get(username=name))
        (browser or self.browser).command(
            "Network.setCookie",
            name=settings.SESSION_COOKIE_NAME,
            value=client.cookies[settings.SESSION_COOKIE_NAME].value,
            url=self.live_server_url,
            httpOnly=True,
            sameSite="Lax",
        )

    def run_named(self, name: str) -> Run:
        """A run of the demo data."""
        return Run.objects.get(name=name)

    def open_run(self, name: str, browser: Browser | None = None) -> Run:
        """Open a run of the demo data, signed in."""
        browser = browser or self.browser
        self.enter(browser=browser)
        run = self.run_named(name)
        self.go(f"/runs/{run.id}", browser)
        browser.see("svg[aria-label^='The unbent pipe']")
        return run

    def offline(self, gone: bool) -> None:
        """Take the connection of the tab in front away, or give it back."""
        self.browser.offline(gone)
