"""A piece of set work in memory, as long as one request lasts: its terms, its changes, its content."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from django.db.models import QuerySet
from django.http import Http404

from lantern.core.session import Recorded, Settings, State
from lantern.core.session.changed import changed
from lantern.core.session.course import replay
from lantern.core.session.stored import read_settings
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import before_all, in_time, of_this_seat, settled
from lantern.core.work.changes import Change, Own, own_terms, read_change
from lantern.core.work.standing import Tried
from lantern.core.work.terms import Terms, read_terms
from lantern.server.api.errors import UnknownPass
from lantern.server.live import attempts, store
from lantern.server.live.models import Attempt, LiveSession
from lantern.server.work.models import Given, Participant, SetWork
from lantern.server.work.passes import make_pass, read_pass

KEPT = 16
"""Pieces whose content is kept ready in each process. It never changes, and nothing of a student is in it."""


@dataclass(frozen=True)
class Piece:
    given: Given
    session: LiveSession
    terms: Terms
    settings: Settings
    changes: tuple[Change, ...]

    def own(self, who: str) -> Own:
        return own_terms(self.terms, self.changes, who)


def terms_of(work: SetWork) -> Terms:
    return read_terms(work.terms_shape, work.terms)


def changes_of(work: SetWork) -> tuple[Change, ...]:
    return tuple(read_change(one.shape, one.payload) for one in work.changes.all())


def piece_of(given: Given) -> Piece:
    session = given.session
    chosen = read_settings(session.settings_shape, session.settings)
    return Piece(given, session, terms_of(given.work), chosen, changes_of(given.work))


def given_with(link: str) -> Given:
    """Raises Http404."""
    found = _all_given().filter(link=link, session__deleted_at=None).first()
    if found is None:
        raise Http404
    return found


def _all_given() -> QuerySet[Given]:
    return Given.objects.select_related("work", "session__owner__school", "session__of_class").prefetch_related(
        "work__changes"
    )


def participant_with(token: str) -> Participant:
    """Raises UnknownPass."""
    read = read_pass(token)
    rows = Participant.objects.select_related("person", "given__work", "given__session__owner__school")
    rows = rows.select_related("given__session__of_class", "person", "given__work", "given__session__owner__school")
    found = rows.prefetch_related("given__work__changes").filter(pk=read.participant).first()
    if found is None or found.pass_number != read.number or not found.person.key.startswith(read.person):
        raise UnknownPass
    if found.given.session.deleted_at is not None:
        raise UnknownPass
    return found


def pass_of(participant: Participant) -> str:
    return make_pass(participant.pk, participant.pass_number, participant.person.key)


def prepared(session: LiveSession) -> State:
    """The work before anybody has begun. It never changes: a piece that was given is frozen."""
    return _prepared(session.pk, session.seed)


@lru_cache(maxsize=KEPT)
def _prepared(session_id: int, seed: str) -> State:
    row = LiveSession.objects.select_related("revision").get(pk=session_id)
    chosen = read_settings(row.settings_shape, row.settings)
    return before_all(store.prepared_content(row), chosen, row.seed, row.rules, _ms(row))


def _ms(session: LiveSession) -> Milliseconds:
    return round(session.created_at.timestamp() * 1000)


def state_of(session: LiveSession, attempt: Attempt, participant: Participant) -> State:
    """One attempt as its events, and what was put right in the work, have it."""
    person = participant.person
    state = changed(prepared(session), roster={person.key: store.in_roster(person)})
    own = [store.read_row(row) for row in attempts.rows_of_one(attempt.pk)]
    return replay(state, in_time(own, of_this_seat(put_right(session), attempt.seat)))


def put_right(session: LiveSession) -> Sequence[Recorded]:
    """What was corrected in the work since it was given."""
    if not session.seq:
        return ()
    return [store.read_row(row) for row in store.rows_after(session.pk) if not store.is_aside(row)]


def attempts_of(participant: Participant) -> list[Attempt]:
    rows = Attempt.objects.filter(session=participant.given.session_id, person=participant.person.key)
    return list(rows.order_by("number"))


def tried(attempt: Attempt) -> Tried:
    share = attempt.score / attempt.out_of if attempt.out_of else None
    return Tried(attempt.number, attempt.seat, attempt.began_at, attempt.ended_at, attempt.why, share)  # type: ignore[arg-type]


def judged(piece: Piece, participant: Participant, attempt: Attempt, now: Milliseconds) -> State:
    """The attempt's state, with what the clock has ended meanwhile, which is stored: within a transaction."""
    state = state_of(piece.session, attempt, participant)
    state, over = settled(state, attempt.seat, piece.own(participant.who), piece.terms.target, now)
    attempts.append(attempt, state, over)
    return state
