"""Questions as rows of a spreadsheet: one row each, or one for each option; columns known by their headings.

1. A row is read in two ways. Where it has the columns of our own form ("Lines", "Settings") it is put together as
   the text
   form of an item, so that every kind can be said. Otherwise question, options and the right answer are taken as
   they stand.
2. A letter or number of a key belongs to its column, whichever cells beside it are empty. Where a key fits by its
   place and by
   its text, with different results, the heading decides, else the other rows, else it is asked.
3. What is in a sheet and in no question is told.
"""

import re
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field

from pydantic import ValidationError

from lantern.core.formats.checksum import is_row_sum, row_changes
from lantern.core.formats.exchange import MOST_ENTRIES, Alternative, Ask, Column, Entry, Incoming, Way
from lantern.core.formats.item_text import USUAL_KIND, ItemText, first_of, item_of, read_settings
from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.fields import Fields, Made, fields_of
from lantern.core.formats.pasted.lines import OptionLine, place_of
from lantern.core.formats.pasted.literal import literal
from lantern.core.formats.pasted.parts import Parts
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
from lantern.core.formats.weights import weigh
from lantern.core.messages import Message, said
from lantern.core.questions import KINDS, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item, Question
from lantern.core.questions.kinds.choice import LETTERS, MAX_OPTIONS

_WRONG = re.compile(rf"wrong|incorrect|distractor|false|{words('wrong_option')}", re.I)
NO_TIME = "none"
_ABOUT_KINDS = {kind.name.replace("_", " "): kind.name for kind in KINDS}
_TRUE_FALSE = re.compile(
    rf"^(?:true\s*(?:/|or|&|and)?\s*false|t\s*/?\s*f|yes\s*/?\s*no|(?:{words('true')})\s*\W?\s*\w{{0,4}}\s*(?:{words('false')}))$",
    re.I,
)
_OPEN = re.compile(rf"^{words('open_kind')}(?:\s*{words('question')})?$", re.I)
_PLAIN_KIND = re.compile(
    rf"^(?:{words('closed_kind')}|{words('question')}|sc|ms|mr|radio|select|quiz|typed?|numbers?)(?:\s*{words('question')})?$",
    re.I,
)
_TIME = re.compile(
    r"^(\d{1,4})(?:[.,]0+)?\s*(?:(s|secs?|seconds?|sek\w*|seg\w*|сек\w*|秒)|(m|mins?|minut\w*|мин\w*|хв\w*|分))?\.?$|^(\d{1,2}):(\d{2})$",
    re.I,
)
KEY = "key"
"""The choice by which a key that fits twice is read."""
_KEY_ASKS = said("key_asks", "The key fits by place and by text, with different options. How is it meant?")
_KEY_WAYS = (
    Way(value="place", says=said("key_by_place", "It names the place of the right option: its letter or number")),
    Way(value="text", says=said("key_by_text", "It is the text of the right option")),
)


@dataclass
class Row:
    """The cells of a row by what they are used for. `at` counts from 1. `options` are (letter, text, whether a tick
    says that
    it is right), those of empty cells left out: the letter is that of the column."""

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


def read_rows(rows: Rows, choices: Mapping[str, str], new_id: NewId, language: str = "") -> Incoming:
    """Every filled row as an entry. `language` is what numbers are written in."""
    return read_sheets([Sheet(rows)], choices, new_id, language)


