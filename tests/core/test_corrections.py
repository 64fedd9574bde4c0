"""What is put right after it was asked (docs/kinds.md, R1 to R3), and what scores are out of (F1 to F7)."""

import pytest

from lantern.core import errors
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import FOR_NOTHING, NO_KEY, report_of
from lantern.core.analysis.tables import RAW_HEADINGS, grid_table, raw_table
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.gap_fill import GapFillAnswer, GapFillItem
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryAnswer, NumericEntryItem
from lantern.core.questions.kinds.text_entry import TextEntryAnswer, TextEntryItem
from lantern.core.questions.kinds.word_cloud import WordCloudAnswer, WordCloudItem
from lantern.core.questions.marking import FIRST, LATEST
from lantern.core.questions.marking.spelling import Strictness
from lantern.core.questions.would_count import verdict_on
from lantern.core.session import Settings, new_session, replay
from lantern.core.session import commands as c
from lantern.core.session.corrections import marked_otherwise
from lantern.core.session.desk_view import desk_view
from lantern.core.session.stored import EVENT, read_event, write_event
from lantern.core.session.views import Places, mine, student_view
from tests.builders import EARLY, a_session, a_set, choice, opinion
from tests.builders.session import DESK, Room

COLUMNS = [heading.sentence for heading in RAW_HEADINGS]


def asked(item, *answers, **settings):
    """A question that was asked of one student for each answer, closed, its key shown."""
    room = a_session(a_set(item), *(f"Student {n}" for n, _ in enumerate(answers, start=1)), **settings)
    room.advance()
    for seat, answer in enumerate(answers, start=1):
        if answer is not None:
            room.give(seat, answer)
    room.do(c.Close(room.state.step))
    return room


def marks(room, item="t1"):
    return [response.mark for response in room.state.responses(item)]


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
    room.do(c.CountAsRight("t1", GapFillAnswer(texts=("ruby", "")), "Gap 1"))
    assert marks(room) == [0.5]
    with pytest.raises(errors.NotPossible, match="cannot be corrected"):
        room.do(c.CountAsRight("t1", GapFillAnswer(texts=("ruby", "")), "Gap 9"))


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


# --- scores ---


def led(*items, rows):
    """Questions in turn; `rows` holds for each question what each seat answers ("-": nothing, "+": a student joins)."""
    room = a_session(a_set(*items), "Fen", "Bo", "Ines")
    for item, row in zip(items, rows, strict=True):
        room.do(c.GoTo(room.state.step, item.id))
        seat = 0
        for sign in row:
            seat += sign != "+"
            if sign == "+":
                room.join("Late")
            elif sign != "-":
                room.answer(seat, sign)
        room.do(c.Close(room.state.step))
    return room


def test_what_counts_for_nothing_is_in_no_score_f1():
    room = led(choice("B"), choice("B", weight=0), choice("B", weight=2), rows=["BBA", "AAA", "BAB"])
    report = report_of(results_of(room.state))
    assert report.top_score == 2
    assert {p.name: (p.score, p.out_of) for p in report.people} == {"Fen": (2, 2), "Bo": (1, 2), "Ines": (1, 2)}
    assert (report.mean_share, report.median_score) == (pytest.approx(4 / 6), 1)
    assert report.questions[1].note == FOR_NOTHING
    room.do(c.End())
    assert [(own.right, own.scored) for own in (mine(room.state, Places(room.state), seat) for seat in (1, 2))] == [
        (2, 2),
        (1, 2),
    ]


