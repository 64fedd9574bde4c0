"""Documents, slides and PDFs: questions where they read like questions, pages for the rest, pictures with them."""

import io
import zipfile
from itertools import count

import docx
import pptx
import pytest
from docx.oxml import parse_xml
from hypothesis import given
from hypothesis import strategies as st
from odf import opendocument
from odf.draw import Frame
from odf.draw import Image as DrawImage
from odf.style import Style, TextProperties
from odf.text import P, Span
from PIL import Image, ImageDraw

from lantern.core.formats.exchange import Source, Unreadable
from lantern.core.formats.omml import formula_in
from lantern.core.formats.registry import read_file


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def png():
    out = io.BytesIO()
    Image.new("RGB", (60, 40), "#314a5c").save(out, "PNG")
    out.seek(0)
    return out


def saved(document):
    out = io.BytesIO()
    document.save(out)
    return out.getvalue()


def read(name, data, **choices):
    return read_file(Source(name, data, choices), ids())


def a_document():
    document = docx.Document()
    document.add_heading("At the quay", 1)
    document.add_paragraph("Ropes are made fast before anybody steps ashore.")
    document.add_paragraph("")
    document.add_paragraph("1. Which knot makes a loop?")
    for text, bold in (("a) Reef knot", False), ("b) Bowline", True)):
        document.add_paragraph().add_run(text).bold = bold
    document.add_paragraph().add_run().add_picture(png())
    table = document.add_table(rows=3, cols=2)
    for row, pair in zip(table.rows, (("bow", "front"), ("stern", "back"), ("keel", "bottom")), strict=True):
        for cell, text in zip(row.cells, pair, strict=True):
            cell.text = text
    return saved(document)


def test_a_document_gives_pages_questions_with_what_is_bold_and_tables_of_words():
    incoming = read("At_the_quay.docx", a_document())
    items = [entry.item for entry in incoming.entries]
    assert [item.kind for item in items] == ["page", "choice", "match"]
    assert [option.right for option in items[1].options] == [False, True]
    assert items[1].picture.media in incoming.media
    assert (items[2].pairs[0].left, items[2].pairs[0].right) == ("bow", "front")


def test_what_a_word_processor_numbers_by_itself_is_numbered_here():
    document = docx.Document()
    for number, text in enumerate(("Which knot makes a loop?", "Which knot joins two ropes?")):
        document.add_paragraph(text, style="List Number")
        for option in ("Sheet bend", "Bowline"):
            right = (option == "Bowline") != bool(number)
            document.add_paragraph(style="List Bullet").add_run(option).bold = right
    document.add_paragraph("A knot is tried with a short rope before it is trusted.")
    made = read("knots.docx", saved(document)).entries
    assert [entry.item.kind for entry in made] == ["choice", "choice", "page"]
    assert [[option.right for option in entry.item.options] for entry in made[:2]] == [[False, True], [True, False]]


def test_slides_become_pages_and_questions_with_their_picture():
    deck = pptx.Presentation()
    for title, body in (
        ("Tides", "Twice a day\nSix hours up"),
        ("Which knot makes a loop?", "a) Reef knot\nb) Bowline *"),
    ):
        slide = deck.slides.add_slide(deck.slide_layouts[1])
        slide.shapes.title.text = title
        slide.placeholders[1].text = body
    slide.shapes.add_picture(png(), 0, 0)
    deck.slides.add_slide(deck.slide_layouts[6])
    incoming = read("deck.pptx", saved(deck))
    page, question = (entry.item for entry in incoming.entries)
    assert (page.prompt, page.body) == ("Tides", "- Twice a day\n- Six hours up")
    assert [option.right for option in question.options] == [False, True]
    assert len(incoming.media) == 1
    assert [str(entry.place) for entry in incoming.entries] == ["Slide 1", "Slide 2"]


def a_pdf(text):
    """Two pages; Pillow writes the picture of a page, so it is a scan."""
    pages = [Image.new("RGB", (300, 400), "white") for _ in range(2)]
    ImageDraw.Draw(pages[0]).text((20, 20), text, fill="black")
    out = io.BytesIO()
    pages[0].save(out, "PDF", save_all=True, append_images=pages[1:])
    return out.getvalue()


