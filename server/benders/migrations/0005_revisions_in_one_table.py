from django.db import migrations

from versions.migrations._moving import move_revisions


class Migration(migrations.Migration):
    dependencies = [
        ("crib", "0004_a_crews_own_fittings"),
        ("versions", "0001_one_table_of_revisions"),
    ]

    operations = [
        move_revisions("crib.crewbender", "crib_benderrevision", "bender_id"),
        move_revisions("crib.crewfittings", "crib_fittingsrevision", "fittings_id"),
        migrations.DeleteModel(name="BenderRevision"),
        migrations.DeleteModel(name="FittingsRevision"),
    ]
