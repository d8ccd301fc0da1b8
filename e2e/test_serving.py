"""A crew's Yarrow as docs/operating.md has it: two servers behind nginx, on one database."""

from __future__ import annotations

import json
import os
import re
import signal
import subprocess
import sys
import tempfile
from contextlib import suppress
from pathlib import Path
from typing import ClassVar
from urllib.error import URLError
from urllib.request import urlopen

from django.conf import settings
from django.db import connection
from django.test import TransactionTestCase

from accounts.models import Crew, Member
from e2e.proxy import Visitor, free_port, nginx
from jobs.models import Run
from server.tests.people import DOCUMENT

PASSWORD = "sedge-warbler-9"
_SERVER = Path(settings.ROOT) / "server"


class Serving(TransactionTestCase):
    file: ClassVar[Path]

    def setUp(self) -> None:
        folder = Path(self.enterContext(tempfile.TemporaryDirectory(prefix="yarrow-serving-")))
        self.ports = [free_port(), free_port()]
        self.port = self.enterContext(nginx(self.ports))
        self.file = folder / "yarrow.toml"
        self.write(hosts='["127.0.0.1"]')

    def write(self, **changed: str) -> None:
        """The example that ships, filled in as the operator would."""
        given = connection.settings_dict
        filled = {
            "secret_key": '"' + "k" * 48 + '"',
            "database": (
                f'"postgresql://{given["USER"]}:{given["PASSWORD"]}@{given["HOST"]}:'
                f'{given["PORT"]}/{given["NAME"]}"'
            ),
            "address": f'"127.0.0.1:{self.ports[0]}"',
            "access_log": "false",
            **changed,
        }
        lines = (Path(settings.ROOT) / "deploy" / "yarrow.toml").read_text().splitlines()
        name_of = {line: line.partition(" =")[0] for line in lines}
        told = [
            f"{name_of[line]} = {filled[name_of[line]]}" if name_of[line] in filled else line
            for line in lines
        ]
        told += [f'origins = ["https://127.0.0.1:{self.port}"]', "processes = 1"]
        self.file.write_text("\n".join(told))

    def environment(self) -> dict[str, str]:
        own = {name: value for name, value in os.environ.items() if not name.startswith("YARROW_")}
        path = os.pathsep.join((str(_SERVER.parent / "core"), str(_SERVER)))
        return {**own, "YARROW_SETTINGS": str(self.file), "PYTHONPATH": path}

    def serve(self, port: int) -> subprocess.Popen[str]:
        return subprocess.Popen(
            [sys.executable, "-m", "config.serving", "--fit", "--port", str(port)],
            cwd=_SERVER,
            env=self.environment(),
            stderr=subprocess.PIPE,
            text=True,
        )

    def serving(self, port: int) -> subprocess.Popen[str]:
        """One that is ready; ended with the test."""
        server = self.serve(port)
        self.addCleanup(self.end, server)
        while True:
            assert server.poll() is None, server.stderr and server.stderr.read()
            with suppress(URLError), urlopen(f"http://127.0.0.1:{port}/ready") as answer:
                self.assertTrue(json.loads(answer.read())["ok"])
                return server

    def end(self, server: subprocess.Popen[str]) -> None:
        if server.poll() is None:
            server.terminate()
            server.wait()
        assert server.stderr
        server.stderr.close()

    def test_the_first_crew_comes_in_and_goes_on_when_a_machine_is_lost(self) -> None:
        first = self.serving(self.ports[0])
        second = self.serving(self.ports[1])
        made = subprocess.run(
            [sys.executable, "manage.py", "first_crew", "Plover"],
            cwd=_SERVER,
            env=self.environment(),
            capture_output=True,
            text=True,
            check=True,
        )
        link = made.stdout.splitlines()[0]
        wren = Visitor(self.port)
        self.assertTrue(link.startswith(f"{wren.origin}/enter#"), link)
        wren.ask("GET", "/api/session")
        key = link.partition("#")[2]
        body = {"key": key, "username": "wren", "name": "Wren Hallow", "password": PASSWORD}
        status, session = wren.ask("POST", "/api/link/join", body)
        self.assertEqual((status, session["member"]["role"]), (201, "lead"))
        self.assertEqual(self.counted(self.ports[0]) + self.counted(self.ports[1]), 1)
        _, job = wren.ask("POST", "/api/jobs", {"name": "Saltmarsh", "units": "in"})
        _, run = wren.ask("POST", f"/api/jobs/{job['id']}/runs", DOCUMENT)
        version = 1
        for kill in (None, first, None):
            if kill:
                os.kill(kill.pid, signal.SIGKILL)
                kill.wait()
            for _ in range(6):
                document = {**DOCUMENT, "name": f"Feed {version}"}
                sent = {"document": document, "base_version": version}
                status, saved = wren.ask("PUT", f"/api/runs/{run['id']}", sent)
                # What a lost machine was asked is not known to be kept: the page asks again.
                if status == 502:
                    status, saved = wren.ask("PUT", f"/api/runs/{run['id']}", sent)
                self.assertEqual((status, saved["version"]), (200, version + 1))
                version += 1
        self.assertIsNone(second.poll())
        self.assertEqual(Run.objects.get().version, version)
        self.assertEqual(Run.objects.get().revisions.count(), version)

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
        self.write(hosts='["127.0.0.1"]')
        crew = Crew.objects.create(name="Heron crew")
        Member.objects.create_user("wren", password="kestrel-over-marsh", crew=crew)
        server = self.serve(self.ports[0])
        _, told = server.communicate()
        self.assertEqual(server.returncode, 2)
        self.assertIn("wren can sign in with the password of the demo", told)
