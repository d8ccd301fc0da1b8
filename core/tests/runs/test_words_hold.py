"""What a sentence says, holds: taken at its word, it mends what it is about."""

from __future__ import annotations

import random
import re
import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    codes,
    end,
    kick,
    metric,
    offset,
    planned,
    run,
    saddle3,
    text_of,
    turn,
)
from core.tests.fill.helpers import wire
from core.tests.properties.strategies import SIDES
from yarrow.documents.boxes.reading import box_document
from yarrow.documents.fill.reading import fill_document
from yarrow.documents.run.reading import read_run
from yarrow.measure.tape import read_length
from yarrow.racks.rack import plan_rack
from yarrow.runs.bending_sequence import handle_run
from yarrow.wording.wording import EN_US

POWERED: dict[str, Any] = {"conduit": {"type": "rmc", "size": "2"}, "bender": "powered-2"}
MOVES = ("arcs-overlap", "before-start", "end-short", "mark-off-pipe", "bends-too-close",
         "stub-too-short", "too-close-to-end", "out-of-order")  # fmt: skip


class Moves(unittest.TestCase):
    def test_whatever_is_moved_as_far_as_is_said_is_mended(self) -> None:
        rng = random.Random(11)
        tried = 0
        for _ in range(500):
            at, on = rng.uniform(1, 40), rng.uniform(0.5, 14)
            first = rng.choice(
                [kick(at, rng.uniform(0.5, 6), rng.choice(("out", "in", "left"))), offset(at, 4),
                 saddle3(at, 2)]
            )  # fmt: skip
            walk = [first, turn(at + on, rng.choice(SIDES)), end(rng.uniform(2, 60))]
            tool = POWERED if rng.random() < 0.5 else {}
            for finding in planned(*walk, **tool).findings:
                remedy = finding.remedy
                if finding.code not in MOVES or remedy is None or ".at" not in remedy.path:
                    continue
                tried += 1
                line = int(remedy.path[5])
                mended = [dict(each) for each in walk]
                mended[line]["at"] = remedy.value
                left = planned(*mended, **tool).findings
                same = [f for f in left if (f.code, f.path) == (finding.code, finding.path)]
                self.assertEqual(same, [], (walk, finding.text))
                said = re.search(r"at least ([\d/ ]+) in further", finding.text)
                if said:
                    moved = float(walk[line]["at"]) + float(read_length(said[1], "in").value)
                    mended[line]["at"] = moved
                    left = planned(*mended, **tool).findings
                    self.assertNotIn(finding.code, [f.code for f in left if f.path == finding.path])
        self.assertGreater(tried, 200)

    def test_where_no_place_is_far_enough_the_kick_is_to_blame(self) -> None:
        plan = planned(kick(2, 6, "out"), turn(4, "left"), end(40))
        texts = [f.text for f in plan.findings if f.level == "error" and f.remedy is None]
        self.assertTrue(any("make the kick's rise smaller" in text for text in texts), texts)


class Rounded(unittest.TestCase):
    def test_a_ring_of_what_is_said_is_enough(self) -> None:
        for fourteens in range(1, 9):
            for twelves in range(0, 7):
                box: dict[str, Any] = {
                    "format": "yarrow.box/1", "box": {"volume": 6.19},
                    "conductors": [
                        {"size": "14", "ends": fourteens}, {"size": "12", "ends": twelves},
                    ],
                }  # fmt: skip
                ways = map(EN_US.text, box_document(box).to_pass)
                told = [text for text in ways if "ring of at least" in text]
                if told:
                    volume = re.search(r"at least ([\d.]+) in³", told[0])
                    assert volume
                    box["box"] = {"volume": 6.19 + float(volume[1])}
                    self.assertTrue(box_document(box).passes, told)

    def test_too_much_is_never_told_as_just_enough(self) -> None:
        for count in range(1, 60):
            result = fill_document({
                "format": "yarrow.fill/1", "units": "in", "conduit": {"type": "emt", "size": "1"},
                "conductors": [wire(count, "12"), wire(1, "10")],
            })  # fmt: skip
            for finding in result.findings:
                said = re.search(r"not go in: ([\d.]+) of ([\d.]+)", finding.text)
                if said:
                    self.assertGreater(float(said[1]), float(said[2]))

    def test_the_straight_that_there_is_never_reads_as_what_is_needed(self) -> None:
        for sixty_fourths in range(1, 64):
            second = turn(18 + sixty_fourths / 64, "right")
            plan = planned(turn(30), second, end(40))
            for finding in plan.findings:
                said = re.search(r"there are ([\d/ ]+) in of.*needs ([\d/ ]+) in", finding.text)
                if said:
                    has, needs = (float(read_length(part, "in").value) for part in said.groups())
                    self.assertLess(has, needs)


