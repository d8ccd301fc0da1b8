"""Every run gets a key, and what is told of boxes by a run's name alone goes by its key."""

from uuid import uuid4

from django.db import migrations, models

import jobs.models


def give_keys(apps, schema_editor):
    """One each; and in boxes, where the name is that of one run alone."""
    runs = apps.get_model("jobs", "Run").objects
    for row in runs.only("id").iterator():
        runs.filter(id=row.id).update(key=uuid4().hex)
    for box in apps.get_model("jobs", "SiteBox").objects.iterator():
        named = {}
        for name, key in runs.filter(job=box.job_id, removed_at=None).values_list("name", "key"):
            named.setdefault(name, []).append(key)
        entries = box.document.get("entries", [])
        for entry in entries:
            keys = named.get(entry["run"], [])
            if len(keys) == 1:
                entry["run_key"] = keys[0]
        if entries:
            box.save(update_fields=["document"])
            newest = box.revisions.filter(version=box.version)
            newest.update(document=box.document)


class Migration(migrations.Migration):
    dependencies = [("jobs", "0004_sitebox_removed_at_boxrevision")]

    operations = [
        migrations.AddField(
            "run", "key", models.CharField(max_length=40, default="", editable=False)
        ),
        migrations.RunPython(give_keys, migrations.RunPython.noop),
        migrations.AlterField(
            "run",
            "key",
            models.CharField(max_length=40, default=jobs.models.new_key, editable=False),
        ),
        migrations.AddConstraint(
            "run",
            models.UniqueConstraint(fields=("job", "key"), name="one_run_a_key_in_a_job"),
        ),
    ]
