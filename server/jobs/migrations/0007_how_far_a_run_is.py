from django.conf import settings
from django.db import migrations, models

import yarrow
from jobs.runs import shape_of
from yarrow import convert_length


def fill(apps, schema_editor):
    """What is told of runs beside their documents from now on; of those that can't be read, nothing
    until they are mended."""
    for run in apps.get_model("jobs", "Run").objects.iterator(chunk_size=100):
        try:
            plan = yarrow.plan.values(run.document)
        except yarrow.DocumentError:
            continue
        run.cut_length_mm = convert_length(plan.cut_length, plan.units, "mm")
        run.shape = shape_of(plan)
        run.save(update_fields=["cut_length_mm", "shape"])


class Migration(migrations.Migration):
    dependencies = [
        ("jobs", "0006_rules_and_units"),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.AddField(
            model_name="run",
            name="cut_length_mm",
            field=models.FloatField(default=0),
        ),
        migrations.AddField(
            model_name="run",
            name="shape",
            field=models.JSONField(default=list),
        ),
        migrations.AddField(
            model_name="run",
            name="stage",
            field=models.CharField(default="draft", max_length=6),
        ),
        migrations.RunPython(fill, migrations.RunPython.noop),
        migrations.AddConstraint(
            model_name="run",
            constraint=models.CheckConstraint(
                condition=models.Q(("stage__in", ("draft", "ready", "bent", "fitted"))),
                name="run_has_a_stage",
            ),
        ),
    ]
