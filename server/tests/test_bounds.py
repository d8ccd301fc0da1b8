"""What is refused costs next to nothing: it is bounded before it is parsed."""

from __future__ import annotations

import io
import json
import tracemalloc
import zipfile
from base64 import b64encode
from collections.abc import Callable
from random import Random
from typing import Any
from unittest import mock

import ezdxf
from django.conf import settings

from benders.services import BENDERS
from exports.dxf import read_path
from exports.job_archive import unpack
from jobs.boxes import BOXES
from jobs.bringing_in import bring_in_job
from jobs.models import new_key
from jobs.runs import RUNS
from jobs.walls import WALLS
from server.tests.people import BENDER, DOCUMENT, CrewTest, changed, packed
from versions.folders import MOST_ENTRY_BYTES, Archive
from versions.kinds import every_folder
from yarrow.documents.errors import DocumentError
from yarrow.documents.fill.schedule import TableError, read_schedule
from yarrow.documents.json_text import DEEPEST, MOST_ITEMS, read_json

MEGABYTE = 1024 * 1024


def zipped(files: dict[str, bytes]) -> bytes:
    stream = io.BytesIO()
    with zipfile.ZipFile(stream, "w", zipfile.ZIP_DEFLATED) as packed:
        for name, data in files.items():
            packed.writestr(name, data)
    return stream.getvalue()


def manifest(*runs: str) -> bytes:
    told = {"format": "yarrow.job/1", "name": "Bomb", "place": "", "units": "in", "runs": runs}
    return json.dumps(told).encode()


