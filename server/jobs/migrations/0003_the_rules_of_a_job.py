"""A job's rule set: what is usual with its units, for jobs that are there already."""

from __future__ import annotations

from typing import Any

from django.db import migrations, models


def usual_rules(apps: Any, schema_editor: Any) -> None:
    """Metric jobs by BS 7671."""
    apps.get_model("jobs", "Job").objects.filter(units="mm").update(rules="uk")


class Migration(migrations.Migration):
    dependencies = [("jobs", "0002_what_is_told_of_boxes")]

    operations = [
        migrations.AddField(
            model_name="job",
            name="rules",
            field=models.CharField(
                choices=[("us", "NFPA 70"), ("uk", "BS 7671")], default="us", max_length=2
            ),
            preserve_default=False,
        ),
        migrations.RunPython(usual_rules, migrations.RunPython.noop),
    ]
