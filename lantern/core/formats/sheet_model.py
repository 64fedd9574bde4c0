"""A sheet of questions: its columns by what they are for, and its rows, one for each question."""

import re
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from lantern.core.formats.exchange import Column, Incoming
from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.lines import place_of
from lantern.core.formats.pasted.source import line_of as as_line
from lantern.core.formats.sayings import words
from lantern.core.formats.sheet_columns import (
    Rows,
    cell_of,
    columns_of,
    heading_row,
    is_feedback,
    is_number,
    is_tick,
    is_ticked,
    key_hint,
    label_in,
    parted,
    truth_in,
)
from lantern.core.messages import Message, said
from lantern.core.questions.kinds.choice import LETTERS

_WRONG = re.compile(rf"wrong|incorrect|distractor|false|{words('wrong_option')}", re.I)


@dataclass
class Row:
    """The cells of a row by what they are used for. `at` counts from 1. `options` are (letter, text, whether a tick
    says that it is right), those of empty cells left out: the letter is that of the column."""

    at: int
    cells: dict[str, str] = field(default_factory=dict)
    options: list[tuple[str, str, bool | None]] = field(default_factory=list)
    options_are_wrong: bool = False
    """Whether the headings say of every option that it is wrong, so that the right one stands apart."""

    def __getitem__(self, use: str) -> str:
        return self.cells.get(use, "")

    @property
    def text(self) -> str:
        """The row as pasted text, to be mended."""
        options = [f"{letter}) {text}{' (correct)' if ticked else ''}" for letter, text, ticked in self.options]
        right = [f"Answer: {self['right']}"] if self["right"] else []
        why = [f"Why: {self['explanation']}"] if self["explanation"] else []
        named = {"Topics": "topics", "Time": "time", "Written by": "by"}
        facts = [f"{name}: {self[use]}" for name, use in named.items() if self[use]]
        return "\n".join([self["question"], *options, *right, *why, *facts])


@dataclass
class Sheet:
    """`name` is told where a file has several."""

    rows: Rows
    name: str = ""


class HeadedSheet:
    """One sheet: its columns, and its rows by what they are used for."""

    def __init__(self, sheet: Sheet, choices: Mapping[str, str], *, named: bool) -> None:
        self._rows, self.name = sheet.rows, sheet.name if named else ""
        self.columns, self._first = columns_of(sheet.rows, choices)
        self.headings = [column.heading for column in self.columns]
        self.is_headed = heading_row(sheet.rows) is not None
        self._labels = _labels_of(self.columns)
        self._truth = _truth_of(self.columns)
        self._is_keyed = any(column.use in {"right", "tick"} for column in self.columns) or bool(self._truth)
        options = [number for number, column in enumerate(self.columns) if column.use == "option"]
        self._letters = {
            self.headings[number].strip().casefold(): self._labels.get(number, LETTERS[at])
            for at, number in enumerate(options[: len(LETTERS)])
            if self.headings[number].strip()
        }

    @property
    def asks(self) -> bool:
        return any(column.use == "question" for column in self.columns)

    @property
    def is_ours(self) -> bool:
        """A sheet that was written here: its cells are in light formatting already."""
        return any(column.use in {"lines", "settings"} for column in self.columns)

    @property
    def key_hint(self) -> str:
        return next((key_hint(column.heading) for column in self.columns if column.use == "right"), "")

    @property
    def points_called(self) -> str:
        return next((column.heading for column in self.columns if column.use == "points"), "Points") or "Points"

    def place(self, row: Row) -> Message:
        if not self.name:
            return said("place_row", "Row {number}", number=row.at)
        return said("place_row_of_sheet", "{sheet}, row {number}", sheet=self.name[:60], number=row.at)

    def questions(self) -> list[Row]:
        filled = [
            (at, cells)
            for at, cells in enumerate(self._rows[self._first :], start=self._first + 1)
            if any(cell.strip() for cell in cells)
        ]
        rows = [self._row(at, cells) for at, cells in filled]
        return list(_joined(rows)) if self._has_a_row_for_each_option(rows) else rows

    def _row(self, at: int, cells: Sequence[str]) -> Row:
        row = Row(at)
        letters = iter(LETTERS)
        wrong = []
        for number, column in enumerate(self.columns):
            cell = cell_of(cells, number)
            if column.use == "option":
                letter = next(letters, "")
                letter = letter if not self._labels else self._labels[number]
                wrong.append(_WRONG.search(column.heading) is not None)
                if cell:
                    row.options.append((letter, *self._option(cell)))
            elif column.use == "choices":
                row.options += _choices(cell)
            elif column.use == "tick":
                self._tick(row, number, cells)
            elif number in self._truth and is_ticked(cell):
                row.cells["right"] = self._truth[number]
            elif column.use:
                row.cells[column.use] = cell
        row.cells["right"] = self._named(row["right"])
        row.options_are_wrong = bool(wrong) and all(wrong)
        return row

    def _option(self, cell: str) -> tuple[str, bool | None]:
        """(the text of an option, True where a mark behind it says that it is right and no column does)."""
        if self._is_keyed or self.is_ours:
            return cell, None
        text, is_right = line_of.said_after(cell)
        return text, True if is_right else None

    def _named(self, right: str) -> str:
        """A key that names options by the headings of their columns, by their letters; another one as it is."""
        named = [self._letters.get(part.casefold()) for part in re.split(r"\s*[,;|]\s*", right)] if right else []
        return ", ".join(letter for letter in named if letter) if named and all(named) else right

    def _tick(self, row: Row, number: int, cells: Sequence[str]) -> None:
        """Says of the option before it whether it is right."""
        before = [at for at, column in enumerate(self.columns[:number]) if column.use == "option"]
        if not before or not cell_of(cells, before[-1]) or not row.options:
            return
        letter, text, _ = row.options[-1]
        row.options[-1] = (letter, text, is_ticked(cell_of(cells, number)))

    def _has_a_row_for_each_option(self, rows: Sequence[Row]) -> bool:
        options = sum(column.use == "option" for column in self.columns)
        following = [row for row in rows if not row["question"] and row.options]
        return options == 1 and len(following) > 0 and bool(rows) and bool(rows[0]["question"])

    def tell(self, incoming: Incoming) -> None:
        """What of the sheet is in no question."""
        above = [
            " ".join(cell.strip() for cell in row if cell.strip()) for row in self._rows[: max(0, self._first - 1)]
        ]
        above = [line for line in above if line]
        if above and not incoming.title and not self.name:
            incoming.title, above = above[0][:200], above[1:]
        for line in above:
            incoming.note(said("line_left_out", "Left out: “{line}”.", line=line[:120]))
        unused = [
            column.heading
            for column in self.columns
            if not column.use and column.example and not is_number(column.heading)
        ]
        feedback = [heading for heading in unused if is_feedback(heading)]
        others = [heading or "–" for heading in unused if heading not in feedback]
        if feedback:
            one = "{columns}: left out, for a question has one explanation, and none for each option."
            incoming.note(said("feedback_left_out", one, columns=", ".join(feedback)[:200]))
        if others and any(heading != "–" for heading in others):
            left = "Columns that are used for nothing: {columns}."
            incoming.note(said("columns_left_out", left, columns=", ".join(others)[:200]))


