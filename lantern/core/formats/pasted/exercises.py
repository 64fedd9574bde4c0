"""Matching exercises: two numbered columns, or two lists below each other, with a key that says what belongs
together."""

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import islice

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import section_of
from lantern.core.formats.pasted.labels import LETTER, index_of
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_ROW = re.compile(
    rf"^\s*\|?\s*(?:[_(]+[\s_]*[)]?\s*)?(\d{{1,2}})\s*[.):]\s*(?P<left>\S.*?)(?:\s{{2,}}|\s*\t+\s*|\s+\|\s+(?:_+\s*\|\s+)?)_*\s*\(?({LETTER})\s*[.):]\s*(?P<right>\S.*?)\s*\|?\s*$"
)
_NUMBERED = re.compile(r"^\s*(?:_+\s*)?\(?(\d{1,2})\s*[.):]\s*(?P<text>\S.*?)\s*(?:_{2,})?$")
_LETTERED = re.compile(rf"^\s*\(?({LETTER})\s*[.):]\s*(?P<text>\S.*?)\s*$")
_TOGETHER = re.compile(rf"(\d{{1,2}})\s*[-–—=:.)>→]*\s*\(?({LETTER})\)?(?![\w’'])")
_TOGETHER_BACK = re.compile(rf"(?<!\w)\(?({LETTER})\)?\s*[-–—=:.)>→]*\s*(\d{{1,2}})(?!\w)")
_IN_BRACKETS = re.compile(rf"\(\s*(\d{{1,2}})\s*,\s*({LETTER})\s*\)")
_KEY = re.compile(rf"^[\s#*_>•\-–(✅✔☑]*(?:{words('key')}|{words('answer')})[\s*_]*[:：.]?[\s*_]*(?P<rest>.*)$", re.I)
_ONLY_TOGETHER = re.compile(rf"^\W*(?:[\s,;.]*\d{{1,2}}\s*[-–—=:.)>→]*\s*\(?{LETTER}\)?(?![\w’'])){{2,}}[\s.)\]]*$")
"""A key without a word before it."""
_ONLY_LETTER = re.compile(rf"^\s*\(?{LETTER}[).]?\s*$")
_LABEL = re.compile(
    r"^[\s*_>•-]*(?:\d{1,2}[.)]\s+(?=\d))?(?:[^\W\d_]+[\s*_]*){0,4}(?:[A-Z1-9]\s*)?[:：]?[\s*_]*(?=\(?\d)"
)
"""What may stand before a key: "Part D:", "Matching:", a number."""
FEWEST = 2
MOST_BETWEEN, LONGEST_ROW = 3, 12
FEWEST_PLAIN, MOST_WORDS, MOST_KEYS = 3, 6, 40
"""Of lists that nothing but their look says are to be matched."""


@dataclass(frozen=True, slots=True)
class Exercise:
    """Lines [first, end) of a text are one exercise, those before `rows_end` are not its key. `pairs` is None where no
    key says what belongs together."""

    first: int
    end: int
    rows_end: int
    prompt: str
    left: tuple[str, ...]
    right: tuple[str, ...]
    pairs: tuple[tuple[int, int], ...] | None
    number: int | None = None


def is_row(text: str) -> bool:
    """ "1. bow    a. back of the ship" """
    return _ROW.match(text) is not None


def answered(exercise: Exercise, answers: Mapping[tuple[str, int], str], section: str) -> Exercise:
    """The exercise with the pairs that a key gives to its part of the text, if it does: "1. C", "2. A"."""
    said = [answers.get((section, number), "") for number in range(1, len(exercise.left) + 1)]
    if exercise.pairs is not None or not all(_ONLY_LETTER.match(one) for one in said):
        return exercise
    places = [index_of(one.strip("(). ")) for one in said]
    pairs = tuple((at, place) for at, place in enumerate(places) if place is not None and place < len(exercise.right))
    return replace(exercise, pairs=pairs) if len(pairs) == len(exercise.left) else exercise


def with_keys(exercises: list[Exercise], lines: Sequence[Line]) -> tuple[list[Exercise], list[Line]]:
    """(the exercises with what a line far below them says belongs together; the lines without those)."""
    made, rest = list(exercises), list(lines)
    unsaid = [place for place, exercise in enumerate(exercises) if exercise.pairs is None]
    keys = _keys_in(lines, exercises[unsaid[0]].end) if unsaid else {}
    for place in unsaid:
        exercise = exercises[place]
        for at, said in islice(keys.items(), MOST_KEYS):
            pairs = _together(said, len(exercise.left), len(exercise.right)) if at >= exercise.end else None
            if pairs:
                made[place], rest[at] = replace(exercise, pairs=pairs), rest[at].saying("")
                del keys[at]
                break
    return made, rest


def _keys_in(lines: Sequence[Line], begin: int) -> dict[int, str]:
    """Lines from `begin` on that say nothing but what belongs together, by their index."""
    said = ((at, _without_brackets(_LABEL.sub("", lines[at].text))) for at in range(begin, len(lines)))
    return {at: text for at, text in said if _ONLY_TOGETHER.match(text)}


def _without_brackets(text: str) -> str:
    """ "(1, c), (2, a)" as "1-c, 2-a" """
    return _IN_BRACKETS.sub(r"\1-\2", text)


def exercises_in(body: Sequence[Line]) -> list[Exercise]:
    found: list[Exercise] = []
    at = 0
    while at < len(body):
        made = _columns(body, at) or _lists(body, at)
        if made and (not found or made.first >= found[-1].end):
            found.append(made)
            at = made.end
        else:
            at += 1
    return found


