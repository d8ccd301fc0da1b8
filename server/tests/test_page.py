"""What serves the page to a browser that may lose its network."""

from __future__ import annotations

from pathlib import Path
from tempfile import TemporaryDirectory

from django.test import SimpleTestCase, override_settings

from config.access import page_name


class PageOnTheDevice(SimpleTestCase):
    def test_the_page_says_which_it_is_as_every_answer_does(self) -> None:
        self.assertEqual(self.client.get("/runs/1")["X-Page"], page_name())
        self.assertEqual(self.client.get("/api/session")["X-Page"], page_name())

    def test_its_service_worker_stands_at_the_top_and_is_asked_for_anew(self) -> None:
        with TemporaryDirectory() as folder, override_settings(WEB_DIST=Path(folder)):
            (Path(folder) / "sw.js").write_text("// kept")
            answer = self.client.get("/sw.js")
            self.assertEqual((answer.status_code, answer.content), (200, b"// kept"))
            self.assertEqual(answer["Content-Type"], "text/javascript")
            self.assertIn("no-store", answer["Cache-Control"])

    def test_without_one_the_browser_is_told_so(self) -> None:
        with TemporaryDirectory() as folder, override_settings(WEB_DIST=Path(folder)):
            self.assertEqual(self.client.get("/sw.js").status_code, 404)
