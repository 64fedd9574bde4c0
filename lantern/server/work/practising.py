"""Practice: a student's deck of a class, and what was missed in something that is over.

1. Whatever was asked in the class, and may be told to the student by now, is in their deck.
2. A round holds what is due, or what was missed; each student has it to themselves, and no report knows it.
3. Who begins it again on the same day goes on with it.
"""

from collections.abc import Mapping, Sequence
from typing import NamedTuple

from django.db import transaction
from django.db.models import Exists, OuterRef, Q, QuerySet

from lantern.core import errors
from lantern.core.formats.exchange import media_ids
from lantern.core.messages import said
from lantern.core.practice.schedule import day_of
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item
from lantern.core.questions.stored import CONTENT
from lantern.core.session import State
from lantern.core.session.asking import may_review, tells_in_the_end, told, was_asked
from lantern.core.session.changed import changed
from lantern.core.session.marks import marks_of
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import as_of, begin
from lantern.server.accounts.models import School
from lantern.server.api import limits
from lantern.server.live import attempts, ended
from lantern.server.live.clock import now_ms
from lantern.server.live.models import Attempt, LiveSession, Person, SessionEvent
from lantern.server.practice import decks
from lantern.server.practice.models import Card, Round, TakenIn
from lantern.server.work.attempt_texts import OpenAttempt, message_text
from lantern.server.work.doing import open_attempt
from lantern.server.work.models import Given, Participant
from lantern.server.work.own_page import may_review_attempts
from lantern.server.work.pieces import (
    Doer,
    doer_with,
    ground_of,
    judged,
    pass_of,
    practice_ground,
    school_of,
    state_of,
)
from lantern.server.work.schemas import PracticeOffer

AT_ONCE = 8
"""Sessions that go into the decks in one go: the rest waits for the next."""
DECK, SESSION = "deck", "session"
NOTHING_DUE = said("nothing_due", "There is nothing to practise today.")
NOTHING_MISSED = said("nothing_missed", "Nothing was missed that could be practised.")


# --- into the deck -----------------------------------------------------------------------------------


def take_in(class_id: int, person: str) -> None:
    """What the class did since, and what this member handed in. In no transaction that others wait for."""
    sessions = LiveSession.objects.filter(of_class=class_id, deleted_at=None, taken_in=None, is_work=False)
    opened = SessionEvent.objects.filter(session=OuterRef("pk"), payload__contains='"type":"feedback_opened"')
    waits = Q(settings__feedback="opened") & ~Exists(opened)
    over = sessions.filter(ended_at__isnull=False).exclude(Q(settings__feedback="never") | waits)
    for session in over.select_related("revision").order_by("-ended_at")[:AT_ONCE]:
        state = ended.state_of(session)
        if tells_in_the_end(state):
            with transaction.atomic():
                _, is_new = TakenIn.objects.get_or_create(session=session)
                if is_new:
                    _take_in(session, state, {seat.number: seat.person for seat in state.people()})
    _take_in_attempts(class_id, person)


def take_in_of_seat(session_id: int, state: State, seat: int) -> None:
    """For somebody who practises what they missed in a session of a class: so their cards are there."""
    session = LiveSession.objects.get(pk=session_id)
    member = (
        Person.objects.filter(session=session, key=state.seats[seat].person).values_list("member", flat=True).first()
    )
    if session.of_class_id and member:
        take_in(session.of_class_id, member)


def _take_in_attempts(class_id: int, person: str) -> None:
    here = Participant.objects.filter(
        person__member=person,
        given__session__of_class=class_id,
        given__session__deleted_at=None,
        given__work__isnull=False,
    )
    for participant in here.select_related("given", "person"):
        rows = Attempt.objects.at_work().filter(session=participant.given.session_id, person=participant.person.key)
        rows = rows.filter(ended_at__isnull=False, taken_in=None).order_by("number")
        if rows:
            _take_in_those(participant, rows)


