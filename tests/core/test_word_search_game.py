"""Word search, on a screen (docs/games.md, H1 to H6)."""

from itertools import pairwise, product

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from lantern.core.errors import NotPossible
from lantern.core.games.word_search import GAME, MarkLetters, WordSearchSettings, cells_between
from lantern.core.questions import kind_of
from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.core.session.boards import own_board, shown_board
from lantern.core.session.manners import misfit, planned, settings_for_game
from lantern.core.session.views import screen_view
from tests.builders import a_session, a_set
from tests.core.test_pairs import asks, matching

TERMS = (
    ("the tide going out", "ebb"),
    ("the tide coming in", "flood"),
    ("six feet of depth", "fathom"),
    ("one sea mile in an hour", "knot"),
    ("a shallow place", "shoal"),
)
WORDS = matching(*TERMS)


def alone(*names, items=(WORDS,), **chosen):
    settings = settings_for_game(GAME, "own_pace", Settings())
    game = WordSearchSettings(**chosen)
    room = a_session(a_set(*items), *names, **{**dict(settings), "game": game, "mix_options": False})
    room.advance()
    for seat in room.state.seats:
        room.do(c.BeginPaper(seat))
    return room


def seen(room, seat=1):
    (board,) = own_board(room.state, seat).boards
    return board


def place_of(board, word):
    """Its first and last cell, as somebody who looks finds it."""
    wanted = [letter.upper() for letter in word]
    for start in range(board.side**2):
        for end in range(board.side**2):
            cells = cells_between(board.side, start, end)
            if len(cells) == len(wanted) and [board.letters[cell] for cell in cells] == wanted:
                return start, end
    raise AssertionError(f"{word} is not in it")


def mark(room, start, end, seat=1, question="m1"):
    room.do(c.MakeMove(seat, MarkLetters(question=question, start=start, end=end)))


def response(room, seat=1, question="m1"):
    return room.state.asks[f"{question}.1"].responses.get(seat)


def test_pairs_are_taken_in_which_one_side_is_a_word_h1():
    long = ("what nobody can write", "lighthousekeepers")
    items = [
        matching(*TERMS[:3], ("ebb / flood", "the tide, out and in"), long, id="m2"),
        matching(*TERMS[3:], ("la poupe", "the stern"), id="m3"),
        asks(1, "Buoy"),
        asks(2, "It lies in the fairway"),
    ]
    plan = planned(items, settings_for_game(GAME, "own_pace", Settings()))
    # Three of m2, three of m3 (whose last word is the left one), and a question.
    assert (plan.pairs, plan.played) == (7, 2)
    assert [(one.id, one.why.code) for one in plan.unplayed] == [("q2", "unplayed_no_parts")]


def test_the_other_side_is_the_clue_with_the_number_of_letters_h1():
    room = alone("Ada", items=(matching(("bâbord", "to the left of it"), ("ebb tide", "flood"), ("a light", "lamp")),))
    parts = {pair.id: pair.left for pair in room.state.items["m1"].pairs}
    parts |= {pair.partner_id: pair.right for pair in room.state.items["m1"].pairs}
    assert sorted((parts[clue.part], clue.letters) for clue in seen(room).clues) == [
        ("a light", 4),
        ("ebb tide", 5),
        ("to the left of it", 6),
    ]


def test_the_room_is_shown_no_word_h5():
    room = alone("Ada")
    told = screen_view(room.state, "KELP427").model_dump_json(exclude={"title"}).casefold()
    assert not [word for pair in TERMS for word in pair if word in told]
    chosen = settings_for_game(GAME, "own_pace", Settings())
    assert misfit(chosen) is None
    assert misfit(chosen.model_copy(update={"manner": "led"})).code == "game_of_another_manner"


def test_everybody_has_the_same_grid_and_no_device_is_told_where_a_word_lies_h1_h5():
    room = alone("Ada", "Bo")
    assert seen(room, 1) == seen(room, 2)
    assert seen(room).found == ()
    assert len(seen(room).letters) == seen(room).side ** 2
    mark(room, *place_of(seen(room), "fathom"))
    (found,) = seen(room).found
    assert "".join(seen(room).letters[cell] for cell in found.cells) == "FATHOM"
    assert seen(room, 2).found == ()
    assert len(seen(room).clues) == 4


