"""The back-of-bend mark, worked by hand."""

from __future__ import annotations

import unittest

from core.tests.builders import DIAMETER, RADIUS, end, offset, planned, turn


class BackOfBendMark(unittest.TestCase):
    def test_it_goes_on_the_full_distance(self) -> None:
        # Nothing but a long leg: the back of the turn is 60 from the start, and so is the mark.
        # By hand: arc_start = 60 − D/2 − R; back-of-bend mark = arc_start + R + D/2 = 60.
        plan = planned(turn(60), end(30))
        mark = plan.marks[0]
        self.assertEqual((mark.reference, mark.hook, str(mark.text)), ("back", "end", "60"))
        self.assertAlmostEqual(mark.position, 60, places=9)
        self.assertAlmostEqual(plan.bends[0].arc_start, 60 - DIAMETER / 2 - RADIUS, places=9)

    def test_a_short_leg_is_hooked_toward_its_short_end(self) -> None:
        self.assertEqual(planned(turn(20), end(60)).marks[0].hook, "start")

    def test_other_angles_than_90_use_the_front_mark(self) -> None:
        mark = planned(turn(60, angle=45), end(30)).marks[0]
        self.assertEqual(mark.reference, "front")

    def test_marks_of_an_offset_lie_the_arc_s_own_distance_behind_the_front_mark(self) -> None:
        # a = K − R − D/2 = 5 − 4.4711 − 0.353 = 0.1759; hook toward the end: mark = arc_end + a.
        plan = planned(offset(47, "4 3/8"), end(70))
        for mark, bend in zip(plan.marks, plan.bends, strict=True):
            self.assertAlmostEqual(mark.position - bend.arc_end, 0.1759, delta=0.0001)

    def test_on_a_bench_machine_the_former_s_edge_is_where_the_arc_ends(self) -> None:
        bender = {"kind": "bench", "radius": 4.471, "take_up": 4.471 + DIAMETER / 2}
        plan = planned(offset(47, "4 3/8"), end(70), bender=bender)
        for mark, bend in zip(plan.marks, plan.bends, strict=True):
            self.assertEqual(mark.reference, "former")
            self.assertAlmostEqual(mark.position, bend.arc_end, places=9)
