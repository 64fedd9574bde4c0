"""All formats of whole sets. A new one is one module and one line here."""

from collections.abc import Mapping
from contextlib import AbstractContextManager, nullcontext

import filetype

from lantern.core.formats.documents import DeckFormat, OdtFormat, WordFormat
from lantern.core.formats.exchange import Entry, Incoming, SetFormat, Source, Unreadable
from lantern.core.formats.html_format import HtmlFormat
from lantern.core.formats.json_format import ArchiveFormat, JsonFormat
from lantern.core.formats.pdf_format import PdfFormat
from lantern.core.formats.qti import Qti2Format, Qti3Format
from lantern.core.formats.safezip import OLD_OFFICE, PROTECTED, SafeZip, is_zip
from lantern.core.formats.sheet_format import CsvFormat, OdsFormat, XlsFormat, XlsxFormat
from lantern.core.formats.text_format import NO_CHOICES, MarkdownFormat, PastedFormat, read_text
from lantern.core.messages import Message, said
from lantern.core.questions import with_new_ids
from lantern.core.questions.companions import NewId

FORMATS: tuple[SetFormat, ...] = (
    MarkdownFormat(),
    XlsxFormat(),
    XlsFormat(),
    OdsFormat(),
    CsvFormat(),
    JsonFormat(),
    ArchiveFormat(),
    Qti3Format(),
    Qti2Format(),
    PastedFormat(),
    WordFormat(),
    OdtFormat(),
    DeckFormat(),
    PdfFormat(),
    HtmlFormat(),
)
WRITERS = tuple(one for one in FORMATS if one.writes)
READERS = tuple(one for one in FORMATS if one.reads)
MOST_LOOKED_AT = 2_000_000
"""Bytes of an old office file in which the names of its parts are looked for."""


NOBODY_ELSE: AbstractContextManager[object] = nullcontext()


def read_file(source: Source, new_id: NewId, alone: AbstractContextManager[object] = NOBODY_ELSE) -> Incoming:
    """What a file holds, whatever form it is in. Raises Unreadable.

    `alone` is entered while a format is read that is read one file at a time; whoever has threads gives a lock.
    """
    if not source.head().strip():
        raise Unreadable(said("file_empty", "This file is empty."))
    found, note = form_of(source)
    with alone if found.reads_alone else nullcontext():
        incoming = found.read(source, new_id)
    if note is not None:
        incoming.note(note)
    return _with_new_parts(incoming, new_id)


def form_of(source: Source) -> tuple[SetFormat, Message | None]:
    """The format that a file is read in, and what to say where that is not the one of its name. Raises Unreadable.

    What is in a file goes before what it is called: spreadsheets go about as CSV, and pages as spreadsheets.
    """
    start = source.head(MOST_LOOKED_AT) if source.head(4) == OLD_OFFICE else b""
    if _CODED in start:
        raise Unreadable(PROTECTED)
    named = next((one for one in READERS if one.fits(source)), None)
    within = next((one for one in READERS if one.is_one(source)), None)
    if named is not None and (within is None or named.is_one(source)) and _may_be(source, named):
        return named, None
    if within is None:
        raise Unreadable(_why_none(source, start))
    suffix = _suffix_of(source.name)
    other = "By its name this file is a “{suffix}”, but it is not: {label}. It was read as what it is."
    return within, said("name_says_other", other, suffix=suffix, label=within.label) if named is not None else None


def _may_be(source: Source, named: SetFormat) -> bool:
    """Whether its first bytes speak for what a file is called, or at least not against it."""
    if named.begins:
        return named.begins_so(source)
    if named.is_packed:
        return is_zip(source)
    head = source.head()
    # Signs that a text may begin with, too, are signs of another kind only where no text could go on so.
    return not (b"\0" in head and filetype.guess(head)) and not head.startswith(b"{\\rtf")


_OLD_TEXT, _OLD_SLIDES = (name.encode("utf-16-le") for name in ("WordDocument", "PowerPoint Document"))
_CODED = "EncryptedPackage".encode("utf-16-le")


def _why_none(source: Source, start: bytes) -> Message:
    """What a file is that cannot be read; `start` is what it begins with where it is an old office file. Raises
    Unreadable for an archive that cannot be opened."""
    if _OLD_TEXT in start or _OLD_SLIDES in start:
        better = ".docx" if _OLD_TEXT in start else ".pptx"
        old = "This file is in a form of before 2007. Open it, save it as {better}, and choose that one."
        return said("old_office", old, better=better)
    if is_zip(source):
        SafeZip(source.opened())  # may say why it cannot be opened
    kind = filetype.guess(source.head())
    kinds = ", ".join(sorted({one.suffix for one in READERS}))
    if kind is not None and kind.extension != _suffix_of(source.name).lstrip("."):
        real = "This file is really of the kind .{real}, which cannot be read here. These can: {kinds}."
        return said("file_really", real, real=kind.extension, kinds=kinds)
    return said("file_kind_unknown", "Files of this kind cannot be read. These can: {kinds}.", kinds=kinds)


def _suffix_of(name: str) -> str:
    dot = name.rfind(".")
    return name[dot:].lower() if 0 < len(name) - dot <= 6 and dot >= 0 else ""


def _with_new_parts(incoming: Incoming, new_id: NewId) -> Incoming:
    """Whatever ids of parts a file brought along: they may have been chosen to say what is right."""
    incoming.entries = [_with_own_ids(entry, new_id) for entry in incoming.entries]
    return incoming


def _with_own_ids(entry: Entry, new_id: NewId) -> Entry:
    readings = tuple(one.model_copy(update={"item": with_new_ids(one.item, new_id)}) for one in entry.readings)
    return entry.model_copy(update={"item": entry.item and with_new_ids(entry.item, new_id), "readings": readings})


def read_typed(text: str, new_id: NewId, language: str = "", choices: Mapping[str, str] = NO_CHOICES) -> Incoming:
    """What a pasted or typed text holds, with numbers as they are written in `language`."""
    return _with_new_parts(read_text(text, new_id, language, choices), new_id)
