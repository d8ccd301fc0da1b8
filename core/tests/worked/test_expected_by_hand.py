"""How far a piece comes out, worked out by hand: half of what holds 19 of 20, which is 1.96
standard deviations.

The bender: a former of 4 in, on half-inch thin wall, 0.706 across. A hand: a mark 1/32 = 0.03125,
an angle 1 degree = 0.017453, legs that are bent parallel half of that. An arc of 30 that turns by
dt more moves its vertex by 4 / (2 cos2 15) dt = 2.1436 dt along the leg before it, and by
2.1436 - 4 = -1.8564 dt what lies beyond along the leg after; one of 90 by 4 dt, and by nothing.
"""

from __future__ import annotations

import unittest
from math import hypot
from typing import Any

import yarrow
from core.tests.builders import end, offset, run, turn

FORMER = {"kind": "bench", "radius": 4, "take_up": 6, "hook": 1, "heel": 1}
MARK, ANGLE, PARALLEL = 0.03125, 0.0174533, 0.0087266
NEAR = 0.0006
"""By how much marks that are rounded to a sixteenth change it."""

Halves = dict[tuple[int, str], tuple[float, float]]


def halves(*walk: dict[str, Any], **bender: Any) -> Halves:
    plan = yarrow.plan.values(run(*walk, bender={**FORMER, **bender}))
    return {(one.feature, one.field): (one.flat, one.as_you_go) for one in plan.expected}


class ByHand(unittest.TestCase):
    def assert_half(self, half: float, *parts: float) -> None:
        self.assertAlmostEqual(half, 1.96 * hypot(*parts), delta=NEAR)

    def test_a_long_leg_by_its_back(self) -> None:
        found = halves(turn(20), end(15))
        # Hooked to the end, by the square at its back: the vertex moves by 4 dt, and the whole arc
        # begins 4 dt sooner.
        self.assert_half(found[0, "at"][0], MARK)
        self.assert_half(found[0, "at"][1], MARK)

    def test_its_tail(self) -> None:
        flat, going = halves(turn(20), end(15))[1, "at"]
        # The mark, the cut, and the vertex, which lies 4 dt further back.
        self.assert_half(flat, MARK, MARK, 4 * ANGLE)
        # From the back of the bend: the outsides of both legs meet 0.353 / (2 cos2 45) dt further.
        self.assert_half(going, MARK, 0.353 * ANGLE)

    def test_a_stub_hooked_to_its_end(self) -> None:
        for half in halves(turn(20), turn(30, "out"), end(15))[0, "at"]:
            self.assert_half(half, MARK, 4 * ANGLE)

    def test_the_depth_of_a_set(self) -> None:
        flat, going = halves(offset(30, 4), end(50))[0, "rise"]
        # 8 of slope: both marks by sin 30, the first angle by 8 cos 30 - 1.8564 sin 30 = 6, the
        # second by 2.1436 sin 30.
        self.assert_half(flat, MARK / 2, MARK / 2, 6 * ANGLE, 1.0718 * ANGLE)
        # By a straightedge: the height, what the second arc carries on by (4 sin 30), and by how
        # much the legs are not parallel.
        self.assert_half(going, MARK, 2 * ANGLE, 1.0718 * PARALLEL)

    def test_a_sets_place_is_loose_as_you_go(self) -> None:
        _, going = halves(offset(30, 4), end(50))[0, "at"]
        # 5.8564 of straight between the arcs: with more of an angle the height is reached 5.8564 /
        # sin 30 sooner, less 1.3205 of the second tangent; a height moves it by 1 / tan 30.
        self.assert_half(going, MARK, 1.7321 * MARK, 10.3923 * ANGLE, 1.8564 * PARALLEL)

    def test_the_cut_behind_a_set(self) -> None:
        _, going = halves(offset(30, 4), end(50))[1, "at"]
        # The tape lies parallel to the leg, which leans by what is not parallel: over 4 of depth.
        self.assert_half(going, MARK, 4 * PARALLEL)

    def test_what_the_bender_is_known_to(self) -> None:
        walk = (turn(20), turn(30, "out"), end(15))
        hand = {"kind": "hand", "radius": 4, "take_up": 6, "hook": 1, "heel": 1}
        (before, _), (after, _) = (
            halves(*walk, **hand, known_to=known)[0, "at"]
            for known in ({"take_up": 0, "radius": 0}, {"take_up": "1/8", "radius": 0})
        )
        # The arc begins where the front mark is, and a take-up further.
        self.assertAlmostEqual(after, hypot(before, 0.125), delta=1e-9)

    def test_its_springback(self) -> None:
        walk = (turn(20), turn(30, "out"), end(15))
        known = {"take_up": 0, "radius": 0, "springback": 3}
        flat, _ = halves(*walk, known_to=known)[0, "at"]
        # 3 degrees hold 19 of 20: a standard deviation of 3 / 1.96.
        self.assert_half(flat, MARK, 4 * ANGLE, 4 * 3 * ANGLE / 1.96)
        # Legs that are bent parallel are so whatever springs back.
        _, going = halves(offset(30, 4), end(50), known_to=known)[1, "at"]
        self.assert_half(going, MARK, 4 * PARALLEL)

    def test_how_its_angles_scatter(self) -> None:
        walk = (turn(20), turn(30, "out"), end(15))
        known = {"take_up": 0, "radius": 0, "angles": 0.4}
        flat, _ = halves(*walk, known_to=known)[0, "at"]
        self.assert_half(flat, MARK, 4 * 0.4 * ANGLE)
        # Legs are no less parallel than angles are right.
        _, going = halves(offset(30, 4), end(50), known_to=known)[1, "at"]
        self.assert_half(going, MARK, 4 * 0.4 * ANGLE)


class OfALog(unittest.TestCase):
    """What a bender's measured bends say of how its angles scatter."""

    def log(self, *kept: float) -> dict[str, Any]:
        tests = [{"stub": 12, "tail": 20, "stick": 30, "mark": 7} for _ in range(2)]
        tests += [{"commanded": 45, "angle": angle} for angle in kept]
        return {
            "format": "yarrow.bender/1",
            "units": "in",
            "conduit": {"type": "emt", "size": "1/2"},
            "bender": {"kind": "hand", "name": "B", "hook": 2, "heel": 2, "tests": tests},
        }

    def scatter(self, document: dict[str, Any]) -> float | None:
        known: dict[str, Any] = yarrow.carried_bender(document, "in")["known_to"]
        return known.get("angles")

    def test_too_few_say_nothing(self) -> None:
        self.assertIsNone(self.scatter(self.log(44, 46, 45)))

    def test_a_steady_hand(self) -> None:
        self.assertEqual(self.scatter(self.log(*[45] * 12)), 0.5)

    def test_an_unsteady_one(self) -> None:
        document = self.log(*[42, 48] * 10)
        tested = yarrow.bender.values(document).tested
        assert tested is not None
        off = [bend.angle for bend in tested.bends if bend.angle is not None]
        self.assertEqual(len(off), 20)
        # Half a degree is the reading's, and the usual degree counts for four more.
        squares = sum(one * one - 0.25 for one in off) + 4
        told = self.scatter(document)
        self.assertEqual(told, round((squares / 24) ** 0.5, 2))
