"""A line typed as it is said becomes a line of the walk, with its numbers as they were typed."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import end, run
from yarrow.documents.run.notation import typed_line
from yarrow.documents.run.reading import read_run

SAID: dict[str, dict[str, Any]] = {
    "pipe 1 5/8 at 57 7/8": {"kind": "round", "across": "1 5/8", "at": "57 7/8", "toward": "out"},
    "left 11' 4": {"kind": "wall", "toward": "left", "at": "11' 4"},
    "box 29 5/8": {"kind": "end", "fitting": "connector", "at": "29 5/8"},
    "duct 7 3/4 x 2 7/8 at 61": {
        "kind": "block",
        "width": "7 3/4",
        "height": "2 7/8",
        "at": "61",
        "toward": "out",
    },
    "hole 1 1/8 inward at 24 3/8, stud": {
        "kind": "hole",
        "toward": "in",
        "depth": "1 1/8",
        "at": "24 3/8",
        "label": "stud",
    },
    "offset 4 3/8 at 31 1/4 by 22.5": {
        "kind": "offset",
        "toward": "out",
        "rise": "4 3/8",
        "at": "31 1/4",
        "angle": 22.5,
    },
    "knockout 1 1/8": {"kind": "box", "where": "start", "knockout": "1 1/8"},
}


BENDS: dict[str, dict[str, Any]] = {
    "stub 18 3/8": {"kind": "turn", "toward": "left", "at": "18 3/8"},
    "90 left at 71 5/8": {"kind": "turn", "toward": "left", "angle": 90, "at": "71 5/8"},
    "45 degrees right at 30": {"kind": "turn", "toward": "right", "angle": 45, "at": "30"},
    "offset 4 3/8 30 at 33": {
        "kind": "offset",
        "toward": "out",
        "rise": "4 3/8",
        "angle": 30,
        "at": "33",
    },
    "rise 6 1/4 at 29 at 30 degrees": {
        "kind": "offset",
        "toward": "out",
        "rise": "6 1/4",
        "at": "29",
        "angle": 30,
    },
    "saddle 1 3/4 at 53": {"kind": "saddle3", "toward": "out", "rise": "1 3/4", "at": "53"},
    "kick 1 1/8": {"kind": "kick", "toward": "out", "rise": "1 1/8", "at": ""},
    "box offset 7/16": {"kind": "box_offset", "where": "start", "toward": "in", "rise": "7/16"},
    "back to back 44": {"kind": "turn", "toward": "left", "from": "back", "at": "44"},
}
METRIC: dict[str, dict[str, Any]] = {
    "stub 400": {"kind": "turn", "toward": "left", "at": "400"},
    "double set 90 30 at 600": {
        "kind": "offset",
        "toward": "out",
        "rise": "90",
        "angle": 30,
        "at": "600",
    },
    "crossover 40 at 900": {"kind": "saddle3", "toward": "out", "rise": "40", "at": "900"},
}


class AsPeopleSayIt(unittest.TestCase):
    def test_bends_by_name_in_the_words_of_both_countries(self) -> None:
        for unit, table in (("in", BENDS), ("mm", METRIC)):
            for text, line in table.items():
                with self.subTest(text):
                    self.assertEqual(typed_line(text, unit).line, line)

    def test_two_numbers_are_told_apart_and_a_sum_is_one(self) -> None:
        said = {
            "offset 4 3/8 22.5 at 33": ("4 3/8", 22.5),
            "offset 4 22.5 at 33": ("4", 22.5),
            "offset 4-3/8 30 at 33": ("4-3/8", 30),
            "offset 5 1/4 - 7/8 30 at 33": ("5 1/4 - 7/8", 30),
            "offset 1' 2 30 at 33": ("1' 2", 30),
        }
        for text, (rise, angle) in said.items():
            line = typed_line(text, "in").line or {}
            self.assertEqual((line.get("rise"), line.get("angle")), (rise, angle), text)

    def test_what_is_not_known_says_the_nearest_that_is(self) -> None:
        for text, near in (
            ("ofset 4 at 33", "offset 4 at 33"),
            ("bak to back 44", "back to back 44"),
            ("stup 18", "stub 18"),
        ):
            typed = typed_line(text, "in")
            self.assertIn("the nearest to", typed.expected)
            self.assertEqual([each.text for each in typed.completions], [near])

    def test_words_that_begin_alike_are_offered(self) -> None:
        offered = {
            "box": {"box ", "box offset ", "box set "},
            "box o": {"box offset "},
            "back": {"back to back "},
            "90": {"90 left at ", "90 right at "},
        }
        for text, wanted in offered.items():
            found = {each.text for each in typed_line(text, "in").completions}
            self.assertEqual(found, wanted, text)


class TypedForm(unittest.TestCase):
    def test_what_people_say(self) -> None:
        for text, line in SAID.items():
            with self.subTest(text):
                self.assertEqual(typed_line(text, "in").line, line)

    def test_the_words_may_come_in_another_order(self) -> None:
        one = typed_line("duct 2 7/8 high 7 3/4 wide at 61 left", "in").line
        other = typed_line("Duct at 61 going left 7 3/4 x 2 7/8", "in").line
        self.assertEqual(one, other)

    def test_a_unit_behind_a_number_is_no_side(self) -> None:
        line = typed_line("pipe 1 5/8 in at 57 in", "in").line or {}
        self.assertEqual((line["across"], line["at"], line["toward"]), ("1 5/8 in", "57 in", "out"))

    def test_with_width_a_saddle_has_four_bends(self) -> None:
        self.assertEqual((typed_line("saddle 2 x 6 at 40", "in").line or {})["kind"], "saddle4")
        self.assertEqual((typed_line("saddle 2 at 40", "in").line or {})["kind"], "saddle3")

    def test_everything_that_is_said_can_be_planned(self) -> None:
        for text, line in SAID.items():
            walk = [line] if line["kind"] == "end" else [line, end(90)]
            with self.subTest(text):
                read_run(run(*walk))

    def test_what_is_still_missing_and_how_it_could_go_on(self) -> None:
        half = typed_line("pipe 1 5/8", "in")
        self.assertIsNone(half.line)
        self.assertEqual(half.completions[0].text, "pipe 1 5/8 at ")
        self.assertEqual([c.text for c in typed_line("du", "in").completions], ["duct "])
        self.assertIn("pipe", typed_line("dragon 4", "in").expected)
        self.assertIn('not "soon"', typed_line("pipe 1 at soon", "in").expected)
        self.assertIn("at only once", typed_line("pipe 1 at 5 at 6", "in").expected)
        self.assertIn("no width", typed_line("left 40 wide", "in").expected)

    def test_every_completion_leads_on(self) -> None:
        for text in SAID:
            for length in range(len(text)):
                for completion in typed_line(text[:length], "in").completions:
                    self.assertGreater(len(completion.text), len(text[:length].rstrip()))

    @given(st.text(max_size=220))
    def test_anything_at_all_gets_an_answer(self, text: str) -> None:
        typed = typed_line(text, "mm")
        self.assertEqual(typed.line is None, bool(typed.expected))
