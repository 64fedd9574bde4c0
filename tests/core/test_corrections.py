"""What is put right after it was asked (docs/kinds.md, R1 to R7)."""

import pytest

from lantern.core import errors
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.preview import preview_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import workbook_tables
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.gap_fill import GapFillAnswer, GapFillItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryAnswer, NumericEntryItem
from lantern.core.questions.kinds.text_entry import TextEntryAnswer, TextEntryItem
from lantern.core.questions.kinds.word_cloud import WordCloudAnswer, WordCloudItem
from lantern.core.questions.marking import FIRST, LATEST
from lantern.core.questions.marking.spelling import Strictness
from lantern.core.session import Settings, new_session, replay
from lantern.core.session import commands as c
from lantern.core.session.corrections import marked_otherwise
from lantern.core.session.desk_view import desk_view
from lantern.core.session.stored import EVENT, read_event, write_event
from lantern.core.session.views import Places, mine
from tests.builders import a_session, a_set, choice, opinion
from tests.builders.session import DESK, Room, asked, marks


def typed(*texts):
    return [TextEntryAnswer(text=text) for text in texts]


KNOT = TextEntryItem(id="t1", prompt="Which knot?", accepts=("bowline",), language="en")


def test_one_more_answer_counts_for_everybody_and_can_be_taken_back_r2():
    room = asked(KNOT, *typed("bowline", "Bowline knot", "hitch"))
    room.do(c.Reveal(room.state.step))
    room.do(c.End())
    assert marks(room) == [1, 0, 0]
    (event,) = room.do(c.CountAsRight("t1", TextEntryAnswer(text="bowline  knot")))
    assert read_event(EVENT.latest, write_event(event)) == event
    assert marks(room) == [1, 1, 0]
    assert report_of(results_of(room.state)).questions[0].corrected[0].text == "bowline knot"
    assert room.do(c.CountAsRight("t1", TextEntryAnswer(text="bowline knot"))) == []
    room.do(c.TakeBack("t1"))
    assert marks(room) == [1, 0, 0]
    assert room.do(c.TakeBack("t1")) == []
    assert replay(room.first, room.history) == room.state


def test_a_word_in_one_gap_counts_there_alone_r2():
    item = GapFillItem(id="t1", prompt="Fill.", text="A [red] and a [green] light.", language="en")
    room = asked(item, GapFillAnswer(texts=("ruby", "ruby")))
    room.do(c.CountAsRight("t1", GapFillAnswer(texts=("ruby", "")), "1"))
    assert marks(room) == [0.5]
    with pytest.raises(errors.NotPossible, match="cannot be corrected"):
        room.do(c.CountAsRight("t1", GapFillAnswer(texts=("ruby", "")), "9"))


def test_an_open_question_takes_no_correction_of_what_is_right_r3():
    room = a_session(a_set(KNOT), "Fen")
    room.advance()
    with pytest.raises(errors.NotPossible, match="Close the question first"):
        room.do(c.CountAsRight("t1", TextEntryAnswer(text="hitch")))
    room.do(c.Close(room.state.step))
    room.do(c.CountAsRight("t1", TextEntryAnswer(text="hitch")))
    room.do(c.Reopen(room.state.step))
    with pytest.raises(errors.NotPossible, match="Close the question first"):
        room.do(c.TakeBack("t1"))
    with pytest.raises(errors.NotPossible, match="written in the set"):
        asked(choice(id="t1")).do(c.CountAsRight("t1", TextEntryAnswer(text="hitch")))


def test_words_are_parted_while_the_cloud_is_open_and_after_the_end_w4():
    room = a_session(a_set(WordCloudItem(id="w1", prompt="Sea?", language="en")), "Fen", "Bo")
    room.advance()
    for seat, word in ((1, "wave"), (2, "Waves")):
        room.give(seat, WordCloudAnswer(words=(word,)))
    assert "keep_apart" in desk_view(room.state, "KELP427", ()).allowed
    room.do(c.KeepApart("w1", "Waves"))
    counted = desk_view(room.state, "KELP427", ()).shown.tally.words
    assert sorted((word.text, word.count) for word in counted) == [("Waves", 1), ("wave", 1)]
    room.do(c.End())
    room.do(c.TakeBack("w1"))
    assert report_of(results_of(room.state)).questions[0].counts[0].count == 2


def first_rules(item, *answers):
    """A session of before, led to its end."""
    room = Room(a_set(item), Settings(mix_options=False, close_when_all_answered=False))
    room.first = room.state = new_session(a_set(item), room.state.settings, "seed", FIRST)
    room.join(*(f"Student {n}" for n, _ in enumerate(answers, start=1)))
    room.advance()
    for seat, answer in enumerate(answers, start=1):
        room.give(seat, answer)
    room.do(c.End())
    return room


