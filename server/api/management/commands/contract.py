"""Prints the API's OpenAPI document, for contracts/openapi.json."""

from __future__ import annotations

import json
from typing import Any

from django.core.management.base import BaseCommand

from api.api import api


class Command(BaseCommand):
    """``manage.py contract``."""

    help = __doc__
    requires_system_checks: list[str] = []  # noqa: RUF012 (Django's own form)

    def handle(self, *args: Any, **options: Any) -> None:
        """Print it, sorted, so that a difference is a difference."""
        document = api.get_openapi_schema(path_prefix="/api/")
        self.stdout.write(json.dumps(document, indent=1, sort_keys=True, ensure_ascii=False))
