"""Beginning and giving up what is made aside."""

from datetime import timedelta

from django.utils import timezone
from pydantic import BaseModel

from lantern.core.messages import said
from lantern.server.accounts.models import Teacher
from lantern.server.api.errors import BadForm
from lantern.server.aside import worker
from lantern.server.aside.files import file_of
from lantern.server.aside.models import Job
from lantern.server.aside.running import enqueue
from lantern.server.aside.work import G, Work

KEPT_DAYS = 7
MOST_AT_ONCE = 5
"""Of one teacher, waiting or running: the others wait behind them."""
SINCE_ERASED = said(
    "job_since_erased", "A student who may be in it was erased from the school meanwhile: what there was of it is gone."
)


def begin(teacher: Teacher, work: Work[G], title: str, given: G) -> Job:
    """`title` is what the file is called. Raises BadForm for who has too much waiting already."""
    forget_old(teacher)
    if teacher.jobs.filter(state__in=Job.LIVE).count() >= MOST_AT_ONCE:
        raise BadForm(
            said("too_many_jobs", "{most} things are being made for you already. Wait for one.", most=MOST_AT_ONCE)
        )
    job = teacher.jobs.create(work=work.name, title=title[:200], given=_plain(given))
    enqueue(job.pk)
    worker.wake()
    job.refresh_from_db()
    return job


def _plain(given: BaseModel) -> object:
    return given.model_dump(mode="json")


def remove(job: Job) -> None:
    """What is being made is given up; what was made goes, with its file."""
    if Job.objects.filter(pk=job.pk, state__in=Job.LIVE).update(state=Job.State.CANCELLED, finished_at=timezone.now()):
        return
    file_of(job).unlink(missing_ok=True)
    job.delete()


def forget_all(school: int) -> None:
    """Whatever was made for a school, or is being made: somebody who may be in it is erased. Whose it was is told."""
    told = Job.objects.filter(owner__school=school).exclude(state=Job.State.CANCELLED)
    files = [file_of(job) for job in told]
    told.update(
        state=Job.State.FAILED,
        refused=SINCE_ERASED.model_dump(mode="json"),
        given={},
        kept=[],
        suffix="",
        finished_at=timezone.now(),
    )
    for file in files:
        file.unlink(missing_ok=True)


def forget_old(teacher: Teacher) -> None:
    for job in teacher.jobs.exclude(state__in=Job.LIVE).filter(made_at__lt=timezone.now() - timedelta(days=KEPT_DAYS)):
        remove(job)
