from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import BadAnswer
from lantern.core.questions.kinds.choice import KIND, ChoiceAnswer
from tests.builders import choice, opinion

LETTERS = "ABCDEF"
letters = st.sets(st.sampled_from(LETTERS), min_size=1)


def answer(chosen: str | set[str]) -> ChoiceAnswer:
    return ChoiceAnswer(chosen=tuple(sorted(chosen)))


def test_one_right_option_is_right_or_wrong_m1():
    item = choice("B")
    assert KIND.score(item, answer("B")) == 1
    assert KIND.score(item, answer("C")) == 0


def test_all_or_nothing_wants_exactly_the_right_ones_m2():
    item = choice("AC")
    assert KIND.score(item, answer("AC")) == 1
    assert KIND.score(item, answer("A")) == 0
    assert KIND.score(item, answer("ABC")) == 0


@pytest.mark.parametrize(
    ("chosen", "mark"), [("A", 1 / 3), ("ACD", 1), ("AB", 0), ("ACB", 1 / 3), ("BE", 0), ("ABCDEF", 0), ("ACDB", 2 / 3)]
)
def test_right_minus_wrong_is_a_share_of_the_right_ones_m3(chosen, mark):
    item = choice("ACD", options=6, marking="right_minus_wrong")
    assert KIND.score(item, answer(chosen)) == pytest.approx(mark)


@given(right=letters, chosen=letters, marking=st.sampled_from(["all_or_nothing", "right_minus_wrong"]))
def test_one_more_right_option_never_scores_less_k3(right, chosen, marking):
    item = choice("".join(sorted(right)), options=6, form="several", marking=marking)
    before = KIND.score(item, answer(chosen))
    for letter in right - chosen:
        assert KIND.score(item, answer(chosen | {letter})) >= before


@given(right=letters, chosen=letters, seed=st.integers())
def test_the_order_of_options_never_matters_k4(right, chosen, seed):
    item = choice("".join(sorted(right)), options=6, form="several", marking="right_minus_wrong")
    mixed = KIND.mixed(item, Random(seed))
    assert KIND.score(mixed, answer(chosen)) == KIND.score(item, answer(chosen))
    assert sorted(o.id for o in mixed.options) == sorted(o.id for o in item.options)


def test_true_and_false_stay_in_their_order():
    item = choice("A", options=2, form="true_false")
    assert all(KIND.mixed(item, Random(seed)) == item for seed in range(20))


@pytest.mark.parametrize("chosen", ["", "AB", "Z", "AA"])
def test_an_answer_that_does_not_fit_is_refused(chosen):
    with pytest.raises(BadAnswer):
        KIND.accept(choice("B"), answer_raw(chosen))


def answer_raw(chosen: str) -> ChoiceAnswer:
    return ChoiceAnswer(chosen=tuple(chosen))


def test_several_may_be_chosen_where_several_can_be_right():
    KIND.accept(choice("AB"), answer("ACD"))


def test_an_opinion_has_neither_key_nor_mark_k2():
    assert KIND.key(opinion()) is None
    assert KIND.score(opinion(), answer("A")) is None


def test_the_tally_counts_each_option_and_each_student():
    tally = KIND.tally(choice("AB"), [answer("A"), answer("AC"), answer("C")])
    assert tally.n == 3
    assert {row.id: row.count for row in tally.counts} == {"A": 2, "B": 0, "C": 2, "D": 0}


@pytest.mark.parametrize(
    ("item", "sentence"),
    [
        (choice("B", prompt=" "), "Write the question."),
        (choice("", options=3), "Mark the right answer, or make it an opinion."),
        (choice("A", options=1), "Give at least two options."),
        (choice("AB", form="one"), "Only one option can be right here. Choose one, or allow several."),
    ],
)
def test_what_is_wrong_is_said(item, sentence):
    assert sentence in [problem.sentence for problem in KIND.check(item) if problem.severity == "wrong"]


def test_an_empty_and_a_repeated_option_are_told_apart():
    item = choice("A", options=3)
    texts = ("Bowline", "", "bowline")
    item = item.model_copy(
        update={"options": tuple(o.model_copy(update={"text": t}) for o, t in zip(item.options, texts, strict=True))}
    )
    found = {(p.severity.value, p.field) for p in KIND.check(item)}
    assert found == {("wrong", "options.1"), ("unwise", "options.2")}
