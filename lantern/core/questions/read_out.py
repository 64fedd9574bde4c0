"""What of a question is read aloud, part by part: its prompt, and whatever in it has an id and a text of its own.

It is made of what a student may see, so it can say nothing more.
"""

import html
import re
from collections.abc import Iterator
from typing import Any

from lantern.core.questions.items import PublicItem

PROMPT = "prompt"
LONGEST = 600
"""Characters of one part that are spoken."""
_TAG = re.compile(r"<[^>]*>")


def parts_read(item: PublicItem) -> dict[str, str]:
    """Part id to its words; a letter goes before what it stands for. Parts without words are left out."""
    found = {PROMPT: words_of(item.prompt_html)}
    for part in _inner(item):
        letter = getattr(part, "letter", "")
        text = words_of(part.html)
        if text:
            found[part.id] = f"{letter}: {text}" if letter else text
    return {part: text[:LONGEST] for part, text in found.items() if text}


def _inner(item: PublicItem) -> Iterator[Any]:
    for name in type(item).model_fields:
        value = getattr(item, name)
        if isinstance(value, tuple):
            yield from (part for part in value if hasattr(part, "id") and isinstance(getattr(part, "html", None), str))


def words_of(source: str) -> str:
    """The words of a cleaned HTML, with one space between two."""
    return " ".join(html.unescape(_TAG.sub(" ", source)).split())
