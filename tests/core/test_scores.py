"""What scores are out of (docs/kinds.md, F1 to F7), and that marks are the same wherever they are read (K, T15)."""

import pytest

from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.question_report import FOR_NOTHING, NO_KEY
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import RAW_HEADINGS, grid_table, raw_table
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.questions.kinds.numeric_entry import NumericEntryAnswer, NumericEntryItem
from lantern.core.questions.kinds.text_entry import TextEntryAnswer, TextEntryItem
from lantern.core.questions.marking.spelling import Strictness
from lantern.core.questions.would_count import verdict_on
from lantern.core.session import commands as c
from lantern.core.session.views import Places, mine, student_view
from tests.builders import EARLY, a_session, a_set, choice, opinion
from tests.builders.session import asked, marks

COLUMNS = [heading.sentence for heading in RAW_HEADINGS]


def typed(*texts):
    return [TextEntryAnswer(text=text) for text in texts]


KNOT = TextEntryItem(id="t1", prompt="Which knot?", accepts=("bowline",), language="en")


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
    assert lines[-1] == report.counted != everything.counted


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
    found = [report_of(results_of(room.state)).reliability.alpha for room in (late, early)]
    assert found[0] == found[1] is not None


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
    assert [[remark.why.sentence for remark in remarks] for remarks in told] == [
        ["bowlinne → bowline, a slip forgiven"],
        ["Bowline → bowline, capitals forgiven"],
        [],
        [],
    ]
    assert [[remark.forgave for remark in remarks] for remarks in told[:2]] == [[("typos",)], [("capitals",)]]
    assert [(f.what.sentence, f.count) for f in report_of(results_of(room.state)).questions[0].forgiven] == [
        ("Bowline → bowline, capitals forgiven", 1),
        ("bowlinne → bowline, a slip forgiven", 1),
    ]
    column = COLUMNS.index("Forgiven")
    assert [row[column] for row in raw_table(results_of(room.state)).rows] == [
        *(r[0].why for r in told[:2]),
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
    assert "Read as 1.234," in verdicts[2].why.sentence


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
