"""Planning and folding are inverse: a plan's own bends, folded, land on the site's numbers."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import given

import yarrow
from core.tests.properties.strategies import makeable_runs
from core.tests.walking import walked_length
from yarrow.geometry.pipe import PipeBend, develop, fold
from yarrow.geometry.vectors import Vector
from yarrow.runs.model.plan import WrittenPlan

MILLIONTH = 1e-6


def folded(plan: WrittenPlan) -> tuple[Vector, ...]:
    bends = [PipeBend(b.arc_start, b.angle, b.roll, b.radius) for b in plan.bends]
    return fold(bends, plan.cut_length, start=plan.path[0], first_toward=plan.first_toward).vertices


class PlanAndFold(unittest.TestCase):
    @given(makeable_runs())
    def test_a_plan_folds_back_onto_its_own_path(self, document: dict[str, Any]) -> None:
        plan = yarrow.plan.values(document)
        self.assertTrue(plan.can_be_made, plan.findings)
        for made, meant in zip(folded(plan), plan.path, strict=True):
            self.assertLess(math.dist(made, meant), MILLIONTH)

    @given(makeable_runs())
    def test_rounded_marks_cost_no_more_than_rounding(self, document: dict[str, Any]) -> None:
        plan = yarrow.plan.values(document)
        # Each mark may be half a division out, and each moves what comes after it.
        half = (1 / 16 if plan.units == "in" else 1.0) / 2
        allowed = half * (2 * len(plan.marks) + 1) + MILLIONTH
        for dimension in plan.dimensions:
            self.assertLessEqual(abs(dimension.off), allowed, dimension)

    @given(makeable_runs())
    def test_walking_along_the_pipe_step_by_step_gives_the_closed_form(
        self, document: dict[str, Any]
    ) -> None:
        plan = yarrow.plan.values(document)
        walked = walked_length(plan)
        # Chords of small steps fall short of the arc by less than this.
        self.assertAlmostEqual(walked, plan.cut_length, delta=plan.cut_length * 1e-4)

    @given(makeable_runs())
    def test_legs_and_totals_add_up_to_the_cut(self, document: dict[str, Any]) -> None:
        plan = yarrow.plan.values(document)
        legs = sum(math.dist(a, b) for a, b in zip(plan.path, plan.path[1:], strict=False))
        saved = sum(
            2 * b.radius * math.tan(math.radians(b.angle) / 2) - (b.arc_end - b.arc_start)
            for b in plan.bends
        )
        self.assertAlmostEqual(legs - saved, plan.cut_length, places=6)

    @given(makeable_runs())
    def test_a_mirrored_walk_mirrors_every_roll(self, document: dict[str, Any]) -> None:
        mirror = {"left": "right", "right": "left"}
        twin = {
            **document,
            "walk": [
                {**line, "toward": mirror.get(line["toward"], line["toward"])}
                if "toward" in line
                else line
                for line in document["walk"]
            ],
        }
        one, other = (yarrow.plan.values(d) for d in (document, twin))
        for bend, mirrored in zip(one.bends, other.bends, strict=True):
            self.assertAlmostEqual(math.cos(math.radians(bend.roll + mirrored.roll)), 1, places=6)
        self.assertEqual([m.text for m in one.marks], [m.text for m in other.marks])

    @given(makeable_runs())
    def test_path_runs_give_the_same_pipe_as_the_walk(self, document: dict[str, Any]) -> None:
        walk = yarrow.plan.values(document)
        twin = {key: value for key, value in document.items() if key not in ("walk", "start")}
        path = yarrow.plan.values({**twin, "path": [list(point) for point in walk.path]})
        for one, other in zip(path.bends, walk.bends, strict=True):
            self.assertAlmostEqual(one.arc_start, other.arc_start, places=6)
            self.assertAlmostEqual(one.angle, other.angle, places=6)
        self.assertAlmostEqual(path.cut_length, walk.cut_length, places=6)


class Develop(unittest.TestCase):
    def test_rolls_are_right_handed_about_the_direction_of_travel(self) -> None:
        # Ahead, then left, then out: from the plane of the left turn, out is a quarter clockwise
        # to someone who looks along the pipe (ahead = left now, out is on their ... right-handed).
        pipe = develop([(0, 0, 0), (50, 0, 0), (50, 50, 0), (50, 50, 50)], 5)
        # n1 = x × y = z; n2 = y × z = x; (n1 × n2) · y = (z × x) · y = 1: +90.
        self.assertAlmostEqual(pipe.bends[1].roll, 90)

    def test_points_on_a_straight_line_are_no_bend(self) -> None:
        pipe = develop([(0, 0, 0), (20, 0, 0), (50, 0, 0)], 5)
        self.assertEqual((pipe.bends, pipe.cut_length), ((), 50))
