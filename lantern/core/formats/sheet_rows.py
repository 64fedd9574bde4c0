"""Questions as rows of a spreadsheet: one row each, columns known by their headings.

A row is read in two ways. Where it has the columns of our own form ("Lines", "Settings") it is put together as
the text form of an item, so that every kind can be said. Otherwise question, options and the right answer are
taken as they stand, as people lay them out.
"""

import re
from collections.abc import Mapping, Sequence

from pydantic import ValidationError

from lantern.core.formats.exchange import MOST_ENTRIES, Column, Entry, Incoming
from lantern.core.formats.markdown import USUAL_KIND, ItemText, first_of, item_of, text_of, write_item
from lantern.core.formats.pasted.reader import OptionLine, Parts, fields_of
from lantern.core.formats.table import Table
from lantern.core.languages import TEACHER_LANGUAGES
from lantern.core.messages import Message, said
from lantern.core.questions import KINDS, kind_of, read_item
from lantern.core.questions.companions import NewId, Told
from lantern.core.questions.content import MAX_ITEMS, SetContent
from lantern.core.questions.items import Item, Question
from lantern.core.questions.kinds.choice import LETTERS, MAX_OPTIONS
from lantern.core.words import in_language

USES = ("question", "option", "right", "kind", "explanation", "time", "weight", "topics", "by", "lines", "settings")
"""What a column can be used for. Several columns can be options; of the others there is one each."""
_SAYINGS: dict[str, str] = {
    "question": r"questions?|prompts?|question text|text|stem|statement|term",
    "option": r"(?:options?|answers?|choices?|responses?|distractors?|wrong(?: answer)?|alternatives?)?"
    r"\s*[\(\[]?(?:[a-l]|\d{1,2})[\)\]]?",
    "right": r"right|correct|(?:right|correct) (?:answers?|options?|choices?)|answers?|key|solutions?|definition",
    "kind": r"kind|type|question type|kind of question",
    "explanation": r"explanations?|why|feedback|rationale|reason|comment",
    "time": r"time|time limit|seconds|time \(?(?:s|sec|seconds)\)?|limit",
    "weight": r"weight|points?|counts",
    "topics": r"topics?|tags?|category|subject|chapter|unit",
    "by": r"by|author|writer|written by|student|name|your name|made by",
    "lines": r"lines",
    "settings": r"settings",
}
_HEADING = {use: re.compile(rf"^\s*(?:{saying})\s*[:?]?\s*$", re.I) for use, saying in _SAYINGS.items()}
HEADINGS = (
    "Question", "Kind", *(f"Option {letter}" for letter in LETTERS), "Right", "Explanation", "Time", "Weight",
    "Topics", "Written by", "Lines", "Settings",
)  # fmt: skip
_TO_FILL_IN = {
    "question": said("heading_question", "Question"),
    **{f"option {letter}": said("heading_option_letter", "Option {letter}", letter=letter) for letter in LETTERS[:6]},
    "right": said("heading_right", "Right"),
    "explanation": said("heading_explanation", "Explanation"),
    "time": said("heading_time", "Time"),
    "weight": said("heading_weight", "Weight"),
    "topics": said("heading_topics", "Topics"),
    "by": said("heading_written_by", "Written by"),
}
"""The headings of the sheet that is filled in by people, in the order of its columns."""
_IN_OTHER_WORDS = {
    in_language(heading, language).casefold(): use.split()[0]
    for use, heading in _TO_FILL_IN.items()
    for language in TEACHER_LANGUAGES
}
_EXAMPLES: tuple[dict[str, Message | str], ...] = (
    {
        "question": said("example_knot", "Which knot makes a loop?"),
        "option A": said("example_reef_knot", "Reef knot"),
        "option B": said("example_bowline", "Bowline"),
        "right": "B",
        "explanation": said("example_knot_why", "It holds under load and opens again."),
        "time": "30",
        "topics": said("example_knots", "knots"),
    },
    {
        "question": said("example_side", "What is the left side of a ship called?"),
        "right": said("example_port", "port"),
        "time": "30",
        "topics": said("example_ships", "ships"),
    },
)
_WRONG = re.compile(r"wrong|incorrect|distractor|false", re.I)
_NO_TIME = "none"
_ABOUT_KINDS = {kind.name.replace("_", " "): kind.name for kind in KINDS}
Rows = Sequence[Sequence[str]]


def columns_of(rows: Rows, choices: Mapping[str, str]) -> tuple[list[Column], int]:
    """(the columns, index of the first row of questions). `choices` are column numbers to uses, by hand."""
    width = max((len(row) for row in rows[:200]), default=0)
    at = _heading_row(rows)
    headings = [_cell(rows[at], number) for number in range(width)] if at is not None else [""] * width
    first = 0 if at is None else at + 1
    found = [use_of(heading) for heading in headings] if at is not None else _usual(rows, width)
    seen: set[str] = set()
    columns = []
    for number, heading in enumerate(headings):
        use = choices.get(str(number), found[number])
        use = use if use in USES and (use == "option" or use not in seen) else ""
        seen.add(use)
        example = next((_cell(row, number) for row in rows[first:] if _cell(row, number)), "")
        columns.append(Column(heading=heading[:100], use=use, example=example[:100]))
    return columns, first


