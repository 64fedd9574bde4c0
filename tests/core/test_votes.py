"""A talk and a second vote: nothing of the first is told meanwhile, and both are compared to the figure."""

import json

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.text_entry import TextEntryAnswer, TextEntryItem
from lantern.core.session import Phase, next_due
from lantern.core.session import commands as c
from lantern.core.session.desk_view import desk_view
from lantern.core.session.moves import Move, next_move
from lantern.core.session.views import Places, mine, screen_view, student_view
from lantern.core.session.votes import normalised_gain, suggested, votes_of
from tests.builders import a_session, a_set, choice, joins, opinion


def voted(letters, item=None):
    """A question that was asked once, and closed."""
    content = a_set(item or choice("B", id="q1"), choice("B", id="q2"))
    room = a_session(content, *(f"Student {n}" for n, _ in enumerate(letters, start=1)))
    room.advance()
    vote(room, letters)
    room.do(c.Close(room.state.step))
    return room


def vote(room, letters):
    for seat, letter in enumerate(letters, start=1):
        if letter != "-":
            room.answer(seat, letter)


def talked(first, second, **more):
    room = voted(first, **more)
    room.do(c.Talk(room.state.step, 60))
    room.advance()
    vote(room, second)
    room.do(c.Close(room.state.step))
    return room


def test_a_talk_is_over_by_the_clock_and_the_next_vote_opens():
    room = voted("ABB")
    room.do(c.Talk(room.state.step, 60))
    assert (room.state.phase, next_move(room.state)) == (Phase.TALK, Move.VOTE_AGAIN)
    room.do(c.AddTime(30))
    due = next_due(room.state, frozenset)
    assert due.at == room.now + 90_000
    assert room.do(due.command) == []
    room.do(c.Pause())
    room.now += 3_600_000
    room.do(c.Resume(room.state.step))
    later = next_due(room.state, frozenset)
    assert later.at == room.now + 90_000
    room.now = later.at
    assert room.do(due.command) == []  # it was moved
    room.do(later.command)
    assert (room.state.phase, room.state.ask.id, room.state.ask.responses) == (Phase.OPEN, "q1.2", {})
    assert room.do(later.command) == []


def test_while_they_talk_nobody_is_told_how_the_class_voted():
    room = voted("ABB")
    assert '"count":2' in student_view(room.state).model_dump_json()
    room.do(c.Talk(room.state.step))
    for view in (student_view(room.state), screen_view(room.state, "KELP427")):
        shown = view.shown
        assert (shown.tally, shown.key, shown.votes) == (None, None, None)
        assert shown.deadline == room.now + 120_000
    own = mine(room.state, Places(room.state), 1)
    assert (own.answer, own.mark) == (ChoiceAnswer(chosen=("A",)), None)
    assert desk_view(room.state, "KELP427", ()).shown.tally.n == 3


def test_both_votes_are_compared_over_those_who_voted_twice():
    room = talked("AABB-", "BABAB")
    votes = votes_of(room.state, room.state.ask, with_marks=True)
    assert (votes.both, votes.changed, votes.share_before, votes.share_after, votes.gain) == (4, 2, 0.5, 0.5, 0)
    assert [(flow.before, flow.after, flow.count) for flow in votes.flows] == [("A", "B", 1), ("B", "A", 1)]
    told = student_view(room.state).shown
    assert (told.before.n, told.tally.n) == (4, 5)
    assert (told.votes.both, told.votes.share_before, told.votes.gain) == (4, None, None)  # that would tell the key
    room.do(c.Reveal(room.state.step))
    shown = screen_view(room.state, "KELP427").shown
    assert (shown.votes.share_before, shown.votes.share_after) == (0.5, 0.5)


def test_before_the_key_is_shown_two_votes_tell_nothing_of_it():
    views = []
    for right in "AB":
        room = talked("AABB", "BABA", item=choice(right, id="q1"))
        views.append(json.dumps([v.model_dump() for v in (student_view(room.state), screen_view(room.state, "X"))]))
    assert views[0] == views[1]


def test_what_was_typed_flows_at_the_desk_alone():
    room = a_session(a_set(TextEntryItem(id="t1", prompt="Which knot?", accepts=("bowline",))), "Fen")
    for text in ("reef", "bowline"):
        room.advance()
        room.give(1, TextEntryAnswer(text=text))
        room.do(c.Close(room.state.step))
        if text == "reef":
            room.do(c.Talk(room.state.step))
    assert student_view(room.state).shown.votes.flows == ()
    (flow,) = desk_view(room.state, "KELP427", ()).shown.votes.flows
    assert (flow.before, flow.after) == ("reef", "bowline")


def test_who_was_taken_out_is_in_neither_vote():
    room = talked("AB", "BB")
    room.do(c.Remove(1))
    votes = votes_of(room.state, room.state.ask, with_marks=True)
    assert (votes.both, votes.changed) == (1, 0)


@pytest.mark.parametrize(
    ("before", "after", "gain"),
    [(0.5, 0.75, 0.5), (0.4, 0.4, 0), (0.8, 0.6, -1), (0, 1, 1), (1, 1, None), (None, 0.5, None)],
)
def test_the_gain_is_what_was_gained_of_what_could_be(before, after, gain):
    found = normalised_gain(before, after)
    assert found == gain if gain is None else found == pytest.approx(gain)


@given(st.floats(0, 0.99), st.floats(0, 1))
def test_a_gain_is_one_at_most(before, after):
    assert normalised_gain(before, after) <= 1 + 1e-9


@pytest.mark.parametrize(
    ("letters", "expected"), [("AABBB", 60), ("ABBBB", None), ("AAAAB", None), ("AABB", None), ("AAABBB", 50)]
)
def test_a_second_vote_is_suggested_where_it_helps_with_the_reason(letters, expected):
    room = voted(letters)
    found = suggested(room.state)
    assert (found.params["percent"] if found else None) == expected
    if found:
        assert f"{expected} %" in desk_view(room.state, "KELP427", ()).suggestion.sentence


def test_none_is_suggested_for_an_opinion_or_a_third_time():
    assert suggested(voted("AABBB", item=opinion(id="q1")).state) is None
    assert suggested(talked("AABBB", "AABBB").state) is None


def test_there_is_no_talk_once_what_is_right_was_told():
    room = voted("AABBB")
    room.do(c.Reveal(room.state.step))
    with pytest.raises(errors.NotPossible):
        room.do(c.Talk(room.state.step))
    room = voted("AABBB")
    room.do(c.ShowStandings(room.state.step))
    room.do(c.GoTo(room.state.step, "q2"))
    room.do(c.GoTo(room.state.step, "q1"))
    assert room.state.phase is Phase.CLOSED
    with pytest.raises(errors.NotPossible):
        room.do(c.Talk(room.state.step))
    assert "talk" not in desk_view(room.state, "KELP427", ()).allowed


def test_locked_doors_keep_nobody_out_who_is_in():
    room = a_session(a_set(choice("B")), "Fen")
    room.do(c.Lock(True))
    assert room.do(c.Lock(True)) == []
    with pytest.raises(errors.NotPossible):
        room.do(joins("Bo", "another"))
    key = room.state.seats[1].key
    assert room.do(joins("Fen", key)) == []
    assert screen_view(room.state, "KELP427").locked
    room.do(c.Lock(False))
    room.do(joins("Bo", "another"))
    assert room.names == ["Fen", "Bo"]
