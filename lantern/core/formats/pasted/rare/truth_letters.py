"""Letters that say of statements whether they are true: "(R)" and "(W)" are right and wrong, or "richtig" and "wahr".
What one of them means is told by the other that the text uses; they become T and F, as which they are read."""

import re

from lantern.core.formats.sayings import BY_LANGUAGE, words

_BEHIND = re.compile(
    r"(?P<before>[.!?…]\s*[(\[]\s*|[.!]\s+)(?P<letter>[^\W\d_])(?P<behind>\s*[)\]]?(?:\s*$|\s*[-–—:,]\s.*$))"
)
_OF_KEY = re.compile(r"(?<!\w)(?P<before>\d{1,3}\s*[-–.):=]?\s*)(?P<letter>[^\W\d_])(?!\w)")
_HEAD = re.compile(rf"^[\s#*_(]*(?:{words('key')}|{words('answer')})[\s*_]*[:：]?[\s*_]*", re.I)
_WRONG_MEANT = re.compile(r"\bwrong\b", re.I)
USUAL = frozenset("TRVF")
"""What these mean is known by themselves."""


def _pairs() -> dict[frozenset[str], str]:
    """Two letters, with the one that says "true"; only where no other language means it otherwise."""
    found: dict[frozenset[str], str] = {}
    for sayings in BY_LANGUAGE.values():
        for yes in filter(None, sayings.true_letter.upper().split("|")):
            for no in filter(None, sayings.false_letter.upper().split("|")):
                found.setdefault(frozenset((yes, no)), yes)
    return found


_TRUE_OF = _pairs()


def with_truth_letters(lines: list[str]) -> list[str]:
    """The lines with T and F for letters that other languages use, or that mean something else in another one."""
    said = [match for line in lines for match in [_BEHIND.search(line)] if match]
    keys = {at: found for at, line in enumerate(lines) if (found := _key_in(line))}
    letters = {match["letter"].upper() for match in said} | {letter for found in keys.values() for letter in found}
    true = _TRUE_OF.get(frozenset(letters), "")
    if letters == {"W"} and any(map(_WRONG_MEANT.search, lines)):
        true = "R"
    if not true or letters <= USUAL or len(letters) > len("TF"):
        return lines
    made = [_BEHIND.sub(lambda one: _plain(one, true) + one["behind"], line) for line in lines]
    return [_OF_KEY.sub(lambda one: _plain(one, true), line) if at in keys else line for at, line in enumerate(made)]


def _key_in(line: str) -> set[str]:
    """The letters of a line that is nothing but numbers with a letter each."""
    rest = _HEAD.sub("", line)
    found = {match["letter"].upper() for match in _OF_KEY.finditer(rest)}
    return found if found and not re.sub(r"[\s,;.|*]", "", _OF_KEY.sub("", rest)) else set()


def _plain(found: "re.Match[str]", true: str) -> str:
    return found["before"] + ("T" if found["letter"].upper() == true else "F")
