"""What is made aside: large files and many mails, by a process of their own."""

from typing import ClassVar

from django.conf import settings
from django.db import models


class Job(models.Model):
    """One thing to be made. `work` is the dotted name of what makes it (`work.Work`), `given` what it is made of.

    `done` of `total` steps are made; `kept` are words by which the work knows again, after a restart, what it has done
    already. `refused` is the Message that says why there is nothing. `suffix` and `content_type` belong to the file,
    where there is one: it lies in `MADE_ROOT`, by the job's number, for as long as `KEPT_DAYS`."""

    class State(models.TextChoices):
        WAITING = "waiting"
        RUNNING = "running"
        DONE = "done"
        FAILED = "failed"
        CANCELLED = "cancelled"

    LIVE: ClassVar = (State.WAITING, State.RUNNING)

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="jobs")
    work = models.CharField(max_length=200)
    title = models.CharField(max_length=200)
    given = models.JSONField()
    state = models.CharField(max_length=10, choices=State, default=State.WAITING)
    done = models.PositiveIntegerField(default=0)
    total = models.PositiveIntegerField(default=0)
    kept = models.JSONField(default=list)
    refused = models.JSONField(null=True, blank=True)
    suffix = models.CharField(max_length=12, blank=True)
    content_type = models.CharField(max_length=100, blank=True)
    made_at = models.DateTimeField(auto_now_add=True)
    finished_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ("-pk",)

    @property
    def is_live(self) -> bool:
        return self.state in self.LIVE
