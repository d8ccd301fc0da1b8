"""A backup is written, read again, and comes back into an empty database as it was."""

from __future__ import annotations

import json
import os
import shutil
import subprocess
import sys
import tarfile
import tempfile
from dataclasses import asdict
from io import StringIO
from pathlib import Path
from unittest import mock

import psycopg
from django.conf import settings
from django.core.management import CommandError, call_command
from django.db import connection
from django.test import TransactionTestCase

from jobs.sites import SITES, add_picture
from keeping import backups
from keeping.backups import BackupRefused, back_up, new_key, restore, unpacked
from server.tests.people import People, a_picture
from server.tests.test_walls import DUCTS


class Backups(People, TransactionTestCase):
    def setUp(self) -> None:
        self.make_people()
        site = SITES.create(self.wren, self.job.id, DUCTS)
        add_picture(self.wren, site.id, a_picture())
        self.folder = Path(self.enterContext(tempfile.TemporaryDirectory()))
        self.file = self.folder / "yarrow.backup"
        self.key = self.folder / "key"
        self.key.write_text(new_key())

    def refused(self, words: str, file: Path, key: Path | None = None) -> None:
        with self.assertRaisesRegex(BackupRefused, words), unpacked(file, key):
            self.fail("it was read")

    def repacked(self, **changed: object) -> Path:
        """The backup with other words in its manifest."""
        back_up(self.file)
        with unpacked(self.file, None) as (manifest, dump):
            shutil.copy(dump, self.folder)
        told = self.folder / "manifest.json"
        told.write_text(json.dumps({**asdict(manifest), **changed}))
        result = self.folder / "repacked"
        with tarfile.open(result, "w") as tar:
            for part in ("manifest.json", "database.dump"):
                tar.add(self.folder / part, arcname=part)
        return result

    def test_it_says_what_it_holds_and_is_for_its_owner_alone(self) -> None:
        manifest = back_up(self.file)
        self.assertEqual(manifest.rows["accounts_member"], 3)
        self.assertEqual(self.file.stat().st_mode & 0o777, 0o600)
        self.assertEqual(
            sorted(path.name for path in self.folder.iterdir()), ["key", self.file.name]
        )
        with unpacked(self.file, None) as (read, _):
            self.assertEqual(read, manifest)

    def test_a_locked_one_is_opened_by_its_key_alone(self) -> None:
        back_up(self.file, self.key)
        self.assertNotIn(b"accounts_member", self.file.read_bytes())
        other = self.folder / "other"
        other.write_text(new_key())
        no_key = self.folder / "none"
        no_key.write_text("AGE-SECRET-KEY-1\n")
        self.refused("is locked", self.file)
        self.refused("another key", self.file, other)
        self.refused("no key", self.file, no_key)
        with unpacked(self.file, self.key) as (manifest, _):
            self.assertEqual(manifest.rows["accounts_crew"], 2)

    def test_one_that_was_cut_short_or_changed_is_refused(self) -> None:
        for key in (None, self.key):
            back_up(self.file, key)
            whole = self.file.read_bytes()
            for short in (0, 100, len(whole) // 2, len(whole) - 12_000):
                with self.subTest(locked=key is not None, short=short):
                    self.file.write_bytes(whole[:short])
                    self.refused("cut short", self.file, key)
        back_up(self.file)
        changed = bytearray(self.file.read_bytes())
        changed[len(changed) // 2] ^= 1
        self.file.write_bytes(changed)
        self.refused("changed", self.file)
        self.refused("no file", self.folder / "nowhere")

    def test_one_of_another_format_or_a_newer_version_is_refused(self) -> None:
        self.refused("yarrow.backup/9", self.repacked(format="yarrow.backup/9"))
        newer = self.repacked(version="99.1", migrations=["jobs.9999_more"])
        with self.assertRaisesRegex(BackupRefused, r"99\.1.*newer.*jobs\.9999_more"):
            restore(newer)

    def test_a_database_that_is_not_empty_is_left_as_it_is(self) -> None:
        back_up(self.file)
        with self.assertRaisesMessage(CommandError, "not empty"):
            call_command("restore", str(self.file))
        self.assertEqual(len(self.wren.crew.members.all()), 2)

    def test_what_does_not_read_again_replaces_no_backup(self) -> None:
        self.file.write_text("the one of yesterday")
        other = mock.Mock(__enter__=lambda _: ("another", None), __exit__=lambda *_: None)
        with (
            mock.patch.object(backups, "unpacked", return_value=other),
            self.assertRaisesRegex(BackupRefused, "does not read"),
        ):
            back_up(self.file)
        self.assertEqual(self.file.read_text(), "the one of yesterday")

    def test_all_of_it_comes_back_as_it_was(self) -> None:
        before = self.rows(connection.settings_dict["NAME"])
        said = StringIO()
        call_command("backup", str(self.file), key=self.key, stdout=said)
        self.assertIn("locked", said.getvalue())
        name = f"{connection.settings_dict['NAME']}_again"
        with connection.cursor() as cursor:
            cursor.execute(f'DROP DATABASE IF EXISTS "{name}"')
            cursor.execute(f'CREATE DATABASE "{name}"')
        self.addCleanup(self.drop, name)
        given = connection.settings_dict
        address = f"postgresql://{given['USER']}:{given['PASSWORD']}@{given['HOST']}:{given['PORT']}/{name}"
        restoring = [sys.executable, str(settings.ROOT / "server" / "manage.py"), "restore"]
        for words, status in (("Restored as it was", 0), ("not empty", 1)):
            done = subprocess.run(
                [*restoring, str(self.file), "--key", str(self.key)],
                env={**os.environ, "YARROW_DATABASE": address},
                capture_output=True,
                text=True,
                check=False,
            )
            self.assertEqual(done.returncode, status, done.stderr)
            self.assertIn(words, done.stdout + done.stderr)
        self.assertEqual(self.rows(name), before)

    def rows(self, name: str) -> dict[str, bytes]:
        """All rows of a database, byte by byte, by table."""
        given = connection.settings_dict
        with psycopg.connect(
            host=given["HOST"],
            port=given["PORT"],
            user=given["USER"],
            password=given["PASSWORD"],
            dbname=name,
        ) as other:
            tables = other.execute(
                "SELECT tablename FROM pg_tables WHERE schemaname = 'public' ORDER BY 1"
            ).fetchall()
            result = {}
            for (table,) in tables:
                with other.cursor().copy(
                    f'COPY (SELECT * FROM "{table}" t ORDER BY t) TO STDOUT'
                ) as out:
                    result[table] = b"".join(out)
        self.assertIn("jobs_sitepicture", result)
        return result

    def drop(self, name: str) -> None:
        with connection.cursor() as cursor:
            cursor.execute(f'DROP DATABASE IF EXISTS "{name}"')
