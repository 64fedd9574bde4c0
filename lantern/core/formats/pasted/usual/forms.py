"""The forms: how each sort of question is usually written. A new one is its function and a line here."""

from collections.abc import Callable, Sequence

from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.usual.arranging import with_groups, with_order, with_pairs
from lantern.core.formats.pasted.usual.asked import Asked
from lantern.core.formats.pasted.usual.choosing import with_options
from lantern.core.formats.pasted.usual.typing_in import with_answers, with_anything, with_gaps

Form = Callable[[Asked], "str | None"]
"""What of a question is not accounted for: a line, or a part of one. None where all is."""

FORMS: tuple[tuple[str, Form], ...] = (
    ("options", with_options),
    ("pairs", with_pairs),
    ("lines", with_order),
    ("groups", with_groups),
    ("accepts", with_answers),
    ("text", with_gaps),
    ("longest", with_anything),
)
"""By the field of an item that a form accounts for."""
MOST_LINES, MOST_SIGNS = 300, 20_000
"""Of one question; longer ones are unusual."""


def form_of(item: object, lines: Sequence[Line]) -> Form | None:
    """None where there is none for such an item, or for so many lines."""
    if not lines or len(lines) > MOST_LINES or sum(len(line.text) for line in lines) > MOST_SIGNS:
        return None
    return next((form for name, form in FORMS if getattr(item, name, None)), None)
