"""Questions that are counted within their parts: "1.1", "1.2", "2.1". They are counted through instead, in the key,
too, and what heads a part is said to."""

import re
from itertools import pairwise

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.sayings import words

_DECIMAL = re.compile(
    r"^(?P<before>[\s#*_>]*)(?P<part>\d{1,2})\.(?P<number>\d{1,2})[.):]?[*_]*\s+(?=[^\s\d+\-*/×·÷=<>%])"
)
_PLACE = re.compile(r"(?<![\d.,])(\d{1,2})\.(\d{1,2})(?![\d,])(?=[.):]?\s*[-–=:)]?\s*\S)")
_HEAD = re.compile(rf"^[\s#*_(]*(?:{words('key')}|{words('answer')})(?!\w)", re.I)
_ASKS = re.compile(r"[?？؟:：….]\W*$|__")
FEWEST, MOST_ABOVE = 2, 4


def counted_through(lines: list[str]) -> list[str]:
    found = {at: match for at, line in enumerate(lines) if (match := _DECIMAL.match(line))}
    places = [(int(match["part"]), int(match["number"])) for match in found.values()]
    asked = places[: _length_in_turn(places)]
    ats = sorted(found)[: len(asked)]
    asking = sum(_ASKS.search(lines[at]) is not None for at in ats)
    if len(asked) < FEWEST or asking * 2 < len(asked):
        return lines  # headings are counted so, too
    number_of = {place: number for number, place in enumerate(asked, start=1)}
    made = list(lines)
    for at, place in zip(ats, asked, strict=True):
        made[at] = f"{found[at]['before']}{number_of[place]}. {lines[at][found[at].end() :]}"
        if place[1] == 1:
            _head(made, at, place[0])
    is_key = False
    for at in range(ats[-1] + 1, len(lines)):
        is_key = is_key or _HEAD.match(lines[at]) is not None
        named = _PLACE.findall(lines[at]) if is_key or at in found else []
        if named and all((int(part), int(number)) in number_of for part, number in named):
            made[at] = _PLACE.sub(lambda one: f"{number_of[int(one[1]), int(one[2])]}", lines[at])
    return made


def _length_in_turn(places: list[tuple[int, int]]) -> int:
    """How many of the first places follow each other: 1.1, 1.2, 2.1 …"""
    if not places or places[0][1] != 1:
        return 0
    for at, (before, after) in enumerate(pairwise(places), start=1):
        if after not in ((before[0], before[1] + 1), (before[0] + 1, 1)):
            return at
    return len(places)


def _head(lines: list[str], first: int, part: int) -> None:
    """Says of the line that heads the part, "Exercise 1" or "1. Tick the right one.", that it does."""
    for at in range(first - 1, max(-1, first - 1 - MOST_ABOVE), -1):
        numbered = line_of.question_number(re.sub(r"^[\s#*_]+", "", lines[at]))
        if numbered and numbered[0] == part:
            lines[at] = f"Section {part}: {numbered[2]}"
            return
