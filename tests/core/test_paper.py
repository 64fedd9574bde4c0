"""Own pace: papers, their rules, and what everything asks of them."""

import json
from functools import reduce

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.questions import kind_of
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Course, Phase, Recorded, Sent, decide, new_session, next_due, replay
from lantern.core.session import commands as c
from lantern.core.session.asking import is_over, may_change, told
from lantern.core.session.desk_view import DeskMemo, desk_text, desk_view
from lantern.core.session.drawing import drawn_for, order_for
from lantern.core.session.engine import evolve
from lantern.core.session.model import ask_id
from lantern.core.session.own_views import Fragments, Place, mine_at_own_pace, mine_text, place_of, view_text
from lantern.core.session.review import reviewed
from lantern.core.session.settings import Chosen, Settings, Timing
from lantern.core.session.views import Places, StudentView, mine
from tests.builders import a_set, at_own_pace, choice, page
from tests.builders.session import NO_LIMIT, Room, actor_of

TWO_EACH = Chosen(pick="each", count=2)
QUESTIONS = [f"q{n}" for n in range(1, 7)]
ITEMS = [choice("B", id=id) for id in QUESTIONS[:3]] + [page(id="p1")] + [choice("B", id=id) for id in QUESTIONS[3:]]
A, B = (ChoiceAnswer(chosen=(letter,)) for letter in "AB")
ONE_MINUTE = Timing(of="whole", whole=60)
FEEDBACK = ("each", "handed_in", "end", "opened", "never")
rules = st.fixed_dictionaries(
    {
        "questions": st.builds(Chosen, pick=st.sampled_from(("all", "first", "same", "each")), count=st.integers(1, 8)),
        "mix_questions": st.booleans(),
        "mix_options": st.booleans(),
        "answers": st.sampled_from(("final", "changeable")),
        "time": st.sampled_from((NO_LIMIT, ONE_MINUTE, Timing(of="question", each=30))),
        "feedback": st.sampled_from(FEEDBACK),
        "marks": st.booleans(),
    }
)


def at_work(*names: str, **settings) -> Room:
    """Everybody has begun."""
    room = at_own_pace(a_set(*ITEMS), *(names or ("Fen", "Bo")), **settings)
    room.do(c.Advance(0))
    for seat in room.state.seats:
        room.do(c.BeginPaper(seat))
    return room


def give(room, seat, item, answer, number=None):
    return room.do(c.GiveAnswer(seat, ask_id(item, 1), answer), number)


def given_answer(room, seat, item):
    response = room.state.ask_of(item).responses.get(seat)
    return response.answer if response else None


# --- what is drawn -------------------------------------------------------------------------------


@given(rules, st.text(max_size=8), st.integers(1, 2000))
def test_a_paper_has_what_its_rules_say_and_is_drawn_the_same_again(chosen, seed, seat):
    settings = Settings(manner="own_pace", **chosen)
    items = new_session(a_set(*ITEMS), settings, seed).content.items
    paper = drawn_for(items, settings, seed, seat)
    assert paper == drawn_for(items, settings, seed, seat)
    asked, wanted = [item for item in paper if item != "p1"], settings.questions
    assert len(asked) == len(set(asked)) == (6 if wanted.pick == "all" else min(wanted.count, 6))
    assert paper.count("p1") == 1
    if not settings.mix_questions:
        assert asked == [item for item in QUESTIONS if item in asked]
    if wanted.pick == "first":
        assert set(asked) == set(QUESTIONS[: wanted.count])
    assert (order_for(settings, seed, seat) > 0) == settings.mix_options


def test_seats_get_different_papers():
    settings = Settings(manner="own_pace", questions=Chosen(pick="each", count=3), mix_questions=True)
    assert len({drawn_for(ITEMS, settings, "seed", seat) for seat in range(1, 40)}) > 20
    assert len({order_for(settings, "seed", seat) for seat in range(1, 100)}) == 12
    plain = Settings(manner="own_pace")
    assert {drawn_for(ITEMS, plain, "seed", seat) for seat in range(1, 40)} == {tuple(i.id for i in ITEMS)}


def test_a_paper_is_kept_as_it_was_drawn():
    room = at_work(questions=TWO_EACH, mix_questions=True)
    before = room.state.papers[1].items
    assert room.do(c.BeginPaper(1)) == []
    assert reduce(evolve, room.history, room.first).papers[1].items == before


