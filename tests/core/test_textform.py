"""Entries of the text form, and how hard a text is to read."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions.reading import FEWEST_WORDS, reading_level
from lantern.core.questions.textform import body_lines, body_of, entries, entry, texts

a_line = st.text(max_size=20).map(lambda t: re.sub(r"\s+", " ", t).strip()).filter(lambda t: "<!--" not in t)
some_lines = st.lists(a_line.filter(bool), min_size=1, max_size=3).map("\n".join)
facts = st.dictionaries(st.sampled_from(["media", "size"]), st.one_of(st.integers(), st.text(max_size=4)), max_size=2)


@given(st.lists(st.tuples(st.sampled_from(["-", "=", "+"]), some_lines, facts), max_size=6))
def test_entries_are_read_back_with_their_marks_and_facts(given_entries):
    lines = [line for mark, text, more in given_entries for line in entry(mark, text, **more).split("\n")]
    assert entries(lines, ("-", "=", "+")) == given_entries


@given(st.lists(st.text(max_size=20).map(lambda t: re.sub(r"\s", " ", t).rstrip()), min_size=1, max_size=5))
def test_a_body_is_read_back_line_for_line(lines):
    text = "\n".join(lines)
    assert body_of(body_lines(text)) == text


def test_what_is_no_entry_is_left_out():
    lines = ["- one", "    and more", "nothing", "-two", "- ", "    ", "* three"]
    assert texts(lines, "-") == ["one\nand more", "\n"]


def test_a_comment_that_is_no_json_stays_text():
    assert entries(["- a <!-- note -->"], ("-",)) == [("-", "a <!-- note -->", {})]
    assert entries(['- a <!-- {"media": 1} -->'], ("-",)) == [("-", "a", {"media": 1})]


@pytest.mark.parametrize("words", [0, 1, FEWEST_WORDS - 1])
def test_a_short_text_has_no_reading_level(words):
    assert reading_level("tide " * words) is None


def test_longer_words_and_sentences_are_harder():
    short = reading_level("The tide is low. " * 10)
    long_sentence = reading_level("the tide is low and " * 10)
    long_words = reading_level("Meteorological observations deteriorate considerably. " * 10)
    assert short < long_sentence < long_words
