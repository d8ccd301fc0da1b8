"""How many conductors alike go into EMT: NFPA 70 (2023), annex C, table C.1, THHN."""

from __future__ import annotations

import unittest

from core.tests.fill.asking import by_area, wire
from yarrow.catalog.wiring import bores, us_wires
from yarrow.fill.area import Area, as_holder
from yarrow.fill.counting import most_of

SIZES = ("1/2", "3/4", "1", "1-1/4", "1-1/2", "2", "2-1/2", "3", "3-1/2", "4")

THHN_IN_EMT = {
    "14": (12, 22, 35, 61, 84, 138, 241, 364, 476, 608),
    "12": (9, 16, 26, 45, 61, 101, 176, 266, 347, 443),
    "10": (5, 10, 16, 28, 38, 63, 111, 167, 219, 279),
    "8": (3, 6, 9, 16, 22, 36, 64, 96, 126, 161),
    "6": (2, 4, 7, 12, 16, 26, 46, 69, 91, 116),
    "4": (1, 2, 4, 7, 10, 16, 28, 43, 56, 71),
    "3": (1, 1, 3, 6, 8, 13, 24, 36, 47, 60),
    "2": (1, 1, 3, 5, 7, 11, 20, 30, 40, 51),
    "1": (1, 1, 1, 4, 5, 8, 15, 22, 29, 37),
    "1/0": (1, 1, 1, 3, 4, 7, 12, 19, 25, 32),
    "2/0": (0, 1, 1, 2, 3, 6, 10, 16, 20, 26),
    "3/0": (0, 1, 1, 1, 3, 5, 8, 13, 17, 22),
    "4/0": (0, 1, 1, 1, 2, 4, 7, 11, 14, 18),
    "250": (0, 0, 1, 1, 1, 3, 6, 9, 11, 15),
    "300": (0, 0, 1, 1, 1, 3, 5, 7, 10, 13),
    "350": (0, 0, 1, 1, 1, 2, 4, 6, 9, 11),
    "400": (0, 0, 0, 1, 1, 1, 4, 6, 8, 10),
    "500": (0, 0, 0, 1, 1, 1, 3, 5, 6, 8),
}


class ThhnInEmt(unittest.TestCase):
    def test_every_count_of_the_published_table(self) -> None:
        for size, counts in THHN_IN_EMT.items():
            for trade, count in zip(SIZES, counts, strict=True):
                with self.subTest(wire=size, conduit=trade):
                    self.assertEqual(by_area(wire(1, size), size=trade).most, (count,))

    def test_as_many_as_the_table_says_pass_and_one_more_does_not(self) -> None:
        for size, count in (("12", 9), ("10", 5), ("8", 3), ("6", 2), ("1/0", 1)):
            with self.subTest(size=size):
                self.assertTrue(by_area(wire(count, size)).passes)
                self.assertFalse(by_area(wire(count + 1, size)).passes)
                self.assertEqual(by_area(wire(count, size)).room, (0,))


class EveryTable(unittest.TestCase):
    def test_every_conduit_and_insulation_counts_as_the_arithmetic_of_its_table_does(self) -> None:
        """Annex C is chapter 9 worked through: floor(share x inside / area + 0.2), with the share
        of the count that comes out."""
        for bore in bores().values():
            if bore.area is None:
                continue
            for conductor in us_wires().values():
                inside, each = float(bore.area), float(conductor.area)
                expected = int(0.40 * inside / each + 0.2 + 1e-9)
                if expected < 3:
                    two, one = 0.31 * inside / each + 0.2, 0.53 * inside / each + 0.2
                    expected = 2 if two + 1e-9 >= 2 else 1 if one + 1e-9 >= 1 else 0
                with self.subTest(conduit=bore.name, wire=conductor.name):
                    self.assertEqual(most_of(Area("in"), as_holder(bore), each), expected)
