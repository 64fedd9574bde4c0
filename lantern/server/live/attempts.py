"""Attempts at set work, as they are stored: each has its own events, and nobody holds them in memory.

Reports read all attempts of a session at once, in the order in which things happened.
"""

from collections.abc import Sequence

from django.db import connection
from django.db.models import Sum

from lantern.core.questions.content import SetContent
from lantern.core.session import Phase, Recorded, Settings, State
from lantern.core.session.changed import changed
from lantern.core.session.events import StoredEvent
from lantern.core.session.roster import Roster
from lantern.core.session.stored import EVENT, write_event
from lantern.core.values import Milliseconds
from lantern.core.work.attempt import before_all, summary
from lantern.server.live.models import Attempt, AttemptEvent

_EVENTS, _ATTEMPTS = AttemptEvent._meta.db_table, Attempt._meta.db_table
ROWS = (
    f"SELECT e.seq, e.at, e.role, e.who, e.page, e.number, e.shape, e.payload, FALSE FROM {_EVENTS} e "  # noqa: S608
    f"JOIN {_ATTEMPTS} a ON a.id = e.attempt_id "
)
OF_ALL = f"{ROWS} WHERE a.session_id = %s AND a.number < {Attempt.FIRST_ROUND} ORDER BY e.at, a.seat, e.seq"
OF_SEVERAL = (
    "SELECT attempt_id, seq, at, role, who, page, number, shape, payload, FALSE "  # noqa: S608
    f"FROM {_EVENTS} WHERE attempt_id IN ({{}}) ORDER BY attempt_id, seq"
)
LAST_SEAT = f"SELECT MAX(seat) FROM {_ATTEMPTS} WHERE session_id = %s"  # noqa: S608
CHANGES = (
    "seq",
    "last_at",
    "ended_at",
    "why",
    "answered",
    "of",
    "right",
    "score",
    "out_of",
    "waiting",
    "missed",
    "held",
)
GO_ON = (
    f"UPDATE {_ATTEMPTS} SET "  # noqa: S608
    + ", ".join(f"{connection.ops.quote_name(name)} = %s" for name in CHANGES)
    + " WHERE id = %s AND seq = %s"
)
ADD = (
    f"INSERT INTO {_EVENTS} (attempt_id, seq, at, role, who, page, number, shape, payload) "  # noqa: S608
    "VALUES (%s, %s, %s, %s, %s, %s, %s, %s, %s)"
)
"""Plain SQL: these run for every answer, and for every report."""

Row = tuple[int, Milliseconds, str, int | None, str, int, int, str, bool]
"""A stored event: its number, when, the actor's role, who and page, the number of the command, the shape, the event,
and whether it was set aside."""


class Stale(Exception):
    """Another process has added events to this attempt meanwhile."""


def rows_of_all(session_id: int) -> list[Row]:
    return _rows(OF_ALL, session_id)


def _rows(query: str, number: int) -> list[Row]:
    with connection.cursor() as cursor:
        cursor.execute(query, (number,))
        return cursor.fetchall()


def events_in(session_id: int) -> int:
    """How many events all attempts have together: what was read of them is as old as this number."""
    found = Attempt.objects.at_work().filter(session=session_id).aggregate(all=Sum("seq"))
    return found["all"] or 0


def next_seat(session_id: int) -> int:
    with connection.cursor() as cursor:
        cursor.execute(LAST_SEAT, (session_id,))
        (last,) = cursor.fetchone()
    return (last or 0) + 1


def for_reports(
    content: SetContent, settings: Settings, seed: str, rules: int, given_at: Milliseconds, roster: Roster
) -> State:
    """Set work as its teacher reads it: as a session that is over, whoever may still be working on it."""
    state = before_all(content, settings, seed, rules, given_at, roster)
    asks = {name: changed(ask, is_open=False) for name, ask in state.asks.items()}
    return changed(state, phase=Phase.ENDED, asks=asks)


def events_of(attempt_ids: Sequence[int]) -> dict[int, list[Row]]:
    """By attempt, each in its order."""
    found: dict[int, list[Row]] = {}
    with connection.cursor() as cursor:
        cursor.execute(OF_SEVERAL.format(_places(attempt_ids)), attempt_ids)
        for attempt_id, *row in cursor.fetchall():
            found.setdefault(attempt_id, []).append(tuple(row))  # type: ignore[arg-type]
    return found


def _places(values: Sequence[object]) -> str:
    return ",".join(["%s"] * len(values))


def append(attempt: Attempt, state: State, recorded: Sequence[Recorded]) -> None:
    """Adds the events to the attempt, with what it comes to now, in the transaction that is open. Raises Stale, with
    nothing added, where it has gone on meanwhile."""
    append_all([(attempt, state, recorded)])


def append_all(news: Sequence[tuple[Attempt, State, Sequence[Recorded]]]) -> None:
    """The same for several, each attempt once."""
    going, rows = [], []
    for attempt, state, recorded in news:
        if not recorded:
            continue
        before = attempt.seq
        take_in(attempt, state)
        attempt.last_at, attempt.seq = recorded[-1].at, before + len(recorded)
        going.append((*(getattr(attempt, name) for name in CHANGES), attempt.pk, before))
        rows += [_row(attempt.pk, seq, one) for seq, one in enumerate(recorded, start=before + 1)]
    if not going:
        return
    with connection.cursor() as cursor:
        cursor.executemany(GO_ON, going)
        if cursor.rowcount != len(going):
            raise Stale
        cursor.executemany(ADD, rows)


def sum_up_again(session_id: int, state: State) -> None:
    """What attempts that are over come to, after something was put right in the work."""
    changed_rows = []
    for attempt in Attempt.objects.at_work().filter(session=session_id).exclude(ended_at=None):
        before = attempt.right, attempt.score, attempt.out_of, attempt.waiting
        take_in(attempt, state)
        if (attempt.right, attempt.score, attempt.out_of, attempt.waiting) != before:
            changed_rows.append(attempt)
    Attempt.objects.bulk_update(changed_rows, ["right", "score", "out_of", "waiting"], batch_size=200)


def take_in(attempt: Attempt, state: State) -> None:
    """What the attempt's state comes to, into its row."""
    paper = state.papers[attempt.seat]
    attempt.ended_at, attempt.why = paper.handed_in_at, paper.handed_in_by or ""
    attempt.answered, attempt.of = len(paper.answered), paper.questions
    if paper.is_over:
        found = summary(state, attempt.seat)
        attempt.right, attempt.score, attempt.out_of, attempt.waiting, attempt.missed, attempt.held = found


def _row(attempt: int, seq: int, recorded: Recorded) -> tuple[int | str | None, ...]:
    (by, number, at), event = recorded
    assert isinstance(event, StoredEvent)
    return attempt, seq, at, by.role.value, by.who, by.page, number, EVENT.latest, write_event(event)
