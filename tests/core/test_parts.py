from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions.parts import Line, cut, quartiles_of, share_right, shuffled


@given(st.lists(st.uuids().map(lambda u: u.hex), unique=True, max_size=12), st.text(max_size=8), st.randoms())
def test_a_shuffle_depends_on_ids_and_its_secret_alone(ids, secret, rng):
    lines = [Line(id=one, text=one) for one in ids]
    again = list(lines)
    rng.shuffle(again)
    assert shuffled(lines, "q1", secret) == shuffled(again, "q1", secret)


@given(st.lists(st.floats(-1e6, 1e6), min_size=2, max_size=50))
def test_quartiles_stand_in_order_inside_the_values(values):
    low, middle, high = quartiles_of(values)
    assert min(values) - 1e-6 <= low <= middle + 1e-6 <= high + 2e-6 <= max(values) + 3e-6


def test_shares_and_short_texts():
    assert [share_right(2, 4, False), share_right(2, 4, True), share_right(4, 4, True), share_right(0, 0, True)] == [
        0.5,
        0,
        1,
        0,
    ]
    assert [cut("  a  b "), cut("x" * 13), cut("   ")] == ["a b", "x" * 11 + "…", "–"]
