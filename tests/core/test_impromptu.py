"""Asked on the spot: a question that was never prepared, its key said afterwards."""

from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core import errors
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.games.points import PointsSettings
from lantern.core.questions import KINDS, kind_of
from lantern.core.questions.content import MAX_ITEMS
from lantern.core.questions.items import is_scored
from lantern.core.questions.kinds.choice import ChoiceItem, Option
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryAnswer, NumericEntryItem
from lantern.core.questions.kinds.page import PageItem
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.questions.kinds.word_cloud import WordCloudAnswer, WordCloudItem
from lantern.core.session import Phase, next_due
from lantern.core.session import commands as c
from lantern.core.session.course import replay
from lantern.core.session.desk_view import desk_view
from lantern.core.session.moves import Move, next_move
from lantern.core.session.settings import Timing
from lantern.core.session.views import screen_view, student_view
from tests.builders import a_session, a_set, choice
from tests.builders.session import marks

LETTERS = LetterItem(id="now", letters=8)


def ask_now(room, item=LETTERS):
    return room.do(c.AskNow(room.state.step, item))


def letter(one):
    return LetterAnswer(letter=one)


def test_a_question_without_words_is_asked_answered_and_its_key_said_afterwards():
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), "Fen", "Bo", "Ines")
    room.advance()
    room.answer(1, "B")
    ask_now(room)
    assert (room.state.phase, room.state.ids) == (Phase.OPEN, ["q1", "now", "q2"])
    for seat, one in ((1, "A"), (2, "H"), (3, "A")):
        room.give(seat, letter(one))
    room.advance()
    assert marks(room, "now") == [None, None, None]
    assert (next_move(room.state), screen_view(room.state, "K").right_share) == (Move.NEXT, None)
    room.do(c.SetKey("now", letter("H")))
    assert marks(room, "now") == [0, 1, 0]
    assert next_move(room.state) is Move.REVEAL
    room.advance()
    assert student_view(room.state).shown.key.right == ("H",)
    room.advance(2)
    assert room.state.cursor == "q2"
    report = report_of(results_of(room.state))
    assert [(one.item, one.share) for one in report.questions][:2] == [("q1", 1.0), ("now", pytest.approx(1 / 3))]


def test_its_clock_counts_up_whatever_the_others_have():
    settings = {"time": Timing(of="question", each=20), "game": PointsSettings(early_bonus=True)}
    room = a_session(a_set(choice("B", time_limit=60)), "Fen", **settings)
    ask_now(room, LETTERS.model_copy(update={"time_limit": 5}))
    shown = student_view(room.state).shown
    assert (shown.asked_now, shown.opened_at, shown.deadline) == (True, room.now, None)
    assert next_due(room.state, set) is None
    room.now += 3_600_000
    room.give(1, letter("C"))
    room.do(c.Close(room.state.step))
    room.do(c.SetKey("now", letter("C")))
    (kept,) = room.state.responses("now")
    assert (kept.took, kept.mark, kept.bonus) == (3_600_000, 1.0, 0)
    room.do(c.AskAgain(room.state.step))
    assert student_view(room.state).shown.deadline is None


def test_left_without_an_answer_it_was_never_there():
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), "Fen")
    room.advance()
    room.answer(1, "B")
    ask_now(room)
    ask_now(room, LETTERS.model_copy(update={"id": "other"}))
    assert room.state.ids == ["q1", "other", "q2"]
    room.do(c.End())
    assert (room.state.ids, room.state.asked_now, room.state.cursor) == (["q1", "q2"], frozenset(), "q1")
    ask_first = a_session(a_set(choice("B", id="q1")), "Fen")
    ask_now(ask_first)
    ask_first.do(c.GoTo(ask_first.state.step, "q1"))
    assert (ask_first.state.ids, ask_first.state.cursor) == (["q1"], "q1")


def test_one_that_was_answered_once_stays_when_its_second_round_is_left():
    room = a_session(a_set(choice("B", id="q1")), "Fen")
    ask_now(room)
    room.give(1, letter("A"))
    room.do(c.Close(room.state.step))
    room.do(c.AskAgain(room.state.step))
    room.do(c.GoTo(room.state.step, "q1"))
    assert room.state.ids == ["now", "q1"]
    assert len(room.state.responses("now")) == 1


def test_a_session_may_begin_with_nothing():
    room = a_session(a_set(), "Fen")
    assert next_move(room.state) is Move.ASK_NOW
    before = room.state
    room.advance()
    assert room.state is before
    ask_now(room)
    room.give(1, letter("A"))
    room.advance()
    assert next_move(room.state) is Move.ASK_NOW
    assert desk_view(room.state, "K", {1}).run[0].asked_now
    room.do(c.ClearAnswers(room.state.step, "all"))
    assert next_move(room.state) is Move.NEXT  # it waits to be asked anew
    room.do(c.End())
    assert next_move(room.state) is Move.END


UNMARKED = ChoiceItem(id="c", prompt="Which?", options=(Option(id="a", text="Ebb"), Option(id="b", text="Flow")))
FIT = {
    "letters": LetterItem(id="n"),
    "a choice without a right option": UNMARKED,
    "a number": NumericEntryItem(id="n"),
    "a word": WordCloudItem(id="w", scored=True, most=1),
    "a text": TextEntryItem(id="t"),
    "an opinion": UNMARKED.model_copy(update={"scored": False}),
}
UNFIT = {
    "one option": UNMARKED.model_copy(update={"options": UNMARKED.options[:1]}),
    "an empty option": UNMARKED.model_copy(update={"options": (*UNMARKED.options, Option(id="c"))}),
    "a page": PageItem(id="p", prompt="Read this."),
    "one that is there already": choice("B", id="q1"),
    "an order of nothing": next(k for k in KINDS if k.name == "order").item(id="o", prompt="Order these"),
}


