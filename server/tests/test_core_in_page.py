"""The core that the page brings with it answers as the one here does, to the byte."""

from __future__ import annotations

import json
import os
import random
import subprocess
import unittest
from collections.abc import Iterator
from typing import Any

import yarrow
from benchmarks.runs import random_run
from core.tests.documents.golden_answers import ASKED
from jobs.demo import JOBS
from launcher.node_env import node_environment
from launcher.paths import DIST, WEB

BENDERS = (
    ("in", {"type": "emt", "size": "1/2"}, "hand-emt-1/2", 1.0),
    ("in", {"type": "emt", "size": "3/4"}, "hand-emt-3/4", 1.0),
    ("in", {"type": "rmc", "size": "2"}, "mechanical-2", 1.5),
    ("mm", {"type": "steel", "size": "20"}, "bench-steel-20", 25.0),
)
RANDOM_RUNS = 500

Question = tuple[str, str, dict[str, str]]


def questions() -> Iterator[Question]:
    runs = [run for crew in JOBS.values() for job in crew for run in job["runs"]]
    for at, run in enumerate(runs):
        for address in ("plan-in-pieces", "handle", "work"):
            yield address, json.dumps(run), {"language": ("en-US", "en-GB")[at % 2]}
        bench: dict[str, Any] = {"format": "yarrow.bench/1", "units": run["units"]}
        yield "bench", json.dumps({"document": run, "came_out": bench}), {}
    rng = random.Random(34)
    for at in range(RANDOM_RUNS):
        yield "plan", json.dumps(random_run(rng, *BENDERS[at % len(BENDERS)])), {}
    for verb, document in ASKED.values():
        if verb.replace("_", "-") in yarrow.ADDRESSES:
            yield verb, json.dumps(document), {}
    yield "catalogue", "", {}
    yield "line", json.dumps({"text": "offset 4 3/8 at 33", "units": "in"}), {}
    yield "plan", '{"format": "yarrow.run/1"}', {}


class CoreInPage(unittest.TestCase):
    def test_it_answers_every_demo_run_and_many_more_as_the_server_does(self) -> None:
        asked = list(questions())
        told = self.in_page(asked)
        self.assertEqual(len(told), len(asked))
        for question, answer in zip(asked, told, strict=True):
            if answer != list(yarrow.asked_at(*question)):
                self.fail(f"{question[0]} of {question[1]}")

    def in_page(self, asked: list[Question]) -> list[list[Any]]:
        done = subprocess.run(
            ["node", WEB / "tools" / "core-in-page" / "answers.mjs", DIST],
            input="".join(json.dumps(question) + "\n" for question in asked),
            capture_output=True,
            text=True,
            env={**os.environ, **node_environment()},
            check=False,
        )
        self.assertEqual(done.returncode, 0, done.stderr[-2000:])
        return [json.loads(line) for line in done.stdout.splitlines()]
