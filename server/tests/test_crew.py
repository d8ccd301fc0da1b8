"""Who is in a crew: invitations, links, what a lead may do, sessions, and the record of it."""

from __future__ import annotations

from datetime import timedelta
from typing import Any

from django.core import mail
from django.db import DatabaseError, transaction
from django.test import Client, override_settings
from django.utils import timezone

from accounts.links import new_password_link
from accounts.models import AuditEntry, EntryLink, Member
from accounts.people import first_crew
from accounts.roles import CrewRole
from server.tests.people import PASSWORD, CrewTest
from yarrow import DocumentError

FRESH = "sedge-warbler-9"


class Crew(CrewTest):
    def invited(self, role: str = "planner", **more: Any) -> str:
        """The key of an invitation that wren made."""
        made = self.send("post", "/api/crew/invitations", {"role": role, **more})
        self.assertEqual(made.status_code, 201, made.content)
        return str(made.json()["path"].removeprefix("/enter#"))

    def joins(self, key: str, username: str = "dunlin", client: Client | None = None) -> Any:
        body = {"key": key, "username": username, "name": "Dunlin Ashe", "password": FRESH}
        return self.send("post", "/api/link/join", body, client or Client())

    def code_of(self, answer: Any) -> tuple[int, str]:
        return answer.status_code, answer.json()["code"]

    def did(self) -> list[str]:
        """What the record of Heron has, the newest first."""
        return [entry["did"] for entry in self.client.get("/api/crew/record").json()]


class Invitations(Crew):
    def test_whoever_is_invited_comes_in_once_as_what_they_were_invited(self) -> None:
        key = self.invited("bender", email="dunlin@heron.example")
        opened = self.send("post", "/api/link", {"key": key}, Client()).json()
        self.assertEqual((opened["crew"], opened["role"]), ("Heron", "bender"))
        theirs = Client()
        session = self.joins(key, client=theirs)
        self.assertEqual(session.status_code, 201)
        member = session.json()["member"]
        self.assertEqual(
            (member["username"], member["name"], member["crew"], member["role"], member["may"]),
            ("dunlin", "Dunlin Ashe", "Heron", "bender", ["see", "bend"]),
        )
        self.assertEqual([job["name"] for job in theirs.get("/api/jobs").json()], ["Saltmarsh"])
        self.assertEqual(Member.objects.get(username="dunlin").email, "dunlin@heron.example")
        again = Client()
        self.assertEqual(self.code_of(self.joins(key, "other", again)), (403, "link-used"))
        self.assertFalse(Member.objects.filter(username="other").exists())
        self.assertEqual(again.get("/api/jobs").status_code, 401)
        self.assertEqual(self.did(), ["link_refused", "join_crew", "invite"])

    def test_a_link_that_ended_was_withdrawn_or_cut_short_lets_nobody_in(self) -> None:
        ended, withdrawn = self.invited(), self.invited()
        first, second = EntryLink.objects.order_by("id")
        EntryLink.objects.filter(id=first.id).update(ends_at=timezone.now())
        withdrawing = self.send("delete", f"/api/crew/invitations/{second.id}")
        self.assertEqual(withdrawing.status_code, 200)
        for key, code in (
            (ended, "link-ended"),
            (withdrawn, "link-withdrawn"),
            (ended[:-1], "link-unknown"),
        ):
            with self.subTest(code):
                self.assertEqual(self.code_of(self.joins(key)), (403, code))
                opened = self.send("post", "/api/link", {"key": key}, Client())
                self.assertEqual(self.code_of(opened), (403, code))
        self.assertEqual(Member.objects.filter(username="dunlin").count(), 0)

    def test_an_invitation_is_open_for_seven_days_and_a_password_link_for_one(self) -> None:
        self.invited()
        new_password_link(self.rook, None)
        invitation, password = EntryLink.objects.order_by("id")
        self.assertEqual(round((invitation.ends_at - invitation.made_at) / timedelta(days=1)), 7)
        self.assertEqual(round((password.ends_at - password.made_at) / timedelta(days=1)), 1)

    def test_a_name_that_somebody_has_or_a_weak_password_leaves_the_link_open(self) -> None:
        key = self.invited()
        for fields, path in (
            ({"username": "Rook"}, "username"),
            ({"username": "a b"}, "username"),
            ({"password": "12345"}, "password"),
            ({"password": "dunlin ashe"}, "password"),
        ):
            with self.subTest(fields):
                body = {"key": key, "username": "dunlin", "name": "Dunlin Ashe", "password": FRESH}
                answer = self.send("post", "/api/link/join", {**body, **fields}, Client())
                told = (answer.status_code, answer.json()["errors"][0]["path"])
                self.assertEqual(told, (422, path))
        self.assertEqual(self.joins(key).status_code, 201)

    def test_an_invitation_is_no_password_link_nor_the_other_way_round(self) -> None:
        invitation = self.invited()
        _, key = new_password_link(self.rook, None)
        took = self.send("post", "/api/link/password", {"key": invitation, "password": FRESH})
        self.assertEqual(took.status_code, 422)
        self.assertEqual(self.joins(key).status_code, 422)

    def test_who_is_invited_is_a_lead_s_to_see(self) -> None:
        self.invited("inspector")
        lead = self.client.get("/api/crew").json()
        self.assertEqual([link["role"] for link in lead["invitations"]], ["inspector"])
        other = self.signed_in_as(self.rook).get("/api/crew").json()
        self.assertEqual(other["invitations"], [])
        self.assertEqual([member["username"] for member in other["members"]], ["rook", "wren"])

    def test_what_is_no_role_or_no_mail_address_is_refused(self) -> None:
        for body in ({"role": "king"}, {"role": "bender", "email": "nowhere"}, {}):
            with self.subTest(body):
                self.assertEqual(self.send("post", "/api/crew/invitations", body).status_code, 422)

    def test_the_key_is_kept_nowhere(self) -> None:
        key = self.invited()
        link = EntryLink.objects.get()
        self.assertNotIn(key, repr(vars(link)))
        self.assertNotIn(key, repr([vars(entry) for entry in AuditEntry.objects.all()]))


