"""Arcs are bends, what joins is one line, blocks are looked into; what is no pipe has a word."""

from __future__ import annotations

import io
import math
from typing import Any

import ezdxf

from exports.dxf import read_path
from server.tests.people import CrewTest
from yarrow.documents.errors import DocumentError

VERSIONS = ("R12", "R2000", "R2018")
QUARTER = math.tan(math.radians(90) / 4)
"""The bulge of a quarter circle: 0.4142."""


def text(document: Any) -> str:
    stream = io.StringIO()
    document.write(stream)
    return stream.getvalue()


def new(version: str) -> Any:
    document = ezdxf.new(version)
    if version != "R12":
        document.header["$INSUNITS"] = 4
    return document


def polyline(version: str, points: list[tuple[float, float, float]]) -> str:
    document = new(version)
    model = document.modelspace()
    if version == "R12":
        model.add_polyline2d(points, format="xyb")
    else:
        model.add_lwpolyline(points, format="xyb")
    return text(document)


def near(path: list[list[float]], wanted: list[tuple[float, ...]]) -> bool:
    return len(path) == len(wanted) and all(
        math.dist(one[: len(other)], other) < 1e-4 for one, other in zip(path, wanted, strict=True)
    )


class Arcs(CrewTest):
    def test_a_quarter_circle_between_straights_is_one_bend(self) -> None:
        for version in VERSIONS:
            drawing = polyline(
                version, [(0, 0, 0), (300, 0, QUARTER), (400, 100, 0), (400, 500, 0)]
            )
            with self.subTest(version):
                found = read_path(drawing, "mm", "mm")
                self.assertTrue(near(found.path, [(0, 0), (400, 0), (400, 500)]), found.path)
                self.assertAlmostEqual(found.radii[0], 100, places=4)

    def test_right_turns_thirds_and_a_set_of_two(self) -> None:
        for degrees, side in ((30.0, 1), (60.0, -1), (120.0, 1), (22.5, -1)):
            turn = math.radians(degrees) * side
            reach = 80 * math.tan(abs(turn) / 2)
            first = (300 + reach + reach * math.cos(turn), reach * math.sin(turn))
            last = (first[0] + 200 * math.cos(turn), first[1] + 200 * math.sin(turn))
            drawing = polyline("R2018", [
                (0, 0, 0), (300, 0, math.tan(turn / 4)), (*first, 0), (*last, 0),
            ])  # fmt: skip
            found = read_path(drawing, None, "mm")
            self.assertTrue(near(found.path, [(0, 0), (300 + reach, 0), last]), (degrees, found))
            self.assertAlmostEqual(found.radii[0], 80, places=4)

    def test_lines_and_arcs_that_join_are_one_line_whichever_way_they_are_drawn(self) -> None:
        for version in VERSIONS:
            document = new(version)
            model = document.modelspace()
            model.add_line((400, 100), (400, 500))
            model.add_arc((300, 100), radius=100, start_angle=270, end_angle=0)
            model.add_line((300.0004, 0), (0, 0))
            with self.subTest(version):
                found = read_path(text(document), "mm", "mm")
                ends = sorted(found.path, key=lambda point: point[0] + point[1])
                self.assertTrue(near(ends, [(0, 0), (400, 0), (400, 500)]), found.path)

    def test_a_polyline_in_a_block_comes_at_its_scale_and_turn(self) -> None:
        for version in VERSIONS:
            document = new(version)
            block = document.blocks.new("PIPE")
            points = [(0, 0, 0), (30, 0, QUARTER), (40, 10, 0), (40, 50, 0)]
            if version == "R12":
                block.add_polyline2d(points, format="xyb")
            else:
                block.add_lwpolyline(points, format="xyb")
            scaled = {"xscale": 10, "yscale": 10, "zscale": 10, "rotation": 90}
            document.modelspace().add_blockref("PIPE", (5, 7), dxfattribs=scaled)
            with self.subTest(version):
                found = read_path(text(document), "mm", "mm")
                self.assertTrue(near(found.path, [(5, 7), (5, 407), (-495, 407)]), found.path)
                self.assertAlmostEqual(found.radii[0], 100, places=3)

    def refused(self, drawing: str, expected: str) -> None:
        with self.assertRaises(DocumentError) as caught:
            read_path(drawing, "mm", "mm")
        self.assertIn(expected, str(caught.exception))

    def test_an_arc_that_is_no_bend_is_a_word(self) -> None:
        self.refused(
            polyline("R2000", [(0, 0, 0), (300, 0, 0.2), (400, 100, 0), (400, 500, 0)]),
            "is no bend",
        )
        self.refused(
            polyline("R2000", [(0, 0, 0), (300, 0, 1), (300, 200, 0), (0, 200, 0)]), "175 degrees"
        )

    def test_lines_that_do_not_join_are_counted(self) -> None:
        document = new("R2018")
        for high in (0, 50, 90):
            document.modelspace().add_line((0, high), (100, high))
        self.refused(text(document), "there are 3 lines that do not join")

    def test_numbers_that_are_none_are_refused_in_words_and_not_a_500(self) -> None:
        good = polyline("R2000", [(0, 0, 0), (300.125, 0, 0), (300.125, 400, 0)])
        for junk in ("nan", "inf", "-inf", "1e999", "1e400"):
            answer = self.send(
                "post", "/api/dxf", {"dxf": good.replace("300.125", junk), "into": "mm"}
            )
            self.assertEqual(answer.status_code, 422, junk)
            self.assertEqual(answer.json()["errors"][0]["path"], "dxf")

    def test_blocks_within_blocks_without_end_are_refused(self) -> None:
        document = new("R2000")
        for depth in range(12):
            block = document.blocks.new(f"B{depth}")
            if depth:
                block.add_blockref(f"B{depth - 1}", (0, 0))
            else:
                block.add_line((0, 0), (1, 0))
        document.modelspace().add_blockref("B11", (0, 0))
        self.refused(text(document), "deep in one another")
