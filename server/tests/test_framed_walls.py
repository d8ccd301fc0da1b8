"""A job's framed walls over the API: saved by version, planned, refused at their place."""

from __future__ import annotations

from typing import Any

from jobs.models import Job, JobWall, Run
from jobs.services import create_job
from server.tests.people import CrewTest, archive, packed

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
        self.assertIn("You saved this wall in another tab", late.json()["message"])
        back = self.send("post", f"{path}/revisions/1/restore", {"base_version": 2}).json()
        self.assertEqual((back["version"], back["document"]), (3, wall["document"]))
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
        # One that is there is where it was wanted.
        self.assertEqual(self.send("post", f"{path}/bring-back").json(), made)
        self.assertEqual(self.send("get", f"{job}/removed").json()["walls"], [])

    def test_walls_go_along_in_the_job_s_file(self) -> None:
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", WALL).json()
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        answer = self.send("post", "/api/jobs/archive", data)
        self.assertEqual(answer.status_code, 201, answer.content)
        copied = JobWall.objects.get(job_id=answer.json()["id"])
        self.assertEqual((copied.name, copied.document), ("Gable wall", made["document"]))
        self.assertEqual(copied.revisions.count(), 1)
        # Its run came along, once, and is the wall's.
        (run,) = copied.runs.all()
        self.assertEqual((run.job_id, run.version), (copied.job_id, 1))
        self.assertEqual(copied.job.runs.filter(name="Switch to Outlet").count(), 1)

    def test_a_file_whose_wall_can_t_be_read_brings_nothing_in(self) -> None:
        before = Job.objects.count()
        wrong = {**WALL, "length": "long"}
        answer = self.send("post", "/api/jobs/archive", packed(archive(walls=[wrong])))
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "wall 1, length")
        self.assertEqual(Job.objects.count(), before)

    def test_a_wall_is_planned_without_being_saved(self) -> None:
        answer = self.send("post", "/api/wall", WALL).json()
        (feed,) = answer["feeds"]
        self.assertEqual([piece["bends"] for piece in feed["pieces"]], [2, 0, 2])
        self.assertEqual([each["count"] for each in answer["needed"]], [2, 2, 2])
        self.assertEqual([hole["stud"] for hole in answer["holes"]], [4, 5, 6])

    def test_the_sheet_has_the_wall_with_all_of_its_lengths(self) -> None:
        wall = {
            **WALL,
            "ways_out": [{"name": "Attic"}],
            "openings": [{"name": "Door", "begins": 120, "width": 32}],
            "feeds": [*WALL["feeds"], {"from": "Switch", "to": "Attic"}],
        }
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", wall).json()
        path = f"/api/walls/{made['id']}/sheet"
        sheet = self.send("get", f"{path}.svg").content.decode()
        plan = self.send("post", "/api/wall", wall).json()
        for feed in plan["feeds"]:
            for piece in feed["pieces"]:
                self.assertIn(f"cut {piece['cut_text']}", sheet)
        for said in ("Gable wall", "Door", "Attic", "Boxes to mount", "3 × 1 at 64", "connectors"):
            self.assertIn(said, sheet)
        printed = self.send("get", f"{path}.pdf?paper=letter")
        self.assertTrue(printed.content.startswith(b"%PDF"))
        self.assertIn('filename="gable-wall.pdf"', printed["Content-Disposition"])
        self.assertEqual(self.send("get", f"{path}.svg?paper=a9").status_code, 422)

    def test_a_wall_with_more_than_a_page_goes_on_to_another(self) -> None:
        boxes = [{"name": f"Box {at}", "stud": at, "height": 16} for at in range(1, 100)]
        feeds = [{"from": f"Box {at}", "to": f"Box {at + 3}"} for at in range(1, 90, 5)]
        wall = {**WALL, "length": 2000, "boxes": boxes, "feeds": feeds}
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", wall).json()
        path = f"/api/walls/{made['id']}/sheet.svg"
        first = self.send("get", path)
        pages = int(first["X-Pages"])
        self.assertGreater(pages, 1)
        sheets = [self.send("get", f"{path}?page={n + 1}").content.decode() for n in range(pages)]
        for said in ("Box 1: right of stud 1", "Box 99: right of stud 99", "Box 86 to Box 89"):
            self.assertEqual(sum(said in sheet for sheet in sheets), 1, said)
        self.assertIn("page 2", sheets[1])
        self.assertEqual(self.send("get", f"{path}?page=99").content.decode(), sheets[-1])

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


