"""Marked as you go: whoever lays a tape on the piece as it is, by the words of the steps alone,
makes the piece that was asked for."""

from __future__ import annotations

import math
import random
import unittest
from collections.abc import Iterator
from itertools import accumulate
from typing import Any

import yarrow
from core.tests.builders import (
    end,
    kick,
    metric,
    offset,
    refused,
    run,
    saddle3,
    saddle4,
    text_of,
    turn,
)
from core.tests.following import gauged_within, played
from core.tests.measuring import Measured
from yarrow.benders.bender import Bender
from yarrow.documents.run.reading import read_run
from yarrow.geometry.pipe import PipeBend, fold_anyhow
from yarrow.geometry.vectors import dot, length, subtract
from yarrow.runs.bending_sequence import BendHandling
from yarrow.runs.model.plan import FoundMark, WrittenPlan
from yarrow.runs.tape_on_piece import TapeOnPiece

PIECES = 120
_BENDERS: tuple[dict[str, Any], ...] = (
    {},
    {"conduit": {"type": "rmc", "size": "1"}, "bender": "ratchet-1"},
    {"conduit": {"type": "rmc", "size": "2"}, "bender": "mechanical-2"},
    {"units": "mm", "conduit": {"type": "steel", "size": "20"}, "bender": "bench-steel-20"},
    {"units": "mm", "conduit": {"type": "steel", "size": "25"}, "bender": "bench-steel-25"},
)


def random_pieces(seed: int, count: int) -> Iterator[dict[str, Any]]:
    """Pieces with sets, saddles of both kinds, kicks and turns in all planes, in both units."""
    rng = random.Random(seed)
    made = 0
    while made < count:
        bender = rng.choice(_BENDERS)
        scale = 25.0 if bender.get("units") == "mm" else 1.0
        at, walk = 0.0, []
        for _ in range(rng.randint(1, 3)):
            at += scale * rng.uniform(12, 40)
            toward = rng.choice(["left", "right", "out", "in"])
            kind = rng.choice(["turn", "turn", "offset", "offset", "saddle3", "saddle4", "kick"])
            if kind == "turn":
                walk.append(turn(at, toward))
                at = 0.0
            elif kind == "offset":
                rise, angle = scale * rng.uniform(1.5, 6), rng.choice([15, 22.5, 30, 45])
                walk.append(offset(at, rise, angle, toward))
                at += 6 * scale
            elif kind == "saddle3":
                walk.append(saddle3(at, scale * rng.uniform(1, 3), 45, toward))
                at += 8 * scale
            elif kind == "saddle4":
                walk.append(saddle4(at, 6 * scale, scale * rng.uniform(1, 3), 30, toward))
                at += 16 * scale
            else:
                walk += [kick(at, scale * rng.uniform(1, 3), "out"), turn(at + 14 * scale, "left")]
                at = 0.0
        document = run(*walk, end(at + scale * rng.uniform(8, 40)), **bender)
        plan = yarrow.plan.values(document)
        if plan.steps and plan.bends and plan.cut_length <= plan.conduit.stick:
            made += 1
            yield document


def slack(plan: WrittenPlan) -> float:
    """By how much what is read off a tape to its marks, and angles to a hundredth of a degree,
    moves a vertex: a mark by height slides along its leg by its half mark over the sine."""
    half = (1 / 16 if plan.units == "in" else 1.0) / 2
    along = sum(
        half / math.sin(math.radians(plan.bends[mark.bend].angle))
        for mark in plan.finding_marks
        if mark.on == "height" and mark.bend is not None
    )
    angles = math.radians(0.02) + 2 * gauged_within(plan.steps, plan.units, half)
    return 2 * half * (2 * len(plan.bends) + 1) + along + angles * plan.cut_length


