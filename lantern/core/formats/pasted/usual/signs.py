"""Texts and signs as they are compared: what formatting adds is taken away."""

import re
from collections.abc import Callable, Sequence
from functools import lru_cache

from lantern.core.formats.pasted.labels import LETTER, ROMAN
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.source import BULLET
from lantern.core.formats.sayings import words
from lantern.core.questions.richtext import plain

Says = Callable[[str], int | None]
"""Takes a bare text; returns where in it that ends with which it begins, or None where it begins otherwise."""
Piece = Callable[[str, int], int | None]
"""The same from some place of a text on."""

BULLET_FIRST = re.compile(rf"^\s*(?:{BULLET})\s+")
FILLED_IN = re.compile(r"^\W*(?:_{2,}|\.{4,}|…+)\s*$")
"""A line that is there to be written on."""
REMARK = re.compile(r"\W*\([^()]{1,20}\)\W*")
"""How hard it is, behind the number."""
NUMBER_ALONE = "1"
"""The style of a number without any sign behind it."""
_GAP = re.compile(r"_{2,}|\.{4,}|…{2,}")
_MARKS = re.compile(r"[\\*]|(?<!_)_(?!_)")
_NUMBER = re.compile(
    rf"^(?:#{{1,6}}\s+|(?:{BULLET})\s+(?=\W{{0,3}}\d)|>\s+|___\s+(?=\d))?"
    rf"(?P<label>\(?(?P<word>(?:{words('question')}|no|nr|n°)\s*\.?\s*)?#?(?P<number>\d{{1,3}})"
    rf"(?:\s*(?:/|of|von|sur|de)\s*\d{{1,3}})?(?P<mark>\s?[.):：、．]|\s[-–])?\)?)(?=\s|\D|$)\s*"
    rf"(?:{WORTH}\s*)?(?:(?:{words('question')})\s*[:：]\s*)?",
    re.I,
)
_ROMAN = re.compile(r"^(?P<number>[IVX]{1,4})[.)]\s+(?=[^\W\d_])")
_WORD_FIRST = re.compile(rf"^(?:#{{1,6}}\s+)?(?:{words('question')})\s*[:：]\s*", re.I)
_HEADING = re.compile(r"^#{1,6}\s+")
_WITHIN_WORD = re.compile(r"\w")


def bare(line: str) -> str:
    """A line without stars and slants, each gap three strokes long, each space one."""
    return " ".join(_MARKS.sub("", _GAP.sub("___", line)).split())


@lru_cache(maxsize=2000)
def said_in(text: str) -> str:
    """What a part of an item says, as `bare` lines have it."""
    return bare(plain(text))


def numbered(line: str) -> tuple[int | None, str, str]:
    """(the number before what is asked, how it is written, the rest) of a bare line."""
    found = _NUMBER.match(line)
    if found:
        rest = line[found.end() :]
        if found["mark"] or found["word"] or found["label"].startswith(("#", "(")) or rest[:1].isupper():
            return int(found["number"]), re.sub(r"\d+", "1", found["label"].replace(" ", "")), rest
    roman = _ROMAN.match(line)
    if roman and roman["number"].casefold() in ROMAN:
        return ROMAN.index(roman["number"].casefold()) + 1, "I.", line[roman.end() :]
    for style, pattern in (("Q:", _WORD_FIRST), ("#", _HEADING), ("-", BULLET_FIRST)):
        if (other := pattern.match(line)) is not None:
            return None, style, line[other.end() :]
    return None, "", line


def is_number(line: str) -> bool:
    """Whether a bare line holds the number of a question and nothing that is asked."""
    number, _, rest = numbered(line)
    return number is not None and (not rest or REMARK.fullmatch(rest) is not None)


def word(text: str) -> Piece:
    """These very words, large or small, and no more letters behind them."""
    small = text.lower()

    def ends(said: str, at: int) -> int | None:
        end = at + len(text)
        is_there = bool(text) and said[at:end].lower() == small
        return end if is_there and not (_WITHIN_WORD.match(said, end) and _WITHIN_WORD.match(text[-1])) else None

    return ends


def one_of(pieces: Sequence[Piece]) -> Piece:
    return lambda said, at: next((end for piece in pieces if (end := piece(said, at)) is not None), None)


def in_a_row(pieces: Sequence[Piece], between: "re.Pattern[str]") -> Says:
    """One behind the other, with what matches `between` them."""

    def says(said: str) -> int | None:
        at = 0
        for place, piece in enumerate(pieces):
            apart = between.match(said, at) if place else None
            end = None if place and apart is None else piece(said, apart.end() if apart else 0)
            if end is None:
                return None
            at = end
        return at

    return says if pieces else lambda said: None


LETTER_OR_NUMBER = rf"(?:{LETTER}|\d{{1,2}})"
