"""Ten thousand random partings: pieces joined by their couplings fold to the run's own line, and no
joint is in a bend or in the bender's reach of one."""

from __future__ import annotations

import os
import random
import unittest
from collections.abc import Iterator
from itertools import pairwise

from benchmarks.runs import random_run
from core.tests.pieces.test_parting import KINDS
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import develop, fold
from yarrow.geometry.vectors import along, length, subtract
from yarrow.pieces.places import allowed, reach_of
from yarrow.pieces.planned_pieces import Parting
from yarrow.runs.planner import plan_resolved, resolve_run
from yarrow.runs.stages import BuildablePlan

PARTINGS = int(os.environ.get("YARROW_PARTINGS", "3000"))
OF_A_RUN = 25


def partings(rng: random.Random) -> Iterator[tuple[BuildablePlan, Parting, list[float]]]:
    """Runs that can be made, each parted in many ways at random."""
    number = 0
    while True:
        units, conduit, bender, size = KINDS[number % len(KINDS)]
        number += 1
        document = {**random_run(rng, units, conduit, bender, size), "joints": {}}
        asked = resolve_run(read_run(document))
        plan = plan_resolved(asked)
        if not isinstance(plan, BuildablePlan) or asked.run.joints is None:
            continue
        parting = Parting.of(plan, asked.run.joints)
        rooms = allowed(parting.parted)
        apart = 2 * parting.parted.coupling.length
        for _ in range(OF_A_RUN if rooms else 0):
            joints = rng.sample(rooms, rng.randint(1, min(4, len(rooms))))
            middles = sorted(rng.uniform(room.begins, room.ends) for room in joints)
            if all(after - before >= apart for before, after in pairwise(middles)):
                yield plan, parting, middles


class Folding(unittest.TestCase):
    def test_pieces_fold_to_the_run_s_own_line(self) -> None:
        rng, worst = random.Random(99), 0.0
        for number, (plan, parting, middles) in enumerate(partings(rng)):
            if number == PARTINGS:
                break
            worst = max(worst, self.folded(plan, parting, middles))
        self.assertLess(worst, 1e-6)

    def folded(self, plan: BuildablePlan, parting: Parting, middles: list[float]) -> float:
        """How far pieces that are joined one after the other come off the run's line."""
        run, vertices = plan.resolution.run, plan.layout.vertices
        pipe, reach, worst = plan.placed.pipe, reach_of(run.bender), 0.0
        start, ahead = vertices[0], None
        for begins, ends in parting.spans(tuple(middles)):
            path = parting.vertices(begins, ends)
            developed = develop(path, run.bender.radius)
            ahead = ahead or developed.ahead
            made = fold(
                developed.bends,
                developed.cut_length,
                start=start,
                ahead=ahead,
                first_toward=developed.first_toward,
            )
            for point, wanted in zip(made.vertices, path, strict=True):
                worst = max(worst, length(subtract(point, wanted)))
            if developed.bends:
                if begins > 0:
                    self.assertGreaterEqual(developed.bends[0].arc_start, reach - 1e-6)
                if ends < pipe.cut_length:
                    rest = developed.cut_length - developed.bends[-1].arc_end
                    self.assertGreaterEqual(rest, reach - 1e-6)
            ahead = made.direction
            start = along(made.vertices[-1], ahead, parting.parted.coupling.open)
        return worst


if __name__ == "__main__":
    unittest.main()
