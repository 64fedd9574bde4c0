"""The second look at what was read: what is not in the lines of a text as it is in the question is doubtful."""

import re
from itertools import count
from random import Random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from lantern.core.formats.pasted.asking import Found
from lantern.core.formats.pasted.reader import read_pasted
from lantern.core.formats.pasted.source import lines_of
from lantern.core.formats.pasted.usual import looked_over
from tests.samples import usual_exercises, usual_ways
from tests.samples.mixed_quizzes import mixed_quizzes

SORTS = (
    usual_ways.choices, usual_ways.annotated, usual_ways.lists, usual_ways.worksheets, mixed_quizzes,
    usual_exercises.matching, usual_exercises.ordering, usual_exercises.several, usual_exercises.statements,
)  # fmt: skip


def read(text):
    numbers = count(1)
    return read_pasted(text, lambda: f"new{next(numbers)}").entries


def found_in(entries):
    return [Found(int(str(entry.place.params["number"])), entry) for entry in entries]


def other_prompt(item):
    yield {"prompt": f"{item.prompt} Really"}
    yield {"prompt": item.prompt.partition(" ")[2]}


def other_options(item):
    options = item.options
    right = next(at for at, option in enumerate(options) if option.right)
    wrong = next(at for at, option in enumerate(options) if not option.right)
    turned = {right: False, wrong: True}
    yield {
        "options": tuple(one.model_copy(update={"right": turned.get(at, one.right)}) for at, one in enumerate(options))
    }
    yield {"options": tuple(one.model_copy(update={"right": True}) for one in options)}
    if item.form != "true_false":
        yield {"options": options[:-1]}
        yield {"options": (options[1], options[0], *options[2:])}
        yield {"options": (*options[:-1], options[-1].model_copy(update={"text": f"{options[-1].text} or so"}))}


def other_parts(item):
    """Changes after which an item says something else."""
    if item.prompt and not getattr(item, "text", "") and not getattr(item, "pairs", ()):
        yield from other_prompt(item)
    if any(option.right for option in getattr(item, "options", ())):
        yield from other_options(item)
    accepts = getattr(item, "accepts", ())
    if accepts and not isinstance(accepts, str):
        yield {"accepts": (f"{accepts[0]}s", *accepts[1:])}
        yield {"accepts": (*accepts, "something else")}
    if getattr(item, "value", None) is not None:
        yield {"value": item.value + 1}
    if getattr(item, "text", ""):
        yield {"text": item.text.replace("]", "s]", 1)}
        yield {"text": f"{item.text} too"}
    for name, half in (("pairs", "right"), ("lines", "text")):
        parts = getattr(item, name, ())
        if parts:
            first, second = (getattr(one, half) for one in parts[:2])
            yield {
                name: (
                    parts[0].model_copy(update={half: second}),
                    parts[1].model_copy(update={half: first}),
                    *parts[2:],
                )
            }
            yield {name: parts[:-1]}


@settings(max_examples=60)
@given(st.integers(0, 10**6), st.sampled_from(SORTS))
def test_a_question_that_says_anything_else_than_its_lines_is_doubtful(seed, sort):
    written = sort(Random(seed))
    entries = read(written.text)
    lines = lines_of(written.text)
    for at, entry in enumerate(entries):
        if not entry.sure or entry.out:
            continue
        for change in other_parts(entry.item):
            changed = entry.model_copy(update={"item": entry.item.model_copy(update=change)})
            (after,) = looked_over(lines, found_in([*entries[:at], changed, *entries[at + 1 :]]))[at : at + 1]
            assert not after.entry.sure, (written.text, change)


QUIZ = "1. What pulls the sea?\na) the moon\nb) the wind\nc) the rain\nAnswer: a"


def doubts(text):
    """Of each question and of what waits to be mended: what is said of it, "" where nothing is."""
    return [
        "" if entry.sure else str(entry.sentences[-1].params.get("line", entry.sentences[-1].code))
        for entry in read(text)
        if not entry.out
    ]


