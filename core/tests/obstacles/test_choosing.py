"""What is there goes in; bends come out, each with its price and the reason."""

from __future__ import annotations

import math
import unittest
from types import SimpleNamespace
from typing import Any

from core.tests.builders import (
    RADIUS,
    block,
    box,
    choice,
    codes,
    end,
    found,
    hole,
    ledge,
    offset,
    planned,
    refused,
    round_thing,
    run,
    taken,
    text_of,
    turn,
    wall,
)
from core.tests.walking import walked
from yarrow.runs.model.plan import WrittenPlan
from yarrow.runs.selection.candidates import Candidate


def free(at: object, rise: object, **more: object) -> dict[str, object]:
    return {"kind": "offset", "at": at, "rise": rise, "toward": "left", **more}


class Lacks(unittest.TestCase):
    def test_all_that_is_in_its_way_adds_up_and_room_to_spare_takes_nothing_off(self) -> None:
        room: dict[str, Any] = {"own_room": 3.0, "shoe_short": -1.0, "before": 5.0, "after": 6.0}
        fits = {**room, "needs": 4.0, "air": None, "too_long": 0.0, "too_shallow": 0.0}
        lacks: Any = Candidate.lacks
        for said, by in (
            ({}, 0.0),
            ({"own_room": -2.0}, 2.0),
            ({"shoe_short": 0.5, "own_room": -2.0}, 2.5),
            ({"before": 1.0, "after": 3.0}, 4.0),
            ({"after": None, "before": 3.0}, 1.0),
            ({"air": SimpleNamespace(least=-0.25)}, 0.25),
            ({"too_long": 7.0, "too_shallow": 0.125}, 7.125),
        ):
            with self.subTest(said=said):
                self.assertAlmostEqual(lacks.fget(SimpleNamespace(**{**fits, **said})), by)


class Usual(unittest.TestCase):
    def test_the_handbook_s_habits(self) -> None:
        cases = {
            "saddle3 45": round_thing(50, "1 5/8"),
            "saddle4 30": block(50, "7 3/4", "2 7/8"),
            "offset 30": ledge(50, "4 3/8"),
            "offset 45": ledge(50, 9),
            "offset 60": ledge(60, 16),
        }
        for name, line in cases.items():
            with self.subTest(name):
                best = taken(planned(line, end(118)), 0)
                self.assertEqual(best.id, name)
                self.assertTrue(best.usual)
                self.assertIn("usual", text_of(best.reason))

    def test_a_wall_gives_the_same_pipe_as_a_turn_to_its_back(self) -> None:
        by_wall, by_turn = planned(wall(40), end(30)), planned(turn(40), end(30))
        self.assertEqual(by_wall.bends, by_turn.bends)

    def test_a_box_gets_the_offset_from_its_knockout_to_the_wall(self) -> None:
        # Knockout 1 1/8 off the wall, the pipe's middle half of 0.706: 0.772 down, by 10°.
        plan = planned(box("start", "1 1/8"), end(60))
        self.assertEqual([round(b.angle) for b in plan.bends], [10, 10])
        self.assertAlmostEqual(plan.path[-1][2], -(1.125 - 0.353))
        plan = planned(box("end", "1 1/8"), end(60))
        self.assertAlmostEqual(plan.path[-1][2], 1.125 - 0.353)

    def test_a_box_at_the_pipe_s_own_height_needs_no_bend(self) -> None:
        plan = planned(box("start", "0.353"), end(60))
        self.assertEqual(plan.bends, ())
        self.assertIn("straight on", text_of(taken(plan, 0).reason))

    def test_a_kick_passes_through_the_middle_of_its_hole(self) -> None:
        plan = planned(turn(40), hole(20, "1 1/4", "out"), end(30))
        self.assertEqual(taken(plan, 1).kind, "kick")
        at = 20 - 0.353
        # On the second leg, ahead is +y; the hole's middle lies 1 1/4 out of the pipe's line.
        before, after = plan.path[-2], plan.path[-1]
        part = (at - (before[1])) / (after[1] - before[1])
        self.assertAlmostEqual(before[2] + part * (after[2] - before[2]), 1.25, places=6)
        self.assertAlmostEqual(plan.bends[-1].angle, 10, places=6)

    def test_a_hole_before_other_bends_is_met_by_an_offset(self) -> None:
        plan = planned(hole(30, 1), ledge(60, 3), end(110))
        self.assertEqual(taken(plan, 0).kind, "offset")


