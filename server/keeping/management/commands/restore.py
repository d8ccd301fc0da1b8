"""Takes a backup into an empty database, and brings that to this version."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management import call_command
from django.core.management.base import BaseCommand, CommandError

from keeping.backups import BackupRefused, restore


class Command(BaseCommand):
    """``manage.py restore FILE [--key KEY]``."""

    help = __doc__
    requires_migrations_checks = False

    def add_arguments(self, parser: ArgumentParser) -> None:
        """What is taken in, and what opens it."""
        parser.add_argument("file", type=Path)
        parser.add_argument("--key", type=Path)

    def handle(self, *args: Any, **options: Any) -> None:
        """Take it in.

        Raises:
            CommandError.
        """
        try:
            manifest = restore(options["file"].resolve(), options["key"])
        except (BackupRefused, OSError) as refused:
            raise CommandError(f"Nothing was restored. {refused}") from None
        call_command("migrate", verbosity=0)
        self.stdout.write(
            f"Restored as it was at {manifest.made_at}: {sum(manifest.rows.values())} rows."
        )
