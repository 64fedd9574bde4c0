"""Beacon run (docs/games.md)."""

from itertools import count
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.classes.needs import Needs
from lantern.core.errors import NotPossible
from lantern.core.games.beacons import GAME, LONGEST, BeaconsSettings
from lantern.core.games.contract import Given, Newcomer, Outline
from lantern.core.games.teams import MOST_TEAMS, JoinTeam
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import commands as c
from lantern.core.session import events as e
from lantern.core.session.boards import is_over, own_board, shown_board
from lantern.core.session.moves import Move, next_move
from tests.builders import a_session, a_set, at_own_pace, choice


class Game:
    """Played by hand, without a session."""

    def __init__(self, *, weight=10, own_pace=False, known=None, **chosen):
        self.known = known or {}
        self.chosen = BeaconsSettings(**chosen)
        self.board, self.hands = GAME.start(self.chosen, Outline(weight, own_pace)), {}
        self.moments = count(1)

    def after(self, turn):
        self.board, self.hands = turn.board, {**self.hands, **turn.hands}

    def join(self, *players):
        for player in players:
            who = Newcomer(player, Random(player), **self.known.get(player, {}))
            self.after(GAME.on_join(self.chosen, self.board, self.hands, who))
        return self

    def begin(self):
        self.after(GAME.on_begin(self.chosen, self.board, self.hands, Random(1)))
        return self

    def question(self, marks, weight=1):
        """What everybody gave, player to mark, told at once."""
        moment = next(self.moments)
        for player, mark in marks.items():
            self.answer(player, mark, weight, moment=moment)

    def answer(self, player, mark, weight=1, pace=1.0, moment=None):
        given = Given(mark, weight, pace, moment or next(self.moments))
        self.after(GAME.on_answer(self.chosen, self.board, self.hands, player, given))

    @property
    def lights(self):
        return [round(team.light, 6) for team in self.board.teams]

    @property
    def sizes(self):
        return [team.members for team in self.board.teams]

    def places(self):
        return {line.number: line.place for line in GAME.screen_view(self.chosen, self.board, self.hands).teams}


@given(st.lists(st.sampled_from((0.0, 0.5, 1.0)), max_size=14), st.integers(2, 12), st.integers(2, 5), st.booleans())
def test_teams_that_answer_alike_are_equally_far_whatever_their_size_z1(marks, players, teams, own_pace):
    game = Game(teams=teams, own_pace=own_pace).join(*range(players)).begin()
    for mark in marks:
        game.question(dict.fromkeys(range(players), mark))
    there = [light for light, size in zip(game.lights, game.sizes, strict=True) if size]
    assert there == pytest.approx([min(10, sum(marks))] * len(there))


@pytest.mark.parametrize("own_pace", [False, True])
@pytest.mark.parametrize("made", ["drawn", "chosen"])
def test_what_a_player_is_told_is_written_as_the_view_has_it(made, own_pace):
    game = Game(own_pace=own_pace, made=made, teams=3).join(1, 2, 3, 4)

    def check():
        for player in game.hands:
            told = game.chosen, game.board, game.hands, player
            assert GAME.own_text(*told) == GAME.own_view(*told).model_dump_json()

    check()
    if made == "chosen":
        game.after(GAME.on_move(game.chosen, game.board, game.hands, 1, JoinTeam(team=2)))
        check()
    game.begin()
    check()
    game.answer(1, 0.5)
    game.answer(2, 1)
    check()


def test_a_teams_light_is_the_mean_of_its_members_z1():
    game = Game(teams=2).join(1, 2, 3, 4, 5)
    of = {player: hand.team for player, hand in game.hands.items()}
    game.question({player: 1.0 if of[player] == 0 and player < 4 else 0.0 for player in of})
    right = sum(1 for player in of if of[player] == 0 and player < 4)
    assert game.lights == pytest.approx([right / game.sizes[0], 0])


@given(st.integers(0, 10**6), st.lists(st.floats(0, 1), max_size=12))
def test_a_wrong_answer_puts_out_nothing_z2(seed, marks):
    game, rng, before = Game(teams=3).join(1, 2, 3, 4), Random(seed), [0.0, 0.0, 0.0]
    for mark in marks:
        game.question({player: mark * rng.randint(0, 1) for player in (1, 2, 3, 4)})
        assert all(now >= then for now, then in zip(game.lights, before, strict=True))
        before = game.lights


@given(st.permutations(range(1, 8)), st.lists(st.sets(st.integers(1, 7)), min_size=1, max_size=6))
def test_who_answered_first_makes_no_difference_where_it_is_led_z3(order, answered):
    one, other = Game(teams=3).join(*range(1, 8)), Game(teams=3).join(*range(1, 8))
    for here in answered:
        one.question({player: player % 2 for player in sorted(here)})
        other.question({player: player % 2 for player in order if player in here})
    assert other.lights == pytest.approx(one.lights)
    assert other.places() == one.places()