class Followed(unittest.TestCase):
    def test_either_habit_makes_the_piece(self) -> None:
        for document in random_pieces(33, PIECES):
            with self.subTest(document=document):
                self.assert_made(document)

    def test_a_saddle_whose_centre_comes_last_is_not_parallel_before(self) -> None:
        order = [{"bend": bend, "hook": "start"} for bend in (0, 2, 1)]
        document = run(saddle3(40, 2), end(80), marking="as-you-go")
        usual = yarrow.plan.values(document)
        document["order"] = order
        made = {step.bend: text_of(step.do) for step in yarrow.plan.values(document).steps}
        self.assertNotIn("parallel", made[2])
        last = [step for step in usual.steps if step.bend is not None][-1]
        self.assertIn("until both legs are parallel", text_of(last.do))
        self.assert_made(document)

    def test_whatever_the_way_of_working(self) -> None:
        walk = (offset(500, 80), turn(1000), turn(700, "out"), saddle3(400, 40), end(900))
        for way in ("mark", "bench", "chart"):
            self.assert_made(metric(*walk, way=way))

    def test_warm_plastic_too(self) -> None:
        forms = {"conduit": {"type": "pvc40", "size": "1"}, "bender": "heat-form-us"}
        for walk in (
            (turn(40), end(34)),
            (offset(30, 8), saddle3(70, 3), turn(100, "out"), end(40)),
        ):
            self.assert_made(run(*walk, **forms))

    def assert_made(self, document: dict[str, Any]) -> None:
        bender = read_run(document).setup.bender
        flat = yarrow.plan.values({**document, "marking": "flat"})
        self.assert_near(flat, played(flat.steps, flat.units, bender), flat.cut_length)
        plan = yarrow.plan.values({**document, "marking": "as-you-go"})
        hand = Measured(plan.units, bender, 2 * plan.cut_length)
        self.assert_near(plan, *hand.follow(plan.steps))

    def assert_near(self, plan: WrittenPlan, bends: list[PipeBend], cut: float) -> None:
        out = fold_anyhow(bends, cut, start=plan.path[0], first_toward=plan.first_toward).vertices
        for made, planned in zip(out, plan.path, strict=True):
            self.assertLess(math.dist(made, planned), slack(plan))


class Picked(unittest.TestCase):
    def test_left_out_it_is_as_the_bender_s_kind_usually_is(self) -> None:
        walk = (turn(20), end(30))
        bench = {"kind": "bench", "radius": 4, "take_up": 6}
        own = {kind: {**bench, "kind": kind} for kind in ("hand", "ratchet", "powered", "heat")}
        usual = {
            kind: yarrow.plan.values(run(*walk, bender=bender)) for kind, bender in own.items()
        }
        self.assertEqual({plan.marking for plan in usual.values()}, {"flat"})
        self.assertEqual(yarrow.plan.values(run(*walk, bender=bench)).marking, "as-you-go")
        self.assertEqual(
            yarrow.plan.values(run(*walk, bender=bench, marking="flat")).marking, "flat"
        )

    def test_printed_tables_are_flat_whatever_was_picked(self) -> None:
        plan = yarrow.plan.values(
            run(turn(20), turn(30), end(15), method="table", marking="as-you-go")
        )
        self.assertEqual(plan.marking, "flat")
        self.assertIn("From the start end, mark", text_of(plan.steps[0].do))
        self.assertEqual(
            {(row.on, row.parallel_to) for row in plan.finding_marks}, {("start", None)}
        )

    def test_anything_else_is_refused_by_its_path(self) -> None:
        for marking in ("both", "", 1, None, ["flat"]):
            self.assertIn("marking", refused(run(turn(20), end(30), marking=marking)))

    def test_marks_flat_are_for_the_straight_pipe_in_one_step_as_you_go_each_in_its_own(
        self,
    ) -> None:
        walk = (turn(20), turn(30), end(15))
        flat, going = (
            yarrow.plan.values(run(*walk, marking=marking)) for marking in ("flat", "as-you-go")
        )
        self.assertEqual([step.bend for step in flat.steps], [None, 0, 1, None])
        self.assertEqual([step.bend for step in going.steps], [0, 1, None])
        self.assertEqual(flat.marks, going.marks)
        self.assertNotIn(str(going.marks[1].text), text_of(going.steps[1].do))

    def test_a_terminal_tells_what_to_check_on_the_bent_piece(self) -> None:
        told = yarrow.plan.text(yarrow.plan.values(run(turn(20), turn(30), end(15))), "text")
        self.assertIn("on the bent piece: 25 from the back of bend 1", told)


