"""One job, from its row to its file: what the worker does."""

import logging
from datetime import timedelta
from time import monotonic

from django.conf import settings
from django.http import Http404
from django.utils import timezone
from django_tasks import task

from lantern.core.messages import Explained, Message, said
from lantern.server.aside.files import file_of, write_file
from lantern.server.aside.models import Job
from lantern.server.aside.work import Cancelled, Later, work_named

log = logging.getLogger(__name__)
TOLD_EVERY = 0.4
"""Seconds: how often a row says how far its job is, and is asked whether it is still wanted."""
UNFORESEEN = said("job_failed", "It could not be made. The fault was written down.")
GONE = said("job_of_nothing", "What it was to be made of is not there any more.")
State = Job.State


class Telling:
    """The progress of a job, in its row."""

    def __init__(self, job: Job) -> None:
        self._job = job
        self._kept: set[str] = set(job.kept)
        self._told = 0.0
        self.done, self.total = job.done, job.total

    def __call__(self, done: int, total: int) -> None:
        self.done, self.total = done, total
        if done < total and monotonic() - self._told < TOLD_EVERY:
            return
        self._told = monotonic()
        wanted = Job.objects.filter(pk=self._job.pk, state=State.RUNNING)
        if not wanted.update(done=done, total=total):
            raise Cancelled

    def is_kept(self, word: str) -> bool:
        return word in self._kept

    def keep(self, word: str) -> None:
        self._kept.add(word)
        self._job.kept = [*self._job.kept, word]
        self._job.save(update_fields=["kept"])


@task()
def run_job(job_id: int) -> None:
    """A job that is cancelled, or gone, is none any more."""
    if not Job.objects.filter(pk=job_id, state=State.WAITING).update(state=State.RUNNING):
        return
    job = Job.objects.select_related("owner").get(pk=job_id)
    telling = Telling(job)
    try:
        doing = work_named(job.work)
        made = doing.make(job.owner, doing.given.model_validate(job.given), telling)
        if made is not None:
            write_file(job, made)
            job.save(update_fields=["suffix", "content_type"])
        if not finish(job.pk, State.DONE):
            raise Cancelled
    except Cancelled:
        file_of(job).unlink(missing_ok=True)
    except Later as later:
        _go_on(job, telling, later.seconds)
    except Explained as refusal:
        finish(job.pk, State.FAILED, refusal.message)
    except Http404:
        finish(job.pk, State.FAILED, GONE)
    except Exception:
        log.exception("job %s (%s) failed", job.pk, job.work)
        finish(job.pk, State.FAILED, UNFORESEEN)


def enqueue(job_id: int, seconds: float = 0) -> None:
    after = timezone.now() + timedelta(seconds=seconds) if seconds else None
    run_job.using(run_after=after).enqueue(job_id)


def finish(job_id: int, state: "Job.State", refused: Message | None = None) -> bool:
    """Whether it is: only what still runs. What was cancelled in the meantime stays so."""
    said_so = refused.model_dump(mode="json") if refused else None
    running = Job.objects.filter(pk=job_id, state=State.RUNNING)
    return bool(running.update(state=state, refused=said_so, finished_at=timezone.now()))


def _go_on(job: Job, telling: Telling, seconds: float) -> None:
    running = Job.objects.filter(pk=job.pk, state=State.RUNNING)
    if running.update(state=State.WAITING, done=telling.done, total=telling.total):
        enqueue(job.pk, seconds if settings.RUNS_ASIDE else 0)
