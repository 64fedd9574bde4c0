"""A report as tables: what the workbook and the CSV file hold."""

from collections.abc import Iterator
from datetime import UTC, datetime

from lantern.core.analysis.one_question import answer_rows
from lantern.core.analysis.question_report import corrected_as, waits_for_marks
from lantern.core.analysis.report import Counting, PersonReport, Report, report_of
from lantern.core.analysis.results import Asked, Results
from lantern.core.formats.table import Look, ToldCell, ToldTable
from lantern.core.messages import Message, joined, said
from lantern.core.questions import kind_of
from lantern.core.questions.items import ASKED_ALOUD, title_of
from lantern.core.values import Milliseconds

QUESTION = said("heading_question", "Question")
QUESTION_TEXT = said("heading_question_text", "Question text")
YES, NO = said("is_so", "yes"), said("is_not_so", "no")
NAME = said("heading_name", "Name")
RECORD_ID = said("heading_record_id", "Record ID")
CONFIRMED = said("heading_confirmed", "Address confirmed")
POINTS = said("heading_points", "Points")
ANSWERED = said("heading_answered", "Answered")
ANSWER = said("heading_answer", "Answer")
MARK = said("heading_mark", "Mark")
SECONDS = said("heading_seconds", "Seconds taken")
COMMENT = said("heading_comment", "Comment")
SEAT = said("heading_seat", "Seat")
CORRECTED = said("heading_corrected", "What was put right")
MEAN_MARKS = said("heading_mean_marks", "Mean mark of those who answered")
RAW_HEADINGS = (
    QUESTION,
    QUESTION_TEXT,
    said("heading_kind", "Kind"),
    SEAT,
    NAME,
    ANSWER,
    said("heading_forgiven", "Forgiven"),
    MARK,
    POINTS,
    SECONDS,
    said("heading_answered_at", "Answered at (UTC)"),
    said("heading_round", "Round"),
    said("heading_counts", "Counts"),
)


def workbook_tables(results: Results, counting: Counting = "since_joined") -> list[ToldTable]:
    """The class grid; the figures of each question, its counts and measures; every answer raw; what was corrected, if
    anything was; and a sheet for each question."""
    report = report_of(results, counting)
    corrected = corrections_table(report)
    return [
        grid_table(report),
        items_table(report),
        counts_table(report),
        measures_table(report),
        raw_table(results),
        *([corrected] if corrected.rows else []),
        *(question_table(results, ask) for ask in results.standing),
    ]


def grid_table(report: Report) -> ToldTable:
    """Points and places stand in it where answers earned points; what a game with a board gives is in no report."""
    ids = _id_columns(report)
    earned = any(person.points for person in report.people)
    headings = (
        NAME,
        *ids,
        *(_numbered(q.number) for q in report.questions),
        said("heading_score", "Score"),
        said("heading_out_of", "Out of"),
        said("heading_percent", "Percent"),
        *((POINTS, said("heading_place", "Place")) if earned else ()),
    )
    rows: list[tuple[ToldCell, ...]] = [
        (
            p.name,
            *_id_cells(p, len(ids)),
            *p.panes,
            p.score,
            p.out_of,
            p.share,
            *((p.points, p.place) if earned else ()),
        )
        for p in report.people
    ]
    shares = tuple(q.share for q in report.questions)
    rows.append((MEAN_MARKS, *([None] * len(ids)), *shares))
    notes = (_note_on(q.number, q.note) for q in report.questions if q.note)
    waiting = (_note_on(q.number, waits_for_marks(q.waiting)) for q in report.questions if q.waiting)
    rows += [(sentence,) for sentence in (report.counted, *notes, *waiting)]
    marks: list[Look] = ["mark"] * len(report.questions)
    plain: list[Look] = [""] * (1 + len(ids))
    looks: list[Look] = [*plain, *marks, "", "", "percent"]
    return ToldTable(said("sheet_class", "Class"), headings, rows, looks)


def items_table(report: Report) -> ToldTable:
    """What each question tells (docs/measures.md)."""
    headings = (
        QUESTION,
        QUESTION_TEXT,
        said("heading_topics", "Topics"),
        said("heading_difficulty", "Difficulty"),
        said("heading_discrimination", "Discrimination"),
        ANSWERED,
        said("heading_omitted", "Omitted"),
        said("heading_not_wholly_right", "Not wholly right"),
        said("heading_waiting", "Without a mark yet"),
        said("heading_median_seconds", "Median seconds"),
        said("heading_common_wrong", "Wrong answer given most"),
        said("heading_given_by", "Given by"),
    )
    rows: list[tuple[ToldCell, ...]] = [
        (
            q.number,
            q.title or ASKED_ALOUD,
            ", ".join(q.topics),
            q.share,
            q.discrimination,
            q.answered,
            q.omitted,
            q.wrong,
            q.waiting,
            None if q.median_took is None else q.median_took / 1000,
            q.common_wrong.text if q.common_wrong else None,
            q.common_wrong.count if q.common_wrong else None,
        )
        for q in report.questions
    ]
    return ToldTable(said("sheet_figures", "Figures"), headings, rows, ("", "", "", "percent"))


def question_table(results: Results, ask: Asked) -> ToldTable:
    """Who answered what."""
    ids = {person.number: person.record_id for person in results.people}
    rows: list[tuple[ToldCell, ...]] = [
        (
            row.name,
            ids[row.seat],
            row.answer if row.answered else None,
            row.mark,
            None if row.took is None else row.took / 1000,
            row.comment or None,
        )
        for row in answer_rows(results, ask, {})
    ]
    about = said("about_question", "{number}. {title}", number=ask.number, title=title_of(ask.item) or ASKED_ALOUD)
    looks: tuple[Look, ...] = ("", "", "", "mark")
    return ToldTable(_numbered(ask.number), (NAME, RECORD_ID, ANSWER, MARK, SECONDS, COMMENT), rows, looks, about)


