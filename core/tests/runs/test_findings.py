"""Trouble is seen before metal is bent, said with its figure, and mended by its own remedy."""

from __future__ import annotations

import copy
import re
import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    RADIUS,
    codes,
    end,
    found,
    metric,
    offset,
    planned,
    run,
    text_of,
    turn,
)
from yarrow.runs.model.plan import WrittenPlan


def mended(document: dict[str, Any], plan: WrittenPlan, code: str) -> WrittenPlan:
    """The plan after a finding's remedy was touched."""
    remedy = found(plan, code).remedy
    assert remedy
    again = copy.deepcopy(document)
    match = re.fullmatch(r"walk\[(\d+)\]\.(\w+)", remedy.path)
    if match:
        again["walk"][int(match[1])][match[2]] = remedy.value
    else:
        again[remedy.path] = remedy.value
    return yarrow.plan.values(again)


class WhatCantBeMade(unittest.TestCase):
    def check(self, document: dict[str, Any], code: str, feature: int | None) -> WrittenPlan:
        plan = yarrow.plan.values(document)
        finding = found(plan, code)
        self.assertEqual((finding.level, finding.feature), ("error", feature))
        self.assertEqual(plan.steps, ())
        return plan

    def test_arcs_of_an_offset_that_overlap(self) -> None:
        document = run(offset(40, 1, angle=45), end(80))
        plan = self.check(document, "arcs-overlap", 0)
        # Least rise by hand: 2 R (1 − cos 45°) = 2.619, to the next sixteenth 2 5/8.
        self.assertIn("2 5/8 in", found(plan, "arcs-overlap").text)
        self.assertNotIn("arcs-overlap", codes(mended(document, plan, "arcs-overlap")))

    def test_the_remedy_is_the_steepest_angle_that_can_be_bent(self) -> None:
        plan = planned(offset(40, 1, angle=45), end(80))
        remedy = found(plan, "arcs-overlap").remedy
        assert remedy
        # 2 R (1 − cos 22.5°) = 0.681 ≤ 1 < 2 R (1 − cos 30°) = 1.198.
        self.assertEqual((remedy.path, remedy.value), ("walk[0].angle", 22.5))

    def test_arcs_of_two_lines_that_overlap(self) -> None:
        document = run(offset(40, 4), turn(44), end(40))
        plan = self.check(document, "arcs-overlap", 1)
        self.assertNotIn("arcs-overlap", codes(mended(document, plan, "arcs-overlap")))

    def test_a_line_before_the_start(self) -> None:
        for document in (run(offset(5, 4), end(60)), run(turn(2), end(60)), run(turn(-8), end(60))):
            plan = self.check(document, "before-start", 0)
            self.assertNotIn("before-start", codes(mended(document, plan, "before-start")))

    def test_an_end_short_of_its_last_bend(self) -> None:
        for last in (2, 0, -20):
            document = run(turn(40), end(last))
            plan = self.check(document, "end-short", 1)
            self.assertNotIn("end-short", codes(mended(document, plan, "end-short")))

    def test_lines_in_the_wrong_order(self) -> None:
        self.check(run(offset(60, 4), offset(20, 4, toward="right"), end(90)), "out-of-order", 1)

    def test_a_stub_shorter_than_the_take_up_has_its_mark_off_the_pipe(self) -> None:
        # Back at 4 7/8: the arc fits (4.875 > R + D/2 = 4.824), the mark at −1/8 does not. The hook
        # can't face the end either: there is no tail to speak of.
        document = run(turn("4 7/8"), end(9))
        plan = self.check(document, "mark-off-pipe", 0)
        self.assertIn("1/8 in", found(plan, "mark-off-pipe").text)

    def test_a_shoe_that_does_not_take_the_conduit(self) -> None:
        document = run(turn(40), end(40), conduit={"type": "rmc", "size": "3/4"})
        plan = self.check(document, "bender-does-not-fit", None)
        self.assertEqual(plan.marks, ())
        self.assertNotIn(
            "bender-does-not-fit", codes(mended(document, plan, "bender-does-not-fit"))
        )

    def test_a_path_with_a_repeated_point_or_folded_back(self) -> None:
        twice = {**run(), "path": [[0, 0, 0], [30, 0, 0], [30, 0, 0], [30, 30, 0]]}
        back = {**run(), "path": [[0, 0, 0], [30, 0, 0], [10, 0, 0]]}
        for document, code in ((twice, "repeated-point"), (back, "folds-back")):
            del document["walk"]
            plan = yarrow.plan.values(document)
            self.assertEqual(found(plan, code).level, "error")


