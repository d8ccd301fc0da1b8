"""A job's cut list: every piece of every run, conduit by conduit, on sticks and offcuts in hand."""

from __future__ import annotations

from typing import Any
from unittest import mock

import yarrow
from jobs.models import Job
from jobs.runs import RUNS
from jobs.services import create_job
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


def in_hand(*offcuts: dict[str, Any], **more: Any) -> dict[str, Any]:
    return {"format": "yarrow.jobstock/1", "units": "in", "offcuts": list(offcuts), **more}


class CutLists(CrewTest):
    def job_of(self, *documents: dict[str, Any]) -> Job:
        job = create_job(self.wren, name="Loft", place="", units="in", rules="us")
        for document in documents:
            RUNS.create(self.wren, job.id, document)
        return job

    def cuts(self, job: Job, status: int = 200, **body: Any) -> Any:
        answer = self.send("post", f"/api/jobs/{job.id}/cuts", body)
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def test_the_time_for_looking_is_that_of_all_conduits_together(self) -> None:
        other = straight("Wide", 30, conduit={"type": "emt", "size": "1"}, bender="hand-emt-1")
        job = self.job_of(straight("Short", 20), other)
        with mock.patch("yarrow.cut_of_job", wraps=yarrow.cut_of_job) as cut:
            self.cuts(job, document=in_hand(), seconds=1)
        self.assertEqual([call.args[3] for call in cut.call_args_list], [0.5, 0.5])
        self.cuts(job, 422, document=in_hand(), seconds=1.1)

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
                "conduit,what,count,in hand,to get",
                "EMT (thin wall) 1/2,stick of 120,3,0,3",
                'EMT (thin wall) 1/2,"set-screw coupling, 1/2",1,0,1',
                'EMT (thin wall) 1/2,"strap with its screws, 1/2",5,0,5',
            ],
        )

    def test_materials_are_held_against_what_is_in_hand(self) -> None:
        job = self.job_of(straight("Feed", 200))
        strap, nut = "strap with its screws, 1/2", "lock nut, 3/4"
        things = [{"what": strap, "count": 2}, {"what": nut, "count": 6}]
        answer = self.cuts(job, document=in_hand(things=things))
        found = {each["what"]: each for each in answer["conduits"][0]["materials"]}
        # Three straps on 200 in of thin wall, of which two lie there.
        self.assertEqual(found[strap], {"what": strap, "count": 3, "in_hand": 2, "to_get": 1})
        self.assertEqual([(each["what"], each["in_hand"]) for each in answer["spare"]], [(nut, 6)])
        saved = {"document": in_hand(things=things), "base_version": 0}
        self.send("put", f"/api/jobs/{job.id}/stock", saved)
        table = self.client.get(f"/api/jobs/{job.id}/materials.csv").content.decode()
        self.assertIn(f'"{strap}",3,2,1', table)

    def test_offcuts_in_hand_are_used_first(self) -> None:
        job = self.job_of(straight("Drop", 38))
        hand = [{"type": "emt", "size": "1/2", "length": "39", "name": "by the door"}]
        (thin,) = self.cuts(job, document=in_hand(*hand))["conduits"]
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
        answer = self.cuts(job, 422, document=in_hand(other, wrong))
        self.assertEqual(answer["errors"][0]["path"], "offcuts[1].length")
        answer = self.cuts(job, 422, document=in_hand(kerf="-1"))
        self.assertEqual(answer["errors"][0]["path"], "kerf")
        # A stick of 120 of which nothing is left: it is the list that can't be made, at its field.
        answer = self.cuts(job, 422, document=in_hand(end="130"))
        self.assertEqual(answer["errors"][0]["path"], "end")
        self.assertEqual(self.cuts(job, 422, seconds=60)["code"], "unreadable")

    def test_a_large_job_is_worked_out_in_several_requests_and_each_run_once(self) -> None:
        job = self.job_of(*(straight(f"Drop {number}", 30 + number) for number in range(6)))
        with mock.patch("jobs.taken.PLANNING_S", -1):
            first = self.cuts(job)
            self.assertEqual((first["runs"], first["worked_out"], first["conduits"]), (6, 0, []))
            refused = self.client.get(f"/api/jobs/{job.id}/materials.csv")
            self.assertEqual((refused.status_code, refused.json()["code"]), (503, "still-working"))
        whole = self.cuts(job)
        self.assertEqual((whole["worked_out"], whole["conduits"][0]["cuts"]["sticks"]), (6, 2))
        with mock.patch("yarrow.taken_by_run", side_effect=AssertionError):
            self.assertEqual(self.cuts(job), whole)

    def test_a_thousand_pieces_of_one_conduit_have_a_list(self) -> None:
        racks = {"rack": {"count": 8, "side": "left", "spacing": 2}}
        job = self.job_of(*(straight(f"Bank {number}", 30, **racks) for number in range(60)))
        with mock.patch("jobs.taken.PLANNING_S", 60):
            (thin,) = self.cuts(job)["conduits"]
        # 480 pipes of 30 in, three to a stick of 120 beside their cuts.
        self.assertEqual(thin["cuts"]["sticks"], 160)

    def test_stock_is_kept_by_version_and_by_history(self) -> None:
        job = self.job_of(straight("Drop", 38))
        path = f"/api/jobs/{job.id}/stock"
        first = self.send("get", path).json()
        self.assertEqual((first["version"], first["document"]["units"]), (0, "in"))
        hand = in_hand({"type": "emt", "size": "1/2", "length": "39"})
        saved = self.send("put", path, {"document": hand, "base_version": 0})
        self.assertEqual((saved.status_code, saved.json()["version"]), (200, 1))
        # An answer that was lost on the way: what is sent again is saved once.
        again = self.send("put", path, {"document": hand, "base_version": 0})
        self.assertEqual((again.status_code, again.json()["version"]), (200, 1))
        late = self.send("put", path, {"document": in_hand(), "base_version": 0})
        self.assertEqual((late.status_code, late.json()["code"]), (409, "conflict"))
        self.assertIn("You saved this stock in another tab", late.json()["message"])
        self.send("put", path, {"document": in_hand(), "base_version": 1})
        versions = [each["version"] for each in self.send("get", f"{path}/revisions").json()]
        self.assertEqual(versions, [2, 1])
        back = self.send("post", f"{path}/revisions/1/restore", {"base_version": 2}).json()
        self.assertEqual((back["version"], back["document"]), (3, hand))
        wrong = self.send("put", path, {"document": {"format": "?"}, "base_version": 3})
        self.assertEqual(wrong.status_code, 422)

    def test_what_was_cut_leaves_its_offcuts(self) -> None:
        job = self.job_of(straight("Drop", 38), straight("Rise", 85))
        path = f"/api/jobs/{job.id}/stock"
        hand = in_hand({"type": "emt", "size": "1/2", "length": "39"})
        after = self.send("post", f"{path}/cut", {"document": hand, "base_version": 0}).json()
        # 38 out of the offcut, and 85 off a new stick.
        (left,) = after["document"]["offcuts"]
        self.assertEqual((left["name"], left["length"]), ("left of Rise", "34 15/16"))
        # Sent again, as its answer was lost on the way, it is not cut twice.
        again = self.send("post", f"{path}/cut", {"document": hand, "base_version": 0})
        self.assertEqual((again.status_code, again.json()), (200, after))
        # What is bent is cut no more.
        for run in job.runs.all():
            self.send("put", f"/api/runs/{run.id}/stage", {"stage": "bent"})
        cuts = self.cuts(job)
        self.assertEqual((cuts["conduits"], cuts["bent"]), ([], 2))

    def test_pieces_are_put_on_one_stick_by_hand(self) -> None:
        job = self.job_of(straight("A", 70), straight("B", 50), straight("C", 40))
        names = {"type": "emt", "size": "1/2", "names": ["A", "C"]}
        (thin,) = self.cuts(job, document=in_hand(together=[names]))["conduits"]
        self.assertIn(
            ["A", "C"], [[cut["name"] for cut in bar["cuts"]] for bar in thin["cuts"]["bars"]]
        )

    def test_stock_goes_along_in_the_job_s_file(self) -> None:
        job = self.job_of(straight("Drop", 38))
        hand = in_hand({"type": "emt", "size": "1/2", "length": "39"})
        self.send("put", f"/api/jobs/{job.id}/stock", {"document": hand, "base_version": 0})
        data = b"".join(self.client.get(f"/api/jobs/{job.id}/archive").streaming_content)
        answer = self.client.post("/api/jobs/archive", data, content_type="application/zip")
        self.assertEqual(answer.status_code, 201, answer.content)
        copied = self.send("get", f"/api/jobs/{answer.json()['id']}/stock").json()
        self.assertEqual((copied["version"], copied["document"]), (1, hand))

    def test_the_table_tells_what_is_in_hand(self) -> None:
        job = self.job_of(straight("Drop", 38))
        hand = in_hand({"type": "emt", "size": "1/2", "length": "39"})
        self.send("put", f"/api/jobs/{job.id}/stock", {"document": hand, "base_version": 0})
        table = self.client.get(f"/api/jobs/{job.id}/materials.csv").content.decode().splitlines()
        self.assertEqual(table[1], "EMT (thin wall) 1/2,stick of 120,0,0,0")
        self.assertEqual(table[2], "EMT (thin wall) 1/2,offcut of 39,1,1,0")
