"""The title of a pasted text."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.headings import is_heading, is_to_fill_in, section_of
from lantern.core.formats.pasted.patterns import ASKS_WITHIN
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_IS_SAID = re.compile(
    rf"(?:[(\[]|[-–—→:]\s|[.!]\s+\**)(?:{words('true')}|{words('false')}|[TF])[)\]]?\**[.]?\s*$|[✅✔✓❌✗✘]\s*$", re.I
)
"""A statement that is said to be true or false."""
MOST_WORDS_OF_A_TITLE = 3


def title_of(body: list[Line]) -> tuple[Line | None, int]:
    """(title, index behind it): one short line above all questions that asks nothing."""
    filled = [at for at, line in enumerate(body) if not line.is_blank]
    if len(filled) < 3 or body[filled[0]].code:
        return None, 0
    line, below = body[filled[0]], body[filled[1]]
    first = line.text.strip()
    if is_to_fill_in(first) or section_of(first.strip("#* ")) is not None:
        return None, 0
    told = line_of.heading(first)
    if (told and (line_of.question_number(told) or told.endswith("?"))) or is_heading(told or first):
        return None, 0
    apart = (
        filled[1] > filled[0] + 1
        or line_of.question_number(below.text) is not None
        or line_of.asked(below.text) is not None
        or (told is not None and below.bold)
        or (len(first.split()) <= MOST_WORDS_OF_A_TITLE and below.text.rstrip().endswith("?"))
    )
    plain = (
        (
            not first.endswith(("?", ":", ".", "…", "？", "：", "。", ",", "!"))
            and "_" not in first
            and not belongs(line)
        )
        and not ASKS_WITHIN.search(first)
        and not _IS_SAID.search(first)
    )
    numbered = any(line_of.question_number(one.text) for one in body)
    paired = re.search(r"\t| [=|] " if numbered else r"\t| [-–—=|] ", first) is not None
    labelled = line_of.is_labelled(first) or line_of.is_aside(first)
    short = len(first) <= 80 and line_of.question_number(first) is None and not paired and not labelled
    facts = line_of.seconds(below.text) is not None or line_of.points(below.text) is not None
    if (told or (plain and short and line_of.asked(first) is None)) and apart | facts and (facts or not belongs(below)):
        return line.saying(told or first), filled[0] + 1
    return None, 0
