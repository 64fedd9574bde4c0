"""Answers of one's own words, marked by hand (docs/kinds.md, R9 to R11)."""

import pytest

from lantern.core import errors
from lantern.core.analysis.marking_sheet import marking_sheet
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.one_student import student_report
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import grid_table
from lantern.core.questions.items import RubricLine
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.open_response import OpenResponseAnswer, OpenResponseItem
from lantern.core.session import commands as c
from lantern.core.session import replay
from lantern.core.session.stored import EVENT, read_event, write_event
from tests.builders import a_session, a_set, choice

BAR = OpenResponseItem(id="bar", prompt="Why does the sea steepen on the bar?", by_hand=True)
LINES = (RubricLine(text="It is shallow there"), RubricLine(text="Wind stands against tide", points=2))


def written(*texts, item=BAR):
    """A right choice by everybody, then these texts ("-" for none); the session is over."""
    room = a_session(a_set(choice("B", id="q1"), item), *(f"Student {n}" for n in range(1, len(texts) + 1)))
    room.advance()
    for seat in range(1, len(texts) + 1):
        room.do(c.GiveAnswer(seat, "q1.1", ChoiceAnswer(chosen=("B",))))
    room.do(c.GoTo(room.state.step, item.id))
    for seat, text in enumerate(texts, start=1):
        if text != "-":
            room.do(c.GiveAnswer(seat, f"{item.id}.1", OpenResponseAnswer(text=text)))
    room.do(c.End())
    return room


def scores(room):
    return [(line.score, line.out_of) for line in report_of(results_of(room.state)).people]


def question(room, item="bar"):
    return next(q for q in report_of(results_of(room.state)).questions if q.item == item)


def test_an_answer_that_waits_is_in_no_score_and_all_reports_say_so_r9():
    room = written("It is shallow", "no idea", "-")
    assert scores(room) == [(1, 1), (1, 1), (1, 2)]  # who gave none has nothing for it
    report = report_of(results_of(room.state))
    assert (report.waiting, question(room).waiting, question(room).share) == (2, 2, None)
    assert any("wait for a mark by hand" in str(row[0]) for row in grid_table(report).rows)
    assert [one.waits for one in student_report(results_of(room.state), report, 1).answers] == [False, True]

    (event,) = room.do(c.GiveMark("bar", (1,), 0.5))
    assert read_event(EVENT.latest, write_event(event)) == event
    assert scores(room) == [(1.5, 2), (1, 1), (1, 2)]
    assert (question(room).waiting, question(room).share) == (1, 0.5)
    room.do(c.GiveMark("bar", (2,), 0.0))
    assert (report_of(results_of(room.state)).waiting, question(room).share) == (0, 0.25)
    assert replay(room.first, room.history) == room.state


def test_what_waits_is_in_no_reliability_and_takes_nobody_out_of_it_j6_j9():
    room = written("x", "y", "z")
    assert report_of(results_of(room.state)).reliability.students == 3
    room.do(c.GiveMark("bar", (1, 2, 3), 0.5))
    assert report_of(results_of(room.state)).reliability.students == 3


def test_what_nobody_wanted_marked_counts_once_a_mark_is_given_r9():
    room = written("It is shallow", "no idea", item=BAR.model_copy(update={"by_hand": False}))
    assert (scores(room), question(room).scored) == ([(1, 1), (1, 1)], False)
    room.do(c.GiveMark("bar", (1,), 1.0))
    assert scores(room) == [(2, 2), (1, 1)]
    room.do(c.GiveMark("bar", (1,), None))
    assert (scores(room), question(room).scored) == ([(1, 1), (1, 1)], False)


def test_one_mark_is_for_all_who_wrote_the_same_r10():
    room = written("Shallow water!", "shallow  wáter", "The wind", "SHALLOW WATER")
    (sheet,) = marking_sheet(results_of(room.state)).questions
    assert [sorted(one.seat for one in group.answers) for group in sheet.groups] == [[1, 2, 4], [3]]
    events = room.do(c.GiveMark("bar", (1, 2, 4, 1), 1.0))
    assert [event.seat for event in events] == [1, 2, 4]
    (sheet,) = marking_sheet(results_of(room.state)).questions
    assert (sheet.answered, sheet.waiting) == (4, 1)
    assert room.do(c.GiveMark("bar", (1, 2), 1.0)) == []


