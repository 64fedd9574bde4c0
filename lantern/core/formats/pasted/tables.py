"""Tables among pasted text: copied from a sheet (tabs) or written with bars. Their rows are read as a sheet's are."""

import re
from collections.abc import Callable

FEWEST_ROWS, FEWEST_COLUMNS = 2, 3
_RULE = re.compile(r"^[\s|:+-]+$")


def rows_in(text: str) -> list[list[str]] | None:
    """The cells, where the whole text is one table of three columns or more; else None: two columns are pairs."""
    lines = [line for line in text.split("\n") if line.strip() and not _RULE.match(line)]
    if len(lines) < FEWEST_ROWS:
        return None
    return _rows(lines, _between_bars) or _rows(lines, lambda line: line.strip("\n").split("\t"))


def _between_bars(line: str) -> list[str]:
    bare = line.strip()
    return (bare.removeprefix("|").removesuffix("|") if bare.startswith("|") else bare).split("|")


def _rows(lines: list[str], cut: Callable[[str], list[str]]) -> list[list[str]] | None:
    rows = [[cell.strip() for cell in cut(line)] for line in lines]
    widths = {len(row) for row in rows}
    return rows if len(widths) == 1 and widths.pop() >= FEWEST_COLUMNS else None
