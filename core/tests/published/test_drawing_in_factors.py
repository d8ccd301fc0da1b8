"""UK conduit factors as printed, 20 and 25 mm, and the short straight runs."""

from __future__ import annotations

import unittest

from core.tests.fill.helpers import by_factor, core

LENGTHS = (1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 7, 8, 9, 10)
ONE_BEND_20 = (303, 294, 286, 278, 270, 263, 256, 250, 244, 233, 222, 213, 204, 196)
TWO_BENDS_20 = (286, 270, 256, 244, 233, 222, 213, 204, 196, 182, 169, 159, 149, 141)
STRAIGHT_20 = (290, 286, 282, 278, 270, 263, 256, 250, 244)


class PrintedRows(unittest.TestCase):
    def limit(self, metres: float, bends: int, size: str = "20") -> float:
        return by_factor(core(1, 1.5), size=size, length=metres * 1000, bends=bends).limit

    def test_twenty_millimetre_with_bends(self) -> None:
        for bends, row in ((1, ONE_BEND_20), (2, TWO_BENDS_20)):
            for metres, factor in zip(LENGTHS, row, strict=True):
                with self.subTest(metres=metres, bends=bends):
                    self.assertEqual(self.limit(metres, bends), factor)

    def test_twenty_millimetre_straight_and_long(self) -> None:
        for metres, factor in zip(LENGTHS[5:], STRAIGHT_20, strict=True):
            with self.subTest(metres=metres):
                self.assertEqual(self.limit(metres, 0), factor)

    def test_short_straight_runs_have_a_table_of_their_own(self) -> None:
        for size, factor in (("16", 290), ("20", 460), ("25", 800), ("32", 1400), ("63", 5600)):
            self.assertEqual(self.limit(3, 0, size), factor)
        # Beyond 3 m, or with a bend, it no longer holds.
        self.assertEqual(self.limit(3.001, 0), 294)
        self.assertEqual(self.limit(3, 1), 270)

    def test_larger_sizes_are_multiples_of_32(self) -> None:
        of_32 = self.limit(5, 1, "32")
        self.assertEqual(of_32, 783)
        for size, times in (("38", 1.4), ("50", 2.6), ("63", 4.2)):
            self.assertAlmostEqual(self.limit(5, 1, size), times * of_32)
