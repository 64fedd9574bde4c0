"""Pasted text: what is understood of hand-made layouts, and that nothing is lost of what is not."""

from fractions import Fraction
from itertools import count

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.pasted.words import NO_RIGHT
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.questions.marking.numbers import written
from tests.core.pasted_samples import SAMPLES


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def said(item):
    """An item as the samples write it."""
    return f"{item.kind} | {item.prompt.replace('**', '')} | {RIGHT[item.kind](item)}"


RIGHT = {
    "choice": lambda item: " + ".join(option.text for option in item.options if option.right),
    "text_entry": lambda item: " + ".join(item.accepts),
    "numeric_entry": lambda item: written(item.value),
    "gap_fill": lambda item: item.text,
    "open_response": lambda item: "",
    "match": lambda item: " + ".join(f"{pair.left}={pair.right}" for pair in item.pairs),
}


def test_the_usual_layouts_are_understood(record_property):
    wrong = {}
    questions = understood = 0
    for sample in SAMPLES:
        found = [
            said(entry.item) if entry.item else f"? {tuple(map(str, entry.sentences))}"
            for entry in read_pasted(sample.text, ids()).entries
            if not entry.out
        ]
        questions += len(sample.expected)
        understood += sum(one in found for one in sample.expected)
        if tuple(found) != sample.expected:
            wrong[sample.name] = found
    record_property(
        "report", f"Pasted text: {understood} of {questions} questions in {len(SAMPLES)} layouts understood"
    )
    assert len(SAMPLES) >= 60
    assert wrong == {}


def test_a_title_reasons_topics_and_times_are_taken_along():
    text = "Knots\n\n1. Which?\na) Reef *\nb) Bend\nWhy: It holds.\nTopics: knots, ropes\nTime: 2 min"
    incoming = read_pasted(text, ids())
    (item,) = [entry.item for entry in incoming.entries]
    assert incoming.title == "Knots"
    assert (item.explanation, item.tags, item.time_limit) == ("It holds.", ("knots", "ropes"), 120)


def test_what_is_passed_over_is_told():
    text = "Name: _____\n1. Which?\na) Reef *\nb) Bend\nTrue or False\n2. Fog is warm. T F\nAnswer: F"
    incoming = read_pasted(text, ids())
    assert [entry.text for entry in incoming.entries if entry.out] == ["Name: _____", "True or False"]
    assert [str(entry.place) for entry in incoming.entries if not entry.out] == ["Line 2", "Line 6"]


@pytest.mark.parametrize(
    ("points", "weights", "note"),
    [
        ((2, 1), [2, 1], "Points: 2, 1. They became weights."),
        ((5, 10), [1, 2], "Points: 5, 10. They became weights."),
        ((3, 3), [1, 1], "Points: 3 for each. All questions count alike."),
        ((2, 7), [1, 1], "Points: 2, 7. They are left out, for a question counts 0, 1 or 2 times."),
    ],
)
def test_points_say_how_much_a_question_counts_or_are_told(points, weights, note):
    text = "1. ({} points) Which?\na) Reef *\nb) Bend\n2. Which else? [{} marks]\nAnswer: knots".format(*points)
    incoming = read_pasted(text, ids())
    assert [entry.item.weight for entry in incoming.entries] == weights
    assert [str(sentence) for sentence in incoming.notes] == [note]


@pytest.mark.parametrize(
    ("text", "sentence"),
    [
        ("1. Which knot?\na) Reef\nb) Bend\nAnswer: D", "The answer “D” is none of the options."),
        (
            "1. Which knot?\na) Reef *",
            "There is only one option. Write the others below it, each on a line of its own.",
        ),
        ("1. The ____ rises for ____ hours.\nAnswer: tide", "The gaps are 2, and the words for them 1."),
        ("1. The ____ rises.", "What belongs into the gap is missing"),
        ("1. Something about ropes.\n2. Which?\nAnswer: bow", "This has neither options nor an answer."),
        ("1. Which?\n*a) Reef\n*b) Bend", "All options are marked as right."),
    ],
)
def test_what_is_not_understood_is_told_with_its_text(text, sentence):
    entry = read_pasted(text, ids()).entries[0]
    assert entry.item is None
    assert str(entry.sentences[0]).startswith(sentence)
    assert entry.text.split("\n")[0] == text.split("\n")[0].removeprefix("1. ")
    assert str(entry.place) == "Line 1"


def test_options_of_which_none_is_marked_come_in_with_a_word_about_it():
    (entry,) = read_pasted("Which knot?\na) Reef\nb) Bend", ids()).entries
    assert entry.item is not None
    assert entry.sentences == (NO_RIGHT,)


