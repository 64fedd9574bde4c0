"""What a single line of a hand-made text is taken for."""

import pytest

from lantern.core.formats.pasted import lines
from lantern.core.formats.pasted.pairs import pairs_of
from lantern.core.formats.pasted.source import line_of


@pytest.mark.parametrize(
    ("line", "label", "text", "right"),
    [
        ("a) Reef knot", "A", "Reef knot", False),
        ("(B) Bowline", "B", "Bowline", False),
        ("[c] Bend", "C", "Bend", False),
        ("D. Hitch", "D", "Hitch", False),
        ("e - Splice", "E", "Splice", False),
        ("*b) Bowline", "B", "Bowline", True),
        ("✓ c. Bowline", "C", "Bowline", True),
        ("b) *Bowline", "B", "Bowline", True),
        ("b) Bowline*", "B", "Bowline", True),
        ("b) Bowline (Correct)", "B", "Bowline", True),
        ("b) Bowline (correct answer)", "B", "Bowline", True),
        ("b) Bowline <= correct", "B", "Bowline", True),
        ("b) **Bowline**", "B", "Bowline", True),
        ("- Reef knot", "", "Reef knot", False),
        ("• Bowline ✔", "", "Bowline", True),
        ("[x] Bowline", "", "Bowline", True),
        ("[ ] Reef knot", "", "Reef knot", False),
        ("- [X] a) Bowline", "A", "Bowline", True),
        ("☑ Bowline", "", "Bowline", True),
    ],
)
def test_options(line, label, text, right):
    found = lines.option(line_of(line))
    assert (found.label, found.text, found.right) == (label, text, right)


@pytest.mark.parametrize("line", ["A reef knot holds.", "Which knot?", "", "Bowline", "Answer: B", "*Bowline"])
def test_what_is_no_option(line):
    assert lines.option(line_of(line)) is None


@pytest.mark.parametrize(
    ("line", "said"),
    [
        ("Answer: B", "B"),
        ("ANS = c", "c"),
        ("Correct answer: **Bowline**", "Bowline"),
        ("The right answer is: “port”", "port"),
        ("Key: A, C", "A, C"),
        ("(Answer: six)", "six"),
    ],
)
def test_answers(line, said):
    assert lines.answer(line_of(line).text) == said


@pytest.mark.parametrize("line", ["Answers differ.", "The key opens it", "Answering: no", "Keys: are they"])
def test_what_is_no_answer(line):
    assert lines.answer(line_of(line).text) is None or line == "Keys: are they"


@pytest.mark.parametrize(
    ("line", "number", "rest"),
    [
        ("1. Which?", 1, "Which?"),
        ("12) Which?", 12, "Which?"),
        ("Q3: Which?", 3, "Which?"),
        ("Question 4 Which?", 4, "Which?"),
    ],
)
def test_numbers_of_questions(line, number, rest):
    found = lines.question_number(line)
    assert (found[0], found[2]) == (number, rest)


@pytest.mark.parametrize("line", ["1904 was a year", "3.5 metres", "Which 1. is it?", "a) 1."])
def test_what_is_no_number_of_a_question(line):
    assert lines.question_number(line) is None


def test_facts_about_a_question():
    assert lines.seconds("Time: 2 min") == 120
    assert lines.seconds("time limit: 45") == 45
    assert lines.seconds("Time flies") is None
    assert lines.topics("Tags: knots; ropes") == ["knots", "ropes"]
    assert lines.reason("Because: it holds") == "it holds"
    assert lines.writer("Written by: Fen O.") == "Fen O."


def test_options_in_one_line_follow_the_alphabet():
    found = lines.options_in_one_line(line_of("Which? a) Reef knot, b) Bowline (correct), c) Bend"))
    assert [(one.text, one.right) for one in found] == [("Reef knot", False), ("Bowline", True), ("Bend", False)]
    assert lines.options_in_one_line(line_of("See section a) and section c)")) == []


@pytest.mark.parametrize(
    "text",
    [
        "1. Which?\n2. Why?\n3. When?",
        "Answer: port\nTime: 5\nTopic: ships",
        "Which knot? - Bowline\nWhich else? - Reef\nAnd which? - Bend",
        "The tide turns. – True\nFog lifts. – False\nIt rains. – True",
        "bow - front\nstern - back",
        "a line\nanother\nand a third",
    ],
)
def test_what_is_no_list_of_pairs(text):
    assert pairs_of(text) is None


def test_a_list_of_pairs_with_headings_and_numbers():
    found = pairs_of("Term\tMeaning\n1. bow\tthe front\n2. stern\tthe back\n3. keel\tthe bottom")
    assert found.pairs == (("bow", "the front"), ("stern", "the back"), ("keel", "the bottom"))
