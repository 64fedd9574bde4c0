from functools import reduce

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.questions.kinds.order import OrderAnswer, OrderItem
from lantern.core.questions.parts import Line
from lantern.core.session import Phase, Recorded
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.changed import changed
from lantern.core.session.course import Course, replay
from lantern.core.session.desk_view import desk_view
from lantern.core.session.engine import evolve
from lantern.core.session.model import ask_id
from lantern.core.session.moves import Move, next_move
from lantern.core.session.stored import EVENT, read_event, write_event
from lantern.core.session.views import student_view
from tests.builders import EARLY, a_session, a_set, choice, joins, opinion, page

LINES = (Line(id="a", text="breeze"), Line(id="b", text="gale"))


def test_the_large_button_leads_through_the_whole_set():
    room = a_session(a_set(choice(), page(), opinion()), "Fen")
    phases = []
    while room.state.phase is not Phase.ENDED:
        room.advance()
        phases.append(room.state.phase)
    assert phases == ["open", "closed", "revealed", "standings", "page", "open", "closed", "ended"]


def test_without_standings_the_next_question_follows_the_right_answer():
    room = a_session(a_set(choice(), choice()), show_standings=False)
    room.advance(3)
    assert next_move(room.state) is Move.NEXT


def test_an_answer_in_time_is_marked():
    room = a_session(a_set(choice("B")), "Fen", "Bo")
    room.advance()
    room.answer(1, "B")
    room.answer(2, "C")
    assert [r.mark for r in room.state.responses(room.state.cursor)] == [1, 0]


def test_the_server_clock_decides_even_before_it_has_closed_the_question():
    room = a_session(a_set(choice(time_limit=10)), "Fen", "Bo")
    room.advance()
    room.now += 10_000
    room.answer(1, "B")
    room.now += 1
    with pytest.raises(errors.TooLate):
        room.answer(2, "B")
    assert room.state.phase is Phase.OPEN


def test_sent_twice_counts_once():
    room = a_session(a_set(choice()), "Fen")
    room.advance()
    room.answer(1, "B", 1)
    room.answer(1, "B", 1)
    assert len(room.state.responses(room.state.cursor)) == 1


def test_an_acknowledged_answer_that_comes_again_after_the_close_is_no_failure():
    room = a_session(a_set(choice()), "Fen")
    room.advance()
    room.answer(1, "B", 1)
    room.advance()
    room.answer(1, "B", 1)
    with pytest.raises(errors.AlreadyAnswered):
        room.answer(1, "C", 2)


def test_the_first_answer_is_final():
    room = a_session(a_set(choice()), "Fen")
    room.advance()
    room.answer(1, "B")
    with pytest.raises(errors.AlreadyAnswered):
        room.answer(1, "C")


def test_an_answer_to_another_question_is_refused():
    first, second = choice(), choice()
    room = a_session(a_set(first, second), "Fen")
    room.advance(5)
    with pytest.raises(errors.NotOpen):
        room.do(c.GiveAnswer(1, ask_id(first.id, 1), ChoiceAnswer(chosen=("B",))))


def test_time_runs_out_only_when_it_has():
    room = a_session(a_set(choice(time_limit=30)))
    room.advance()
    ask = room.state.ask
    assert room.do(c.TimeUp(ask.id, ask.deadline)) == []
    room.now = ask.deadline
    assert room.do(c.TimeUp(ask.id, ask.deadline)) == [e.Closed(ask.id, "time")]


def test_a_clock_that_was_set_before_time_was_added_does_not_close():
    room = a_session(a_set(choice(time_limit=30)))
    room.advance()
    old = room.state.ask.deadline
    room.do(c.AddTime(15))
    room.now = old
    assert room.do(c.TimeUp(room.state.ask.id, old)) == []
    assert room.state.ask.deadline == old + 15_000


def test_adding_time_twice_with_one_id_adds_it_once():
    room = a_session(a_set(choice(time_limit=30)))
    room.advance()
    before = room.state.ask.deadline
    room.do(c.AddTime(15), 9)
    room.do(c.AddTime(15), 9)
    assert room.state.ask.deadline == before + 15_000


