"""A class over many sessions: by topic and time, who gets better or slips, questions that were asked more than once
(docs/measures.md, J16 to J19).

A session is known here by its marks alone: no names, no texts of answers.
"""

from collections.abc import Iterable, Mapping, Sequence, Set
from dataclasses import dataclass, replace
from math import sqrt
from statistics import fmean
from typing import Literal

from lantern.core.analysis.measures import Range
from lantern.core.analysis.results import Results
from lantern.core.questions.items import title_of
from lantern.core.values import Milliseconds, Value

LEAST_SESSIONS, LEAST_QUESTIONS = 5, 20
"""Below these nobody is said to slip or to rise."""
MONTH = 4.0
"""Weeks that a trend is told for."""
WEEK_MS = 7 * 24 * 3600 * 1000
# Student's t for 95 %, two-sided, from one degree of freedom on; beyond the table it lies close to the last.
_T95: tuple[float, ...] = (
    *(12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.160, 2.145, 2.131),
    *(2.120, 2.110, 2.101, 2.093, 2.086, 2.080, 2.074, 2.069, 2.064, 2.060, 2.056, 2.052, 2.048, 2.045, 2.042),
)


class AskedThen(Value):
    """A question that counted in a session."""

    item: str
    title: str
    topics: tuple[str, ...]


class MarksThen(Value):
    """The marks of a session: for each person, by an id that is good for this session alone, one for each question.
    None: it was not asked of them, or waits for its mark."""

    questions: tuple[AskedThen, ...]
    people: Mapping[str, tuple[float | None, ...]]


@dataclass(frozen=True, slots=True)
class SessionThen:
    """`marks` are by student, whoever that is over all sessions."""

    id: int
    title: str
    at: Milliseconds
    questions: tuple[AskedThen, ...]
    marks: Mapping[str, tuple[float | None, ...]]


class SessionPoint(Value):
    """The mean mark in one session, of `marks` marks; None where there are none."""

    session: int
    share: float | None
    marks: int


class TopicOverTime(Value):
    """`points` run along the sessions of the report."""

    topic: str
    share: float
    marks: int
    points: tuple[SessionPoint, ...]


class Trend(Value):
    """How much the share of somebody changes in four weeks, against the mean of the class, with its range (95 %).
    `verdict` is empty where it may as well be none, or where too little was asked."""

    change: float | None
    low: float | None
    high: float | None
    verdict: Literal["", "slips", "rises"]


class StudentOverTime(Value):
    """`against` is the mean of the differences from the class, in the sessions that the student was in."""

    student: str
    sessions: int
    questions: int
    share: float
    against: float
    trend: Trend
    points: tuple[SessionPoint, ...]


class AskedAgain(Value):
    """A question that was asked in several sessions. `before` and `after` are the mean marks of the `both` who had it
    the first and the last time; None where nobody did."""

    item: str
    title: str
    points: tuple[SessionPoint, ...]
    both: int
    before: float | None
    after: float | None


class ThenRow(Value):
    id: int
    title: str
    at: Milliseconds
    share: float | None


class AcrossSessions(Value):
    """`sessions` run from the first to the last; topics from the weakest on, students in the order of their ids,
    questions in the order in which they were last asked, the newest first."""

    sessions: tuple[ThenRow, ...]
    topics: tuple[TopicOverTime, ...]
    students: tuple[StudentOverTime, ...]
    asked_again: tuple[AskedAgain, ...]


def marks_then(results: Results, person_of: Mapping[int, str]) -> MarksThen:
    """`person_of` has the id of each seat's person; who is in it not is left out."""
    asked = [ask for ask in results.standing if ask.in_scores]
    questions = tuple(AskedThen(item=ask.item.id, title=title_of(ask.item), topics=ask.item.tags) for ask in asked)
    people = {}
    for seat, person in person_of.items():
        had = [seat in ask.asked_of and seat not in ask.waiting for ask in asked]
        marks = [ask.marks.get(seat, 0.0) if one else None for ask, one in zip(asked, had, strict=True)]
        if any(seat in ask.responses for ask in asked):
            people[person] = tuple(marks)
    return MarksThen(questions=questions, people=people)


def across_sessions(sessions: Sequence[SessionThen], known: Set[str]) -> AcrossSessions:
    """`sessions` from the first to the last; `known` are the students of whom figures of their own are told."""
    means = {one.id: _mean(mark for marks in one.marks.values() for mark in marks) for one in sessions}
    rows = tuple(ThenRow(id=one.id, title=one.title, at=one.at, share=means[one.id]) for one in sessions)
    return AcrossSessions(
        sessions=rows,
        topics=_topics(sessions),
        students=tuple(found for name in sorted(known) if (found := _student(sessions, name))),
        asked_again=_asked_again(sessions),
    )


def student_across(sessions: Sequence[SessionThen], student: str) -> AcrossSessions:
    """The same of one student alone: shares by topic and session are theirs, and the trend is against the class."""
    own = [replace(one, marks={student: one.marks[student]} if student in one.marks else {}) for one in sessions]
    against = _student(sessions, student)
    return across_sessions(own, frozenset()).model_copy(update={"students": (against,) if against else ()})


