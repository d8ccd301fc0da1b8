"""A whole job as one file, and every file that is not one: nothing is ever half imported."""

from __future__ import annotations

import io
import json
import zipfile
from typing import Any

from exports.job_archive import FORMAT
from jobs.bringing_in import bring_in_job
from jobs.models import Job, PieceAtBench, Run
from server.tests.people import DOCUMENT, CrewTest, archive, changed, packed


def zipped(files: dict[str, Any]) -> bytes:
    stream = io.BytesIO()
    with zipfile.ZipFile(stream, "w", zipfile.ZIP_DEFLATED) as packed:
        for name, content in files.items():
            packed.writestr(name, content if isinstance(content, str) else json.dumps(content))
    return stream.getvalue()


MANIFEST = {"format": FORMAT, "name": "Mill", "place": "", "units": "in", "runs": ["runs/1.json"]}


class JobArchive(CrewTest):
    def test_a_job_goes_out_and_comes_in_again_without_loss(self) -> None:
        self.send("post", f"/api/jobs/{self.job.id}/runs", changed(name="Second", method="table"))
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        answer = self.send("post", "/api/jobs/archive", data)
        self.assertEqual(answer.status_code, 201, answer.content)
        again = Job.objects.get(id=answer.json()["id"])
        self.assertEqual((again.name, again.units), (self.job.name, self.job.units))

        def documents(job: Job) -> list[Any]:
            return [run.document for run in Run.objects.filter(job=job).order_by("id")]

        self.assertEqual(documents(again), documents(self.job))
        # The same job again is the same file, byte for byte.
        self.assertEqual(self.send("get", f"/api/jobs/{again.id}/archive").getvalue(), data)

    def test_a_run_that_comes_in_has_nobody_s_bender_by_its_number(self) -> None:
        own = {"kind": "hand", "take_up": 5, "radius": 4.471, "kept": "3"}
        list(bring_in_job(self.tern, archive(changed(bender=own))))
        bender = Run.objects.get(job__name="Mill").document["bender"]
        self.assertEqual(bender, {"kind": "hand", "take_up": 5, "radius": 4.471})

    def test_it_is_another_crew_s_as_little_as_anything(self) -> None:
        path = f"/api/jobs/{self.job.id}/archive"
        answer = self.send("get", path, client=self.signed_in_as(self.tern))
        self.assertEqual(answer.status_code, 404)

    def refused(self, data: bytes, path: str, expected: str = "") -> None:
        before = (Job.objects.count(), Run.objects.count())
        answer = self.send("post", "/api/jobs/archive", data)
        self.assertEqual(answer.status_code, 422, answer.content)
        (error,) = answer.json()["errors"]
        self.assertEqual(error["path"], path)
        self.assertIn(expected, error["expected"])
        self.assertEqual((Job.objects.count(), Run.objects.count()), before)

    def test_what_is_no_archive_is_refused_in_words(self) -> None:
        good = packed(archive(DOCUMENT))
        self.refused(b"not a zip", "archive", "a zip file")
        self.refused(good[: len(good) // 2], "archive", "a zip file")
        self.refused(zipped({}), "manifest.json", FORMAT)
        self.refused(zipped({"manifest.json": "{"}), "manifest.json", "JSON")
        self.refused(zipped({"manifest.json": {**MANIFEST, "format": "x"}}), "manifest.json")

    def test_a_path_outside_of_itself_is_refused(self) -> None:
        for name in ("../etc/passwd", "/etc/passwd", "runs/../../x.json", "runs/a/b.json", "x.exe"):
            files = {"manifest.json": MANIFEST, name: "{}"}
            self.refused(zipped(files), "archive", "alone")

    def test_a_manifest_that_lies_is_refused(self) -> None:
        run = {"runs/1.json": DOCUMENT}
        for runs in ([], ["runs/2.json"], ["runs/1.json", "runs/1.json"], "runs/1.json", [1]):
            manifest = {**MANIFEST, "runs": runs}
            self.refused(zipped({"manifest.json": manifest, **run}), "manifest.json.runs")
        for field, value in (("units", "ft"), ("name", ""), ("name", 4), ("place", "x" * 201)):
            manifest = {**MANIFEST, field: value}
            self.refused(zipped({"manifest.json": manifest, **run}), f"manifest.json.{field}")

    def test_a_bomb_is_not_unpacked(self) -> None:
        bomb = zipped({"manifest.json": MANIFEST, "runs/1.json": " " * (65 * 1024 * 1024)})
        self.assertLess(len(bomb), 100_000)
        self.refused(bomb, "runs/1.json", "bytes")

    def test_one_run_that_can_t_be_read_leaves_nothing_behind(self) -> None:
        bad = packed(archive(DOCUMENT, {**DOCUMENT, "units": "ft"}))
        self.refused(bad, "run 2, units", "in, mm")

    def test_a_piece_at_the_bench_is_of_a_run_that_is_in_the_file(self) -> None:
        came_out = {"format": "yarrow.bench/1", "units": "in", "made": []}
        for number, there in ((0, False), (1, True), (2, True), (3, False), ("1", False)):
            piece = {"run": number, "piece": 0, "came_out": came_out}
            data = packed(archive(DOCUMENT, changed(name="Second"), bench=[piece]))
            with self.subTest(number):
                if there:
                    made = self.send("post", "/api/jobs/archive", data).json()["id"]
                    (at,) = PieceAtBench.objects.filter(run__job=made)
                    self.assertEqual(at.run.name, ("Press hall feed", "Second")[int(number) - 1])
                else:
                    self.refused(data, "piece at the bench 1, run", "one of 2 runs")

    def told(self, data: bytes) -> list[dict[str, Any]]:
        answer = self.send("post", "/api/jobs/archive/progress", data)
        self.assertEqual(answer.status_code, 200, getattr(answer, "content", b""))
        lines = b"".join(answer.streaming_content).decode().splitlines()
        return [json.loads(line) for line in lines]

    def test_progress_is_told_up_to_the_job_that_came_of_it(self) -> None:
        many = packed(archive(*[DOCUMENT] * 25))
        *steps, last = self.told(many)
        self.assertEqual(steps, [{"done": done, "of": 25} for done in (0, 10, 20, 25)])
        self.assertEqual(Run.objects.filter(job_id=last["job"]).count(), 25)

    def test_a_run_that_can_t_be_read_is_the_last_that_is_told_and_nothing_is_kept(self) -> None:
        before = (Job.objects.count(), Run.objects.count())
        runs = (*[DOCUMENT] * 14, {**DOCUMENT, "units": "ft"})
        *_, last = self.told(packed(archive(*runs)))
        (error,) = last["problem"]["errors"]
        self.assertEqual(error["path"], "run 15, units")
        self.assertEqual((Job.objects.count(), Run.objects.count()), before)

    def test_who_stops_listening_half_way_stops_it_and_nothing_is_kept(self) -> None:
        before = (Job.objects.count(), Run.objects.count())
        half = bring_in_job(self.wren, archive(*[DOCUMENT] * 5))
        for _ in range(3):
            next(half)
        half.close()
        self.assertEqual((Job.objects.count(), Run.objects.count()), before)

    def test_a_rack_and_an_order_go_out_and_come_in_again(self) -> None:
        rack = {"count": 3, "side": "left", "spacing": "2 1/4", "corners": "concentric"}
        order = [{"bend": n, "hook": "end"} for n in (2, 1, 0)]
        made = self.send(
            "post", f"/api/jobs/{self.job.id}/runs", changed(rack=rack, order=order)
        ).json()
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        again = self.send("post", "/api/jobs/archive", data).json()
        run = Run.objects.get(job_id=again["id"], name=made["name"], document__has_key="rack")
        self.assertEqual((run.document["rack"], run.document["order"]), (rack, order))
