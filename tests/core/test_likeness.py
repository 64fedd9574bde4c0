"""Which answers are alike (docs/manners.md, B6): pairs as students write them, in English, German and French."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions.likeness import MOST_GROUPED, alike, groups_of

ALIKE = [
    ("Too little chain.", "too little chain"),
    ("There was too little chain out", "Too little chain was out"),
    ("the ground was rock", "The ground was rocky"),
    ("they forgot to let out more chain", "They forgot to let more chain out"),
    ("I dont know", "i don't know"),
    ("no idea", "No idea..."),
    ("Strong currents", "strong current"),
    ("The crew was asleep", "The crew were asleep"),
    ("Zu wenig Kette", "zu wenig Kete"),
    ("L’ancre était trop légère", "l'ancre etait trop legere"),
    ("🙂 too windy", "Too windy"),
    ("the storm came suddenly", "A sudden storm came"),
    ("more scope needed: five times the depth", "five times the depth - more scope needed"),
    ("The rope broke becuase it was old", "the rope broke because it was old"),
]
APART = [
    ("Too little chain.", "Too much wind."),
    ("the wind turned", "the tide turned"),
    ("I don't know", "I know"),
    ("The crew was asleep", "The crew was awake"),
    ("Die Kette war zu kurz", "Der Anker war zu leicht"),
    ("L’ancre était trop légère", "La chaîne était trop courte"),
    ("ok", "no"),
    ("wind", "wine"),
    ("yes", "yes but only at low tide because of the rocks"),
    ("it was low tide", "it was high tide"),
    ("five times the depth", "three times the depth"),
    ("🙂", "🙁"),
]


@pytest.mark.parametrize(("one", "other"), ALIKE)
def test_nearly_the_same_is_alike(one, other):
    assert alike(one, other)
    assert alike(other, one)


@pytest.mark.parametrize(("one", "other"), APART)
def test_something_else_is_not(one, other):
    assert not alike(one, other)


def test_a_group_has_its_first_text_first_and_what_stands_alone_is_in_none():
    texts = {"a": "too little chain", "b": "rock", "c": "Too little chain!", "d": "a rock", "e": "the tide"}
    assert groups_of(texts) == (("a", "c"), ("b", "d"))


@given(st.dictionaries(st.text(min_size=1, max_size=3), st.text(max_size=30), max_size=12))
def test_every_text_is_in_one_group_at_most_and_groups_have_several(texts):
    groups = groups_of(texts)
    grouped = [key for group in groups for key in group]
    assert len(grouped) == len(set(grouped))
    assert all(len(group) > 1 for group in groups)
    assert set(grouped) <= set(texts)


def test_no_more_than_can_be_looked_at_are():
    texts = {str(n): "the same" for n in range(MOST_GROUPED + 20)}
    ((*group,),) = groups_of(texts)
    assert len(group) == MOST_GROUPED
