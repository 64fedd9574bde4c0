"""Jobs that gather until somebody takes all of them at once."""

import time
from collections.abc import Callable
from queue import Empty, SimpleQueue
from typing import Generic, TypeVar

J = TypeVar("J")
MOST_IN_A_BATCH = 4000


class Batches(Generic[J]):
    """`idle` is called on the thread that takes, where nothing has come for `look_every` seconds."""

    def __init__(self, idle: Callable[[], None], look_every: float) -> None:
        self._queue: SimpleQueue[J | None] = SimpleQueue()
        self._idle, self._look_every = idle, look_every
        self._next = 0.0

    def put(self, job: J) -> None:
        self._queue.put(job)

    def stop(self) -> None:
        self._queue.put(None)

    def rest(self, seconds: float) -> None:
        """The next batch gathers at least so long: under load there are more in it."""
        self._next = time.monotonic() + seconds

    def take(self) -> list[J] | None:
        """Waits for one job, then takes all that have come with it. None: stop."""
        jobs: list[J] = []
        job = self._first()
        time.sleep(max(0.0, self._next - time.monotonic()))
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

    def _first(self) -> J | None:
        while True:
            try:
                return self._queue.get(timeout=self._look_every)
            except Empty:
                self._idle()
