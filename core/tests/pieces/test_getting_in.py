"""How a threaded run is got in: who turns, what that meets, how far pipe gives, what closes it."""

from __future__ import annotations

import math
import random
import unittest
from typing import Any
from unittest import mock

import yarrow
from core.tests.builders import end, metric, offset, run, saddle4, turn
from yarrow import DocumentError
from yarrow.pieces import pieces
from yarrow.pieces.piece_plan import PiecesOfRun, WayIn
from yarrow.wording.wording import EN_US

RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
OUTSIDE, THREAD, APART = 1.05, 0.5457, 0.125
ON_IT_GOES = {"by": "last-piece", "at": 2}
HUB: dict[str, Any] = {"start": {"kind": "hub"}}
STEEL: dict[str, Any] = {"conduit": {"type": "steel", "size": "20"}, "bender": "bench-steel-20"}


def made(*walk: dict[str, Any], **more: Any) -> PiecesOfRun:
    return yarrow.pieces.values(run(*walk, **{**RIGID, **more}))


def codes(answer: PiecesOfRun) -> list[str]:
    found = {"cannot-be-turned", "box-cannot-be-turned", "both-ends-held", "closing-not-offered"}
    return [str(each.code) for each in answer.findings if each.code in found]


def taken(answer: PiecesOfRun) -> WayIn:
    return next(way for way in answer.ways_in if way.taken)


def told(way: WayIn) -> str:
    return " ".join(EN_US.text(each) for each in way.turned)


def joins(answer: PiecesOfRun) -> str:
    return " ".join(EN_US.text(step.do) for piece in answer.pieces for step in piece.after)


class Quiet(unittest.TestCase):
    def test_thin_wall_is_pushed_in_and_nothing_is_said(self) -> None:
        thin = yarrow.pieces.values(run(turn(70), end(110, fitting="connector")))
        self.assertEqual((codes(thin), thin.ways_in), ([], ()))

    def test_a_straight_piece_turns_in_its_own_length(self) -> None:
        straight = made(end(200), **HUB)
        self.assertEqual(codes(straight), [])
        self.assertEqual((taken(straight).by, taken(straight).turned), ("last-piece", ()))


class LookedAt(unittest.TestCase):
    def test_up_to_so_many_bends_and_from_one_more_on_that_is_said(self) -> None:
        for most, looked in ((2, True), (1, False)):
            with self.subTest(most), mock.patch.object(pieces, "MOST_BENDS_TURNED", most):
                answer = made(turn(60), turn(60, "out"), end(60), **HUB)
                said = [str(each.code) for each in answer.findings]
                self.assertEqual("getting-in-not-looked-at" in said, not looked)
                self.assertEqual(bool(answer.ways_in), looked)