def read_sheets(sheets: Sequence[Sheet], choices: Mapping[str, str], new_id: NewId, language: str = "") -> Incoming:
    """All sheets of a file that hold questions. The columns that are chosen by hand are those of the first, and of
    others with the
    same headings."""
    incoming = Incoming()
    read: list[_Sheet] = []
    for sheet in sheets:
        uses = choices if not read or _same_headings(sheet, read[0]) else {}
        made = _Sheet(sheet, uses, named=len(sheets) > 1)
        if made.asks and (not read or made.is_headed):
            read.append(made)
        elif any(any(cell.strip() for cell in row) for row in sheet.rows):
            _leave_out(incoming, sheet, made, first=not read and len(sheets) == 1)
    if not read:
        incoming.columns = _Sheet(sheets[0], choices, named=False).columns if sheets else []
        incoming.note(said("no_column_of_questions", "No column holds the questions. Choose it among the columns."))
        return incoming
    incoming.columns = read[0].columns
    rows = [(sheet, row) for sheet in read for row in sheet.questions()]
    part = int(choices.get("part", "0")) if choices.get("part", "0").isdigit() else 0
    _ask_for_part(incoming, len(rows), part)
    _Reader(incoming, new_id, language).read(
        rows[part * MOST_ENTRIES : (part + 1) * MOST_ENTRIES], choices.get(KEY, "")
    )
    for one in read:
        one.tell(incoming)
    if len(rows) <= MOST_ENTRIES:
        _tell_changes(incoming, rows, sheets)
    return incoming


def _tell_changes(incoming: Incoming, rows: Sequence[tuple["_Sheet", Row]], sheets: Sequence[Sheet]) -> None:
    """What was changed in a sheet since it was written here."""
    given = [(row.at, row["checksum"], entry.item) for (_, row), entry in zip(rows, incoming.entries, strict=True)]
    if any(column.use == "checksum" for sheet, _ in rows[:1] for column in sheet.columns):
        for note in row_changes(given):
            incoming.note(note)
    there = sum(is_row_sum(cell) for sheet in sheets for row in sheet.rows for cell in row)
    if there != sum(is_row_sum(cell) for _, cell, _ in given):
        lost = (
            "This sheet was written here, but its row of headings, or the end of a row, is lost. Look over every row."
        )
        incoming.note(said("headings_lost", lost))


def _ask_for_part(incoming: Incoming, count: int, part: int) -> None:
    """More rows than are read at once are read in parts."""
    if count <= MOST_ENTRIES:
        return
    starts = range(0, count, MOST_ENTRIES)
    ways = tuple(
        Way(
            value=str(number),
            says=said("rows_from_to", "{first} to {last}", first=start + 1, last=min(start + MOST_ENTRIES, count)),
        )
        for number, start in enumerate(starts)
    )
    asks = "There are {count} questions, more than are read at once. Which of them?"
    incoming.asks.append(Ask(name="part", question=said("which_part", asks, count=count), ways=ways, given=str(part)))


def _leave_out(incoming: Incoming, sheet: Sheet, made: "_Sheet", *, first: bool) -> None:
    if first:
        return
    beginning = next((" ".join(cell.strip() for cell in row if cell.strip()) for row in sheet.rows if any(row)), "")
    left = "The sheet “{sheet}” is left out: it holds no questions. It begins “{beginning}”."
    incoming.note(said("sheet_left_out", left, sheet=sheet.name[:60], beginning=beginning[:80]))


class _Sheet:
    """One sheet: its columns, and its rows by what they are used for."""

    def __init__(self, sheet: Sheet, choices: Mapping[str, str], *, named: bool) -> None:
        self._rows, self.name = sheet.rows, sheet.name if named else ""
        self.columns, self._first = columns_of(sheet.rows, choices)
        self.headings = [column.heading for column in self.columns]
        self.is_headed = heading_row(sheet.rows) is not None
        self._labels = _labels_of(self.columns)
        self._truth = _truth_of(self.columns)

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
                    row.options.append((letter, cell, None))
            elif column.use == "choices":
                row.options += _choices(cell)
            elif column.use == "tick":
                self._tick(row, number, cells)
            elif number in self._truth and is_ticked(cell):
                row.cells["right"] = self._truth[number]
            elif column.use:
                row.cells[column.use] = cell
        row.options_are_wrong = bool(wrong) and all(wrong)
        return row

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


def _same_headings(sheet: Sheet, first: _Sheet) -> bool:
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


@dataclass
class _Draft:
    """A row with what was made of it; `own` is an item in our own form, or why it is none."""

    sheet: _Sheet
    row: Row
    made: Made | None
    own: Item | Message | None = None


