"""The one writer of a process: what has queued since the last commit is decided and stored at once.

1. An answer is acknowledged only after the transaction that holds it has committed.
2. Within a batch each command is decided on the state that the commands before it led to.
3. The database decides who is right: where another process has added events meanwhile, the session is locked, they are
   taken in and the batch is decided again, inside the same transaction. From then on that session is locked first.
4. A batch that fails leaves no state behind: the next one loads it from the database.
5. One session's fault stays its own: whatever fails while it is loaded, decided, stored or summed up refuses its
   jobs in a sentence and is logged; every other session of the batch goes on, and the thread never dies.
6. A session that nobody has commanded for a while leaves memory.
"""

import contextlib
import logging
import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass

from django.db import DatabaseError, connection, transaction

from lantern.core.errors import LanternError
from lantern.core.messages import said
from lantern.core.session import Command, Course, Event, Recorded, Sent, decide
from lantern.core.session.events import Erased
from lantern.server.api.errors import FaultySession, NotStored
from lantern.server.live import ended, store
from lantern.server.live.batches import Batches
from lantern.server.live.models import LiveSession
from lantern.server.live.store import Loaded

log = logging.getLogger(__name__)
IDLE_LASTS = 600.0
"""Seconds that a session is kept in memory without a command."""
LOOK_EVERY = 60.0
BETWEEN_COMMITS = 0.01
"""Seconds. Under load, commands gather this long; one that comes alone is committed at once."""
BETWEEN_SHARED = 0.05
"""The same where other processes store, too: each commit is several ways to a server and a wait for its row."""


@dataclass(slots=True, eq=False)
class Job:
    """A command on its way in; `done` is called on the event loop. `known` is the session as whoever sent the job knew
    it: where that is further than the writer came, what lies between is not read once more."""

    session_id: int
    command: Command
    sent: Sent
    done: "Callable[[Outcome], None]"
    known: Loaded | None = None


@dataclass(slots=True)
class Outcome:
    """What became of a job: the events it led to (perhaps none), or why it was refused."""

    job: Job
    events: Sequence[Event] = ()
    error: LanternError | None = None


Settled = Callable[[list[Outcome], dict[int, Loaded]], None]


