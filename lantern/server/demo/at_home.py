"""Set work of the demo school: open, due tomorrow, and due last week, done by its students through the real rules."""

import secrets
from collections.abc import Mapping, Sequence
from datetime import datetime
from random import Random

from django.db import transaction

from lantern.core.errors import LanternError
from lantern.core.questions import kind_of
from lantern.core.session import Actor, Role, Sent, Settings
from lantern.core.session.changed import changed
from lantern.core.session.commands import Command, GiveAnswer, GoToPlace, HandIn
from lantern.core.session.model import ask_id
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import begin, taken
from lantern.core.work.changes import Excused, write_change
from lantern.core.work.terms import Purpose, settings_for_work, terms_for
from lantern.server.accounts.models import Teacher
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.demo.ability import Model, delay
from lantern.server.library.models import QuestionSet
from lantern.server.live import attempts
from lantern.server.live.models import Attempt, LiveSession, Person
from lantern.server.work.actions import give
from lantern.server.work.models import Given, Participant, SetWork, WorkChange
from lantern.server.work.pieces import doer_with, pass_of
from lantern.server.work.schemas import GiveForm

HOUR: Milliseconds = 3_600_000
SEED = "gullmark at home"


def set_work(owner: Teacher, classes: Sequence[SchoolClass], sets: Mapping[str, QuestionSet], now: datetime) -> int:
    """How many pieces it is."""
    class_8c, evening = classes[0], classes[1]
    present = round(now.timestamp() * 1000)
    at = round(now.replace(hour=18, minute=0, second=0, microsecond=0).timestamp() * 1000)
    pieces: list[tuple[Purpose, str, list[SchoolClass], int, int, float, str]] = [
        ("homework", "Distress signals", [class_8c], -12, -6, 0.9, "Look at your notes of Monday before you begin."),
        ("homework", "Knots that hold", [class_8c, evening], -3, 4, 0.5, "Have a piece of rope at hand."),
        ("test", "Tides and the bar", [class_8c], -1, 1, 0.25, "Forty minutes. Find a quiet place first."),
    ]
    for purpose, title, whom, given_on, due_on, share, words in pieces:
        given_at, due = (at + days * 24 * HOUR for days in (given_on, due_on))
        _piece(owner, purpose, sets[title], whom, given_at, due, share, words, present)
    return len(pieces)


def _piece(
    owner: Teacher,
    purpose: Purpose,
    question_set: QuestionSet,
    classes: Sequence[SchoolClass],
    given_at: Milliseconds,
    due: Milliseconds,
    share: float,
    words: str,
    now: Milliseconds,
) -> None:
    terms = terms_for(purpose, due=max(due, now + 24 * HOUR)).model_copy(update={"words": words})
    settings = settings_for_work(purpose, Settings(known="list"))
    form = GiveForm(set=question_set.pk, terms=terms, settings=settings, classes=tuple(one.pk for one in classes))
    work = give(owner, form)
    # It was given, and due, when the story says so.
    kept = terms.model_copy(update={"due": due}).model_dump(mode="json")
    moment = datetime.fromtimestamp(given_at / 1000, tz=work.created_at.tzinfo)
    SetWork.objects.filter(pk=work.pk).update(created_at=moment, terms=kept)
    LiveSession.objects.filter(given__work=work).update(created_at=moment, opened_at=moment)
    for given in work.given.select_related("session"):
        _done(given, given_at, min(now, due + 20 * HOUR), due, share)
    if share > 0.8:
        _excuse(owner, work, classes[0], given_at)


def _excuse(owner: Teacher, work: SetWork, of_class: SchoolClass, at: Milliseconds) -> None:
    last = of_class.members.order_by("pk").last()
    assert last is not None
    if not Participant.objects.filter(given__work=work, who=last.person).exists():
        WorkChange.objects.create(work=work, at=at + HOUR, by=owner, payload=write_change(Excused(last.person, True)))


def _done(given: Given, begun: Milliseconds, until: Milliseconds, due: Milliseconds, share: float) -> None:
    rng = Random(f"{SEED}:{given.session.title}:{given.session.of_class_id}")
    model = Model(SEED, 9)
    assert given.session.of_class
    for member in given.session.of_class.members.filter(left_at=None).order_by("pk"):
        if rng.random() > share:
            continue
        latest = max(begun + HOUR, (until if rng.random() < 0.12 else min(until, due)) - 2 * HOUR)
        start = begun + round(rng.random() * (latest - begun))
        _Doing(given, member, model, rng, start).run(whole=rng.random() < 0.85)


class _Doing:
    """One student at one attempt, at a made-up time."""

    def __init__(self, given: Given, member: Member, model: Model, rng: Random, at: Milliseconds) -> None:
        self.rng, self.model, self.now, self.name = rng, model, at, member.name
        key, needs = secrets.token_urlsafe(12), member.needs
        person = Person.objects.create(
            session=given.session, key=key, name=member.name, member=member.person, needs=needs
        )
        known = {"who": member.person, "device": secrets.token_urlsafe(12)}
        participant = Participant.objects.create(given=given, person=person, **known)
        self.doer = doer_with(pass_of(participant))
        seat = given.session.attempts.count() + 1
        ready = changed(self.doer.piece.ready.state, roster={person.key: self.doer.person})
        self.state, self.records = begin(ready, seat, person.key, at)
        self.row = Attempt(session=given.session, seat=seat, person=person.key, number=1, began_at=at, last_at=at)

    def run(self, *, whole: bool) -> None:
        paper = self.state.papers[self.row.seat]
        items = paper.items if whole else paper.items[: max(1, len(paper.items) // 2)]
        for number, item_id in enumerate(items):
            item = self.state.item(item_id)
            self.now += round(delay(60, self.rng) * 1000)
            if not kind_of(item).is_asked:
                continue
            if self.state.papers[self.row.seat].at != item_id:
                self._do(GoToPlace(self.row.seat, item_id), number + 1)
            answer = kind_of(item).imagine(item, self.model.chance_of(self.name, item), self.rng)
            self._do(GiveAnswer(self.row.seat, ask_id(item_id, 1), answer), 1)
        if whole:
            self.now += 20_000
            self._do(HandIn(self.row.seat), 1)
        with transaction.atomic():
            attempts.take_in(self.row, self.state)
            self.row.save()
            attempts.append(self.row, self.state, self.records)

    def _do(self, command: Command, number: int) -> None:
        sent = Sent(Actor(Role.SEAT, self.row.seat), number, self.now)
        try:
            self.state, found = taken(self.state, command, sent, self.doer.own, self.doer.piece.terms.target)
        except LanternError:
            return  # too late, as happens in every class
        self.records = [*self.records, *found]
