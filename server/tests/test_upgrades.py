"""Databases of every version since the first, each with what its demo held: brought to this one by
the operator's own command. A database that a version stored is kept in ``stored/databases``."""

from __future__ import annotations

import os
import re
import subprocess
import sys
from collections import Counter
from pathlib import Path
from typing import Any, ClassVar

from django.db import connection, migrations, models
from django.db.migrations.executor import MigrationExecutor
from django.db.migrations.loader import MigrationLoader
from django.test import SimpleTestCase, TransactionTestCase

from keeping.backups import program_at
from launcher.paths import SERVER_PATH
from server.tests.stored_databases import (
    STORED,
    address_of,
    documents,
    empty_database,
    put_into,
)

_UPGRADE = """
import os, sys
import django
django.setup()
from django.core.management import call_command
from django.db import connections
for name in sys.argv[1:]:
    child = os.fork()
    if child:
        failed = os.waitpid(child, 0)[1]
        assert not failed, name
        continue
    connections.databases["default"]["NAME"] = name
    call_command("migrate", verbosity=0)
    call_command("check_data")
    break
"""
"""What ``./yarrow upgrade`` does, and then all of it is read: for one database after the other."""


class Stored(TransactionTestCase):
    def taken_in(self, dump: Path) -> str:
        """The name of a database that a dump was restored to; gone after the test."""
        name = empty_database(self, dump.stem[:2])
        put_into(address_of(name), dump)
        return name

    def upgraded(self, names: list[str]) -> list[int]:
        """How many documents were read of each, once it was brought to this version: on both of a
        machine's cores."""
        own = {"PYTHONPATH": SERVER_PATH, "DJANGO_SETTINGS_MODULE": "config.settings"}
        halves = [
            subprocess.Popen(
                [sys.executable, "-c", _UPGRADE, *half],
                env={**os.environ, **own},
                stdout=subprocess.PIPE,
                stderr=subprocess.PIPE,
                text=True,
            )
            for half in (names[::2], names[1::2])
        ]
        told = [half.communicate() for half in halves]
        for half, (out, error) in zip(halves, told, strict=True):
            self.assertEqual(half.returncode, 0, error + out)
        read = [0] * len(names)
        for first, (out, _) in enumerate(told):
            counts = re.findall(r"All (\d+) documents can be read", out)
            read[first::2] = [int(count) for count in counts]
        return read

    def test_all_that_any_version_stored_comes_into_this_one(self) -> None:
        names = [self.taken_in(dump) for dump in STORED]
        before = [documents(address_of(name)) for name in names]
        read = self.upgraded(names)
        self.assertGreater(len(STORED), 10)
        for dump, name, was, count in zip(STORED, names, before, read, strict=True):
            with self.subTest(dump.stem):
                now = documents(address_of(name))
                self.assertGreater(len(was["documents"]), 5)
                self.assertEqual(was["documents"], now["documents"])
                # What had no revision has one of what it was.
                gone = Counter(was["revisions"]) - Counter(now["revisions"])
                self.assertEqual(gone, Counter())
                self.assertEqual(was["members"], now["members"])
                self.assertEqual(count, len(now["documents"]) + len(now["revisions"]))


class SideBySide(SimpleTestCase):
    """While machines are upgraded one after the other, servers of the version before go on with the
    database of this one: a migration only adds, and what it adds to a table that is there may be
    left out."""

    ADDS: ClassVar = (
        migrations.CreateModel,
        migrations.AddIndex,
        migrations.AddConstraint,
        migrations.AlterModelOptions,
        migrations.AlterModelManagers,
    )

    def test_what_comes_after_the_newest_stored_version_only_adds(self) -> None:
        known = _known_to(STORED[-1])
        loader = MigrationLoader(None)
        own = [
            (label, name, migration)
            for (label, name), migration in loader.disk_migrations.items()
            if (label, name) not in known and label not in _OTHERS and not migration.replaces
        ]
        self.assertTrue(own)
        for label, name, migration in own:
            for operation in migration.operations:
                with self.subTest(f"{label}.{name}: {operation.describe()}"):
                    self.assertTrue(isinstance(operation, self.ADDS) or _may_be_left_out(operation))


_OTHERS = ("procrastinate",)
"""Whose makers keep the same promise for their own."""


def _may_be_left_out(operation: Any) -> bool:
    if not isinstance(operation, migrations.AddField):
        return False
    field = operation.field
    return bool(field.null or field.db_default is not models.NOT_PROVIDED)


def _known_to(dump: Path) -> set[tuple[str, str]]:
    """The migrations that a stored database had."""
    told = subprocess.run(
        [program_at("pg_restore"), "--data-only", "--table=django_migrations", "-f-", str(dump)],
        check=True,
        capture_output=True,
        text=True,
    ).stdout
    rows = (line.split("\t") for line in told.splitlines())
    return {(row[1], row[2]) for row in rows if len(row) == 4}


class Failing(TransactionTestCase):
    def test_a_migration_that_fails_leaves_the_database_to_the_version_before(self) -> None:
        executor = MigrationExecutor(connection)
        before = _schema()
        broken = migrations.Migration("broken", "jobs")
        (leaf,) = [key for key in executor.loader.graph.leaf_nodes() if key[0] == "jobs"]
        broken.dependencies = [leaf]
        broken.operations = [
            migrations.RunSQL("CREATE TABLE half_made (id integer)"),
            migrations.RunSQL("UPDATE jobs_run SET version = version + 1"),
            migrations.RunSQL("SELECT 1 / 0"),
        ]
        executor.loader.graph.add_node(("jobs", "broken"), broken)
        executor.loader.graph.add_dependency(broken, ("jobs", "broken"), leaf)
        with self.assertRaisesRegex(Exception, "division by zero"):
            executor.migrate([("jobs", "broken")])
        self.assertEqual(_schema(), before)
        applied = MigrationLoader(connection).applied_migrations
        self.assertNotIn(("jobs", "broken"), applied or {})


def _schema() -> list[tuple[Any, ...]]:
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT table_name, column_name, data_type FROM information_schema.columns "
            "WHERE table_schema = 'public' ORDER BY 1, 2"
        )
        return list(cursor.fetchall())