def test_a_scanned_pdf_comes_in_as_pictures_of_its_pages():
    incoming = read("scan.pdf", a_pdf("Knots"))
    assert [entry.item.prompt for entry in incoming.entries] == ["Page 1", "Page 2"]
    assert [(ask.name, ask.given, [way.value for way in ask.ways]) for ask in incoming.asks] == [
        ("as", "pictures", ["text", "pictures"])
    ]
    sizes = {Image.open(io.BytesIO(file.data)).size[0] for file in incoming.media.values()}
    assert max(sizes) <= 1600


TEXT_PDF = b"""%PDF-1.4
1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj
2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj
3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 300 300]/Contents 4 0 R/Resources<</Font<</F 5 0 R>>>>>>endobj
4 0 obj<</Length 118>>stream
BT /F 12 Tf 20 250 Td (1. Which knot makes a loop?) Tj 0 -20 Td (a\\) Reef knot) Tj 0 -20 Td (b\\) Bowline *) Tj ET
endstream endobj
5 0 obj<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>endobj
trailer<</Root 1 0 R>>"""


def test_a_pdf_with_text_is_read_as_text_unless_pictures_are_wanted():
    (entry,) = read("knots.pdf", TEXT_PDF).entries
    assert [option.right for option in entry.item.options] == [False, True]
    as_pictures = read("knots.pdf", TEXT_PDF, **{"as": "pictures"})
    assert [entry.item.kind for entry in as_pictures.entries] == ["page"]
    assert "Which knot" in as_pictures.entries[0].item.picture.description


@pytest.mark.parametrize("name", ["a.docx", "a.pptx", "a.pdf"])
def test_a_damaged_document_is_a_sentence(name):
    for data in (b"PK\x03\x04nothing", b"%PDF-1.4 nothing", a_document()[:2000]):
        with pytest.raises(Unreadable):
            read(name, data)


def test_an_open_document_keeps_its_letters_and_what_is_bold():
    document = opendocument.OpenDocumentText()
    bold = Style(name="Bold", family="text")
    bold.addElement(TextProperties(fontweight="bold"))
    document.automaticstyles.addElement(bold)
    for words, marked in (
        ("1. Which knot makes a loop?", ""),
        ("a) Reef knot", ""),
        ("b) ", "Bowline"),
        ("c) Hitch", ""),
    ):
        paragraph = P(text=words)
        if marked:
            paragraph.addElement(Span(stylename=bold, text=marked))
        document.text.addElement(paragraph)
    buffer = io.BytesIO()
    document.write(buffer)
    (entry,) = read_file(Source("quiz.odt", buffer.getvalue()), ids()).entries
    assert [option.text for option in entry.item.options if option.right] == ["Bowline"]
    with pytest.raises(Unreadable):
        read_file(Source("quiz.odt", b"PK\x03\x04 no document"), ids())


MATH = "http://schemas.openxmlformats.org/officeDocument/2006/math"


def formula(inside):
    return parse_xml(f'<m:oMath xmlns:m="{MATH}">{inside}</m:oMath>')


def words(text, part="e"):
    return f"<m:{part}><m:r><m:t>{text}</m:t></m:r></m:{part}>"


HALF = f"<m:f>{words('1', 'num')}{words('2', 'den')}</m:f>"
TABLE = f"<m:m><m:mr>{words('1')}{words('0')}</m:mr><m:mr>{words('0')}{words('1')}</m:mr></m:m>"
FORMULAS = [
    (HALF, r"\frac{1}{2}"),
    (f"<m:sSup>{words('x')}{words('2', 'sup')}</m:sSup>", "x^{2}"),
    (f"<m:sSubSup>{words('a')}{words('1', 'sub')}{words('2', 'sup')}</m:sSubSup>", "a_{1}^{2}"),
    (f'<m:rad><m:radPr><m:degHide m:val="1"/></m:radPr><m:deg/>{words("b+1")}</m:rad>', r"\sqrt{b+1}"),
    (f"<m:rad>{words('3', 'deg')}{words('27')}</m:rad>", r"\sqrt[3]{27}"),
    (f"<m:d>{words('x+1')}</m:d>", r"\left(x+1\right)"),
    (f"<m:nary>{words('0', 'sub')}{words('1', 'sup')}{words('x')}</m:nary>", r"\int_{0}^{1} x"),
    (f"<m:func>{words('sin', 'fName')}{words('x')}</m:func>", r"\sin x"),
    (TABLE, r"\begin{matrix} 1 & 0 \\ 0 & 1 \end{matrix}"),
    (f"<m:d><m:e>{TABLE}</m:e></m:d>", r"\begin{pmatrix} 1 & 0 \\ 0 & 1 \end{pmatrix}"),
    (
        '<m:d><m:dPr><m:begChr m:val="{"/><m:endChr m:val=""/></m:dPr>'
        f"<m:e><m:eqArr>{words('x=1')}</m:eqArr></m:e></m:d>",
        r"\left\{\begin{matrix} x=1 \end{matrix}\right.",
    ),
    ("<m:r><m:rPr><m:nor/></m:rPr><m:t>work in 5 min</m:t></m:r>", r"\text{work in 5 min}"),
]


