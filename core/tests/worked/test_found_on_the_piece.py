"""What a tape reads on the piece with just the bends made that come before, worked out by hand.

The bender: a former of 4 in, on half-inch thin wall, 0.706 across. A mark lies where an arc begins,
seen from the end that the hook faces, or at the back of a 90 that is hooked to the pipe's end. The
tangent of a 90 is 4, of a 30 it is 4 tan 15 = 1.0718; half the pipe is 0.353.
"""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    box_offset,
    end,
    kick,
    metric,
    offset,
    run,
    saddle3,
    saddle4,
    turn,
)
from yarrow.runs.model.plan import FoundMark

CUT = None
FORMER = {"kind": "bench", "radius": 4, "take_up": 6, "hook": 1, "heel": 1}


def rows(document: dict[str, Any]) -> dict[int | None, FoundMark]:
    return {row.bend: row for row in yarrow.plan.values(document).finding_marks}


def former(*walk: dict[str, Any]) -> dict[int | None, FoundMark]:
    return rows(run(*walk, bender=FORMER))


class Found(unittest.TestCase):
    def assert_row(
        self,
        row: FoundMark,
        on: str,
        reads: float,
        *,
        of: int | None = None,
        leg: int | None = None,
        over: bool = False,
        at_mark: float | None = None,
    ) -> None:
        told = (row.on, row.of, row.parallel_to, row.over, row.flat)
        self.assertEqual(told, (on, of, leg, over, False))
        self.assertAlmostEqual(row.reads, reads, places=3)
        self.assertAlmostEqual(row.at_mark, reads if at_mark is None else at_mark, places=3)

    def test_back_to_back(self) -> None:
        found = former(turn(20), turn(30), end(15))
        # To its back 20: to its vertex 20 - 0.353, to its arc 4 less.
        self.assert_row(found[0], "start", 15.647)
        # From back to back 30, likewise.
        self.assert_row(found[1], "back", 25.647, of=0, leg=1)
        self.assert_row(found[CUT], "back", 15, of=1, leg=2)

    def test_a_set_then_a_90_then_the_cut(self) -> None:
        found = former(offset(30, 5), turn(60), end(20))
        # Rise 5 less 4 (1 - cos 30) = 0.5359.
        self.assert_row(found[0], "height", 4.4641, of=1, leg=2)
        self.assertEqual(found[0].bends_to, "parallel")
        # The tape parallel to the leg, over the set: as far as the walk has it.
        self.assert_row(found[2], "start", 60, leg=2, over=True)
        self.assert_row(found[CUT], "back", 20, of=2, leg=3)

    def test_a_90_then_a_set_then_a_90(self) -> None:
        found = former(turn(20), offset(30, 5, 30, "out"), turn(60), end(20))
        # It is over at 30, where the far arc ends: 30 - 1.0718 - 5 / tan 30 - 1.0718.
        self.assert_row(found[1], "back", 19.1962, of=0, leg=1)
        self.assert_row(found[2], "height", 4.4641, of=1, leg=1)
        # Back to back 60, over the set.
        self.assert_row(found[3], "back", 55.647, of=0, leg=3, over=True)

    def test_the_cut_behind_a_set_is_from_the_back_of_the_90_before(self) -> None:
        found = former(turn(20), offset(30, 5, 30, "out"), end(60))
        self.assert_row(found[CUT], "back", 60, of=0, leg=3, over=True)

    def test_two_sets_in_a_row(self) -> None:
        found = former(offset(20, 3), offset(50, 3, 30, "right"), end(80))
        # 50 - 2 x 1.0718 - 3 / tan 30; 3 less 0.5359.
        self.assert_row(found[2], "start", 42.6603, leg=2, over=True)
        self.assert_row(found[3], "height", 2.4641, of=2, leg=2)
        self.assert_row(found[CUT], "start", 80, leg=4, over=True)

    def test_a_saddle_s_bends_go_on_with_its_first(self) -> None:
        found = former(saddle3(30, 2), turn(60), end(20))
        # Outer to centre: (2 + 4 (1 / cos 22.5 - 1)) / sin 22.5 = 6.0875 from vertex to vertex,
        # less 4 tan 11.25 and 4 tan 22.5: 3.6350 of straight; arcs of 1.5708 and 3.1416.
        self.assert_row(found[1], "centre", 5.2058, of=2)
        self.assert_row(found[0], "centre", 11.9823, of=2)
        self.assert_row(found[3], "start", 60, leg=3, over=True)

    def test_a_wide_saddle_is_two_sets(self) -> None:
        found = former(turn(20), saddle4(30, 6, 3), end(60))
        self.assert_row(found[2], "height", 2.4641, of=1, leg=1)
        # Six wide: it begins to come down at 36.
        self.assert_row(found[3], "back", 36, of=0, leg=3, over=True)
        self.assert_row(found[4], "height", 2.4641, of=3, leg=3)

    def test_a_box_offset(self) -> None:
        found = former(box_offset("start", "1/2", angle=10), turn(40), end(20))
        # 1/2 less 4 (1 - cos 10) = 0.0608.
        self.assert_row(found[1], "height", 0.4392, of=0, leg=0)

    def test_behind_a_kick_only_the_straight_pipe_tells(self) -> None:
        found = former(kick(20, 3, "out"), turn(40), end(20))
        self.assertEqual((found[1].on, found[1].parallel_to, found[1].flat), ("start", None, True))

    def test_a_mark_ahead_of_its_arc_stands_less_far_off(self) -> None:
        # By hand, K = 5 and G = 2 5/8: R = 4.47107, so the front mark is 5 - 4.47107 - 0.353 =
        # 0.17593 before its arc, toward the leg that is gauged over; the rise is 5.
        found = rows(run(offset(30, 5), turn(60), end(30), marking="as-you-go"))
        height = 5 - 4.47107 * (1 - 0.866025)
        self.assert_row(found[0], "height", height, of=1, leg=2, at_mark=height - 0.17593 * 0.5)

    def test_where_the_far_bend_is_made_first_the_start_is_cut_last(self) -> None:
        # The stub of 30 from the end to its back mark: 30 less the gain of 2 5/8.
        found = rows(run(offset(30, 5), turn(60), end(30), marking="as-you-go"))
        self.assert_row(found[2], "end", 27.375)
        self.assert_row(found[CUT], "back", 60, of=2, leg=0, over=True)
        self.assertEqual({row.first for row in found.values()}, {"end"})
        flat = rows(run(offset(30, 5), turn(60), end(30), marking="flat"))
        self.assertEqual({row.first for row in flat.values()}, {"start"})
        self.assert_row(flat[CUT], "back", 30, of=2, leg=3)

    def test_in_millimetres(self) -> None:
        found = rows(metric(offset(500, 80), turn(1000), end(600)))
        # A radius of 65: 80 - 65 (1 - cos 30).
        self.assert_row(found[0], "height", 71.2917, of=1, leg=2)
        self.assert_row(found[2], "start", 1000, leg=2, over=True)
        self.assert_row(found[CUT], "back", 600, of=2, leg=3)
        self.assertEqual(str(found[0].at_mark_text), "71")


if __name__ == "__main__":
    unittest.main()