def _truth_of(columns: Sequence[Column]) -> dict[int, str]:
    """Two columns for a cross, one for what is true and one for what is not: their numbers, and what a cross in them
    says."""
    found = {number: truth for number, column in enumerate(columns) if (truth := truth_in(column.heading))}
    return found if sorted(found.values()) == ["false", "true"] else {}


def _labels_of(columns: Sequence[Column]) -> dict[int, str]:
    """Column number to the letter or number that its heading counts the option by; empty unless each option has
    another one."""
    labels = {number: label_in(column.heading) for number, column in enumerate(columns) if column.use == "option"}
    in_turn = [place_of(label) for label in labels.values()]
    return labels if in_turn == list(range(len(labels))) and labels else {}


def same_headings(sheet: Sheet, first: HeadedSheet) -> bool:
    columns, _ = columns_of(sheet.rows, {})
    return [column.heading for column in columns] == first.headings


def _choices(cell: str) -> list[tuple[str, str, bool | None]]:
    """The options in one cell, their letters as they stand, or by their places."""
    options: list[tuple[str, str, bool | None]] = []
    for at, text in enumerate(parted(cell) if cell else []):
        found = line_of.option(as_line(text))
        label, said_text, right = (found.label, found.text, found.right) if found else ("", *line_of.said_after(text))
        options.append((label or LETTERS[min(at, len(LETTERS) - 1)], said_text, True if right else None))
    return options


def _joined(rows: Sequence[Row]) -> Iterator[Row]:
    """Rows of one option each, put together to the question that they belong to."""
    current: Row | None = None
    for row in rows:
        if row["question"] or current is None:
            if current is not None:
                yield current
            current = Row(row.at, {use: cell for use, cell in row.cells.items() if use != "right"})
        for _, text, ticked in row.options:
            says = is_ticked(row["right"]) if is_tick(row["right"]) or not row["right"] else None
            current.options.append(
                (LETTERS[min(len(current.options), len(LETTERS) - 1)], text, ticked if says is None else says)
            )
            if says is None:
                current.cells["right"] = row["right"]
    if current is not None:
        yield current
