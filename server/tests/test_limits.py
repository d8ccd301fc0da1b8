"""Whoever asks for too much has to wait, and nobody else has."""

from __future__ import annotations

from django.core.cache import cache
from django.test import Client

from api.limits import CHECKS, FILES, SIGN_INS, AtMost
from server.tests.people import DOCUMENT, CrewTest


class Limits(CrewTest):
    def used_up(self, limit: AtMost, who: str) -> None:
        cache.set(f"at-most-{limit.what}-{who}", limit.times, limit.seconds)

    def plan(self, client: Client) -> int:
        answer = client.post("/api/plan", DOCUMENT, content_type="application/json")
        return int(answer.status_code)

    def test_the_last_of_so_many_is_answered_and_the_next_is_told_to_wait(self) -> None:
        limit = AtMost("trials", 3)
        request = self.client.get("/api/nothing").wsgi_request
        request.user = self.wren
        self.assertEqual([limit.allow_request(request) for _ in range(5)], [True] * 3 + [False] * 2)

    def test_checks_of_one_member_hold_up_no_other(self) -> None:
        self.used_up(CHECKS, f"member-{self.wren.pk}")
        answer = self.send("post", "/api/plan", DOCUMENT)
        self.assertEqual((answer.status_code, answer.json()["code"]), (429, "throttled"))
        self.assertIn("Wait 60 seconds", answer.json()["message"])
        self.assertEqual(self.plan(self.signed_in_as(self.rook)), 200)

    def test_files_in_and_out_have_a_limit_of_their_own(self) -> None:
        self.used_up(FILES, f"member-{self.wren.pk}")
        job = f"/api/jobs/{self.job.id}"
        for method, path in (
            *(("post", "/api/jobs/archive"), ("post", "/api/jobs/archive/progress")),
            *(("get", f"{job}/archive"), ("get", f"{job}/schedule.csv")),
            *(("post", f"{job}/schedule"), ("post", "/api/schedule")),
        ):
            with self.subTest(path=path):
                self.assertEqual(getattr(self.client, method)(path).status_code, 429)
        drawing = {"dxf": "0\nEOF\n", "units": "in", "into": "in"}
        self.assertEqual(self.send("post", "/api/dxf", drawing).status_code, 429)
        self.assertEqual(self.plan(self.client), 200)

    def test_an_address_that_is_only_claimed_counts_for_nothing(self) -> None:
        self.client.logout()
        self.used_up(SIGN_INS, "127.0.0.1")
        answer = self.client.post(
            "/api/session",
            {"username": "wren", "password": "wrong"},
            content_type="application/json",
            headers={"X-Forwarded-For": "10.0.0.9"},
        )
        self.assertEqual(answer.status_code, 429)
