from django.conf import settings
from django.db import migrations, models


def fill_search(apps, schema_editor):
    for session in apps.get_model("live", "LiveSession").objects.only("pk", "title").iterator():
        session.search_text = f"{session.title}\n".casefold()
        session.save(update_fields=["search_text"])


class Migration(migrations.Migration):
    dependencies = [
        ("live", "0009_own_lights"),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.AddField("livesession", "note", models.TextField(blank=True, default=""), preserve_default=False),
        migrations.AddField(
            "livesession", "search_text", models.TextField(blank=True, default=""), preserve_default=False
        ),
        migrations.AddField("livesession", "archived_at", models.DateTimeField(blank=True, null=True)),
        migrations.AddField("livesession", "deleted_at", models.DateTimeField(blank=True, null=True)),
        migrations.AddIndex(
            "livesession",
            models.Index(fields=["owner", "deleted_at", "-created_at"], name="live_livese_owner_i_29ae85_idx"),
        ),
        migrations.AddIndex(
            "sessionevent",
            models.Index(condition=models.Q(set_aside=True), fields=["session"], name="events_set_aside"),
        ),
        migrations.RunPython(fill_search, migrations.RunPython.noop),
    ]
