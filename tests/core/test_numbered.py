"""Commands are known by actor and number (core/session/actors.py): copies change nothing, nobody speaks for another."""

from dataclasses import replace
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Actor, Recorded, Role, Sent, decide, replay
from lantern.core.session import commands as c
from lantern.core.session.actors import CLOCK, ROOM
from tests.builders import a_session, a_set, choice
from tests.builders.session import DESK, START

A, B = (ChoiceAnswer(chosen=(letter,)) for letter in "AB")
OTHER_PAGE = replace(DESK, page="another-page")


def taken(state, command, sent):
    """The state after the command, and whether it was acknowledged."""
    try:
        events = decide(state, command, sent)
    except errors.LanternError:
        return state, False
    return replay(state, [Recorded(sent, event) for event in events]), True


@given(st.lists(st.integers(0, 4), max_size=12), st.randoms(use_true_random=False))
def test_copies_of_a_desks_commands_change_nothing_whenever_they_come(copies, rng: Random):
    """Five commands in their order; copies of them come in between, late, twice, in any order."""
    commands = [c.SetCurtain(True), c.Rename(1, "Anna"), c.SetCurtain(False), c.Rename(1, "Bo"), c.Remove(2)]
    first = a_session(a_set(choice()), "Fen", "Ines").state
    once = first
    for number, command in enumerate(commands, start=101):
        once, _ = taken(once, command, Sent(DESK, number, START))
    state, sent = first, 0
    for late in copies:
        while sent <= late or rng.random() < 0.3:
            if sent == len(commands):
                break
            state, _ = taken(state, commands[sent], Sent(DESK, 101 + sent, START))
            sent += 1
        before = state
        state, acknowledged = taken(state, commands[late], Sent(DESK, 101 + late, START + 5))
        assert acknowledged
        assert state == before
    for left in range(sent, len(commands)):
        state, _ = taken(state, commands[left], Sent(DESK, 101 + left, START))
    assert state == once


@given(st.permutations([(1, 1, A), (1, 1, A), (2, 1, B), (2, 1, B), (3, 1, A), (3, 1, A)]))
def test_answers_that_come_twice_in_any_order_count_once_each(sendings):
    room = a_session(a_set(choice("B")), "Fen", "Bo", "Ines")
    room.advance()
    for seat, number, answer in sendings:
        room.do(c.GiveAnswer(seat, room.state.ask.id, answer), number)
    assert {seat: r.answer for seat, r in room.state.ask.responses.items()} == {1: A, 2: B, 3: A}


def test_a_late_copy_of_an_older_answer_is_left_aside_and_another_device_is_told():
    room = a_session(a_set(choice("B")), "Fen")
    room.advance()
    room.answer(1, "B", 4)
    room.answer(1, "A", 3)  # an older one, overtaken on the way
    room.answer(1, "B", 4)  # a copy
    assert room.state.ask.responses[1].answer == B
    for number in (4, 5):  # another device of this seat with the same number; a second answer
        with pytest.raises(errors.AlreadyAnswered):
            room.answer(1, "A", number)


def test_a_refused_command_leaves_no_trace_and_may_be_sent_again():
    room = a_session(a_set(choice("B")), "Fen")
    room.advance()
    with pytest.raises(errors.BadAnswer):
        room.do(c.GiveAnswer(1, room.state.ask.id, ChoiceAnswer(chosen=("nowhere",))), 1)
    room.answer(1, "B", 1)
    assert len(room.state.ask.responses) == 1


def test_each_page_of_a_desk_numbers_its_own():
    state = a_session(a_set(choice()), "Fen").state
    state, _ = taken(state, c.SetCurtain(True), Sent(DESK, 200, START))
    state, _ = taken(state, c.SetCurtain(False), Sent(OTHER_PAGE, 1, START))
    assert not state.curtain
    state, _ = taken(state, c.SetCurtain(True), Sent(DESK, 200, START))
    assert not state.curtain


@pytest.mark.parametrize("number", [0, 1, 2**53 - 1])
def test_no_number_of_a_student_keeps_the_clock_or_the_room_from_acting(number):
    """A student who guesses what the server will say next blocks nothing: it is another actor."""
    room = a_session(a_set(choice(time_limit=30)), "Fen", "Bo", close_when_all_answered=True)
    room.advance()
    ask = room.state.ask
    for seat in (1, 2):
        room.do(c.GiveAnswer(seat, ask.id, B), number)
    state, _ = taken(room.state, c.CloseIfAllAnswered(ask.id, frozenset({1, 2})), Sent(ROOM, 0, START))
    assert not state.ask.is_open
    state, _ = taken(room.state, c.TimeUp(ask.id, ask.deadline), Sent(CLOCK, 0, ask.deadline))
    assert not state.ask.is_open
    assert room.state.done.keys() == {DESK}
    assert Actor(Role.SEAT, 1) not in room.state.done
