"""Names in the order of a language: what the pages sort by (`composables/ordering.test.ts` reads the same list)."""

import json
from pathlib import Path
from random import Random
from unicodedata import normalize

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.classes.ordering import in_order, order_of

LISTS = json.loads((Path(__file__).parents[1] / "samples" / "names_in_order.json").read_text())


@pytest.mark.parametrize("language", LISTS)
def test_a_list_has_the_order_of_its_language(language):
    mixed = Random(3).sample(LISTS[language], len(LISTS[language]))
    assert in_order(mixed, language) == LISTS[language]


@given(st.lists(st.text(max_size=12), max_size=8), st.sampled_from(sorted(LISTS)))
def test_any_names_can_be_sorted_and_only_the_same_ones_are_equal(names, language):
    by_name = order_of(language)
    assert list(map(by_name, in_order(names, language))) == list(map(by_name, in_order(names[::-1], language)))
    assert len(set(map(by_name, names))) == len({normalize("NFC", name) for name in names})
