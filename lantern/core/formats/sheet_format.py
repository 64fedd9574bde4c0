"""Spreadsheets: xlsx and ods through libraries, CSV in any encoding and with any delimiter."""

import csv
import itertools
from collections import Counter
from collections.abc import Iterable
from datetime import date, datetime, time
from io import BytesIO, StringIO
from typing import Any, ClassVar

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
from lantern.core.formats.ods_rows import tables_of
from lantern.core.formats.safezip import check_zip
from lantern.core.formats.sheet_rows import Sheet, read_sheets
from lantern.core.formats.sheet_write import write_table
from lantern.core.formats.table import Table
from lantern.core.formats.text_format import text_in
from lantern.core.formats.xlsx import write_workbook
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent

MOST_ROWS, MOST_COLUMNS, LONGEST_CELL, MOST_SHEETS = 5000, 60, 12_000, 20
_DELIMITERS = ",;\t|"


class SheetFormat(SetFormat):
    """What the three have in common. A set's title and particulars do not fit into rows."""

    def read(self, source: Source, new_id: NewId) -> Incoming:
        sheets, more = self.sheets(source.data)
        incoming = read_sheets(sheets, source.choices, new_id, source.language)
        incoming.title = incoming.title or _title(source.name)
        if more:
            incoming.note(said("only_first_rows", "Only the first {most} rows were looked at.", most=MOST_ROWS))
        return incoming

    def sheets(self, data: bytes) -> tuple[list[Sheet], bool]:
        """(sheets of texts that are not empty, whether there are more rows than were read). Raises Unreadable."""
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


def _cell(value: object, form: str = "") -> str:
    """A cell as it is shown: `form` is the format that the sheet gives its number."""
    if value is None:
        return ""
    if isinstance(value, bool):
        return "True" if value else "False"
    if isinstance(value, datetime) and value.time() == time():
        value = value.date()
    if isinstance(value, (datetime, date, time)):
        return value.isoformat(" ", "minutes") if isinstance(value, datetime) else _day_or_time(value)
    if isinstance(value, (int, float)) and "%" in form:
        return f"{_plain_number(round(value * 100, 10))}%"
    return _plain_number(value) if isinstance(value, (int, float)) else str(value).replace("\r\n", "\n")[:LONGEST_CELL]


def _day_or_time(value: date | time) -> str:
    return value.isoformat("minutes") if isinstance(value, time) else value.isoformat()


def _plain_number(value: int | float) -> str:
    return str(int(value)) if isinstance(value, float) and value.is_integer() else str(value)


class XlsxFormat(SheetFormat):
    name: ClassVar[str] = "xlsx"
    label: ClassVar[Message] = said("format_xlsx", "Spreadsheet (xlsx)")
    suffix: ClassVar[str] = ".xlsx"
    content_type: ClassVar[str] = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"

    def fits(self, source: Source) -> bool:
        return source.name.lower().endswith((".xlsx", ".xlsm"))

    def sheets(self, data: bytes) -> tuple[list[Sheet], bool]:
        """Read as a stream: a single cell far away costs nothing."""
        from openpyxl import load_workbook  # takes a second, which few processes need

        check_zip(data)
        found: list[Sheet] = []
        more = False
        try:
            book = load_workbook(BytesIO(data), read_only=True, data_only=True, keep_links=False)
            for sheet in book.worksheets[:MOST_SHEETS]:
                rows = [
                    [_cell(cell.value, cell.number_format or "") if cell.value is not None else "" for cell in row]
                    for row in sheet.iter_rows(max_row=MOST_ROWS + 1, max_col=MOST_COLUMNS)
                ]
                more |= len(rows) > MOST_ROWS
                if any(any(row) for row in rows):
                    found.append(Sheet(rows[:MOST_ROWS], sheet.title or ""))
        except Exception as error:  # the library raises all sorts for damaged files
            raise Unreadable(
                said("sheet_damaged", "This spreadsheet is damaged, or protected by a password.")
            ) from error
        if not found:
            raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))
        return found, more

    def pack(self, made: Table) -> bytes:
        return write_workbook([made])


