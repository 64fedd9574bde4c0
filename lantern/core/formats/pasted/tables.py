"""Tables among pasted text: copied from a sheet (tabs), written with bars, or as a file has them, with commas or
semicolons. Their rows are read as a sheet's are."""

import csv
import re
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass

from lantern.core.formats.pasted.exercises import is_row
from lantern.core.formats.pasted.lines import question_number
from lantern.core.formats.pasted.patterns import CELL_OF_OPTION
from lantern.core.formats.pasted.source import BREAK, Line
from lantern.core.formats.sayings import saying
from lantern.core.formats.sheet_columns import heading_row, is_number, use_of

FEWEST_ROWS, FEWEST_COLUMNS = 2, 3
_NUMBER_OF_QUESTION = re.compile(r"^Q\s?\d{1,3}\s*[:.)]\s+(?=\S)")
_NUMBER = re.compile(r"\d{1,3}\.?")
_FRONT = re.compile(r"^\W*(?:front|vorderseite|recto|anverso|fronte|voorkant)\W*$", re.I)
_RULE = re.compile(r"^[\s|:+-]+$")
_ASKS = re.compile(r"[?？؟]\s*$|__")
Cells = Callable[[str], list[str] | None]


@dataclass(frozen=True, slots=True)
class Table:
    """Lines [first, end) of a text are a table of questions. `places` are the lines of its rows, counted from 1."""

    first: int
    end: int
    rows: list[list[str]]
    places: list[int]


def tables_in(lines: Sequence[Line]) -> list[Table]:
    """The tables of three columns or more, or of questions and their answers. Other tables of two columns are pairs."""
    found: list[Table] = []
    for cells_of, is_sure in _CUTS:
        taken = {at for table in found for at in range(table.first, table.end)}
        cells = [None if line.code or at in taken else cells_of(line.text) for at, line in enumerate(lines)]
        at = 0
        while at < len(lines):
            end = at
            while end < len(lines) and (cells[end] is not None or (end > at and _is_rule(lines[end]))):
                end += 1
            found += _table(lines, cells, at, end, is_sure)
            at = max(at + 1, end)
    return sorted(found, key=lambda table: table.first)


def is_headed(table: Table) -> bool:
    """Whether each column is headed by a word that is known, and so nothing was guessed of what it is for."""
    heads = [cell.strip(" *_") for cell in table.rows[0] if cell.strip()]
    is_known = all(use_of(head) or is_number(head) for head in heads)
    return is_known and "question" in map(use_of, heads) and not any(map(_FRONT.match, heads))


def _table(
    lines: Sequence[Line], cells: Sequence[list[str] | None], at: int, end: int, is_sure: bool
) -> Iterator[Table]:
    """The lines as a table, or those without the first, which may be a line above it."""
    for first in (at, at + 1):
        kept = [
            (line, row)
            for line, row in zip(lines[first:end], cells[first:end], strict=True)
            if row and not _is_rule(line)
        ]
        if sum(_has_options(row) for _, row in kept) * 2 > len(kept) or all(is_row(line.text) for line, _ in kept[1:]):
            return
        rows = _filled_up([row for _, row in kept]) if is_sure else [row for _, row in kept]
        if len(rows) >= FEWEST_ROWS and _is_of_questions(rows, is_sure):
            yield Table(first, end, _without_numbers(rows), [line.at for line, _ in kept])
            return


def _has_options(row: list[str]) -> bool:
    """Whether cells are lettered: "a) 10", "b) 20"."""
    named = [found[1].lower() for cell in row if (found := CELL_OF_OPTION.match(cell))]
    return len(named) > 1 and named == [chr(ord("a") + at) for at in range(len(named))]


def _without_numbers(rows: list[list[str]]) -> list[list[str]]:
    """ "Q1: What …?" in a cell that holds the question; "1. What …?" where they are all counted."""
    numbers = [found[0] if (found := question_number(row[0])) and found[1] != "Q" else 0 for row in rows]
    if numbers in (list(range(1, len(rows) + 1)), list(range(len(rows)))) and len(rows) > 1:
        return [[re.sub(r"^\s*\d{1,3}[.):]\s+", "", row[0]), *row[1:]] for row in rows]
    return [[_NUMBER_OF_QUESTION.sub("", row[0]), *row[1:]] for row in rows]


def _filled_up(rows: list[list[str]]) -> list[list[str]]:
    """Rows below headings, with the empty cells at their ends that were lost with the blanks there."""
    width = len(rows[0]) if rows else 0
    if width < FEWEST_COLUMNS or heading_row(rows[:1]) != 0:
        return rows
    return [row + [""] * (width - len(row)) for row in rows]


def _is_rule(line: Line) -> bool:
    return not line.is_blank and _RULE.match(line.text) is not None


def _between_bars(line: str) -> list[str] | None:
    bare = line.strip()
    if bare.count("|") < (2 if bare.startswith("|") else 1):
        return None
    return [
        cell.replace(BREAK, "\n").strip()
        for cell in (bare.removeprefix("|").removesuffix("|") if bare.startswith("|") else bare).split("|")
    ]


def _between_tabs(line: str) -> list[str] | None:
    return [cell.strip() for cell in line.strip("\n").split("\t")] if "\t" in line.strip() else None


def _between(mark: str) -> Cells:
    def cells(line: str) -> list[str] | None:
        if line.count(mark) < FEWEST_COLUMNS - 1:
            return None
        try:
            return [
                cell.strip() for cell in next(csv.reader([line], delimiter=mark, skipinitialspace=True, strict=True))
            ]
        except (csv.Error, StopIteration):
            return None

    return cells


_CUTS: tuple[tuple[Cells, bool], ...] = (
    (_between_bars, True),
    (_between_tabs, True),
    (_between(";"), False),
    (_between(","), False),
)
"""How lines become cells, and whether that alone says that they are a table."""


def _is_of_questions(rows: list[list[str]], is_sure: bool) -> bool:
    width = len(rows[0])
    if any(len(row) != width for row in rows) or _is_key(rows):
        return False
    headed = saying("question")(rows[0][0]) is not None
    body = rows[1:] if headed else rows
    asking = sum(_ASKS.search(row[0]) is not None for row in body)
    if is_sure and width >= FEWEST_COLUMNS:
        return True
    if not is_sure and any("__" in cell for row in body for cell in row[1:]):
        return False  # commas of a sentence with gaps
    if not is_sure:
        return width >= FEWEST_COLUMNS and (
            (heading_row(rows[:1]) == 0 and "question" in map(use_of, rows[0])) or asking == len(body)
        )
    is_cards = headed and _FRONT.match(rows[0][0]) is not None and not asking  # terms, and what they mean
    return width == 2 and not is_cards and (headed or asking * 2 > len(body))


def _is_key(rows: list[list[str]]) -> bool:
    """Numbers above letters, or beside them: a key, not questions."""
    beside = len(rows[0]) == 2 and all(map(_NUMBER.fullmatch, (row[0] for row in rows[1:])))
    return beside or (len(rows) == 2 and all(map(_NUMBER.fullmatch, rows[0])))
