"""Sea chest (docs/games.md, C1 to C7)."""

from random import Random

import pytest

from lantern.core.errors import NotPossible
from lantern.core.games.sea_chest import GAME, Draw, GivePearls, SeaChestSettings
from lantern.core.games.teams import GiveTurn, JoinTeam
from lantern.core.session import commands as c
from lantern.core.session.boards import own_board, shown_board
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.model import Phase
from lantern.core.session.moves import Move, next_move
from lantern.core.session.settings import Settings
from tests.builders import a_session, a_set, choice, page

OPEN = choice("A", id="o1", prompt="What would you take along?", scored=False)


def chest(*names, items=None, seed=None, **chosen):
    """A session of four cards, of which one has no right answer."""
    items = items or (*(choice("B", id=f"q{n}") for n in range(3)), OPEN)
    settings = settings_for_game(GAME, "led", Settings())
    changes = {name: getattr(settings, name) for name in ("answers", "feedback", "show_standings")}
    game = SeaChestSettings(**{"teams": 2, **chosen})
    return a_session(a_set(*items), *names, **changes, game=game)


def card(room):
    """The next one is drawn with the large button, and talked about. Returns which it was."""
    while room.state.phase is not Phase.OPEN:
        room.advance()
    drawn = room.state.cursor
    room.do(c.Close(room.state.step))
    return drawn


def give(room, question, team, pearls):
    room.do(c.GuideGame(GivePearls(question=question, team=team, pearls=pearls)))


def teams(room):
    return {team.number: team.pearls for team in shown_board(room.state).teams}


def test_every_question_is_a_card_but_no_page_c1():
    items = [choice(id="q0"), page(id="p1"), OPEN, choice(id="w0", weight=0)]
    plan = planned(items, Settings(game=SeaChestSettings()))
    assert plan.played == 3
    assert [(one.id, one.why.code) for one in plan.unplayed] == [("p1", "unplayed_page")]
    room = chest(items=items)
    room.advance()
    assert shown_board(room.state).cards == 3


def test_cards_come_as_chance_has_it_or_in_the_order_of_the_set_c1():
    orders = set()
    for seed in range(8):
        room = chest(order="drawn")
        room.state = type(room)(room.first.content, room.first.settings, f"seed {seed}").state
        orders.add(tuple(card(room) for _ in range(4)))
    assert all(sorted(order) == ["o1", "q0", "q1", "q2"] for order in orders)
    assert len(orders) > 1
    room = chest(order="set")
    assert [card(room) for _ in range(4)] == ["q0", "q1", "q2", "o1"]


def test_no_device_is_told_the_next_card_c1():
    room = chest("Ada", "Bo", made="drawn")
    room.advance()
    ahead = {"q0", "q1", "q2", "o1"}
    told = shown_board(room.state).model_dump_json() + own_board(room.state, 1).model_dump_json()
    assert not [one for one in ahead if one in told]


def test_a_player_of_the_team_whose_turn_it_is_draws_c2():
    room = chest("Ada", "Bo", made="drawn")
    with pytest.raises(NotPossible):
        room.do(c.MakeMove(1, Draw()))
    room.advance()
    seat_of = {room.state.hands[seat].team: seat for seat in (1, 2)}
    assert [own_board(room.state, seat_of[team]).may_draw for team in (0, 1)] == [True, False]
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(seat_of[1], Draw()))
    assert refused.value.message.code == "not_your_turn"
    room.do(c.MakeMove(seat_of[0], Draw()))
    assert room.state.phase is Phase.OPEN
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(seat_of[0], Draw()))
    assert refused.value.message.code == "card_is_drawn"


def test_a_card_that_is_put_back_comes_next_again_c2():
    room = chest()
    while room.state.phase is not Phase.OPEN:
        room.advance()
    drawn = room.state.cursor
    other = next(one for one in ("q0", "q1") if one != drawn)
    room.do(c.GoTo(room.state.step, other))
    assert (shown_board(room.state).card, shown_board(room.state).left) == (other, 4)
    room.do(c.Close(room.state.step))
    while room.state.phase is not Phase.STANDINGS:
        room.advance()
    assert card(room) == drawn


