"""A table to CSV (RFC 4180, UTF-8 with a byte order mark, so that spreadsheets read every script)."""

import csv
import re
from datetime import datetime
from io import StringIO

from lantern.core.formats.table import Cell, Table, moment_text

# A spreadsheet takes a cell that begins so for a formula; an apostrophe before it makes it text. Whoever reads the file
# with another separator sees cells begin inside ours: those are looked at, too.
_BEGINS = r"(^|[;|\t\r\n])"
_FORMULA = r"['\s]*[=+@\t\r-]"
_BARE = re.compile(rf"{_BEGINS}(?={_FORMULA})")
_MARKED = re.compile(rf"{_BEGINS}'(?={_FORMULA})")


def write_csv(table: Table, *, marked: bool = True) -> bytes:
    """`marked`: with the byte order mark by which spreadsheets know UTF-8."""
    out = StringIO()
    writer = csv.writer(out)
    writer.writerow(table.columns)
    writer.writerows([_safe(cell) for cell in row] for row in table.rows)
    return out.getvalue().encode("utf-8-sig" if marked else "utf-8")


def _safe(cell: Cell) -> Cell:
    if isinstance(cell, datetime):
        return moment_text(cell)
    return as_text(cell) if isinstance(cell, str) else cell


def as_text(cell: str) -> str:
    """The cell, so that no spreadsheet takes it, or a part of it, for a formula."""
    return _BARE.sub(r"\1'", cell)


def without_marks(cell: str) -> str:
    """The inverse of `as_text`."""
    return _MARKED.sub(r"\1", cell)
