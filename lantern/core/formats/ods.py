"""Tables to an OpenDocument spreadsheet (ISO/IEC 26300), one sheet a table: marks and shares stay the numbers that they
are, shares are shown as percentages, moments are dates.

It is written as XML, row by row: no tree of all cells has to be held (docs/performance.md says what that costs).
"""

import re
from collections.abc import Iterator, Sequence
from datetime import UTC, datetime
from io import BytesIO
from xml.sax.saxutils import escape, quoteattr
from zipfile import ZIP_DEFLATED, ZIP_STORED, ZipFile

from lantern.core.formats.table import Cell, Look, Table

_UNFIT = re.compile(r"[^\t\n\x20-\ud7ff\ue000-\ufffd\U00010000-\U0010ffff]")
TYPE = "application/vnd.oasis.opendocument.spreadsheet"
_NAMES = " ".join(
    f'xmlns:{prefix}="urn:oasis:names:tc:opendocument:xmlns:{name}:1.0"'
    for prefix, name in (("office", "office"), ("table", "table"), ("text", "text"), ("style", "style"),
                         ("number", "datastyle"), ("fo", "xsl-fo-compatible"))
)  # fmt: skip
_STYLES = (
    '<number:percentage-style style:name="N1"><number:number number:decimal-places="1" number:min-integer-digits="1"/>'
    "<number:text> %</number:text></number:percentage-style>"
    '<number:date-style style:name="N2"><number:year number:style="long"/><number:text>-</number:text>'
    '<number:month number:style="long"/><number:text>-</number:text><number:day number:style="long"/>'
    "<number:text> </number:text>"
    '<number:hours number:style="long"/><number:text>:</number:text><number:minutes number:style="long"/>'
    '<number:text>:</number:text><number:seconds number:style="long"/></number:date-style>'
    '<style:style style:name="percent" style:family="table-cell" style:data-style-name="N1"/>'
    '<style:style style:name="moment" style:family="table-cell" style:data-style-name="N2"/>'
    '<style:style style:name="heading" style:family="table-cell"><style:text-properties fo:font-weight="bold"/>'
    "</style:style>"
)
_MANIFEST = (
    '<?xml version="1.0" encoding="UTF-8"?>'
    '<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.3">'
    f'<manifest:file-entry manifest:full-path="/" manifest:media-type="{TYPE}"/>'
    '<manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>'
)


def write_ods(tables: Sequence[Table]) -> bytes:
    buffer = BytesIO()
    with ZipFile(buffer, "w", ZIP_DEFLATED) as archive:
        archive.writestr("mimetype", TYPE, ZIP_STORED)  # first, and as it is: by it the file is known
        archive.writestr("META-INF/manifest.xml", _MANIFEST)
        archive.writestr("content.xml", "".join(_content(tables)))
    return buffer.getvalue()


def _content(tables: Sequence[Table]) -> Iterator[str]:
    yield f'<?xml version="1.0" encoding="UTF-8"?><office:document-content {_NAMES} office:version="1.3">'
    yield f"<office:automatic-styles>{_STYLES}</office:automatic-styles><office:body><office:spreadsheet>"
    for table in tables:
        yield from _sheet(table)
    yield "</office:spreadsheet></office:body></office:document-content>"


def _sheet(table: Table) -> Iterator[str]:
    yield f"<table:table table:name={quoteattr(table.title)}>"
    yield f'<table:table-column table:number-columns-repeated="{max(1, len(table.columns))}"/>'
    if table.about:
        yield f"<table:table-row>{_text(table.about, 'heading')}</table:table-row>"
    headings = "".join(_text(heading, "heading") for heading in table.columns)
    yield f"<table:table-header-rows><table:table-row>{headings}</table:table-row></table:table-header-rows>"
    for row in table.rows:
        cells = "".join(_cell(cell, table.look(column)) for column, cell in enumerate(row))
        yield f"<table:table-row>{cells}</table:table-row>"
    yield "</table:table>"


def _cell(cell: Cell, look: Look) -> str:
    if cell is None:
        return "<table:table-cell/>"
    if isinstance(cell, str):
        return _text(cell)
    if isinstance(cell, datetime):
        value = cell.astimezone(UTC).replace(tzinfo=None).isoformat(timespec="seconds")
        return (
            f'<table:table-cell table:style-name="moment" office:value-type="date" office:date-value="{value}">'
            f"<text:p>{value}</text:p></table:table-cell>"
        )
    if look == "percent":
        return (
            f'<table:table-cell table:style-name="percent" office:value-type="percentage" office:value="{cell!r}">'
            f"<text:p>{cell:.1%}</text:p></table:table-cell>"
        )
    value = f'office:value-type="float" office:value="{cell!r}"'
    return f"<table:table-cell {value}><text:p>{cell}</text:p></table:table-cell>"


def _text(text: str, style: str = "") -> str:
    named = f' table:style-name="{style}"' if style else ""
    lines = "".join(f"<text:p>{escape(line)}</text:p>" for line in _fit(text).split("\n"))
    return f'<table:table-cell{named} office:value-type="string">{lines}</table:table-cell>'


def _fit(text: str) -> str:
    """Without what XML cannot hold."""
    return _UNFIT.sub("", text)
