"""A job's cut list: every piece of every run, conduit by conduit, on sticks and offcuts in hand."""

from __future__ import annotations

from typing import Any

from jobs.models import Job
from jobs.services import create_job, create_run
from server.tests.people import CrewTest


def straight(name: str, at: Any, **more: Any) -> dict[str, Any]:
    return {
        "format": "yarrow.run/1",
        "name": name,
        "units": "in",
        "conduit": {"type": "emt", "size": "1/2"},
        "bender": "hand-emt-1/2",
        "walk": [{"kind": "end", "at": at}],
        **more,
    }


class CutLists(CrewTest):
    def job_of(self, *documents: dict[str, Any]) -> Job:
        job = create_job(self.wren, name="Loft", place="", units="in", rules="us")
        for document in documents:
            create_run(self.wren, job.id, document)
        return job

    def cuts(self, job: Job, status: int = 200, **body: Any) -> Any:
        answer = self.send("post", f"/api/jobs/{job.id}/cuts", body)
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def test_runs_pieces_and_racks_are_cut_together(self) -> None:
        job = self.job_of(
            straight("Feed", 200),
            straight("Drop", 38),
            straight("Bank", 30, rack={"count": 2, "side": "left", "spacing": 2}),
            straight("Rigid", 40, conduit={"type": "rmc", "size": "1"}, bender="ratchet-1"),
        )
        thin, rigid = self.cuts(job)["conduits"]
        names = [cut["name"] for bar in thin["cuts"]["bars"] for cut in bar["cuts"]]
        self.assertEqual(
            sorted(names),
            ["Bank, pipe 1", "Bank, pipe 2", "Drop", "Feed, piece 1", "Feed, piece 2"],
        )
        # A whole stick, and 79 15/16 with 38 on the next, and 30 twice on a third.
        self.assertEqual(thin["cuts"]["sticks"], 3)
        self.assertEqual((rigid["type"], rigid["cuts"]["sticks"]), ("rmc", 1))

    def test_materials_are_counted_over_the_job_and_come_as_a_table(self) -> None:
        job = self.job_of(
            straight("Feed", 200),
            straight("Bank", 30, rack={"count": 2, "side": "left", "spacing": 2}),
        )
        (thin,) = self.cuts(job)["conduits"]
        # A coupling, and three straps, of the feed; a strap for each pipe of the rack.
        found = {each["what"]: each["count"] for each in thin["materials"]}
        self.assertEqual(found, {"set-screw coupling, 1/2": 1, "strap with its screws, 1/2": 3 + 2})
        table = self.client.get(f"/api/jobs/{job.id}/materials.csv").content.decode().splitlines()
        self.assertEqual(
            table,
            [
                "conduit,what,count",
                "EMT (thin wall) 1/2,stick of 120,3",
                'EMT (thin wall) 1/2,"set-screw coupling, 1/2",1',
                'EMT (thin wall) 1/2,"strap with its screws, 1/2",5',
            ],
        )

    def test_offcuts_in_hand_are_used_first(self) -> None:
        job = self.job_of(straight("Drop", 38))
        hand = [{"type": "emt", "size": "1/2", "length": "39", "name": "by the door"}]
        (thin,) = self.cuts(job, offcuts=hand)["conduits"]
        self.assertEqual(thin["cuts"]["sticks"], 0)
        self.assertEqual(thin["cuts"]["bars"][0]["name"], "by the door")

    def test_a_run_that_can_t_be_made_is_left_out_by_name(self) -> None:
        wrong = straight("Wrong", 60)
        wrong["walk"].insert(0, {"kind": "turn", "at": 1, "toward": "left"})
        (thin,) = self.cuts(self.job_of(wrong))["conduits"]
        self.assertEqual((thin["left_out"], thin["cuts"]), (["Wrong"], None))

    def test_what_can_t_be_read_is_refused_at_its_place(self) -> None:
        job = self.job_of(straight("Drop", 38))
        other = {"type": "rmc", "size": "1", "length": "20"}
        wrong = {"type": "emt", "size": "1/2", "length": "tall"}
        answer = self.cuts(job, 422, offcuts=[other, wrong])
        self.assertEqual(answer["errors"][0]["path"], "offcuts[1].length")
        answer = self.cuts(job, 422, saw={"kerf": "-1"})
        self.assertEqual(answer["errors"][0]["path"], "saw.kerf")
        self.assertEqual(self.cuts(job, 422, seconds=60)["code"], "unreadable")