class Prices(unittest.TestCase):
    def test_what_a_candidate_costs_by_hand(self) -> None:
        plan = planned(ledge(50, 4), end(90))
        thirty = next(c for c in choice(plan, 0).candidates if c.angle == 30)
        tangent = RADIUS * math.tan(math.radians(15))
        length = 4 / math.tan(math.radians(30)) + 2 * tangent
        used = 4 * math.tan(math.radians(15)) - 2 * (2 * tangent - RADIUS * math.radians(30))
        self.assertAlmostEqual(thirty.room, length)
        self.assertAlmostEqual(thirty.before, 50 - length)
        self.assertAlmostEqual(thirty.after or 0, 40)
        self.assertAlmostEqual(thirty.pipe, used)
        self.assertAlmostEqual(thirty.degrees, 60)
        self.assertAlmostEqual(thirty.pull, math.exp(0.35 * math.radians(60)))

    def test_one_that_overlaps_or_runs_into_its_neighbour_is_shown_with_the_reason(self) -> None:
        plan = planned(round_thing(9, 2), end(60))
        reasons = {c.id: (c.fits, text_of(c.reason)) for c in choice(plan, 0).candidates}
        self.assertEqual(reasons["saddle3 30"][0], False)
        self.assertIn("before", reasons["saddle3 30"][1])
        self.assertIn("overlap", reasons["saddle3 90"][1])
        self.assertTrue(taken(plan, 0).fits)

    def test_where_the_run_would_bend_too_far_the_fewest_degrees_are_taken(self) -> None:
        things = [block(60 + 60 * n, 6, 3) for n in range(4)]
        plan = planned(*things, end(330))
        self.assertLessEqual(plan.totals.bend_degrees, 360)
        self.assertNotIn("too-many-degrees", codes(plan))
        self.assertIn("limit", text_of(taken(plan, 0).reason))

    def test_bent_just_as_far_as_it_may_be_the_usual_is_taken(self) -> None:
        # Four three-bend saddles of 90 degrees each.
        things = [round_thing(50 + 60 * n, 2) for n in range(4)]
        plan = planned(*things, end(330))
        self.assertAlmostEqual(plan.totals.bend_degrees, 360)
        self.assertEqual([taken(plan, n).id for n in range(4)], ["saddle3 45"] * 4)
        self.assertNotIn("limit", text_of(taken(plan, 0).reason))

    def test_on_the_shoe_s_room_the_candidate_and_the_finished_plan_agree(self) -> None:
        for at in range(40, 60, 3):
            for pick in ("saddle3 30", "saddle3 45", "saddle4 22.5", "saddle4 30"):
                plan = planned(round_thing(at, "1 1/2", pick=pick), end(100))
                tight = {"bends-too-close", "arcs-overlap"} & set(codes(plan))
                self.assertEqual(not tight, taken(plan, 0).fits, (at, pick, codes(plan)))


class Picks(unittest.TestCase):
    def test_what_the_person_picked_stays_theirs(self) -> None:
        for pick in ("saddle3 60", "saddle4 22.5", "saddle3 52.5"):
            plan = planned(round_thing(50, 2, pick=pick), end(100))
            self.assertEqual(taken(plan, 0).id, pick)
            self.assertEqual(choice(plan, 0).by, "person")

    def test_even_where_it_can_t_be_made_and_the_fix_is_another_pick(self) -> None:
        plan = planned(round_thing(50, 2, pick="saddle3 90"), end(100))
        self.assertEqual(taken(plan, 0).id, "saddle3 90")
        finding = found(plan, "arcs-overlap")
        assert finding.remedy
        self.assertEqual(finding.remedy.path, "walk[0].pick")
        again = planned(round_thing(50, 2, pick=str(finding.remedy.value)), end(100))
        self.assertTrue(again.can_be_made)

    def test_a_pick_that_answers_nothing_is_said(self) -> None:
        for pick in ("kick 10", "saddle3", "loop 45", "saddle3 500", "saddle3 nan"):
            plan = planned(round_thing(50, 2, pick=pick), end(100))
            self.assertEqual(found(plan, "pick-not-offered").path, "walk[0].pick")
            self.assertEqual(taken(plan, 0).id, "saddle3 45")


