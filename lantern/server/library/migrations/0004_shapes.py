from django.db import migrations, models

import lantern.server.library.models as library


def the_first() -> models.PositiveSmallIntegerField:
    """Whatever is there was stored in the first version."""
    return models.PositiveSmallIntegerField(default=1)


class Migration(migrations.Migration):
    dependencies = [("library", "0003_private")]

    operations = [
        migrations.AddField("questionset", "about_shape", the_first()),
        migrations.AddField("revision", "shape", the_first()),
        migrations.AddField("setitem", "shape", the_first()),
        migrations.AlterField(
            "questionset", "about_shape", models.PositiveSmallIntegerField(default=library.about_shape)
        ),
        migrations.AlterField("revision", "shape", models.PositiveSmallIntegerField(default=library.content_shape)),
        migrations.AlterField("setitem", "shape", models.PositiveSmallIntegerField(default=library.item_shape)),
    ]
