"""JSON as programs and chats make it: a list of objects, each of which is a question, read as the rows of a sheet
are."""

import json
from collections.abc import Mapping
from typing import Any

from lantern.core.formats.sheet_columns import is_ticked, use_of

MOST_OBJECTS, DEEPEST = 5000, 6


def rows_in_json(text: str) -> list[list[str]] | None:
    """A heading row and a row for each object; None where the text is no JSON, or holds no list of questions."""
    if text.lstrip()[:1] not in "[{":
        return None
    try:
        value = json.loads(text)
    except (ValueError, RecursionError):
        return None
    objects = _list_in(value, 0)
    if objects is None:
        return None
    first = _counts_from(objects)
    names = list(dict.fromkeys(name for one in objects for name in one))
    if "question" not in (use_of(_spoken(name)) for name in names):
        return None
    return [
        [_spoken(name) for name in names],
        *([_cell(one, name, first) for name in names] for one in objects[:MOST_OBJECTS]),
    ]


def _list_in(value: Any, depth: int) -> list[dict[str, Any]] | None:
    if isinstance(value, list) and value and all(isinstance(one, dict) for one in value):
        return value
    inner = value.values() if isinstance(value, dict) and depth < DEEPEST else []
    return next((found for one in inner if (found := _list_in(one, depth + 1))), None)


def _spoken(name: str) -> str:
    """ "correctAnswer", "correct_answer" as a heading says it."""
    apart = "".join(f" {sign.lower()}" if sign.isupper() and at else sign for at, sign in enumerate(name))
    return apart.replace("_", " ").replace("-", " ").strip()


def _cell(one: Mapping[str, Any], name: str, first: int | None) -> str:
    value = one.get(name)
    options = _options(one)
    if not _is_place(name, value) or not options:
        return _text(value)
    # A number that can mean two options is no key at all: that nothing is marked is told.
    at = None if first is None else int(value or 0) - first
    return _text(options[at]) if at is not None and 0 <= at < len(options) else ""


def _is_place(name: str, value: Any) -> bool:
    return use_of(_spoken(name)) == "right" and isinstance(value, int) and not isinstance(value, bool)


def _options(one: Mapping[str, Any]) -> list[Any]:
    return next((value for value in one.values() if isinstance(value, list)), [])


def _counts_from(objects: list[dict[str, Any]]) -> int | None:
    """Whether numbers that name options count from 0 or from 1; None where it cannot be told."""
    given = [
        (value, len(options))
        for one in objects
        if (options := _options(one))
        for name, value in one.items()
        if _is_place(name, value)
    ]
    if any(value == 0 for value, _ in given):
        return 0
    if any(value == count for value, count in given):
        return 1
    return 0 if any("index" in _spoken(name) for one in objects for name in one) else None


def _text(value: Any) -> str:
    if isinstance(value, list):
        return "\n".join(_text(one) for one in value)
    if isinstance(value, dict):
        said = next(
            (
                str(inner)
                for name, inner in value.items()
                if name.casefold() in {"text", "answer", "option", "label", "value", "content"}
            ),
            "",
        )
        right = any(
            is_ticked(str(inner))
            for name, inner in value.items()
            if "correct" in name.casefold() or "right" in name.casefold()
        )
        return f"{said or ' '.join(map(str, value.values()))}{' (correct)' if right else ''}"
    return "" if value is None else str(value)
