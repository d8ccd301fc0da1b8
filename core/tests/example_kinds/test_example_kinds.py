"""A new kind, put into its registry and nowhere else, has all that a kind has."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from contextlib import contextmanager
from unittest import mock

import yarrow
from core.tests.builders import end, run, turn
from core.tests.example_kinds.dogleg import Dogleg
from core.tests.example_kinds.strut import Strut
from yarrow.documents.schema import reader, schema
from yarrow.features.feature import Feature
from yarrow.features.registry import KINDS
from yarrow.obstacles.obstacle import Obstacle
from yarrow.obstacles.registry import OBSTACLES

# What the type checker holds each to; a kind that answers less does not pass it.
_BEND: type[Feature] = Dogleg
_MET: type[Obstacle] = Strut


def _forget() -> None:
    schema.cache_clear()
    reader.cache_clear()


@contextmanager
def added() -> Iterator[None]:
    """Both kinds in their registries."""
    _forget()
    bends = mock.patch.dict(KINDS, {Dogleg.document.kind: Dogleg})
    met = mock.patch.dict(OBSTACLES, {Strut.document.kind: Strut})
    with bends, met:
        yield
    _forget()


DOGLEG = {"kind": "dogleg", "at": 30, "rise": 4, "toward": "left"}
STRUT = {"kind": "strut", "at": 40, "across": "1 5/8", "label": "tray rack"}


class Kinds(unittest.TestCase):
    def setUp(self) -> None:
        patched = added()
        patched.__enter__()
        self.addCleanup(patched.__exit__, None, None, None)

    def test_a_bend_is_marked_as_the_offset_that_it_is(self) -> None:
        plan = yarrow.plan(run(DOGLEG, end(80)))
        offset = {**DOGLEG, "kind": "offset", "of": "centre", "angle": 45}
        self.assertEqual(plan["marks"], yarrow.plan(run(offset, end(80)))["marks"])
        self.assertEqual([each["field"] for each in plan["site"]][:2], ["at", "rise"])
        self.assertEqual([each["field"] for each in plan["dimensions"]][:2], ["at", "rise"])

    def test_a_bend_s_numbers_may_float_until_the_ends_meet(self) -> None:
        fixed = {**end(80), "meet": [80, 5, 0]}
        plan = yarrow.plan(run({**DOGLEG, "loose": ["rise"]}, fixed))
        self.assertEqual([each["became_text"] for each in plan["solved"]], ["5"])

    def test_a_printed_rule_marks_it_too(self) -> None:
        plan = yarrow.plan(run(DOGLEG, end(80), method="table"))
        # 4 in at 45°: the multiplier of 1.4 between its marks.
        apart = plan["marks"][1]["position"] - plan["marks"][0]["position"]
        self.assertAlmostEqual(apart, 5.6, delta=1 / 16)

    def test_an_obstacle_is_taken_with_a_price_drawn_and_dimensioned(self) -> None:
        plan = yarrow.plan(run(STRUT, end(90)))
        block = {**STRUT, "kind": "block", "width": "1 5/8", "height": "1 5/8"}
        del block["across"]
        as_block = yarrow.plan(run(block, end(90)))
        self.assertEqual(plan["marks"], as_block["marks"])
        self.assertEqual(plan["choices"], as_block["choices"])
        self.assertEqual(plan["things"], as_block["things"])
        self.assertEqual([each["field"] for each in plan["site"]][:3], ["at", "width", "height"])

    def test_an_obstacle_has_its_warnings(self) -> None:
        inward = yarrow.plan(run({**STRUT, "toward": "in"}, end(90)))
        self.assertIn("into-the-surface", [each["code"] for each in inward["findings"]])
        picked = yarrow.plan(run({**STRUT, "pick": "kick 30"}, end(90)))
        self.assertIn("pick-not-offered", [each["code"] for each in picked["findings"]])

    def test_two_that_are_close_are_taken_in_one(self) -> None:
        near = {**STRUT, "at": 46, "label": ""}
        choice = yarrow.plan(run(STRUT, near, end(120)))["choices"][0]
        self.assertTrue(any(each["together"] for each in choice["candidates"]))

    def test_both_are_said_read_converted_and_refused_by_their_fields(self) -> None:
        said = yarrow.line("strut 1 5/8 at 40, tray rack", "in")["line"]
        self.assertEqual(said, {**STRUT, "toward": "out", "at": "40"})
        self.assertEqual(yarrow.line("dogleg 4 at 30 left", "in")["line"]["rise"], "4")
        self.assertIn("strut", yarrow.line("no such thing", "in")["expected"])
        with self.assertRaises(yarrow.DocumentError) as refused:
            yarrow.plan(run({**STRUT, "across": 0}, end(90)))
        self.assertEqual(refused.exception.path, "walk[0].across")
        document = run(STRUT, turn(60), DOGLEG, end(80))
        metric = yarrow.convert(document, "mm")
        self.assertEqual(metric["walk"][0]["across"], "1 5/8 in")
        there_and_back = yarrow.convert(metric, "in")
        one, other = (yarrow.plan(each)["cut_length"] for each in (document, there_and_back))
        self.assertAlmostEqual(one, other, places=9)

    def test_they_stand_in_the_schema(self) -> None:
        definitions = yarrow.schema("run")["$defs"]
        self.assertEqual(definitions["strut"]["required"], ["kind", "at", "across"])
        self.assertIn({"$ref": "#/$defs/dogleg"}, definitions["line"]["oneOf"])

    def test_every_order_can_be_handled(self) -> None:
        handled = yarrow.handle(run(DOGLEG, STRUT | {"at": 60}, end(120)))
        self.assertTrue(handled["orders"])


class Gone(unittest.TestCase):
    def test_afterwards_neither_is_known(self) -> None:
        for line in (DOGLEG, STRUT):
            with self.assertRaises(yarrow.DocumentError):
                yarrow.plan(run(line, end(90)))


if __name__ == "__main__":
    unittest.main()
