"""Moves the revisions of a kind out of a table of their own into the one of all kinds, and back."""

from __future__ import annotations

from typing import Any

from django.db import migrations

_BESIDE = "version, document, saved_by_id, saved_at, restored_from"


def move_revisions(kind: str, table: str, column: str) -> migrations.RunPython:
    """The step of a migration.

    Args:
        kind: the label of the model whose documents they are.
        table: that their revisions lay in.
        column: of that, with the document's row.
    """

    def there(apps: Any, editor: Any) -> None:
        editor.execute(
            f"INSERT INTO versions_revision (kind, row_id, {_BESIDE}) "
            f"SELECT %s, {column}, {_BESIDE} FROM {table} ORDER BY id",
            [kind],
        )

    def back(apps: Any, editor: Any) -> None:
        editor.execute(
            f"INSERT INTO {table} ({column}, {_BESIDE}) "
            f"SELECT row_id, {_BESIDE} FROM versions_revision WHERE kind = %s ORDER BY id",
            [kind],
        )
        editor.execute("DELETE FROM versions_revision WHERE kind = %s", [kind])

    return migrations.RunPython(there, back)
