"""The steps of every demo run, followed to the letter: the pipe comes out as it was planned."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from unittest import TestCase

from jobs.demo import JOBS
from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.documents.run_file import read_run
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit
from yarrow.runs.handle import handle_run
from yarrow.runs.plan import Plan, Step
from yarrow.runs.planner import plan_run

_PLACE = re.compile(r"([A-Z][\w' -]+?) on ([\d/ ]+), (?:hook|former|the form) toward the (\w+) of")
_BEND = re.compile(r"Bend ([\d.]+)°")
_TURN = re.compile(r"Turn the pipe ([\d.]+)° (clockwise|anticlockwise)")


def played(steps: Sequence[Step], unit: Unit, bender: Bender) -> list[PipeBend]:
    """What someone bends who reads nothing but the words of the steps."""
    made: list[tuple[float, float, float]] = []
    turned = 0.0
    for step in steps:
        if step.bend is None:
            continue
        turned += _turned(step)
        name, text, hook = _found(_PLACE, step).groups()
        angle = float(_found(_BEND, step)[1])
        position = float(read_length(text.strip(), unit).value)
        reference = next(
            r for r in _REFERENCES if bender.mark_name(r) == name[0].lower() + name[1:]
        )
        side: Hook = "start" if hook == "start" else "end"
        length = arc_length(bender.radius, angle)
        made.append((bender.arc_start(position, length, side, reference), angle, turned))
    made.sort()
    first = made[0][2] if made else 0.0
    before = first
    bends = []
    for arc_start, angle, roll in made:
        bends.append(PipeBend(arc_start, angle, roll - before, bender.radius))
        before = roll
    return bends


_REFERENCES: tuple[Reference, ...] = ("front", "back", "centre", "former", "square")


def _found(pattern: re.Pattern[str], step: Step) -> re.Match[str]:
    found = pattern.search(step.do)
    assert found, step.do
    return found


def _turned(step: Step) -> float:
    if "half over" in step.do:
        return 180.0
    found = _TURN.search(step.do)
    if not found:
        return 0.0
    return float(found[1]) * (1 if found[2] == "clockwise" else -1)


class Played(TestCase):
    def test_every_demo_run(self) -> None:
        for crew in JOBS.values():
            for document in (run for job in crew for run in job["runs"]):
                for way in ("mark", "bench", "chart"):
                    with self.subTest(run=document["name"], way=way):
                        self.play({**document, "way": way})

    def play(self, document: dict[str, object]) -> None:
        survey = read_run(document)
        plan = plan_run(survey)
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
                    plan = plan_run(survey)
                    orders = handle_run(survey).orders
                    self.assertEqual(len(orders), 2)
                    for order in orders:
                        self.near(plan, played(order.steps, plan.units, survey.setup.bender))

    def near(self, plan: Plan, bends: list[PipeBend]) -> None:
        """As near to the plan as rounding each of its marks leaves it."""
        out = fold(
            bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward
        ).vertices
        half = (1 / 16 if plan.units == "in" else 1.0) / 2
        allowed = half * (2 * len(bends) + 1) + 0.01 * math.pi / 180 * plan.cut_length
        for made, meant in zip(out, plan.path, strict=True):
            self.assertLess(math.dist(made, meant), 2 * allowed)