# --- answering -----------------------------------------------------------------------------------


def test_each_answers_their_own_questions_in_their_own_time():
    room = at_work()
    room.now += 5000
    give(room, 1, "q1", B)
    room.do(c.GoToPlace(1, "q2"))
    room.now += 3000
    give(room, 1, "q2", A)
    give(room, 2, "q1", A)
    took = [(r.seat, r.took) for r in room.state.responses("q1")] + [
        (r.seat, r.took) for r in room.state.responses("q2")
    ]
    assert took == [(1, 5000), (2, 8000), (1, 3000)]
    assert [paper.at for paper in room.state.papers.values()] == ["q2", "q1"]


def test_what_is_not_on_the_paper_is_not_answered():
    room = at_work(questions=Chosen(pick="each", count=1))
    others = [item for item in QUESTIONS if item not in room.state.papers[1].items]
    with pytest.raises(errors.NotOpen):
        give(room, 1, others[0], B)
    with pytest.raises(errors.NotPossible):
        room.do(c.GoToPlace(1, others[0]))


def test_a_changeable_answer_is_changed_and_cleared_and_late_copies_stay_away():
    room = at_work()
    give(room, 1, "q1", A, 1)
    give(room, 1, "q1", B, 2)
    assert give(room, 1, "q1", A, 1) == []
    assert given_answer(room, 1, "q1") == B
    room.do(c.ClearAnswer(1, "q1.1"), 3)
    assert given_answer(room, 1, "q1") is None
    assert give(room, 1, "q1", B, 2) == []
    assert given_answer(room, 1, "q1") is None
    give(room, 1, "q1", A, 4)
    assert given_answer(room, 1, "q1") == A
    with pytest.raises(errors.AlreadyMovedOn):  # another device of this seat, with the same number
        give(room, 1, "q1", B, 4)


@pytest.mark.parametrize("chosen", [{"answers": "final"}, {"answers": "changeable", "feedback": "each"}])
def test_a_final_answer_stays(chosen):
    room = at_work(**chosen)
    give(room, 1, "q1", A, 1)
    assert give(room, 1, "q1", A, 1) == []
    with pytest.raises(errors.AlreadyAnswered):
        give(room, 1, "q1", B, 2)
    with pytest.raises(errors.AlreadyAnswered):
        room.do(c.ClearAnswer(1, "q1.1"), 3)


def test_a_late_copy_of_going_somewhere_leads_nowhere():
    room = at_work()
    room.do(c.GoToPlace(1, "q2"), 1)
    room.do(c.GoToPlace(1, "q3"), 2)
    assert room.do(c.GoToPlace(1, "q2"), 1) == []
    assert room.state.papers[1].at == "q3"


def test_nobody_works_on_anothers_paper():
    room = at_work()
    commands = (
        c.GiveAnswer(2, "q1.1", B),
        c.HandIn(2),
        c.ClearAnswer(2, "q1.1"),
        c.GoToPlace(2, "q2"),
        c.BeginPaper(2),
    )
    for command in commands:
        with pytest.raises(errors.UnknownSeat):
            decide(room.state, command, Sent(actor_of(c.HandIn(1)), 1, room.now))


# --- handing in ----------------------------------------------------------------------------------


def test_what_was_handed_in_is_changed_no_more_but_a_copy_is_acknowledged():
    room = at_work()
    give(room, 1, "q1", B, 1)
    room.do(c.HandIn(1))
    assert room.do(c.HandIn(1)) == []
    assert give(room, 1, "q1", B, 1) == []
    for command in (c.GiveAnswer(1, "q1.1", A), c.GiveAnswer(1, "q2.1", A), c.GoToPlace(1, "q2")):
        with pytest.raises(errors.HandedIn):
            room.do(command, 7)
    give(room, 2, "q1", A)  # others work on


def test_the_time_of_one_is_up_for_that_one_alone():
    room = at_own_pace(a_set(*ITEMS), "Fen", "Bo", time=ONE_MINUTE)
    room.do(c.Advance(0))
    room.do(c.BeginPaper(2))
    room.now += 20_000
    room.do(c.BeginPaper(1))
    due = next_due(room.state, frozenset)
    assert due.command == c.PaperTimeUp(2, room.now + 40_000)
    assert room.do(due.command) == []  # not yet
    room.now = due.at + 1
    with pytest.raises(errors.TooLate):  # the clock decides, also before it has acted
        give(room, 2, "q1", B)
    give(room, 1, "q1", B)
    room.do(due.command)
    assert [paper.handed_in_by for paper in room.state.papers.values()] == ["time", None]
    assert next_due(room.state, frozenset).command.seat == 1


