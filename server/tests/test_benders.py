"""A crew's own benders, by their numbers or by test bends."""

from __future__ import annotations

from server.tests.people import BENDER, DOCUMENT, CrewTest, changed


class Benders(CrewTest):
    def test_a_test_90_is_worked_out_before_it_is_kept(self) -> None:
        numbers = self.send("post", "/api/bender", BENDER).json()
        self.assertAlmostEqual(numbers["radius"], 4.471, places=3)
        self.assertEqual((numbers["take_up_text"], numbers["gain_text"]), ("5", "2 5/8"))
        self.assertEqual(numbers["tested"]["tests"], 1)
        self.assertGreater(numbers["tested"]["radius_known_to"], 0.1)
        self.assertEqual(len(self.send("get", "/api/benders").json()), 1)

    def test_the_crew_sees_its_own_and_a_run_takes_one_as_it_is(self) -> None:
        (kept,) = self.send("get", "/api/benders").json()
        self.assertEqual((kept["name"], kept["updated_by"]), ("The old half-inch", "wren"))
        plan = self.send("post", "/api/plan", changed(bender=kept["document"]["bender"])).json()
        self.assertEqual(plan["bender"]["name"], "The old half-inch")
        by_id = self.send("post", "/api/plan", DOCUMENT).json()
        # The same numbers as the catalogue's: the same marks.
        self.assertEqual([m["text"] for m in plan["marks"]], [m["text"] for m in by_id["marks"]])

    def test_of_two_changes_the_second_is_told(self) -> None:
        path = f"/api/benders/{self.bender.id}"
        renamed = {**BENDER, "bender": {**BENDER["bender"], "name": "Half-inch, new shoe"}}
        first = self.send("put", path, {"document": renamed, "base_version": 1})
        self.assertEqual((first.status_code, first.json()["version"]), (200, 2))
        second = self.send("put", path, {"document": BENDER, "base_version": 1})
        self.assertEqual((second.status_code, second.json()["code"]), (409, "conflict"))
        self.assertIn("You saved this bender in another tab", second.json()["message"])

    def test_what_no_bender_made_is_refused_at_its_field(self) -> None:
        spoilt = {**BENDER["bender"]["tests"][0], "tail": "20"}
        body = {**BENDER, "bender": {**BENDER["bender"], "tests": [spoilt]}}
        answer = self.send("post", "/api/benders", body)
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.json()["errors"][0]["path"], "bender.tests[0]")
        for wrong in ({}, {**BENDER, "units": "ft"}, {**BENDER, "bender": {"kind": "hand"}}):
            self.assertEqual(self.send("post", "/api/benders", wrong).status_code, 422)

    def test_what_the_bench_measured_is_kept_once_with_the_day_and_who(self) -> None:
        path = f"/api/benders/{self.bender.id}/bends"
        bend = {"mark": "13.375 in", "stub": "18.5 in", "angle": 89, "of": "run 1, bend 1"}
        first = self.send("post", path, {"bends": [bend]}).json()
        self.assertEqual(first["version"], 2)
        kept = first["document"]["bender"]["tests"][-1]
        self.assertEqual((kept["who"], kept["stub"]), ("wren", "18.5 in"))
        self.assertRegex(kept["when"], r"^\d{4}-\d\d-\d\d$")
        self.assertEqual(self.send("post", path, {"bends": [bend]}).json()["version"], 2)
        read_again = {**bend, "stub": "18.625 in"}
        again = self.send("post", path, {"bends": [read_again]}).json()
        self.assertEqual(again["version"], 3)
        self.assertEqual(len(again["document"]["bender"]["tests"]), 2)
        carried = again["carried"]["millimetres"]
        self.assertEqual((carried["learnt"]["bends"], carried["kept"]), (2, str(self.bender.id)))
        self.assertGreater(carried["known_to"]["radius"], 0)

    def test_what_cannot_be_learnt_changes_nothing(self) -> None:
        path = f"/api/benders/{self.bender.id}/bends"
        for wrong in ({"stub": "long"}, {"angle": 400}):
            answer = self.send("post", path, {"bends": [wrong]})
            self.assertEqual(answer.status_code, 422, wrong)
        self.assertEqual(self.send("post", path, {"bends": []}).status_code, 422)
        self.assertEqual(self.send("get", "/api/benders").json()[0]["version"], 1)

    def test_a_reading_that_cannot_be_is_kept_and_counts_for_nothing(self) -> None:
        before = self.send("get", "/api/benders").json()[0]["numbers"]
        path = f"/api/benders/{self.bender.id}/bends"
        answer = self.send("post", path, {"bends": [{"mark": 13, "stub": 9}]})
        self.assertEqual(answer.status_code, 200)
        now = answer.json()["numbers"]
        self.assertEqual(now["take_up"], before["take_up"])
        self.assertEqual(now["tested"]["bends"][-1]["impossible"], "stub-under-mark")

    def test_another_crew_s_bender_learns_nothing(self) -> None:
        path = f"/api/benders/{self.bender.id}/bends"
        theirs = self.signed_in_as(self.tern)
        answer = self.send("post", path, {"bends": [{"mark": 13, "stub": 18}]}, client=theirs)
        self.assertEqual(answer.status_code, 404)
