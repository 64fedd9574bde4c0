"""Soundings (docs/games.md)."""

from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import NotPossible
from lantern.core.games.chart import MOST_CHANNELS, MOST_SOUNDINGS, LaidChannel
from lantern.core.games.contract import Asked, Given, Newcomer, Outline
from lantern.core.games.soundings import GAME, Choose, GiveFathoms, GiveTurn, SayWhoCharted, Signal, SoundingsSettings
from lantern.core.session import Phase
from lantern.core.session import commands as c
from lantern.core.session.boards import own_board, shown_board
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.moves import Move, next_move
from lantern.core.session.settings import Settings
from tests.builders import a_session, a_set, choice, page


def asked(topics, weights=None):
    """A question for each letter, of the topic of that letter; "-" is none."""
    weights = weights or "1" * len(topics)
    pairs = enumerate(zip(topics, weights, strict=True))
    return tuple(Asked(f"q{n}", int(weight), "" if topic == "-" else topic) for n, (topic, weight) in pairs)


class Game:
    """Played by hand, without a session. Players 0, 1, ... are in the teams 1, 2, ..., and again."""

    def __init__(self, players=4, topics="aabb", *, made="drawn", **chosen):
        self.chosen = SoundingsSettings(made=made, **{"teams": 2, **chosen})
        self.board, self.hands = GAME.start(self.chosen, Outline(4, False, asked(topics))), {}
        for player in range(players):
            self.join(player)
        self.after(GAME.on_begin(self.chosen, self.board, self.hands, Random(1)))

    def after(self, turn):
        self.board, self.hands = turn.board, {**self.hands, **turn.hands}

    def join(self, player):
        self.after(GAME.on_join(self.chosen, self.board, self.hands, Newcomer(player, Random(player))))

    def of(self, team):
        """The players of a team, from 1."""
        return [player for player, hand in self.hands.items() if hand.team == team - 1]

    def open(self, question):
        self.board = GAME.on_open(self.chosen, self.board, question, 1)

    def move(self, player, move):
        """Returns why it was refused, or nothing."""
        refusal = GAME.refused(self.chosen, self.board, self.hands, player, move)
        if refusal is None:
            self.after(GAME.on_move(self.chosen, self.board, self.hands, player, move))
        return refusal and refusal.code

    def guide(self, guide):
        refusal = GAME.guide_refused(self.chosen, self.board, guide)
        if refusal is None:
            self.board = GAME.on_guide(self.chosen, self.board, guide)
        return refusal and refusal.code

    def tell(self, question, marks=None):
        """What each team's members gave, team from 1 to their marks; then it is over."""
        self.board = GAME.on_close(self.chosen, self.board, question, was_asked=True)
        for team, all_of_it in (marks or {}).items():
            for player, mark in zip(self.of(team), all_of_it, strict=False):
                told = Given(mark, 1, 1.0, 1, question)
                self.after(GAME.on_answer(self.chosen, self.board, self.hands, player, told))
        self.board = GAME.on_told(self.chosen, self.board, question)

    def ask(self, question, marks=None):
        self.open(question)
        self.tell(question, marks)

    @property
    def view(self):
        return GAME.screen_view(self.chosen, self.board, self.hands)

    @property
    def charted(self):
        """By question: the team, 0 for one that is lost; free ones are left out."""
        every = [one for channel in self.view.channels for one in channel.soundings]
        return {one.question: one.team or 0 for one in every if one.over}

    @property
    def fathoms(self):
        return {boat.number: boat.fathoms for boat in self.view.boats}


def laid(topics, weights=None, **chosen):
    board = GAME.start(SoundingsSettings(**chosen), Outline(1, False, asked(topics, weights)))
    return [(channel.name, " ".join(one.question[1:] for one in channel.soundings)) for channel in board.channels]


@pytest.mark.parametrize(
    ("topics", "weights", "channels"),
    [
        ("abab", None, [("a", "0 2"), ("b", "1 3")]),
        ("aaaa", "2121", [("a", "1 3 0 2")]),
        ("a-a-", None, [("a", "0 2"), ("", "1 3")]),
        ("-" * 12, None, [("", "0 3 6 9"), ("", "1 4 7 10"), ("", "2 5 8 11")]),
        ("a" * 12, None, [("a", "0 1 2 3 4 5 6 7 8 9"), ("", "10 11")]),
        # Of nine topics the two with one question each are the smallest, and the last of equal ones gives way.
        ("abcdefghiabcdefgh", None, [*((t, f"{n} {n + 9}") for n, t in enumerate("abcdefg")), ("", "7 8 16")]),
        ("abcdefgh", None, [(t, str(n)) for n, t in enumerate("abcdefgh")]),
        ("abcdefgh-", None, [*((t, str(n)) for n, t in enumerate("abcdefg")), ("", "7 8")]),
    ],
)
def test_the_chart_lays_itself_s1(topics, weights, channels):
    assert laid(topics, weights) == channels


