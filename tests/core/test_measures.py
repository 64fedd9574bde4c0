import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.analysis.measures import MOST_BARS, cronbach_alpha, mean, score_bars

tables = st.integers(2, 6).flatmap(
    lambda items: st.lists(
        st.lists(st.sampled_from([0, 0.5, 1]), min_size=items, max_size=items), min_size=2, max_size=20
    )
)


@given(tables)
def test_alpha_is_never_above_one(marks):
    alpha = cronbach_alpha(marks)
    assert alpha is None or alpha <= 1 + 1e-9


@given(tables)
def test_alpha_does_not_mind_the_order_of_students_or_questions(marks):
    turned = [list(reversed(row)) for row in reversed(marks)]
    before, after = cronbach_alpha(marks), cronbach_alpha(turned)
    assert (before is None) == (after is None)
    assert before is None or abs(before - after) < 1e-9


def test_alpha_is_one_where_every_question_tells_the_same():
    assert cronbach_alpha([[1, 1, 1], [0, 0, 0], [1, 1, 1]]) == 1


@pytest.mark.parametrize("mark", [0.1, 1 / 3, 2 / 3, 0.7])
def test_alpha_cannot_be_said_where_sums_do_not_vary_f5(mark):
    """Sums of floats that are equal on paper differ by a hair: alpha was once -4.7e31."""
    marks = [[mark, 1 - mark, 0.3], [1 - mark, 0.3, mark], [0.3, mark, 1 - mark]]
    assert cronbach_alpha(marks) is None


@given(st.integers(1, 60).flatmap(lambda top: st.tuples(st.just(top), st.lists(st.floats(0, top)))))
def test_the_picture_of_scores_counts_everyone_once_f6(drawn):
    top, scores = drawn
    bars = score_bars(scores, top)
    assert sum(bars) == len(scores)
    assert len(bars) == (top + 1 if top <= 20 else MOST_BARS)


def test_there_is_a_bar_for_each_score_f6():
    assert score_bars([0, 1, 2, 3, 3], top=3) == [1, 1, 1, 2]
    assert score_bars([0.5, 2.99, 3.9999999999, 4], top=4) == [1, 0, 1, 0, 2]
    assert score_bars([19, 20, 20], top=20)[19:] == [1, 2]


def test_a_mean_of_nothing_is_nothing():
    assert mean([]) is None
    assert mean([0.0, 1.0]) == 0.5
