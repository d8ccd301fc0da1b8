from django.db import migrations

from versions.migrations._moving import move_revisions

KINDS = (
    ("run", "Revision", "run_id"),
    ("sitebox", "BoxRevision", "box_id"),
    ("jobstock", "StockRevision", "stock_id"),
    ("jobwall", "WallRevision", "wall_id"),
    ("jobsite", "SiteRevision", "site_id"),
    ("pieceatbench", "BenchRevision", "at_bench_id"),
)


class Migration(migrations.Migration):
    dependencies = [
        ("jobs", "0013_what_runs_take"),
        ("versions", "0001_one_table_of_revisions"),
    ]

    operations = [
        *(
            move_revisions(f"jobs.{model}", f"jobs_{revision.lower()}", column)
            for model, revision, column in KINDS
        ),
        *(migrations.DeleteModel(name=revision) for _, revision, _ in KINDS),
    ]
