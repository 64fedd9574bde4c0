from random import Random

import pytest

from lantern.core.questions.content import problems_of
from lantern.core.questions.keys import pattern_in
from tests.builders import a_set, choice, opinion


def of(letters, parts=4):
    return [("ABCDEF".index(letter), parts) for letter in letters]


@pytest.mark.parametrize(
    ("letters", "says"),
    [
        ("AAAAA", "In 5 of 5 questions the right answer stands first."),
        ("BABBABBB", "In 6 of 8 questions the right answer stands second."),
        ("DDDDDA", "In 5 of 6 questions the right answer stands last."),
        ("ABCDABCDA", "again after 4 questions."),
        ("ABABAB", "again after 2 questions."),
        ("ABCABCA", "again after 3 questions."),
    ],
)
def test_a_pattern_is_told_in_a_sentence(letters, says):
    assert says in pattern_in(of(letters)).sentence


@pytest.mark.parametrize("letters", ["", "A", "AAAA", "ABCDB", "BDACCABD", "BBACBD", "ABCDACBD"])
def test_few_questions_and_spread_keys_are_no_pattern(letters):
    assert pattern_in(of(letters)) is None


def test_last_is_last_whatever_the_number_of_options():
    assert "stands last" in pattern_in([(2, 3), (3, 4), (4, 5), (2, 3), (3, 4), (0, 4)]).sentence


def test_true_or_false_has_no_places_to_speak_of():
    assert pattern_in(of("AAAAAAAA", parts=2)) is None


def test_keys_drawn_by_chance_are_seldom_called_a_pattern():
    rng = Random(1)
    called = sum(pattern_in([(rng.randrange(4), 4) for _ in range(10)]) is not None for _ in range(1000))
    assert called < 60


def test_the_rail_warns_once_for_the_set_and_stops_nothing():
    content = a_set(*(choice("A") for _ in range(6)), opinion())
    found = [p.problem for p in problems_of(content) if "stands first" in p.problem.sentence]
    assert [(p.severity, p.field) for p in found] == [("unwise", "options")]
    spread = a_set(*(choice(letter) for letter in "ABCDBA"))
    assert not [p for p in problems_of(spread) if "stands" in p.problem.sentence]