class WhatToLookOutFor(unittest.TestCase):
    def test_bends_closer_than_the_shoe_needs(self) -> None:
        # 1 3/4 at 45°: straight between = 1.75/sin 45 − 2 T = 2.475 − 3.704 < 0; at 30° it is
        # 3.5 − 2.396 = 1.104 and passes; at 1 5/8 it is 3.25 − 2.396 = 0.854, under the heel's 1.
        document = run(offset(40, "1 5/8"), end(80))
        plan = yarrow.plan.values(document)
        finding = found(plan, "bends-too-close")
        self.assertEqual((finding.level, finding.bends), ("warning", (0, 1)))
        self.assertIn("13/16 in of straight", finding.text)
        self.assertIn("needs 1 in", finding.text)
        self.assertNotIn("bends-too-close", codes(mended(document, plan, "bends-too-close")))
        self.assertTrue(plan.marks)

    def test_a_bend_too_close_to_the_end(self) -> None:
        # After the arc 6 − (R + D/2) = 1.18 remain: too little for the hook's 2.18, enough for the
        # heel's 1, so the bender goes on the other way round.
        plan = planned(turn(60), end(6))
        self.assertEqual((codes(plan), plan.marks[0].hook), ([], "start"))
        plan = planned(turn(60), end("5 1/2"))
        self.assertEqual(found(plan, "too-close-to-end").level, "warning")

    def test_a_stub_under_the_bender_s_least(self) -> None:
        document = run(turn("5 1/2"), end("11 1/2"))
        plan = yarrow.plan.values(document)
        # Take-up 5 and hook 2: 7.
        self.assertIn("7 in", found(plan, "stub-too-short").text)
        self.assertNotIn("stub-too-short", codes(mended(document, plan, "stub-too-short")))

    def test_a_radius_under_the_code(self) -> None:
        bender = {"kind": "hand", "radius": "3 7/8", "take_up": 5}
        finding = found(planned(turn(40), end(40), bender=bender), "radius-under-code")
        self.assertIn("table 2", finding.source)
        self.assertIn("4 in", finding.text)
        steel = metric(turn(400), end(400), bender={"kind": "bench", "radius": 59, "take_up": 69})
        self.assertIn("60 mm", found(yarrow.plan.values(steel), "radius-under-code").text)

    def test_more_than_four_quarter_bends(self) -> None:
        four = [turn(30, side) for side in ("left", "left", "left", "left")]
        self.assertNotIn("too-many-degrees", codes(planned(*four, end(30))))
        plan = planned(*four, offset(40, 4, angle=10), end(80))
        finding = found(plan, "too-many-degrees")
        self.assertIn("380°", finding.text)
        self.assertIn("line 3", finding.text)
        self.assertTrue(finding.source)

    def test_a_pipe_longer_than_a_stick(self) -> None:
        self.assertIn("5 in longer", found(planned(end(125)), "longer-than-stick").text)
        self.assertNotIn("longer-than-stick", codes(planned(end(120))))

    def test_numbers_that_look_like_slips(self) -> None:
        slips = {
            "walk[0].rise": planned(offset(40, 47), end(200)),
            "walk[0].at": planned(turn(0), end(60)),
            "walk[1].at": planned(turn(40), end(341)),
        }
        for path, plan in slips.items():
            with self.subTest(path=path):
                self.assertIn(
                    path, [f.path for f in plan.findings if f.code == "suspect-dimension"]
                )
        tall = planned(offset(300, 130), end(500))
        self.assertIn("walk[0].rise", [f.path for f in tall.findings])

    def test_threads_are_added_once_and_said(self) -> None:
        rigid = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "hand-emt-1"}
        plain = planned(end(40), **rigid)
        hub = planned(end(40, fitting="hub"), start={"kind": "hub"}, **rigid)
        self.assertAlmostEqual(hub.cut_length - plain.cut_length, 2 * 0.5457)
        self.assertEqual(codes(hub).count("thread-added"), 2)
        said = planned(end(40, fitting="hub", allowance="1/2"), **rigid)
        self.assertAlmostEqual(said.cut_length, 40.5)
        self.assertNotIn("thread-added", codes(said))

    def test_a_clean_run_has_nothing_to_say(self) -> None:
        self.assertEqual(planned(offset(33, "4 3/8"), turn("71 5/8"), end("34 1/8")).findings, ())


