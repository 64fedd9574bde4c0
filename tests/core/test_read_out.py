"""A long part is read aloud in stretches, and none of its words is lost."""

from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions import kind_of
from lantern.core.questions.kinds.gap_fill import GapFillItem
from lantern.core.questions.read_out import parts_read, stretch_of, words_of
from lantern.core.questions.richtext import inline_html


@given(st.lists(st.text("ab.", min_size=1, max_size=8), max_size=60), st.integers(8, 50))
def test_no_word_is_lost_between_two_stretches(words, longest):
    heard = []
    while stretch := stretch_of(words, len(heard), longest):
        assert len(" ".join(stretch)) <= longest
        heard += stretch
    assert heard == words


def said(text, start, longest):
    return " ".join(stretch_of(text.split(), start, longest))


def test_a_stretch_ends_with_a_sentence_where_that_is_near():
    text = "One two three. Four five six seven."
    assert said(text, 0, 22) == "One two three."
    assert said(text, 3, 22) == "Four five six seven."
    assert said("One. " + "two " * 9, 0, 22) == "One. two two two two"


def test_a_word_without_end_is_cut():
    assert said("x" * 900, 0, 600) == "x" * 600
    assert said("x" * 900, 1, 600) == ""


def test_a_gap_is_a_pause_and_no_word():
    item = GapFillItem(id="a", prompt="Fill", text="[High] tide **comes** [twice] a day [late].", way="bank")
    parts = parts_read(kind_of(item).public(item, "s"))
    assert parts["text"] == ("tide", "comes…", "a", "day…", ".")
    assert sorted(word.strip(",") for word in parts["bank"]) == ["High", "late", "twice"]


def test_a_formula_is_one_word_said_by_the_names_of_its_signs():
    words = words_of(inline_html(r"How far? $d \approx 2.08\sqrt{h}$, in **miles**"))
    assert words == ("How", "far?", "d approx 2.08 sqrt h", ",", "in", "miles")
