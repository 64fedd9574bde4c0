"""Documents and decks: what reads like questions comes in as questions, the rest as pages, with their pictures.

Libraries that unpack these files raise all sorts of things for damaged ones; here that ends in one sentence.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from io import BytesIO
from itertools import islice
from typing import Any, ClassVar

import docx
import pptx
import pypdfium2
from docx.oxml.ns import qn
from docx.text.run import Run

from lantern.core.formats.docx_lists import Lists, Styles
from lantern.core.formats.exchange import (
    Ask,
    Carried,
    Entry,
    Incoming,
    SetFormat,
    Source,
    Unreadable,
    Way,
    line_place,
)
from lantern.core.formats.files import Packed, Shelf
from lantern.core.formats.html_lines import COLOURFUL
from lantern.core.formats.item_text import write_item
from lantern.core.formats.odt_lines import DAMAGED, odt_lines
from lantern.core.formats.omml import FORMULA, formula_in
from lantern.core.formats.pasted.blocks import belongs
from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.pasted.source import line_of
from lantern.core.formats.safezip import MB, PROTECTED, SafeZip, has_inside, is_open_document, slim
from lantern.core.messages import Message, said
from lantern.core.questions import read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item, Picture
from lantern.core.words import in_language

MOST_PAGES, MOST_PICTURES = 100, 200
MOST_XML = 8 * MB
"""Of one document: as a tree it takes ten to twenty times as much."""
WIDEST = 1600
"""Pixels of a PDF's page as a picture."""
FEW_LETTERS = 20
"""A PDF with fewer letters a page than this is a scan: it comes in as pictures."""
PICTURES = {"image/png": ".png", "image/jpeg": ".jpg", "image/gif": ".gif", "image/webp": ".webp", "image/bmp": ".bmp"}
AS_PAGES = said("pages_come_in_as", "How do its pages come in?")
WAYS = (
    Way(value="text", says=said("pages_as_text", "As text, to find questions in")),
    Way(value="pictures", says=said("pages_as_pictures", "Each as a picture")),
)


_NO_WORDS = {qn("w:pPr"), qn("w:del"), qn("w:sdtPr")}


@contextmanager
def _readable() -> Iterator[None]:
    try:
        yield
    except Unreadable:
        raise
    except Exception as error:
        raise Unreadable(DAMAGED) from error


AS_A_PAGE = said("taken_as_page", "It was taken as a page: nothing was found that it asks.")
PICTURE = said("picture", "Picture")


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


def _incoming(told: Told, source: Source, new_id: NewId) -> Incoming:
    incoming = read_pasted("\n".join(told.lines), new_id, source.language)
    incoming.title = incoming.title or _title(source)
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
    return entry.model_copy(update={"item": _page(entry.text, new_id), "sentences": (AS_A_PAGE,)})


def _page(text: str, new_id: NewId) -> Item:
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
    page = _page(in_language(PICTURE, language), new_id).model_copy(update={"picture": picture})
    incoming.entries.insert(at + 1, Entry(place=line_place(line), text=write_item(page), item=page))


def _line_of(entry: Entry) -> int:
    return int(str(entry.place.params["number"]))


def _title(source: Source) -> str:
    return source.name.rsplit(".", 1)[0].replace("_", " ")[:200]


class WordFormat(SetFormat):
    name: ClassVar[str] = "docx"
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_docx", "Document (docx)")
    suffix: ClassVar[str] = ".docx"
    content_type: ClassVar[str] = "application/vnd.openxmlformats-officedocument.wordprocessingml.document"
    writes: ClassVar[bool] = False

    def is_one(self, source: Source) -> bool:
        return has_inside(source, "word/document.xml")

    def read(self, source: Source, new_id: NewId) -> Incoming:
        archive = SafeZip(source.opened())
        told = Told()
        with _readable():
            document = docx.Document(slim(archive, MOST_XML))
            styles = Styles(document)
            lists = Lists(document, styles)
            for block in islice(document.iter_inner_content(), 5000):
                if hasattr(block, "rows"):
                    told.lines += ["", *_table_lines(block), ""]
                    _take_pictures(told, block._element, document, archive)
                else:
                    style = styles.of(block)
                    is_heading = style is not None and str(style.name).startswith(("Heading", "Title"))
                    _take_paragraph(told, block, "" if is_heading else lists.mark(block), is_heading=is_heading)
                    _take_pictures(told, block._element, document, archive)
        return _incoming(told, source, new_id)


