"""The public door: plain documents in, plain JSON out, the same as the command line prints."""

from __future__ import annotations

import copy
import inspect
import json
import unittest
from pathlib import Path
from typing import Any

import yarrow
from core.tests.builders import end, framed_wall, run, turn
from core.tests.fill.test_absurd_checks import BOX, FILL, HOLES, PULL_BOX
from core.tests.site.helpers import between_holes

BENDS = {
    "format": "yarrow.bends/1",
    "units": "in",
    "cut_length": 40,
    "radius": 4,
    "bends": [{"arc_start": 12, "angle": 90}],
}
BENDER = {
    "format": "yarrow.bender/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": {"kind": "hand", "name": "Old shoe", "radius": "4 1/4", "take_up": 5},
}
TURN = run(turn(30), end(24))
RACK = {**TURN, "rack": {"count": 2, "spacing": 3, "side": "out"}}
FRAMED = framed_wall(feeds=[{"from": "A", "to": "B"}])
STOCK = {"format": "yarrow.jobstock/1", "units": "in", "offcuts": []}
ASKED: dict[str, tuple[Any, ...]] = {
    "bender": (BENDER,),
    "box": (BOX,),
    "convert": (TURN, "mm"),
    "after_cutting": (STOCK, [("emt", "1/2", {"bars": []})]),
    "cut": (
        {
            "format": "yarrow.stock/1",
            "units": "in",
            "stick": 120,
            "pieces": [{"length": 50, "count": 3}],
        },
    ),
    "entries": (HOLES,),
    "fill": (FILL,),
    "fold": (BENDS,),
    "bench": (TURN, {"format": "yarrow.bench/1", "units": "in", "made": [{"bend": 0}]}),
    "bench_fit": (TURN, {"format": "yarrow.bench/1", "units": "in", "made": [{"bend": 0}]}),
    "handle": (TURN,),
    "learn": (BENDER, [{"mark": 12, "stub": 17}]),
    "line": ("turn at 30", "in"),
    "pieces": ({**TURN, "joints": {"places": [{"at": 12}]}},),
    "plan": (TURN,),
    "pullbox": (PULL_BOX,),
    "quick": (
        {
            "format": "yarrow.quick/1",
            "units": "in",
            "said": "stub 18",
            "conduit": {"type": "emt", "size": "1/2"},
            "bender": "hand-emt-1/2",
        },
    ),
    "rack": (RACK,),
    "schema": ("run",),
    "recalibrated": (TURN, {"kind": "hand", "take_up": 5, "radius": 4.5}),
    "schedule": (b"name,type,size,length,bends,wires\nA,emt,,20,1,3 x 12 thhn\n", "in"),
    "sitebox": ({"format": "yarrow.sitebox/1", "name": "Panel", "units": "in"}, [TURN]),
    "wall": (FRAMED,),
    "site": (between_holes((0, 0), (430, 0)),),
    "work": (TURN,),
    "wires": ("3 x 12 thhn", "in"),
    "catalog": (),
}


PARTS = {
    "can_be_made",
    "cut_of_job",
    "materials_of_job",
    "read",
    "asked_at",
    "unreadable",
    "merge_wall_run",
    "runs_of_wall",
    "site_from_geojson",
    "site_to_geojson",
    "stock_of_taken",
    "taken_by_run",
    "along",
    "arc_between",
    "box_key",
    "carried_bender",
    "check_schedule",
    "convert_length",
    "count",
    "cut_text",
    "degrees",
    "ends_named",
    "follow",
    "in_turn",
    "placed_in_row",
    "plain",
    "read_json",
    "read_schedule",
    "references",
    "run_csv_row",
    "run_row",
    "runs_csv_head",
    "schedule_csv",
    "upgrade",
    "wires_of_row",
    "usual_rules",
    "wording_of",
}
"""What a server is built on besides: reading, rows of a schedule, words."""


class PublicDoor(unittest.TestCase):
    def test_every_answer_is_plain_json_and_leaves_the_document_alone(self) -> None:
        for name, given in ASKED.items():
            with self.subTest(name):
                before = copy.deepcopy(given)
                answer = getattr(yarrow, name)(*given)
                self.assertEqual(json.loads(json.dumps(answer, allow_nan=False)), answer)
                self.assertEqual(given, before)
                self.assertTrue(yarrow.can_be_made(answer))

    def test_nothing_at_the_door_is_left_out_here(self) -> None:
        functions = {name for name in yarrow.__all__ if inspect.isfunction(getattr(yarrow, name))}
        self.assertEqual(functions - set(ASKED), PARTS)
        self.assertEqual(set(yarrow.VERBS) - set(ASKED), {"plan_in_pieces"})

    def test_a_plan_in_pieces_is_both_answers(self) -> None:
        both = yarrow.plan_in_pieces(TURN)
        self.assertEqual(both, {"plan": yarrow.plan(TURN), "pieces": yarrow.pieces(TURN)})

    def test_values_are_the_same_answers(self) -> None:
        plan, rack = yarrow.plan(TURN), yarrow.rack(RACK)
        self.assertEqual(yarrow.plan.values(TURN).cut_length, plan["cut_length"])
        self.assertEqual(len(yarrow.rack.values(RACK).pipes), len(rack["pipes"]))
        orders = yarrow.handle(TURN)["orders"]
        self.assertEqual(len(yarrow.handle.values(TURN).orders), len(orders))

    def test_what_can_t_be_read_names_the_field_and_what_was_expected(self) -> None:
        for name in ("plan", "handle", "rack"):
            with self.subTest(name), self.assertRaises(yarrow.DocumentError) as caught:
                getattr(yarrow, name)(run(turn("tall"), end(24)))
            self.assertEqual(caught.exception.path, "walk[0].at")
            self.assertIn("length", caught.exception.expected)
        with self.assertRaises(yarrow.TableError) as table:
            yarrow.schedule(b"name,type,size,wires\nA,emt,9,3 x 12 thhn\nB,brass,1,1 x 12\n", "in")
        self.assertEqual(len(table.exception.errors), 2)

    def test_what_can_t_be_made_is_an_answer(self) -> None:
        beyond = yarrow.plan(run(turn(2), end(24)))
        self.assertFalse(yarrow.can_be_made(beyond))
        self.assertFalse(yarrow.can_be_made({"pipes": [beyond]}))
        self.assertEqual(beyond["steps"], [])

    def test_tables_have_a_row_a_mark_and_a_row_a_bend(self) -> None:
        self.assertEqual(len(yarrow.plan.written(TURN, "csv").text.splitlines()), 1 + 1)
        self.assertEqual(len(yarrow.plan.written(TURN, "bends").text.splitlines()), 1 + 1 + 1)
        self.assertIn(yarrow.plan(TURN)["cut_length_text"], yarrow.plan.written(TURN, "text").text)
        self.assertEqual(len(yarrow.rack.written(RACK, "csv").text.splitlines()), 1 + 2 * 2)

    def test_its_types_are_for_everyone(self) -> None:
        self.assertTrue((Path(yarrow.__file__).parent / "py.typed").is_file())
