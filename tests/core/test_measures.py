from hypothesis import given
from hypothesis import strategies as st

from lantern.core.analysis.measures import cronbach_alpha, histogram, mean

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


@given(st.lists(st.floats(0, 10)), st.integers(1, 12))
def test_a_histogram_counts_everyone_once(values, bins):
    assert sum(histogram(values, 10, bins)) == len(values)


def test_a_mean_of_nothing_is_nothing():
    assert mean([]) is None
    assert mean([0.0, 1.0]) == 0.5