def use_of(heading: str) -> str:
    """What a column with this heading is for; "" where nobody can tell."""
    known = _IN_OTHER_WORDS.get(heading.strip().casefold())
    return known or next((use for use in ("right", *USES) if _HEADING[use].match(heading)), "")


def _usual(rows: Rows, width: int) -> list[str]:
    """Without headings: the question first, then its options; two columns are a question and its answer. A last
    column that holds nothing but letters says which option is right."""
    if width <= 2:
        return ["question", "right"][:width]
    named = LETTERS[: width - 2]
    last = [_cell(row, width - 1).upper() for row in rows if any(cell.strip() for cell in row)]
    says_right = width > 3 and all(len(cell) == 1 and cell in named for cell in last)
    return ["question", *["option"] * (width - 2), "right" if says_right else "option"]


def _heading_row(rows: Rows) -> int | None:
    """The first row, of the first ten, of which at least two cells say what their column is for.

    In the very first row one is enough: what holds the questions may be headed in another language.
    """
    for at, row in enumerate(rows[:10]):
        if len({use_of(cell) for cell in row if cell.strip()} - {""}) >= 2 and any(
            use_of(c) == "question" for c in row
        ):
            return at
    return 0 if rows and any(use_of(cell) for cell in rows[0] if len(cell.strip()) > 1) else None


def read_rows(rows: Rows, choices: Mapping[str, str], new_id: NewId, language: str = "") -> Incoming:
    """Every filled row as an entry. `language` is what numbers are written in."""
    incoming = Incoming()
    incoming.columns, first = columns_of(rows, choices)
    if not any(column.use == "question" for column in incoming.columns):
        incoming.note(said("no_column_of_questions", "No column holds the questions. Choose it among the columns."))
        return incoming
    filled = [(at, row) for at, row in enumerate(rows[first:], start=first + 1) if any(cell.strip() for cell in row)]
    for at, row in filled[:MOST_ENTRIES]:
        incoming.entries.append(_entry(at, Row(incoming.columns, row), new_id, language))
    if len(filled) > MOST_ENTRIES:
        only = "Only the first {most} of {all} rows were read."
        incoming.note(said("only_first_of_rows", only, most=MOST_ENTRIES, all=len(filled)))
    return incoming


class Row:
    """The cells of a row by what they are used for."""

    def __init__(self, columns: Sequence[Column], cells: Sequence[str]) -> None:
        self.options: list[str] = []
        self.options_are_wrong = True
        """Whether the headings say of every option that it is wrong, so that the right one stands apart."""
        self._cells: dict[str, str] = {}
        for number, column in enumerate(columns):
            if column.use == "option":
                self.options.append(_cell(cells, number))
                self.options_are_wrong &= _WRONG.search(column.heading) is not None
            elif column.use:
                self._cells[column.use] = _cell(cells, number)

    def __getitem__(self, use: str) -> str:
        return self._cells.get(use, "")

    @property
    def text(self) -> str:
        """The row as pasted text, to be mended."""
        options = [f"{letter}) {option}" for letter, option in zip(LETTERS, self.options, strict=False) if option]
        right = [f"Answer: {self['right']}"] if self["right"] else []
        why = [f"Why: {self['explanation']}"] if self["explanation"] else []
        named = {"Topics": "topics", "Time": "time", "Written by": "by"}
        facts = [f"{name}: {self[use]}" for name, use in named.items() if self[use]]
        return "\n".join([self["question"], *options, *right, *why, *facts])


def _entry(at: int, row: Row, new_id: NewId, language: str = "") -> Entry:
    place = said("place_row", "Row {number}", number=at)
    found = _own_form(row, new_id) if row["lines"] or row["settings"] or _kind(row) not in {"", USUAL_KIND} else None
    sentences: list[Message] = []
    if found is None:
        found, sentences = _as_laid_out(row, new_id, language)
    if isinstance(found, Message):
        return Entry(place=place, text=row.text, sentences=(found,))
    item, more = _with_facts(found, row)
    return Entry(place=place, text=row.text, item=item, sentences=(*sentences, *more))


def _kind(row: Row) -> str:
    said = " ".join(row["kind"].lower().replace("_", " ").split())
    return _ABOUT_KINDS.get(said, "")


def _own_form(row: Row, new_id: NewId) -> Item | Message | None:
    """The row as our own form says it; None where a kind is only named, and cells say the rest."""
    settings = dict(line.split(":", 1) for line in row["settings"].split("\n") if ":" in line)
    settings = {name.strip(): value.strip() for name, value in settings.items()}
    lines = tuple(row["lines"].split("\n")) if row["lines"] else ()
    kind = _kind(row) or USUAL_KIND
    if not lines and not settings and (row["right"] or any(row.options)):
        return None
    if not lines and kind == USUAL_KIND:
        lines = tuple(_choice_lines(row))
    return item_of(ItemText(row["question"], kind, settings, lines, row["explanation"]), new_id)


