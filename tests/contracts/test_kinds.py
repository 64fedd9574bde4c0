"""What every kind has to keep, without naming one."""

import ast
import itertools
import json
import re
from math import isfinite
from random import Random
from typing import get_args

import pytest
from pydantic import BaseModel

from lantern.core.errors import BadAnswer
from lantern.core.formats.item_text import write_item
from lantern.core.formats.markdown import read_set
from lantern.core.questions import KINDS, kind_of, read_item, with_new_ids
from lantern.core.questions.items import Picture, Question, Severity, is_scored
from lantern.core.questions.read_out import parts_read, words_of
from lantern.core.session.events import Answered
from lantern.core.session.model import ask_id
from lantern.core.session.stored import EVENT, read_event, write_event
from lantern.core.values import ShortId
from tools.server import ROOT

SAMPLES = [(kind, sample) for kind in KINDS for sample in kind.samples()]
ASKED = [(kind, sample) for kind, sample in SAMPLES if kind.is_asked]
ANSWERED = [(kind, sample, a) for kind, sample in ASKED for a in (sample.right, *sample.others) if a]

OPINIONS_ONLY = {"open_response", "rating_scale", "point_split"}
"""Kinds that have no right answer, ever: written here by hand."""

all_samples = pytest.mark.parametrize(("kind", "sample"), SAMPLES, ids=lambda v: getattr(v, "name", None))
asked_samples = pytest.mark.parametrize(("kind", "sample"), ASKED, ids=lambda v: getattr(v, "name", None))


def test_names_are_told_once():
    names = [kind.name for kind in KINDS]
    assert len(set(names)) == len(names)


@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_each_kind_brings_samples(kind):
    assert kind.samples()
    if kind.is_asked:
        scored = {is_scored(s.item) for s in kind.samples()}
        assert (True in scored) == (kind.name not in OPINIONS_ONLY)
        assert kind.tally_model is not None


TO_READ = {"html", "prompt_html", "body_html", "name", "bank", "low_label", "high_label", "first_label", "last_label"}
"""Fields of what a device is told that hold words for students to read."""


def texts_to_read(value, *, is_text=False):
    if isinstance(value, dict):
        for name, inner in value.items():
            yield from texts_to_read(inner, is_text=name in TO_READ)
    elif isinstance(value, list | tuple):
        for inner in value:
            yield from texts_to_read(inner, is_text=is_text)
    elif is_text and isinstance(value, str):
        yield from words_of(value)


@all_samples
def test_all_that_a_student_has_to_read_is_read_aloud(kind, sample):
    public = kind.public(sample.item, "s")
    parts = parts_read(public)
    read = {word.strip("…,") for words in parts.values() for word in words}
    assert [word for word in texts_to_read(public.model_dump()) if word.strip("…,") not in read] == []


@all_samples
def test_a_sample_can_run(kind, sample):
    assert [p for p in kind.check(sample.item) if p.severity is Severity.WRONG] == []


@all_samples
def test_an_item_is_read_back_as_it_was_written(kind, sample):
    assert read_item.validate_json(sample.item.model_dump_json()) == sample.item
    assert kind_of(sample.item) is kind


@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_an_empty_item_is_a_draft_and_says_what_is_missing(kind):
    empty = kind.item(id="empty")
    assert any(p.severity is Severity.WRONG for p in kind.check(empty))


@all_samples
def test_what_is_public_is_the_same_whatever_the_key_is(kind, sample):
    """Two items that differ in key, explanation and marking alone look the same to a student."""
    if not isinstance(sample.item, Question):
        pytest.skip("it has no key")
    public = kind.public(sample.item).model_dump_json()
    for private in keyless_variants(sample.item):
        assert kind.public(private).model_dump_json() == public


@all_samples
def test_new_ids_are_new_everywhere_and_change_nothing_else(kind, sample):
    """A part may have had an id that says what is right; after that no trace of an old id is left."""
    numbers = itertools.count()
    renewed = with_new_ids(sample.item, lambda: f"fresh{next(numbers)}")
    assert renewed.id == sample.item.id
    old = set(re.findall(r'"(?:id|partner_id|group)":"([^"]+)"', parts_of(sample.item)))
    new = set(re.findall(r'"(?:id|partner_id|group)":"([^"]+)"', parts_of(renewed)))
    assert not old & new
    assert len(new) == len(old)
    anonymous = [re.sub(r'"(id|partner_id|group)":"[^"]+"', "", parts_of(item)) for item in (sample.item, renewed)]
    assert anonymous[0] == anonymous[1]


