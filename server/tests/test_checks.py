"""Checks over the API, schedules with their progress, a job's wire out and in, and on paper."""

from __future__ import annotations

import csv
import io
import json
from typing import Any

import yarrow
from exports.page import PAPERS, Heading
from exports.sheet import compose_sheet
from exports.wires_sheet import compose_wires_sheet
from jobs.demo import JOBS
from jobs.models import Run
from server.tests.people import CrewTest, changed
from server.tests.test_racks_and_pictures import taken, words
from server.tests.test_walls import FILL

HEAD = "name,type,size,wires"
HEADING = Heading("Mill", "Run", "version 1")


class Checks(CrewTest):
    def test_the_answer_is_the_core_s_own(self) -> None:
        answer = self.send("post", "/api/fill", FILL).json()
        self.assertEqual((answer["passes"], answer["most"], answer["smallest"]), (True, [9], "1/2"))
        self.assertEqual(answer["rule"]["edition"], "2023")

    def test_what_does_not_go_in_is_an_answer_and_what_can_t_be_read_is_none(self) -> None:
        full = {**FILL, "conductors": [{"count": 10, "insulation": "thhn", "size": "12"}]}
        self.assertFalse(self.send("post", "/api/fill", full).json()["passes"])
        for path, conductor in (
            ("conductors[0].size", {"count": 1, "insulation": "thhn", "size": "13"}),
            ("conductors[0].count", {"count": 1_000_000, "insulation": "thhn", "size": "12"}),
            ("conductors[0].diameter", {"count": 1, "diameter": -2}),
        ):
            answer = self.send("post", "/api/fill", {**FILL, "conductors": [conductor]})
            self.assertEqual(answer.status_code, 422)
            self.assertEqual(answer.json()["errors"][0]["path"], path)

    def test_a_plan_carries_its_wires(self) -> None:
        wires = {"circuits": [{"kind": "lighting", "count": 3, "insulation": "thhn", "size": "12"}]}
        plan = self.send("post", "/api/plan", changed(wires=wires)).json()
        self.assertEqual(plan["wires"]["fill"]["count"], 7)
        self.assertEqual(plan["wires"]["bends"], 2)

    def test_wire_as_it_is_said(self) -> None:
        said = self.send("post", "/api/wires", {"text": "6 x 2.5", "units": "mm"}).json()
        self.assertEqual(said["conductors"], [{"count": 6, "csa": 2.5, "build": "stranded"}])
        wrong = self.send("post", "/api/wires", {"text": "six", "units": "mm"})
        self.assertEqual((wrong.status_code, wrong.json()["errors"][0]["path"]), (422, "text"))


class Schedules(CrewTest):
    def checked(self, data: bytes, units: str = "in") -> list[dict[str, Any]]:
        answer = self.send("post", f"/api/schedule?units={units}", data)
        self.assertEqual(answer.status_code, 200)
        body = b"".join(answer.streaming_content)  # type: ignore[attr-defined]
        return [json.loads(line) for line in body.splitlines()]

    def test_progress_and_then_every_row(self) -> None:
        table = "\n".join([HEAD, *[f"run {n},emt,1/2,{n % 12 + 1} x 12" for n in range(120)]])
        *told, last = self.checked(table.encode())
        self.assertEqual(told, [{"done": 50, "of": 120}, {"done": 100, "of": 120}])
        self.assertEqual(len(last["rows"]), 120)
        # One to nine go in, ten to twelve do not.
        self.assertEqual(sum(row["passes"] for row in last["rows"]), 90)
        out = list(csv.DictReader(io.StringIO(last["csv"])))
        self.assertEqual((out[9]["passes"], out[9]["smallest"]), ("no", "3/4"))

    def test_nothing_is_answered_where_a_row_can_t_be_read(self) -> None:
        (last,) = self.checked(f"{HEAD}\na,emt,1/2,9 x 12\nb,emt,5/8,9 x 12".encode())
        self.assertEqual(last["problem"]["errors"][0]["path"], "line 3, column 3 (size)")
        self.assertNotIn("rows", last)

    def test_a_job_s_wire_goes_out_and_comes_in_again(self) -> None:
        path = f"/api/jobs/{self.job.id}/schedule"
        rows = f"{HEAD}\nPRESS HALL FEED ,emt,1/2,9 x 12; 1 x 12 bare"
        named = self.send("post", path, rows.encode())
        self.assertEqual(named.json(), {"runs": 1})
        run = Run.objects.get(id=self.run_.id)
        self.assertEqual((run.version, run.document["wires"]["conductors"][0]["count"]), (2, 9))
        self.assertEqual(run.worst_finding, "warning")
        table = self.send("get", f"/api/jobs/{self.job.id}/schedule.csv").getvalue()
        (row,) = csv.DictReader(io.StringIO(table.decode()))
        self.assertEqual((row["wires"], row["bends"]), ("9 x 12 thhn; 1 x 12 bare", "2"))
        self.assertEqual(self.send("post", path, table).status_code, 200)

    def test_none_of_a_schedule_is_taken_where_one_row_names_no_run(self) -> None:
        rows = f"{HEAD}\nPress hall feed,emt,1/2,3 x 12\nNowhere,emt,1/2,3 x 12"
        answer = self.send("post", f"/api/jobs/{self.job.id}/schedule", rows.encode())
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "line 3, column 1 (name)")
        self.assertEqual(Run.objects.get(id=self.run_.id).version, 1)
        self.assertEqual(self.run_.revisions.count(), 1)

    def test_two_runs_of_a_name_are_not_guessed_between(self) -> None:
        self.send("post", f"/api/jobs/{self.job.id}/runs", changed())
        rows = f"{HEAD}\nPress hall feed,emt,1/2,3 x 12".encode()
        answer = self.send("post", f"/api/jobs/{self.job.id}/schedule", rows)
        self.assertIn("one run", answer.json()["errors"][0]["expected"])

    def test_a_formula_never_leaves_in_a_cell(self) -> None:
        self.send("post", f"/api/jobs/{self.job.id}/runs", changed(name="=1+1"))
        table = self.send("get", f"/api/jobs/{self.job.id}/schedule.csv").getvalue().decode()
        self.assertIn("'=1+1", table)


