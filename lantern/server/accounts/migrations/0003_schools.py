"""Teachers belong to a school. Whoever has shared an installation until now is one school; who came first keeps it."""

from typing import Any

import django.db.models.deletion
from django.db import migrations, models


def one_school(apps: Any, schema_editor: Any) -> None:
    teachers = apps.get_model("accounts", "Teacher").objects
    first = teachers.order_by("pk").first()
    if first is None:
        return
    school = apps.get_model("accounts", "School").objects.create()
    teachers.update(school=school)
    teachers.filter(pk=first.pk).update(role="keeper")


class Migration(migrations.Migration):
    dependencies = [("accounts", "0002_invitations")]

    operations = [
        migrations.CreateModel(
            "School",
            [
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("name", models.CharField(max_length=120, blank=True)),
                ("settings", models.JSONField(default=dict)),
                ("created_at", models.DateTimeField(auto_now_add=True)),
            ],
        ),
        migrations.AddField(
            "teacher",
            "role",
            models.CharField(max_length=8, choices=[("teacher", "Teacher"), ("keeper", "Keeper")], default="teacher"),
        ),
        migrations.AddField(
            "teacher",
            "school",
            models.ForeignKey(
                "accounts.School", null=True, on_delete=django.db.models.deletion.PROTECT, related_name="teachers"
            ),
        ),
        migrations.RunPython(one_school, migrations.RunPython.noop),
        migrations.AlterField(
            "teacher",
            "school",
            models.ForeignKey("accounts.School", on_delete=django.db.models.deletion.PROTECT, related_name="teachers"),
        ),
        migrations.AddField(
            "invitation",
            "school",
            models.ForeignKey(
                "accounts.School",
                null=True,
                blank=True,
                on_delete=django.db.models.deletion.CASCADE,
                related_name="invitations",
            ),
        ),
    ]
