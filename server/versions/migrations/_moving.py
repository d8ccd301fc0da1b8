"""Moves the revisions of a kind out of a table of their own into the one of all kinds, and back."""

from __future__ import annotations

from typing import Any

from django.db import migrations

_BESIDE = "version, document, saved_by_id, saved_at, restored_from"


def move_revisions(app: str, model: str, table: str, column: str) -> migrations.RunPython:
    """The step of a migration.

    Args:
        app: the label of the app whose documents they are.
        model: of those, in small letters.
        table: that their revisions lay in.
        column: of that, with the document's row.
    """

    def there(apps: Any, editor: Any) -> None:
        _run(
            apps,
            editor,
            f"INSERT INTO versions_revision (kind_id, row_id, {_BESIDE}) "
            f"SELECT %s, {column}, {_BESIDE} FROM {table} ORDER BY id",
        )

    def back(apps: Any, editor: Any) -> None:
        _run(
            apps,
            editor,
            f"INSERT INTO {table} ({column}, {_BESIDE}) "
            f"SELECT row_id, {_BESIDE} FROM versions_revision WHERE kind_id = %s ORDER BY id",
        )
        _run(apps, editor, "DELETE FROM versions_revision WHERE kind_id = %s")

    def _run(apps: Any, editor: Any, sql: str) -> None:
        kind, _ = apps.get_model("contenttypes", "ContentType").objects.get_or_create(
            app_label=app, model=model
        )
        editor.execute(sql, [kind.id])

    return migrations.RunPython(there, back)
