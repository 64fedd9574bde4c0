"""What of a question is read aloud, part by part: its prompt, and what its kind says of the rest.

It is made of what a student may see, so it can say nothing more. A long part is spoken in stretches.
"""

import html
import re

from lantern.core.questions.items import PublicItem

PROMPT = "prompt"
_TAG = re.compile(r"<[^>]*>")
_ENDS = (".", "!", "?", "…", ":", ";")


def parts_read(item: PublicItem) -> dict[str, str]:
    """Part id to its words; parts without words are left out."""
    found = {PROMPT: item.prompt_html, **dict(item.read_out())}
    return {part: words for part, source in found.items() if (words := words_of(source))}


def words_of(source: str) -> str:
    """The words of a cleaned HTML, with one space between two."""
    return " ".join(html.unescape(_TAG.sub(" ", source)).split())


def stretch_of(text: str, start: int, longest: int) -> str:
    """Of the words from `start` on as many as `longest` characters hold, at least one; up to the end of a sentence,
    where that does not cut it by more than half. Empty behind the last word."""
    words = text.split()[start:]
    fitting, length = 0, -1
    while fitting < len(words) and length + 1 + len(words[fitting]) <= longest:
        length += 1 + len(words[fitting])
        fitting += 1
    if 0 < fitting < len(words):
        ends = [at for at in range(fitting // 2, fitting) if words[at].endswith(_ENDS)]
        fitting = ends[-1] + 1 if ends else fitting
    return " ".join(words[: max(1, fitting)])[: max(longest, 1)]