def test_who_misses_two_questions_is_away_until_they_answer_again_z4():
    game = Game(teams=2, weight=20).join(1, 2, 3, 4)
    mates = [player for player, hand in game.hands.items() if hand.team == 0]
    gained = []
    for answers in ([*mates], mates[:1], mates[:1], mates[:1], mates[:1], [*mates], mates[:1]):
        before = game.lights[0]
        game.question(dict.fromkeys(answers, 1.0))
        gained.append(round(game.lights[0] - before, 3))
    # The third alone counts by itself; with the other back, each is a half again from the next question on.
    assert gained == [1, 0.5, 0.5, 1, 1, 2, 0.5]


@pytest.mark.parametrize("own_pace", [False, True])
def test_who_is_taken_out_is_no_part_of_the_mean_from_then_on_z1(own_pace):
    game = Game(teams=2, weight=40, own_pace=own_pace).join(*range(6)).begin()
    mates = [player for player, hand in game.hands.items() if hand.team == 0]
    game.question(dict.fromkeys(mates, 1.0))
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, mates[2]))
    gained = []
    for _ in range(2):
        before = game.lights[0]
        game.question({mates[0]: 1.0})
        gained.append(round(game.lights[0] - before, 3))
    assert gained == [0.5, 0.5]


def test_at_own_pace_who_gave_none_of_the_last_answers_is_away_z4():
    game = Game(teams=2, weight=40, own_pace=True).join(1, 2, 3, 4).begin()
    one = next(player for player, hand in game.hands.items() if hand.team == 0)
    gained = []
    for _ in range(8):
        before = game.lights[0]
        game.answer(one, 1.0)
        gained.append(round(game.lights[0] - before, 3))
    assert gained == [0.5] * 5 + [1] * 3


def test_who_comes_goes_to_the_smallest_team_v1():
    game = Game(teams=4).join(*range(1, 11))
    assert sorted(game.sizes) == [2, 2, 3, 3]
    game.begin()
    small = game.sizes.index(2)
    game.join(11)
    assert game.sizes[small] == 3
    assert game.hands[11].team == small


def test_teams_are_drawn_not_dealt_in_order_v1():
    drawn = {tuple(hand.team for hand in Game(teams=4).join(*range(n, n + 4)).hands.values()) for n in range(20)}
    assert len(drawn) > 5


def test_players_choose_until_it_starts_and_the_others_go_to_the_smallest_v2():
    game = Game(teams=3, made="chosen").join(1, 2, 3, 4, 5)
    assert game.sizes == [0, 0, 0]
    for player, team in ((1, 2), (2, 2), (3, 1), (1, 3)):
        assert GAME.refused(game.chosen, game.board, game.hands, player, JoinTeam(team=team)) is None
        game.after(GAME.on_move(game.chosen, game.board, game.hands, player, JoinTeam(team=team)))
    assert game.sizes == [1, 1, 1]
    game.begin()
    assert game.sizes == [2, 2, 1]
    assert GAME.refused(game.chosen, game.board, game.hands, 1, JoinTeam(team=1)).code == "game_has_begun"
    assert GAME.refused(game.chosen, game.board, game.hands, 1, JoinTeam(team=9)).code == "no_such_team"
    game.join(6)
    assert game.sizes == [2, 2, 2]


def test_a_chain_is_as_long_as_the_questions_count_z5():
    assert Game(weight=12).board.length == 12
    assert Game(weight=12, ends="first").board.length == 9
    assert Game(weight=12, length=5).board.length == 5
    assert Game(weight=400).board.length == LONGEST
    assert Game(weight=0).board.length == 10


def test_those_at_the_end_come_first_in_their_order_and_those_of_one_question_together_z6():
    game = Game(teams=4, length=3).join(*range(4))
    first, second, third, fourth = sorted(game.hands, key=lambda player: game.hands[player].team)
    for right in ([first, second, third], [first, second, third], [first, second], [third], [fourth]):
        game.question({player: float(player in right) for player in game.hands})
    assert game.places() == {1: 1, 2: 1, 3: 3, 4: 4}
    assert [team.arrived is not None for team in game.board.teams] == [True, True, True, False]


def test_a_team_that_nobody_is_in_any_more_takes_no_place_z6():
    game = Game(teams=2).join(1, 2)
    game.question({1: 1.0})
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, 1))
    assert game.places() == {game.hands[2].team + 1: 1}


def test_a_shared_device_is_a_team_v5():
    game = Game(made="shared").join(*range(MOST_TEAMS + 1))
    assert game.sizes == [2] + [1] * (MOST_TEAMS - 1)


def test_who_sits_at_a_shared_device_is_in_the_roster_and_nowhere_else_v5():
    room = a_session(a_set(choice()), "Ines Dahl,  Fen Okoro ; Bo", game=BeaconsSettings(made="shared"))
    assert room.names == ["Ines Dahl, Fen Okoro, Bo"]
    (joined,) = (record.event for record in room.history if isinstance(record.event, e.Joined))
    assert room.state.roster[joined.person].name == room.names[0]