class Floor(unittest.TestCase):
    def test_the_stretch_ends_where_the_next_bend_begins(self) -> None:
        document = run(turn("27 1/2", "out"), offset(40, "6 1/2", 30, "in"), end(100))
        for order in handle_run(read_run(document)).orders:
            made: set[int] = set()
            for each in order.bends:
                plan = yarrow.plan.values(document)
                arcs = {n: plan.bends[n] for n in made | {each.bend}}
                for meeting in each.meets:
                    text = text_of(meeting.text)
                    found = re.search(r"from ([\d/ ]+) in to ([\d/ ]+) in", text)
                    assert found, text
                    begins, ends = (float(read_length(t, "in").value) for t in found.groups())
                    for arc in arcs.values():
                        inside = begins + 1 / 8 < arc.arc_start < ends - 1 / 8
                        self.assertFalse(inside, text)
                made.add(each.bend)


class Notch(unittest.TestCase):
    def test_it_is_spoken_of_where_there_is_one_and_it_does_not_serve(self) -> None:
        for way, angle, spoken in (
            ("mark", 45, False), ("mark", 60, True), ("bench", 45, False), ("bench", 60, False),
            ("chart", 45, False),
        ):  # fmt: skip
            plan = planned(saddle3(60, 2, angle), end(120), way=way)
            self.assertEqual("centre-notch-does-not-serve" in codes(plan), spoken, (way, angle))


class NoFactorLeft(unittest.TestCase):
    TURNS = (turn(60, SIDES[n % 4]) for n in range(11))

    def test_eleven_turns_with_wires_are_planned_handled_and_racked(self) -> None:
        wires = {"conductors": [wire(3, "12")]}
        rack = {"count": 2, "side": "right", "spacing": 3}
        document = run(*self.TURNS, end(60), wires=wires, rack=rack)
        plan = yarrow.plan.values(document)
        assert plan.wires
        assert plan.wires.fill
        beside = plan.wires.fill.beside
        assert beside
        self.assertIsNone(beside.passes)
        self.assertIn("draw-in box", EN_US.text(beside.text))
        self.assertTrue(handle_run(read_run(document)).orders)
        self.assertTrue(plan_rack(read_run(document)).pipes)

    def test_a_fill_over_600_metres_and_ten_bends_has_no_factor_and_says_so(self) -> None:
        us = {"format": "yarrow.fill/1", "units": "in", "length": 600, "bends": 10,
              "conduit": {"type": "emt", "size": "1/2"}, "conductors": [wire(3, "12")]}  # fmt: skip
        beside = fill_document(us).beside
        assert beside
        self.assertIsNone(beside.passes)
        walk = [turn(2000, SIDES[n % 4]) for n in range(11)]
        wires = {"conductors": [{"count": 3, "csa": 2.5}]}
        plan = yarrow.plan.values(metric(*walk, end(2000), wires=wires))
        self.assertIn("wires-not-checked", codes(plan))
        self.assertFalse([f for f in plan.findings if " of 0" in f.text])


if __name__ == "__main__":
    unittest.main()
