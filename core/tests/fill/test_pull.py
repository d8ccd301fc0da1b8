"""The pull: equations by hand and against a walk in small steps; pull points by brute force."""

from __future__ import annotations

import math
import unittest
from itertools import combinations, pairwise

from hypothesis import given, settings
from hypothesis import strategies as st

from yarrow.fill.pull import Stretch, pull_both_ways, reversed_run, stretches, tension_after
from yarrow.fill.pull_points import BendOnPipe, pull_points
from yarrow.geometry.pipe import develop

UP = (0.0, 1.0, 0.0)


def bends(*degrees: float) -> list[BendOnPipe]:
    return [BendOnPipe(20.0 * at + 10, 20.0 * at + 12, each) for at, each in enumerate(degrees)]


class Equations(unittest.TestCase):
    def test_a_straight_by_hand(self) -> None:
        # 100 ft of 1.5 lb/ft at 0.5: 75 lbf on the level.
        self.assertAlmostEqual(tension_after(0, Stretch(0, 100, 0), 1.5, 0.5), 75)
        # Straight up its whole weight, and no friction: 150 lbf; straight down nothing is left.
        self.assertAlmostEqual(tension_after(0, Stretch(0, 100, 1), 1.5, 0.5), 150)
        self.assertEqual(tension_after(0, Stretch(0, 100, -1), 1.5, 0.5), 0)
        self.assertAlmostEqual(tension_after(200, Stretch(0, 100, -1), 1.5, 0.5), 50)
        # 30 degrees up: 150 x (0.5 cos 30 + sin 30) = 139.95.
        up_30 = tension_after(0, Stretch(0, 100, 0.5), 1.5, 0.5)
        self.assertAlmostEqual(up_30, 139.95, delta=0.005)

    def test_a_quarter_bend_by_hand(self) -> None:
        # e^(0.5 pi/2) = 2.1933 times what arrives; its own 0.1 ft count for 0.1 x 1.5 x 0.5.
        bend = Stretch(0, 0.1, 0, degrees=90, radius=0.5, bend=0)
        self.assertAlmostEqual(tension_after(75, bend, 1.5, 0.5), 164.5 + 0.075, delta=0.05)

    def test_the_easier_end_is_by_the_greatest_tension_and_not_by_the_last(self) -> None:
        # 100 m level, a quarter turn, 10 m down; 1 N a metre at 0.35. From the start 35 N, times
        # e^(0.35 pi/2) = 60.7 behind the bend, and 50.7 at the end. From the end 10 N up, 17.3
        # behind the bend, and 52.3 at the end: more at last, but never 60.7.
        turn = Stretch(100, 100, 0, degrees=90, radius=1, bend=0)
        down = [Stretch(0, 100, 0), turn, Stretch(100, 110, -1)]
        pull = pull_both_ways(down, 1.0, 0.35, None, 1e9)
        self.assertAlmostEqual(pull.ways[0].tension, 50.65, delta=0.01)
        self.assertAlmostEqual(pull.ways[1].tension, 52.33, delta=0.01)
        self.assertEqual(pull.easier.feed, "end")

    def test_the_steep_end_is_the_one_to_feed_in_at(self) -> None:
        # Bends near the start: fed in there, they multiply little.
        run = (
            Stretch(0, 2, 0),
            Stretch(2, 2.5, 0, 90, 0.35, 0),
            Stretch(2.5, 60, 0),
        )
        pull = pull_both_ways(run, 1.5, 0.5, 60, 10_000)
        start, end = pull.ways
        self.assertEqual(pull.feed_at, "start")
        self.assertLess(start.tension, end.tension)
        self.assertEqual((start.within, end.within), (True, False))
        # Pressure: the tension behind the bend over its radius.
        bend = next(each for each in end.along if each.bend == 0)
        self.assertAlmostEqual(bend.side_wall, bend.tension / 0.35)

    def test_downhill_is_easier_than_up(self) -> None:
        vertices = [(0.0, 0.0, 0.0), (50.0, 0.0, 0.0), (50.0, 80.0, 0.0)]
        run = stretches(develop(vertices, 5), vertices, UP)
        self.assertEqual([round(each.rise, 3) for each in run], [0, 0.707, 1])
        self.assertEqual([round(each.rise, 3) for each in reversed_run(run)], [-1, -0.707, 0])
        pull = pull_both_ways(run, 0.1, 0.4, None, 1e9)
        self.assertEqual(pull.feed_at, "end")
        level = stretches(develop(vertices, 5), vertices, None)
        self.assertTrue(all(each.rise == 0 for each in level))

    @settings(max_examples=40)
    @given(
        st.lists(st.floats(10, 120), min_size=2, max_size=5),
        st.floats(0.05, 0.8),
        st.floats(0, 40),
    )
    def test_bends_without_weight_are_the_capstan_equation(
        self, angles: list[float], friction: float, arriving: float
    ) -> None:
        """Second opinion: walk each arc in small steps, T grows by friction x T x angle."""
        tension = stepped = arriving
        for angle in angles:
            tension = tension_after(tension, Stretch(0, 1, 0, angle, 1, 0), 0.0, friction)
            steps = 4000
            for _ in range(steps):
                stepped += friction * stepped * math.radians(angle) / steps
        self.assertAlmostEqual(tension, stepped, delta=0.003 * max(tension, 1))


class PullPoints(unittest.TestCase):
    def test_four_quarters_need_none(self) -> None:
        found = pull_points(bends(90, 90, 90, 90))
        self.assertEqual((found.points, found.left), ((), 0))
        self.assertEqual(len(pull_points(bends(90, 90, 90, 90), 270).points), 1)

    def test_it_lies_in_the_middle_of_a_straight_and_parts_evenly(self) -> None:
        found = pull_points(bends(90, 90, 90, 90, 90, 30))
        (point,) = found.points
        self.assertEqual((point.bend, point.degrees_before, found.degrees_after), (3, 270, 210))
        self.assertEqual((point.begins, point.at, point.ends), (52, 61, 70))

    @given(st.lists(st.sampled_from([10, 22.5, 45, 60, 90, 120]), max_size=9))
    def test_as_few_as_can_be_and_the_fullest_stretch_as_empty(self, degrees: list[float]) -> None:
        found = pull_points(bends(*degrees), 270)
        breaks = [point.bend for point in found.points]

        def fullest(cuts: tuple[int, ...]) -> float:
            edges = [0, *cuts, len(degrees)]
            return max(sum(degrees[a:b]) for a, b in pairwise(edges))

        places = range(1, len(degrees))
        for count in range(len(breaks) + 1):
            within = [c for c in combinations(places, count) if fullest(c) <= 270]
            if count < len(breaks):
                self.assertEqual(within, [])
            elif degrees:
                least = min(fullest(cuts) for cuts in within)
                self.assertAlmostEqual(fullest(tuple(breaks)), least, delta=0.01)
