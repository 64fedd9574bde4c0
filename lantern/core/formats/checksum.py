"""What a written form says of itself, so that a reader can tell when it was changed since.

A line that is lost, doubled or out of place leaves most texts and tables readable, and saying something else. So each
form that is written here says how many items it has and a sum of what they say; ids are not in it, nor how it is laid
out. Who changes a file on purpose is told that it was changed, and nothing more.
"""

import re
from collections.abc import Iterable, Sequence
from hashlib import sha256

from lantern.core.formats.item_text import values_of, write_item
from lantern.core.messages import Message, said
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item

VERSION = "1"
"""Of what is summed up, and how. A sum of another version says nothing here."""
MOST_LISTED = 20


def sum_of(content: SetContent) -> str:
    about = [f"{name}: {value}" for name, value in values_of(content.about, type(content.about).model_fields).items()]
    digest = _digest([content.title, *about, *map(write_item, content.items)])
    return f"{VERSION}-{len(content.items)}-{digest}"


def change(given: str, content: SetContent) -> Message | None:
    """What to say where the sum that a file gives is not that of what was read."""
    version, _, rest = given.partition("-")
    if version != VERSION or given == sum_of(content):
        return None
    before = rest.partition("-")[0]
    changed = (
        "This file was changed after it had been written: it held {before} items then, and {now} are understood now. "
        "Look whether that was meant."
    )
    return said("changed_since_written", changed, before=before[:10], now=len(content.items))


_ROW = re.compile(r"(\d{1,3})/(\d{1,3}) ([0-9a-f]{10})")


def row_sums(items: Sequence[Item]) -> list[str]:
    """For each item of a table its number, how many there are, and its sum."""
    return [f"{number}/{len(items)} {_digest([write_item(item)])}" for number, item in enumerate(items, start=1)]


def is_row_sum(cell: str) -> bool:
    return _ROW.fullmatch(cell.strip()) is not None


def row_changes(rows: Sequence[tuple[int, str, Item | None]]) -> list[Message]:
    """What to say of a table with sums whose rows are (their number in it, the sum they give, what was understood)."""
    given = [(at, found, item) for at, cell, item in rows if (found := _ROW.fullmatch(cell.strip()))]
    new = [at for at, cell, _ in rows if not is_row_sum(cell)]
    changed = [at for at, found, item in given if item is None or _digest([write_item(item)]) != found[3]]
    numbers = [int(found[1]) for _, found, _ in given]
    missing = sorted(set(range(1, max((int(found[2]) for _, found, _ in given), default=0) + 1)) - set(numbers))
    notes = []
    if new:
        added = "New since this sheet was written, or without its end: row {rows}."
        notes.append(said("rows_new", added, rows=_listed(new)))
    if changed:
        one = "Changed since this sheet was written: row {rows}."
        notes.append(said("rows_changed", one, rows=_listed(changed)))
    if missing:
        gone = "No longer here since this sheet was written: question {numbers}."
        notes.append(said("rows_gone", gone, numbers=_listed(missing)))
    if numbers != sorted(set(numbers)):
        moved = "Since this sheet was written, questions have changed places, or are here twice."
        notes.append(said("rows_moved", moved))
    return notes


_SEAL = re.compile(rb"\n<!-- checksum: ([0-9a-f]{10}) -->\s*$")


def sealed(document: bytes) -> bytes:
    """A document in XML with its sum as a comment at its end."""
    return document.rstrip() + f"\n<!-- checksum: {sha256(document.rstrip()).hexdigest()[:10]} -->\n".encode()


def is_seal_broken(document: bytes) -> bool:
    """Whether a document has a sum, and it is not that of what stands before it."""
    found = _SEAL.search(document, max(0, len(document) - 200))
    return found is not None and sha256(document[: found.start()]).hexdigest()[:10] != found[1].decode()


def _listed(numbers: Sequence[int]) -> str:
    return ", ".join(map(str, numbers[:MOST_LISTED])) + (" …" if len(numbers) > MOST_LISTED else "")


def _digest(texts: Iterable[str]) -> str:
    # Each text with its length, so that no two lists of texts are the same in a row.
    parts = [f"{len(text)}:{text}" for text in texts]
    return sha256("".join(parts).encode()).hexdigest()[:10]