@pytest.mark.parametrize(("inside", "latex"), FORMULAS)
def test_formulas_of_word_processors_become_latex(inside, latex):
    assert formula_in(formula(inside)) == f"${latex}$"


@given(
    st.recursive(st.just(words("x")), lambda part: st.lists(part, max_size=3).map("".join).map("<m:f>{}</m:f>".format))
)
def test_a_formula_in_any_disorder_is_no_fault(inside):
    formula_in(formula(inside))


def test_formulas_stand_where_they_were_in_documents_cells_and_slides():
    document = docx.Document()
    paragraph = document.add_paragraph("1. How much is ")
    paragraph._p.append(formula(HALF))
    paragraph.add_run(" of 8 knots?")
    document.add_paragraph("Answer: 4")
    cell = document.add_table(1, 1).rows[0].cells[0].paragraphs[0]
    cell._p.append(formula(HALF))
    buffer = io.BytesIO()
    document.save(buffer)
    found = read("quiz.docx", buffer.getvalue())
    assert found.entries[0].item.prompt == r"How much is $\frac{1}{2}$ of 8 knots?"
    assert any(r"$\frac{1}{2}$" in entry.text for entry in found.entries[1:])
    deck = pptx.Presentation()
    slide = deck.slides.add_slide(deck.slide_layouts[1])
    slide.shapes.title.text = "The half"
    slide.placeholders[1].text = "It is"
    slide.placeholders[1].text_frame.paragraphs[0]._p.append(formula(HALF))
    buffer = io.BytesIO()
    deck.save(buffer)
    (entry,) = read("half.pptx", buffer.getvalue()).entries
    assert r"It is $\frac{1}{2}$" in entry.text


def test_an_open_document_brings_its_pictures_and_its_formulas():
    document = opendocument.OpenDocumentText()
    href = document.addPictureFromString(png().read(), "image/png")
    paragraph = P(text="1. Which knot is this?")
    frame = Frame()
    frame.addElement(DrawImage(href=href))
    paragraph.addElement(frame)
    document.text.addElement(paragraph)
    for line in ("a) Reef knot *", "b) Bowline"):
        document.text.addElement(P(text=line))
    buffer = io.BytesIO()
    document.write(buffer)
    math = b'<math xmlns="http://www.w3.org/1998/Math/MathML"><msup><mi>x</mi><mn>2</mn></msup></math>'
    body = zipfile.ZipFile(buffer).read("content.xml")
    objects = "".join(
        f'<text:p>2. What is this? <draw:frame><draw:object xlink:href="./{name}"/></draw:frame></text:p>'
        for name in ("Object 1", "Chart 2")
    )
    body = body.replace(b"</office:text>", objects.encode() + b"</office:text>")
    with zipfile.ZipFile(buffer) as old, zipfile.ZipFile(changed := io.BytesIO(), "w") as new:
        for name in old.namelist():
            new.writestr(name, body if name == "content.xml" else old.read(name))
        new.writestr("Object 1/content.xml", math)
    found = read("quiz.odt", changed.getvalue())
    first = found.entries[0].item
    assert found.media[first.picture.media].data == png().read()
    assert "What is this? $x^{2}$" in found.entries[1].text
    assert "drawings" in str(found.notes[0])
    assert found.notes[0].params == {"count": 1}
