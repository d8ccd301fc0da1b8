import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True

    dependencies = [
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.CreateModel(
            name="Revision",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("kind", models.CharField(max_length=60)),
                ("row_id", models.PositiveBigIntegerField()),
                ("version", models.PositiveIntegerField()),
                ("document", models.JSONField()),
                ("saved_at", models.DateTimeField(auto_now_add=True)),
                ("restored_from", models.PositiveIntegerField(blank=True, null=True)),
                (
                    "saved_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
            ],
            options={
                "ordering": ("-version",),
                "constraints": [
                    models.UniqueConstraint(
                        fields=["kind", "row_id", "version"],
                        name="one_revision_of_a_document_a_version",
                    )
                ],
            },
        ),
    ]