class RunsOfAWall(CrewTest):
    def made(self) -> tuple[str, Run]:
        wall = self.send("post", f"/api/jobs/{self.job.id}/walls", WALL).json()
        return f"/api/walls/{wall['id']}", Run.objects.get(wall_id=wall["id"])

    def saved(self, path: str, **more: Any) -> dict[str, Any]:
        wall = self.send("get", path).json()
        body = {"document": {**wall["document"], **more}, "base_version": wall["version"]}
        answer = self.send("put", path, body)
        self.assertEqual(answer.status_code, 200, answer.content)
        found: dict[str, Any] = answer.json()
        return found

    def test_every_feed_is_a_run_of_the_job_that_says_which_wall_makes_it(self) -> None:
        path, run = self.made()
        detail = self.send("get", f"/api/runs/{run.id}").json()
        self.assertEqual(detail["name"], "Switch to Outlet")
        self.assertEqual(detail["wall"]["name"], "Gable wall")
        (listed,) = self.send("get", f"{path}/runs").json()
        wall = self.send("get", path).json()
        self.assertEqual(listed["key"], wall["document"]["feeds"][0]["key"])
        planned = self.send("post", "/api/wall", wall["document"]).json()["feeds"][0]
        self.assertEqual(detail["document"], planned["run"])

    def test_a_box_s_height_replans_its_run_and_what_was_said_of_that_stays(self) -> None:
        path, run = self.made()
        own = {**run.document, "done": ["a"], "round_to": "1/8", "wires": {"typed": "3 x 12 thhn"}}
        self.send("put", f"/api/runs/{run.id}", {"document": own, "base_version": 1})
        # Another name of the wall changes none of its runs.
        self.saved(path, name="West wall")
        run.refresh_from_db()
        self.assertEqual((run.version, run.document), (2, own))
        boxes = [{**WALL["boxes"][0], "height": 50}, WALL["boxes"][1]]
        self.saved(path, boxes=boxes)
        run.refresh_from_db()
        self.assertEqual(run.version, 3)
        self.assertNotEqual(run.document["path"], own["path"])
        self.assertEqual(run.document["wires"], {"typed": "3 x 12 thhn"})
        self.assertEqual(run.document["round_to"], "1/8")
        # What was ticked off was of another piece.
        self.assertNotIn("done", run.document)

    def test_a_box_that_is_called_otherwise_keeps_its_run(self) -> None:
        path, run = self.made()
        boxes = [{**WALL["boxes"][0], "name": "Dimmer"}, WALL["boxes"][1]]
        feeds = self.send("get", path).json()["document"]["feeds"]
        self.saved(path, boxes=boxes, feeds=[{**feeds[0], "from": "Dimmer"}])
        run.refresh_from_db()
        self.assertEqual((run.name, run.removed_at), ("Dimmer to Outlet", None))

    def test_a_feed_that_is_taken_out_puts_its_run_away(self) -> None:
        path, run = self.made()
        self.saved(path, feeds=[])
        self.assertEqual(self.send("get", f"/api/runs/{run.id}").status_code, 404)
        self.send("post", f"{path}/revisions/1/restore", {"base_version": 2})
        self.assertEqual(self.send("get", f"/api/runs/{run.id}").status_code, 200)

    def test_a_wall_goes_with_its_runs_and_comes_back_with_them(self) -> None:
        path, run = self.made()
        self.send("delete", path)
        self.assertEqual(self.send("get", f"/api/runs/{run.id}").status_code, 404)
        self.send("post", f"{path}/bring-back")
        self.assertEqual(self.send("get", f"/api/runs/{run.id}").status_code, 200)

    def test_a_run_that_somebody_drew_is_not_taken_over_by_its_key(self) -> None:
        key, before = self.run_.key, self.run_.document
        feed = {**WALL["feeds"][0], "key": key}
        made = self.send("post", f"/api/jobs/{self.job.id}/walls", {**WALL, "feeds": [feed]})
        self.assertNotEqual(made.json()["document"]["feeds"][0]["key"], key)
        self.run_.refresh_from_db()
        self.assertEqual((self.run_.document, self.run_.version, self.run_.wall), (before, 1, None))

    def test_a_copy_of_a_wall_has_runs_of_its_own(self) -> None:
        path, run = self.made()
        copy = self.send("get", path).json()["document"]
        other = self.send("post", f"/api/jobs/{self.job.id}/walls", copy).json()
        self.assertNotEqual(other["document"]["feeds"][0]["key"], run.key)
        self.assertEqual(Run.objects.filter(wall__isnull=False).count(), 2)

    def test_a_run_that_is_moved_to_another_job_is_the_wall_s_no_more(self) -> None:
        path, run = self.made()
        other = create_job(self.wren, name="Mill", place="", units="in")
        self.send("post", f"/api/runs/{run.id}/move?job_id={other.id}")
        run.refresh_from_db()
        self.assertIsNone(run.wall)
        self.saved(path, name="West wall")
        self.assertEqual(Run.objects.filter(wall__isnull=False).count(), 1)
