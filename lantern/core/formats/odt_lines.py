"""The lines of an OpenDocument text (ISO/IEC 26300): what is bold, underlined or in a colour is marked, lists keep
their numbers and letters, tables their columns."""

from collections.abc import Iterator
from dataclasses import dataclass
from io import BytesIO

import lxml.etree as etree

from lantern.core.formats.exchange import Unreadable
from lantern.core.formats.html_lines import is_colourful
from lantern.core.formats.mathml import formula_of
from lantern.core.formats.pasted.labels import SERIES
from lantern.core.formats.safezip import MB, SafeZip
from lantern.core.messages import said

_OFFICE = "{urn:oasis:names:tc:opendocument:xmlns:office:1.0}"
_TEXT = "{urn:oasis:names:tc:opendocument:xmlns:text:1.0}"
_TABLE = "{urn:oasis:names:tc:opendocument:xmlns:table:1.0}"
_STYLE = "{urn:oasis:names:tc:opendocument:xmlns:style:1.0}"
_FO = "{urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0}"
_DRAW = "{urn:oasis:names:tc:opendocument:xmlns:drawing:1.0}"
_HREF = "{http://www.w3.org/1999/xlink}href"
_MATH = "{http://www.w3.org/1998/Math/MathML}math"
DAMAGED = said("document_damaged", "This document is damaged: it could not be read to its end.")
MOST_LINES, DEEPEST = 5000, 40
MOST_XML = 8 * MB


@dataclass(frozen=True, slots=True)
class PictureAt:
    """A picture that stands below the line before it; `name` is that of its file in the archive."""

    name: str


def odt_lines(archive: SafeZip) -> list[str | PictureAt]:
    """Raises Unreadable."""
    root = _tree(archive, "content.xml")
    if root is None:
        raise Unreadable(DAMAGED)
    body = root.find(f"{_OFFICE}body/{_OFFICE}text")
    return list(_Writer(root, archive).lines(body, 0)) if body is not None else []


def _tree(archive: SafeZip, name: str) -> "etree._Element | None":
    """None for what is not there, or is no XML that can be trusted. Raises Unreadable."""
    content = archive.read(name, MOST_XML)
    if content is None or b"<!DOCTYPE" in content or b"<!ENTITY" in content:
        return None
    try:
        return etree.parse(BytesIO(content), etree.XMLParser(resolve_entities=False, no_network=True)).getroot()
    except etree.XMLSyntaxError:
        return None


Line = str | PictureAt


