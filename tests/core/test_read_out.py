"""A long part is read aloud in stretches, and none of its words is lost."""

from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions import kind_of
from lantern.core.questions.kinds.gap_fill import GapFillItem
from lantern.core.questions.read_out import parts_read, stretch_of


@given(st.lists(st.text("ab.", min_size=1, max_size=8), max_size=60), st.integers(8, 50))
def test_no_word_is_lost_between_two_stretches(words, longest):
    heard = []
    while stretch := stretch_of(" ".join(words), len(heard), longest):
        assert len(stretch) <= longest
        heard += stretch.split()
    assert heard == words


def test_a_stretch_ends_with_a_sentence_where_that_is_near():
    text = "One two three. Four five six seven."
    assert stretch_of(text, 0, 22) == "One two three."
    assert stretch_of(text, 3, 22) == "Four five six seven."
    assert stretch_of("One. " + "two " * 9, 0, 22) == "One. two two two two"


def test_a_word_without_end_is_cut():
    assert stretch_of("x" * 900, 0, 600) == "x" * 600
    assert stretch_of("x" * 900, 1, 600) == ""


def test_a_gap_is_a_pause_and_no_word():
    item = GapFillItem(id="a", prompt="Fill", text="[High] tide comes [twice] a day [late].", way="bank")
    parts = parts_read(kind_of(item).public(item, "s"))
    assert parts["text"] == "tide comes… a day… ."
    assert sorted(parts["bank"].split(", ")) == ["High", "late", "twice"]