def test_a_block_that_was_mended_is_read_again_with_what_the_key_said():
    text = "1. Which?\na) Reef\n2. Which else?\na) Bend\nb) Bowline\nKey: 1 B 2 B"
    first = read_pasted(text, ids()).entries[0]
    assert first.text == "Which?\na) Reef\nAnswer: B"
    (mended,) = read_pasted(first.text + "\nb) Bend", ids()).entries
    assert said(mended.item) == "choice | Which? | Bend"


@given(st.text(alphabet="1aAbB.)*-[]x✓ \n\tTrue:|=_?key", max_size=300))
def test_any_text_ends_in_entries_and_no_word_of_it_is_lost(text):
    incoming = read_pasted(text, ids())
    kept = "".join(entry.text for entry in incoming.entries) + incoming.title
    assert bool(kept.strip()) or not text.strip()


@given(st.text(max_size=400))
def test_no_text_raises(text):
    read_pasted(text, ids())


def test_a_very_long_text_is_read_in_part_and_says_so():
    incoming = read_pasted("Which?\na) Reef *\nb) Bend\n\n" * 20_000, ids())
    assert len(incoming.entries) == 1000
    assert len(incoming.notes) == 2


@pytest.mark.parametrize(("language", "value"), [("en", 12500), ("de", Fraction("12.5")), ("", 12500)])
def test_numbers_are_read_in_the_language_of_the_set_n1(language, value):
    """In pasted text and in a table alike."""
    (pasted,) = read_pasted("How deep is it?\nAnswer: 12,500", ids(), language).entries
    (row,) = read_rows([["Question", "Answer"], ["How deep is it?", "12,500"]], {}, ids(), language).entries
    assert [entry.item.value for entry in (pasted, row)] == [value, value]


def test_no_figure_of_a_pasted_number_is_lost_n13():
    (entry,) = read_pasted("How fast is light?\nAnswer: 299792458 m/s", ids()).entries
    assert (written(entry.item.value), entry.item.unit) == ("299792458", "m/s")


@pytest.mark.parametrize(
    ("language", "accepts"),
    [("en", ("a piece of rope", "a line")), ("nl", ("a piece", "rope", "a line")), ("", ("a piece of rope", "a line"))],
)
def test_small_words_between_two_answers_are_those_of_the_language(language, accepts):
    """ "of" is Dutch for "or"."""
    (entry,) = read_pasted("What is a halyard?\nAnswer: a piece of rope or a line", ids(), language).entries
    assert entry.item.accepts == accepts


@pytest.mark.parametrize(
    ("text", "stands"),
    [
        ("1. Which knot?\na) Reef d) Hitch\nb) Bend *", "d) Hitch"),
        ("What is a quay, and the answer: a wall, here?\nAnswer: yes", "the answer: a"),
        ("1. What is a jetty?\nAnswer: What is a mole?", "What is a mole?"),
    ],
)
def test_what_should_not_be_in_a_question_makes_it_doubtful(text, stands):
    entry = read_pasted(text, ids()).entries[0]
    assert not entry.sure
    assert f"“{stands}” stands in it" in " ".join(map(str, entry.sentences))


def test_both_readings_of_a_line_below_an_option_are_shown():
    text = "1. Who keeps the log?\na) The mate\nShe writes it each hour\nb) The cook\nAnswer: a"
    (entry,) = read_pasted(text, ids()).entries
    first, other = [[option.text for option in one.item.options] for one in entry.readings]
    assert (first[0], other[0]) == ("The mate She writes it each hour", "The mate")
    assert [option.text for option in entry.item.options] == first
    assert not entry.sure


def test_a_key_that_names_one_option_by_its_number_and_another_by_its_text_is_not_decided():
    (entry,) = read_pasted("How many masts has a ketch?\n1) 3\n2) 2\n3) 1\nAnswer: 1", ids()).entries
    assert (entry.item, [str(one.says) for one in entry.readings]) == (None, ["Right: 3", "Right: 1"])


def test_a_key_at_the_end_that_says_something_else_than_the_question_is_told():
    text = "1. Which?\na) Reef *\nb) Bend\n2. Which else?\na) Bow\nb) Stern\n\nKey: 1 b 2 a"
    first, second = read_pasted(text, ids()).entries
    assert (second.sure, first.sure) == (True, False)


@pytest.mark.parametrize(
    ("text", "by"),
    [
        ("1. What is a tide? (by Mika)\na) water\nb) wind\nAnswer: a", "Mika"),
        ("1. What is the cat called? (by Mika) Answer: Tinker", "Mika"),
        ("1. Who found it? (von Tarn)\n2. Who lost it? (von Brae)", ""),
    ],
)
def test_the_name_of_who_wrote_a_question_is_kept_where_it_is_no_answer(text, by):
    first = read_pasted(text, ids()).entries[0]
    assert first.item.by == by
    assert "(" not in first.item.prompt
