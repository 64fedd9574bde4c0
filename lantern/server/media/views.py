"""Stored files as students and teachers load them."""

import asyncio
import re
from collections.abc import AsyncIterator
from pathlib import Path

from django.http import Http404, HttpRequest, HttpResponse, StreamingHttpResponse
from django.http.response import HttpResponseBase
from django.shortcuts import get_object_or_404
from django.views.decorators.cache import cache_control

from lantern.server.media.actions import folder_of
from lantern.server.media.models import StoredMedia
from lantern.server.media.pictures import WIDTHS

FILES = {"sound": "sound", "video": "video", "captions.vtt": "captions"}
LONGEST_PART = 4 * 1024 * 1024
_RANGE = re.compile(r"^bytes=(\d{0,18})-(\d{0,18})$", re.ASCII)
forever = cache_control(max_age=31_536_000, immutable=True, public=True)


@forever
def picture(request: HttpRequest, media_id: str, width: int) -> HttpResponse:
    if width not in WIDTHS:
        raise Http404
    get_object_or_404(StoredMedia, id=media_id, type=StoredMedia.Type.PICTURE)
    return HttpResponse((folder_of(media_id) / f"{width}.webp").read_bytes(), content_type="image/webp")


@forever
def file(request: HttpRequest, media_id: str, name: str) -> HttpResponseBase:
    """A sound, a video or captions; in parts where the player asks for parts."""
    if name not in FILES:
        raise Http404
    media = get_object_or_404(StoredMedia, id=media_id, type=FILES[name])
    return in_parts(folder_of(media_id) / name, media.content_type, request.headers.get("Range", ""))


def in_parts(path: Path, content_type: str, wanted: str) -> HttpResponseBase:
    """The whole file, or the one range of bytes that is wanted (RFC 9110, 14), at most LONGEST_PART of it."""
    size = path.stat().st_size
    match = _RANGE.match(wanted)
    if not match or match.groups() == ("", ""):
        headers = {"Accept-Ranges": "bytes", "Content-Length": str(size)}
        return StreamingHttpResponse(_chunks(path), content_type=content_type, headers=headers)
    first, last = match.groups()
    start = int(first) if first else max(0, size - int(last))
    end = min(int(last), size - 1) if first and last else size - 1
    end = min(end, start + LONGEST_PART - 1)
    if start > end:
        return HttpResponse(status=416, headers={"Content-Range": f"bytes */{size}"})
    with path.open("rb") as opened:
        opened.seek(start)
        part = opened.read(end - start + 1)
    headers = {"Accept-Ranges": "bytes", "Content-Range": f"bytes {start}-{end}/{size}"}
    return HttpResponse(part, status=206, content_type=content_type, headers=headers)


async def _chunks(path: Path) -> AsyncIterator[bytes]:
    """The file in parts, read in a thread: the loop that serves the live sessions never waits for a disk."""
    start = 0
    while part := await asyncio.to_thread(_part, path, start):
        yield part
        start += LONGEST_PART


def _part(path: Path, start: int) -> bytes:
    with path.open("rb") as opened:
        opened.seek(start)
        return opened.read(LONGEST_PART)
