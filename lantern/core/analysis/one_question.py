"""One question of the results: who answered what, and which third of the class gave which answer
(docs/measures.md, J7)."""

from collections import Counter
from collections.abc import Iterable, Mapping

from lantern.core.analysis.measures import thirds_of
from lantern.core.analysis.question_report import QuestionReport, seats_giving
from lantern.core.analysis.report import Report
from lantern.core.analysis.results import Asked, Results
from lantern.core.classes.ordering import order_of
from lantern.core.messages import Message
from lantern.core.questions import kind_of
from lantern.core.values import Milliseconds, Value

MOST_LINES = 12
"""Answers that thirds are told of."""


class ByThird(Value):
    """An answer, and how many of each third of the class gave it, the lowest third first."""

    label: str
    text: str
    words: Message | None
    right: bool
    counts: tuple[int, int, int]


class Thirds(Value):
    """`sizes` are of those in the thirds who were asked it, `omitted` of those who gave no answer."""

    sizes: tuple[int, int, int]
    lines: tuple[ByThird, ...]
    omitted: tuple[int, int, int]


class AnswerRow(Value):
    """One student's answer in words; `answered` is false, and the rest empty, for who was asked and gave none."""

    seat: int
    name: str
    answered: bool
    answer: str
    mark: float | None
    took: Milliseconds | None
    third: int | None
    comment: str


class QuestionPage(Value):
    """`before` and `after` are the questions next to it, by id. `thirds` is None where nothing is right or wrong."""

    report: QuestionReport
    key: str
    thirds: Thirds | None
    answers: tuple[AnswerRow, ...]
    before: str | None
    after: str | None


def question_page(results: Results, report: Report, item: str) -> QuestionPage | None:
    """None for a question that was not asked."""
    ask = results.asked(item)
    if ask is None:
        return None
    order = [question.item for question in report.questions]
    at = order.index(item)
    thirds = _thirds(report)
    return QuestionPage(
        report=report.questions[at],
        key=kind_of(ask.item).key_text(ask.item),
        thirds=_by_third(ask, thirds) if ask.in_scores else None,
        answers=answer_rows(results, ask, thirds),
        before=order[at - 1] if at else None,
        after=order[at + 1] if at + 1 < len(order) else None,
    )


def _thirds(report: Report) -> dict[int, int]:
    """Seat number to third, of all who are in the means."""
    people = [(person.seat, person.share) for person in report.people if person.share is not None]
    return dict(zip((seat for seat, _ in people), thirds_of([share for _, share in people]), strict=True))


def _by_third(ask: Asked, thirds: Mapping[int, int]) -> Thirds:
    item, kind = ask.item, kind_of(ask.item)
    responses = list(ask.responses.values())
    rows = kind.count_rows(item, kind.tally(item, [r.answer for r in responses]))
    shown = [row for row in rows if row.right is not None][:MOST_LINES]
    return Thirds(
        sizes=_counted(ask.asked_of, thirds),
        lines=tuple(
            ByThird(
                label=row.label,
                text=row.text,
                words=row.words,
                right=bool(row.right),
                counts=_counted(seats_giving(item, row, responses), thirds),
            )
            for row in shown
        ),
        omitted=_counted(ask.asked_of - ask.responses.keys(), thirds),
    )


def _counted(seats: Iterable[int], thirds: Mapping[int, int]) -> tuple[int, int, int]:
    found = Counter(thirds[seat] for seat in seats if seat in thirds)
    return found[0], found[1], found[2]


def answer_rows(results: Results, ask: Asked, thirds: Mapping[int, int]) -> tuple[AnswerRow, ...]:
    """Of all who were asked, in the order of names; `thirds` by seat."""
    kind, names = kind_of(ask.item), {person.number: person.name for person in results.people}
    rows, by_name = [], order_of(results.language)
    for seat in sorted(ask.asked_of & names.keys(), key=lambda seat: by_name(names[seat])):
        response = ask.responses.get(seat)
        rows.append(
            AnswerRow(
                seat=seat,
                name=names[seat],
                answered=response is not None,
                answer=kind.answer_text(ask.item, response.answer) if response else "",
                mark=ask.marks.get(seat),
                took=response.took if response else None,
                third=thirds.get(seat),
                comment=ask.comments.get(seat, ""),
            )
        )
    return tuple(rows)