def test_a_word_is_found_from_either_end_and_the_whole_board_is_the_answer_h2_h3():
    room = alone("Ada")
    for turn, (_, word) in enumerate(TERMS):
        ends = place_of(seen(room), word)
        mark(room, *(ends if turn % 2 else ends[::-1]))
    assert response(room).mark == 1
    assert room.state.hands[1].right == 5


def test_something_else_costs_nothing_and_what_is_no_line_is_refused_h2_h3():
    room = alone("Ada")
    board = seen(room)
    start, end = place_of(board, "knot")
    wrong = next(cell for cell in range(board.side**2) if cells_between(board.side, start, cell) and cell != end)
    mark(room, start, wrong)
    assert (seen(room).missed, seen(room).found) == (1, ())
    for ends in ((0, 0), (0, 2 * board.side + 1), (0, board.side**2)):
        with pytest.raises(NotPossible):
            mark(room, *ends)
    for _, word in TERMS:
        mark(room, *place_of(seen(room), word))
    assert response(room).mark == 1


def test_a_word_is_found_once_h2():
    room = alone("Ada")
    for _ in range(len(TERMS)):
        mark(room, *place_of(seen(room), "shoal"))
    assert len(seen(room).found) == 1
    assert response(room) is None


def test_no_letter_is_shown_before_it_begins_h5():
    settings = dict(settings_for_game(GAME, "own_pace", Settings()))
    room = a_session(a_set(WORDS), "Ada", **settings)
    assert own_board(room.state, 1).boards == ()


def test_what_was_not_found_is_missing_from_the_mark_h6():
    room = alone("Ada", "Bo")
    for _, word in TERMS[:3]:
        mark(room, *place_of(seen(room), word))
    room.do(c.HandIn(1))
    assert response(room).mark == 0.6
    assert GAME.scores(room.state.settings.game, room.state.board, room.state.hands) == {1: 3, 2: 0}
    (line,) = shown_board(room.state).boards
    assert (line.found, line.pairs, line.finished) == (3, 5, 0)


def test_a_word_that_two_pairs_have_in_common_is_found_for_both_h4():
    room = alone(
        "Ada", items=(matching(("to the left of it", "port"), ("where ships lie", "Port"), ("a light", "lamp")),)
    )
    board = seen(room)
    assert len(board.clues) == 3
    lines = (cells_between(board.side, *ends) for ends in product(range(board.side**2), repeat=2))
    assert sum("".join(board.letters[cell] for cell in line) == "PORT" for line in lines) == 1
    mark(room, *place_of(seen(room), "port"))
    assert len(seen(room).found) == 2
    mark(room, *place_of(seen(room), "lamp"))
    assert response(room).mark == 1


texts = st.text("abcdeé", min_size=2, max_size=12)


@settings(max_examples=40)
@given(st.lists(texts, min_size=3, max_size=8, unique=True), st.sampled_from(("straight", "slopes", "backwards")))
def test_every_board_can_be_finished_u6(words, directions):
    item = matching(*((f"the clue of number {n}", word) for n, word in enumerate(words)))
    assert all(GAME.takes(left, right) for left, right in kind_of(item).substance(item).pairs)
    room = alone("Ada", items=(item,), directions=directions)
    for word in words:
        if response(room) is None and any(clue.letters == len(word) for clue in seen(room).clues):
            mark(room, *place_of(seen(room), word))
    assert response(room).mark == 1


@given(st.integers(2, 12), st.data())
def test_a_line_runs_straight_from_end_to_end(side, data):
    start, end = (data.draw(st.integers(0, side**2 - 1)) for _ in range(2))
    cells = cells_between(side, start, end)
    if not cells:
        return
    steps = {(b // side - a // side, b % side - a % side) for a, b in pairwise(cells)}
    assert len(steps) == 1
    assert steps <= {(down, over) for down in (-1, 0, 1) for over in (-1, 0, 1)} - {(0, 0)}
    assert (cells[0], cells[-1]) == (start, end)
