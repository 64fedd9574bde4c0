"""Right options that are told by nothing but their capitals: "a) sheet", "b) BOW LINE", "c) halyard"."""

from collections.abc import Iterator

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.source import Line
from lantern.core.messages import said

FEWEST_QUESTIONS, FEWEST_OPTIONS, FEWEST_LETTERS = 2, 2, 3
CAPITALS_AS_KEY = said(
    "capitals_as_key", "In each question one option is written in capitals: it was taken as the right one."
)


def marked_by_capitals(lines: list[Line]) -> list[Line] | None:
    """The lines with those options marked, where nothing else in the text says what is right and each question has one
    of them; else None."""
    if any(line_of.answer(line.text) is not None for line in lines):
        return None
    groups = [group for group in _groups(lines) if len(group) >= FEWEST_OPTIONS]
    loud = [[at for at, text in group if _is_loud(text)] for group in groups]
    if len(groups) < FEWEST_QUESTIONS or any(len(found) != 1 for found in loud):
        return None
    right = {at for found in loud for at in found}
    return [line.saying(f"{line.text.rstrip()} (correct)") if at in right else line for at, line in enumerate(lines)]


def _groups(lines: list[Line]) -> Iterator[list[tuple[int, str]]]:
    """(index, text) of options that follow each other; none where one of them is marked."""
    group: list[tuple[int, str]] = []
    for at, line in enumerate(lines):
        one = None if line.code else line_of.option(line)
        if one is None and not line.is_blank:
            yield group
            group = []
        elif one is not None and one.right:
            return
        elif one is not None:
            group.append((at, one.text))
    yield group


def _is_loud(text: str) -> bool:
    return text.isupper() and sum(map(str.isalpha, text)) >= FEWEST_LETTERS
