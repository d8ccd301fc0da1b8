"""What is put on paper: readings, labels that do not collide, views, and both ways to draw."""

from __future__ import annotations

import json
import math
import unittest
import xml.etree.ElementTree as ElementTree
from itertools import pairwise
from pathlib import Path
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

import yarrow
from exports.drawing import Drawing, reading_width, text_width
from exports.labels import Label, around, beside_outline, draw_labels
from exports.layout import centreline, spread, views
from exports.page import PAPERS, Heading
from exports.pdf import sheet_pdf
from exports.sheet import compose_sheet
from exports.svg import drawing_svg
from server.tests.people import DOCUMENT, changed
from yarrow.runs.model.plan import WrittenPlan
from yarrow.wording.wording import EN_GB, EN_US

SPREAD = Path(__file__).resolve().parents[2] / "contracts" / "golden" / "spread.json"


def planned(**fields: object) -> WrittenPlan:
    return yarrow.plan.values(changed(**fields))


class WordsOnAPlan(unittest.TestCase):
    ROOM = (0.0, 0.0, 100.0, 100.0)

    def placed(self, *labels: Label, lines: tuple[Any, ...] = ()) -> list[Any]:
        drawing = Drawing(100, 100, "test")
        draw_labels(drawing, labels, lines, self.ROOM)
        return drawing.items

    def test_a_word_stands_where_no_line_runs_through_it(self) -> None:
        label = Label("H1", 4, around((50.0, 50.0), 2, 4))
        (free,) = self.placed(label)
        self.assertEqual((free.x, free.y, free.anchor), (52, 48, "start"))
        # A trench to the right of the point, and one upward: the first place free is to the left.
        level, upright = ((50.0, 46.8), (100.0, 46.8)), ((53.0, 50.0), (53.0, 90.0))
        (beside,) = self.placed(label, lines=(level, upright))
        self.assertEqual((beside.x, beside.y, beside.anchor), (48, 48, "end"))

    def test_words_keep_off_each_other_and_on_the_paper(self) -> None:
        same = tuple(Label(name, 4, around((50.0, 50.0), 2, 4)) for name in ("H1", "H2", "H3"))
        places = {(each.x, each.y, each.anchor) for each in self.placed(*same)}
        self.assertEqual(len(places), 3)
        (corner,) = self.placed(Label("Gate house", 4, around((98.0, 50.0), 2, 4)))
        self.assertEqual(corner.anchor, "end")

    def test_a_building_is_named_within_its_outline_where_that_is_wide_enough(self) -> None:
        for wide, at in ((60.0, 50.0 + 4 * 0.35), (10.0, 40.0 - 4 * 0.35)):
            outline = [(20.0, 40.0), (20.0 + wide, 40.0), (20.0 + wide, 60.0), (20.0, 60.0)]
            lines = tuple(pairwise([*outline, outline[0]]))
            (name,) = self.placed(Label("Workshop", 4, beside_outline(outline, 4)), lines=lines)
            self.assertAlmostEqual(name.y, at)


class Readings(unittest.TestCase):
    def test_a_fraction_is_built_of_small_figures_about_a_slash(self) -> None:
        drawing = Drawing(100, 20, "test")
        drawing.reading(0, 10, "72 11/16", 5)
        whole, over, slash, under = drawing.items
        self.assertEqual([i.text for i in (whole, over, slash, under)], ["72", "11", "⁄", "16"])
        self.assertLess(over.size, whole.size)
        self.assertLess(over.y, under.y)
        self.assertTrue(whole.x < over.x < slash.x < under.x)

    def test_what_is_measured_is_what_is_drawn(self) -> None:
        for text in ("618", "8' 8 3/16\"", "2792 mm", "5/8"):
            with self.subTest(text=text):
                left, right = Drawing(9, 9, ""), Drawing(9, 9, "")
                left.reading(0, 0, text, 4)
                right.reading(0, 0, text, 4, anchor="end")
                moved = left.items[0].x - right.items[0].x
                self.assertAlmostEqual(moved, reading_width(text, 4))

    def test_a_paragraph_stays_within_its_width(self) -> None:
        drawing = Drawing(100, 100, "")
        drawing.paragraph(0, 10, 40, "Gloves on; fingers away from shoe and roller. " * 4, 3)
        self.assertGreater(len(drawing.items), 3)
        for item in drawing.items:
            self.assertLessEqual(text_width(item.text, 3), 40)


