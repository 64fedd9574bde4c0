"""Tables to an Excel workbook (Office Open XML), one sheet a table."""

from collections.abc import Sequence
from io import BytesIO

import xlsxwriter

from lantern.core.formats.table import Table

WIDEST, NARROWEST = 60, 6
# Text stays text: a name that begins with "=" is a name, and a link is not turned into one.
OPTIONS = {"in_memory": True, "strings_to_formulas": False, "strings_to_urls": False, "strings_to_numbers": False}


def write_workbook(tables: Sequence[Table]) -> bytes:
    buffer = BytesIO()
    with xlsxwriter.Workbook(buffer, OPTIONS) as book:
        bold = book.add_format({"bold": True, "bottom": 1, "text_wrap": True, "valign": "top"})
        for table in tables:
            _write_sheet(book, table, bold)
    return buffer.getvalue()


def _write_sheet(book: xlsxwriter.Workbook, table: Table, bold: object) -> None:
    sheet = book.add_worksheet(table.title)
    for column, heading in enumerate(table.columns):
        sheet.write_string(0, column, heading, bold)
        sheet.set_column(column, column, _width(heading, table, column))
    for number, row in enumerate(table.rows, start=1):
        for column, cell in enumerate(row):
            if isinstance(cell, str):
                sheet.write_string(number, column, cell)
            elif cell is not None:
                sheet.write_number(number, column, cell)
    sheet.freeze_panes(1, 0)
    if table.rows:
        sheet.autofilter(0, 0, len(table.rows), len(table.headings) - 1)


def _width(heading: str, table: Table, column: int) -> int:
    sample = [row[column] for row in table.rows[:50] if len(row) > column]
    longest = max((len(str(cell)) for cell in [heading, *sample] if cell is not None), default=0)
    return max(NARROWEST, min(WIDEST, longest + 2))
