import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import BadAnswer
from lantern.core.questions.kinds.numeric_entry import KIND, NumericEntryAnswer, NumericEntryItem
from lantern.core.questions.numbers import readings


@pytest.mark.parametrize(
    ("text", "expected"),
    [
        ("12", [12]),
        ("-3", [-3]),
        ("−3", [-3]),
        ("+3.5", [3.5]),
        ("3,5", [3.5]),
        (".5", [0.5]),
        ("0,25", [0.25]),
        ("1 200", [1200]),
        ("1\u202f200,5", [1200.5]),
        ("1'200.50", [1200.5]),
        ("1.234.567", [1234567]),
        ("1,234,567.8", [1234567.8]),
        ("1.234.567,8", [1234567.8]),
        ("1,234", [1.234, 1234]),
        ("1.234", [1.234, 1234]),
        ("12,3456", [12.3456]),
        ("3/4", [0.75]),
        ("1 1/2", [1.5]),
        ("-1 1/2", [-1.5]),
        ("½", [0.5]),
        ("1½", [1.5]),
        ("2e3", [2000]),
        ("2×10^3", [2000]),
        ("1,5 * 10^-2", [0.015]),
        ("12 kn", [12]),
        ("12kn", [12]),
        ("12 KN", [12]),
        ("kn", []),
        ("", []),
        ("twelve", []),
        ("1/0", []),
        ("1,2,3", []),
        ("1.2.3,4,5", []),
        ("--5", []),
        ("1e999", []),
        ("nan", []),
        ("inf", []),
        ("0x10", []),
        ("٣", [3]),
    ],
)
def test_numbers_are_read_as_people_type_them(text, expected):
    assert list(readings(text, unit="kn")) == pytest.approx(expected)


@given(st.integers(-(10**12), 10**12))
def test_a_whole_number_is_read_back_in_every_dress(number):
    for text in (f"{number}", f"{number:,}".replace(",", " "), f" {number} kn", f"{number:,}".replace(",", "'")):
        assert readings(text, "kn")[0] == number


@given(st.decimals(min_value=-1000, max_value=1000, places=2))
def test_a_decimal_is_read_back_with_comma_and_point(number):
    for text in (str(number), str(number).replace(".", ",")):
        assert readings(text)[0] == pytest.approx(float(number))


@given(st.text(max_size=80), st.text(max_size=10))
def test_no_text_raises(text, unit):
    assert all(isinstance(value, float | int) for value in readings(text, unit))


def item(**more):
    return NumericEntryItem(id="n", prompt="How many?", **more)


def mark(item, text):
    return KIND.score(item, NumericEntryAnswer(text=text))


def test_exact_means_the_number_however_it_is_written():
    assert [mark(item(value=1234), text) for text in ("1,234", "1.234", "1234", "1 234", "1.2340e3", "1235")] == [
        1,
        1,
        1,
        1,
        1,
        0,
    ]


def test_an_absolute_tolerance_includes_its_ends():
    scale = item(accepts="absolute", value=0.9, tolerance=0.1)
    assert [mark(scale, text) for text in ("0.8", "1,0", "0.79", "1.01")] == [1, 1, 0, 0]


def test_a_percentage_is_of_the_right_number():
    scale = item(accepts="percent", value=-200, tolerance=5)
    assert [mark(scale, text) for text in ("-190", "-210", "-189", "190")] == [1, 1, 0, 0]


def test_a_range_includes_its_ends():
    scale = item(accepts="range", low=22, high=27)
    assert [mark(scale, text) for text in ("22", "27", "21.9", "27.1")] == [1, 1, 0, 0]


@given(value=st.floats(-1e6, 1e6), tolerance=st.floats(0, 1e3), off=st.floats(0, 2e3))
def test_what_is_nearer_never_scores_less(value, tolerance, off):
    scale = item(accepts="absolute", value=value, tolerance=tolerance)
    near, far = (mark(scale, repr(value + part * off)) for part in (0.5, 1.0))
    assert near >= far


def test_what_is_no_number_is_refused_with_an_example():
    with pytest.raises(BadAnswer, match="such as 12"):
        KIND.accept(item(value=1), NumericEntryAnswer(text="a dozen"))


def test_the_tally_has_values_in_order_with_quartiles():
    answers = [NumericEntryAnswer(text=text) for text in ("3", "1", "2", "2,0", "10")]
    tally = KIND.tally(item(value=2), answers)
    assert [(row.value, row.count) for row in tally.values] == [(1, 1), (2, 2), (3, 1), (10, 1)]
    assert tally.quartiles == (2, 2, 3)


def test_an_ambiguous_answer_is_counted_as_what_was_right():
    tally = KIND.tally(item(value=1234), [NumericEntryAnswer(text="1,234")])
    assert tally.values[0].value == 1234


@pytest.mark.parametrize(
    ("fields", "sentence"),
    [
        ({}, "Give the right number, or make it an opinion."),
        ({"accepts": "range", "low": 1}, "Give both ends of the accepted range."),
        ({"accepts": "range", "low": 3, "high": 2}, "The range ends before it begins."),
    ],
)
def test_what_is_missing_is_said(fields, sentence):
    assert sentence in [problem.sentence for problem in KIND.check(item(**fields))]


def test_an_opinion_needs_no_number():
    assert KIND.check(item(scored=False)) == []
    assert KIND.key(item(scored=False, value=3)) is None
