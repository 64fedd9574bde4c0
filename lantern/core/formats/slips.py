"""Slips for a class: each with a name, a pass phrase and a QR picture, as a PDF to print and cut."""

import io
from collections.abc import Sequence
from dataclasses import dataclass
from enum import IntEnum

import segno

from lantern.core.formats.typeset import Paper, made_by_typst


class OnAPage(IntEnum):
    FEW = 8
    MANY = 24


# Names and phrases come in as data, and never as a part of the page's source.
_PAGE = """
#let given = json(bytes(sys.inputs.given))
#let many = given.rows > 4
#set page(paper: given.paper, margin: (x: 10mm, y: 10mm))
#set text(font: ("Noto Sans", "Noto Sans Arabic"), size: if many { 8pt } else { 12pt })
#let slip(one) = box(
  width: 100%, height: 100%, inset: if many { 2mm } else { 4mm },
  stroke: (paint: luma(150), thickness: 0.4pt, dash: "dashed"),
  grid(
    columns: (1fr, auto), rows: 1fr, gutter: 2mm, align: (left + horizon, right + horizon),
    stack(
      spacing: if many { 1.6mm } else { 3.2mm },
      text(weight: "bold", size: if many { 9pt } else { 15pt }, one.name),
      text(size: if many { 9pt } else { 15pt }, one.phrase),
      text(fill: luma(80), given.title),
      text(fill: luma(80), given.address),
      text(weight: "bold", given.code),
    ),
    image(bytes(one.qr), format: "svg", height: if many { 19mm } else { 38mm }),
  ),
)
#for page in given.slips.chunks(given.columns * given.rows) {
  grid(
    columns: (1fr,) * given.columns, rows: (1fr,) * given.rows,
    ..page.map(slip),
  )
}
"""

_SIGN = """
#let given = json(bytes(sys.inputs.given))
#set page(paper: given.paper, margin: 20mm)
#set text(font: ("Noto Sans", "Noto Sans Arabic"), size: 20pt)
#set align(center + horizon)
#text(size: 30pt, weight: "bold", given.title)
#v(14mm)
#image(bytes(given.qr), format: "svg", height: 95mm)
#v(12mm)
#given.address
#v(2mm)
#text(size: 54pt, weight: "bold", given.code)
"""


@dataclass(frozen=True, slots=True)
class Slip:
    """`link` leads a device to the class, with the phrase."""

    name: str
    phrase: str
    link: str


def write_slips(title: str, address: str, code: str, slips: Sequence[Slip], paper: Paper, on_a_page: OnAPage) -> bytes:
    """`title` is the class; `address` and `code` are what one types without the QR picture."""
    columns, rows = (2, 4) if on_a_page is OnAPage.FEW else (3, 8)
    given = {
        "title": title,
        "address": address,
        "code": code,
        "paper": paper,
        "columns": columns,
        "rows": rows,
        "slips": [{"name": one.name, "phrase": one.phrase, "qr": _picture(one.link)} for one in slips],
    }
    return made_by_typst(_PAGE, given)


def write_door_sign(title: str, address: str, code: str, link: str, paper: Paper) -> bytes:
    """A page for the door: where to go, and what to type."""
    given = {"title": title, "address": address, "code": code, "qr": _picture(link), "paper": paper}
    return made_by_typst(_SIGN, given)


def _picture(link: str) -> str:
    out = io.BytesIO()
    segno.make(link, error="m").save(out, kind="svg", border=0)
    return out.getvalue().decode()
