"""A report as tables: what the workbook and the CSV file hold."""

from collections.abc import Iterator
from datetime import UTC, datetime

from lantern.core.analysis.report import Counting, Report, report_of
from lantern.core.analysis.results import Results
from lantern.core.formats.table import Cell, Table
from lantern.core.questions import kind_of
from lantern.core.questions.items import title_of

RAW_HEADINGS = (
    "Question",
    "Question text",
    "Kind",
    "Seat",
    "Name",
    "Answer",
    "Forgiven",
    "Mark",
    "Points",
    "Seconds taken",
    "Answered at (UTC)",
    "Round",
    "Counts",
)


def workbook_tables(results: Results, counting: Counting = "since_joined") -> list[Table]:
    """The class grid, each question's counts and measures, and every answer raw."""
    report = report_of(results, counting)
    return [grid_table(report), counts_table(report), measures_table(report), raw_table(results)]


def grid_table(report: Report) -> Table:
    headings = ("Name", *(f"Q{q.number}" for q in report.questions), "Score", "Out of", "Percent", "Points", "Place")
    rows = [
        (p.name, *p.panes, p.score, p.out_of, None if p.share is None else round(100 * p.share, 1), p.points, p.place)
        for p in report.people
    ]
    shares = tuple(None if q.share is None else round(q.share, 4) for q in report.questions)
    rows.append(("Mean mark of those who answered", *shares))
    notes = (f"Q{q.number}: {q.note}" for q in report.questions if q.note)
    rows += [(sentence,) for sentence in (report.counted, *notes)]
    return Table("Class", headings, rows)


def counts_table(report: Report) -> Table:
    headings = (
        "Question",
        "Question text",
        "Answered",
        "Mean mark",
        "Option",
        "Option text",
        "Right",
        "Chosen by",
        "Share",
        "Written by",
    )
    rows: list[tuple[Cell, ...]] = []
    for q in report.questions:
        head = (q.number, q.title, q.answered, None if q.share is None else round(q.share, 4))
        for count in q.counts:
            right = None if count.right is None else ("yes" if count.right else "no")
            share = round(count.count / q.answered, 4) if q.answered else None
            rows.append((*head, count.label, count.text, right, count.count, share, q.by))
    return Table("Questions", headings, rows)


def measures_table(report: Report) -> Table:
    """Medians, mean places, spreads: one line for each."""
    headings = ("Question", "Question text", "Measure", "Of", "Value")
    rows: list[tuple[Cell, ...]] = [
        (q.number, q.title, measure.name, measure.of, measure.value) for q in report.questions for measure in q.measures
    ]
    return Table("Measures", headings, rows)


def raw_table(results: Results) -> Table:
    return Table("Answers", RAW_HEADINGS, list(_raw_rows(results)))


def _raw_rows(results: Results) -> Iterator[tuple[Cell, ...]]:
    names = {person.number: person.name for person in results.people}
    for ask in results.asks:
        item = ask.item
        kind, title = kind_of(item), title_of(item)
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
