"""Forgets who somebody was, once they were put out of their crew; what they made stays."""

from __future__ import annotations

from argparse import ArgumentParser
from typing import Any

from django.core.management.base import BaseCommand, CommandError

from accounts.audit import record
from accounts.models import Member
from accounts.own_data import forget


class Command(BaseCommand):
    """``manage.py forget_person USERNAME``."""

    help = __doc__

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Whom."""
        parser.add_argument("username")

    def handle(self, *args: Any, **options: Any) -> None:
        """Forget them.

        Raises:
            CommandError.
        """
        member = Member.objects.filter(username=options["username"]).first()
        if member is None:
            raise CommandError(f"There is nobody called {options['username']}.")
        try:
            now = forget(member)
        except ValueError as refused:
            raise CommandError(str(refused)) from None
        record("forget_person", crew=member.crew_id, member=None, about={"now": now})
        self.stdout.write(f"They are called {now} from now on, and nobody can sign in as them.")
