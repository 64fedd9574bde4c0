"""A report as tables: what the workbook and the CSV file hold."""

from collections.abc import Iterator
from datetime import UTC, datetime

from lantern.core.analysis.report import Counting, PersonReport, Report, report_of
from lantern.core.analysis.results import Results
from lantern.core.formats.table import Cell, Table
from lantern.core.messages import Message, said
from lantern.core.questions import kind_of
from lantern.core.questions.items import ASKED_ALOUD, title_of

QUESTION = said("heading_question", "Question")
QUESTION_TEXT = said("heading_question_text", "Question text")
NAME = said("heading_name", "Name")
RECORD_ID = said("heading_record_id", "Record ID")
CONFIRMED = said("heading_confirmed", "Address confirmed")
POINTS = said("heading_points", "Points")
MEAN_MARKS = said("heading_mean_marks", "Mean mark of those who answered")
RAW_HEADINGS = (
    QUESTION,
    QUESTION_TEXT,
    said("heading_kind", "Kind"),
    said("heading_seat", "Seat"),
    NAME,
    said("heading_answer", "Answer"),
    said("heading_forgiven", "Forgiven"),
    said("heading_mark", "Mark"),
    POINTS,
    said("heading_seconds", "Seconds taken"),
    said("heading_answered_at", "Answered at (UTC)"),
    said("heading_round", "Round"),
    said("heading_counts", "Counts"),
)


def workbook_tables(results: Results, counting: Counting = "since_joined") -> list[Table]:
    """The class grid, each question's counts and measures, and every answer raw."""
    report = report_of(results, counting)
    return [grid_table(report), counts_table(report), measures_table(report), raw_table(results)]


def grid_table(report: Report) -> Table:
    """Points and places stand in it where answers earned points; what a game with a board gives is in no report."""
    ids = _id_columns(report)
    earned = any(person.points for person in report.people)
    headings = (
        NAME,
        *ids,
        *(said("heading_number", "Q{number}", number=q.number) for q in report.questions),
        said("heading_score", "Score"),
        said("heading_out_of", "Out of"),
        said("heading_percent", "Percent"),
        *((POINTS, said("heading_place", "Place")) if earned else ()),
    )
    rows: list[tuple[Cell, ...]] = [
        (
            p.name,
            *_id_cells(p, len(ids)),
            *p.panes,
            p.score,
            p.out_of,
            None if p.share is None else round(100 * p.share, 1),
            *((p.points, p.place) if earned else ()),
        )
        for p in report.people
    ]
    shares = tuple(None if q.share is None else round(q.share, 4) for q in report.questions)
    rows.append((MEAN_MARKS.sentence, *([None] * len(ids)), *shares))
    notes = (f"Q{q.number}: {q.note.sentence}" for q in report.questions if q.note)
    rows += [(sentence,) for sentence in (report.counted.sentence, *notes)]
    return Table(said("sheet_class", "Class"), headings, rows)


def _id_columns(report: Report) -> list[Message]:
    """Record IDs where there are any, and whether their addresses are confirmed where that was asked for."""
    if not any(person.record_id for person in report.people):
        return []
    return [RECORD_ID, *([CONFIRMED] if any(person.confirmed is not None for person in report.people) else [])]


def _id_cells(person: PersonReport, count: int) -> list[Cell]:
    said_so: Cell = None if person.confirmed is None else "yes" if person.confirmed else "no"
    cells: list[Cell] = [person.record_id, said_so]
    return cells[:count]


def counts_table(report: Report) -> Table:
    headings = (
        QUESTION,
        QUESTION_TEXT,
        said("heading_answered", "Answered"),
        said("heading_mean_mark", "Mean mark"),
        said("heading_option", "Option"),
        said("heading_option_text", "Option text"),
        said("heading_right", "Right"),
        said("heading_chosen_by", "Chosen by"),
        said("heading_share", "Share"),
        said("heading_written_by", "Written by"),
    )
    rows: list[tuple[Cell, ...]] = []
    for q in report.questions:
        head = (q.number, q.title, q.answered, None if q.share is None else round(q.share, 4))
        for count in q.counts:
            right = None if count.right is None else ("yes" if count.right else "no")
            share = round(count.count / q.answered, 4) if q.answered else None
            rows.append((*head, count.label, count.text, right, count.count, share, q.by))
    return Table(said("sheet_questions", "Questions"), headings, rows)


def measures_table(report: Report) -> Table:
    """Medians, mean places, spreads: one line for each."""
    headings = (
        QUESTION,
        QUESTION_TEXT,
        said("heading_measure", "Measure"),
        said("heading_of", "Of"),
        said("heading_value", "Value"),
    )
    rows: list[tuple[Cell, ...]] = [
        (q.number, q.title, measure.name.sentence, measure.of, measure.value)
        for q in report.questions
        for measure in q.measures
    ]
    return Table(said("sheet_measures", "Measures"), headings, rows)


def raw_table(results: Results) -> Table:
    """Where somebody gave a record ID it stands at the end: a column more changes none before it."""
    ids = {person.number: person.record_id for person in results.people}
    rows = list(_raw_rows(results))
    if not any(ids.values()):
        return Table(said("sheet_answers", "Answers"), RAW_HEADINGS, rows)
    seat = [heading.code for heading in RAW_HEADINGS].index("heading_seat")
    with_ids = [(*row, ids[int(row[seat] or 0)]) for row in rows]
    return Table(said("sheet_answers", "Answers"), (*RAW_HEADINGS, RECORD_ID), with_ids)


def _raw_rows(results: Results) -> Iterator[tuple[Cell, ...]]:
    names = {person.number: person.name for person in results.people}
    for ask in results.asks:
        item = ask.item
        kind, title = kind_of(item), title_of(item) or ASKED_ALOUD.sentence
        for r in sorted(ask.responses.values(), key=lambda r: (r.at, r.seat)):
            yield (
                ask.number,
                title,
                item.kind,
                r.seat,
                names[r.seat],
                kind.answer_text(item, r.answer),
                "; ".join(remark.sentence for remark in kind.forgiven(item, r.answer)) or None,
                r.mark,
                r.points,
                round(r.took / 1000, 1),
                datetime.fromtimestamp(r.at / 1000, UTC).isoformat(timespec="milliseconds"),
                ask.round,
                "yes" if ask.stands else "no",
            )
