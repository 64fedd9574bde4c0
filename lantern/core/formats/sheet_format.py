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
from lantern.core.formats.ods_rows import DAMAGED, tables_of
from lantern.core.formats.safezip import (
    MB,
    OLD_OFFICE,
    PROTECTED,
    SafeZip,
    check_documents,
    has_inside,
    is_open_document,
)
from lantern.core.formats.sheet_model import Sheet
from lantern.core.formats.sheet_rows import read_sheets
from lantern.core.formats.sheet_write import write_table
from lantern.core.formats.table import Table
from lantern.core.formats.text_format import text_of, too_large
from lantern.core.formats.xlsx import write_workbook
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import SetContent

MOST_ROWS, MOST_COLUMNS, LONGEST_CELL, MOST_SHEETS = 5000, 60, 12_000, 20
_DELIMITERS = ",;\t|"
MOST_SIGNS = 6_000_000
"""Of all cells together: more than any 5,000 questions have, and few enough to be gone through."""
MOST_XML = 24 * MB
"""Of one sheet, which is read as a stream."""
MOST_OLD = 12 * MB


class SheetFormat(SetFormat):
    """What the three have in common. A set's title and particulars do not fit into rows."""

    def read(self, source: Source, new_id: NewId) -> Incoming:
        sheets, more = self.sheets(source)
        incoming = read_sheets(sheets, source.choices, new_id, source.language)
        incoming.title = incoming.title or _title(source.name)
        if more:
            read = max(len(sheet.rows) for sheet in sheets)
            incoming.note(said("only_first_rows", "Only the first {most} rows were looked at.", most=read))
        return incoming

    def sheets(self, source: Source) -> tuple[list[Sheet], bool]:
        """(sheets of texts that are not empty, whether there are more rows than were read). Raises Unreadable."""
        raise NotImplementedError

    def write(self, content: SetContent, media: MediaOf) -> bytes:
        numbers = itertools.count(1)
        return self.pack(write_table(content, lambda: f"w{next(numbers)}"))

    def pack(self, made: Table) -> bytes:
        raise NotImplementedError

    def left_out(self, content: SetContent) -> list[Message]:
        return [*about_left_out(content), *media_left_out(content)]


class Kept:
    """Rows of sheets as they are read, up to as many signs as questions can have."""

    def __init__(self) -> None:
        self._sheets: list[Sheet] = []
        self._signs, self._more = 0, False

    def take(self, rows: Iterable[list[str]], name: str) -> None:
        taken: list[list[str]] = []
        for row in rows:
            self._signs += sum(map(len, row))
            if len(taken) >= MOST_ROWS or self._signs > MOST_SIGNS:
                self._more = True
                break
            taken.append(row)
        if any(any(row) for row in taken):
            self._sheets.append(Sheet(taken, name))

    def all(self) -> tuple[list[Sheet], bool]:
        """(the sheets that are not empty, whether there is more than was taken). Raises Unreadable."""
        if not self._sheets:
            raise Unreadable(said("sheet_empty", "This spreadsheet is empty."))
        return self._sheets, self._more


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
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_xlsx", "Spreadsheet (xlsx)")
    suffix: ClassVar[str] = ".xlsx"
    content_type: ClassVar[str] = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"

    def fits(self, source: Source) -> bool:
        return source.name.lower().endswith((".xlsx", ".xlsm"))

    def is_one(self, source: Source) -> bool:
        return has_inside(source, "xl/workbook.xml")

    def sheets(self, source: Source) -> tuple[list[Sheet], bool]:
        """Read as a stream: a single cell far away costs nothing."""
        from openpyxl import load_workbook  # takes a second, which few processes need

        check_documents(SafeZip(source.opened()), MOST_XML)
        kept = Kept()
        try:
            book = load_workbook(source.opened(), read_only=True, data_only=True, keep_links=False)
            for sheet in book.worksheets[:MOST_SHEETS]:
                rows = (
                    [_cell(cell.value, cell.number_format or "") if cell.value is not None else "" for cell in row]
                    for row in sheet.iter_rows(max_row=MOST_ROWS + 1, max_col=MOST_COLUMNS)
                )
                kept.take(rows, sheet.title or "")
        except Exception as error:  # the library raises all sorts for damaged files
            raise Unreadable(DAMAGED) from error
        return kept.all()

    def pack(self, made: Table) -> bytes:
        return write_workbook([made])


class XlsFormat(SheetFormat):
    """The format that spreadsheets had before xlsx: only read."""

    name: ClassVar[str] = "xls"
    label: ClassVar[Message] = said("format_xls", "Spreadsheet (xls)")
    suffix: ClassVar[str] = ".xls"
    content_type: ClassVar[str] = "application/vnd.ms-excel"
    writes: ClassVar[bool] = False
    begins: ClassVar[tuple[bytes, ...]] = (OLD_OFFICE,)

    def is_one(self, source: Source) -> bool:
        """The name of the part that holds the sheets has changed once."""
        if not self.begins_so(source) or source.size > MOST_OLD:
            return False
        return any(name.encode("utf-16-le") in source.data for name in ("Workbook", "Book"))

    def sheets(self, source: Source) -> tuple[list[Sheet], bool]:
        import xlrd  # as above

        if source.size > MOST_OLD:
            raise Unreadable(too_large(source.size, MOST_OLD))
        kept = Kept()
        try:
            book = xlrd.open_workbook(
                file_contents=source.data, on_demand=True, formatting_info=True, logfile=StringIO()
            )
            for name in book.sheet_names()[:MOST_SHEETS]:
                sheet = book.sheet_by_name(name)
                rows = (
                    [_old_cell(book, sheet.cell(row, column)) for column in range(min(sheet.ncols, MOST_COLUMNS))]
                    for row in range(min(sheet.nrows, MOST_ROWS + 1))
                )
                kept.take(rows, name)
                book.unload_sheet(name)
        except Exception as error:  # the library raises its own and what the file makes it
            coded = isinstance(error, xlrd.XLRDError) and "encrypted" in str(error)
            raise Unreadable(PROTECTED if coded else DAMAGED) from error
        return kept.all()


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
    is_packed: ClassVar[bool] = True
    label: ClassVar[Message] = said("format_ods", "Spreadsheet (ods)")
    suffix: ClassVar[str] = ".ods"
    content_type: ClassVar[str] = "application/vnd.oasis.opendocument.spreadsheet"

    def is_one(self, source: Source) -> bool:
        return is_open_document(source, self.content_type)

    def sheets(self, source: Source) -> tuple[list[Sheet], bool]:
        kept = Kept()
        for name, rows in tables_of(source.opened(), MOST_ROWS + 1, MOST_COLUMNS)[:MOST_SHEETS]:
            kept.take(([cell[:LONGEST_CELL] for cell in row] for row in rows), name)
        return kept.all()

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

    def sheets(self, source: Source) -> tuple[list[Sheet], bool]:
        content = text_of(source).replace("\0", "")
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
