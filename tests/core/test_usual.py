"""The second look at what was read: what is not in the lines of a text as it is in the question is doubtful."""

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
    first, _, rest = item.prompt.partition(" ")
    yield {"prompt": rest}


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