def parts_of(item):
    return item.model_dump_json(exclude={"id"})


@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.name)
def test_parts_are_named_by_fields_that_are_known(kind):
    """Every id inside an item stands in a field that `with_new_ids` renews, or names a stored file."""
    known = {"id", "partner_id", "group", "media", "captions"}

    def fields_of(model):
        for name, field in model.model_fields.items():
            if SHORT_ID in str(field):
                yield name
            for inner in models_in(field.annotation):
                yield from fields_of(inner)

    assert set(fields_of(kind.item)) <= known


SHORT_ID = str(get_args(ShortId)[1].pattern)


def models_in(annotation):
    if isinstance(annotation, type) and issubclass(annotation, BaseModel):
        return [annotation]
    return [model for inner in get_args(annotation) for model in models_in(inner)]


@all_samples
def test_a_fogged_picture_is_not_described_to_who_may_not_see_it(kind, sample):
    picture = Picture(media="m1", description="A razorbill", credit="Photo of a razorbill", width=10, height=10)
    fogged = sample.item.model_copy(update={"picture": picture, "fog": "dense"})
    assert "azorbill" not in kind.public(fogged).model_dump_json()
    assert "azorbill" in kind.public(fogged.model_copy(update={"fog": "none"})).model_dump_json()


def keyless_variants(item):
    """The item with every boolean and explanation inside it turned to each value it could have."""
    yield item.model_copy(update={"explanation": "another reason"})
    body = json.loads(item.model_dump_json())
    for value in (True, False):
        yield read_item.validate_python(_with_nested_booleans(body, value) | {"scored": body["scored"]})


def _with_nested_booleans(value, flag):
    if isinstance(value, bool):
        return flag
    if isinstance(value, dict):
        return {key: _with_nested_booleans(inner, flag) for key, inner in value.items()}
    if isinstance(value, list):
        return [_with_nested_booleans(inner, flag) for inner in value]
    return value


@asked_samples
def test_the_right_answer_has_the_full_mark_k1(kind, sample):
    if sample.right is None:
        assert kind.key(sample.item) is None
        return
    assert kind.score(sample.item, sample.right) == 1
    assert kind.key(sample.item) is not None


@pytest.mark.parametrize(("kind", "sample", "answer"), ANSWERED)
def test_marks_lie_between_nought_and_one_or_are_none_k2(kind, sample, answer):
    kind.accept(sample.item, answer)
    mark = kind.score(sample.item, answer)
    assert (mark is None) == (not is_scored(sample.item))
    assert mark is None or 0 <= mark <= 1


@pytest.mark.parametrize(("kind", "sample", "answer"), ANSWERED)
def test_mixing_the_parts_changes_no_mark_k4(kind, sample, answer):
    for seed in range(5):
        mixed = kind.mixed(sample.item, Random(seed))
        assert kind.score(mixed, answer) == kind.score(sample.item, answer)


@asked_samples
def test_the_tally_counts_every_answer_in_any_order(kind, sample):
    answers = [a for a in (sample.right, *sample.others) if a]
    tallies = {kind.tally(sample.item, p).model_dump_json() for p in itertools.permutations(answers)}
    assert len(tallies) == 1
    assert kind.tally(sample.item, answers).n == len(answers)
    assert kind.tally(sample.item, []).n == 0


@pytest.mark.parametrize(("kind", "sample", "answer"), ANSWERED)
def test_an_answer_is_readable_in_a_table_and_kept_in_an_event(kind, sample, answer):
    assert kind.answer_text(sample.item, answer)
    assert 0 < len(kind.short_text(sample.item, answer)) <= 12
    event = Answered(ask_id(sample.item.id, 1), answer)
    assert read_event(EVENT.latest, write_event(event)) == event


