"""Crossword (docs/games.md, E1 to E5)."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.games.contract import Asked, Given, Outline
from lantern.core.games.crossword import GAME, CrosswordSettings, Pencil
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.kinds.match import MatchItem
from lantern.core.questions.kinds.text_entry import TextEntryAnswer, TextEntryItem
from lantern.core.session import commands as c
from lantern.core.session.boards import is_over, own_board, shown_board
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.settings import Chosen, Settings
from lantern.core.session.standings import standings
from tests.builders import a_session, a_set, choice, page

SEA = ("tide", "buoy", "gannet", "lighthouse", "harbour", "skerry", "kelp", "halyard", "mooring", "fathom")


def typed(n, text):
    return TextEntryItem(id=f"q{n}", prompt=f"Which word is number {n}?", accepts=(text,), time_limit=None)


WORDS = [typed(n, text) for n, text in enumerate(SEA)]
CONTENT = a_set(*WORDS)


def played(*names, content=CONTENT, **chosen):
    settings = settings_for_game(GAME, "own_pace", Settings())
    changes = {"game": CrosswordSettings(**chosen), "mix_options": False}
    room = a_session(content, *names, **{**dict(settings), **changes})
    room.advance()
    for seat in room.state.seats:
        room.do(c.BeginPaper(seat))
    return room


def answer(room, seat, question, text):
    room.do(c.GoToPlace(seat, question))
    room.do(c.GiveAnswer(seat, f"{question}.1", TextEntryAnswer(text=text)))


def word(view, question):
    return next(one for one in view.words if one.question == question)


def test_what_is_one_word_and_crosses_is_in_it_and_the_rest_is_told_e1():
    pairs = [
        {"id": letter, "partner_id": f"p{letter}", "left": f"A {letter}", "right": f"B {letter}"} for letter in "abc"
    ]
    others = [
        page(id="p1"),
        typed(20, "zzz"),
        typed(21, "one answer that is much too long for it"),
        typed(22, "tide"),
        choice(id="c1", right="B"),
        MatchItem(id="m1", prompt="Match them", pairs=pairs),
    ]
    plan = planned([*WORDS, *others], settings_for_game(GAME, "own_pace", Settings()))
    assert plan.played == 11  # "Knot B" is the answer to the choice
    why = {one.id: one.why.code for one in plan.unplayed}
    assert why == {"p1": "unplayed_page"} | dict.fromkeys(("q20", "q21", "q22", "m1"), "unplayed_no_room")
    room = played("Fen", content=a_set(*WORDS, *others))
    assert {one.question for one in own_board(room.state, 1).words} == {*(f"q{n}" for n in range(10)), "c1"}
    assert set(room.state.papers[1].items) == {*(f"q{n}" for n in range(10)), "c1"}


def test_everybody_has_the_same_and_a_number_chooses_another_e1():
    rooms = [played("Fen", number=number) for number in (1, 1, 2, 3)]
    grids = [[(one.question, one.row, one.column) for one in shown_board(room.state).words] for room in rooms]
    assert grids[0] == grids[1]
    assert len({tuple(grid) for grid in grids}) > 1


@given(st.lists(st.text("abcdefgxyz", min_size=2, max_size=6), min_size=2, max_size=14, unique=True))
def test_of_those_that_cross_it_is_made_once_more_the_same_e1(texts):
    """Sessions are made of those alone; the teacher was told of them before."""
    asked = [Asked(f"q{n}", 1, "", text) for n, text in enumerate(texts)]
    ((_, ids),) = GAME.layout(CrosswordSettings(), asked)
    ((_, again),) = GAME.layout(CrosswordSettings(), [one for one in asked if one.question in set(ids)])
    assert again == ids


def test_who_gets_a_part_of_the_questions_has_them_in_the_grid_of_all_e1():
    settings = settings_for_game(GAME, "own_pace", Settings())
    room = a_session(CONTENT, "Fen", **{**dict(settings), "questions": Chosen(pick="each", count=3)})
    room.advance()
    room.do(c.BeginPaper(1))
    assert len(room.state.papers[1].items) == 3
    assert len(own_board(room.state, 1).words) == 10


def test_letters_are_told_with_the_mark_and_no_others_e2():
    room = played("Fen", "Bo")
    assert not any(one.letters for one in own_board(room.state, 1).words)
    answer(room, 1, "q0", "Tide")
    answer(room, 1, "q2", "a gull")
    own = own_board(room.state, 1)
    assert (word(own, "q0").letters, word(own, "q0").state) == (tuple("TIDE"), "right")
    assert (word(own, "q2").letters, word(own, "q2").state) == (tuple("GANNET"), "missed")
    assert [one.question for one in own.words if one.letters] == [
        one.question for one in own.words if one.question in ("q0", "q2")
    ]
    assert not any(one.letters for one in own_board(room.state, 2).words)


def test_a_part_of_a_mark_is_no_word_e2():
    board, hands = GAME.start(CrosswordSettings(), Outline(1, True)), {1: Pencil()}
    turn = GAME.on_answer(CrosswordSettings(), board, hands, 1, Given(0.5, 1, 1.0, 1, "q0"))
    assert (turn.hands[1].right, turn.hands[1].missed) == (frozenset(), frozenset({"q0"}))


def test_alone_the_big_screen_shows_how_many_have_it_and_no_letter_e3():
    room = played("Fen", "Bo", "Ada")
    for seat, text in ((1, "tide"), (2, "tide"), (3, "ebb")):
        answer(room, seat, "q0", text)
    seen = shown_board(room.state)
    assert (word(seen, "q0").right, seen.players) == (2, 3)
    assert not any(one.letters for one in seen.words)
    assert not is_over(room.state)


def test_alone_it_goes_on_until_each_has_done_e3():
    room = played("Fen", "Bo")
    for n, text in enumerate(SEA):
        answer(room, 1, f"q{n}", text)
    assert not is_over(room.state)


def test_together_what_anybody_has_right_stands_in_the_grid_of_all_e4():
    room = played("Fen", "Bo", together=True)
    for n, text in enumerate(SEA[:-1]):
        answer(room, 1 + n % 2, f"q{n}", text)
    answer(room, 1, "q9", "league")
    assert word(own_board(room.state, 2), "q0").state == "together"
    assert word(own_board(room.state, 2), "q0").letters == tuple("TIDE")
    assert word(shown_board(room.state), "q8").letters == tuple("MOORING")
    assert word(shown_board(room.state), "q9").letters == ()
    assert not is_over(room.state)
    answer(room, 2, "q9", "fathom")
    answer(room, 2, "q0", "tide")
    assert is_over(room.state)
    assert own_board(room.state, 2).right == 6


def test_places_are_by_right_words_e5():
    room = played("Fen", "Bo", "Ada")
    for seat, questions in ((1, (0, 1)), (2, (0, 1, 2)), (3, (3, 4, 5))):
        for n in questions:
            answer(room, seat, f"q{n}", SEA[n])
    assert {row.seat: row.place for row in standings(room.state)} == {1: 3, 2: 1, 3: 1}


@pytest.mark.parametrize(("words", "played"), [("", 0), ("tide", 0), ("tide kelp", 0), ("tide kelp skerry", 3)])
def test_it_takes_three_words_e1(words, played):
    items = [typed(n, text) for n, text in enumerate(words.split())]
    assert planned(items, settings_for_game(GAME, "own_pace", Settings())).played == played


def test_a_choice_is_answered_as_a_choice_e2():
    room = played("Fen", content=a_set(*WORDS, choice(id="c1", right="B")))
    room.do(c.GoToPlace(1, "c1"))
    room.do(c.GiveAnswer(1, "c1.1", ChoiceAnswer(chosen=("B",))))
    assert word(own_board(room.state, 1), "c1").letters == tuple("KNOTB")
