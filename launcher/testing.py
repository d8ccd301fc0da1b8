"""./yarrow test: every check, then every test, closing with the count of Django's test runner."""

from __future__ import annotations

import os
import subprocess
from collections.abc import Callable, Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from launcher.console import LauncherError, step, write_error, write_line
from launcher.page_files import stale
from launcher.paths import API_TYPES, MANAGE, PYTHON, ROOT, SERVER_PATH, VENV, WEB
from launcher.postgres import cluster
from launcher.processes import run
from launcher.python_env import ensure_python
from launcher.setup import ensure_browser, ensure_proxy, set_up

_LABELS = ("core/tests", "server/tests", "launcher/tests", "e2e")
_AT_ONCE = 2
"""Checks, and classes of tests, that run beside each other; such a class has its own database."""

WITHOUT_DATABASE = {
    "YARROW_DATABASE": "postgresql://yarrow@127.0.0.1:1/yarrow",
    "YARROW_SECRET_KEY": "none",
}
"""An environment in which Django's settings can be read, and nothing is asked of a database."""

_EXAMPLES = "core.tests.example_kinds"

_CODE = ("core", "server", "launcher", "e2e", "benchmarks")


def test(labels: list[str]) -> int:
    """Checks and tests; labels choose tests alone. Returns the exit status. Raises:
    LauncherError."""
    rooms = _rooms_of_core(labels)
    if rooms:
        return _test_core(rooms)
    node = set_up(for_tests=True)
    ensure_browser()
    ensure_proxy()
    with cluster("test", durable=False) as environment:
        failed = [] if labels else _checks(node)
        at_once = ("--parallel", str(_AT_ONCE))
        status = run_tests([PYTHON], environment, *at_once, *(labels or _LABELS))
    return 1 if failed or status else 0


def _rooms_of_core(labels: Sequence[str]) -> list[Path]:
    """The folders of tests that are asked for, where all that is asked for is rooms of the core
    (``core.walls``): those need no page, no browser and no database."""
    rooms = [label.partition(".")[2] for label in labels if label.startswith("core.")]
    folders = [ROOT / "core" / "tests" / room for room in rooms]
    result = [folder for folder in folders if folder.is_dir() and folder.name != "tests"]
    return result if labels and len(result) == len(labels) else []


def _test_core(rooms: Sequence[Path]) -> int:
    """The tests of some rooms, a process a file, so many at once. Returns the exit status."""
    with step("Python packages"):
        ensure_python(for_tests=True)
    files = sorted(path for room in rooms for path in room.rglob("test_*.py"))
    paths = (f"{ROOT / 'core'}", f"{ROOT}")

    def passes(file: Path) -> bool:
        done = subprocess.run(
            [str(PYTHON), "-m", "unittest", "-q", str(file.relative_to(ROOT))],
            cwd=ROOT,
            env={**os.environ, "PYTHONPATH": os.pathsep.join(paths)},
            capture_output=True,
            text=True,
            check=False,
        )
        write_line(f"{'· ' if done.returncode == 0 else 'FAILED '}{file.relative_to(ROOT)}")
        if done.returncode:
            write_error(done.stderr)
        return done.returncode == 0

    with ThreadPoolExecutor(_AT_ONCE) as at_once:
        passed = list(at_once.map(passes, files))
    write_line(f"{sum(passed)} of {len(passed)} files passed.")
    return 0 if passed and all(passed) else 1


def run_tests(by: Sequence[str | Path], environment: Mapping[str, str], *what: str) -> int:
    """Django's test runner on a database that is there. Returns the exit status.

    Args: by, the Python that runs it, or a tool that does; what, labels and options.
    """
    done = subprocess.run(
        [*map(str, by), str(MANAGE), "test", "--top-level", str(ROOT), *what],
        cwd=ROOT,
        env={**os.environ, **environment, "YARROW_HOSTS": "127.0.0.1,localhost,testserver"},
        check=False,
    )
    return done.returncode


def _checks(node: dict[str, str]) -> list[str]:
    """Every check; the names of those that failed."""

    def python(*arguments: str | Path) -> Callable[[], str]:
        return lambda: run([PYTHON, "-m", *arguments], cwd=ROOT)

    def npm(script: str) -> Callable[[], str]:
        return lambda: run(["npm", "run", "--silent", script], cwd=WEB, environment=node)

    checks: dict[str, Callable[[], str | None]] = {
        "ruff": python("ruff", "check", *_CODE),
        "ruff format": python("ruff", "format", "--check", *_CODE),
        # The examples show that a kind which leaves something out does not pass.
        "mypy": lambda: _mypy("core/yarrow", "launcher", "server") + _mypy("-p", _EXAMPLES),
        "imports point one way": lambda: run(
            [VENV / "bin" / "lint-imports", "--no-cache"],
            cwd=ROOT,
            environment={"PYTHONPATH": SERVER_PATH},
        ),
        "the page's types are current": lambda: _current_types(node),
        "what the page is told is current": _current_files,
        "TypeScript": npm("types"),
        "Biome": npm("lint"),
        "the page's own tests": npm("test"),
    }

    def passes(name: str) -> bool:
        try:
            with step(name):
                checks[name]()
        except LauncherError as error:
            write_error(f"FAILED {name}\n{error}")
            return False
        return True

    with ThreadPoolExecutor(_AT_ONCE) as at_once:
        passed = dict(zip(checks, at_once.map(passes, checks), strict=True))
    failed = [name for name, good in passed.items() if not good]
    write_line(f"Checks: {len(checks) - len(failed)} of {len(checks)} passed.")
    return failed


def _mypy(*what: str) -> str:
    return run([PYTHON, "-m", "mypy", *what], cwd=ROOT, environment=WITHOUT_DATABASE)


def _current_types(node: dict[str, str]) -> None:
    """Raises: LauncherError, where the page's types were made from another contract."""
    schema = WEB / "src" / "api" / "schema.d.ts"
    if api_types(node) != schema.read_text():
        raise LauncherError("web/src/api/schema.d.ts is stale. Run: ./yarrow contract")


def _current_files() -> None:
    """Raises: LauncherError, where the page was told what the core no longer says."""
    if files := stale():
        raise LauncherError(f"stale: {', '.join(files)}. Run: ./yarrow contract")


def api_types(node: dict[str, str]) -> str:
    """The page's types, generated from the contract."""
    return run(["npm", "run", "--silent", "generate"], cwd=API_TYPES, environment=node)