def _take_in_those(participant: Participant, rows: QuerySet[Attempt]) -> None:
    doer, now = doer_with(pass_of(participant)), now_ms()
    if not may_review_attempts(doer.piece.settings, doer.own, now):
        return
    for row in rows:
        ground = ground_of(doer, row)
        state = as_of(state_of(doer, row, ground), row.seat, ground.own, ground.target, now)
        with transaction.atomic():
            _, is_new = TakenIn.objects.get_or_create(attempt=row)
            if is_new:
                _take_in(doer.piece.session, state, {row.seat: doer.person.id})


def _take_in(session: LiveSession, state: State, seats: Mapping[int, str]) -> None:
    """`seats` and who is in them, by the roster of the session."""
    members = dict(Person.objects.filter(session=session, key__in=seats.values()).values_list("key", "member"))
    people = {seat: members[key] for seat, key in seats.items() if members.get(key)}
    answers = decks.answers_in(session, state, people)
    if answers:
        decks.take_in(session, state, answers, _zone(session))


def _zone(session: LiveSession) -> str:
    return School.objects.get(teachers=session.owner_id).chosen.time_zone


# --- what there is to practise -----------------------------------------------------------------------


def deck_of(token: str) -> PracticeOffer | None:
    """What is due; None for who is known in no class. Raises UnknownPass, TooManyTries."""
    doer = doer_with(token)
    limits.spend(limits.DECKS, f"participant {doer.participant}")
    of_class, person = doer.piece.session.of_class_id, doer.person.member
    if of_class is None or not person:
        return None
    take_in(of_class, person)
    day = day_of(now_ms(), school_of(doer.piece).time_zone)
    found = decks.today(of_class, person, day)
    return PracticeOffer(
        due=found.due,
        coming=found.coming,
        minutes=found.minutes,
        in_days=None if found.again is None else found.again - day,
    )


class Chosen(NamedTuple):
    """What a round holds: its questions, and the card of each that has one, by its id."""

    title: str
    items: Sequence[Item]
    cards: Mapping[str, int]


class Begun(NamedTuple):
    """A round, as an AttemptMessage in JSON, and the sessions whose files it may show."""

    told: str
    sessions: Sequence[int]


def begin_deck(token: str) -> Begun:
    """What is due. Raises UnknownPass, NotPossible."""
    doer, now = doer_with(token), now_ms()
    running = _running(doer, DECK, now)
    if running:
        return Begun(running, ())
    of_class, person = doer.piece.session.of_class, doer.person.member
    if of_class is None or not person:
        raise errors.NotPossible(NOTHING_DUE)
    cards = decks.coming(of_class.pk, person, day_of(now, school_of(doer.piece).time_zone))
    if not cards:
        raise errors.NotPossible(NOTHING_DUE)
    items = decks.items_of([card.question for card in cards])
    named = {card.pk: items[card.question_id].model_copy(update={"id": f"card-{card.pk}"}) for card in cards}
    by_id = {f"card-{card.pk}": card.pk for card in cards}
    shown = {card.question.session_id for card in cards if media_ids({"items": [card.question.item]})}
    return Begun(_begun(doer, DECK, Chosen(of_class.name, tuple(named.values()), by_id), now), sorted(shown))


def begin_missed(token: str, number: int) -> str:
    """What was missed in an attempt that is over, as far as it may be seen; an AttemptMessage in JSON. Raises
    UnknownPass, NotPossible."""
    found = open_attempt(token, number)
    source = f"attempt {number}"
    running = _running(found.doer, source, found.now)
    if running:
        return running
    missed = missed_in(found.seen(found.state), found.row.seat)
    return _begun(found.doer, source, _chosen(found.doer.piece.session, found.doer.person.member, missed), found.now)


