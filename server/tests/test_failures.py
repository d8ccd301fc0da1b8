"""Failures of ours are told as that, with a number that the log has; nothing else is a 500."""

from __future__ import annotations

import json
from unittest import mock

from django.conf import settings
from pythonjsonlogger.json import JsonFormatter

from server.tests.people import BENDER, DOCUMENT, PASSWORD, CrewTest, changed

_DATA = settings.LOGGING["formatters"]["data"]
LOGGED = JsonFormatter(_DATA["format"], rename_fields=_DATA["rename_fields"])


class Failures(CrewTest):
    def test_a_failure_is_a_problem_with_a_number_and_the_log_has_it(self) -> None:
        with (
            mock.patch("yarrow.door.runs.plan", side_effect=ZeroDivisionError("boom")),
            self.assertLogs("yarrow.failures", "ERROR") as log,
        ):
            answer = self.send("post", "/api/plan", DOCUMENT)
        problem = answer.json()
        self.assertEqual((answer.status_code, problem["code"]), (500, "failed"))
        number = answer["X-Request-Number"]
        self.assertIn(number, problem["message"])
        self.assertIn("what you typed is kept", problem["message"])
        self.assertIn(number, log.output[0])
        self.assertIn("boom", log.output[0])
        written = json.loads(LOGGED.format(log.records[0]))
        self.assertEqual((written["number"], written["path"]), (number, "/api/plan"))
        self.assertEqual((written["level"], written["of"]), ("ERROR", "yarrow.failures"))

    def test_outside_of_the_api_it_is_plain_text_and_numbered_too(self) -> None:
        with (
            mock.patch("config.page.render", side_effect=RuntimeError("boom")),
            self.assertLogs("yarrow.failures", "ERROR"),
        ):
            answer = self.client.get("/jobs/1")
        self.assertEqual(answer.status_code, 500)
        self.assertTrue(answer["Content-Type"].startswith("text/plain"))
        self.assertIn(answer["X-Request-Number"], answer.content.decode())


class Names(CrewTest):
    def test_control_and_direction_characters_are_refused_in_words(self) -> None:
        for letter in ("\x00", "\x1b", "\u202e", "\u2066", "\u200f", "\u2028"):
            with self.subTest(hex(ord(letter))):
                job = self.send("post", "/api/jobs", {"name": f"a{letter}b", "units": "in"})
                self.assertEqual(job.status_code, 422)
                run = self.send("post", "/api/plan", changed(name=f"a{letter}b"))
                self.assertEqual(run.json()["errors"][0]["path"], "name")
                self.assertIn("control codes", run.json()["message"])
                signed = self.send("post", "/api/session", {"username": letter, "password": "x"})
                self.assertEqual(signed.status_code, 422)
                own = {**BENDER, "bender": {**BENDER["bender"], "name": letter}}
                self.assertEqual(self.send("post", "/api/benders", own).status_code, 422)
        fine = changed(name="Presse à cidre, ligne № 2 — 配管")
        self.assertEqual(self.send("post", "/api/plan", fine).status_code, 200)

    def test_a_number_in_an_address_is_digits_alone(self) -> None:
        for number in ("1_0", "+1", "１", "1.0", " 1", "0x1"):
            self.assertIn(self.client.get(f"/api/runs/{number}").status_code, (404, 422), number)
        run = str(self.run_.id)
        spaced = f"{run[0]}_{run[1:]}" if len(run) > 1 else f"0_{run}"
        self.assertEqual(self.client.get(f"/api/runs/{spaced}").status_code, 422)


class Passwords(CrewTest):
    def change(self, current: str, new: str) -> int:
        body = {"current": current, "new": new}
        return int(self.send("put", "/api/session/password", body).status_code)

    def test_no_password_is_one_s_name(self) -> None:
        self.wren.first_name, self.wren.last_name = "Wren", "Hallow-Tansley"
        self.wren.save()
        for name in ("wren", "Wren Hallow-Tansley", "WREN HALLOW-TANSLEY "):
            self.assertEqual(self.change(PASSWORD, name), 422)

    def test_trying_passwords_by_changing_them_is_slowed(self) -> None:
        tries = [self.change(f"guess {n}", "sedge-warbler-9") for n in range(9)]
        self.assertIn(429, tries)
        self.assertEqual(tries[0], 422)

    def test_one_address_can_t_lock_another_out(self) -> None:
        self.client.logout()
        body = {"username": "wren", "password": "wrong"}
        for _ in range(6):
            self.send("post", "/api/session", body)
        elsewhere = {"REMOTE_ADDR": "10.0.0.9"}
        answer = self.client.post(
            "/api/session",
            {"username": "wren", "password": PASSWORD},
            content_type="application/json",
            **elsewhere,
        )
        self.assertEqual(answer.status_code, 200)
        here = self.send("post", "/api/session", {"username": "wren", "password": PASSWORD})
        self.assertEqual(here.status_code, 429)
