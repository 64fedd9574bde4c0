"""A plain table, as reports make it and file formats write it."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Literal

from lantern.core.messages import Message

Cell = str | int | float | datetime | None
"""A moment is in UTC."""
Heading = Message | str
"""What is said to people; or a file format's own name of a column, which is the same in every language."""
Look = Literal["", "mark", "percent"]
"""How a column's numbers are meant, for formats that can show it: a mark 0..1, or a share 0..1 as a percentage."""


@dataclass(frozen=True, slots=True)
class Table:
    """`looks` run along the columns; those that are missing are plain. `about` stands above the headings, where there
    is a place for it."""

    name: Heading
    headings: Sequence[Heading]
    rows: Sequence[Sequence[Cell]]
    looks: Sequence[Look] = ()
    about: str = ""

    @property
    def title(self) -> str:
        return in_words(self.name)

    @property
    def columns(self) -> list[str]:
        return [in_words(heading) for heading in self.headings]

    def look(self, column: int) -> Look:
        return self.looks[column] if column < len(self.looks) else ""


def in_words(heading: Heading) -> str:
    return heading if isinstance(heading, str) else heading.sentence


def moment_text(moment: datetime) -> str:
    """As text formats write it (ISO 8601)."""
    return moment.isoformat(timespec="milliseconds")
