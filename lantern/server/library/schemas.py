"""What crosses the wire about sets."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.formats.markdown import Misread
from lantern.core.questions import AnyItem
from lantern.core.questions.content import MAX_ITEMS, About, ItemProblem, SetContent, Title
from lantern.core.questions.items import LanguageTag
from lantern.core.questions.marking.numbers import Exact
from lantern.core.questions.recast import Possible
from lantern.core.questions.would_count import Verdict
from lantern.core.values import RowNumber, ShortId, Value


class NewSet(Value):
    title: Title = ""
    folder: int | None = None


class MadeFrom(Value):
    id: int
    title: str


class SetRow(Value):
    """A line of the list of sets."""

    id: int
    title: str
    questions: int
    pages: int
    first_question: str
    about: About
    folder: int | None
    made_from: MadeFrom | None
    updated_at: datetime
    last_run: datetime | None
    deleted_at: datetime | None


class VersionedItem(Value):
    version: int
    item: AnyItem


class SetDocument(Value):
    """A whole set, as the editor opens it."""

    id: int
    title: str
    about: About
    folder: int | None
    made_from: MadeFrom | None
    private: bool
    version: int
    items: list[VersionedItem]
    problems: list[ItemProblem]


class PutItem(Value):
    """`base` is the version the change was made on, 0 for a new item."""

    base: Annotated[int, Field(ge=0)]
    item: AnyItem


class RemoveItem(Value):
    base: Annotated[int, Field(ge=0)]
    id: ShortId


class Changes(Value):
    """What an editor sends. Sending the same changes twice leaves the same set."""

    title: Title | None = None
    about: About | None = None
    put: Annotated[tuple[PutItem, ...], Field(max_length=MAX_ITEMS)] = ()
    remove: Annotated[tuple[RemoveItem, ...], Field(max_length=MAX_ITEMS)] = ()
    order: Annotated[list[ShortId], Field(max_length=MAX_ITEMS)] | None = None


class Conflict(Value):
    """The item has been changed elsewhere meanwhile; nothing was overwritten. None: removed there."""

    id: ShortId
    version: int
    theirs: AnyItem | None


class Saved(Value):
    """`versions` holds the version of every item of the set, in the order of the set."""

    version: int
    versions: dict[str, int]
    order: list[str]
    conflicts: list[Conflict]
    problems: list[ItemProblem]


class FolderRow(Value):
    id: int
    name: str
    parent: int | None


class FolderForm(Value):
    name: Annotated[str, Field(min_length=1, max_length=100)]
    parent: int | None = None


class Privacy(Value):
    """Whether a set's media are served only to its owner and to seats of a session with it."""

    private: bool


class SetPlace(Value):
    """Where a set lies; None is the top."""

    folder: int | None


class FoundQuestion(Value):
    """A question of one of the teacher's sets, to be picked."""

    set: int
    set_title: str
    number: int
    kind: str
    title: str
    tags: tuple[str, ...]
    item: ShortId


class Picked(Value):
    set: RowNumber
    item: ShortId


class Pick(Value):
    """A new set of picked questions, in this order."""

    title: Title
    picked: Annotated[tuple[Picked, ...], Field(min_length=1, max_length=MAX_ITEMS)]


class Items(Value):
    """`language` is that of the set they come from."""

    items: Annotated[tuple[AnyItem, ...], Field(max_length=MAX_ITEMS)]
    language: LanguageTag = ""


class Turn(Value):
    """`language` is the set's: what a number is written in, where the item has none of its own."""

    item: AnyItem
    into: str
    language: LanguageTag = ""


class WouldCount(Value):
    """A typed text to be marked as it would be; without one, near misses are looked for. `item` is the question as it
    stands in the editor."""

    item: AnyItem
    text: Annotated[str, Field(max_length=300)] | None = None
    part: Annotated[str, Field(max_length=40)] = ""


class Verdicts(Value):
    verdicts: tuple[Verdict, ...]


class TypedNumber(Value):
    """What a teacher typed into a field for a number, in the language of the set."""

    text: Annotated[str, Field(max_length=80)]
    language: LanguageTag = ""


class ReadNumber(Value):
    """`value` is exact, and None for what is no number: then `sentence` says why. `rest` stood behind it."""

    value: Exact | None
    rest: str = ""
    sentence: str = ""


class Recast(Value):
    """Items to make others of. `into` None asks what is possible; `language` is the set's."""

    items: Annotated[tuple[AnyItem, ...], Field(max_length=MAX_ITEMS)]
    into: str | None = None
    direction: Literal["forward", "back"] = "forward"
    language: LanguageTag = ""


class Recasted(Value):
    items: tuple[AnyItem, ...]
    possible: tuple[Possible, ...]


class SetText(Value):
    """A set in its text form; `present` are the items that keep their ids where the text still says them."""

    text: Annotated[str, Field(max_length=2_000_000)]
    present: Annotated[tuple[AnyItem, ...], Field(max_length=MAX_ITEMS)] = ()


class ReadText(Value):
    """What was understood of a text, and what was not. `lines` are those at which the items begin, from 1."""

    content: SetContent
    lines: tuple[int, ...]
    misread: tuple[Misread, ...]


class RevisionRow(Value):
    version: int
    created_at: datetime
    title: str
    questions: int


class OldContent(Value):
    version: int
    content: SetContent
