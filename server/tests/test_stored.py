"""What earlier versions stored: their databases are migrated in place, their files open."""

from __future__ import annotations

import base64
import gzip
import io
import json
import zipfile
from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.db import connection
from django.db.migrations.autodetector import MigrationAutodetector
from django.db.migrations.executor import MigrationExecutor
from django.db.migrations.loader import MigrationLoader
from django.test import SimpleTestCase, TransactionTestCase
from django.utils.dateparse import parse_datetime

from server.tests.people import CrewTest
from versions.models import Revision

STORED = Path(__file__).parent / "stored"
BEFORE: list[tuple[str, str | None]] = [
    ("jobs", "0013_what_runs_take"),
    ("crib", "0004_a_crews_own_fittings"),
    ("versions", None),
]
AFTER: list[tuple[str, str | None]] = [
    ("versions", "0001_one_table_of_revisions"),
    ("jobs", "0014_revisions_in_one_table"),
    ("crib", "0005_revisions_in_one_table"),
]
TABLES = (
    *("accounts_crew", "accounts_member", "jobs_job", "jobs_jobwall", "jobs_run", "jobs_sitebox"),
    *("jobs_jobstock", "jobs_jobsite", "jobs_sitepicture", "jobs_pieceatbench"),
    *("crib_crewbender", "crib_crewfittings"),
)
REVISIONS = {
    "jobs_revision": ("jobs.run", "run_id"),
    "jobs_boxrevision": ("jobs.sitebox", "box_id"),
    "jobs_stockrevision": ("jobs.jobstock", "stock_id"),
    "jobs_wallrevision": ("jobs.jobwall", "wall_id"),
    "jobs_siterevision": ("jobs.jobsite", "site_id"),
    "jobs_benchrevision": ("jobs.pieceatbench", "at_bench_id"),
    "crib_benderrevision": ("crib.crewbender", "bender_id"),
    "crib_fittingsrevision": ("crib.crewfittings", "fittings_id"),
}


def migrate(targets: list[tuple[str, str | None]]) -> None:
    """Step by step, as a database that has been through some goes on."""
    executor = MigrationExecutor(connection)
    executor.loader = MigrationLoader(connection, replace_migrations=False)
    executor.migrate(targets)


def put_in(table: str, columns: list[str], rows: list[list[Any]]) -> None:
    names = ", ".join(f'"{column}"' for column in columns)
    places = ", ".join(["%s"] * len(columns))
    with connection.cursor() as cursor:
        for row in rows:
            cursor.execute(
                f"INSERT INTO {table} ({names}) VALUES ({places})", [_stored(v) for v in row]
            )


def _stored(value: Any) -> Any:
    if isinstance(value, dict) and set(value) == {"bytes"}:
        return base64.b64decode(value["bytes"])
    return json.dumps(value) if isinstance(value, dict | list) else value


class InPlace(TransactionTestCase):
    def test_revisions_of_a_table_a_kind_come_into_one_and_none_is_lost(self) -> None:
        packed = (STORED / "revisions-by-kind.json.gz").read_bytes()
        stored: dict[str, Any] = json.loads(gzip.decompress(packed))
        migrate(BEFORE)
        try:
            for table in (*TABLES, *REVISIONS):
                put_in(table, stored[table]["columns"], stored[table]["rows"])
        finally:
            migrate(AFTER)
        found = 0
        for table, (kind, column) in REVISIONS.items():
            for row in stored[table]["rows"]:
                was = dict(zip(stored[table]["columns"], row, strict=True))
                now = Revision.objects.get(kind=kind, row_id=was[column], version=was["version"])
                document = was["document"]
                self.assertEqual(
                    now.document, json.loads(document) if isinstance(document, str) else document
                )
                self.assertEqual(now.saved_at, parse_datetime(was["saved_at"]))
                self.assertEqual(
                    (now.saved_by_id, now.restored_from), (was["saved_by_id"], was["restored_from"])
                )
                found += 1
        self.assertEqual((Revision.objects.count(), found > 40), (found, True))
        told = io.StringIO()
        call_command("check_data", stdout=told)
        self.assertRegex(told.getvalue(), r"All \d+ documents can be read\.")


class AtOnce(SimpleTestCase):
    def test_all_steps_as_one_come_to_the_same_tables_as_step_by_step(self) -> None:
        loader = MigrationLoader(None, replace_migrations=False)
        at_once = [(app, f"0001_squashed_{step}") for app, step in AFTER if app != "versions"]
        one_by_one = loader.project_state(AFTER)
        together = loader.project_state([*at_once, AFTER[0]])
        for before, after in ((one_by_one, together), (together, one_by_one)):
            found = MigrationAutodetector(before, after).changes(graph=loader.graph)
            self.assertEqual(found, {})


class Files(CrewTest):
    def test_a_job_s_file_of_an_earlier_version_opens_and_goes_out_with_the_same_in_it(
        self,
    ) -> None:
        for name in ("saltmarsh-0.1.zip", "harrow-lock-0.1.zip"):
            with self.subTest(name):
                data = (STORED / name).read_bytes()
                made = self.send("post", "/api/jobs/archive", data)
                self.assertEqual(made.status_code, 201, made.content)
                out = self.send("get", f"/api/jobs/{made.json()['id']}/archive").getvalue()
                was, now = contents(data), contents(out)
                for document in was.values():
                    # A bender that comes in is no crew's by its number.
                    if isinstance(document.get("bender"), dict):
                        document["bender"].pop("kept", None)
                for file in was:
                    folder = file.partition("/")[0]
                    if folder not in ("pictures", "sites", "benders"):
                        self.assertEqual(now[file], was[file], file)
                # Ducts name their picture by what was drawn anew, ticks whom the file says.
                sites = [now[file] for file in was if file.startswith("sites/")]
                self.assertEqual(len(sites), sum(file.startswith("pictures/") for file in now))


def contents(data: bytes) -> dict[str, Any]:
    """The documents of a job's file by their names; of its manifest only the job."""
    with zipfile.ZipFile(io.BytesIO(data)) as packed:
        found = {name: json.loads(packed.read(name)) for name in packed.namelist()}
    manifest = found["manifest.json"]
    kept = ("format", "name", "place", "units", "rules", "runs", "run_keys")
    found["manifest.json"] = {name: manifest[name] for name in kept}
    return found
