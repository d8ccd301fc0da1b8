"""What each role may do: every operation of the API, tried as each of them."""

from __future__ import annotations

from typing import Any

from accounts.models import Member
from accounts.roles import CrewRole
from server.tests.people import DOCUMENT, PASSWORD, CrewTest
from server.tests.test_walls import FOR_ANY_MEMBER, FOR_THE_CREW, FOR_THE_LEAD

OF_ONESELF = {
    ("put", "/api/session/password"),
    ("delete", "/api/session"),
    ("delete", "/api/sessions"),
    ("delete", "/api/sessions/{name}"),
    ("post", "/api/session/second-factor"),
    ("put", "/api/session/second-factor"),
    ("delete", "/api/session/second-factor"),
    ("post", "/api/session/passkeys"),
    ("put", "/api/session/passkeys"),
    ("delete", "/api/session/passkeys/{passkey_id}"),
}
WORKED_OUT = {
    ("post", f"/api/{name}")
    for name in (
        *("plan", "recalibrated", "bench", "bench/fit", "rack", "pieces", "plan-in-pieces", "work"),
        *("wall", "site", "site/dxf", "site/geojson", "handle", "convert", "dxf", "fill", "box"),
        *("pullbox", "entries", "wires", "schedule?units=in", "fold", "line", "quick", "bender"),
        *("jobs/{job_id}/cuts", "jobs/{job_id}/box/check"),
        *("jobs/{job_id}/work", "work/{work_id}/stop"),
    )
}
"""What is asked with a body, and kept nowhere."""

AT_THE_BENDER = {
    ("put", "/api/runs/{run_id}"),
    ("put", "/api/sites/{site_id}"),
    ("put", "/api/runs/{run_id}/stage"),
    ("put", "/api/runs/{run_id}/bench/{piece}"),
    ("post", "/api/runs/{run_id}/bench/{piece}/revisions/{version}/restore"),
    ("post", "/api/benders/{bender_id}/bends"),
    ("post", "/api/jobs/{job_id}/stock/cut"),
    ("post", "/api/gauge/pairing"),
}
"""What whoever bends may do: of runs and ducts, only what is ticked in them."""


def may(role: CrewRole, method: str, path: str) -> bool:
    """What the crew was promised of a role."""
    if role is CrewRole.LEAD:
        return True
    if (method, path) in FOR_THE_LEAD:
        return False
    row = (method, path)
    if role is CrewRole.PLANNER or method == "get" or row in OF_ONESELF | WORKED_OUT:
        return True
    return role is CrewRole.BENDER and row in AT_THE_BENDER


class Roles(CrewTest):
    def as_role(self, role: CrewRole) -> Any:
        member = Member.objects.create_user(
            f"one-{role.value}", password=PASSWORD, crew=self.wren.crew, role=role
        )
        return self.signed_in_as(member)

    def test_every_operation_is_refused_to_the_roles_that_do_not_do_it_and_to_no_other(
        self,
    ) -> None:
        # Nothing is there by these numbers: who gets past the wall is told that, or that the body
        # can't be read.
        nowhere = dict.fromkeys(
            (
                "job_id",
                "run_id",
                "bender_id",
                "wall_id",
                "site_id",
                "link_id",
                "member_id",
                "work_id",
                "passkey_id",
            ),
            10**9,
        )
        more = {"version": 1, "piece": 0, "key": "x", "name": "0" * 16}
        rows = {**FOR_ANY_MEMBER, **FOR_THE_CREW, **FOR_THE_LEAD}
        for role in CrewRole:
            client = self.as_role(role)
            for method, path in rows:
                with self.subTest(role=role.value, method=method, path=path):
                    answer = self.send(method, path.format(**nowhere, **more), "{", client)
                    refused = answer.status_code == 403
                    if refused:
                        code = answer.json()["code"]
                        refused = code == "not-for-role"
                    self.assertEqual(refused, not may(role, method, path))
                if (method, path) in OF_ONESELF:  # which may have ended the session
                    client.force_login(Member.objects.get(username=f"one-{role.value}"))

    def test_whoever_bends_ticks_what_is_done_and_changes_no_plan(self) -> None:
        bender = self.as_role(CrewRole.BENDER)
        run = f"/api/runs/{self.run_.id}"
        ticked = {**DOCUMENT, "done": ["cut-1"]}
        saved = self.send("put", run, {"document": ticked, "base_version": 1}, bender)
        self.assertEqual(saved.status_code, 200)
        renamed = {**ticked, "name": "Mine"}
        refused = self.send("put", run, {"document": renamed, "base_version": 2}, bender)
        self.assertEqual((refused.status_code, refused.json()["code"]), (403, "not-for-role"))
        self.assertIn("planner", refused.json()["message"])
        self.run_.refresh_from_db()
        self.assertEqual((self.run_.version, self.run_.document["done"]), (2, ["cut-1"]))

    def test_an_inspector_does_not_even_tick(self) -> None:
        inspector = self.as_role(CrewRole.INSPECTOR)
        body = {"document": {**DOCUMENT, "done": ["cut-1"]}, "base_version": 1}
        refused = self.send("put", f"/api/runs/{self.run_.id}", body, inspector)
        self.assertEqual(refused.json()["code"], "not-for-role")
        self.assertIn("an inspector", refused.json()["message"])
