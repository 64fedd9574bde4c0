"""Round the island (docs/games.md, R1 to R8)."""

from itertools import count
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import NotPossible
from lantern.core.games.contract import Asked, Given, Newcomer, Outline
from lantern.core.games.island import GAME, LONGEST, Boat, IslandSettings, MoveBoat, Roll
from lantern.core.games.teams import GiveTurn
from lantern.core.session import commands as c
from lantern.core.session.boards import own_board, shown_board
from lantern.core.session.manners import settings_for_game
from lantern.core.session.model import Phase
from lantern.core.session.moves import Move, next_move
from lantern.core.session.settings import Settings
from tests.builders import a_session, a_set, choice


class Game:
    """Played by hand, without a session: player n is in team n."""

    def __init__(self, *players, questions=12, seed=1, **chosen):
        self.chosen = IslandSettings(**{"teams": max(2, len(players)), **chosen})
        asked = tuple(Asked(f"q{n}", 1, "") for n in range(questions))
        self.board, self.hands = GAME.start(self.chosen, Outline(questions, False, asked)), {}
        self.numbers = count()
        for player in players:
            self.after(GAME.on_join(self.chosen, self.board, self.hands, Newcomer(player, Random(1))))
        self.after(GAME.on_begin(self.chosen, self.board, self.hands, Random(seed)))

    def after(self, turn):
        self.board, self.hands = turn.board, {**self.hands, **turn.hands}

    def question(self, marks):
        """The next one: what everybody gave, by player. Returns what was rolled for it."""
        number = next(self.numbers)
        self.board = GAME.on_open(self.chosen, self.board, f"q{number}", 1)
        rolled = self.board.rolled
        for player, mark in marks.items():
            self.after(
                GAME.on_answer(self.chosen, self.board, self.hands, player, Given(mark, 1, 1, number, f"q{number}"))
            )
        self.board = GAME.on_told(self.chosen, self.board, f"q{number}")
        return rolled

    def put(self, team, bay):
        boats = list(self.board.boats)
        boats[team] = Boat(bay)
        self.board = type(self.board)(**{**vars(self.board), "boats": tuple(boats)})

    @property
    def bays(self):
        return [boat.bay for boat in self.board.boats]

    def places(self):
        return {boat.number: boat.place for boat in GAME.screen_view(self.chosen, self.board, self.hands).boats}


def drawn(*players, **more):
    """Each player in the team of their number, from 0."""
    game = Game(*players, events=False, bays=LONGEST, **more)
    teams = {hand.team: player for player, hand in game.hands.items()}
    return game, [teams[team] for team in range(len(players))]


def test_it_is_as_far_as_the_questions_go_and_something_happens_in_every_fourth_bay_r1():
    assert Game(1, 2, questions=12).board.bays == round(12 * (0.5 + 2.5 / 2))
    assert Game(1, 2, questions=2).board.bays == 12
    assert Game(1, 2, questions=200).board.bays == LONGEST
    assert Game(1, 2, bays=20).board.events == {4: "current", 8: "lighthouse", 12: "shoal", 16: "fog"}
    assert Game(1, 2, events=False).board.events == {}
    assert Game(1, 2, made="room").board.events == {}


@given(st.integers(0, 10**6), st.lists(st.tuples(st.booleans(), st.booleans()), min_size=1, max_size=10))
def test_who_rolled_goes_on_by_it_and_who_knew_it_too_by_one_r3(seed, answers):
    game, (one, other) = drawn(1, 2, seed=seed)
    wanted = [0, 0]
    for turn, (first, second) in enumerate(answers):
        rolled = game.question({one: float(first), other: float(second)})
        assert 1 <= rolled <= 6
        for team, right in enumerate((first, second)):
            wanted[team] += (rolled if team == turn % 2 else 1) * right
        assert game.bays == wanted


def test_a_team_knew_it_where_the_mean_of_its_members_is_a_half_r3():
    game, _ = drawn(1, 2)
    mates = {team: [player for player, hand in game.hands.items() if hand.team == team] for team in (0, 1)}
    game.after(GAME.on_join(game.chosen, game.board, game.hands, Newcomer(3, Random(1))))
    team = game.hands[3].team
    rolled = game.question({3: 1.0, mates[team][0]: 0.0})
    assert game.bays[team] == (rolled if team == 0 else 1)


def test_the_same_seed_rolls_the_same_and_rolls_are_not_all_alike_r4():
    def rolls(seed):
        game, _ = drawn(1, 2, seed=seed)
        return [game.question({}) for _ in range(12)]

    assert rolls(1) == rolls(1) != rolls(2)
    assert set(rolls(1) + rolls(2) + rolls(3)) == {1, 2, 3, 4, 5, 6}


def test_what_was_rolled_stays_where_a_question_is_left_r4():
    game, _ = drawn(1, 2)
    game.board = GAME.on_open(game.chosen, game.board, "q0", 1)
    rolled = game.board.rolled
    game.board = GAME.on_close(game.chosen, game.board, "q0", was_asked=False)
    game.board = GAME.on_open(game.chosen, game.board, "q3", 1)
    assert game.board.rolled == rolled


@pytest.mark.parametrize(
    ("bay", "event", "comes_to", "waits"),
    [(4, "current", 6, 0), (8, "lighthouse", 8, 0), (12, "shoal", 10, 0), (16, "fog", 16, 1)],
)
def test_what_happens_in_a_bay_happens_to_the_boat_that_was_rolled_for_r5(bay, event, comes_to, waits):
    game = Game(1, 2, bays=40)
    players = {hand.team: player for player, hand in game.hands.items()}
    ahead = GAME.on_open(game.chosen, game.board, "q0", 1).rolled
    game.put(0, bay - ahead)
    game.put(1, bay - 1)
    game.question({players[0]: 1.0, players[1]: 1.0})
    assert game.bays == [comes_to, bay]
    assert (game.board.last.event, game.board.boats[0].waits) == (event, waits)
    assert game.board.comes_next == (0 if event == "lighthouse" else 1)