class Writer:
    """`settled` is called on the writer's thread after each commit, with all outcomes of the batch."""

    def __init__(self, settled: Settled) -> None:
        self._settled = settled
        self._batches: Batches[Job] = Batches(self.look_for_idle, LOOK_EVERY)
        self._sessions: dict[int, Loaded] = {}
        self._used: dict[int, float] = {}
        self._shared: set[int] = set()  # sessions that other processes store events of, too
        self._next_look = 0.0
        self._thread = threading.Thread(target=self._run, name="session-writer", daemon=True)

    def start(self) -> None:
        self._thread.start()

    def stop(self) -> None:
        self._batches.stop()
        self._thread.join(timeout=5)

    def put(self, job: Job) -> None:
        self._batches.put(job)

    def known(self, session_id: int) -> Loaded | None:
        """The session as it was after its last batch here, if it is in memory. For any thread: it never changes."""
        return self._sessions.get(session_id)

    def _run(self) -> None:
        try:
            while (jobs := self._batches.take()) is not None:
                settled = self._commit(jobs)
                shared = any(job.session_id in self._shared for job in jobs)
                self._batches.rest(BETWEEN_SHARED if shared else BETWEEN_COMMITS)
                try:
                    self._settled(*settled)
                except Exception:
                    log.exception("a batch was stored, but its outcomes could not be told")
                self.look_for_idle()
        finally:
            connection.close()

    def look_for_idle(self) -> None:
        """Now and then, however much there is to do: another session may be idle all the same."""
        now = time.monotonic()
        if now >= self._next_look:
            self._next_look = now + LOOK_EVERY
            self.forget_idle()

    def forget_idle(self) -> None:
        oldest = time.monotonic() - IDLE_LASTS
        for number in [number for number, at in self._used.items() if at < oldest]:
            self._forget(number)

    def _forget(self, number: int) -> None:
        self._sessions.pop(number, None)
        self._used.pop(number, None)
        self._shared.discard(number)

    def _commit(self, jobs: list[Job]) -> tuple[list[Outcome], dict[int, Loaded]]:
        by_session: dict[int, list[Job]] = {}
        for job in jobs:
            by_session.setdefault(job.session_id, []).append(job)
        # A batch of one session is one transaction by itself.
        together = transaction.atomic() if len(by_session) > 1 else contextlib.nullcontext()
        try:
            with together:
                # In one order in every process: so no two wait for each other's rows.
                batches = {number: self._guarded(number, batch) for number, batch in sorted(by_session.items())}
        except Exception:
            log.exception("a batch of %d commands could not be stored", len(jobs))
            for number in by_session:
                self._forget(number)
            connection.close()
            return [Outcome(job, error=NotStored()) for job in jobs], {}
        connection.close_if_unusable_or_obsolete()
        loaded = {number: after for number, (_, after) in batches.items() if after is not None}
        self._remember(loaded)
        outcomes = [outcome for of_one, _ in batches.values() for outcome in of_one]
        if any(isinstance(event, Erased) for outcome in outcomes for event in outcome.events):
            self._sweep()
        return outcomes, loaded

    @staticmethod
    def _sweep() -> None:
        try:
            store.sweep()
        except DatabaseError:
            log.exception("what was erased may still stand in the journal of the database")

    def _remember(self, loaded: dict[int, Loaded]) -> None:
        now = time.monotonic()
        for number, after in loaded.items():
            if after.is_work:  # its attempts go on without this writer
                continue
            self._sessions[number], self._used[number] = after, now
            if after.state.ended_at is not None:
                ended.keep(after)

    def _guarded(self, session_id: int, jobs: list[Job]) -> tuple[list[Outcome], Loaded | None]:
        """In a transaction or savepoint of its own: what fails here takes back this session's part of the batch and no
        other."""
        try:
            with transaction.atomic():
                return self._apply(session_id, jobs)
        except LiveSession.DoesNotExist:
            error: LanternError = LanternError(said("no_such_session", "This session does not exist."))
        except (DatabaseError, store.Stale):
            log.exception("%d commands of session %d could not be stored", len(jobs), session_id)
            error = NotStored()
        except FaultySession as fault:  # written down where it was found
            error = fault
        except Exception:
            log.exception("session %d is faulty: %d commands were refused", session_id, len(jobs))
            error = FaultySession()
        self._forget(session_id)
        return [Outcome(job, error=error) for job in jobs], None

    def _apply(self, session_id: int, jobs: list[Job]) -> tuple[list[Outcome], Loaded | None]:
        before = self._newest(session_id, jobs) or store.load(session_id)
        if session_id not in self._shared:
            try:
                return _decide_all(before, jobs)
            except store.Stale:
                self._shared.add(session_id)
        if store.lock(session_id) != before.seq:
            before = store.catch_up(before)
        return _decide_all(before, jobs)

    def _newest(self, session_id: int, jobs: list[Job]) -> Loaded | None:
        known = [loaded for loaded in (self._sessions.get(session_id), jobs[-1].known) if loaded]
        return max(known, key=lambda loaded: loaded.seq, default=None)


def _decide_all(before: Loaded, jobs: list[Job]) -> tuple[list[Outcome], Loaded]:
    course, recorded = Course(before.state, before.judgements), list[Recorded]()
    outcomes = [_decide(job, course, recorded) for job in jobs]
    return outcomes, store.append(before, course.state, recorded)


def _decide(job: Job, course: Course, recorded: list[Recorded]) -> Outcome:
    """Decides on the state that `course` has come to, takes it on, and adds to `recorded`. A fault in one command
    stays with it."""
    state, length = course.state, len(recorded)
    try:
        events = decide(course.state, job.command, job.sent)
        for event in events:
            record = Recorded(job.sent, event)
            course.take(record)
            recorded.append(record)
    except LanternError as error:
        return Outcome(job, error=error)
    except Exception:
        log.exception("a %s could not be decided", type(job.command).__name__)
        course.state = state
        del recorded[length:]
        return Outcome(job, error=LanternError(said("went_wrong", "Something went wrong here. Try once more.")))
    return Outcome(job, events)
