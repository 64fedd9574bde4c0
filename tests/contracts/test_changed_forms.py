"""Written forms that were changed by a line: what they say is the same, or it is told; never silently other.

A line is deleted, doubled, or moved elsewhere: in text and JSON any line, in a sheet a row, in CSV a line of the file,
in a package a line of any of its documents.
"""

import io
import zipfile
from itertools import count

import pytest
from hypothesis import HealthCheck, example, given, settings
from hypothesis import strategies as st

from lantern.core.formats.exchange import Source, Unreadable
from lantern.core.formats.registry import WRITERS, read_file, read_typed
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.formats.sheet_write import write_table
from lantern.core.questions.content import About, SetContent
from tests.builders import choice, page
from tests.builders.anything import any_item
from tests.contracts.test_formats import ids, same, stored

FORMS = {form.name: form for form in WRITERS}
WAYS = ("deleted", "doubled", "moved")
many = settings(max_examples=50, deadline=None, suppress_health_check=list(HealthCheck))
some_sets = st.lists(any_item(), min_size=1, max_size=3)
places = st.tuples(st.sampled_from(WAYS), st.floats(0, 1), st.floats(0, 1))


def place_in(lines, change):
    return min(int(change[1] * len(lines)), len(lines) - 1)


def changed(lines, change):
    way, _, to = change
    index = place_in(lines, change)
    rest = [*lines[:index], *lines[index + 1 :]]
    if way == "deleted":
        return rest
    place = index if way == "doubled" else min(int(to * (len(rest) + 1)), len(rest))
    source = lines if way == "doubled" else rest
    return [*source[:place], lines[index], *source[place:]]


def a_set(items):
    numbered = [item.model_copy(update={"id": f"i{number}"}) for number, item in enumerate(items)]
    about = About(subject="Knots", level_to=8, description="Ropes\nand how they hold", topics=("loops",))
    return SetContent(title="Knots that hold", about=about, items=tuple(numbered))


def says_so(incoming):
    """Whether a reader tells that there is something to look at."""
    return bool(incoming.notes or incoming.asks or not incoming.entries) or any(
        entry.sentences or not entry.sure or entry.item is None for entry in incoming.entries
    )


def what_is_said(incoming):
    return (incoming.title, incoming.about, [same(entry.item) for entry in incoming.entries if entry.item])


def check(before, data, name, read=read_file):
    try:
        after = read(Source(name, data), ids())
    except Unreadable:
        return
    assert says_so(after) or what_is_said(after) == what_is_said(before)


@pytest.mark.parametrize("name", ["markdown", "json"])
@many
@given(items=some_sets, change=places)
@example(items=[choice("B"), page()], change=("deleted", 0, 0))
@example(items=[choice("B"), page()], change=("moved", 0, 0.9))
def test_a_text_with_a_line_changed_is_the_same_or_tells(name, items, change):
    form = FORMS[name]
    written = form.write(a_set(items), stored)
    file = f"Knots that hold{form.suffix}"
    lines = written.decode().split("\n")
    check(read_file(Source(file, written), ids()), "\n".join(changed(lines, change)).encode(), file)


@many
@given(items=some_sets, change=places)
def test_a_csv_with_a_line_changed_is_the_same_or_tells(items, change):
    written = FORMS["csv"].write(a_set(items), stored)
    lines = written.split(b"\r\n") if b"\r\n" in written else written.split(b"\n")
    lines = [line for part in lines for line in part.split(b"\n")]
    check(read_file(Source("a.csv", written), ids()), b"\n".join(changed(lines, change)), "a.csv")


@many
@given(items=some_sets, change=places)
def test_a_sheet_with_a_row_changed_is_the_same_or_tells(items, change):
    numbers = count(1)
    table = write_table(a_set(items), lambda: f"w{next(numbers)}")
    rows = [list(table.columns), *table.rows]
    before, after = (read_rows(some, {}, ids()) for some in (rows, changed(rows, change)))
    assert says_so(after) or what_is_said(after) == what_is_said(before)


@pytest.mark.parametrize("name", ["qti3", "qti2"])
@many
@given(items=some_sets, change=places, which=st.floats(0, 0.999))
def test_a_package_with_a_line_changed_is_the_same_or_tells(name, items, change, which):
    form = FORMS[name]
    written = form.write(a_set(items), stored)
    try:
        before = read_file(Source(f"a{form.suffix}", written), ids())
    except Unreadable:
        return  # the standard can say none of these
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(written)) as old, zipfile.ZipFile(out, "w") as new:
        documents = [one for one in old.namelist() if one.endswith(".xml")]
        chosen = documents[int(which * len(documents))]
        for one in old.namelist():
            data = old.read(one)
            new.writestr(one, b"\n".join(changed(data.split(b"\n"), change)) if one == chosen else data)
    try:
        after = read_file(Source(f"a{form.suffix}", out.getvalue()), ids())
    except Unreadable:
        return
    assert what_is_said(after) == what_is_said(before) or told(after) - told(before)


def told(incoming):
    return {str(one) for one in (*incoming.notes, *(one for entry in incoming.entries for one in entry.sentences))}


_simple = st.lists(
    st.sampled_from("rope bow stern tide mole lamp fog anchor sail keel".split()), min_size=1, max_size=3
)
_texts = _simple.map(" ".join)


@st.composite
def pasted(draw):
    """(a text as people type it, where it says of each line what it is)."""
    lines = []
    for number in range(1, draw(st.integers(2, 4)) + 1):
        options = draw(st.lists(_texts, min_size=3, max_size=5, unique=True))
        lines.append(("asks", f"{number}. Which of these is number {number}, a {draw(_texts)}?"))
        lines += [("option", f"{letter}) {text}") for letter, text in zip("abcde", options, strict=False)]
        lines[-1] = ("last", lines[-1][1])
        lines.append(("answer", f"Answer: {'abcde'[draw(st.integers(0, len(options) - 2))]}"))
        if draw(st.booleans()):
            lines.append(("why", f"Explanation: It is a {draw(_texts)}."))
        lines.append(("blank", ""))
    return lines[:-1]


@many
@given(lines=pasted(), change=places)
def test_a_pasted_text_with_a_line_changed_is_the_same_or_tells(lines, change):
    """But for what nothing in the text can tell: a last option that is gone, a reason that is gone or below another
    question, the last question, or what stands alone between two."""
    after = changed(lines, change)
    role, _ = lines[place_in(lines, change)]
    before, now = (read_typed("\n".join(text for _, text in some), ids(), "en") for some in (lines, after))
    odd = [entry for entry in before.entries if not entry.sure]
    assert len(before.entries) == sum(role == "asks" for role, _ in lines)
    assert {one.code for entry in odd for one in entry.sentences} <= {"others_options"}
    if says_so(now) or what_is_said(now) == what_is_said(before):
        return
    assert role in {"last", "why", "blank"}
