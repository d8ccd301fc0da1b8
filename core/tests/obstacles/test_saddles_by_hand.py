"""How high a saddle has to go, by hand, and offsets that must fit into a length by brute force."""

from __future__ import annotations

import math
import unittest
from fractions import Fraction
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

import yarrow
from core.tests.builders import (
    RADIUS,
    block,
    choice,
    codes,
    end,
    found,
    ledge,
    metric,
    planned,
    round_thing,
    saddle3,
    taken,
    turn,
)
from core.tests.walking import walked
from yarrow.features.leg import FIRST_LEG, Pipe
from yarrow.obstacles.crossing import CrossingProfile
from yarrow.obstacles.free_offset import FreeOffset
from yarrow.obstacles.setting import Setting
from yarrow.runs.model.plan import WrittenPlan

HALF = 0.353
"""Half of half-inch thin wall."""


def profile(width: str, height: str, clearance: str = "0", radius: str = "0") -> CrossingProfile:
    return CrossingProfile(
        begins=Fraction(40),
        width=Fraction(width),
        height=Fraction(height),
        clearance=Fraction(clearance),
        toward="out",
        measured_from="back",
        label="",
        radius=Fraction(radius),
    )


def setting(stand_off: float = 0.0) -> Setting:
    return Setting(FIRST_LEG, Pipe(2 * HALF, RADIUS, stand_off=stand_off), None)


class Lift(unittest.TestCase):
    def test_something_round_as_small_as_the_bend_lifts_nothing(self) -> None:
        self.assertEqual(profile("2", "2", radius="1").lift(45, setting()), 0)

    def test_something_larger_lifts_by_how_much_it_is_larger(self) -> None:
        # ρ = 6 + 0.353, R = 4.471; over a 45: (6.353 − 4.471) (1/cos 22.5° − 1) = 1.882 × 0.08239.
        self.assertAlmostEqual(
            profile("12", "12", radius="6").lift(45, setting()), 0.1550, places=3
        )

    def test_a_narrow_block_lies_under_the_arc(self) -> None:
        # Corners 1 off the middle: 4.471 − 0.353 = 4.118 from the arc's middle; √(4.118² − 1) is
        # 3.9947, so that the pipe stands 4.118 − 3.9947 = 0.1233 higher.
        self.assertAlmostEqual(profile("2", "2").lift(45, setting()), 0.1233, places=3)

    def test_a_wide_block_lies_under_the_slopes(self) -> None:
        # Vertex (0.353 + 4 sin 22.5°) / cos 22.5° = 2.0389 over its top; with the middle alone it
        # would be 0.353 + 4.471 × 0.08239 = 0.7214.
        self.assertAlmostEqual(profile("8", "2").lift(45, setting()), 1.3176, places=3)

    def test_clearance_is_kept_at_the_corner_too(self) -> None:
        low, high = (profile("8", "2", clearance=c).lift(45, setting()) for c in ("0", "1"))
        # Square to the slope it takes 1/cos 22.5° upward for every unit, over the middle one.
        self.assertAlmostEqual(high - low, 1 / math.cos(math.radians(22.5)) - 1, places=6)

    def test_spacers_carry_it_part_of_the_way(self) -> None:
        self.assertEqual(profile("2", "1").kinds(setting(1.25)), ("straight",))
        self.assertIn("saddle3", profile("2", "2").kinds(setting(1.25)))

    def test_the_usual_saddle_by_shape(self) -> None:
        self.assertEqual(profile("2", "2", radius="1").kinds(setting())[0], "saddle3")
        self.assertEqual(profile("8", "2").kinds(setting())[0], "saddle4")


class Within(unittest.TestCase):
    @given(st.integers(1, 300), st.integers(1, 100))
    def test_the_shortest_angle_is_the_shortest(self, rise: int, radius: int) -> None:
        pipe = Setting(FIRST_LEG, Pipe(0.7, radius / 10), None)
        offset = FreeOffset(Fraction(60), Fraction(rise, 10), "left", Fraction(1))
        best = offset.shortest_angle(pipe)
        least = offset.length(best, pipe)
        for angle in (a / 4 for a in range(8, 361)):
            self.assertLessEqual(least, offset.length(angle, pipe) + 1e-9)

    @given(st.integers(10, 100), st.integers(20, 400))
    def test_the_fitting_angle_fits_and_a_shallower_one_does_not(
        self, rise: int, within: int
    ) -> None:
        pipe = Setting(FIRST_LEG, Pipe(0.7, 4.471), None)
        offset = FreeOffset(Fraction(60), Fraction(rise, 10), "left", Fraction(within, 10))
        angle = offset.fitting_angle(pipe)
        if offset.too_long(angle, pipe):
            self.assertAlmostEqual(angle, offset.shortest_angle(pipe))
        elif angle > 1.001:
            self.assertTrue(offset.too_long(angle - 0.01, pipe))


