"""Fill by area: worked by hand, by brute force, and what it says beside the verdict."""

from __future__ import annotations

import math
import unittest

from hypothesis import given
from hypothesis import strategies as st

from core.tests.fill.helpers import by_area, cable, codes_in, finding_in, wire
from yarrow.catalog.wiring import us_wires
from yarrow.fill.area import Area
from yarrow.fill.check import raceway_of
from yarrow.fill.counting import Load, additional_count, fits, max_count
from yarrow.wording.wording import EN_US


class WorkedByHand(unittest.TestCase):
    def test_nine_12_and_a_cable_in_three_quarter_emt(self) -> None:
        # 9 x 0.0133 = 0.1197; pi/4 x 0.43^2 = 0.1452; together 0.2649 of 0.4 x 0.533 = 0.2132.
        result = by_area(wire(9, "12"), cable(1, 0.43), size="3/4")
        self.assertAlmostEqual(result.used, 0.2649, delta=0.00005)
        self.assertAlmostEqual(result.limit, 0.2132, delta=0.00005)
        self.assertEqual((result.passes, result.smallest), (False, "1"))
        self.assertEqual(finding_in(result, "does-not-fit").remedy.value, "1")  # type: ignore[union-attr]

    def test_room_is_what_still_goes_in_beside_the_rest(self) -> None:
        # Inch EMT: 0.3456 - 0.2649 = 0.0807 left: six more of 0.0133, no more of 0.1452.
        result = by_area(wire(9, "12"), cable(1, 0.43), size="1")
        self.assertEqual(result.room, (6, 0))
        self.assertEqual(result.most, (26, 2))
        self.assertAlmostEqual(result.left, 0.0807, delta=0.00005)

    def test_two_conductors_have_the_least_share(self) -> None:
        # 31 % of 0.533 is 0.1652: two 4 AWG at 0.0824 go in, a 4 and a 3 (0.1797) do not.
        self.assertTrue(by_area(wire(2, "4"), size="3/4").passes)
        self.assertFalse(by_area(wire(1, "4"), wire(1, "3"), size="3/4").passes)
        # With a third, thin one, it is 40 % of 0.533, 0.2132, and they do: 0.1797 + 0.0133.
        self.assertTrue(by_area(wire(1, "4"), wire(1, "3"), wire(1, "12"), size="3/4").passes)

    def test_a_nipple_takes_sixty_percent(self) -> None:
        # 0.6 x 0.304 = 0.1824 / 0.0133 = 13.7 to nine alike at 40 %.
        self.assertEqual(by_area(wire(1, "12"), nipple=True).most, (13,))
        self.assertEqual(by_area(wire(1, "12"), nipple=True, length=24).most, (13,))
        long = by_area(wire(1, "12"), nipple=True, length="24 1/16")
        self.assertEqual(long.most, (9,))
        self.assertIn("24 in", finding_in(long, "not-a-nipple").text)
        self.assertEqual(by_area(wire(9, "12"), nipple=True).heat.percent, 100)
        # 24 in are 609.6 mm, of conduit in inches and of one in millimetres.
        for conduit in ({"kind": "emt"}, {"kind": "steel", "size": "20"}):
            for length, longer in ((609, False), (610, True)):
                checked = by_area(wire(1, "12"), nipple=True, units="mm", length=length, **conduit)
                self.assertEqual("not-a-nipple" in codes_in(checked), longer, conduit)

    def test_an_oval_counts_by_its_larger_side(self) -> None:
        oval = by_area({"count": 1, "width": "0.43", "height": 0.2}, size="3/4")
        self.assertAlmostEqual(oval.used, math.pi / 4 * 0.43**2)
        self.assertAlmostEqual(oval.conductors[0].height or 0, 0.2)
        self.assertEqual(
            by_area({"count": 1, "width": 0.2, "height": 0.43}, size="3/4").used, oval.used
        )

    def test_bare_grounds_take_less_than_insulated_ones(self) -> None:
        bare = by_area(wire(3, "12"), wire(1, "12", "bare"))
        self.assertAlmostEqual(bare.used, 3 * 0.0133 + 0.005)
        self.assertEqual((bare.conductors[1].role, bare.heat.carrying), ("earth", 3))

    def test_without_a_size_the_smallest_that_passes_is_taken(self) -> None:
        chosen = by_area(wire(10, "12"), size=None)
        self.assertEqual(
            (chosen.conduit.size, chosen.passes, chosen.smallest), ("3/4", True, "3/4")
        )
        none = by_area(cable(1, 12), size=None)
        self.assertEqual((none.smallest, none.passes), (None, False))
        self.assertIn("part it", finding_in(none, "does-not-fit").text)

    def test_the_smallest_of_every_material(self) -> None:
        sizes = {each.type: each.size for each in by_area(wire(16, "12"), size="3/4").by_type}
        # 0.2128 needed: schedule 80 has 0.4 x 0.409 = 0.1636 at 3/4 and 0.2752 at 1;
        # schedule 40 0.4 x 0.508 = 0.2032, 15.28 of them.
        self.assertEqual(
            sizes, {"emt": "3/4", "imc": "3/4", "rmc": "3/4", "pvc40": "1", "pvc80": "1"}
        )

    def test_spare_is_kept_by_sizes_and_counts_but_is_no_rule(self) -> None:
        # 20 % of 0.1216 free leaves 0.0973, 7.3 of 0.0133.
        eight = by_area(wire(8, "12"), spare=20)
        self.assertTrue(eight.passes)
        self.assertEqual((eight.most, eight.smallest), ((7,), "3/4"))
        self.assertEqual(finding_in(eight, "spare-not-kept").level, "warning")
        self.assertNotIn("spare-not-kept", codes_in(by_area(wire(7, "12"), spare=20)))


