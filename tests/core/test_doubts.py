"""What makes a reading doubtful: something odd in it, or something by which it stands out among its neighbours."""

from itertools import count

import pytest

from lantern.core.formats.pasted.reader import read_pasted


def entries_of(text):
    numbers = count(1)
    return read_pasted(text, lambda: f"new{next(numbers)}").entries


def doubts(text):
    """The codes of what is said of each question that is not sure."""
    entries = [entry for entry in entries_of(text) if not entry.out]
    return [() if entry.sure else tuple(one.code for one in entry.sentences) for entry in entries]


def quiz(*changes, count=4):
    """A plain quiz of `count` questions, of which the named ones are as they are given."""
    usual = "{n}. Which of these is number {n}?\na) rope {n}\nb) sail {n}\nc) oar {n}\nAnswer: b"
    given = dict(changes)
    return "\n\n".join(given.get(n, usual.format(n=n)) for n in range(1, count + 1))


def test_a_plain_quiz_is_not_doubted():
    assert doubts(quiz()) == [(), (), (), ()]


@pytest.mark.parametrize(
    ("second", "code"),
    [
        ("2. Which of these floats?\na) rope\nb) sail\nc) oar\nd) keel\nAnswer: b", "others_options"),
        ("2. Which of these floats?\na) rope\nb) sail\nc) oar\nAnswer: a, b", "others_one_right"),
        ("2. Look at the picture.\nWhich of these floats?\na) rope\nb) sail\nc) oar\nAnswer: b", "others_shorter"),
        ("2. Which of these floats?", "others_answered"),
        ("2. Which of these is number 1?\na) rope 1\nb) sail 1\nc) oar 1\nAnswer: b", "asked_twice"),
    ],
)
def test_a_question_that_stands_out_is_doubted(second, code):
    found = doubts(quiz((2, second)))
    assert code in found[1]
    assert found[2:] == [(), ()]


def test_several_right_ones_are_expected_where_the_question_asks_for_them():
    second = "2. Which of these float? Choose two.\na) rope\nb) sail\nc) oar\nAnswer: a, b"
    assert doubts(quiz((2, second))) == [(), (), (), ()]


def test_a_number_that_is_left_out_is_told_on_both_sides_of_it():
    text = quiz().replace("3. Which", "5. Which").replace("4. Which", "6. Which")
    assert doubts(text) == [(), ("numbers_jump",), ("numbers_jump",), ()]


def test_a_part_that_counts_anew_jumps_nowhere():
    text = quiz().replace("3. Which", "1. Which of both").replace("4. Which", "2. Which of both")
    assert doubts(text) == [(), (), (), ()]


def test_a_key_that_answers_a_question_which_is_not_there_is_told_above_it():
    text = "1. Which knot?\na) reef\nb) bend\n\n2. Which sail?\na) jib\nb) lug\n\nKey: 1 a, 2 b, 3 c"
    assert doubts(text) == [(), ("key_answers_more",)]


def test_a_number_of_which_one_half_was_not_understood_is_told():
    text = "1. Who found it?\n2. Where was it?\n3. When was it found?\n\nNotes\n\n1. two divers"
    assert "number_twice" in doubts(text)[0]


@pytest.mark.parametrize(
    ("text", "stands"),
    [
        ("1.2 How often is high tide?\nAnswer: twice", "1.2 How often is high tide?"),
        ("[Quiz A] How often is high tide?\nAnswer: twice", "[Quiz A]"),
        ("Notice: how often is high tide?\nAnswer: twice", "Notice:"),
        ("Matching\nAnswer: twice", "Matching"),
        ("What is a brig?\na) a ship\nb) a rope [1]\nAnswer: a", "[1]"),
        ("What is a brig? c\na) a ship\nb) a rope\nAnswer: a", "? c"),
        ("What is a brig?\na) a ship x\nb) a rope\nAnswer: a", "p x"),
        (f"What is a brig?\na) a ship\nb) a sail\nc) a rope{' and more of it' * 12}\nAnswer: a", "a rope and more"),
        ("Which is it, sextant or compass?\nAnswer: compass", "compass"),
        ("Which is larger, 2/3 or 3/5?\nAnswer: 2/3", "2/3"),
        ("Say them from A to C: keel, boom, mast\nAnswer: boom, keel, mast", "boom, keel, mast"),
        ("The ship sailed at noon.\nAnswer: she did", "The ship sailed at noon."),
        ("What is a brig? Who sails it? Tell me.\nAnswer: Ines", "ig? Who sails it?"),
        ("What is a brig?\na) a ship\nb) a rope\nAnswer: a\nExplanation: 3. The mast is high.", "3."),
        ("1. What is a brig?\n\nTarnholm School\n\na) a ship\nb) a rope\nAnswer: a", "Tarnholm School"),
        ("What is a brig?\nTarnholm School\nAnswer: a ship", "Tarnholm School"),
        ("What is a brig? **bold\nAnswer: a ship", "**bold"),
        ("a) bow = front\na) stern = back\na) mast = middle", "a) bow"),
        ("1. What is a tide race? (own words)\nAnswer: (own words) A rough place.", "(own words)"),
        ("1. The tide ____ (rises / falls / sinks) at noon.\nAnswer: turns", "(rises / falls / sinks)"),
        ("1. How far is it?\nAnswer: 12 long miles off", "12 long miles off"),
        ("1. The tide rises/falls at noon?\nAnswer: rises", "rises/falls"),
        ("1. How far is it?\nAnswer: 1.200 m", "1.200"),
        ("1. What is a brig? – for all\na) a ship\nb) a rope\nAnswer: a", "– for all"),
        ("The ship sailed at noon.\nAnswer: 2", "The ship sailed at noon."),
        ("bow = front ✓\nkeel = low ✓\nmast = high", "✓"),
        ("port = red / left / old\nbow = front / fore / head\nkeel = low / deep / long", "/ left /"),
    ],
)  # fmt: skip
def test_what_is_odd_in_a_question_is_shown(text, stands):
    told = [str(one) for entry in entries_of(text) if not entry.sure for one in entry.sentences]
    assert any(one.startswith(f"“{stands}") for one in told), told


def test_a_word_in_brackets_behind_a_gap_may_be_a_help_for_it():
    assert doubts("1. Yesterday we ____ home. (sail)\n2. Then she ____ the sails. (lower)") == [
        ("word_as_answer",),
        ("word_as_answer",),
    ]


def test_words_are_sorted_into_groups_where_the_text_lists_them_twice():
    listed = "Sort the words: cod, gull, tern\n\nFish: cod\nBird: gull, tern"
    assert doubts(listed) == [()]
    assert doubts(listed.replace(": cod, gull, tern", ".")) == [("lists_as_groups",)]
