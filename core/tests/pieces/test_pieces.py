"""A run in sticks: cut lengths by hand, joints where the tape was held, ways and what they cost."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import end, hole, metric, offset, run, saddle3, turn
from yarrow import DocumentError
from yarrow.pieces.piece_plan import PiecesOfRun

TAKES = 0.75
OPEN = 1.6 / 25.4
"""Of a set-screw coupling on half-inch thin wall, and what its stop holds apart."""

RIGID: dict[str, Any] = {"conduit": {"type": "rmc", "size": "3/4"}, "bender": "ratchet-1"}
BOX_OFF: dict[str, Any] = {"ends": {"end": "comes-off"}}
THREAD = 0.5457
THREADS_APART = 0.125


def parted(*walk: dict[str, Any], **more: Any) -> PiecesOfRun:
    return yarrow.pieces.values(run(*walk, **more))


def joined_at(*places: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {"joints": {"places": list(places), **more}}


def cuts(made: PiecesOfRun) -> list[float]:
    return [round(piece.plan.cut_length, 4) for piece in made.pieces]


class Cut(unittest.TestCase):
    def test_a_long_straight_is_a_whole_stick_and_the_rest(self) -> None:
        made = parted(end(200))
        self.assertEqual(cuts(made), [120.0, round(200 - 120 - OPEN, 4)])
        self.assertEqual([piece.whole for piece in made.pieces], [True, False])
        self.assertEqual(made.ways[0].cuts, 1)
        self.assertEqual(made.parted, "yarrow")

    def test_what_one_stick_takes_stays_in_one_piece(self) -> None:
        made = parted(turn(40), end(60))
        self.assertEqual((len(made.pieces), made.joints, made.parted), (1, (), ""))
        self.assertEqual(made.pieces[0].plan.cut_length, parted(turn(40), end(60)).pieces[0].ends)

    def test_the_tape_is_held_to_the_near_end_the_middle_or_the_far_end(self) -> None:
        for to, wanted in (
            # The pipe goes so far beyond the coupling's near end as that takes.
            ("near", 30 + TAKES),
            # Half of what the stop holds apart is short of the middle.
            ("middle", 30 - OPEN / 2),
            ("far", 30 - TAKES - OPEN),
        ):
            with self.subTest(to):
                made = parted(turn(70), end(60), **joined_at({"at": 30, "to": to}))
                self.assertAlmostEqual(cuts(made)[0], wanted, places=3)

    def test_a_joint_is_measured_from_the_back_of_the_turn_or_from_its_centre(self) -> None:
        # To the end, measured from that back too, there are 60 − 40 less half of what is apart;
        # from the centre line, half a diameter less.
        for place, wanted in (({}, 20 - OPEN / 2), ({"from": "centre"}, 20 - OPEN / 2 - 0.353)):
            made = parted(turn(70), end(60), **joined_at({"leg": 2, "at": 40, **place}))
            self.assertAlmostEqual(cuts(made)[-1], wanted, places=3)

    def test_threads_go_in_and_an_eighth_stays_open(self) -> None:
        made = parted(
            end(100, fitting="hub"),
            start={"kind": "hub"},
            **RIGID,
            **joined_at({"at": 40}, **BOX_OFF),
        )
        self.assertAlmostEqual(cuts(made)[0], THREAD + 40 - THREADS_APART / 2, places=3)
        self.assertAlmostEqual(cuts(made)[1], 60 - THREADS_APART / 2 + THREAD, places=3)

    def test_a_stick_brings_one_thread_and_the_other_is_cut(self) -> None:
        made = parted(
            end(100, fitting="hub"),
            start={"kind": "hub"},
            **RIGID,
            **joined_at({"at": 40}, **BOX_OFF),
        )
        self.assertEqual([len(piece.threads) for piece in made.pieces], [1, 1])
        self.assertEqual(made.ways[0].threads, 2)
        open_ended = parted(end(200), **RIGID)
        self.assertEqual([len(piece.threads) for piece in open_ended.pieces], [0, 0])

    def test_a_running_coupler_s_long_thread_holds_coupler_ring_and_two_turns(self) -> None:
        made = yarrow.pieces.values(
            metric(
                end(2000),
                conduit={"type": "steel", "size": "20"},
                bender="bench-steel-20",
                joints={"coupling": "running-coupler", "places": [{"at": 1200}]},
            )
        )
        # Twice 15 in the coupler, 4 of ring, two of ten turns in 15.
        self.assertEqual([str(each) for each in made.pieces[0].threads], ["37"])

    def test_a_stub_that_the_jaws_could_not_hold_is_threaded_first(self) -> None:
        short = parted(turn(10), end(60, fitting="hub"), start={"kind": "hub"}, **RIGID)
        self.assertEqual(
            [step.title.key for step in short.pieces[0].after], ["step/thread", "step/join"]
        )
        made = parted(end(100), **RIGID, **joined_at({"at": 30}, {"at": 60}))
        self.assertEqual(
            [step.title.key for step in made.pieces[1].after], ["step/thread", "step/join"]
        )
        stub = parted(turn(60), end(9, fitting="hub"), start={"kind": "hub"}, **RIGID)
        self.assertEqual([step.title.key for step in stub.pieces[0].before], ["step/thread"])


class Parted(unittest.TestCase):
    def test_a_set_stays_in_one_piece_where_it_can(self) -> None:
        made = parted(offset(115, 6, 10), end(190))
        (joint,) = made.joints
        bends = [bend for piece in made.pieces for bend in piece.plan.bends]
        self.assertEqual(len(bends), 2)
        self.assertEqual(sorted(len(piece.plan.bends) for piece in made.pieces), [0, 2])
        self.assertEqual(joint.leg, 1)

    def test_half_a_set_is_bent_like_any_other_bend(self) -> None:
        made = parted(offset(90, 12, 15), end(110), **joined_at({"at": 70}))
        self.assertEqual([bend.role for bend in made.pieces[0].plan.bends], ["corner"])

    def test_ways_are_compared_and_one_is_taken(self) -> None:
        made = parted(turn(70), turn(90, "right"), end(140))
        self.assertEqual([way.taken for way in made.ways], [True, False])
        fewer, more = made.ways
        self.assertEqual(more.joints, fewer.joints + 1)
        self.assertAlmostEqual(more.waste - fewer.waste, 120 + OPEN, places=6)

    def test_what_a_person_put_is_taken_and_yarrow_s_ways_stand_beside_it(self) -> None:
        made = parted(turn(70), end(40), **joined_at({"at": 35}))
        self.assertEqual(made.parted, "hand")
        self.assertEqual([way.pieces for way in made.ways], [2, 1, 2])
        value = made.ways[0].value
        self.assertEqual([(each.leg, str(each.at)) for each in value], [(1, "35")])

    def test_what_the_tape_can_t_tell_from_a_whole_stick_is_one(self) -> None:
        # 120 1/16 to the middle, less half of what the stop holds apart: 120.031, which no tape of
        # sixteenths tells from 120.
        made = parted(end(200), **joined_at({"at": "120 1/16"}))
        self.assertEqual([piece.whole for piece in made.pieces], [True, False])
        self.assertFalse(parted(end(200), **joined_at({"at": "119 7/8"})).pieces[0].whole)

    def test_own_sticks_are_cut(self) -> None:
        made = parted(end(100), joints={"stick": 60})
        self.assertEqual(cuts(made), [60.0, round(40 - OPEN, 4)])

    def test_a_piece_s_own_order_and_stances_are_those_said_of_its_bends(self) -> None:
        document = run(
            turn(30),
            turn(60, "right"),
            end(40),
            order=[{"bend": 1, "hook": "start"}, {"bend": 0, "hook": "end"}],
            stances=[{"bend": 1, "place": "air"}],
            **joined_at({"leg": 2, "at": 30}),
        )
        handling = yarrow.handle.values(document, 2)
        taken = next(order for order in handling.orders if order.taken)
        self.assertEqual([(each.bend, each.hook) for each in taken.bends], [(0, "start")])
        self.assertEqual([each.place for each in taken.bends], ["air"])

    def test_no_such_piece_is_refused(self) -> None:
        for piece in (0, 3, -1):
            with self.subTest(piece), self.assertRaises(DocumentError) as caught:
                yarrow.handle.values(run(turn(70), end(40), **joined_at({"at": 35})), piece)
            self.assertEqual(caught.exception.path, "piece")

    def test_a_coupling_that_does_not_go_on_is_refused(self) -> None:
        with self.assertRaises(DocumentError) as caught:
            parted(end(200), joints={"coupling": "threaded-coupling"})
        self.assertEqual(caught.exception.path, "joints.coupling")
        self.assertIn("set-screw-coupling", caught.exception.expected)

    def test_the_text_names_joints_pieces_and_ways(self) -> None:
        text = yarrow.pieces.written(run(saddle3(40, 2), end(200)), "text").text
        for words in (
            "set-screw coupling, sticks of 120",
            "Joint 1: set-screw coupling, leg 1",
            "Piece 1: ",
            "(taken)",
        ):
            self.assertIn(words, text)

    def test_the_whole_run_says_nothing_of_sticks_once_it_is_parted(self) -> None:
        long = run(turn(80), end(80))
        self.assertIn("longer-than-stick", {f.code for f in yarrow.plan.values(long).findings})
        self.assertNotIn(
            "longer-than-stick",
            {f.code for f in yarrow.plan.values({**long, "joints": {}}).findings},
        )

    def test_no_joint_is_put_into_a_hole(self) -> None:
        holed = parted(hole(120, 1), end(200))
        free = parted(end(200))
        self.assertAlmostEqual(free.joints[0].at, 120 + OPEN / 2)
        self.assertLess(holed.joints[0].at, 120 - TAKES, holed.findings)


if __name__ == "__main__":
    unittest.main()
