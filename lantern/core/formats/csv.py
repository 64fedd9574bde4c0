"""A table to CSV (RFC 4180, UTF-8 with a byte order mark, so that spreadsheets read every script)."""

import csv
from io import StringIO

from lantern.core.formats.table import Cell, Table

# A spreadsheet takes a cell that begins so for a formula; a leading apostrophe makes it text.
FORMULA_STARTS = ("=", "+", "-", "@", "\t", "\r")


def write_csv(table: Table) -> bytes:
    out = StringIO()
    writer = csv.writer(out)
    writer.writerow(table.headings)
    writer.writerows([_safe(cell) for cell in row] for row in table.rows)
    return out.getvalue().encode("utf-8-sig")


def _safe(cell: Cell) -> Cell:
    starts = isinstance(cell, str) and cell.lstrip("'").startswith(FORMULA_STARTS)
    return f"'{cell}" if starts else cell
