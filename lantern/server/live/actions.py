"""Start a session, join it."""

import secrets
from random import SystemRandom

from django.core.exceptions import PermissionDenied
from django.db import IntegrityError, transaction
from django.utils import timezone

from lantern.core.classes.join_codes import make_code
from lantern.core.questions.marking import LATEST
from lantern.core.session import Sent, Settings
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.commands import Join
from lantern.server.accounts.models import Teacher
from lantern.server.api import limits
from lantern.server.library.actions import freeze
from lantern.server.library.models import QuestionSet
from lantern.server.live.clock import now_ms
from lantern.server.live.faults import faulty_rows
from lantern.server.live.hub import hub, raise_refusal
from lantern.server.live.models import LiveSession
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import Joined, JoinForm
from lantern.server.live.tokens import make_token

_random = SystemRandom()
CODE_TRIES = 20


@transaction.atomic
def start_session(teacher: Teacher, question_set: QuestionSet, settings: Settings) -> LiveSession:
    """Freeze the set and open the doors. Raises NotReady while the set cannot run."""
    revision = freeze(teacher, question_set)
    for attempt in range(CODE_TRIES):
        try:
            with transaction.atomic():
                return LiveSession.objects.create(
                    owner=teacher,
                    revision=revision,
                    title=revision.content["title"],
                    code=make_code(_random),
                    settings=settings.model_dump(mode="json"),
                    seed=secrets.token_hex(16),
                    rules=LATEST,
                    created_at=timezone.now(),
                )
        except IntegrityError:  # the code is in use; draw another
            if attempt == CODE_TRIES - 1:
                raise
    raise AssertionError("unreachable")


def rename_session(teacher: Teacher, session: LiveSession, title: str) -> None:
    if not may_lead(teacher, session):
        raise PermissionDenied
    session.title = title
    session.save(update_fields=["title"])


@transaction.atomic
def go_on_without(teacher: Teacher, session: LiveSession, seq: int) -> None:
    """Set aside the event at which the session stands, and those that hang on it; nothing where it stands elsewhere."""
    if not may_lead(teacher, session):
        raise PermissionDenied
    _, rows = faulty_rows(session.pk)
    if rows and rows[0][0] == seq:
        session.events.filter(seq__in=[row[0] for row in rows]).update(set_aside=True)


async def join_session(session: LiveSession, form: JoinForm, address: str) -> Joined:
    """Take a seat; the same key takes the same seat, and costs nothing. Raises BadName, TakenOut, TooManyTries."""
    the_hub = hub()
    room = await the_hub.room(session.pk)
    if form.key not in room.state.seat_of_key:
        limits.spend(limits.NEW_SEATS, str(session.pk), address)
    person = secrets.token_urlsafe(12)
    outcome = await the_hub.submit(session.pk, Join(form.name, form.key, person), Sent(NEWCOMER, 0, now_ms()))
    raise_refusal(outcome)
    room = await the_hub.room(session.pk)
    seat = room.state.seats[room.state.seat_of_key[form.key]]
    token = make_token(session.pk, seat)
    return Joined(token=token, code=session.code, title=session.title, name=room.state.name(seat))
