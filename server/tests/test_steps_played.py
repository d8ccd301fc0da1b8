"""The steps of every demo run, followed to the letter: the pipe comes out as it was planned."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from unittest import TestCase

from core.tests.builders import said
from jobs.demo import JOBS
from yarrow import handling_values, plan_values
from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.benders.placing import other_end
from yarrow.documents.run_file import read_run
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import PipeBend, fold
from yarrow.measure.tape import read_length
from yarrow.measure.units import Unit
from yarrow.runs.model.plan import Step, WrittenPlan

_PLACE = re.compile(
    r"([A-Z][\w' -]+?) on ([\d/ ]+)"
    r"(?:, (?:hook|former) toward|: the bend begins there and runs toward) the (\w+) of"
)
_BEND = re.compile(r"Bend ([\d.]+)°")
_TURN = re.compile(r"Turn the pipe ([\d.]+)° (clockwise|anticlockwise)")
_LINE = re.compile(r"The pencil line is (?:([\d.]+)° to|on) the (left|right)")


def played(steps: Sequence[Step], unit: Unit, bender: Bender) -> list[PipeBend]:
    """What someone bends who reads nothing but the words of the steps.

    Whoever stands at the pipe's start and looks along it has the bend come up toward the top.
    ``upward`` is the line of the pipe's skin that is on top there, in degrees clockwise from the
    line that was on top at the first bend: a pipe turned clockwise brings up what lay anticlockwise
    of it.
    """
    made: list[tuple[float, float, float]] = []
    upward = 0.0
    lined = False
    for step in steps:
        if step.bend is None:
            continue
        upward -= _clockwise(step)
        if lined:
            assert abs((_line_clockwise(step) + upward + 180) % 360 - 180) < 0.02, said(step.do)
        lined = lined or "pencil a line along the top" in said(step.do)
        name, text, hook = _found(_PLACE, step).groups()
        angle = float(_found(_BEND, step)[1])
        position = float(read_length(text.strip(), unit).value)
        reference = next(
            r for r in _REFERENCES if bender.mark_name(r) == name[0].lower() + name[1:]
        )
        side: Hook = "start" if hook == "start" else "end"
        if "runs toward" in said(step.do):
            side = other_end(side)
        length = arc_length(bender.radius, angle)
        made.append((bender.arc_start(position, length, side, reference), angle, upward))
    made.sort()
    before = made[0][2] if made else 0.0
    bends = []
    for arc_start, angle, line in made:
        # The inside of a bend is what was on top: from one to the next, clockwise is the roll.
        bends.append(PipeBend(arc_start, angle, line - before, bender.radius))
        before = line
    return bends


_REFERENCES: tuple[Reference, ...] = ("front", "back", "centre", "former", "square")


def _found(pattern: re.Pattern[str], step: Step) -> re.Match[str]:
    found = pattern.search(said(step.do))
    assert found, said(step.do)
    return found


def _clockwise(step: Step) -> float:
    """By how much the pipe is turned, clockwise to who looks along it from its start."""
    if "half over" in said(step.do):
        return 180.0
    found = _TURN.search(said(step.do))
    if not found:
        return 0.0
    return float(found[1]) * (1 if found[2] == "clockwise" else -1)


def _line_clockwise(step: Step) -> float:
    """Where the pencil line is said to be, clockwise from the top to who looks from the start."""
    if "The pencil line is on top" in said(step.do):
        return 0.0
    if "The pencil line is underneath" in said(step.do):
        return 180.0
    degrees, side = _found(_LINE, step).groups()
    return float(degrees or 90) * (1 if side == "right" else -1)


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
