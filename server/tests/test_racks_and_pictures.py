"""What racks and bend-by-bend pictures put on paper, for every run of the demo data."""

from __future__ import annotations

import io
import re
import unittest
import xml.etree.ElementTree as ElementTree
from typing import Any

from pypdf import PdfReader

import yarrow
from core.tests.builders import text_of
from exports.drawing import Drawing, Stroke
from exports.page import PAPERS, Heading
from exports.rack_sheet import compose_rack_sheet
from exports.sheet import compose_sheet
from exports.strip import strip_height
from jobs.demo import JOBS
from server.tests.people import DOCUMENT, CrewTest, changed
from yarrow.measure.tape import read_length
from yarrow.runs.bending_sequence import OrderHandling

HEADING = Heading("Mill", "Run", "version 1")
DEMO = [run for crew in JOBS.values() for job in crew for run in job["runs"]]


def taken(document: dict[str, Any]) -> OrderHandling:
    return next(order for order in yarrow.handle.values(document).orders if order.taken)


def words(drawing: Drawing) -> str:
    return " ".join(getattr(item, "text", "") for item in drawing.items)


class OnEverySheet(unittest.TestCase):
    def test_every_demo_run_fits_on_both_papers_with_its_bends_in_pictures(self) -> None:
        for document in DEMO:
            plan, order = yarrow.plan.values(document), taken(document)
            for paper, (width, height) in PAPERS.items():
                with self.subTest(run=document["name"], paper=paper):
                    sheet = compose_sheet(plan, order, HEADING, (width, height))
                    self.inside(sheet)
                    self.assertIn("Bend by bend", words(sheet))
                    # Two pictures a bend, both ends of the piece named in each.
                    ends = [item for item in sheet.items if getattr(item, "text", "") == "start"]
                    self.assertEqual(len(ends), 2 * len(plan.bends))
                    for step in order.steps:
                        for word in text_of(step.check).split()[:3]:
                            self.assertIn(word, words(sheet))

    def inside(self, sheet: Drawing) -> None:
        for item in sheet.items:
            for x, y in item.points if isinstance(item, Stroke) else ((item.x, item.y),):
                self.assertTrue(0 <= x <= sheet.width and 0 <= y <= sheet.height, item)

    def test_nothing_is_set_below_the_cautions_but_what_is_signed(self) -> None:
        for document in DEMO:
            sheet = compose_sheet(
                yarrow.plan.values(document), taken(document), HEADING, PAPERS["letter"]
            )
            foot = next(item.y for item in sheet.items if "Gloves" in getattr(item, "text", ""))
            below = [getattr(i, "text", "") for i in sheet.items if getattr(i, "y", 0.0) > foot]
            self.assertLessEqual(len(below), 4, document["name"])

    def test_what_the_half_bent_pipe_meets_stands_under_its_picture(self) -> None:
        order = [{"bend": bend, "hook": "end"} for bend in (0, 1, 2)]
        document = changed() | {"stance": {"place": "floor"}, "order": order}
        sheet = compose_sheet(yarrow.plan.values(document), taken(document), HEADING, PAPERS["a4"])
        self.assertIn("12 1/8 under the floor", words(sheet))

    def test_pictures_that_would_be_too_small_are_left_out(self) -> None:
        order = taken(changed())
        self.assertEqual(strip_height(order, 10), 0)
        self.assertEqual(strip_height(None, 100), 0)
        self.assertGreater(strip_height(order, 100), 30)


class OfARack(unittest.TestCase):
    def sheet(self, document: dict[str, Any], paper: str = "a4") -> Drawing:
        plan, rack = yarrow.plan.values(document), yarrow.rack.values(document)
        return compose_rack_sheet(plan, rack, HEADING, PAPERS[paper])

    def test_every_mark_of_every_pipe_is_on_it(self) -> None:
        for document in (run for run in DEMO if "rack" in run):
            plan = yarrow.rack.values(document)
            for paper in PAPERS:
                sheet = self.sheet(document, paper)
                OnEverySheet().inside(sheet)
                told = re.sub(r"[\s⁄]+", "", words(sheet)).replace("/", "")
                for pipe in plan.pipes:
                    wide = {s.bend + n for s in pipe.shots for n in range(1, s.count)}
                    for mark in pipe.marks:
                        if mark.bend not in wide:
                            self.assertIn(re.sub(r"[\s/]+", "", str(mark.text)), told)

    def test_pipes_lie_beside_each_other_on_paper_whichever_side_they_go_to(self) -> None:
        for side in ("left", "right", "out", "in"):
            sheet = self.sheet(changed(rack={"count": 3, "side": side, "spacing": 4}))
            lines = [i.points for i in sheet.items if isinstance(i, Stroke) and len(i.points) > 9]
            starts = {(round(x), round(y)) for x, y in (points[0] for points in lines)}
            self.assertEqual(len(starts), 3, side)

    def test_a_rack_of_forty_and_one_that_can_t_be_made_fit_too(self) -> None:
        rack = {"count": 40, "side": "right", "spacing": "1"}
        OnEverySheet().inside(self.sheet(changed(rack=rack)))
        touching = self.sheet(changed(rack={**rack, "count": 3, "spacing": "1/4"}))
        self.assertIn("would cut", words(touching))

    def test_a_bank_of_five_in_the_demo_keeps_its_spacing_within_rounding(self) -> None:
        document = next(run for run in DEMO if run.get("rack", {}).get("count") == 5)
        plan = yarrow.rack.values(document)
        spacing = float(read_length(document["rack"]["spacing"], "in").value)
        half = 1 / 32
        self.assertEqual(len(plan.gaps), 4)
        for gap in plan.gaps:
            self.assertAlmostEqual(gap.centres, spacing)
            # Each leg is moved by half a mark at the most by each of both pipes' marks before it.
            self.assertLessEqual(abs(gap.off), 2 * half * len(plan.pipes[0].marks))
            self.assertAlmostEqual(gap.air, spacing - 0.706, places=6)


