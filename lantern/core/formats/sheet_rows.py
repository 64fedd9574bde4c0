"""Questions as rows of a spreadsheet: one row each, or one for each option; columns known by their headings.

1. A row is read in two ways. Where it has the columns of our own form ("Lines", "Settings") it is put together as the
   text form of an item, so that every kind can be said. Otherwise question, options and the right answer are taken as
   they stand.
2. A letter or number of a key belongs to its column, whichever cells beside it are empty. Where a key fits by its
   place and by its text, with different results, the heading decides, else the other rows, else it is asked.
3. What is in a sheet and in no question is told.
"""

import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

from pydantic import ValidationError

from lantern.core.formats.checksum import is_row_sum, row_changes
from lantern.core.formats.exchange import MOST_ENTRIES, Alternative, Ask, Entry, Incoming, Way
from lantern.core.formats.item_text import USUAL_KIND, ItemText, first_of, item_of, read_settings
from lantern.core.formats.pasted.fields import fields_of
from lantern.core.formats.pasted.lines import OptionLine
from lantern.core.formats.pasted.literal import literal
from lantern.core.formats.pasted.made import Fields, Made
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.sayings import words
from lantern.core.formats.sheet_columns import (
    Rows,
)
from lantern.core.formats.sheet_model import HeadedSheet, Row, Sheet, same_headings
from lantern.core.formats.weights import weigh
from lantern.core.messages import Message, said
from lantern.core.questions import KINDS, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.items import Item, Question
from lantern.core.questions.kinds.choice import MAX_OPTIONS

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


def read_rows(rows: Rows, choices: Mapping[str, str], new_id: NewId, language: str = "") -> Incoming:
    """Every filled row as an entry. `language` is what numbers are written in."""
    return read_sheets([Sheet(rows)], choices, new_id, language)


def read_sheets(sheets: Sequence[Sheet], choices: Mapping[str, str], new_id: NewId, language: str = "") -> Incoming:
    """All sheets of a file that hold questions. The columns that are chosen by hand are those of the first, and of
    others with the same headings."""
    incoming = Incoming()
    read: list[HeadedSheet] = []
    for sheet in sheets:
        uses = choices if not read or same_headings(sheet, read[0]) else {}
        made = HeadedSheet(sheet, uses, named=len(sheets) > 1)
        if made.asks and (not read or made.is_headed):
            read.append(made)
        elif any(any(cell.strip() for cell in row) for row in sheet.rows):
            _leave_out(incoming, sheet, made, first=not read and len(sheets) == 1)
    if not read:
        incoming.columns = HeadedSheet(sheets[0], choices, named=False).columns if sheets else []
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


def _tell_changes(incoming: Incoming, rows: Sequence[tuple[HeadedSheet, Row]], sheets: Sequence[Sheet]) -> None:
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


def _leave_out(incoming: Incoming, sheet: Sheet, made: HeadedSheet, *, first: bool) -> None:
    if first:
        return
    beginning = next((" ".join(cell.strip() for cell in row if cell.strip()) for row in sheet.rows if any(row)), "")
    left = "The sheet “{sheet}” is left out: it holds no questions. It begins “{beginning}”."
    incoming.note(said("sheet_left_out", left, sheet=sheet.name[:60], beginning=beginning[:80]))


@dataclass
class _Draft:
    """A row with what was made of it; `own` is an item in our own form, or why it is none."""

    sheet: HeadedSheet
    row: Row
    made: Made | None
    own: Item | Message | None = None


class _Reader:
    def __init__(self, incoming: Incoming, new_id: NewId, language: str) -> None:
        self._incoming, self._new_id, self._language = incoming, new_id, language

    def read(self, rows: Sequence[tuple[HeadedSheet, Row]], key: str) -> None:
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

    def _draft(self, sheet: HeadedSheet, row: Row) -> _Draft:
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

    def _way(self, sheet: HeadedSheet, drafts: Sequence[_Draft], key: str) -> str:
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
