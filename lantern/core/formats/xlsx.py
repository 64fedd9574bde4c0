"""Tables to an Excel workbook (Office Open XML), one sheet a table: headings stay in sight and filter, marks are light
and glyph, shares are percentages, moments are dates."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime
from io import BytesIO
from typing import Any

import xlsxwriter
from xlsxwriter.utility import xl_rowcol_to_cell

from lantern.core.formats.table import Cell, Table

WIDEST, NARROWEST = 60, 6
# Text stays text: a name that begins with "=" is a name, and a link is not turned into one.
OPTIONS = {"in_memory": True, "strings_to_formulas": False, "strings_to_urls": False, "strings_to_numbers": False}
GLYPHS = '[=1]"✓";[=0]"✗";0.00'
"""A mark stays the number that it is, and is shown as in the grid."""
LIT, HALF, DARK = "#F7CF6D", "#FBE7B5", "#33454F"


@dataclass(frozen=True, slots=True)
class _Formats:
    heading: Any
    about: Any
    mark: Any
    percent: Any
    moment: Any
    lit: Any
    half: Any
    dark: Any


def write_workbook(tables: Sequence[Table]) -> bytes:
    buffer = BytesIO()
    with xlsxwriter.Workbook(buffer, OPTIONS) as book:
        formats = _Formats(
            heading=book.add_format({"bold": True, "bottom": 1, "text_wrap": True, "valign": "top"}),
            about=book.add_format({"bold": True, "font_size": 12}),
            mark=book.add_format({"num_format": GLYPHS, "align": "center"}),
            percent=book.add_format({"num_format": "0.0 %"}),
            moment=book.add_format({"num_format": "yyyy-mm-dd hh:mm:ss"}),
            lit=book.add_format({"bg_color": LIT}),
            half=book.add_format({"bg_color": HALF}),
            dark=book.add_format({"bg_color": DARK, "font_color": "#FFFFFF"}),
        )
        for table in tables:
            _write_sheet(book, table, formats)
    return buffer.getvalue()


def _write_sheet(book: xlsxwriter.Workbook, table: Table, formats: _Formats) -> None:
    sheet = book.add_worksheet(table.title)
    top = 1 if table.about else 0
    if table.about:
        sheet.write_string(0, 0, table.about, formats.about)
    looks = [{"mark": formats.mark, "percent": formats.percent}.get(table.look(at)) for at in range(len(table.columns))]
    for column, heading in enumerate(table.columns):
        sheet.write_string(top, column, heading, formats.heading)
        sheet.set_column(column, column, _width(heading, table, column))
    for number, row in enumerate(table.rows, start=top + 1):
        for column, cell in enumerate(row):
            _write_cell(sheet, number, column, cell, looks[column] if column < len(looks) else None, formats)
    sheet.freeze_panes(top + 1, 1 if formats.mark in looks else 0)
    if table.rows:
        last = top + len(table.rows)
        sheet.autofilter(top, 0, last, len(table.columns) - 1)
        _light_marks(sheet, table, top + 1, last, formats)


def _write_cell(sheet: Any, row: int, column: int, cell: Cell, look: Any, formats: _Formats) -> None:
    if isinstance(cell, str):
        sheet.write_string(row, column, cell)
    elif isinstance(cell, datetime):
        sheet.write_datetime(row, column, cell.astimezone(UTC).replace(tzinfo=None), formats.moment)
    elif cell is not None:
        sheet.write_number(row, column, cell, look)


def _light_marks(sheet: Any, table: Table, first: int, last: int, formats: _Formats) -> None:
    """Fills beside the glyphs. An empty cell is no 0 here."""
    columns = [at for at in range(len(table.columns)) if table.look(at) == "mark"]
    if not columns:
        return
    start = xl_rowcol_to_cell(first, columns[0])
    for test, look in (("=1", formats.lit), ("=0", formats.dark), ("<1", formats.half)):
        rule = {"type": "formula", "criteria": f"=AND(ISNUMBER({start}),{start}{test})", "format": look}
        sheet.conditional_format(first, columns[0], last, columns[-1], {**rule, "stop_if_true": True})


def _width(heading: str, table: Table, column: int) -> int:
    sample = [row[column] for row in table.rows[:50] if len(row) > column]
    longest = max((len(_shown(cell)) for cell in [heading, *sample] if cell is not None), default=0)
    return max(NARROWEST, min(WIDEST, longest + 2))


def _shown(cell: Cell) -> str:
    return f"{cell:%Y-%m-%d %H:%M:%S}" if isinstance(cell, datetime) else str(cell)[:WIDEST]
