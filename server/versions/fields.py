"""The column that a document is stored in: every document that comes out is of today's version."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from django.db import models

from yarrow import upgrade


class DocumentField(models.JSONField):
    """JSON, upgraded as it is read, by rows and by values alike; stored as it was written."""

    def from_db_value(self, value: Any, expression: Any, connection: Any) -> Any:
        """What Django's field reads, as the newest version of its format has it.

        Args:
            value: as the database has it.
            expression: as Django gives it.
            connection: to the database.

        Returns:
            A document.
        """
        return upgrade(super().from_db_value(value, expression, connection))

    def deconstruct(self) -> tuple[str, str, Sequence[Any], dict[str, Any]]:
        """Migrations see the plain field: what they move is what was stored.

        Returns:
            As of Django's JSON field.
        """
        name, _, positional, named = super().deconstruct()
        return name, "django.db.models.JSONField", positional, named
