from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [("crib", "0002_cribbender_removed_at_benderrevision")]

    operations = [migrations.RenameModel(old_name="CribBender", new_name="CrewBender")]
