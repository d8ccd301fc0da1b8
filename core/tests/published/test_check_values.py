"""The check values of docs/geometry.md, each to half of its last printed digit."""

from __future__ import annotations

import math
import unittest

import yarrow
from core.tests.builders import end, metric, offset, planned, saddle3, text_of, turn
from yarrow.benders.catalogued import radius_from_gain
from yarrow.catalog.tables import rules_of_thumb

THOUSANDTH = 0.0005


class HalfInchHandBender(unittest.TestCase):
    def test_a_test_90_gives_the_radius_and_where_the_arc_begins(self) -> None:
        radius = radius_from_gain(2.625, 0.706)
        self.assertAlmostEqual(radius, 4.471, delta=THOUSANDTH)
        self.assertAlmostEqual(5 - radius - 0.353, 0.176, delta=THOUSANDTH)

    def test_a_stub_of_18_3_8(self) -> None:
        plan = planned(turn("18 3/8"), end("30"))
        self.assertAlmostEqual(plan.bends[0].arc_start, 13.551, delta=THOUSANDTH)
        mark = plan.marks[0]
        self.assertAlmostEqual(mark.position, 13.375, delta=THOUSANDTH)
        self.assertEqual((str(mark.text), mark.reference, mark.hook), ("13 3/8", "front", "start"))

    def test_an_offset_of_4_3_8_full_at_47(self) -> None:
        published = {30: (8.695, 48.062), 45: (5.995, 48.427), 60: (4.571, 48.565)}
        for angle, (spacing, full) in published.items():
            with self.subTest(angle=angle):
                plan = planned(offset("47", "4 3/8", angle), end("70"))
                near, far = plan.marks
                self.assertAlmostEqual(far.position - near.position, spacing, delta=THOUSANDTH)
                self.assertAlmostEqual(plan.bends[1].arc_end, full, delta=THOUSANDTH)

    def test_a_3_bend_saddle_over_1_3_4_at_53(self) -> None:
        plan = planned(saddle3("53", "1 3/4"), end("80"))
        near, centre, far = plan.bends
        middle = (centre.arc_start + centre.arc_end) / 2
        self.assertAlmostEqual(middle, 53.302, delta=THOUSANDTH)
        self.assertAlmostEqual(middle - near.arc_end, 4.550, delta=THOUSANDTH)
        self.assertAlmostEqual(far.arc_start - middle, 4.550, delta=THOUSANDTH)
        # The notch is at the middle of a 45, so its mark is where the middle comes.
        self.assertEqual([m.reference for m in plan.marks], ["front", "centre", "front"])
        self.assertEqual([m.hook for m in plan.marks], ["end", "end", "start"])
        self.assertAlmostEqual(plan.marks[1].position, middle, delta=THOUSANDTH)
        # The centre is bent first.
        self.assertEqual(
            [text_of(s.title) for s in plan.steps[1:4]], ["Bend 2", "Bend 1", "Bend 3"]
        )

    def test_the_printed_rule_for_that_saddle(self) -> None:
        near, centre, far = planned(saddle3("53", "1 3/4"), end("80"), method="table").marks
        self.assertAlmostEqual(centre.position, 53 + 21 / 64, delta=0.0005)
        self.assertAlmostEqual(centre.position - near.position, 4.375, delta=0.0005)
        self.assertAlmostEqual(far.position - centre.position, 4.375, delta=0.0005)

    def test_the_printed_rule_for_the_same_offsets(self) -> None:
        published = {30: (8.75, 47 + 3 / 32), 45: (6.186, 48.625), 60: (5.25, 49.1875)}
        shrink_printed = {30: 1 + 3 / 32, 45: 1 + 5 / 8, 60: 2 + 3 / 16}
        for angle, (spacing, _) in published.items():
            with self.subTest(angle=angle):
                plan = planned(offset("47", "4 3/8", angle), end("70"), method="table")
                near, far = plan.marks
                self.assertAlmostEqual(far.position - near.position, spacing, delta=0.001)
                # Printed shrink is told to the nearest 1/32.
                self.assertAlmostEqual(far.position - 47, shrink_printed[angle], delta=1 / 64)

    def test_rule_marks_at_a_radius_of_9_5_come_out_high(self) -> None:
        # Folded with the printed spacing, from the same page.
        published = {30: 4.43, 45: 4.66, 60: 5.43}
        for angle, rise in published.items():
            with self.subTest(angle=angle):
                bender = {"kind": "hand", "radius": 9.5, "take_up": 11, "hook": 0, "heel": 0}
                walk = (offset("47", "4 3/8", angle), end("90"))
                plan = planned(*walk, method="table", bender=bender, round_to="1/32")
                printed = [d for d in plan.dimensions if d.field == "rise"]
                if not printed:  # at this radius the steep ones can't be made exactly at all
                    radians = math.radians(angle)
                    multiplier = {45: 1.414, 60: 1.2}[angle]
                    slope = 4.375 * multiplier - 9.5 * radians + 2 * 9.5 * math.tan(radians / 2)
                    self.assertAlmostEqual(slope * math.sin(radians), rise, delta=0.05)
                    continue
                self.assertAlmostEqual(printed[0].comes_out, rise, delta=0.03)

    def test_back_to_back_is_centre_to_centre_and_one_pipe(self) -> None:
        steel = {"conduit": {"type": "steel", "size": "25"}, "bender": "bench-steel-25"}
        backs = metric(
            turn(300), turn(665, "right", of="back", **{"from": "back"}), end(300), **steel
        )
        centres = metric(
            turn(300), turn(640, "right", of="centre", **{"from": "centre"}), end(300), **steel
        )
        by_back, by_centre = (yarrow.plan.values(document) for document in (backs, centres))
        for one, other in zip(by_back.bends, by_centre.bends, strict=True):
            self.assertAlmostEqual(one.arc_start, other.arc_start, places=9)
        first, second = by_back.path[1], by_back.path[2]
        self.assertAlmostEqual(math.dist(first, second), 640, places=9)

    def test_printed_multipliers_are_the_customary_ones(self) -> None:
        printed = {row.angle: (row.multiplier, row.shrink) for row in rules_of_thumb()}
        self.assertEqual(printed[30], (2.0, 0.25))
        self.assertEqual(printed[22.5], (2.6, 0.1875))
        self.assertEqual(printed[45], (1.414, 0.375))
        for angle, (multiplier, _) in printed.items():
            with self.subTest(angle=angle):
                exact = 1 / math.sin(math.radians(angle))
                self.assertAlmostEqual(multiplier, exact, delta=0.05 * exact)
