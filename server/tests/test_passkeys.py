"""Passkeys: made by whoever is signed in, taken once each, by whoever holds the device alone."""

from __future__ import annotations

from datetime import timedelta
from typing import Any
from unittest import mock

from django.test import Client, override_settings
from django.utils import timezone

from accounts import passkeys
from accounts.models import Passkey
from accounts.own_data import data_of
from server.tests.authenticator import Device
from server.tests.people import PASSWORD, CrewTest

OWN = "/api/session/passkeys"
DOOR = "/api/session/passkey"


class Passkeys(CrewTest):
    def offered(self, status: int = 201, **more: Any) -> Any:
        body = {"password": PASSWORD, **more}
        answer = self.send("post", OWN, body)
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json().get("options")

    def made(self, device: Device) -> Any:
        return self.send("put", OWN, {"credential": device.makes(self.offered())})

    def at_the_door(self, device: Device, client: Client | None = None) -> Any:
        client = client or Client()
        options = self.send("post", DOOR, None, client).json()["options"]
        return self.send("put", DOOR, {"credential": device.shows(options)}, client)

    def assert_refused(self, answer: Any) -> None:
        told = (answer.status_code, answer.json()["code"])
        self.assertEqual(told, (403, "passkey-refused"), answer.content)

    def test_it_signs_in_alone_and_the_password_alone_does_not_any_more(self) -> None:
        device = Device()
        self.assertEqual(len(self.made(device).json()["codes"]), 10)
        client = Client()
        answer = self.at_the_door(device, client)
        self.assertEqual(answer.json()["member"]["username"], "wren")
        self.assertEqual(client.get("/api/jobs").status_code, 200)
        by_password = {"username": "wren", "password": PASSWORD}
        refused = self.send("post", "/api/session", by_password, Client())
        self.assertEqual(refused.json()["code"], "second-factor")
        did = [entry["did"] for entry in self.client.get("/api/crew/record").json()]
        self.assertEqual(did[:2], ["sign_in", "add_passkey"])
        self.assertEqual(len(data_of(self.wren)["passkeys"]), 1)

    def test_codes_on_paper_come_with_the_first_alone(self) -> None:
        self.assertEqual(len(self.made(Device()).json()["codes"]), 10)
        self.assertEqual(self.made(Device()).json()["codes"], [])
        state = self.client.get("/api/session/second-factor").json()
        self.assertEqual((state["on"], state["shows_codes"]), (True, False))
        self.assertEqual((len(state["passkeys"]), state["recovery_codes_left"]), (2, 10))

    def test_what_was_shown_once_is_not_taken_again(self) -> None:
        device = Device(counts=False)
        self.made(device)
        client = Client()
        options = self.send("post", DOOR, None, client).json()["options"]
        credential = device.shows(options)
        self.assertEqual(
            self.send("put", DOOR, {"credential": credential}, client).status_code, 200
        )
        self.assert_refused(self.send("put", DOOR, {"credential": credential}, client))
        other = Client()
        self.send("post", DOOR, None, other)
        self.assert_refused(self.send("put", DOOR, {"credential": credential}, other))
        self.assert_refused(self.send("put", DOOR, {"credential": credential}, Client()))

    def test_a_copy_of_a_device_is_noticed_by_its_count(self) -> None:
        device = Device()
        self.made(device)
        self.at_the_door(device)
        device.count -= 1  # the copy is behind
        self.assert_refused(self.at_the_door(device))

    def test_who_does_not_hold_it_does_not_come_in(self) -> None:
        device = Device()
        self.made(device)
        wrong = (
            Device(),
            Device(number=device.number),  # another key by the same number
            Device(number=device.number, key=device.key, count=9, verifies=False),
            Device(number=device.number, key=device.key, count=9, origin="http://elsewhere"),
            Device(number=device.number, key=device.key, count=9, name="elsewhere"),
        )
        for other in wrong:
            with self.subTest(other=other):
                self.assert_refused(self.at_the_door(other))
        for credential in ({}, {"id": "?"}, {"id": 7}, {"id": "AAAA", "response": []}):
            client = Client()
            self.send("post", DOOR, None, client)
            self.assert_refused(self.send("put", DOOR, {"credential": credential}, client))
        self.wren.is_active = False
        self.wren.save()
        self.assert_refused(self.at_the_door(device))

    def test_what_makes_no_good_passkey_is_not_kept(self) -> None:
        self.assert_refused(
            self.send("put", OWN, {"credential": Device().makes({"challenge": ""})})
        )
        for wrong in (Device(verifies=False), Device(origin="http://elsewhere")):
            self.assert_refused(self.made(wrong))
        taken = Device()
        self.made(taken)
        self.assert_refused(self.made(taken))
        self.offered()
        self.assert_refused(self.send("put", OWN, {"credential": {}}))
        self.assertEqual(Passkey.objects.count(), 1)

    def test_what_takes_too_long_is_asked_for_anew(self) -> None:
        options = self.offered()
        for minutes, status in ((6, 403), (4, 200)):
            options = self.offered()
            later = timezone.now() + timedelta(minutes=minutes)
            with mock.patch.object(passkeys.timezone, "now", return_value=later):
                answer = self.send("put", OWN, {"credential": Device().makes(options)})
            self.assertEqual(answer.status_code, status)

    def test_it_begins_and_ends_by_the_password(self) -> None:
        self.offered(422, password="wrong")
        self.made(Device())
        at = f"{OWN}/{Passkey.objects.get().pk}"
        self.assertEqual(self.send("delete", at, {"password": "wrong"}).status_code, 422)
        rook = self.signed_in_as(self.rook)
        answer = self.send("delete", at, {"password": PASSWORD}, rook)
        self.assertEqual(answer.status_code, 404)
        self.assertEqual(self.send("delete", at, {"password": PASSWORD}).status_code, 200)
        state = self.client.get("/api/session/second-factor").json()
        # With the last of them go the codes on paper.
        self.assertEqual((state["on"], state["recovery_codes_left"]), (False, 0))

    def test_one_keeps_ten(self) -> None:
        self.made(Device())
        one = Passkey.objects.get()
        for number in range(9):
            one.pk, one.credential_id = None, b"%d" % number
            one.save(force_insert=True)
        self.offered(403)

    @override_settings(ALLOWED_HOSTS=["*"])
    def test_where_people_come_by_a_number_there_are_none(self) -> None:
        for host in ("127.0.0.1:8600", "[::1]:8600", "127.0.0.1"):
            answer = self.client.post(DOOR, headers={"host": host})
            self.assert_refused(answer)
        self.assertEqual(
            self.client.post(DOOR, headers={"host": "localhost:8600"}).status_code, 200
        )