def test_it_closes_when_all_who_are_here_have_answered():
    room = a_session(a_set(choice()), "Fen", "Bo", "Ines", close_when_all_answered=True)
    room.advance()
    item = room.state.ask.id
    room.answer(1, "B")
    assert room.do(c.CloseIfAllAnswered(item, frozenset({1, 2}))) == []
    room.answer(2, "A")
    assert room.do(c.CloseIfAllAnswered(item, frozenset({1, 2}))) == [e.Closed(item, "all_answered")]


def test_an_empty_room_has_not_answered():
    room = a_session(a_set(choice()), "Fen", close_when_all_answered=True)
    room.advance()
    assert room.do(c.CloseIfAllAnswered(room.state.ask.id, frozenset())) == []


def test_a_double_press_does_not_skip():
    room = a_session(a_set(choice(), choice()))
    step = room.state.step
    room.do(c.Advance(step))
    with pytest.raises(errors.AlreadyMovedOn):
        room.do(c.Advance(step))


def test_skipping_a_question_nobody_answered_leaves_it_unasked():
    first, second = choice(), choice()
    room = a_session(a_set(first, second), "Fen")
    room.advance()
    room.do(c.GoTo(room.state.step, second.id))
    assert first.id not in room.state.standing
    room.do(c.GoTo(room.state.step, first.id))
    assert room.state.phase is Phase.OPEN


def test_going_back_shows_a_question_as_it_was_left():
    first, second = choice(), choice()
    room = a_session(a_set(first, second), "Fen")
    room.advance()
    room.answer(1, "B")
    room.advance(2)
    room.do(c.GoTo(room.state.step, second.id))
    room.do(c.GoTo(room.state.step, first.id))
    assert room.state.phase is Phase.REVEALED
    assert second.id not in room.state.standing


def test_leaving_an_answered_question_closes_it():
    first, second = choice(), choice()
    room = a_session(a_set(first, second), "Fen")
    room.advance()
    room.answer(1, "B")
    room.do(c.GoTo(room.state.step, second.id))
    assert not room.state.ask_of(first.id).is_open


def test_opening_again_keeps_the_answers_until_the_key_was_shown():
    room = a_session(a_set(choice()), "Fen", "Bo")
    room.advance()
    room.answer(1, "B")
    room.advance()
    room.do(c.Reopen(room.state.step))
    room.answer(2, "C")
    assert len(room.state.responses(room.state.cursor)) == 2
    room.advance(2)
    with pytest.raises(errors.NotPossible):
        room.do(c.Reopen(room.state.step))


def test_two_students_with_one_name_are_told_apart():
    room = a_session(a_set(choice()), "Fen", "fen", "Fen")
    assert room.names == ["Fen", "fen 2", "Fen 3"]


def test_joining_twice_with_one_key_takes_one_seat():
    room = a_session(a_set(choice()))
    room.do(joins("Fen", "phone"))
    room.do(joins("Fen", "phone"))
    assert len(room.state.seats) == 1


def test_without_names_everyone_is_a_numbered_guest():
    room = a_session(a_set(choice()), "", "ignored", known="nobody")
    assert room.names == ["#1", "#2"]


@pytest.mark.parametrize("name", ["", "   ", "\u200d\u200d", "x" * 41, "\u202e\u202e"])
def test_a_name_that_cannot_be_shown_is_refused(name):
    room = a_session(a_set(choice()))
    with pytest.raises(errors.BadName):
        room.join(name)


def test_a_name_cannot_turn_a_line_around_and_markup_is_only_text():
    room = a_session(a_set(choice()), "  Fen\u202e \n<b>O</b> ")
    assert room.names[0] == "Fen <b>O</b>"


def test_a_removed_student_counts_no_more_and_can_come_back():
    room = a_session(a_set(choice()), "Fen", "Bo")
    room.advance()
    room.answer(1, "B")
    room.do(c.Remove(1))
    assert room.state.responses(room.state.cursor) == []
    with pytest.raises(errors.UnknownSeat):
        room.answer(1, "B")
    room.do(c.Restore(1))
    assert len(room.state.responses(room.state.cursor)) == 1


