"""Copied pages and documents (HTML) as text: what is bold, coloured or ticked stays marked, lists keep their numbers
and letters, tables their columns, formulas their LaTeX."""

import re
from dataclasses import dataclass, field, replace

import lxml.etree as etree
from lxml import html

from lantern.core.formats.mathml import formula_of, raised
from lantern.core.formats.pasted.labels import ROMAN, SERIES

MOST_SIGNS, DEEPEST, MOST_LINES = 2_000_000, 200, 20_000
_BLOCKS = frozenset(
    "p div section article main header footer nav aside ul ol dl dd dt table blockquote pre figure figcaption form"
    " fieldset address legend label details summary h1 h2 h3 h4 h5 h6".split()
)
_UNSEEN = frozenset("head style script noscript template title meta link svg button select iframe object".split())
_HEADINGS = {"h1": "# ", "h2": "## ", "h3": "### ", "h4": "#### ", "h5": "##### ", "h6": "###### "}
_LETTERS = {
    "a": "lower",
    "A": "upper",
    "lower-alpha": "lower",
    "lower-latin": "lower",
    "upper-alpha": "upper",
    "upper-latin": "upper",
}
_ROMANS = {"i", "I", "lower-roman", "upper-roman"}
_BULLETS = {"disc", "circle", "square", "none"}
_STYLE = re.compile(r"([\w-]+)\s*:\s*([^;]+)")
_HEX = re.compile(r"#([0-9a-f]{3}|[0-9a-f]{6})\b", re.I)
_RGB = re.compile(r"rgba?\(\s*(\d+)[ ,]+(\d+)[ ,]+(\d+)")
_NAMED = {"red": (255, 0, 0), "green": (0, 128, 0), "lime": (0, 255, 0), "blue": (0, 0, 255), "yellow": (255, 255, 0),
          "orange": (255, 165, 0), "magenta": (255, 0, 255), "cyan": (0, 255, 255)}  # fmt: skip
COLOURFUL = 60
"""How far the parts of a colour, 0 to 255, are apart where somebody meant to mark something with it."""


def text_of_html(source: str) -> str:
    """The text, a line for each paragraph, entry of a list and row of a table."""
    if not source.strip():
        return ""
    try:
        root = html.document_fromstring(source[:MOST_SIGNS], parser=html.HTMLParser(huge_tree=True))
    except (etree.ParserError, ValueError):
        return ""
    writer = _Writer()
    writer.take(root, _Look())
    writer.end_line()
    lines = re.sub(r"\n{3,}", "\n\n", "\n".join(writer.lines[:MOST_LINES]))
    return lines.strip("\n")


@dataclass(frozen=True, slots=True)
class _Look:
    """`marked`: bold, or in a colour. `depth`: how deep in lists, `inside` how deep in elements."""

    marked: bool = False
    depth: int = -1
    inside: int = 0
    in_cell: bool = False
    pre: bool = False