def test_somebody_taken_out_leaves_the_team_and_comes_back_to_it_v1():
    game = Game(teams=2).join(1, 2, 3)
    team = game.hands[3].team
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, 3))
    assert sum(game.sizes) == 2
    game.question({3: 1.0})
    assert game.lights == [0, 0]
    game.join(3)
    assert (sum(game.sizes), game.hands[3].team) == (3, team)


QUESTIONS = a_set(*(choice(id=f"q{n}") for n in range(4)))


def test_a_led_session_tells_it_what_was_right_and_not_before_y2():
    room = a_session(QUESTIONS, "Fen", "Bo", game=BeaconsSettings(teams=2))
    room.advance()
    room.answer(1, "B")
    room.do(c.Close(room.state.step))
    assert [line.light for line in shown_board(room.state).teams] == [0, 0]
    room.do(c.Reveal(room.state.step))
    assert sorted(line.light for line in shown_board(room.state).teams) == [0, 1]
    assert own_board(room.state, 1).light == 1


def test_the_end_tells_it_what_was_not_told_y2():
    room = a_session(QUESTIONS, "Fen", game=BeaconsSettings(teams=2))
    room.advance()
    room.answer(1, "B")
    room.do(c.End())
    assert [line.light for line in shown_board(room.state).teams] == [1]


def test_what_is_corrected_or_asked_again_changes_marks_and_nothing_that_was_played_y3():
    room = a_session(QUESTIONS, "Fen", game=BeaconsSettings(teams=2))
    room.advance()
    room.answer(1, "B")
    room.advance(2)
    before = room.state.board, room.state.hands
    room.do(c.SetKey("q0", ChoiceAnswer(chosen=("C",))))
    room.do(c.GiveMark("q0", (1,), 0.25))
    room.do(c.AskAgain(room.state.step))
    room.answer(1, "C")
    room.advance(2)
    assert (room.state.board, room.state.hands) == before


def test_one_answer_of_somebody_with_more_time_counts_the_more_at_own_pace_y6():
    own = at_own_pace(QUESTIONS, game=BeaconsSettings(teams=2), feedback="each", answers="final")
    led = a_session(QUESTIONS, game=BeaconsSettings(teams=2))
    for room in (own, led):
        for name, needs in (("Fen", Needs(time=1.5)), ("Bo", Needs()), ("Ada", Needs(no_limit=True))):
            room.do(c.Join(name, f"key-{name}", f"person-{name}", needs=needs))
        room.advance()
    for seat in (1, 2, 3):
        own.do(c.BeginPaper(seat))
        own.do(c.GiveAnswer(seat, "q0.1", ChoiceAnswer(chosen=("B",))))
        led.answer(seat, "B")
    led.advance(2)
    alone = {
        seat: sum(hand.team == own.state.hands[seat].team for hand in own.state.hands.values()) for seat in (1, 2, 3)
    }
    assert [own.state.hands[seat].light * alone[seat] for seat in (1, 2, 3)] == [1.5, 1, 2]
    assert [led.state.hands[seat].light * alone[seat] for seat in (1, 2, 3)] == [1, 1, 1]


def test_a_session_that_begins_anew_begins_it_anew_and_brings_it_back_y8():
    room = a_session(QUESTIONS, "Fen", "Bo", game=BeaconsSettings(teams=2))
    room.advance()
    room.answer(1, "B")
    room.advance(2)
    lights = [line.light for line in shown_board(room.state).teams]
    room.do(c.ClearAnswers(room.state.step, "all"))
    assert [line.light for line in shown_board(room.state).teams] == [0, 0]
    room.join("Ines")
    room.do(c.BringBack(room.state.step))
    assert [line.light for line in shown_board(room.state).teams] == lights
    assert room.state.hands.keys() == {1, 2, 3}


def test_once_a_team_is_at_the_end_the_large_button_ends_where_the_first_wins():
    room = a_session(QUESTIONS, "Fen", game=BeaconsSettings(teams=2, ends="first", length=3))
    for _ in range(3):
        assert next_move(room.state) is Move.NEXT
        room.advance()
        room.answer(1, "B")
        room.advance(3)
    assert is_over(room.state)
    assert next_move(room.state) is Move.END


def test_a_move_needs_a_game_that_has_it_and_an_older_one_stays_away():
    room = a_session(QUESTIONS, "Fen")
    with pytest.raises(NotPossible) as refused:
        room.do(c.MakeMove(1, JoinTeam(team=1)))
    assert refused.value.message.code == "no_moves"
    room = a_session(QUESTIONS, "Fen", game=BeaconsSettings(made="chosen"))
    room.do(c.MakeMove(1, JoinTeam(team=2)), number=5)
    assert room.do(c.MakeMove(1, JoinTeam(team=3)), number=5) == []
    assert own_board(room.state, 1).team.number == 2
