"""Lists in the text form of a question: one entry a line, its further lines indented by four spaces."""

import json
from collections.abc import Iterable
from typing import Any

from lantern.core.questions import media_links
from lantern.core.questions.items import Media

INDENT = "    "
_NOTE = " <!-- "
_NOTHING_MORE = f"{_NOTE}{{}} -->"
"""Behind a text that ends as if more were said behind it."""


def entry(mark: str, text: str, media: Media | None = None) -> str:
    """One entry. A picture or sound that belongs to it stands behind it as a link."""
    more = f" {media_links.written(media)}" if media else "" if _parted(text) == (text, {}) else _NOTHING_MORE
    first, *rest = text.split("\n")
    if not rest:
        return f"{mark} {first}{more}".rstrip() if first else f"{mark}{more}"
    return "\n".join([f"{mark} {first}".rstrip(), *(_continued(rest, more))])


def entries(lines: Iterable[str], marks: tuple[str, ...]) -> list[tuple[str, str, dict[str, Any]]]:
    """(mark, text, further fields) of each entry; lines that are none of these are left out."""
    found: list[tuple[str, str]] = []
    goes_on = False
    for line in lines:
        mark = next((m for m in marks if line == m or line.startswith(f"{m} ")), None)
        if mark is not None:
            found.append((mark, line[len(mark) :].strip()))
        elif line.startswith(INDENT) and goes_on:
            found[-1] = (found[-1][0], f"{found[-1][1]}\n{line.strip()}")
        # An indented line below an entry with another mark belongs to that one.
        goes_on = mark is not None or (goes_on and line.startswith(INDENT))
    return [(mark, *_parted(text)) for mark, text in found]


def texts(lines: Iterable[str], mark: str) -> list[str]:
    return [text for _, text, _ in entries(lines, (mark,))]


def body_lines(text: str) -> list[str]:
    """A text of several lines as it is, each line behind a bar, so that nothing in it is taken for something else."""
    return [f"| {line}".rstrip() for line in text.split("\n")] if text else []


def body_of(lines: Iterable[str]) -> str:
    return "\n".join(line[1:].removeprefix(" ") for line in lines if line.startswith("|"))


def _continued(lines: list[str], note: str) -> list[str]:
    return [f"{INDENT}{line}{note if at == len(lines) - 1 else ''}" for at, line in enumerate(lines)]


def _parted(text: str) -> tuple[str, dict[str, Any]]:
    """(the text, what is said behind it): a link, or, as it once was written, JSON in a comment."""
    if text.endswith("-->"):
        head, found, tail = text.rpartition(_NOTE.lstrip())
        try:
            more = json.loads(tail.removesuffix("-->")) if found else None
        except ValueError:
            more = None
        return (head.strip(), more) if isinstance(more, dict) else (text, {})
    before, media = media_links.parted(text)
    return (text, {}) if media is None else (before, {"media": media})