def test_someone_who_comes_back_does_not_share_a_name_taken_meanwhile():
    room = a_session(a_set(choice()), "Fen", "Bo")
    room.do(c.Remove(1))
    room.do(c.Rename(2, "Fen"))
    room.do(c.Restore(1))
    assert sorted(room.names) == ["Fen", "Fen 2"]


def test_who_was_taken_out_is_not_back_by_the_same_key_or_name_until_let_in_again():
    room = a_session(a_set(choice()))
    room.do(joins("Fen", "key-of-fen"))
    room.do(c.Remove(1))
    for name, key in (("Fen", "key-of-fen"), ("Anna", "key-of-fen"), ("  FEN ", "another-key")):
        with pytest.raises(errors.TakenOut):
            room.do(joins(name, key))
    room.do(joins("Bo", "key-of-bo"))
    room.do(c.Restore(1))
    assert room.do(joins("Fen", "key-of-fen")) == []
    assert room.names == ["Fen", "Bo"]


steps = st.lists(
    st.one_of(
        st.tuples(st.just("advance")),
        st.tuples(st.just("go"), st.integers(0, 3)),
        st.tuples(st.just("answer"), st.integers(1, 3), st.sampled_from("ABCD")),
        st.tuples(st.just("close")),
        st.tuples(st.just("reopen")),
        st.tuples(st.just("time")),
        st.tuples(st.just("curtain"), st.booleans()),
        st.tuples(st.sampled_from(("remove", "restore", "erase")), st.integers(1, 3)),
        st.tuples(st.just("rename"), st.integers(1, 3), st.sampled_from(("Fen", "Anna"))),
        st.tuples(st.just("again")),
        st.tuples(st.just("clear"), st.sampled_from(("question", "all"))),
        st.tuples(st.just("back")),
        st.tuples(st.just("drop"), st.integers(0, 3)),
        st.tuples(st.just("full"), st.integers(0, 3)),
        st.tuples(st.just("mark"), st.integers(0, 3), st.integers(1, 3), st.sampled_from((None, 0.0, 0.5))),
        st.tuples(st.just("untake"), st.integers(0, 3)),
        st.tuples(st.just("wait"), st.integers(0, 40_000)),
    ),
    max_size=40,
)


@given(steps)
def test_the_state_is_rebuilt_from_the_stored_events_alone(steps):
    room = a_session(a_set(choice(), page(), choice("AB"), opinion()), "Fen", "Bo", "Ines", game=EARLY)
    for step in steps:
        try:
            _take(room, step)
        except errors.LanternError:
            continue
    stored = [(r.sent, write_event(r.event)) for r in room.history if not isinstance(r.event, e.Named)]
    start = changed(room.first, roster=room.state.roster)
    rebuilt = replay(start, (Recorded(sent, read_event(EVENT.latest, text)) for sent, text in stored))
    # Who was erased and named again: the roster is what it is, whatever the events did to it (`store.catch_up`).
    assert changed(rebuilt, roster=room.state.roster) == room.state


@given(steps, st.data())
def test_a_course_comes_to_the_states_that_evolve_gives_and_leaves_its_start_alone(steps, data):
    room = a_session(a_set(choice(), page(), choice("AB"), opinion()), "Fen", "Bo", "Ines", game=EARLY)
    for step in steps:
        try:
            _take(room, step)
        except errors.LanternError:
            continue
    cut = data.draw(st.integers(0, len(room.history)))
    start = reduce(evolve, room.history[:cut], room.first)
    untouched = reduce(evolve, room.history[:cut], room.first)
    course, state = Course(start), start
    for record in room.history[cut:]:
        course.take(record)
        state = evolve(state, record)
        assert course.state == state
    assert start == untouched


def test_a_course_goes_on_after_a_question_was_marked_anew_between_two_answers():
    room = a_session(a_set(choice("B", id="q1")), "Fen", "Bo", "Ines")
    room.advance()
    room.answer(1, "C")
    room.do(c.Close(room.state.step))
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    room.do(c.Reopen(room.state.step))
    room.answer(2, "C")
    room.do(c.Remove(3))
    assert replay(room.first, room.history) == reduce(evolve, room.history, room.first)
    assert [r.mark for r in replay(room.first, room.history).responses("q1")] == [1, 1]


