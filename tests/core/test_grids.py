"""Crosswords and word searches (docs/games.md, Q1 to Q9)."""

from collections import Counter

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from lantern.core.classes.unfit import words_to_avoid
from lantern.core.grids import MOST_WORDS, Clued, make_crossword, make_word_search, words_from
from lantern.core.grids.crossword import attempts, runs_in
from lantern.core.grids.letters import letters_of
from lantern.core.grids.word_search import lines_of

SEA = (
    "tide buoy gannet lighthouse harbour skerry kelp halyard mooring fathom lantern beacon osprey curlew estuary ebb "
    "spring neap sextant compass bowline cleat fender jetty shoal current isobar squall gale breeze rudder keel mast "
    "anchor tern puffin plover heron lobster dredger ferry pilot chart sounding lead line channel marker flare signal"
).split()
texts = st.text(st.sampled_from("ABCDEÉÑλשדहिक"), min_size=2, max_size=9)


CLUE = "What is this called?"


def words_of(*texts):
    found, _ = words_from([Clued(f"q{n}", CLUE, text) for n, text in enumerate(texts)])
    return found


@pytest.mark.parametrize(
    ("text", "letters"),
    [
        ("Tide", "T I D E"),
        ("spring tide", "S P R I N G T I D E"),
        ("man-o’-war", "M A N O W A R"),
        ("l'été", "L É T É"),
        ("e\u0301cole", "É C O L E"),
        ("Straße", "S T R A ß E"),
        ("ﬁn", "F I N"),
        ("क्षत्रिय", "क्ष त्रि य"),
        ("أهلًا", "أ ه لً ا"),
        ("שלום", "ש ל ו ם"),
        ("маяк", "М А Я К"),
        ("灯台", "灯 台"),
        ("B52", "B 5 2"),
    ],
)
def test_a_letter_is_what_a_reader_takes_for_one_q1(text, letters):
    (word,) = words_of(text)
    assert " ".join(word.letters) == letters
    assert word.text == text


def test_the_clue_says_how_many_letters_each_part_has_q1():
    (word,) = words_of("man-o’-war")
    assert word.parts == (3, 1, 3)


@pytest.mark.parametrize("text", ["", "?", "a", "3.5 %", "x = 2", "tide!", "a" * 21, "🚢 ship", "port/starboard"])
def test_what_cannot_lie_in_a_grid_is_told_q1(text):
    found, left = words_from([Clued("q1", "What is this? It is a question.", text)])
    assert (found, [one.why.code for one in left]) == ([], ["no_grid_word"])


def test_of_a_pair_the_side_that_is_one_word_is_hidden_q1():
    pairs = [
        Clued("q1", "Which rope hauls up a sail?", "halyard"),
        Clued("q2", "ebb", "the tide that goes out"),
        Clued("q3", "spring tide", "the highest tide"),
        Clued("q4", "Halyard", "a rope"),
        Clued("q5", "", "tide"),
    ]
    found, left = words_from(pairs)
    assert [(one.text, one.clue) for one in found] == [
        ("halyard", "Which rope hauls up a sail?"),
        ("ebb", "the tide that goes out"),
        ("spring tide", "the highest tide"),
    ]
    assert [(one.text, one.why.code) for one in left] == [("Halyard", "grid_word_twice"), ("tide", "no_grid_word")]


def test_there_are_sixty_words_at_most_q1():
    every = [f"{a}{b}{c}" for a in "abcde" for b in "abcd" for c in "abcd"]
    found, left = words_from([Clued(text, CLUE, text) for text in every])
    assert len(found) == MOST_WORDS
    assert {one.why.code for one in left} == {"grid_is_full"}


@settings(max_examples=80)
@given(st.lists(texts, min_size=1, max_size=30), st.integers(0, 99))
def test_every_run_of_a_crossword_is_one_of_its_words_and_none_is_lost_q2_q3(given_texts, seed):
    words = words_of(*given_texts)
    made = make_crossword(words, str(seed))
    letters = made.letters()
    assert Counter(runs_in(letters)) == Counter(entry.word.letters for entry in made.entries)
    assert Counter(entry.word for entry in made.entries) + Counter(made.left) == Counter(words)
    for entry in made.entries:
        assert tuple(letters[cell] for cell in entry.cells()) == entry.word.letters
    assert len(_pieces(letters)) == (1 if letters else 0)
    rows, columns = {row for row, _ in letters}, {column for _, column in letters}
    assert (rows, columns) == (set(range(made.rows)), set(range(made.columns)))


def _pieces(cells):
    """Those that hang together."""
    left, pieces = set(cells), []
    while left:
        piece, edge = set(), {left.pop()}
        while edge:
            row, column = edge.pop()
            piece.add((row, column))
            near = {(row + 1, column), (row - 1, column), (row, column + 1), (row, column - 1)} & left
            left -= near
            edge |= near
        pieces.append(piece)
    return pieces


def test_words_with_no_letter_in_common_are_left_over_and_told_q3():
    made = make_crossword(words_of("tide", "tern", "fjord", "mugs"), "a")
    assert {word.text for word in made.left} == {"mugs"}


