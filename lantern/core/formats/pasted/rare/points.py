"""Points behind what is asked, as usual: in brackets, before it."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.patterns import POINTS
from lantern.core.formats.sayings import words

_POINTS_BEHIND = re.compile(
    r"\s*\[(\d{1,2})\](?P<more>\s*$|(?=\s{2,}\(?[aA][.)]\s)|(?=\s+(?:_{2,}|\(?[TRVW]\s*/\s*[FO]\)?)\s*$))"
)
_POINTS_WITHIN = re.compile(rf"(\s*{POINTS})(\s+(?:_{{2,}}|\(?[TRVW]\s*/\s*[FO]\)?))\s*$", re.I)
_POINTS_ENDING = re.compile(rf"^(?P<asks>\s*\S.*[?？؟])\s*(?P<points>{POINTS})\s*$", re.I)
_POINTS_DASHED = re.compile(rf"(?<=[?？؟.])\s+[-–—]\s+(\d{{1,3}}\s*(?:{words('points')}))\.?\s*$", re.I)
_BEGINNING = re.compile(r"^\s*(?:#{1,6}\s+|[-•*]\s+)?")
_POINTS_FAR_BEHIND = re.compile(
    rf"(?:\s{{3,}}|\t)_*(?:\s?/\s?(\d{{1,2}})\s*(?:{words('points')})?|\s?(\d{{1,2}})\s*(?:{words('points')}))\.?\s*$",
    re.I,
)


def with_points(lines: list[str]) -> list[str]:
    """ "[2]" behind several questions says how many points they are worth. "(2 points)" behind what is asked stands
    before it, so that the line ends as questions do."""
    lines = [_points_before(_POINTS_DASHED.sub(r" (\1)", line)) for line in lines]
    far = [at for at, line in enumerate(lines) if _POINTS_FAR_BEHIND.search(line)]
    if len(far) > 1:
        lines = [
            _POINTS_FAR_BEHIND.sub(lambda found: f" ({found[1] or found[2]} points)", line) if at in far else line
            for at, line in enumerate(lines)
        ]
    counted = [at for at, line in enumerate(lines) if line.endswith("]") and line_of.question_number(line)]
    found = [at for at, line in enumerate(lines) if _POINTS_BEHIND.search(line) and line_of.question_number(line)]
    if len(found) < 2 or set(counted) - set(found):
        return [_POINTS_WITHIN.sub(r"\2\1", line) for line in lines]
    named = [_POINTS_BEHIND.sub(r" (\1 points)", line) if at in found else line for at, line in enumerate(lines)]
    return [_POINTS_WITHIN.sub(r"\2\1", line) for line in named]


def _points_before(line: str) -> str:
    """ "1. Which …? (2 points)" as "1. (2 points) Which …?"."""
    found = _POINTS_ENDING.match(line)
    if not found:
        return line
    bare = _BEGINNING.sub("", line)
    numbered = line_of.question_number(bare)
    rest = numbered[2] if numbered else line_of.asked(bare) or bare
    asks_from = len(line.rstrip()) - len(rest.rstrip())
    if line[asks_from:].rstrip() != rest.rstrip():
        return line  # it has points before it, too
    return f"{line[:asks_from]}{found['points']} {found['asks'][asks_from:]}"
