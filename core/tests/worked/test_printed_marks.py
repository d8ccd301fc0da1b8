"""Printed marks of every feature, worked with the card's multipliers and shrink on paper."""

from __future__ import annotations

import unittest
from typing import Any

from core.tests.builders import end, offset, planned, saddle3, saddle4, turn
from yarrow.runs.model.plan import WrittenPlan


def printed(*walk: dict[str, Any], **more: Any) -> WrittenPlan:
    return planned(*walk, method="table", **more)


class PrintedMarks(unittest.TestCase):
    def positions(self, plan: WrittenPlan) -> list[float]:
        return [mark.position for mark in plan.marks]

    def assert_marks(self, plan: WrittenPlan, wanted: list[float]) -> None:
        for position, mark in zip(wanted, self.positions(plan), strict=True):
            self.assertAlmostEqual(position, mark, places=9)

    def test_an_offset_by_where_it_begins_its_middle_and_where_it_is_full(self) -> None:
        # 4 at 30: multiplier 2, shrink 1/4 an inch: marks 8 apart, 1 of shrink. The rise takes
        # 4 / tan 30 = 6.9282 of the leg, half of that from the middle on.
        run = 6.928203230275509
        self.assert_marks(printed(offset(47, 4), end(80)), [40, 48])
        self.assert_marks(printed(offset(47, 4, of="begin"), end(80)), [40 + run, 48 + run])
        half = run / 2
        self.assert_marks(printed(offset(47, 4, of="centre"), end(80)), [40 + half, 48 + half])

    def test_a_saddle_of_three(self) -> None:
        # 2 at 45: shrink 3/16 an inch, outers 2 1/2 an inch: 53 + 3/8, 5 to either side.
        plan = printed(saddle3(53, 2), end(110))
        self.assert_marks(plan, [48.375, 53.375, 58.375])
        self.assertEqual([m.hook for m in plan.marks], ["end", "end", "start"])
        self.assertEqual([m.reference for m in plan.marks], ["front", "centre", "front"])

    def test_a_saddle_of_four(self) -> None:
        # 3 at 30 over 8 from 50 on: shrink 3/4; the first full mark at 50 3/4, 6 back; the second
        # offset leaves at 58 3/4, and is down 6 further on. Hooks of the second face the first.
        plan = printed(saddle4(50, 8, 3), end(120))
        self.assert_marks(plan, [44.75, 50.75, 58.75, 64.75])
        self.assertEqual([m.hook for m in plan.marks], ["end", "end", "start", "start"])

    def test_what_a_rule_uses_up_moves_all_behind_it(self) -> None:
        # Exact: an offset of 4 at 30 uses 4 tan 15 - 2 g(30); the card says 1. A saddle of four
        # uses it twice. The stub behind moves by the difference, and so does the cut.
        for line, shrinks in ((offset(40, 4), 1), (saddle4(40, 8, 4), 2), (saddle3(40, 4), 2)):
            exact, card = (planned(line, turn(90), end(40), method=m) for m in ("exact", "table"))
            per = 0.25 * 4 if line["kind"] != "saddle3" else 3 / 16 * 4
            drift = shrinks * per - exact.totals.shrink
            moved = card.marks[-1].position - exact.marks[-1].position
            self.assertAlmostEqual(moved, drift, places=9)
            self.assertAlmostEqual(card.cut_length - exact.cut_length, drift, places=9)

    def test_with_spacers_the_card_works_on_what_is_left_of_the_rise(self) -> None:
        # Three inches off a stand-off of 1: the pipe moves 2. 2 x 2 apart, 1/2 of shrink.
        plan = printed(offset(47, 3, 30, "out"), end(80), stand_off=1)
        self.assert_marks(plan, [43.5, 47.5])
        plan = printed(saddle4(50, 8, 3, toward="in"), end(120), stand_off=1)
        self.assert_marks(plan, [46.5, 50.5, 58.5, 62.5])


if __name__ == "__main__":
    unittest.main()
