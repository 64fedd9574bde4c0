"""Files that are taken out."""

from django.http import HttpResponse
from django.utils.http import content_disposition_header

LONGEST_NAME = 80


def file_name(title: str, suffix: str) -> str:
    """A name that every file system takes; `suffix` is as ".csv"."""
    name = "".join(c if c.isalnum() or c in " -_" else "-" for c in title).strip()[:LONGEST_NAME] or "tall-lantern"
    return name + suffix


def download(data: bytes, content_type: str, title: str, suffix: str) -> HttpResponse:
    headers = {"Content-Disposition": content_disposition_header(True, file_name(title, suffix)) or "attachment"}
    return HttpResponse(data, content_type=content_type, headers=headers)