def _columns(body: Sequence[Line], at: int) -> Exercise | None:
    """ "1. bow    a. back of the ship" in each of several lines."""
    rows: list[re.Match[str]] = []
    end = at
    while end < len(body) and (found := _ROW.match(body[end].text)):
        if int(found[1]) != len(rows) + 1 or index_of(found[3]) != len(rows):
            break
        rows.append(found)
        end += 1 + _is_apart(body, end, _ROW)
    if len(rows) < FEWEST:
        return None
    left, right = [row["left"] for row in rows], [row["right"] for row in rows]
    return _exercise(body, at, end, left, right)


def _lists(body: Sequence[Line], at: int) -> Exercise | None:
    """Numbered lines, and below them lettered ones, or the other way round; only where a key says which belong
    together."""
    first, second = (_NUMBERED, _LETTERED) if _NUMBERED.match(body[at].text) else (_LETTERED, _NUMBERED)
    left, behind = _run(body, at, first)
    if len(left) < FEWEST:
        return None
    start = behind
    while start < len(body) and start - behind < MOST_BETWEEN and not second.match(body[start].text):
        start += 1
    right, end = _run(body, start, second)
    between = [line.text for line in body[behind:start]]
    if len(right) < FEWEST or any(
        line_of.answer(text) is not None or section_of(text.strip("#*_ ")) for text in between
    ):
        return None
    if first is _LETTERED and at and line_of.question_number(body[at - 1].text):
        return None  # they are its options
    made = _exercise(body, at, end, left, right)
    is_long = len(right) >= len(left) >= FEWEST_PLAIN
    is_plain = first is _NUMBERED and is_long and not any(map(_may_ask, left))
    return made if made.pairs or is_plain else None


def _may_ask(text: str) -> bool:
    return text.endswith(("?", "？", "؟", ":", "…")) or "__" in text or len(text.split()) > MOST_WORDS


def _run(body: Sequence[Line], at: int, pattern: "re.Pattern[str]") -> tuple[list[str], int]:
    """(texts of the lines from here that are counted one by one, index behind them)."""
    texts: list[str] = []
    while at < len(body) and (found := pattern.match(body[at].text)):
        place = int(found[1]) - 1 if found[1].isdigit() else index_of(found[1])
        if place != len(texts):
            break
        texts.append(found["text"])
        at += 1 + (_is_apart(body, at, pattern) and not found["text"].endswith("?"))
    return texts, at


def _is_apart(body: Sequence[Line], at: int, pattern: "re.Pattern[str]") -> bool:
    """Whether one blank line stands before the next of these lines."""
    return at + 2 < len(body) and body[at + 1].is_blank and pattern.match(body[at + 2].text) is not None


def _exercise(body: Sequence[Line], at: int, end: int, left: list[str], right: list[str]) -> Exercise:
    first, prompt, number = _asked_above(body, at)
    pairs, behind = _key_below(body, end, len(left), len(right))
    return Exercise(first, behind, end, prompt, tuple(left), tuple(right), pairs, number)


def _asked_above(body: Sequence[Line], at: int) -> tuple[int, str, int | None]:
    """(index of the line that asks for it, its text, its number): the last that is a sentence, headings of lists
    apart."""
    while at > 0 and body[at - 1].text.lstrip().startswith("|"):
        at -= 1  # the headings of a table
    for first in range(at - 1, max(-1, at - 2 - MOST_BETWEEN), -1):
        text = re.sub(r"^\s*#{1,6}\s+", "", body[first].text).strip()
        if line_of.answer(text) is not None or _LETTERED.match(text):
            break
        if (text.endswith((".", ":", "?", "!", "。", "：")) and len(text.split()) > 2) or (
            len(text) > 12 and text.endswith(("。", "？"))
        ):
            numbered = line_of.question_number(text)
            return first, numbered[2] if numbered else text, numbered[0] if numbered else None
    return at, "", None


def _row_of_key(body: Sequence[Line], at: int) -> int | None:
    """Index of the line that says what belongs together, here or one blank line further."""
    at += at + 1 < len(body) and body[at].is_blank
    fits = at < len(body) and len(body[at].text) <= LONGEST_ROW and _TOGETHER.search(body[at].text)
    return at if fits else None


def _key_below(body: Sequence[Line], end: int, left: int, right: int) -> tuple[tuple[tuple[int, int], ...] | None, int]:
    """(pairs of places, index behind the key): the next line that says something, if it is the key."""
    at = end
    while at < len(body) and body[at].is_blank:
        at += 1
    head = _KEY.match(body[at].text) if at < len(body) else None
    bare = body[at].text if at < len(body) and _ONLY_TOGETHER.match(body[at].text) else None
    if head is None and bare is None:
        return None, end
    rows = [head["rest"] if head else body[at].text]
    at += 1
    while (below := _row_of_key(body, at)) is not None:
        rows.append(body[below].text)
        at = below + 1
    pairs = _together(_without_brackets(" ".join(rows)), left, right)
    return (pairs, at) if pairs else (None, end)


def _together(text: str, left: int, right: int) -> tuple[tuple[int, int], ...] | None:
    """The pairs of places that a key names, if it names one for each of the left."""
    found = [(int(number) - 1, index_of(letter)) for number, letter in _TOGETHER.findall(text)]
    if len(found) != left and (back := _TOGETHER_BACK.findall(text)):
        found = [(index_of(letter) or 0, int(number) - 1) for letter, number in back]
    pairs = tuple((one, other) for one, other in found if other is not None and one < left and other < right)
    is_whole = len(pairs) == len(found) == left and len({one for one, _ in pairs}) == left
    return pairs if is_whole else None
