"""Sessions on disk: load a state, add events. The database is the only truth (law 5)."""

import json
import logging
from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import UTC, datetime
from functools import lru_cache, reduce
from operator import or_
from random import SystemRandom
from typing import Any

from django.db import connection, transaction
from django.db.backends.utils import CursorWrapper
from django.db.models import Q

from lantern.core.analysis.across import MarksThen, marks_then
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.results import Results
from lantern.core.classes.join_codes import make_code
from lantern.core.classes.needs import NONE, needs_from
from lantern.core.classes.record_ids import record_key
from lantern.core.messages import said
from lantern.core.questions import kind_of
from lantern.core.questions.content import About, SetContent
from lantern.core.questions.stored import content_of
from lantern.core.session import Actor, Course, Recorded, Role, Sent, State, new_session
from lantern.core.session import events as e
from lantern.core.session.changed import changed
from lantern.core.session.judging import Judgements
from lantern.core.session.pace import seconds_of_an_answer
from lantern.core.session.roster import Person as PersonInRoster
from lantern.core.session.roster import Roster
from lantern.core.session.stored import EVENT, read_event, read_settings, write_event
from lantern.core.session.views import stopped
from lantern.core.values import Milliseconds
from lantern.server.api.errors import FaultySession
from lantern.server.live import attempts
from lantern.server.live.models import KeptMarks, LiveSession, Person, SessionEvent
from lantern.server.live.own_lights import give_shells

log = logging.getLogger(__name__)
_random = SystemRandom()
# Plain SQL in Django's transaction: these run for every commit of a lesson.
TABLE = LiveSession._meta.db_table
MOVE_ON = f"UPDATE {TABLE} SET seq = %s WHERE id = %s AND seq = %s"  # noqa: S608 - no input in it
ADD_EVENTS = (
    f"INSERT INTO {SessionEvent._meta.db_table} "
    "(session_id, seq, at, role, who, page, number, payload, shape, set_aside) "
)
ADD_ONE = f"{ADD_EVENTS} VALUES (%s, %s, %s, %s, %s, %s, %s, %s, {EVENT.latest}, FALSE)"
ADD_ALL = (
    f"{ADD_EVENTS} SELECT (r->>0)::bigint, (r->>1)::int, (r->>2)::bigint, r->>3, (r->>4)::bigint, r->>5, "  # noqa: S608
    f"(r->>6)::bigint, r->>7, {EVENT.latest}, FALSE FROM jsonb_array_elements(%s::jsonb) AS r"
)
COLUMNS = "seq, at, role, who, page, number, shape, payload, set_aside"
READ_AT_ONCE = 4000
EVENTS_AFTER = (
    f"SELECT {COLUMNS} FROM {SessionEvent._meta.db_table} "  # noqa: S608 - no input in it
    f"WHERE session_id = %s AND seq > %s ORDER BY seq LIMIT {READ_AT_ONCE}"
)
LOCK = f"SELECT seq FROM {TABLE} WHERE id = %s" + (  # noqa: S608 - no input in it
    " FOR UPDATE" if connection.features.has_select_for_update else ""
)
Row = attempts.Row
SWEPT_WITHIN: Milliseconds = 200
OF_THE_ROSTER = (e.Joined, e.Renamed, e.Erased)
OF_A_PAUSE = (e.Paused, e.Resumed, e.Ended)


@dataclass(frozen=True, slots=True)
class Loaded:
    """A session's state after its first `seq` events, of which it goes on without `asides`, and how its answers were
    judged. Of set work `attempted` is how many events its attempts had; None where it is none."""

    session_id: int
    code: str
    owner_id: int
    seq: int
    state: State
    judgements: Judgements = field(default_factory=Judgements, compare=False)
    asides: int = 0
    attempted: int | None = None

    @property
    def is_work(self) -> bool:
        return self.attempted is not None


class FaultyEvent(FaultySession):
    """An event can be read no more, or breaks what comes of it. The session stands there until it is set aside."""

    def __init__(self, session_id: int, seq: int) -> None:
        super().__init__(
            said(
                "stands_at_event",
                "This session cannot go on: it stands at its event number {seq}. All answers are kept.",
                seq=seq,
            )
        )
        self.session_id, self.seq = session_id, seq


def load(session_id: int) -> Loaded:
    """The state as the database has it. Raises LiveSession.DoesNotExist, FaultySession, FaultyEvent."""
    loaded = before_its_first_event(session_id)
    return _with_attempts(loaded) if loaded.is_work else catch_up(loaded)


