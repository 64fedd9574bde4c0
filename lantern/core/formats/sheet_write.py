"""A set as rows of a spreadsheet that `sheet_rows` reads back, and a sheet for people to fill in."""

from collections.abc import Sequence

from lantern.core.formats.checksum import row_sums
from lantern.core.formats.item_text import text_of, write_item
from lantern.core.formats.sheet_rows import NO_TIME, read_rows
from lantern.core.formats.table import Table
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.companions import NewId, Told
from lantern.core.questions.content import MAX_ITEMS, SetContent
from lantern.core.questions.items import Item, Question
from lantern.core.questions.kinds.choice import LETTERS
from lantern.core.words import in_language

HEADINGS = (
    "Question", "Kind", *(f"Option {letter}" for letter in LETTERS), "Right", "Explanation", "Time", "Weight",
    "Topics", "Written by", "Lines", "Settings", "Checksum",
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


def write_table(content: SetContent, new_id: NewId) -> Table:
    """The set as one table, a row for each item."""
    sums = row_sums(content.items[:MAX_ITEMS])
    rows = [_row_of(item, one, new_id) for item, one in zip(content.items, sums, strict=False)]
    return Table("Questions", HEADINGS, rows)


def _row_of(item: Item, checksum: str, new_id: NewId) -> list[str]:
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
        "Time": "" if question is None else NO_TIME if question.time_limit is None else str(question.time_limit),
        "Weight": "" if question is None else str(question.weight),
        "Topics": topics,
        "Written by": item.by,
        "Settings": "\n".join(f"{name}: {value}" for name, value in settings.items()),
        "Lines": "\n".join(text.lines),
        "Checksum": checksum,
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
    entries = read_rows([HEADINGS, laid_out], {}, new_id).entries
    back = entries[0].item if entries else None
    return laid_out if back is not None and write_item(back) == write_item(item) else row


def template(language: str) -> Table:
    """What to fill in: headings, and two questions as examples."""

    def words(cell: Message | str) -> str:
        return in_language(cell, language) if isinstance(cell, Message) else cell

    rows = [[words(example.get(use, "")) for use in _TO_FILL_IN] for example in _EXAMPLES]
    return Table(words(said("sheet_questions", "Questions")), [words(h) for h in _TO_FILL_IN.values()], rows)
