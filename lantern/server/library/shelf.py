"""The media shelf: what a teacher has stored, where it is used, and clearing what nobody uses."""

from collections import defaultdict
from collections.abc import Iterator
from typing import Any

from ninja import Router

from lantern.server.accounts.models import Teacher
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.library.models import QuestionSet, Revision, SetItem
from lantern.server.media.actions import remove
from lantern.server.media.models import StoredMedia
from lantern.server.media.schemas import Cleared, ShelfRow

router = Router(auth=teacher)


@router.get("", response=list[ShelfRow])
def read_shelf(request: TeacherRequest) -> list[ShelfRow]:
    return shelf_of(request.auth)


@router.delete("", response=Cleared)
def clear_shelf(request: TeacherRequest) -> Cleared:
    """Takes away what is in no set and in no past session."""
    unused = {row.id for row in shelf_of(request.auth) if not row.used_in and not row.in_results}
    return Cleared(removed=remove(request.auth, unused))


def shelf_of(owner: Teacher) -> list[ShelfRow]:
    """Newest first. A set in the recycle bin still uses what is in it.

    The files are read before their uses: one that is stored and put into a set meanwhile must not look unused.
    """
    stored = list(StoredMedia.objects.filter(owner=owner).order_by("-created_at"))
    used: defaultdict[str, set[str]] = defaultdict(set)
    for title, body in SetItem.objects.filter(set__owner=owner).values_list("set__title", "body"):
        for media in media_in(body):
            used[media].add(title)
    for title, about in QuestionSet.objects.filter(owner=owner).values_list("title", "about"):
        for media in media_in(about):
            used[media].add(title)
    frozen = Revision.objects.filter(set__owner=owner).values_list("content", flat=True)
    kept = {media for content in frozen for media in media_in(content)}
    return [_row(media, used, kept) for media in stored]


def media_in(value: Any) -> Iterator[str]:
    """The ids of all stored files that a JSON value names."""
    if isinstance(value, dict):
        for key, inner in value.items():
            if key in {"media", "captions"} and isinstance(inner, str):
                yield inner
            else:
                yield from media_in(inner)
    elif isinstance(value, list):
        for inner in value:
            yield from media_in(inner)


def _row(media: StoredMedia, used: dict[str, set[str]], kept: set[str]) -> ShelfRow:
    names = ("id", "type", "name", "bytes", "width", "height", "seconds", "credit", "created_at")
    fields = {name: getattr(media, name) for name in names}
    return ShelfRow(**fields, used_in=tuple(sorted(used.get(media.id, ()))), in_results=media.id in kept)
