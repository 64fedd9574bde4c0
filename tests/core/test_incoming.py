"""What comes in is understood, or it says so: samples by category, the shares of which the report prints.

Every third sample of a file was kept aside while the readers were written.
"""

from io import BytesIO
from itertools import count
from zipfile import ZipFile

import docx
from docx.shared import RGBColor
from openpyxl import Workbook

from lantern.core.formats.exchange import Source
from lantern.core.formats.html_lines import text_of_html
from lantern.core.formats.registry import read_file, read_typed
from tests.core.incoming_samples import Shares, samples_of, shares
from tests.samples.incoming.documents import DOCUMENTS
from tests.samples.incoming.qti import SAMPLES as PACKAGES
from tests.samples.incoming.sheets import SHEETS, Percent

TEXTS = (
    "assistants", "below_options", "formatting", "languages", "layouts", "mail_and_lines", "no_question", "pairs",
    "second_look", "third_look", "fourth_look", "fifth_look", "sixth_look", "seventh_look", "eighth_look", "ninth_look",
    "tenth_look", "eleventh_look", "twelfth_look", "thirteenth_look", "fourteenth_look",
    "fifteenth_look", "sixteenth_look", "seventeenth_look", "eighteenth_look", "nineteenth_look", "twentieth_look",
    "twenty_first_look", "twenty_second_look", "twenty_third_look", "twenty_fourth_look", "twenty_fifth_look",
    "twenty_sixth_look", "twenty_seventh_look", "twenty_eighth_look", "twenty_ninth_look", "thirtieth_look",
    "thirty_first_look", "thirty_second_look", "thirty_third_look", "thirty_fourth_look", "thirty_fifth_look",
    "thirty_sixth_look", "thirty_seventh_look", "thirty_eighth_look", "thirty_ninth_look", "fortieth_look",
    "forty_first_look", "forty_second_look", "forty_third_look", "forty_fourth_look", "forty_fifth_look",
    "forty_sixth_look", "forty_seventh_look", "forty_eighth_look", "forty_ninth_look", "fiftieth_look",
    "fifty_first_look", "fifty_second_look", "fifty_third_look", "fifty_fourth_look", "fifty_fifth_look",
    "fifty_sixth_look", "fifty_seventh_look", "fifty_eighth_look", "fifty_ninth_look", "sixtieth_look",
    "sixty_first_look", "sixty_second_look", "sixty_third_look", "sixty_fourth_look", "sixty_fifth_look",
    "sixty_sixth_look", "sixty_seventh_look", "sixty_eighth_look", "sixty_ninth_look", "seventieth_look",
    "seventy_first_look", "seventy_second_look",
    "seventy_third_look", "seventy_fourth_look", "seventy_fifth_look", "seventy_sixth_look",
    "seventy_seventh_look", "seventy_eighth_look", "seventy_ninth_look", "eightieth_look",
    "eighty_first_look", "eighty_second_look", "eighty_third_look", "eighty_fourth_look",
    "eighty_fifth_look", "eighty_sixth_look", "eighty_seventh_look", "eighty_eighth_look",
    "eighty_ninth_look", "ninetieth_look", "ninety_first_look", "ninety_second_look",
    "ninety_third_look", "ninety_fourth_look", "ninety_fifth_look", "ninety_sixth_look",
    "ninety_seventh_look", "ninety_eighth_look", "ninety_ninth_look", "hundredth_look",
    "hundred_first_look", "hundred_second_look", "hundred_third_look", "hundred_fourth_look",
    "hundred_fifth_look", "hundred_sixth_look", "hundred_seventh_look",
    "hundred_eighth_look", "hundred_ninth_look",
)  # fmt: skip


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def of_texts(category, *, as_text=str):
    for sample in samples_of(category):
        incoming = read_typed(as_text(sample.text), ids(), sample.language)
        yield sample.aside, shares(sample.name, incoming, sample.expected, sample.left)


def of_sheets():
    for at, sample in enumerate(SHEETS):
        incoming = read_file(
            Source("class 8c.xlsx", book_of(sample)),
            ids(),
        )
        found = shares(sample.name, incoming, sample.expected, sample.left)
        if sample.asked:
            found = Shares(silent=0 if incoming.asks else 1)
        if sample.refused and not any(entry.item is None for entry in incoming.entries):
            found += Shares(silent=1, wrong={sample.name: ["not refused"]})
        yield at % 3 == 2, found


