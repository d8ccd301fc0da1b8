"""Makes the table of the cache that what runs take is kept in."""

from __future__ import annotations

from django.core.management import call_command
from django.db import migrations
from django.db.backends.base.schema import BaseDatabaseSchemaEditor
from django.db.migrations.state import StateApps


def make_cache_table() -> migrations.RunPython:
    """The step of a migration."""

    def there(apps: StateApps, schema_editor: BaseDatabaseSchemaEditor) -> None:
        call_command("createcachetable", "worked_out", database=schema_editor.connection.alias)

    return migrations.RunPython(there, migrations.RunPython.noop)
