"""The steps of every demo run, followed to the letter: the pipe comes out as it was planned."""

from __future__ import annotations

import math
from typing import Any
from unittest import TestCase

import yarrow
from core.tests.following import gauged_within, played
from core.tests.measuring import Measured
from core.tests.runs.test_marked_as_you_go import slack
from jobs.demo import JOBS
from yarrow.bench.at_bench import MadeBend, at_bench
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import PipeBend, fold, fold_anyhow
from yarrow.measure.tape import read_length
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.planner import plan_run
from yarrow.runs.stages import BuildablePlan


def half_a_mark(plan: WrittenPlan) -> float:
    """What a tape is read to, at the most, in the plan's unit."""
    return (1 / 16 if plan.units == "in" else 1.0) / 2


class Played(TestCase):
    def test_every_demo_run(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                for way in ("mark", "bench", "chart"):
                    with self.subTest(run=document["name"], way=way):
                        self.play({**document, "way": way, "marking": "flat"})
                        self.measure({**document, "way": way, "marking": "as-you-go"})

    def measure(self, document: dict[str, object]) -> None:
        """Each mark found on the piece as it is by then, by the words alone."""
        plan = yarrow.plan.values(document)
        hand = Measured(plan.units, read_run(document).setup.bender, 2 * plan.cut_length)
        bends, cut = hand.follow(plan.steps)
        out = fold_anyhow(bends, cut, start=plan.path[0], first_toward=plan.first_toward).vertices
        for made, meant in zip(out, plan.path, strict=True):
            self.assertLess(math.dist(made, meant), slack(plan))

    def play(self, document: dict[str, object]) -> None:
        survey = read_run(document)
        plan = yarrow.plan.values(document)
        bends = played(plan.steps, plan.units, survey.setup.bender)
        self.assertEqual(len(bends), len(plan.bends))
        cut = float(read_length(str(plan.cut_length_text), plan.units).value)
        out = fold(bends, cut, start=plan.path[0], first_toward=plan.first_toward).vertices
        # Angles are told to a hundredth of a degree, and what is gauged to a mark; over a pipe's
        # length that is a hair.
        gauged = gauged_within(plan.steps, plan.units, half_a_mark(plan))
        reach = (0.01 * math.pi / 180 + gauged) * cut + 1e-6
        for made, meant in zip(out, plan.comes_out_as, strict=True):
            self.assertLess(math.dist(made, meant), reach)

    def test_the_steps_of_every_order_of_every_demo_run(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                with self.subTest(run=document["name"]):
                    document = {**document, "marking": "flat"}
                    survey = read_run(document)
                    plan = yarrow.plan.values(document)
                    orders = yarrow.handle.values(document).orders
                    self.assertGreaterEqual(len(orders), 1)
                    for order in orders:
                        self.near(plan, played(order.steps, plan.units, survey.setup.bender))

    def test_the_bench_s_steps_make_the_piece_and_not_its_mirror(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                with self.subTest(run=document["name"]):
                    self.bench(document)

    def bench(self, document: dict[str, object]) -> None:
        """As planned, and once the first bend came out two degrees over."""
        run = {name: value for name, value in document.items() if name != "joints"}
        run["marking"] = "flat"
        survey = read_run(run)
        plan = plan_run(survey)
        if not isinstance(plan, BuildablePlan) or not plan.placed.pipe.bends:
            return
        first = plan.placed.order.bends[0].bend
        over = MadeBend(first, {"angle": plan.placed.pipe.bends[first].angle + 2})
        for made in ([], [over]):
            answer = at_bench(plan, made)
            bends = played(answer.order.steps, plan.resolution.run.unit, survey.setup.bender)
            half = float(plan.resolution.run.round_to) / 2
            gauged = gauged_within(answer.order.steps, plan.resolution.run.unit, half)
            for number, (one, meant) in enumerate(zip(bends, answer.bends, strict=True)):
                self.assertLessEqual(abs(one.arc_start - meant.arc_start), half + 0.01)
                self.assertAlmostEqual(one.angle, meant.angle, delta=0.02 + math.degrees(gauged))
                # Where the first one turns is where the others are counted from.
                off = (one.roll - meant.roll + 180) % 360 if number else 180
                self.assertAlmostEqual(off, 180, delta=0.05)

    def test_so_do_those_that_are_marked_as_you_go(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                with self.subTest(run=document["name"]):
                    self.measured_at_bench({**document, "marking": "as-you-go"})

    def measured_at_bench(self, document: dict[str, Any]) -> None:
        """Once the first bend came out two degrees over, and is left so."""
        run = {name: value for name, value in document.items() if name != "joints"}
        plan, bender = plan_run(read_run(run)), read_run(run).setup.bender
        if not isinstance(plan, BuildablePlan) or not plan.placed.pipe.bends:
            return
        first = plan.placed.order.bends[0].bend
        over = {"angle": plan.placed.pipe.bends[first].angle + 2}
        answer = at_bench(plan, [MadeBend(first, over, as_is=True)])
        hand = Measured(plan.resolution.run.unit, bender, 2 * answer.cut_length)
        bends, _ = hand.follow(answer.order.steps)
        allowed = slack(yarrow.plan.values(run))
        for one, meant in zip(bends, answer.bends, strict=True):
            self.assertLess(abs(one.arc_start - meant.arc_start), allowed)

    def test_whatever_angle_a_first_bend_came_out_at_there_is_an_answer(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                plan = plan_run(read_run(document))
                if not isinstance(plan, BuildablePlan) or not plan.placed.pipe.bends:
                    continue
                first = plan.placed.order.bends[0].bend
                for angle in (2, 69, 88, 130):
                    with self.subTest(run=document["name"], angle=angle):
                        answer = at_bench(plan, [MadeBend(first, {"angle": angle})])
                        self.assertEqual(len(answer.bends), len(plan.placed.pipe.bends))

    def near(self, plan: WrittenPlan, bends: list[PipeBend]) -> None:
        """As near to the plan as rounding each of its marks leaves it."""
        out = fold(
            bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward
        ).vertices
        half = half_a_mark(plan)
        allowed = half * (2 * len(bends) + 1) + 0.01 * math.pi / 180 * plan.cut_length
        for made, meant in zip(out, plan.path, strict=True):
            self.assertLess(math.dist(made, meant), 2 * allowed)