@dataclass
class _Writer:
    lines: list[str] = field(default_factory=list)
    _pieces: list[tuple[str, bool]] = field(default_factory=list)
    _lead: str = ""
    _places: "dict[etree._Element, dict[etree._Element, int]]" = field(default_factory=dict)
    """The entries of each list with their numbers."""

    def take(self, element: "etree._Element", look: _Look) -> None:
        name = element.tag if isinstance(element.tag, str) else ""
        name = name.rpartition("}")[2].lower()
        if not name or name in _UNSEEN or element.get("aria-hidden") == "true" or element.get("hidden") is not None:
            return
        look = replace(
            look, inside=look.inside + 1, marked=_is_marked(element, name, look.marked), pre=look.pre or name == "pre"
        )
        if name == "math":
            self._say(formula_of(element), look)
        elif look.inside > DEEPEST:
            self._say("".join(element.itertext()), look)
        elif name == "br":
            self.end_line()
        elif name in {"sub", "sup"}:
            self._say(raised("".join(element.itertext()), name), look)
        elif name == "input":
            self._box(element)
        elif name == "img":
            return
        elif name == "table" and not look.in_cell:
            self._table(element, look)
        elif name in {"ul", "ol"}:
            self.end_line()
            self._children(element, replace(look, depth=look.depth + 1))
            self.end_line()
            if look.depth < 0:
                self.lines.append("")
        elif name == "li":
            self.end_line()
            self._lead = "   " * max(0, look.depth) + self._mark_of(element)
            self._children(element, look)
            self.end_line()
        elif name in _BLOCKS:
            self._block(element, name, look)
        else:
            self._children(element, look)

    def _block(self, element: "etree._Element", name: str, look: _Look) -> None:
        apart = name in _HEADINGS or (name == "p" and look.depth < 0)
        self.end_line()
        if apart and not look.in_cell and self.lines and self.lines[-1]:
            self.lines += [""] if name in _HEADINGS else []
        if name in _HEADINGS and not self._lead:
            self._lead = _HEADINGS[name]
            look = replace(look, marked=False)
        self._children(element, look)
        self.end_line()
        if name in _HEADINGS:
            self.lines.append("")

    def _children(self, element: "etree._Element", look: _Look) -> None:
        self._say(element.text or "", look)
        for child in element:
            self.take(child, look)
            self._say(child.tail or "", look)

    def _say(self, text: str, look: _Look) -> None:
        if look.pre and "\n" in text:
            *whole, last = text.split("\n")
            for line in whole:
                self._pieces.append((line, look.marked))
                self.end_line()
            text = last
        if text:
            self._pieces.append((text if look.pre else re.sub(r"[ \t\r\n\f]+", " ", text), look.marked))

    def _box(self, element: "etree._Element") -> None:
        if element.get("type", "").lower() in {"checkbox", "radio"}:
            self._pieces.append(("[x] " if element.get("checked") is not None else "[ ] ", False))

    def _table(self, table: "etree._Element", look: _Look) -> None:
        """Rows with bars; a table of one column, or of boxes for layout, is what stands in it."""
        self.end_line()
        rows = [
            [cell for cell in row if isinstance(cell.tag, str) and cell.tag.lower() in {"td", "th"}]
            for row in table.iter("tr")
            if _table_of(row) is table
        ]
        if max((len(row) for row in rows), default=0) < 2:
            self._children(table, look)
            self.end_line()
            return
        self.lines.append("")
        for row in rows:
            cells = [self._cell(cell, look) for cell in row]
            self.lines.append("| " + " | ".join(cells) + " |")
            if all(isinstance(cell.tag, str) and cell.tag.lower() == "th" for cell in row):
                self.lines.append("|" + "---|" * len(cells))
        self.lines.append("")

    def _cell(self, cell: "etree._Element", look: _Look) -> str:
        inner = _Writer()
        inner.take(cell, replace(look, in_cell=True, depth=-1))
        inner.end_line()
        return "; ".join(line.strip().replace("|", "/") for line in inner.lines if line.strip())

    def _mark_of(self, item: "etree._Element") -> str:
        """ "3. ", "b) " or "- ": what the list writes before this entry by itself."""
        parent = item.getparent()
        if parent is None or parent.tag != "ol":
            return "- "
        if parent not in self._places:
            entries = [one for one in parent if one.tag == "li"]
            start = parent.get("start", "1")
            first = int(start) if re.fullmatch(r"\d{1,4}", start) else 1
            self._places[parent] = {entry: number for number, entry in enumerate(entries, start=first)}
        value = item.get("value", "")
        number = int(value) if re.fullmatch(r"\d{1,4}", value) else self._places[parent][item]
        return _mark_of(item, parent, number)

    def end_line(self) -> None:
        """Writes what has been said as a line; what is marked in it has two stars around it."""
        made = ""
        for marked in _runs(self._pieces):
            text, is_marked = marked
            bare = text.strip()
            if is_marked and bare and not text.startswith("["):
                made += f"{text[: len(text) - len(text.lstrip())]}**{bare}**{text[len(text.rstrip()) :]}"
            else:
                made += text
        self._pieces = []
        if made.strip():
            self.lines.append(f"{self._lead}{made.strip() if self._lead else made.rstrip().lstrip(' ')}")
            self._lead = ""


def _runs(pieces: list[tuple[str, bool]]) -> list[tuple[str, bool]]:
    """Pieces that look alike and follow each other, as one."""
    runs: list[tuple[str, bool]] = []
    for text, marked in pieces:
        if runs and (runs[-1][1] == marked or not text.strip()):
            runs[-1] = (runs[-1][0] + text, runs[-1][1])
        else:
            runs.append((text, marked))
    return runs


def _table_of(row: "etree._Element") -> "etree._Element | None":
    parent = row.getparent()
    while parent is not None and parent.tag != "table":
        parent = parent.getparent()
    return parent


def _styles(element: "etree._Element") -> dict[str, str]:
    return {name.lower(): value.strip().lower() for name, value in _STYLE.findall(element.get("style", ""))}


def _is_marked(element: "etree._Element", name: str, above: bool) -> bool:
    styles = _styles(element)
    weight = styles.get("font-weight", "")
    if weight in {"normal", "400", "300", "lighter"}:
        return above and name not in {"b", "strong"}
    bold = name in {"b", "strong", "mark"} or weight in {"bold", "bolder"} or (weight.isdigit() and int(weight) >= 600)
    shown = styles.get("color") or element.get("color", "").lower()
    painted = [shown] if name != "a" else []
    painted.append(styles.get("background-color", "") or styles.get("background", ""))
    return above or bold or any(is_colourful(colour) for colour in painted)


def is_colourful(colour: str) -> bool:
    found = _HEX.search(colour)
    rgb = _RGB.search(colour)
    if found:
        digits = found[1] if len(found[1]) == 6 else "".join(one * 2 for one in found[1])
        parts = tuple(int(digits[at : at + 2], 16) for at in (0, 2, 4))
    elif rgb:
        parts = tuple(int(one) for one in rgb.groups())
    else:
        parts = _NAMED.get(colour.split()[0] if colour.split() else "", (0, 0, 0))
    return max(parts) - min(parts) >= COLOURFUL


def _mark_of(item: "etree._Element", parent: "etree._Element", number: int) -> str:
    look = _styles(item).get("list-style-type") or parent.get("type") or _styles(parent).get("list-style-type", "")
    if look in _BULLETS:
        return "- "
    if look in _LETTERS:
        letter = SERIES[0][(number - 1) % len(SERIES[0])]
        return f"{letter.lower() if _LETTERS[look] == 'lower' else letter}) "
    return f"{ROMAN[number - 1]}) " if look in _ROMANS and number <= len(ROMAN) else f"{number}. "