def test_a_question_in_a_usual_way_is_not_doubtful():
    assert doubts(QUIZ) == [""]
    assert doubts(f"Knots\n\n{QUIZ}\nExplanation: It is near.\n\nLet me know if you would like more!") == [""]


@pytest.mark.parametrize(
    ("text", "shown"),
    [
        (QUIZ.replace("What", "BIO-1 What"), "BIO-1 What pulls the sea?"),
        (QUIZ.replace("1. What", "1. 0:45 What"), "0:45 What pulls the sea?"),
        (QUIZ.replace("What", "Look here: What"), "Look here: What pulls the sea?"),
        (QUIZ.replace("sea?", "sea? (K2)"), "What pulls the sea? (K2)"),
        (QUIZ.replace("sea?", "sea?      2 P"), "What pulls the sea? 2 P"),
        (QUIZ.replace("sea?", "sea [20 s]?"), "What pulls the sea [20 s]?"),
        (QUIZ.replace("b)", "b."), "the rain"),
        (QUIZ.replace("Answer: a", "Correction: not b, but a\nAnswer: a"), "Correction: not b, but a"),
        (re.sub(r"(the \w+)", r"\1 (row 3)", QUIZ.replace("What pulls the sea", "What pulls it")), "the rain (row 3)"),
    ],
)
def test_what_stands_before_behind_or_below_a_part_is_shown(text, shown):
    assert doubts(text) == [shown]


@pytest.mark.parametrize(
    ("text", "codes"),
    [
        ("1. What pulls the sea? -> the moon", [""]),
        ("1. What pulls the sea?\nthe moon", ["behind_as_answer"]),
        ("bow = front\nstern = back\nkeel = bottom", [""]),
        ("bow: front\nstern: back\nkeel: bottom", ["bow"]),
        ("Cause = effect\n\nrain = flood\nwind = waves\nfrost = ice", ["Cause"]),
        ("ebb = out (slow, wide)\nflow = in (fast, deep)\nslack = none (short, calm)", ["out (slow, wide)"]),
        ("Match.\nbow – front\nstern – back.\nkeel – bottom", ["bow"]),
    ],
)
def test_a_way_that_says_little_is_usual_only_where_nothing_speaks_against_it(text, codes):
    assert doubts(text) == codes


def test_a_question_without_an_answer_is_doubtful_where_anything_else_is():
    plain = "1. What pulls the sea?\n2. What does a pilot do?"
    assert doubts(plain) == ["", ""]
    assert doubts(f"{plain}\n\nCulverts") == ["others_doubtful", "others_doubtful", "may_ask"]


@pytest.mark.parametrize(
    ("line", "waits"),
    [
        ("Part B", False),
        ("### More of it", False),
        ("Choose the right answer.", False),
        ("The sea is wide and deep.", False),
        ("Would you like more questions?", False),
        ("12", True),
        ("dont peek!", True),
        ("Explain how a delta grows.", True),
    ],
)
def test_lines_in_no_question_are_nothing_or_wait_to_be_mended(line, waits):
    head = "\n\n2. What is a bay?\na) water\nb) land\nc) air\nAnswer: a" if line.startswith(("Part", "Choose")) else ""
    found = doubts(f"{QUIZ}\n\n{line}{head}")
    assert ("may_ask" in found) == waits


@pytest.mark.parametrize(
    ("key", "sure"),
    [
        ("Answers: 1a 2b", [True, True]),
        ("Answers:\n1. a\n2. b", [True, True]),
        ("Answers:\n1. the moon\n2. b) land", [True, True]),
        ("Answers:\n1. a (It is near.)\n2. b", [True, True]),
        ("Answers: 2b 1a", [False, False]),
        ("Answers:\n1. a\n2. b\n3. c", [True, False, False]),
    ],
)
def test_a_key_says_in_its_order_what_is_right(key, sure):
    text = f"1. What pulls the sea?\na) the moon\nb) the wind\n2. What is a cape?\na) water\nb) land\n\n{key}"
    assert [entry.sure for entry in read(text)] == sure
