"""Benders drawn from their numbers: every kind its own, the groove on the pipe, marks in place."""

from __future__ import annotations

import math
import unittest
from itertools import pairwise

import yarrow
from core.tests.builders import DIAMETER, RADIUS, end, run, turn
from yarrow.benders.drawn.shapes import Point, ToolNumbers, ToolShape, mark_on_shoe
from yarrow.benders.kinds import BENDER_KINDS
from yarrow.runs.bending_sequence import BendHandling

TOOL = ToolNumbers(RADIUS, DIAMETER, 0.1759, 38.0, 1.77)


def drawn(kind: str) -> list[ToolShape]:
    return next(traits for name, traits in BENDER_KINDS.items() if name == kind).drawn(TOOL)


def from_centre(point: Point) -> float:
    return math.dist(point, (0.0, RADIUS))


class EachKind(unittest.TestCase):
    def test_no_two_kinds_look_alike(self) -> None:
        outlines = {
            tuple(point for shape in traits.drawn(TOOL) for point in shape.points)
            for traits in BENDER_KINDS.values()
        }
        self.assertEqual(len(outlines), len(BENDER_KINDS))

    def test_no_shoe_lies_within_the_pipe_that_is_bent_round_it(self) -> None:
        # The groove is R − D/2 about the centre; its rim takes in no more than half of the pipe.
        for kind in BENDER_KINDS:
            shoes = [shape for shape in drawn(kind) if shape.role == "shoe"]
            self.assertTrue(shoes, kind)
            for x, y in (point for shape in shoes for point in shape.points):
                if abs(x) < 1e-9 or y < RADIUS * 0.5:
                    self.assertLess(from_centre((x, y)) - RADIUS, 2.5, kind)
            bottom = min(y for shape in shoes for _, y in shape.points)
            self.assertGreater(bottom, -1e-9, kind)
            self.assertLess(bottom, DIAMETER / 2 + 0.1, kind)

    def test_what_has_a_hook_has_it_ahead_of_the_arc(self) -> None:
        for kind in BENDER_KINDS:
            for shape in drawn(kind):
                if shape.role == "hook":
                    self.assertGreater(min(x for x, _ in shape.points), 0, kind)

    def test_a_handle_reaches_as_far_as_it_is_long(self) -> None:
        for kind in ("hand", "ratchet", "mechanical"):
            handle = next(shape for shape in drawn(kind) if shape.role == "handle")
            self.assertAlmostEqual(max(map(from_centre, handle.points)), 38, delta=0.1)

    def test_marks_lie_where_their_distance_behind_the_front_puts_them(self) -> None:
        # The front mark a = 0.176 ahead of the arc; one 2 3/8 behind it lies 2.199 round it.
        front, back = (mark_on_shoe(TOOL, behind) for behind in (0.0, 2.375))
        self.assertAlmostEqual(front[0][0], 0.1759)
        for x, y in back:
            angle = math.atan2(x, RADIUS - y)
            self.assertAlmostEqual(-angle * RADIUS, 2.375 - 0.1759, places=6)


class InItsPlace(unittest.TestCase):
    """A stub of 20 on a 60 tail, half-inch by hand."""

    def bend(self, place: str) -> BendHandling:
        document = run(turn(20), end(60), stance={"place": place})
        return yarrow.handle.values(document).orders[0].bends[0]

    def test_the_mark_stays_on_the_pipe_as_it_is_bent(self) -> None:
        for place in ("floor", "air"):
            bend = self.bend(place)
            (used,) = (shape for shape in bend.tool if shape.role == "used")
            middle = tuple(sum(axis) / 2 for axis in zip(*used.points, strict=True))
            line = [(x, z) for x, _, z in bend.after]
            nearest = min(
                math.dist(middle, along(one, other, part / 40))
                for one, other in pairwise(line)
                for part in range(41)
            )
            self.assertLess(nearest, DIAMETER, place)

    def test_on_the_floor_the_handle_is_up_and_in_the_air_its_foot_is_on_the_floor(self) -> None:
        for place, up in (("floor", True), ("air", False)):
            bend = self.bend(place)
            handle = next(shape for shape in bend.tool if shape.role == "handle")
            heights = [y for _, y in handle.points]
            self.assertEqual(max(heights, key=abs) > 0, up)
            if not up:
                self.assertAlmostEqual(min(heights), bend.floor, delta=1.0)


def along(one: Point, other: Point, part: float) -> Point:
    return one[0] + (other[0] - one[0]) * part, one[1] + (other[1] - one[1]) * part


if __name__ == "__main__":
    unittest.main()
