"""A set as JSON (its schema: docs/set.schema.json), alone or with its media in one zip archive."""

import json
from io import BytesIO
from typing import Annotated, Any, ClassVar, Literal
from zipfile import ZIP_DEFLATED, ZipFile

from pydantic import Field, ValidationError

from lantern.core.formats.checksum import change, sum_of
from lantern.core.formats.exchange import (
    MOST_ENTRIES,
    Entry,
    Incoming,
    MediaOf,
    SetFormat,
    Source,
    Unreadable,
    media_ids,
    media_left_out,
)
from lantern.core.formats.item_text import first_of, write_item
from lantern.core.formats.safezip import MB, SafeZip, has_inside
from lantern.core.formats.text_format import too_large
from lantern.core.messages import Message, said
from lantern.core.questions import AnyItem, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import MAX_ITEMS, About, SetContent, Title
from lantern.core.values import Value

INSIDE = "set.json"
MEDIA_FOLDER = "media/"
MOST_BYTES = 8 * MB


class SetFile(Value):
    """A whole set in one JSON object. `checksum` tells a reader whether it was changed after it had been written."""

    format: Literal["lantern-set"] = "lantern-set"
    version: Literal[1] = 1
    title: Title
    about: About = About()
    checksum: Annotated[str, Field(max_length=60)] = ""
    items: tuple[AnyItem, ...] = Field(default=(), max_length=MAX_ITEMS)


def schema() -> dict[str, Any]:
    """The JSON Schema (draft 2020-12) of a set file."""
    head = {"$schema": "https://json-schema.org/draft/2020-12/schema"}
    return head | SetFile.model_json_schema() | {"title": "A set of questions"}


def write_json(content: SetContent) -> bytes:
    whole = SetFile(title=content.title, about=content.about, checksum=sum_of(content), items=content.items)
    return json.dumps(whole.model_dump(mode="json"), ensure_ascii=False, indent=2).encode()


def read_json(data: bytes) -> Incoming:
    """Each item is read for itself: one that is wrong does not hold up the others. Raises Unreadable."""
    if len(data) > MOST_BYTES:
        raise Unreadable(too_large(len(data), MOST_BYTES))
    try:
        body = json.loads(data)
        json.dumps(body, ensure_ascii=False).encode()  # half of a surrogate pair is no character
    except (ValueError, RecursionError) as error:
        raise Unreadable(said("no_json", "This is not JSON.")) from error
    if not isinstance(body, dict) or body.get("format") != "lantern-set" or not isinstance(body.get("items", []), list):
        raise Unreadable(
            said("json_no_set", "This JSON is no set: it wants “format”: “lantern-set” and a list of items.")
        )
    if body.get("version") != 1:
        raise Unreadable(
            said(
                "set_version_unknown",
                "This set is written in version {version}; only version 1 is known here.",
                version=str(body.get("version"))[:20],
            )
        )
    incoming = Incoming(title=str(body.get("title", ""))[:200])
    try:
        incoming.about = About.model_validate(body.get("about", {}))
    except ValidationError as error:
        incoming.note(said("about_of_set", "What the set is about: {what}", what=first_of(error)))
    for number, one in enumerate(body.get("items", [])[:MOST_ENTRIES], start=1):
        incoming.entries.append(_entry(number, one))
    changed = change(str(body.get("checksum", "")), incoming.content())
    if changed:
        incoming.note(changed)
    return incoming


def _place(number: int) -> Message:
    return said("place_item", "Item {number}", number=number)


def _entry(number: int, body: object) -> Entry:
    try:
        item = read_item.validate_python(body)
    except ValidationError as error:
        text = json.dumps(body, ensure_ascii=False)[:4000]
        return Entry(place=_place(number), text=text, sentences=(first_of(error),))
    return Entry(place=_place(number), text=write_item(item), item=item)


class JsonFormat(SetFormat):
    name: ClassVar[str] = "json"
    label: ClassVar[Message] = said("format_json", "JSON")
    suffix: ClassVar[str] = ".json"
    content_type: ClassVar[str] = "application/json"

    def read(self, source: Source, new_id: NewId) -> Incoming:
        if source.size > MOST_BYTES:
            raise Unreadable(too_large(source.size, MOST_BYTES))
        return read_json(source.data)

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        return write_json(content)

    def left_out(self, content: SetContent) -> list[Message]:
        return media_left_out(content)


class ArchiveFormat(SetFormat):
    name: ClassVar[str] = "archive"
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_archive", "Everything in one file (JSON and media, zip)")
    suffix: ClassVar[str] = ".lantern.zip"
    content_type: ClassVar[str] = "application/zip"

    def is_one(self, source: Source) -> bool:
        return has_inside(source, INSIDE)

    def read(self, source: Source, new_id: NewId) -> Incoming:
        archive = SafeZip(source.opened())
        inside = archive.read(INSIDE, MOST_BYTES)
        if inside is None:
            raise Unreadable(said("archive_without_set", "There is no set in this archive."))
        incoming = read_json(inside)
        files = {
            name[len(MEDIA_FOLDER) :].split(".")[0]: name for name in archive.names if name.startswith(MEDIA_FOLDER)
        }
        items = [entry.item.model_dump(mode="json") for entry in incoming.entries if entry.item]
        for media in dict.fromkeys(media_ids([*items, (incoming.about or About()).model_dump(mode="json")])):
            packed = archive.packed(files[media]) if media in files else None
            if packed is not None:
                incoming.media[media] = packed
        return incoming

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        buffer = BytesIO()
        with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
            archive.writestr(INSIDE, write_json(content))
            for media_id in dict.fromkeys(media_ids(content.model_dump(mode="json"))):
                file = media(media_id)
                if file is not None:
                    archive.writestr(f"{MEDIA_FOLDER}{media_id}{_suffix(file.name)}", file.data)
        return buffer.getvalue()


def _suffix(name: str) -> str:
    dot = name.rfind(".")
    return name[dot:].lower() if dot >= 0 and len(name) - dot <= 6 else ""


if __name__ == "__main__":
    print(json.dumps(schema(), indent=2))
