"""Several tables in one file: a zip of CSV files, or JSON."""

import json
from collections.abc import Sequence
from datetime import datetime
from io import BytesIO
from zipfile import ZIP_DEFLATED, ZipFile

from lantern.core.formats.csv import write_csv
from lantern.core.formats.table import Cell, Table, moment_text


def write_csv_zip(tables: Sequence[Table], *, marked: bool = True) -> bytes:
    """A file for each, in their order; `marked` as in `write_csv`."""
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        for number, table in enumerate(tables, start=1):
            archive.writestr(f"{number:02} {table.title}.csv", write_csv(table, marked=marked))
    return buffer.getvalue()


def write_json(tables: Sequence[Table]) -> bytes:
    """A list of tables, each with its name, what it is about, its columns and rows; moments in ISO 8601, shares and
    marks 0..1."""
    found = [
        {
            "name": table.title,
            "about": table.about,
            "columns": table.columns,
            "rows": [[_plain(cell) for cell in row] for row in table.rows],
        }
        for table in tables
    ]
    return json.dumps(found, ensure_ascii=False, indent=1).encode()


def _plain(cell: Cell) -> str | int | float | None:
    return moment_text(cell) if isinstance(cell, datetime) else cell
