"""Names as students type them: data, never markup, and told apart."""

import re
import unicodedata
from collections.abc import Collection

from lantern.core.errors import BadName

MAX_NAME = 40
MAX_TOGETHER = 80
"""Of all who sit at one device, with what stands between."""
# Joiners are kept: scripts and emoji need them. Other format characters could turn a line around.
_JOINERS = {"\u200c", "\u200d"}


def clean_name(text: str, most: int = MAX_NAME) -> str:
    """The name as it will be shown, of at most so many characters. Raises BadName."""
    visible = (c for c in unicodedata.normalize("NFC", text) if c in _JOINERS or _is_visible(c))
    name = " ".join("".join(visible).split())
    if not name.strip("\u200c\u200d ") or len(name) > most:
        raise BadName(field="name")
    return name


def names_together(text: str) -> list[str]:
    """The names of several, as they stand in one line with commas between them."""
    names = (" ".join(name.split()) for name in re.split(r"[,;\n\u060c\uff0c]", text))
    return list(dict.fromkeys(name for name in names if name))


def told_apart(name: str, taken: Collection[str], most: int = MAX_NAME) -> str:
    """`name`, or with the next free number behind it if somebody here has it already; of at most so many characters."""
    used = {other.casefold() for other in taken}
    candidate, number = name, 2
    while candidate.casefold() in used:
        candidate = f"{name[: most - 4]} {number}"
        number += 1
    return candidate


def _is_visible(char: str) -> bool:
    return char.isspace() or unicodedata.category(char)[0] != "C"


_OF_FAMILY = frozenset(
    "van von vom zu zur de del della di da das dos do der den het ter ten la le du el al bin ibn af av".split()
)
"""Small words that belong to the family name behind them, as in "van der Berg"."""


def names_of(typed: str) -> tuple[str, str]:
    """(the name as a class says it, the name as a list sorts it) of a name as somebody writes it.

    "Berg, Anna" and "BERG Anna" say which part is the family's; otherwise it is the last word, with the small words
    before it. Raises BadName.
    """
    family, given = _parts(clean_name(typed, MAX_NAME + 1 if "," in typed else MAX_NAME))
    if not given:
        return clean_name(family), family
    return clean_name(f"{given} {family}"), f"{family}, {given}"


def shown_of(sort_name: str) -> str:
    """The name as a class says it, of one that is written as lists sort it."""
    return names_of(sort_name)[0] if "," in sort_name else sort_name


def _parts(name: str) -> tuple[str, str]:
    """(family, given); given is empty where there is one word only."""
    if "," in name:
        family, _, given = name.partition(",")
        if family.strip() and given.strip():
            return family.strip(), given.replace(",", " ").strip()
        return name.replace(",", "").strip(), ""
    words = name.split()
    capitals = _capitals(words)
    if 0 < capitals < len(words):
        return " ".join(words[:capitals]), " ".join(words[capitals:])
    first = len(words) - 1
    while first > 1 and words[first - 1].casefold() in _OF_FAMILY:
        first -= 1
    return (" ".join(words[first:]), " ".join(words[:first])) if first > 0 else (name, "")


def _capitals(words: list[str]) -> int:
    """How many words at the beginning are written in capitals, as school lists write the family name."""
    for at, word in enumerate(words):
        if not (len(word) > 1 and word.isupper() and "." not in word):
            return at
    return len(words)
