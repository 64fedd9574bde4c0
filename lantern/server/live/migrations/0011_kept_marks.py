from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("live", "0010_notes_and_archive")]

    operations = [
        migrations.CreateModel(
            "KeptMarks",
            [
                (
                    "session",
                    models.OneToOneField(
                        on_delete=models.CASCADE,
                        primary_key=True,
                        related_name="kept_marks",
                        serialize=False,
                        to="live.livesession",
                    ),
                ),
                ("table", models.JSONField()),
            ],
        ),
    ]
