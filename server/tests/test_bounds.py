"""What is refused costs next to nothing: it is bounded before it is parsed."""

from __future__ import annotations

import io
import json
import tracemalloc
import zipfile
from collections.abc import Callable
from typing import Any
from unittest import mock

import ezdxf

from exports.dxf import read_path
from exports.job_archive import Archive, pack, unpack
from server.tests.people import BENDER, DOCUMENT, CrewTest, changed
from yarrow.documents.json_text import DEEPEST, MOST_ITEMS, read_json
from yarrow.documents.refusal import Refusal
from yarrow.documents.schedule import Unreadable, read_schedule

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
            with self.assertRaises((Refusal, Unreadable)) as caught:
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
        self.assertIn("values", self.cheap(lambda: unpack(bomb)))

    def test_so_are_one_large_entry_and_many_that_are_large_together(self) -> None:
        file = "runs/0001.json"
        large = zipped({"manifest.json": manifest(file), file: b" " * 5_000_000})
        self.assertIn("bytes", self.cheap(lambda: unpack(large)))
        names = [f"runs/{n:04}.json" for n in range(100)]
        run = b'{"walk": [' + b"1," * 20_000 + b"1]}"
        many = zipped({"manifest.json": manifest(*names), **dict.fromkeys(names, run)})
        self.assertIn("values in all", self.cheap(lambda: unpack(many)))

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
        out = self.client.get(f"{job}/archive").content
        archive = unpack(out)
        self.assertEqual(archive.benders, (BENDER,))
        self.assertEqual([run.get("rack") for run in archive.runs], [None, rack])
        tern = self.signed_in_as(self.their_bender.updated_by)
        in_ = tern.post("/api/jobs/archive", out, content_type="application/zip")
        self.assertEqual(in_.status_code, 201)
        again = tern.get(f"/api/jobs/{in_.json()['id']}/archive").content
        self.assertEqual(again, out)
        # The crew has this bender already, and is given no second one.
        self.assertEqual(len(tern.get("/api/benders").json()), 1)

    def test_the_largest_job_that_there_can_be_goes_out_and_in(self) -> None:
        lines = [{"kind": "round", "at": str(60 * n), "across": "1 5/8"} for n in range(1, 30)]
        run = changed(walk=[*lines, {"kind": "end", "at": "1900"}])
        packed = pack(Archive("Works", "", "in", tuple([run] * 1000), (), (BENDER,)))
        self.assertLess(len(packed), 8_000_000)
        self.assertEqual(unpack(packed).runs[-1], run)

    def test_a_full_job_takes_no_more(self) -> None:
        with mock.patch("jobs.services.MOST_RUNS", 1):
            answer = self.send("post", f"/api/jobs/{self.job.id}/runs", DOCUMENT)
        self.assertEqual(answer.status_code, 422)
        self.assertIn("at most 1 runs", answer.json()["message"])
