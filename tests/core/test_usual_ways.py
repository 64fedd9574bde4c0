"""Texts in usual ways, put together at random, come in as they are meant, or say that they may not be."""

from itertools import count
from random import Random

import pytest

from lantern.core.formats.registry import read_typed
from lantern.core.formats.sheet_rows import read_rows
from tests.core.incoming_samples import Shares, shares
from tests.samples import usual_ways

TEXTS = 150


def read_all(sort, seed):
    random, found = Random(seed), Shares()
    for at in range(TEXTS):
        written = sort(random)
        numbers = count(1)
        incoming = read_typed(written.text, lambda numbers=numbers: f"new{next(numbers)}", "en")
        found += shares(f"{at}: {written.ways}\n{written.text}", incoming, written.meant)
    return found


@pytest.mark.parametrize(
    "sort", [usual_ways.choices, usual_ways.lists, usual_ways.worksheets], ids=lambda sort: sort.__name__
)
def test_usual_ways_are_understood_in_every_combination(sort):
    found = read_all(sort, seed=1851)
    assert found.right >= 0.99 * found.questions, f"{found}\n{next(iter(found.wrong.items()), '')}"
    assert found.silent <= 0.002 * found.questions, f"{found}\n{next(iter(found.wrong.items()), '')}"


def test_usual_sheets_are_understood_in_every_combination():
    random, found = Random(1851), Shares()
    for at in range(TEXTS):
        rows, meant = usual_ways.sheets(random)
        numbers = count(1)
        incoming = read_rows(rows, {}, lambda numbers=numbers: f"new{next(numbers)}", "en")
        found += Shares() if incoming.asks else shares(f"{at}: {rows}", incoming, meant)
    assert found.questions > 2 * TEXTS
    assert found.right == found.questions, f"{found}\n{next(iter(found.wrong.items()), '')}"