def test_the_end_hands_in_what_is_out():
    room = at_work()
    room.do(c.HandIn(1))
    give(room, 2, "q1", B)
    room.do(c.End())
    assert [paper.handed_in_by for paper in room.state.papers.values()] == ["hand", "end"]
    assert not any(ask.is_open for ask in room.state.asks.values())
    with pytest.raises(errors.SessionEnded):
        give(room, 2, "q2", B)


# --- what everything asks ------------------------------------------------------------------------


BY_THE_DESK = {
    "collect": lambda state, seat: c.Collect(state.step),
    "hand_in_for": lambda state, seat: c.HandInFor(seat),
    "reopen": lambda state, seat: c.ReopenPaper(seat),
    "reopen_all": lambda state, seat: c.ReopenPaper(),
    "more_time": lambda state, seat: c.GiveTime(60),
    "pause": lambda state, seat: c.Pause(),
    "resume": lambda state, seat: c.Resume(state.step),
    "open_feedback": lambda state, seat: c.OpenFeedback(),
    "end": lambda state, seat: c.End(),
    "open_again": lambda state, seat: c.OpenAgain(),
}
actions = st.lists(
    st.tuples(
        st.integers(1, 2),
        st.sampled_from(("answer", "answer", "clear", "hand_in", "go", "flag", "time", "wait", *BY_THE_DESK)),
        st.sampled_from(QUESTIONS),
        st.sampled_from((A, B)),
    ),
    max_size=25,
)


def acted(state, step, now):
    """The state after one step; the same where it is refused."""
    seat, what, item, answer = step
    asked = [ask for ask in state.asks.values() if ask.item_id == item]
    numbers = [r.number for ask in asked for r in ask.responses.values()] + list(state.papers[seat].cleared.values())
    number = max(numbers, default=0) + 1
    if what in BY_THE_DESK:
        command = BY_THE_DESK[what](state, seat)
        number = max(state.done.values(), default=0) + 1
        return replayed(state, command, Sent(actor_of(command), number, now))
    command = {
        "answer": c.GiveAnswer(seat, ask_id(item, 1), answer),
        "flag": c.Flag(seat, item, True),
        "clear": c.ClearAnswer(seat, ask_id(item, 1)),
        "hand_in": c.HandIn(seat),
        "go": c.GoToPlace(seat, item),
        "time": c.PaperTimeUp(seat, state.papers[seat].deadline or 0),
        "wait": c.HandIn(99),
    }[what]
    return replayed(state, command, Sent(actor_of(command), number, now))


def replayed(state, command, sent):
    try:
        return replay(state, [Recorded(sent, event) for event in decide(state, command, sent)])
    except errors.LanternError:
        return state


@given(rules, actions)
def test_no_mark_is_told_while_its_answer_could_still_be_changed(chosen, steps):
    room = at_work(**chosen)
    state, now = room.state, room.now
    for step in steps:
        now += 20_000 if step[1] == "wait" else 500
        before, state = state, acted(state, step, now)
        for ask in state.asks.values():
            for seat in (1, 2):
                if before.is_paused:
                    assert ask.responses.get(seat) == before.asks[ask.id].responses.get(seat)
                if told(before, seat, before.asks[ask.id]):
                    assert told(state, seat, ask)
                    assert ask.responses.get(seat) == before.asks[ask.id].responses.get(seat)
                if told(state, seat, ask):
                    assert not may_change(state, seat, ask)
                if is_over(before, seat, before.asks[ask.id]) and is_over(state, seat, ask):
                    assert ask.responses.get(seat) == before.asks[ask.id].responses.get(seat)
    assert all(seen.items == room.state.papers[seat].items for seat, seen in state.papers.items())


def test_when_a_mark_is_told():
    for tell, expected in (
        ("each", [True, True, True]),
        ("handed_in", [False, True, True]),
        ("end", [False, False, True]),
    ):
        room = at_work(feedback=tell)
        give(room, 1, "q1", B)
        found = []
        for step in (None, c.HandIn(1), c.End()):
            if step:
                room.do(step)
            found.append(told(room.state, 1, room.state.ask_of("q1")))
            assert not told(room.state, 2, room.state.ask_of("q1")) or room.state.phase is Phase.ENDED
        assert found == expected, tell