def test_a_late_joiner_is_asked_what_comes_and_who_never_answered_is_in_no_mean_f3():
    room = led(choice("B"), choice("B"), choice("B"), rows=["BA-", "BA-+", "BA-B"])
    report = report_of(results_of(room.state))
    people = {p.name: (p.score, p.out_of, p.share) for p in report.people}
    assert people == {"Fen": (3, 3, 1), "Bo": (0, 3, 0), "Ines": (0, 3, None), "Late": (1, 2, 0.5)}
    assert (report.mean_share, report.never_answered) == (0.5, 1)
    everything = report_of(results_of(room.state), "everything")
    assert {p.name: (p.out_of, p.share) for p in everything.people}["Late"] == (3, pytest.approx(1 / 3))
    assert everything.mean_share == pytest.approx((1 + 0 + 0 + 1 / 3) / 4)
    room.do(c.End())
    assert (mine(room.state, Places(room.state), 4).right, mine(room.state, Places(room.state), 4).scored) == (1, 2)
    lines = [row[0] for row in grid_table(report).rows]
    assert lines[-1] == report.counted.sentence != everything.counted.sentence


def test_a_question_opened_again_is_asked_of_who_came_meanwhile_f3():
    room = led(choice("B", id="q1"), rows=["BA-"])
    room.join("Late")
    assert report_of(results_of(room.state)).people[3].out_of == 0
    room.do(c.Reopen(room.state.step))
    assert {p.name: p.out_of for p in report_of(results_of(room.state)).people}["Late"] == 1


def test_the_middle_score_puts_a_late_joiner_in_proportion_f4():
    room = led(choice("B"), choice("B"), rows=["AAA+", "BBBB"])
    report = report_of(results_of(room.state))
    assert report.median_score == 1
    assert report.histogram == (0, 4, 0) or {p.name: p.out_of for p in report.people}["Late"] == 2
    room = led(choice("B"), choice("B"), rows=["AAA", "AAA"])
    room.join("Late")
    assert report_of(results_of(room.state)).people[-1].share is None


def test_alpha_is_of_those_who_were_asked_everything_f5():
    early = led(choice("B"), choice("B"), rows=["BBA", "BAA"])
    late = led(choice("B"), choice("B"), rows=["BBA", "BAA"])
    late.join("Late")
    late.do(c.Reopen(late.state.step))
    late.answer(4, "B")
    assert report_of(results_of(late.state)).reliability == report_of(results_of(early.state)).reliability is not None


def test_a_letter_without_a_key_is_not_scored_until_it_is_set_after_the_end_f2():
    letter = LetterItem(id="t1", prompt="Which line?")
    room = asked(letter, LetterAnswer(letter="A"), LetterAnswer(letter="B"))
    room.do(c.End())
    question = report_of(results_of(room.state)).questions[0]
    assert (question.scored, question.note, question.share, len(question.keys)) == (False, NO_KEY, None, 4)
    assert (report_of(results_of(room.state)).top_score, report_of(results_of(room.state)).mean_share) == (0, None)
    room.do(c.SetKey("t1", LetterAnswer(letter="A")))
    question = report_of(results_of(room.state)).questions[0]
    assert (question.scored, question.note, question.share) == (True, None, 0.5)
    assert report_of(results_of(room.state)).top_score == 1


def test_the_early_bonus_belongs_to_the_answer_f7():
    """Time that is added, and a second opening, give nobody a bonus that the first opening would not have given."""
    room = a_session(a_set(choice(id="q1", time_limit=20)), "Fen", "Bo", "Ines", game=EARLY)
    room.advance()
    room.now += 10_000
    room.answer(1, "B")
    room.do(c.AddTime(60))
    room.now += 20_000
    room.answer(2, "B")
    room.do(c.Close(room.state.step))
    room.do(c.Reopen(room.state.step))
    room.answer(3, "B")
    assert [response.bonus for response in room.state.responses("q1")] == [10, 0, 0]


def test_what_was_forgiven_is_shown_on_the_phone_in_the_report_and_in_the_raw_sheet_t15():
    item = KNOT.model_copy(update={"strictness": Strictness(typos=False)})
    room = asked(item, *typed("bowlinne", "Bowline", "bowline", "hitch"))
    assert mine(room.state, Places(room.state), 1).forgiven == ()
    room.do(c.Reveal(room.state.step))
    told = [mine(room.state, Places(room.state), seat).forgiven for seat in (1, 2, 3, 4)]
    assert [[remark.sentence for remark in remarks] for remarks in told] == [
        ["bowlinne → bowline, a slip forgiven"],
        ["Bowline → bowline, capitals forgiven"],
        [],
        [],
    ]
    assert [(f.sentence, f.count) for f in report_of(results_of(room.state)).questions[0].forgiven] == [
        ("Bowline → bowline, capitals forgiven", 1),
        ("bowlinne → bowline, a slip forgiven", 1),
    ]
    column = COLUMNS.index("Forgiven")
    assert [row[column] for row in raw_table(results_of(room.state)).rows] == [
        *(r[0].sentence for r in told[:2]),
        None,
        None,
    ]


