"""The text form: what was written is read back, for every kind; what is not understood is told by its line."""

import json
import re
from itertools import count

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.formats.item_text import write_item
from lantern.core.formats.markdown import read_again, read_set, write_set
from lantern.core.questions import KINDS, read_item
from lantern.core.questions.content import About, SetContent
from lantern.core.questions.items import Picture
from lantern.core.values import readable
from tests.builders import a_set, choice, page

SAMPLES = [sample.item for kind in KINDS for sample in kind.samples()]
AWKWARD = (
    "## no heading",
    ":: no: setting",
    "> no reason",
    "- [x] no option",
    "| bar",
    "two\nlines",
    "<!-- {} -->",
    "ﬁ é 中 שלום",
)


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def without_ids(item):
    """The item with every id replaced by the order in which it first stands there."""
    text = item.model_dump_json()
    known: dict[str, str] = {}
    for found in re.findall(r'"(?:id|partner_id|group)":"([^"]+)"', text):
        known.setdefault(found, f"id{len(known)}")
    body = json.loads(text)

    def renamed(value):
        if isinstance(value, dict):
            return {k: known.get(v, v) if k in {"id", "partner_id", "group"} else renamed(v) for k, v in value.items()}
        return [renamed(inner) for inner in value] if isinstance(value, list) else value

    return renamed(body)


def test_every_sample_is_read_back_as_it_was_written():
    content = SetContent(
        title="Every kind", about=About(subject="Knots", level_to=8, tags=("a, b",)), items=tuple(SAMPLES)
    )
    back, misread = read_set(write_set(content), ids())
    assert misread == []
    assert (back.title, back.about) == (content.title, content.about)
    # Members of a group stand together in the text, so their order may change.
    for old, new in zip(content.items, back.items, strict=True):
        if "members" not in type(old).model_fields:
            assert without_ids(new) == without_ids(old)
        else:
            assert sorted(m.text for m in new.members) == sorted(m.text for m in old.members)


@pytest.mark.parametrize("text", AWKWARD)
@pytest.mark.parametrize("item", SAMPLES, ids=lambda item: item.id)
def test_awkward_words_anywhere_stay_what_they_are(item, text):
    body = item.model_dump(mode="json") | {"prompt": text}
    if "explanation" in body:
        body["explanation"] = text
    odd = read_item.validate_python(body)
    (back,) = read_set(write_item(odd), ids())[0].items
    assert (back.kind, back.prompt) == (odd.kind, odd.prompt)
    assert getattr(back, "explanation", "") == getattr(odd, "explanation", "")


@given(
    st.lists(
        st.text(max_size=30).map(lambda t: re.sub(r"\s+", " ", readable(t)).strip()).filter(lambda t: "<!--" not in t),
        min_size=2,
        max_size=6,
    )
)
def test_options_of_any_text_are_read_back(texts):
    options = tuple(
        o.model_copy(update={"text": t}) for o, t in zip(choice("A", options=len(texts)).options, texts, strict=True)
    )
    item = choice("A", options=len(texts)).model_copy(update={"options": options})
    (back,) = read_set(write_item(item), ids())[0].items
    assert [(o.text, o.right) for o in back.options] == [(o.text, o.right) for o in options]


def test_media_weight_and_topics_are_kept():
    picture = Picture(media="m1", width=4, height=3, description="A knot: the bowline")
    item = choice("B", options=2, picture=picture, fog="light", weight=2, tags=("knots",), time_limit=None)
    pictured = item.model_copy(
        update={"options": (item.options[0].model_copy(update={"media": picture}), item.options[1])}
    )
    (back,) = read_set(write_item(pictured), ids())[0].items
    assert without_ids(back) == without_ids(pictured)


def test_a_person_may_write_it_shortly():
    question = "## Which knot?\n- [ ] Reef knot\n- [x] Bowline\n\n> It holds.\n"
    text = question + "\n## Before you go\n:: kind: page\n| Read the forecast.\n"
    content, misread = read_set(text, ids())
    assert misread == []
    assert [item.kind for item in content.items] == ["choice", "page"]
    assert [(o.text, o.right) for o in content.items[0].options] == [("Reef knot", False), ("Bowline", True)]
    assert content.items[1].body == "Read the forecast."


@pytest.mark.parametrize(
    ("text", "line", "part"),
    [
        ("## One\n:: kind: riddle\n", 2, "no kind of question called “riddle”"),
        ("## One\n- [x] a\n\n## Two\n:: time_limit: 2\n", 5, "time_limit"),
        ("## One\n:: nonsense\n", 2, "a name, a colon and a value"),
        ("---\ntitle: x\n", 1, "has no end"),
        ("---\ntitle: x\nlanguage: no language at all\n---\n", 3, "language"),
        ("---\ntitle: x\nlevels: 8\n---\n", 3, "Nothing of this name"),
        ("---\ntitle: x\n---\nWhat is this?\n## One\n- [x] a\n", 4, "“What is this?”"),
        ("## One\n- [x] a\n* b\n- [ ] c\n", 3, "“* b”"),
        ("## One\n:: kind: match\n- a\n= b\n- [x] c\n= d\n= e\n", 7, "“= e”"),
        ("## One\n- [x] a\n- [ ] b ![x](media:m1?size=0x3)\n", 3, "width"),
    ],
)
def test_what_is_not_understood_is_told_by_its_line(text, line, part):
    _, misread = read_set(text, ids())
    assert [m.line for m in misread] == [line]
    assert part in str(misread[0].why)


