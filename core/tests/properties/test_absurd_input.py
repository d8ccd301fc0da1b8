"""Absurd runs get a clear word for little work, and none gets a traceback."""

from __future__ import annotations

import unittest
from typing import Any

import yarrow
from core.tests.builders import (
    block,
    box,
    end,
    hole,
    kick,
    ledge,
    offset,
    round_thing,
    run,
    saddle3,
    turn,
    wall,
)
from core.tests.work import counted
from yarrow.documents.errors import DocumentError
from yarrow.documents.run.reading import read_run
from yarrow.racks.rack import plan_rack
from yarrow.runs.bending_sequence import handle_run

SIDES = ("left", "out", "right", "in")


def path_run(*points: tuple[float, float, float]) -> dict[str, Any]:
    document = run(end(1))
    document.pop("walk")
    return {**document, "path": [list(point) for point in points]}


def zigzag(count: int) -> list[tuple[float, float, float]]:
    return [(20.0 * n, 12.0 * (n % 2), 7.0 * (n % 3)) for n in range(count)]


READ: dict[str, dict[str, Any]] = {
    "things all at one place": run(*[round_thing(40, 2)] * 100, end(60)),
    "things one after the other": run(*[round_thing(40 * n, 2) for n in range(1, 101)], end(9000)),
    "blocks that overlap": run(*[block(40 + n, 30, 4) for n in range(60)], end(200)),
    "something as large as a house": run(round_thing(40, 900_000), end(60)),
    "something as small as dust": run(round_thing(40, "1/1000000"), end(60)),
    "something before the start": run(round_thing(-40, 2), ledge(-3, 2), end(60)),
    "a line past the end": run(offset(400, 4), turn(900), end(60)),
    "five hundred lines": run(*[turn(40, SIDES[n % 4]) for n in range(499)], end(40)),
    "saddles on top of each other": run(*[saddle3(40, 3)] * 300, end(60)),
    "a hole behind its wall": run(hole(90, 2), wall(40), end(40)),
    "a kick with no leg": run(turn(40), kick(39, 500), end(40)),
    "boxes with nothing between": run(box("start", 4), box("end", 4), end(2)),
    "a stand-off higher than everything": run(offset(40, 4, 30, "out"), end(80), stand_off=900),
    "an end at the moon": run(turn(40, loose=["at"]), end(40, meet=[999_999, 999_999, 999_999])),
    "every number loose and none that helps": run(
        *[turn(40, loose=["at", "angle"]) for _ in range(20)], end(40, meet=[0, 0, 5])
    ),
    "sixty lines and a fixed end": run(
        *[turn(40, SIDES[n % 4]) for n in range(59)], end(40, loose=["at"], meet=[3, 900, 7])
    ),
    "a length too short for any offset": run(
        {"kind": "offset", "at": 60, "rise": 50, "toward": "out", "within": "1/16"}, end(90)
    ),
    "a path of two thousand points": path_run(*zigzag(2000)),
    "a path with a point twice": path_run((0, 0, 0), (10, 0, 0), (10, 0, 0), (20, 4, 0)),
    "a path that goes back on itself": path_run((0, 0, 0), (30, 0, 0), (10, 0, 0)),
    "a path that stays where it is": path_run((1, 1, 1), (1, 1, 1)),
    "a bender of no size": run(
        turn(40), end(40), bender={"kind": "hand", "radius": "1/1000", "take_up": "1/1000"}
    ),
    "a bender as large as a bridge": run(
        turn(40), end(40), bender={"kind": "hand", "radius": 900_000, "take_up": 900_000}
    ),
}

REFUSED: dict[str, tuple[dict[str, Any], str]] = {
    "an empty walk": ({**run(end(1)), "walk": []}, "walk"),
    "a walk of five hundred and one": (run(*[turn(40)] * 500, end(40)), "walk"),
    "too many things": (run(*[ledge(40, 2)] * 101, end(60)), "walk"),
    "an obstacle of no height": (run(block(40, 2, 0), end(60)), "walk[0].height"),
    "an obstacle inside the wall": (run(round_thing(40, 2, height=-1), end(60)), "walk[0].height"),
    "a path of one point": (path_run((0, 0, 0)), "path"),
    "a length beyond any tape": (run(round_thing(40, 10**9), end(60)), "walk[0].across"),
    "a number that is none": (run(end(40, meet=[1, "far", 0])), "walk[0].meet[1]"),
    "a place of two numbers": (run(end(40, meet=[1, 2])), "walk[0].meet"),
    "a number that no line has": (run(wall(40, loose=["at"]), end(40)), "walk[0].loose"),
    "a way that nobody works": (run(end(40), way="magic"), "way"),
    "an angle and a length": (
        run({**offset(40, 2), "angle": "steep"}, end(60)),
        "walk[0].angle",
    ),
}


