from django.conf import settings
from django.db import models


class ColumnUses(models.Model):
    """What a teacher said the columns of a spreadsheet hold, for the next one with the same headings.

    `headings` is a digest of them; `uses` goes from a column's number (as text, from 0) to its use.
    """

    teacher = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="+")
    headings = models.CharField(max_length=64)
    uses = models.JSONField()

    class Meta:
        constraints = (models.UniqueConstraint(fields=["teacher", "headings"], name="one_use_for_the_same_headings"),)
