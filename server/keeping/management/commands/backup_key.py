"""Prints a new key for backups."""

from __future__ import annotations

from typing import Any

from django.core.management.base import BaseCommand

from keeping.backups import new_key


class Command(BaseCommand):
    """``manage.py backup_key``."""

    help = __doc__

    def handle(self, *args: Any, **options: Any) -> None:
        """Print it."""
        self.stdout.write(new_key(), ending="")
