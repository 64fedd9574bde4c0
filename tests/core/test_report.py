import csv
import io
import json
from datetime import datetime
from zipfile import ZipFile

import pytest
from hypothesis import given
from hypothesis import strategies as st
from openpyxl import load_workbook

from lantern.core.analysis.measures import cronbach_alpha
from lantern.core.analysis.of_session import results_of
from lantern.core.analysis.report import report_of
from lantern.core.analysis.tables import raw_table, workbook_tables
from lantern.core.analysis.teaching import hardest_first
from lantern.core.formats.csv import as_text, without_marks, write_csv
from lantern.core.formats.table import Table
from lantern.core.formats.tables_file import write_csv_zip, write_json
from lantern.core.formats.xlsx import write_workbook
from lantern.core.questions.items import CountRow
from lantern.core.questions.kinds import choice as choice_kind
from lantern.core.questions.kinds import classify, numeric_entry
from lantern.core.session.commands import GoTo, Remove
from tests.builders import a_session, a_set, choice, opinion


def in_english(results):
    return [table.spoken("en") for table in workbook_tables(results)]


def answered(*rows, names=("Fen", "Bo", "Ines")):
    """Two scored questions and an opinion; `rows` holds each student's letters, "-" for none."""
    room = a_session(a_set(choice("B"), choice("A"), opinion()), *names)
    for index, item_id in enumerate(room.state.ids):
        room.do(GoTo(room.state.step, item_id))
        for seat, letters in enumerate(rows, start=1):
            if letters[index] != "-":
                room.answer(seat, letters[index])
        room.advance()
    return room


def test_figures_are_right_to_the_digit():
    report = report_of(results_of(answered("BAD", "BCD", "C-A").state))
    assert report.took_part == 3
    assert report.top_score == 2
    assert report.mean_share == pytest.approx((2 + 1 + 0) / 6)
    assert report.median_score == 1
    assert [q.share for q in report.questions] == [pytest.approx(2 / 3), 0.5, None]
    assert [p.score for p in report.people] == [1, 2, 0]  # Bo, Fen, Ines


def test_the_hardest_question_comes_first_with_its_most_chosen_wrong_answer():
    report = report_of(results_of(answered("BCD", "BCD", "CAA").state))
    hardest = hardest_first(report.questions)
    assert [q.number for q in hardest] == [2, 1]
    assert (str(hardest[0].common_wrong.text)[:1], hardest[0].common_wrong.count) == ("C", 2)


def test_a_wrong_answer_is_named_as_one_would_say_it():
    assert str(numeric_entry.KIND.say(CountRow("6.25", "M", 2, False))) == "6.25 M"
    assert str(choice_kind.KIND.say(CountRow("C", "a bend", 2, False))) == "C “a bend”"
    assert str(classify.KIND.say(CountRow("a light", "at anchor", 2, False))) == "“a light” in “at anchor”"


def test_a_removed_student_is_in_no_figure():
    room = answered("BAD", "CCD", "BAA")
    room.do(Remove(2))
    report = report_of(results_of(room.state))
    assert report.mean_share == 1
    assert [p.name for p in report.people] == ["Fen", "Ines"]


def test_a_session_without_questions_has_a_report_too():
    report = report_of(results_of(a_session(a_set(choice()), "Fen").state))
    assert (report.took_part, report.questions, report.mean_share, report.reliability.alpha) == (1, (), None, None)


def test_alpha_equals_a_value_worked_by_hand():
    # Four students, three items: item variances 0.25, 0.1875, 0.25; variance of sums 1.1875.
    marks = [[1, 1, 1], [1, 1, 0], [0, 1, 1], [0, 0, 0]]
    assert cronbach_alpha(marks) == pytest.approx(3 / 2 * (1 - 0.6875 / 1.1875))


def test_alpha_has_no_meaning_for_one_item_or_equal_scores():
    assert cronbach_alpha([[1], [0]]) is None
    assert cronbach_alpha([[1, 0], [0, 1]]) is None


def test_the_workbook_has_grid_counts_and_raw_answers():
    room = answered("BAD", "BCD", "C-A")
    book = load_workbook(io.BytesIO(write_workbook(in_english(results_of(room.state)))))
    assert book.sheetnames == ["Class", "Figures", "Questions", "Measures", "Answers", "Q1", "Q2", "Q3"]
    grid = list(book["Class"].values)
    assert grid[0] == ("Name", "Q1", "Q2", "Q3", "Score", "Out of", "Percent", "Points", "Place")
    assert grid[1] == ("Bo", 1, 0, "D", 1, 2, 0.5, 100, 2)
    assert grid[4][:3] == ("Mean mark of those who answered", pytest.approx(2 / 3), 0.5)
    counts = [row[4:8] for row in book["Questions"].values if row[0] == 1]
    assert counts == [
        ("A", "Knot A", "no", 0),
        ("B", "Knot B", "yes", 2),
        ("C", "Knot C", "no", 1),
        ("D", "Knot D", "no", 0),
    ]
    assert book["Answers"].max_row == 1 + 8


