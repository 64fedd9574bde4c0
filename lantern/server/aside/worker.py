"""The process that makes what is made aside.

1. There is one at a time on a database: a lock on a file says which. It works only where nothing else would
   (`priority`).
2. It is started when there is something to do, and ends when there has been nothing for a while, or the server is gone:
   who makes nothing aside pays nothing for it.
3. What was running when a process died runs again; what took three of them with it is given up.
"""

import fcntl
import os
import subprocess
import sys
import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from django.conf import settings
from django_tasks import TaskResultStatus
from django_tasks_db.management.commands.db_worker import Worker
from django_tasks_db.models import DBTaskResult

from lantern.server.aside.models import Job
from lantern.server.aside.priority import stand_back
from lantern.server.aside.running import UNFORESEEN, finish

LOOKS_EVERY, QUIET = 0.3, 60.0
"""Seconds between two looks for work, and until a worker without any ends."""
MOST_TRIES = 3
_own: list[subprocess.Popen[bytes]] = []
_lock = threading.Lock()


def wake() -> None:
    """Starts a worker, unless this server's own one lives."""
    if not settings.RUNS_ASIDE:
        return
    with _lock:
        if _own and _own[0].poll() is None:
            return
        # A process group of its own: Ctrl-C is for the server, and the worker sees that it is gone. No session of its
        # own: Linux gives each session the same share of a busy machine, whatever the priorities in it.
        command = [sys.executable, str(settings.ROOT / "manage.py"), "work_aside", str(os.getpid())]
        started = subprocess.Popen(command, process_group=0)
        threading.Thread(target=started.wait, daemon=True).start()  # or its end would be kept for us to hear
        _own[:] = [started]


def has_work() -> bool:
    return DBTaskResult.objects.filter(status__in=(TaskResultStatus.READY, TaskResultStatus.RUNNING)).exists()


def work_for(server: int) -> None:
    """What the worker does from its start to its end; `server` is the process that it works for."""
    stand_back()
    threading.Thread(target=_end_with, args=[server], daemon=True).start()
    with _alone():
        _take_up()
        worker = _worker()
        quiet_since = time.monotonic()
        while time.monotonic() - quiet_since < QUIET:
            if DBTaskResult.objects.ready().exists():
                worker.run()
            if has_work():
                quiet_since = time.monotonic()
            time.sleep(LOOKS_EVERY)


def _end_with(server: int) -> None:
    """Without a word: the work is taken up again by the next one."""
    while os.getppid() == server:
        time.sleep(LOOKS_EVERY)
    os._exit(0)


def _worker() -> Worker:
    return Worker(
        queue_names=["*"],
        interval=0,
        batch=True,
        backend_name="default",
        startup_delay=False,
        max_tasks=None,
        worker_id=f"process-{os.getpid()}",
        excluded_queue_names=[],
    )


@contextmanager
def _alone() -> Iterator[None]:
    """Waits for the end of another worker."""
    with (Path(settings.VAR) / "aside.lock").open("w") as file:
        fcntl.flock(file, fcntl.LOCK_EX)
        yield


def _take_up() -> None:
    """What a process that died left behind."""
    DBTaskResult.objects.finished().delete()
    for left in DBTaskResult.objects.running():
        (job,) = left.args_kwargs["args"]
        if len(left.worker_ids) >= MOST_TRIES:
            finish(job, Job.State.FAILED, UNFORESEEN)
            left.delete()
            continue
        Job.objects.filter(pk=job, state=Job.State.RUNNING).update(state=Job.State.WAITING)
        left.status = TaskResultStatus.READY
        left.save(update_fields=["status"])
