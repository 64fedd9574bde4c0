"""The one writer of a process: what has queued since the last commit is decided and stored at once.

1. An answer is acknowledged only after the transaction that holds it has committed.
2. Within a batch each command is decided on the state that the commands before it led to.
3. The database decides who is right: where another process has added events meanwhile, they are
   taken in and the batch is decided again, inside the same transaction.
4. A batch that fails leaves no state behind: the next one loads it from the database.
"""

import logging
import threading
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from queue import Empty, SimpleQueue

from django.db import DatabaseError, connection, transaction

from lantern.core.errors import LanternError
from lantern.core.session import Command, Course, Event, Recorded, decide
from lantern.core.values import Milliseconds
from lantern.server.api.errors import NotStored
from lantern.server.live import store
from lantern.server.live.models import LiveSession
from lantern.server.live.store import Loaded

log = logging.getLogger(__name__)
MOST_IN_A_BATCH = 4000
BETWEEN_COMMITS = 0.01
"""Seconds. Under load, commands gather this long; one that comes alone is committed at once."""


@dataclass(slots=True, eq=False)
class Job:
    """A command on its way in. `now` is when it reached the server; `done` is called on the event loop."""

    session_id: int
    command: Command
    command_id: str
    now: Milliseconds
    done: "Callable[[Outcome], None]"


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
        self._queue: SimpleQueue[Job | None] = SimpleQueue()
        self._sessions: dict[int, Loaded] = {}
        self._next_commit = 0.0
        self._thread = threading.Thread(target=self._run, name="session-writer", daemon=True)

    def start(self) -> None:
        self._thread.start()

    def stop(self) -> None:
        self._queue.put(None)
        self._thread.join(timeout=5)

    def put(self, job: Job) -> None:
        self._queue.put(job)

    def _run(self) -> None:
        try:
            while (jobs := self._take()) is not None:
                settled = self._commit(jobs)
                self._next_commit = time.monotonic() + BETWEEN_COMMITS
                self._settled(*settled)
        finally:
            connection.close()

    def _take(self) -> list[Job] | None:
        """Wait for one job, then take all that have come with it. None: stop."""
        jobs: list[Job] = []
        job = self._queue.get()
        time.sleep(max(0.0, self._next_commit - time.monotonic()))
        while job is not None:
            jobs.append(job)
            if len(jobs) >= MOST_IN_A_BATCH:
                return jobs
            try:
                job = self._queue.get_nowait()
            except Empty:
                return jobs
        if jobs:
            self._queue.put(None)
            return jobs
        return None

    def _commit(self, jobs: list[Job]) -> tuple[list[Outcome], dict[int, Loaded]]:
        by_session: dict[int, list[Job]] = {}
        for job in jobs:
            by_session.setdefault(job.session_id, []).append(job)
        try:
            with transaction.atomic():
                batches = {number: self._apply(number, batch) for number, batch in by_session.items()}
        except DatabaseError:
            log.exception("a batch of %d commands could not be stored", len(jobs))
            self._sessions.clear()
            connection.close()
            return [Outcome(job, error=NotStored()) for job in jobs], {}
        loaded = {number: after for number, (_, after) in batches.items() if after is not None}
        self._sessions |= loaded
        for number, after in loaded.items():
            if after.state.ended_at is not None:
                del self._sessions[number]  # rarely needed again; loaded anew when it is
        return [outcome for outcomes, _ in batches.values() for outcome in outcomes], loaded

    def _apply(self, session_id: int, jobs: list[Job]) -> tuple[list[Outcome], Loaded | None]:
        try:
            before = self._sessions.get(session_id) or store.load(session_id)
        except LiveSession.DoesNotExist:
            return [Outcome(job, error=LanternError("This session does not exist.")) for job in jobs], None
        try:
            return _decide_all(before, jobs)
        except store.Stale:
            return _decide_all(store.catch_up(before), jobs)


def _decide_all(before: Loaded, jobs: list[Job]) -> tuple[list[Outcome], Loaded]:
    course, recorded = Course(before.state), list[Recorded]()
    outcomes = [_decide(job, course, recorded) for job in jobs]
    return outcomes, store.append(before, course.state, recorded)


def _decide(job: Job, course: Course, recorded: list[Recorded]) -> Outcome:
    """Decides on the state that `course` has come to, takes it on, and adds to `recorded`. A fault in one command
    stays with it."""
    state, length = course.state, len(recorded)
    try:
        events = decide(course.state, job.command, job.now, job.command_id)
        for event in events:
            record = Recorded(job.command_id, event)
            course.take(record)
            recorded.append(record)
    except LanternError as error:
        return Outcome(job, error=error)
    except Exception:
        log.exception("a %s could not be decided", type(job.command).__name__)
        course.state = state
        del recorded[length:]
        return Outcome(job, error=LanternError("Something went wrong here. Try once more."))
    return Outcome(job, events)
