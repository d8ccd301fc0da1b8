"""What to expect of a piece: held to what pieces come out as that a hand makes that is off by a
little, by the words of the steps or on the straight pipe."""

from __future__ import annotations

import math
import random
import unittest
from collections.abc import Sequence
from typing import Any

import yarrow
from core.tests.builders import (
    box_offset,
    end,
    hole,
    metric,
    offset,
    run,
    text_of,
    turn,
)
from core.tests.measuring import Scatter, steady
from core.tests.runs.test_marked_as_you_go import random_pieces
from core.tests.scattering import SPREADS, Maker, as_you_go, flat
from yarrow.documents.run.reading import read_run
from yarrow.runs.model.plan import Expected
from yarrow.runs.planner import plan_run
from yarrow.runs.stages import BuildablePlan
from yarrow.values import replace

PIECES = 40
PIECES_OF_A_BENDER = 12
NOISY_PIECES, OF_EACH = 24, 100
HALVES = 1.959964
MAKERS: dict[str, Maker] = {"flat": flat, "as_you_go": as_you_go}


def planned(document: dict[str, Any]) -> tuple[BuildablePlan, tuple[Expected, ...]]:
    document = {**document, "marking": "as-you-go"}
    plan = plan_run(read_run(document))
    assert isinstance(plan, BuildablePlan)
    return plan, yarrow.plan.values(document).expected


class OneSlip:
    """A hand that is off once, at the mark or angle of that number; ``kinds`` are all it made."""

    def __init__(self, number: int, by: float) -> None:
        self.number, self.by, self.kinds = number, by, list[str]()

    def __call__(self, kind: str) -> float:
        self.kinds.append(kind)
        return self.by if len(self.kinds) - 1 == self.number else 0.0


def halves_by_slips(plan: BuildablePlan, make: Maker) -> list[float]:
    """Half of the interval of every dimension, from one slip after the other."""
    spreads = SPREADS[plan.resolution.run.unit]
    hair = spreads["mark"] / 50
    made, bender = OneSlip(-1, 0.0), plan.resolution.run.bender
    squares = [0.0] * len(make(plan, made, bender))
    for number, kind in enumerate(made.kinds):
        more, less = (make(plan, OneSlip(number, by), bender) for by in (hair, -hair))
        for at, (one, other) in enumerate(zip(more, less, strict=True)):
            squares[at] += ((one - other) / (2 * hair) * spreads[kind]) ** 2
    return [HALVES * math.sqrt(square) for square in squares]


def unsteady(rng: random.Random, plan: BuildablePlan) -> Scatter:
    spreads = SPREADS[plan.resolution.run.unit]
    return lambda kind: rng.gauss(0, spreads[kind])


class Expectations(unittest.TestCase):
    def test_every_slip_counts_for_what_it_moves(self) -> None:
        for document in random_pieces(7, PIECES):
            plan, expected = planned(document)
            with self.subTest(document=document):
                self.assert_close([one.flat for one in expected], halves_by_slips(plan, flat))
                going = [one.as_you_go for one in expected]
                self.assert_close(going, halves_by_slips(plan, as_you_go))

    def test_over_bends_that_are_made_later(self) -> None:
        sets = [offset(at, 3, toward=toward) for at, toward in ((16, "left"), (32, "right"))]
        order = [{"bend": bend, "hook": "end"} for bend in (0, 1, 4, 5, 6, 2, 3)]
        document = run(*sets, offset(48, 3), turn(62), end(30), order=order)
        plan, expected = planned(document)
        self.assertEqual([row.bend for row in plan.finding_marks], [0, 1, 4, 5, 6, 2, 3, None])
        self.assertIn((6, True), {(row.bend, row.over) for row in plan.finding_marks})
        by_slips = halves_by_slips(plan, as_you_go)
        self.assert_close([one.as_you_go for one in expected], by_slips)

    def test_a_bender_that_is_not_quite_known(self) -> None:
        for document in random_pieces(19, PIECES_OF_A_BENDER):
            bender = plan_run(read_run(document)).resolution.run.bender
            own = {
                "kind": bender.kind,
                **{name: getattr(bender, name) for name in ("radius", "take_up", "hook", "heel")},
            }
            for number in ("take_up", "radius"):
                by = bender.diameter / 40
                known = {"take_up": 0, "radius": 0, number: by}
                plan, expected = planned({**document, "bender": {**own, "known_to": known}})
                _, certain = planned({**document, "bender": own})
                truth = plan.resolution.run.bender
                other = replace(truth, **{number: getattr(truth, number) + by})
                for habit, make in MAKERS.items():
                    moved = zip(make(plan, steady, other), make(plan, steady, truth), strict=True)
                    for one, sure, (there, here) in zip(expected, certain, moved, strict=True):
                        half = math.hypot(getattr(sure, habit), there - here)
                        with self.subTest(document=document, number=number, habit=habit):
                            told = getattr(one, habit)
                            self.assertAlmostEqual(told, half, delta=0.02 * half + by / 50)

    def test_every_kind_of_line(self) -> None:
        for walk in (
            (box_offset("start", "1/2"), end(50)),
            (offset(20, 4, of="begin"), end(60)),
            (offset(20, 4, of="centre"), turn(50), end(30)),
            (hole(30, 2), end(60)),
            (hole(24, "1 1/8"), turn(50, "left"), end(30)),
        ):
            plan, expected = planned(run(*walk))
            with self.subTest(walk=walk):
                self.assert_close([one.flat for one in expected], halves_by_slips(plan, flat))

    def assert_close(self, expected: Sequence[float], by_slips: Sequence[float]) -> None:
        for one, other in zip(expected, by_slips, strict=True):
            # Marks are rounded, so that pieces are not quite the ones that were asked for.
            self.assertAlmostEqual(one, other, delta=0.02 * other + 0.002)

    def test_19_of_20_noisy_pieces_come_out_within_it(self) -> None:
        rng = random.Random(2)
        inside = {"flat": 0, "as_you_go": 0}
        numbers = 0
        for document in random_pieces(11, NOISY_PIECES):
            plan, expected = planned(document)
            hand, bender = unsteady(rng, plan), plan.resolution.run.bender
            for habit, make in MAKERS.items():
                middle = make(plan, steady, bender)
                for _ in range(OF_EACH):
                    made = make(plan, hand, bender)
                    inside[habit] += sum(
                        abs(number - of) <= getattr(one, habit)
                        for number, of, one in zip(made, middle, expected, strict=True)
                    )
            numbers += OF_EACH * len(expected)
        for habit, count in inside.items():
            self.assertTrue(0.93 < count / numbers < 0.97, f"{habit}: {count / numbers}")


