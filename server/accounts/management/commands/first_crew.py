"""Makes a crew, and a link by which whoever leads it comes in."""

from __future__ import annotations

from argparse import ArgumentParser
from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from accounts.people import first_crew
from yarrow import DocumentError


class Command(BaseCommand):
    """``manage.py first_crew NAME``; again, where the link ended before anybody came in by it."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """What it is called."""
        parser.add_argument("name")

    def handle(self, *args: Any, **options: Any) -> None:
        """Make it.

        Raises:
            CommandError.
        """
        try:
            link, key = first_crew(options["name"])
        except DocumentError as refused:
            raise CommandError(str(refused)) from None
        record("first_crew", crew=link.crew_id, member=None, about={"name": link.crew.name})
        at = next(iter(settings.CSRF_TRUSTED_ORIGINS), "")
        self.stdout.write(
            f"{at}/enter#{key}\n"
            f"Whoever opens this comes in as lead of {link.crew.name}: once, until "
            f"{link.ends_at:%d %B %Y, %H:%M} UTC."
        )
