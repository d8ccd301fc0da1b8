"""The steps of every demo run, followed to the letter: the pipe comes out as it was planned."""

from __future__ import annotations

import math
from unittest import TestCase

from core.tests.following import played
from jobs.demo import JOBS
from yarrow import handling_values, plan_values
from yarrow.documents.run_file import read_run
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.measure.tape import read_length
from yarrow.runs.model.plan import WrittenPlan


class Played(TestCase):
    def test_every_demo_run(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                for way in ("mark", "bench", "chart"):
                    with self.subTest(run=document["name"], way=way):
                        self.play({**document, "way": way})

    def play(self, document: dict[str, object]) -> None:
        survey = read_run(document)
        plan = plan_values(document)
        bends = played(plan.steps, plan.units, survey.setup.bender)
        self.assertEqual(len(bends), len(plan.bends))
        cut = float(read_length(plan.cut_length_text, plan.units).value)
        out = fold(bends, cut, start=plan.path[0], first_toward=plan.first_toward).vertices
        # Angles are told to a hundredth of a degree; over a pipe's length that is a hair.
        reach = 0.01 * math.pi / 180 * cut + 1e-6
        for made, meant in zip(out, plan.comes_out_as, strict=True):
            self.assertLess(math.dist(made, meant), reach)

    def test_the_steps_of_every_order_of_every_demo_run(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                with self.subTest(run=document["name"]):
                    survey = read_run(document)
                    plan = plan_values(document)
                    orders = handling_values(document).orders
                    self.assertGreaterEqual(len(orders), 1)
                    for order in orders:
                        self.near(plan, played(order.steps, plan.units, survey.setup.bender))

    def near(self, plan: WrittenPlan, bends: list[PipeBend]) -> None:
        """As near to the plan as rounding each of its marks leaves it."""
        out = fold(
            bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward
        ).vertices
        half = (1 / 16 if plan.units == "in" else 1.0) / 2
        allowed = half * (2 * len(bends) + 1) + 0.01 * math.pi / 180 * plan.cut_length
        for made, meant in zip(out, plan.path, strict=True):
            self.assertLess(math.dist(made, meant), 2 * allowed)
