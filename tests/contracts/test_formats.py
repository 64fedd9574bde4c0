"""Every format of whole sets: what was written is read back; nothing that is in a file makes a reader raise."""

import io
import json
import re
import zipfile
from functools import cache
from itertools import count

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from openpyxl import Workbook

from lantern.core.formats.exchange import File, Incoming, Source, Unreadable, media_ids
from lantern.core.formats.registry import FORMATS, READERS, WRITERS, read_file
from lantern.core.questions import KINDS, read_item
from lantern.core.questions.content import About, SetContent
from lantern.core.questions.items import Picture
from lantern.core.questions.kinds.choice import Option
from lantern.core.questions.kinds.match import MatchItem, Pair
from tests.builders import a_set, choice, page
from tests.builders.anything import any_item
from tests.core.test_markdown import AWKWARD, without_ids

WHOLE = [one for one in WRITERS if one.name in {"markdown", "xlsx", "ods", "csv", "json", "archive"}]
SAMPLES = [sample.item for kind in KINDS for sample in kind.samples()]
PICTURE = File("anchor.webp", b"RIFF-not-really-a-picture")
by_name = pytest.mark.parametrize("form", WHOLE, ids=lambda form: form.name)


def ids():
    numbers = count(1)
    return lambda: f"new{next(numbers)}"


def stored(media_id):
    return PICTURE


def there_and_back(form, content):
    data = form.write(content, stored)
    return read_file(Source(f"Knots that hold{form.suffix}", data), ids())


def same(item):
    """What an item says, whatever its ids; the members of groups in any order."""
    body = without_ids(item)
    if "members" in body:
        names = {group["id"]: group["text"] for group in body["groups"]}
        body["members"] = sorted((one["text"], names.get(one["group"], "")) for one in body["members"])
        body["groups"] = sorted(names.values())
    return json.dumps(body, sort_keys=True)


@by_name
def test_every_kind_is_read_back_as_it_was_written(form):
    items = tuple(item.model_copy(update={"tags": ("loops", "ropes"), "by": "Fen O."}) for item in SAMPLES)
    back = there_and_back(form, a_set(*items))
    assert [entry.sentences for entry in back.entries if entry.sentences] == []
    assert [same(entry.item) for entry in back.entries] == [same(item) for item in items]
    assert back.title == "Knots that hold"


@by_name
@pytest.mark.parametrize("text", AWKWARD)
def test_awkward_texts_come_back_whole(form, text):
    item = choice("B", prompt=text, explanation=text)
    options = tuple(option.model_copy(update={"text": text + option.id}) for option in item.options)
    item = item.model_copy(update={"options": options, "time_limit": None, "weight": 2})
    (entry,) = there_and_back(form, a_set(item)).entries
    assert same(entry.item) == same(item)


@by_name
@settings(deadline=None, suppress_health_check=list(HealthCheck))
@given(item=any_item())
def test_whatever_a_kind_allows_comes_back(form, item):
    back = there_and_back(form, a_set(item))
    assert [(entry.sentences, same(entry.item)) for entry in back.entries] == [((), same(item))]


@by_name
def test_pairs_of_several_lines_come_back_each_on_its_side(form):
    pair = Pair(id="p", left="bow\nof a ship", partner_id="r", right="its front\n- the sharp end")
    item = MatchItem(id="m", prompt="Match.", pairs=(pair, pair.model_copy(update={"id": "q", "partner_id": "s"})))
    (entry,) = there_and_back(form, a_set(item)).entries
    assert same(entry.item) == same(item)


@by_name
def test_bars_and_commas_in_texts_part_nothing(form):
    item = page(prompt="", body="| a | b\n| c | d\n| e; f, g")
    (entry,) = there_and_back(form, a_set(item)).entries
    assert same(entry.item) == same(item)


@pytest.mark.parametrize("form", WRITERS, ids=lambda form: form.name)
@pytest.mark.parametrize("sign", ["\0", "\x01", "\x0b", "\x0c", "\x1f", "\uffff", "\u2028", "\r\n"])
def test_characters_that_stand_for_nothing_harm_no_format(form, sign):
    item = choice("B", prompt=f"One{sign}two", explanation=f"Because{sign}so")
    (entry,) = there_and_back(form, a_set(item)).entries
    assert entry.item.prompt in {"Onetwo", "One\ntwo"}


def test_json_keeps_all_but_the_ids_of_parts_to_the_letter():
    about = About(language="fr", level_from=7, topics=("knots",), cover=Picture(media="p1", width=3, height=2))
    content = SetContent(title="Nœuds", about=about, items=tuple(SAMPLES))
    for form in (one for one in WHOLE if one.name in {"json", "archive"}):
        back = there_and_back(form, content).content()
        assert [item.id for item in back.items] == [item.id for item in content.items]
        assert anonymous(back) == anonymous(content)


def anonymous(content):
    return re.sub(r'"(id|partner_id|group)":"[^"]*"', "", content.model_dump_json())


