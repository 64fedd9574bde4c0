import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
        ("media", "0001_initial"),
    ]

    operations = [
        migrations.RenameModel("StoredPicture", "StoredMedia"),
        migrations.AlterField(
            "storedmedia",
            "owner",
            models.ForeignKey(
                on_delete=django.db.models.deletion.CASCADE, related_name="media", to=settings.AUTH_USER_MODEL
            ),
        ),
        migrations.AlterField("storedmedia", "width", models.PositiveIntegerField(default=0)),
        migrations.AlterField("storedmedia", "height", models.PositiveIntegerField(default=0)),
        migrations.AddField(
            "storedmedia",
            "type",
            models.CharField(
                choices=[("picture", "Picture"), ("sound", "Sound"), ("video", "Video"), ("captions", "Captions")],
                default="picture",
                max_length=10,
            ),
        ),
        migrations.AddField("storedmedia", "name", models.CharField(blank=True, max_length=200)),
        migrations.AddField("storedmedia", "content_type", models.CharField(default="image/webp", max_length=40)),
        migrations.AddField("storedmedia", "bytes", models.PositiveBigIntegerField(default=0)),
        migrations.AddField("storedmedia", "seconds", models.FloatField(default=0)),
        migrations.AddField("storedmedia", "credit", models.CharField(blank=True, max_length=200)),
        migrations.AddIndex(
            "storedmedia", models.Index(fields=["owner", "-created_at"], name="media_store_owner_i_26cd5e_idx")
        ),
    ]
