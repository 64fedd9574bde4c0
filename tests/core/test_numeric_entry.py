from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import BadAnswer
from lantern.core.questions.kinds.numeric_entry import KIND, NumericEntryAnswer
from lantern.core.questions.kinds.numeric_entry import NumericEntryItem as Item
from lantern.core.questions.marking.numbers import NotANumber, Question, read_number, written


@given(st.integers(-(10**20), 10**20))
def test_a_whole_number_is_read_back_in_every_dress_n5(number):
    for text in (f"{number}", f"{number:,}".replace(",", " "), f" {number} kn", f"{number:,}".replace(",", "'")):
        assert read_number(text, Question("en", "kn")) == number


@given(st.decimals(min_value=-1000, max_value=1000, places=4))
def test_a_decimal_is_read_back_with_comma_and_point_n4(number):
    for text in (str(number), str(number).replace(".", ",")):
        assert read_number(text, Question()) == Fraction(number)


@given(st.text(max_size=80), st.text(max_size=10), st.sampled_from(["", "en", "de", "hi", "xx", "de-CH"]))
def test_no_text_raises_anything_but_that_it_is_no_number_n12(text, unit, language):
    try:
        number = read_number(text, Question(language, unit))
    except NotANumber as refused:
        number = str(refused)
    assert isinstance(number, Fraction) or number.endswith(".")


@given(st.fractions(min_value=-(10**12), max_value=10**12).filter(lambda f: 10**12 % f.denominator == 0))
def test_a_number_is_shown_as_it_is_and_read_back_the_same_n13(number):
    assert Fraction(written(number)) == number
    assert "e" not in written(number)
    assert Item.model_validate_json(Item(id="n", value=number).model_dump_json()).value == number


def test_a_third_is_kept_as_a_third_n2():
    third = Item.model_validate_json(item(value="1/3").model_dump_json())
    assert (third.value, KIND.key(third).model_dump()["value"]) == (Fraction(1, 3), "0.333333")
    assert [mark(third, text) for text in ("1/3", "2/6", "0.333333")] == [1, 1, 0]


@given(st.floats(allow_nan=False, allow_infinity=False))
def test_a_float_of_an_older_set_is_the_number_that_was_typed_n2(value):
    assert Item.model_validate({"id": "n", "value": value}).value == Fraction(repr(value))


@pytest.mark.parametrize("text", ["9" * 60, "1e300", "0." + "0" * 50 + "1"])
def test_the_largest_and_the_smallest_are_read_and_shown_n2(text):
    assert Fraction(written(read_number(text, Question()))) == Fraction(text)


@pytest.mark.parametrize("text", ["9" * 61, "1e301", "1e99999999", "10^400", "1" + " " * 80])
def test_what_would_cost_too_much_is_refused_n12(text):
    with pytest.raises(NotANumber):
        read_number(text, Question())


def item(**more):
    return Item(id="n", prompt="How many?", **more)


def mark(item, text):
    return KIND.score(item, NumericEntryAnswer(text=text))


def test_exact_means_exact_n2():
    assert mark(item(value=2147483648), "2147483647") == 0
    assert mark(item(value="1.602e-19"), "0") == 0
    assert mark(item(value=0.1), "0.1000000001") == 0
    assert mark(item(value="12345678901234567890"), "12345678901234567891") == 0
    assert mark(item(value=125), "0.125") == 0
    assert [
        mark(item(value=1234, language="en"), text) for text in ("1,234", "1234", "1 234", "1.2340e3", "1.234")
    ] == [
        1,
        1,
        1,
        1,
        0,
    ]


def test_an_absolute_tolerance_includes_its_ends_n3():
    scale = item(accepts="absolute", value=0.9, tolerance=0.1)
    assert [mark(scale, text) for text in ("0.8", "1,0", "0.79", "1.01")] == [1, 1, 0, 0]


def test_a_percentage_is_of_the_right_number_n3():
    scale = item(accepts="percent", value=-200, tolerance=5)
    assert [mark(scale, text) for text in ("-190", "-210", "-189", "190")] == [1, 1, 0, 0]


def test_a_range_includes_its_ends_n3():
    scale = item(accepts="range", low=22, high=27)
    assert [mark(scale, text) for text in ("22", "27", "21.9", "27.1")] == [1, 1, 0, 0]


@given(
    value=st.decimals(-(10**6), 10**6, places=3),
    tolerance=st.decimals(0, 1000, places=3),
    off=st.decimals(0, 2000, places=3),
)
def test_what_is_nearer_never_scores_less_n3(value, tolerance, off):
    scale = item(accepts="absolute", value=value, tolerance=tolerance)
    near, far = (mark(scale, written(Fraction(value) + Fraction(part) * Fraction(off))) for part in (0.5, 1))
    assert near >= far
    assert near == (off / 2 <= tolerance)


def test_what_is_no_number_is_refused_with_an_example():
    with pytest.raises(BadAnswer, match="such as 12"):
        KIND.accept(item(value=1), NumericEntryAnswer(text="a dozen"))


def test_the_tally_has_values_in_order_with_quartiles():
    answers = [NumericEntryAnswer(text=text) for text in ("3", "1", "2", "2,0", "10")]
    tally = KIND.tally(item(value=2), answers)
    assert [(row.value, row.count) for row in tally.values] == [(1, 1), (2, 2), (3, 1), (10, 1)]
    assert tally.quartiles == (2, 2, 3)


def test_another_unit_is_turned_into_the_questions_where_the_teacher_allows_it_n11():
    turned = item(value=3, unit="km", converts=True)
    assert [mark(turned, text) for text in ("3000 m", "3 km", "3", "300000 cm", "2999 m")] == [1, 1, 1, 1, 0]
    with pytest.raises(BadAnswer, match="Give it in km"):
        KIND.accept(item(value=3, unit="km"), NumericEntryAnswer(text="3000 m"))


def test_a_student_is_told_how_a_number_is_read_n12():
    assert KIND.read_as(item(value=1, unit="m", language="de"), NumericEntryAnswer(text="1.234,5")) == "1234.5 m"
    with pytest.raises(BadAnswer, match="such as 12"):
        KIND.read_as(item(value=1), NumericEntryAnswer(text="a dozen"))


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
