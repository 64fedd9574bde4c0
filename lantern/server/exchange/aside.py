"""What takes longer than anybody waits for: reading a file of many pages, and keeping many pictures."""

from collections.abc import Iterator, Mapping
from contextlib import contextmanager
from io import BytesIO
from pathlib import PurePosixPath
from typing import BinaryIO
from zipfile import ZIP_STORED, ZipFile

from django.http import Http404
from pydantic import Field

from lantern.core.formats.exchange import Carried, Incoming, Source
from lantern.core.formats.safezip import SafeZip
from lantern.core.values import Written
from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import owned
from lantern.server.aside.files import file_of
from lantern.server.aside.models import Job
from lantern.server.aside.work import Made, Progress, work
from lantern.server.exchange import actions, uploads
from lantern.server.exchange.schemas import FoundInFile, ToAdd
from lantern.server.library.models import QuestionSet

_FOUND, _MEDIA = "found.json", "media/"
_SET, _ADDED = "set ", "added"
"""Words by which a work knows that it is done."""


class ToRead(Written):
    """`upload` is the word by which the file is found (`uploads`)."""

    upload: str
    name: str
    choices: dict[str, str]
    language: str


class ToAddAside(Written):
    """Media come out of a file that is uploaded, or of one that was read aside before."""

    wanted: ToAdd
    upload: str = ""
    name: str = ""
    choices: dict[str, str] = Field(default_factory=dict)
    reading: int | None = None


@work(ToRead)
def read_aside(teacher: Teacher, wanted: ToRead, progress: Progress) -> Made:
    """What was found, with its files: an archive that is read by `found_aside` and `media_aside`."""
    with _upload(wanted.upload) as file:
        source = Source(wanted.name, file, wanted.choices, tell=progress)
        incoming = actions.read(teacher, source, "", wanted.language)
        found = actions.found_of(teacher, incoming, wanted.language)
        return Made(_packed(incoming, found), "application/zip", "")


@work(ToAddAside)
def add_aside(teacher: Teacher, wanted: ToAddAside, progress: Progress) -> None:
    if progress.is_kept(_ADDED):
        return

    def added(made: QuestionSet) -> None:
        progress.keep(f"{_SET}{made.pk}")
        progress.keep(_ADDED)

    with _media_for(teacher, wanted) as media:
        actions.add(teacher, wanted.wanted, media, tell=progress, added=added)


def found_aside(teacher: Teacher, job_id: int) -> FoundInFile:
    """Raises Http404 for what is no reading, or has not come to its end."""
    with _reading(teacher, job_id) as archive:
        return FoundInFile.model_validate_json(archive.read(_FOUND) or b"")


def set_added(teacher: Teacher, job_id: int) -> int:
    """The set that was made, or added to. Raises Http404."""
    job = owned(Job.objects.filter(work=add_aside.name), teacher, job_id)
    found = next((int(word.removeprefix(_SET)) for word in job.kept if word.startswith(_SET)), None)
    if found is None:
        raise Http404
    return found


@contextmanager
def media_of(teacher: Teacher, job_id: int) -> Iterator[Mapping[str, Carried]]:
    """The files that came along with what was read aside, as long as the context lasts. Raises Http404."""
    with _reading(teacher, job_id) as archive:
        names = [name for name in archive.names if name.startswith(_MEDIA)]
        packed = {name.split("/")[1]: archive.packed(name) for name in names}
        yield {key: file for key, file in packed.items() if file is not None}


@contextmanager
def _media_for(teacher: Teacher, wanted: ToAddAside) -> Iterator[Mapping[str, Carried]]:
    if wanted.reading is not None:
        with media_of(teacher, wanted.reading) as media:
            yield media
        return
    with _upload(wanted.upload) as file:
        yield actions.read(teacher, Source(wanted.name, file, wanted.choices), "").media


@contextmanager
def _reading(teacher: Teacher, job_id: int) -> Iterator[SafeZip]:
    job = owned(Job.objects.filter(work=read_aside.name, state=Job.State.DONE), teacher, job_id)
    try:
        with file_of(job).open("rb") as file:
            yield SafeZip(file)
    except FileNotFoundError as error:
        raise Http404 from error


@contextmanager
def _upload(word: str) -> Iterator[BinaryIO]:
    """The file. It goes with the end of the work; a process that dies leaves it to the one that takes the work up."""
    with uploads.opened(word) as file:
        try:
            yield file
        finally:
            uploads.forget(word)


def _packed(incoming: Incoming, found: FoundInFile) -> bytes:
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_STORED) as archive:
        archive.writestr(_FOUND, found.model_dump_json())
        for key, file in incoming.media.items():
            archive.writestr(f"{_MEDIA}{key}/{PurePosixPath(file.name).name}", file.data)
    return buffer.getvalue()