@pytest.mark.parametrize("language", ["en", "de"])
def test_a_number_in_a_report_is_explained_as_it_was_marked_t15(language):
    item = NumericEntryItem(id="t1", prompt="?", value="1/3", language=language)
    room = asked(item, *(NumericEntryAnswer(text=text) for text in ("1/3", "1.234e0", "0,5")))
    counted = report_of(results_of(room.state)).questions[0].counts
    verdicts = [verdict_on(room.state.item("t1"), row.given, row.part) for row in counted]
    assert [verdict.counts for verdict in verdicts] == [row.right for row in counted] == [True, False, False]
    assert [verdict.can_count for verdict in verdicts] == [False, False, False]
    assert "Read as 1.234," in verdicts[2].sentence


def test_marks_stored_shown_counted_and_exported_are_the_same_k5():
    room = asked(KNOT, *typed("bowline", "Bowline.", "bowlin", "hitch", "bowline"))
    room.do(c.Reveal(room.state.step))
    report = report_of(results_of(room.state))
    stored = marks(room)
    assert [mine(room.state, Places(room.state), seat).mark for seat in (1, 2, 3, 4, 5)] == stored
    assert [row[COLUMNS.index("Mark")] for row in raw_table(results_of(room.state)).rows] == stored
    assert sum(count.count for count in report.questions[0].counts if count.right) == sum(stored)
    told = student_view(room.state).shown.tally
    assert sum(row.count for row in told.texts if row.text in told.right) == sum(stored)
    assert report.questions[0].share == pytest.approx(sum(stored) / 5)


def test_an_opinion_is_in_no_score_k2():
    room = led(opinion(id="o1"), choice("B"), rows=["ABC", "BBA"])
    assert report_of(results_of(room.state)).top_score == 1


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
    room.do(c.GiveMark("q1", 1, 0.5))
    room.do(c.GiveMark("q1", 2, 1.0))
    assert scores(room) == [0.5, 1]
    assert report_of(results_of(room.state)).questions[0].by_hand == 2
    room.do(c.GiveFullMarks("q1"))
    assert scores(room) == [0.5, 1]
    for seat in (1, 2):
        room.do(c.GiveMark("q1", seat, None))
    room.do(c.TakeBack("q1"))
    assert scores(room) == [0, 0]


def test_a_mark_by_hand_stays_through_a_new_key_and_an_answer_after_it_r5():
    room = a_session(a_set(choice("B", id="q1")), "Fen", "Bo")
    room.advance()
    room.answer(1, "C")
    room.do(c.Close(room.state.step))
    for seat in (1, 2):
        room.do(c.GiveMark("q1", seat, 0.25))
    room.do(c.Reopen(room.state.step))
    room.answer(2, "B")
    room.do(c.Close(room.state.step))
    room.do(c.SetKey("q1", ChoiceAnswer(chosen=("C",))))
    assert marks(room, "q1") == [0.25, 0.25]


def test_nought_is_a_mark_by_hand_too_r5():
    room = ended("B", None)
    room.do(c.GiveFullMarks("q1"))
    for seat in (1, 2):
        room.do(c.GiveMark("q1", seat, 0.0))
    assert scores(room) == [0, 0]
    assert marks(room, "q1") == [0]


def test_an_opinion_takes_no_marks():
    room = a_session(a_set(opinion(id="q1")), "Fen")
    room.advance(2)
    for command in (c.GiveFullMarks("q1"), c.GiveMark("q1", 1, 1.0)):
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