@pytest.mark.parametrize("form", READERS, ids=lambda form: form.name)
def test_no_id_that_a_file_brings_reaches_a_device(form):
    """An id may have been chosen to say what is right."""
    if not form.writes:
        pytest.skip("it brings no ids")
    telling = choice("B", id="q1").model_copy(
        update={"options": tuple(Option(id=f"line{n}right", text=f"Knot {n}", right=n == 1) for n in range(3))}
    )
    pairs = [
        {"id": f"left{n}", "left": f"Knot {n}", "partner_id": f"left{n}partner", "right": f"Use {n}"} for n in "12"
    ]
    match = read_item.validate_python({"id": "q2", "kind": "match", "prompt": "Which?", "pairs": pairs})
    back = there_and_back(form, a_set(telling, match))
    assert len(back.content().items) == 2
    assert not re.search("line[0-9]right|left[0-9]", back.content().model_dump_json())


def test_an_archive_carries_the_files_that_the_set_names():
    item = choice("B", picture=Picture(media="p1", description="An anchor", width=30, height=20))
    (form,) = (one for one in WHOLE if one.name == "archive")
    back = there_and_back(form, a_set(item))
    assert {key: (file.name, file.data) for key, file in back.media.items()} == {"p1": ("p1.webp", PICTURE.data)}
    assert list(media_ids(back.content().model_dump(mode="json"))) == ["p1"]


@pytest.mark.parametrize("form", WRITERS, ids=lambda form: form.name)
def test_what_cannot_be_said_is_listed(form):
    with_picture = choice("B", picture=Picture(media="p1", width=3, height=2), prompt="Which anchor?")
    listed = " ".join(map(str, form.left_out(a_set(with_picture))))
    assert ("Which anchor?" in listed) == (form.name in {"xlsx", "ods", "csv", "json", "markdown"})


@cache
def bomb():
    """A small archive that unpacks to 400 MB."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        for number in range(4):
            archive.writestr(f"{number}.xml", b"0" * 100_000_000)
    return out.getvalue()


@pytest.mark.parametrize("form", WRITERS, ids=lambda form: form.name)
def test_what_a_set_is_about_is_kept_or_listed(form):
    content = a_set(choice("B")).model_copy(update={"about": About(subject="Knots", level_to=8)})
    kept = there_and_back(form, content).about == content.about
    assert kept != any("What the set is about" in str(sentence) for sentence in form.left_out(content))


@cache
def far_away_cell():
    """Two cells, the second in the last row and column: as a whole table it would take a hundred gigabytes."""
    book = Workbook()
    book.active["A1"], book.active["XFD1048576"] = "Question", "x"
    out = io.BytesIO()
    book.save(out)
    return out.getvalue()


def repeated_cells():
    """An OpenDocument row that says it is there a billion times, each cell a billion times."""
    spaces = "".join(
        f' xmlns:{name}="urn:oasis:names:tc:opendocument:xmlns:{name}:1.0"' for name in ("office", "table", "text")
    )
    cell = '<table:table-cell table:number-columns-repeated="999999999"><text:p>x</text:p></table:table-cell>'
    row = f'<table:table-row table:number-rows-repeated="999999999">{cell}</table:table-row>'
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as archive:
        archive.writestr("content.xml", f"<office:x{spaces}><table:table>{row}</table:table></office:x>")
    return out.getvalue()


def hostile(form):
    """Files that want to harm: cut short, nested, huge, out of place."""
    data = form.write(a_set(*SAMPLES), stored) if form.writes else b"\x00" * 50
    yield from (data[: len(data) * part // 7] for part in range(1, 7))
    yield bomb()
    yield far_away_cell()
    yield repeated_cells()
    yield b"[" * 100_000
    yield b'<?xml version="1.0"?><!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><x>&b;</x>'
    yield b"=HYPERLINK(1)," * 20_000
    yield b'{"format": "lantern-set", "version": 1, "title": "\\ud800", "items": [{"kind": "\\udfff"}]}'
    yield b'{"format": "lantern-set", "version": 1, "items": [' + b'{"a":' * 700 + b"1" + b"}" * 700 + b"]}"
    yield b"a,b\n" * 100_000
    yield bytes(range(256)) * 20


def entries_or_sentence(form, data):
    try:
        found = form.read(Source(f"file{form.suffix}", data), ids())
    except Unreadable as error:
        return error.sentence
    assert isinstance(found, Incoming)
    return found.entries


@pytest.mark.slow
@pytest.mark.parametrize("form", READERS, ids=lambda form: form.name)
def test_a_hostile_file_ends_in_sentences(form):
    for data in hostile(form):
        found = entries_or_sentence(form, data)
        assert found.endswith(".") if isinstance(found, str) else len(found) <= 1000


@pytest.mark.parametrize("form", READERS, ids=lambda form: form.name)
@settings(max_examples=40, deadline=None, suppress_health_check=[HealthCheck.differing_executors])
@given(junk=st.binary(max_size=400), at=st.floats(0, 1))
def test_a_file_with_a_few_bytes_changed_ends_in_sentences(form, junk, at):
    data = form.write(a_set(choice("B"), choice("AC")), stored) if form.writes else b"PK\x03\x04"
    cut = round(len(data) * at)
    entries_or_sentence(form, data[:cut] + junk + data[cut + len(junk) :])


@pytest.mark.parametrize("name", ["quiz.exe", "notes", "movie.mp4"])
def test_a_file_of_no_known_kind_says_which_are(name):
    with pytest.raises(Unreadable, match=r"These can: .*\.md"):
        read_file(Source(name, b"something"), ids())


def test_no_two_formats_share_a_name_or_a_suffix():
    assert len({one.name for one in FORMATS}) == len(FORMATS)
    assert len({one.suffix for one in WRITERS}) == len(WRITERS)