class Said(unittest.TestCase):
    def test_where_the_habits_differ(self) -> None:
        to_expect = yarrow.plan.values(run(offset(30, 4), turn(50), end(60))).to_expect
        self.assertRegex(
            text_of(to_expect.habits),
            r"^Marked flat, the rise of line 1 may come out 5/16 in off; as you go, 3/16 in\.$",
        )

    def test_not_where_they_do_not(self) -> None:
        to_expect = yarrow.plan.values(run(turn(12), end(40))).to_expect
        self.assertEqual(text_of(to_expect.habits), "")

    def test_what_takes_up_the_rest(self) -> None:
        walk = (offset(30, 4), turn(50), end(60))
        taken = yarrow.plan.values(run(*walk)).to_expect.taken_up
        self.assertIn("Leave the", text_of(taken))
        joined = yarrow.plan.values(run(*walk, joints={})).to_expect.taken_up
        self.assertIn("piece that goes up last", text_of(joined))

    def test_the_end_that_is_not_measured_from_is_left_long(self) -> None:
        for document in random_pieces(13, 20):
            flat_one, going = (
                yarrow.plan.values({**document, "marking": marking})
                for marking in ("flat", "as-you-go")
            )
            self.assertNotIn("Leave the start", text_of(flat_one.to_expect.taken_up))
            taken = text_of(going.to_expect.taken_up)
            made = [row.bend for row in going.finding_marks if row.bend is not None]
            if taken and len(made) > 1:
                self.assertEqual("Leave the end" in taken, made[0] < made[-1], document)

    def test_a_loose_number_takes_it_up(self) -> None:
        plan = yarrow.plan.values(run(turn(12), turn(30, "out", loose=["at"]), end(60)))
        self.assertEqual(
            text_of(plan.to_expect.taken_up),
            "The place of line 2 is loose: it takes up the rest.",
        )
        self.assertNotIn("place of line 2", text_of(plan.to_expect.narrowed))

    def test_the_loose_one_is_not_the_widest(self) -> None:
        walk = (turn(40), offset(30, 4, loose=["rise"]), turn(50), end(40))
        narrowed = text_of(yarrow.plan.values(run(*walk)).to_expect.narrowed)
        self.assertIn("Widest is the place of", narrowed)

    def test_what_would_narrow_it(self) -> None:
        narrowed = yarrow.plan.values(run(offset(30, 4), turn(50), end(60))).to_expect.narrowed
        self.assertRegex(
            text_of(narrowed),
            r"^Widest is the rise of line 1, ±\u00a05/16 in; what narrows it most is the angle of "
            r"bend \d\.$",
        )

    def test_nothing_where_nothing_is_measured_or_made(self) -> None:
        path = {**run(), "path": [[0, 0, 0], [20, 0, 0], [20, 20, 0]]}
        del path["walk"]
        for document in (run(end(60)), run(offset(2, 6), end(10)), path):
            plan = yarrow.plan.values(document)
            self.assertEqual(text_of(plan.to_expect.narrowed), "")

    def test_printed_marks_are_flat(self) -> None:
        plan = yarrow.plan.values(run(offset(47, "4 3/8"), end(80), method="table"))
        self.assertTrue(plan.expected)
        for one in plan.expected:
            self.assertEqual(one.flat, one.as_you_go)
        self.assertEqual(text_of(plan.to_expect.habits), "")

    def test_in_millimetres_too(self) -> None:
        plan = yarrow.plan.values(metric(offset(500, 80), turn(900), end(700)))
        self.assertIn(" mm off", text_of(plan.to_expect.habits))
