"""A plain table, as file formats write it, and one whose words are not in any language yet, as reports make it."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Literal, TypeVar

from lantern.core.messages import Message
from lantern.core.words import in_language

T = TypeVar("T")

Cell = str | int | float | datetime | None
"""A moment is in UTC."""
Look = Literal["", "mark", "percent"]
"""How a column's numbers are meant, for formats that can show it: a mark 0..1, or a share 0..1 as a percentage."""


@dataclass(frozen=True, slots=True)
class Table:
    """`looks` run along the columns; those that are missing are plain. `about` stands above the headings, where there
    is a place for it."""

    title: str
    columns: Sequence[str]
    rows: Sequence[Sequence[Cell]]
    looks: Sequence[Look] = ()
    about: str = ""

    def look(self, column: int) -> Look:
        return self.looks[column] if column < len(self.looks) else ""


ToldCell = Cell | Message


@dataclass(frozen=True, slots=True)
class ToldTable:
    """What a table says to people is messages; `spoken` says them. A heading that is a text is somebody's own."""

    name: Message
    headings: Sequence[Message | str]
    rows: Sequence[Sequence[ToldCell]]
    looks: Sequence[Look] = ()
    about: Message | str = ""

    def spoken(self, language: str) -> Table:
        return Table(
            title=in_language(self.name, language),
            columns=[_spoken(heading, language) for heading in self.headings],
            rows=[[_spoken(cell, language) for cell in row] for row in self.rows],
            looks=self.looks,
            about=_spoken(self.about, language),
        )


def _spoken(cell: T | Message, language: str) -> T | str:
    return in_language(cell, language) if isinstance(cell, Message) else cell


def moment_text(moment: datetime) -> str:
    """As text formats write it (ISO 8601)."""
    return moment.isoformat(timespec="milliseconds")