class Letters(Crew):
    mailbox = override_settings(MAIL={"EMAIL_HOST": "here"})

    def test_an_invitation_with_a_mail_address_is_sent_there(self) -> None:
        with self.mailbox:
            body = {"role": "planner", "email": "dunlin@heron.example"}
            made = self.send("post", "/api/crew/invitations", body).json()
        self.assertEqual(made["sent_to"], "dunlin@heron.example")
        (letter,) = mail.outbox
        self.assertEqual(letter.to, ["dunlin@heron.example"])
        self.assertIn(f"http://testserver{made['path']}", letter.body)

    def test_without_mail_it_is_for_the_lead_to_hand_over(self) -> None:
        body = {"role": "planner", "email": "dunlin@heron.example"}
        self.assertEqual(self.send("post", "/api/crew/invitations", body).json()["sent_to"], "")
        self.assertEqual(mail.outbox, [])

    def test_a_sign_in_from_somewhere_new_is_told_once(self) -> None:
        Member.objects.filter(pk=self.wren.pk).update(email="wren@heron.example")
        body = {"username": "wren", "password": PASSWORD}
        with self.mailbox:
            for device in ("Tablet", "Tablet", "Phone"):
                self.send("post", "/api/session", body, Client(headers={"User-Agent": device}))
        self.assertEqual([letter.to for letter in mail.outbox], [["wren@heron.example"]] * 2)
        self.assertIn("Phone", mail.outbox[1].body)


