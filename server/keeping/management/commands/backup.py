"""Writes a backup of all that is kept, and reads it again."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from keeping.backups import BackupRefused, back_up


class Command(BaseCommand):
    """``manage.py backup FILE [--key KEY]``."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Where it goes, and what it is locked with."""
        parser.add_argument("file", type=Path)
        parser.add_argument("--key", type=Path)

    def handle(self, *args: Any, **options: Any) -> None:
        """Write it.

        Raises:
            CommandError.
        """
        file: Path = options["file"].resolve()
        try:
            manifest = back_up(file, options["key"])
        except (BackupRefused, OSError) as refused:
            raise CommandError(f"No backup was made. {refused}") from None
        record("backup", crew=None, member=None, about={"sha256": manifest.sha256})
        locked = "locked" if options["key"] else "not locked: whoever has it can read all of it"
        rows = sum(manifest.rows.values())
        self.stdout.write(f"{file}: {rows} rows in {len(manifest.rows)} tables, {locked}.")
