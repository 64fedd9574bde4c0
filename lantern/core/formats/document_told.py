"""What a document tells: lines of text and pictures at their places, and what comes in of them.

Libraries that unpack these files raise all sorts of things for damaged ones; here that ends in one sentence.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from typing import Any

from lantern.core.formats.exchange import (
    Carried,
    Entry,
    Incoming,
    Source,
    Unreadable,
    line_place,
)
from lantern.core.formats.files import Packed
from lantern.core.formats.item_text import write_item
from lantern.core.formats.odt_lines import DAMAGED
from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.safezip import SafeZip
from lantern.core.messages import said
from lantern.core.questions import read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item, Picture
from lantern.core.words import in_language

MOST_PAGES, MOST_PICTURES = 100, 200
PICTURES = {"image/png": ".png", "image/jpeg": ".jpg", "image/gif": ".gif", "image/webp": ".webp", "image/bmp": ".bmp"}
AS_A_PAGE = said("taken_as_page", "It was taken as a page: nothing was found that it asks.")
PICTURE = said("picture", "Picture")


@contextmanager
def readable() -> Iterator[None]:
    try:
        yield
    except Unreadable:
        raise
    except Exception as error:
        raise Unreadable(DAMAGED) from error


@dataclass
class Told:
    """A document as lines of text, and its pictures with the line they stand at (from 1)."""

    lines: list[str] = field(default_factory=list)
    pictures: list[tuple[int, Carried]] = field(default_factory=list)
    left_out: int = 0

    def picture(self, part: Any, archive: SafeZip) -> None:
        """A part of an office file that is a picture. Drawings in formats that browsers do not show are left out, and
        counted."""
        self.take(archive.packed(str(part.partname).lstrip("/")), part.content_type in PICTURES)

    def take(self, packed: Packed | None, is_shown: bool) -> None:
        """`is_shown`: browsers show such pictures."""
        if is_shown and packed is not None and len(self.pictures) < MOST_PICTURES:
            self.pictures.append((max(1, len(self.lines)), packed))
        else:
            self.left_out += 1


def incoming_of(told: Told, source: Source, new_id: NewId) -> Incoming:
    incoming = read_pasted("\n".join(told.lines), new_id, source.language)
    incoming.title = incoming.title or title_of(source)
    incoming.entries = [_or_page(entry, new_id) for entry in incoming.entries]
    for line, file in told.pictures:
        _place(incoming, line, file, source.language, new_id)
    if told.left_out:
        left = "{count} drawings are in a format that browsers cannot show; they are left out."
        incoming.note(said("drawings_left_out", left, count=told.left_out))
    return incoming


def _or_page(entry: Entry, new_id: NewId) -> Entry:
    """What is no question, and does not try to be one, is a page."""
    tries = any(mark in entry.text for mark in ("____", "\nAnswer:", "\na)", "\nA)", "\nA."))
    if entry.item is not None or tries:
        return entry
    return entry.model_copy(update={"item": page_of(entry.text, new_id), "sentences": (AS_A_PAGE,)})


def page_of(text: str, new_id: NewId) -> Item:
    heading, _, body = text.strip().partition("\n")
    fields = {"id": new_id(), "kind": "page", "prompt": heading.strip("*# ")[:4000], "body": body.strip()[:4000]}
    return read_item.validate_python(fields)


def _place(incoming: Incoming, line: int, file: Carried, language: str, new_id: NewId) -> None:
    """Gives a picture to the item it stands in, or a page of its own behind it."""
    before = [at for at, entry in enumerate(incoming.entries) if _line_of(entry) <= line]
    at = before[-1] if before else -1
    entry = incoming.entries[at] if before else None
    picture = Picture(media=incoming.keep(file), width=1, height=1)
    if entry and entry.item and entry.item.picture is None:
        item = entry.item.model_copy(update={"picture": picture})
        incoming.entries[at] = entry.model_copy(
            update={"item": item, "out": False, "sentences": ()} if entry.out else {"item": item}
        )
        return
    page = page_of(in_language(PICTURE, language), new_id).model_copy(update={"picture": picture})
    incoming.entries.insert(at + 1, Entry(place=line_place(line), text=write_item(page), item=page))


def _line_of(entry: Entry) -> int:
    return int(str(entry.place.params["number"]))


def title_of(source: Source) -> str:
    return source.name.rsplit(".", 1)[0].replace("_", " ")[:200]
