"""What of a question is read aloud, part by part: its prompt, and what its kind says of the rest.

It is made of what a student may see, so it can say nothing more. A part is a row of words, as they stand on the page;
a formula counts as one, whatever it takes to say it. A long part is spoken in stretches.
"""

import html
import re
from collections.abc import Sequence

from lantern.core.questions.items import PublicItem

PROMPT = "prompt"
_FORMULA = re.compile(r'<span class="formula">(.*?)</span>', re.DOTALL)
_TAG = re.compile(r"<[^>]*>")
_COMMAND = re.compile(r"\\([A-Za-z]+)")
_ENDS = (".", "!", "?", "…", ":", ";")


def parts_read(item: PublicItem) -> dict[str, tuple[str, ...]]:
    """Part id to its words; parts without words are left out."""
    found = {PROMPT: item.prompt_html, **dict(item.read_out())}
    return {part: words for part, source in found.items() if (words := words_of(source))}


def words_of(source: str) -> tuple[str, ...]:
    """The words of a cleaned HTML, in the order of the page."""
    words: list[str] = []
    for number, piece in enumerate(_FORMULA.split(source)):
        text = html.unescape(_TAG.sub(" ", piece))
        words += [spoken_formula(text)] if number % 2 else text.split()
    return tuple(words)


def spoken_formula(latex: str) -> str:
    """A formula as somebody reads it out who sees its source: its signs by their names."""
    return " ".join(re.sub(r"[{}\\]", " ", _COMMAND.sub(r" \1 ", latex)).split()) or "…"


def stretch_of(words: Sequence[str], start: int, longest: int) -> tuple[str, ...]:
    """Of the words from `start` on as many as `longest` characters hold, at least one; up to the end of a sentence,
    where that does not cut it by more than half. Empty behind the last word."""
    rest = words[start:]
    fitting, length = 0, -1
    while fitting < len(rest) and length + 1 + len(rest[fitting]) <= longest:
        length += 1 + len(rest[fitting])
        fitting += 1
    if 0 < fitting < len(rest):
        ends = [at for at in range(fitting // 2, fitting) if rest[at].endswith(_ENDS)]
        fitting = ends[-1] + 1 if ends else fitting
    return tuple(word[:longest] for word in rest[: max(1, fitting)])
