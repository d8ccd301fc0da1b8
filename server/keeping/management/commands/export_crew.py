"""Writes all of a crew into one file, to be taken in elsewhere."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from accounts.models import Crew
from keeping.backups import BackupRefused
from keeping.crew_file import write_crew


class Command(BaseCommand):
    """``manage.py export_crew NAME FILE``."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Whose, and where to."""
        parser.add_argument("name")
        parser.add_argument("file", type=Path)

    def handle(self, *args: Any, **options: Any) -> None:
        """Write it.

        Raises:
            CommandError.
        """
        crew = Crew.objects.filter(name=options["name"]).first()
        if crew is None:
            raise CommandError(f"There is no crew called {options['name']}.")
        file: Path = options["file"].resolve()
        try:
            jobs = write_crew(crew, file)
        except (BackupRefused, OSError) as refused:
            raise CommandError(str(refused)) from None
        record("export_crew", crew=crew.pk, member=None)
        self.stdout.write(f"{file}: jobs of {crew.name}: {jobs}, with its benders and fittings.")
