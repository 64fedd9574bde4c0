"""What a person needs changes what they are allowed, and nothing for anybody else (docs/classes.md, D1 to D6)."""

import json

import pytest

from lantern.core import errors
from lantern.core.classes.needs import NONE, Needs, needs_from
from lantern.core.questions import kind_of
from lantern.core.session import Phase, next_due
from lantern.core.session import commands as c
from lantern.core.session.allowing import left_out, own_deadline
from lantern.core.session.desk_view import DeskMemo, desk_text, desk_view
from lantern.core.session.settings import Timing
from lantern.core.session.views import Places, mine, screen_view, student_view
from tests.builders import a_session, a_set, at_own_pace, choice

MORE = Needs(time=1.5)
EVERYTHING = Needs(
    time=2.5,
    text="largest",
    read_aloud=True,
    fewer_options=2,
    no_fog=True,
    no_motion=True,
    high_contrast=True,
    language="uk",
)
HERE = frozenset({1, 2})


def joins(needs, key="phone", name="Fen Okoro", member="m1"):
    return c.Join(name, key, f"person-{key}", member, needs=needs)


def a_lesson(needs=NONE, limit=20, **settings):
    """Seat 1 has the needs, seat 2 has none; the question is open."""
    room = a_session(a_set(choice("B", id="q1", time_limit=limit), choice("B", id="q2")), **settings)
    room.do(joins(needs))
    room.do(joins(NONE, "other", "Bo Holt", "m2"))
    room.advance()
    return room


def at(room, seconds):
    room.now = room.state.ask.opened_at + round(seconds * 1000)
    return room


# --- time --------------------------------------------------------------------------------------------


def test_who_has_more_time_may_answer_longer_and_nobody_else():
    room = at(a_lesson(MORE), 29)
    room.answer(1, "B")
    with pytest.raises(errors.TooLate):
        room.answer(2, "B")
    late = at(a_lesson(MORE), 30.1)
    with pytest.raises(errors.TooLate):
        late.answer(1, "B")


def test_who_has_no_limit_may_answer_until_it_is_closed():
    room = at(a_lesson(Needs(no_limit=True)), 500)
    room.answer(1, "B")
    assert room.state.ask.responses.keys() == {1}


def test_time_that_is_added_is_added_for_each_in_their_measure():
    room = a_lesson(MORE)
    room.do(c.AddTime(10))
    ask = room.state.ask
    assert ask.deadline == ask.opened_at + 30_000
    assert own_deadline(room.state, room.state.seats[1], ask) == ask.opened_at + 45_000


@pytest.mark.parametrize(
    ("needs", "present", "seconds"),
    [
        (NONE, HERE, 20),
        (MORE, HERE, 30),
        (MORE, {2}, 20),
        (Needs(no_limit=True), HERE, None),
        (Needs(time=3.0), HERE, 60),
    ],
)
def test_the_question_closes_once_the_time_of_whoever_is_here_is_over(needs, present, seconds):
    room = a_lesson(needs)
    due = next_due(room.state, lambda: present)
    assert (None if due is None else due.at - room.state.ask.opened_at) == (None if seconds is None else seconds * 1000)


def test_it_closes_at_once_when_they_have_answered_after_the_others_time():
    room = at(a_lesson(MORE), 25)
    room.answer(1, "B")
    due = next_due(room.state, lambda: HERE)
    assert due.at == room.state.ask.deadline < room.now
    room.do(due.command)
    assert room.state.phase is Phase.CLOSED


def test_the_desk_says_for_how_many_it_waits_and_may_close_all_the_same():
    room = at(a_lesson(MORE), 21)
    view = desk_view(room.state, "KELP427", HERE)
    assert view.waiting_for == 1
    assert json.loads(desk_text(room.state, "KELP427", HERE, DeskMemo())) == view.model_dump(mode="json")
    room.do(c.Close(room.state.step))
    assert desk_view(room.state, "KELP427", HERE).waiting_for == 0


