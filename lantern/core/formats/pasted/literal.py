"""Text as it came in, written so that light formatting shows it as it was: signs that mean nothing here are escaped."""

import re

from lantern.core.questions.richtext import FORMULA

_KEPT = re.compile(r"(`+)(?:(?!\1).)+\1|\\.", re.S)
_STAR = re.compile(r"(?<=[\w)\]}])\*(?=[\w(\[{])")
_DUNDER = re.compile(r"(?<![\w*])__([A-Za-z]\w*?)__(?![\w*])")
_TEX = re.compile(r"[\\^_={}]|^\S{1,12}$|^[\s\d+\-*/.,()<>|a-zA-Z]{1,12}$")


def literal(text: str) -> str:
    """The same text with an escape before each sign that would become formatting and was not meant to."""
    made, end = "", 0
    spans = sorted([*_KEPT.finditer(text), *_formulas(text)], key=lambda one: one.start())
    for span in spans:
        if span.start() < end:
            continue
        made += _escaped(text[end : span.start()]) + span[0]
        end = span.end()
    return made + _escaped(text[end:])


def _formulas(text: str) -> "list[re.Match[str]]":
    return [found for found in FORMULA.finditer(text) if _TEX.search(found[1])]


def _escaped(text: str) -> str:
    text = _STAR.sub(r"\\*", text)
    text = _DUNDER.sub(r"\\_\\_\1\\_\\_", text)
    return FORMULA.sub(lambda found: "\\" + found[0], text)


def code(lines: list[str]) -> list[str]:
    """Lines of a program, each as code, with its indent."""
    return [_as_code(line) for line in lines]


def _as_code(line: str) -> str:
    if not line.strip():
        return ""
    return f"`` {line} ``" if "`" in line else f"`{line}`"
