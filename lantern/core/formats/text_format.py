"""The set's own text form, and pasted text, as formats."""

import re
from collections.abc import Mapping
from types import MappingProxyType
from typing import ClassVar

import charset_normalizer

from lantern.core.formats import checksum
from lantern.core.formats.exchange import (
    MOST_ENTRIES,
    Entry,
    Incoming,
    MediaOf,
    SetFormat,
    Source,
    Unreadable,
    line_place,
    media_left_out,
    only_first,
)
from lantern.core.formats.foreign_json import rows_in_json
from lantern.core.formats.markdown import Misread, read_blocks, write_set
from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.pasted.words import left_out
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent

MB = 1024 * 1024
MOST_BYTES = 4 * MB
NO_CHOICES: Mapping[str, str] = MappingProxyType({})


_FENCED = re.compile(r"^```(?:json)?[ \t]*\n(\s*[\[{].*?)\n```[ \t]*$", re.S | re.M)
_HEAD = re.compile(r"---[ ]*\n(?:[a-z_]+:[^\n]*\n|\s*\n)+---[ ]*(?:\n|$)")
"""Lines of a name and a value between two rules: not any text that has a rule above it."""

# Languages whose usual encoding in one byte is not the western one.
_OF_LATIN = ("Latin", "Punctuation", "Control", "Currency", "Symbols")
_CENTRAL = {"Polish", "Czech", "Slovak", "Hungarian", "Croatian", "Slovene", "Romanian"}


def text_of(source: Source) -> str:
    """The text of a file. Raises Unreadable for what is no text, or too long for one of questions."""
    if source.size > MOST_BYTES:
        raise Unreadable(too_large(source.size, MOST_BYTES))
    return text_in(source.data)


def text_in(data: bytes, most: int = MOST_BYTES) -> str:
    """The text of a file in whatever encoding it is. Raises Unreadable for what is no text."""
    if len(data) > most:
        raise Unreadable(too_large(len(data), most))
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError:
        text = _decoded(data)
    if "\0" in text:
        raise Unreadable(said("file_no_text", "This file is no text."))
    return text


def too_large(size: int, most: int) -> Message:
    large = "This file is {size} MB large; {most} MB at most can be read in this form."
    return said("file_too_large_for_form", large, size=-(-size // MB), most=most // MB)


def _decoded(data: bytes) -> str:
    found = charset_normalizer.from_bytes(data[:200_000]).best()
    if found is None:
        raise Unreadable(said("file_no_text", "This file is no text."))
    latin = all(any(word in name for word in _OF_LATIN) for name in found.alphabets)
    # Of the many one-byte encodings of western languages this is the one that spreadsheets write.
    western = latin and found.language not in _CENTRAL and not found.encoding.startswith("utf")
    return data.decode("cp1252" if western else found.encoding, errors="replace")


def is_text_form(text: str) -> bool:
    """Whether a text is written in the set's own form: it begins with its head, or settings stand in it."""
    return _HEAD.match(text.replace("\r\n", "\n").lstrip("\ufeff\n ")) is not None or "\n:: kind:" in text


def read_text(text: str, new_id: NewId, language: str = "", choices: Mapping[str, str] = NO_CHOICES) -> Incoming:
    """A text in the set's own form, or as people paste it, with numbers as they are written in `language`. `choices`
    are for tables in it, as for a sheet."""
    if is_text_form(f"\n{text}"):
        return read_text_form(text, new_id)
    bare, around = _without_fence(text)
    rows = rows_in_json(bare)
    if rows is not None:
        incoming = read_rows(rows, choices, new_id, language)
        for line in around:
            incoming.note(left_out(line))
        return incoming
    return read_pasted(text, new_id, language, choices)


def _without_fence(text: str) -> tuple[str, list[str]]:
    """(what stands between the fences in which a chat puts JSON, the lines around them)."""
    found = _FENCED.search(text)
    if not found:
        return text, []
    around = f"{text[: found.start()]}\n{text[found.end() :]}".split("\n")
    return found[1], [line for line in around if line.strip()]


def _at(wrong: Misread) -> Message:
    return said("at_place", "{place}: {what}", place=line_place(wrong.line), what=wrong.why)


def read_text_form(text: str, new_id: NewId) -> Incoming:
    found = read_blocks(text, new_id)
    incoming = Incoming(title=found.title, about=found.about)
    for wrong in found.misread:
        incoming.note(_at(wrong))
    for block in found.blocks[:MOST_ENTRIES]:
        sentences = tuple(_at(wrong) for wrong in block.misread)
        incoming.entries.append(
            Entry(
                place=line_place(block.line),
                text=block.text,
                item=block.item,
                sentences=sentences,
                sure=not sentences,
            )
        )
    if len(found.blocks) > MOST_ENTRIES:
        incoming.note(only_first(MOST_ENTRIES))
    changed = checksum.change(found.checksum, found.content)
    if changed:
        incoming.note(changed)
    return incoming


class MarkdownFormat(SetFormat):
    name: ClassVar[str] = "markdown"
    label: ClassVar[Message] = said("format_markdown", "Text (Markdown)")
    suffix: ClassVar[str] = ".md"
    content_type: ClassVar[str] = "text/markdown; charset=utf-8"

    def read(self, source: Source, new_id: NewId) -> Incoming:
        return read_text(text_of(source), new_id, source.language, source.choices)

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        return write_set(content, with_checksum=True).encode()

    def left_out(self, content: SetContent) -> list[Message]:
        return media_left_out(content)


class PastedFormat(SetFormat):
    name: ClassVar[str] = "pasted"
    label: ClassVar[Message] = said("format_text", "Plain text")
    suffix: ClassVar[str] = ".txt"
    content_type: ClassVar[str] = "text/plain; charset=utf-8"
    writes: ClassVar[bool] = False

    def read(self, source: Source, new_id: NewId) -> Incoming:
        return read_text(text_of(source), new_id, source.language, source.choices)
