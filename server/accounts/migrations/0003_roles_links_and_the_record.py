import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models

ROLES = [("lead", "Lead"), ("planner", "Planner"), ("bender", "Bender"), ("inspector", "Inspector")]

WRITTEN_ONCE = """
CREATE FUNCTION record_is_written_once() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    RAISE EXCEPTION 'what was recorded stays as it is';
END $$;
CREATE TRIGGER record_is_written_once BEFORE UPDATE OR DELETE ON accounts_auditentry
    FOR EACH ROW EXECUTE FUNCTION record_is_written_once();
"""
NOT_ANY_MORE = """
DROP TRIGGER record_is_written_once ON accounts_auditentry;
DROP FUNCTION record_is_written_once();
"""


def first_leads(apps, _):
    """Crews of before have somebody who leads them: whoever was there first."""
    Crew = apps.get_model("accounts", "Crew")
    Member = apps.get_model("accounts", "Member")
    for crew in Crew.objects.all():
        members = Member.objects.filter(crew=crew)
        first = members.order_by("-is_active", "id").first()
        if first:
            members.filter(id=first.id).update(role="lead")


def to_member(**options):
    return models.ForeignKey(
        on_delete=django.db.models.deletion.PROTECT, to=settings.AUTH_USER_MODEL, **options
    )


def to_crew(**options):
    return models.ForeignKey(
        on_delete=django.db.models.deletion.PROTECT, to="accounts.crew", **options
    )


class Migration(migrations.Migration):
    dependencies = [
        ("accounts", "0002_sessions_with_their_members"),
    ]

    operations = [
        migrations.AddField(
            # With defaults of the database: a server of the version before, which goes on until it
            # is replaced, knows nothing of these.
            "member",
            "role",
            models.CharField(choices=ROLES, default="planner", db_default="planner", max_length=12),
        ),
        migrations.AddField("membersession", "begun_at", models.DateTimeField(null=True)),
        migrations.AddField(
            "membersession", "device", models.CharField(default="", db_default="", max_length=200)
        ),
        migrations.AddField("membersession", "address", models.GenericIPAddressField(null=True)),
        migrations.CreateModel(
            name="EntryLink",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("digest", models.CharField(max_length=64, unique=True)),
                ("role", models.CharField(choices=ROLES, max_length=12)),
                ("email", models.EmailField(blank=True, max_length=254)),
                ("invites", models.BooleanField()),
                ("made_at", models.DateTimeField(auto_now_add=True)),
                ("ends_at", models.DateTimeField()),
                ("used_at", models.DateTimeField(null=True)),
                ("withdrawn_at", models.DateTimeField(null=True)),
                ("crew", to_crew(related_name="links")),
                ("made_by", to_member(null=True, related_name="+")),
                ("member", to_member(null=True, related_name="links")),
            ],
        ),
        migrations.CreateModel(
            name="AuditEntry",
            fields=[
                (
                    "id",
                    models.BigAutoField(
                        auto_created=True, primary_key=True, serialize=False, verbose_name="ID"
                    ),
                ),
                ("at", models.DateTimeField(auto_now_add=True)),
                ("did", models.CharField(max_length=60)),
                ("about", models.JSONField(default=dict)),
                ("address", models.GenericIPAddressField(null=True)),
                ("crew", to_crew(null=True, related_name="+")),
                ("member", to_member(null=True, related_name="+")),
            ],
            options={
                "ordering": ("-id",),
                "indexes": [models.Index(fields=["crew", "-id"], name="audit_of_a_crew")],
            },
        ),
        migrations.CreateModel(
            name="Tries",
            fields=[
                (
                    "what",
                    models.CharField(max_length=200, primary_key=True, serialize=False),
                ),
                ("count", models.PositiveIntegerField()),
                ("ends_at", models.DateTimeField(db_index=True)),
            ],
        ),
        migrations.RunPython(first_leads, migrations.RunPython.noop),
        migrations.RunSQL(WRITTEN_ONCE, NOT_ANY_MORE),
    ]