def book_of(sample):
    book = Workbook()
    sheet = book.active
    for name, rows in ((None, sample.rows), *sample.more):
        sheet = sheet if name is None else book.create_sheet(name)
        for row, cells in enumerate(rows, start=1):
            for column, value in enumerate(cells, start=1):
                if value is None:
                    continue
                cell = sheet.cell(row, column)
                cell.value = value.value if isinstance(value, Percent) else value
                if isinstance(value, Percent):
                    cell.number_format = "0%"
    buffer = BytesIO()
    book.save(buffer)
    return buffer.getvalue()


def of_packages():
    for at, sample in enumerate(PACKAGES):
        incoming = read_file(Source("set.zip", package_of(sample)), ids())
        found = shares(sample.name, incoming, sample.expected) if sample.expected else Shares()
        told = "\n".join([*map(str, incoming.notes), *(str(s) for e in incoming.entries for s in e.sentences)])
        asked = "\n".join(entry.item.prompt for entry in incoming.entries if entry.item)
        unnamed = [word for word in sample.named if word not in told and word not in asked]
        if unnamed or (sample.refused and any(entry.item for entry in incoming.entries)):
            found += Shares(silent=1, wrong={sample.name: unnamed or ["not refused"]})
        yield at % 3 == 2, found


def package_of(sample):
    buffer = BytesIO()
    three = "qti-assessment-item" in sample.xml
    space = "qti/qtiv3p0/imscp_v1p1" if three else "imscp_v1p1"
    kind = "imsqti_item_xmlv3p0" if three else "imsqti_item_xmlv2p1"
    with ZipFile(buffer, "w") as archive:
        archive.writestr(sample.path, sample.xml)
        for name, data in sample.files.items():
            archive.writestr(name, data)
        archive.writestr(
            "imsmanifest.xml",
            f'<manifest xmlns="http://www.imsglobal.org/xsd/{space}" identifier="m"><resources>'
            f'<resource identifier="i1" type="{kind}" href="{sample.path}"/></resources></manifest>',
        )
    return buffer.getvalue()


def of_documents():
    for at, sample in enumerate(DOCUMENTS):
        incoming = read_file(
            Source("quiz.docx", document_of(sample)),
            ids(),
        )
        yield at % 3 == 2, shares(sample.name, incoming, sample.expected, sample.left)


def document_of(sample):
    document = docx.Document()
    for part in sample.parts:
        if isinstance(part, list):
            table = document.add_table(rows=0, cols=len(part[0]))
            for row in part:
                for cell, text in zip(table.add_row().cells, row, strict=True):
                    cell.text = text
            continue
        style, pieces = part
        paragraph = document.add_paragraph(style=style or None)
        for piece in pieces:
            text, look = (piece, "") if isinstance(piece, str) else piece
            run = paragraph.add_run(text)
            run.bold = look == "bold" or None
            run.underline = look == "underlined" or None
            if look == "green":
                run.font.color.rgb = RGBColor(0x1B, 0x7A, 0x3D)
            if look == "marked":
                run.font.highlight_color = 7
    buffer = BytesIO()
    document.save(buffer)
    return buffer.getvalue()


CATEGORIES = {
    **{f"text: {name.replace('_', ' ')}": (lambda name=name: of_texts(name)) for name in TEXTS},
    "HTML of the clipboard": lambda: of_texts("clipboard_html", as_text=text_of_html),
    "sheets": of_sheets,
    "documents": of_documents,
    "QTI": of_packages,
}
LEAST = {"text": 0.9, "HTML": 0.9, "sheets": 0.95, "documents": 0.9, "QTI": 0.98}
MOST_SILENT = 0.01


def measured():
    """By category: what became of the samples that were at hand, and of those kept aside."""
    found = {}
    for name, samples in CATEGORIES.items():
        sums = (Shares(), Shares())
        for aside, one in samples():
            sums = (sums[0], sums[1] + one) if aside else (sums[0] + one, sums[1])
        found[name] = sums
    return found


def test_what_comes_in_is_understood_and_hardly_anything_is_wrong_without_a_word(record_property):
    found = measured()
    lines = [f"  {name}: {at_hand + aside}" for name, (at_hand, aside) in found.items()]
    at_hand, aside = (sum((one[which] for one in found.values()), Shares()) for which in (0, 1))
    record_property(
        "report", "\n".join(["What comes in, by category:", *lines, f"  at hand: {at_hand}", f"  kept aside: {aside}"])
    )
    for form, least in LEAST.items():
        every = sum((one + other for name, (one, other) in found.items() if name.startswith(form)), Shares())
        assert every.right >= least * every.questions, every.wrong
    every = at_hand + aside
    assert every.questions >= 150
    assert every.silent <= MOST_SILENT * every.questions, every.wrong