def _mean(marks: Iterable[float | None]) -> float | None:
    told = [mark for mark in marks if mark is not None]
    return fmean(told) if told else None


def _point(session: int, marks: Sequence[float]) -> SessionPoint:
    return SessionPoint(session=session, share=fmean(marks) if marks else None, marks=len(marks))


def _column(session: SessionThen, at: Sequence[int]) -> list[float]:
    """Every mark in the questions of these places."""
    return [mark for marks in session.marks.values() for place in at if (mark := marks[place]) is not None]


def _topics(sessions: Sequence[SessionThen]) -> tuple[TopicOverTime, ...]:
    names = dict.fromkeys(topic for one in sessions for question in one.questions for topic in question.topics)
    rows = []
    for name in names:
        columns = [
            (one.id, _column(one, [at for at, question in enumerate(one.questions) if name in question.topics]))
            for one in sessions
        ]
        everything = [mark for _, marks in columns for mark in marks]
        if everything:
            points = tuple(_point(session, marks) for session, marks in columns)
            rows.append(TopicOverTime(topic=name, share=fmean(everything), marks=len(everything), points=points))
    return tuple(sorted(rows, key=lambda row: (row.share, row.topic.casefold())))


def _student(sessions: Sequence[SessionThen], name: str) -> StudentOverTime | None:
    points, weeks, differences, asked = [], [], [], 0
    for one in sessions:
        own = one.marks.get(name)
        told = [mark for mark in own or () if mark is not None]
        points.append(_point(one.id, told))
        if not told or own is None:
            continue
        places = [at for at, mark in enumerate(own) if mark is not None]
        asked += len(told)
        weeks.append(one.at / WEEK_MS)
        differences.append(fmean(told) - fmean(_column(one, places)))
    if not weeks:
        return None
    shares = [(point.share, point.marks) for point in points if point.share is not None]
    return StudentOverTime(
        student=name,
        sessions=len(weeks),
        questions=asked,
        share=sum(share * marks for share, marks in shares) / asked,
        against=fmean(differences),
        trend=_trend(weeks, differences, asked),
        points=tuple(points),
    )


def _trend(weeks: Sequence[float], differences: Sequence[float], asked: int) -> Trend:
    found = slope(weeks, differences)
    if found is None:
        return Trend(change=None, low=None, high=None, verdict="")
    change, reach = found
    enough = len(weeks) >= LEAST_SESSIONS and asked >= LEAST_QUESTIONS
    verdict: Literal["", "slips", "rises"] = (
        "" if not enough else "slips" if reach.high < 0 else "rises" if reach.low > 0 else ""
    )
    return Trend(change=change * MONTH, low=reach.low * MONTH, high=reach.high * MONTH, verdict=verdict)


def slope(xs: Sequence[float], ys: Sequence[float]) -> tuple[float, Range] | None:
    """The slope of the least-squares line with its range (95 %, Student's t on n - 2 degrees of freedom); None under
    three points, or where all are at the same x.

    Draper, N. R. and Smith, H. (1998). Applied regression analysis, third edition, section 1.4.
    """
    if len(xs) < 3:
        return None
    x_mean, y_mean = fmean(xs), fmean(ys)
    spread = sum((x - x_mean) ** 2 for x in xs)
    if spread < 1e-9:
        return None
    rise = sum((x - x_mean) * (y - y_mean) for x, y in zip(xs, ys, strict=True)) / spread
    left = sum((y - y_mean - rise * (x - x_mean)) ** 2 for x, y in zip(xs, ys, strict=True))
    freedom = len(xs) - 2
    reach = _T95[min(freedom, len(_T95)) - 1] * sqrt(left / freedom / spread)
    return rise, Range(rise - reach, rise + reach)


def _asked_again(sessions: Sequence[SessionThen]) -> tuple[AskedAgain, ...]:
    places: dict[str, list[tuple[SessionThen, int]]] = {}
    for one in sessions:
        for at, question in enumerate(one.questions):
            places.setdefault(question.item, []).append((one, at))
    several = [found for found in places.values() if len(found) > 1]
    several.sort(key=lambda found: (-found[-1][0].at, found[-1][1]))
    return tuple(_again(found) for found in several)


def _again(found: Sequence[tuple[SessionThen, int]]) -> AskedAgain:
    (first, first_at), (last, last_at) = found[0], found[-1]
    both = [
        (before, after)
        for student, marks in first.marks.items()
        if student in last.marks
        and (before := marks[first_at]) is not None
        and (after := last.marks[student][last_at]) is not None
    ]
    question = last.questions[last_at]
    return AskedAgain(
        item=question.item,
        title=question.title,
        points=tuple(_point(one.id, _column(one, [at])) for one, at in found),
        both=len(both),
        before=fmean([before for before, _ in both]) if both else None,
        after=fmean([after for _, after in both]) if both else None,
    )