class _Reader:
    def __init__(self, incoming: Incoming, new_id: NewId, language: str) -> None:
        self._incoming, self._new_id, self._language = incoming, new_id, language

    def read(self, rows: Sequence[tuple[_Sheet, Row]], key: str) -> None:
        drafts = [self._draft(sheet, row) for sheet, row in rows]
        ways = {id(sheet): self._way(sheet, drafts, key) for sheet, _ in rows}
        for draft in drafts:
            self._incoming.entries.append(self._entry(draft, ways[id(draft.sheet)]))
        if any(draft.made is not None and len(draft.made.readings) > 1 for draft in drafts):
            given = key if key in {"place", "text"} else next((way for way in ways.values() if way), "")
            self._incoming.asks.append(Ask(name=KEY, question=_KEY_ASKS, ways=_KEY_WAYS, given=given))
        points = [_points(draft.row["points"]) for draft in drafts]
        called = rows[0][0].points_called if rows else "Points"
        for draft, worth in zip(drafts, points, strict=True):
            if worth is None and draft.row["points"]:
                wrong = "{called}: “{points}” is left out: it is no whole number."
                self._incoming.note(said("points_no_number", wrong, called=called, points=draft.row["points"][:40]))
        weigh(self._incoming, points, called)

    def _draft(self, sheet: _Sheet, row: Row) -> _Draft:
        own = (
            _own_form(row, self._new_id)
            if row["lines"] or row["settings"] or _kind(row) not in {"", USUAL_KIND}
            else None
        )
        if own is not None:
            return _Draft(sheet, row, None, own)
        return _Draft(sheet, row, self._made(row, as_it_is if sheet.is_ours else literal))

    def _made(self, row: Row, written: Callable[[str], str]) -> Made:
        right = row["right"]
        named = [OptionLine(letter, written(text), bool(ticked), False) for letter, text, ticked in row.options]
        is_apart = right and right.casefold() not in {option.text.casefold() for option in named}
        if row.options_are_wrong and named and is_apart:
            # "Right answer" beside "Wrong answer 1, 2, 3": the right one is no option yet.
            named = [
                OptionLine("", written(right), False, False),
                *(OptionLine("", o.text, False, False) for o in named),
            ][:MAX_OPTIONS]
        prompt = [written(line) for line in row["question"].split("\n")] if row["question"] else []
        parts = Parts(
            prompt=prompt, options=named, answer=right or None, is_open=_OPEN.match(row["kind"].strip()) is not None
        )
        made = fields_of(parts, self._new_id, self._language)
        kind = row["kind"].strip()
        known = not kind or _kind(row) or any(one.match(kind) for one in (_TRUE_FALSE, _OPEN, _PLAIN_KIND))
        if not known and made.fields is not None:
            strange = "“{kind}” is no kind that is known here; it was read as it stands."
            made.sentences.append(said("kind_not_known", strange, kind=kind[:40]))
            made.sure = False
        return made

    def _way(self, sheet: _Sheet, drafts: Sequence[_Draft], key: str) -> str:
        """How keys of this sheet that fit twice are read: as was chosen, as the heading says, as the other rows are."""
        if key in {"place", "text"}:
            return key
        if sheet.key_hint:
            return sheet.key_hint
        ways = {
            draft.made.way for draft in drafts if draft.sheet is sheet and draft.made is not None and draft.row["right"]
        }
        told = ways & {"place", "text"}
        return told.pop() if len(told) == 1 else ""

    def _entry(self, draft: _Draft, way: str) -> Entry:
        row, made = draft.row, draft.made
        place, text = draft.sheet.place(row), row.text
        if made is None:
            if isinstance(draft.own, Message):
                return Entry(place=place, text=text, sentences=(draft.own,), sure=False)
            assert draft.own is not None
            item, told = _with_facts(draft.own, row)
            return Entry(place=place, text=text, item=item, sentences=tuple(told))
        if way in made.readings:
            made = Made(made.readings[way][1], [], why=made.why)
        if made.fields is None:
            readings = [self._reading(says, fields, made, row) for says, fields in made.readings.values()]
            return Entry(
                place=place,
                text=text,
                sentences=tuple(made.sentences),
                sure=False,
                readings=tuple(filter(None, readings)),
            )
        found = self._item(made.fields, made, row)
        if isinstance(found, Message):
            return Entry(place=place, text=text, sentences=(found,), sure=False)
        item, told = _with_facts(found, row)
        return Entry(place=place, text=text, item=item, sentences=(*made.sentences, *told), sure=made.sure)

    def _reading(self, says: Message, fields: Fields, made: Made, row: Row) -> Alternative | None:
        found = self._item(fields, made, row)
        return None if isinstance(found, Message) else Alternative(says=says, item=_with_facts(found, row)[0])

    def _item(self, fields: Fields, made: Made, row: Row) -> Item | Message:
        why = "\n".join(filter(None, [made.why, row["explanation"]]))
        try:
            return read_item.validate_python(fields | {"id": self._new_id(), "explanation": why})
        except ValidationError as error:
            return first_of(error)