def test_the_csv_holds_the_same_raw_table():
    table = raw_table(results_of(answered("BAD", "BCD", "C-A").state)).spoken("en")
    rows = list(csv.reader(io.StringIO(write_csv(table).decode("utf-8-sig"))))
    assert rows[0] == table.columns
    assert len(rows) == 1 + 8
    assert rows[1][3:8] == ["1", "Fen", "Knot B", "", "1.0"]


@pytest.mark.parametrize("name", ["=1+1", "+Fen", "-Fen", "@sum(A1)", "\tFen"])
def test_a_name_that_looks_like_a_formula_stays_a_name(name):
    table = Table("Class", ("Name",), [(name,)])
    sheet = load_workbook(io.BytesIO(write_workbook([table])))["Class"]
    assert (sheet["A2"].value, sheet["A2"].data_type) == (name, "s")
    assert write_csv(table).decode("utf-8-sig").splitlines()[1].strip('"').startswith("'")


@pytest.mark.parametrize("separator", [";", "|", "\t", ","])
@pytest.mark.parametrize(
    "name", ["x;=1+1;y", "x|@sum(A1)|y", "x\t-1\ty", 'a";=1+1', "a\n=1+1", "x; =1+1", "x;'=1+1", "'=1"]
)
def test_no_reader_with_whatever_separator_sees_a_formula(name, separator):
    text = write_csv(Table("Class", ("No", "Name"), [(1, name), (2, name)])).decode("utf-8-sig")
    cells = [cell for row in csv.reader(io.StringIO(text, newline=""), delimiter=separator) for cell in row]
    assert not [cell for cell in cells if cell.strip().startswith(("=", "+", "-", "@"))]


@given(st.text("=+-@;|\t\r\n' ax", max_size=12))
def test_a_cell_is_read_as_it_was_before_it_was_made_safe(cell):
    assert without_marks(as_text(cell)) == cell


def test_the_workbook_is_the_report_to_the_digit_in_forms_that_a_reader_sees():
    room = answered("BAD", "BCD", "C-A")
    results = results_of(room.state)
    report = report_of(results)
    book = load_workbook(io.BytesIO(write_workbook(in_english(results))))
    figures = list(book["Figures"].values)[1:]
    assert [(row[0], row[3], row[5], row[6]) for row in figures] == [
        (q.number, q.share, q.answered, q.omitted) for q in report.questions
    ]
    first = list(book["Q1"].values)
    assert first[0][0] == "1. Which knot?"
    assert first[1] == ("Name", "Record ID", "Answer", "Mark", "Seconds taken", "Comment")
    assert [(row[0], row[2], row[3]) for row in first[2:]] == [
        ("Bo", "Knot B", 1),
        ("Fen", "Knot B", 1),
        ("Ines", "Knot C", 0),
    ]
    grid = book["Class"]
    assert (grid.freeze_panes, grid.auto_filter.ref) == ("B2", "A1:I6")
    assert "✓" in grid["B2"].number_format
    assert grid["G2"].number_format == "0.0 %"
    rules = [rule for rules in grid.conditional_formatting for rule in rules.rules]
    assert len(rules) == 3
    at = [heading.value for heading in book["Answers"][1]].index("Answered at (UTC)")
    moments = [row[at] for row in list(book["Answers"].values)[1:]]
    assert all(isinstance(moment, datetime) for moment in moments)


@pytest.mark.parametrize("marked", [True, False])
def test_the_same_tables_go_out_as_csv_and_as_json(marked):
    tables = in_english(results_of(answered("BAD", "BCD", "C-A").state))
    with ZipFile(io.BytesIO(write_csv_zip(tables, marked=marked))) as archive:
        texts = [archive.read(name) for name in archive.namelist()]
    assert archive.namelist()[0] == "01 Class.csv"
    assert {text.startswith(b"\xef\xbb\xbf") for text in texts} == {marked}
    found = json.loads(write_json(tables))
    assert [one["name"] for one in found] == [table.title for table in tables]
    for text, one in zip(texts, found, strict=True):
        rows = list(csv.reader(io.StringIO(text.decode("utf-8-sig"))))
        assert rows[0] == one["columns"]
        assert len(rows) == len(one["rows"]) + 1
