"""A job's boxes over the API: who meets there, saved by version, kept with the job."""

from __future__ import annotations

from importlib import import_module
from typing import Any

from django.apps import apps
from django.db import connection
from django.test.utils import CaptureQueriesContext

from jobs.models import Job, SiteBox
from server.tests.people import DOCUMENT, CrewTest, changed

BOX: dict[str, Any] = {
    "format": "yarrow.sitebox/1",
    "name": "Cellar junction",
    "units": "in",
    "contents": {"box": "square-4-1-1/2"},
}
WIRES = {"conductors": [{"count": 4, "insulation": "thhn", "size": "12"}]}


class SiteBoxes(CrewTest):
    def run_at(self, box: str, name: str = "At the box") -> None:
        start = {**DOCUMENT["start"], "box": box}
        document = changed(name=name, start=start, wires=WIRES)
        answer = self.send("post", f"/api/jobs/{self.job.id}/runs", document)
        self.assertEqual(answer.status_code, 201, answer.content)

    def box(self, name: str = "Cellar junction") -> dict[str, Any]:
        answer = self.send("get", f"/api/jobs/{self.job.id}/box?name={name}")
        self.assertEqual(answer.status_code, 200)
        found: dict[str, Any] = answer.json()
        return found

    def save(self, version: int, **told: Any) -> Any:
        body = {"document": {**BOX, **told}, "base_version": version}
        return self.send("put", f"/api/jobs/{self.job.id}/box", body)

    def test_a_box_is_there_as_soon_as_a_run_names_it(self) -> None:
        self.assertEqual(self.send("get", f"/api/jobs/{self.job.id}/boxes").json(), [])
        self.run_at("Cellar junction")
        self.run_at(" cellar JUNCTION ", "Another")
        (listed,) = self.send("get", f"/api/jobs/{self.job.id}/boxes").json()
        self.assertEqual((listed["name"], listed["told"]), ("Cellar junction", False))
        self.assertEqual(listed["runs"], ["At the box", "Another"])
        box = self.box()
        self.assertEqual((box["version"], len(box["result"]["met"])), (0, 2))
        self.assertEqual(box["document"]["units"], "in")

    def test_a_list_of_boxes_asks_no_more_for_many_than_for_one(self) -> None:
        self.run_at("Box 1")
        with CaptureQueriesContext(connection) as one:
            self.send("get", f"/api/jobs/{self.job.id}/boxes")
        asked = len(one)
        for number in range(2, 8):
            self.run_at(f"Box {number}", f"Run {number}")
        with self.assertNumQueries(asked):
            listed = self.send("get", f"/api/jobs/{self.job.id}/boxes").json()
        self.assertEqual(len(listed), 7)

    def test_it_is_saved_by_version_and_answers_with_every_run(self) -> None:
        self.run_at("Cellar junction")
        first = self.save(0).json()
        self.assertEqual((first["version"], first["result"]["volume"]["needed"]), (1, 9.0))
        second = self.save(1, contents={"box": "device-3-2-1-1/2"}).json()
        self.assertEqual((second["version"], second["result"]["passes"]), (2, False))
        (listed,) = self.send("get", f"/api/jobs/{self.job.id}/boxes").json()
        self.assertEqual((listed["told"], listed["passes"]), (True, False))

    def test_who_comes_second_is_told_and_nothing_changes(self) -> None:
        self.save(0)
        self.assertEqual(self.save(0).json()["version"], 1)  # sent again: its answer was lost
        late = self.save(0, device=True)
        self.assertEqual((late.status_code, late.json()["code"]), (409, "conflict"))
        self.assertIn("You saved this box in another tab", late.json()["message"])
        self.assertNotIn("device", SiteBox.objects.get().document)
        # A version of a box that was forgotten meanwhile is not found.
        path = f"/api/jobs/{self.job.id}/box?name=Cellar%20junction"
        self.assertEqual(self.send("delete", path).status_code, 200)
        self.assertEqual(self.save(1).status_code, 404)

    def test_what_can_t_be_read_is_refused_and_not_kept(self) -> None:
        answer = self.save(0, contents={"box": "hat"})
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "contents.box")
        self.assertEqual(SiteBox.objects.count(), 0)

    def test_it_goes_out_with_its_job_and_comes_in_again(self) -> None:
        self.save(0)
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        answer = self.send("post", "/api/jobs/archive", data)
        self.assertEqual(answer.status_code, 201, answer.content)
        again = Job.objects.get(id=answer.json()["id"])
        self.assertEqual([box.document for box in again.boxes.all()], [BOX])
        self.assertEqual(self.send("get", f"/api/jobs/{again.id}/archive").getvalue(), data)

    def test_a_run_that_is_renamed_keeps_its_hole_and_two_of_one_name_have_one_each(self) -> None:
        self.run_at("Cellar junction", "Twin")
        self.run_at("Cellar junction", "Twin")
        one, two = self.box()["result"]["met"]
        told = [
            {"run": "Twin", "run_key": met["run_key"], "end": "start", "wall": wall}
            for met, wall in ((one, "bottom"), (two, "top"))
        ]
        self.save(0, entries=told)
        walls = {each["run_key"]: each["wall"] for each in self.box()["result"]["met"]}
        self.assertEqual(walls, {one["run_key"]: "bottom", two["run_key"]: "top"})
        run_id = self.box()["run_ids"][one["run_key"]]
        run = self.send("get", f"/api/runs/{run_id}").json()
        renamed = {**run["document"], "name": "Renamed"}
        body = {"document": renamed, "base_version": 1}
        self.assertEqual(self.send("put", f"/api/runs/{run_id}", body).status_code, 200)
        met = self.box()["result"]["met"]
        self.assertEqual(
            [(each["run"], each["wall"]) for each in met], [("Renamed", "bottom"), ("Twin", "top")]
        )
        # And so it goes out with its job and comes in again.
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        again = self.send("post", "/api/jobs/archive", data).json()["id"]
        box = self.send("get", f"/api/jobs/{again}/box?name=Cellar%20junction").json()
        self.assertEqual(box["result"], self.box()["result"])

    def test_what_was_told_by_name_goes_by_key_where_one_run_alone_has_the_name(self) -> None:
        for name in ("Alone", "Twin", "Twin"):
            self.run_at("Cellar junction", name)
        told = [{"run": name, "end": "start", "wall": "top"} for name in ("Alone", "Twin", "Gone")]
        self.save(0, entries=told)
        migration = import_module("jobs.migrations.0005_the_key_of_a_run")
        migration.give_keys(apps, None)
        entries = SiteBox.objects.get().document["entries"]
        alone = self.job.runs.get(name="Alone")
        self.assertEqual(entries, [{**told[0], "run_key": alone.key}, *told[1:]])
        self.assertEqual(SiteBox.objects.get().revisions.get().document["entries"], entries)

    def test_another_crew_s_job_has_no_boxes_for_us(self) -> None:
        for path in ("boxes", "box?name=Cellar%20junction"):
            address = f"/api/jobs/{self.their_job.id}/{path}"
            self.assertEqual(self.send("get", address).status_code, 404)
