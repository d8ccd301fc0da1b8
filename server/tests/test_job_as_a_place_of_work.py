"""A job's runs: looked for, sorted, at a stage; duplicated, moved to another job; their totals."""

from __future__ import annotations

from jobs.models import Run
from jobs.runs import RUNS
from jobs.services import create_job
from server.tests.people import CrewTest, changed

LONGER = [
    {"kind": "turn", "at": "60", "toward": "left"},
    {"kind": "end", "at": "50", "fitting": "open"},
]


class PlaceOfWork(CrewTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/jobs/{self.job.id}"
        self.long = RUNS.create(self.wren, self.job.id, changed(name="Cellar main", walk=LONGER))

    def names(self, query: str = "") -> list[str]:
        answer = self.send("get", f"{self.path}/runs{query}")
        self.assertEqual(answer.status_code, 200, answer.content)
        return [run["name"] for run in answer.json()]

    def test_runs_are_sorted_looked_for_and_kept_to_a_stage(self) -> None:
        both = ["Cellar main", "Press hall feed"]
        self.assertEqual(self.names(), both)
        self.assertEqual(self.names("?by=longest"), both)
        self.assertEqual(self.names("?by=bends"), both[::-1])
        self.assertEqual(self.names("?search=HALL"), ["Press hall feed"])
        self.assertEqual(self.names("?search=thin wall"), both)
        self.assertEqual(self.names("?search=nowhere"), [])
        self.send("put", f"/api/runs/{self.run_.id}/stage", {"stage": "bent"})
        self.assertEqual(self.names("?stage=bent"), ["Press hall feed"])
        self.assertEqual(self.names("?by=stage"), ["Cellar main", "Press hall feed"])

    def test_what_there_is_not_is_refused(self) -> None:
        for query in ("?by=colour", "?stage=lost", "?search=" + "x" * 121):
            self.assertEqual(self.send("get", f"{self.path}/runs{query}").status_code, 422)
        stage = self.send("put", f"/api/runs/{self.run_.id}/stage", {"stage": "lost"})
        self.assertEqual(stage.status_code, 422)

    def test_a_stage_is_no_version_and_the_totals_tell_of_it(self) -> None:
        answer = self.send("put", f"/api/runs/{self.run_.id}/stage", {"stage": "fitted"}).json()
        self.assertEqual((answer["stage"], answer["version"]), ("fitted", 1))
        totals = self.send("get", self.path).json()["totals"]
        self.assertEqual(totals["stages"], {"draft": 1, "ready": 0, "bent": 0, "fitted": 1})
        # 8' 8 3/16" and 60 + 50 less the gain of one 90 (2 5/8): 107 3/8, 211 9/16 together.
        self.assertEqual(totals["pipe_text"], "17' 7 9/16\"")

    def test_a_run_has_a_small_drawing_of_its_shape(self) -> None:
        corner, *_ = self.send("get", f"{self.path}/runs").json()
        (x0, _), (x1, y1), (x2, y2) = corner["shape"]
        self.assertEqual((x1, x2), (x2, x1))
        self.assertGreater(x1, x0)
        self.assertGreater(y2, y1)

    def test_a_copy_is_a_draft_with_a_history_of_its_own(self) -> None:
        self.send("put", f"/api/runs/{self.run_.id}/stage", {"stage": "bent"})
        made = self.send("post", f"/api/runs/{self.run_.id}/duplicate")
        self.assertEqual(made.status_code, 201)
        copy = made.json()
        self.assertEqual(
            (copy["name"], copy["stage"], copy["version"]), ("Press hall feed, copy", "draft", 1)
        )
        self.assertNotEqual(Run.objects.get(id=copy["id"]).key, self.run_.key)

    def test_a_run_goes_to_another_job_of_the_crew_with_its_history(self) -> None:
        other = create_job(self.wren, name="Bottling", place="", units="in")
        moved = self.send("post", f"/api/runs/{self.run_.id}/move?job_id={other.id}")
        self.assertEqual(moved.json()["job_id"], other.id)
        self.assertEqual(self.names(), ["Cellar main"])
        history = self.send("get", f"/api/runs/{self.run_.id}/revisions").json()
        self.assertEqual([each["version"] for each in history], [1])

    def test_not_to_a_job_that_is_not_theirs(self) -> None:
        theirs = self.their_job.id
        answer = self.send("post", f"/api/runs/{self.run_.id}/move?job_id={theirs}")
        self.assertEqual(answer.status_code, 404)
        self.assertEqual(Run.objects.get(id=self.run_.id).job_id, self.job.id)