@pytest.mark.parametrize("item", FIT.values(), ids=FIT)
def test_what_is_right_may_be_said_later(item):
    ask_now(room := a_session(a_set(choice("B", id="q1")), "Fen"), item)
    assert (room.state.phase, is_scored(room.state.current)) == (Phase.OPEN, False)


@pytest.mark.parametrize("item", UNFIT.values(), ids=UNFIT)
def test_what_cannot_be_asked_is_refused_in_a_sentence(item):
    room = a_session(a_set(choice("B", id="q1")), "Fen")
    before = room.state
    with pytest.raises(errors.NotPossible) as refusal:
        ask_now(room, item)
    assert refusal.value.sentence.endswith(".")
    assert room.state is before


def test_a_session_has_an_end_of_questions():
    room = a_session(a_set(*(choice("B", id=f"q{n}") for n in range(MAX_ITEMS))), "Fen")
    with pytest.raises(errors.NotPossible, match="at most 300"):
        ask_now(room)


def test_typed_answers_take_their_key_from_the_desk():
    room = a_session(a_set(), "Fen", "Bo", "Ines")
    ask_now(room, NumericEntryItem(id="n", accepts="absolute", tolerance=1))
    for seat, text in ((1, "12,0"), (2, "13"), (3, "1.3e2")):
        room.give(seat, NumericEntryAnswer(text=text))
    room.do(c.Close(room.state.step))
    assert "set_key" in desk_view(room.state, "K", ()).allowed
    room.do(c.SetKey("n", NumericEntryAnswer(text="12")))
    assert marks(room, "n") == [1, 1, 0]
    ask_now(room, WordCloudItem(id="w", scored=True, most=1))
    for seat, text in ((1, "Ebb"), (2, "flow"), (3, "ebb")):
        room.give(seat, WordCloudAnswer(words=(text,)))
    room.do(c.Close(room.state.step))
    room.do(c.SetKey("w", WordCloudAnswer(words=("ebb",))))
    assert marks(room, "w") == [1, 0, 1]
    room.do(c.CountAsRight("w", WordCloudAnswer(words=("flow",))))
    assert marks(room, "w") == [1, 1, 1]
    room.do(c.TakeBack("w"))
    room.do(c.TakeBack("w"))
    assert marks(room, "w") == [None, None, None]


STEPS = ("ask", "answer", "advance", "back", "again", "clear", "key", "end", "open")
TAKING = [(kind, sample) for kind in KINDS for sample in kind.samples() if sample.right and kind.takes_key(sample.item)]


@pytest.mark.parametrize(("kind", "sample"), TAKING, ids=lambda one: getattr(one, "name", ""))
def test_a_key_that_is_said_later_marks_as_one_that_was_there_k7(kind, sample):
    """Of an item that its right answer says whole."""
    whole = kind.with_key(sample.item, sample.right)
    bare = whole
    for field in ("right", "accepts", "options", "value", "low", "high"):
        if field == "accepts" and isinstance(getattr(bare, field, None), str):
            continue
        if field in type(bare).model_fields:
            empty = tuple(o.model_copy(update={"right": False}) for o in bare.options) if field == "options" else None
            value = empty if empty is not None else () if isinstance(getattr(bare, field), tuple) else None
            bare = bare.model_copy(update={field: value})
    answers = (sample.right, *sample.others)
    assert {kind.score(bare, answer) for answer in answers} == {None}
    assert kind.key(bare) is None
    said_later = kind.with_key(bare, sample.right)
    assert [kind.score(said_later, one) for one in answers] == [kind.score(whole, one) for one in answers]
    assert kind.score(whole, sample.right) == 1
    kind.accept(bare, kind.imagine(bare, 0.5, Random(1)))


@given(st.lists(st.sampled_from(STEPS), max_size=25))
def test_no_order_of_commands_loses_or_doubles_an_answer(steps):
    room = a_session(a_set(choice("B", id="q1")), "Fen")
    given_to = {}
    for number, step in enumerate(steps):
        cursor, ids = room.state.cursor, room.state.ids
        commands = {
            "ask": lambda: c.AskNow(room.state.step, LETTERS.model_copy(update={"id": f"n{number}"})),  # noqa: B023
            "answer": lambda: c.GiveAnswer(1, room.state.ask.id, letter("A")),
            "advance": lambda: c.Advance(room.state.step),
            "back": lambda: c.GoTo(room.state.step, ids[0]),  # noqa: B023
            "again": lambda: c.AskAgain(room.state.step),
            "clear": lambda: c.ClearAnswers(room.state.step, "question"),
            "key": lambda: c.SetKey(cursor, letter("A")),  # noqa: B023
            "end": c.End,
            "open": c.OpenAgain,
        }
        if step in ("answer", "key") and (room.state.ask is None or room.state.current.kind != "letter"):
            continue
        before = room.state
        try:
            room.do(commands[step]())
        except errors.LanternError:
            assert room.state is before
            continue
        if step == "answer":
            given_to[before.ask.id] = "A"
    kept = {ask.id: response.answer.letter for ask in room.state.asks.values() for response in ask.responses.values()}
    assert {ask: one for ask, one in kept.items() if one} == given_to
    assert set(room.state.items) == {item.id for item in room.state.content.items} >= {"q1"}
    assert {ask.item_id for ask in room.state.asks.values()} | {"q1"} == set(room.state.items)
    assert replay(room.first, room.history) == room.state
    assert all(kind_of(item) for item in room.state.items.values())
