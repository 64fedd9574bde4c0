"""Sessions on disk: load a state, add events. The database is the only truth (law 5)."""

import logging
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime

from django.db import connection

from lantern.core.analysis.report import report_of
from lantern.core.questions import kind_of
from lantern.core.questions.content import SetContent
from lantern.core.session import Recorded, Settings, State, new_session, replay
from lantern.core.session.events import read_event, write_event
from lantern.server.live.models import LiveSession, SessionEvent

log = logging.getLogger(__name__)
# Plain SQL in Django's transaction: these two run for every commit of a lesson.
TABLE = LiveSession._meta.db_table
MOVE_ON = f"UPDATE {TABLE} SET seq = %s WHERE id = %s AND seq = %s"  # noqa: S608 - no input in it
ADD_EVENT = (
    f"INSERT INTO {SessionEvent._meta.db_table} (session_id, seq, command_id, payload) "  # noqa: S608 - no input in it
    "VALUES (%s, %s, %s, %s)"
)


@dataclass(frozen=True, slots=True)
class Loaded:
    """A session's state after its first `seq` events."""

    session_id: int
    code: str
    owner_id: int
    seq: int
    state: State


def load(session_id: int) -> Loaded:
    """The state as the database has it. Raises LiveSession.DoesNotExist."""
    row = LiveSession.objects.select_related("revision").get(pk=session_id)
    content = SetContent.model_validate(row.revision.content)
    state = new_session(content, Settings.model_validate(row.settings), row.seed, row.rules)
    for item in state.items.values():
        kind_of(item).prepare(item)
    return catch_up(Loaded(row.pk, row.code, row.owner_id, 0, state))


def catch_up(loaded: Loaded) -> Loaded:
    """The same session with the events that came since."""
    rows = SessionEvent.objects.filter(session_id=loaded.session_id, seq__gt=loaded.seq)
    history = list(rows.values_list("seq", "command_id", "payload"))
    if not history:
        return loaded
    state = replay(loaded.state, (Recorded(command_id, read_event(text)) for _, command_id, text in history))
    return Loaded(loaded.session_id, loaded.code, loaded.owner_id, history[-1][0], state)


class Stale(Exception):
    """Another process has added events: what was decided has to be decided again."""


def append(before: Loaded, after: State, recorded: Sequence[Recorded]) -> Loaded:
    """Add the events that lead from `before` to `after`, in the transaction that is open.

    Raises Stale, with nothing added, if the database is ahead of `before`. Nothing to add is checked
    too: a command may have been refused only because `before` was behind.
    """
    if not recorded:
        if LiveSession.objects.filter(pk=before.session_id, seq=before.seq).exists():
            return before
        raise Stale
    seq = before.seq + len(recorded)
    rows = [
        (before.session_id, number, record.command_id, write_event(record.event))
        for number, record in enumerate(recorded, start=before.seq + 1)
    ]
    with connection.cursor() as cursor:
        cursor.execute(MOVE_ON, (seq, before.session_id, before.seq))
        if cursor.rowcount != 1:
            raise Stale
        cursor.executemany(ADD_EVENT, rows)
    if after.ended_at is not None:  # also when somebody was removed, or a key was set, after the end
        ended_at = datetime.fromtimestamp(after.ended_at / 1000, UTC)
        summary = _summary_or_none(before.session_id, after)
        LiveSession.objects.filter(pk=before.session_id).update(ended_at=ended_at, summary=summary)
    return Loaded(before.session_id, before.code, before.owner_id, seq, after)


def _summary_or_none(session_id: int, state: State) -> dict[str, object] | None:
    """A fault in summing up holds up no end."""
    try:
        return summary_of(state)
    except Exception:
        log.exception("session %d could not be summed up", session_id)
        return None


def summary_of(state: State) -> dict[str, object]:
    report = report_of(state)
    return {"took_part": report.took_part, "mean_share": report.mean_share, "questions": len(report.questions)}
