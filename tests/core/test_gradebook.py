"""Grades, worked out by hand beside the rules (docs/measures.md, O1 to O9)."""

from fractions import Fraction

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.analysis.gradebook import (
    BookSession,
    BookStudent,
    GradeBound,
    GradeColumn,
    Result,
    Scheme,
    book_of,
    book_table,
    check_scheme,
    rounded,
)
from lantern.core.errors import NotReady

ALVA, BO, FEN = (BookStudent(id=name.lower(), name=name) for name in ("Alva", "Bo", "Fen"))


def session(id_, waiting=0, **results):
    return BookSession(id_, f"Session {id_}", id_ * 1000, waiting, {name: Result(*r) for name, r in results.items()})


def scheme(*weights, **chosen):
    columns = tuple(GradeColumn(session=at, weight=weight) for at, weight in enumerate(weights, start=1))
    return Scheme(columns=columns, **{"step": "none", **chosen})


def line(made, name):
    (found,) = [one for one in made.lines if one.name == name]
    return found


THREE = [session(1, alva=(3, 4), bo=(1, 4)), session(2, alva=(5, 10), bo=(9, 10)), session(3, alva=(2, 2))]


def test_a_result_is_marks_over_what_was_asked_of_one_o1():
    made = book_of(scheme(1, 1, 1), THREE, [ALVA])
    assert [cell.share for cell in line(made, "Alva").cells] == [0.75, 0.5, 1.0]


def test_what_waits_for_a_mark_is_said_o1():
    chosen = scheme(1)
    made = book_of(chosen, [session(1, waiting=3, alva=(1, 2))], [ALVA])
    assert made.columns[0].waiting == 3
    assert any("3 answers have no mark by hand yet" in str(row[0]) for row in book_table(made, chosen, "8B").rows)


def test_a_total_is_the_mean_by_weight_o2():
    made = book_of(scheme(1, 2, 3), THREE, [ALVA])
    assert line(made, "Alva").total == pytest.approx(100 * (0.75 + 2 * 0.5 + 3 * 1.0) / 6)


def test_a_weight_of_nothing_shows_and_counts_nothing_o2():
    made = book_of(scheme(1, 0, 0), THREE, [ALVA])
    assert line(made, "Alva").total == pytest.approx(75)
    assert line(made, "Alva").cells[1].share == 0.5
    assert book_of(scheme(0, 0, 0), THREE, [ALVA]).lines[0].total is None


def test_who_missed_one_has_it_left_out_or_counted_nothing_o3():
    left_out, zero = (book_of(scheme(1, 1, 1, missed=way), THREE, [BO]) for way in ("left_out", "zero"))
    assert line(left_out, "Bo").total == pytest.approx(100 * (0.25 + 0.9) / 2)
    assert line(zero, "Bo").total == pytest.approx(100 * (0.25 + 0.9) / 3)
    assert line(zero, "Bo").cells[2].share is None


def test_who_was_never_there_has_no_total_unless_it_counts_nothing_o3():
    assert line(book_of(scheme(1, 1, 1), THREE, [FEN]), "Fen").total is None
    assert line(book_of(scheme(1, 1, 1, missed="zero"), THREE, [FEN]), "Fen").total == 0


def test_the_lowest_is_left_out_and_one_always_stays_o4():
    made = book_of(scheme(1, 1, 1, drop_lowest=1), THREE, [ALVA])
    assert [cell.dropped for cell in line(made, "Alva").cells] == [False, True, False]
    assert line(made, "Alva").total == pytest.approx(87.5)
    assert line(book_of(scheme(1, 1, 1, drop_lowest=20), THREE, [ALVA]), "Alva").total == pytest.approx(100)


def test_of_equal_ones_that_which_weighs_less_goes_first_o4():
    alike = [session(at, alva=(1, 2)) for at in (1, 2, 3)]
    made = book_of(scheme(2, 1, 1, drop_lowest=1), alike, [ALVA])
    assert [cell.dropped for cell in line(made, "Alva").cells] == [False, True, False]


