"""What students do in set work is stored in groups: what has queued since the last commit is one transaction, and
nobody is told that something is kept before it has committed (law 5 and 6).

1. A job is a function. It reads what it needs, decides and writes, all within the transaction of its batch.
2. What it raises refuses it alone: its part of the transaction is taken back.
3. Where another process was quicker with the same attempt it is run once more.
4. Nothing of it stays in memory.
"""

import asyncio
import logging
import threading
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, TypeVar, cast

from django.db import IntegrityError, connection, transaction

from lantern.core.errors import LanternError
from lantern.server.api.errors import NotStored
from lantern.server.live.attempts import Stale
from lantern.server.live.batches import Batches

log = logging.getLogger(__name__)
T = TypeVar("T")
BETWEEN_COMMITS = 0.01
"""Seconds. Under load, jobs gather this long; one that comes alone is committed at once."""
LOOK_EVERY = 60.0
TRIES = 3


@dataclass(slots=True, eq=False)
class Job:
    run: Callable[[], Any]
    done: Callable[[Any, BaseException | None], None]
    result: Any = None
    error: BaseException | None = None


class Commits:
    """One thread with a connection of its own."""

    def __init__(self) -> None:
        self._batches: Batches[Job] = Batches(lambda: None, LOOK_EVERY)
        self._thread = threading.Thread(target=self._run, name="work-writer", daemon=True)
        self._started = threading.Lock()

    async def do(self, run: Callable[[], T]) -> T:
        """Returns what it returns once that is on disk. Raises what it raises, and NotStored."""
        loop = asyncio.get_running_loop()
        future: asyncio.Future[T] = loop.create_future()

        def settle(result: Any, error: BaseException | None) -> None:
            if future.done():
                return
            if error is None:
                future.set_result(cast(T, result))
            else:
                future.set_exception(error)

        def done(result: Any, error: BaseException | None) -> None:
            loop.call_soon_threadsafe(settle, result, error)

        self._start()
        self._batches.put(Job(run, done))
        return await future

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
                for job in jobs:
                    _try(job)
        except Exception:
            log.exception("a batch of %d jobs of set work could not be stored", len(jobs))
            connection.close()
            for job in jobs:
                job.result, job.error = None, NotStored()
        connection.close_if_unusable_or_obsolete()
        for job in jobs:
            try:
                job.done(job.result, job.error)
            except RuntimeError:  # the loop was closed: nobody waits any more
                log.debug("nobody waits for a job any more")


def _try(job: Job) -> None:
    for last in (number == TRIES - 1 for number in range(TRIES)):
        try:
            with transaction.atomic():
                job.result = job.run()
            return
        except (Stale, IntegrityError) as error:
            if last:
                log.warning("a job of set work could not be stored: %s", error)
                job.error = NotStored()
        except LanternError as error:
            job.error = error
            return
        except Exception as error:  # one job's fault stays its own
            log.exception("a job of set work went wrong")
            job.error = error
            return


_commits: Commits | None = None
_lock = threading.Lock()


def commits() -> Commits:
    """That of this process."""
    global _commits
    with _lock:
        if _commits is None:
            _commits = Commits()
        return _commits
