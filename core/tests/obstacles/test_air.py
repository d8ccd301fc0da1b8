"""Nothing is touched, and nothing stands off further than was asked for and the arc needs."""

from __future__ import annotations

import math
import os
import random
import unittest
from itertools import pairwise

from core.tests.builders import RADIUS, block, end, planned, round_thing, taken, turn
from core.tests.walking import walked
from yarrow.geometry.vectors import Vector, subtract
from yarrow.obstacles.outline import BlockOutline, RoundOutline, least_air
from yarrow.runs.model.plan import WrittenPlan

CASES = 10_000 if os.environ.get("YARROW_EXPLORE") else 1_000
CHORDS = 4e-3
"""How far a chord lies inside its arc, at 16 to an arc of these bends."""

SIDES = ("out", "in", "left", "right")


class HandWorked(unittest.TestCase):
    def test_a_straight_pipe_over_a_round_one(self) -> None:
        # Centreline at 0, the other's middle 3 below with radius 1; half the pipe is 0.5: 1.5 left.
        air = least_air([(0, 0), (20, 0)], 4.0, 1.0, RoundOutline(12, -3, 1))
        self.assertAlmostEqual(air.least, 1.5)
        self.assertAlmostEqual(air.at, 12)

    def test_a_slope_past_the_corner_of_a_block(self) -> None:
        # The line v = u − 10 passes the corner (12, 0) at |12 − 10| / √2; half a pipe is 0.5.
        air = least_air([(0, -10), (30, 20)], 4.0, 1.0, BlockOutline(12, 14, 0))
        self.assertAlmostEqual(air.least, 2 / math.sqrt(2) - 0.5)

    def test_a_pipe_that_goes_in_below_the_top_is_below_zero_by_how_much(self) -> None:
        air = least_air([(0, -1), (30, -1)], 4.0, 1.0, BlockOutline(12, 14, 0))
        self.assertAlmostEqual(air.least, -1.5)

    def test_within_an_arc_it_is_the_arc_that_counts(self) -> None:
        # A right angle of radius 4 about (6, 4): the point (7, 3) is √2 from its middle.
        air = least_air([(0, 0), (10, 0), (10, 10)], 4.0, 1.0, RoundOutline(7, 3, 0.1))
        self.assertAlmostEqual(air.least, 4 - math.sqrt(2) - 0.1 - 0.5)


class NothingIsTouched(unittest.TestCase):
    def test_over_round_things_by_sampling_the_pipe(self) -> None:
        rng = random.Random(20)
        for _ in range(CASES // 2):
            across, clearance = rng.uniform(0.5, 14), rng.choice([0, 0.25, rng.uniform(0, 2)])
            toward = rng.choice(SIDES)
            plan = planned(
                round_thing(100, across, toward, clearance=clearance),
                end(220),
                conduit={"type": "emt", "size": "1/2"},
            )
            best = taken(plan, 0)
            middle = along(toward, 100, across / 2 - 0.353)
            air = from_pipe(plan, middle) - across / 2 - 0.353
            self.assert_held(best.kind, air, clearance, best.lift)
            self.assertAlmostEqual(best.air or 0, air, delta=CHORDS)

    def test_over_blocks_by_sampling_the_pipe(self) -> None:
        rng = random.Random(21)
        for _ in range(CASES // 2):
            width, height = rng.uniform(0.5, 16), rng.uniform(0.5, 10)
            clearance, toward = rng.choice([0, 0.25, 1]), rng.choice(SIDES)
            pick = rng.choice(["", "saddle3 45", "saddle3 60", "saddle4 30", "saddle4 22.5"])
            plan = planned(
                block(100, width, height, toward, clearance=clearance, pick=pick), end(260)
            )
            best = taken(plan, 0)
            corners = [along(toward, face, height - 0.353) for face in (100, 100 + width)]
            air = min(from_pipe(plan, corner) for corner in corners) - 0.353
            up = along(toward, 0, 1)
            over = [dot(p, up) - height for p in walked(plan, 16) if 100 <= p[0] <= 100 + width]
            self.assertGreaterEqual(min(over, default=clearance), clearance - 1e-6, best.id)
            self.assert_held(best.kind, min([air, *over]), clearance, best.lift)

    def assert_held(self, kind: str, air: float, asked: float, lift: float) -> None:
        """At least what was asked, and no more than that and what the arc needs."""
        self.assertGreaterEqual(air, asked - CHORDS, kind)
        self.assertLessEqual(air, asked + lift + CHORDS, kind)

    def test_a_saddle_over_something_small_is_not_lifted(self) -> None:
        for across in (0.5, 2, 2 * (RADIUS - 0.353 - 0.25)):
            plan = planned(round_thing(60, across, clearance="1/4", pick="saddle3 45"), end(120))
            self.assertAlmostEqual(taken(plan, 0).lift, 0)

    def test_after_a_turn_the_obstacle_stands_on_that_leg(self) -> None:
        plan = planned(turn(40), round_thing(50, 2, "out"), end(110))
        self.assertAlmostEqual(taken(plan, 1).air or 0, 0.25)
        thing = next(t for t in plan.things if t.kind == "round")
        self.assertEqual(thing.ahead, plan.things[-1].ahead)


def from_pipe(plan: WrittenPlan, point: Vector) -> float:
    """The least distance of a point from the walked centreline."""
    points = walked(plan, 16)
    return min(from_chord(point, a, b) for a, b in pairwise(points))


def from_chord(point: Vector, a: Vector, b: Vector) -> float:
    chord, off = subtract(b, a), subtract(point, a)
    size = dot(chord, chord)
    part = min(max(dot(off, chord) / size, 0), 1) if size else 0
    return math.dist(point, tuple(x + part * y for x, y in zip(a, chord, strict=True)))


def along(toward: str, at: float, height: float) -> Vector:
    side = {"out": (0, 0, 1), "in": (0, 0, -1), "left": (0, 1, 0), "right": (0, -1, 0)}[toward]
    # What it stands on lies half a pipe behind the centreline.
    return (at, side[1] * height, side[2] * height)


def dot(a: Vector, b: Vector) -> float:
    return sum(x * y for x, y in zip(a, b, strict=True))
