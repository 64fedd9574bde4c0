from django.conf import settings
from django.db import models

from lantern.core.languages import Language
from lantern.core.questions.marking import FIRST
from lantern.core.session.stored import EVENT, SETTINGS
from lantern.server.accounts.models import School
from lantern.server.classes.models import SchoolClass, new_link
from lantern.server.library.models import Revision


def settings_shape() -> int:
    return SETTINGS.latest


def event_shape() -> int:
    return EVENT.latest


class LiveSession(models.Model):
    """One run. Its state is made from its revision, its settings and its events, and kept nowhere else.

    `settings` are stored in the version `settings_shape`. `rules` is the version of the rules of marking that it began
    with: they do not change under a session.

    `revision` is None where nothing was prepared: what it asks was asked on the spot, and stands in its events.

    `of_class` is the class that it is for, if it is for one. `seq` is the number of its last event. `summary` is
    written at the end, for the list of sessions, and so is `stopped`: whether it is paused. `opened_at` is when its
    doors were opened: before, it is prepared, and nobody can come in.

    `is_work`: it is set work. Nobody is in a room for it: it has no code, and what students do stands in `Attempt`s.

    `note` is its teacher's own. `search_text` is the case-folded text of title and note: SQLite folds ASCII only. What
    is archived stands in no list by itself; what is deleted goes for good after a while.
    """

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="sessions")
    of_class = models.ForeignKey(SchoolClass, on_delete=models.SET_NULL, null=True, blank=True, related_name="sessions")
    revision = models.ForeignKey(Revision, on_delete=models.PROTECT, null=True, related_name="sessions")
    title = models.CharField(max_length=200)
    code = models.CharField(max_length=16, blank=True)
    is_work = models.BooleanField(default=False)
    settings = models.JSONField()
    settings_shape = models.PositiveSmallIntegerField(default=settings_shape)
    seed = models.CharField(max_length=40)
    rules = models.PositiveSmallIntegerField(default=FIRST)
    seq = models.PositiveIntegerField(default=0)
    created_at = models.DateTimeField()
    opened_at = models.DateTimeField(null=True, blank=True)
    stopped = models.CharField(max_length=8, blank=True)
    ended_at = models.DateTimeField(null=True, blank=True)
    summary = models.JSONField(null=True, blank=True)
    note = models.TextField(blank=True)
    search_text = models.TextField(blank=True)
    archived_at = models.DateTimeField(null=True, blank=True)
    deleted_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        ordering = ("-created_at", "-id")
        indexes = (models.Index(fields=["owner", "deleted_at", "-created_at"]),)
        constraints = (
            models.UniqueConstraint(
                fields=["code"],
                condition=models.Q(ended_at=None, is_work=False),
                name="one_running_session_a_code",
            ),
        )

    @property
    def alphabet(self) -> Language:
        """The language in whose order the names in it stand: the class's, else that of the owner's account."""
        return self.of_class.language if self.of_class else self.owner.spoken  # type: ignore[return-value]


def search_text(title: str, note: str = "") -> str:
    return f"{title}\n{note}".casefold()


class Preset(models.Model):
    """Settings that a teacher keeps under a name, in the version `shape`."""

    owner = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="presets")
    name = models.CharField(max_length=60)
    settings = models.JSONField()
    shape = models.PositiveSmallIntegerField(default=settings_shape)

    class Meta:
        ordering = ("name",)
        constraints = (models.UniqueConstraint(fields=["owner", "name"], name="one_preset_a_name"),)


class SessionEvent(models.Model):
    """One event, as the core writes it in the version `shape`, with when it happened and by whom.

    `role`, `who` and `page` are its actor, `number` says which of the actor's commands led to it. Rows are added and
    never changed, but for `set_aside`: one that can be read no more, and that the session goes on without.

    The constraint's index serves the session too; a second one would cost each answer. That of what is set aside holds
    nothing else.
    """

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="events", db_index=False)
    seq = models.PositiveIntegerField()
    at = models.BigIntegerField()
    role = models.CharField(max_length=8)
    who = models.BigIntegerField(null=True)
    page = models.CharField(max_length=40)
    number = models.BigIntegerField()
    shape = models.PositiveSmallIntegerField(default=event_shape)
    payload = models.TextField()
    set_aside = models.BooleanField(default=False)

    class Meta:
        ordering = ("seq",)
        constraints = (models.UniqueConstraint(fields=["session", "seq"], name="one_event_a_number"),)
        indexes = (models.Index(fields=["session"], condition=models.Q(set_aside=True), name="events_set_aside"),)


class AttemptQuery(models.QuerySet["Attempt"]):
    def at_work(self) -> "AttemptQuery":
        """Those at the set work itself: rounds of practice are in no report."""
        return self.filter(number__lt=Attempt.FIRST_ROUND)


