"""What is done to a pasted text before it is cut: rarer ways of writing become the usual ones, line by line.

1. No line is added or taken away, so that places can still be told.
2. What is passed over (headings between questions, lines for a name) is told, never dropped in silence.
"""

import re
from collections.abc import Callable, Iterable
from itertools import pairwise

from lantern.core.formats.pasted import lines as line_of

_CIRCLED = re.compile(r"^(\s*)([Ⓐ-Ⓛⓐ-ⓛ①-⑳])\s*")
_WRONG = re.compile(r"^(\s*)[✗✘❌☓]\s*(?=\S)|(?<=\S)\s*[✗✘❌☓]\s*$")
_ROMAN = re.compile(r"^(\s*)\(?([ivx]+|[IVX]+)[.)]\s+(?=\S)")
_ROMAN_VALUES = {"i": 1, "v": 5, "x": 10}
_BARE_NUMBER = re.compile(r"^(\s*)(\d{1,3})\s+(?=[A-ZÀ-Þ“\"¿])")
_BARE_LETTER = re.compile(r"^(\s*)([a-lA-L])\s+(?=\S)")
_TO_FILL_IN = re.compile(
    r"^(?:\W*(?:name|date|class|score|student|teacher|period|group)\s*[:.]?\s*[_.…]{3,}\W*)+$", re.I
)
_HEADING = re.compile(
    r"^(?:(?:section|part)\s+(?:[A-Z]|\d{1,2}|[IVX]{1,4})\b[^?]*"
    r"|(?:multiple[- ]choice|true\s*(?:or|/)\s*false|fill[- ]in(?:[- ]the)?[- ](?:blanks?|gaps?)|short[- ]answers?|"
    r"matching|open)(?:\s+questions?)?\s*[.:]?(?:\s+(?:choose|circle|select|tick|mark|write|answer|fill)\b[^?]*)?"
    r"|(?:choose|circle|select|tick|mark|write|answer|fill)\b[^?]*\b(?:answers?|letters?|options?|questions?|blanks?|gaps?)"
    r"\b[^?]*[.:])$",
    re.I,
)
_SAID_WRONG = re.compile(r"^(\s*)(?:wrong|incorrect|false)(?: (?:answer|option))?\s*\d*\s*:\s*(?=\S)", re.I)
_SAID_RIGHT = re.compile(r"^(\s*)(?:right|correct|true)(?: (?:answer|option))?\s*\d*\s*:\s*(?P<text>\S.*)$", re.I)
_OPTIONS_BELOW = re.compile(r"^\s*(?:options|choices|possible answers)\s*:\s*$", re.I)
_IN_BRACKETS = re.compile(r"^(\s*)\((\d{1,3})\)\s+(?=\S)")
LONGEST_HEADING = 100


def tidy(lines: list[str]) -> tuple[list[str], list[str]]:
    """(the lines in the usual ways of writing, the lines that were passed over)."""
    lines = [_WRONG.sub(r"\1", _circled(line)) if line else line for line in lines]
    lines = _with_marks(_without_brackets(_without_roman(_as_options(lines))))
    passed: list[str] = []
    is_numbered = sum(line_of.question_number(line) is not None for line in lines) > 1
    for at, line in enumerate(lines):
        if _TO_FILL_IN.match(line) or (is_numbered and _is_heading(line)):
            passed.append(line.strip())
            lines[at] = ""
    return lines, passed


def _circled(line: str) -> str:
    found = _CIRCLED.match(line)
    if not found:
        return line
    sign = found[2]
    label = chr(ord("A") + (ord(sign) - ord("Ⓐ")) % 26) if sign >= "Ⓐ" else str(ord(sign) - ord("①") + 1)
    return f"{found[1]}({label}) {line[found.end() :]}"


def _as_options(lines: list[str]) -> list[str]:
    """ "Right: …" among "Wrong: …" are options; without a wrong one, "Right: …" is an answer line."""
    lines = ["" if _OPTIONS_BELOW.match(line) else line for line in lines]
    if not any(_SAID_WRONG.match(line) for line in lines):
        return lines
    lines = [_SAID_WRONG.sub(r"\1- ", line) for line in lines]
    return [_SAID_RIGHT.sub(r"\1- \g<text> (correct)", line) for line in lines]


def _without_brackets(lines: list[str]) -> list[str]:
    """(1), (2) number questions where other lines stand between them; else they are options."""
    places = [(at, int(found[2])) for at, line in enumerate(lines) if (found := _IN_BRACKETS.match(line))]
    apart = all(after - before > 1 for (before, _), (after, _) in pairwise(places))
    if len(places) < 2 or not apart or [number for _, number in places] != list(range(1, len(places) + 1)):
        return lines
    return [_IN_BRACKETS.sub(r"\1\2. ", line) for line in lines]


def _without_roman(lines: list[str]) -> list[str]:
    """I. II. III. number questions, i) ii) iii) name options; a lone "I." is no number."""
    found = [match[2] for line in lines if (match := _ROMAN.match(line))]
    large, small = "II" in found, "ii" in found

    def replaced(line: str) -> str:
        match = _ROMAN.match(line)
        if not match or not (large if match[2].isupper() else small):
            return line
        value = _value(match[2].lower())
        label = f"{value}." if match[2].isupper() else f"{chr(ord('a') + value - 1)})"
        return f"{match[1]}{label} {line[match.end() :]}" if 0 < value <= 26 else line

    return [replaced(line) for line in lines]


def _value(roman: str) -> int:
    values = [_ROMAN_VALUES[sign] for sign in roman]
    return sum(-one if one < following else one for one, following in zip(values, [*values[1:], 0], strict=True))


def _with_marks(lines: list[str]) -> list[str]:
    """ "1 What …" above "a …" and "b …": numbers and letters without a mark behind them get one."""
    if any(line_of.question_number(line) for line in lines):
        return lines
    numbers = _in_turn(lines, _BARE_NUMBER, lambda label: int(label))
    letters = _in_turn(lines, _BARE_LETTER, lambda label: ord(label.lower()) - ord("a") + 1)
    if not numbers or len(letters) < 2:
        return lines
    made = list(lines)
    for at in numbers:
        made[at] = _BARE_NUMBER.sub(r"\1\2. ", lines[at])
    for at in letters:
        made[at] = _BARE_LETTER.sub(r"\1\2) ", lines[at])
    return made


def _in_turn(lines: Iterable[str], pattern: re.Pattern[str], value: Callable[[str], int]) -> list[int]:
    """Indices of lines whose labels follow each other: 1, 2, 3, or a, b, c, a, b …; "a" alone is an article."""
    found = [(at, value(match[2])) for at, line in enumerate(lines) if (match := pattern.match(line))]
    runs: list[list[tuple[int, int]]] = []
    for at, number in found:
        if number == 1 and not (runs and len(runs[-1]) == 1 and runs[-1][0][0] == at - 1):
            runs.append([(at, number)])
        elif runs and number == runs[-1][-1][1] + 1:
            runs[-1].append((at, number))
    return [at for run in runs if len(run) > 1 for at, _ in run]


def _is_heading(line: str) -> bool:
    said = line.strip().strip("*_# ")
    taken = line_of.question_number(line) or line_of.option(line) or line_of.answer(line)
    return bool(said) and not taken and len(said) <= LONGEST_HEADING and _HEADING.match(said) is not None
