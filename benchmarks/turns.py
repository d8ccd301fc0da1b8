"""The core of another commit beside today's: each times the same calls, in turns.

Which core it is says the path that this is started with; it asks the public door alone.
"""

from __future__ import annotations

import os
import shutil
import statistics
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

import yarrow
from benchmarks.runs import (
    IN_A_STICK,
    RUN,
    THREADED,
    TWELVE,
    grounds,
    moved_runs,
    moved_sites,
    readings,
    run_of,
    stock_of,
)
from benchmarks.walls import moved_walls

ROOT = Path(__file__).resolve().parent.parent
_TURNS = 25

Call = Callable[[], object]


def _moved(verb: Callable[[Any], object], documents: Iterator[Any]) -> Call:
    """As keys ask: each time one number is another."""
    return lambda: verb(next(documents))


def _cut(pieces: int) -> Call:
    stock = stock_of(pieces)
    return lambda: yarrow.cut(stock, seconds=0)


def _refit(bends: int) -> Call:
    offsets, end = IN_A_STICK["walk"][: bends // 2], IN_A_STICK["walk"][-1]
    run = {**IN_A_STICK, "walk": [*offsets, end]}
    return _moved(lambda came_out: yarrow.bench_fit(run, came_out), readings(run, 21))


CALLS: dict[str, Callable[[], Call]] = {
    "plan of 6 bends": lambda: _moved(yarrow.plan, moved_runs(run_of(6))),
    "plan of 12 things that are there": lambda: _moved(yarrow.plan, moved_runs(TWELVE)),
    "plan of 12 bends of one stick": lambda: _moved(yarrow.plan, moved_runs(IN_A_STICK)),
    "orders of 12 bends": lambda: _moved(yarrow.handle, moved_runs(run_of(12))),
    "orders of 30 bends": lambda: _moved(yarrow.handle, moved_runs(run_of(30))),
    "pieces, 24 bends": lambda: _moved(yarrow.pieces, moved_runs(RUN)),
    "threaded pieces, 24 bends": lambda: _moved(yarrow.pieces, moved_runs(THREADED)),
    "cut list, 100 pieces": lambda: _cut(100),
    "cut list, 400 pieces": lambda: _cut(400),
    "a reading at the bench, 8 bends": lambda: _refit(8),
    "a reading at the bench, 12 bends": lambda: _refit(12),
    "wall of 20 feeds": lambda: _moved(yarrow.wall, moved_walls()),
    "site, 401 stretches": lambda: _moved(yarrow.site, moved_sites(grounds(400, 60))),
}
"""What is timed, by name: what makes the call."""


def answer() -> None:
    """Reads names of calls from standard input, and says how long each takes, in seconds."""
    # Both cores go by one processor: another may be slower at the time.
    os.sched_setaffinity(0, {min(os.sched_getaffinity(0))})
    calls: dict[str, Call] = {}
    for line in sys.stdin:
        name = line.rstrip("\n")
        if name not in calls:
            calls[name] = CALLS[name]()
            calls[name]()
        began = time.process_time()
        calls[name]()
        print(time.process_time() - began, flush=True)


class _Core:
    """A core in a process of its own."""

    def __init__(self, tree: Path) -> None:
        self.process = subprocess.Popen(
            [sys.executable, "-m", "benchmarks.turns"],
            cwd=ROOT,
            env={**os.environ, "PYTHONPATH": os.pathsep.join([str(tree / "core"), str(ROOT)])},
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            text=True,
        )

    def time(self, name: str) -> float:
        """How long a call takes, once, in milliseconds."""
        assert self.process.stdin
        assert self.process.stdout
        print(name, file=self.process.stdin, flush=True)
        return 1000 * float(self.process.stdout.readline())

    def end(self) -> None:
        """Ends the process."""
        self.process.kill()
        self.process.wait()


@contextmanager
def _checked_out(commit: str) -> Iterator[Path]:
    with tempfile.TemporaryDirectory(prefix="yarrow-bench-") as folder:
        tree = Path(folder) / "tree"
        git = ["git", "-C", str(ROOT), "worktree"]
        subprocess.run([*git, "add", "--quiet", "--detach", str(tree), commit], check=True)
        try:
            yield tree
        finally:
            shutil.rmtree(tree, ignore_errors=True)
            subprocess.run([*git, "prune"], check=True)


def against(commit: str) -> None:
    """Times every call by today's core and by a commit's, in turns, and prints the least of both
    and the median of the ratios of those that were measured one after the other."""
    with _checked_out(commit) as tree:
        old, new = _Core(tree), _Core(ROOT)
        try:
            print(f"| what | {commit} | now | ratio |\n| --- | ---: | ---: | ---: |")
            for name in CALLS:
                pairs = [(old.time(name), new.time(name)) for _ in range(_TURNS)]
                before, now = (min(times) for times in zip(*pairs, strict=True))
                ratio = statistics.median(now / before for before, now in pairs)
                print(f"| {name} | {before:.2f} ms | {now:.2f} ms | {ratio:.2f} |")
        finally:
            old.end()
            new.end()


if __name__ == "__main__":
    answer()