def _numbered(number: int) -> Message:
    return said("heading_number", "Q{number}", number=number)


def _note_on(number: int, note: Message) -> Message:
    return said("note_on_question", "Q{number}: {note}", number=number, note=note)


def _id_columns(report: Report) -> list[Message]:
    """Record IDs where there are any, and whether their addresses are confirmed where that was asked for."""
    if not any(person.record_id for person in report.people):
        return []
    return [RECORD_ID, *([CONFIRMED] if any(person.confirmed is not None for person in report.people) else [])]


def _id_cells(person: PersonReport, count: int) -> list[ToldCell]:
    said_so: ToldCell = None if person.confirmed is None else YES if person.confirmed else NO
    cells: list[ToldCell] = [person.record_id, said_so]
    return cells[:count]


def counts_table(report: Report) -> ToldTable:
    headings = (
        QUESTION,
        QUESTION_TEXT,
        ANSWERED,
        said("heading_mean_mark", "Mean mark"),
        said("heading_option", "Option"),
        said("heading_option_text", "Option text"),
        said("heading_right", "Right"),
        said("heading_chosen_by", "Chosen by"),
        said("heading_share", "Share"),
        said("heading_written_by", "Written by"),
    )
    rows: list[tuple[ToldCell, ...]] = []
    for q in report.questions:
        head = (q.number, q.title or ASKED_ALOUD, q.answered, q.share)
        for count in q.counts:
            right = None if count.right is None else (YES if count.right else NO)
            share = count.count / q.answered if q.answered else None
            rows.append((*head, count.label, count.words or count.text, right, count.count, share, q.by))
    looks: tuple[Look, ...] = ("", "", "", "percent", "", "", "", "", "percent")
    return ToldTable(said("sheet_questions", "Questions"), headings, rows, looks)


def measures_table(report: Report) -> ToldTable:
    """Medians, mean places, spreads: one line for each."""
    headings = (
        QUESTION,
        QUESTION_TEXT,
        said("heading_measure", "Measure"),
        said("heading_of", "Of"),
        said("heading_value", "Value"),
    )
    rows: list[tuple[ToldCell, ...]] = [
        (q.number, q.title or ASKED_ALOUD, measure.name, measure.of, measure.value)
        for q in report.questions
        for measure in q.measures
    ]
    return ToldTable(said("sheet_measures", "Measures"), headings, rows)


def corrections_table(report: Report) -> ToldTable:
    """What was put right after it was asked: what, when, by whom."""
    headings = (
        QUESTION,
        QUESTION_TEXT,
        CORRECTED,
        said("heading_corrected_at", "When (UTC)"),
        said("heading_by", "By"),
    )
    rows: list[tuple[ToldCell, ...]] = []
    for q in report.questions:
        rows += [(q.number, q.title or ASKED_ALOUD, one.sentence, _moment(one.at), one.by) for one in q.corrected]
        if q.by_hand:
            rows.append((q.number, q.title or ASKED_ALOUD, _by_hand(q.by_hand), None, None))
    return ToldTable(said("sheet_corrections", "Put right"), headings, rows)


def _by_hand(count: int) -> Message:
    return said("marks_by_hand", "Marks given by hand: {count}", count=count)


def _moment(at: Milliseconds) -> datetime:
    return datetime.fromtimestamp(at / 1000, UTC)


def raw_table(results: Results) -> ToldTable:
    """Record IDs and what was put right stand at the end, where there are any: a column more changes none before it."""
    ids = {person.number: person.record_id for person in results.people}
    corrected = {ask.number: _corrections_of(ask) for ask in results.standing if ask.corrections}
    rows, headings = list(_raw_rows(results)), list(RAW_HEADINGS)
    if any(ids.values()):
        seat = RAW_HEADINGS.index(SEAT)
        rows = [(*row, ids[_whole(row[seat])]) for row in rows]
        headings.append(RECORD_ID)
    if corrected:
        rows = [(*row, corrected.get(_whole(row[0]))) for row in rows]
        headings.append(CORRECTED)
    looks: list[Look] = ["mark" if heading is MARK else "" for heading in headings]
    return ToldTable(said("sheet_answers", "Answers"), headings, rows, looks)


def _whole(cell: ToldCell) -> int:
    """A seat, or the number of a question."""
    assert isinstance(cell, int)
    return cell


def _corrections_of(ask: Asked) -> Message | None:
    return joined([corrected_as(one.what, one.text) for one in ask.corrections])


def _raw_rows(results: Results) -> Iterator[tuple[ToldCell, ...]]:
    names = {person.number: person.name for person in results.people}
    for ask in results.asks:
        item = ask.item
        kind, title = kind_of(item), title_of(item) or ASKED_ALOUD
        for r in sorted(ask.responses.values(), key=lambda r: (r.at, r.seat)):
            yield (
                ask.number,
                title,
                item.kind,
                r.seat,
                names[r.seat],
                kind.answer_text(item, r.answer),
                joined([remark.why for remark in kind.forgiven(item, r.answer)]) or None,
                r.mark,
                r.points,
                round(r.took / 1000, 1),
                _moment(r.at),
                ask.round,
                YES if ask.stands else NO,
            )