@pytest.mark.parametrize(
    ("item", "answers", "before", "otherwise", "after"),
    [
        (TextEntryItem(id="t1", prompt="?", accepts=("3.5",)), typed("35", "3.5", "4"), [1, 1, 0], 1, [0, 1, 0]),
        (TextEntryItem(id="t1", prompt="?", accepts=("?",)), typed("?", "!"), [0, 0], 1, [1, 0]),
        (
            TextEntryItem(id="t1", prompt="?", accepts=("wrote",), language="en", strictness=Strictness(typos=False)),
            typed("write", "wrotte"),
            [1, 1],
            1,
            [0, 1],
        ),
        (
            NumericEntryItem(id="t1", prompt="?", value=125, language="de"),
            [NumericEntryAnswer(text=text) for text in ("0.125", "125")],
            [1, 1],
            1,
            [0, 1],
        ),
        (
            WordCloudItem(id="t1", prompt="?", scored=True, most=1, accepts=("news",), language="en"),
            [WordCloudAnswer(words=(word,)) for word in ("new", "news")],
            [1, 1],
            1,
            [0, 1],
        ),
    ],
)
def test_a_session_keeps_its_rules_until_its_teacher_asks_r1(item, answers, before, otherwise, after):
    room = first_rules(item, *answers)
    assert marks(room) == before
    assert marked_otherwise(room.state) == report_of(results_of(room.state)).marked_otherwise == otherwise
    shown = {count.text or count.label: count.right for count in report_of(results_of(room.state)).questions[0].counts}
    assert set(shown.values()) <= {bool(mark) for mark in before} | {True, False}
    room.do(c.MarkAnew())
    assert (marks(room), room.state.rules) == (after, LATEST)
    assert report_of(results_of(room.state)).marked_otherwise == 0
    assert room.do(c.MarkAnew()) == []
    assert replay(room.first, room.history) == room.state


def ended(*answers, **settings):
    """A choice (B is right) that was asked of one student for each answer, in a session that has ended."""
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), *(f"S{n}" for n, _ in enumerate(answers)))
    room.advance()
    for seat, letter in enumerate(answers, start=1):
        if letter:
            room.answer(seat, letter)
    room.do(c.End())
    return room


def scores(room):
    return [person.score for person in report_of(results_of(room.state)).people]


def test_full_marks_are_for_all_who_were_asked_and_can_be_taken_back_r4():
    room = ended("B", "C", None)
    assert scores(room) == [1, 0, 0]
    room.do(c.GiveFullMarks("q1"))
    assert scores(room) == [1, 1, 1]
    assert [person.points for person in report_of(results_of(room.state)).people] == [
        100,
        100,
        0,
    ]  # points are for answers
    assert room.do(c.GiveFullMarks("q1")) == []
    room.do(c.TakeBack("q1"))
    assert scores(room) == [1, 0, 0]


def test_who_came_later_gets_no_full_mark():
    room = a_session(a_set(choice("B", id="q1"), choice("B", id="q2")), "Fen")
    room.advance(2)
    room.join("Ines")
    room.do(c.End())
    room.do(c.GiveFullMarks("q1"))
    assert [(person.score, person.out_of) for person in report_of(results_of(room.state)).people] == [(1, 1), (0, 0)]


def test_a_dropped_question_is_in_no_score_no_points_and_no_mean_r4():
    room = ended("B", "C")
    room.do(c.Drop("q1"))
    report = report_of(results_of(room.state))
    assert (report.top_score, [person.points for person in report.people]) == (0, [0, 0])
    assert report.questions[0].note
    assert mine(room.state, Places(room.state), 1).scored == 0
    room.do(c.TakeBack("q1"))
    assert report_of(results_of(room.state)).top_score == 1


def test_a_mark_by_hand_goes_before_all_others_and_can_be_taken_away_r5():
    room = ended("C", None)
    room.do(c.GiveMark("q1", (1,), 0.5))
    room.do(c.GiveMark("q1", (2,), 1.0))
    assert scores(room) == [0.5, 1]
    assert report_of(results_of(room.state)).questions[0].by_hand == 2
    room.do(c.GiveFullMarks("q1"))
    assert scores(room) == [0.5, 1]
    for seat in (1, 2):
        room.do(c.GiveMark("q1", (seat,), None))
    room.do(c.TakeBack("q1"))
    assert scores(room) == [0, 0]


