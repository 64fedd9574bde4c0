"""What tells a mark, and when: never while its question could still take an answer.

Two sessions run side by side that differ in one key alone. As long as phones and the big screen see the same in both,
nothing has told the mark; once they differ, the question never opens again.
"""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from lantern.core.errors import LanternError
from lantern.core.session import Phase
from lantern.core.session import commands as c
from lantern.core.session.views import Places, desk_view, mine, screen_view, student_view
from tests.builders import a_session, a_set, choice

QUESTIONS = ("q1", "q2", "q3")
DESK = {
    "advance": lambda state, item: c.Advance(state.step),
    "go_to": lambda state, item: c.GoTo(state.step, item),
    "close": lambda state, item: c.Close(state.step),
    "reopen": lambda state, item: c.Reopen(state.step),
    "reveal": lambda state, item: c.Reveal(state.step),
    "standings": lambda state, item: c.ShowStandings(state.step),
    "curtain": lambda state, item: c.SetCurtain(not state.curtain),
    "remove": lambda state, item: c.Remove(2),
    "restore": lambda state, item: c.Restore(2),
}
moves = st.lists(st.tuples(st.sampled_from([*DESK] * 3 + ["end"]), st.sampled_from(QUESTIONS)), max_size=25)


def a_lesson(right, asked, **chosen):
    """Fen and Bo answer every question with A; `asked` is the question whose key is `right`, the others' is A."""
    items = [choice(right if item == asked else "A", id=item, time_limit=30) for item in QUESTIONS]
    return a_session(a_set(*items), "Fen", "Bo", **chosen)


def do(room, name, item):
    try:
        room.do(c.End() if name == "end" else DESK[name](room.state, item))
    except LanternError:
        return
    if room.state.phase is Phase.OPEN and not room.state.ask.responses:
        for seat in (1, 2):
            if not room.state.seats[seat].removed:
                room.answer(seat, "A")


def seen(room):
    """What the class's devices are sent, without what shows the key itself."""
    state = room.state
    places = Places(state)
    own = [mine(state, places, seat).model_dump() for seat in state.seats]
    view, screen = student_view(state).model_dump(), screen_view(state, "KELP427").model_dump()
    return own, view, screen


@pytest.mark.parametrize("standings", [True, False])
@settings(max_examples=150, deadline=None)
@given(asked=st.sampled_from(QUESTIONS), course=moves)
def test_no_course_tells_a_mark_that_a_reopened_question_could_still_use(standings, asked, course):
    chosen = {"show_standings": standings, "early_bonus": True}
    right, wrong = a_lesson("A", asked, **chosen), a_lesson("B", asked, **chosen)
    told = False
    for name, item in course:
        do(right, name, item)
        do(wrong, name, item)
        assert right.state.phase is wrong.state.phase
        told = told or seen(right) != seen(wrong)
        is_open = right.state.phase is Phase.OPEN and right.state.cursor == asked
        assert not (told and is_open), f"the mark of {asked} was told, then it opened again"


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