def begin_missed_in_session(session_id: int, state: State, seat: int) -> str:
    """What somebody missed in a session that was led, or went at own pace: a PracticeStarted, as JSON. Raises
    NotPossible."""
    session = LiveSession.objects.select_related("revision", "of_class").get(pk=session_id)
    missed = missed_in(state, seat)
    if not missed:
        raise errors.NotPossible(NOTHING_MISSED)
    person = Person.objects.filter(session=session, key=state.seats[seat].person).first()
    if person is None:
        raise errors.UnknownSeat
    given, _ = Given.objects.get_or_create(session=session, defaults={"work": None})
    who = person.member or person.key
    participant, _ = Participant.objects.get_or_create(person=person, defaults={"given": given, "who": who})
    token = pass_of(participant)
    doer, now = doer_with(token), now_ms()
    text = _running(doer, SESSION, now) or _begun(doer, SESSION, _chosen(session, person.member, missed), now)
    return f'{{"token":"{token}","begun":{text}}}'


def missed_in(state: State, seat: int) -> list[Item]:
    """What this person was asked and has no full mark for, as far as they may see what was right. What nobody can
    mark at once is not practised."""
    if not may_review(state, seat):
        return []
    asks = [
        ask
        for ask in state.standing_asks()
        if told(state, seat, ask)
        and was_asked(state, state.seats[seat], ask)
        and decks.is_practised(state, state.item(ask.item_id))
    ]
    return [decks.as_told(state, ask.item_id) for ask in asks if marks_of(state, ask).get(seat, 0.0) < 1]


def _chosen(session: LiveSession, member: str, missed: Sequence[Item]) -> Chosen:
    if not missed:
        raise errors.NotPossible(NOTHING_MISSED)
    keys = {decks.key_of(session, item.id): item.id for item in missed}
    found = Card.objects.filter(question__of_class=session.of_class_id, question__key__in=keys, person=member)
    rows = found.values_list("question__key", "pk") if session.of_class_id and member else ()
    return Chosen(session.title, missed, {keys[key]: card for key, card in rows})


# --- a round -----------------------------------------------------------------------------------------


def _running(doer: Doer, source: str, now: Milliseconds) -> str | None:
    """The round of this source that was begun today and is not over."""
    zone = school_of(doer.piece).time_zone
    rows = Attempt.objects.filter(session=doer.piece.session, person=doer.person.id, round__source=source)
    row = rows.filter(number__gte=Attempt.FIRST_ROUND, ended_at=None).order_by("-number").first()
    if row is None or day_of(row.began_at, zone) != day_of(now, zone):
        return None
    ground = ground_of(doer, row)
    at = max(now, row.last_at)
    return message_text(OpenAttempt(doer, row, ground, judged(doer, row, at, ground), at))


def _begun(doer: Doer, source: str, chosen: Chosen, now: Milliseconds) -> str:
    """Raises TooManyTries for who begins more of them than anybody could practise."""
    limits.spend(limits.ROUNDS, f"participant {doer.participant}")
    session, person = doer.piece.session, doer.person
    rounds = Attempt.objects.filter(session=session, person=person.id, number__gte=Attempt.FIRST_ROUND)
    last = rounds.order_by("-number").values_list("number", flat=True).first()
    row = Attempt(
        session=session,
        seat=attempts.next_seat(session.pk),
        person=person.id,
        number=(last or Attempt.FIRST_ROUND - 1) + 1,
        began_at=now,
        last_at=now,
    )
    content = SetContent(title=chosen.title[:200], items=tuple(chosen.items))
    kept = Round(source=source, content=content.model_dump(mode="json"), shape=CONTENT.latest, cards=dict(chosen.cards))
    ground = practice_ground(row, kept, session)
    state, records = begin(changed(ground.ready.state, roster={person.id: person}), row.seat, person.id, now)
    attempts.take_in(row, state)
    row.save()
    kept.attempt = row
    kept.save()
    attempts.append(row, state, records)
    return message_text(OpenAttempt(doer, row, ground, state, now))
