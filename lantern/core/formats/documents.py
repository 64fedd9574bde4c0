"""Documents and decks: what reads like questions comes in as questions, the rest as pages, with their pictures."""

from collections.abc import Iterator
from itertools import islice
from typing import Any, ClassVar

import docx
import pptx
from docx.oxml.ns import qn
from docx.text.run import Run

from lantern.core.formats.document_told import (
    MOST_PAGES,
    PICTURES,
    Told,
    incoming_of,
    page_of,
    readable,
    title_of,
)
from lantern.core.formats.docx_lists import Lists, Styles
from lantern.core.formats.exchange import (
    Entry,
    Incoming,
    SetFormat,
    Source,
)
from lantern.core.formats.html_lines import COLOURFUL
from lantern.core.formats.item_text import write_item
from lantern.core.formats.odt_lines import odt_lines
from lantern.core.formats.omml import FORMULA, formula_in
from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.pasted.source import line_of
from lantern.core.formats.safezip import MB, SafeZip, has_inside, is_open_document, slim
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item, Picture

MOST_XML = 8 * MB
"""Of one document: as a tree it takes ten to twenty times as much."""
_NO_WORDS = {qn("w:pPr"), qn("w:del"), qn("w:sdtPr")}


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
        with readable():
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
        return incoming_of(told, source, new_id)


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
        return incoming_of(told, source, new_id)

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
        incoming = Incoming(title=title_of(source))
        with readable():
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
    return page_of("\n".join([title or (body[0] if body else "–"), *lines]), new_id)
