"""Run the tests against each small bug, and say as it goes which are noticed.

Each is put into a copy of the project; what it says is run first, then all tests of its layer.
"""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator, Sequence
from concurrent.futures import ThreadPoolExecutor, as_completed
from contextlib import contextmanager
from pathlib import Path
from threading import Lock

from core.tests.mutants.mutants import MUTANTS, Mutant

ROOT = Path(__file__).parents[3]
TESTS = ROOT / "core" / "tests"
AT_ONCE = 2
LONGEST = 600
"""Seconds after which tests that do not end have noticed."""

LINKED = ("web/node_modules", "web/dist")
"""What a copy has in common with the project: what was installed and built."""

ONE_DATABASE = Lock()
"""The server's tests are run one after the other: their database has one name."""

KNOWN: dict[str, str] = {
    "missed > 0.5 * last": "equivalent: Newton's steps here bring the end nearer by more than half",
    "_TURN, _FLIP, _UNUSUAL, _WALK_ROUND = 1, 2, 2, 2": "a weight, not a rule: in every piece here"
    " the same order is the first by either",
    "length * step**2 / 80000": "a bound on the safe side: in the random pipes that are sampled"
    " ten times finer nothing is found that it alone would have caught",
}
"""Bugs that no test notices, by what they put in, and why that is so."""


@contextmanager
def copied() -> Iterator[Path]:
    """A copy of all that tests read."""
    with tempfile.TemporaryDirectory(prefix="yarrow-mutant-") as name:
        copy = Path(name)
        skip = shutil.ignore_patterns("__pycache__", "node_modules", "dist", ".*")
        shutil.copytree(ROOT, copy, ignore=skip, dirs_exist_ok=True)
        for linked in LINKED:
            (copy / linked).symlink_to(ROOT / linked)
        yield copy


@contextmanager
def bugged(mutant: Mutant) -> Iterator[Path]:
    """A copy with one bug in it. Raises: ValueError where what it changes stands there no more."""
    with copied() as copy:
        file = copy / mutant.path
        text = file.read_text("utf-8")
        if text.count(mutant.old) != 1:
            raise ValueError(f"{mutant.file}: stands {text.count(mutant.old)} times: {mutant.old}")
        file.write_text(text.replace(mutant.old, mutant.new), "utf-8")
        yield copy


def noticed(mutant: Mutant) -> bool:
    """Whether a test of its layer fails with the bug in it."""
    with bugged(mutant) as copy:
        return FAILS[mutant.layer](copy, mutant.tests)


def every_room() -> list[str]:
    """The folders of tests of the core."""
    rooms = sorted(each.name for each in TESTS.iterdir() if (each / "__init__.py").is_file())
    return [room for room in rooms if room != "mutants"]


def _core_fails(copy: Path, rooms: Sequence[str]) -> bool:
    return any(_room_fails(copy, room) for room in dict.fromkeys((*rooms, *every_room())))


def _room_fails(copy: Path, room: str) -> bool:
    tests = ("-m", "unittest", "discover", "-f", "-s", f"core/tests/{room}", "-t", ".")
    return _fails([sys.executable, *tests], copy, {"PYTHONPATH": str(copy / "core")})


def _server_fails(copy: Path, labels: Sequence[str]) -> bool:
    test = [sys.executable, "server/manage.py", "test", "--failfast", "--top-level", "."]
    hosts = {"YARROW_HOSTS": "127.0.0.1,localhost,testserver"}
    every = (*labels, "server/tests")
    with ONE_DATABASE:
        return any(_fails([*test, "--noinput", label], copy, hosts) for label in every)


def _page_fails(copy: Path, files: Sequence[str]) -> bool:
    return any(
        _fails(["npx", "vitest", "run", "--bail", "1", *some], copy / "web")
        for some in dict.fromkeys((tuple(files), ()))
    )


def _fails(command: Sequence[str], folder: Path, more: dict[str, str] | None = None) -> bool:
    environment = {**os.environ, "PYTHONDONTWRITEBYTECODE": "1", **(more or {})}
    try:
        done = subprocess.run(
            command,
            cwd=folder,
            env=environment,
            capture_output=True,
            check=False,
            timeout=LONGEST,
        )
    except subprocess.TimeoutExpired:
        return True
    return done.returncode != 0


FAILS = {"core": _core_fails, "server": _server_fails, "web": _page_fails}
"""Whether a layer's tests fail in a copy: those that are said first, then all."""


def main(wanted: Sequence[str]) -> int:
    """Returns the exit status: 0 where all but the known ones are noticed. Those are tried whose
    path has one of the words in it that are wanted; all, where none are."""
    mutants = [each for each in MUTANTS if any(word in each.path for word in wanted or ("",))]
    with copied() as copy:
        layers = {each.layer for each in mutants}
        failing = [layer for layer in sorted(layers) if FAILS[layer](copy, ())]
    if failing:
        print(f"these fail without any bug: {', '.join(failing)}")
        return 1
    missed = []
    with ThreadPoolExecutor(AT_ONCE) as pool:
        trials = {pool.submit(noticed, mutant): mutant for mutant in mutants}
        for count, trial in enumerate(as_completed(trials), start=1):
            mutant = trials[trial]
            seen = "noticed"
            if not trial.result():
                missed.append(mutant)
                seen = f"NOT noticed ({KNOWN.get(mutant.new, 'why is not known')})"
            change = f"{mutant.file}: {mutant.old!r} -> {mutant.new!r}"
            print(f"{count} of {len(mutants)}: {seen}: {change}", flush=True)
    print(f"{len(mutants) - len(missed)} of {len(mutants)} small bugs noticed")
    return 1 if any(mutant.new not in KNOWN for mutant in missed) else 0


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
