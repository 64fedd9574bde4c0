"""Lists that a word processor numbers by itself: the numbers are no text, so they are written out again."""

from typing import Any

from docx.enum.style import WD_STYLE_TYPE
from docx.oxml.ns import qn

_LETTERS = {"lowerLetter", "upperLetter"}
_NUMBERS = {"decimal", "decimalZero", "upperRoman"}


class Styles:
    """The styles of paragraphs, looked up once: the library goes through all of them for each paragraph."""

    def __init__(self, document: Any) -> None:
        self._by_id = {style.style_id: style for style in document.styles if style.type == WD_STYLE_TYPE.PARAGRAPH}
        self._usual = document.styles.default(WD_STYLE_TYPE.PARAGRAPH)

    def of(self, paragraph: Any) -> Any:
        """None where neither the paragraph nor the document has one."""
        return self._by_id.get(paragraph._p.style or "", self._usual)


class Lists:
    """What stands before each paragraph of a document, asked for in their order."""

    def __init__(self, document: Any, styles: Styles) -> None:
        self._styles = styles
        self._formats = _formats_of(document)
        self._numbers: dict[tuple[str, str], int] = {}
        self._letter = 0

    def mark(self, paragraph: Any) -> str:
        """ "3. ", "b) " or "- "; "" for a paragraph that is in no list."""
        place = _place(paragraph, self._styles.of(paragraph))
        form = self._formats.get(place, "bullet") if place else ""
        if form not in _LETTERS:
            self._letter = 0
        if not place:
            return ""
        if form in _LETTERS:
            self._letter += 1
            return f"{chr(ord('a') + (self._letter - 1) % 26)}) "
        if form in _NUMBERS:
            self._numbers[place] = self._numbers.get(place, 0) + 1
            return f"{self._numbers[place]}. "
        return "- "


def _place(paragraph: Any, style: Any) -> tuple[str, str] | None:
    """(list, level) of the paragraph, its own or its style's."""
    for element in (paragraph._p, style.element if style is not None else None):
        found = element.find(f"{qn('w:pPr')}/{qn('w:numPr')}") if element is not None else None
        if found is not None:
            number, level = found.find(qn("w:numId")), found.find(qn("w:ilvl"))
            return _value(number, "0"), _value(level, "0")
    return None


def _formats_of(document: Any) -> dict[tuple[str, str], str]:
    """(list, level) to how it is numbered."""
    try:
        root = document.part.numbering_part.element
    except (KeyError, NotImplementedError):
        return {}
    levels = {
        _attribute(one, "w:abstractNumId"): {
            _attribute(level, "w:ilvl"): _value(level.find(qn("w:numFmt")), "bullet") for level in one.iter(qn("w:lvl"))
        }
        for one in root.iter(qn("w:abstractNum"))
    }
    return {
        (_attribute(one, "w:numId"), level): form
        for one in root.iter(qn("w:num"))
        for level, form in levels.get(_value(one.find(qn("w:abstractNumId")), ""), {}).items()
    }


def _attribute(element: Any, name: str) -> str:
    return str(element.get(qn(name), ""))


def _value(element: Any, otherwise: str) -> str:
    return str(element.get(qn("w:val"), otherwise)) if element is not None else otherwise
