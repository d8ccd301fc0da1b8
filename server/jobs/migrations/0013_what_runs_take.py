from django.core.management import call_command
from django.db import migrations
from django.db.backends.base.schema import BaseDatabaseSchemaEditor
from django.db.migrations.state import StateApps


def make_table(apps: StateApps, schema_editor: BaseDatabaseSchemaEditor) -> None:
    """The table of the cache that what runs take is kept in."""
    call_command("createcachetable", "worked_out", database=schema_editor.connection.alias)


class Migration(migrations.Migration):
    dependencies = [("jobs", "0012_the_sites_of_a_job")]

    operations = [migrations.RunPython(make_table, migrations.RunPython.noop)]
