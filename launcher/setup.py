"""What every command needs first: Python's packages, Node, the page's packages, the built page."""

from __future__ import annotations

import os
import re
import shutil
from collections.abc import Iterator
from concurrent.futures import Future, ThreadPoolExecutor
from contextlib import contextmanager
from threading import Event

from launcher.console import step
from launcher.debian import ensure_packages as ensure_debian
from launcher.node_env import ensure_packages, ensure_page, machine_has_node, node_environment
from launcher.paths import API_TYPES, STATE, WEB
from launcher.processes import run
from launcher.python_env import ensure_python

_WITH_SERVERS = f"{os.environ.get('PATH', '')}:/usr/sbin"


def set_up(*, for_tests: bool, build: bool = True) -> dict[str, str]:
    """Install and build what is missing. Returns: the environment for node and npm.

    Raises: LauncherError.
    """
    with page_beside(for_tests=for_tests, build=build) as page:
        return page.result()


@contextmanager
def page_beside(*, for_tests: bool, build: bool = True) -> Iterator[Future[dict[str, str]]]:
    """The same, but what only the page needs may still be under way: within, Python's packages are
    there, and the environment for node and npm comes with the page.

    Args: for_tests, whether what the tests need is put in too; build, whether the page is built.
    Raises: LauncherError.
    """
    STATE.mkdir(exist_ok=True)
    python = Event()
    with ThreadPoolExecutor(1) as beside:
        try:
            if machine_has_node():
                page = beside.submit(_page, python, for_tests=for_tests, build=build)
                _python(for_tests=for_tests)
            else:
                _python(for_tests=for_tests)  # Node comes as a Python package then.
                page = beside.submit(_page, python, for_tests=for_tests, build=build)
        finally:
            python.set()
        yield page


def _page(python: Event, *, for_tests: bool, build: bool) -> dict[str, str]:
    with step("Node and the page's packages"):
        node = node_environment()
        ensure_packages(WEB, node)
        if for_tests:
            ensure_packages(API_TYPES, node)
    if build:
        python.wait()  # the page carries one of its packages, for the core in it
        with step("The page"):
            ensure_page(node)
    return node


def _python(*, for_tests: bool) -> None:
    with step("Python packages"):
        ensure_python(for_tests=for_tests)


def ensure_browser() -> None:
    """Chromium and the driver of the same version, and what shows a PDF, from Debian.

    Raises: LauncherError.
    """
    with step("Chromium and its driver"):
        versions = {_major_version(program) for program in ("chromium", "chromedriver")}
        if None in versions or len(versions) > 1:
            # Both at once: one that was there is brought to the version of the other.
            ensure_debian(["chromium", "chromium-driver"])
        if shutil.which("pdftoppm") is None:
            ensure_debian(["poppler-utils"])


def ensure_proxy() -> None:
    """nginx, which a test puts before the server. Raises: LauncherError."""
    if shutil.which("nginx", path=_WITH_SERVERS) is None:
        with step("A proxy"):
            ensure_debian(["nginx-light"])


def _major_version(program: str) -> str | None:
    """``156`` of a browser or its driver; None where it is not there."""
    if shutil.which(program) is None:
        return None
    result = re.search(r"(\d+)\.", run([program, "--version"], what=program))
    return result[1] if result else None
