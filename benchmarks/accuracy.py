"""What a pipe comes out as: rounded exact marks against printed ones, on random runs."""

from __future__ import annotations

import random
import statistics
from dataclasses import dataclass

import yarrow
from benchmarks.runs import random_run

RUNS = 2000
_SEED = 23

BENDERS = (
    ("in", {"type": "emt", "size": "1/2"}, "hand-emt-1/2", 1.0),
    ("in", {"type": "emt", "size": "3/4"}, "hand-emt-3/4", 1.2),
    ("in", {"type": "emt", "size": "1"}, "hand-emt-1", 1.5),
    ("in", {"type": "emt", "size": "1-1/4"}, "hand-emt-1-1/4", 2.2),
    ("in", {"type": "rmc", "size": "2"}, "mechanical-2", 2.5),
    ("mm", {"type": "steel", "size": "20"}, "bench-steel-20", 17.0),
    ("mm", {"type": "steel", "size": "25"}, "bench-steel-25", 21.0),
)


@dataclass(frozen=True, slots=True)
class Accuracy:
    """How far dimensions come out from what was asked, by kind of dimension, in ``units``.

    ``beyond`` counts dimensions of exact plans that are further out than rounding alone can cost:
    half a mark for every mark before it, and for the cut.
    """

    bender: str
    units: str
    field: str
    exact: tuple[float, float]
    printed: tuple[float, float]
    dimensions: int
    beyond: int


def measure() -> list[Accuracy]:
    """Medians and 95th percentiles over 2,000 runs for each bender."""
    found = []
    for units, conduit, bender, scale in BENDERS:
        rng = random.Random(_SEED)
        off: dict[str, list[tuple[float, float]]] = {}
        beyond: dict[str, int] = {}
        planned = 0
        while planned < RUNS:
            plan = yarrow.plan.values(random_run(rng, units, conduit, bender, scale))
            if not plan.can_be_made or plan.beside is None or not plan.beside.path:
                continue
            planned += 1
            half = (1 / 16 if units == "in" else 1.0) / 2
            allowed = half * (2 * len(plan.marks) + 1) + 1e-6
            for exact, printed in zip(plan.dimensions, plan.beside.dimensions, strict=True):
                off.setdefault(exact.field, []).append((abs(exact.off), abs(printed.off)))
                beyond[exact.field] = beyond.get(exact.field, 0) + (abs(exact.off) > allowed)
        for field, pairs in sorted(off.items()):
            found.append(
                Accuracy(
                    bender,
                    units,
                    field,
                    _spread([exact for exact, _ in pairs]),
                    _spread([printed for _, printed in pairs]),
                    len(pairs),
                    beyond[field],
                )
            )
    return found


def _spread(values: list[float]) -> tuple[float, float]:
    ordered = sorted(values)
    return statistics.median(ordered), ordered[int(len(ordered) * 0.95) - 1]
