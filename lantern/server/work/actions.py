"""What a teacher does with set work: gives it, changes it, opens an attempt again, reminds."""

import secrets
from collections.abc import Sequence
from datetime import UTC, datetime
from zoneinfo import ZoneInfo

from django.db import transaction
from django.shortcuts import get_object_or_404
from django.utils import timezone

from lantern.core.classes.known import Known
from lantern.core.errors import NotPossible
from lantern.core.messages import said
from lantern.core.questions.marking import LATEST
from lantern.core.session import Actor, Role, Sent, Settings
from lantern.core.session import events as e
from lantern.core.session.stored import write_event
from lantern.core.work.attempt import reopened
from lantern.core.work.changes import AnyChange, Change, OpenedAgain, write_change
from lantern.core.work.terms import as_work, why_not
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.classes.queries import own_class
from lantern.server.library.actions import freeze
from lantern.server.library.models import Revision
from lantern.server.library.queries import own_set
from lantern.server.live import attempts, store
from lantern.server.live.clock import now_ms
from lantern.server.live.models import Attempt, LiveSession, SessionEvent, search_text
from lantern.server.live.offers import check_settings
from lantern.server.live.queries import own_session
from lantern.server.work.models import Given, Participant, SetWork, WorkChange
from lantern.server.work.pieces import doer_with, judged, pass_of
from lantern.server.work.schemas import GiveForm

OF_A_KEY = (e.KeySet, e.Corrected, e.FullMarksGiven, e.Dropped, e.TakenBack, e.MarkedAnew)
"""What was put right in a session goes with its questions."""


@transaction.atomic
def give(teacher: Teacher, form: GiveForm) -> SetWork:
    """Raises BadForm, at its place, for what cannot be given so; NotReady, Http404."""
    classes = [own_class(teacher, one) for one in form.classes]
    if not classes and not form.by_link:
        raise BadForm(said("work_for_nobody", "Choose a class, or give it to whoever has the link."), field="classes")
    wrong = why_not(form.terms, form.settings, now_ms())
    if wrong:
        raise BadForm(wrong[1], field=wrong[0])
    settings = as_work(form.settings)
    if form.named and settings.known not in ("list", "record_id"):
        raise BadForm(
            said("named_are_known", "For some students of a class: let them be known by the class list."), field="named"
        )
    session = None if form.session is None else own_session(teacher, form.session)
    revision = _of_session(session, classes) if session else _of_set(teacher, form, settings, classes)
    named = _named(classes, form.named)
    title = (form.title or revision.content["title"]).strip()
    work = SetWork.objects.create(
        owner=teacher,
        title=title,
        terms=form.terms.model_dump(mode="json"),
        made_up_for=session if form.terms.purpose == "make_up" else None,
        created_at=timezone.now(),
    )
    places: list[SchoolClass | None] = [*classes, *([None] if form.by_link else [])]
    for place in places:
        run = _run(teacher, revision, title, settings if place else _for_anybody(settings), place, session)
        Given.objects.create(work=work, session=run, named=sorted(named.get(place.pk, ())) if place else [])
    return work


def _of_set(teacher: Teacher, form: GiveForm, settings: Settings, classes: Sequence[SchoolClass]) -> Revision:
    if form.set is None:
        raise BadForm(said("work_of_nothing", "Choose a set first."), field="set")
    question_set = own_set(teacher, form.set)
    check_settings(question_set, settings, classes[0] if classes else None)
    return freeze(teacher, question_set)


def _of_session(session: LiveSession, classes: Sequence[SchoolClass]) -> Revision:
    if session.revision is None:
        raise BadForm(
            said("work_of_asked_now", "Everything in this session was asked on the spot. Keep it as a set first."),
            field="session",
        )
    if session.ended_at is None and not session.is_work:
        raise NotPossible(said("end_session_first", "End the session first: it still goes on."))
    return session.revision


def _named(classes: Sequence[SchoolClass], persons: Sequence[str]) -> dict[int, set[str]]:
    """By class. Raises BadForm where somebody is in none of them."""
    found: dict[int, set[str]] = {}
    rows = Member.objects.filter(of_class__in=classes, person__in=persons, left_at=None)
    for of_class, person in rows.values_list("of_class", "person"):
        found.setdefault(of_class, set()).add(person)
    if set(persons) - {one for of_one in found.values() for one in of_one}:
        raise BadForm(said("named_not_there", "Somebody you chose is in none of these classes."), field="named")
    return found


