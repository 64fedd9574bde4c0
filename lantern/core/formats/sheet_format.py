"""Spreadsheets: xlsx and ods through libraries, CSV in any encoding and with any delimiter."""

import csv
import itertools
from collections import Counter
from collections.abc import Iterable
from io import BytesIO, StringIO
from typing import ClassVar

from odf import opendocument, table, text
from odf.teletype import addTextToElement

from lantern.core.formats.csv import without_marks, write_csv
from lantern.core.formats.exchange import (
    Incoming,
    MediaOf,
    SetFormat,
    Source,
    Unreadable,
    about_left_out,
    media_left_out,
)
from lantern.core.formats.ods_rows import rows_of
from lantern.core.formats.safezip import check_zip
from lantern.core.formats.sheet_rows import Rows, read_rows, write_table
from lantern.core.formats.table import Table
from lantern.core.formats.text_format import text_in
from lantern.core.formats.xlsx import write_workbook
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent

MOST_ROWS, MOST_COLUMNS, LONGEST_CELL = 5000, 60, 12_000
_DELIMITERS = ",;\t|"


class SheetFormat(SetFormat):
    """What the three have in common. A set's title and particulars do not fit into rows."""

    def read(self, source: Source, new_id: NewId) -> Incoming:
        rows, more = self.rows(source.data)
        incoming = read_rows(rows, source.choices, new_id, source.language)
        incoming.title = _title(source.name)
        if more:
            incoming.note(said("only_first_rows", "Only the first {most} rows were looked at.", most=MOST_ROWS))
        return incoming

    def rows(self, data: bytes) -> tuple[Rows, bool]:
        """(rows of texts, whether there are more of them). Raises Unreadable."""
        raise NotImplementedError

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        numbers = itertools.count(1)
        return self.pack(write_table(content, lambda: f"w{next(numbers)}"))

    def pack(self, made: Table) -> bytes:
        raise NotImplementedError

    def left_out(self, content: SetContent) -> list[Message]:
        return [*about_left_out(content), *media_left_out(content)]


def _title(name: str) -> str:
    return name.rsplit("/", 1)[-1].rsplit(".", 1)[0].replace("_", " ").strip()[:200]


def _cell(value: object) -> str:
    if value is None:
        return ""
    if isinstance(value, float) and value.is_integer():
        return str(int(value))
    return str(value).replace("\r\n", "\n")[:LONGEST_CELL]


class XlsxFormat(SheetFormat):
    name: ClassVar[str] = "xlsx"
    label: ClassVar[Message] = said("format_xlsx", "Spreadsheet (xlsx)")
    suffix: ClassVar[str] = ".xlsx"
    content_type: ClassVar[str] = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"

    def fits(self, source: Source) -> bool:
        return source.name.lower().endswith((".xlsx", ".xlsm"))

    def rows(self, data: bytes) -> tuple[Rows, bool]:
        """The first sheet with anything in it, read as a stream: a single cell far away costs nothing."""
        from openpyxl import load_workbook  # takes a second, which few processes need

        check_zip(data)
        try:
            book = load_workbook(BytesIO(data), read_only=True, data_only=True, keep_links=False)
            for sheet in book.worksheets[:20]:
                cells = sheet.iter_rows(max_row=MOST_ROWS + 1, max_col=MOST_COLUMNS, values_only=True)
                found = [[_cell(cell) for cell in row] for row in cells]
                if any(any(row) for row in found):
                    return found[:MOST_ROWS], len(found) > MOST_ROWS
        except Exception as error:  # the library raises all sorts for damaged files
            raise Unreadable(
                said("sheet_damaged", "This spreadsheet is damaged, or protected by a password.")
            ) from error
        raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))

    def pack(self, made: Table) -> bytes:
        return write_workbook([made])


class OdsFormat(SheetFormat):
    name: ClassVar[str] = "ods"
    label: ClassVar[Message] = said("format_ods", "Spreadsheet (ods)")
    suffix: ClassVar[str] = ".ods"
    content_type: ClassVar[str] = "application/vnd.oasis.opendocument.spreadsheet"

    def rows(self, data: bytes) -> tuple[Rows, bool]:
        found = [[cell[:LONGEST_CELL] for cell in row] for row in rows_of(data, MOST_ROWS + 1, MOST_COLUMNS)]
        if not any(any(row) for row in found):
            raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))
        return found[:MOST_ROWS], len(found) > MOST_ROWS

    def pack(self, made: Table) -> bytes:
        book = opendocument.OpenDocumentSpreadsheet()
        sheet = table.Table(name=made.title)
        for cells in [made.columns, *made.rows]:
            sheet.addElement(_ods_row(str(cell or "") for cell in cells))
        book.spreadsheet.addElement(sheet)
        buffer = BytesIO()
        book.write(buffer)
        return buffer.getvalue()


def _ods_row(cells: Iterable[str]) -> table.TableRow:
    row = table.TableRow()
    for cell in cells:
        made = table.TableCell(valuetype="string")
        for line in cell.split("\n"):
            paragraph = text.P()
            addTextToElement(paragraph, line)
            made.addElement(paragraph)
        row.addElement(made)
    return row


class CsvFormat(SheetFormat):
    name: ClassVar[str] = "csv"
    label: ClassVar[Message] = said("format_csv", "Spreadsheet (CSV)")
    suffix: ClassVar[str] = ".csv"
    content_type: ClassVar[str] = "text/csv; charset=utf-8"

    def fits(self, source: Source) -> bool:
        return source.name.lower().endswith((".csv", ".tsv", ".tab"))

    def rows(self, data: bytes) -> tuple[Rows, bool]:
        content = text_in(data).replace("\0", "")
        reader = csv.reader(StringIO(content, newline=""), delimiter=_delimiter(content))
        try:
            found = list(itertools.islice(reader, MOST_ROWS + 1))
        except csv.Error as error:
            raise Unreadable(said("sheet_cell_never_ends", "This file has a cell that never ends.")) from error
        rows = [[without_marks(cell)[:LONGEST_CELL] for cell in row[:MOST_COLUMNS]] for row in found[:MOST_ROWS]]
        return rows, len(found) > MOST_ROWS

    def pack(self, made: Table) -> bytes:
        return write_csv(made)


def _delimiter(content: str) -> str:
    """The one that parts the first rows most evenly: as many cells in each, and more than one."""
    head = content[:20_000]

    def evenness(mark: str) -> tuple[float, int]:
        rows = itertools.islice(csv.reader(StringIO(head, newline=""), delimiter=mark), 30)
        widths = Counter(len(row) for row in rows if any(row))
        usual, often = max(widths.items(), key=lambda one: (one[1], one[0]), default=(0, 0))
        return (often / widths.total(), usual) if usual > 1 else (0, 0)

    return max(_DELIMITERS, key=evenness)
