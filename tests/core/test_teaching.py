"""What to teach again: the order, and a sentence that holds for the figures it is of."""

from random import Random

import pytest

from lantern.core.analysis.narrowed import Only, narrowed, parts_of
from lantern.core.analysis.one_question import question_page
from lantern.core.analysis.one_student import student_report
from lantern.core.analysis.report import panes_by, report_of
from lantern.core.analysis.results import Absent
from lantern.core.analysis.teaching import teach_again
from lantern.core.questions.kinds.text_entry import TextEntryItem
from lantern.core.questions.marking.spelling import Strictness
from tests.builders import choice, opinion
from tests.builders.results import a_table, asked_before

NOTHING_FORGIVEN = Strictness(capitals=True, accents=True, articles=True, punctuation=True, typos=True)


def advice_of(results, number=1):
    report = report_of(results)
    item = next(q.item for q in report.questions if q.number == number)
    return next(one.advice for one in teach_again(report).questions if one.item == item)


def test_what_was_hardest_comes_first_and_opinions_are_told_apart_j13():
    first, second, third, asked = choice("B"), choice("B"), choice("B"), opinion()
    table = a_table((first, "BBBA"), (second, "BAAA"), (third, "BBBA"), (asked, "ABCD"))
    teach = teach_again(report_of(table))
    assert [one.item for one in teach.questions] == [second.id, first.id, third.id]
    assert teach.untold == (asked.id,)
    assert teach.topics == ()


def test_topics_come_first_where_most_questions_have_one_j13():
    tides, knots = choice("B", tags=("Tides",)), choice("B", tags=("Knots", "Tides"))
    plain = choice("B")
    teach = teach_again(report_of(a_table((tides, "BAAA"), (knots, "BBA-"), (plain, "BBBB"))))
    assert [(t.topic, t.marks) for t in teach.topics] == [("Tides", 7), ("Knots", 3)]
    assert teach.topics[0].share == pytest.approx(3 / 7)  # one of four and two of three
    assert teach.topics[0].questions == (tides.id, knots.id)
    assert teach_again(report_of(a_table((tides, "B"), (plain, "B")))).topics == ()


@pytest.mark.parametrize(
    ("answers", "code"),
    [
        ("AAAA", "advice_too_few"),
        ("BBBBBBBBBA", "advice_known"),
        ("BBBBBBBBBB--", "advice_known"),
        ("BBBBB-----", "advice_omitted"),
        ("AAAABCDBBB", "advice_one_mistake"),
        ("AACCDDBBB", "advice_from_beginning"),
        ("AACCDDBBBBBBB", "advice_one_by_one"),
    ],
)
def test_the_first_rule_that_holds_gives_the_advice_j14(answers, code):
    """Without any mark of its own in the rest, so that nothing is said of discrimination."""
    others = "B" * len(answers)
    assert advice_of(a_table((choice("B"), answers), (choice("B"), others))).code == code


def test_advice_names_its_figures_j14():
    advice = advice_of(a_table((choice("B"), "AAAABCDBBB"), (choice("B"), "B" * 10)))
    assert (advice.params["count"], advice.params["wrong"], str(advice.params["answer"])) == (4, 6, "A “Knot A”")
    assert advice.sentence == "4 of the 6 who were wrong answered A “Knot A”: take up this one mistake."


def test_where_only_one_wrong_answer_could_be_given_it_is_no_mistake_of_its_own_j14():
    table = a_table((choice("B", options=2), "AAAABBBBBB"), (choice("B"), "B" * 10))
    assert advice_of(table).code == "advice_one_by_one"


def test_a_question_that_the_best_get_wrong_is_looked_at_first_j14():
    good = "B" * 10 + "A" * 10
    turned = "A" * 10 + "B" * 10
    table = a_table((choice("B"), turned), (choice("B"), good), (choice("B"), good))
    assert advice_of(table).code == "advice_look_at_key"
    assert advice_of(table, 2).code != "advice_look_at_key"


def test_a_second_vote_that_rose_is_told_j14():
    table = asked_before(a_table((choice("B"), "BBBBBBBAAA"), (choice("B"), "B" * 10)), 1, "BBBAAAAAAA")
    advice = advice_of(table)
    assert (advice.code, advice.params) == ("advice_talk_helped", {"before": 30, "after": 70})


def test_near_misses_are_told_from_what_is_not_known_j8_j14():
    item = TextEntryItem(id="t1", prompt="The knot?", accepts=("bowline",), strictness=NOTHING_FORGIVEN)
    given = ["bowlin", "bowlin", "Bowline", "reef knot", "bowline", "bowline"]
    table = a_table((item, given), (choice("B"), "B" * 6))
    (question, _) = report_of(table).questions
    assert [(miss.text, miss.count) for miss in question.near] == [("bowlin", 2), ("Bowline", 1)]
    assert advice_of(table).params == {"near": 3, "wrong": 4}


def test_only_a_topic_that_is_surely_below_the_rest_is_said_to_be_j15():
    weak, strong = choice("B", tags=("Tides",)), [choice("B", tags=("Knots",)) for _ in range(3)]
    many = a_table((weak, "B" * 10 + "A" * 30), *((item, "B" * 30 + "A" * 10) for item in strong))
    few = a_table((weak, "BABBBB"), *((item, "BBBBBB") for item in strong))
    twins = a_table(
        *((choice("B", tags=("Tides",)), "B" * 5 + "A" * 5) for _ in range(9)), (choice("B"), "B" * 7 + "AAA")
    )
    assert teach_again(report_of(twins)).topics[0].advice.code == "topic_begin_with"  # ten students, not ninety
    said = {t.topic: t.advice.code for t in teach_again(report_of(many)).topics}
    assert said == {"Tides": "topic_is_weaker", "Knots": "topic_begin_with"}
    assert {t.advice.code for t in teach_again(report_of(few)).topics} == {"topic_begin_with", "advice_known"}


