"""The picture collection that ships: found by everyday words, rendered when one is chosen."""

import json
import zipfile
from dataclasses import dataclass
from functools import cache
from pathlib import Path

import resvg_py

PICTURES = Path(__file__).parent / "collection/pictures.zip"
CREDIT = "OpenMoji, CC BY-SA 4.0"
RENDERED_WIDTH = 960
MOST_FOUND = 60


@dataclass(frozen=True, slots=True)
class Entry:
    code: str
    name: str
    words: tuple[str, ...]


@cache
def entries() -> tuple[Entry, ...]:
    with zipfile.ZipFile(PICTURES) as archive:
        rows = json.loads(archive.read("index.json"))
    return tuple(Entry(row["code"], row["name"], tuple(row["words"].split())) for row in rows)


def search(text: str) -> list[Entry]:
    """Entries with a word that begins with each word of `text`; whole words and names first."""
    wanted = text.casefold().split()[:20]
    if not wanted:
        return []

    def rank(entry: Entry) -> int:
        return -sum(2 * (word in entry.name.split()) + (word in entry.words) for word in wanted)

    found = [e for e in entries() if all(any(own.startswith(word) for own in e.words) for word in wanted)]
    return sorted(found, key=lambda entry: (rank(entry), entry.name))[:MOST_FOUND]


def svg_of(code: str) -> str | None:
    """The picture as SVG; None for a code the collection does not have."""
    if not any(entry.code == code for entry in entries()):
        return None
    with zipfile.ZipFile(PICTURES) as archive:
        return archive.read(f"{code}.svg").decode()


def rendered(svg: str) -> bytes:
    """The picture as PNG."""
    return bytes(resvg_py.svg_to_bytes(svg_string=svg, width=RENDERED_WIDTH, skip_system_fonts=True))
