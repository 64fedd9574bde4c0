"""Whole packages: manifest, test, items and their files."""

from collections.abc import Iterator
from io import BytesIO
from pathlib import PurePosixPath
from posixpath import normpath
from typing import Any, BinaryIO, ClassVar
from urllib.parse import unquote
from zipfile import ZIP_DEFLATED, ZipFile

import lxml.etree as etree
from PIL import Image
from pydantic import ValidationError

from lantern.core.formats.checksum import is_seal_broken, sealed
from lantern.core.formats.exchange import (
    MOST_ENTRIES,
    Entry,
    Incoming,
    MediaOf,
    SetFormat,
    Source,
    Unreadable,
    about_left_out,
    media_ids,
    only_first,
)
from lantern.core.formats.files import File
from lantern.core.formats.item_text import first_of, text_of, write_item
from lantern.core.formats.qti import read_items, write_items
from lantern.core.formats.qti.build import Builder, Element, as_bytes
from lantern.core.formats.qti.declarations import declarations_of, points_of
from lantern.core.formats.qti.nodes import Node, parse
from lantern.core.formats.qti.nodes import text_of as words_of
from lantern.core.formats.qti.reading import KeepFile, NotSaid, Reading
from lantern.core.formats.qti.versions import QTI2, QTI3, Version
from lantern.core.formats.safezip import MB, SafeZip, has_inside
from lantern.core.formats.weights import weigh
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent
from lantern.core.questions.items import Item, Question, title_of

MANIFEST, TEST = "imsmanifest.xml", "test.xml"
LARGEST_PICTURE = 16 * MB
LONGEST_ABOVE = 1000
"""A passage with more signs than this is a page of its own."""
Fields = dict[str, Any]


# --- reading ---------------------------------------------------------------------------------------


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


# --- writing ---------------------------------------------------------------------------------------


def write_package(content: SetContent, media: MediaOf, version: Version) -> bytes:
    """Items that the standard cannot say are left out; `left_out` names them."""
    stored = {one: file for one in dict.fromkeys(media_ids(content.model_dump(mode="json"))) if (file := media(one))}
    places = {one: f"media/{one}{PurePosixPath(file.name).suffix}" for one, file in stored.items()}
    build = Builder(version, places)
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        written: list[tuple[str, Item]] = []
        for number, item in enumerate(content.items, start=1):
            made = write_items.write_item(item, f"item-{number}", build)
            if made is not None:
                archive.writestr(f"items/item-{number}.xml", sealed(as_bytes(made)))
                written.append((f"item-{number}", item))
        archive.writestr(TEST, sealed(as_bytes(_test(content, written, build))))
        archive.writestr(MANIFEST, sealed(as_bytes(_manifest(content, written, places, version))))
        for one, file in stored.items():
            archive.writestr(places[one], file.data)
    return buffer.getvalue()


def _test(content: SetContent, written: list[tuple[str, Item]], build: Builder) -> Element:
    test = build.make("assessment-test", identifier="test", title=content.title)
    part = build.make("test-part", test, identifier="part", navigation_mode="linear", submission_mode="individual")
    section = build.make("assessment-section", part, identifier="section", title=content.title, visible=True)
    for name, item in written:
        reference = build.make("assessment-item-ref", section, identifier=name, href=f"items/{name}.xml")
        if isinstance(item, Question):
            if item.time_limit is not None:
                build.make("time-limits", reference, max_time=item.time_limit)
            build.make("weight", reference, identifier="WEIGHT", value=item.weight)
    return test


def _manifest(
    content: SetContent, written: list[tuple[str, Item]], places: dict[str, str], version: Version
) -> Element:
    space = version.manifest_namespace
    manifest = etree.Element(f"{{{space}}}manifest", {"identifier": "package"}, nsmap={None: space})

    def add(parent: Element, name: str, text: str | None = None, **attributes: str) -> Element:
        made = etree.SubElement(parent, f"{{{space}}}{name}", attributes)
        made.text = text
        return made

    about = add(manifest, "metadata")
    add(about, "schema", version.schema)
    add(about, "schemaversion", version.number)
    add(manifest, "organizations")
    resources = add(manifest, "resources")
    test = add(resources, "resource", identifier="test", type=version.test_type, href=TEST)
    add(test, "file", href=TEST)
    for name, item in written:
        add(test, "dependency", identifierref=name)
        href = f"items/{name}.xml"
        resource = add(resources, "resource", identifier=name, type=version.item_type, href=href)
        _keywords(resource, item, space)
        add(resource, "file", href=href)
        for one in dict.fromkeys(media_ids(item.model_dump(mode="json"))):
            if one in places:
                add(resource, "file", href=places[one])
    return manifest