class InMillimetres(unittest.TestCase):
    def plan(self, *walk: dict[str, object], **more: object) -> WrittenPlan:
        return yarrow.plan.values(metric(*walk, **more))

    def test_the_same_habits_by_the_same_sizes(self) -> None:
        self.assertEqual(taken(self.plan(ledge(900, 112), end(2000)), 0).id, "offset 30")
        self.assertEqual(taken(self.plan(ledge(900, 60), end(2000)), 0).id, "offset 22.5")
        self.assertEqual(taken(self.plan(block(900, 200, 90), end(2400)), 0).id, "saddle4 30")

    def test_clearance_is_6_where_nothing_is_said(self) -> None:
        self.assertAlmostEqual(taken(self.plan(round_thing(900, 50), end(2000)), 0).air or 0, 6)

    def test_two_within_300_are_taken_in_one(self) -> None:
        plan = self.plan(round_thing(900, 50), round_thing(1150, 40), end(2600))
        self.assertTrue(taken(plan, 0).together)

    def test_readings_are_whole(self) -> None:
        for candidate in choice(self.plan(round_thing(900, 50), end(2000)), 0).candidates:
            self.assertRegex(str(candidate.room_text), r"^\d+$")


class AfterATurnAndAKick(unittest.TestCase):
    def test_what_is_left_before_it_is_counted_from_the_bend_before(self) -> None:
        plan = planned(turn(40), ledge(30, 4), end(80))
        thirty = next(c for c in choice(plan, 1).candidates if c.angle == 30)
        # The turn's arc ends R beyond its vertex, which lies half a pipe from the wall.
        begins = 30 - HALF - thirty.room
        self.assertAlmostEqual(thirty.before, begins - RADIUS)

    def test_what_comes_next_takes_its_own_room(self) -> None:
        plan = planned(ledge(40, 4), turn(60), end(40))
        thirty = next(c for c in choice(plan, 0).candidates if c.angle == 30)
        self.assertAlmostEqual(thirty.after or 0, 60 - HALF - RADIUS - 40)


class Sides(unittest.TestCase):
    def test_a_saddle_by_name_over_something_large_is_told_of_its_sides(self) -> None:
        plan = planned(saddle3(60, 12), end(130))
        finding = found(plan, "touches-sides")
        # (6.353 − 4.471) (1/cos 22.5° − 1) = 0.155 of air would do: 3/16 on this tape.
        assert finding.remedy
        self.assertEqual(finding.remedy.value, "3/16")
        mended = planned(saddle3(60, 12, clearance="3/16"), end(130))
        self.assertNotIn("touches-sides", codes(mended))
        middle = (60.0, 0.0, 6 - HALF)
        self.assertGreaterEqual(nearest(mended, middle) - 6 - HALF, 0)
        self.assertLess(nearest(plan, middle) - 6 - HALF, 0)

    def test_over_something_small_there_is_nothing_to_say(self) -> None:
        self.assertNotIn("touches-sides", codes(planned(saddle3(50, "1 5/8"), end(110))))

    def test_what_was_said_as_a_thing_is_high_enough_by_itself(self) -> None:
        plan = planned(round_thing(60, 12, pick="saddle3 45", clearance=0), end(130))
        self.assertNotIn("touches-sides", codes(plan))


def nearest(plan: WrittenPlan, point: tuple[float, float, float]) -> float:
    points = walked(plan, 200)
    dense = [
        tuple(a + (b - a) * part / 200 for a, b in zip(one, other, strict=True))
        for one, other in pairwise(points)
        for part in range(201 if math.dist(one, other) > 1 else 1)
    ]
    return min(math.dist(each, point) for each in dense)
