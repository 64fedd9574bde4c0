"""A piece of set work in memory, as long as one request lasts: its terms, its changes, its content."""

import json
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any, NamedTuple

from django.db import connection
from django.db.models import QuerySet
from django.http import Http404

from lantern.core.classes.needs import NONE, needs_from
from lantern.core.classes.school import SchoolSettings
from lantern.core.questions.stored import content_of
from lantern.core.session import Course, Recorded, Settings, State
from lantern.core.session.changed import changed
from lantern.core.session.judging import Judgements
from lantern.core.session.own_views import Fragments
from lantern.core.session.roster import Person as PersonInRoster
from lantern.core.session.stored import read_settings
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import before_all, in_time, of_this_seat, settled
from lantern.core.work.changes import Change, Own, own_terms, read_change
from lantern.core.work.standing import Tried
from lantern.core.work.terms import PRACTISED, Target, Terms, read_terms
from lantern.server.accounts.models import School, Teacher
from lantern.server.api.errors import UnknownPass
from lantern.server.live import attempts, store
from lantern.server.live.attempts import Row
from lantern.server.live.models import Attempt, LiveSession, Person
from lantern.server.practice.models import Round
from lantern.server.work.models import Given, Participant, SetWork, WorkChange
from lantern.server.work.passes import Pass, make_pass, read_pass

KEPT = 16
"""Pieces whose content is kept ready in each process. It never changes, and nothing of a student is in it."""


@dataclass(frozen=True)
class Ready:
    """The work before anybody has begun, what answers to it are worth, and its questions as texts. It never changes: a
    piece that was given is frozen."""

    state: State
    judgements: Judgements
    fragments: Fragments


@dataclass(frozen=True)
class Piece:
    given: Given
    session: LiveSession
    terms: Terms
    settings: Settings
    changes: tuple[Change, ...]

    def own(self, who: str) -> Own:
        return own_terms(self.terms, self.changes, who)

    @property
    def is_plain(self) -> bool:
        """Whether an answer leads to nothing but itself."""
        is_plain = self.ready.state.board is None and not self.settings.comes_back
        return is_plain and self.terms.target.right is None

    @property
    def ready(self) -> Ready:
        return _ready(self.session.pk, self.session.seed)

    @property
    def was_given(self) -> bool:
        return self.given.work is not None


@dataclass(frozen=True)
class Doer:
    """Somebody who does a piece: `own` is what holds for them, `corrected` how many events were put into the work since
    it was given."""

    piece: Piece
    participant: int
    who: str
    person: PersonInRoster
    own: Own
    corrected: int

    def put_right(self) -> list[Recorded]:
        """What was corrected in the work."""
        rows = store.rows_after(self.piece.session.pk)
        return [store.read_row(row) for row in rows if not store.is_aside(row)]


def terms_of(work: SetWork) -> Terms:
    return read_terms(work.terms_shape, work.terms)


ONLY_PRACTISED = Terms(purpose="practice", attempts=None)
"""Of a session whose students practise what they missed in it: nothing was given."""


def changes_of(work: SetWork) -> tuple[Change, ...]:
    return tuple(read_change(one.shape, one.payload) for one in work.changes.all())


def piece_of(given: Given) -> Piece:
    session = given.session
    chosen = read_settings(session.settings_shape, session.settings)
    if given.work is None:
        return Piece(given, session, ONLY_PRACTISED, chosen, ())
    return Piece(given, session, terms_of(given.work), chosen, changes_of(given.work))


LINK = (
    f"SELECT g.id, s.seed, (SELECT MAX(c.id) FROM {WorkChange._meta.db_table} c WHERE c.work_id = g.work_id), s.title "  # noqa: S608
    f"FROM {Given._meta.db_table} g JOIN {LiveSession._meta.db_table} s ON s.id = g.session_id "
    "WHERE g.link = %s AND g.work_id IS NOT NULL AND s.deleted_at IS NULL"
)


def piece_with(link: str) -> Piece:
    """Raises Http404."""
    with connection.cursor() as cursor:
        cursor.execute(LINK, (link,))
        found = cursor.fetchone()
    if found is None:
        raise Http404
    return _piece(*found)


