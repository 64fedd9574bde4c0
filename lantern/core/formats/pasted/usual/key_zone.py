"""The key at the end of a text, held against the questions that need it."""

import re
from collections.abc import Mapping, Sequence

from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.usual.asked import Asked
from lantern.core.formats.pasted.usual.signs import BULLET_FIRST, bare
from lantern.core.formats.sayings import words

_HEAD = rf"\W*(?:{words('key')}|{words('answer')})(?:\s*\([^()]{{1,30}}\))?\s*"
_HEAD_ALONE = re.compile(rf"^{_HEAD}\W*$", re.I)
_HEAD_FIRST = re.compile(rf"^{_HEAD}[:：]?[^\w\n]*", re.I)
_COUNTS = re.compile(
    rf"^\W*(?:{words('question')}\s*|q)?(?:\d{{1,3}}\s*[.):=→–-]+\s*\w|\d{{1,3}}\s+\w|\d{{1,3}}[^\W\d]).*\d|^{words('section')}\s",
    re.I,
)
_LETTERS_ALONE = re.compile(rf"^(?:{LETTER})(?:[\s,;]*(?:{LETTER}))+\W*$")
_FRONT = re.compile(r"^(?:#{1,6}\s+|>\s+|\|\s*|---+$)")
_COUNTED = re.compile(
    rf"\W*(?:(?:{words('question')}|q)\s*)?#?(?P<number>\d{{1,3}})\s*(?:[.):=→|–-]|\()*\s*(?:->\s*)?\(?", re.I
)
_BLANK = re.compile(r"[\s.*)]*")
_UNCOUNTED = re.compile(r"[\s,;.]*")
_HEADING = re.compile(
    rf"\W*(?:(?:{words('section')})\s*\w{{1,3}}(?!\w)(?:\s*[:.–-]?\s*[^\d\n]*(?=\n)|\s*[:.–-]?)|[\s|:-]*-{{2,}}[\s|:-]*\n"
    rf"|(?:{words('question')}|{words('number')})\s*\|\s*(?:{words('answer')}|{words('key')})[\s|]*\n)",
    re.I,
)
_NOTHING_MORE = re.compile(r"^[\s.*|)\]-]*(?:\n\n[^\d?？؟]{0,200})?$|^[\s.*|)\]-]*\n(?=\D*$)[^\d\n]*$")
_SIGNS_BEHIND = re.compile(r"[ .,;)\]|]*")
LONGEST_ANSWER = 1000


def key_begins(lines: Sequence[Line], after: int, count: int) -> int | None:
    """The line, behind that of the last of `count` questions, at which the key begins."""
    behind = [line for line in lines if line.at > after and not line.code]
    alone = next((line.at for line in behind if _HEAD_ALONE.match(bare(line.text))), None)
    return alone or next((line.at for line in behind if _is_key(bare(line.text), count)), None)


def _is_key(text: str, count: int) -> bool:
    """Whether a line is a whole key: numbers with answers, or a letter for each question."""
    head = _HEAD_FIRST.match(text)
    told = text[head.end() :] if head else ""
    letters = _LETTERS_ALONE.match(told)
    return bool(_COUNTS.match(told)) or (count > 1 and letters is not None and len(re.findall(r"\w", told)) == count)


def not_in_key(lines: Sequence[Line], begins: int | None, asked: Mapping[int, Asked]) -> dict[int, str]:
    """The places of the questions of which the key does not say what is right in them, with what stands there instead.
    Those that need nothing are passed over, with their lines of the key."""
    if begins is None:
        return {place: one.prompt for place, one in asked.items() if one.needs is not None and not one.may_lack}
    text = "\n".join(_shown(line) for line in lines if line.at >= begins)
    own = {line.at for one in asked.values() for line in one.lines}
    headings = frozenset(_shown(line) for line in lines if line.at < begins and line.at not in own)
    head = _HEAD_FIRST.match(text)
    at = head.end() if head else 0
    doubtful: dict[int, str] = {}
    counted: bool | None = None
    last = None
    for place, last in asked.items():
        end, is_counted = _answered(text, at, last, headings) if last.needs is not None else (None, False)
        if end is None or (counted is not None and is_counted != counted and last.number is not None):
            if last.needs is not None and not last.may_lack:
                doubtful[place] = text[at:].strip().split("\n")[0][:60] or last.prompt
            continue
        at, counted = end, is_counted if last.number is not None else counted
        last.may_lack, last.way = False, "" if last.may_lack else last.way
    if last is not None and last.needs is not None and not doubtful and not _NOTHING_MORE.match(text[at:]):
        doubtful[max(asked)] = text[at:].strip().split("\n")[0][:60]
    return doubtful


def _shown(line: Line) -> str:
    return BULLET_FIRST.sub("", _FRONT.sub("", bare(line.text)))


def _behind_headings(text: str, at: int, headings: frozenset[str]) -> int:
    """Where the answers go on: lines that head a part of the text may head one of the key, too."""
    while True:
        blank = _BLANK.match(text, at)
        first = blank.end() if blank else at
        end = text.find("\n", first)
        heading = _HEADING.match(text, at)
        if end > first and text[first:end] in headings:
            at = end
        elif heading and heading.end() > at:
            at = heading.end()
        else:
            return at


def _behind_others(text: str, at: int, number: int | None) -> int:
    """Where the key goes on behind what it says of questions with smaller numbers, which nothing here needs: at the
    next number in their line, or in the next line."""
    while number is not None and (found := _COUNTED.match(text, at)) and int(found["number"]) < number:
        end = text.find("\n", found.end())
        end = len(text) if end < 0 else end
        following = re.compile(rf"(?<![\w.,]){int(found['number']) + 1}(?!\d)").search(text, found.end(), end)
        at = following.start() if following else end
    return at


def _answered(text: str, at: int, asked: Asked, headings: frozenset[str]) -> tuple[int | None, bool]:
    """(where the answer to a question ends that begins here, whether its number stands before it)."""
    assert asked.needs is not None
    at = _behind_headings(text, _behind_others(text, at, asked.number), headings)
    own = _COUNTED.match(text, at)
    is_counted = own is not None and int(own["number"]) == asked.number
    ways: list[re.Match[str] | None] = [own if is_counted else _UNCOUNTED.match(text, at)]
    if getattr(asked.item, "pairs", ()):  # whose parts are counted
        ways.append(_UNCOUNTED.match(text, at))
    for found in filter(None, ways):
        rest = text[found.end() : found.end() + LONGEST_ANSWER]
        end = asked.needs(rest)
        if end is not None:
            behind = rest[end:].split("\n", 1)[0]
            is_reason = bool(behind.strip(" .")) and asked.is_reason_or_nothing(behind)
            signs = _SIGNS_BEHIND.match(behind)
            return found.end() + end + (len(behind) if is_reason else signs.end() if signs else 0), is_counted
    return None, is_counted
