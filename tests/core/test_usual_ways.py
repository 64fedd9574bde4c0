"""Texts in usual ways, put together at random, come in as they are meant, or say that they may not be."""

from itertools import count
from random import Random

import pytest

from lantern.core.formats.html_lines import text_of_html
from lantern.core.formats.registry import read_typed
from lantern.core.formats.sheet_rows import read_rows
from lantern.core.languages import LANGUAGES
from tests.core.incoming_samples import Shares, shares
from tests.samples import usual_exercises, usual_ways
from tests.samples.mixed_quizzes import mixed_quizzes
from tests.samples.spoken_quizzes import LANGUAGES as SPOKEN
from tests.samples.spoken_quizzes import quizzes
from tests.samples.usual_changes import CHANGES
from tests.samples.usual_pages import pages

TEXTS, TEXTS_CHANGED = 100, 16
OF_EACH_LANGUAGE = 12


def read(written, text, language):
    numbers = count(1)
    incoming = read_typed(text, lambda: f"new{next(numbers)}", language)
    return shares(f"{written.ways}\n{text}", incoming, written.meant)


def read_all(sort):
    random, found = Random(1851), Shares()
    for _ in range(TEXTS):
        written = sort(random)
        found += read(written, written.text, "en")
    return found


def fails(found):
    return f"{found}\n{next(iter(found.wrong.items()), '')}"


@pytest.mark.parametrize(
    ("sort", "share"),
    [
        (usual_ways.choices, 0.99),
        (usual_ways.treacherous, 0.97),  # an option "a" that is not the option a is asked about
        (usual_ways.annotated, 0.97),
        (usual_ways.lists, 0.99),
        (usual_ways.worksheets, 0.99),
        (mixed_quizzes, 0.98),
        (usual_exercises.matching, 0.99),
        (usual_exercises.ordering, 0.99),
        (usual_exercises.several, 0.99),
        (usual_exercises.statements, 0.99),
    ],
)
def test_usual_ways_are_understood_in_every_combination(sort, share):
    found = read_all(sort)
    assert found.right >= share * found.questions, fails(found)
    assert found.silent <= 0.002 * found.questions, fails(found)


@pytest.mark.parametrize("language", SPOKEN)
def test_usual_quizzes_are_understood_in_every_language(language):
    random, found = Random(1851), Shares()
    for _ in range(OF_EACH_LANGUAGE):
        written = quizzes(random, language)
        found += read(written, written.text, language if language in LANGUAGES else "en")
    assert found.right == found.questions, fails(found)


@pytest.mark.parametrize("change", CHANGES)
def test_usual_ways_are_understood_whatever_became_of_them_on_the_way(change):
    random, found = Random(1851), Shares()
    for _ in range(TEXTS_CHANGED):
        written = random.choice((usual_ways.choices, usual_ways.lists, usual_ways.worksheets))(random)
        found += read(written, CHANGES[change](random, written.text), "en")
    assert found.right >= 0.95 * found.questions, fails(found)
    assert found.silent <= 0.02 * found.questions, fails(found)


def test_usual_pages_are_understood_in_every_combination():
    random, found = Random(1851), Shares()
    for _ in range(TEXTS):
        written = pages(random)
        found += read(written, text_of_html(written.text), "en")
    assert found.right == found.questions, fails(found)


def test_usual_sheets_are_understood_in_every_combination():
    random, found = Random(1851), Shares()
    for at in range(TEXTS):
        rows, meant = usual_ways.sheets(random)
        numbers = count(1)
        incoming = read_rows(rows, {}, lambda numbers=numbers: f"new{next(numbers)}", "en")
        found += Shares() if incoming.asks else shares(f"{at}: {rows}", incoming, meant)
    assert found.questions > 2 * TEXTS
    assert found.right == found.questions, fails(found)