def _take(room, step):
    state = room.state
    match step:
        case ("advance",):
            room.advance()
        case ("go", index):
            room.do(c.GoTo(state.step, state.ids[index]))
        case ("answer", seat, letter) if state.ask:
            room.answer(seat, letter)
        case ("close",):
            room.do(c.Close(state.step))
        case ("reopen",):
            room.do(c.Reopen(state.step))
        case ("time",):
            room.do(c.AddTime(15))
        case ("curtain", drawn):
            room.do(c.SetCurtain(drawn))
        case (("remove" | "restore" | "erase") as what, seat):
            room.do({"remove": c.Remove, "restore": c.Restore, "erase": c.Erase}[what](seat))
        case ("rename", seat, name):
            room.do(c.Rename(seat, name))
        case ("again",):
            room.do(c.AskAgain(state.step))
        case ("clear", of):
            room.do(c.ClearAnswers(state.step, of))
        case ("back",):
            room.do(c.BringBack(state.step))
        case (("drop" | "full" | "untake") as what, index):
            room.do({"drop": c.Drop, "full": c.GiveFullMarks, "untake": c.TakeBack}[what](state.ids[index]))
        case ("mark", index, seat, mark):
            room.do(c.GiveMark(state.ids[index], (seat,), mark))
        case ("wait", ms):
            room.now += ms


def test_a_key_that_is_set_afterwards_marks_every_answer_anew():
    """A letter asked on the spot: the sketch is on the board, what is right is said when all have answered."""
    board = LetterItem(id="l1", prompt="Which line is the stay?", time_limit=None)
    room = a_session(a_set(board, choice("B", id="q2")), "Fen", "Bo")
    room.advance()
    for seat, letter in ((1, "A"), (2, "C")):
        room.give(seat, LetterAnswer(letter=letter))
    with pytest.raises(errors.NotPossible):  # not while it is open
        room.do(c.SetKey("l1", LetterAnswer(letter="C")))
    room.do(c.Close(room.state.step))
    assert [r.mark for r in room.state.responses("l1")] == [None, None]
    assert "set_key" in desk_view(room.state, "KELP427", ()).allowed
    for letter, marks in (("C", [0.0, 1.0]), ("A", [1.0, 0.0])):  # a slip can be mended
        room.do(c.SetKey("l1", LetterAnswer(letter=letter)))
        assert [r.mark for r in room.state.responses("l1")] == marks
        assert [r.points for r in room.state.responses("l1")] == [100 * mark for mark in marks]
    with pytest.raises(errors.BadAnswer):
        room.do(c.SetKey("l1", LetterAnswer(letter="E")))
    room.advance()
    assert student_view(room.state).shown.key.right == ("A",)
    assert report_of(results_of(room.state)).questions[0].share == 0.5


def test_where_the_set_says_what_is_right_the_desk_does_not():
    room = a_session(
        a_set(OrderItem(id="t1", prompt="From light to strong", lines=LINES)),
        "Fen",
    )
    room.advance(2)
    assert "set_key" not in desk_view(room.state, "KELP427", ()).allowed
    with pytest.raises(errors.NotPossible, match="written in its set"):
        room.do(c.SetKey("t1", OrderAnswer(order=("b", "a"))))


def test_another_option_can_be_set_as_right_and_taken_back():
    room = a_session(a_set(choice("B", id="q1")), "Fen", "Bo")
    room.advance()
    room.answer(1, "C")
    room.answer(2, "B")
    room.do(c.Close(room.state.step))
    assert room.do(c.SetKey("q1", ChoiceAnswer(chosen=("B",)))) == []
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    assert [r.mark for r in room.state.responses("q1")] == [1, 0]
    room.do(c.TakeBack("q1"))
    assert [r.mark for r in room.state.responses("q1")] == [0, 1]


def test_an_opinion_gets_no_key():
    room = a_session(a_set(opinion(id="q1")), "Fen")
    room.advance(2)
    with pytest.raises(errors.NotPossible):
        room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
