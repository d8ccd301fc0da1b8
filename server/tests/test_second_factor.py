"""A code beside the password."""

from __future__ import annotations

from base64 import b32decode
from typing import Any

from django.test import Client
from django_otp.oath import totp
from django_otp.plugins.otp_totp.models import TOTPDevice

from accounts.links import new_password_link
from server.tests.people import PASSWORD, CrewTest

FRESH = "sedge-warbler-9"
STEP_S = 30


class SecondFactor(CrewTest):
    secret: bytes
    paper: list[str]

    def code(self, steps: int = 0) -> str:
        """What the phone shows, so many half minutes from now."""
        return f"{totp(self.secret, t0=-steps * STEP_S):06}"

    def turned_on(self) -> None:
        at = "/api/session/second-factor"
        begun = self.send("post", at, {"password": PASSWORD}).json()
        self.secret = b32decode(begun["secret"])
        self.assertTrue(begun["picture"].startswith("<?xml"))
        self.assertFalse(self.client.get(at).json()["on"])
        self.paper = self.send("put", at, {"code": self.code()}).json()["codes"]
        # A code is good once, and the one of this half minute was used.
        TOTPDevice.objects.update(last_t=-1)

    def signs_in(self, code: str | None = None) -> Any:
        body = {"username": "wren", "password": PASSWORD}
        return self.send("post", "/api/session", body | ({"code": code} if code else {}), Client())

    def told(self, answer: Any) -> tuple[int, str]:
        return answer.status_code, answer.json().get("code", "")

    def test_a_password_alone_lets_nobody_in_any_more(self) -> None:
        self.turned_on()
        self.assertEqual(self.told(self.signs_in()), (403, "second-factor"))
        self.assertEqual(self.signs_in(self.code()).status_code, 200)

    def test_a_code_is_good_once_and_one_of_minutes_ago_is_not(self) -> None:
        self.turned_on()
        old = self.code(-10)
        self.assertEqual(self.told(self.signs_in(old)), (403, "second-factor-wrong"))
        TOTPDevice.objects.update(throttling_failure_count=0)
        shown = self.code()
        self.assertEqual(self.signs_in(f"{shown[:3]} {shown[3:]}").status_code, 200)
        self.assertEqual(self.told(self.signs_in(shown)), (403, "second-factor-wrong"))

    def test_wrong_codes_make_it_wait_also_for_the_right_one(self) -> None:
        self.turned_on()
        wrong = f"{(int(self.code()) + 1) % 1_000_000:06}"
        self.signs_in(wrong)
        self.assertEqual(self.told(self.signs_in(self.code())), (403, "second-factor-wait"))
        did = [entry["did"] for entry in self.client.get("/api/crew/record").json()]
        self.assertEqual(did[:2], ["second_factor_refused"] * 2)

    def test_a_code_on_paper_is_good_once(self) -> None:
        self.turned_on()
        self.assertEqual(len(set(self.paper)), 10)
        self.assertEqual(self.signs_in(self.paper[0].upper()).status_code, 200)
        self.assertEqual(self.told(self.signs_in(self.paper[0])), (403, "second-factor-wrong"))
        state = self.client.get("/api/session/second-factor").json()
        self.assertEqual((state["on"], state["recovery_codes_left"]), (True, 9))

    def test_it_begins_and_ends_by_the_password_and_counts_once_a_code_was_typed(self) -> None:
        at = "/api/session/second-factor"
        for method in ("post", "delete"):
            refused = self.send(method, at, {"password": "wrong"})
            self.assertEqual(refused.json()["errors"][0]["path"], "password")
        self.send("post", at, {"password": PASSWORD})
        self.assertEqual(self.told(self.send("put", at, {"code": "000000"}))[0], 403)
        self.assertEqual(self.signs_in().status_code, 200)
        self.turned_on()
        self.send("delete", at, {"password": PASSWORD})
        off = {"on": False, "shows_codes": False, "passkeys": [], "recovery_codes_left": 0}
        self.assertEqual(self.client.get(at).json(), off)
        self.assertEqual(self.signs_in().status_code, 200)

    def test_a_link_to_a_new_password_does_not_pass_by_it(self) -> None:
        self.turned_on()
        _, key = new_password_link(self.wren, None)
        body = {"key": key, "password": FRESH}
        refused = self.send("post", "/api/link/password", body, Client())
        self.assertEqual(self.told(refused), (403, "second-factor"))
        body["code"] = self.code()
        self.assertEqual(self.send("post", "/api/link/password", body, Client()).status_code, 200)

    def test_a_lead_takes_it_off_whoever_lost_phone_and_paper(self) -> None:
        self.turned_on()
        self.rook.role = "lead"
        self.rook.save()
        rook, tern = self.signed_in_as(self.rook), self.signed_in_as(self.tern)
        at = f"/api/crew/members/{self.wren.pk}/second-factor"
        self.assertEqual(self.send("delete", at, None, tern).status_code, 404)
        self.assertEqual(self.signs_in().status_code, 403)
        self.assertEqual(self.send("delete", at, None, rook).status_code, 200)
        self.assertEqual(self.signs_in().status_code, 200)
