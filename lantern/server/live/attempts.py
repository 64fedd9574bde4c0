"""Attempts at set work, as they are stored: each has its own events, and nobody holds them in memory.

Reports read all attempts of a session at once, in the order in which things happened.
"""

from collections.abc import Iterable, Sequence

from django.db import connection
from django.db.models import Sum

from lantern.core.questions.content import SetContent
from lantern.core.session import Phase, Recorded, Settings, State
from lantern.core.session.changed import changed
from lantern.core.session.events import StoredEvent
from lantern.core.session.roster import Roster
from lantern.core.session.stored import write_event
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import before_all, summary
from lantern.server.live.models import Attempt, AttemptEvent

_EVENTS, _ATTEMPTS = AttemptEvent._meta.db_table, Attempt._meta.db_table
ROWS = (
    f"SELECT e.seq, e.at, e.role, e.who, e.page, e.number, e.shape, e.payload, FALSE FROM {_EVENTS} e "  # noqa: S608
    f"JOIN {_ATTEMPTS} a ON a.id = e.attempt_id "
)
OF_ALL = f"{ROWS} WHERE a.session_id = %s ORDER BY e.at, a.seat, e.seq"
OF_ONE = f"{ROWS} WHERE a.id = %s ORDER BY e.seq"
"""Plain SQL: these run for every answer, and for every report."""

Row = tuple[int, Milliseconds, str, int | None, str, int, int, str, bool]
"""A stored event: its number, when, the actor's role, who and page, the number of the command, the shape, the event,
and whether it was set aside."""


class Stale(Exception):
    """Another process has added events to this attempt meanwhile."""


def rows_of_all(session_id: int) -> list[Row]:
    return _rows(OF_ALL, session_id)


def rows_of_one(attempt_id: int) -> list[Row]:
    return _rows(OF_ONE, attempt_id)


def _rows(query: str, number: int) -> list[Row]:
    with connection.cursor() as cursor:
        cursor.execute(query, (number,))
        return cursor.fetchall()


def events_in(session_id: int) -> int:
    """How many events all attempts have together: what was read of them is as old as this number."""
    found = Attempt.objects.filter(session=session_id).aggregate(all=Sum("seq"))
    return found["all"] or 0


def for_reports(
    content: SetContent, settings: Settings, seed: str, rules: int, given_at: Milliseconds, roster: Roster
) -> State:
    """Set work as its teacher reads it: as a session that is over, whoever may still be working on it."""
    return changed(before_all(content, settings, seed, rules, given_at, roster), phase=Phase.ENDED)


def append(attempt: Attempt, state: State, recorded: Sequence[Recorded]) -> None:
    """Adds the events to the attempt, with what it comes to now, in the transaction that is open. Raises Stale, with
    nothing added, where it has gone on meanwhile."""
    if not recorded:
        return
    seq, before = attempt.seq + len(recorded), attempt.seq
    take_in(attempt, state)
    attempt.last_at, attempt.seq = recorded[-1].at, seq
    fields = ("seq", "last_at", *OF_ITS_STATE)
    values = {name: getattr(attempt, name) for name in fields}
    if Attempt.objects.filter(pk=attempt.pk, seq=before).update(**values) != 1:
        raise Stale
    AttemptEvent.objects.bulk_create(_written(attempt, recorded, before))


OF_ITS_STATE = ("ended_at", "why", "answered", "of", "right", "score", "out_of", "waiting")


def take_in(attempt: Attempt, state: State) -> None:
    """What the attempt's state comes to, into its row."""
    paper, found = state.papers[attempt.seat], summary(state, attempt.seat)
    attempt.ended_at, attempt.why = paper.handed_in_at, paper.handed_in_by or ""
    attempt.answered, attempt.of, attempt.right = found.answered, found.of, found.right
    attempt.score, attempt.out_of, attempt.waiting = found.score, found.out_of, found.waiting


def _written(attempt: Attempt, recorded: Iterable[Recorded], before: int) -> list[AttemptEvent]:
    return [
        AttemptEvent(
            attempt=attempt,
            seq=seq,
            at=one.at,
            role=one.by.role.value,
            who=one.by.who,
            page=one.by.page,
            number=one.sent.number,
            payload=write_event(_stored(one)),
        )
        for seq, one in enumerate(recorded, start=before + 1)
    ]


def _stored(recorded: Recorded) -> StoredEvent:
    assert isinstance(recorded.event, StoredEvent)
    return recorded.event