def _choice_lines(row: Row) -> list[str]:
    right = set(re.findall(r"[A-L]", row["right"]))
    pairs = zip(LETTERS, row.options, strict=False)
    return [f"- [{'x' if letter in right else ' '}] {option}" for letter, option in pairs if option]


def _as_laid_out(row: Row, new_id: NewId, language: str) -> tuple[Item | Message, list[Message]]:
    right = row["right"]
    # A letter belongs to its column, whichever cells beside it are empty.
    named = [(letter, option) for letter, option in zip(LETTERS, row.options, strict=False) if option]
    if row.options_are_wrong and named and right and right.casefold() not in {text.casefold() for _, text in named}:
        # "Right answer" beside "Wrong answer 1, 2, 3": the right one is no option yet.
        named = [("", right), *(("", option) for _, option in named)][:MAX_OPTIONS]
    options = [OptionLine(letter, option, False, False) for letter, option in named]
    parts = Parts(prompt=[row["question"]] if row["question"] else [], options=options, answer=right or None)
    fields, sentences = fields_of(parts, new_id, language)
    if fields is None:
        return sentences[0], []
    fields["explanation"] = row["explanation"]
    try:
        return read_item.validate_python(fields | {"id": new_id()}), sentences
    except ValidationError as error:
        return first_of(error), []


def _with_facts(item: Item, row: Row) -> tuple[Item, list[Message]]:
    """The item with time, weight, topics and its writer; what a cell says wrongly is told."""
    changes: dict[str, object] = {}
    sentences: list[Message] = []
    if row["topics"]:
        changes["tags"] = tuple(part.strip()[:60] for part in re.split(r"[,;\n]", row["topics"]) if part.strip())[:20]
    if row["by"]:
        changes["by"] = row["by"][:100]
    if isinstance(item, Question) and row["time"]:
        seconds = re.fullmatch(r"(\d+)(?:\.0+)?\s*(?:s|sec|seconds)?", row["time"].strip(), re.I)
        if row["time"].strip().casefold() in {_NO_TIME, "no", "-", "–", "0"}:
            changes["time_limit"] = None
        elif seconds:
            changes["time_limit"] = max(5, min(1200, int(seconds[1])))
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


# --- writing ---------------------------------------------------------------------------------------


def write_table(content: SetContent, new_id: NewId) -> Table:
    """The set as one table, a row for each item, that `read_rows` reads back."""
    return Table("Questions", HEADINGS, [_row_of(item, new_id) for item in content.items[:MAX_ITEMS]])


def _row_of(item: Item, new_id: NewId) -> list[str]:
    text = text_of(item)
    settings = {name: value for name, value in text.settings.items() if name not in {"time_limit", "weight", "by"}}
    topics = ", ".join(item.tags)
    if not any(mark in tag for tag in item.tags for mark in ",;\n"):
        settings.pop("tags", None)
    else:
        topics = ""
    question = item if isinstance(item, Question) else None
    cells = {
        "Question": item.prompt,
        "Kind": item.kind.replace("_", " "),
        "Explanation": text.explanation,
        "Time": "" if question is None else _NO_TIME if question.time_limit is None else str(question.time_limit),
        "Weight": "" if question is None else str(question.weight),
        "Topics": topics,
        "Written by": item.by,
        "Settings": "\n".join(f"{name}: {value}" for name, value in settings.items()),
        "Lines": "\n".join(text.lines),
    }
    row = [cells.get(heading, "") for heading in HEADINGS]
    choices = kind_of(item).substance(item).choices
    return _with_options(row, item, choices, new_id) if choices else row


def _with_options(row: list[str], item: Item, choices: Sequence[Told], new_id: NewId) -> list[str]:
    """An item that is made of choices with each in a column of its own, where it is read back from them as it is."""
    cells = dict(zip(HEADINGS, row, strict=True)) | {"Lines": ""}
    cells |= {f"Option {letter}": option.text for letter, option in zip(LETTERS, choices, strict=False)}
    cells["Right"] = ", ".join(letter for letter, o in zip(LETTERS, choices, strict=False) if o.right)
    laid_out = [cells.get(heading, "") for heading in HEADINGS]
    columns, _ = columns_of([HEADINGS, laid_out], {})
    back = _entry(1, Row(columns, laid_out), new_id).item
    return laid_out if back is not None and write_item(back) == write_item(item) else row


def template(language: str) -> Table:
    """What to fill in: headings, and two questions as examples."""

    def words(cell: Message | str) -> str:
        return in_language(cell, language) if isinstance(cell, Message) else cell

    rows = [[words(example.get(use, "")) for use in _TO_FILL_IN] for example in _EXAMPLES]
    return Table(words(said("sheet_questions", "Questions")), [words(h) for h in _TO_FILL_IN.values()], rows)


def _cell(row: Sequence[str], number: int) -> str:
    return row[number].strip() if number < len(row) else ""