@given(st.text("abcdefghijklmnop-", min_size=1, max_size=300), st.data())
def test_a_chart_has_room_and_asks_nothing_twice_s1(topics, data):
    weights = data.draw(st.text("12", min_size=len(topics), max_size=len(topics)))
    channels = laid(topics, weights)
    on_it = [one for _, ids in channels for one in ids.split()]
    assert len(channels) <= MOST_CHANNELS
    assert all(1 <= len(ids.split()) <= MOST_SOUNDINGS for _, ids in channels)
    assert len(on_it) == len(set(on_it)) <= len(topics)
    layout = GAME.layout(SoundingsSettings(), asked(topics, weights))
    assert [id_ for _, ids in layout for id_ in ids] == [f"q{one}" for one in on_it]
    for _, ids in channels:
        order = [(weights[int(one)], int(one)) for one in ids.split()]
        assert order == sorted(order)
    if len(topics) <= 5 * MOST_CHANNELS and "-" * len(topics) == topics:
        assert len(on_it) == len(topics)


def test_it_is_laid_by_hand_and_what_is_gone_or_twice_there_is_left_out_s1():
    by_hand = (
        LaidChannel(name="Buoys", questions=("q3", "q0", "gone")),
        LaidChannel(name="Knots", questions=("q0", "q2")),
        LaidChannel(name="Empty", questions=("gone",)),
    )
    assert laid("aabb", laid=by_hand) == [("Buoys", "3 0"), ("Knots", "2")]
    assert laid("ab", laid=(LaidChannel(name="Empty", questions=("gone",)),)) == [("a", "0"), ("b", "1")]


def test_the_team_whose_turn_it_is_chooses_and_the_large_button_takes_the_nearest_s2():
    game = Game()
    one, other = game.of(1)[0], game.of(2)[0]
    assert GAME.following(game.chosen, game.board) == "q0"
    assert game.move(other, Choose(question="q1")) == "not_your_turn"
    assert game.move(one, Choose(question="gone")) == "sounding_taken"
    assert game.move(one, Choose(question="q3")) is None
    assert game.move(game.of(1)[1], Choose(question="q1")) == "course_is_set"
    assert GAME.following(game.chosen, game.board) == "q3"
    game.ask("q3", {1: [1, 1]})
    assert game.move(one, Choose(question="q1")) == "not_your_turn"
    assert game.move(other, Choose(question="q3")) == "sounding_taken"
    game.open("q1")
    assert game.move(other, Choose(question="q0")) == "not_your_turn"


@pytest.mark.parametrize(
    ("marks", "takes"),
    [([1, 1], True), ([1, 0], True), ([0.5], True), ([0.49, 0.5], False), ([0, 0], False), ([], False)],
)
def test_a_team_takes_it_with_a_mean_of_a_half_of_what_was_answered_s3(marks, takes):
    game = Game()
    game.ask("q1", {1: marks})
    assert game.charted == {"q1": 1 if takes else 0}
    assert game.fathoms == {1: 2 if takes else 0, 2: 0}


def test_the_answer_of_somebody_who_was_taken_out_counts_no_more_s3():
    game = Game()
    out = game.of(1)[0]
    game.open("q1")
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, out))
    game.tell("q1", {1: [1, 0]})
    assert game.charted == {"q1": 0}


def test_in_turns_the_team_whose_turn_it_is_comes_first_and_the_turn_goes_on_s4():
    game = Game(6, "abcdef", teams=3)
    turns = []
    for question in ("q0", "q1", "q2", "q3"):
        turns.append(game.view.turn)
        game.ask(question, {1: [1, 1], 2: [1, 1], 3: [1, 1]})
    assert turns == [1, 2, 3, 1]
    assert game.charted == {"q0": 1, "q1": 2, "q2": 3, "q3": 1}


def test_who_comes_first_stays_so_where_it_is_opened_once_more_s4():
    game = Game()
    game.open("q1")
    game.guide(GiveTurn(team=2))
    game.ask("q1", {1: [1, 1], 2: [1, 1]})
    assert game.charted == {"q1": 1}


def test_a_team_that_nobody_is_in_has_no_turn_s4():
    game = Game(6, "abcdef", teams=3)
    for player in game.of(2):
        game.after(GAME.on_leave(game.chosen, game.board, game.hands, player))
    game.ask("q0", {1: [1]})
    assert game.view.turn == 3
    assert [boat.number for boat in game.view.boats] == [1, 3]


