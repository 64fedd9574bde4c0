"""How a result is drawn, and whether the class is told how much of it was right."""

import pytest

from lantern.core import errors
from lantern.core.questions import KINDS
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.core.session.views import screen_view, student_view
from tests.builders import a_session, a_set, choice, page


def revealed(*answers):
    room = a_session(a_set(choice("B", id="q1"), page(id="p1")), *(f"Student {n}" for n, _ in enumerate(answers)))
    room.advance()
    for seat, letters in enumerate(answers, start=1):
        room.answer(seat, letters)
    room.advance(2)
    return room


def test_each_result_has_the_form_that_the_desk_chose_everywhere():
    room = revealed("B", "A")
    assert student_view(room.state).shown.form == "bars"
    assert desk_view(room.state, "K", ()).forms == ("bars", "shares", "dots")
    room.do(c.SetForm("q1", "dots"))
    views = (student_view(room.state), screen_view(room.state, "K"), desk_view(room.state, "K", ()))
    assert {view.shown.form for view in views} == {"dots"}
    assert room.do(c.SetForm("q1", "dots")) == []
    room.do(c.AskAgain(room.state.step))
    assert student_view(room.state).shown.form == "dots"  # also in its next round


def test_a_form_that_does_not_fit_is_refused():
    room = revealed("B")
    for item, form in (("q1", "words"), ("p1", "bars"), ("q9", "bars")):
        with pytest.raises(errors.NotPossible):
            room.do(c.SetForm(item, form))
    room.advance(2)
    view = desk_view(room.state, "K", ())
    assert (view.forms, "set_form" in view.allowed, view.shown.form) == ((), False, None)


def test_every_choice_of_forms_is_one():
    for kind in KINDS:
        assert len(kind.forms) != 1
        assert len(set(kind.forms)) == len(kind.forms)
        assert kind.is_asked or not kind.forms


def test_the_class_need_not_be_told_how_much_was_right():
    room = revealed("B", "A")
    assert screen_view(room.state, "K").right_share == 0.5
    room.do(c.HideShare(True))
    assert screen_view(room.state, "K").right_share is None
    assert desk_view(room.state, "K", ()).right_share == 0.5
    assert room.do(c.HideShare(True)) == []


def test_nor_of_the_shares_of_two_votes():
    room = a_session(a_set(choice("B", id="q1")), "Fen", "Bo")
    room.advance()
    room.answer(1, "A")
    room.answer(2, "B")
    room.advance()
    room.do(c.AskAgain(room.state.step))
    room.answer(1, "B")
    room.answer(2, "B")
    room.do(c.HideShare(True))
    room.advance(2)
    assert screen_view(room.state, "K").shown.votes.share_after is None
    assert desk_view(room.state, "K", ()).shown.votes.share_after == 1
    room.do(c.HideShare(False))
    assert screen_view(room.state, "K").shown.votes.share_after == 1
