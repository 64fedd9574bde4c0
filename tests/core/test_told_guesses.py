"""What comes in is understood, or it says so: cases in which a reader marked the wrong option without a word."""

from itertools import count

import pytest

from lantern.core.formats.exchange import Source
from lantern.core.formats.registry import read_file, read_typed

numbers = count()


def ids():
    return f"new{next(numbers)}"


def pasted(text):
    return read_typed(text, ids)


def sheet(text):
    return read_file(Source("class_8c.csv", text.encode()), ids)


def options_of(entry):
    return [("*" if option.right else "") + option.text for option in entry.item.options]


@pytest.mark.parametrize(
    ("row", "options"),
    [
        (",two,three,four,C", ["two", "*three", "four"]),
        (",two,three,four,D", ["two", "three", "*four"]),
        ("one,,three,four,C", ["one", "*three", "four"]),
        ("one,,,four,D", ["one", "*four"]),
        ("one,two,three,four,c", ["one", "two", "*three", "four"]),
        ("one,,three,four,3", ["one", "*three", "four"]),
        ('one,,three,four,"A, D"', ["*one", "three", "*four"]),
        ("one,,three,four,AD", ["*one", "three", "*four"]),
    ],
)
def test_letters_of_a_key_belong_to_columns_whatever_cells_are_empty(row, options):
    (entry,) = sheet(f"Question,A,B,C,D,Answer\nWhich number?,{row}\n").entries
    assert options_of(entry) == options
    assert entry.sentences == ()


@pytest.mark.parametrize("key", ["B", "E", "five", "2", "G"])
def test_a_key_that_fits_no_option_is_told_and_is_no_new_option(key):
    (entry,) = sheet(f"Question,A,B,C,D,Answer\nWhich number?,one,,three,four,{key}\n").entries
    assert entry.item is None
    assert "none of the options" in str(entry.sentences[0])


def test_a_right_answer_beside_wrong_ones_is_an_option():
    (entry,) = sheet("Question,Correct answer,Wrong 1,Wrong 2\nWhich knot?,Bowline,Reef knot,Hitch\n").entries
    assert options_of(entry) == ["*Bowline", "Reef knot", "Hitch"]


OPTIONS = "1. What feeds a river?\na) The mouth\nb) The source\nc) The delta\n"
ANSWERS = [
    "**Answer:** b) The source",
    "- **Answer:** b) The source",
    "* Answer: b",
    "> **Correct answer:** B",
    "✅ **Answer:** b) The source",
    "**Answer: b) The source**",
    "***Answer:*** b",
    "_Answer_: b",
    "## Answer: b",
    "Correct answer - b",
    "(Answer: b)",
    "[Answer: b]",
    "☑ Key: b",
    "• Solution = The source",
    "+ The right answer is: b",
]


@pytest.mark.parametrize("line", ANSWERS)
def test_a_line_that_begins_with_a_word_for_answer_is_never_an_option(line):
    (entry,) = pasted(OPTIONS + line).entries
    assert options_of(entry) == ["The mouth", "*The source", "The delta"]
    assert entry.sentences == ()


def test_an_option_may_speak_of_answers():
    (entry,) = pasted(
        "1. What do you do?\na) Answer the call *\nb) Key in a number\nc) Solutions are sold here"
    ).entries
    assert options_of(entry) == ["*Answer the call", "Key in a number", "Solutions are sold here"]


@pytest.mark.parametrize("line", ["Page 2 of 7", "The next station is closed.", "Gullmark Bay Community School", "***"])
def test_an_unknown_line_below_options_is_told(line):
    (entry,) = pasted(f"1. What feeds a river?\na) The mouth\nb) The source *\nc) The delta\n{line}").entries
    glued = entry.item is not None and any(line in option.text for option in entry.item.options)
    assert not glued or line in " ".join(map(str, entry.sentences))
    assert not glued or "The delta" in options_of(entry)[2]


TABLE = [
    ["Question", "A", "B", "C", "Answer"],
    ["Which knot makes a loop?", "Reef knot", "Bowline", "Hitch", "B"],
    ["Which light is on the port side", "Red", "Green", "White", "A"],
    ["What is behind", "The bow", "The mast", "The stern", "C"],
]
BARS = [f"| {' | '.join(row)} |" for row in TABLE]


@pytest.mark.parametrize(
    "text",
    [
        "\n".join([BARS[0], "|---|---|---|---|---|", *BARS[1:]]),
        "\n".join(BARS),
        "\n".join(" | ".join(row) for row in TABLE),
        "\n".join("\t".join(row) for row in TABLE),
        "\n".join("\t".join(row) for row in TABLE[1:]),
    ],
    ids=["markdown", "bars", "bare bars", "tabs", "tabs without a heading"],
)
def test_a_table_of_questions_is_read_as_questions_and_never_as_pairs(text):
    entries = pasted(text).entries
    assert [options_of(entry) for entry in entries] == [
        ["Reef knot", "*Bowline", "Hitch"],
        ["*Red", "Green", "White"],
        ["The bow", "The mast", "*The stern"],
    ]
    has_heading = text.lstrip("| ").startswith("Question")
    assert [entry.sure for entry in entries] == [has_heading] * 3


def test_a_table_that_says_nothing_of_what_is_right_is_told():
    entries = pasted("\n".join("\t".join(row[:4]) for row in TABLE[1:])).entries
    assert all("No option is marked as right" in str(entry.sentences[0]) for entry in entries)


def test_a_table_of_two_columns_is_still_a_list_of_pairs():
    (entry,) = pasted("| word | meaning |\n|---|---|\n| bow | front |\n| stern | back |\n| port | left |\n").entries
    assert entry.item.kind == "match"
