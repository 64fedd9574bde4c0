from random import Random

import pytest

from lantern.core.classes.join_codes import WORDS, make_code, read_code


def test_what_is_made_can_be_read():
    rng = Random(1)
    for _ in range(200):
        code = make_code(rng)
        assert read_code(code) == code


@pytest.mark.parametrize("typed", ["kelp427", " KELP 427 ", "Kelp-427", "kelp–427", "k e l p 4 2 7"])
def test_a_code_may_be_typed_in_any_way(typed):
    assert read_code(typed) == "KELP427"


@pytest.mark.parametrize("typed", ["", "427", "KELP", "KELP42", "KELP4271", "KELP10A", "'; DROP", "KELP٤٢٧"])
def test_what_is_no_code_is_told(typed):
    assert read_code(typed) is None


def test_words_are_plain_letters_and_told_once():
    assert len(set(WORDS)) == len(WORDS)
    assert all(word.isascii() and word.isalpha() and 2 <= len(word) <= 8 for word in WORDS)
