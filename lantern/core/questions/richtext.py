"""Light formatting: the text a teacher types, the HTML a screen shows, the plain text a list shows.

1. What is stored is what was typed. HTML is made from it when it is shown, and never stored.
2. Only **bold**, *italic*, `code`, $formulas$, line breaks and, on pages, paragraphs and lists mean
   anything; every other character stands for itself. A formula is LaTeX between two dollar signs that
   touch it, the second not followed by a digit: "$5 and $6" is money. It is set on the device.
3. The HTML is cleaned by an allow-list although the parser already refuses raw HTML.
"""

import re
from collections.abc import Iterator
from functools import lru_cache
from typing import NamedTuple

import nh3
from markdown_it import MarkdownIt
from markdown_it.common.utils import escapeHtml
from markdown_it.renderer import RendererHTML
from markdown_it.rules_inline import StateInline
from markdown_it.token import Token

ALLOWED_TAGS = {"strong", "em", "code", "br", "p", "ul", "ol", "li", "span"}
RULES = ["escape", "backticks", "emphasis", "newline", "list"]

ALLOWED_ATTRIBUTES = {"span": {"class"}}
FORMULA = re.compile(r"\$(?![\s$])((?:[^$\\\n]|\\.)+?)(?<!\s)\$(?!\d)")


def _formula(state: StateInline, silent: bool) -> bool:
    match = FORMULA.match(state.src, state.pos) if state.src[state.pos] == "$" else None
    if not match:
        return False
    if not silent:
        state.push("formula", "", 0).content = match.group(1)
    state.pos = match.end()
    return True


def _show_formula(renderer: RendererHTML, tokens: list[Token], index: int, options: object, env: object) -> str:
    return f'<span class="formula">{escapeHtml(tokens[index].content)}</span>'


_MARKDOWN = MarkdownIt("zero", {"breaks": True, "html": False}).enable(RULES)
_MARKDOWN.inline.ruler.before("escape", "formula", _formula)
_MARKDOWN.add_render_rule("formula", _show_formula)  # type: ignore[arg-type]


@lru_cache(maxsize=4096)
def inline_html(source: str) -> str:
    """HTML for a prompt or an option: no paragraphs, no lists."""
    return nh3.clean(_MARKDOWN.renderInline(source.strip()), tags=ALLOWED_TAGS, attributes=ALLOWED_ATTRIBUTES)


@lru_cache(maxsize=512)
def block_html(source: str) -> str:
    """HTML for the body of a page or an explanation: paragraphs and lists."""
    return nh3.clean(_MARKDOWN.render(source.strip()), tags=ALLOWED_TAGS, attributes=ALLOWED_ATTRIBUTES).strip()


@lru_cache(maxsize=4096)
def plain(source: str) -> str:
    """The text without its formatting, on one line: for rails, tables and spreadsheets. Formulas stay `$LaTeX$`."""
    return _one_line(source, "$")


@lru_cache(maxsize=512)
def typed(source: str) -> str:
    """As somebody would type it: `plain`, and formulas without their signs."""
    return _one_line(source, "")


class Run(NamedTuple):
    """A piece of light formatting that looks alike all along: text, or the LaTeX of a formula. `breaks`: it is the end
    of a line, and of a paragraph where it is twice."""

    text: str = ""
    formula: str = ""
    bold: bool = False
    italic: bool = False
    code: bool = False
    breaks: int = 0


def runs_of(source: str) -> list[Run]:
    """Light formatting piece by piece, for what is no HTML: paper. Entries of a list begin with a dot."""
    return list(_runs(_MARKDOWN.parse(source.strip())))


_LINES, _PARAGRAPH = Run(breaks=1), Run(breaks=2)


def _runs(tokens: list[Token]) -> Iterator[Run]:
    begun = False
    for token in tokens:
        if token.type in {"paragraph_open", "list_item_open"} and begun:
            yield _LINES if token.level else _PARAGRAPH
            begun = False
        if token.type == "list_item_open":
            yield Run(text="• ")
        if token.type == "inline":
            yield from _runs_inline(token.children or [])
            begun = True


def _runs_inline(tokens: list[Token]) -> Iterator[Run]:
    bold = italic = 0
    for token in tokens:
        if token.type in {"strong_open", "strong_close"}:
            bold += token.nesting
        elif token.type in {"em_open", "em_close"}:
            italic += token.nesting
        elif token.type in {"softbreak", "hardbreak"}:
            yield _LINES
        elif token.type == "formula":
            yield Run(formula=token.content)
        elif token.content:
            yield Run(token.content, "", bold > 0, italic > 0, token.type == "code_inline")


def _one_line(source: str, sign: str) -> str:
    tokens = [child for token in _MARKDOWN.parseInline(source.strip()) for child in token.children or []]
    return " ".join("".join(_in_one_line(token, sign) for token in tokens).split())


def _in_one_line(token: Token, sign: str) -> str:
    if token.type in {"softbreak", "hardbreak"}:
        return " "
    return f"{sign}{token.content}{sign}" if token.type == "formula" else token.content