def _keywords(resource: Element, item: Item, space: str) -> None:
    """Topics, as the metadata of learning objects (IEEE 1484.12.3) has keywords."""
    if not item.tags:
        return
    lom_space = "http://ltsc.ieee.org/xsd/LOM"
    metadata = etree.SubElement(resource, f"{{{space}}}metadata")
    lom = etree.SubElement(metadata, f"{{{lom_space}}}lom", nsmap={"lom": lom_space})
    general = etree.SubElement(lom, f"{{{lom_space}}}general")
    for tag in item.tags:
        keyword = etree.SubElement(general, f"{{{lom_space}}}keyword")
        etree.SubElement(keyword, f"{{{lom_space}}}string").text = tag


# --- the formats -----------------------------------------------------------------------------------


class QtiFormat(SetFormat):
    """`left_out` does not guess: it writes each item, reads it back, and tells what has changed."""

    version: ClassVar[Version]
    is_packed: ClassVar[bool] = True
    content_type: ClassVar[str] = "application/zip"

    def is_one(self, source: Source) -> bool:
        return has_inside(source, MANIFEST)

    def read(self, source: Source, new_id: NewId) -> Incoming:
        return read_package(source.opened(), new_id, source.language)

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        return write_package(content, media, self.version)

    def left_out(self, content: SetContent) -> list[Message]:
        lost = [sentence for item in content.items if (sentence := self._lost(item))]
        return [*about_left_out(content), *lost]

    def _lost(self, item: Item) -> Message | None:
        name = title_of(item)[:60] or "–"
        if write_items.write_item(item, "item", Builder(self.version, {})) is None:
            none = "“{name}”: the standard has no such question as a {kind}."
            return said("no_such_question", none, name=name, kind=kind_of(item).called)
        data = self.write(SetContent(title="-", items=(item,)), lambda media_id: File("file.bin", media_id.encode()))
        numbers = iter(range(1, 10_000))
        back = [entry.item for entry in read_package(data, lambda: f"n{next(numbers)}").entries]
        if len(back) != 1 or back[0] is None:
            return said("cannot_be_said", "“{name}”: it cannot be said.", name=name)
        if back[0].kind != item.kind:
            other = "“{name}”: it comes back as a {kind}."
            return said("comes_back_as", other, name=name, kind=kind_of(back[0]).called)
        lost = changed_fields(item, back[0])
        fields = ", ".join(one.replace("_", " ") for one in lost)
        not_so = "“{name}”: {fields} cannot be said as here."
        return said("fields_not_said", not_so, name=name, fields=fields) if lost else None


def changed_fields(item: Item, back: Item) -> list[str]:
    """The fields whose settings or texts differ, apart from ids and from where files are stored."""
    old, new = text_of(_without_files(item)), text_of(_without_files(back))
    names = [name for name in {**old.settings, **new.settings} if old.settings.get(name) != new.settings.get(name)]
    texts = {"prompt": (old.prompt, new.prompt), "explanation": (old.explanation, new.explanation)}
    names += [name for name, (one, other) in texts.items() if one.split() != other.split()]
    return [*names, *(["lines"] if sorted(old.lines) != sorted(new.lines) else [])]


def _without_files(item: Item) -> Item:
    """The item with every stored file called the same."""

    same = {"media": "file", "captions": "file", "seconds": 0}

    def plain(value: Any) -> Any:
        if isinstance(value, dict):
            return {k: same[k] if k in same and isinstance(v, str | float) else plain(v) for k, v in value.items()}
        return [plain(one) for one in value] if isinstance(value, list) else value

    body = {key: value if key in {"id"} else plain(value) for key, value in item.model_dump(mode="json").items()}
    return read_item.validate_python(body)


class Qti3Format(QtiFormat):
    name: ClassVar[str] = "qti3"
    label: ClassVar[Message] = said("format_qti3", "Test package (QTI 3.0)")
    suffix: ClassVar[str] = ".qti3.zip"
    version: ClassVar[Version] = QTI3


class Qti2Format(QtiFormat):
    name: ClassVar[str] = "qti2"
    label: ClassVar[Message] = said("format_qti2", "Test package (QTI 2.1)")
    suffix: ClassVar[str] = ".qti2.zip"
    version: ClassVar[Version] = QTI2
