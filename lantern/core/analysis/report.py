"""A session's report: figures, questions by difficulty, everyone by every question.

Difficulty is the mean mark of those who answered (classical test theory's p). A student's score is the
sum of marks over all scored questions that were asked; what was not answered counts 0 there.
"""

from collections.abc import Sequence
from statistics import median
from typing import Any

from lantern.core.analysis.measures import cronbach_alpha, histogram, mean
from lantern.core.questions import kind_of
from lantern.core.questions.contract import CountRow, Item, Kind, is_scored, title_of
from lantern.core.session.model import Response, State
from lantern.core.session.points import standings
from lantern.core.values import Milliseconds, Value

SCORE_BINS = 8


class WrongAnswer(Value):
    """The wrong answer that was given most often, as a sentence names it."""

    text: str
    count: int


class Count(Value):
    label: str
    text: str
    count: int
    right: bool | None


class Measure(Value):
    """One figure of a question's answers: a median, a mean place. `of` is the part it belongs to, or empty."""

    name: str
    of: str
    value: float


class QuestionReport(Value):
    """`share` is the mean mark of those who answered; None where nothing is scored or nobody answered.

    `by` is who wrote it, where that is not the set's owner.
    """

    item: str
    number: int
    kind: str
    title: str
    by: str
    scored: bool
    answered: int
    share: float | None
    median_took: Milliseconds | None
    counts: tuple[Count, ...]
    measures: tuple[Measure, ...]
    common_wrong: WrongAnswer | None


class PersonReport(Value):
    """`panes` runs along the report's questions: a mark, a short text where nothing is marked, or None."""

    seat: int
    name: str
    panes: tuple[float | str | None, ...]
    score: float
    points: int
    place: int


class Report(Value):
    """`top_score` is the number of scored questions asked. Questions run in the order of the set."""

    title: str
    took_part: int
    mean_share: float | None
    median_score: float | None
    top_score: int
    reliability: float | None
    histogram: tuple[int, ...]
    questions: tuple[QuestionReport, ...]
    people: tuple[PersonReport, ...]


def report_of(state: State) -> Report:
    numbers = state.content.question_numbers()
    asked = [item for item in state.content.items if item.id in state.asks]
    scored = [item for item in asked if is_scored(item)]
    people = _people(state, asked, scored)
    marks = _marks(state, scored)
    scores = [person.score for person in people]
    shares = [score / len(scored) for score in scores] if scored else []
    return Report(
        title=state.content.title,
        took_part=len(people),
        mean_share=mean(shares),
        median_score=median(scores) if scores and scored else None,
        top_score=len(scored),
        reliability=cronbach_alpha(marks),
        histogram=tuple(histogram(scores, len(scored), min(SCORE_BINS, len(scored) + 1))) if scored else (),
        questions=tuple(_question(state, item, numbers[item.id]) for item in asked),
        people=tuple(people),
    )


def hardest_first(questions: Sequence[QuestionReport]) -> list[QuestionReport]:
    """Those with a share, lowest first."""
    return sorted((q for q in questions if q.share is not None), key=lambda q: (q.share, q.number))


def _question(state: State, item: Item, number: int) -> QuestionReport:
    kind, responses = kind_of(item), state.responses(item.id)
    tally = kind.tally(item, [r.answer for r in responses])
    rows = kind.count_rows(item, tally)
    return QuestionReport(
        item=item.id,
        number=number,
        kind=item.kind,
        title=title_of(item),
        by=item.by,
        scored=is_scored(item),
        answered=len(responses),
        share=mean([r.mark for r in responses if r.mark is not None]),
        median_took=round(median(r.took for r in responses)) if responses else None,
        counts=tuple(Count(label=r.label, text=r.text, count=r.count, right=r.right) for r in rows),
        measures=tuple(Measure(name=f.name, of=f.of, value=f.value) for f in kind.figures(item, tally)),
        common_wrong=_common_wrong(kind, rows),
    )


def _common_wrong(kind: Kind[Any, Any, Any], rows: Sequence[CountRow]) -> WrongAnswer | None:
    wrong = [row for row in rows if row.right is False and row.count]
    if not wrong:
        return None
    row = max(wrong, key=lambda row: row.count)
    return WrongAnswer(text=kind.say(row), count=row.count)


def _people(state: State, asked: Sequence[Item], scored: Sequence[Item]) -> list[PersonReport]:
    """In the order of names."""
    places = {row.seat: row for row in standings(state, state.asks.values())}
    rows = []
    for seat in sorted(state.people(), key=lambda seat: seat.name.casefold()):
        given = {item.id: state.asks[item.id].responses.get(seat.number) for item in asked}
        marks = [response.mark or 0.0 for item in scored if (response := given[item.id])]
        rows.append(
            PersonReport(
                seat=seat.number,
                name=seat.name,
                panes=tuple(_pane(given[item.id]) for item in asked),
                score=sum(marks),
                points=places[seat.number].points,
                place=places[seat.number].place,
            )
        )
    return rows


def _marks(state: State, scored: Sequence[Item]) -> list[list[float]]:
    def mark(item: Item, seat: int) -> float:
        response = state.asks[item.id].responses.get(seat)
        return (response.mark or 0.0) if response else 0.0

    return [[mark(item, seat.number) for item in scored] for seat in state.people()] if scored else []


def _pane(response: Response | None) -> float | str | None:
    if response is None:
        return None
    return response.short if response.mark is None else response.mark