def racked(document: dict[str, Any], **rack: Any) -> dict[str, Any]:
    return {**document, "rack": {"count": 40, "side": "right", "spacing": 3, **rack}}


FORTY = run(*[turn(60, SIDES[n % 4]) for n in range(40)], end(60))

THIRTY = run(*[turn(60, SIDES[n % 4]) for n in range(30)], end(60))
BLOCKED = run(*[turn((60, 20)[n % 2], ("left", "right")[n // 2 % 2]) for n in range(30)], end(60))

RACKS: dict[str, dict[str, Any]] = {
    "forty pipes of forty turns": racked(FORTY),
    "a degree a shot": racked(FORTY, corners="concentric", shot=1),
    "five hundred lines": racked(READ["five hundred lines"], corners="concentric", shot=1),
    "two thousand points": racked(READ["a path of two thousand points"]),
    "pipes a mile apart": racked(run(turn(40), end(40)), spacing=63_360),
    "pipes inside each other": racked(run(turn(40), end(40)), spacing="1/1000", between="air"),
    "a wrong shoe as it was built": racked(
        run(turn(40), end(40), bender="hand-emt-1"),
        count=2,
        built=[{"pipe": 0, "bends": [{"bend": 0, "angle": 95}]}],
    ),
    "a straight rack": racked(run(end(40))),
    "a path that stays where it is": racked(READ["a path that stays where it is"]),
    "one with everything out of order": racked(READ["a line past the end"]),
}


class Absurd(unittest.TestCase):
    def test_racks_are_answered_or_refused_with_a_word(self) -> None:
        for name, document in RACKS.items():
            with self.subTest(name):
                plan = plan_rack(read_run(document))
                self.assertTrue(plan.pipes or plan.findings)
                self.assertLessEqual(sum(len(pipe.path) for pipe in plan.pipes), 3100)

    def test_orders_are_searched_with_little_work(self) -> None:
        for name, document in {**READ, "thirty turns": THIRTY, "no order at all": BLOCKED}.items():
            with self.subTest(name), counted() as work:
                handling = handle_run(read_run(document))
                self.assertTrue(all(finding.text for finding in handling.findings))
                # Each of 30 bends with either hook from either end, its blocks tried as well.
                self.assertLessEqual(work["placings"], 30 * 12)
                self.assertLessEqual(work["moments"], 30 * 300)

    def test_a_piece_of_too_many_bends_is_to_be_parted(self) -> None:
        many = handle_run(read_run(FORTY))
        self.assertEqual([finding.code for finding in many.findings], ["too-many-bends-to-handle"])
        rack = plan_rack(read_run(racked(FORTY, corners="concentric", shot=1)))
        self.assertEqual([finding.code for finding in rack.findings], ["rack-too-large"])

    def test_a_run_of_as_many_bends_as_are_planned_is_planned(self) -> None:
        around = [turn(60, side) for side in ("left", "out", "right", "in")] * 38
        for bends, marks in ((150, 150), (151, 0)):
            plan = yarrow.plan.values(run(*around[:bends], end(60)))
            self.assertEqual(len(plan.marks), marks)

    def test_what_can_be_read_is_planned_with_little_work(self) -> None:
        for name, document in READ.items():
            with self.subTest(name), counted() as work:
                plan = yarrow.plan.values(document)
                # 100 things at the most, each at its usual angles, alone and with the next.
                self.assertLessEqual(work["candidates"], 100 * 16)
                self.assertLessEqual(work["layouts"], 300)
                for finding in plan.findings:
                    self.assertTrue(finding.text)
                if not plan.can_be_made:
                    self.assertEqual(plan.steps, ())
                    self.assertTrue(plan.path)

    def test_what_can_t_be_read_is_refused_at_its_field(self) -> None:
        for name, (document, path) in REFUSED.items():
            with self.subTest(name), self.assertRaises(DocumentError) as caught:
                read_run(document)
            self.assertEqual(caught.exception.path, path, name)
