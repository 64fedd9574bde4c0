"""Lists in the text form of a question: one entry a line, its further lines indented by four spaces."""

import json
from collections.abc import Iterable
from typing import Any

INDENT = "    "
_NOTE = " <!-- "


def entry(mark: str, text: str, **more: Any) -> str:
    """One entry. What a line of text cannot say stands behind it as JSON in a comment."""
    first, *rest = text.split("\n")
    note = f"{_NOTE}{_json(more)} -->" if more else ""
    return "\n".join([f"{mark} {first}{'' if rest else note}".rstrip(), *(_continued(rest, note))])


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
    return [(mark, *_without_note(text)) for mark, text in found]


def texts(lines: Iterable[str], mark: str) -> list[str]:
    return [text for _, text, _ in entries(lines, (mark,))]


def body_lines(text: str) -> list[str]:
    """A text of several lines as it is, each line behind a bar, so that nothing in it is taken for something else."""
    return [f"| {line}".rstrip() for line in text.split("\n")] if text else []


def body_of(lines: Iterable[str]) -> str:
    return "\n".join(line[1:].removeprefix(" ") for line in lines if line.startswith("|"))


def _json(more: dict[str, Any]) -> str:
    """Its angle brackets escaped, so that no text in it begins or ends a comment."""
    return json.dumps(more, ensure_ascii=False).replace("<", "\\u003c").replace(">", "\\u003e")


def _continued(lines: list[str], note: str) -> list[str]:
    return [f"{INDENT}{line}{note if at == len(lines) - 1 else ''}" for at, line in enumerate(lines)]


def _without_note(text: str) -> tuple[str, dict[str, Any]]:
    head, found, tail = text.rpartition(_NOTE.lstrip())
    if not found or not tail.endswith("-->"):
        return text, {}
    try:
        return head.strip(), dict(json.loads(tail.removesuffix("-->")))
    except ValueError:
        return text, {}