class XlsFormat(SheetFormat):
    """The format that spreadsheets had before xlsx: only read."""

    name: ClassVar[str] = "xls"
    label: ClassVar[Message] = said("format_xls", "Spreadsheet (xls)")
    suffix: ClassVar[str] = ".xls"
    content_type: ClassVar[str] = "application/vnd.ms-excel"
    writes: ClassVar[bool] = False

    def sheets(self, data: bytes) -> tuple[list[Sheet], bool]:
        import xlrd  # as above

        found: list[Sheet] = []
        more = False
        try:
            book = xlrd.open_workbook(file_contents=data, on_demand=True, formatting_info=True, logfile=StringIO())
            for name in book.sheet_names()[:MOST_SHEETS]:
                sheet = book.sheet_by_name(name)
                more |= sheet.nrows > MOST_ROWS
                rows = [
                    [_old_cell(book, sheet.cell(row, column)) for column in range(min(sheet.ncols, MOST_COLUMNS))]
                    for row in range(min(sheet.nrows, MOST_ROWS))
                ]
                book.unload_sheet(name)
                if any(any(row) for row in rows):
                    found.append(Sheet(rows, name))
        except Exception as error:  # the library raises its own and what the file makes it
            raise Unreadable(
                said("sheet_damaged", "This spreadsheet is damaged, or protected by a password.")
            ) from error
        if not found:
            raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))
        return found, more


def _old_cell(book: Any, cell: Any) -> str:
    """A cell of an old spreadsheet: what is a date or a truth there is a number with a type."""
    import xlrd

    if cell.ctype == xlrd.XL_CELL_DATE:
        moment = xlrd.xldate_as_datetime(cell.value, book.datemode)
        return _cell(moment.time() if cell.value < 1 else moment)
    if cell.ctype == xlrd.XL_CELL_BOOLEAN:
        return _cell(bool(cell.value))
    if cell.ctype == xlrd.XL_CELL_ERROR:
        return ""
    form = book.format_map.get(book.xf_list[cell.xf_index].format_key) if cell.xf_index is not None else None
    return _cell(cell.value, form.format_str if form is not None else "")


class OdsFormat(SheetFormat):
    name: ClassVar[str] = "ods"
    label: ClassVar[Message] = said("format_ods", "Spreadsheet (ods)")
    suffix: ClassVar[str] = ".ods"
    content_type: ClassVar[str] = "application/vnd.oasis.opendocument.spreadsheet"

    def sheets(self, data: bytes) -> tuple[list[Sheet], bool]:
        tables = [
            Sheet([[cell[:LONGEST_CELL] for cell in row] for row in rows], name)
            for name, rows in tables_of(data, MOST_ROWS + 1, MOST_COLUMNS)[:MOST_SHEETS]
            if any(any(row) for row in rows)
        ]
        if not tables:
            raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))
        more = any(len(sheet.rows) > MOST_ROWS for sheet in tables)
        return [Sheet(sheet.rows[:MOST_ROWS], sheet.name) for sheet in tables], more

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

    def sheets(self, data: bytes) -> tuple[list[Sheet], bool]:
        content = text_in(data).replace("\0", "")
        reader = csv.reader(StringIO(content, newline=""), delimiter=_delimiter(content))
        try:
            found = list(itertools.islice(reader, MOST_ROWS + 1))
        except csv.Error as error:
            raise Unreadable(said("sheet_cell_never_ends", "This file has a cell that never ends.")) from error
        rows = [[without_marks(cell)[:LONGEST_CELL] for cell in row[:MOST_COLUMNS]] for row in found[:MOST_ROWS]]
        return [Sheet(rows)], len(found) > MOST_ROWS

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
