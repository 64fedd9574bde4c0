from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.analysis.measures import (
    MOST_BARS,
    alpha_range,
    cronbach_alpha,
    discriminations,
    mean,
    measurement_error,
    score_bars,
    share_range,
    spread,
    thirds_of,
)
from lantern.core.analysis.reliability import reliability_of

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


FIVE = [[1, 1, 1, 0], [1, 1, 0, 0], [1, 0, 1, 1], [0, 1, 0, 0], [0, 0, 0, 0]]
"""Five students, four questions; sums 3, 2, 3, 1, 0."""


def test_alpha_of_right_and_wrong_is_kr20_worked_by_hand_j9():
    # p = .6, .6, .4, .2; sum of pq = .24 + .24 + .24 + .16 = .88; variance of 3, 2, 3, 1, 0 is 1.36.
    kr20 = 4 / 3 * (1 - 0.88 / 1.36)
    assert cronbach_alpha(FIVE) == pytest.approx(kr20)
    found = reliability_of(FIVE)
    assert (found.name, found.alpha) == ("kr20", pytest.approx(kr20))
    assert reliability_of([[0.5, *row[1:]] for row in FIVE]).name == "alpha"


def test_the_error_of_measurement_is_worked_by_hand_j11():
    alpha = 4 / 3 * (1 - 0.88 / 1.36)
    assert measurement_error(FIVE) == pytest.approx(1.36**0.5 * (1 - alpha) ** 0.5)
    assert measurement_error([[1, 0], [0, 1]]) is None


def test_alpha_may_lie_in_a_range_that_is_worked_by_hand_j10():
    # alpha .8 of 50 students and 10 questions: ln .2 = -1.6094, half width 1.96 * sqrt(20 / (9 * 48)) = .4217.
    low, high = alpha_range(0.8, 50, 10)
    assert (low, high) == (pytest.approx(0.6951, abs=1e-4), pytest.approx(0.8688, abs=1e-4))
    assert alpha_range(1, 50, 10) is alpha_range(0.8, 2, 10) is None


@pytest.mark.parametrize(("students", "said"), [(5, "few_were_asked_all"), (12, "reliability_is_vague"), (400, None)])
def test_where_figures_say_little_that_is_said_j12(students, said):
    rng = Random("small")
    skills = [0.3 + 0.5 * rng.random() for _ in range(students)]
    marks = [[float(rng.random() < skill) for _ in range(12)] for skill in skills]
    warning = reliability_of(marks).warning
    assert (warning.code if warning else None) == said


def test_discrimination_is_pearsons_r_with_the_sum_of_the_others_j6():
    def by_hand(at):
        item = [row[at] for row in FIVE]
        rest = [sum(row) - row[at] for row in FIVE]
        a, b = sum(item) / 5, sum(rest) / 5
        above = sum((x - a) * (y - b) for x, y in zip(item, rest, strict=True))
        return above / (sum((x - a) ** 2 for x in item) * sum((y - b) ** 2 for y in rest)) ** 0.5

    assert discriminations(FIVE) == [pytest.approx(by_hand(at)) for at in range(4)]
    # the first question: 1, 1, 1, 0, 0 with 2, 1, 2, 1, 0: covariance .28, variances .24 and .56
    assert discriminations(FIVE)[0] == pytest.approx(0.28 / (0.24 * 0.56) ** 0.5, abs=1e-4)
    assert discriminations([[1, 0, 1], [1, 1, 0]])[0] is None  # everybody was right
    assert discriminations([]) == []


@pytest.mark.parametrize(
    ("scores", "thirds"),
    [
        ([1, 2, 3, 4, 5, 6], [0, 0, 1, 1, 2, 2]),
        ([5, 5, 5, 5], [1, 1, 1, 1]),
        ([9, 1, 5], [2, 0, 1]),
        ([3, 3, 3, 3, 3, 7], [1, 1, 1, 1, 1, 2]),
        ([4], [1]),
        ([], []),
    ],
)
def test_equal_scores_lie_in_the_same_third_j7(scores, thirds):
    assert thirds_of(scores) == thirds


@given(st.lists(st.integers(0, 8)))
def test_no_lower_score_lies_in_a_higher_third_j7(scores):
    rows = sorted(zip(scores, thirds_of(scores), strict=True))
    assert [third for _, third in rows] == sorted(third for _, third in rows)


def test_a_share_may_lie_in_a_range_that_is_worked_by_hand_j15():
    # Wilson's own form for 7 of 10, z = 1.96: (.7 + .19207 ± 1.96 * sqrt(.021 + .0096)) / 1.38415
    assert share_range(0.7, 10) == (pytest.approx(0.3968, abs=1e-4), pytest.approx(0.8922, abs=1e-4))
    assert share_range(0.0, 0) is None


@given(st.integers(0, 200).flatmap(lambda n: st.tuples(st.integers(0, n), st.just(max(1, n)))))
def test_a_share_lies_within_its_own_range_j15(drawn):
    right, count = drawn
    low, high = share_range(right / count, count)
    assert -1e-12 <= low <= right / count + 1e-12
    assert right / count - 1e-12 <= high <= 1 + 1e-12


def test_the_spread_is_of_the_class_itself_j1():
    assert spread([3, 2, 3, 1, 0]) == pytest.approx(1.36**0.5)
    assert spread([3]) is None