def test_a_boat_in_fog_misses_one_turn_r5():
    game = Game(1, 2, bays=40)
    players = {hand.team: player for player, hand in game.hands.items()}
    game.put(0, 16 - GAME.on_open(game.chosen, game.board, "q0", 1).rolled)
    turns = []
    for marks in ({players[0]: 1.0}, {}, {}, {}):
        turns.append(game.board.comes_next)
        game.question(marks)
    assert turns == [0, 1, 1, 0]


def test_who_did_not_know_it_meets_nothing_r5():
    game = Game(1, 2, bays=40)
    game.put(0, 8)
    game.question({})
    assert game.board.last.event is None
    assert game.board.comes_next == 1


def test_what_chance_decided_stays_where_the_board_is_looked_at_again_r4():
    game = Game(1, 2)
    assert GAME.on_begin(game.chosen, game.board, game.hands, Random(9)).board is game.board


def test_turns_go_round_among_teams_that_anybody_is_in_r6():
    game, players = drawn(1, 2, 3)
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, players[1]))
    turns = []
    for _ in range(4):
        turns.append(game.board.comes_next)
        game.question({})
    assert turns == [0, 2, 0, 2]


def test_who_was_taken_out_comes_back_to_the_same_team_v1():
    game, players = drawn(1, 2, 3)
    for turn in (GAME.on_leave, GAME.on_leave):
        game.after(turn(game.chosen, game.board, game.hands, players[1]))
    assert game.board.crews.sizes == (1, 0, 1)
    for _ in range(2):
        game.after(GAME.on_join(game.chosen, game.board, game.hands, Newcomer(players[1], Random(1))))
    assert game.board.crews.sizes == (1, 1, 1)


def test_the_desk_moves_boats_and_gives_the_turn_r7():
    game = Game(1, 2, made="room", bays=20)
    for guide in (MoveBoat(team=1, bays=6), MoveBoat(team=2, bays=2), MoveBoat(team=2, bays=-5), GiveTurn(team=2)):
        assert GAME.guide_refused(game.chosen, game.board, guide) is None
        game.board = GAME.on_guide(game.chosen, game.board, guide)
    assert (game.bays, game.board.comes_next) == ([6, 0], 1)
    assert GAME.guide_refused(game.chosen, game.board, GiveTurn(team=3)).code == "no_such_team"


def test_it_is_over_once_a_boat_is_round_and_those_of_one_question_are_equal_r8():
    game = Game(1, 2, 3, bays=12, events=False)
    players = {hand.team: player for player, hand in game.hands.items()}
    for team, bay in ((0, 11), (1, 11), (2, 5)):
        game.put(team, bay)
    assert not GAME.over(game.chosen, game.board)
    game.question({players[0]: 1.0, players[1]: 1.0})
    assert GAME.over(game.chosen, game.board)
    assert game.places() == {1: 1, 2: 1, 3: 3}
    game.put(2, 11)
    game.question(dict.fromkeys(players.values(), 1.0))
    assert game.places() == {1: 1, 2: 1, 3: 3}
    assert GAME.screen_view(game.chosen, game.board, game.hands).turn is None


QUESTIONS = a_set(*(choice(id=f"q{n}", time_limit=None) for n in range(4)))


def island(*names, **chosen):
    settings = dict(settings_for_game(GAME, "led", Settings()))
    changes = {"game": IslandSettings(**{"teams": 2, **chosen}), "mix_options": False, "close_when_all_answered": False}
    return a_session(QUESTIONS, *names, **{**settings, **changes})


def test_a_player_of_the_team_whose_turn_it_is_rolls_and_that_opens_the_next_question_r2():
    room = island("Fen", "Bo")
    for seat in (1, 2):
        with pytest.raises(NotPossible):
            room.do(c.MakeMove(seat, Roll()))
    room.advance()
    assert room.state.phase is Phase.STANDINGS
    seats = {room.state.hands[seat].team: seat for seat in (1, 2)}
    assert [own_board(room.state, seats[team]).may_roll for team in (0, 1)] == [True, False]
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(seats[1], Roll()))
    assert refused.value.message.code == "not_your_turn"
    room.do(c.MakeMove(seats[0], Roll()))
    assert (room.state.phase, room.state.cursor) == (Phase.OPEN, "q0")
    rolled = shown_board(room.state).rolled
    room.answer(seats[0], "B")
    room.answer(seats[1], "B")
    room.advance(2)
    assert sorted(boat.bay for boat in shown_board(room.state).boats) in ([1, rolled], [rolled, 1], [1, 6])
    room.advance()
    assert own_board(room.state, seats[1]).may_roll or shown_board(room.state).last.event == "lighthouse"


def test_the_large_button_rolls_for_them_and_asks_every_question_r2():
    room = island("Fen", "Bo", bays=60)
    asked = []
    while next_move(room.state) is not Move.END:
        room.advance()
        if room.state.phase is Phase.OPEN:
            asked.append(room.state.cursor)
            room.do(c.Close(room.state.step))
    assert asked == ["q0", "q1", "q2", "q3"]


def test_no_device_is_told_what_will_be_rolled():
    room = island("Fen", "Bo")
    room.advance()
    assert own_board(room.state, 1).rolled is None
    assert room.state.board.salt not in shown_board(room.state).model_dump_json()