class Attempt(models.Model):
    """One attempt at set work: the paper of one seat, with its events beside it. `person` is who it is in the session's
    roster, `number` which of theirs, from 1.

    `seq` is the number of its last event. The rest is what its events come to, kept for lists: `why` says by whom or by
    what it ended. Once it is over `right` is how many answers have a full mark, `score` the sum of marks over `out_of`
    questions that count; `waiting` more have no mark by hand yet. Where what was missed comes back, `missed` questions
    were, of which `held` were right twice since.

    From `FIRST_ROUND` on it is a round of practice: with questions of its own, and in no report.
    """

    FIRST_ROUND = 1001

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="attempts", db_index=False)
    seat = models.PositiveIntegerField()
    person = models.CharField(max_length=40)
    number = models.PositiveSmallIntegerField()
    seq = models.PositiveIntegerField(default=0)
    began_at = models.BigIntegerField()
    last_at = models.BigIntegerField()
    ended_at = models.BigIntegerField(null=True)
    why = models.CharField(max_length=8, blank=True)
    answered = models.PositiveSmallIntegerField(default=0)
    of = models.PositiveSmallIntegerField(default=0)
    right = models.PositiveSmallIntegerField(default=0)
    score = models.FloatField(default=0)
    out_of = models.PositiveSmallIntegerField(default=0)
    waiting = models.PositiveSmallIntegerField(default=0)
    missed = models.PositiveSmallIntegerField(default=0)
    held = models.PositiveSmallIntegerField(default=0)
    objects = AttemptQuery.as_manager()

    class Meta:
        ordering = ("seat",)
        constraints = (
            models.UniqueConstraint(fields=["session", "seat"], name="one_attempt_a_seat"),
            models.UniqueConstraint(fields=["session", "person", "number"], name="one_attempt_a_number"),
        )

    @property
    def is_round(self) -> bool:
        return self.number >= self.FIRST_ROUND


class AttemptEvent(models.Model):
    """One event of an attempt, as `SessionEvent` is one of a session."""

    attempt = models.ForeignKey(Attempt, on_delete=models.CASCADE, related_name="events", db_index=False)
    seq = models.PositiveIntegerField()
    at = models.BigIntegerField()
    role = models.CharField(max_length=8)
    who = models.BigIntegerField(null=True)
    page = models.CharField(max_length=40)
    number = models.BigIntegerField()
    shape = models.PositiveSmallIntegerField(default=event_shape)
    payload = models.TextField()

    class Meta:
        ordering = ("seq",)
        constraints = (models.UniqueConstraint(fields=["attempt", "seq"], name="one_attempt_event_a_number"),)


class Person(models.Model):
    """A line of a session's roster: who an opaque person is. Whoever is erased is not in it any more.

    `member` is the person in the class list, `record_id` as it was given in this session. `confirmed`: a teacher
    has said whether somebody who gave a member's record ID in other letters is that member. `mean_mark` is theirs in
    this session, 0..1, once it has ended; None where there is none to be counted. `keeper` is by what their light is
    kept (`OwnLight`), empty where it is not, and `shells` are those that the session has given them."""

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="people", db_index=False)
    key = models.CharField(max_length=40)
    name = models.CharField(max_length=80)
    member = models.CharField(max_length=40, blank=True, db_index=True)
    record_id = models.CharField(max_length=100, blank=True)
    record_key = models.CharField(max_length=100, blank=True, db_index=True)
    needs = models.JSONField(default=dict)
    confirmed = models.BooleanField(null=True)
    mean_mark = models.FloatField(null=True)
    keeper = models.CharField(max_length=60, blank=True, db_index=True)
    shells = models.PositiveSmallIntegerField(default=0)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["session", "key"], name="one_person_a_key"),)


class OwnLight(models.Model):
    """Somebody's light, kept from session to session (docs/games.md, A7). `keeper` says whose: a member's, or that of
    the device with the key that this is the digest of. `parts` are those that were bought, as the core names them,
    for `spent` of all `shells` that were ever given."""

    school = models.ForeignKey(School, on_delete=models.CASCADE, related_name="lights")
    keeper = models.CharField(max_length=60)
    light = models.CharField(max_length=8, blank=True)
    parts = models.JSONField(default=list)
    shells = models.PositiveIntegerField(default=0)
    spent = models.PositiveIntegerField(default=0)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["school", "keeper"], name="one_light_a_keeper"),)


class KeptMarks(models.Model):
    """The marks of a session that has ended, as the core's MarksThen: so that a year of them can be read at once. It
    knows people by their opaque keys in the session: who is erased from its roster can be told no more."""

    session = models.OneToOneField(LiveSession, on_delete=models.CASCADE, related_name="kept_marks", primary_key=True)
    table = models.JSONField()


class Remote(models.Model):
    """A teacher's phone that leads one session. `key` is the digest of what its QR picture holds, `token` that of what
    the phone keeps, once it has used the picture. `session_key` and `secret` are the sign-in that it stands on."""

    session = models.ForeignKey(LiveSession, on_delete=models.CASCADE, related_name="remotes")
    teacher = models.ForeignKey(settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="remotes")
    session_key = models.CharField(max_length=40)
    secret = models.CharField(max_length=128)
    key = models.CharField(max_length=64, unique=True)
    token = models.CharField(max_length=64, blank=True, db_index=True)
    made_at = models.DateTimeField()


class CheckedAddress(models.Model):
    """An e-mail address that was given as a record ID, with the secret of the link by which its owner confirms it."""

    school = models.ForeignKey(School, on_delete=models.CASCADE, related_name="checked_addresses")
    record_key = models.CharField(max_length=100)
    secret = models.CharField(max_length=40, unique=True, default=new_link)
    confirmed_at = models.DateTimeField(null=True, blank=True)

    class Meta:
        constraints = (models.UniqueConstraint(fields=["school", "record_key"], name="one_check_an_address"),)