def prepared_content(row: LiveSession) -> SetContent:
    """What the session began with."""
    if row.revision is None:
        return SetContent(title=row.title, about=About(language=row.owner.spoken))
    return content_of(row.revision.shape, row.revision.content)


def before_its_first_event(session_id: int) -> Loaded:
    """Raises LiveSession.DoesNotExist, FaultySession."""
    row = LiveSession.objects.select_related("revision", "owner", "of_class").get(pk=session_id)
    roster = roster_of(session_id)
    try:
        content = prepared_content(row)
        chosen = read_settings(row.settings_shape, row.settings)
        if row.is_work:
            given_at = round(row.created_at.timestamp() * 1000)
            state = attempts.for_reports(content, chosen, row.seed, row.rules, given_at, roster)
        else:
            state = new_session(content, chosen, row.seed, row.rules, roster)
        for item in state.items.values():
            kind_of(item).prepare(item)
        state = changed(state, alphabet=row.alphabet)
    except Exception as error:
        log.exception("session %d could not be loaded", session_id)
        raise FaultySession from error
    return Loaded(row.pk, row.code, row.owner_id, 0, state, attempted=0 if row.is_work else None)


def catch_up(loaded: Loaded) -> Loaded:
    """The same session with the events that came since. Raises FaultyEvent."""
    if loaded.is_work:
        return load(loaded.session_id)
    course, last, happened = Course(loaded.state, loaded.judgements), loaded.seq, set[type]()
    asides = loaded.asides
    for row in rows_after(loaded.session_id, loaded.seq):
        last = seq = row[0]
        if is_aside(row):
            asides += 1
            continue
        try:
            recorded = read_row(row)
            course.take(recorded)
        except Exception as error:
            log.exception("session %d stands at its event %d", loaded.session_id, seq)
            raise FaultyEvent(loaded.session_id, seq) from error
        happened.add(type(recorded.event))
    if last == loaded.seq:
        return loaded
    state = course.state
    if e.OpenedAgain in happened:
        code = LiveSession.objects.values_list("code", flat=True).get(pk=loaded.session_id)
        loaded = replace(loaded, code=code)
    if not happened.isdisjoint(OF_THE_ROSTER):
        state = changed(state, roster=roster_of(loaded.session_id))
    return replace(loaded, seq=last, state=state, asides=asides)


def _with_attempts(loaded: Loaded) -> Loaded:
    """Set work with all of its attempts: what was put right in it, and what students did, in the order of time. Others
    go on meanwhile, so it is good for this one reading."""
    attempted = attempts.events_in(loaded.session_id)
    course, seq, asides = Course(loaded.state, loaded.judgements), 0, 0
    own = list(rows_after(loaded.session_id))
    for row in history(loaded.session_id, own):
        try:
            course.take(read_row(row))
        except Exception as error:
            log.exception("set work %d stands at its event %d", loaded.session_id, row[0])
            raise FaultyEvent(loaded.session_id, row[0]) from error
    seq, asides = max((row[0] for row in own), default=0), sum(map(is_aside, own))
    return replace(loaded, seq=seq, state=course.state, asides=asides, attempted=attempted)


def history(session_id: int, own: Sequence[Row] | None = None) -> list[Row]:
    """Everything that happened, without what was set aside; of set work also what was done in its attempts."""
    own = list(rows_after(session_id)) if own is None else own
    kept = [row for row in own if not is_aside(row)]
    tried = attempts.rows_of_all(session_id)
    return sorted((*tried, *kept), key=lambda row: row[1]) if tried else kept


def rows_after(session_id: int, seq: int = 0) -> Iterator[Row]:
    """Also those that were set aside."""
    while True:
        with connection.cursor() as cursor:
            cursor.execute(EVENTS_AFTER, (session_id, seq))
            rows = cursor.fetchall()
        yield from rows
        if len(rows) < READ_AT_ONCE:
            return
        seq = rows[-1][0]


def rows_aside(session_id: int) -> list[Row]:
    """The events that the session goes on without."""
    rows = SessionEvent.objects.filter(session=session_id, set_aside=True)
    return list(rows.values_list(*COLUMNS.split(", ")))


def is_aside(row: Row) -> bool:
    """Its number is taken, though the session goes on without it."""
    return row[-1]


@lru_cache(maxsize=4096)
def _actor(role: str, who: int | None, page: str) -> Actor:
    return Actor(Role(role), who, page)


def read_row(row: Row) -> Recorded:
    _, at, role, who, page, number, shape, payload, _ = row
    return Recorded(Sent(_actor(role, who, page), number, at), read_event(shape, payload))


