"""Every case of the tables in docs/marking: what a teacher reads there is what happens."""

import pytest

from lantern.core.errors import BadAnswer
from lantern.core.questions.kinds import gap_fill, numeric_entry, text_entry, word_cloud
from lantern.core.questions.marking.numbers import NotANumber, Question, read_number, written
from lantern.core.questions.marking.plurals import merged_as
from lantern.core.questions.marking.spelling import SWITCHES, Strictness
from tests.contracts.marking_cases import Case, cases_of

SCRIPTS = 12
"""Languages or scripts that every table has to have."""


def each(name, *headings):
    found = [case for case in cases_of(name) if all(heading in case.cells for heading in headings)]
    return pytest.mark.parametrize("case", found, ids=lambda case: case.place)


def strictness_of(words: str) -> Strictness:
    """ "usual", "strict", and switches that are forgiven (+) or count (-) besides."""
    strict = Strictness(**dict.fromkeys(SWITCHES, True)) if "strict" in words else Strictness()
    return strict.model_copy(update={word[1:]: word[0] == "-" for word in words.split() if word[0] in "+-"})


def marked(case: Case, form: str) -> float:
    item = text_entry.TextEntryItem(
        id="t",
        form=form,
        accepts=(case["accepted"],),
        language=case["language"],
        strictness=strictness_of(case["switches"]),
    )
    return text_entry.KIND.score(item, text_entry.TextEntryAnswer(text=case["typed"]))


@each("text")
def test_a_typed_text(case):
    assert marked(case, "text") == float(case["mark"])


@each("dictation")
def test_a_dictation(case):
    assert marked(case, "dictation") == float(case["mark"])


@each("gaps")
def test_gaps(case):
    item = gap_fill.GapFillItem(
        id="g",
        text=case["text"].replace("/", "|"),
        way=case["way"].split()[0],
        all_or_nothing="all" in case["way"],
        language=case["language"],
        strictness=strictness_of(case["switches"]),
    )
    answer = gap_fill.GapFillAnswer(texts=tuple("" if t == "∅" else t for t in case["typed"].split(" ; ")))
    gap_fill.KIND.accept(item, answer)
    assert gap_fill.KIND.score(item, answer) == float(case["mark"])


@each("clouds", "one")
def test_words_counted_as_one(case):
    one, other = (merged_as(case[side], case["language"]) for side in ("word", "other"))
    assert (one == other) == (case["one"] == "1")


@each("clouds", "most")
def test_a_scored_cloud(case):
    item = word_cloud.WordCloudItem(
        id="c",
        scored=True,
        most=int(case["most"]),
        accepts=tuple(case["accepted"].split(", ")),
        language=case["language"],
    )
    answer = word_cloud.WordCloudAnswer(words=tuple(case["sent"].split(", ")))
    assert word_cloud.KIND.score(item, answer) == float(case["mark"])


@each("numbers")
def test_a_number(case):
    unit, turned = case["unit"].removesuffix(" turned"), case["unit"].endswith(" turned")
    asked = Question(case["language"], unit, turned)
    if case["read"] != "–":
        assert written(read_number(case["typed"], asked)) == case["read"]
        return
    with pytest.raises(NotANumber, match=r"\.$"):
        read_number(case["typed"], asked)
    item = numeric_entry.NumericEntryItem(id="n", unit=unit, converts=turned, language=case["language"], value=0)
    with pytest.raises(BadAnswer):
        numeric_entry.KIND.accept(item, numeric_entry.NumericEntryAnswer(text=case["typed"]))


@pytest.mark.parametrize("name", ["text", "dictation", "gaps", "clouds", "numbers"])
def test_every_table_is_wide_enough(name):
    cases = cases_of(name)
    assert len(cases) >= 40
    assert len({case["language"].split("-")[0] for case in cases}) >= SCRIPTS