@asked_samples
def test_made_up_answers_fit_and_able_students_do_better(kind, sample):
    rng = Random(3)
    answers = {p: [kind.imagine(sample.item, p, rng) for _ in range(200)] for p in (0.1, 0.9)}
    for answer in itertools.chain(*answers.values()):
        kind.accept(sample.item, answer)
    if is_scored(sample.item):
        low, high = (sum(kind.score(sample.item, a) for a in answers[p]) for p in (0.1, 0.9))
        assert low < high


@asked_samples
def test_an_answer_to_another_item_is_refused_or_harmless(kind, sample):
    """Ids that the item does not have never raise anything but BadAnswer."""
    for _, other in ASKED:
        if other.item.kind != kind.name or other.item == sample.item:
            continue
        for answer in (a for a in (other.right, *other.others) if a):
            try:
                kind.accept(sample.item, answer)
            except BadAnswer:
                continue


@all_samples
def test_everything_written_can_be_found(kind, sample):
    assert sample.item.prompt in kind.texts(sample.item)


def test_each_kind_has_its_folder_in_the_front_end_and_its_line_in_the_list():
    views = ROOT / "frontend/src/questions"
    registry = (views / "registry.ts").read_text()
    editing = (views / "editing/index.ts").read_text()
    for kind in KINDS:
        assert f"./kinds/{kind.name}'" in registry
        assert f"../kinds/{kind.name}/editing'" in editing
        own = views / "kinds" / kind.name
        assert {"index.ts", "Player.vue", "Result.vue"} <= {p.name for p in own.iterdir()}
        assert {"index.ts", "Editor.vue"} <= {p.name for p in (own / "editing").iterdir()}


NAMES = {kind.name for kind in KINDS}
MODELS = {
    model.__name__
    for kind in KINDS
    for model in (kind.item, kind.answer, kind.public_item, kind.key_model, kind.tally_model)
    if model
}


def asks_which_kind(source: str) -> list[int]:
    """Lines of Python that compare a kind's name, look an object up by one, or ask for a kind's class."""
    found = []
    for node in ast.walk(ast.parse(source)):
        if isinstance(node, ast.Compare):
            texts = {text.value for text in ast.walk(node) if isinstance(text, ast.Constant)}
            found += [node.lineno] if texts & NAMES and "kind" in ast.dump(node) else []
        elif isinstance(node, ast.Dict):
            keys = {key.value for key in node.keys if isinstance(key, ast.Constant)}
            found += [node.lineno] if len(keys & NAMES) > 2 else []
        elif isinstance(node, ast.Call) and getattr(node.func, "id", "") in {"isinstance", "issubclass"}:
            names = {name.id for name in ast.walk(node) if isinstance(name, ast.Name)}
            found += [node.lineno] if names & MODELS else []
        elif isinstance(node, ast.MatchClass) and getattr(node.cls, "id", "") in MODELS:
            found.append(node.lineno)
    return found


@pytest.mark.parametrize(
    "source",
    [
        'if item.kind == "choice": pass',
        'if "order" != item.kind: pass',
        'if answer.kind in {"choice", "order"}: pass',
        "if isinstance(item, ChoiceItem): pass",
        "if isinstance(item, PageItem | PointItem): pass",
        'WRITERS = {"choice": 1, "order": 2, "match": 3}',
        "match item:\n    case ChoiceItem(): pass",
    ],
)
def test_the_look_for_kinds_finds_what_it_is_for(source):
    assert asks_which_kind(source)


OWN_PLACE = {"lantern/core/questions/kinds", "lantern/server/demo/sets", "lantern/server/demo"}
"""Where kinds live, and where the demo's sets are written and their pictures drawn."""
IN_SCRIPTS = re.compile(
    rf"kind\W{{0,3}}\s*[!=]==?\s*['\"](?:{'|'.join(NAMES)})['\"]|case\s+['\"](?:{'|'.join(NAMES)})['\"]\s*:"
    rf"|['\"](?:{'|'.join(NAMES)})['\"]\s*[!=]==?\s*[\w.]*kind\b"
)


