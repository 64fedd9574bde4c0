"""What the server has to do next by itself."""

from lantern.core.session import Due, next_due
from lantern.core.session import commands as c
from lantern.core.session.actors import CLOCK, ROOM
from tests.builders import a_session, a_set, choice, page


def nobody_asks():
    raise AssertionError("who is there matters only where all have to answer")


def here(*seats):
    return lambda: frozenset(seats)


def test_nothing_is_due_but_while_a_question_is_open():
    room = a_session(a_set(choice(time_limit=30), page()), "Fen", show_standings=False)
    assert next_due(room.state, nobody_asks) is None
    room.advance()
    assert next_due(room.state, nobody_asks).command == c.TimeUp(room.state.ask.id, room.state.ask.deadline)
    for _ in range(3):
        room.advance()
        assert next_due(room.state, nobody_asks) is None


def test_the_clock_is_due_at_the_deadline_and_later_when_time_is_added():
    room = a_session(a_set(choice(time_limit=30)), "Fen")
    room.advance()
    due = next_due(room.state, nobody_asks)
    assert (due.at, due.by) == (room.now + 30_000, CLOCK)
    room.do(c.AddTime(15))
    assert next_due(room.state, nobody_asks).at == due.at + 15_000


def test_without_a_limit_there_is_no_clock():
    room = a_session(a_set(choice(time_limit=None)), "Fen")
    room.advance()
    assert next_due(room.state, nobody_asks) is None


def test_the_room_is_due_once_everybody_who_is_here_has_answered():
    room = a_session(a_set(choice()), "Fen", "Bo", "Ines", close_when_all_answered=True)
    room.advance()
    assert next_due(room.state, nobody_asks).by is CLOCK  # nobody has answered yet
    room.answer(1, "B")
    assert next_due(room.state, here(1, 2)).by is CLOCK
    assert next_due(room.state, here()).by is CLOCK
    room.answer(2, "B")
    ask = room.state.ask.id
    assert next_due(room.state, here(1, 2)) == Due(0, ROOM, c.CloseIfAllAnswered(ask, frozenset({1, 2})))
    room.do(c.Remove(3))
    assert next_due(room.state, here(1, 2, 3)).by is ROOM  # who was taken out is not waited for
    assert next_due(room.state, here(1, 2, 99)).by is ROOM


def test_what_is_due_does_what_it_says():
    room = a_session(a_set(choice(time_limit=30)), "Fen", close_when_all_answered=True)
    room.advance()
    clock = next_due(room.state, here(1))
    room.answer(1, "B")
    assert room.do(next_due(room.state, here(1)).command)
    assert next_due(room.state, here(1)) is None
    room.now = clock.at
    assert room.do(clock.command) == []  # it was closed meanwhile