class Exactly(unittest.TestCase):
    def test_what_the_tape_reads_with_just_those_bends_made(self) -> None:
        for document in random_pieces(34, PIECES):
            for marking in ("flat", "as-you-go"):
                plan = yarrow.plan.values({**document, "marking": marking})
                with self.subTest(document=document):
                    self.assert_read(plan, read_run(document).setup.bender)

    def assert_read(self, plan: WrittenPlan, bender: Bender) -> None:
        piece = Measured(plan.units, bender, plan.cut_length)
        rolls = [*accumulate(bend.roll for bend in plan.bends)]
        for row in plan.finding_marks:
            place, beyond = plan.cut_length, len(plan.bends) + 1
            if row.bend is not None:
                place, beyond = plan.marks[row.bend].position, row.bend + 1
            elif row.first == "end":
                place, beyond = 0.0, 0
            self.assertAlmostEqual(self.read(row, plan, piece, beyond), place, places=6)
            if row.bend is not None:
                bend = plan.bends[row.bend]
                piece.bends[row.bend + 1] = (bend.arc_start, bend.angle, rolls[row.bend])

    def read(self, row: FoundMark, plan: WrittenPlan, piece: Measured, number: int) -> float:
        """Where a tape that shows what the row says is on the pipe."""
        if row.on == "height":
            assert row.of is not None
            return piece.by_height(row.of + 1, number, row.at_mark)
        if row.on == "centre":
            assert row.of is not None
            assert row.bend is not None
            way = 1 if row.bend > row.of else -1
            return plan.marks[row.of].position + way * row.reads
        if row.parallel_to is None:
            return piece.from_end(row.on, row.reads)
        if row.of is None:
            return piece.parallel(row.on, None, number, row.reads)
        return piece.parallel(
            "start" if row.of + 1 < number else "end", row.of + 1, number, row.reads
        )


class Drawn(unittest.TestCase):
    def test_the_tape_lies_on_the_piece_as_long_as_it_reads_and_square_to_a_straightedge(
        self,
    ) -> None:
        laid = 0
        for document in random_pieces(35, 40):
            handling = yarrow.handle.values({**document, "marking": "as-you-go"})
            for order in handling.orders:
                found = {row.bend: row for row in order.finding_marks}
                for bend in order.bends:
                    with self.subTest(document=document, bend=bend.bend):
                        laid += self.lies(bend, found[bend.bend])
        self.assertGreater(laid, 100)

    def lies(self, bend: BendHandling, row: FoundMark) -> bool:
        if row.flat or row.on == "centre":
            self.assertEqual(bend.tape, TapeOnPiece())
            return False
        hooked, mark = bend.tape.tape
        self.assertAlmostEqual(math.dist(hooked, mark), row.at_mark, delta=0.03)
        # The straight that the bend is made on lies level, the hook to the right.
        self.assertEqual((mark[1], mark[2]), (0, 0))
        if row.on != "height":
            toward = row.on
            if row.of is not None:
                toward = "start" if row.of < (row.bend or 0) else "end"
            self.assertEqual(hooked[0] > mark[0], toward == bend.hook)
            return True
        outer, foot = bend.tape.straightedge
        self.assertEqual(foot, hooked)
        ends = (bend.before[0], bend.before[-1])
        self.assertTrue(any(math.dist(outer, at) < 0.03 for at in bend.before), ends)
        along, off = subtract(foot, outer), subtract(mark, foot)
        self.assertAlmostEqual(dot(along, off) / length(along), 0, delta=0.05)
        return True


if __name__ == "__main__":
    unittest.main()
