"""Set work: what was given, to whom, and what was changed in it since. What students do stands with the session that
each class's part of it is (`live.models.Attempt`)."""

from django.conf import settings
from django.db import models

from lantern.core.work.changes import CHANGE
from lantern.core.work.terms import TERMS
from lantern.server.classes.models import new_link
from lantern.server.live.models import LiveSession, Person


def terms_shape() -> int:
    return TERMS.latest


def change_shape() -> int:
    return CHANGE.latest


class SetWork(models.Model):
    """One piece. `terms` are the core's, as JSON, as they were given: what is changed later are `WorkChange`s.
    `made_up_for` is the session whose absent students it was given to."""

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="set_work")
    title = models.CharField(max_length=200)
    terms = models.JSONField()
    terms_shape = models.PositiveSmallIntegerField(default=terms_shape)
    made_up_for = models.ForeignKey(
        LiveSession, on_delete=models.SET_NULL, null=True, blank=True, related_name="make_ups"
    )
    created_at = models.DateTimeField()

    class Meta:
        ordering = ("-created_at", "-pk")


class Given(models.Model):
    """The piece as it was given to one class, or to whoever has the link: a session of its own. `link` is the secret
    part of its address. `named`: the members (by their person) it is for; empty for the whole class.

    Without `work` nothing was given: it is a session that was led, whose students practise what they missed in it."""

    work = models.ForeignKey(SetWork, on_delete=models.CASCADE, null=True, related_name="given")
    session = models.OneToOneField(LiveSession, on_delete=models.CASCADE, related_name="given")
    link = models.CharField(max_length=40, unique=True, default=new_link)
    named = models.JSONField(default=list)

    class Meta:
        ordering = ("pk",)


class WorkChange(models.Model):
    """A change of the terms, or for somebody, as the core writes it. `by` is who made it."""

    work = models.ForeignKey(SetWork, on_delete=models.CASCADE, related_name="changes")
    at = models.BigIntegerField()
    by = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.SET_NULL, null=True, related_name="+")
    payload = models.JSONField()
    shape = models.PositiveSmallIntegerField(default=change_shape)

    class Meta:
        ordering = ("pk",)


class Participant(models.Model):
    """Somebody who opened the link and said who they are. `device` is the id that their device made, empty once the
    teacher let them go on elsewhere; `pass_number` rises with that, so that older passes open nothing. `who` is by
    which changes know them: the member, or the person of the roster."""

    given = models.ForeignKey(Given, on_delete=models.CASCADE, related_name="participants")
    person = models.OneToOneField(Person, on_delete=models.CASCADE, related_name="participant")
    who = models.CharField(max_length=40)
    device = models.CharField(max_length=40, blank=True, db_index=True)
    pass_number = models.PositiveIntegerField(default=1)
    joined_at = models.DateTimeField(auto_now_add=True)

    class Meta:
        ordering = ("pk",)
        constraints = (models.UniqueConstraint(fields=["given", "who"], name="one_participant_a_person"),)
