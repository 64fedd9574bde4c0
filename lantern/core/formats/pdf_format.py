"""PDF files: as text to find questions in, or as pictures of their pages."""

from collections.abc import Iterator
from contextlib import contextmanager
from io import BytesIO
from typing import Any, ClassVar

import pypdfium2

from lantern.core.formats.document_told import (
    MOST_PAGES,
    Told,
    incoming_of,
    page_of,
    readable,
    title_of,
)
from lantern.core.formats.exchange import (
    Ask,
    Entry,
    Incoming,
    SetFormat,
    Source,
    Unreadable,
    Way,
)
from lantern.core.formats.files import Packed, Shelf
from lantern.core.formats.item_text import write_item
from lantern.core.formats.safezip import PROTECTED
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Picture
from lantern.core.words import in_language

WIDEST = 1600
"""Pixels of a PDF's page as a picture."""
FEW_LETTERS = 20
"""A PDF with fewer letters a page than this is a scan: it comes in as pictures."""
AS_PAGES = said("pages_come_in_as", "How do its pages come in?")
WAYS = (
    Way(value="text", says=said("pages_as_text", "As text, to find questions in")),
    Way(value="pictures", says=said("pages_as_pictures", "Each as a picture")),
)


class PdfFormat(SetFormat):
    """`choices["as"]`: "text" or "pictures" of the pages; a scan comes in as pictures."""

    name: ClassVar[str] = "pdf"
    label: ClassVar[Message] = said("format_pdf", "Document (pdf)")
    suffix: ClassVar[str] = ".pdf"
    content_type: ClassVar[str] = "application/pdf"
    reads_alone: ClassVar[bool] = True
    writes: ClassVar[bool] = False
    begins: ClassVar[tuple[bytes, ...]] = (b"%pdf",)
    few_pages: ClassVar[int] = 12
    """As many are made into pictures while somebody waits."""

    def begins_so(self, source: Source) -> bool:
        """Some have something else before it."""
        return b"%PDF-" in source.head(1024)

    def is_long(self, source: Source) -> bool:
        with _pdf(source) as document:
            return len(document) > self.few_pages and self._way(source, _texts(document)) == "pictures"

    def read(self, source: Source, new_id: NewId) -> Incoming:
        with _pdf(source) as document:
            count, texts = len(document), _texts(document)
            way = self._way(source, texts)
            shelf, pictures = Shelf(), []
            for number in range(len(texts) if way == "pictures" else 0):
                source.tell(number, len(texts))
                pictures.append(shelf.put(f"page-{number + 1}.jpg", _rendered(document, number)))
        if pictures:
            incoming = self._as_pictures(pictures, texts, title_of(source), source.language, new_id)
        else:
            incoming = incoming_of(Told("\n\n".join(texts).replace("\r", "").split("\n")), source, new_id)
        incoming.asks.append(Ask(name="as", question=AS_PAGES, ways=WAYS, given=way))
        if count > MOST_PAGES:
            only = "Only the first {most} of {all} pages were read."
            incoming.note(said("only_first_pages", only, most=MOST_PAGES, all=count))
        return incoming

    def _way(self, source: Source, texts: list[str]) -> str:
        scanned = sum(map(len, texts)) < FEW_LETTERS * len(texts)
        return source.choices.get("as", "pictures" if scanned else "text")

    def _as_pictures(
        self, pictures: list[Packed], texts: list[str], title: str, language: str, new_id: NewId
    ) -> Incoming:
        incoming = Incoming(title=title)
        for number, (file, text) in enumerate(zip(pictures, texts, strict=True), start=1):
            picture = Picture(
                media=incoming.keep(file),
                width=1, height=1, description=" ".join(text.split())[:500],
            )  # fmt: skip
            place = said("place_page", "Page {number}", number=number)
            page = page_of(in_language(place, language), new_id).model_copy(update={"picture": picture})
            incoming.entries.append(Entry(place=place, text=write_item(page), item=page))
        return incoming


@contextmanager
def _pdf(source: Source) -> Iterator[Any]:
    """Raises Unreadable."""
    with readable():
        try:
            document = pypdfium2.PdfDocument(source.opened())
        except pypdfium2.PdfiumError as error:
            if "password" in str(error).lower():
                raise Unreadable(PROTECTED) from error
            raise
        try:
            yield document
        finally:
            document.close()


def _texts(document: Any) -> list[str]:
    """The text of each page, as far as pages are read."""
    texts = []
    for number in range(min(len(document), MOST_PAGES)):
        page = document[number]
        words = page.get_textpage()
        texts.append(words.get_text_bounded())
        words.close()
        page.close()  # or all that was unpacked of it stays
    return texts


def _rendered(document: Any, number: int) -> bytes:
    page = document[number]
    width, height = page.get_size()
    scale = min(WIDEST / max(1, width), 2 * WIDEST / max(1, height), 4)
    buffer = BytesIO()
    drawn = page.render(scale=scale)
    drawn.to_pil().convert("RGB").save(buffer, "JPEG", quality=85)
    drawn.close()
    page.close()
    return buffer.getvalue()
