"""Databases that earlier versions stored, and what people made in one."""

from __future__ import annotations

import json
import subprocess
from pathlib import Path
from typing import Any
from unittest import TestCase

import psycopg
from django.db import connection
from psycopg import sql

from keeping.backups import program_at

STORED = sorted((Path(__file__).parent / "stored" / "databases").glob("*.dump"))
"""One of each version that stored something else, the oldest first; each with its demo's data."""


def address_of(name: str) -> str:
    """A database of the cluster that tests are run on."""
    at = connection.settings_dict
    return f"postgresql://{at['USER']}:{at['PASSWORD']}@{at['HOST']}:{at['PORT']}/{name}"


def empty_database(test: TestCase, suffix: str) -> str:
    """Another database of the same cluster, gone after the test: its name."""
    name = f"{connection.settings_dict['NAME']}_{suffix}"
    drop = f'DROP DATABASE IF EXISTS "{name}" WITH (FORCE)'
    with connection.cursor() as cursor:
        cursor.execute(drop)
        cursor.execute(f'CREATE DATABASE "{name}"')
    test.addCleanup(lambda: connection.cursor().execute(drop))
    return name


def put_into(address: str, dump: Path) -> None:
    """An empty database is as that one was."""
    restore = [program_at("pg_restore"), "--no-owner", "--exit-on-error", f"-d{address}"]
    subprocess.run([*restore, str(dump)], check=True)


def documents(address: str) -> dict[str, list[str]]:
    """What people made, by the columns that every version has: each document, each revision, who
    there is. In the order of their text."""
    with psycopg.connect(address) as there:
        tables = {
            name: {column for (column,) in there.execute(_COLUMNS, [name]).fetchall()}
            for (name,) in there.execute(_TABLES).fetchall()
        }
        kept = [name for name, columns in tables.items() if "document" in columns]
        revisions = [name for name in kept if "revision" in name]
        rows = {
            "documents": [
                row for name in kept if name not in revisions for row in _rows(there, name)
            ],
            "revisions": [row for name in revisions for row in _rows(there, name)],
            "members": [
                str(row) for row in there.execute("SELECT username, password FROM accounts_member")
            ],
        }
    return {name: sorted(texts) for name, texts in rows.items()}


_TABLES = "SELECT table_name FROM information_schema.tables WHERE table_schema = 'public'"
_COLUMNS = "SELECT column_name FROM information_schema.columns WHERE table_name = %s"


def _rows(there: psycopg.Connection[Any], table: str) -> list[str]:
    query = sql.SQL("SELECT version, document FROM {}").format(sql.Identifier(table))
    return [
        json.dumps([version, _without_keys(document)], sort_keys=True)
        for version, document in there.execute(query)
    ]


def _without_keys(document: dict[str, Any]) -> dict[str, Any]:
    """A box as it was before its runs had keys of their own."""
    entries = document.get("entries")
    if not isinstance(entries, list):
        return document
    kept = [{name: it for name, it in each.items() if name != "run_key"} for each in entries]
    return {**document, "entries": kept}
