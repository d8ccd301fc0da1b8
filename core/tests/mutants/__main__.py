"""Run the core's tests against each small bug, and say which are not noticed.

Each is put into a copy of the core; its own rooms of tests are run first, then all of them.
"""

from __future__ import annotations

import os
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager
from pathlib import Path

from core.tests.mutants.mutants import MUTANTS, Mutant

ROOT = Path(__file__).parents[3]
TESTS = ROOT / "core" / "tests"
AT_ONCE = 2
LONGEST = 600
"""Seconds after which tests that do not end have noticed."""

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
    """A copy of all that the core's tests read."""
    with tempfile.TemporaryDirectory(prefix="yarrow-mutant-") as name:
        copy = Path(name)
        skip = shutil.ignore_patterns("__pycache__", "mutants", "node_modules")
        for folder in ("core", "contracts", "docs"):
            shutil.copytree(ROOT / folder, copy / folder, ignore=skip)
        yield copy


@contextmanager
def bugged(mutant: Mutant) -> Iterator[Path]:
    """A copy with one bug in it. Raises: ValueError where what it changes stands there no more."""
    with copied() as copy:
        file = copy / "core" / "yarrow" / mutant.file
        text = file.read_text("utf-8")
        if text.count(mutant.old) != 1:
            raise ValueError(f"{mutant.file}: stands {text.count(mutant.old)} times: {mutant.old}")
        file.write_text(text.replace(mutant.old, mutant.new), "utf-8")
        yield copy


def noticed(mutant: Mutant) -> bool:
    """Whether a test of the core fails with the bug in it."""
    with bugged(mutant) as copy:
        return any(_fails(copy, room) for room in dict.fromkeys((*mutant.rooms, *every_room())))


def every_room() -> list[str]:
    """The folders of tests of the core."""
    rooms = sorted(each.name for each in TESTS.iterdir() if (each / "__init__.py").is_file())
    return [room for room in rooms if room != "mutants"]


def _fails(copy: Path, room: str) -> bool:
    command = [sys.executable, "-m", "unittest", "discover", "-f", "-s", f"core/tests/{room}"]
    try:
        done = subprocess.run(
            [*command, "-t", "."],
            cwd=copy,
            env={**os.environ, "PYTHONPATH": str(copy / "core"), "PYTHONDONTWRITEBYTECODE": "1"},
            capture_output=True,
            check=False,
            timeout=LONGEST,
        )
    except subprocess.TimeoutExpired:
        return True
    return done.returncode != 0


def main() -> int:
    """Returns the exit status: 0 where all but the known ones are noticed."""
    with copied() as copy:
        failing = [room for room in every_room() if _fails(copy, room)]
    if failing:
        print(f"these rooms fail without any bug: {', '.join(failing)}")
        return 1
    with ThreadPoolExecutor(AT_ONCE) as pool:
        results = list(pool.map(noticed, MUTANTS))
    missed = [mutant for mutant, seen in zip(MUTANTS, results, strict=True) if not seen]
    for mutant in missed:
        why = KNOWN.get(mutant.new, "NOT KNOWN")
        print(f"not noticed: {mutant.file}: {mutant.old!r} -> {mutant.new!r}: {why}")
    print(f"{len(MUTANTS) - len(missed)} of {len(MUTANTS)} small bugs noticed")
    return 1 if any(mutant.new not in KNOWN for mutant in missed) else 0


if __name__ == "__main__":
    sys.exit(main())
