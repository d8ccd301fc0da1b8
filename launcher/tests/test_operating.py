"""The commands of docs/operating.md, on a database of their own."""

from __future__ import annotations

import io
import os
import re
import shlex
import subprocess
import tempfile
import unittest
from contextlib import redirect_stderr, redirect_stdout
from pathlib import Path
from unittest import mock

from launcher import keys, postgres
from launcher.__main__ import _parser
from launcher.console import LauncherError
from launcher.operating import manage, serve
from launcher.paths import ROOT

_BOOK = ROOT / "docs" / "operating.md"


class Book(unittest.TestCase):
    def test_every_command_in_it_is_one(self) -> None:
        blocks = re.findall(r"```sh\n(.*?)```", _BOOK.read_text(), re.S)
        lines = [line for block in blocks for line in block.splitlines()]
        commands = [
            line.partition("/opt/yarrow/yarrow ")[2] for line in lines if "/yarrow/yarrow " in line
        ]
        names = set()
        for command in commands:
            given = shlex.split(command.partition(" > ")[0])
            with self.subTest(command), redirect_stderr(io.StringIO()):
                names.add(_parser().parse_args(given).command)
        self.assertEqual(
            names,
            {
                *("install", "upgrade", "first-crew", "password-link"),
                *("forget-person", "export-crew", "take-in-crew"),
                *("backup-key", "backup", "restore"),
            },
        )

    def test_every_setting_of_the_example_is_in_it(self) -> None:
        example = (ROOT / "deploy" / "yarrow.toml").read_text()
        named = set(re.findall(r"^#? ?([a-z_]+) = ", example, re.M))
        told = set(re.findall(r"`([a-z_]+)`", _BOOK.read_text()))
        self.assertEqual(named - told, set())


class Operated(unittest.TestCase):
    def setUp(self) -> None:
        holder = self.enterContext(tempfile.TemporaryDirectory(prefix="yarrow-operated-"))
        self.folder = Path(holder)
        self.folder.chmod(0o755)
        self.enterContext(mock.patch.dict(os.environ))
        for name in [name for name in os.environ if name.startswith("YARROW_")]:
            del os.environ[name]
        for module in (keys, postgres):
            self.enterContext(mock.patch.object(module, "STATE", self.folder))
        data = postgres._data_folder("operated")
        self.addCleanup(subprocess.run, ["rm", "-rf", str(data)], check=False)
        self.environment = self.enterContext(postgres.cluster("operated", durable=False))
        self.file = self.folder / "yarrow.toml"
        self.said = self.enterContext(mock.patch("launcher.operating.set_up"))
        self.at(self.environment["YARROW_DATABASE"])

    def at(self, database: str) -> None:
        self.file.write_text(
            f'secret_key = "{"k" * 48}"\ndatabase = "{database}"\n'
            'hosts = ["yarrow.example"]\nhttps = true\nproxies = 1\n'
        )

    def run_(self, *command: str) -> tuple[int, str]:
        """What ``./yarrow`` would start, and what that says."""
        out = self.folder / "said"
        with out.open("w") as file:
            real = subprocess.run

            def heard(args: list[str], **options: object) -> object:
                own = {"stdout": file, "stderr": subprocess.STDOUT}
                return real(args, **{**options, **own})  # type: ignore[call-overload]

            with mock.patch("launcher.operating.subprocess.run", heard):
                status = manage(self.file, *command)
        return status, out.read_text()

    def test_from_an_empty_database_to_a_crew_and_back_from_a_backup(self) -> None:
        self.assertEqual(self.run_("migrate", "-v0")[0], 0)
        status, said = self.run_("first_crew", "Heron crew")
        self.assertEqual(status, 0, said)
        self.assertRegex(said, r"^https://yarrow\.example/enter#[\w-]{32}\n")
        status, said = self.run_("password_link", "wren")
        self.assertEqual(status, 1)
        self.assertIn("nobody called wren", said)
        self.said.side_effect = lambda **_: print("· Python packages …")
        out = io.StringIO()
        with redirect_stdout(out), redirect_stderr(io.StringIO()):
            self.run_("backup_key")
        self.assertEqual(out.getvalue(), "")
        key = self.folder / "backup.key"
        key.write_text(self.run_("backup_key")[1])
        backup = str(self.folder / "yarrow.backup")
        locked = ("--key", str(key))
        self.assertIn("locked.", self.run_("backup", backup, *locked)[1])
        database = self.environment["YARROW_DATABASE"]
        tool = postgres.ensure_postgres()
        subprocess.run([tool / "psql", database, "-qc", "CREATE DATABASE yarrow_again"], check=True)
        self.at(f"{database}_again")
        status, said = self.run_("restore", backup, *locked)
        self.assertEqual(status, 0, said)
        self.assertIn("Restored as it was", said)
        status, said = self.run_("restore", backup, *locked)
        self.assertEqual(status, 1)
        self.assertIn("not empty", said)


class Settings(unittest.TestCase):
    def test_settings_that_are_not_there_are_a_clear_word(self) -> None:
        nowhere = Path("/nowhere/yarrow.toml")
        words = r"/nowhere/yarrow\.toml.*operating\.md"
        with self.assertRaisesRegex(LauncherError, words):
            serve(nowhere, None)
        with self.assertRaisesRegex(LauncherError, words):
            manage(nowhere, "migrate")
