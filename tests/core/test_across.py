"""A class over its sessions: figures that are worked out by hand."""

from random import Random

import pytest

from lantern.core.analysis.across import (
    LEAST_SESSIONS,
    WEEK_MS,
    AskedThen,
    SessionThen,
    across_sessions,
    marks_then,
    slope,
)
from tests.builders import choice
from tests.builders.results import a_table


def then(number, questions, **marks):
    """The session of a week; `questions` are "id:topic"; marks by student, "1", "0", "-" for none."""
    asked = tuple(AskedThen(item=name.split(":")[0], title=name, topics=(name.split(":")[1],)) for name in questions)
    rows = {who: tuple(None if one == "-" else float(one) for one in row) for who, row in marks.items()}
    return SessionThen(id=number, title=f"Week {number}", at=number * WEEK_MS, questions=asked, marks=rows)


def test_a_class_is_told_by_topic_and_time_j16():
    first = then(1, ["q1:Tides", "q2:Knots"], fen="10", bo="01", guest="00")
    second = then(2, ["q3:Tides"], fen="1", bo="1")
    found = across_sessions([first, second], {"fen", "bo"})
    assert [(row.id, row.share) for row in found.sessions] == [(1, pytest.approx(2 / 6)), (2, 1)]
    assert [(t.topic, t.share, t.marks) for t in found.topics] == [
        ("Knots", pytest.approx(1 / 3), 3),
        ("Tides", pytest.approx(3 / 5), 5),
    ]
    assert [(p.session, p.share, p.marks) for p in found.topics[0].points] == [
        (1, pytest.approx(1 / 3), 3),
        (2, None, 0),
    ]
    assert [one.student for one in found.students] == ["bo", "fen"]  # the guest is in the class's figures alone


def test_the_slope_and_its_range_are_worked_by_hand_j17():
    # y = 1, 2, 2, 4, 4 at x = 1..5: mean 3 and 2.6, Sxx 10, Sxy 8; slope .8, SSE .8; se = sqrt(.8 / 3 / 10) = .16330
    rise, (low, high) = slope([1, 2, 3, 4, 5], [1, 2, 2, 4, 4])
    assert rise == pytest.approx(0.8)
    assert (low, high) == (
        pytest.approx(0.8 - 3.182 * 0.163299, abs=1e-4),
        pytest.approx(0.8 + 3.182 * 0.163299, abs=1e-4),
    )
    assert slope([1, 2], [0, 1]) is slope([1, 1, 1], [0, 1, 2]) is None


def test_a_hard_week_is_nobodys_slipping_j17():
    """Everybody falls by as much: against the class that is nothing."""
    weeks = [then(n, ["a:T", "b:T"], fen=row, bo=row) for n, row in enumerate(("11", "11", "10", "10", "00", "00"))]
    trends = [one.trend for one in across_sessions(weeks, {"fen", "bo"}).students]
    assert [(trend.change, trend.verdict) for trend in trends] == [(0, ""), (0, "")]


def falling(sessions, questions):
    """Fen is right in everything at first and in nothing in the end; ten others are steady."""
    rng = Random("falling")
    weeks = []
    for n in range(sessions):
        own = sum(rng.random() < 1 - n / (sessions - 1) for _ in range(questions))
        others = {f"s{k}": "1" * (questions // 2) + "0" * (questions - questions // 2) for k in range(10)}
        weeks.append(
            then(n, [f"q{n}{k}:T" for k in range(questions)], fen="1" * own + "0" * (questions - own), **others)
        )
    return next(one for one in across_sessions(weeks, {"fen"}).students)


def test_who_slips_is_said_only_where_the_whole_range_says_so_j18():
    found = falling(8, 6)
    assert found.trend.verdict == "slips"
    assert found.trend.low < found.trend.change < found.trend.high < 0


@pytest.mark.parametrize(("sessions", "questions"), [(LEAST_SESSIONS - 1, 6), (6, 3)])
def test_too_little_was_asked_for_a_verdict_j18(sessions, questions):
    assert falling(sessions, questions).trend.verdict == ""


def test_those_who_do_not_change_are_seldom_said_to_j18():
    rng = Random("steady")
    weeks = []
    for n in range(10):
        rows = {f"s{k:02}": "".join(rng.choice("0111") for _ in range(8)) for k in range(40)}
        weeks.append(then(n, [f"q{n}{k}:T" for k in range(8)], **rows))
    found = across_sessions(weeks, {f"s{k:02}" for k in range(40)}).students
    assert sum(bool(one.trend.verdict) for one in found) <= 6  # two are to be expected


def test_a_question_asked_again_is_compared_by_those_who_had_it_both_times_j19():
    first = then(1, ["q1:T", "q2:T"], fen="00", bo="10", left="10")
    second = then(3, ["q1:T"], fen="1", bo="1", new="0")
    (again,) = across_sessions([first, second], set()).asked_again
    assert (again.item, again.both, again.before, again.after) == ("q1", 2, 0.5, 1)
    assert [point.share for point in again.points] == [pytest.approx(2 / 3), pytest.approx(2 / 3)]


def test_what_is_kept_of_a_session_is_its_marks_alone_j16():
    asked, late = choice("B", tags=("Knots",)), choice("B")
    kept = marks_then(a_table((asked, "BA-"), (late, "-B-")), {1: "p1", 2: "p2", 3: "p3"})
    assert kept.people == {"p1": (1, 0), "p2": (0, 1)}  # who gave no answer at all is in no mean
    assert [(q.item, q.topics) for q in kept.questions] == [(asked.id, ("Knots",)), (late.id, ())]
