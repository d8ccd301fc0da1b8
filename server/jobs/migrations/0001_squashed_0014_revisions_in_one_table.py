"""All steps so far as one, for a database that has none of them; one that has some goes on by these."""

import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models

import jobs.models
from jobs.migrations._cache_table import make_cache_table


class Migration(migrations.Migration):
    replaces = [
        ("jobs", "0001_initial"),
        ("jobs", "0002_what_is_told_of_boxes"),
        ("jobs", "0003_the_rules_of_a_job"),
        ("jobs", "0004_sitebox_removed_at_boxrevision"),
        ("jobs", "0005_the_key_of_a_run"),
        ("jobs", "0006_rules_and_units"),
        ("jobs", "0007_how_far_a_run_is"),
        ("jobs", "0008_the_stock_of_a_job"),
        ("jobs", "0009_the_walls_of_a_job"),
        ("jobs", "0010_the_runs_of_a_wall"),
        ("jobs", "0011_a_piece_at_the_bench"),
        ("jobs", "0012_the_sites_of_a_job"),
        ("jobs", "0013_what_runs_take"),
        ("jobs", "0014_revisions_in_one_table"),
    ]

    initial = True

    dependencies = [
        ("accounts", "0002_sessions_with_their_members"),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.CreateModel(
            name="Job",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("name", models.CharField(max_length=120)),
                ("place", models.CharField(blank=True, max_length=200)),
                (
                    "units",
                    models.CharField(
                        choices=[("in", "inches"), ("mm", "millimetres")], max_length=2
                    ),
                ),
                (
                    "rules",
                    models.CharField(choices=[("us", "NFPA 70"), ("uk", "BS 7671")], max_length=2),
                ),
                ("created_at", models.DateTimeField(auto_now_add=True)),
                (
                    "crew",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="jobs",
                        to="accounts.crew",
                    ),
                ),
            ],
            options={
                "ordering": ("name", "id"),
            },
        ),
        migrations.CreateModel(
            name="JobSite",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                ("name", models.CharField(max_length=120)),
                (
                    "job",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="sites",
                        to="jobs.job",
                    ),
                ),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
            ],
            options={
                "ordering": ("name", "id"),
            },
        ),
        migrations.CreateModel(
            name="JobStock",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                (
                    "job",
                    models.OneToOneField(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="stock",
                        to="jobs.job",
                    ),
                ),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
            ],
            options={
                "abstract": False,
            },
        ),
        migrations.CreateModel(
            name="JobWall",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                ("name", models.CharField(max_length=120)),
                (
                    "job",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="walls",
                        to="jobs.job",
                    ),
                ),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
            ],
            options={
                "ordering": ("name", "id"),
            },
        ),
        migrations.CreateModel(
            name="Run",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                (
                    "key",
                    models.CharField(default=jobs.models.new_key, editable=False, max_length=40),
                ),
                ("name", models.CharField(max_length=120)),
                ("conduit", models.CharField(max_length=60)),
                ("cut_length_text", models.CharField(max_length=30)),
                ("bend_degrees", models.FloatField()),
                ("worst_finding", models.CharField(blank=True, max_length=10)),
                ("cut_length_mm", models.FloatField(default=0)),
                ("shape", models.JSONField(default=list)),
                ("stage", models.CharField(default="draft", max_length=6)),
                (
                    "job",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="runs",
                        to="jobs.job",
                    ),
                ),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
                (
                    "wall",
                    models.ForeignKey(
                        blank=True,
                        null=True,
                        on_delete=django.db.models.deletion.SET_NULL,
                        related_name="runs",
                        to="jobs.jobwall",
                    ),
                ),
            ],
            options={
                "ordering": ("name", "id"),
            },
        ),
        migrations.CreateModel(
            name="PieceAtBench",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                ("piece", models.PositiveSmallIntegerField()),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
                (
                    "run",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="at_bench",
                        to="jobs.run",
                    ),
                ),
            ],
        ),
        migrations.CreateModel(
            name="SiteBox",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("document", models.JSONField()),
                ("version", models.PositiveIntegerField(default=1)),
                ("updated_at", models.DateTimeField(auto_now=True)),
                ("removed_at", models.DateTimeField(blank=True, null=True)),
                ("name", models.CharField(max_length=80)),
                ("key", models.CharField(max_length=160)),
                (
                    "job",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="boxes",
                        to="jobs.job",
                    ),
                ),
                (
                    "updated_by",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.PROTECT,
                        related_name="+",
                        to=settings.AUTH_USER_MODEL,
                    ),
                ),
            ],
            options={
                "ordering": ("name", "id"),
            },
        ),
        migrations.CreateModel(
            name="SitePicture",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("key", models.CharField(max_length=64)),
                ("data", models.BinaryField()),
                ("width", models.PositiveIntegerField()),
                ("height", models.PositiveIntegerField()),
                ("created_at", models.DateTimeField(auto_now_add=True)),
                (
                    "site",
                    models.ForeignKey(
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="pictures",
                        to="jobs.jobsite",
                    ),
                ),
            ],
        ),
        migrations.AddConstraint(
            model_name="job",
            constraint=models.CheckConstraint(
                condition=models.Q(("rules__in", ("us", "uk")), ("units__in", ("in", "mm"))),
                name="job_has_rules_and_units",
            ),
        ),
        migrations.AddConstraint(
            model_name="run",
            constraint=models.UniqueConstraint(
                fields=("job", "key"), name="one_run_a_key_in_a_job"
            ),
        ),
        migrations.AddConstraint(
            model_name="run",
            constraint=models.CheckConstraint(
                condition=models.Q(("stage__in", ("draft", "ready", "bent", "fitted"))),
                name="run_has_a_stage",
            ),
        ),
        migrations.AddConstraint(
            model_name="pieceatbench",
            constraint=models.UniqueConstraint(
                fields=("run", "piece"), name="one_bench_a_piece_of_a_run"
            ),
        ),
        migrations.AddConstraint(
            model_name="sitebox",
            constraint=models.UniqueConstraint(
                fields=("job", "key"), name="one_box_a_name_in_a_job"
            ),
        ),
        migrations.AddConstraint(
            model_name="sitepicture",
            constraint=models.UniqueConstraint(fields=("site", "key"), name="one_picture_a_key"),
        ),
        make_cache_table(),
    ]
