"""The frame that a walk carries with it, and the arcs in its corners."""

from __future__ import annotations

import math
import unittest
from itertools import product

from hypothesis import given
from hypothesis import strategies as st

from yarrow.geometry.arcs import arc_length, gain, tangent_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.frame import Frame, Side
from yarrow.geometry.pipe import PipeBend, develop, fold
from yarrow.geometry.vectors import cross, dot, length, turned

SIDES: tuple[Side, ...] = ("out", "in", "left", "right")


class Frames(unittest.TestCase):
    def test_after_a_turn_left_ahead_is_the_old_left_and_out_is_unchanged(self) -> None:
        frame = Frame().turned("left", 90)
        self.assertEqual((frame.ahead, frame.out), ((0, 1, 0), (0, 0, 1)))
        self.assertEqual(frame.left, (-1, 0, 0))

    def test_after_a_turn_out_ahead_is_the_old_out_and_out_the_old_behind(self) -> None:
        frame = Frame().turned("out", 90)
        self.assertEqual((frame.ahead, frame.out, frame.left), ((0, 0, 1), (-1, 0, 0), (0, 1, 0)))

    def test_right_and_in_are_the_opposites(self) -> None:
        frame = Frame()
        self.assertEqual(frame.toward("right"), (0, -1, 0))
        self.assertEqual(frame.toward("in"), (0, 0, -1))
        self.assertEqual(frame.turned("right", 90).ahead, (0, -1, 0))
        self.assertEqual(frame.turned("in", 90).ahead, (0, 0, -1))

    @given(st.lists(st.tuples(st.sampled_from(SIDES), st.floats(1, 120)), max_size=12))
    def test_it_stays_square_and_right_handed(self, turns: list[tuple[Side, float]]) -> None:
        frame = Frame()
        for side, angle in turns:
            frame = frame.turned(side, angle)
        for one, other in ((frame.ahead, frame.left), (frame.left, frame.out)):
            self.assertAlmostEqual(dot(one, other), 0, places=9)
        self.assertAlmostEqual(length(frame.ahead), 1, places=9)
        for got, wanted in zip(cross(frame.ahead, frame.left), frame.out, strict=True):
            self.assertAlmostEqual(got, wanted, places=9)

    def test_four_quarter_turns_to_one_side_come_back_exactly(self) -> None:
        for side in SIDES:
            frame = Frame()
            for _ in range(4):
                frame = frame.turned(side, 90)
            self.assertEqual(frame, Frame())

    def test_turning_and_turning_back_is_no_turn(self) -> None:
        ahead, side = turned((1, 0, 0), (0, 1, 0), 37)
        back, _ = turned(ahead, side, -37)
        for got, wanted in zip(back, (1, 0, 0), strict=True):
            self.assertAlmostEqual(got, wanted)


class Arcs(unittest.TestCase):
    def test_a_quarter_of_radius_one(self) -> None:
        self.assertAlmostEqual(tangent_length(1, 90), 1)
        self.assertAlmostEqual(arc_length(1, 90), math.pi / 2)
        self.assertAlmostEqual(gain(1, 90), 2 - math.pi / 2)

    @given(st.floats(0.1, 100), st.floats(0.5, 170))
    def test_an_arc_is_always_shorter_than_the_corner(self, radius: float, angle: float) -> None:
        self.assertGreater(gain(radius, angle), -1e-9)
        self.assertLess(arc_length(radius, angle), 2 * tangent_length(radius, angle) + 1e-9)


class Pipes(unittest.TestCase):
    def test_rolls_of_every_pair_of_sides(self) -> None:
        # Ahead, then a quarter toward one side, then a quarter toward another, by the frame.
        for first, second in product(SIDES, SIDES):
            with self.subTest(first=first, second=second):
                frame = Frame()
                vertices = [(0.0, 0.0, 0.0), (30.0, 0.0, 0.0)]
                for side in (first, second):
                    frame = frame.turned(side, 90)
                    last = vertices[-1]
                    vertices.append(
                        tuple(a + 30 * b for a, b in zip(last, frame.ahead, strict=True))
                    )
                pipe = develop(vertices, 4)
                self.assertIn(round(pipe.bends[1].roll, 9), (-90, 0, 90, 180))
                same = {first, second} <= {"left", "right"} or {first, second} <= {"out", "in"}
                self.assertEqual(abs(pipe.bends[1].roll) in (0, 180), same)

    def test_two_points_the_same_or_a_way_back_have_no_pipe(self) -> None:
        for vertices, code in (
            ([(0, 0, 0), (0, 0, 0)], "repeated-point"),
            ([(0, 0, 0), (9, 0, 0), (3, 0, 0)], "folds-back"),
        ):
            with self.assertRaises(GeometryError) as caught:
                develop(vertices, 1)
            self.assertEqual(caught.exception.code, code)

    def test_a_straight_pipe_folds_to_a_straight_line(self) -> None:
        folded = fold([], 60)
        self.assertEqual((folded.vertices, folded.direction), (((0, 0, 0), (60, 0, 0)), (1, 0, 0)))

    def test_an_arc_before_the_start_or_beyond_the_end_is_no_pipe(self) -> None:
        for bends, cut in (([PipeBend(-1, 30, 0, 4)], 60), ([PipeBend(58, 90, 0, 4)], 60)):
            with self.assertRaises(GeometryError):
                fold(bends, cut)

    def test_what_overlaps_by_how_much_is_told_by_its_straight(self) -> None:
        # Two quarters 6 apart at radius 4: 6 − 8 = −2.
        pipe = develop([(0, 0, 0), (20, 0, 0), (20, 6, 0), (60, 6, 0)], 4)
        self.assertAlmostEqual(pipe.straights[1], -2)