def test_a_team_that_everybody_leaves_loses_its_turn_to_the_next_and_has_it_again_when_they_come_back_s4():
    game = Game(4, "abcd")
    gone = game.of(1)
    for player in gone:
        game.after(GAME.on_leave(game.chosen, game.board, game.hands, player))
    assert game.view.turn == 2
    assert game.move(game.of(2)[0], Choose(question="q3")) is None
    for player in gone:
        game.join(player)
    assert game.view.turn == 1


def test_the_first_to_signal_comes_first_and_chooses_next_if_it_takes_it_s5():
    game = Game(claims="signal")
    one, other = game.of(1)[0], game.of(2)[0]
    assert game.move(one, Signal()) == "nothing_to_signal_for"
    game.open("q1")
    assert game.view.signals
    assert game.move(other, Signal()) is None
    assert game.move(one, Signal()) == "somebody_was_first"
    assert (game.view.signals, game.view.first) == (False, 2)
    game.tell("q1", {1: [1, 1], 2: [1, 0]})
    assert game.charted == {"q1": 2}
    assert game.view.turn == 2
    assert game.move(one, Signal()) == "nothing_to_signal_for"


def test_nobody_signals_once_it_is_closed_s5():
    game = Game(claims="signal")
    game.open("q0")
    game.board = GAME.on_close(game.chosen, game.board, "q0", was_asked=True)
    assert game.move(0, Signal()) == "nothing_to_signal_for"
    assert Game().move(0, Signal()) == "nothing_to_signal_for"


@pytest.mark.parametrize(
    ("first", "marks", "taken_by"),
    [
        (1, {1: [0, 0], 2: [0.5, 0.5], 3: [1, 0.8]}, 3),  # the highest mean
        (1, {1: [0, 0], 2: [1, 1], 3: [1, 1]}, 2),  # the next in turn
        (3, {1: [1, 1], 2: [1, 1], 3: [0, 0]}, 1),  # and round again
        (2, {1: [1], 2: [0, 0], 3: [1, 0.9]}, 1),
        (2, {1: [1, 1], 2: [0, 0], 3: [1, 1]}, 3),
        (None, {1: [0.6], 2: [0.9], 3: [0.7]}, 2),  # nobody signalled
        (1, {1: [0], 2: [0.4], 3: [0.2]}, 0),
    ],
)
def test_what_its_team_did_not_take_is_open_to_all_s6(first, marks, taken_by):
    game = Game(6, "aaabbb", teams=3, claims="signal")
    game.open("q2")
    if first:
        game.move(game.of(first)[0], Signal())
    game.tell("q2", marks)
    assert game.charted == {"q2": taken_by}


def test_of_equal_ones_the_one_with_fewer_fathoms_takes_it_s6():
    game = Game(6, "aaabbb", teams=3)
    game.guide(GiveFathoms(team=2, fathoms=3))
    game.ask("q2", {1: [0, 0], 2: [1, 1], 3: [1, 1]})
    assert game.charted == {"q2": 3}


def test_what_nobody_took_is_lost_and_the_turn_goes_on_s7():
    game = Game()
    game.ask("q0")
    assert game.charted == {"q0": 0}
    assert game.view.turn == 2
    assert GAME.following(game.chosen, game.board) == "q2"


def test_what_is_asked_again_changes_nothing_on_the_chart_s7():
    game = Game()
    game.ask("q1", {1: [0, 0]})
    game.open("q1")
    assert not any(one.on for channel in game.view.channels for one in channel.soundings)
    assert game.view.first is None
    assert game.move(game.of(2)[0], Choose(question="q0")) is None


def test_what_is_said_by_hand_stays_so_s8():
    game = Game()
    game.open("q1")
    assert game.guide(SayWhoCharted(question="q1", team=2)) is None
    game.tell("q1", {1: [1, 1], 2: [0, 0]})
    assert game.charted == {"q1": 2}
    game.guide(SayWhoCharted(question="q1", team=1))
    game.guide(GiveFathoms(team=2, fathoms=-1))
    game.guide(SayWhoCharted(question="q2", team=None))
    assert game.charted == {"q1": 1, "q2": 0}
    assert game.fathoms == {1: 2, 2: -1}
    game.guide(GiveTurn(team=1))
    assert game.view.turn == 1
    assert game.guide(GiveTurn(team=3)) == "no_such_team"
    assert game.guide(SayWhoCharted(question="gone", team=1)) == "no_such_sounding"


def test_without_devices_the_teacher_says_who_charted_it_s8():
    game = Game(3, "aab", made="room", teams=3)
    assert [hand.team for hand in game.hands.values()] == [None] * 3
    assert [boat.number for boat in game.view.boats] == [1, 2, 3]
    for question, team in (("q0", 2), ("q1", 2), ("q2", 1)):
        game.open(question)
        game.guide(SayWhoCharted(question=question, team=team))
        game.tell(question)
    assert game.fathoms == {1: 1, 2: 3, 3: 0}
    assert GAME.over(game.chosen, game.board)


