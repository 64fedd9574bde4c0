"""Formulas of word processors and slides (Office Math, ISO/IEC 29500-1, 22.1) as MathML, and from there as LaTeX."""

import re
from collections.abc import Callable, Iterator

import lxml.etree as etree

from lantern.core.formats.mathml import FUNCTIONS, formula_of

_M = "{http://schemas.openxmlformats.org/officeDocument/2006/math}"
FORMULA = f"{_M}oMath"
_PIECE = re.compile(r"\d+(?:[.,]\d+)*|\s+|.", re.S)
DEEPEST = 60
_BARE = "⟦⟧"


def formula_in(math: "etree._Element") -> str:
    """ "$…$"; the words alone where it cannot be said."""
    made = etree.Element("math")
    _into(made, math, 0)
    # A table without brackets is no formula to the converter: these are taken away again.
    return formula_of(made).replace(f"\\left{_BARE[0]}", "").replace(f"\\right{_BARE[1]}", "")


def _into(made: "etree._Element", parent: "etree._Element", depth: int) -> None:
    """Puts what stands in `parent` into `made`, piece by piece."""
    for child in parent if depth < DEEPEST else ():
        if not isinstance(child.tag, str) or child.tag.endswith("Pr") or not child.tag.startswith(_M):
            continue
        name = child.tag.removeprefix(_M)
        if name == "r":
            made.extend(_pieces(child))
        elif name in _WRITERS:
            made.append(_WRITERS[name](child, depth + 1))
        else:
            _into(made, child, depth + 1)


def _pieces(run: "etree._Element") -> Iterator["etree._Element"]:
    words = "".join(text.text or "" for text in run.iter(f"{_M}t"))
    if run.find(f"{_M}rPr/{_M}nor") is not None:
        yield _with("mtext", text=words)
        return
    for piece in [words] if words.strip() in FUNCTIONS else _PIECE.findall(words):
        if piece.strip():
            yield _with("mn" if piece[0].isdigit() else "mi" if piece.isalpha() else "mo", text=piece)


def _with(name: str, *children: "etree._Element", text: str | None = None) -> "etree._Element":
    made = etree.Element(name)
    made.text = text
    made.extend(children)
    return made


def _row(parent: "etree._Element", part: str, depth: int) -> "etree._Element":
    """One part of a construct, as a single element."""
    made = etree.Element("mrow")
    found = parent.find(f"{_M}{part}")
    if found is not None:
        _into(made, found, depth)
    return made[0] if len(made) == 1 else made


def _value(element: "etree._Element", setting: str, otherwise: str) -> str:
    """A setting of a construct, as `dPr/begChr`."""
    found = element.find("/".join(f"{_M}{part}" for part in setting.split("/")))
    return otherwise if found is None else found.get(f"{_M}val", otherwise)


def _is_on(element: "etree._Element", setting: str) -> bool:
    """A setting that is there without a value is on."""
    found = element.find("/".join(f"{_M}{part}" for part in setting.split("/")))
    return found is not None and found.get(f"{_M}val", "on") not in {"off", "0", "false"}


def _plain(name: str, *parts: str) -> Callable[["etree._Element", int], "etree._Element"]:
    return lambda element, depth: _with(name, *(_row(element, part, depth) for part in parts))


def _root(element: "etree._Element", depth: int) -> "etree._Element":
    degree = _row(element, "deg", depth)
    if _is_on(element, "radPr/degHide") or (len(degree) == 0 and not degree.text):
        return _with("msqrt", _row(element, "e", depth))
    return _with("mroot", _row(element, "e", depth), degree)


def _delimited(element: "etree._Element", depth: int) -> "etree._Element":
    inside = []
    for part in element.iterchildren(f"{_M}e"):
        row = etree.Element("mrow")
        _into(row, part, depth)
        is_table = len(row) == 1 and row[0].tag == "mfenced" and row[0].get("open") == _BARE[0]
        inside.append(row[0][0] if is_table else row)
    made = _with("mfenced", *inside)
    made.set("open", _value(element, "dPr/begChr", "("))
    made.set("close", _value(element, "dPr/endChr", ")"))
    made.set("separators", _value(element, "dPr/sepChr", "|"))
    return made


def _nary(element: "etree._Element", depth: int) -> "etree._Element":
    sign = _with("mo", text=_value(element, "naryPr/chr", "∫"))
    below, above = _row(element, "sub", depth), _row(element, "sup", depth)
    sides = [("sub", below), ("sup", above)]
    there = [(name, side) for name, side in sides if len(side) or side.text]
    name = "m" + "".join(name for name, _ in there) if there else "mrow"
    return _with("mrow", _with(name, sign, *(side for _, side in there)), _row(element, "e", depth))


def _accent(element: "etree._Element", depth: int) -> "etree._Element":
    return _with("mover", _row(element, "e", depth), _with("mo", text=_value(element, "accPr/chr", "^")))


def _bar(element: "etree._Element", depth: int) -> "etree._Element":
    name = "mover" if _value(element, "barPr/pos", "bot") == "top" else "munder"
    return _with(name, _row(element, "e", depth), _with("mo", text="¯" if name == "mover" else "_"))


def _table(element: "etree._Element", depth: int) -> "etree._Element":
    """A matrix, or equations below each other."""
    made = etree.Element("mtable")
    rows = list(element.iterchildren(f"{_M}mr")) or [_with("row", part) for part in element.iterchildren(f"{_M}e")]
    for row in rows:
        line = etree.SubElement(made, "mtr")
        for cell in row.iterchildren(f"{_M}e"):
            _into(etree.SubElement(line, "mtd"), cell, depth)
    bare = _with("mfenced", made)
    bare.set("open", _BARE[0])
    bare.set("close", _BARE[1])
    return bare


_WRITERS: dict[str, Callable[["etree._Element", int], "etree._Element"]] = {
    "f": _plain("mfrac", "num", "den"),
    "sSup": _plain("msup", "e", "sup"),
    "sSub": _plain("msub", "e", "sub"),
    "sSubSup": _plain("msubsup", "e", "sub", "sup"),
    "limLow": _plain("munder", "e", "lim"),
    "limUpp": _plain("mover", "e", "lim"),
    "func": _plain("mrow", "fName", "e"),
    "rad": _root,
    "d": _delimited,
    "nary": _nary,
    "acc": _accent,
    "bar": _bar,
    "m": _table,
    "eqArr": _table,
}
