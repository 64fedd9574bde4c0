"""Where what was made lies."""

from pathlib import Path

from django.conf import settings

from lantern.server.aside.models import Job
from lantern.server.aside.work import Made


def file_of(job: Job) -> Path:
    return Path(settings.MADE_ROOT) / str(job.pk)


def write_file(job: Job, made: Made) -> None:
    """Whole or not at all."""
    place = file_of(job)
    place.parent.mkdir(parents=True, exist_ok=True)
    half = place.with_suffix(".part")
    half.write_bytes(made.content)
    half.replace(place)
    job.suffix, job.content_type = made.suffix, made.content_type
