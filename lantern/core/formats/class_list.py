"""A class list as people have it: names one a line, or a spreadsheet with a row for each member.

Columns are known by their headings, in several languages; what a column is for can be said otherwise. Whatever cannot
be kept as it stands comes along with the reason why not.
"""

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from lantern.core.classes.comparing import Row
from lantern.core.classes.members import MOST_MEMBERS, MemberForm, tidy
from lantern.core.errors import BadName
from lantern.core.formats.exchange import Column, Source
from lantern.core.formats.sheet_format import MOST_COLUMNS, CsvFormat, OdsFormat, XlsxFormat
from lantern.core.formats.table import ToldTable
from lantern.core.formats.text_format import text_of
from lantern.core.messages import Message, said

USES = ("name", "first", "last", "record_id", "group", "keypads", "notes")
"""What a column can be used for. A name stands in one column, or in two."""
_SAYINGS = {
    "first": r"first ?names?|given ?names?|forenames?|vornamen?|prénoms?|nombres?|ім.я|الاسم الأول",
    "last": r"last ?names?|sur ?names?|family ?names?|nachnamen?|familiennamen?|noms? de famille|apellidos?|прізвище|"
    r"اسم العائلة",
    "record_id": r"(?:record|student|pupil|school|user|matrikel|schüler)[- ]?(?:id|no|nr|number|nummer)\.?|id|"
    r"kennung(?:en)?|e-?mails?(?: address)?|mail|correo|courriel|adresse e-?mail|пошта|البريد.*",
    "group": r"groups?|tables?|teams?|gruppen?|tische?|groupes?|équipes?|grupos?|equipos?|груп[аи]|المجموعة|مجموعة",
    "keypads": r"keypads?(?: numbers?)?|tastatur(?:en|nummern?)?",
    "notes": r"notes?|remarks?|comments?|bemerkung(?:en)?|remarques?|notas?",
    "name": r"(?:full |display |student |pupil )?names?|students?|pupils?|members?|schüler(?:in(?:nen)?)?|noms?|"
    r"élèves?|alumn[oa]s?|учень|учні|الاسم",
}
_HEADING = {use: re.compile(rf"^\s*(?:{saying})\s*[:*]?\s*$", re.I) for use, saying in _SAYINGS.items()}
_ID = re.compile(r"^\S+@\S+\.\S+$|^[A-Z]{0,4}[-_]?\d{3,}$", re.I)
_COUNTED = re.compile(r"^\s*(?:\d{1,4}\s*[.):\t]|[-–—•*▪◦])\s*")
SHEETS = (XlsxFormat(), OdsFormat(), CsvFormat())
HEADINGS = (
    said("heading_last_name", "Last name"),
    said("heading_first_name", "First name"),
    said("heading_record_id", "Record ID"),
    said("heading_group", "Group"),
    said("heading_keypads", "Keypads"),
)


@dataclass
class ClassList:
    """What was found; `columns` only where it is a spreadsheet. `notes` concern it as a whole."""

    rows: list[Row] = field(default_factory=list)
    columns: list[Column] = field(default_factory=list)
    notes: list[Message] = field(default_factory=list)


def read_class_list(source: Source) -> ClassList:
    """A spreadsheet, or a text with a name a line. Raises Unreadable."""
    sheet = next((one for one in SHEETS if one.fits(source)), None)
    if sheet is None:
        return read_names(text_of(source), source.choices)
    sheets, more = sheet.sheets(source)
    return _of_rows(sheets[0].rows if sheets else [], source.choices, more=more)


def read_names(text: str, choices: Mapping[str, str] | None = None) -> ClassList:
    """Names that were pasted, one a line; with tabs between them they were copied out of a spreadsheet."""
    if "\t" in text:
        sheets, more = CsvFormat().sheets(Source("", text.encode()))
        rows = sheets[0].rows
        if max((len(row) for row in rows), default=0) > 1:
            return _of_rows(rows, choices or {}, more=more)
    found = ClassList()
    for number, line in enumerate(text.splitlines(), start=1):
        typed = _COUNTED.sub("", line).strip(" \t,;")
        if typed:
            found.rows.append(_row(said("place_line", "Line {number}", number=number), {"name": typed}))
    return _bounded(found)


