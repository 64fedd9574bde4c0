"""What stands before a question and says what is right, or what may be: it is written behind it, as is usual."""

import re
from itertools import takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.sayings import words

_FIRST_SAID = re.compile(
    rf"^(\s*)[(\[_]*(?P<said>{words('true')}|{words('false')}|[TFRWV])[)\]_]*\s*[.:–-]?\s+(?=\d{{1,3}}[.)]\s)", re.I
)
_EITHER_FIRST = re.compile(
    r"^(\s*)[(\[]?(T\s*[/|]?\s*F|R\s*[/|]?\s*[FW]|V\s*[/|]?\s*F|W\s*[/|]?\s*F)[)\]]?\s+(?=\d{1,3}[.)]\s)"
)
_TRUTH_FIRST = re.compile(r"^(\s*(?:\d{1,3}[.)]\s*)?)[(\[]\s*([TFRVW])\s*[)\]]\s+(?=\S)", re.I)
_SAYS_WHICH = re.compile(r"(?:->|=>|[→⇒–—-])\s*[TFRWV]\s*$")
_TRUTH_WITH_REASON = re.compile(
    rf"(?<=[.!?]\s)[(\[]\s*(?P<said>{words('true')}|{words('false')}|[TF])\s*[-–—:;,]\s*(?P<why>[^()\[\]]+?)[)\]]\s*$",
    re.I,
)
_LETTER_FIRST = re.compile(r"^(\s*)(?:\(\s*([A-L])\s*\)|_+\s*([A-L])\s*_+)\s+(?=\d{1,3}[.)]\s)")
_PLACE = re.compile(r"^\s*[(\[_]*(?P<place>\d{1,2})(?:[)\]_.:]+\s*|\s*[–-]\s+|\s+)(?P<text>[^\s\d].*)$")
_PLACE_BEHIND = re.compile(r"^\s*(?P<text>[^\W\d].*\S)\s*\((?P<place>\d{1,2})\)\s*$")
FEWEST, FEWEST_IN_ORDER = 2, 3


def said_behind(lines: list[str]) -> list[str]:
    """ "T  1. The moon …" says it before the number; it is written behind the statement."""
    found = [match for line in lines if (match := _FIRST_SAID.match(line))]
    if len(found) < 2:
        return lines
    return [
        f"{match[1]}{line[match.end() :].rstrip()} ({match['said']})" if (match := _FIRST_SAID.match(line)) else line
        for line in lines
    ]


def truth_behind(lines: list[str]) -> list[str]:
    """ "1. [T] The moon …", "2. [F] …" say it before the statement; it is written behind it."""
    found = {at: match for at, line in enumerate(lines) if (match := _TRUTH_FIRST.match(line))}
    if {match[2].upper() for match in found.values()} not in ({"T", "F"}, {"R", "F"}, {"V", "F"}, {"W", "F"}):
        return lines
    return [
        f"{match[1]}{line[match.end() :].rstrip()} ({match[2]})" if (match := found.get(at)) else line
        for at, line in enumerate(lines)
    ]


def reasons_behind(lines: list[str]) -> list[str]:
    """ "Ferries sail in summer. (false – they sail all year)": the reason is written behind the brackets."""
    return [_TRUTH_WITH_REASON.sub(r"(\g<said>) – \g<why>", line) for line in lines]


def answers_below(lines: list[str]) -> list[str]:
    """Answer lines that stand above their questions, all of them, change places with them."""
    filled = [at for at, line in enumerate(lines) if line.strip()]
    answered = [place for place, at in enumerate(filled) if line_of.answer(lines[at]) is not None]
    below = [filled[place + 1] for place in answered if place + 1 < len(filled)]
    if len(answered) < FEWEST or answered[0] > 1 or len(below) < len(answered):
        return lines
    above = lines[filled[0]] if answered[0] else ""
    if above.rstrip("*_ ").endswith(("?", "？", "؟")) or line_of.question_number(above) or line_of.asked(above):
        return lines
    if not all(line_of.asked(lines[at]) or line_of.question_number(lines[at]) for at in below):
        return lines
    made = list(lines)
    for place, at in zip(answered, below, strict=True):
        made[filled[place]], made[at] = lines[at], lines[filled[place]]
    return made


def either_behind(lines: list[str]) -> list[str]:
    """ "T F  1. The moon …", of which one is to be circled, is written behind the statement."""
    if sum(_EITHER_FIRST.match(line) is not None for line in lines) < FEWEST:
        return lines
    return [
        f"{found[1]}{line[found.end() :].rstrip()}{'' if _SAYS_WHICH.search(line) else ' (T/F)'}"
        if (found := _EITHER_FIRST.match(line))
        else line
        for line in lines
    ]


def letters_behind(lines: list[str]) -> list[str]:
    """ "(B) 1. What is …?" names the right option before the number; it is written behind the question."""
    found = {at: match for at, line in enumerate(lines) if (match := _LETTER_FIRST.match(line))}
    if len(found) < FEWEST:
        return lines
    return [
        f"{match[1]}{line[match.end() :].rstrip()} (Answer: {match[2] or match[3]})"
        if (match := found.get(at))
        else line
        for at, line in enumerate(lines)
    ]


def _place_in(line: str) -> "re.Match[str] | None":
    return _PLACE.match(line) or _PLACE_BEHIND.match(line)


def order_behind(lines: list[str]) -> list[str]:
    """ "3. We met the ferry.", "1. We left." below "Put the events in order." name their places: they become lettered
    lines, and behind what is asked stands which comes first."""
    made = list(lines)
    for at, line in enumerate(lines):
        numbered = line_of.question_number(line)
        if not line_of.asks_for_order(numbered[2] if numbered else line):
            continue
        below = (i for i in range(at + 1, len(lines)) if lines[i].strip())
        found = {i: one for i in takewhile(lambda i: _place_in(lines[i]), below) if (one := _place_in(lines[i]))}
        places = [int(one["place"]) for one in found.values()]
        is_whole = sorted(places) == list(range(1, len(places) + 1)) != places
        if len(places) < FEWEST_IN_ORDER or not is_whole:
            continue
        letters = [chr(ord("a") + place) for place in range(len(places))]
        in_turn = ", ".join(letters[places.index(place)] for place in sorted(places))
        made[at] = f"{line.rstrip()} (Answer: {in_turn})"
        for letter, (i, one) in zip(letters, found.items(), strict=True):
            made[i] = f"{letter}) {one['text']}"
    return made
