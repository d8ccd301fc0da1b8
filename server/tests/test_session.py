"""Signing in and out, throttling, passwords, cookies and headers."""

from __future__ import annotations

from django.contrib.auth.hashers import identify_hasher
from django.test import Client, override_settings

from accounts.models import Member
from server.tests.people import PASSWORD, CrewTest


class Session(CrewTest):
    def sign_in(self, client: Client, password: str, name: str = "wren") -> object:
        body = {"username": name, "password": password}
        return self.send("post", "/api/session", body, client)

    def test_in_and_out(self) -> None:
        client = Client()
        self.assertIsNone(client.get("/api/session").json()["member"])
        answer = self.sign_in(client, PASSWORD)
        self.assertEqual(answer.json()["member"]["crew"], "Heron")
        self.assertEqual(client.get("/api/jobs").status_code, 200)
        self.assertIsNone(client.delete("/api/session").json()["member"])
        self.assertEqual(client.get("/api/jobs").status_code, 401)

    def test_who_was_put_out_is_so_at_once_in_a_session_that_was_open(self) -> None:
        client = Client()
        self.sign_in(client, PASSWORD)
        self.assertEqual(client.get("/api/jobs").status_code, 200)
        Member.objects.filter(pk=self.wren.pk).update(is_active=False)
        self.assertEqual(client.get("/api/jobs").status_code, 401)
        self.assertIsNone(client.get("/api/session").json()["member"])

    def test_what_was_under_way_while_they_signed_in_again_leaves_their_new_cookie(self) -> None:
        client = Client()
        self.sign_in(client, PASSWORD)
        late = Client()
        late.cookies["sessionid"] = client.cookies["sessionid"].value
        client.delete("/api/session")
        self.assertEqual(client.cookies["sessionid"].value, "")
        answer = late.get("/api/jobs")
        self.assertEqual((answer.status_code, list(answer.cookies)), (401, []))
        answer = late.get("/api/session")
        self.assertIsNone(answer.json()["member"])
        self.assertNotIn("sessionid", answer.cookies)

    def test_cookies_are_out_of_reach_of_scripts_and_other_sites(self) -> None:
        client = Client()
        self.sign_in(client, PASSWORD)
        for name in ("sessionid", "csrftoken"):
            self.assertTrue(client.cookies[name]["httponly"], name)
            self.assertEqual(client.cookies[name]["samesite"], "Lax", name)

    def test_the_door_closes_after_five_wrong_passwords(self) -> None:
        client = Client()
        for _ in range(4):
            self.assertEqual(self.sign_in(client, "wrong").status_code, 403)
        self.assertEqual(self.sign_in(client, "wrong").status_code, 429)
        closed = self.sign_in(client, PASSWORD)
        self.assertEqual((closed.status_code, closed.json()["code"]), (429, "throttled"))
        self.assertEqual(self.sign_in(client, PASSWORD, "rook").status_code, 200)

    def test_passwords_are_kept_by_argon2(self) -> None:
        self.assertEqual(identify_hasher(self.wren.password).algorithm, "argon2")

    def test_changing_the_password(self) -> None:
        def change(current: str, new: str) -> object:
            return self.send("put", "/api/session/password", {"current": current, "new": new})

        wrong = change("wrong", "sedge-warbler-9")
        self.assertEqual((wrong.status_code, wrong.json()["errors"][0]["path"]), (422, "current"))
        weak = change(PASSWORD, "12345")
        self.assertEqual((weak.status_code, weak.json()["errors"][0]["path"]), (422, "new"))
        self.assertEqual(change(PASSWORD, "sedge-warbler-9").status_code, 200)
        self.assertEqual(self.client.get("/api/jobs").status_code, 200)
        self.assertEqual(self.sign_in(Client(), "sedge-warbler-9").status_code, 200)

    def test_the_page_s_policy_lets_in_nothing_from_elsewhere(self) -> None:
        policy = self.client.get("/")["Content-Security-Policy"]
        self.assertIn("default-src 'none'", policy)
        self.assertIn("script-src 'self' 'wasm-unsafe-eval'", policy)
        self.assertEqual(policy.count("unsafe"), 1)
        self.assertNotIn("http", policy)
        sheet = self.client.get(f"/api/runs/{self.run_.id}/sheet.svg")
        self.assertIn("Content-Security-Policy", sheet)
        self.assertNotIn("Content-Security-Policy", self.client.get("/api/session"))

    @override_settings(LARGEST_BODY=1_000_000)
    def test_a_body_over_a_megabyte_is_refused(self) -> None:
        answer = self.send("post", "/api/plan", '{"name": "' + "x" * 1_000_000 + '"}')
        self.assertEqual((answer.status_code, answer.json()["code"]), (413, "too-large"))