class Together(unittest.TestCase):
    def test_two_that_are_close_get_one_saddle_over_both(self) -> None:
        plan = planned(round_thing(40, 2), round_thing(48, "1 1/2"), end(110))
        best = taken(plan, 0)
        self.assertTrue(best.together)
        self.assertEqual(best.kind, "saddle4")
        self.assertEqual(choice(plan, 1).together_with, 0)
        self.assertEqual(len(plan.bends), 4)
        # From the near side of the first to the far side of the second, over the higher one.
        self.assertClear(plan, 39, 48.75, 2.25)

    def assertClear(self, plan: WrittenPlan, begins: float, ends: float, height: float) -> None:
        heights = [p[2] for p in walked(plan) if begins <= p[0] <= ends]
        self.assertGreaterEqual(min(heights), height - 1e-6)

    def test_far_apart_they_get_one_each(self) -> None:
        plan = planned(round_thing(40, 2), round_thing(90, 2), end(140))
        self.assertEqual([c.together_with for c in plan.choices], [None, None])
        self.assertEqual(len(plan.bends), 6)

    def test_under_a_ledge_that_follows_an_offset_stays_up(self) -> None:
        plan = planned(round_thing(40, 2), ledge(46, "3 1/2"), end(100))
        self.assertEqual(taken(plan, 0).id, "offset 30 both")
        self.assertEqual(len(plan.bends), 2)
        self.assertAlmostEqual(plan.path[-1][2], 3.5)

    def test_a_ledge_under_the_air_over_the_first_thing_is_no_way_over_both(self) -> None:
        # 2 and an inch of air over it are 3: on a ledge of 2 1/2 the pipe would come too near.
        low, high = (
            planned(round_thing(40, 2, clearance=1), ledge(46, height), end(120))
            for height in ("2 1/2", 3)
        )
        self.assertEqual([choice(plan, 1).together_with for plan in (low, high)], [None, 0])

    def test_a_person_can_have_one_each(self) -> None:
        plan = planned(
            round_thing(40, 2, pick="saddle3 45"), round_thing(56, 2, pick="saddle3 45"), end(110)
        )
        self.assertEqual(len(plan.bends), 6)

    def test_on_different_sides_they_are_two(self) -> None:
        plan = planned(round_thing(40, 2), round_thing(46, 2, "left"), end(110))
        self.assertTrue(all(c.together_with is None for c in plan.choices))


class ByLength(unittest.TestCase):
    def test_the_shallowest_usual_angle_that_fits(self) -> None:
        # 22.5°: 4 cot + 2 T = 11.43; 30°: 9.32.
        for within, angle in ((12, 22.5), (10, 30.0), (20, 15.0)):
            plan = planned(free(60, 4, within=within), end(100))
            self.assertEqual(plan.bends[0].angle, angle)

    def test_between_the_usual_ones_the_very_angle(self) -> None:
        rise, angle = 4.0, 48.0
        length = rise / math.tan(math.radians(angle)) + 2 * RADIUS * math.tan(math.radians(24))
        plan = planned(free(60, rise, within=round(length, 6)), end(100))
        self.assertAlmostEqual(plan.bends[0].angle, angle, delta=0.02)

    def test_into_what_no_angle_fits_the_least_is_told_and_is_right(self) -> None:
        plan = planned(free(60, 4, within=5), end(100))
        finding = found(plan, "does-not-fit-within")
        assert finding.remedy
        again = planned(free(60, 4, within=finding.remedy.value), end(100))
        self.assertTrue(again.can_be_made, again.findings)

    def test_left_to_yarrow(self) -> None:
        plan = planned(free(60, 4, angle="choose"), end(100))
        self.assertEqual(plan.bends[0].angle, 30)
        self.assertEqual(choice(plan, 0).candidates[0].path, "walk[0].angle")


