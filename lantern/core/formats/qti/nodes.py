"""XML from strangers, and the little of it that is asked for: names without prefix, texts with their formatting."""

import re
from collections.abc import Iterator
from html import escape
from math import isfinite

import lxml.etree as etree
from lxml import html

from lantern.core.formats.mathml import formula_of, raised
from lantern.core.formats.qti.versions import plain_name
from lantern.core.questions.richtext import FORMULA, inline_html

MOST_BYTES = 4 * 1024 * 1024
DEEPEST = 60
_MARKS = {"strong": "**", "b": "**", "em": "*", "i": "*", "code": "`"}
_BREAKS = {"p", "div", "h1", "h2", "h3", "h4", "li", "blockquote", "pre", "tr", "ul", "ol", "table", "feedback-block"}
_BASE = "{http://www.w3.org/XML/1998/namespace}base"
_SPECIAL = re.compile(r"([\\*_`$])")


class Node:
    """An element by its plain name, its attributes by theirs."""

    def __init__(self, element: "etree._Element") -> None:
        self.element = element
        self.name = plain_name(element.tag)
        self.attributes = {plain_name(name): value.strip() for name, value in element.attrib.items()}

    def __getitem__(self, name: str) -> str:
        return self.attributes.get(name, "")

    @property
    def children(self) -> list["Node"]:
        return [Node(child) for child in self.element if isinstance(child.tag, str)]

    @property
    def text(self) -> str:
        return "".join(self.element.itertext()).strip()

    def walk(self) -> Iterator["Node"]:
        """This element and all below it, in document order."""
        for element in self.element.iter():
            if isinstance(element.tag, str):
                yield Node(element)

    def all(self, *names: str) -> list["Node"]:
        return [node for node in self.walk() if node.name in names]

    def first(self, *names: str) -> "Node | None":
        return next((node for node in self.walk() if node.name in names), None)

    def number(self, name: str) -> float | None:
        return finite(self[name])

    def based(self, reference: str) -> str:
        """A reference behind the bases (xml:base) that hold here."""
        bases = [
            plain_base
            for element in [self.element, *self.element.iterancestors()]
            if (plain_base := element.get(_BASE))
        ]
        for base in bases:
            folder = base if base.endswith("/") else base.rpartition("/")[0]
            reference = f"{folder.rstrip('/')}/{reference}" if folder and not reference.startswith("/") else reference
        return reference


def finite(text: str) -> float | None:
    """The number a text is; None for what is none, and for what no question can be about (nan, inf)."""
    try:
        number = float(text)
    except ValueError:
        return None
    return number if isfinite(number) else None


def parse(data: bytes) -> Node | None:
    """The document's root; None for what is no XML, has a document type, or is nested beyond reason."""
    if len(data) > MOST_BYTES or b"<!DOCTYPE" in data or b"<!ENTITY" in data:
        return None
    parser = etree.XMLParser(
        resolve_entities=False, no_network=True, load_dtd=False, huge_tree=False, remove_comments=True
    )
    try:
        root = etree.fromstring(data, parser)
    except (etree.XMLSyntaxError, ValueError):
        return None
    depth = 0
    for event, _ in etree.iterwalk(root, events=("start", "end")):
        depth += 1 if event == "start" else -1
        if depth > DEEPEST:
            return None
    return Node(root) if isinstance(root.tag, str) else None


def text_of(node: Node, *, without: frozenset[str] = frozenset()) -> str:
    """The words of an element with their light formatting; elements named in `without` are passed over."""
    raw = "".join(_pieces(node.element, without))
    lines = [" ".join(line.split(" ")).strip() for line in re.sub(r"[ \t\r\f\v]+", " ", raw).split("\n")]
    return re.sub(r"\n{3,}", "\n\n", "\n".join(lines)).strip()


def _pieces(element: "etree._Element", without: frozenset[str]) -> Iterator[str]:
    yield _plain(element.text)
    for child in element:
        if isinstance(child.tag, str):
            name = plain_name(child.tag)
            if name not in without:
                yield from _piece(child, name, without)
        yield _plain(child.tail)


def _piece(child: "etree._Element", name: str, without: frozenset[str]) -> Iterator[str]:
    if name == "br":
        yield "\n"
        return
    if name == "math":
        yield formula_of(child)
        return
    if name in {"sub", "sup"}:
        yield raised("".join(child.itertext()), name)
        return
    inside = "".join(_pieces(child, without))
    mark = _MARKS.get(name)
    if mark and inside.strip():
        yield f"{mark}{inside.strip()}{mark}" if name != "code" else f"`{''.join(child.itertext())}`"
    elif name == "li":
        yield f"\n- {inside.strip()}"
    elif name in _BREAKS:
        yield f"\n\n{inside.strip()}\n\n"
    else:
        yield inside


def _plain(text: str | None) -> str:
    """A text that stands for itself: what would be taken for formatting is escaped, what would not is left alone.

    Formulas stay as they are: between two dollar signs there is LaTeX in other packages, too.
    """
    words = re.sub(r"\s+", " ", text or "")
    formulas = [found.group() for found in FORMULA.finditer(words)]
    between = [_escaped(part) for part in FORMULA.sub("\0", words).split("\0")]
    return between[0] + "".join(f"{formula}{part}" for formula, part in zip(formulas, between[1:], strict=True))


def _escaped(words: str) -> str:
    stripped = words.strip()
    stands = not stripped or inline_html(stripped) == escape(stripped, quote=False)
    return words if stands else _SPECIAL.sub(r"\\\1", words)


def fragments(source_html: str) -> "etree._Element":
    """HTML of our own making as elements inside one <div>; formulas become LaTeX between dollar signs."""
    parent = html.fragment_fromstring(source_html or "", create_parent="div")
    for formula in parent.xpath(".//span[@class='formula']"):
        formula.text = f"${formula.text or ''}$"
        formula.attrib.clear()
        formula.drop_tag()
    return parent