def test_a_mark_by_hand_stays_through_a_new_key_and_an_answer_after_it_r5():
    room = a_session(a_set(choice("B", id="q1")), "Fen", "Bo")
    room.advance()
    room.answer(1, "C")
    room.do(c.Close(room.state.step))
    for seat in (1, 2):
        room.do(c.GiveMark("q1", (seat,), 0.25))
    room.do(c.Reopen(room.state.step))
    room.answer(2, "B")
    room.do(c.Close(room.state.step))
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    assert marks(room, "q1") == [0.25, 0.25]


def test_nought_is_a_mark_by_hand_too_r5():
    room = ended("B", None)
    room.do(c.GiveFullMarks("q1"))
    for seat in (1, 2):
        room.do(c.GiveMark("q1", (seat,), 0.0))
    assert scores(room) == [0, 0]
    assert marks(room, "q1") == [0]


def test_an_opinion_takes_no_marks():
    room = a_session(a_set(opinion(id="q1")), "Fen")
    room.advance(2)
    for command in (c.GiveFullMarks("q1"), c.GiveMark("q1", (1,), 1.0)):
        with pytest.raises(errors.NotPossible):
            room.do(command)


def test_the_report_says_what_was_put_right_by_whom_and_when_r6():
    room = ended("C")
    room.now += 60_000
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    room.do(c.Drop("q1"))
    said = report_of(results_of(room.state, teachers={DESK.who: "Odile Brandt"})).questions[0].corrected
    assert [(one.what, one.text, one.at, one.by) for one in said] == [
        ("key", "Knot C", room.now, "Odile Brandt"),
        ("dropped", "", room.now, "Odile Brandt"),
    ]
    room.do(c.TakeBack("q1"))
    assert [one.what for one in report_of(results_of(room.state)).questions[0].corrected] == ["key"]


def test_a_correction_reaches_every_round_r7():
    room = a_session(a_set(choice("B", id="q1")), "Fen")
    room.advance()
    room.answer(1, "C")
    room.advance()
    room.do(c.AskAgain(room.state.step))
    room.answer(1, "C")
    room.do(c.End())
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    (question,) = report_of(results_of(room.state)).questions
    assert (question.share, question.earlier[0].share) == (1, 1)


def both_scores(room):
    return {person.seat: (person.score, person.share) for person in report_of(results_of(room.state)).people}


@pytest.mark.parametrize(
    "command",
    [
        c.SetKey("q1", ChoiceAnswer(chosen=("A",))),
        c.GiveFullMarks("q1"),
        c.Drop("q1"),
    ],
    ids=lambda command: command.do,
)
def test_a_correction_is_previewed_as_it_then_is_r8(command):
    room = asked(choice("B", id="q1"), *(ChoiceAnswer(chosen=(letter,)) for letter in "ABBC"))
    room.do(c.End())
    before, state = both_scores(room), room.state
    preview = preview_of(room.state, command, 7, room.now, "since_joined")
    assert room.state is state
    room.do(command)
    after = both_scores(room)
    assert {one.seat: (one.after, one.share_after) for one in preview.changes} == {
        seat: after[seat] for seat in after if after[seat] != before[seat]
    }
    assert preview.unchanged == len(after) - len(preview.changes)
    assert preview.question_after == report_of(results_of(room.state)).questions[0].share


def test_a_correction_that_is_refused_is_refused_in_its_preview():
    room = asked(choice("B", id="q1"), ChoiceAnswer(chosen=("A",)))
    with pytest.raises(errors.NotPossible):
        preview_of(room.state, c.CountAsRight("q1", TextEntryAnswer(text="x")), 7, room.now, "since_joined")


def test_what_was_put_right_goes_out_with_every_table_r6():
    room = asked(choice("B", id="q1"), *(ChoiceAnswer(chosen=(letter,)) for letter in "AB"))
    room.do(c.End())
    assert "Put right" not in [table.name.sentence for table in workbook_tables(results_of(room.state))]
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("A",))))
    room.do(c.GiveMark("q1", (2,), 0.5))
    told = [table.spoken("en") for table in workbook_tables(results_of(room.state, {7: "Odile Brandt"}))]
    tables = {table.title: table for table in told}
    answers, corrected = tables["Answers"], tables["Put right"]
    assert [(row[0], row[2], row[4]) for row in corrected.rows] == [
        (1, "“Knot A” is right", "Odile Brandt"),
        (1, "Marks given by hand: 1", None),
    ]
    assert answers.columns[-1] == "What was put right"
    assert {row[-1] for row in answers.rows} == {"“Knot A” is right"}
