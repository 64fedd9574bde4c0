from django.db import migrations, models
from django.db.models import F, Value
from django.db.models.functions import Concat


def forget_made_names(apps, schema_editor):
    """A name that nobody wrote is made where it is shown, in the language of who sees it."""
    books = apps.get_model("reports", "GradeBook").objects
    made = Concat(Value("Grades of "), F("of_class__name"))
    ids = list(books.filter(name=made).values_list("pk", flat=True))
    books.filter(pk__in=ids).update(name="")


class Migration(migrations.Migration):
    dependencies = [("reports", "0001_initial")]

    operations = [
        migrations.AlterField(
            model_name="gradebook",
            name="name",
            field=models.CharField(blank=True, max_length=120),
        ),
        migrations.RunPython(forget_made_names, migrations.RunPython.noop),
    ]