class OdtFormat(SetFormat):
    name: ClassVar[str] = "odt"
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_odt", "Document (odt)")
    suffix: ClassVar[str] = ".odt"
    content_type: ClassVar[str] = "application/vnd.oasis.opendocument.text"
    writes: ClassVar[bool] = False

    def read(self, source: Source, new_id: NewId) -> Incoming:
        archive = SafeZip(source.opened())
        told = Told()
        for line in odt_lines(archive):
            if isinstance(line, str):
                told.lines.append(line)
            else:
                told.take(archive.packed(line.name), line.name.lower().endswith(tuple(PICTURES.values())))
        return _incoming(told, source, new_id)

    def is_one(self, source: Source) -> bool:
        return is_open_document(source, self.content_type)


def _table_lines(table: Any) -> list[str]:
    return ["\t".join(_cell(cell) for cell in row.cells) for row in islice(table.rows, 500)]


def _cell(cell: Any) -> str:
    """The words of a cell, of a document or a slide."""
    of_document = cell.paragraphs if hasattr(cell, "paragraphs") else ()
    words = " ".join(map(_words, of_document)) if of_document else cell.text
    return " ".join(words.split())


def _take_paragraph(told: Told, paragraph: Any, mark: str, *, is_heading: bool) -> None:
    """`mark` is what its list puts before it."""
    text = _words(paragraph)
    if is_heading:
        told.lines += ["", text.replace("**", "")]
    elif text.strip() and mark:
        told.lines.append(f"{mark}{text.strip()}")
    else:
        # A paragraph of its own below an option does not go on with it.
        ends_above = (
            bool(told.lines) and belongs(line_of(told.lines[-1])) and bool(text.strip()) and not belongs(line_of(text))
        )
        told.lines += ["", text] if ends_above else [text]


def _take_pictures(told: Told, element: Any, document: Any, archive: SafeZip) -> None:
    for blip in element.iter(qn("a:blip")):
        part = document.part.related_parts.get(blip.get(qn("r:embed"), ""))
        if part is not None:
            told.picture(part, archive)


def _words(paragraph: Any) -> str:
    """Words that stand together and look alike are marked together; a formula has one space on either side."""
    text = "".join(_pieces(paragraph._p, paragraph)).replace("****", "")
    return text.replace("  $", " $").replace("$  ", "$ ")


def _pieces(parent: Any, paragraph: Any) -> Iterator[str]:
    """What stands in a paragraph, in its order: words as they look, links, what was put in by others, formulas."""
    for child in parent:
        if child.tag == qn("w:r"):
            yield _run_text(Run(child, paragraph))
        elif child.tag == FORMULA:
            yield f" {formula_in(child)} "
        elif isinstance(child.tag, str) and child.tag not in _NO_WORDS:
            yield from _pieces(child, paragraph)


def _run_text(run: Any) -> str:
    words = run.text
    if not words.strip() or not (run.bold or _is_painted(run)):
        return str(words)
    lead, tail = words[: len(words) - len(words.lstrip())], words[len(words.rstrip()) :]
    return f"{lead}**{words.strip()}**{tail}"


def _is_painted(run: Any) -> bool:
    """Underlined, highlighted or in a colour: the other ways in which people mark what is right."""
    if run.underline or run.font.highlight_color:
        return True
    colour = run.font.color.rgb if run.font.color is not None and run.font.color.type is not None else None
    return colour is not None and max(colour) - min(colour) >= COLOURFUL


