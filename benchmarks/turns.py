"""The core of another commit beside today's: each times the same calls, in turns.

Which core it is says the path that this is started with; it asks the public door alone.
"""

from __future__ import annotations

import itertools
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
from benchmarks.runs import IN_A_STICK, RUN, THREADED, TWELVE, grounds, run_of, stock_of
from benchmarks.walls import WALL

ROOT = Path(__file__).resolve().parent.parent
_TURNS = 25

Call = Callable[[], object]


def _moved(verb: Callable[[Any], object], document: dict[str, Any], line: int) -> Call:
    """As keys ask: each time one number of the walk is another."""
    keys = itertools.count(1)
    walk = document["walk"]
    whole = float(str(walk[line]["at"]).partition(" ")[0])

    def press() -> object:
        moved = {**walk[line], "at": whole + next(keys) / 10_000}
        return verb({**document, "walk": [*walk[:line], moved, *walk[line + 1 :]]})

    return press


def _wall() -> Call:
    heights = itertools.count(1)

    def press() -> object:
        boxes = [*WALL["boxes"]]
        boxes[6] = {**boxes[6], "height": 44 + next(heights) / 64}
        return yarrow.wall({**WALL, "boxes": boxes})

    return press


def _cut(pieces: int) -> Call:
    stock = stock_of(pieces)
    return lambda: yarrow.cut(stock, seconds=0)


def _refit(bends: int) -> Call:
    offsets, end = IN_A_STICK["walk"][: bends // 2], IN_A_STICK["walk"][-1]
    run = {**IN_A_STICK, "walk": [*offsets, end]}
    first = yarrow.handle(run)["orders"][0]["bends"][0]["bend"]
    angles = itertools.count(1)

    def read() -> object:
        made = [{"bend": first, "angle": 21 + next(angles) / 100}]
        return yarrow.bench_fit(run, {"format": "yarrow.bench/1", "units": "in", "made": made})

    return read


def _site() -> Call:
    site, moved = grounds(400, 60), itertools.count(1)

    def move() -> object:
        site["trenches"][0]["line"][1][1] = next(moved) % 9 / 10
        return yarrow.site(site)

    return move


CALLS: dict[str, Callable[[], Call]] = {
    "plan of 6 bends": lambda: _moved(yarrow.plan, run_of(6), 1),
    "plan of 12 things that are there": lambda: _moved(yarrow.plan, TWELVE, 1),
    "plan of 12 bends of one stick": lambda: _moved(yarrow.plan, IN_A_STICK, 1),
    "orders of 12 bends": lambda: _moved(yarrow.handle, run_of(12), 1),
    "orders of 30 bends": lambda: _moved(yarrow.handle, run_of(30), 1),
    "pieces, 24 bends": lambda: _moved(yarrow.pieces, RUN, 1),
    "threaded pieces, 24 bends": lambda: _moved(yarrow.pieces, THREADED, 1),
    "cut list, 100 pieces": lambda: _cut(100),
    "cut list, 400 pieces": lambda: _cut(400),
    "a reading at the bench, 8 bends": lambda: _refit(8),
    "a reading at the bench, 12 bends": lambda: _refit(12),
    "wall of 20 feeds": _wall,
    "site, 401 stretches": _site,
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