def test_what_was_understood_is_not_lost_with_what_was_not():
    broken = write_set(a_set(choice("A"), page())) + "\n## Odd\n:: kind: riddle\n"
    content, misread = read_set(broken, ids())
    assert (len(content.items), len(misread)) == (2, 1)


@given(st.text(max_size=300))
def test_any_text_is_read_without_a_fault(text):
    read_set(text, ids())
    read_set("## " + text, ids())


def test_a_text_longer_than_a_set_ends_with_a_sentence():
    content, misread = read_set("## One\n- [x] a\n" * 400, ids())
    assert len(content.items) == 300
    assert [str(m.why) for m in misread] == ["A set holds at most 300 items."]


def test_items_that_say_the_same_keep_their_ids():
    content = a_set(choice("A", id="q1"), choice("B", id="q2"), choice("B", id="q3"), title="Knots")
    text = write_set(content)
    again, _, lines = read_again(text, content.items, ids())
    assert again == content
    assert [text.split("\n")[line - 1] for line in lines] == ["## Which knot?"] * 3
    changed, *_ = read_again(text.replace("Knot A", "Bowline", 1), content.items, ids())
    assert [item.id for item in changed.items][1:] == ["q2", "q3"]
    assert changed.items[0].id not in {"q1", "q2", "q3"}


OF_BEFORE = """---
title: "12"
language: fr
topics: ["knots", "ropes, lines"]
description: "Two\\nlines"
cover: {"type": "picture", "media": "c1", "description": "", "credit": "", "width": 4, "height": 3}
---

## Which one is the bowline?
:: kind: choice
:: picture: {"type": "picture", "media": "p1", "description": "Two [knots]", "credit": "", "width": 40, "height": 30}
:: tags: ["loops"]
:: time_limit: null
:: scored: false

- [ ]  <!-- {"media": {"type": "picture", "media": "k1", "description": "A", "credit": "", "width": 4, "height": 3}} -->
- [x] by day <!-- {"media": {"type": "sound", "media": "k2", "seconds": 4.0, "start": 1.0, "end": null}} -->

## Where is the mole?
:: kind: point
:: areas: [{"id": "a1", "name": "The mole", "place": {"shape": "rectangle", "x": 0.1, "y": 0.1, "width": 0.2, "height": 0.1}}]

## Why does the sea steepen?
:: kind: open_response
:: by_hand: true
:: rubric: [{"text": "It is shallow", "points": 2}]

## Which line?
:: kind: letter
:: right: ["C"]

## How deep?
:: kind: numeric_entry
:: value: "0.9"

## Which knot?
:: kind: text_entry
:: strictness: {"capitals": false, "accents": true, "articles": false, "punctuation": false, "typos": false}

= bowline
"""  # noqa: E501


def test_texts_of_before_go_on_being_read():
    content, misread = read_set(OF_BEFORE, ids())
    assert misread == []
    assert (content.title, content.about.topics) == ("12", ("knots", "ropes, lines"))
    assert (content.about.description, content.about.cover.media) == ("Two\nlines", "c1")
    choice_, point, response, letter, number, entry = content.items
    assert (choice_.picture.description, choice_.tags, choice_.time_limit) == ("Two [knots]", ("loops",), None)
    assert [(o.text, o.media.media) for o in choice_.options] == [("", "k1"), ("by day", "k2")]
    assert [(area.name, area.place.width) for area in point.areas] == [("The mole", 0.2)]
    assert [(line.text, line.points) for line in response.rubric] == [("It is shallow", 2)]
    assert (letter.right, str(number.value)) == (("C",), "9/10")
    assert (entry.strictness.typos, entry.strictness.accents) == (False, True)
    again, _ = read_set(write_set(content), ids())
    assert [without_ids(item) for item in again.items] == [without_ids(item) for item in content.items]
    assert "{" not in write_set(content)


def test_what_stands_in_a_text_is_read_by_people():
    choice_, point, *_ = read_set(OF_BEFORE, ids())[0].items
    assert ":: picture: ![Two \\[knots\\]](media:p1?size=40x30)" in write_item(choice_)
    assert "- [x] by day [](media:k2?sound=4#t=1)" in write_item(choice_)
    assert "- [x] The mole\n    rectangle: left 10 %, top 10 %, width 20 %, height 10 %" in write_item(point)
