"""A session that stands at an event: which one, and what would go with it."""

import json

from lantern.core.session import Course, State
from lantern.core.values import Milliseconds, Value
from lantern.server.live import store
from lantern.server.live.store import Row


class StoodAt(Value):
    """An event that can be read no more. `what` is its type, empty where even that is lost; `by` a seat's name, or
    empty."""

    seq: int
    at: Milliseconds
    what: str
    by: str


class Fault(Value):
    """Where a session stands. `others` are how many later events hang on that one."""

    event: StoodAt
    others: int


def faulty_rows(session_id: int) -> tuple[State, list[Row]]:
    """The state that comes of all others, and the events that are faulty: by themselves, or without those before them.

    Raises FaultySession where the session cannot even begin.
    """
    course, found = Course(store.before_its_first_event(session_id).state), list[Row]()
    for row in store.rows_after(session_id):
        if store.is_aside(row):
            continue
        try:
            course.take(store.read_row(row))
        except Exception:
            found.append(row)
    return course.state, found


def fault_of(session_id: int) -> Fault | None:
    state, rows = faulty_rows(session_id)
    return Fault(event=_stood_at(state, rows[0]), others=len(rows) - 1) if rows else None


def set_aside(session_id: int, state: State) -> list[StoodAt]:
    """What the session went on without."""
    return [_stood_at(state, row) for row in store.rows_aside(session_id)]


def _stood_at(state: State, row: Row) -> StoodAt:
    seq, at, _, who, *_, payload, _ = row
    try:
        what = str(json.loads(payload)["type"])
    except (ValueError, KeyError, TypeError):
        what = ""
    seat = state.seats.get(who or 0) if row[2] == "seat" else None
    return StoodAt(seq=seq, at=at, what=what, by=state.name(seat) if seat else "")
