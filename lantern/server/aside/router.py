from django.http import Http404, HttpResponse
from ninja import Router, Status

from lantern.server.accounts.requests import TeacherRequest, owned
from lantern.server.api.auth import teacher
from lantern.server.api.downloads import download
from lantern.server.aside import actions, worker
from lantern.server.aside.files import file_of
from lantern.server.aside.models import Job
from lantern.server.aside.schemas import JobRow

router = Router(auth=teacher)
MOST = 20


def row_of(job: Job) -> JobRow:
    return JobRow(
        id=job.pk,
        title=job.title,
        state=job.state,  # type: ignore[arg-type]
        done=job.done,
        total=job.total,
        refused=job.refused,
        has_file=bool(job.suffix) and job.state == Job.State.DONE,
        made_at=job.made_at,
    )


@router.get("", response=list[JobRow])
def list_jobs(request: TeacherRequest) -> list[JobRow]:
    """What is made for this teacher, or was, the newest first."""
    found = list(request.auth.jobs.exclude(state=Job.State.CANCELLED)[:MOST])
    if any(job.is_live for job in found):
        worker.wake()
    return [row_of(job) for job in found]


@router.delete("/{job_id}", response={204: None})
def remove_job(request: TeacherRequest, job_id: int) -> Status[None]:
    actions.remove(owned(Job.objects.all(), request.auth, job_id))
    return Status(204, None)


@router.get("/{job_id}/file")
def fetch_file(request: TeacherRequest, job_id: int) -> HttpResponse:
    job = owned(Job.objects.all(), request.auth, job_id)
    if not (job.suffix and file_of(job).exists()):
        raise Http404
    return download(file_of(job).read_bytes(), job.content_type, job.title, job.suffix)