class ThroughTheServer(CrewTest):
    def made(self, **fields: Any) -> int:
        answer = self.send("post", f"/api/jobs/{self.job.id}/runs", changed(**fields))
        self.assertEqual(answer.status_code, 201, answer.content)
        return int(answer.json()["id"])

    def test_the_rack_s_sheet_is_the_same_on_the_page_and_as_a_pdf(self) -> None:
        run = self.made(rack={"count": 4, "side": "left", "spacing": "3"})
        for paper in PAPERS:
            query = f"paper={paper}&of=rack"
            svg = self.client.get(f"/api/runs/{run}/sheet.svg?{query}").content.decode()
            pdf = self.client.get(f"/api/runs/{run}/sheet.pdf?{query}").content
            pages = PdfReader(io.BytesIO(pdf)).pages
            self.assertEqual(len(pages), 1)
            said = re.sub(r"\s+", "", pages[0].extract_text())
            for text in re.findall(r">([^<>\n]+)</text>", svg):
                plain = re.sub(r"\s+", "", text.replace("&quot;", '"').replace("&amp;", "&"))
                self.assertIn(plain, said)

    def test_stick_and_bend_table_of_a_parted_run_are_of_one_piece(self) -> None:
        walk = [
            {"kind": "turn", "at": 70, "toward": "left"},
            {"kind": "turn", "at": 80, "toward": "left"},
            {"kind": "end", "at": 60},
        ]
        run = self.made(walk=walk, joints={"places": [{"leg": 2, "at": 40}]})
        tables = [
            self.client.get(f"/api/runs/{run}/bends.csv?piece={piece}").content.decode()
            for piece in (1, 2, 7)
        ]
        # A bend and the straight after it, in each; beyond the last piece it is the last.
        self.assertEqual([len(table.splitlines()) for table in tables], [3, 3, 3])
        self.assertNotEqual(tables[0], tables[1])
        self.assertEqual(tables[1], tables[2])
        stick = self.client.get(f"/api/runs/{run}/stick.svg?piece=2")
        self.assertIn("Piece 2 of 2", stick.content.decode())
        self.assertIn("piece-2-stick.svg", stick["Content-Disposition"])

    def test_a_run_without_a_rack_is_a_sheet_of_one_pipe(self) -> None:
        svg = self.client.get(f"/api/runs/{self.run_.id}/sheet.svg?of=rack")
        self.assertEqual(svg.status_code, 200)
        self.assertEqual(
            self.client.get(f"/api/runs/{self.run_.id}/sheet.svg?of=all").status_code, 422
        )

    def test_the_stick_alone_is_a_drawing_with_its_marks(self) -> None:
        svg = self.client.get(f"/api/runs/{self.run_.id}/stick.svg")
        self.assertEqual(svg["Content-Type"], "image/svg+xml")
        root = ElementTree.fromstring(svg.content)
        told = "".join(root.itertext())
        self.assertIn("cut 8' 8 3/16\"", told)
        unmade = self.made(
            walk=[{**DOCUMENT["walk"][0], "rise": "1", "angle": 60}, DOCUMENT["walk"][-1]]
        )
        told = self.client.get(f"/api/runs/{unmade}/stick.svg").content.decode()
        self.assertIn("can't be made", told)

    def test_a_rack_is_planned_and_refused_by_its_path(self) -> None:
        rack = {"count": 3, "side": "left", "spacing": "3"}
        answer = self.send("post", "/api/rack", changed(rack=rack))
        self.assertEqual(len(answer.json()["pipes"]), 3)
        for wrong, path in (({"count": 0}, "rack.count"), ({"spacing": "3 1/"}, "rack.spacing")):
            answer = self.send("post", "/api/rack", changed(rack={**rack, **wrong}))
            self.assertEqual(answer.status_code, 422)
            self.assertEqual(answer.json()["errors"][0]["path"], path)

    def test_an_order_that_was_picked_is_the_one_on_the_sheet(self) -> None:
        orders = self.send("post", "/api/handle", changed()).json()["orders"]
        other = next(order for order in orders if not order["taken"])
        run = self.made(order=other["value"])
        svg = self.client.get(f"/api/runs/{run}/sheet.svg").content.decode()
        first = next(step for step in other["steps"] if step["bend"] is not None)
        self.assertIn(" ".join(first["do"].split()[:3]), svg)
