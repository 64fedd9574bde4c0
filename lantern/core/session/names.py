"""Names as students type them: data, never markup, and told apart."""

import unicodedata
from collections.abc import Collection

from lantern.core.errors import BadName

MAX_NAME = 40
# Joiners are kept: scripts and emoji need them. Other format characters could turn a line around.
_JOINERS = {"\u200c", "\u200d"}


def clean_name(text: str) -> str:
    """The name as it will be shown, or BadName."""
    visible = (c for c in unicodedata.normalize("NFC", text) if c in _JOINERS or _is_visible(c))
    name = " ".join("".join(visible).split())
    if not name.strip("\u200c\u200d ") or len(name) > MAX_NAME:
        raise BadName(field="name")
    return name


def told_apart(name: str, taken: Collection[str]) -> str:
    """`name`, or with the next free number behind it if somebody here has it already."""
    used = {other.casefold() for other in taken}
    candidate, number = name, 2
    while candidate.casefold() in used:
        candidate = f"{name[: MAX_NAME - 4]} {number}"
        number += 1
    return candidate


def _is_visible(char: str) -> bool:
    return char.isspace() or unicodedata.category(char)[0] != "C"
