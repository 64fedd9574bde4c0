"""Whole packages as they come in: manifest, tests, items and the files that they name."""

from collections.abc import Iterator
from io import BytesIO
from pathlib import PurePosixPath
from posixpath import normpath
from typing import Any, BinaryIO
from urllib.parse import unquote

from PIL import Image
from pydantic import ValidationError

from lantern.core.formats.checksum import is_seal_broken
from lantern.core.formats.exchange import (
    MOST_ENTRIES,
    Entry,
    Incoming,
    Unreadable,
    only_first,
)
from lantern.core.formats.item_text import first_of, write_item
from lantern.core.formats.qti import read_items
from lantern.core.formats.qti.declarations import declarations_of, points_of
from lantern.core.formats.qti.nodes import Node, parse
from lantern.core.formats.qti.nodes import text_of as words_of
from lantern.core.formats.qti.reading import KeepFile, NotSaid, Reading
from lantern.core.formats.safezip import MB, SafeZip
from lantern.core.formats.weights import weigh
from lantern.core.messages import Message, said
from lantern.core.questions import read_item
from lantern.core.questions.companions import NewId

MANIFEST = "imsmanifest.xml"
LARGEST_PICTURE = 16 * MB
LONGEST_ABOVE = 1000
"""A passage with more signs than this is a page of its own."""
Fields = dict[str, Any]


class Package:
    """The files of a package, and what of them has been taken along."""

    def __init__(self, archive: SafeZip, incoming: Incoming) -> None:
        self.archive, self.incoming = archive, incoming
        self._by_name = {name.lower(): name for name in archive.names}
        self.changed: set[str] = set()
        """Documents that were changed after they had been written here."""

    def keep_for(self, place: str) -> KeepFile:
        """Takes files along that are named from `place`."""

        def keep(reference: str) -> str | None:
            name = self._by_name.get(_resolved(place, reference).lower())
            packed = self.archive.packed(name) if name else None
            return self.incoming.keep(packed) if packed is not None and packed.size else None

        return keep

    def size_of(self, key: str) -> tuple[int, int] | None:
        """The size of a picture that was taken along; None for what is none."""
        file = self.incoming.media.get(key)
        if file is None or file.size > LARGEST_PICTURE:
            return None
        try:
            with Image.open(BytesIO(file.data)) as picture:
                return picture.size
        except (OSError, ValueError, Image.DecompressionBombError):
            return None

    def xml(self, name: str) -> Node | None:
        found = self._by_name.get(name.lower())
        try:
            data = self.archive.read(found) if found else None
        except Unreadable as error:
            self.incoming.note(error.message)
            return None
        if data and is_seal_broken(data):
            self.changed.add(name)
        return parse(data) if data else None


def _resolved(place: str, reference: str) -> str:
    """A reference from the file at `place`, as a name in the archive."""
    folder = PurePosixPath(place).parent
    return normpath(str(folder / unquote(reference.split("#")[0].split("?")[0]))).lstrip("/")


def read_package(content: bytes | BinaryIO, new_id: NewId, language: str = "") -> Incoming:
    """Every item of the package as an entry, in the order of its tests; `language` is that of the set. Raises
    Unreadable."""
    incoming = Incoming()
    package = Package(SafeZip(content), incoming)
    manifest = package.xml(MANIFEST)
    if manifest is None and incoming.notes:
        raise Unreadable(incoming.notes[0])
    if manifest is None:
        raise Unreadable(
            said("package_without_manifest", "This archive has no readable manifest, so it is no package of questions.")
        )
    resources = {
        _resolved(MANIFEST, node.based(node["href"])): node
        for node in manifest.all("resource")
        if node["href"].lower().endswith(".xml")
    }
    tests = [name for name, node in resources.items() if "test" in node["type"]]
    placed: dict[str, Fields] = {}
    for name in tests:
        test = package.xml(name)
        if test is None:
            incoming.note(said("test_unreadable", "The test {name} could not be read.", name=name))
            continue
        incoming.title = incoming.title or test["title"][:200]
        placed |= dict(_items_of(test, name))
        for block in test.all("rubric-block"):
            incoming.note(said("line_left_out", "Left out: “{line}”.", line=" ".join(block.text.split())[:120]))
    items = [*placed, *(name for name in resources if name not in placed and name not in tests)]
    incoming.title = incoming.title or _manifest_title(manifest)
    points: list[int | None] = []
    for name in items[:MOST_ENTRIES]:
        tags = _tags_of(resources[name]) if name in resources else ()
        facts = placed.get(name, {}) | {"tags": tags}
        found, worth = _entries_of(package, name, facts, new_id, language)
        incoming.entries += found
        points += [worth if "weight" not in facts else None] * len(found)
    weigh(incoming, points)
    if package.changed & {MANIFEST, *tests}:
        incoming.note(PARTS_CHANGED)
    if len(items) > MOST_ENTRIES:
        incoming.note(only_first(MOST_ENTRIES))
    if not incoming.entries:
        notes = " ".join(note.sentence for note in incoming.notes)
        raise Unreadable(said("package_without_items", "This package holds no items. {notes}", notes=notes))
    return incoming