def test_a_report_is_out_of_what_was_on_ones_paper():
    room = at_work("Fen", "Bo", "Ines", questions=TWO_EACH, mix_questions=True)
    for item in room.state.papers[1].items:
        if kind_of(room.state.item(item)).is_asked:
            give(room, 1, item, B)
    room.do(c.End())
    report = report_of(results_of(room.state))
    assert sorted((person.name, person.score, person.out_of) for person in report.people) == [
        ("Bo", 0, 2),
        ("Fen", 2, 2),
        ("Ines", 0, 2),
    ]
    own = mine(room.state, Places(room.state), 1)
    assert (own.right, own.scored) == (2, 2)


# --- what devices are sent -----------------------------------------------------------------------


@given(rules, actions)
def test_the_texts_that_are_written_hold_what_the_models_say(chosen, steps):
    room = at_work("Fen “F.” O'Hara \\", "Bo", **chosen)
    room.do(c.LiftFog(2, True))
    state, fragments, memo, present = room.state, Fragments(), DeskMemo(), frozenset({1})
    text = desk_text(state, "KELP427", present, memo)
    for step in steps:
        state = acted(state, step, room.now)
        text = desk_text(state, "KELP427", present, memo)  # with what is kept of the one before
    assert json.loads(text) == desk_view(state, "KELP427", present).model_dump(mode="json")
    for number, seat in state.seats.items():
        place = place_of(state, number)
        assert json.loads(mine_text(state, seat, place)) == mine_at_own_pace(state, seat).model_dump(mode="json")
        view = StudentView.model_validate_json(view_text(state, place, fragments))
        assert view.shown is None if place is None else view.shown.item.id == state.papers[number].at


def test_a_fragment_is_made_once_and_again_when_its_question_changes():
    room = at_work(feedback="end")
    fragments = Fragments()
    first = fragments.text(room.state, Place("q1", "asked"))
    assert fragments.text(room.state, Place("q1", "asked")) is first
    room.do(c.End())
    assert '"right":["B"]' in fragments.text(room.state, Place("q1", "told"))
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    assert fragments.text(room.state, Place("q1", "asked")) == first  # nothing of the key is in it
    assert '"right":["C"]' in fragments.text(room.state, Place("q1", "told"))


@pytest.mark.parametrize("tell", ["each", "handed_in", "end"])
def test_no_device_is_sent_a_key_before_its_mark_is_told(tell):
    room = at_work(feedback=tell)
    fragments = Fragments()

    def seen():
        place = place_of(room.state, 1)
        return view_text(room.state, place, fragments) + mine_text(room.state, room.state.seats[1], place)

    assert '"key":null' in seen()
    give(room, 1, "q1", B)
    assert ('"key":null' in seen()) == (tell != "each")
    room.do(c.HandIn(1))
    assert '"key"' not in seen()  # what was right is asked for by itself
    assert bool(reviewed(room.state, 1)) == (tell != "end")
    assert reviewed(room.state, 2) == ()


def test_a_course_of_papers_comes_to_the_states_that_evolve_gives():
    room = at_work(mix_questions=True)
    for seat in (1, 2):
        for place in room.state.papers[seat].items[:3]:
            if place != "p1":
                room.do(c.GiveAnswer(seat, ask_id(place, 1), B, moves_on=True))
    room.do(c.ClearAnswer(1, ask_id(next(iter(room.state.papers[1].answered)), 1)), 9000)
    room.do(c.HandIn(2))
    start, state = reduce(evolve, room.history[:6], room.first), reduce(evolve, room.history, room.first)
    untouched = reduce(evolve, room.history[:6], room.first)
    course = Course(start)
    for record in room.history[6:]:
        course.take(record)
    assert course.state == state == room.state
    assert start == untouched


def test_one_goes_to_a_page_and_back_as_to_any_place():
    room = at_own_pace(a_set(choice(id="q1"), page(id="p1"), choice(id="q2")), "Fen")
    room.do(c.Advance(0))
    room.do(c.BeginPaper(1))
    for item in ("p1", "q2", "p1", "q1"):
        room.do(c.GoToPlace(1, item))
        assert room.state.papers[1].at == item
    assert room.state == replay(room.first, room.history)