def test_an_early_answer_earns_by_the_own_time():
    game = {"game": "points", "early_bonus": True}
    room = at(a_lesson(Needs(time=2.0), game=game), 10)
    room.answer(1, "B")
    room.answer(2, "B")
    slow, quick = (room.state.ask.responses[seat] for seat in (1, 2))
    assert slow.left == pytest.approx(0.75)
    assert quick.left == pytest.approx(0.5)
    assert slow.bonus > quick.bonus


@pytest.mark.parametrize(("needs", "seconds"), [(NONE, 600), (MORE, 900), (Needs(no_limit=True), None)])
def test_a_paper_has_the_time_of_whose_it_is(needs, seconds):
    room = at_own_pace(a_set(choice("B")), time=Timing(of="whole", whole=600))
    room.do(joins(needs))
    room.advance()
    room.do(c.BeginPaper(1))
    deadline = room.state.papers[1].deadline
    assert (None if deadline is None else deadline - room.now) == (None if seconds is None else seconds * 1000)


# --- plainer options, fog -----------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("fewer", "right", "count"), [(1, "B", 1), (2, "B", 2), (2, "BC", 1), (1, "ABC", 0), (0, "B", 0)]
)
def test_plainer_options_leave_out_wrong_ones_and_never_all(fewer, right, count):
    room = a_session(a_set(choice(right, id="q1")))
    room.do(joins(Needs(fewer_options=fewer)))
    item = room.state.item("q1")
    out = left_out(room.state, room.state.seats[1], item)
    assert len(out) == count
    assert set(out) <= set(kind_of(item).spare(item))


def test_it_is_the_same_ones_for_that_student_every_time_also_in_another_session():
    outs = set()
    for seed_of_device in ("phone", "tablet"):
        room = a_session(a_set(choice("B", id="q1")))
        room.do(joins(Needs(fewer_options=1), seed_of_device))
        outs.add(left_out(room.state, room.state.seats[1], room.state.item("q1")))
    assert len(outs) == 1


def test_others_are_shown_everything_and_so_is_everybody_with_the_key():
    room = a_lesson(Needs(fewer_options=1))
    places = Places(room.state)
    assert len(mine(room.state, places, 1).left_out) == 1
    assert mine(room.state, places, 2).left_out == ()
    room.advance(2)
    assert room.state.phase is Phase.REVEALED
    assert mine(room.state, Places(room.state), 1).left_out == ()


def test_whoever_needs_it_sees_pictures_without_fog_from_the_start():
    room = a_lesson(Needs(no_fog=True))
    assert (room.state.seats[1].fog_lifted, room.state.seats[2].fog_lifted) == (True, False)


# --- told to nobody -----------------------------------------------------------------------------------


def test_needs_are_told_to_the_own_device_alone():
    """What the class, the big screen and another's device get is the same as if nobody needed anything."""

    def told(needs):
        room = a_lesson(needs)
        texts = [student_view(room.state).model_dump_json(), screen_view(room.state, "KELP427").model_dump_json()]
        return [*texts, mine(room.state, Places(room.state), 2).model_dump_json()]

    assert told(EVERYTHING) == told(NONE)
    room = a_lesson(EVERYTHING)
    assert mine(room.state, Places(room.state), 1).needs == EVERYTHING


def test_no_stored_event_holds_a_need():
    room = a_lesson(EVERYTHING)
    stored = [record.event for record in room.history if type(record.event).__name__ != "Named"]
    assert "2.5" not in repr(stored)
    assert "largest" not in repr(stored)


def test_needs_that_were_stored_are_read_and_others_left_aside():
    assert needs_from(EVERYTHING.model_dump(mode="json")) == EVERYTHING
    assert needs_from({"time": 2.0, "of_before": True}) == Needs(time=2.0)
    assert needs_from(None) == NONE
