"""The sheet on paper, and the run file out and in."""

from __future__ import annotations

import base64
import io
import json
import tempfile
from pathlib import Path

import ezdxf
from django.test import Client
from pypdf import PdfReader

from accounts.models import Member
from e2e.case import PageTest
from jobs.models import Run

PRESS_HALL = "Press hall feed, bay 2"


class PaperAndFiles(PageTest):
    def test_the_sheet_prints_on_one_page_with_the_marks(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        browser.press("Sheet")
        browser.see("[data-sheet] svg")
        printed = base64.b64decode(
            browser.command("Page.printToPDF", preferCSSPageSize=True)["data"]
        )
        pages = PdfReader(io.BytesIO(printed)).pages
        self.assertEqual(len(pages), 1)
        by_page = "".join(pages[0].extract_text().split())
        answer = self.client_with_session().get(f"/api/runs/{run.id}/sheet.pdf")
        by_server = "".join(PdfReader(io.BytesIO(answer.content)).pages[0].extract_text().split())
        for wanted in ("Presshallfeed,bay2", "back-of-bendmark", "Gloves", "34⁄", "Bentby"):
            self.assertIn(wanted.replace("34⁄", "34"), by_page)
            self.assertIn(wanted.replace("34⁄", "34"), by_server)
        browser.press("Letter", "[role=radio]")
        browser.until(
            lambda: browser.see("[data-sheet] svg").get_attribute("width") == "215.9mm", "letter"
        )

    def test_what_was_typed_last_is_on_the_sheet(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].at", "35")
        browser.press("Sheet")
        browser.see("[data-sheet] svg")
        told = [text.text for text in browser.all("[data-sheet] text")]
        self.assertIn("35", told)
        self.assertNotIn("33", told)

    def test_a_sheet_that_lacks_what_can_t_be_saved_says_so(self) -> None:
        browser = self.browser
        self.open_run(PRESS_HALL)
        browser.write("walk[0].at", "35 1/")
        browser.press("Sheet")
        browser.see_text("of the last saved version", "[role=alert]")

    def client_with_session(self) -> Client:
        client = Client()
        client.force_login(Member.objects.get(username="wren"))
        return client

    def test_a_run_file_goes_out_and_comes_in_without_loss(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        with tempfile.TemporaryDirectory() as folder:
            browser.command("Browser.setDownloadBehavior", behavior="allow", downloadPath=folder)
            browser.press("More")
            browser.press("Export the run file")
            file = Path(folder) / "press-hall-feed-bay-2.json"
            browser.until(file.exists, "the file")
            self.assertEqual(json.loads(file.read_text()), run.document)
            self.go(f"/jobs/{run.job_id}")
            browser.until(lambda: browser.all("input[type=file]"), "the file field")
            browser.all("input[type=file]")[0].send_keys(str(file))
            browser.see_marks("25 9/16", "34 1/4", "72 11/16")
        newest = Run.objects.latest("id")
        self.assertEqual((newest.document, newest.id != run.id), (run.document, True))

    def test_a_file_that_is_no_run_is_refused_in_words(self) -> None:
        browser = self.browser
        self.enter()
        self.go(f"/jobs/{self.run_named(PRESS_HALL).job_id}")
        browser.until(lambda: browser.all("input[type=file]"), "the file field")
        with tempfile.TemporaryDirectory() as folder:
            for name, body, said in (
                ("photo.json", "\x00\x01", "photo.json is not a run file"),
                ("other.json", '{"format": "yarrow.run/1"}', "Units: expected one of in, mm"),
            ):
                file = Path(folder) / name
                file.write_text(body)
                browser.all("input[type=file]")[0].send_keys(str(file))
                browser.see_text(said, "[role=alert]")

    def test_a_drawing_becomes_a_run_and_its_unit_is_asked_for(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        drawing = ezdxf.new("R2010")
        drawing.header["$INSUNITS"] = 0
        drawing.modelspace().add_polyline3d([(0, 0, 0), (1200, 0, 0), (1200, 700, 0)])
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "Gantry.dxf"
            drawing.saveas(file)
            self.go(f"/jobs/{run.job_id}")
            browser.see_text("New run")
            browser.all("input[type=file]")[0].send_keys(str(file))
            browser.press("Make a run of it")
            browser.see_text("the file does not say", "[role=dialog]")
            browser.press("Millimetres", "[role=radio]")
            browser.press("Make a run of it")
            browser.see_text("3 points in space")
        made = Run.objects.get(name="Gantry")
        self.assertAlmostEqual(made.document["path"][1][0], 1200 / 25.4, places=4)

    def test_a_whole_job_goes_out_and_comes_in_again(self) -> None:
        browser = self.browser
        run = self.open_run(PRESS_HALL)
        packed = self.client_with_session().get(f"/api/jobs/{run.job_id}/archive").getvalue()
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "job.zip"
            file.write_bytes(packed)
            self.go("/")
            browser.see_text("Import a job")
            browser.all("input[type=file]")[0].send_keys(str(file))
            browser.see_text("Saltmarsh Cider Works", "h1")
            browser.see_text(PRESS_HALL, "main li")
        self.assertEqual(Run.objects.filter(name=PRESS_HALL).count(), 2)