class Turned(unittest.TestCase):
    def test_on_its_wall_a_bent_piece_meets_it(self) -> None:
        long = made(turn(30), end(60), **HUB)
        self.assertEqual(codes(long), ["cannot-be-turned"])
        # 60 from the corner's back, which is half of the pipe behind the line that it turns about.
        self.assertIn("60 in", long.findings[0].text)
        self.assertIn("surface under leg 1", long.findings[0].text)
        # From an open start nothing holds it.
        self.assertEqual(codes(made(turn(30), end(60))), [])

    def test_far_enough_off_the_wall_it_clears(self) -> None:
        # Five degrees take the end (30 - 3.5 tan 2.5°) sin 5° = 2.60 off the line; with half of the
        # pipe and half of the thread that it is wound in by that is 3.40, and 0.525 + 2.9 is more.
        for off, wanted in ((2.8, ["cannot-be-turned"]), (3.0, [])):
            with self.subTest(off):
                found = made(turn(40, angle=5), end(30), stand_off=off, **HUB)
                self.assertEqual(codes(found), wanted)

    def test_something_that_stands_on_the_wall_is_met(self) -> None:
        # Over a duct 6 high, 24 off the wall: the duct stands in the way, the wall does not.
        walk = (saddle4(40, 4, 6), end(90))
        self.assertEqual(codes(made(*walk, stand_off=24, **HUB)), [])
        high = made(offset(20, 3, toward="left"), saddle4(60, 4, 25), end(120), stand_off=20, **HUB)
        self.assertEqual(codes(high), ["cannot-be-turned"])
        self.assertIn("line 1", told(taken(high)))

    def test_a_long_straight_before_it_gives_enough(self) -> None:
        # From an end that is held, length squared by three times the radius that springs back:
        # stiffness by diameter by twice the stress, 205,000 x 1.05 / 240 = 897 in.
        springs = 205_000 * OUTSIDE / 240
        aside = (30 - OUTSIDE / 2 * math.tan(math.radians(2.5))) * math.sin(math.radians(5))
        lift = aside + THREAD / 2
        for first, wanted in ((115, []), (70, ["cannot-be-turned"])):
            with self.subTest(first):
                gives = (first + THREAD) ** 2 / (3 * springs)
                self.assertEqual(gives > lift, not wanted)
                found = made(
                    turn(first + 30, angle=5),
                    end(30),
                    joints={"places": [{"at": first}], "closing": ON_IT_GOES},
                    **HUB,
                )
                self.assertEqual(codes(found), wanted)
                if not wanted:
                    over = math.sqrt(3 * springs * lift)
                    self.assertAlmostEqual(over, 88.1, delta=0.1)
                    said = told(taken(found))
                    self.assertIn(
                        "with the straps off over 88 1/8 in and the pipe lifted 2 15/16", said
                    )
                    self.assertIn("it springs back", joins(found))

    def test_a_neighbour_in_the_rack_is_met(self) -> None:
        # Off the wall by more than it sweeps, and 3 from the next pipe, which it sweeps into.
        walk = (turn(40, angle=5), end(30))
        alone = made(*walk, stand_off=4, **HUB)
        self.assertEqual(codes(alone), [])
        for spacing, wanted in ((3, ["cannot-be-turned"]), (8, [])):
            rack = {"count": 2, "side": "right", "spacing": spacing}
            with self.subTest(spacing):
                found = made(*walk, stand_off=4, rack=rack, **HUB)
                self.assertEqual(codes(found), wanted)

    def test_a_floor_that_is_said_to_be_near_is_met(self) -> None:
        # 24 off the wall nothing of it is met; the end sweeps 3.4 round the first leg.
        walk = (turn(40, angle=5), end(30))
        for off, wanted in ((5, []), (3, ["cannot-be-turned"])):
            near = {"near": [{"what": "floor", "toward": "right", "off": off}]}
            with self.subTest(off):
                found = made(*walk, stand_off=24, joints=near, **HUB)
                self.assertEqual(codes(found), wanted)
                if wanted:
                    self.assertIn("hits the floor", told(taken(found)))
        with self.assertRaises(DocumentError) as caught:
            made(*walk, joints={"near": [{"toward": "right", "off": -2}]}, **HUB)
        self.assertEqual(caught.exception.path, "joints.near[0].off")

    def test_turns_are_counted_and_a_turn_more_is_told(self) -> None:
        found = made(turn(70), end(60), **HUB)
        # Fourteen threads an inch.
        self.assertIn("between 5 and 7, and a turn more moves it 0.071 in", joins(found))