def _items_of(test: Node, name: str) -> Iterator[tuple[str, Fields]]:
    """(file, facts) of every item that a test names, through all its sections."""
    for reference in test.all("assessment-item-ref"):
        facts: Fields = {}
        limit = reference.first("time-limits")
        seconds = limit.number("max-time") if limit else None
        facts["time_limit"] = max(5, min(1200, round(seconds))) if seconds else None
        weight = reference.first("weight")
        if weight and weight["value"] in {"0", "1", "2", "0.0", "1.0", "2.0"}:
            facts["weight"] = int(float(weight["value"]))
        yield _resolved(name, reference.based(reference["href"])), facts


def _tags_of(resource: Node) -> tuple[str, ...]:
    words = [
        word.text[:60]
        for keyword in resource.all("keyword")
        for word in keyword.all("langstring", "string", "lang-string")
    ]
    return tuple(word for word in words if word)[:20]


def _manifest_title(manifest: Node) -> str:
    title = manifest.first("title")
    return title.text[:200] if title else ""


MISSING = said("qti_file_missing", "This file is missing or could not be read.")
OLD_VERSION = said("qti_old", "This package is written in QTI 1.2. Take it out once more as QTI 2.1 or 3.0.")
ITEM_CHANGED = said("item_changed", "This item was changed after it had been written. Look it over.")
PARTS_CHANGED = said(
    "package_changed",
    "The list of items in this package was changed after it had been written: some may be missing, doubled, or moved.",
)


def _called(name: str) -> Message:
    return said("place_named", "{name}", name=name[:100])


def _entries_of(
    package: Package, name: str, facts: Fields, new_id: NewId, language: str
) -> tuple[list[Entry], int | None]:
    """(what the item at this place is, the points that it says it is worth)."""
    root = package.xml(name)
    if root is None:
        return [Entry(place=_called(name), text="", sentences=(MISSING,), sure=False)], None
    place = _called(root["title"] or name)
    if root.name == "questestinterop":
        package.incoming.note(OLD_VERSION)
    if root.name != "assessment-item":
        return [], None
    reading = Reading(root, declarations_of(root), new_id, package.keep_for(name), package.size_of, language)
    try:
        found = read_items.read_item(reading)
    except NotSaid as error:
        return [Entry(place=place, text=_words(root), sentences=(error.message,), sure=False)], None
    worth = points_of(root)
    passage = _passages(package, name, root)
    entries = [_entry(place, _below(passage, fields) | facts, reading.sentences, root, new_id) for fields in found]
    if name in package.changed:
        entries = [
            one.model_copy(update={"sentences": (*one.sentences, ITEM_CHANGED), "sure": False}) for one in entries
        ]
    if len(passage) > LONGEST_ABOVE:
        page = {"kind": "page", "prompt": root["title"] or passage.split("\n")[0][:200], "body": passage}
        entries.insert(0, _entry(place, page, [], root, new_id))
    return entries, int(worth) if worth is not None and worth == int(worth) and 0 <= worth < 1000 else None


def _passages(package: Package, name: str, root: Node) -> str:
    """The texts that are shared by several items (stimulus), as far as this one names them."""
    texts = []
    for reference in root.all("assessment-stimulus-ref", "stimulus-ref"):
        found = package.xml(_resolved(name, reference.based(reference["href"])))
        body = found.first("stimulus-body") if found else None
        if body is None:
            package.incoming.note(
                said("stimulus_missing", "The passage {name} is not in the package.", name=reference["href"][:80])
            )
        else:
            texts.append(words_of(body))
    return "\n".join(texts)


def _below(passage: str, fields: Fields) -> Fields:
    """A short passage stands above what is asked; a long one is a page before it."""
    if not passage or len(passage) > LONGEST_ABOVE:
        return fields
    return fields | {"prompt": f"{passage}\n{fields.get('prompt', '')}".strip()}


def _words(root: Node) -> str:
    body = root.first("item-body")
    return " ".join((body.text if body else "").split())[:2000]


def _entry(place: Message, fields: Fields, sentences: list[Message], root: Node, new_id: NewId) -> Entry:
    known = {name: value for name, value in fields.items() if value not in (None, "", ())}
    known |= {"time_limit": None} if fields.get("time_limit", 0) is None else {}
    try:
        item = read_item.validate_python(known | {"id": new_id()})
    except ValidationError:
        # A page has neither time nor weight.
        bare = {
            name: value
            for name, value in known.items()
            if name not in {"time_limit", "weight", "explanation", "scored"}
        }
        try:
            item = read_item.validate_python(bare | {"id": new_id()})
        except ValidationError as error:
            return Entry(place=place, text=_words(root), sentences=(*sentences, first_of(error)), sure=False)
    return Entry(
        place=place,
        text=write_item(item),
        item=item,
        sentences=tuple({one.sentence: one for one in sentences}.values()),
    )
