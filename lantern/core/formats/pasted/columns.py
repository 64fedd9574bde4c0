"""Pages in two columns of questions: what stood side by side is put below each other."""

import re
from collections.abc import Sequence
from dataclasses import replace
from itertools import takewhile

from lantern.core.formats.pasted.source import Line

_TWO = re.compile(r"^\s*(\d{1,3})[.)]\s+\S.*?(?:\s{3,}|\t+)(?P<second>(\d{1,3})[.)]\s+\S.*)$")
_ASKED_AND_ANSWERED = re.compile(r"(?:^|(?<=\s))(?=(?:Q|A|F|R|Question|Answer|Frage|Antwort)\s?:\s)")
_ASKS = re.compile(r"\s*(?:Q|F|Question|Frage)\s?:")
FEWEST_LINES = 2


def one_column(lines: Sequence[Line]) -> list[Line]:
    """The lines, those of the right column behind those of the left."""
    made: list[Line] = []
    at = 0
    while at < len(lines):
        rows = _rows(lines, at)
        if len(rows) >= FEWEST_LINES:
            halves = [_halves(line, row.start("second")) for line, row in zip(lines[at:], rows, strict=False)]
            made += [*(left for left, _ in halves), *(right for _, right in halves)]
            at += len(rows)
            continue
        found = _TWO.match(lines[at].text)
        end = _end(lines, at) if found else at
        if found and int(found[3]) > int(found[1]) and end - at >= FEWEST_LINES:
            column = found.start("second")
            halves = [_halves(line, column) for line in lines[at:end]]
            blank = replace(lines[at], text="", source="")
            made += [*(left for left, _ in halves), blank, *(right for _, right in halves if right.text.strip()), blank]
            at = end
        else:
            made.append(lines[at])
            at += 1
    return made


def _rows(lines: Sequence[Line], at: int) -> "list[re.Match[str]]":
    """The rows from here that hold two numbered lines each: 1 and 4, 2 and 5, 3 and 6."""
    rows = [*takewhile(bool, (_TWO.match(lines[place].text) for place in range(at, len(lines))))]
    numbers = [int(row[which]) for which in (1, 3) for row in rows if row]
    first = numbers[0] if numbers else 0
    return [row for row in rows if row] if numbers == list(range(first, first + len(numbers))) else []


def one_to_a_line(lines: Sequence[Line]) -> list[Line]:
    """ "Q: … A: … Q: … A: …" in one line is a line for each."""
    made: list[Line] = []
    for line in lines:
        parts = _ASKED_AND_ANSWERED.split(line.text) if not line.code else []
        parts = [part for part in parts if part.strip()]
        both = len(parts) == FEWEST_LINES and _ASKS.match(parts[0]) and not _ASKS.match(parts[1])
        made += [line.saying(part.strip()) for part in parts] if len(parts) > FEWEST_LINES or both else [line]
    return made


def _end(lines: Sequence[Line], at: int) -> int:
    """Index behind the lines that stand side by side from here: up to a blank line, or the next pair of numbers."""
    end = at + 1
    while end < len(lines) and not lines[end].is_blank and not _TWO.match(lines[end].text):
        end += 1
    return end


def _halves(line: Line, column: int) -> tuple[Line, Line]:
    gaps = [
        gap
        for gap in re.finditer(r"\s{3,}|\t+", line.text.rstrip())
        if gap.start() > 0 and line.text[: gap.start()].strip()
    ]
    if not gaps:
        is_right = len(line.text) - len(line.text.lstrip()) > column // 2
        return (line.saying(""), line) if is_right else (line, line.saying(""))
    gap = min(gaps, key=lambda one: abs(one.end() - column))
    return line.saying(line.text[: gap.start()]), line.saying(line.text[gap.end() :])
