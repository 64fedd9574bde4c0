"""A report: figures, questions by difficulty, everyone by every question (docs/measures.md).

A student's score is the sum of marks over the questions that count; what was asked and not answered counts 0 there
(docs/kinds.md, F1 to F7).
"""

from collections.abc import Sequence
from statistics import median
from typing import Literal

from lantern.core.analysis.measures import discriminations, mean, score_bars, spread
from lantern.core.analysis.question_report import QuestionReport, median_took, question_report
from lantern.core.analysis.reliability import Reliability, reliability_of
from lantern.core.analysis.results import Asked, Results
from lantern.core.classes.ordering import in_order, order_of
from lantern.core.messages import Message, said
from lantern.core.values import Milliseconds, Value

Counting = Literal["since_joined", "everything"]
"""What a score is out of: what was asked since one joined, with who never answered in no mean; or all that was asked,
with everybody in."""
COUNTED = {
    "since_joined": said(
        "out_of_since_joined",
        "A score is out of what was asked since one joined; who never answered counts in no mean.",
    ),
    "everything": said(
        "out_of_everything", "A score is out of everything that was asked; who never answered counts 0."
    ),
}
Pane = float | str | None
"""A mark, a short text where nothing is marked, None for no answer."""
PanesBy = Literal["marks", "answers", "seconds"]


class Attendance(Value):
    """Who of a class took part; `of_class` is empty for those of none. `absent` are names."""

    of_class: str
    took_part: int
    absent: tuple[str, ...]


class PersonReport(Value):
    """`panes` runs along the report's questions.

    `score` is out of `out_of` questions; `share` is None for who is in no mean.
    """

    seat: int
    name: str
    panes: tuple[Pane, ...]
    score: float
    out_of: int
    share: float | None
    answered: int
    points: int
    place: int
    record_id: str = ""
    confirmed: bool | None = None


class Report(Value):
    """`top_score` is the number of questions asked that count. Questions run in the order of the set.

    `median_score`, `spread` (a standard deviation, in marks) and `histogram` scale the score of a late joiner to all of
    them. `never_answered` are those among who took part who gave no answer at all; `waiting` is how many answers have
    no mark by hand yet; `counted` says in a sentence what a score is out of. `marked_otherwise` is how
    many answers would have another mark by the rules of today.
    """

    title: str
    took_part: int
    never_answered: int
    waiting: int
    counting: Counting
    counted: Message
    marked_otherwise: int
    mean_share: float | None
    median_score: float | None
    spread: float | None
    median_took: Milliseconds | None
    top_score: int
    attendance: tuple[Attendance, ...]
    reliability: Reliability
    histogram: tuple[int, ...]
    questions: tuple[QuestionReport, ...]
    people: tuple[PersonReport, ...]


def report_of(results: Results, counting: Counting = "since_joined") -> Report:
    asked = results.standing
    scored = [ask for ask in asked if ask.in_scores]
    people = _people(results, asked, scored, counting)
    shares = [person.share for person in people if person.share is not None]
    scaled = [share * len(scored) for share in shares]
    settled = [ask for ask in scored if not ask.waiting]
    marks = _marks(settled, people)
    telling = dict(zip((ask.item.id for ask in settled), discriminations(marks), strict=False))
    return Report(
        title=results.title,
        took_part=len(people),
        never_answered=sum(person.answered == 0 for person in people),
        waiting=sum(len(ask.waiting) for ask in scored),
        counting=counting,
        counted=COUNTED[counting],
        marked_otherwise=results.marked_otherwise,
        mean_share=mean(shares),
        median_score=median(scaled) if scaled else None,
        spread=spread(scaled),
        median_took=median_took([r for ask in asked for r in ask.responses.values()]),
        top_score=len(scored),
        attendance=_attendance(results),
        reliability=reliability_of(marks),
        histogram=tuple(score_bars(scaled, len(scored))) if scored else (),
        questions=tuple(question_report(ask, results.earlier(ask), telling.get(ask.item.id)) for ask in asked),
        people=tuple(people),
    )


def _people(
    results: Results, asked: Sequence[Asked], scored: Sequence[Asked], counting: Counting
) -> list[PersonReport]:
    """In the order of names."""
    panes = [_panes(ask) for ask in asked]
    rows = []
    by_name = order_of(results.language)
    for person in sorted(results.people, key=lambda person: by_name(person.name)):
        number = person.number
        counted = [ask for ask in scored if number not in ask.waiting]
        out_of = len(counted) if counting == "everything" else sum(number in ask.asked_of for ask in counted)
        score = sum(ask.marks.get(number, 0.0) for ask in scored)
        answered = sum(number in ask.responses for ask in asked)
        is_in = out_of > 0 and (counting == "everything" or answered > 0)
        rows.append(
            PersonReport(
                seat=number,
                name=person.name,
                panes=tuple([of_all.get(number) for of_all in panes]),
                score=score,
                out_of=out_of,
                share=score / out_of if is_in else None,
                answered=answered,
                points=person.points,
                place=person.place,
                record_id=person.record_id,
                confirmed=person.confirmed,
            )
        )
    return rows


def _marks(settled: Sequence[Asked], people: Sequence[PersonReport]) -> list[list[float]]:
    """Of the questions in which nothing waits for a mark, a row for each who was asked all of them and is in the means:
    alpha knows no gaps."""
    whole = [p.seat for p in people if p.share is not None and all(p.seat in ask.asked_of for ask in settled)]
    return [[ask.marks.get(seat, 0.0) for ask in settled] for seat in whole]


def panes_by(results: Results, by: PanesBy) -> dict[int, tuple[Pane, ...]]:
    """Seat number to panes along the report's questions: marks, the answers in short, or the seconds they took."""
    columns = [_panes(ask, by) for ask in results.standing]
    return {person.number: tuple([column.get(person.number) for column in columns]) for person in results.people}


def _panes(ask: Asked, by: PanesBy = "marks") -> dict[int, float | str]:
    if by == "answers":
        return {seat: r.short for seat, r in ask.responses.items()}
    if by == "seconds":
        return {seat: round(r.took / 1000, 1) for seat, r in ask.responses.items()}
    texts: dict[int, float | str] = {seat: r.short for seat, r in ask.responses.items() if r.mark is None}
    return texts | dict(ask.marks)


def _attendance(results: Results) -> tuple[Attendance, ...]:
    """A line for each class, in the order of names, and one for who is in none, where there is somebody."""
    took, absent = [person.of_class for person in results.people], [(one.of_class, one.name) for one in results.absent]
    classes = {*took, *(of_class for of_class, _ in absent)}
    return tuple(
        Attendance(
            of_class=one,
            took_part=took.count(one),
            absent=tuple(in_order([name for of_class, name in absent if of_class == one], results.language)),
        )
        for one in sorted(classes, key=lambda name: (not name, name.casefold()))
    )
