"""A piece at the bench: kept by version, and no two devices go on with it unawares."""

from __future__ import annotations

from typing import Any

from jobs.models import Run
from server.tests.people import DOCUMENT, CrewTest

BENT = {
    "format": "yarrow.bench/1",
    "units": "in",
    "made": [{"bend": 0, "angle": 88}],
    "step": 2,
    "run_version": 1,
    "begun": 1764100000000,
}


class AtTheBench(CrewTest):
    @property
    def path(self) -> str:
        return f"/api/runs/{self.run_.id}/bench/0"

    def put(self, document: dict[str, Any], base: int) -> Any:
        return self.send("put", self.path, {"document": document, "base_version": base})

    def test_it_is_found_on_another_device_as_it_was_left(self) -> None:
        self.assertEqual(self.send("get", self.path).json()["version"], 0)
        self.assertEqual(self.put(BENT, 0).json()["version"], 1)
        there = self.send("get", self.path, client=self.signed_in_as(self.rook)).json()
        self.assertEqual((there["updated_by"], there["document"]["step"]), ("wren", 2))
        self.assertEqual(there["document"]["made"], BENT["made"])

    def test_the_first_device_is_told_once_another_went_on(self) -> None:
        self.put(BENT, 0)
        on = {**BENT, "step": 3}
        rook = self.signed_in_as(self.rook)
        body = {"document": on, "base_version": 1}
        self.assertEqual(self.send("put", self.path, body, client=rook).json()["version"], 2)
        told = self.put({**BENT, "step": 4}, 1)
        self.assertEqual(told.status_code, 409)
        self.assertIn("rook saved this piece", told.json()["message"])
        self.assertEqual(told.json()["theirs"]["document"]["step"], 3)
        self.assertEqual(self.put({**BENT, "step": 4}, 2).json()["version"], 3)

    def test_it_is_kept_as_built(self) -> None:
        self.put({**BENT, "offered": "fits"}, 0)
        self.assertEqual(self.send("get", self.path).json()["document"]["offered"], "fits")

    def test_scrap_can_become_what_is_cut_no_longer_of_the_same_conduit(self) -> None:
        jobs = f"/api/jobs/{self.job.id}/runs"
        short = {**DOCUMENT, "name": "Short", "walk": [{"kind": "end", "at": 20}]}
        other = {**short, "name": "Another", "conduit": {"type": "emt", "size": "1"}}
        for document in (short, {**other, "bender": "hand-emt-1"}):
            self.assertEqual(self.send("post", jobs, document).status_code, 201)
        path = f"/api/runs/{self.run_.id}/could-become?straight_mm="
        self.assertEqual(
            [each["name"] for each in self.send("get", f"{path}600").json()], ["Short"]
        )
        self.assertEqual(self.send("get", f"{path}400").json(), [])
        # What is bent already is made.
        stage = f"/api/runs/{Run.objects.get(name='Short').id}/stage"
        for said, offered in (("ready", ["Short"]), ("bent", []), ("fitted", [])):
            self.send("put", stage, {"stage": said})
            found = self.send("get", f"{path}600").json()
            self.assertEqual([each["name"] for each in found], offered, said)
        self.assertEqual(self.send("get", f"{path}-1").status_code, 422)

    def test_what_cannot_be_read_is_refused_and_changes_nothing(self) -> None:
        for wrong in ({"step": -1}, {"made": [{"bend": 0, "angle": 400}]}, {"offered": "maybe"}):
            self.assertEqual(self.put({**BENT, **wrong}, 0).status_code, 422, wrong)
        self.assertEqual(self.put(BENT, 5).status_code, 404)
        self.assertEqual(self.send("get", f"/api/runs/{self.run_.id}/bench/201").status_code, 422)
        self.assertEqual(self.send("get", self.path).json()["version"], 0)