class Rules(CrewTest):
    STEEL = changed(units="mm", conduit={"type": "steel", "size": "20"}, bender="bench-steel-20")

    def test_a_job_is_by_the_rules_usual_with_its_units_until_others_are_said(self) -> None:
        for units, rules in (("in", "us"), ("mm", "uk")):
            made = self.send("post", "/api/jobs", {"name": "New", "units": units}).json()
            self.assertEqual(made["rules"], rules)
        said = {"name": "New", "units": "mm", "rules": "us"}
        job = self.send("post", "/api/jobs", said).json()
        self.assertEqual(job["rules"], "us")
        path = f"/api/jobs/{job['id']}"
        kept = self.send("put", path, {"name": "Renamed"}).json()
        self.assertEqual((kept["name"], kept["rules"]), ("Renamed", "us"))
        other = self.send("put", path, {"name": "Renamed", "rules": "uk"}).json()
        self.assertEqual(other["rules"], "uk")
        self.assertEqual(self.send("put", path, {"name": "x", "rules": "fr"}).status_code, 422)

    def test_a_schedule_is_taken_by_the_job_s_rules(self) -> None:
        for rules, method in (("us", "area"), ("uk", "factor")):
            said = {"name": "Pump house", "units": "mm", "rules": rules}
            job = self.send("post", "/api/jobs", said).json()["id"]
            run = self.send("post", f"/api/jobs/{job}/runs", self.STEEL).json()
            self.assertEqual(run["job_rules"], rules)
            rows = b"name,type,size,length,wires\nPress hall feed,steel,20,3000,3 x 2.5"
            self.assertEqual(self.send("post", f"/api/jobs/{job}/schedule", rows).status_code, 200)
            document = self.send("get", f"/api/runs/{run['id']}").json()["document"]
            plan = self.send("post", "/api/plan", document).json()
            self.assertEqual(plan["wires"]["fill"]["method"], method)

    def test_the_rules_go_out_with_the_job_and_come_in_again(self) -> None:
        self.send("put", f"/api/jobs/{self.job.id}", {"name": "Mill", "rules": "uk"})
        data = self.send("get", f"/api/jobs/{self.job.id}/archive").getvalue()
        self.assertEqual(self.send("post", "/api/jobs/archive", data).json()["rules"], "uk")


class OnPaper(CrewTest):
    def test_every_demo_run_with_wire_has_its_own_sheet_and_a_line_on_the_run_s(self) -> None:
        wired = [
            run for crew in JOBS.values() for job in crew for run in job["runs"] if "wires" in run
        ]
        self.assertGreater(len(wired), 8)
        for document in wired:
            plan = yarrow.plan.values(document)
            assert plan.wires is not None
            assert plan.wires.fill is not None
            share = f"{plan.wires.fill.share:.0%}"
            for paper, (width, height) in PAPERS.items():
                with self.subTest(run=document["name"], paper=paper):
                    sheet = compose_wires_sheet(plan, HEADING, (width, height))
                    said = words(sheet)
                    self.assertIn(share, said)
                    self.assertIn("It goes in" if plan.wires.fits else "It does not go in", said)
                    self.assertIn("does not cover ampacity", said)
                    self.assertIn("local code and the inspector decide", said)
                    for part in plan.wires.fill.conductors:
                        self.assertIn(f"{part.count} × {part.name}", said)
                    own = words(compose_sheet(plan, taken(document), HEADING, (width, height)))
                    self.assertIn("Wires:", own)

    def test_a_run_without_wire_says_so(self) -> None:
        plan = yarrow.plan.values(changed())
        sheet = compose_wires_sheet(plan, HEADING, PAPERS["a4"])
        self.assertIn("Nothing is told", words(sheet))
        path = f"/api/runs/{self.run_.id}/sheet.pdf?of=wires"
        self.assertEqual(self.send("get", path).content[:5], b"%PDF-")
