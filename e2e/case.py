"""A test with the demo data, a live server and a browser."""

from __future__ import annotations

from collections.abc import Callable
from functools import cache
from io import StringIO
from multiprocessing.util import Finalize
from threading import Lock
from typing import ClassVar

from django.apps import apps
from django.conf import settings
from django.contrib.auth.models import Permission
from django.contrib.contenttypes.models import ContentType
from django.core.management import call_command
from django.core.management.color import no_style
from django.core.signals import request_finished, request_started
from django.db import connection, transaction
from django.db.models import Model
from django.test import Client, LiveServerTestCase

from accounts.models import AuditEntry, Member
from e2e.browser import Browser
from jobs.demo import PASSWORD
from jobs.models import Run


class _UnderWay:
    """How many requests the live server of a class of tests is in the middle of answering."""

    def __init__(self) -> None:
        self.count = 0
        self._lock = Lock()
        request_started.connect(self._started)
        request_finished.connect(self._finished)

    def _started(self, **_: object) -> None:
        with self._lock:
            self.count += 1

    def _finished(self, **_: object) -> None:
        with self._lock:
            self.count -= 1


_under_way = _UnderWay()


def at_end(call: Callable[[], object]) -> None:
    """Do something when this process ends: those of a pool leave out what ``atexit`` holds."""
    Finalize(None, call, exitpriority=1)


@cache
def shared_browser() -> Browser:
    """The browser of this process: to start one takes longer than most tests."""
    browser = Browser()
    at_end(browser.close)
    return browser


def _models() -> list[type[Model]]:
    """What the demo data is kept in."""
    return [
        model
        for app in ("accounts", "versions", "crib", "jobs")
        for model in apps.get_app_config(app).get_models(include_auto_created=True)
    ]


@cache
def _demo_rows() -> dict[str, bytes]:
    """Its rows by table: runs are planned for the first test of a process alone."""
    rows: dict[str, bytes] = {}
    with transaction.atomic(), connection.cursor() as cursor:
        call_command("load_demo", stdout=StringIO())
        for model in _models():
            table = model._meta.db_table
            with cursor.copy(f'COPY "{table}" TO STDOUT') as told:
                rows[table] = b"".join(told)
        transaction.set_rollback(True)
    return rows


def load_demo_rows() -> None:
    """Put the demo data into an empty database; numbers go on after its own."""
    demo = _demo_rows()
    with transaction.atomic(), connection.cursor() as cursor:
        for table, rows in demo.items():
            with cursor.copy(f'COPY "{table}" FROM STDIN') as taken:
                taken.write(rows)
        for line in connection.ops.sequence_reset_sql(no_style(), _models()):
            cursor.execute(line)


class PageTest(LiveServerTestCase):
    """One browser for all of a process, forgetting everything between tests."""

    browser: ClassVar[Browser]
    size: ClassVar[tuple[int, int]] = (1280, 800)

    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        cls.browser = shared_browser()
        # Other tests of this process leave answers half read.
        _under_way.count = 0

    @classmethod
    def tearDownClass(cls) -> None:
        super().tearDownClass()
        # The browser keeps its connections to the server that was, and those theirs to the
        # database, which can't be removed under them.
        with connection.cursor() as cursor:
            cursor.execute(
                "SELECT pg_terminate_backend(pid) FROM pg_stat_activity "
                "WHERE datname = current_database() AND pid <> pg_backend_pid()"
            )

    def setUp(self) -> None:
        load_demo_rows()
        self.browser.command("Network.clearBrowserCookies")
        self.browser.command(
            "Storage.clearDataForOrigin",
            origin=self.live_server_url,
            storageTypes="local_storage,indexeddb",
        )
        self.browser.resize(self.size)
        self.browser.theme("light")
        self.browser.driver.get_log("browser")

    def tearDown(self) -> None:
        # Leave no request under way against a database that is about to be emptied.
        self.offline(False)
        # What stays at this address keeps the page's code ready for the next test.
        self.go("/static/yarrow.svg")
        self.browser.single_tab()
        self.answered()

    def _fixture_teardown(self) -> None:
        # Django's own truncates every table and makes rights anew: slower than most tests here.
        tables = connection.introspection.django_table_names(only_existing=True)
        kept = {ContentType._meta.db_table, Permission._meta.db_table}
        record = AuditEntry._meta.db_table
        with transaction.atomic(), connection.cursor() as cursor:
            cursor.execute(f'TRUNCATE "{record}"')  # no entry of it can be taken away by itself
            for table in set(tables) - kept - {record}:
                cursor.execute(f'DELETE FROM "{table}"')

    def answered(self) -> None:
        """Wait until all that the page asked is answered: one that is left asks once more, to save,
        after the browser has gone on, and that may be about to begin at the first look."""
        looks = [1]

        def twice() -> bool:
            looks.append(_under_way.count)
            return looks[-2:] == [0, 0]

        self.browser.until(twice, "nothing under way")

    def go(self, path: str, browser: Browser | None = None) -> None:
        """Load an address of the page."""
        (browser or self.browser).driver.get(f"{self.live_server_url}{path}")

    def follow(self, path: str) -> None:
        """Go to an address as a link in the page does; the screen before is gone then."""
        self.browser.ask(
            "window.left = all('main')[0]; history.pushState({}, '', arguments[0]);"
            "dispatchEvent(new PopStateEvent('popstate'))",
            path,
        )
        self.browser.until(lambda: self.browser.ask("return !left.isConnected"), path)

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
