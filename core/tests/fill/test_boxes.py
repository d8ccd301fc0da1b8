"""Boxes by volume: every allowance, worked by hand."""

from __future__ import annotations

import unittest

from core.tests.fill.helpers import a_box, codes_in, finding_in
from yarrow.fill.boxes import BoxResult
from yarrow.wording.wording import EN_US


def lines(result: BoxResult) -> dict[str, float]:
    return {EN_US.text(line.what): line.volume for line in result.lines}


class Allowances(unittest.TestCase):
    def test_the_worked_sum_line_by_line(self) -> None:
        # 4 + 2 + 2 (device) + 1 (clamps) at 2.25, and 1.25 x 2.25 for five grounds: 23.0625.
        result = a_box(
            clamps=True,
            conductors=[{"size": "12", "ends": 4, "passes": 2}],
            grounds={"size": "12", "count": 5},
            devices=[{"size": "12", "count": 1}],
        )
        self.assertEqual((result.needed, result.volume, result.passes), (23.0625, 21.0, False))
        self.assertEqual(
            [(line.allowances, line.size, line.volume) for line in result.lines],
            [(4, "12", 9), (2, "12", 4.5), (2, "12", 4.5), (1, "12", 2.25), (1.25, "12", 2.8125)],
        )
        self.assertEqual(sum(line.volume for line in result.lines), result.needed)
        self.assertEqual((result.smallest, result.smallest_alike), ("fd-multi", "square-4-2-1/8"))
        self.assertIn("23.07", finding_in(result, "box-too-small").text)

    def test_every_wire_size_takes_what_is_printed(self) -> None:
        printed = {"18": 1.5, "16": 1.75, "14": 2, "12": 2.25, "10": 2.5, "8": 3, "6": 5}
        for size, volume in printed.items():
            self.assertEqual(a_box(conductors=[{"size": size, "ends": 1}]).needed, volume)

    def test_loops_count_twice_and_what_stays_inside_for_nothing(self) -> None:
        result = a_box(conductors=[{"size": "14", "loops": 3, "inside": 5}])
        self.assertEqual(result.needed, 12)

    def test_a_device_counts_two_of_its_wire_for_each_gang(self) -> None:
        self.assertEqual(a_box(devices=[{"size": "10", "count": 2}]).needed, 10)
        self.assertEqual(a_box(devices=[{"size": "10", "count": 1, "gangs": 2}]).needed, 10)

    def test_up_to_four_grounds_count_once_and_a_quarter_for_each_more(self) -> None:
        for count, allowances in ((0, 0), (1, 1), (4, 1), (5, 1.25), (8, 2)):
            needed = a_box(grounds={"size": "10", "count": count}).needed
            self.assertEqual(needed, allowances * 2.5)

    def test_clamps_and_fittings_go_by_the_largest_wire_in_the_box(self) -> None:
        result = a_box(
            clamps=True,
            fittings=2,
            conductors=[{"size": "14", "ends": 2}, {"size": "10", "passes": 1}],
        )
        self.assertEqual(result.needed, 2 * 2 + 2.5 + 2.5 + 2 * 2.5)
        # A size that is listed with none of it is not in the box.
        thin = a_box(clamps=True, conductors=[{"size": "14", "ends": 2}, {"size": "6"}])
        self.assertEqual(thin.needed, 6)

    def test_terminal_blocks_count_one_of_their_own_largest(self) -> None:
        self.assertEqual(a_box(terminals=[{"size": "8", "count": 2}]).needed, 6)

    def test_an_empty_box_needs_nothing(self) -> None:
        empty = a_box(clamps=True)
        self.assertEqual((empty.needed, empty.passes, empty.lines), (0, True, ()))


class Volumes(unittest.TestCase):
    def test_rings_gangs_and_stamped_volumes(self) -> None:
        self.assertEqual(a_box("square-4-1-1/2", rings=[6.1, 3.5]).volume, 30.6)
        self.assertEqual(a_box("masonry-3-1/2", gangs=3).volume, 63)
        self.assertEqual(a_box({"volume": 24.5}).volume, 24.5)

    def test_what_would_make_it_pass(self) -> None:
        # 10 x 2.25 = 22.5 and clamps 2.25: 24.75, 3.75 too much for 21.
        result = a_box(clamps=True, conductors=[{"size": "12", "ends": 10}])
        self.assertEqual(len(result.to_pass), 2)
        self.assertIn("3.75 in³", EN_US.text(result.to_pass[0]))
        self.assertIn("2 12 AWG fewer", EN_US.text(result.to_pass[1]))
        # Nine wires: 22.5, 1.5 too much: the clamps' 2.25 are enough.
        nine = a_box(clamps=True, conductors=[{"size": "12", "ends": 9}])
        self.assertIn("clamp outside", EN_US.text(nine.to_pass[0]))
        self.assertTrue(a_box(conductors=[{"size": "12", "ends": 9}]).passes)
        self.assertEqual(a_box(conductors=[{"size": "12", "ends": 9}]).to_pass, ())

    def test_no_standard_box_is_large_enough(self) -> None:
        self.assertIsNone(a_box(conductors=[{"size": "6", "ends": 9}]).smallest)

    def test_a_conduit_body_needs_twice_its_largest_conduit(self) -> None:
        body = {"volume": 24.5, "inside": 0.6, "conduit": 0.304}
        self.assertIn("body-too-narrow", codes_in(a_box(body)))
        self.assertFalse(a_box(body).passes)
        self.assertTrue(a_box({**body, "inside": 0.608}).passes)
