from django.conf import settings
from django.db import models

from lantern.core.questions.marking import FIRST
from lantern.server.library.models import Revision


class LiveSession(models.Model):
    """One run. Its state is made from its revision, its settings and its events, and kept nowhere else.

    `rules` is the version of the rules of marking that it began with: they do not change under a session.

    `seq` is the number of its last event. `summary` is written at the end, for the list of sessions.
    """

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="sessions")
    revision = models.ForeignKey(Revision, on_delete=models.PROTECT, related_name="sessions")
    title = models.CharField(max_length=200)
    code = models.CharField(max_length=16)
    settings = models.JSONField()
    seed = models.CharField(max_length=40)
    rules = models.PositiveSmallIntegerField(default=FIRST)
    seq = models.PositiveIntegerField(default=0)
    created_at = models.DateTimeField()
    ended_at = models.DateTimeField(null=True, blank=True)
    summary = models.JSONField(null=True, blank=True)

    class Meta:
        ordering = ("-created_at",)
        constraints = (
            models.UniqueConstraint(
                fields=["code"], condition=models.Q(ended_at=None), name="one_running_session_a_code"
            ),
        )


class SessionEvent(models.Model):
    """One event, as the core writes it. Rows are added and never changed.

    The constraint's index serves the session too; a second one would cost each answer.
    """

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="events", db_index=False)
    seq = models.PositiveIntegerField()
    command_id = models.CharField(max_length=64)
    payload = models.TextField()

    class Meta:
        ordering = ("seq",)
        constraints = (models.UniqueConstraint(fields=["session", "seq"], name="one_event_a_number"),)