class Bounds(CrewTest):
    def cheap(self, work: Callable[[], Any]) -> str:
        """What work is refused with; the most memory that it held is under 100 MB."""
        tracemalloc.start()
        try:
            with self.assertRaises((DocumentError, TableError)) as caught:
                work()
            self.assertLess(tracemalloc.get_traced_memory()[1], 100 * MEGABYTE)
        finally:
            tracemalloc.stop()
        return str(caught.exception)

    def test_an_archive_of_lists_is_stopped_before_it_is_parsed(self) -> None:
        names = [f"runs/{n:04}.json" for n in range(40)]
        lists = b"[" + b"[]," * 330_000 + b"[]]"
        bomb = zipped({"manifest.json": manifest(*names), **dict.fromkeys(names, lists)})
        self.assertLess(len(bomb), 200_000)
        self.assertIn("bytes", self.cheap(lambda: unpack(bomb, every_folder())))

    def test_many_entries_that_are_large_together_are_in_memory_one_at_a_time(self) -> None:
        names = [f"runs/{n:04}.json" for n in range(1, 1001)]
        run = b'{"walk": [' + b"1," * (MOST_ENTRY_BYTES // 2 - 10) + b"1]}"
        many = zipped({"manifest.json": manifest(*names), **dict.fromkeys(names, run)})

        def bring_in() -> None:
            list(bring_in_job(self.wren, unpack(many, every_folder())))

        self.assertIn("run 1", self.cheap(bring_in))

    def test_json_bodies_by_values_and_depth(self) -> None:
        wide = b"[" + b"1," * MOST_ITEMS + b"1]"
        self.assertIn("values", self.cheap(lambda: read_json(wide)))
        deep = b"[" * (DEEPEST + 1) + b"]" * (DEEPEST + 1)
        self.assertIn("deep", self.cheap(lambda: read_json(deep)))
        self.assertEqual(read_json(b'{"a": "[[[[[[[[[[[[[[[[[[[[[[[[[[[[[["}')["a"], "[" * 30)
        for body in (wide, deep, b'{"a":' * 1000):
            answer = self.send("post", "/api/plan", body)
            self.assertEqual((answer.status_code, answer.json()["code"]), (422, "unreadable"))

    def test_a_table_of_a_hundred_thousand_rows(self) -> None:
        table = b"name,type,size,wires\n" + b"a,emt,1/2,x\n" * 80_000
        self.assertIn("rows", self.cheap(lambda: read_schedule(table, "in")))

    def test_a_drawing_with_far_too_many_lines(self) -> None:
        document = ezdxf.new("R12")
        for n in range(4_500):
            document.modelspace().add_line((n, 0), (n + 1, 0))
        stream = io.StringIO()
        document.write(stream)
        text = stream.getvalue()
        self.assertIn("lines", self.cheap(lambda: read_path(text, "mm", "mm")))


class OutAndIn(CrewTest):
    def test_a_job_with_boxes_benders_and_a_rack_comes_in_again_as_it_was(self) -> None:
        rack = {"count": 5, "side": "left", "spacing": 3}
        job = f"/api/jobs/{self.job.id}"
        self.send("post", f"{job}/runs", changed(name="Bank", rack=rack))
        box = {"format": "yarrow.sitebox/1", "name": "Panel", "units": "in"}
        self.send("put", f"{job}/box", {"document": box, "base_version": 0})
        out = self.client.get(f"{job}/archive").getvalue()
        archive = unpack(out, every_folder())
        self.assertEqual(list(archive.documents["benders"]), [BENDER])
        self.assertEqual([run.get("rack") for run in archive.documents["runs"]], [None, rack])
        tern = self.signed_in_as(self.their_bender.updated_by)
        in_ = tern.post("/api/jobs/archive", out, content_type="application/zip")
        self.assertEqual(in_.status_code, 201)
        again = tern.get(f"/api/jobs/{in_.json()['id']}/archive").getvalue()
        self.assertEqual(again, out)
        # The crew has this bender already, and is given no second one.
        self.assertEqual(len(tern.get("/api/benders").json()), 1)

    def test_a_document_is_no_longer_than_goes_out_and_in(self) -> None:
        line = {"kind": "offset", "rise": "1 5/8", "toward": "left", "label": "x" * 60}
        walk = [{**line, "at": str(60 * n)} for n in range(1, 200)]
        run = changed(walk=[*walk, {"kind": "end", "at": "12100"}])
        self.assertGreater(len(json.dumps(run)), RUNS.most_bytes)
        answer = self.send("post", f"/api/jobs/{self.job.id}/runs", run)
        self.assertEqual((answer.status_code, answer.json()["code"]), (413, "too-large"))
        self.assertIn("at most 24,000 bytes", answer.json()["message"])
        half = changed(walk=[*walk[:100], {"kind": "end", "at": "12100"}])
        answer = self.send("post", f"/api/jobs/{self.job.id}/runs", half)
        self.assertEqual(answer.status_code, 201)

    def test_the_largest_job_that_there_can_be_goes_out_and_in(self) -> None:
        """Every document as long as it may be, and none that could be packed to much less."""
        chance = Random(7)
        documents: dict[str, Any] = {}
        for kind in (RUNS, BOXES, WALLS, BENDERS):
            text = (kind.most_bytes - 20) // 4 * 3
            documents[kind.many] = [
                {"name": b64encode(chance.randbytes(text)).decode()} for _ in range(kind.most)
            ]
        keys = tuple(new_key() for _ in range(RUNS.most))
        out = packed(Archive("Works", "", "in", documents, keys=keys))
        self.assertLess(len(out), settings.LARGEST_ARCHIVE)
        again = unpack(out, every_folder())
        for folder, sent in documents.items():
            self.assertEqual(list(again.documents[folder]), sent)
        self.assertEqual(again.keys, keys)

    def test_a_full_job_takes_no_more_not_even_back(self) -> None:
        gone = self.send("post", f"/api/jobs/{self.job.id}/runs", DOCUMENT).json()["id"]
        self.client.delete(f"/api/runs/{gone}")
        with mock.patch.object(RUNS, "most", 1):
            new = self.send("post", f"/api/jobs/{self.job.id}/runs", DOCUMENT)
            back = self.send("post", f"/api/runs/{gone}/bring-back")
        for answer in (new, back):
            self.assertEqual(answer.status_code, 422)
            self.assertIn("at most 1 runs", answer.json()["message"])
        box = {"format": "yarrow.sitebox/1", "name": "Panel", "units": "in"}
        with mock.patch.object(BOXES, "most", 0):
            told = {"document": box, "base_version": 0}
            answer = self.send("put", f"/api/jobs/{self.job.id}/box", told)
        self.assertIn("at most 0 boxes", answer.json()["message"])
        with mock.patch.object(BENDERS, "most", 1):
            answer = self.send("post", "/api/benders", BENDER)
        self.assertIn("at most 1 benders", answer.json()["message"])
