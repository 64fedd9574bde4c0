"""The rows of an OpenDocument spreadsheet (ISO/IEC 26300), read as a stream.

A cell or a row may say that it is repeated a million times: what is beyond the bounds is never made.
"""

from io import BytesIO
from typing import BinaryIO

import lxml.etree as etree

from lantern.core.formats.exchange import Unreadable
from lantern.core.formats.safezip import MB, SafeZip
from lantern.core.messages import said

_TABLE = "{urn:oasis:names:tc:opendocument:xmlns:table:1.0}"
_TEXT = "{urn:oasis:names:tc:opendocument:xmlns:text:1.0}"
MOST_TABLES, MOST_XML = 20, 24 * MB
DAMAGED = said("sheet_damaged", "This spreadsheet is damaged: it could not be read to its end.")


Rows = list[list[str]]


def tables_of(content: BinaryIO, most_rows: int, most_columns: int) -> list[tuple[str, Rows]]:
    """(name, rows) of each table; cells are texts as they are shown. Raises Unreadable."""
    document = SafeZip(content).read("content.xml", MOST_XML)
    if document is None or b"<!DOCTYPE" in document or b"<!ENTITY" in document:
        raise Unreadable(DAMAGED)
    tables: list[tuple[str, Rows]] = []
    rows: Rows = []
    try:
        for _, element in etree.iterparse(
            BytesIO(document), events=("end",), tag=(f"{_TABLE}table", f"{_TABLE}table-row"),
            resolve_entities=False, no_network=True, huge_tree=False,
        ):  # fmt: skip
            if element.tag == f"{_TABLE}table":
                tables.append((element.get(f"{_TABLE}name", ""), _without_empty_end(rows)))
                rows = []
                element.clear()
                if len(tables) >= MOST_TABLES:
                    break
                continue
            cells = _cells(element, most_columns)
            rows += [cells] * max(0, min(_times(element, "rows"), most_rows - len(rows)))
            element.clear()
    except etree.XMLSyntaxError as error:
        raise Unreadable(DAMAGED) from error
    return tables


def _without_empty_end(rows: Rows) -> Rows:
    while rows and not any(rows[-1]):
        rows.pop()
    return rows


def _cells(row: "etree._Element", most: int) -> list[str]:
    cells: list[str] = []
    for cell in row.iter(f"{_TABLE}table-cell", f"{_TABLE}covered-table-cell"):
        text = "\n".join(_words(paragraph) for paragraph in cell.iterchildren(f"{_TEXT}p"))
        cells += [text] * min(_times(cell, "columns"), most - len(cells))
        if len(cells) >= most:
            break
    return cells


def _times(element: "etree._Element", what: str) -> int:
    said = element.get(f"{_TABLE}number-{what}-repeated", "1")
    return max(1, int(said)) if said.isdigit() and len(said) < 10 else 1


def _words(element: "etree._Element") -> str:
    parts = [element.text or ""]
    for child in element:
        if child.tag == f"{_TEXT}s":
            count = child.get(f"{_TEXT}c", "1")
            parts.append(" " * (min(1000, int(count)) if count.isdigit() else 1))
        elif child.tag == f"{_TEXT}tab":
            parts.append("\t")
        elif child.tag == f"{_TEXT}line-break":
            parts.append("\n")
        else:
            parts.append(_words(child) if isinstance(child.tag, str) else "")
        parts.append(child.tail or "")
    return "".join(parts)