def _of_rows(rows: Sequence[Sequence[str]], choices: Mapping[str, str], *, more: bool) -> ClassList:
    filled = [(at, row) for at, row in enumerate(rows, start=1) if any(cell.strip() for cell in row)]
    if not filled:
        return ClassList()
    headed = any(use_of(cell) for cell in filled[0][1])
    body = filled[1:] if headed else filled
    found = ClassList(columns=_columns(filled[0][1] if headed else None, [row for _, row in body], choices))
    uses = [column.use for column in found.columns]
    if not {"name", "first", "last"} & set(uses):
        found.notes.append(said("no_column_of_names", "No column holds the names. Choose it among the columns."))
        return found
    for at, row in body:
        cells = {use: cell.strip() for use, cell in zip(uses, row, strict=False) if use}
        if any(cells.values()):
            found.rows.append(_row(said("place_row", "Row {number}", number=at), cells))
    if more:
        found.notes.append(said("only_first_rows", "Only the first {most} rows were looked at.", most=len(rows)))
    return _bounded(found)


def _columns(headings: Sequence[str] | None, body: Sequence[Sequence[str]], choices: Mapping[str, str]) -> list[Column]:
    width = min(MOST_COLUMNS, max((len(row) for row in [headings or (), *body[:200]]), default=0))
    columns: list[Column] = []
    taken: set[str] = set()
    guessed = _without_headings(body, width) if headings is None else []
    for number in range(width):
        heading = headings[number] if headings is not None and number < len(headings) else ""
        use = choices.get(str(number), guessed[number] if headings is None else use_of(heading))
        use = use if use in USES and use not in taken else ""
        taken.add(use)
        example = next((row[number].strip() for row in body if number < len(row) and row[number].strip()), "")
        columns.append(Column(heading=heading[:100], use=use, example=example[:100]))
    return columns if choices else _beside_first_names(columns)


def _beside_first_names(columns: list[Column]) -> list[Column]:
    """ "Name" beside "Vorname" or "Prénom" is the family's."""
    uses = {column.use for column in columns}
    if "first" not in uses or "last" in uses:
        return columns
    return [column.model_copy(update={"use": "last"}) if column.use == "name" else column for column in columns]


def use_of(heading: str) -> str:
    """What a column with this heading is for; "" where nobody can tell."""
    return next((use for use, saying in _HEADING.items() if heading.strip() and saying.match(heading)), "")


def _without_headings(body: Sequence[Sequence[str]], width: int) -> list[str]:
    """A column of addresses or numbers holds record IDs; of two columns of words the first is taken for family names,
    as lists are sorted by them."""
    uses = []
    for number in range(width):
        cells = [row[number].strip() for row in body[:50] if number < len(row) and row[number].strip()]
        uses.append("record_id" if cells and all(_ID.match(cell) for cell in cells) else "words" if cells else "")
    words = [number for number, use in enumerate(uses) if use == "words"]
    names = dict(zip(words, ["name"] if len(words) == 1 else ["last", "first"], strict=False))
    return [names.get(number, "" if use == "words" else use) for number, use in enumerate(uses)]


def _row(place: Message, cells: Mapping[str, str]) -> Row:
    """A value that cannot be kept is told, and nothing of the row is lost."""
    first, last = cells.get("first", ""), cells.get("last", "")
    typed = cells.get("name", "") or (f"{last}, {first}" if first and last else first or last)
    keypads = tuple(re.findall(r"\d+", cells.get("keypads", "")))[:4]
    given = {
        "name": typed[:200],
        "sort_name": f"{last}, {first}"[:200] if first and last else "",
        "record_id": cells.get("record_id", "")[:200],
        "group": cells.get("group", "")[:200],
        "keypads": tuple(number[:6] for number in keypads),
        "notes": cells.get("notes", "")[:2000],
    }
    form = MemberForm(**given)
    try:
        if not typed:
            raise BadName(said("no_name_in_row", "There is no name in this row."))
        return Row(place=place, form=tidy(form))
    except BadName as error:
        return Row(place=place, form=form, why=error.message)


def _bounded(found: ClassList) -> ClassList:
    if len(found.rows) > MOST_MEMBERS:
        found.notes.append(
            said(
                "only_first_members",
                "Only the first {most} of {all} names were taken.",
                most=MOST_MEMBERS,
                all=len(found.rows),
            )
        )
        del found.rows[MOST_MEMBERS:]
    return found


def class_table(members: Sequence[MemberForm]) -> ToldTable:
    """A class list that `read_class_list` reads back, in every language that it is taken out in."""
    rows = []
    for member in members:
        last, _, first = member.sort_name.partition(", ")
        rows.append([last, first, member.record_id, member.group, ", ".join(member.keypads)])
    return ToldTable(said("sheet_members", "Members"), HEADINGS, rows)
