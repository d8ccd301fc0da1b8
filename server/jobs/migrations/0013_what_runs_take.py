from django.db import migrations

from jobs.migrations._cache_table import make_cache_table


class Migration(migrations.Migration):
    dependencies = [("jobs", "0012_the_sites_of_a_job")]

    operations = [make_cache_table()]
