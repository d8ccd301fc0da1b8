"""Drawing-in factors and trunking, worked by hand, and circuits to conductors."""

from __future__ import annotations

import math
import unittest

from core.tests.fill.helpers import (
    by_area,
    by_factor,
    cable,
    codes_in,
    core,
    finding_in,
    in_trunking,
    wire,
)
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.reading import fill_document


class Factors(unittest.TestCase):
    def test_six_and_three_over_4_2_metres_and_two_bends(self) -> None:
        # 6 x 30 + 3 x 22 = 246; 10000 / (31 + 4.2 x 4) = 209.2; 25 mm: 19000 / (33 + 16.8) = 381.5.
        result = by_factor(core(6, 2.5), core(3, 1.5))
        self.assertEqual((result.used, result.limit, result.passes), (246, 209, False))
        self.assertEqual(result.smallest, "25")
        bigger = by_factor(core(6, 2.5), core(3, 1.5), size="25")
        self.assertEqual((bigger.limit, bigger.passes), (382, True))
        self.assertEqual(bigger.room, ((382 - 246) // 30, (382 - 246) // 22))
        self.assertEqual(bigger.most, (382 // 30, 382 // 22))

    def test_the_printed_rows_that_it_lies_between(self) -> None:
        rows = by_factor(core(1, 1.5)).rows
        self.assertEqual([(row.length_m, row.factor) for row in rows], [(4, 213), (4.5, 204)])
        on_one = by_factor(core(1, 1.5), length=5000).rows
        self.assertEqual([row.length_m for row in on_one], [5])

    def test_short_straight_runs_read_the_cable_in_their_own_table(self) -> None:
        short = by_factor(core(10, 2.5, "solid"), length=3000, bends=0)
        self.assertEqual((short.used, short.limit, short.passes), (390, 460, True))
        with self.assertRaises(DocumentError) as refused:
            by_factor(core(1, 1.0), length=1000, bends=0)
        self.assertEqual(refused.exception.path, "conductors[0].csa")
        self.assertIn("short straight runs", refused.exception.expected)

    def test_beyond_the_printed_table_a_draw_in_box(self) -> None:
        self.assertIn(
            "draw-in box", finding_in(by_factor(core(1, 1.5), bends=5), "beyond-the-table").text
        )
        far = by_factor(core(1, 1.5), length=10_001, bends=0)
        self.assertEqual(finding_in(far, "beyond-the-table").path, "length")
        at_the_end = by_factor(core(1, 1.5), length=10_000, bends=4)
        self.assertNotIn("beyond-the-table", codes_in(at_the_end))

    def test_by_area_beside_it(self) -> None:
        # Nine cores of 4.0 and 3.3 mm: 6 x 12.566 + 3 x 8.553 = 101.06 of 0.4 x 224.3 = 89.7 mm2.
        beside = by_factor(core(6, 2.5), core(3, 1.5)).beside
        assert beside is not None
        self.assertAlmostEqual(beside.used, 101.06, delta=0.005)
        self.assertAlmostEqual(beside.limit, 0.4 * math.pi / 4 * 16.9**2)

    def test_no_counting_up_by_eight_tenths(self) -> None:
        # 209 / 30 = 6.97.
        self.assertEqual(by_factor(core(6, 2.5)).most, (6,))
        self.assertFalse(by_factor(core(7, 2.5)).passes)


class InTrunking(unittest.TestCase):
    def test_the_printed_factor_of_a_usual_size(self) -> None:
        # 24 x 12.6 = 302.4 of 1037.
        result = in_trunking(core(24, 2.5), width=50, height=50)
        self.assertAlmostEqual(result.used, 302.4)
        self.assertEqual((result.limit, result.passes, result.most), (1037, True, (82,)))
        self.assertIn("1125", finding_in(result, "printed-factor").text)

    def test_cables_take_their_printed_factors_with_it(self) -> None:
        # 15 x 8.6 + 34 x 12.6, by the book.
        loads = (core(15, 1.5), core(34, 2.5))
        self.assertAlmostEqual(in_trunking(*loads, width=50, height=50).used, 557.4)
        # In a trunking measured inside they take what their diameters say: 3.3 and 4.0 mm.
        own = in_trunking(*loads, width=50, height=50, own=True)
        self.assertAlmostEqual(own.used, 15 * math.pi / 4 * 3.3**2 + 34 * math.pi / 4 * 4.0**2)

    def test_thermosetting_cable_has_its_own_column_to_be_checked(self) -> None:
        thermosetting = {**core(24, 2.5), "cover": "thermosetting"}
        result = in_trunking(thermosetting, width=50, height=50)
        self.assertAlmostEqual(result.used, 24 * 13.9)
        note = finding_in(result, "figure-to-check")
        self.assertEqual((note.level, note.path), ("note", "conductors"))
        self.assertIn("BS 7671", note.source)
        self.assertNotIn("figure-to-check", codes_in(in_trunking(core(1, 2.5))))
        own = in_trunking(thermosetting, width=50, height=50, own=True)
        self.assertAlmostEqual(own.used, 24 * 13.9, places=4)

    def test_an_own_size_takes_45_percent_of_its_inside(self) -> None:
        own = in_trunking(core(24, 2.5), width=50, height=50, own=True)
        self.assertEqual(own.limit, 1125)
        odd = in_trunking(core(1, 2.5), width="2 in", height=40)
        self.assertAlmostEqual(odd.limit, 0.45 * 50.8 * 40)

    def test_either_way_round_and_the_smallest(self) -> None:
        self.assertEqual(in_trunking(core(1, 25), width=38, height=75).limit, 1146)
        # 60 x 12.6 = 756: more than 75x25 takes (738), less than 50x38 (767).
        self.assertEqual(in_trunking(core(60, 2.5)).conduit.size, "50x38")
        self.assertIsNone(in_trunking(core(400, 2.5)).smallest)

    def test_cables_by_diameter_go_in_and_one_wider_than_the_trunking_does_not(self) -> None:
        self.assertAlmostEqual(
            in_trunking(cable(2, 14), width=50, height=50).used, 2 * math.pi / 4 * 14**2
        )
        wide = in_trunking(cable(1, 26), width=100, height=25)
        self.assertFalse(wide.passes)
        self.assertIn("wider-than-inside", codes_in(wide))
        # 75x25 has the room, 531 of 738, and is too low; 50 x 38 is the least that is high enough.
        self.assertEqual(wide.smallest, "50x38")

    def test_a_core_whose_diameter_no_table_has(self) -> None:
        with self.assertRaises(DocumentError) as refused:
            in_trunking(core(1, 1.0), width=50, height=50)
        self.assertEqual(refused.exception.path, "conductors[0].csa")


class FromCircuits(unittest.TestCase):
    def parts(self, *circuits: dict[str, object], **more: object) -> dict[str, int]:
        result = by_area(size="2", circuits=list(circuits), **more)
        found: dict[str, int] = {}
        for part in result.conductors:
            found[f"{part.size} {part.role}"] = (
                found.get(f"{part.size} {part.role}", 0) + part.count
            )
        return found

    def circuit(self, kind: str, **more: object) -> dict[str, object]:
        return {"kind": kind, "insulation": "thhn", "size": "12", **more}

    def test_what_each_kind_is_made_of(self) -> None:
        expected = {
            "lighting": {"line": 1, "neutral": 1, "earth": 1},
            "radial": {"line": 1, "neutral": 1, "earth": 1},
            "ring": {"line": 2, "neutral": 2, "earth": 1},
            "two_pole": {"line": 2, "earth": 1},
            "three_phase": {"line": 3, "earth": 1},
            "switch_leg": {"line": 1, "earth": 1},
        }
        for kind, parts in expected.items():
            with self.subTest(kind=kind):
                found = self.parts(self.circuit(kind))
                self.assertEqual(found, {f"12 {role}": count for role, count in parts.items()})

    def test_one_ground_of_the_largest_serves_all_by_area_and_each_has_its_own_by_factors(
        self,
    ) -> None:
        two = (self.circuit("lighting", count=3), self.circuit("three_phase", size="8"))
        self.assertEqual(self.parts(*two)["8 earth"], 1)
        self.assertNotIn("12 earth", self.parts(*two))
        self.assertEqual(self.parts(*two, one_earth=False)["12 earth"], 3)
        rings = fill_document(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "conduit": {"type": "steel", "size": "25"},
                "length": 3000,
                "bends": 1,
                "circuits": [{"kind": "ring", "count": 2, "csa": 2.5, "earth_csa": 1.5}],
            }
        )
        # Two rings: four lines, four neutrals of 2.5 (30 each), four earths of 1.5 (22 each).
        self.assertEqual((rings.used, rings.count), (8 * 30 + 4 * 22, 12))

    def test_without_earth_with_neutral_and_with_travellers(self) -> None:
        self.assertEqual(
            self.parts(self.circuit("three_phase", neutral=True, earth=False)),
            {"12 line": 3, "12 neutral": 1},
        )
        lit = by_area(size="2", circuits=[self.circuit("lighting", travellers=2)])
        self.assertEqual(lit.count, 5)
        # Line, neutral, and one of the two travellers at a time.
        self.assertEqual(lit.heat.carrying, 3)
        # Of three travellers two.
        odd = by_area(size="2", circuits=[self.circuit("lighting", travellers=3)])
        self.assertEqual((odd.count, odd.heat.carrying), (6, 4))

    def test_listed_conductors_come_first_then_circuits(self) -> None:
        both = by_area(wire(2, "10"), size="2", circuits=[self.circuit("radial")])
        self.assertEqual([part.size for part in both.conductors], ["10", "12", "12", "12"])
        self.assertEqual([part.circuit for part in both.conductors], [None, 0, 0, None])
