"""What students do in set work is stored in groups: what has queued since the last commit is one transaction, and
nobody is told that something is kept before it has committed (law 5 and 6).

1. A job is a function. It reads what it needs, decides, and only then writes, all within the transaction of its batch.
2. What it refuses is refused alone. Where one fails in any other way the batch is taken back, and each of its jobs is
   run again in a transaction of its own: a savepoint for each would cost more than the rest.
3. Where another process was quicker with the same attempt a job is run once more.
4. Nothing of it stays in memory.
"""

import asyncio
import contextlib
import logging
import threading
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, TypeVar, cast

from django.db import DatabaseError, IntegrityError, connection, transaction
from django.http import Http404

from lantern.core.errors import LanternError
from lantern.server.api.errors import NotStored
from lantern.server.live.attempts import Stale
from lantern.server.live.batches import Batches

log = logging.getLogger(__name__)
T = TypeVar("T")
BETWEEN_COMMITS = 0.02
"""Seconds. Under load, jobs gather this long; one that comes alone is committed at once."""
LOOK_EVERY = 60.0
TRIES = 3


Together = Callable[[list[Any]], list[Any]]
"""Makes a list of results, or refusals, of a list of what is wanted: so what many want is read and written at once."""


@dataclass(slots=True, eq=False)
class Job:
    run: Together
    wanted: Any
    future: asyncio.Future[Any]
    result: Any = None

    def settle(self) -> None:
        if self.future.done():
            return
        if isinstance(self.result, BaseException):
            self.future.set_exception(self.result)
        else:
            self.future.set_result(self.result)


class Commits:
    """One thread with a connection of its own."""

    def __init__(self) -> None:
        self._batches: Batches[Job] = Batches(lambda: None, LOOK_EVERY)
        self._thread = threading.Thread(target=self._run, name="work-writer", daemon=True)
        self._started = threading.Lock()

    async def do(self, run: Callable[[], T]) -> T:
        """Returns what it returns once that is on disk. Raises what it raises, and NotStored."""
        return cast(T, await self.together(_each, run))

    async def together(self, run: Together, wanted: Any) -> Any:
        """The same, of what is done at once with others that want the same."""
        job = Job(run, wanted, asyncio.get_running_loop().create_future())
        self._start()
        self._batches.put(job)
        return await job.future

    def _start(self) -> None:
        if not self._thread.is_alive() and self._started.acquire(blocking=False):
            self._thread.start()

    def stop(self) -> None:
        self._batches.stop()
        if self._thread.is_alive():
            self._thread.join(timeout=5)

    def _run(self) -> None:
        try:
            while (jobs := self._batches.take()) is not None:
                self._commit(jobs)
                self._batches.rest(BETWEEN_COMMITS)
        finally:
            connection.close()

    @staticmethod
    def _commit(jobs: list[Job]) -> None:
        try:
            with transaction.atomic():
                _run_all(jobs)
        except Exception as error:
            if not isinstance(error, Stale | IntegrityError):
                log.exception("a batch of %d jobs of set work was taken back", len(jobs))
            for job in jobs:
                _alone(job)
        connection.close_if_unusable_or_obsolete()
        _tell(jobs)


def _each(jobs: list[Callable[[], Any]]) -> list[Any]:
    return [_refused_or_done(job) for job in jobs]


def _refused_or_done(job: Callable[[], Any]) -> Any:
    try:
        return job()
    except (LanternError, Http404) as refusal:
        return refusal


def _run_all(jobs: list[Job]) -> None:
    alike: dict[Together, list[Job]] = {}
    for job in jobs:
        alike.setdefault(job.run, []).append(job)
    for run, of_one in alike.items():
        results = run([job.wanted for job in of_one])
        for job, result in zip(of_one, results, strict=True):
            job.result = result


def _alone(job: Job) -> None:
    for _ in range(TRIES):
        try:
            with transaction.atomic():
                _run_all([job])
            return
        except (Stale, IntegrityError) as error:
            log.warning("a job of set work is run once more: %s", error)
        except DatabaseError:
            log.exception("a job of set work could not be stored")
            connection.close()
            break
        except Exception as error:  # one job's fault stays its own
            log.exception("a job of set work went wrong")
            job.result = error
            return
    job.result = NotStored()


def _tell(jobs: list[Job]) -> None:
    """Each loop is woken once for all of them."""
    by_loop: dict[asyncio.AbstractEventLoop, list[Job]] = {}
    for job in jobs:
        by_loop.setdefault(job.future.get_loop(), []).append(job)
    for loop, of_one in by_loop.items():
        with contextlib.suppress(RuntimeError):  # it was closed: nobody waits any more
            loop.call_soon_threadsafe(_settle, of_one)


def _settle(jobs: list[Job]) -> None:
    for job in jobs:
        job.settle()


_commits: Commits | None = None
_lock = threading.Lock()


def commits() -> Commits:
    """That of this process."""
    global _commits
    with _lock:
        if _commits is None:
            _commits = Commits()
        return _commits
