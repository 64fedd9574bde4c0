"""Which lines stand below a question and can only be its own."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.source import Line

_POINTED = re.compile(r"^\s*(?:→|⇒|->|=>)\s*\S")


def belongs(line: Line) -> bool:
    """Whether the line can only belong to the question above it."""
    text = line.text
    parts = (line_of.option(line), line_of.answer(text), line_of.short_answer(text), line_of.reason(text))
    facts = (line_of.topics(text), line_of.seconds(text), line_of.writer(text), line_of.points(text))
    return (
        _POINTED.match(text) is not None
        or any(part is not None for part in (*parts, *facts))
        or line_of.is_label_of_options(text)
        or line_of.says_in_order(text)
        or bool(line_of.options_in_one_line(line))
    )
