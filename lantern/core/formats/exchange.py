"""What a format for whole sets has to bring, and what comes out of reading one.

1. A format is one module with one subclass of `SetFormat`, and one line in `FORMATS` (formats/registry.py).
2. Reading never raises for what is in the file: whatever is not understood becomes a sentence in its place.
   Only a file that is no such file at all raises Unreadable.
3. Nothing is lost in silence: what a format cannot say is listed by `left_out`, before it is written.
"""

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field
from typing import ClassVar

from lantern.core.errors import Unreadable
from lantern.core.formats.files import Carried, File, Source
from lantern.core.messages import Message, said
from lantern.core.questions import AnyItem
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import MAX_ITEMS, About, SetContent
from lantern.core.questions.items import title_of
from lantern.core.values import Value

MOST_ENTRIES = 1000
MOST_NOTES = 50


class Alternative(Value):
    """One of the ways in which something can be read; `says` is what it takes it for."""

    says: Message
    item: AnyItem


class Entry(Value):
    """One thing that was found. `place` says where, as "Line 12" or "Row 4"; `text` is what stood there.

    Without an `item` it was not understood, and `sentences` say why; with one they say what to look at. `sure` is
    whether nothing had to be guessed. Where it can be read in several ways, `readings` are they: the item is the first
    of them, or, where none is nearer than the other, there is no item until one is chosen. `out`: it is no question,
    and not taken unless it is wanted.
    """

    place: Message
    text: str
    item: AnyItem | None = None
    sentences: tuple[Message, ...] = ()
    sure: bool = True
    readings: tuple[Alternative, ...] = ()
    out: bool = False


class Column(Value):
    """A column of a spreadsheet: its heading, what it is used for ("" for nothing), and a cell as an example."""

    heading: str
    use: str
    example: str


class Way(Value):
    """An answer to what is asked of a file."""

    value: str
    says: Message


class Ask(Value):
    """What only its owner knows of a file as a whole. The answer is the choice `name` of the `Source`, and `given` the
    one by which it was read, "" for none yet."""

    name: str
    question: Message
    ways: tuple[Way, ...]
    given: str = ""


@dataclass
class Incoming:
    """What a file holds. Items name their media by the keys of `media`; `notes` concern the file as a whole.

    `about` is None where nothing is said of it.
    """

    title: str = ""
    about: About | None = None
    entries: list[Entry] = field(default_factory=list)
    notes: list[Message] = field(default_factory=list)
    media: dict[str, Carried] = field(default_factory=dict)
    columns: list[Column] = field(default_factory=list)
    asks: list[Ask] = field(default_factory=list)

    def keep(self, file: Carried) -> str:
        """Puts a file among the media; returns the key by which an item names it. The same file is kept once."""
        self.media.setdefault(file.key, file)
        return file.key

    def note(self, sentence: Message) -> None:
        if sentence not in self.notes and len(self.notes) < MOST_NOTES:
            self.notes.append(sentence)

    def content(self) -> SetContent:
        """All that was understood, as a set."""
        items = [entry.item for entry in self.entries if entry.item is not None and not entry.out]
        return SetContent(title=self.title[:200], about=self.about or About(), items=tuple(items[:MAX_ITEMS]))


MediaOf = Callable[[str], File | None]
"""The stored file with this id, if it is still there."""


class SetFormat:
    """The contract of a format. One that only reads leaves `writes` False, and the other way round."""

    name: ClassVar[str]
    label: ClassVar[Message]
    suffix: ClassVar[str]
    content_type: ClassVar[str]
    reads: ClassVar[bool] = True
    reads_alone: ClassVar[bool] = False
    """Whether what reads it has one state for a whole process: one file at a time, then."""
    writes: ClassVar[bool] = True

    begins: ClassVar[tuple[bytes, ...]] = ()
    """The first bytes of such a file, in small letters; none for texts and archives."""
    is_packed: ClassVar[bool] = False
    """Whether such a file is a zip archive."""

    def fits(self, source: Source) -> bool:
        """Whether this file is probably of this format, by its name or by what is in it."""
        return source.name.lower().endswith(self.suffix)

    def is_one(self, source: Source) -> bool:
        """Whether what is in the file, whatever it is called, says that it is of this format."""
        return self.begins_so(source)

    def begins_so(self, source: Source) -> bool:
        return bool(self.begins) and source.head().lstrip(b"\xef\xbb\xbf \r\n\t").lower().startswith(self.begins)

    def is_long(self, source: Source) -> bool:
        """Whether reading takes so long that nobody should wait for it with a page that says nothing."""
        return False

    def read(self, source: Source, new_id: NewId) -> Incoming:
        """Raises Unreadable if it is no such file at all."""
        raise NotImplementedError

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        raise NotImplementedError

    def left_out(self, content: SetContent) -> Sequence[Message]:
        """What of this set the format cannot say."""
        return ()


def media_ids(value: object) -> Iterator[str]:
    """Every stored file that a set, or a part of it as JSON, names."""
    if isinstance(value, dict):
        for name, inner in value.items():
            if name in {"media", "captions"} and isinstance(inner, str):
                yield inner
            else:
                yield from media_ids(inner)
    elif isinstance(value, list):
        for inner in value:
            yield from media_ids(inner)


def about_left_out(content: SetContent) -> list[Message]:
    """A sentence where a form has no place for what the set is about, and something is said of it."""
    if content.about == About():
        return []
    about = "What the set is about (language, subject, level, description, cover) is left behind."
    return [said("about_left_out", about)]


def media_left_out(content: SetContent) -> list[Message]:
    """A sentence for each item whose files a form without files cannot carry."""
    named = "“{title}”: its picture, sound or video is named, but not in the file."
    return [
        said("media_left_out", named, title=title_of(item)[:60])
        for item in content.items
        if any(media_ids(item.model_dump(mode="json")))
    ]


def line_place(number: int) -> Message:
    return said("place_line", "Line {number}", number=number)


def only_first(most: int) -> Message:
    return said("only_first_items", "Only the first {most} items were read.", most=most)


__all__ = [
    "MOST_ENTRIES",
    "Alternative",
    "Ask",
    "Carried",
    "Column",
    "Entry",
    "File",
    "Incoming",
    "MediaOf",
    "SetFormat",
    "Source",
    "Unreadable",
    "Way",
    "about_left_out",
    "line_place",
    "media_ids",
    "media_left_out",
    "only_first",
]
