"""Takes the jobs of a crew's file into a crew, all of them or none."""

from __future__ import annotations

from argparse import ArgumentParser
from pathlib import Path
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from accounts.models import Member
from keeping.backups import BackupRefused
from keeping.crew_file import take_in_crew


class Command(BaseCommand):
    """``manage.py take_in_crew FILE USERNAME``."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """What, and into whose crew."""
        parser.add_argument("file", type=Path)
        parser.add_argument("username", help="of the crew that it comes into")

    def handle(self, *args: Any, **options: Any) -> None:
        """Take it in.

        Raises:
            CommandError.
        """
        member = Member.objects.filter(username=options["username"], is_active=True).first()
        if member is None:
            raise CommandError(f"There is nobody called {options['username']}.")
        try:
            jobs = take_in_crew(options["file"].resolve(), member)
        except BackupRefused as refused:
            raise CommandError(f"Nothing was taken in. {refused}") from None
        record("take_in_crew", crew=member.crew_id, member=member, about={"jobs": jobs})
        self.stdout.write(f"Jobs that came into {member.crew.name}: {jobs}.")
