"""What tells a mark, and when: never while its question could still take an answer.

Two sessions run side by side that differ in one key alone. As long as phones and the big screen see the same in both,
nothing has told the mark; once they differ, the question never opens again. Every course of desk commands is walked:
all states that can be reached, each once.
"""

from itertools import count

import pytest

from lantern.core.errors import LanternError
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Phase, Recorded, Sent, decide, replay
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import EARLY, a_session, a_set, choice
from tests.builders.session import START, actor_of

QUESTIONS = ("q1", "q2")
DESK = [
    lambda state: c.Advance(state.step),
    *(lambda state, item=item: c.GoTo(state.step, item) for item in QUESTIONS),
    lambda state: c.Close(state.step),
    lambda state: c.Reopen(state.step),
    lambda state: c.Reveal(state.step),
    lambda state: c.ShowStandings(state.step),
    lambda state: c.End(),
]
A = ChoiceAnswer(chosen=("A",))
_ids = count(1)


def a_lesson(right, asked, **chosen):
    """`asked` is the question whose key is `right`; the others' is A."""
    items = [choice(right if item == asked else "A", id=item, time_limit=30) for item in QUESTIONS]
    return a_session(a_set(*items), "Fen", "Bo", **chosen)


def after(state, command):
    """The state after the command; the same where it is refused."""
    sent = Sent(actor_of(command), next(_ids), START)
    try:
        events = decide(state, command, sent)
    except LanternError:
        return state
    return replay(state, [Recorded(sent, event) for event in events])


def moved(state, command):
    """After the command, and, where it opened a question, after everybody has answered A."""
    state = after(state, command)
    if state.phase is Phase.OPEN and not state.ask.responses:
        for seat in state.people():
            state = after(state, c.GiveAnswer(seat.number, state.ask.id, A))
    return state


def seen(state):
    """What the class's devices are sent, but for the numbers of their own commands."""
    places = Places(state)
    own = [mine(state, places, seat).model_dump(exclude={"number"}) for seat in state.seats]
    return own, student_view(state).model_dump(), screen_view(state, "KELP427").model_dump()


def place(state):
    """What decides how a session goes on."""
    asks = [(a.item_id, a.is_open, a.revealed, a.told, len(a.responses)) for a in state.asks.values()]
    return state.phase, state.cursor, tuple(sorted(asks))


@pytest.mark.parametrize("standings", [True, False])
@pytest.mark.parametrize("asked", ["q1", "q2"])
def test_no_course_tells_a_mark_that_a_reopened_question_could_still_use(standings, asked):
    lessons = (a_lesson(right, asked, show_standings=standings, game=EARLY) for right in "AB")
    first = tuple(lesson.state for lesson in lessons)
    reached = {(place(first[0]), False)}
    ahead = [(first, False)]
    while ahead:
        (right, wrong), told = ahead.pop()
        for make in DESK:
            pair = moved(right, make(right)), moved(wrong, make(wrong))
            assert place(pair[0]) == place(pair[1])
            told_now = told or seen(pair[0]) != seen(pair[1])
            is_open = pair[0].phase is Phase.OPEN and pair[0].cursor == asked
            assert not (told_now and is_open), f"the mark of {asked} was told, then it opened again"
            key = place(pair[0]), told_now
            if key not in reached:
                reached.add(key)
                ahead.append((pair, told_now))
    assert len(reached) > 30
    assert any(told for _, told in reached)


def test_the_right_answer_and_the_standings_tell_and_close_for_good():
    for show in (c.Reveal, c.ShowStandings):
        room = a_lesson("A", "q1")
        room.advance()
        room.answer(1, "A")
        room.do(c.Close(room.state.step))
        assert mine(room.state, Places(room.state), 1).mark is None
        room.do(show(room.state.step))
        assert mine(room.state, Places(room.state), 1).mark == 1
        room.do(c.GoTo(room.state.step, "q2"))
        room.do(c.GoTo(room.state.step, "q1"))
        with pytest.raises(LanternError):
            room.do(c.Reopen(room.state.step))
        assert "reopen" not in desk_view(room.state, "KELP427", ()).allowed


def test_a_question_that_was_left_tells_nothing_until_the_end():
    room = a_lesson("A", "q1")
    room.advance()
    room.answer(1, "A")
    room.do(c.GoTo(room.state.step, "q2"))
    own = mine(room.state, Places(room.state), 1)
    assert (own.points, own.right, own.scored) == (0, 0, 0)
    room.do(c.End())
    own = mine(room.state, Places(room.state), 1)
    assert (own.points, own.right, own.scored) == (100, 1, 1)