class Closed(unittest.TestCase):
    def test_both_ends_held_in_one_piece(self) -> None:
        both = made(end(100, fitting="hub"), **HUB)
        self.assertEqual(codes(both), ["both-ends-held"])
        self.assertIn("three-piece coupling at a joint more", both.findings[0].text)
        self.assertTrue(all(way.more for way in both.ways_in))

    def test_a_joint_takes_a_coupling_that_closes_while_both_sides_stand(self) -> None:
        both = made(end(200, fitting="hub"), joints={"closing": {"by": "union", "at": 1}}, **HUB)
        self.assertEqual((codes(both), taken(both).by), ([], "union"))
        self.assertEqual([joint.coupling for joint in both.joints], ["union"])
        # Both pieces go into a box; the union holds their ends half an inch apart.
        cut = sum(piece.plan.cut_length for piece in both.pieces)
        self.assertAlmostEqual(cut, 200 + 2 * THREAD - 0.5, places=3)
        self.assertIn("draw the nut tight", joins(both))
        # Nothing of the whole stick is cut off for it: the joint is moved by what it opens more.
        self.assertEqual([piece.whole for piece in both.pieces], [True, False])
        self.assertIn("three-piece coupling", " ".join(EN_US.text(m.what) for m in both.materials))

    def test_a_union_is_measured_by_its_own_ends_and_told(self) -> None:
        # By hand: the start's thread, and what the union takes beyond its near end; the far end
        # lies where it was measured, a union's half inch and two threads behind the near one.
        for to, wanted in (("near", 100 + 2 * THREAD), ("far", 100 - 0.5)):
            places = [{"at": 100, "to": to}]
            both = made(end(200, fitting="hub"), joints={"places": places}, **HUB)
            self.assertEqual(taken(both).by, "union")
            self.assertAlmostEqual(both.pieces[0].plan.cut_length, wanted, places=3)
            said = [EN_US.text(each.phrase) for each in both.findings]
            self.assertTrue(any(f"its {to} end is where you measured" in text for text in said))
        box_off = {"places": [{"at": 100, "to": "near"}], "ends": {"end": "comes-off"}}
        ordinary = made(end(200, fitting="hub"), joints=box_off, **HUB)
        self.assertEqual([str(each.code) for each in ordinary.findings], [])

    def test_yarrow_takes_what_works_for_the_least(self) -> None:
        both = made(end(200, fitting="hub"), **HUB)
        self.assertEqual((codes(both), taken(both).by), ([], "union"))
        minutes = [way.minutes for way in both.ways_in if way.works]
        self.assertEqual(minutes, sorted(minutes))

    def test_a_box_that_comes_off_is_turned_itself(self) -> None:
        ends = {"ends": {"end": "comes-off"}}
        far = made(end(200, fitting="hub"), joints=ends, **HUB)
        self.assertEqual((codes(far), taken(far).by, taken(far).at), ([], "box-off", 2))
        # Its corner reaches 102 mm / 1.414 = 2.84 in; the pipe lies half of its own off the wall.
        self.assertIn("lifted 2 3/8 in", told(taken(far)))
        self.assertEqual([joint.coupling for joint in far.joints], ["threaded-coupling"])
        # A short pipe does not give that.
        near = made(end(40, fitting="hub"), joints=ends, **HUB)
        self.assertEqual(codes(near), ["box-cannot-be-turned"])

    def test_a_coupling_that_turns_is_wound_back(self) -> None:
        ends = {"ends": {"start": "turns"}}
        found = made(end(100, fitting="hub"), joints=ends, **HUB)
        self.assertEqual((codes(found), taken(found).by, taken(found).at), ([], "wind-back", 0))

    def test_an_end_that_comes_off_takes_the_run_off_the_wall(self) -> None:
        walk = (turn(70), end(60, fitting="hub"))
        self.assertEqual(codes(made(*walk, **HUB)), ["both-ends-held"])
        both = {"ends": {"start": "comes-off", "end": "comes-off"}}
        free = made(*walk, joints=both, **HUB)
        self.assertEqual((codes(free), taken(free).by), ([], "box-off"))
        self.assertIn("hang it as one: piece 1.", told(taken(free)))
        loose = made(turn(70), end(60), joints={"ends": {"start": "loose"}}, **HUB)
        self.assertEqual(codes(loose), [])

    def test_a_running_coupler_closes_a_metric_run(self) -> None:
        both = yarrow.pieces.values(metric(end(5000, fitting="hub"), **HUB, **STEEL))
        self.assertEqual((codes(both), taken(both).by), ([], "running-coupler"))
        # Coupler 30, ring 4 and two turns of 1.5 on the one end; the box wants 12 on the other.
        self.assertIn("37", [str(thread) for piece in both.pieces for thread in piece.threads])
        self.assertIn("wind the coupler back", joins(both))

    def test_a_running_coupler_is_not_offered_where_the_code_forbids_it(self) -> None:
        both = made(end(200, fitting="hub"), **HUB)
        self.assertNotIn("running-coupler", {way.by for way in both.ways_in})

    def test_a_pick_that_is_no_longer_there_is_told(self) -> None:
        picked = {"closing": {"by": "threadless-coupling", "at": 7}}
        found = made(end(200, fitting="hub"), joints=picked, **HUB)
        self.assertEqual(codes(found), ["closing-not-offered"])
        self.assertEqual(taken(found).by, "union")

    def test_what_no_run_can_say_is_refused(self) -> None:
        for joints in ({"ends": {"start": "glued"}}, {"closing": {"by": "union", "at": -1}}):
            with self.assertRaises(DocumentError):
                made(end(200, fitting="hub"), joints=joints, **HUB)

    def test_it_is_read_at_the_bench(self) -> None:
        text = yarrow.pieces.written(run(end(200, fitting="hub"), **RIGID, **HUB), "text").text
        self.assertIn("Closed by a three-piece coupling at joint 1 (taken)", text)


class Hung(unittest.TestCase):
    def test_the_pieces_still_come_to_the_run(self) -> None:
        """Whatever closes it: pieces and what stays open between them are as long as the run."""
        rng = random.Random(8)
        for number in range(30):
            document = run(
                turn(rng.uniform(50, 110)),
                end(rng.uniform(60, 150), fitting="hub"),
                joints={"ends": {"start": rng.choice(("fixed", "comes-off", "turns", "loose"))}},
                **RIGID,
                **HUB,
            )
            found = yarrow.pieces.values(document)
            with self.subTest(number):
                open_ = {
                    "threaded-coupling": 0.125,
                    "threadless-coupling": 1.6 / 25.4,
                    "union": 0.5,
                }
                gaps = sum(open_[joint.coupling] for joint in found.joints)
                length = found.pieces[-1].ends
                cut = sum(piece.plan.cut_length for piece in found.pieces)
                self.assertAlmostEqual(cut + gaps, length, places=6)


if __name__ == "__main__":
    unittest.main()
