"""Makes a link by which somebody takes a new password: for a lead who lost theirs."""

from __future__ import annotations

from argparse import ArgumentParser
from typing import Any

from django.conf import settings
from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from accounts.links import new_password_link
from accounts.models import Member


class Command(BaseCommand):
    """``manage.py password_link USERNAME``."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Whose."""
        parser.add_argument("username")

    def handle(self, *args: Any, **options: Any) -> None:
        """Make it.

        Raises:
            CommandError.
        """
        member = Member.objects.filter(username=options["username"], is_active=True).first()
        if member is None:
            raise CommandError(f"There is nobody called {options['username']} who may sign in.")
        link, key = new_password_link(member, None)
        record("password_link", crew=member.crew_id, member=None, about={"of": member.username})
        at = next(iter(settings.CSRF_TRUSTED_ORIGINS), "")
        self.stdout.write(
            f"{at}/enter#{key}\nIt opens once, until {link.ends_at:%d %B %Y, %H:%M} UTC."
        )
