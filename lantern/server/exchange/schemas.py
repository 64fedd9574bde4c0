"""What crosses the wire about sets that come in and go out."""

from typing import Annotated

from pydantic import Field

from lantern.core.formats.exchange import MOST_ENTRIES, Ask, Column, Entry
from lantern.core.messages import Message
from lantern.core.questions import AnyItem
from lantern.core.questions.content import About, Title
from lantern.core.questions.items import LanguageTag
from lantern.core.values import Value
from lantern.server.aside.schemas import JobRow
from lantern.server.library.schemas import SetDocument


class FoundInFile(Value):
    """What a file or a text holds; nothing of it is kept yet. `previews` are small pictures, as data URLs, by id.

    `asks` are what only its owner knows of it as a whole: each answer is a choice by which it is read again.
    `most_in_set` is how many items one set holds.
    """

    title: str
    about: About
    entries: tuple[Entry, ...]
    notes: tuple[Message, ...]
    columns: tuple[Column, ...]
    previews: dict[str, str]
    asks: tuple[Ask, ...]
    most_in_set: int


class FoundOrAside(Value):
    """What a file holds; or, where reading it takes long, the job that reads it aside."""

    found: FoundInFile | None = None
    job: JobRow | None = None


class AddedOrAside(Value):
    """The set that was made, or added to; or, where many files are to be kept, the job that does it aside."""

    set: SetDocument | None = None
    job: JobRow | None = None


class CopiedPage(Value):
    """What was copied, as HTML."""

    html: Annotated[str, Field(max_length=2_000_000)]


class PageAsText(Value):
    text: str


class ToMend(Value):
    """An entry's text as the teacher has changed it; `language` is that of the set it goes into."""

    text: Annotated[str, Field(max_length=20_000)]
    language: LanguageTag = ""


class Mended(Value):
    entries: tuple[Entry, ...]


class ToAdd(Value):
    """What is to be kept: at the end of the set `into`, or as a new one with this title."""

    title: Title = ""
    about: About | None = None
    into: int | None = None
    folder: int | None = None
    items: Annotated[tuple[AnyItem, ...], Field(min_length=1, max_length=MOST_ENTRIES)]


class WayOut(Value):
    """A format a set can be written in, and what of this set it cannot say."""

    format: str
    label: Message
    suffix: str
    left_out: tuple[Message, ...]


class GridLeft(Value):
    """What is not in a grid, and why."""

    text: str
    why: Message


class GridFound(Value):
    """A grid of letters that was made: how many words are in it, and of a crossword the share of its letters that
    cross, 0..1."""

    words: int
    score: float | None
    left: tuple[GridLeft, ...]
