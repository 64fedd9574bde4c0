"""A question asked anew: a second vote, cleared answers, and both undone."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.analysis.happened import happenings
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import raw_table
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Phase
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.desk_view import desk_view
from lantern.core.session.views import Places, mine, student_view
from tests.builders import a_session, a_set, choice, page

B = ChoiceAnswer(chosen=("B",))


def asked_once(*more, **settings):
    """Fen is right and Bo is wrong; the right answer is shown."""
    room = a_session(a_set(choice("B", id="q1"), *more, choice("B", id="q2")), "Fen", "Bo", **settings)
    room.advance()
    room.answer(1, "B")
    room.answer(2, "C")
    room.advance(2)
    return room


def own(room, seat=1):
    return mine(room.state, Places(room.state), seat)


def again(room):
    return room.do(c.AskAgain(room.state.step))


def clear(room, of="question"):
    return room.do(c.ClearAnswers(room.state.step, of))


def back(room):
    return room.do(c.BringBack(room.state.step))


def marks(room, item="q1"):
    return [response.mark for response in room.state.responses(item)]


def test_a_second_round_is_empty_and_counts_once_it_is_answered():
    room = asked_once()
    again(room)
    assert (room.state.phase, room.state.ask.round, marks(room)) == (Phase.OPEN, 2, [])
    assert (own(room).ask, own(room).answer, own(room).mark) == ("q1.2", None, None)
    room.answer(2, "B")
    room.advance(2)
    assert own(room, 2).mark == 1
    (question, *_) = report_of(results_of(room.state)).questions
    assert (question.round, question.share, [(r.round, r.share) for r in question.earlier]) == (2, 1, [(1, 0.5)])


def test_nothing_of_the_round_before_is_told_while_the_next_is_open():
    seen = []
    for key in "BC":
        room = a_session(a_set(choice(key, id="q1")), "Fen", "Bo")
        room.advance()
        room.answer(1, "B")
        room.advance()
        again(room)
        seen.append((student_view(room.state), [own(room, seat) for seat in (1, 2)]))
    assert seen[0] == seen[1]


def test_an_answer_to_the_round_before_comes_too_late():
    room = asked_once()
    again(room)
    with pytest.raises(errors.AlreadyAnswered):
        room.do(c.GiveAnswer(1, "q1.1", B))
    room.join("Ines")
    with pytest.raises(errors.NotOpen):
        room.do(c.GiveAnswer(3, "q1.1", B))


def test_an_open_question_is_not_asked_again():
    room = a_session(a_set(choice()), "Fen")
    room.advance()
    with pytest.raises(errors.NotPossible):
        again(room)


def test_cleared_answers_count_nowhere_and_the_question_is_open_for_new_ones():
    room = asked_once()
    clear(room)
    assert (room.state.phase, marks(room), own(room).points) == (Phase.OPEN, [], 0)
    room.advance()
    (question, *_) = report_of(results_of(room.state)).questions
    assert [(r.round, r.answered, r.set_aside) for r in question.earlier] == [(1, 2, True)]
    assert [row[-2:] for row in raw_table(results_of(room.state)).spoken("en").rows] == [[1, "no"], [1, "no"]]


def test_clearing_while_it_is_open_gives_the_whole_time_again():
    room = a_session(a_set(choice(time_limit=30)), "Fen")
    room.advance()
    room.answer(1, "B")
    room.now += 20_000
    clear(room)
    assert room.state.ask.deadline == room.now + 30_000
    assert clear(room) == []  # there is nothing to clear


def test_what_was_cleared_is_brought_back_with_nothing_lost():
    room = asked_once()
    clear(room)
    back(room)
    assert (room.state.phase, marks(room)) == (Phase.REVEALED, [1, 0])
    clear(room)
    room.answer(1, "A")
    back(room)
    assert marks(room) == [1, 0]
    (question, *_) = report_of(results_of(room.state)).questions
    assert [(r.answered, r.set_aside) for r in question.earlier] == [(1, True)]


def test_asking_again_is_undone_with_and_without_answers():
    room = asked_once()
    again(room)
    back(room)
    assert (room.state.phase, marks(room), room.state.laid) == (Phase.REVEALED, [1, 0], ())
    again(room)
    room.answer(1, "A")
    back(room)
    assert (room.state.phase, marks(room)) == (Phase.REVEALED, [1, 0])
    with pytest.raises(errors.NotPossible):
        back(room)


def test_all_are_cleared_the_session_begins_anew_and_can_be_as_it_was():
    room = asked_once(page(id="p1"), show_standings=False)
    room.advance()
    assert room.state.phase is Phase.PAGE
    clear(room, "all")
    assert (room.state.phase, room.state.cursor, room.state.standing) == (Phase.LOBBY, None, {})
    assert desk_view(room.state, "KELP427", ()).allowed.count("bring_back") == 1
    back(room)
    assert (room.state.phase, room.state.cursor, marks(room)) == (Phase.PAGE, "p1", [1, 0])
    clear(room, "all")
    room.advance()
    room.answer(1, "A")
    back(room)
    assert (room.state.phase, marks(room)) == (Phase.REVEALED, [1, 0])


def test_what_is_brought_back_elsewhere_leaves_the_open_question_alone():
    room = asked_once()
    clear(room)
    room.do(c.GoTo(room.state.step, "q2"))
    back(room)
    assert (room.state.phase, room.state.cursor, marks(room)) == (Phase.OPEN, "q2", [1, 0])


def test_after_the_end_nothing_is_cleared_or_brought_back():
    room = asked_once()
    clear(room)
    room.do(c.End())
    for command in (c.ClearAnswers(room.state.step, "all"), c.BringBack(room.state.step), c.AskAgain(room.state.step)):
        with pytest.raises(errors.SessionEnded):
            room.do(command)
    assert report_of(results_of(room.state)).questions == ()
    assert [row[-1] for row in raw_table(results_of(room.state)).spoken("en").rows] == ["no", "no"]


steps = st.lists(st.sampled_from(("again", "clear", "all", "back", "advance", "answer", "go")), max_size=25)


@given(steps)
def test_no_course_loses_an_answer(steps):
    """Whatever is asked again, cleared and brought back: what was answered is in some round, and one round counts."""
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), "Fen")
    answered = 0
    does = {"again": again, "clear": clear, "back": back, "all": lambda room: clear(room, "all")}
    for step in steps:
        try:
            if step == "answer" and room.state.ask:
                room.answer(1, "B")
                answered += 1
            elif step == "go":
                room.do(c.GoTo(room.state.step, "q1"))
            elif step in does:
                does[step](room)
            elif step == "advance" and desk_view(room.state, "KELP427", ()).next != "end":
                room.advance()
        except errors.LanternError:
            continue
    assert sum(len(ask.responses) for ask in room.state.asks.values()) == answered
    assert sum(isinstance(r.event, e.Answered) for r in room.history) == answered
    for item, ask in room.state.standing.items():
        rounds = [one for one in room.state.rounds(item) if not one.set_aside]
        assert rounds[-1].id == ask
    assert happenings(room.state, [r for r in room.history if not isinstance(r.event, e.Named)], {})
    open_asks = [ask for ask in room.state.asks.values() if ask.is_open]
    assert open_asks == ([room.state.ask] if room.state.phase is Phase.OPEN else [])
