"""A plain table, as reports make it and file formats write it."""

from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.messages import Message

Cell = str | int | float | None
Heading = Message | str
"""What is said to people; or a file format's own name of a column, which is the same in every language."""


@dataclass(frozen=True, slots=True)
class Table:
    name: Heading
    headings: Sequence[Heading]
    rows: Sequence[Sequence[Cell]]

    @property
    def title(self) -> str:
        return in_words(self.name)

    @property
    def columns(self) -> list[str]:
        return [in_words(heading) for heading in self.headings]


def in_words(heading: Heading) -> str:
    return heading if isinstance(heading, str) else heading.sentence
