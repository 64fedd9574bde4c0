"""Lists whose items are questions themselves: "- What is …? – bow", "• The moon causes tides. (true)"."""

import re
from itertools import pairwise

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.fields import answers_itself, seems_answered
from lantern.core.formats.pasted.gaps import BRACKETED
from lantern.core.formats.pasted.headings import is_heading
from lantern.core.formats.pasted.pairs import PairList, pairs_of
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.statements import states

_BULLET = re.compile(r"^(\s*)([-–—•*▪◦●])\s+(?=\S)")
_COUNTED = re.compile(r"^\s*\d{1,3}[.)]\s+\S")
_SIGNED = re.compile(r"^(?P<text>\s*(?:\d{1,3}[.)]\s+|[-•*]\s+)?[^\s✅✔✓❌✗✘].*?[.!])\s*(?P<sign>[✅✔✓❌✗✘])\s*$")
_POINTED = re.compile(r"^\s*(?:→|⇒|->|=>)\s*\S")
_RIGHT_SIGNS = "✅✔✓"
FEWEST = 3


def with_items_counted(lines: list[Line]) -> list[Line]:
    """Bullets before items that are questions by themselves become numbers. Below a question they are its options, and
    stay."""
    found = {at: match for at, line in enumerate(lines) if _is_item(line) and (match := _BULLET.match(line.text))}
    looks = {(match[1], match[2]) for match in found.values()}
    if len(found) < FEWEST or any(line_of.question_number(line.text) for line in lines):
        return lines
    asking = [lines[at].text.rstrip("*_ ").endswith(("?", "？", "؟")) for at in sorted(found)]
    if asking == [True, False] * (len(asking) // 2):
        return _in_turn(lines, found)
    if len(looks) != 1:
        return lines
    first, last = min(found), max(found)
    above = [line.text for line in lines[:first] if not line.is_blank][-1:]
    if any(text.rstrip("*_ ").endswith(("?", "？", "؟")) and not is_heading(text) for text in above):
        return lines
    below = [[line for line in lines[at + 1 : end] if not line.is_blank] for at, end in _spans(lines, found, last)]
    one_below = all(asking) and all(len(group) == 1 for group in below)
    for at in () if one_below else range(first, last + 1):
        line = lines[at]
        is_aside = line.is_blank or line_of.is_aside(line.text)
        is_said = is_aside or _is_answer(line) or line.bold or _POINTED.match(line.text) is not None
        is_ok = _asks_itself(lines, at, found[at].end()) if at in found else is_said
        if not is_ok:
            return lines
    numbers = {at: number for number, at in enumerate(sorted(found), start=1)}
    return [
        line.saying(f"{found[at][1]}{numbers[at]}. {line.text[found[at].end() :]}") if at in found else line
        for at, line in enumerate(lines)
    ]


def _is_item(line: Line) -> bool:
    """ "- 2 -" is the number of a page."""
    return not line.code and not line_of.is_aside(line.text)


def _spans(lines: list[Line], found: "dict[int, re.Match[str]]", last: int) -> list[tuple[int, int]]:
    """(a bullet, the next one); behind the last, as far as one line reaches, a blank one apart."""
    places = sorted(found)
    return [
        *pairwise(places),
        (last, last + 3 if lines[last + 1 : last + 2] and lines[last + 1].is_blank else last + 2),
    ]


def _in_turn(lines: list[Line], found: "dict[int, re.Match[str]]") -> list[Line]:
    """ "- When was it built?", "- 1851", and so on."""
    made = list(lines)
    for place, at in enumerate(sorted(found)):
        indent, text = found[at][1], lines[at].text[found[at].end() :]
        label = f"{place // 2 + 1}." if place % 2 == 0 else "Answer:"
        made[at] = lines[at].saying(f"{indent}{label} {text}")
    return made


def _asks_itself(lines: list[Line], at: int, begin: int) -> bool:
    text = lines[at].text[begin:]
    below = lines[at + 1] if at + 1 < len(lines) else None
    return (
        answers_itself(text)
        or seems_answered(text)
        or states(text)
        or "__" in text
        or BRACKETED.search(text) is not None
        or (below is not None and (_is_answer(below) or below.bold or _POINTED.match(below.text) is not None))
    )


def _is_answer(line: Line) -> bool:
    text = line.text
    parts = (line_of.answer(text), line_of.short_answer(text), line_of.reason(text))
    return any(part is not None for part in parts)


def with_signs_said(lines: list[Line]) -> list[Line]:
    """A tick or a cross behind each of several sentences says whether they are true."""
    found = {at: match for at, line in enumerate(lines) if not line.code and (match := _SIGNED.match(line.text))}
    if any((one := line_of.option(lines[at])) and one.label for at in found):
        return lines  # they are options
    signs = {match["sign"] in _RIGHT_SIGNS for match in found.values()}
    others = [line for at, line in enumerate(lines) if at not in found and not line.is_blank]
    if len(found) < FEWEST or len(signs) != len({True, False}):
        return lines
    if any(line.text.rstrip().endswith(("?", "？", "؟")) and line_of.question_number(line.text) for line in others):
        return lines
    if sum(line_of.option(line) is not None for line in others):
        return lines
    return [
        line.saying(f"{match['text']} ({'True' if match['sign'] in _RIGHT_SIGNS else 'False'})")
        if (match := found.get(at))
        else line
        for at, line in enumerate(lines)
    ]


def counted_pairs(lines: list[Line]) -> tuple[int, int, PairList] | None:
    """(first line, line behind the last, the pairs) of numbered pairs, where nothing else in the text is numbered."""
    counted = [at for at, line in enumerate(lines) if not line.code and _COUNTED.match(line.text)]
    if len(counted) < FEWEST or counted != list(range(counted[0], counted[0] + len(counted))):
        return None
    first = counted[0]
    if first and not lines[first - 1].is_blank and lines[first - 1].text.rstrip().endswith((":", "：")):
        first -= 1
    others = [line for line in (*lines[:first], *lines[counted[-1] + 1 :]) if not line.is_blank]
    if any(line_of.option(line) or _is_answer(line) or line_of.label_alone(line.text) for line in others):
        return None
    pairs = pairs_of(Block(lines[first : counted[-1] + 1]).text)
    if pairs is None or any(left.count("(") != left.count(")") for left, _ in pairs.pairs):
        return None
    return first, counted[-1] + 1, pairs
