"""All formats of whole sets. A new one is one module and one line here."""

from collections.abc import Mapping
from contextlib import AbstractContextManager, nullcontext

from lantern.core.formats.documents import DeckFormat, OdtFormat, PdfFormat, WordFormat
from lantern.core.formats.exchange import Entry, Incoming, SetFormat, Source, Unreadable
from lantern.core.formats.json_format import ArchiveFormat, JsonFormat
from lantern.core.formats.qti import Qti2Format, Qti3Format
from lantern.core.formats.sheet_format import CsvFormat, OdsFormat, XlsFormat, XlsxFormat
from lantern.core.formats.text_format import NO_CHOICES, MarkdownFormat, PastedFormat, read_text
from lantern.core.messages import said
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
)
WRITERS = tuple(one for one in FORMATS if one.writes)
READERS = tuple(one for one in FORMATS if one.reads)


NOBODY_ELSE: AbstractContextManager[object] = nullcontext()


def read_file(source: Source, new_id: NewId, alone: AbstractContextManager[object] = NOBODY_ELSE) -> Incoming:
    """What a file holds, whatever form it is in. Raises Unreadable.

    `alone` is entered while a format is read that is read one file at a time; whoever has threads gives a lock.
    """
    if not source.data.strip():
        raise Unreadable(said("file_empty", "This file is empty."))
    found = next((one for one in READERS if one.fits(source)), None)
    if found is None:
        kinds = ", ".join(sorted({one.suffix for one in READERS}))
        raise Unreadable(
            said("file_kind_unknown", "Files of this kind cannot be read. These can: {kinds}.", kinds=kinds)
        )
    with alone if found.reads_alone else nullcontext():
        return _with_new_parts(found.read(source, new_id), new_id)


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
