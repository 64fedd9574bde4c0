import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.classes.names import MAX_NAME, clean_name, told_apart
from lantern.core.errors import BadName


@given(st.text(max_size=120))
def test_a_name_is_refused_or_fit_to_be_shown(text):
    try:
        name = clean_name(text)
    except BadName:
        return
    assert 0 < len(name) <= MAX_NAME
    assert name == name.strip()
    assert "\n" not in name
    assert "\u202e" not in name
    assert clean_name(name) == name


@pytest.mark.parametrize("name", ["Óðinn", "Bo Tanaka-Lind", "ﻓﺎﻃﻤﺔ", "李小龍", "👩‍🔬 Ada", "Ng", "D'Arcy"])
def test_names_of_all_kinds_stay_as_they_are(name):
    assert clean_name(f"  {name} ") == name


@given(st.lists(st.sampled_from(["Fen", "fen", "FEN", "Bo"]), max_size=20))
def test_no_two_are_called_the_same(names):
    taken: list[str] = []
    for name in names:
        taken.append(told_apart(name, taken))
    assert len({name.casefold() for name in taken}) == len(taken)
    assert all(len(name) <= MAX_NAME for name in taken)


def test_a_long_name_leaves_room_for_its_number():
    long = "x" * MAX_NAME
    assert len(told_apart(long, [long])) <= MAX_NAME
