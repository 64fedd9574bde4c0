"""Events are told apart by who did them and when; names leave them for the roster; questions are asked in rounds.

Of events whose moment was not kept, the moment of the last one before them stands. What was done at the desk was done by
the session's owner: nobody else could.
"""

import json
from typing import Any

import django.db.models.deletion
from django.db import migrations, models

import lantern.server.live.models as live
from lantern.core.session.stored import EVENT, person_of_seat

FIRST, WITH_PEOPLE = 1, 2
AT_ONCE = 2000


def move_over(apps: Any, schema_editor: Any) -> None:
    events = apps.get_model("live", "SessionEvent")
    people = apps.get_model("live", "Person")
    for session in apps.get_model("live", "LiveSession").objects.all():
        names: dict[int, str] = {}
        at, number, batch = round(session.created_at.timestamp() * 1000), 0, []
        last_command = None
        for row in events.objects.filter(session=session).order_by("seq").iterator(AT_ONCE):
            event = json.loads(row.payload)
            at = event.get("at", at)
            if row.command_id != last_command:
                last_command, number = row.command_id, number + 1
            if event["type"] in ("joined", "renamed"):
                names[event["seat"]] = event["name"]
            row.at = at
            row.role, row.who, row.number = _actor(event, session.owner_id, number)
            row.payload = json.dumps(EVENT.upgrade(FIRST, event, to=WITH_PEOPLE), ensure_ascii=False)
            row.shape = WITH_PEOPLE
            batch.append(row)
        events.objects.bulk_update(
            batch, ["at", "role", "who", "number", "payload", "shape"], batch_size=AT_ONCE // 10
        )
        people.objects.bulk_create(
            people(session=session, key=person_of_seat(seat), name=name)
            for seat, name in names.items()
            if session.settings.get("ask_names", True) or name != f"Guest {seat}"
        )


def _actor(event: dict[str, Any], owner: int, number: int) -> tuple[str, int | None, int]:
    """Role, who, and the number of the command."""
    if event["type"] == "answered":
        return "seat", event["seat"], 1
    if event["type"] == "joined":
        return "seat", None, 0
    if event["type"] == "closed" and event["why"] != "desk":
        return ("clock" if event["why"] == "time" else "room"), None, 0
    return "desk", owner, number


class Migration(migrations.Migration):
    dependencies = [("live", "0002_rules")]

    operations = [
        migrations.AddField("livesession", "settings_shape", models.PositiveSmallIntegerField(default=FIRST)),
        migrations.AlterField(
            "livesession", "settings_shape", models.PositiveSmallIntegerField(default=live.settings_shape)
        ),
        migrations.AddField("sessionevent", "at", models.BigIntegerField(default=0), preserve_default=False),
        migrations.AddField(
            "sessionevent", "role", models.CharField(default="desk", max_length=8), preserve_default=False
        ),
        migrations.AddField("sessionevent", "who", models.BigIntegerField(null=True)),
        migrations.AddField(
            "sessionevent", "page", models.CharField(default="", max_length=40), preserve_default=False
        ),
        migrations.AddField("sessionevent", "number", models.BigIntegerField(default=0), preserve_default=False),
        migrations.AddField("sessionevent", "shape", models.PositiveSmallIntegerField(default=FIRST)),
        migrations.AddField("sessionevent", "set_aside", models.BooleanField(default=False)),
        migrations.CreateModel(
            name="Person",
            fields=[
                ("id", models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name="ID")),
                ("key", models.CharField(max_length=40)),
                ("name", models.CharField(max_length=80)),
                (
                    "session",
                    models.ForeignKey(
                        db_index=False,
                        on_delete=django.db.models.deletion.CASCADE,
                        related_name="people",
                        to="live.livesession",
                    ),
                ),
            ],
            options={
                "constraints": [models.UniqueConstraint(fields=["session", "key"], name="one_person_a_key")],
            },
        ),
        migrations.AlterModelOptions("livesession", {"ordering": ("-created_at", "-id")}),
        migrations.RunPython(move_over, migrations.RunPython.noop),
        migrations.RemoveField("sessionevent", "command_id"),
        migrations.AlterField("sessionevent", "shape", models.PositiveSmallIntegerField(default=live.event_shape)),
    ]