def roster_of(session_id: int) -> Roster:
    return {person.key: in_roster(person) for person in Person.objects.filter(session_id=session_id).only(*OF_A_ROSTER)}


OF_A_ROSTER = ("key", "name", "member", "record_id", "needs")


def in_roster(person: Person) -> PersonInRoster:
    needs = needs_from(person.needs) if person.needs else NONE
    return PersonInRoster(person.key, person.name, person.member, person.record_id, needs)


class Stale(Exception):
    """Another process has added events: what was decided has to be decided again."""


def lock(session_id: int) -> int:
    """How many events the session has. Nobody else adds any until the open transaction ends. (SQLite has one writer
    anyway.) Raises LiveSession.DoesNotExist."""
    with connection.cursor() as cursor:
        cursor.execute(LOCK, (session_id,))
        found = cursor.fetchone()
    if found is None:
        raise LiveSession.DoesNotExist
    return int(found[0])


def how_far(session_ids: Sequence[int]) -> list[tuple[int, int]]:
    """Each session's id, with how many events it has."""
    return list(LiveSession.objects.filter(pk__in=session_ids).order_by().values_list("pk", "seq"))


def append(before: Loaded, after: State, recorded: Sequence[Recorded]) -> Loaded:
    """Add the events that lead from `before` to `after`, in the transaction that is open.

    Raises Stale, with nothing added, if the database is ahead of `before`. Nothing to add is checked
    too: a command may have been refused only because `before` was behind.
    """
    if not recorded:
        if LiveSession.objects.filter(pk=before.session_id, seq=before.seq).exists():
            return before
        raise Stale
    kinds = {type(record.event) for record in recorded}
    kept = [record for record in recorded if not isinstance(record.event, e.Named)] if e.Named in kinds else recorded
    seq = before.seq + len(kept)
    rows = [
        (before.session_id, number, at, by.role.value, by.who, by.page, count, write_event(event))  # type: ignore[arg-type]
        for number, ((by, count, at), event) in enumerate(kept, start=before.seq + 1)
    ]
    with connection.cursor() as cursor:
        cursor.execute(MOVE_ON, (seq, before.session_id, before.seq))
        if cursor.rowcount != 1:
            raise Stale
        _add_events(cursor, rows)
    if e.Named in kinds or e.Erased in kinds:
        _keep_roster(before.session_id, recorded, after)
    if before.is_work:
        attempts.sum_up_again(before.session_id, after)
    if after.ended_at is not None:  # also when somebody was removed, or a key was set, after the end
        ended_at = datetime.fromtimestamp(after.ended_at / 1000, UTC)
        summary = _summed_up(before.session_id, after)
        LiveSession.objects.filter(pk=before.session_id).update(ended_at=ended_at, summary=summary)
    if not kinds.isdisjoint(OF_A_PAUSE):
        LiveSession.objects.filter(pk=before.session_id).update(stopped=stopped(after))
    if e.OpenedAgain in kinds:
        return replace(before, seq=seq, state=after, code=_open_again(before.session_id, before.code))
    return replace(before, seq=seq, state=after)


def _open_again(session_id: int, code: str) -> str:
    """The code by which it is joined from now on: its own, or another where somebody has that meanwhile."""
    while LiveSession.objects.filter(code=code, ended_at=None).exclude(pk=session_id).exists():
        code = make_code(_random)
    LiveSession.objects.filter(pk=session_id).update(ended_at=None, summary=None, code=code)
    return code


def _add_events(cursor: CursorWrapper, rows: Sequence[tuple[Any, ...]]) -> None:
    """SQLite takes rows one by one at the least cost; to a server they go as one value, in one statement: as values of
    their own they cost 40 µs a row, most of it for putting them into the statement."""
    if connection.vendor == "postgresql":
        cursor.execute(ADD_ALL, (json.dumps(rows),))
    else:
        cursor.executemany(ADD_ONE, rows)


def _keep_roster(session_id: int, recorded: Iterable[Recorded], after: State) -> None:
    """Names as they are in the end, and nothing of who was erased."""
    named = {record.event.person for record in recorded if isinstance(record.event, e.Named)}
    people = [_row_of(session_id, after.roster[key]) for key in named if key in after.roster]
    if people:
        Person.objects.bulk_create(
            people, update_conflicts=True, unique_fields=["session", "key"], update_fields=["name"]
        )
    erased = [record.event.seat for record in recorded if isinstance(record.event, e.Erased)]
    if erased:
        gone = [after.seats[seat].person for seat in erased]
        Person.objects.filter(session_id=session_id, key__in=gone).delete()
        _take_back_words(session_id, erased)
        _take_back_lights(session_id, erased)


