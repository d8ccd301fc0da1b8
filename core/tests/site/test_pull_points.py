"""The fewest pull points: sums by hand, and a search that tries all."""

from __future__ import annotations

import math
import random
import unittest
from typing import Any

import yarrow
from core.tests.site.helpers import between_holes, building, hole, site, trench

_SITES = 2000


def turned(lengths: list[float], turns: list[float]) -> list[tuple[float, float]]:
    """A line of some lengths with some turns between them, degrees to the left."""
    at, heading = (0.0, 0.0), 0.0
    line = [at]
    for number, length in enumerate(lengths):
        at = (at[0] + length * math.cos(heading), at[1] + length * math.sin(heading))
        line.append(at)
        if number < len(turns):
            heading += math.radians(turns[number])
    return line


def put(answer: dict[str, Any]) -> list[dict[str, Any]]:
    return [stop for stop in answer["stops"] if stop["place"] is None]


class PullPoints(unittest.TestCase):
    def test_430_m_straight_want_two(self) -> None:
        answer = yarrow.site(between_holes((0, 0), (430, 0)))
        self.assertEqual(answer["points"]["on_the_way"], 2)
        self.assertEqual([each["kept"] for each in answer["stretches"]], [True] * 3)
        # With one as far along as it can be, at 200, 230 would be left.
        self.assertIn(
            "2 on the way: with 1, 230 m (0°) would be one pull", answer["points"]["why"][0]
        )
        self.assertEqual(yarrow.site(between_holes((0, 0), (400, 0)))["points"]["on_the_way"], 1)
        self.assertEqual(yarrow.site(between_holes((0, 0), (401, 0)))["points"]["on_the_way"], 2)

    def test_120_m_with_three_quarter_bends_want_one_at_the_second(self) -> None:
        # 200 less 150 leaves 50 m; a point at the second bend takes it: 1 and 1, 150 m each.
        line = turned([50, 20, 20, 30], [90, 90, 90])
        answer = yarrow.site(between_holes(*line))
        self.assertEqual(len(put(answer)), 1)
        self.assertTrue(all(each["kept"] for each in answer["stretches"]))
        self.assertIn("120 m (270°) would be one pull, and 50 m", answer["points"]["why"][0])

    def test_40_m_that_turn_292_degrees_want_one_however_short(self) -> None:
        line = turned([8, 8, 8, 8, 4, 4], [45, 45, 90, -90, 22.5])
        answer = yarrow.site(between_holes(*line))
        self.assertEqual(len(put(answer)), 1)
        self.assertTrue(all(each["degrees"] <= 270 for each in answer["stretches"]))
        gone = yarrow.site(between_holes(*line, rules={"most_degrees": 360}))
        # 292.5 degrees leave 200 less 162.5, 37.5 m: by that school too it is too long.
        self.assertEqual(len(put(gone)), 1)
        by_degrees = {"most_degrees": 360, "less_per_quarter_m": 0}
        self.assertEqual(put(yarrow.site(between_holes(*line, rules=by_degrees))), [])

    def test_two_of_22_and_a_half_count_like_one_of_45(self) -> None:
        two = yarrow.site(between_holes(*turned([50, 50, 50], [22.5, -22.5])))["stretches"][0]
        one = yarrow.site(between_holes(*turned([75, 75], [45])))["stretches"][0]
        self.assertAlmostEqual(two["degrees"], one["degrees"])
        self.assertAlmostEqual(two["longest_m"], 175)

    def test_a_building_s_rise_counts_with_its_turns(self) -> None:
        ends = [building("Hut", 0, 0, floor=2), hole("H", 100, 0)]
        answer = yarrow.site(site(ends, [trench("T", (0, 0), (100, 0))]))
        stretch = answer["stretches"][0]
        # Two floors of 3 m and 0.45 m of cover; up at the wall, and in at the top: 200 less 100.
        self.assertAlmostEqual(sum(each["length_m"] for each in answer["stretches"]), 106.45)
        self.assertEqual((stretch["degrees"], stretch["longest_m"]), (180, 100))
        self.assertEqual(len(put(answer)), 1)
        ground = yarrow.site(
            site([building("Hut", 0, 0), ends[1]], [trench("T", (0, 0), (100, 0))])
        )
        self.assertEqual((ground["stretches"][0]["degrees"], put(ground)), (90, []))

    def test_points_that_are_set_stay_and_branches_have_one(self) -> None:
        places = [hole("A", 0, 0), hole("B", 400, 0), hole("C", 150, 80), hole("Mine", 60, 0)]
        trenches = [trench("T", (0, 0), (400, 0)), trench("U", (150, 0), (150, 80))]
        answer = yarrow.site(site(places, trenches))
        self.assertEqual(answer["points"]["branches"], 1)
        branch = next(stop for stop in put(answer) if stop["why"] == "trenches branch here")
        self.assertEqual(branch["at"], [150, 0])
        self.assertIn([60, 0], [stop["at"] for stop in answer["stops"]])
        self.assertEqual(answer["points"]["on_the_way"], 1)  # of the 250 m beyond the branch

    def test_none_stands_in_a_road(self) -> None:
        places = [hole("A", 0, 0), hole("B", 300, 0)]
        parts = [
            trench("One", (0, 0), (90, 0)),
            trench("Road", (90, 0), (195, 0), surface="road"),
            trench("Two", (195, 0), (300, 0)),
        ]
        answer = yarrow.site(site(places, parts))
        (point,) = put(answer)
        self.assertFalse(90 < point["at"][0] < 195)
        wide = [trench("Road", (0, 0), (300, 0), surface="road")]
        codes = [each["code"] for each in yarrow.site(site(places, wide))["findings"]]
        self.assertIn("stretch-over-its-limit", codes)

    def test_no_fewer_do_than_a_search_of_all_finds(self) -> None:
        rng = random.Random(17)
        for _ in range(_SITES):
            lengths = [float(rng.randint(1, 9)) for _ in range(rng.randint(1, 5))]
            turns = [rng.choice((45.0, 90.0, -45.0, -90.0, 0.0)) for _ in lengths[1:]]
            rules = {"most_straight_m": 12, "less_per_quarter_m": rng.choice((0, 2, 4))}
            answer = yarrow.site(between_holes(*turned(lengths, turns), rules=rules))
            if any(each["code"] == "trenches-cross" for each in answer["findings"]):
                continue
            ends = [end for each in answer["stretches"] for end in each["ends"]]
            if answer["points"]["branches"] or ends.count(0) + ends.count(1) != 2:
                continue  # it comes back to itself
            self.assertTrue(all(each["kept"] for each in answer["stretches"]), (lengths, turns))
            least = _least(lengths, turns, rules["less_per_quarter_m"])
            self.assertEqual(answer["points"]["on_the_way"], least, (lengths, turns, rules))


def _least(lengths: list[float], turns: list[float], less: float) -> int:
    """Over all whole metres, one after the other: with turns of 45 degrees every reach is one."""
    whole = int(sum(lengths))
    bends, at = [], 0.0
    for length, turn in zip(lengths, turns, strict=False):
        at += length
        bends.append((at, abs(turn)))

    def keeps(begins: int, ends: int) -> bool:
        degrees = sum(turn for place, turn in bends if begins < place < ends)
        return degrees <= 270 and ends - begins <= 12 - less * degrees / 90

    stretches = [0] + [whole] * whole
    for ends in range(1, whole + 1):
        for begins in range(ends):
            if keeps(begins, ends):
                stretches[ends] = min(stretches[ends], stretches[begins] + 1)
    return stretches[whole] - 1
