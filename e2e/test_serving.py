"""A crew's Yarrow as docs/operating.md has it: two servers behind nginx, on one database."""

from __future__ import annotations

import re
import subprocess
from base64 import b32decode
from collections import Counter
from urllib.request import urlopen

import psycopg
from django.contrib.auth.hashers import make_password
from django_otp.oath import totp

from accounts.models import Crew, Member
from e2e.proxy import Visitor
from e2e.serving import PASSWORD, ServingTest, in_quotes
from server.tests.people import DOCUMENT
from server.tests.stored_databases import (
    STORED,
    address_of,
    documents,
    empty_database,
    put_into,
)


class Serving(ServingTest):
    def test_a_crew_from_an_empty_database_through_a_lost_machine_to_a_backup_elsewhere(
        self,
    ) -> None:
        self.write(database=in_quotes(empty_database(self, "crew")))
        refused = self.serve(self.ports[0])
        self.assertIn("./yarrow upgrade", refused.communicate()[1])
        self.manage("migrate", "-v0")
        first, second = (self.serving(port) for port in self.ports)
        link = self.manage("first_crew", "Plover").splitlines()[0]
        self.assertTrue(link.startswith(f"https://127.0.0.1:{self.port}/enter#"), link)
        wren = self.come_in(link, "wren")
        _, made = wren.ask("POST", "/api/crew/invitations", {"role": "bender"})
        rook = self.come_in(made["path"], "rook")
        self.assertEqual(self.counted(self.ports[0]) + self.counted(self.ports[1]), 2)
        secret = self.second_factor(wren)
        run_id, version = self.saved_while_a_machine_is_lost(wren, first)
        self.assertIsNone(second.poll())
        self.assertEqual(rook.ask("DELETE", f"/api/runs/{run_id}")[0], 403)
        key, backup = self.file.with_name("key"), self.file.with_name("backup")
        key.write_text(self.manage("backup_key"))
        self.manage("backup", str(backup), "--key", str(key))
        self.end(second)
        self.write(database=in_quotes(empty_database(self, "elsewhere")))
        self.manage("restore", str(backup), "--key", str(key))
        self.serving(self.ports[1])
        again = Visitor(self.port)
        again.ask("GET", "/api/session")
        by_password = {"username": "wren", "password": PASSWORD}
        status, told = again.ask("POST", "/api/session", by_password)
        self.assertEqual((status, told["code"]), (403, "second-factor"))
        # The code of this half minute was used, and the next is good already.
        code = f"{totp(secret, t0=-30):06}"
        self.assertEqual(again.ask("POST", "/api/session", {**by_password, "code": code})[0], 200)
        _, run = again.ask("GET", f"/api/runs/{run_id}")
        self.assertEqual(
            (run["version"], run["document"]["name"]), (version, f"Feed {version - 1}")
        )
        _, history = again.ask("GET", f"/api/runs/{run_id}/revisions")
        self.assertEqual([each["version"] for each in history], list(range(version, 0, -1)))
        _, done = again.ask("GET", "/api/crew/record")
        saves = [entry for entry in done if entry["did"] == "save_run"]
        self.assertGreaterEqual(len(saves), version - 2)

    def second_factor(self, visitor: Visitor) -> bytes:
        """Turned on; the secret of it."""
        at = "/api/session/second-factor"
        _, begun = visitor.ask("POST", at, {"password": PASSWORD})
        secret = b32decode(begun["secret"])
        status, told = visitor.ask("PUT", at, {"code": f"{totp(secret):06}"})
        self.assertEqual((status, len(told["codes"])), (200, 10))
        return secret

    def saved_while_a_machine_is_lost(
        self, visitor: Visitor, machine: subprocess.Popen[str]
    ) -> tuple[int, int]:
        """A run saved again and again, and one of two servers killed meanwhile: each save that was
        acknowledged is there. The run, and its version."""
        _, job = visitor.ask("POST", "/api/jobs", {"name": "Saltmarsh", "units": "in"})
        _, run = visitor.ask("POST", f"/api/jobs/{job['id']}/runs", DOCUMENT)
        version = 1
        for kill in (False, True, False):
            if kill:
                self.lose(machine)
            for _ in range(6):
                document = {**DOCUMENT, "name": f"Feed {version}"}
                sent = {"document": document, "base_version": version}
                status, saved = visitor.ask("PUT", f"/api/runs/{run['id']}", sent)
                # What a lost machine was asked is not known to be kept: the page asks again.
                if status == 502:
                    status, saved = visitor.ask("PUT", f"/api/runs/{run['id']}", sent)
                self.assertEqual((status, saved["version"]), (200, version + 1))
                version += 1
        return int(run["id"]), version

    def counted(self, port: int) -> float:
        """How many came in by a link at that server."""
        with urlopen(f"http://127.0.0.1:{port}/metrics") as answer:
            told = answer.read().decode()
        row = r'yarrow_answers_total\{method="POST",route="api/link/join",status="201"\} (\S+)'
        found = re.search(row, told)
        return float(found[1]) if found else 0.0

    def test_it_refuses_to_start_on_what_is_unsafe_and_says_all_of_it(self) -> None:
        self.write(https="false", secret_key='"short"', hosts='["yarrow.example"]')
        server = self.serve(self.ports[0])
        _, told = server.communicate()
        self.assertEqual(server.returncode, 2)
        for word in ("https has to be true", "secret_key has to have"):
            self.assertIn(word, told)

    def test_it_refuses_people_who_sign_in_with_the_demo_s_password(self) -> None:
        self.write()
        crew = Crew.objects.create(name="Heron crew")
        Member.objects.create_user("wren", password="kestrel-over-marsh", crew=crew)
        server = self.serve(self.ports[0])
        _, told = server.communicate()
        self.assertEqual(server.returncode, 2)
        self.assertIn("wren can sign in with the password of the demo", told)

    def test_a_database_of_the_version_before_is_upgraded_and_nothing_of_it_is_lost(self) -> None:
        name = empty_database(self, "before")
        self.write(database=in_quotes(name))
        address = address_of(name)
        put_into(address, STORED[-1])
        before = documents(address)
        self.assertIn("./yarrow upgrade", self.serve(self.ports[0]).communicate()[1])
        self.manage("migrate", "-v0")
        # What was stored is a demo's, with the password that everybody knows.
        with psycopg.connect(address, autocommit=True) as there:
            there.execute("UPDATE accounts_member SET password = %s", [make_password(PASSWORD)])
        self.serving(self.ports[0])
        wren = Visitor(self.port)
        wren.ask("GET", "/api/session")
        who = {"username": "wren", "password": PASSWORD}
        self.assertEqual(wren.ask("POST", "/api/session", who)[0], 200)
        _, job = wren.ask("GET", "/api/jobs/1")
        _, run = wren.ask("GET", f"/api/runs/{job['runs'][0]['id']}")
        sent = {"document": {**run["document"], "name": "Now"}, "base_version": run["version"]}
        status, saved = wren.ask("PUT", f"/api/runs/{run['id']}", sent)
        self.assertEqual((status, saved["version"]), (200, run["version"] + 1))
        after = documents(address)
        self.assertEqual(len(after["revisions"]), len(before["revisions"]) + 1)
        self.assertEqual(Counter(before["revisions"]) - Counter(after["revisions"]), Counter())