def test_another_can_be_drawn_where_a_card_was_left_for_a_page_c2():
    room = chest("Ada", "Bo", made="drawn", items=[choice("B", id="q0"), page(id="p1"), choice("B", id="q1")])
    while room.state.phase is not Phase.OPEN:
        room.advance()
    room.do(c.GoTo(room.state.step, "p1"))
    assert not shown_board(room.state).open
    turn = shown_board(room.state).turn
    seat = next(seat for seat in (1, 2) if room.state.hands[seat].team == turn - 1)
    assert own_board(room.state, seat).may_draw


def test_the_desk_gives_pearls_to_any_team_and_what_is_given_again_stands_c3():
    room = chest()
    with pytest.raises(NotPossible) as refused:
        give(room, "q0", 1, 2)
    assert refused.value.message.code == "card_not_drawn"
    drawn = card(room)
    give(room, drawn, 1, 2)
    give(room, drawn, 2, 1)
    assert teams(room) == {1: 2, 2: 1}
    give(room, drawn, 1, 0)
    assert teams(room) == {1: 0, 2: 1}
    other = card(room)
    give(room, other, 1, 1)
    give(room, drawn, 1, 2)
    assert teams(room) == {1: 3, 2: 1}
    assert {team.number: team.now for team in shown_board(room.state).teams} == {1: 1, 2: None}
    with pytest.raises(NotPossible):
        give(room, drawn, 3, 1)


def test_the_turn_goes_on_after_each_card_or_where_the_desk_says_c4():
    room, turns = chest(teams=3), []
    room.advance()
    for _ in range(3):
        turns.append(shown_board(room.state).turn)
        card(room)
        while room.state.phase is not Phase.STANDINGS:
            room.advance()
    assert turns == [1, 2, 3]
    assert shown_board(room.state).turn == 1
    room.do(c.GuideGame(GiveTurn(team=3)))
    assert shown_board(room.state).turn == 3


def test_what_is_told_or_begun_once_more_changes_nothing():
    room = chest(teams=3)
    drawn = card(room)
    while room.state.phase is not Phase.STANDINGS:
        room.advance()
    chosen, board, hands = room.state.settings.game, room.state.board, room.state.hands
    assert GAME.on_told(chosen, board, drawn) is board
    assert GAME.on_begin(chosen, board, hands, Random(5)).board is board


def test_teams_stay_as_they_are_once_it_has_begun_v2():
    room = chest("Ada", "Bo", made="chosen")
    room.do(c.MakeMove(1, JoinTeam(team=2)))
    room.advance()
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(1, JoinTeam(team=1)))
    assert refused.value.message.code == "game_has_begun"


def test_nobody_goes_to_a_team_of_their_choice_where_teams_are_drawn_v2():
    room = chest("Ada", "Bo", made="drawn")
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(1, JoinTeam(team=1)))
    assert refused.value.message.code == "no_such_team"


def test_answers_are_marked_and_give_no_pearls_c5():
    room = chest("Ada", "Bo", made="drawn", order="set")
    while room.state.phase is not Phase.OPEN:
        room.advance()
    room.answer(1, "B")
    while room.state.phase is not Phase.STANDINGS:
        room.advance()
    assert room.state.asks["q0.1"].responses[1].mark == 1
    assert teams(room) == {1: 0, 2: 0}


def test_it_is_over_when_the_chest_is_empty_and_pearls_may_still_be_given_c6_c7():
    room = chest()
    cards = [card(room) for _ in range(4)]
    while next_move(room.state) is not Move.END:
        room.advance()
    room.advance()
    assert shown_board(room.state).turn is None
    assert {team.place for team in shown_board(room.state).teams} == {1}
    give(room, cards[-1], 2, 2)
    assert [(team.number, team.place) for team in shown_board(room.state).teams] == [(1, 2), (2, 1)]
