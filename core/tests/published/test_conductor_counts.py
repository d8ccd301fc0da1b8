"""How many conductors alike go into conduit: NFPA 70 (2023), annex C, where its figures are known
for certain."""

from __future__ import annotations

import unittest

from core.tests.fill.helpers import by_area, wire
from yarrow.catalog.wiring import bores, us_wires
from yarrow.fill.area import Area, as_raceway
from yarrow.fill.counting import max_count

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


XHHW_IN_EMT = {
    "14": (8, 15, 25, 43, 58, 96, 168, 254, 332, 424),
    "12": (6, 11, 19, 33, 45, 74, 129, 195, 255, 326),
    "10": (5, 8, 14, 24, 33, 55, 96, 145, 190, 243),
    "8": (2, 5, 8, 13, 18, 30, 53, 81, 105, 135),
}

THW_IN_EMT = {**XHHW_IN_EMT, "6": (1, 3, 4, 8, 11, 18, 32, 48, 63, 81)}

THHN_IN_IMC = {
    "14": (14, 24, 39, 68, 91, 149, 211, 326, 436, 562),
    "12": (10, 17, 29, 49, 67, 109, 154, 238, 318, 410),
    "8": (3, 6, 10, 18, 24, 39, 56, 86, 115, 149),
    "6": (2, 4, 7, 13, 17, 28, 40, 62, 83, 107),
}

THHN_IN_RMC = {
    "14": (13, 22, 36, 63, 85, 140, 200, 309, 412, 531, 833, 1202),
    "12": (9, 16, 26, 46, 62, 102, 146, 225, 301, 387, 608, 877),
    "10": (6, 10, 17, 29, 39, 64, 92, 142, 189, 244, 383, 552),
    "8": (3, 6, 9, 16, 22, 37, 53, 82, 109, 140, 221, 318),
    "6": (2, 4, 7, 12, 16, 27, 38, 59, 79, 101, 159, 230),
    "4": (1, 2, 4, 7, 10, 16, 23, 36, 48, 62, 98, 141),
    "3": (1, 1, 3, 6, 8, 14, 20, 31, 41, 53, 83, 120),
    "2": (1, 1, 3, 5, 7, 11, 17, 26, 34, 44, 70, 100),
    "1": (1, 1, 1, 4, 5, 8, 12, 19, 25, 33, 51, 74),
    "1/0": (1, 1, 1, 3, 4, 7, 10, 16, 21, 27, 43, 63),
}

THHN_IN_PVC_40 = {
    "14": (11, 21, 34, 60, 82, 135, 193, 299, 401, 517, 815, 1178),
    "12": (8, 15, 25, 43, 59, 99, 141, 218, 293, 377, 594, 859),
    "10": (5, 9, 15, 27, 37, 62, 89, 137, 184, 238, 374, 541),
    "8": (3, 5, 9, 16, 21, 36, 51, 79, 106, 137, 216, 312),
    "6": (1, 4, 6, 11, 15, 26, 37, 57, 77, 99, 156, 225),
}

TABLES = (
    ("emt", "thhn", THHN_IN_EMT),
    ("emt", "xhhw", XHHW_IN_EMT),
    ("emt", "thw", THW_IN_EMT),
    ("imc", "thhn", THHN_IN_IMC),
    ("rmc", "thhn", THHN_IN_RMC),
    ("pvc40", "thhn", THHN_IN_PVC_40),
)


class AnnexC(unittest.TestCase):
    def test_every_count_that_is_known_for_certain(self) -> None:
        for kind, insulation, table in TABLES:
            for size, counts in table.items():
                sizes = (*SIZES, "5", "6")[: len(counts)]
                for trade, count in zip(sizes, counts, strict=True):
                    with self.subTest(kind=kind, insulation=insulation, wire=size, conduit=trade):
                        asked = wire(1, size, insulation)
                        self.assertEqual(by_area(asked, size=trade, kind=kind).most, (count,))

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
                    self.assertEqual(max_count(Area("in"), as_raceway(bore), each), expected)