class WhatItSays(unittest.TestCase):
    def test_three_alike_may_jam(self) -> None:
        # 1.05 x 0.622 / 0.216 = 3.02 with three 8 AWG in 1/2 EMT.
        three = by_area(wire(3, "8"))
        self.assertAlmostEqual(three.jam or 0, 3.024, delta=0.0005)
        self.assertIn("3.02", finding_in(three, "may-jam").text)
        self.assertNotIn("may-jam", codes_in(by_area(wire(2, "8"))))
        # A thin ground beside them changes nothing; 4 AWG in inch conduit has 3.4.
        self.assertIn("may-jam", codes_in(by_area(wire(3, "8"), wire(1, "14"), size="1/2")))
        self.assertNotIn("may-jam", codes_in(by_area(wire(3, "4"), size="1")))

    def test_a_cable_larger_than_the_pipe(self) -> None:
        result = by_area(cable(1, "5/8"))
        self.assertFalse(result.passes)
        self.assertEqual(finding_in(result, "wider-than-inside").path, "conductors[0]")

    def test_tight_asks_for_lubricant(self) -> None:
        self.assertIn("ubricant", finding_in(by_area(wire(9, "12")), "tight").text)
        self.assertNotIn("tight", codes_in(by_area(wire(8, "12"))))

    def test_eight_tenths_of_one_count_as_one(self) -> None:
        # 0.2132 / 0.0366 = 5.825: six 8 AWG in 3/4, a little over the share.
        six = by_area(wire(6, "8"), size="3/4")
        self.assertTrue(six.passes)
        self.assertGreater(six.share, 1)
        self.assertIn("eight tenths", finding_in(six, "rounded-up").text)
        # Not for mixed sizes.
        self.assertFalse(by_area(wire(5, "8"), wire(1, "6"), size="3/4").passes)

    def test_heat_is_a_question_of_its_own_and_said_every_time(self) -> None:
        factors = {3: 100, 4: 80, 7: 70, 10: 50, 21: 45, 31: 40, 41: 35}
        for count, percent in factors.items():
            result = by_area(wire(count, "14"), size="2")
            self.assertEqual(result.heat.percent, percent)
            self.assertIn("does not cover ampacity", finding_in(result, "heat-is-separate").text)
            self.assertIn("310.15(C)(1)", result.heat.source)

    def test_the_rule_its_edition_and_its_source_are_told(self) -> None:
        rule = by_area(wire(1, "12")).rule
        self.assertEqual((rule.source, rule.edition), ("NFPA 70, chapter 9, table 1", "2023"))
        self.assertEqual(EN_US.text(rule.text), "one conductor: 53 %")

    def test_the_other_way_beside_it(self) -> None:
        # 20 ft and three bends: 16 mm has 6000 / (30 + 6.096 x 8) = 76; nine 12 AWG as 4 mm2, 43.
        beside = by_area(wire(9, "12"), length="20'", bends=3).beside
        assert beside is not None
        self.assertEqual((beside.limit, beside.used, beside.passes), (76, 9 * 43, False))
        self.assertIn("read as 16 mm conduit", EN_US.text(beside.text))
        none = by_area(cable(1, 0.3), length=60).beside
        assert none is not None
        self.assertIsNone(none.passes)
        self.assertIn("No figure", EN_US.text(none.text))
        self.assertIsNone(by_area(wire(9, "12")).beside)


sizes = st.sampled_from([size for kind, size in us_wires() if kind == "thhn"][:10])
loads = st.lists(st.tuples(st.integers(1, 9), sizes), min_size=1, max_size=4)
trades = st.sampled_from(["1/2", "3/4", "1", "1-1/4", "2"])


class AgainstCountingUpOneByOne(unittest.TestCase):
    @given(loads, trades, st.sampled_from([0, 10, 35]))
    def test_room_and_most(self, load: list[tuple[int, str]], trade: str, spare: float) -> None:
        raceway, method = raceway_of("emt", trade), Area("in")
        listed = [Load(count, float(us_wires()["thhn", size].area)) for count, size in load]
        for index, (count, each) in enumerate((one.count, one.each) for one in listed):
            alone = max(
                (n for n in range(1, 700) if fits(method, raceway, [Load(n, each)], spare)),
                default=0,
            )
            self.assertEqual(max_count(method, raceway, each, spare), alone)
            room = additional_count(method, raceway, listed, index, spare)
            if not fits(method, raceway, listed, spare):
                self.assertEqual(room, 0)
                continue

            def with_more(more: int, at: int = index, own: int = count) -> bool:
                grown = [*listed]
                grown[at] = Load(own + more, listed[at].each)
                return fits(method, raceway, grown, spare)

            self.assertEqual(room, max((n for n in range(700) if with_more(n)), default=0))
