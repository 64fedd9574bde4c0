from django.conf import settings
from django.db import models

from lantern.server.classes.models import SchoolClass
from lantern.server.live.models import LiveSession


class GradeBook(models.Model):
    """How a teacher makes grades of a class's sessions: `scheme` is the core's, as JSON. The grades are made anew each
    time they are looked at, and kept nowhere."""

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="grade_books")
    of_class = models.ForeignKey(SchoolClass, on_delete=models.CASCADE, related_name="grade_books")
    name = models.CharField(max_length=120, blank=True)
    """Empty until somebody writes one."""
    scheme = models.JSONField()
    made_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("name", "pk")


class SharedResults(models.Model):
    """A link by which anybody who has it reads one session's results, until the end of a day. Only a digest of its
    secret is kept. `with_names`: students are named; record IDs and comments are in none."""

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="shared")
    digest = models.CharField(max_length=64, unique=True)
    with_names = models.BooleanField(default=False)
    until = models.DateField()
    made_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("-pk",)
