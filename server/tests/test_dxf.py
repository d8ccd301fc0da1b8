"""DXF out and in again, and everything that is no run."""

from __future__ import annotations

import csv
import io
import itertools
import math
from typing import Any

import ezdxf

import yarrow
from exports.dxf import plan_dxf
from server.tests.people import DOCUMENT, CrewTest


def drawing(*lines: list[tuple[float, float, float]], units: int = 4) -> str:
    document = ezdxf.new("R2010")
    document.header["$INSUNITS"] = units
    for points in lines:
        document.modelspace().add_polyline3d(points)
    stream = io.StringIO()
    document.write(stream)
    return stream.getvalue()


CORNER = [(0.0, 0.0, 0.0), (600.0, 0.0, 0.0), (600.0, 400.0, 0.0)]


class Dxf(CrewTest):
    def read(self, dxf: str, **more: Any) -> Any:
        return self.send("post", "/api/dxf", {"dxf": dxf, "into": "mm", **more})

    def refused(self, dxf: str, path: str, expected: str, **more: Any) -> None:
        answer = self.read(dxf, **more)
        self.assertEqual(answer.status_code, 422)
        (error,) = answer.json()["errors"]
        self.assertEqual(error["path"], path)
        self.assertIn(expected, error["expected"])

    def test_a_run_goes_out_and_comes_in_again_as_the_same_pipe(self) -> None:
        plan = yarrow.plan.values(DOCUMENT)
        answer = self.send("get", f"/api/runs/{self.run_.id}/drawing.dxf")
        path = self.read(answer.content.decode(), into="in").json()["path"]
        as_path = {**DOCUMENT, "path": path}
        again = yarrow.plan.values({k: v for k, v in as_path.items() if k not in ("walk", "start")})
        self.assertAlmostEqual(again.cut_length, plan.cut_length, places=4)
        for one, other in zip(again.bends, plan.bends, strict=True):
            self.assertAlmostEqual(one.arc_start, other.arc_start, places=4)
            self.assertAlmostEqual(one.angle, other.angle, places=4)

    def test_elevation_and_plan_are_drawn_with_their_arcs(self) -> None:
        document = ezdxf.read(io.StringIO(plan_dxf(yarrow.plan.values(DOCUMENT)).decode()))
        self.assertEqual(document.header["$INSUNITS"], 1)
        (elevation,) = document.modelspace().query('LWPOLYLINE[layer=="ELEVATION"]')
        points = [(x, y) for x, y, *_ in elevation.get_points()]
        self.assertEqual(points[0], (0.0, 0.0))
        length = sum(math.dist(a, b) for a, b in itertools.pairwise(points))
        # Chords fall short of arcs by less than this.
        self.assertAlmostEqual(length, yarrow.plan.values(DOCUMENT).cut_length, delta=0.05)

    def test_units_are_those_of_the_file_and_asked_for_where_it_has_none(self) -> None:
        self.assertEqual(self.read(drawing(CORNER)).json()["path"][1], [600, 0, 0])
        self.assertEqual(self.read(drawing(CORNER, units=6)).json()["path"][1], [600_000, 0, 0])
        inches = self.read(drawing(CORNER, units=1)).json()["path"][1]
        self.assertAlmostEqual(inches[0], 600 * 25.4)
        self.refused(drawing(CORNER, units=0), "units", "in or mm")
        told = self.read(drawing(CORNER, units=0), units="mm")
        self.assertEqual(told.json()["path"][2], [600, 400, 0])

    def test_what_is_no_run_is_refused_in_words(self) -> None:
        self.refused("not a drawing", "dxf", "a DXF drawing")
        self.refused("", "dxf", "a DXF drawing")
        self.refused(drawing(), "dxf", "with a polyline")
        self.refused(drawing(CORNER, CORNER), "dxf", "there are 2 lines")
        long = [(float(n), float(n % 2), 0.0) for n in range(2001)]
        self.refused(drawing(long), "dxf", "2001")

    def test_the_bend_table_adds_up_to_the_pipe(self) -> None:
        answer = self.send("get", f"/api/runs/{self.run_.id}/bends.csv")
        rows = list(csv.DictReader(io.StringIO(answer.content.decode())))
        self.assertEqual([row["angle"] for row in rows], ["30", "30", "90", ""])
        arcs = sum(
            math.radians(float(row["angle"])) * float(row["radius"]) for row in rows if row["angle"]
        )
        straights = sum(float(row["straight"]) for row in rows)
        self.assertAlmostEqual(straights + arcs, yarrow.plan.values(DOCUMENT).cut_length, places=2)