class Leading(Crew):
    def member(self, who: Member) -> str:
        return f"/api/crew/members/{who.pk}"

    def test_somebody_is_put_out_at_once_and_let_in_again_as_what_they_were(self) -> None:
        theirs = self.signed_in_as(self.rook)
        self.assertEqual(self.send("delete", self.member(self.rook)).status_code, 200)
        self.assertEqual(theirs.get("/api/jobs").status_code, 401)
        body = {"username": "rook", "password": PASSWORD}
        self.assertEqual(self.send("post", "/api/session", body, Client()).status_code, 403)
        shown = {each["username"]: each["there"] for each in self.crew_members()}
        self.assertEqual(shown, {"wren": True, "rook": False})
        self.send("post", f"{self.member(self.rook)}/bring-back")
        back = self.send("post", "/api/session", body, Client()).json()
        self.assertEqual(back["member"]["role"], "planner")
        self.assertEqual(self.did(), ["sign_in", "let_in_again", "sign_in_refused", "put_out"])

    def crew_members(self) -> list[dict[str, Any]]:
        return list(self.client.get("/api/crew").json()["members"])

    def test_a_crew_is_never_without_somebody_who_leads_it(self) -> None:
        own = self.member(self.wren)
        for refused in (
            self.send("delete", own),
            self.send("put", own, {"role": "planner"}),
        ):
            told = (refused.status_code, refused.json()["errors"][0]["path"])
            self.assertEqual(told, (422, "role"))
        self.send("put", self.member(self.rook), {"role": "lead"})
        self.assertEqual(self.send("put", own, {"role": "planner"}).status_code, 200)
        self.assertEqual(self.client.get("/api/crew/record").status_code, 403)
        # One who was put out leads nobody.
        theirs = self.signed_in_as(self.rook)
        refused = self.send("delete", self.member(self.rook), None, theirs)
        self.assertEqual(refused.status_code, 422)

    def test_nobody_of_another_crew_is_theirs_to_change(self) -> None:
        self.invited()
        link = EntryLink.objects.get()
        tern = self.signed_in_as(self.tern)
        for method, path, body in (
            ("put", self.member(self.rook), {"role": "inspector"}),
            ("delete", self.member(self.rook), None),
            ("post", f"{self.member(self.rook)}/bring-back", None),
            ("post", f"{self.member(self.rook)}/password-link", None),
            ("delete", f"/api/crew/invitations/{link.id}", None),
        ):
            with self.subTest(method=method, path=path):
                self.assertEqual(self.send(method, path, body, tern).status_code, 404)
        self.rook.refresh_from_db()
        self.assertEqual((self.rook.role, self.rook.is_active), (CrewRole.PLANNER, True))
        self.assertEqual(tern.get("/api/crew/record").json(), [])

    def test_a_new_password_by_a_link_ends_every_session_and_the_links_before_it(self) -> None:
        theirs = self.signed_in_as(self.rook)
        first, second = (
            self.send("post", f"{self.member(self.rook)}/password-link").json()["path"][7:]
            for _ in range(2)
        )
        body = {"key": first, "password": FRESH}
        refused = self.send("post", "/api/link/password", body, Client())
        self.assertEqual(self.code_of(refused), (403, "link-withdrawn"))
        taken = self.send("post", "/api/link/password", {**body, "key": second}, Client())
        self.assertEqual(taken.json()["member"]["username"], "rook")
        self.assertEqual(theirs.get("/api/jobs").status_code, 401)
        signed_in = self.send(
            "post", "/api/session", {"username": "rook", "password": FRESH}, Client()
        )
        self.assertEqual(signed_in.status_code, 200)

    def test_who_was_put_out_takes_no_new_password(self) -> None:
        path = self.send("post", f"{self.member(self.rook)}/password-link").json()["path"]
        self.send("delete", self.member(self.rook))
        body = {"key": path.removeprefix("/enter#"), "password": FRESH}
        refused = self.send("post", "/api/link/password", body, Client())
        self.assertEqual(self.code_of(refused), (403, "link-withdrawn"))


class FirstCrew(Crew):
    def test_the_first_who_comes_in_leads_it(self) -> None:
        _, key = first_crew("Plover")
        session = self.joins(key, "sanderling").json()
        self.assertEqual((session["member"]["crew"], session["member"]["role"]), ("Plover", "lead"))

    def test_a_link_is_made_again_until_somebody_came_in_by_one(self) -> None:
        _, before = first_crew("Plover")
        _, key = first_crew("Plover")
        self.assertEqual(self.code_of(self.joins(before, "knot")), (403, "link-withdrawn"))
        self.joins(key, "sanderling")
        for name in ("Plover", "", "x" * 121):
            with self.subTest(name), self.assertRaises(DocumentError):
                first_crew(name)