class DeckFormat(SetFormat):
    """Each slide is a page, or a question where it reads like one."""

    name: ClassVar[str] = "pptx"
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_pptx", "Slides (pptx)")
    suffix: ClassVar[str] = ".pptx"
    content_type: ClassVar[str] = "application/vnd.openxmlformats-officedocument.presentationml.presentation"
    writes: ClassVar[bool] = False

    def is_one(self, source: Source) -> bool:
        return has_inside(source, "ppt/presentation.xml")

    def read(self, source: Source, new_id: NewId) -> Incoming:
        archive = SafeZip(source.opened())
        incoming = Incoming(title=_title(source))
        with _readable():
            slides = list(islice(pptx.Presentation(slim(archive, MOST_XML)).slides, MOST_PAGES + 1))
            for number, slide in enumerate(slides[:MOST_PAGES], start=1):
                entry = _slide_entry(incoming, slide, number, archive, new_id, source.language)
                incoming.entries += [entry] if entry is not None else []
        if len(slides) > MOST_PAGES:
            incoming.note(said("only_first_slides", "Only the first {most} slides were read.", most=MOST_PAGES))
        return incoming


def _slide_entry(
    incoming: Incoming, slide: Any, number: int, archive: SafeZip, new_id: NewId, language: str
) -> Entry | None:
    """None for a slide with nothing on it."""
    told = Told()
    title = slide.shapes.title.text_frame.text.strip() if slide.shapes.title is not None else ""
    for shape in slide.shapes:
        if shape.has_text_frame and shape != slide.shapes.title:
            told.lines += [_slide_line(paragraph) for paragraph in shape.text_frame.paragraphs]
        elif getattr(shape._element, "blip_rId", None):
            told.picture(slide.part.related_part(shape._element.blip_rId), archive)
        elif shape.has_table:
            told.lines += _table_lines(shape.table)
    body = [line.strip() for line in told.lines if line.strip()]
    if not title and not body and not told.pictures:
        return None
    item = _slide_question(title, body, new_id, language) or _slide_page(title, body, new_id)
    if told.pictures:
        picture = Picture(media=incoming.keep(told.pictures[0][1]), width=1, height=1)
        item = item.model_copy(update={"picture": picture})
    more = len(told.pictures) - 1 + told.left_out
    left = "{count} more pictures of this slide are left out."
    sentences = (said("pictures_left_out", left, count=more),) if more > 0 else ()
    place = said("place_slide", "Slide {number}", number=number)
    return Entry(place=place, text=write_item(item), item=item, sentences=sentences)


def _slide_line(paragraph: Any) -> str:
    """Formulas stand behind the words: where they were among them a slide does not always say."""
    words = "".join(run.text for run in paragraph.runs) or paragraph.text
    return " ".join([words, *map(formula_in, paragraph._p.iter(FORMULA))]).strip()


def _slide_question(title: str, body: list[str], new_id: NewId, language: str) -> Item | None:
    """The slide as a question, if options or an answer stand on it."""
    if not body:
        return None
    entries = read_pasted("\n".join([title, *body]) if title else "\n".join(body), new_id, language).entries
    only = entries[0].item if len(entries) == 1 else None
    return only if only is not None and getattr(only, "scored", False) else None


def _slide_page(title: str, body: list[str], new_id: NewId) -> Item:
    lines = body if len(body) < 2 else [f"- {line}" for line in body]
    return _page("\n".join([title or (body[0] if body else "–"), *lines]), new_id)


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
            incoming = self._as_pictures(pictures, texts, _title(source), source.language, new_id)
        else:
            incoming = _incoming(Told("\n\n".join(texts).replace("\r", "").split("\n")), source, new_id)
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
            page = _page(in_language(place, language), new_id).model_copy(update={"picture": picture})
            incoming.entries.append(Entry(place=place, text=write_item(page), item=page))
        return incoming


@contextmanager
def _pdf(source: Source) -> Iterator[Any]:
    """Raises Unreadable."""
    with _readable():
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
