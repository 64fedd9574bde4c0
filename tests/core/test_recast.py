"""Turning content into other kinds: what can be kept is kept, and nothing is made that could not run."""

from itertools import count
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.questions import KINDS, check_item
from lantern.core.questions.items import Question, Severity
from lantern.core.questions.kinds import classify, match, numeric_entry, text_entry
from lantern.core.questions.parts import Line
from lantern.core.questions.recast import made_of, possible, turned
from tests.builders import choice

FIRST = [kind.samples()[0].item for kind in KINDS]
WORDS = (("bâbord", "port"), ("tribord", "starboard"), ("la proue", "the bow"), ("la poupe", "the stern"))


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def vocabulary(*pairs):
    made = tuple(match.Pair(id=f"a{n}", left=a, partner_id=f"z{n}", right=b) for n, (a, b) in enumerate(pairs))
    return match.MatchItem(id="words", prompt="What does it mean?", pairs=made)


@pytest.mark.parametrize("item", FIRST, ids=lambda item: item.kind)
@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_any_item_turns_into_any_kind_and_keeps_what_both_have(item, kind):
    other = turned(item, kind.name, ids())
    assert (other.kind, other.id, other.prompt, other.picture) == (kind.name, item.id, item.prompt, item.picture)
    if isinstance(item, Question) and isinstance(other, Question):
        assert (other.explanation, other.time_limit, other.weight) == (
            item.explanation,
            item.time_limit,
            item.weight,
        )


@pytest.mark.parametrize("item", FIRST, ids=lambda item: item.kind)
def test_turning_into_its_own_kind_changes_nothing(item):
    assert turned(item, item.kind, ids()) is item


def test_the_right_answer_is_kept_where_there_is_one():
    item = choice("B", options=3)
    as_text = turned(item, "text_entry", ids())
    assert as_text.accepts == ("Knot B",)
    back = turned(as_text, "choice", ids())
    assert [(o.text, o.right) for o in back.options] == [("Knot B", True), ("", False)]
    number = turned(text_entry.TextEntryItem(id="n", prompt="?", accepts=("3,5 m",)), "numeric_entry", ids())
    assert isinstance(number, numeric_entry.NumericEntryItem)
    assert (number.value, number.unit) == (3.5, "m")
    scale = turned(number, "slider", ids())
    assert (scale.right_low, scale.right_high, scale.unit) == (3.5, 3.5, "m")
    ordered = turned(item, "order", ids())
    assert [line.text for line in ordered.lines] == ["Knot A", "Knot B", "Knot C"]


def test_pairs_become_choices_with_distractors_from_the_other_pairs():
    made = made_of([vocabulary(*WORDS)], "choice", "forward", Random(1), ids())
    assert [item.prompt for item in made] == [left for left, _ in WORDS]
    rights = {right for _, right in WORDS}
    for item, (_, right) in zip(made, WORDS, strict=True):
        texts = [option.text for option in item.options]
        assert [o.text for o in item.options if o.right] == [right]
        assert len(set(texts)) == len(texts) == 4
        assert set(texts) <= rights
        assert texts == sorted(texts, key=str.casefold)


def test_distractors_are_near_in_length_and_topic():
    long = "the part of the mast above the shrouds"
    pairs = [("a", "bow"), ("b", "keel"), ("c", "mast"), ("d", "stem"), ("e", long)]
    first = made_of([vocabulary(*pairs)], "choice", "forward", Random(1), ids())[0]
    assert long not in [option.text for option in first.options]
    tagged = [
        choice("A", options=2, prompt=f"{tag} {n}", tags=(tag,)).model_copy(
            update={
                "options": tuple(
                    o.model_copy(update={"text": f"{tag} {n}{o.id}"}) for o in choice("A", options=2).options
                )
            }
        )
        for tag in ("tides", "knots")
        for n in range(4)
    ]
    made = made_of(tagged, "choice", "forward", Random(1), ids())
    assert all(option.text.startswith("tides") for option in made[0].options)


def test_two_words_for_the_same_are_no_distractors_of_each_other():
    pairs = (("gull", "bird"), ("tern", "bird"), ("cod", "fish"), ("crab", "shellfish"))
    made = made_of([vocabulary(*pairs)], "choice", "forward", Random(1), ids())
    assert all(sum(option.text == "bird" for option in item.options) <= 1 for item in made)
    assert [o.text for o in made[0].options if o.right] == ["bird"]


