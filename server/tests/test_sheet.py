"""The sheet: the same marks on the page's drawing and in the PDF, on one page, in every state."""

from __future__ import annotations

import io
import re

from pypdf import PdfReader

from server.tests.people import DOCUMENT, CrewTest


class Sheet(CrewTest):
    def get(self, run_id: int, kind: str, paper: str = "a4") -> bytes:
        answer = self.client.get(f"/api/runs/{run_id}/sheet.{kind}?paper={paper}")
        self.assertEqual(answer.status_code, 200)
        return answer.content

    def words(self, pdf: bytes) -> str:
        reader = PdfReader(io.BytesIO(pdf))
        self.assertEqual(len(reader.pages), 1)
        return reader.pages[0].extract_text()

    def test_page_and_pdf_say_the_same(self) -> None:
        svg = self.get(self.run_.id, "svg").decode()
        told = re.findall(r">([^<>\n]+)</text>", svg)
        words = re.sub(r"\s+", "", self.words(self.get(self.run_.id, "pdf")))
        for text in told:
            plain = re.sub(r"\s+", "", text.replace("&quot;", '"').replace("&amp;", "&"))
            self.assertIn(plain, words)
        self.assertIn("25", told)
        self.assertIn("front mark", told)

    def test_the_paper_is_the_one_asked_for(self) -> None:
        for paper, width in (("a4", 210 / 25.4 * 72), ("letter", 8.5 * 72)):
            reader = PdfReader(io.BytesIO(self.get(self.run_.id, "pdf", paper)))
            self.assertAlmostEqual(float(reader.pages[0].mediabox.width), width, places=1)
        self.assertEqual(
            self.client.get(f"/api/runs/{self.run_.id}/sheet.pdf?paper=a3").status_code, 422
        )

    def test_the_same_run_gives_the_same_bytes(self) -> None:
        self.assertEqual(self.get(self.run_.id, "pdf"), self.get(self.run_.id, "pdf"))

    def test_a_run_that_can_t_be_made_prints_no_marks(self) -> None:
        walk = [{**DOCUMENT["walk"][0], "rise": "1/2", "angle": 60}, *DOCUMENT["walk"][1:]]
        made = self.send("post", f"/api/jobs/{self.job.id}/runs", {**DOCUMENT, "walk": walk})
        words = self.words(self.get(made.json()["id"], "pdf"))
        self.assertIn("No marks", words)
        self.assertNotIn("Bend 1", words)

    def test_names_with_angle_brackets_are_text(self) -> None:
        document = {**DOCUMENT, "name": "<script>alert(1)</script> & more"}
        made = self.send("post", f"/api/jobs/{self.job.id}/runs", document)
        svg = self.get(made.json()["id"], "svg").decode()
        self.assertNotIn("<script>", svg)
        self.assertIn("&lt;script&gt;", svg)

    def test_a_straight_pipe_and_a_run_of_forty_bends_fit_on_a_sheet(self) -> None:
        line = {"kind": "offset", "rise": "2 1/2", "angle": 22.5}
        walk = [
            {**line, "at": 30 + 26 * n, "toward": "left" if n % 2 else "right"} for n in range(20)
        ]
        for lines in ([], walk):
            document = {**DOCUMENT, "walk": [*lines, {"kind": "end", "at": 600}]}
            made = self.send("post", f"/api/jobs/{self.job.id}/runs", document)
            self.words(self.get(made.json()["id"], "pdf"))

    def made(self, **fields: object) -> int:
        answer = self.send("post", f"/api/jobs/{self.job.id}/runs", {**DOCUMENT, **fields})
        self.assertEqual(answer.status_code, 201, answer.content)
        return int(answer.json()["id"])

    def test_it_says_where_the_pipe_ends_up_number_by_number(self) -> None:
        words = self.words(self.get(self.made(method="table"), "pdf"))
        self.assertIn("as marked, it measures", words)
        plan = self.send("post", "/api/plan", {**DOCUMENT, "method": "table"}).json()
        told = words.partition("as marked, it measures")[2]
        off = [d["off_text"] for d in plan["dimensions"]]
        self.assertGreater(len(set(off)), 1)
        for text in set(off):
            self.assertGreaterEqual(told.count(text), off.count(text), text)

    def test_and_how_far_it_may_come_out_by_its_habit(self) -> None:
        for habit, half in (("flat", "flat_text"), ("as-you-go", "as_you_go_text")):
            words = self.words(self.get(self.made(marking=habit), "pdf"))
            told = words.partition("19 of 20 within")[2]
            halves = [
                one[half] for one in self.send("post", "/api/plan", DOCUMENT).json()["expected"]
            ]
            for text in set(halves):
                self.assertEqual(told.count(f"± {text}"), halves.count(text), text)

    def test_what_was_met_is_named_and_drawn(self) -> None:
        walk = [
            {"kind": "box", "where": "start", "knockout": "1 1/8"},
            {"kind": "round", "at": "31 7/8", "across": "1 5/8", "label": "air line"},
            {"kind": "block", "at": "60", "width": "6", "height": "2", "label": "cable tray"},
            {"kind": "wall", "at": "95", "toward": "left"},
            {"kind": "hole", "at": "20", "depth": "1", "toward": "out", "label": "bored stud"},
            {"kind": "end", "at": "33"},
        ]
        run = self.made(walk=walk)
        for paper in ("a4", "letter"):
            words = self.words(self.get(run, "pdf", paper))
            for name in ("air line", "cable tray", "bored stud"):
                self.assertIn(name, words)

    def test_the_steps_are_in_the_words_of_the_way_of_working(self) -> None:
        chart = self.words(self.get(self.made(way="chart"), "pdf"))
        self.assertIn("By the chart", chart.replace("\n", " "))
        plastic = {
            "units": "mm",
            "conduit": {"type": "plastic", "size": "20"},
            "bender": "heat-form-metric",
            "walk": [
                {"kind": "turn", "at": "600", "toward": "left"},
                {"kind": "end", "at": "500", "fitting": "connector"},
            ],
        }
        heat = self.words(self.get(self.made(**plastic), "pdf")).replace("\n", " ")
        self.assertIn("Warm evenly from", heat)
        self.assertIn("socket", heat)
