"""What is done to a pasted text before it is cut: rarer ways of writing become the usual ones, line by line.

No line is added or taken away, so that places can still be told.
"""

import re
from collections.abc import Callable

from lantern.core.formats.pasted.labels import LETTER, index_of
from lantern.core.formats.pasted.rare.asking_letters import with_asking_letters
from lantern.core.formats.pasted.rare.bold_gaps import with_gaps_for_bold
from lantern.core.formats.pasted.rare.codes import (
    chosen_within,
    judged,
    keys_in_headings,
    letters_that_ask,
    signs_behind,
    without_codes,
    without_footnotes,
)
from lantern.core.formats.pasted.rare.decimals import counted_through
from lantern.core.formats.pasted.rare.numbers import (
    letters_as_numbers,
    with_marks,
    with_usual_numbers,
    without_blanks_for_letters,
    without_brackets,
    without_roman,
)
from lantern.core.formats.pasted.rare.options import (
    as_boxes,
    as_options,
    letters_alone,
    rows_as_options,
    terms_as_answers,
    with_pictures_as_bullets,
    with_radio_buttons,
    with_signed_rows,
)
from lantern.core.formats.pasted.rare.patterns import LETTERED, ONLY_PICTURES, PICTURES
from lantern.core.formats.pasted.rare.points import with_points
from lantern.core.formats.pasted.rare.said_before import (
    answers_below,
    either_behind,
    letters_behind,
    order_behind,
    reasons_behind,
    said_behind,
    truth_behind,
)
from lantern.core.formats.pasted.rare.truth_letters import with_truth_letters
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.sayings import words

_CIRCLED = re.compile(r"^(\s*)([Ⓐ-Ⓛⓐ-ⓛ①-⑳❶-❿])\s*")
_WRONG = re.compile(r"^(\s*)[✗✘❌☓]\s*(?=\S)|(?<=\S)\s*[✗✘❌☓]\s*$")
_DECORATED = re.compile(
    rf"^(\s*)(?:{BULLET})\s*(?=(?:\d{{1,3}}(?:\.\s|\))|\(?{LETTER}(?:\.\s|\))|\**(?:{words('question')})\s*(?:\d{{1,3}}\s*)?[.):：]|{words('answer')}\s*[:：]|{words('why')}\s*[:：])\s*\S)",
    re.I,
)
_DECORATED_LETTER = re.compile(rf"^\s*(?:{BULLET})\s*\(?({LETTER})(?:\.\s|\))\s*\S", re.I)
_NAME_BEHIND = re.compile(r"(?<=\S)\s{2,}(?:name|date|class|score|klasse|datum|nom|nombre)\s*:?\s*_{3,}.*$", re.I)
_STARRED = re.compile(rf"^\s*\*\s+\(?{LETTER}[.):]\s*\S")
_FIRST_ROMAN, _SECOND_ROMAN = re.compile(r"^\s*[IV][.)]"), re.compile(r"^\s*II[.)]")


def tidy(lines: list[Line]) -> list[Line]:
    """The lines in the usual ways of writing."""
    lines = with_signed_rows(with_pictures_as_bullets(with_radio_buttons(lines)))
    texts = [_bare(text) if text else "" for text in judged([line.text for line in lines])]
    for step in _STEPS:
        texts = step(texts)
    return [line if line.code else line.saying(text) for line, text in zip(lines, texts, strict=True)]


def _bare(text: str) -> str:
    """A line without a name to be filled in, small pictures, and crosses at what is wrong; letters in circles written
    out."""
    if ONLY_PICTURES.match(text):
        return ""
    return _WRONG.sub(r"\1", _circled(PICTURES.sub(r"\1", _NAME_BEHIND.sub("", text))))


def _without_decoration(lines: list[str]) -> list[str]:
    """Bullets before letters and numbers say nothing, unless they are stars before some of them alone."""
    roman = any(_SECOND_ROMAN.match(line) for line in lines)
    lettered = [line for line in lines if LETTERED.match(line) and not (roman and _FIRST_ROMAN.match(line))]
    stars = bool(lettered) and any(_STARRED.match(line) for line in lines)
    names = {index_of(found[1]) for line in lines if (found := _DECORATED_LETTER.match(line))}
    kept = _STARRED if stars else _DECORATED_LETTER if 0 not in names else None  # "- J. Brandt" is nobody's option
    return [line if kept and kept.match(line) else _DECORATED.sub(r"\1", line) for line in lines]


def _circled(line: str) -> str:
    found = _CIRCLED.match(line)
    if not found:
        return line
    sign = found[2]
    if sign >= "❶":
        label = str(ord(sign) - ord("❶") + 1)
    else:
        label = chr(ord("A") + (ord(sign) - ord("Ⓐ")) % 26) if sign >= "Ⓐ" else str(ord(sign) - ord("①") + 1)
    return f"{found[1]}({label}) {line[found.end() :]}"


def circled_number(sign: str) -> str:
    """ "③" as "3", "🅑" as "B", other signs as they are."""
    sign = re.sub(r"[\U0001f150-\U0001f15b]", lambda found: chr(ord("A") + ord(found[0]) - 0x1F150), sign)
    return re.sub(r"[①-⑳]", lambda found: str(ord(found[0]) - ord("①") + 1), sign)


_STEPS: tuple[Callable[[list[str]], list[str]], ...] = (
    _without_decoration,
    without_codes,
    without_footnotes,
    keys_in_headings,
    chosen_within,
    signs_behind,
    letters_that_ask,
    with_usual_numbers,
    with_asking_letters,
    counted_through,
    terms_as_answers,
    as_boxes,
    without_blanks_for_letters,
    letters_as_numbers,
    rows_as_options,
    either_behind,
    letters_behind,
    order_behind,
    answers_below,
    reasons_behind,
    as_options,
    with_truth_letters,
    truth_behind,
    said_behind,
    without_roman,
    without_brackets,
    letters_alone,
    with_marks,
    with_gaps_for_bold,
    with_points,
)
"""In this order: each relies on those before it."""