@pytest.mark.parametrize(("direction", "accepted"), [("forward", "port"), ("back", "bâbord")])
def test_pairs_become_typed_answers_in_either_direction(direction, accepted):
    made = made_of([vocabulary(*WORDS)], "text_entry", direction, Random(1), ids())
    assert (len(made), made[0].accepts) == (4, (accepted,))


def test_choices_become_one_question_of_pairs_and_many_become_several():
    questions = [choice("A", options=3, prompt=f"Question {n}") for n in range(20)]
    questions = [
        q.model_copy(update={"options": tuple(o.model_copy(update={"text": f"{q.prompt} {o.id}"}) for o in q.options)})
        for q in questions
    ]
    made = made_of(questions, "match", "forward", Random(1), ids())
    assert [len(item.pairs) for item in made] == [7, 7, 6]
    assert made[0].pairs[0].left == "Question 0"
    assert made[0].pairs[0].right == "Question 0 A"


def test_groups_become_classify_or_choices():
    groups = (Line(id="g1", text="Birds"), Line(id="g2", text="Fish"))
    members = tuple(
        classify.Member(id=f"m{n}", text=text, group=group)
        for n, (text, group) in enumerate((("tern", "g1"), ("cod", "g2"), ("gull", "g1")))
    )
    item = classify.ClassifyItem(id="c", prompt="Where?", groups=groups, members=members)
    made = made_of([item], "choice", "forward", Random(1), ids())
    assert [(one.prompt, [o.text for o in one.options if o.right]) for one in made] == [
        ("tern", ["Birds"]),
        ("gull", ["Birds"]),
        ("cod", ["Fish"]),
    ]
    again = made_of([item], "classify", "forward", Random(1), ids())
    assert [m.text for m in again[0].members] == ["tern", "gull", "cod"]


@pytest.mark.parametrize("direction", ["forward", "back"])
def test_what_is_possible_is_what_comes_out_and_it_can_run(direction):
    items = [vocabulary(*WORDS), *FIRST]
    for one in possible(items, direction, ids()):
        made = made_of(items, one.kind, direction, Random(1), ids())
        assert len(made) == one.count > 0
        assert len({item.id for item in made}) == len(made)
        for item in made:
            assert [p for p in check_item(item) if p.severity is Severity.WRONG] == []


def test_nothing_comes_of_nothing():
    assert possible([], "forward", ids()) == []
    assert possible([choice("AB")], "forward", ids()) == []


@pytest.mark.parametrize("value", ["299792458", "1234567", "12345", "0.1", "1.602e-19", "12345678901234567890"])
def test_a_number_is_kept_with_every_figure_there_and_back_k6_n13(value):
    number = numeric_entry.NumericEntryItem(id="n", prompt="?", value=value, unit="m")
    for kind in ("text_entry", "choice", "gap_fill"):
        back = turned(turned(number, kind, ids()), "numeric_entry", ids())
        assert (back.value, back.unit) == (number.value, "m")


def test_a_number_is_read_in_the_language_of_the_set_n1():
    text = text_entry.TextEntryItem(id="t", prompt="?", accepts=("12.500",))
    assert [turned(text, "numeric_entry", ids(), language).value for language in ("en", "de")] == [12.5, 12500]


TEXTS = st.lists(st.text("abc d", min_size=1, max_size=6).map(str.strip).filter(bool), min_size=2, max_size=5)


@given(TEXTS)
def test_every_text_is_kept_there_and_back_k6(lines):
    pairs = vocabulary(*((line, f"{line} again") for line in lines))
    for kind, sides in (("gap_fill", "both"), ("order", "left")):
        back = turned(turned(pairs, kind, ids()), "match", ids())
        kept = [(pair.left, pair.right if sides == "both" else "") for pair in back.pairs if pair.left]
        assert kept == [(line, f"{line} again" if sides == "both" else "") for line in lines]
    spellings = text_entry.TextEntryItem(id="t", prompt="?", accepts=tuple(lines))
    for kind in ("choice", "word_cloud"):
        assert set(turned(turned(spellings, kind, ids()), "text_entry", ids()).accepts) == set(lines)