def _for_anybody(settings: Settings) -> Settings:
    known: Known = "nickname" if settings.known == "list" else settings.known
    return settings.model_copy(update={"known": known})


def _run(
    teacher: Teacher,
    revision: Revision,
    title: str,
    settings: Settings,
    of_class: SchoolClass | None,
    like: LiveSession | None,
) -> LiveSession:
    now = timezone.now()
    run = LiveSession.objects.create(
        owner=teacher,
        of_class=of_class,
        revision=revision,
        title=title,
        search_text=search_text(title),
        is_work=True,
        settings=settings.model_dump(mode="json"),
        seed=secrets.token_hex(16),
        rules=like.rules if like else LATEST,
        created_at=now,
        opened_at=now,
    )
    if like:
        _with_its_key(run, like)
    return run


def _with_its_key(run: LiveSession, like: LiveSession) -> None:
    at, records = round(run.created_at.timestamp() * 1000), map(store.read_row, store.history(like.pk))
    asked = {item["id"] for item in run.revision.content["items"]} if run.revision else set()
    kept = [one for one in records if isinstance(one.event, OF_A_KEY) and _item_of(one.event) in {*asked, ""}]
    SessionEvent.objects.bulk_create(
        SessionEvent(
            session=run,
            seq=seq,
            at=at,
            role=one.by.role.value,
            who=one.by.who,
            page=one.by.page,
            number=one.sent.number,
            payload=write_event(one.event),  # type: ignore[arg-type]
        )
        for seq, one in enumerate(kept, start=1)
    )
    run.seq = len(kept)
    run.save(update_fields=["seq"])


def _item_of(event: e.Event) -> str:
    if isinstance(event, e.Corrected):
        return event.item.id
    return getattr(event, "item", "")


# --- changing it -------------------------------------------------------------------------------------


@transaction.atomic
def change(teacher: Teacher, work: SetWork, wanted: AnyChange) -> None:
    """Raises BadForm for a time that is no use."""
    opens, due = getattr(wanted, "opens", None), getattr(wanted, "due", None)
    if opens is not None and due is not None and due <= opens:
        raise BadForm(said("due_before_opens", "It is due before it opens. Choose a later time."), field="due")
    _kept(teacher, work, wanted)


def _kept(teacher: Teacher, work: SetWork, made: Change) -> None:
    WorkChange.objects.create(work=work, at=now_ms(), by=teacher, payload=write_change(made))


@transaction.atomic
def delete(teacher: Teacher, work: SetWork) -> None:
    """Out of every list at once; for good after a while, as sessions are."""
    LiveSession.objects.filter(given__work=work).update(deleted_at=timezone.now())


@transaction.atomic
def free(given: Given, who: str) -> None:
    """This student may go on on another device: the passes of before open nothing any more."""
    for one in given.participants.filter(who=who):
        one.device, one.pass_number = "", one.pass_number + 1
        one.save(update_fields=["device", "pass_number"])


@transaction.atomic
def reopen(teacher: Teacher, given: Given, seat: int, minutes: int) -> None:
    """Raises NotPossible, Http404."""
    attempt = get_object_or_404(given.session.attempts.at_work().select_for_update(), seat=seat)
    participant = Participant.objects.filter(given=given, person__key=attempt.person).first()
    if participant is None:
        raise NotPossible(said("nobody_there", "Nobody is here any more whose attempt it was."))
    _one_at_a_time(attempt)
    doer, now = doer_with(pass_of(participant)), max(now_ms(), attempt.last_at)
    state = judged(doer, attempt, now)
    desk = Sent(Actor(Role.DESK, teacher.pk, secrets.token_hex(6)), 1, now)
    state, records = reopened(state, seat, doer.own, doer.piece.terms.target, minutes * 60, desk)
    if records:
        assert given.work
        attempts.append(attempt, state, records)
        _kept(teacher, given.work, OpenedAgain(participant.who, attempt.number))


def _one_at_a_time(attempt: Attempt) -> None:
    others = Attempt.objects.at_work().filter(session=attempt.session, person=attempt.person, ended_at=None)
    if others.exclude(pk=attempt.pk).exists():
        raise NotPossible(said("works_on_another", "This student works on another attempt just now."))


def shown_moment(at: int, zone: str) -> str:
    return datetime.fromtimestamp(at / 1000, UTC).astimezone(ZoneInfo(zone)).strftime("%Y-%m-%d %H:%M")