def test_nearly_the_same_stands_together_and_the_order_tells_no_names_r10():
    texts = ["Wind against the tide", "wind against tide", "zz", "aa"]
    (sheet,) = marking_sheet(results_of(written(*texts).state)).questions
    assert [[one.text for one in group.answers] for group in sheet.groups] == [texts[:2], ["aa"], ["zz"]]
    (other,) = marking_sheet(results_of(written(*reversed(texts)).state)).questions
    assert [len(group.answers) for group in other.groups] == [2, 1, 1]
    assert [group.answers[0].text for group in other.groups[1:]] == ["aa", "zz"]


def test_a_rubric_gives_the_mark_r11():
    room = written("It is shallow", "no idea")
    (event,) = room.do(c.SetRubric("bar", LINES))
    assert read_event(EVENT.latest, write_event(event)) == event
    assert room.do(c.SetRubric("bar", LINES)) == []
    room.do(c.GiveMark("bar", (1,), None, (1,)))
    room.do(c.GiveMark("bar", (2,), None, ()))
    (sheet,) = marking_sheet(results_of(room.state)).questions
    assert sorted((one.answers[0].mark, one.answers[0].met) for one in sheet.groups) == [(0, ()), (2 / 3, (1,))]
    assert question(room).corrected[0].sentence.sentence == "Answers are marked by hand"
    for lines in ((2,), (-1,)):
        with pytest.raises(errors.BadAnswer):
            room.do(c.GiveMark("bar", (1,), None, lines))


def given_by(room):
    (ask,) = [ask.id for ask in room.state.rounds("bar")]
    state = room.state
    return {seat: (state.hand_marks.get((ask, seat)), state.met.get((ask, seat), ())) for seat in (1, 2, 3)}


def test_a_rubric_that_is_changed_changes_the_marks_that_were_given_by_it_r11():
    room = written("It is shallow", "no idea", "wind against tide")
    room.do(c.SetRubric("bar", LINES))
    for seat, lines in ((1, (1,)), (2, ()), (3, (0, 1))):
        room.do(c.GiveMark("bar", (seat,), None, lines))
    before = given_by(room)
    first, second = LINES[0].model_copy(update={"text": "Says that it is shallow"}), LINES[1]
    # One line is reworded, the other worth more, and they change places: whoever met them has met them.
    room.do(c.SetRubric("bar", (first, second)))
    assert given_by(room) == before
    room.do(c.SetRubric("bar", (second.model_copy(update={"points": 3}), first)))
    assert given_by(room) == {1: (3 / 4, (0,)), 2: (0, ()), 3: (1, (0, 1))}
    # A line that is gone was met by nobody: who met no other waits again.
    room.do(c.SetRubric("bar", (first,)))
    assert given_by(room) == {1: (None, ()), 2: (0, ()), 3: (1, (0,))}
    assert [one.mark for one in room.state.asks["bar.1"].responses.values()] == [None, 0, 1]
    room.do(c.TakeBack("bar"))
    assert given_by(room)[3] == (1 / 4, (1,)), "what was lost with a line is not known any more"


def test_a_kind_that_marks_itself_takes_no_rubric_and_who_is_not_there_no_mark():
    room = written("x")
    with pytest.raises(errors.NotPossible):
        room.do(c.SetRubric("q1", LINES))
    with pytest.raises(errors.UnknownSeat):
        room.do(c.GiveMark("bar", (9,), 1.0))


def test_a_comment_is_told_in_reports_and_goes_with_the_name_r11():
    room = written("It is shallow", "no idea")
    (event,) = room.do(c.Comment("bar", (1,), "  Say why, Student 1.  "))
    assert event.text == "Say why, Student 1."
    results = results_of(room.state)
    assert [one.comment for one in student_report(results, report_of(results), 1).answers] == ["", event.text]
    assert room.do(c.Comment("bar", (1,), "Say why, Student 1.")) == []
    room.do(c.Erase(1))
    assert room.state.comments == {}
