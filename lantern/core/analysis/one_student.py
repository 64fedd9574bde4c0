"""One student's part of the results: each answer beside what is right."""

from collections.abc import Sequence

from lantern.core.analysis.report import PersonReport, Report
from lantern.core.analysis.results import Asked, Results
from lantern.core.messages import Message
from lantern.core.questions import kind_of
from lantern.core.questions.items import is_scored, title_of
from lantern.core.values import Milliseconds, Value


class StudentAnswered(Value):
    """A question as one student had it. `answer` and `key` are in words, empty where there is none; `forgiven` is what
    was forgiven in the answer. `share` is the mean mark of the class in it. `counts`: it goes into the score. `comment`
    is the teacher's; `waits`: it has no mark by hand yet."""

    item: str
    number: int
    title: str
    answer: str
    key: str
    answered: bool
    scored: bool
    counts: bool
    mark: float | None
    share: float | None
    points: int
    took: Milliseconds | None
    forgiven: tuple[Message, ...]
    comment: str
    waits: bool


class StudentReport(Value):
    """`of` is how many took part, `place` the place among them by points, or by score where there are none. `took` is
    the time of all answers together. `before` and `after` are the seats next to this one in the order of names."""

    line: PersonReport
    of: int
    place: int
    took: Milliseconds
    answers: tuple[StudentAnswered, ...]
    before: int | None
    after: int | None


def student_report(results: Results, report: Report, seat: int) -> StudentReport | None:
    """None for a seat that is not in the results."""
    order = [person.seat for person in report.people]
    if seat not in order:
        return None
    at = order.index(seat)
    shares = {question.item: question.share for question in report.questions}
    asked = [ask for ask in results.standing if seat in ask.asked_of]
    return StudentReport(
        line=report.people[at],
        of=len(order),
        place=place_of(report.people, report.people[at]),
        took=sum(ask.responses[seat].took for ask in asked if seat in ask.responses),
        answers=tuple(_answered(ask, seat, shares.get(ask.item.id)) for ask in asked),
        before=order[at - 1] if at else None,
        after=order[at + 1] if at + 1 < len(order) else None,
    )


def place_of(people: Sequence[PersonReport], one: PersonReport) -> int:
    """By points, or by score where there are none; equal ones share a place."""
    if any(person.points for person in people):
        return one.place
    return 1 + sum((person.share or 0.0) > (one.share or 0.0) for person in people)


def _answered(ask: Asked, seat: int, share: float | None) -> StudentAnswered:
    item, response = ask.item, ask.responses.get(seat)
    kind = kind_of(item)
    return StudentAnswered(
        item=item.id,
        number=ask.number,
        title=title_of(item),
        answer=kind.answer_text(item, response.answer) if response else "",
        key=kind.key_text(item),
        answered=response is not None,
        scored=is_scored(item) or ask.is_by_hand,
        counts=ask.in_scores,
        mark=ask.marks.get(seat),
        share=share,
        points=response.points if response else 0,
        took=response.took if response else None,
        forgiven=tuple(remark.why for remark in kind.forgiven(item, response.answer)) if response else (),
        comment=ask.comments.get(seat, ""),
        waits=seat in ask.waiting,
    )