def test_no_code_asks_which_kind_it_has():
    """A kind lives in its own module and folder: nothing else asks for kinds by name or by class."""
    found = []
    for path in (ROOT / "lantern").rglob("*.py"):
        place = path.relative_to(ROOT)
        if str(place.parent) not in OWN_PLACE:
            found += [f"{place}:{line}" for line in asks_which_kind(path.read_text())]
    scripts = [*(ROOT / "frontend/src").rglob("*.vue"), *(ROOT / "frontend/src").rglob("*.ts")]
    for path in scripts:
        if "kinds" not in path.parts and path.name != "schema.d.ts" and not path.name.endswith(".test.ts"):
            found += [f"{path.relative_to(ROOT)}: {match[0]}" for match in IN_SCRIPTS.finditer(path.read_text())]
    assert found == []


@asked_samples
def test_measures_are_numbers_with_names_and_none_come_of_nothing(kind, sample):
    rng = Random(7)
    answers = [kind.imagine(sample.item, 0.5, rng) for _ in range(20)]
    for figure in kind.figures(sample.item, kind.tally(sample.item, answers)):
        assert figure.name
        assert isfinite(figure.value)
    empty = kind.figures(sample.item, kind.tally(sample.item, []))
    assert all(figure.value == 0 for figure in empty)


@asked_samples
def test_every_line_of_the_counts_can_be_said_in_a_sentence(kind, sample):
    """It names the answer: two lines that count different answers are not said alike."""
    answers = [kind.imagine(sample.item, 0.5, Random(3)) for _ in range(20)]
    rows = kind.count_rows(sample.item, kind.tally(sample.item, answers))
    said = {(row.label, row.text): kind.say(row).sentence for row in rows}
    assert all(said.values())
    assert len(set(said.values())) == len(said)


@asked_samples
def test_counts_in_a_report_are_never_below_nought_and_know_what_is_right(kind, sample):
    rng = Random(7)
    answers = [kind.imagine(sample.item, 0.5, rng) for _ in range(20)]
    rows = kind.count_rows(sample.item, kind.tally(sample.item, answers))
    assert rows
    assert all(row.count >= 0 for row in rows)
    if not is_scored(sample.item):
        assert {row.right for row in rows} == {None}


@all_samples
def test_the_text_form_holds_everything_but_ids(kind, sample):
    numbers = itertools.count()
    read, misread = read_set(write_item(sample.item), lambda: f"new{next(numbers)}")
    assert misread == []
    (back,) = read.items
    assert sorted(kind.texts(back)) == sorted(kind.texts(sample.item))
    assert back.model_dump().keys() == sample.item.model_dump().keys()
    assert write_item(back) == write_item(sample.item)


@asked_samples
def test_what_a_kind_is_made_of_fits_itself(kind, sample):
    """Taking over its own substance gives an item of the kind, with the same right texts."""
    numbers = itertools.count()
    substance = kind.substance(sample.item)
    fields = kind.take_over(substance, lambda: f"new{next(numbers)}")
    made = read_item.validate_python({"id": "made", "kind": kind.name, "prompt": sample.item.prompt, **fields})
    again = kind.substance(made)
    if is_scored(sample.item) and is_scored(made) and any(substance.right_texts()):
        assert again.right_texts()[:1] == substance.right_texts()[:1]
    assert len(again.all_lines()) >= min(len(substance.all_lines()), 1)


@asked_samples
def test_ids_made_anew_are_never_the_same_twice(kind, sample):
    numbers = itertools.count()
    made = []

    def new_id():
        made.append(f"new{next(numbers)}")
        return made[-1]

    fields = kind.from_lines(kind.to_lines(sample.item), new_id)
    assert set(fields) == set(kind.text_fields)
    assert len(set(made)) == len(made)


@asked_samples
def test_what_is_right_is_said_in_words_where_something_is(kind, sample):
    assert bool(kind.key_text(sample.item)) == (kind.key(sample.item) is not None)
    if isinstance(sample.item, Question):
        assert kind.key_text(sample.item.model_copy(update={"scored": False})) == ""


@asked_samples
def test_a_line_of_the_counts_is_made_of_those_who_gave_it(kind, sample):
    rng = Random("thirds")
    imagined = [kind.imagine(sample.item, ability, rng) for ability in (0.1, 0.4, 0.7, 1)]
    answers = [answer for answer in (sample.right, *sample.others, *imagined) if answer]
    rows = kind.count_rows(sample.item, kind.tally(sample.item, answers))
    for row in (row for row in rows if row.right is not None):
        assert sum(kind.gave(sample.item, answer, row) for answer in answers) == row.count, row
