from typing import get_args

import pytest

from lantern.core.analysis.happened import SAYINGS, UNTOLD, happenings, happenings_table
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import commands as c
from lantern.core.session.events import StoredEvent
from tests.builders import a_session, a_set, choice, page
from tests.builders.session import DESK

ODILE = {DESK.who: "Odile Brandt"}


def told(room):
    kept = [record for record in room.history if type(record.event) in get_args(StoredEvent)]
    return happenings(room.state, kept, ODILE)


def sentences(room):
    return [f"{line.what.sentence} ({line.by})" if line.by else line.what.sentence for line in told(room)]


def test_every_stored_event_but_an_answer_has_a_line():
    assert set(SAYINGS) == set(get_args(StoredEvent)) - set(UNTOLD)


def test_a_lesson_in_lines():
    room = a_session(a_set(choice(id="q1", time_limit=30), page(id="p1")), "Fen", "Bo", show_standings=False)
    room.advance()
    room.answer(1, "B")
    room.join("Ines Dahl")
    room.do(c.AddTime(15))
    room.now = room.state.ask.deadline
    room.do(c.TimeUp(room.state.ask.id, room.now))
    room.do(c.Reopen(room.state.step))
    room.answer(2, "C")
    room.do(c.Close(room.state.step))
    room.do(c.AskAgain(room.state.step))
    room.do(c.GoTo(room.state.step, "p1"))
    room.do(c.End())
    assert sentences(room) == [
        "2 people came in before it began.",
        "Opened: question 1. (Odile Brandt)",
        "Ines Dahl joined late.",
        "Time was added to question 1. (Odile Brandt)",
        "Closed by the clock: question 1, with 1 answer.",
        "Opened again: question 1. (Odile Brandt)",
        "Closed: question 1, with 2 answers. (Odile Brandt)",
        "Opened: question 1, round 2. (Odile Brandt)",
        "Left without an answer, so it counts as never asked: question 1, round 2. (Odile Brandt)",
        "A page was shown. (Odile Brandt)",
        "The session ended. (Odile Brandt)",
    ]


def test_what_was_put_right_and_cleared_is_told():
    room = a_session(a_set(choice("B", id="q1")), "Fen", show_standings=False)
    room.advance()
    room.answer(1, "C")
    room.do(c.Close(room.state.step))
    for command in (
        c.SetKey("q1", ChoiceAnswer(chosen=("C",))),
        c.TakeBack("q1"),
        c.GiveMark("q1", (1,), 0.5),
        c.GiveMark("q1", (1,), None),
        c.GiveFullMarks("q1"),
        c.Drop("q1"),
        c.ClearAnswers(room.state.step, "all"),
    ):
        room.do(command)
    room.do(c.BringBack(room.state.step))
    assert [line.what.code for line in told(room)][-8:] == [
        "key_set",
        "taken_back",
        "mark_given",
        "mark_taken_back",
        "full_marks_given",
        "dropped",
        "all_cleared",
        "brought_back",
    ]


def test_who_was_erased_is_in_no_line_by_name():
    room = a_session(a_set(choice(id="q1")), "Bo")
    room.advance()
    room.join("Ines Dahl")
    room.do(c.Rename(2, "Ines D."))
    room.do(c.Erase(2))
    assert "Ines" not in " ".join(sentences(room))
    assert "#2 joined late." in sentences(room)


def test_a_sentence_holds_what_its_parameters_say():
    room = a_session(a_set(choice(id="q1")), "Fen", "Bo")
    room.advance(2)
    for line in told(room):
        assert all(str(value) in line.what.sentence for value in line.what.params.values())
    (first, *_) = happenings_table(told(room)).spoken("en").rows
    assert first[1:] == ["2 people came in before it began.", ""]


@pytest.mark.parametrize("lifted", [True, False])
def test_fog_is_told_either_way(lifted):
    room = a_session(a_set(choice()), "Fen")
    room.do(c.LiftFog(1, True))
    if not lifted:
        room.do(c.LiftFog(1, False))
    assert told(room)[-1].what.code == ("fog_lifted" if lifted else "fog_again")