def test_where_they_signal_who_is_said_to_have_charted_the_last_one_chooses_s8():
    game = Game(claims="signal")
    game.ask("q0", {1: [1, 1]})
    game.guide(SayWhoCharted(question="q0", team=2))
    assert game.view.turn == 2
    game.ask("q1", {1: [1, 1]})
    game.guide(SayWhoCharted(question="q0", team=2))
    assert game.view.turn == 1


def test_it_is_over_when_none_is_free_and_equal_ones_share_a_place_s9():
    game = Game(topics="ab")
    assert not GAME.over(game.chosen, game.board)
    game.ask("q0", {1: [1]})
    game.ask("q1", {2: [1]})
    assert GAME.over(game.chosen, game.board)
    assert game.view.turn is None
    assert [(boat.place, boat.charted) for boat in game.view.boats] == [(1, 1), (1, 1)]


QUESTIONS = a_set(
    *(choice(id=f"q{n}", tags=("lights",)) for n in range(2)),
    page(id="p1"),
    *(choice(id=f"q{n}", tags=("knots",)) for n in range(2, 4)),
)


def in_session(*names, **chosen):
    game = SoundingsSettings(**{"teams": 2, "made": "chosen", **chosen})
    return a_session(QUESTIONS, *names, game=game)


def test_the_chart_is_looked_at_before_each_question_and_a_choice_opens_it_s2():
    room = in_session("Fen", "Bo", made="drawn")
    assert next_move(room.state) is Move.STANDINGS
    room.advance()
    assert (room.state.phase, room.state.cursor) == (Phase.STANDINGS, None)
    chooser = next(seat for seat in (1, 2) if own_board(room.state, seat).channels)
    room.do(c.MakeMove(chooser, Choose(question="q3")))
    assert (room.state.phase, room.state.cursor) == (Phase.OPEN, "q3")
    room.answer(chooser, "B")
    with pytest.raises(NotPossible):
        room.do(c.MakeMove(3 - chooser, Choose(question="q1")))
    room.advance(3)
    assert room.state.phase is Phase.STANDINGS
    assert next_move(room.state) is Move.NEXT
    room.advance()
    assert room.state.cursor == "q0"


def test_what_is_chosen_while_something_else_is_shown_is_opened_from_the_chart_s2():
    room = in_session("Fen", "Bo", made="drawn")
    room.advance(2)
    room.do(c.Close(room.state.step))
    room.do(c.Reveal(room.state.step))
    chooser = next(seat for seat in (1, 2) if own_board(room.state, seat).channels)
    room.do(c.MakeMove(chooser, Choose(question="q3")))
    assert room.state.phase is Phase.REVEALED
    room.advance(2)
    assert room.state.cursor == "q3"


def test_a_question_that_was_left_before_anybody_answered_is_as_it_was_s5():
    room = in_session("Fen", "Bo", made="drawn", claims="signal")
    room.advance(2)
    room.do(c.MakeMove(1, Signal()))
    room.do(c.GoTo(room.state.step, "p1"))
    assert shown_board(room.state).first is None
    room.advance(2)
    assert shown_board(room.state).signals


def test_the_teacher_puts_it_right_also_after_the_end_s8():
    room = in_session("Fen", "Bo")
    room.do(c.End())
    room.do(c.GuideGame(GiveFathoms(team=2, fathoms=4)))
    assert [boat.fathoms for boat in shown_board(room.state).boats] == [0, 4]
    other = a_session(QUESTIONS, "Fen")
    with pytest.raises(NotPossible) as refused:
        other.do(c.GuideGame(GiveFathoms(team=2, fathoms=4)))
    assert refused.value.message.code == "no_guides"


def test_when_none_is_free_the_large_button_ends_it_s9():
    room = in_session("Fen", made="drawn")
    for _ in range(4):
        while next_move(room.state) is not Move.CLOSE:
            room.advance()
        room.answer(1, "B")
        room.advance(3)
    assert next_move(room.state) is Move.END


def test_the_plan_says_what_finds_no_place():
    settings = settings_for_game(GAME, "led", Settings())
    hundred = [choice(id=f"q{n}") for n in range(100)]
    plan = planned(hundred, settings)
    assert plan.played == 80
    assert {one.why.code for one in plan.unplayed} == {"unplayed_no_room"}
    assert [(part.name, len(part.questions)) for part in plan.layout] == [("", 10)] * 8
    assert plan.layout[1].questions[0].id == "q1"