def test_every_question_that_can_be_told_of_has_a_sentence_j14():
    rng = Random("advice")
    for _ in range(60):
        count = rng.randrange(1, 40)
        columns = [(choice("B"), "".join(rng.choice("ABCD-B") for _ in range(count))) for _ in range(4)]
        report = report_of(a_table(*columns))
        teach = teach_again(report)
        assert len(teach.questions) + len(teach.untold) == 4
        assert all(one.advice.sentence for one in teach.questions)


# --- a question, a student, a part ------------------------------------------------------------------


def test_difficulty_and_who_omitted_are_told_apart_j5():
    (question,) = report_of(a_table((choice("B"), "BBA--"))).questions
    assert (question.answered, question.omitted, question.wrong) == (3, 2, 1)
    assert question.share == pytest.approx(2 / 3)


def test_it_is_told_which_third_gave_which_answer_j7():
    item, rest = choice("B", options=3), [choice("B"), choice("B"), choice("B")]
    ladder = ("BBBAAA", "BBBBBA", "BBBBAA")
    table = a_table((item, "BCCAA-"), *zip(rest, ladder, strict=True))
    # scores 4, 3, 3, 2, 1, 0: the middle of the two who are equal falls where the highest third begins
    thirds = question_page(table, report_of(table), item.id).thirds
    lines = {line.label: (line.counts, line.right) for line in thirds.lines}
    assert thirds.sizes == (2, 1, 3)
    assert lines == {"A": ((1, 1, 0), False), "B": ((0, 0, 1), True), "C": ((0, 0, 2), False)}
    assert thirds.omitted == (1, 0, 0)
    assert sum(sum(counts) for counts, _ in lines.values()) + 1 == 6


def test_an_opinion_has_no_thirds_and_its_neighbours_are_known():
    asked, other = opinion(), choice("B")
    table = a_table((asked, "ABC"), (other, "BBA"))
    page = question_page(table, report_of(table), asked.id)
    assert (page.thirds, page.key, page.before, page.after) == (None, "", None, other.id)
    assert question_page(table, report_of(table), "nowhere") is None


def test_who_gave_the_common_wrong_answer_is_known():
    (question,) = report_of(a_table((choice("B"), "BCCAC-"))).questions
    assert (question.common_wrong.count, question.common_wrong.by) == (3, (2, 3, 5))


def test_a_students_answers_stand_beside_what_is_right():
    table = a_table((choice("B"), "BA-"), (choice("AC"), "ACB"), names="CAB")
    report = student_report(table, report_of(table), 2)
    assert (report.line.name, report.before, report.after) == ("A", None, 3)
    assert [(a.answer, a.key, a.mark, a.answered) for a in report.answers] == [
        ("Knot A", "Knot B", 0, True),
        ("Knot C", "Knot A; Knot C", 0.0, True),
    ]
    assert (report.took, report.of) == (8000, 3)
    third = student_report(table, report_of(table), 3)
    assert next((a.answer, a.answered, a.took) for a in third.answers) == ("", False, None)
    assert student_report(table, report_of(table), 9) is None


def test_a_part_has_the_figures_of_its_own_people_and_questions_j3():
    knots, tides = choice("B", tags=("Knots",)), choice("B", tags=("Tides",))
    table = a_table((knots, "BBAA"), (tides, "BABA"), of_class=["8C", "8C", "8D", ""], group=["Port", "", "Port", ""])
    assert parts_of(table).model_dump() == {
        "classes": ("8C", "8D"),
        "groups": ("Port",),
        "topics": ("Knots", "Tides"),
    }
    port = report_of(narrowed(table, Only(group="Port")))
    assert (port.took_part, port.mean_share, port.questions[0].share) == (2, 0.75, 0.5)
    assert port.questions[0].answered + port.questions[0].omitted == 2
    knots_alone = report_of(narrowed(table, Only(topic="Knots")))
    assert ([q.item for q in knots_alone.questions], knots_alone.mean_share) == ([knots.id], 0.5)
    assert narrowed(table, Only()) is table


def test_who_is_absent_is_told_by_class_j2():
    table = a_table((choice("B"), "BBA"), of_class=["8C", "8C", ""])
    absent = (Absent("Dagny Holt", "8C", "Port"), Absent("Alva Renner", "8C"))
    report = report_of(narrowed(type(table)(table.title, table.people, table.asks, 0, absent), Only()))
    assert [(one.of_class, one.took_part, one.absent) for one in report.attendance] == [
        ("8C", 2, ("Alva Renner", "Dagny Holt")),
        ("", 1, ()),
    ]


def test_the_grid_can_be_of_answers_or_of_seconds_j4():
    table = a_table((choice("B"), "B-"), (opinion(), "CA"))
    assert panes_by(table, "answers") == {1: ("B", "C"), 2: (None, "A")}
    assert panes_by(table, "seconds") == {1: (4.0, 4.0), 2: (None, 4.0)}
    assert panes_by(table, "marks") == {person.seat: person.panes for person in report_of(table).people}
    assert report_of(table).median_took == 4000
