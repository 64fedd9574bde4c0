"""Pages by typst: PDF from the source of the pages, and what comes into it as data.

1. What people wrote comes in as data, and never as a part of the source.
2. Every page tells its title and language, and what its pictures show: the PDFs are tagged for screen readers
   (PDF/UA-1, which typst holds to itself; but for a page with a sign that no font here has, as a picture sign).
3. The fonts ship with the product: Latin, Greek, Cyrillic, Arabic, Hebrew, Devanagari, Chinese, Japanese, Korean.
"""

import json
from collections.abc import Mapping, Sequence
from functools import cache, lru_cache
from pathlib import Path
from typing import Literal, TypedDict

import typst

from lantern.core.questions.read_out import spoken_formula
from lantern.core.questions.richtext import FORMULA, Run, runs_of

FONTS, PAGES = Path(__file__).parent / "fonts", Path(__file__).parent / "pages"
Paper = Literal["a4", "us-letter"]
FAMILIES = ["Noto Sans", "Noto Sans Arabic", "Noto Sans Hebrew", "Noto Sans Devanagari"]
HAN = {"zh": "Noto Sans SC", "ja": "Noto Sans JP", "ko": "Noto Sans KR"}
"""Alike signs are written otherwise in each of them: that of the language comes first."""
FORMULA_SIZE = 10.0
"""In points, of the letters in a formula as it comes in; pages set it as large as the text around it."""


class SetRun(TypedDict, total=False):
    """A piece of light formatting, as pages/frame.typ sets it."""

    kind: str
    text: str
    bold: bool
    italic: bool
    code: bool
    svg: str
    alt: str
    height: float
    below: float


def pdf_of(page: str, paper: Paper, title: str, footer: str, sheets: Sequence[Mapping[str, object]]) -> bytes:
    """`page` is one of `pages`. Each sheet says its `language`."""
    given = {
        "paper": paper,
        "document": title,
        "footer": footer,
        **_spoken("en"),
        "sheets": [{**sheet, **_spoken(str(sheet["language"]))} for sheet in sheets],
    }
    source = _source("frame") + _source(page)
    try:
        return _made(source, given, "ua-1")
    except typst.TypstError:
        # Somebody wrote a sign that no font here has: a box stands for it, which the standard does not allow.
        return _made(source, given, None)


def _spoken(language: str) -> dict[str, object]:
    return {"fonts": fonts_for(language), "lang": language.split("-")[0] or "en"}


@cache
def _source(name: str) -> str:
    return (PAGES / f"{name}.typ").read_text("utf-8")


def made_by_typst(page: str, given: object) -> bytes:
    """A page that cares for its fonts and its language itself."""
    return _made(page, given, None)


def _made(page: str, given: object, standard: Literal["ua-1"] | None) -> bytes:
    made = _compiler().compile(
        input=page.encode(),
        sys_inputs={"given": json.dumps(given)},
        pdf_standards=[standard] if standard else None,
    )
    assert isinstance(made, bytes)
    return made


def fonts_for(language: str) -> list[str]:
    first = HAN.get(language.split("-")[0])
    return [*FAMILIES, *([first] if first else []), *(name for name in HAN.values() if name != first)]


def set_runs(source: str) -> list[SetRun]:
    """Light formatting for `rich`."""
    return [_set(run) for run in runs_of(source)]


def set_words(text: str) -> list[SetRun]:
    """An answer or a key in words: formulas are set, and nothing else means anything."""
    pieces = FORMULA.split(text)
    found: list[SetRun] = []
    for number, piece in enumerate(pieces):
        if number % 2:
            found.append(_formula(piece) or _text(f"${piece}$"))
        elif piece:
            found += set_plain(piece)
    return found


def set_plain(text: str) -> list[SetRun]:
    """Text that somebody typed."""
    lines = text.split("\n")
    found: list[SetRun] = []
    for number, line in enumerate(lines):
        if number:
            found.append({"kind": "break"})
        found.append(_text(line))
    return found


def _set(run: Run) -> SetRun:
    if run.breaks:
        return {"kind": "break" if run.breaks == 1 else "gap"}
    if run.formula:
        return _formula(run.formula) or _text(run.formula, code=True)
    return _text(run.text, bold=run.bold, italic=run.italic, code=run.code)


def _text(text: str, *, bold: bool = False, italic: bool = False, code: bool = False) -> SetRun:
    return {"kind": "text", "text": text, "bold": bold, "italic": italic, "code": code}


@lru_cache(maxsize=2048)
def _formula(latex: str) -> SetRun | None:
    """None for what cannot be set: it then stands as it was typed."""
    import ziamath  # half a second, that a server without formulas on paper need not wait for

    ziamath.config.svg2 = False  # plain paths: what draws on paper knows no symbols
    try:
        svg = ziamath.Latex(latex, size=FORMULA_SIZE, inline=True).svg()
        _, top, _, height = (float(one) for one in svg.split('viewBox="', 1)[1].split('"', 1)[0].split())
    except Exception:  # whatever it makes of what it does not know
        return None
    return {
        "kind": "formula",
        "svg": svg,
        "alt": spoken_formula(latex),
        "height": round(height / FORMULA_SIZE, 3),
        "below": round((top + height) / FORMULA_SIZE, 3),
    }


@cache
def _compiler() -> typst.Compiler:
    """One for all: it keeps what the fonts hold."""
    fonts = typst.Fonts(include_system_fonts=False, include_embedded_fonts=False, font_paths=[str(FONTS)])
    return typst.Compiler(font_paths=fonts, ignore_system_fonts=True)
