from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = [("accounts", "0004_columns")]

    operations = [
        migrations.AddField(
            model_name="teacher",
            name="language",
            field=models.CharField(blank=True, max_length=8),
        ),
    ]
