"""What a test of a crew's Yarrow stands on: servers by the settings that ship, behind nginx."""

from __future__ import annotations

import json
import os
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

from e2e.proxy import Visitor, nginx
from launcher.paths import SERVER_PATH
from launcher.postgres import free_port
from server.tests.stored_databases import address_of

PASSWORD = "sedge-warbler-9"
_SERVER = Path(settings.ROOT) / "server"


def in_quotes(name: str) -> str:
    """The address of a database, as a settings file has it."""
    return f'"{address_of(name)}"'


class ServingTest(TransactionTestCase):
    file: ClassVar[Path]

    def setUp(self) -> None:
        folder = Path(self.enterContext(tempfile.TemporaryDirectory(prefix="yarrow-serving-")))
        self.ports = [free_port(), free_port()]
        self.port = self.enterContext(nginx(self.ports))
        self.file = folder / "yarrow.toml"
        self.write()

    def write(self, **changed: str) -> None:
        """The example that ships, filled in as the operator would."""
        filled = {
            "secret_key": '"' + "k" * 48 + '"',
            "database": in_quotes(connection.settings_dict["NAME"]),
            "address": f'"127.0.0.1:{self.ports[0]}"',
            "access_log": "false",
            "hosts": '["127.0.0.1"]',
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
        own = {
            name: value
            for name, value in os.environ.items()
            if not name.startswith(("YARROW_", "DJANGO_"))
        }
        return {**own, "YARROW_SETTINGS": str(self.file), "PYTHONPATH": SERVER_PATH}

    def serve(self, port: int) -> subprocess.Popen[str]:
        return subprocess.Popen(
            [sys.executable, "-m", "config.serving", "--fit", "--port", str(port)],
            cwd=_SERVER,
            env=self.environment(),
            stderr=subprocess.PIPE,
            text=True,
            start_new_session=True,
        )

    def lose(self, server: subprocess.Popen[str]) -> None:
        """All of a machine's processes at once, as when its power goes."""
        os.killpg(server.pid, signal.SIGKILL)
        server.wait()

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

    def manage(self, *command: str) -> str:
        """What one of the commands says that ./yarrow starts."""
        done = subprocess.run(
            [sys.executable, "manage.py", *command],
            cwd=_SERVER,
            env=self.environment(),
            capture_output=True,
            text=True,
            check=False,
        )
        self.assertEqual(done.returncode, 0, done.stderr)
        return done.stdout

    def come_in(self, link: str, name: str) -> Visitor:
        """Somebody who opens a link."""
        visitor = Visitor(self.port)
        visitor.ask("GET", "/api/session")
        body = {
            "key": link.partition("#")[2],
            "username": name,
            "name": f"{name.title()} Hallow",
            "password": PASSWORD,
        }
        self.assertEqual(visitor.ask("POST", "/api/link/join", body)[0], 201)
        return visitor