class Labels(unittest.TestCase):
    @given(st.lists(st.tuples(st.floats(0, 180), st.floats(5, 25)), min_size=1, max_size=7))
    def test_none_overlap_where_there_is_room_for_all(
        self, labels: list[tuple[float, float]]
    ) -> None:
        labels.sort()
        wanted, widths = [place for place, _ in labels], [width for _, width in labels]
        centres = spread(wanted, widths, 0, 180)
        for (one, w1), (other, w2) in pairwise(zip(centres, widths, strict=True)):
            self.assertGreaterEqual(other - one, (w1 + w2) / 2 - 1e-6)
        self.assertGreaterEqual(centres[0] - widths[0] / 2, -1e-6)
        self.assertLessEqual(centres[-1] + widths[-1] / 2, 180 + 1e-6)

    def test_they_lie_where_the_page_puts_them_too(self) -> None:
        for case in json.loads(SPREAD.read_text())["cases"]:
            with self.subTest(case["what"]):
                centres = spread(case["wanted"], case["widths"], *case["room"])
                for centre, wanted in zip(centres, case["centres"], strict=True):
                    self.assertAlmostEqual(centre, wanted, places=6)


class Shapes(unittest.TestCase):
    def test_the_centreline_is_as_long_as_the_cut(self) -> None:
        plan = planned()
        points = [point for _, piece in centreline(plan.path, plan.arcs) for point in piece]
        walked = sum(math.dist(a, b) for a, b in pairwise(points))
        self.assertAlmostEqual(walked, plan.cut_length, delta=0.05)

    def test_views_are_those_that_show_something(self) -> None:
        self.assertEqual([title for title, _ in views(planned())], ["On the wall"])
        out = [{**line, "toward": "out"} if "toward" in line else line for line in DOCUMENT["walk"]]
        self.assertEqual([title for title, _ in views(planned(walk=out))], ["From above"])


class Sheets(unittest.TestCase):
    def test_nothing_is_drawn_off_the_paper_on_either_size(self) -> None:
        for paper, (width, height) in PAPERS.items():
            with self.subTest(paper=paper):
                sheet = compose_sheet(planned(), None, Heading("Job", "Run", "v1"), PAPERS[paper])
                for item in sheet.items:
                    for x, y in getattr(item, "points", None) or [(item.x, item.y)]:
                        self.assertTrue(0 <= x <= width and 0 <= y <= height, item)

    def test_a_very_long_name_is_cut_short_and_not_drawn_over_the_cut(self) -> None:
        sheet = compose_sheet(planned(), None, Heading("Job", "W" * 120, "v1"), PAPERS["a4"])
        shown = next(item.text for item in sheet.items if getattr(item, "text", "").startswith("W"))
        self.assertTrue(shown.endswith("…"))

    def test_the_svg_is_well_formed_and_the_pdf_is_one(self) -> None:
        sheet = compose_sheet(
            planned(name='A & B < C "D"'), None, Heading("J", "A & B < C", "v"), PAPERS["a4"]
        )
        root = ElementTree.fromstring(drawing_svg(sheet))
        self.assertEqual(root.get("viewBox"), "0 0 210 297")
        self.assertTrue(sheet_pdf(sheet).startswith(b"%PDF"))

    def test_a_straight_piece_is_not_called_one_that_can_t_be_made(self) -> None:
        plan = planned(walk=[{"kind": "end", "at": 60}])
        sheet = compose_sheet(plan, None, Heading("J", "R", "v"), PAPERS["a4"])
        words = " ".join(getattr(item, "text", "") for item in sheet.items)
        self.assertIn("A straight piece", words)
        self.assertNotIn("can't be made", words)

    def test_findings_of_a_run_are_on_its_sheet(self) -> None:
        plan = planned(walk=[*DOCUMENT["walk"][:2], {"kind": "end", "at": 150}])
        sheet = compose_sheet(plan, None, Heading("J", "R", "v"), PAPERS["letter"])
        words = " ".join(getattr(item, "text", "") for item in sheet.items)
        self.assertIn("longer than a stick", words)

    def test_findings_are_in_the_words_of_the_country(self) -> None:
        turns = [{"kind": "turn", "at": 40, "toward": side} for side in ("left", "right") * 3]
        plan = planned(walk=[*turns, {"kind": "end", "at": 40}])
        for wording, pull_point in ((EN_US, "conduit body"), (EN_GB, "inspection fitting")):
            heading = Heading("J", "R", "v", wording)
            sheet = compose_sheet(plan, None, heading, PAPERS["a4"])
            words = " ".join(getattr(item, "text", "") for item in sheet.items)
            self.assertIn(pull_point, words)