SCHOOL = (
    f"SELECT s.settings FROM {School._meta.db_table} s "  # noqa: S608
    f"JOIN {Teacher._meta.db_table} t ON t.school_id = s.id WHERE t.id = %s"
)
HERE = f"SELECT id FROM {Participant._meta.db_table} WHERE given_id = %s AND device = %s"  # noqa: S608
"""Plain SQL: they run for each who comes in, and a class comes at once."""


def school_of(piece: Piece) -> SchoolSettings:
    """As the school has decided by now: it may decide otherwise any time."""
    with connection.cursor() as cursor:
        cursor.execute(SCHOOL, (piece.session.owner_id,))
        (chosen,) = cursor.fetchone()
    return _school(chosen if isinstance(chosen, str) else json.dumps(chosen))


@lru_cache(maxsize=KEPT)
def _school(chosen: str) -> SchoolSettings:
    return SchoolSettings.model_validate_json(chosen)


def came_before(piece: Piece, device: str) -> Participant | None:
    """Who came in by this device."""
    with connection.cursor() as cursor:
        cursor.execute(HERE, (piece.given.pk, device))
        found = cursor.fetchone()
    return Participant.objects.select_related("person").get(pk=found[0]) if found else None


def _all_given() -> QuerySet[Given]:
    return Given.objects.select_related("work", "session__owner__school", "session__of_class").prefetch_related(
        "work__changes"
    )


_ATTEMPT = ("id", "seat", "number", "seq", "began_at", "last_at", "ended_at", "why")
DOERS = (
    "SELECT d.id, d.pass_number, d.who, p.key, p.name, p.member, p.record_id, p.needs, g.id, s.id, s.seed, s.seq, "  # noqa: S608
    f"(SELECT MAX(c.id) FROM {WorkChange._meta.db_table} c WHERE c.work_id = g.work_id), "
    "s.title, "
    + ", ".join(f"a.{name}" for name in _ATTEMPT)
    + f" FROM {Participant._meta.db_table} d JOIN {Person._meta.db_table} p ON p.id = d.person_id "
    f"JOIN {Given._meta.db_table} g ON g.id = d.given_id JOIN {LiveSession._meta.db_table} s ON s.id = g.session_id "
    f"LEFT JOIN {Attempt._meta.db_table} a ON a.session_id = s.id AND a.person = p.key "
    "WHERE s.deleted_at IS NULL AND d.id IN ({})"
)
"""Plain SQL, for all of a batch: it runs for every answer."""


@dataclass(frozen=True)
class Doing:
    """A doer with their attempts, by number."""

    doer: Doer
    attempts: dict[int, Attempt]


def doings(passes: Sequence[Pass]) -> dict[Pass, Doing]:
    """Those of these passes that are good."""
    wanted = {one.participant for one in passes}
    with connection.cursor() as cursor:
        cursor.execute(DOERS.format(",".join(["%s"] * len(wanted))), list(wanted))
        rows = cursor.fetchall()
    there: dict[int, tuple[int, Doing]] = {}
    for row in rows:
        participant, number, key = row[0], row[1], row[3]
        if participant not in there:
            there[participant] = number, Doing(_doer(row), {})
        if row[14] is not None:
            known = dict(zip(_ATTEMPT, row[14:], strict=True))
            attempt = Attempt(session_id=row[9], person=key, pk=known.pop("id"), **known)
            there[participant][1].attempts[attempt.number] = attempt
    return {one: doing for one in passes if (doing := _opened_by(one, there.get(one.participant)))}


def _opened_by(one: Pass, there: tuple[int, Doing] | None) -> Doing | None:
    """Several passes of one participant may come at once, of which the newest alone is good."""
    if there is None or there[0] != one.number or not there[1].doer.person.id.startswith(one.person):
        return None
    return there[1]


