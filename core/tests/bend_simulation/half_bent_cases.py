"""Half-bent pipes to look at: random ones, and a run's own before it is bent."""

from __future__ import annotations

import random
from typing import Any

from core.tests.builders import end, offset, run, turn
from yarrow.benders.bender import Hook
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.runs.layout.walk import lay_out
from yarrow.runs.model.run import ResolvedRun
from yarrow.runs.planner import resolve_run

HOOKS: tuple[Hook, ...] = ("start", "end")


def developed(document: dict[str, Any]) -> tuple[ResolvedRun, StraightPipe, tuple[str, ...]]:
    planned = resolve_run(read_run(document)).run
    layout = lay_out(planned)
    pipe = develop(layout.vertices, planned.bender.radius)
    return planned, pipe, tuple(layout.owners[corner - 1][1] for corner in pipe.corners)


def cases(rng: random.Random, count: int) -> list[tuple[dict[str, Any], list[int], int, Hook]]:
    found = []
    for _ in range(count):
        sides = [rng.choice(["left", "right", "out", "in"]) for _ in range(3)]
        document = run(
            turn(rng.uniform(12, 40), sides[0]),
            offset(rng.uniform(30, 40), rng.uniform(3, 5), 30, sides[1]),
            turn(rng.uniform(60, 70), sides[2]),
            end(rng.uniform(15, 40)),
        )
        made = rng.sample(range(4), rng.randint(1, 3))
        index = rng.choice([n for n in range(4) if n not in made])
        found.append((document, made, index, rng.choice(HOOKS)))
    return found
