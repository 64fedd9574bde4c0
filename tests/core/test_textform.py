"""Entries of the text form, and how hard a text is to read."""

import re

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import TypeAdapter, ValidationError

from lantern.core.questions import media_links, place_lines
from lantern.core.questions.items import Film, Media, Picture, Recording
from lantern.core.questions.places import Ellipse, Polygon, Rectangle
from lantern.core.questions.reading import FEWEST_WORDS, reading_level
from lantern.core.questions.textform import body_lines, body_of, entries, entry, texts
from tests.builders.anything import any_of

_TRICKY = (
    "<!-- {} -->",
    '<!-- {"media": 1} -->',
    "![a](media:b?size=1x1)",
    "[a](media:b?sound=1)",
    "](media:b)",
    "[x]",
)
a_line = (
    st.lists(st.text(max_size=20) | st.sampled_from(_TRICKY), max_size=3)
    .map(" ".join)
    .map(lambda t: re.sub(r"\s+", " ", t).strip())
)
some_lines = st.lists(a_line.filter(bool), min_size=1, max_size=3).map("\n".join)
some_media = st.none() | any_of(Picture) | any_of(Recording) | any_of(Film)


@given(st.lists(st.tuples(st.sampled_from(["-", "=", "+"]), some_lines | st.just(""), some_media), max_size=6))
def test_entries_are_read_back_with_their_marks_and_media(given_entries):
    lines = [line for mark, text, media in given_entries for line in entry(mark, text, media).split("\n")]
    found = [(mark, text, a_media(more.get("media"))) for mark, text, more in entries(lines, ("-", "=", "+"))]
    assert found == given_entries


def a_media(fields):
    return fields and TypeAdapter(Media).validate_python(fields)


@given(some_media.filter(bool))
def test_a_link_says_all_of_a_picture_a_sound_and_a_video(media):
    assert a_media(media_links.read(media_links.written(media))) == media


def test_a_link_is_written_as_people_write_links():
    picture = Picture(media="LH8Y", width=1200, height=800, description="The harbour's [mouth]", credit='"Fen" O.')
    said_so = r'![The harbour\'s \[mouth\]](media:LH8Y?size=1200x800 "\"Fen\" O.")'.replace(r"\'", "'")
    assert media_links.written(picture) == said_so
    sound = Recording(media="Kp", seconds=2.5, start=0.5, transcript="Ahoy!\nWho is there?")
    assert media_links.written(sound) == r"[Ahoy!\nWho is there?](media:Kp?sound=2.5#t=0.5)"
    film = Film(media="Rr", captions="Cc", end=9)
    assert media_links.written(film) == "[](media:Rr?video&captions=Cc#t=0,9)"


@pytest.mark.parametrize(
    "text",
    ["[a page](https://gullmark.example)", "![](media:)", "[x](media:a)", "a ![b](media:c?size=1x1)", "![a](media:b"],
)
def test_what_is_no_link_to_a_stored_file_is_none(text):
    found = media_links.read(text)
    with pytest.raises(ValidationError):
        TypeAdapter(Media).validate_python(found)


@given(any_of(Rectangle) | any_of(Ellipse) | any_of(Polygon))
def test_a_place_on_a_picture_is_read_back_to_the_last_figure(place):
    assert type(place).model_validate(place_lines.read(place_lines.written(place))) == place


@pytest.mark.parametrize(
    ("line", "left"),
    [
        ("rectangle: left 10 %, top 5%, width 20, height 7,5 %", 0.1),
        ("Rectangle: 12,5 5 20 7", 0.125),
        ("ellipse: centre 33 % 5 %, radius 5 % 5 %", 0.33),
    ],
)
def test_places_are_read_as_people_write_them(line, left):
    assert place_lines.read(line)["x"] == left


@pytest.mark.parametrize("line", ["", "circle: 1 2 3", "rectangle: 1 2 3", "polygon: 1 2 3", "rectangle 1 2 3 4"])
def test_what_says_no_place_is_none(line):
    assert place_lines.read(line) is None


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