def _take_back_words(session_id: int, seats: Sequence[int]) -> None:
    """What was written to who is erased, or by them to the teacher, may well hold their name: these texts go with
    it."""
    rows = SessionEvent.objects.filter(session_id=session_id)
    of_texts = (Q(payload__contains=f'"type":"{name}"') for name in ("wrote", "noted", "commented"))
    for row in rows.filter(reduce(or_, of_texts)):
        event = read_event(row.shape, row.payload)
        of = event.seat if isinstance(event, e.Wrote | e.Commented) else row.who if row.role == Role.SEAT else None
        if of in seats and isinstance(event, e.Wrote | e.Noted | e.Commented):
            row.payload, row.shape = write_event(replace(event, text="")), EVENT.latest
            row.save(update_fields=["payload", "shape"])


def _take_back_lights(session_id: int, seats: Sequence[int]) -> None:
    """A light tells who it is as a name does."""
    rows = SessionEvent.objects.filter(session_id=session_id, payload__contains='"light":"')
    for seat in seats:
        for row in rows.filter(payload__contains=f'"seat":{seat},'):
            event = read_event(row.shape, row.payload)
            if isinstance(event, e.Joined | e.LightChosen) and event.seat == seat:
                row.payload, row.shape = write_event(replace(event, light="")), EVENT.latest
                row.save(update_fields=["payload", "shape"])


def _row_of(session_id: int, person: PersonInRoster) -> Person:
    return Person(
        session_id=session_id,
        key=person.id,
        name=person.name,
        member=person.member,
        record_id=person.record_id,
        record_key=record_key(person.record_id),
        keeper=person.keeper,
        needs={} if person.needs == NONE else person.needs.model_dump(mode="json"),
    )


def sweep() -> None:
    """With SQLite, take what was erased out of its journal, too: secure delete has taken it out of the database.

    Where a reader is in the way for longer than SWEPT_WITHIN, the journal's next turn does it.
    """
    if connection.vendor != "sqlite":
        return
    with connection.cursor() as cursor:
        cursor.execute("PRAGMA busy_timeout")
        (before,) = cursor.fetchone()
        cursor.execute(f"PRAGMA busy_timeout = {SWEPT_WITHIN}")
        cursor.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        cursor.execute(f"PRAGMA busy_timeout = {before}")


def _summed_up(session_id: int, state: State) -> dict[str, object] | None:
    """What lists of sessions say of it; its members' marks are kept with it. A fault in summing up holds up no end."""
    try:
        results = results_of(state)
        report = report_of(results)
        pace = seconds_of_an_answer(state)
    except Exception:
        log.exception("session %d could not be summed up", session_id)
        return None
    keep_marks(session_id, state, results)
    means = {line.seat: line.share for line in report.people}
    _keep_mean_marks(session_id, means, state)
    _give_shells(session_id, means, state)
    return {
        "took_part": report.took_part,
        "mean_share": report.mean_share,
        "questions": len(report.questions),
        "waiting": report.waiting,
        "pace": pace,
    }


def keep_marks(session_id: int, state: State, results: Results) -> MarksThen:
    """Of a session that has ended."""
    people = {seat.number: seat.person or f"seat-{seat.number}" for seat in state.people()}
    kept = marks_then(results, people)
    KeptMarks.objects.update_or_create(session_id=session_id, defaults={"table": kept.model_dump(mode="json")})
    return kept


def _keep_mean_marks(session_id: int, means: Mapping[int, float | None], state: State) -> None:
    """Of whoever is known again: later teams can be balanced by them, and it is seen who gets better."""
    known = Person.objects.filter(session_id=session_id).exclude(member="", keeper="").only("key")
    people = {person.key: person for person in known}
    for seat in state.seats.values():
        if seat.person in people:
            people[seat.person].mean_mark = means.get(seat.number)
    Person.objects.bulk_update(people.values(), ["mean_mark"], batch_size=200)


def _give_shells(session_id: int, means: Mapping[int, float | None], state: State) -> None:
    """A fault in it holds up no end, and undoes nothing else."""
    if not state.settings.keeps_lights:
        return
    school = LiveSession.objects.values_list("owner__school", flat=True).get(pk=session_id)
    try:
        with transaction.atomic():
            give_shells(session_id, school, state, means)
    except Exception:
        log.exception("shells of session %d could not be given", session_id)