class ByThePrintedTable(unittest.TestCase):
    def test_it_says_what_that_pipe_would_come_out_as_beside_the_exact_one(self) -> None:
        plan = planned(offset(47, "4 3/8"), end(70), method="table")
        assert plan.beside
        self.assertEqual(plan.beside.method, "exact")
        rise = next(d for d in plan.dimensions if d.field == "rise")
        # Spacing 8 3/4 rounded, against 8.695: 0.055 more slope, half of that in height.
        self.assertAlmostEqual(rise.off, 0.055 * 0.5, delta=0.02)
        exact = next(d for d in plan.beside.dimensions if d.field == "rise")
        self.assertLess(abs(exact.off), 1 / 32)

    def test_a_turn_is_the_same_by_either(self) -> None:
        exact, table = (planned(turn(40), end(40), method=m) for m in ("exact", "table"))
        self.assertEqual([m.text for m in exact.marks], [m.text for m in table.marks])
        self.assertEqual(str(exact.cut_length_text), str(table.cut_length_text))

    def test_printed_marks_that_can_be_made_where_the_exact_ones_can_t(self) -> None:
        plan = planned(offset(47, "4 3/8", angle=60), end(70), method="table")
        self.assertTrue(plan.can_be_made)
        self.assertEqual(found(plan, "arcs-overlap").level, "warning")
        rise = next(d for d in plan.dimensions if d.field == "rise")
        self.assertGreater(rise.off, 2 * RADIUS * 0.05)

    def test_angles_that_no_card_has_are_worked_out(self) -> None:
        plan = planned(offset(47, 6, angle=37), end(80), method="table")
        self.assertTrue(plan.dimensions)


class Steps(unittest.TestCase):
    def test_they_say_what_to_do_in_order_with_the_plan_s_own_figures(self) -> None:
        plan = planned(offset(33, "4 3/8"), turn("71 5/8"), end("34 1/8"))
        mark_step, *bends, cut = (text_of(step.title) for step in plan.steps)
        self.assertEqual((mark_step, cut), ("Mark", "Cut"))
        self.assertEqual(sorted(bends), ["Bend 1", "Bend 2", "Bend 3"])
        by_bend = {step.bend: text_of(step.do) for step in plan.steps}
        for mark in plan.marks:
            self.assertIn(str(mark.text), text_of(plan.steps[0].do))
            self.assertIn(f"on {mark.text}, hook toward the {mark.hook}", by_bend[mark.bend])
        self.assertTrue(any("half over" in each for each in by_bend.values()))
        # Parallel legs, measured: the rise itself.
        self.assertTrue(any("4 3/8 in from" in text_of(step.check) for step in plan.steps))
        self.assertIn(str(plan.cut_length_text), text_of(plan.steps[-1].do))
        self.assertTrue(all(text_of(step.check) and text_of(step.caution) for step in plan.steps))

    def test_a_quarter_turn_is_told_with_its_way(self) -> None:
        plan = planned(turn(40, "left"), turn(40, "out"), end(40))
        # The second plane lies clockwise of the first, seen along the pipe from its start; so that
        # it comes up, the pipe itself goes the other way.
        self.assertEqual(plan.bends[1].roll, 90)
        self.assertIn("90° anticlockwise, seen from its start", text_of(plan.steps[2].do))
