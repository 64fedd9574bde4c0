"""What is in no question: a title, a heading, an instruction, a word to the reader, or something not understood."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import is_heading, is_to_fill_in, says_what_to_do, section_of
from lantern.core.formats.pasted.source import says_who_wrote
from lantern.core.formats.pasted.usual.asked import does
from lantern.core.formats.pasted.usual.signs import bare
from lantern.core.formats.sayings import words

_SPEAKS = re.compile(rf"(?<!\w){words('speaks')}(?!\w)", re.I)
_SENTENCE = re.compile(r"^[“\"'(«„]?[^\W\d_].*\s\S+.*[.!:…。！)”\"»]$")
_ASKS = re.compile(r"[?？؟]|___|\[[^\[\]]*\]|→|->|=")
_TITLE = re.compile(r"^[“\"'«„]?[^\W\d_][^?？؟;=|→\t]{1,60}$")
_BOLD = re.compile(r"^\W*(\*\*|__)[^*_]+\1\W*$")
_SHORTEST = 3
"""Words of a sentence."""


def is_nothing(text: str, *, heads: bool, begins: bool) -> bool:
    """Whether lines that came into no question hold nothing that was meant as one. `heads`: a question follows them;
    `begins`: nothing stands before them."""
    return all(_is_nothing(line, heads=heads, begins=begins) for line in text.split("\n"))


def _is_nothing(source: str, *, heads: bool, begins: bool) -> bool:
    line = bare(source).removeprefix("> ")
    if not line or is_to_fill_in(source) or says_who_wrote(source) or line_of.is_page_number(line):
        return True
    if _SPEAKS.search(line):
        return True
    told = (line_of.answer, line_of.reason, line_of.question_number)
    if _ASKS.search(line) or any(one(line) is not None for one in told):
        return heads and (is_heading(line) or section_of(line) is not None) and "___" not in line
    if source.lstrip().startswith("#") or _BOLD.match(source) or is_heading(line) or section_of(line) is not None:
        return True
    if does(line) or says_what_to_do(line):
        return heads
    is_sentence = _SENTENCE.match(line) is not None and len(line.split()) >= _SHORTEST
    return is_sentence or ((heads or begins) and _TITLE.match(line) is not None)