def test_a_missed_one_that_counts_nothing_can_be_left_out_o4():
    made = book_of(scheme(1, 1, 1, missed="zero", drop_lowest=1), THREE, [BO])
    assert [cell.dropped for cell in line(made, "Bo").cells] == [False, False, True]


@pytest.mark.parametrize(
    ("percent", "step", "way", "wanted"),
    [
        (66.5, "1", "half_up", 67), (67.5, "1", "half_up", 68), (66.49, "1", "half_up", 66), (66.1, "1", "up", 67),
        (66.9, "1", "down", 66), (66.25, "0.5", "half_up", 66.5), (66.24, "0.5", "half_up", 66),
        (0.25, "0.1", "half_up", 0.3), (62.5, "5", "half_up", 65), (62.4, "5", "down", 60), (100, "5", "up", 100),
        (100 * (0.1 + 0.2), "1", "up", 30), (100 / 3, "none", "up", 33.333333333), (64.99999999999, "1", "down", 65),
    ],
)  # fmt: skip
def test_totals_are_rounded_in_decimal_figures_o5(percent, step, way, wanted):
    assert rounded(percent, step, way) == wanted


@given(st.fractions(0, 100), st.sampled_from(["0.1", "0.5", "1", "5"]), st.sampled_from(["half_up", "up", "down"]))
def test_rounding_moves_by_less_than_a_step_o5(percent, step, way):
    exact, unit = Fraction(percent), Fraction(step)
    found = Fraction(str(rounded(float(percent), step, way)))
    assert found % unit == 0
    assert abs(found - exact) <= (unit / 2 if way == "half_up" else unit) + Fraction(1, 10**8)


def test_a_grade_is_that_of_the_highest_bound_reached_o6():
    bounds = tuple(GradeBound(at_least=at, grade=grade) for at, grade in ((50, "C"), (90, "A"), (75, "B")))
    chosen = scheme(1, scale=bounds, step="1")
    rows = {"alva": (8, 9), "bo": (3, 4), "fen": (1, 3)}  # 88.9 is 89; 75; 33
    made = book_of(chosen, [session(1, **rows)], [ALVA, BO, FEN])
    assert [one.grade for one in made.lines] == ["B", "B", ""]
    assert made.grades == (("A", 0), ("B", 2), ("C", 0))


def test_the_rounded_total_is_what_is_graded_o6():
    chosen = scheme(1, scale=(GradeBound(at_least=90, grade="A"),), step="1")
    assert book_of(chosen, [session(1, alva=(179, 200))], [ALVA]).lines[0].grade == "A"  # 89.5


def test_two_bounds_of_the_same_height_are_refused_o6():
    with pytest.raises(NotReady):
        check_scheme(Scheme(scale=tuple(GradeBound(at_least=50, grade=grade) for grade in "AB")))


def test_who_is_in_no_list_is_in_no_book_o7():
    made = book_of(scheme(1), [session(1, alva=(1, 1), somebody=(1, 1))], [ALVA])
    assert [one.name for one in made.lines] == ["Alva"]


def test_a_session_that_is_gone_is_in_it_no_more_o8():
    made = book_of(scheme(1, 1, 1), THREE[:1], [ALVA])
    assert [column.session for column in made.columns] == [1]
    assert made.lines[0].total == 75


def test_points_and_places_are_in_no_book_o9():
    columns = book_table(book_of(scheme(1), THREE, [ALVA]), scheme(1), "8B").spoken("en").columns
    assert columns == ["Name", "Session 1", "Total in percent", "Left out"]


def test_a_table_says_how_it_was_made():
    chosen = scheme(1, 1, 1, drop_lowest=1, missed="zero", step="0.5", rounding="down")
    told = " ".join(str(row[0]) for row in book_table(book_of(chosen, THREE, [ALVA]), chosen, "8B").rows)
    assert "counts 0 for them" in told
    assert "the lowest are left out: 1" in told
    assert "0.5 percent, always down" in told
