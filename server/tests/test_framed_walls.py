"""A job's framed walls over the API: saved by version, planned, refused at their place."""

from __future__ import annotations

from typing import Any

from exports.job_archive import Archive
from jobs.models import Job, JobWall
from server.tests.people import CrewTest, packed

WALL: dict[str, Any] = {
    "format": "yarrow.wall/1",
    "name": "Gable wall",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "length": "16'",
    "height": "8'",
    "studs": {},
    "boxes": [
        {"name": "Switch", "stud": 3, "height": 48},
        {"name": "Outlet", "stud": 6, "height": 16},
    ],
    "lines": [{"name": "A", "height": 64}],
    "feeds": [{"from": "Switch", "to": "Outlet"}],
}


class FramedWalls(CrewTest):
    def test_a_wall_is_kept_by_version_and_by_history(self) -> None:
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", WALL)
        self.assertEqual(made.status_code, 201, made.content)
        wall = made.json()
        path = f"/api/walls/{wall['id']}"
        self.assertEqual((wall["name"], wall["version"]), ("Gable wall", 1))
        other = {**WALL, "name": "West wall"}
        saved = self.send("put", path, {"document": other, "base_version": 1}).json()
        self.assertEqual((saved["name"], saved["version"]), ("West wall", 2))
        late = self.send("put", path, {"document": WALL, "base_version": 1})
        self.assertEqual(late.status_code, 409)
        self.assertIn("saved this wall in the meantime", late.json()["message"])
        back = self.send("post", f"{path}/revisions/1/restore", {"base_version": 2}).json()
        self.assertEqual((back["version"], back["document"]), (3, WALL))
        listed = self.send("get", f"/api/jobs/{self.job.id}/walls").json()
        self.assertEqual([each["name"] for each in listed], ["Gable wall"])

    def test_a_wall_that_was_removed_comes_back_as_it_was(self) -> None:
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", WALL).json()
        path, job = f"/api/walls/{made['id']}", f"/api/jobs/{self.job.id}"
        self.assertEqual(self.send("delete", path).status_code, 200)
        self.assertEqual(self.send("get", path).status_code, 404)
        self.assertEqual(self.send("get", f"{job}/walls").json(), [])
        (removed,) = self.send("get", f"{job}/removed").json()["walls"]
        self.assertEqual((removed["id"], removed["name"]), (made["id"], "Gable wall"))
        self.assertEqual(self.send("post", f"{path}/bring-back").json(), made)
        self.assertEqual(self.send("post", f"{path}/bring-back").status_code, 404)
        self.assertEqual(self.send("get", f"{job}/removed").json()["walls"], [])

    def test_walls_go_along_in_the_job_s_file(self) -> None:
        self.send("post", f"/api/jobs/{self.job.id}/walls", WALL)
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        answer = self.send("post", "/api/jobs/archive", data)
        self.assertEqual(answer.status_code, 201, answer.content)
        copied = JobWall.objects.get(job_id=answer.json()["id"])
        self.assertEqual((copied.name, copied.document), ("Gable wall", WALL))
        self.assertEqual(copied.revisions.count(), 1)

    def test_a_file_whose_wall_can_t_be_read_brings_nothing_in(self) -> None:
        before = Job.objects.count()
        wrong = {**WALL, "length": "long"}
        answer = self.send(
            "post", "/api/jobs/archive", packed(Archive("Mill", "", "in", (), walls=(wrong,)))
        )
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "wall 1, length")
        self.assertEqual(Job.objects.count(), before)

    def test_a_wall_is_planned_without_being_saved(self) -> None:
        answer = self.send("post", "/api/wall", WALL).json()
        (feed,) = answer["feeds"]
        self.assertEqual([piece["bends"] for piece in feed["pieces"]], [2, 0, 2])
        self.assertEqual(answer["connectors"], 2)
        self.assertEqual([hole["stud"] for hole in answer["holes"]], [4, 5, 6])

    def test_what_can_t_be_read_is_refused_at_its_place(self) -> None:
        for wrong, path in (
            ({**WALL, "boxes": [{"name": "A", "stud": 99, "height": 3}]}, "boxes[0].stud"),
            ({**WALL, "feeds": [{"from": "Switch", "to": "Attic"}]}, "feeds[0].to"),
            ({**WALL, "length": "long"}, "length"),
            ({**WALL, "floor": 1}, "floor"),
        ):
            for where in ("/api/wall", f"/api/jobs/{self.job.id}/walls"):
                with self.subTest(path=path, where=where):
                    answer = self.send("post", where, wrong)
                    self.assertEqual(answer.status_code, 422)
                    self.assertEqual(answer.json()["errors"][0]["path"], path)