def as_it_is(text: str) -> str:
    return text


def _kind(row: Row) -> str:
    said = " ".join(row["kind"].lower().replace("_", " ").split())
    return _ABOUT_KINDS.get(said, "")


def _points(cell: str) -> int | None:
    found = re.fullmatch(r"(\d{1,3})(?:[.,]0+)?\s*\D{0,8}", cell.strip())
    return int(found[1]) if found else None


def _own_form(row: Row, new_id: NewId) -> Item | Message | None:
    """The row as our own form says it; None where a kind is only named, and cells say the rest."""
    settings, _, _ = read_settings(row["settings"].split("\n"))
    lines = tuple(row["lines"].split("\n")) if row["lines"] else ()
    kind = _kind(row) or USUAL_KIND
    if not lines and not settings and (row["right"] or row.options):
        return None
    if not lines and kind == USUAL_KIND:
        lines = tuple(_choice_lines(row))
    return item_of(ItemText(row["question"], kind, settings, lines, row["explanation"]), new_id)


def _choice_lines(row: Row) -> list[str]:
    right = set(re.findall(r"[A-L]", row["right"]))
    return [f"- [{'x' if letter in right else ' '}] {text}" for letter, text, _ in row.options]


def _with_facts(item: Item, row: Row) -> tuple[Item, list[Message]]:
    """The item with time, weight, topics and its writer; what a cell says wrongly is told."""
    changes: dict[str, object] = {}
    sentences: list[Message] = []
    if row["topics"]:
        changes["tags"] = tuple(part.strip()[:60] for part in re.split(r"[,;\n]", row["topics"]) if part.strip())[:20]
    if row["by"]:
        changes["by"] = row["by"][:100]
    if isinstance(item, Question) and row["time"]:
        seconds = _TIME.match(row["time"].strip())
        if row["time"].strip().casefold() in {NO_TIME, "no", "-", "–", "0"}:
            changes["time_limit"] = None
        elif seconds:
            amount = (
                int(seconds[4]) * 60 + int(seconds[5]) if seconds[4] else int(seconds[1]) * (60 if seconds[3] else 1)
            )
            changes["time_limit"] = max(5, min(1200, amount))
        else:
            wrong = "The time “{time}” is not a number of seconds."
            sentences.append(said("time_not_seconds", wrong, time=row["time"][:40]))
    if isinstance(item, Question) and row["weight"]:
        weight = re.fullmatch(r"([012])(?:\.0+)?", row["weight"].strip())
        if weight:
            changes["weight"] = int(weight[1])
        else:
            wrong = "The weight “{weight}” is left out: it can be 0, 1 or 2."
            sentences.append(said("weight_left_out", wrong, weight=row["weight"][:40]))
    return item.model_copy(update=changes), sentences