class _Writer:
    def __init__(self, root: "etree._Element", archive: SafeZip) -> None:
        self._archive = archive
        self._marked = {style.get(f"{_STYLE}name") for style in root.iter(f"{_STYLE}style") if _marks(style)}
        self._lists = {
            one.get(f"{_STYLE}name", ""): {level.get(f"{_TEXT}level", "1"): level for level in one}
            for one in root.iter(f"{_TEXT}list-style")
        }
        self._count = 0

    def lines(self, parent: "etree._Element", depth: int, style: str = "") -> Iterator[Line]:
        for child in parent:
            if self._count > MOST_LINES or depth > DEEPEST or not isinstance(child.tag, str):
                continue
            if child.tag in {f"{_TEXT}p", f"{_TEXT}h"}:
                self._count += 1
                text = self._words(child, child.get(f"{_TEXT}style-name") in self._marked)
                yield from ["", text] if child.tag == f"{_TEXT}h" else [text]
                yield from self._pictures(child)
            elif child.tag == f"{_TEXT}list":
                yield from self._list(child, depth + 1, child.get(f"{_TEXT}style-name", "") or style)
            elif child.tag == f"{_TABLE}table":
                yield from self._table(child, depth + 1)
            else:
                yield from self.lines(child, depth + 1, style)

    def _list(self, parent: "etree._Element", depth: int, style: str) -> Iterator[Line]:
        level = sum(one.tag == f"{_TEXT}list" for one in parent.iterancestors()) + 1
        for number, item in enumerate(parent.iterchildren(f"{_TEXT}list-item"), start=1):
            lines = list(self.lines(item, depth, style))
            first = lines[0] if lines and isinstance(lines[0], str) else ""
            yield from [f"{self._mark(style, level, number)}{first.strip()}", *lines[1:]] if lines else []

    def _mark(self, style: str, level: int, number: int) -> str:
        found = self._lists.get(style, {}).get(str(level))
        form = found.get(f"{_STYLE}num-format", "") if found is not None else ""
        if form in {"a", "A"}:
            letter = SERIES[0][(number - 1) % len(SERIES[0])]
            return f"{letter.lower() if form == 'a' else letter}) "
        return f"{number}. " if form in {"1", "i", "I"} else "- "

    def _table(self, table: "etree._Element", depth: int) -> Iterator[Line]:
        yield ""
        for row in table.iter(f"{_TABLE}table-row"):
            cells = [
                "; ".join(line for line in self.lines(cell, depth) if line and isinstance(line, str))
                for cell in row.iterchildren(f"{_TABLE}table-cell")
            ]
            yield "\t".join(cell.replace("\t", " ") for cell in cells)
        yield ""
        for row in table.iter(f"{_TABLE}table-row"):
            yield from self._pictures(row)

    def _words(self, element: "etree._Element", marked: bool) -> str:
        pieces: list[tuple[str, bool]] = [(element.text or "", marked)]
        for child in element:
            if isinstance(child.tag, str):
                pieces += self._piece(child, marked)
            pieces.append((child.tail or "", marked))
        whole = "".join(text for text, _ in pieces).strip()
        if whole and all(is_marked for text, is_marked in pieces if text.strip()):
            return f"**{whole}**"
        return "".join(
            f"**{text.strip()}** " if is_marked and text.strip() else text for text, is_marked in pieces
        ).rstrip()

    def _piece(self, child: "etree._Element", marked: bool) -> list[tuple[str, bool]]:
        if child.tag == f"{_TEXT}s":
            count = child.get(f"{_TEXT}c", "1")
            return [(" " * (min(100, int(count)) if count.isdigit() else 1), marked)]
        if child.tag == f"{_TEXT}tab":
            return [("\t", marked)]
        if child.tag == f"{_TEXT}line-break":
            return [("\n", marked)]
        if child.tag in {f"{_OFFICE}annotation", f"{_TEXT}note"}:
            return []
        math = child.find(f".//{_MATH}")
        if math is None:
            math = self._formula(child)
        if math is not None:
            return [(formula_of(math), marked)]
        inside = marked or child.get(f"{_TEXT}style-name") in self._marked
        pieces: list[tuple[str, bool]] = [(child.text or "", inside)]
        for inner in child:
            pieces += self._piece(inner, inside) if isinstance(inner.tag, str) else []
            pieces.append((inner.tail or "", inside))
        return pieces

    def _formula(self, frame: "etree._Element") -> "etree._Element | None":
        """A formula that stands in a document of its own."""
        found = frame.find(f".//{_DRAW}object") if frame.tag == f"{_DRAW}frame" else None
        if found is None:
            return None
        name = found.get(_HREF, "").removeprefix("./")
        root = _tree(self._archive, f"{name}/content.xml") if name else None
        return root if root is not None and root.tag == _MATH else None

    def _pictures(self, parent: "etree._Element") -> Iterator[PictureAt]:
        """Those of a paragraph; of what is neither a picture nor a formula that there was something."""
        for frame in parent.iter(f"{_DRAW}frame"):
            image = frame.find(f"{_DRAW}image")
            if frame.find(f"{_DRAW}object") is not None:
                yield from [] if self._formula(frame) is not None else [PictureAt("")]
            elif image is not None and image.get(_HREF):
                yield PictureAt(image.get(_HREF, "").removeprefix("./"))


def _marks(style: "etree._Element") -> bool:
    """Whether a style is one by which people mark what is right."""
    look = style.find(f"{_STYLE}text-properties")
    if look is None:
        return False
    underlined = look.get(f"{_STYLE}text-underline-style", "none") != "none"
    painted = any(is_colourful(look.get(f"{_FO}{name}", "")) for name in ("color", "background-color"))
    return look.get(f"{_FO}font-weight") == "bold" or underlined or painted