class Sessions(Crew):
    def test_one_sees_where_one_is_signed_in_and_ends_that(self) -> None:
        devices = {}
        for device in ("Phone", "Tablet"):
            devices[device] = Client(headers={"User-Agent": device}, REMOTE_ADDR="192.0.2.7")
            body = {"username": "wren", "password": PASSWORD}
            self.send("post", "/api/session", body, devices[device])
        self.signed_in_as(self.rook)
        shown = devices["Phone"].get("/api/sessions").json()
        self.assertEqual(
            [(each["device"], each["this"], each["address"]) for each in shown],
            [("Phone", True, "192.0.2.7"), ("Tablet", False, "192.0.2.7"), ("", False, None)],
        )
        keys = {client.cookies["sessionid"].value for client in devices.values()}
        self.assertFalse(keys & {each["name"] for each in shown})
        other = f"/api/sessions/{shown[1]['name']}"
        rook = self.signed_in_as(self.rook)
        self.assertEqual(self.send("delete", other, None, rook).status_code, 404)
        self.assertEqual(self.send("delete", other, None, devices["Phone"]).status_code, 200)
        self.assertEqual(devices["Tablet"].get("/api/jobs").status_code, 401)
        self.send("delete", "/api/sessions", None, devices["Phone"])
        self.assertEqual(self.client.get("/api/jobs").status_code, 401)
        self.assertEqual(devices["Phone"].get("/api/jobs").status_code, 200)
        self.assertEqual(rook.get("/api/jobs").status_code, 200)

    def test_another_password_ends_the_others(self) -> None:
        other = self.signed_in_as(self.wren)
        body = {"current": PASSWORD, "new": FRESH}
        self.send("put", "/api/session/password", body)
        self.assertEqual(len(self.client.get("/api/sessions").json()), 1)
        self.assertEqual(other.get("/api/jobs").status_code, 401)


class Record(Crew):
    def test_what_changes_something_is_recorded_and_what_is_only_seen_is_not(self) -> None:
        run = f"/api/runs/{self.run_.id}"
        self.client.get(run)
        self.send("post", "/api/plan", self.run_.document)
        self.send("put", run, {"document": self.run_.document, "base_version": 7})  # a conflict
        self.assertEqual(self.did(), [])
        named = {**self.run_.document, "name": "Other"}
        self.send("put", run, {"document": named, "base_version": 1})
        (entry,) = self.client.get("/api/crew/record").json()
        self.assertEqual(
            (entry["did"], entry["who"], entry["about"], entry["address"]),
            ("save_run", "wren", {"run_id": str(self.run_.id)}, "127.0.0.1"),
        )

    def test_whoever_signs_out_is_who_did_it(self) -> None:
        self.send("delete", "/api/session", None, self.signed_in_as(self.rook))
        (entry,) = self.client.get("/api/crew/record").json()
        self.assertEqual((entry["did"], entry["who"]), ("sign_out", "rook"))

    def test_it_is_read_page_by_page(self) -> None:
        for number in range(103):
            AuditEntry.objects.create(did=f"n{number}", crew=self.wren.crew)
        first = self.client.get("/api/crew/record").json()
        self.assertEqual((len(first), first[0]["did"]), (100, "n102"))
        rest = self.client.get(f"/api/crew/record?before={first[-1]['id']}").json()
        self.assertEqual([entry["did"] for entry in rest], ["n2", "n1", "n0"])

    def test_nobody_changes_it_or_takes_anything_away(self) -> None:
        entry = AuditEntry.objects.create(did="sign_in", crew=self.wren.crew)
        entries = AuditEntry.objects.filter(id=entry.id)
        for change in (lambda: entries.update(did="nothing"), entries.delete):
            with self.assertRaises(DatabaseError), transaction.atomic():
                change()
        entry.refresh_from_db()
        self.assertEqual(entry.did, "sign_in")