def _doer(row: tuple[Any, ...]) -> Doer:
    participant, _, who, key, name, member, record_id, needs, given, _, seed, corrected, last_change, title = row[:14]
    needs = json.loads(needs) if isinstance(needs, str) else needs
    person = PersonInRoster(key, name, member, record_id, needs_from(needs) if needs else NONE)
    piece = _piece(given, seed, last_change, title)
    return Doer(piece, participant, who, person, piece.own(who), corrected)


def doing_with(token: str) -> Doing:
    """Raises UnknownPass."""
    read = read_pass(token)
    found = doings([read]).get(read)
    if found is None:
        raise UnknownPass
    return found


def doer_with(token: str) -> Doer:
    """Raises UnknownPass."""
    return doing_with(token).doer


@lru_cache(maxsize=KEPT)
def _piece(given_id: int, seed: str, last_change: int | None, title: str) -> Piece:
    """As it stands after that change, under that title; nothing else of it changes."""
    return piece_of(_all_given().get(pk=given_id))


def pass_of(participant: Participant) -> str:
    return make_pass(participant.pk, participant.pass_number, participant.person.key)


@lru_cache(maxsize=KEPT)
def _ready(session_id: int, seed: str) -> Ready:
    """`seed` is nobody else's: a number may come again in a database that was begun anew."""
    row = LiveSession.objects.select_related("revision").get(pk=session_id)
    chosen = read_settings(row.settings_shape, row.settings)
    return Ready(
        before_all(store.prepared_content(row), chosen, row.seed, row.rules, _ms(row)), Judgements(), Fragments()
    )


def _ms(session: LiveSession) -> Milliseconds:
    return round(session.created_at.timestamp() * 1000)


class Ground(NamedTuple):
    """What an attempt stands on: the work itself, with its terms, or the questions of a round of practice, which is due
    at no time and has no target."""

    ready: Ready
    own: Own
    target: Target


def ground_of(doer: Doer, attempt: Attempt) -> Ground:
    if not attempt.is_round:
        return Ground(doer.piece.ready, doer.own, doer.piece.terms.target)
    return practice_ground(attempt, Round.objects.get(attempt=attempt.pk), doer.piece.session)


def practice_ground(attempt: Attempt, round_: Round, session: LiveSession) -> Ground:
    """`session` is that of which it is practice: by its rules answers are marked."""
    content, seed = content_of(round_.shape, round_.content), f"{session.seed}:{attempt.number}"
    state = before_all(content, PRACTISED, seed, session.rules, attempt.began_at)
    return Ground(Ready(state, Judgements(), Fragments()), own_terms(ONLY_PRACTISED, (), ""), Target())


def state_of(
    doer: Doer,
    attempt: Attempt,
    ground: Ground,
    rows: Sequence[Row] | None = None,
    only: frozenset[str] | None = None,
) -> State:
    """One attempt as its events, and what was put right in the work, have it. `only`: with answers to these asks alone
    (`Course`)."""
    if rows is None:
        rows = attempts.events_of([attempt.pk]).get(attempt.pk, [])
    ready = ground.ready
    course = Course(changed(ready.state, roster={doer.person.id: doer.person}), ready.judgements, only)
    own = [store.read_row(row) for row in rows]
    is_corrected = doer.corrected and not attempt.is_round
    for one in in_time(own, of_this_seat(doer.put_right(), attempt.seat)) if is_corrected else own:
        course.take(one)
    return course.state


def attempts_of(session_id: int, person: str) -> list[Attempt]:
    return list(Attempt.objects.at_work().filter(session=session_id, person=person).order_by("number"))


def tried(attempt: Attempt) -> Tried:
    share = attempt.score / attempt.out_of if attempt.out_of else None
    return Tried(attempt.number, attempt.seat, attempt.began_at, attempt.ended_at, attempt.why, share)  # type: ignore[arg-type]


def judged(doer: Doer, attempt: Attempt, now: Milliseconds, ground: Ground | None = None) -> State:
    """The attempt's state, with what the clock has ended meanwhile, which is stored: within a transaction."""
    ground = ground or ground_of(doer, attempt)
    state = state_of(doer, attempt, ground)
    state, over = settled(state, attempt.seat, ground.own, ground.target, now)
    attempts.append(attempt, state, over)
    return state
