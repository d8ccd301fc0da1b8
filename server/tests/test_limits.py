"""Whoever asks for too much has to wait, and nobody else has."""

from __future__ import annotations

from django.core.cache import cache
from django.core.handlers.wsgi import WSGIRequest
from django.test import Client
from django.utils import timezone

from accounts.models import Member, Tries
from accounts.tries import one_more
from api.limits import CHECKS, FILES, SIGN_INS, AtMost, AtMostInLots
from server.tests.people import DOCUMENT, PASSWORD, CrewTest


class Limits(CrewTest):
    def used_up(self, limit: AtMost, who: str) -> None:
        one_more(f"{limit.what} {who}", limit.seconds, limit.times)

    def plan(self, client: Client) -> int:
        answer = client.post("/api/plan", DOCUMENT, content_type="application/json")
        return int(answer.status_code)

    def request_of(self, member: Member) -> WSGIRequest:
        request: WSGIRequest = self.client.get("/api/nothing").wsgi_request
        request.user = member
        return request

    def test_what_every_key_asks_for_is_told_to_the_others_a_lot_at_a_time(self) -> None:
        limit = AtMostInLots("keys", 6, lot=3)
        mine = self.request_of(self.wren)
        self.assertEqual([limit.allow_request(mine) for _ in range(6)], [True] * 6)
        self.assertEqual(Tries.objects.get().count, 6)
        one_more(f"keys member-{self.wren.pk}", 60, 3)  # of another process
        self.assertEqual([limit.allow_request(mine) for _ in range(4)], [True, True, False, False])
        self.assertTrue(limit.allow_request(self.request_of(self.rook)))

    def test_what_was_too_many_is_asked_about_again_soon_and_counted_anew_after_its_time(
        self,
    ) -> None:
        limit = AtMostInLots("keys", 1, lot=2)
        mine = self.request_of(self.wren)
        self.assertEqual([limit.allow_request(mine) for _ in range(3)], [True, False, False])
        Tries.objects.update(ends_at=timezone.now())
        cache.clear()  # a moment later
        self.assertTrue(limit.allow_request(mine))

    def test_a_door_is_counted_for_all_machines_and_forgotten_after_its_time(self) -> None:
        limit = AtMost("doors", 3)
        request = self.request_of(self.wren)
        allowed = []
        for _ in range(5):
            cache.clear()  # what one machine remembers by itself
            allowed.append(limit.allow_request(request))
        self.assertEqual(allowed, [True] * 3 + [False] * 2)
        request.user = self.rook
        self.assertTrue(limit.allow_request(request))
        Tries.objects.update(ends_at=timezone.now())
        request.user = self.wren
        self.assertEqual([limit.allow_request(request) for _ in range(4)], [True] * 3 + [False])

    def test_what_is_forgotten_is_put_away_as_somebody_signs_in(self) -> None:
        one_more("old", 0)
        one_more("new", 60)
        body = {"username": "wren", "password": PASSWORD}
        self.send("post", "/api/session", body, Client())
        self.assertEqual(
            sorted(Tries.objects.values_list("what", flat=True)), ["new", "sign-ins 127.0.0.1"]
        )

    def test_checks_of_one_member_hold_up_no_other(self) -> None:
        self.used_up(CHECKS, f"member-{self.wren.pk}")
        for _ in range(CHECKS.lot - 1):
            self.assertEqual(self.plan(self.client), 200)
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
        for _ in range(SIGN_INS.times):
            one_more(f"{SIGN_INS.what} 127.0.0.1", SIGN_INS.seconds)
        answer = self.client.post(
            "/api/session",
            {"username": "wren", "password": "wrong"},
            content_type="application/json",
            headers={"X-Forwarded-For": "10.0.0.9"},
        )
        self.assertEqual(answer.status_code, 429)
