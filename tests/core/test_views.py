import json

import pytest

from lantern.core.session import Phase, Settings
from lantern.core.session import commands as c
from lantern.core.session.desk_view import DeskMemo, desk_text, desk_view
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import Room, a_session, a_set, choice, opinion, page

SECRET = "because-the-collar-holds"


def led(*names):
    room = a_session(a_set(choice("B", explanation=SECRET), opinion()), *names)
    room.advance()
    return room


def everything_a_student_gets(room, seat=1):
    return student_view(room.state).model_dump_json() + mine(room.state, Places(room.state), seat).model_dump_json()


def test_a_student_gets_no_key_no_count_and_no_reason_while_the_question_is_open():
    room = led("Fen", "Bo")
    room.answer(2, "C")
    view = student_view(room.state)
    assert (view.shown.key, view.shown.tally, view.shown.explanation_html) == (None, None, "")
    assert SECRET not in everything_a_student_gets(room)
    assert '"right":true' not in everything_a_student_gets(room)


def test_a_student_never_gets_another_name():
    room = led("Fen", "Tove Hallin")
    room.answer(2, "C")
    for _ in range(4):
        assert "Tove" not in everything_a_student_gets(room, seat=1)
        room.advance()


def test_the_result_comes_with_the_close_unless_the_curtain_is_drawn():
    room = led("Fen")
    room.answer(1, "C")
    room.advance()
    assert student_view(room.state).shown.tally.n == 1
    room.do(c.SetCurtain(True))
    assert student_view(room.state).shown.tally is None
    assert screen_view(room.state, "KELP427").shown.tally is None
    assert desk_view(room.state, "KELP427", {1}).shown.tally.n == 1


def test_the_key_and_the_reason_come_when_they_are_shown():
    room = led("Fen")
    room.advance(2)
    shown = student_view(room.state).shown
    assert shown.key.right == ("B",)
    assert SECRET in shown.explanation_html


def test_the_big_screen_tells_how_many_were_right_with_the_key_and_behind_no_curtain():
    room = led("Fen", "Bo", "Ada", "Odd")
    for seat, letter in ((1, "B"), (2, "B"), (3, "C"), (4, "B")):
        room.answer(seat, letter)
    shares = []
    for step in (lambda: None, room.advance, room.advance, lambda: room.do(c.SetCurtain(True))):
        step()
        shares.append(screen_view(room.state, "KELP427").right_share)
    assert shares == [None, None, 0.75, None]


def test_an_own_mark_is_told_with_the_key_and_not_before():
    room = led("Fen")
    room.answer(1, "B")
    room.advance()
    assert mine(room.state, Places(room.state), 1).mark is None
    room.advance()
    assert mine(room.state, Places(room.state), 1).mark == 1


def test_without_standings_a_student_has_neither_points_nor_place():
    room = a_session(a_set(choice()), "Fen", show_standings=False)
    own = mine(room.state, Places(room.state), 1)
    assert (own.points, own.place) == (None, None)


def test_names_are_on_the_big_screen_before_the_start_and_not_during_a_question():
    room = a_session(a_set(choice()), "Fen")
    assert screen_view(room.state, "KELP427").names == ("Fen",)
    room.advance()
    assert "Fen" not in screen_view(room.state, "KELP427").model_dump_json()


def test_the_desk_sees_letters_while_it_is_open_and_marks_afterwards():
    room = led("Fen", "Bo")
    room.answer(1, "C")
    panes = {p.name: p.panes for p in desk_view(room.state, "KELP427", {1}).people}
    assert panes == {"Fen": ("C",), "Bo": (None,)}
    room.advance()
    assert desk_view(room.state, "KELP427", {1}).people[0].panes == (0.0,)


def test_an_opinion_keeps_its_letter_in_the_grid():
    room = a_session(a_set(opinion()), "Fen")
    room.advance()
    room.answer(1, "D")
    room.advance()
    assert desk_view(room.state, "KELP427", ()).people[0].panes == ("D",)


def test_pages_have_no_number_and_questions_are_counted_without_them():
    room = a_session(a_set(page(), choice(), page(), choice()))
    assert [row.number for row in desk_view(room.state, "KELP427", ()).run] == [None, 1, None, 2]
    assert student_view(room.state).questions == 2


def test_mixed_options_are_mixed_alike_for_all_and_anew_for_each_session():
    content = a_set(choice(options=8))
    orders = set()
    for seed in "abcdef":
        room = Room(content, Settings(mix_options=True), seed)
        room.advance()
        student = [o.id for o in student_view(room.state).shown.item.options]
        assert student == [o.id for o in screen_view(room.state, "X").shown.item.options]
        orders.add(tuple(student))
    assert len(orders) > 1


def test_letters_of_mixed_options_follow_their_new_places():
    room = a_session(a_set(choice(options=8)), mix_options=True)
    room.advance()
    assert [o.letter for o in student_view(room.state).shown.item.options] == list("ABCDEFGH")


@pytest.mark.parametrize("moves", [0, 1, 2, 3, 5])
def test_the_desks_text_says_what_its_view_says(moves):
    """With a name that needs escaping, a removed seat, someone late, and a title like the text's own seam."""
    room = a_session(a_set(choice("B"), opinion(), page(), title='","people":[]'), "Fen", "Bo", "Ines")
    for _ in range(moves):
        room.advance()
        if room.state.phase is Phase.OPEN:
            room.answer(1, "B")
            room.answer(3, "A")
    room.do(c.Rename(1, 'Fen "F" Ört\\'))
    room.do(c.Remove(2))
    room.join("Tove Hallin")
    text = desk_text(room.state, "KELP427", {1, 4}, DeskMemo())
    assert json.loads(text) == json.loads(desk_view(room.state, "KELP427", {1, 4}).model_dump_json())


def test_nobody_has_come_yet_in_the_desks_text():
    room = a_session(a_set(choice("B")))
    assert json.loads(desk_text(room.state, "KELP427", (), DeskMemo()))["people"] == []