class StandOff(unittest.TestCase):
    def test_taken_once_off_every_rise_off_the_surface(self) -> None:
        plain = planned(offset(40, "3 1/8", toward="out"), end(80))
        held = planned(offset(40, 4, toward="out"), end(80), stand_off="7/8")
        self.assertEqual(plain.path, held.path)
        self.assertIn("7/8", found(held, "stand-off-taken").text)

    def test_off_both_walls_of_a_leg_and_not_off_its_centre(self) -> None:
        # From wall to wall 40: the pipe's middle stands half of 0.706 and 7/8 off each.
        held = planned(turn(30), turn(40), end(20), stand_off="7/8")
        legs = [math.dist(a, b) for a, b in zip(held.path, held.path[1:], strict=False)]
        self.assertAlmostEqual(legs[1], 40 - 2 * (0.353 + 0.875))
        centres = planned(turn(30, of="centre"), end(20, **{"from": "centre"}), stand_off="7/8")
        self.assertAlmostEqual(centres.path[1][0], 30)
        self.assertAlmostEqual(centres.path[2][1], 20)

    def test_sideways_it_changes_nothing(self) -> None:
        plain, held = (
            planned(offset(40, 4, toward="left"), end(80), stand_off=s) for s in (0, "7/8")
        )
        self.assertEqual(plain.path, held.path)

    def test_a_box_a_saddle_and_a_round_thing(self) -> None:
        plan = planned(box("start", "1 7/8"), end(60), stand_off="7/8")
        self.assertAlmostEqual(plan.path[-1][2], -(1.875 - 0.353 - 0.875))
        plan = planned(round_thing(50, 2, clearance="1/4"), end(100), stand_off="7/8")
        self.assertAlmostEqual(max(p[2] for p in walked(plan)), 2.25 - 0.875, places=4)
        self.assertAlmostEqual(taken(plan, 0).air or 0, 0.25)

    def test_what_spacers_carry_the_pipe_over_needs_no_bend(self) -> None:
        plan = planned(round_thing(50, "1/2"), end(100), stand_off=1)
        self.assertEqual(plan.bends, ())
        plan = planned(offset(50, "1/2", toward="out"), end(100), stand_off=1)
        self.assertEqual(found(plan, "stand-off-carries").level, "error")
        plan = planned(offset(50, "1/2", 10, toward="out", rise_from="pipe"), end(100), stand_off=1)
        self.assertTrue(plan.can_be_made)


class Refusals(unittest.TestCase):
    def test_a_thing_without_size_or_with_one_below_zero(self) -> None:
        self.assertIn("walk[0].across", refused(run(round_thing(40, 0), end(80))))
        self.assertIn("walk[0].height", refused(run(block(40, 3, -1), end(80))))
        self.assertIn("walk[0].clearance", refused(run(block(40, 3, 2, clearance=-1), end(80))))
        self.assertIn("walk[1].where", refused(run(wall(40), box("start", 2), end(80))))

    def test_what_an_end_s_allowance_takes_is_no_room_for_bends(self) -> None:
        def left(beyond: int) -> float:
            room = taken(planned(round_thing(40, 2), end(70, allowance=beyond)), 0).after
            assert room is not None
            return room

        self.assertAlmostEqual(left(-2), left(0) - 2)
        self.assertAlmostEqual(left(1), left(0) + 1)

    def test_more_than_any_pipe_ever_met(self) -> None:
        self.assertIn("100", refused(run(*[round_thing(40, 1)] * 101, end(80))))

    def test_something_inside_the_wall_is_asked_about(self) -> None:
        finding = found(planned(round_thing(50, 2, "in"), end(100)), "into-the-surface")
        assert finding.remedy
        self.assertEqual((finding.remedy.path, finding.remedy.value), ("walk[0].toward", "out"))
        raised = planned(ledge(40, 4), round_thing(80, 2, "in"), end(130))
        self.assertNotIn("into-the-surface", codes(raised))

    def test_saddles_that_touch_each_other_and_lines_past_the_end(self) -> None:
        pair = [round_thing(at, 2, pick="saddle3 45") for at in (50, 55)]
        self.assertFalse(planned(*pair, end(120)).can_be_made)
        self.assertIn("end-short", codes(planned(round_thing(120, 2, pick="saddle3 45"), end(80))))