@pytest.mark.parametrize("size", [4, 12, 50])
def test_words_of_the_sea_all_cross_q3_q5(size):
    made = make_crossword(words_of(*SEA[:size]), "a seed")
    assert made.left == ()
    assert made.score >= 0.1
    assert max(made.rows, made.columns) < 35


@given(st.permutations(SEA[:9]), st.integers(0, 5))
def test_the_same_words_and_seed_give_the_same_q4(order, seed):
    pairs = {text: Clued(text, CLUE, text) for text in order}
    one, _ = words_from(pairs[text] for text in order)
    other, _ = words_from(pairs[text] for text in sorted(order))
    assert make_crossword(one, str(seed)) == make_crossword(other, str(seed))
    assert make_word_search(one, str(seed), "slopes") == make_word_search(other, str(seed), "slopes")


def test_another_seed_gives_another_q4():
    words = words_of(*SEA[:12])
    assert len({make_crossword(words, str(seed)).entries for seed in range(8)}) > 4
    assert len({make_word_search(words, str(seed), "straight").grid for seed in range(8)}) == 8


def test_of_several_attempts_the_best_is_taken_q5():
    """No single attempt of those that it makes has more words or more crossings."""
    words = sorted(words_of(*SEA[:20]))
    every = list(attempts(words, "x"))
    assert len(every) > 20
    made = make_crossword(words, "x")
    crossings = sum(count > 1 for count in Counter(cell for one in made.entries for cell in one.cells()).values())
    assert (len(made.entries), crossings) == max(one.worth[:2] for one in every)
    assert made.score == round(crossings / len(made.letters()), 3)


def test_numbers_run_in_the_order_of_reading_q6():
    made = make_crossword(words_of(*SEA[:20]), "b")
    firsts = {(entry.row, entry.column): entry.number for entry in made.entries}
    assert [firsts[cell] for cell in sorted(firsts)] == list(range(1, len(firsts) + 1))
    assert made.numbers() == firsts


@pytest.mark.parametrize(
    ("texts", "to_the_left"),
    [(("tide", "ebb"), False), (("שלום", "ים"), True), (("بحر", "موج"), True), (("маяк",), False)],
)
def test_a_script_that_is_read_from_right_to_left_runs_so_q6(texts, to_the_left):
    assert make_crossword(words_of(*texts), "c").to_the_left is to_the_left
    assert make_word_search(words_of(*texts), "c", "straight").to_the_left is to_the_left


WAYS = {"straight": {(0, 1), (1, 0)}, "slopes": {(0, 1), (1, 0), (1, 1), (-1, 1)}}


@settings(max_examples=40, deadline=None)
@given(st.lists(st.sampled_from(SEA), min_size=1, max_size=25), st.sampled_from(("straight", "slopes", "backwards")))
def test_each_word_is_hidden_once_and_stands_nowhere_else_q7_q9(given_texts, directions):
    words = words_of(*given_texts)
    made = make_word_search(words, "seed", directions)
    assert made.left == ()
    assert {one.word for one in made.hidden} == set(words)
    lines = [[(cell, made.grid[cell[0]][cell[1]]) for cell in line] for line in lines_of(len(made.grid))]
    for one in made.hidden:
        assert tuple(made.grid[row][column] for row, column in one.cells) == one.word.letters
        way = (one.cells[1][0] - one.cells[0][0], one.cells[1][1] - one.cells[0][1])
        assert way in WAYS.get(directions, {way})
        places = _places_of(one.word.letters, lines)
        held = [set(other.cells) for other in made.hidden if other is not one]
        assert {place for place in places if not any(place <= there for there in held)} == {frozenset(one.cells)}
    own = {letter for word in words for letter in word.letters}
    assert {letter for row in made.grid for letter in row} <= own


def _places_of(letters, lines):
    size = len(letters)
    return {
        frozenset(cell for cell, _ in line[start : start + size])
        for line in lines
        for start in range(len(line) - size + 1)
        if tuple(letter for _, letter in line[start : start + size]) == letters
    }


def test_no_unfit_word_can_be_read_in_any_direction_unless_a_word_holds_it_q8():
    """Letters that make such words likely: without the rule they are there."""
    words, avoided = words_of("brass", "bass", "cassock", "class", "sabot"), {"ass", "bob", "sac"}

    def readable(made):
        lines = [[(cell, made.grid[cell[0]][cell[1]]) for cell in line] for line in lines_of(len(made.grid))]
        held = [set(one.cells) for one in made.hidden]
        places = [place for text in avoided for place in _places_of(letters_of(text), lines)]
        return [place for place in places if not any(place <= there for there in held)]

    assert any(readable(make_word_search(words, str(seed), "slopes")) for seed in range(30))
    assert not any(readable(make_word_search(words, str(seed), "slopes", avoided)) for seed in range(30))


def test_words_to_avoid_are_those_of_the_list_that_ships_q8():
    avoided = words_to_avoid()
    assert len(avoided) > 80
    assert all(len(word) >= 3 and word.isalnum() for word in avoided)
