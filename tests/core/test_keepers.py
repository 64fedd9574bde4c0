"""Keepers (docs/games.md)."""

from functools import reduce
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import HandedIn, NotOpen, NotPossible
from lantern.core.games.contract import Given, Newcomer, Outline
from lantern.core.games.keepers import GAME, GUST, LENSES, NEXT_LENS, WICK, Buy, KeepersSettings, Light
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Settings, evolve
from lantern.core.session import commands as c
from lantern.core.session.asking import was_asked
from lantern.core.session.boards import comes_next
from lantern.core.session.due import next_due
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.own_views import mine_at_own_pace, mine_text, place_of
from lantern.core.session.progress import ProgressMemo, progress_lines
from lantern.core.session.settings import Timing
from lantern.core.session.views import screen_view
from tests.builders import a_set, at_own_pace, choice, page

THINGS = ("lens", "wick", "chart", "gust")


class Game:
    def __init__(self, *players, **chosen):
        self.chosen = KeepersSettings(**chosen)
        self.board, self.hands = GAME.start(self.chosen, Outline(10, own_pace=True)), {}
        for player in players:
            self.after(GAME.on_join(self.chosen, self.board, self.hands, Newcomer(player, Random(player))))

    def after(self, turn):
        self.board, self.hands = turn.board, {**self.hands, **turn.hands}

    def answer(self, player, *marks, weight=1, pace=1.0):
        for mark in marks:
            given = Given(mark, weight, pace, 1)
            self.after(GAME.on_answer(self.chosen, self.board, self.hands, player, given))

    def buy(self, player, what):
        """The code of why it was refused, or None."""
        refusal = GAME.refused(self.chosen, self.board, self.hands, player, Buy(what=what))
        if refusal is None:
            self.after(GAME.on_move(self.chosen, self.board, self.hands, player, Buy(what=what)))
        return refusal and refusal.code

    def give(self, player, **hand):
        self.hands[player] = Light(**hand)


@pytest.mark.parametrize("chosen", [{}, {"oil": 80}, {"answers": 9, "gusts": True}])
@pytest.mark.parametrize(
    "hand",
    [
        {},
        {"oil": 39, "earned": 39, "flame": 3, "answers": 4, "right": 3},
        {"oil": 320, "earned": 900, "lens": 3, "wicks": 2, "charts": 1, "gusts": 1, "flame": 5},
        {"oil": 25, "earned": 700, "lens": 4, "charts": 2},
    ],
)
def test_what_a_player_is_told_is_written_as_the_view_has_it(chosen, hand):
    game = Game(1, 2, **chosen)
    game.give(1, **hand)
    game.give(2, flame=1)
    told = game.chosen, game.board, game.hands, 1
    assert GAME.own_text(*told) == GAME.own_view(*told).model_dump_json()


def test_right_answers_in_a_row_are_worth_more_and_a_miss_puts_the_flame_out():
    game = Game(1)
    game.answer(1, 1, 1, 1, 1, 1, 1, 1)
    assert game.hands[1].earned == 10 + 12 + 14 + 16 + 18 + 20 + 20
    game.answer(1, 0, 1)
    assert game.hands[1].earned == 110 + 10
    game.answer(1, 0.5)
    assert (game.hands[1].earned, game.hands[1].flame) == (120 + 6, 0)


def test_a_better_lens_gives_more_and_weight_and_pace_count():
    game = Game(1)
    game.give(1, oil=sum(NEXT_LENS))
    for better in LENSES[1:]:
        assert game.buy(1, "lens") is None
        before = game.hands[1].earned
        game.answer(1, 1, 0)
        assert game.hands[1].earned - before == better
    assert game.buy(1, "lens") == "no_use_now"
    before = game.hands[1].earned
    game.answer(1, 1, weight=2, pace=1.5)
    assert game.hands[1].earned - before == 120


def test_a_wick_forgives_one_miss_and_is_used_only_where_there_is_a_flame():
    game = Game(1)
    game.give(1, oil=100)
    assert [game.buy(1, "wick") for _ in range(3)] == [None, None, "no_use_now"]
    game.answer(1, 0)
    assert game.hands[1].wicks == 2
    game.answer(1, 1, 1, 0)
    assert (game.hands[1].wicks, game.hands[1].flame) == (1, 2)


@given(st.lists(st.tuples(st.integers(1, 3), st.sampled_from((*THINGS, "right", "miss"))), max_size=80))
def test_nothing_is_bought_with_too_little_oil_and_nobody_loses_any_to_another_x1_x4(steps):
    game = Game(1, 2, 3, gusts=True)
    for player, step in steps:
        before = dict(game.hands)
        if step in THINGS:
            refusal = game.buy(player, step)
            if refusal:
                assert game.hands == before
        else:
            game.answer(player, float(step == "right"))
        for other, hand in game.hands.items():
            assert 0 <= hand.oil <= hand.earned
            assert hand.earned >= before[other].earned
            if other != player:
                assert hand.oil == before[other].oil
    scores = GAME.scores(game.chosen, game.board, game.hands)
    assert scores == {player: hand.earned for player, hand in game.hands.items()}


def test_too_little_oil_is_said_x4():
    game = Game(1, 2)
    assert [game.buy(1, what) for what in THINGS] == ["too_little_oil"] * 3 + ["no_use_now"]
    game.give(1, oil=WICK - 1)
    assert game.buy(1, "wick") == "too_little_oil"


def test_a_gust_takes_the_flame_of_the_nearest_ahead_x5():
    game = Game(1, 2, 3, 4, gusts=True)
    game.give(1, oil=200, earned=200)
    game.give(2, earned=210, flame=3, oil=7)
    game.give(3, earned=300, flame=4)
    game.give(4, earned=150, flame=2)
    assert game.buy(1, "gust") is None
    assert (game.hands[2].flame, game.hands[2].oil, game.hands[2].gusts) == (0, 7, 1)
    assert game.hands[1].oil == 200 - GUST
    game.answer(2, 1)  # it burns again, and is left alone for a while
    assert game.buy(1, "gust") is None
    assert game.hands[3].flame == 0
    assert game.buy(1, "gust") is None
    assert game.hands[4].flame == 0
    assert game.buy(1, "gust") == "no_use_now"
    game.answer(2, 1, 1)
    assert game.buy(1, "gust") is None
    assert game.hands[2].flame == 0


def test_a_gust_reaches_nobody_who_was_taken_out_x5():
    game = Game(1, 2, gusts=True)
    game.give(1, oil=500)
    game.give(2, earned=900, flame=5, out=True)
    assert game.buy(1, "gust") == "no_use_now"


def test_there_is_no_gust_unless_the_teacher_allows_it_x5():
    game = Game(1, 2)
    game.give(1, oil=500)
    game.give(2, earned=900, flame=5)
    assert game.buy(1, "gust") == "no_use_now"


def test_who_misses_three_in_a_row_could_do_with_help_x6():
    game = Game(1)
    found = []
    for mark in (0, 0.5, 0, 1, 0):
        game.answer(1, mark)
        found.append(GAME.stuck(game.chosen, game.hands[1]))
    assert found == [False, False, True, False, False]


def working(*items, names=("Fen", "Bo"), minutes=20, **chosen):
    settings = settings_for_game(GAME, "own_pace", Settings())
    content = a_set(*(items or [choice(id=f"q{n}") for n in range(6)]))
    changes = {name: getattr(settings, name) for name in ("answers", "feedback", "show_standings", "points")}
    time = Timing(of="whole", whole=60 * minutes) if minutes else Timing(of="none")
    room = at_own_pace(content, *names, **changes, game=KeepersSettings(**chosen), time=time)
    room.advance()
    for seat in range(1, len(names) + 1):
        room.do(c.BeginPaper(seat))
    return room


def say(room, seat, right, number=None):
    paper = room.state.papers[seat]
    room.do(c.GiveAnswer(seat, paper.asked, ChoiceAnswer(chosen=("B" if right else "A",))), number)


def go_on(room, seat):
    following = comes_next(room.state, seat)
    assert following
    room.do(c.GoToPlace(seat, following))


def test_what_was_missed_comes_back_after_three_others_and_what_was_right_when_all_have_x2():
    room, seen = working(), []
    for right in (True, False, True, True, True, True, True, True, True):
        seen.append(room.state.papers[1].asked)
        say(room, 1, right)
        go_on(room, 1)
    assert seen == ["q0.1", "q1.1", "q2.1", "q3.1", "q4.1", "q1.2", "q5.1", "q0.2", "q2.2"]


def test_one_that_is_missed_again_comes_back_again_and_a_set_of_one_goes_on_x2():
    room = working(choice(id="q0"))
    for n in range(5):
        assert room.state.papers[1].asked == f"q0.{n + 1}"
        say(room, 1, right=False)
        go_on(room, 1)


def test_the_first_answer_is_the_mark_x2():
    room = working(choice(id="q0"), choice(id="q1"))
    say(room, 1, right=False)
    go_on(room, 1)
    say(room, 1, right=True)
    go_on(room, 1)
    say(room, 1, right=True)
    assert room.state.standing == {"q0": "q0.1", "q1": "q1.1"}
    assert [response.mark for response in room.state.responses("q0")] == [0]
    assert room.state.asks["q0.2"].responses[1].mark == 1
    room.do(c.End())
    assert mine_at_own_pace(room.state, room.state.seats[1]).right == 1


def test_what_comes_round_was_asked_of_those_who_answered_and_the_desk_is_told_no_end_x2():
    room = working(choice(id="q0"), choice(id="q1"))
    say(room, 1, right=True)
    first, second = (room.state.asks[f"q{n}.1"] for n in (0, 1))
    seats = room.state.seats
    assert [was_asked(room.state, seats[seat], ask) for ask in (first, second) for seat in (1, 2)] == [
        True,
        False,
        False,
        False,
    ]
    assert [(line.answered, line.of) for line in progress_lines(room.state, {1}, ProgressMemo())] == [(1, 0), (0, 0)]


def test_nobody_goes_elsewhere_or_on_without_an_answer():
    room = working()
    with pytest.raises(NotPossible):
        room.do(c.GoToPlace(1, "q1"))
    with pytest.raises(NotOpen):
        room.do(c.GiveAnswer(1, "q3.1", ChoiceAnswer(chosen=("B",))))
    say(room, 1, right=True, number=3)
    assert room.do(c.GiveAnswer(1, "q0.1", ChoiceAnswer(chosen=("B",))), 3) == []  # it comes once more
    with pytest.raises(NotPossible):
        room.do(c.GoToPlace(1, "q2"))
    go_on(room, 1)
    assert room.state.papers[1].at == "q1"


def test_what_counts_in_no_game_is_on_no_paper_y4():
    items = [choice(id="q0"), page(id="p1"), choice(id="o1", scored=False), choice(id="w0", weight=0)]
    room = working(*items)
    assert room.state.papers[1].items == ("q0",)
    plan = planned(items, room.state.settings)
    assert plan.played == 1
    assert [(one.number, one.why.code) for one in plan.unplayed] == [
        (None, "unplayed_page"),
        (2, "unplayed_opinion"),
        (3, "unplayed_no_weight"),
    ]


def test_it_ends_for_all_at_once_x3():
    room = working(minutes=10)
    began = room.now
    room.now += 60_000
    room.join("Ines")
    room.do(c.BeginPaper(3))
    assert {paper.deadline for paper in room.state.papers.values()} == {began + 600_000}
    due = next_due(room.state, set)
    assert due.at == began + 600_000


@pytest.mark.parametrize(("chosen", "answers"), [({"answers": 4}, 4), ({"oil": 50}, 4)])
def test_it_ends_for_each_one_with_what_there_was_to_reach_x3(chosen, answers):
    room = working(minutes=None, **chosen)
    for n in range(answers):
        assert not room.state.papers[1].is_over, n
        say(room, 1, right=True)
        if n < answers - 1:
            go_on(room, 1)
    assert room.state.papers[1].handed_in_by == "done"
    one_by_one = reduce(evolve, room.history, room.first)
    assert one_by_one.papers == room.state.papers
    for command in (c.GoToPlace(1, "q5"), c.MakeMove(1, Buy(what="wick"))):
        with pytest.raises(HandedIn):
            room.do(command, 99)
    assert not room.state.papers[2].is_over


def test_a_chart_leaves_out_one_wrong_option_of_the_question_that_is_on():
    room = working()
    for _ in range(3):
        say(room, 1, right=True)
        go_on(room, 1)
    seat = room.state.seats[1]
    assert mine_at_own_pace(room.state, seat).left_out == ()
    room.do(c.MakeMove(1, Buy(what="chart")), 1)
    mine = mine_at_own_pace(room.state, seat)
    (gone,) = mine.left_out
    assert gone != "B"
    assert mine_text(room.state, seat, place_of(room.state, 1)) == mine.model_dump_json()
    say(room, 1, right=True)
    go_on(room, 1)
    assert mine_at_own_pace(room.state, seat).left_out == ()


def test_places_are_told_while_it_goes_on_and_nobody_is_shown_to_be_last():
    room = working(names=("Fen", "Bo", "Ines", "Ada"))
    say(room, 4, right=False)
    assert screen_view(room.state, "KELP427").standings == ()  # nobody is first with nothing
    for seat, right in ((1, 3), (2, 2), (3, 1)):
        for _ in range(right):
            say(room, seat, right=True)
            go_on(room, seat)
    told = screen_view(room.state, "KELP427")
    assert [(row.name, row.points, row.place) for row in told.standings] == [("Fen", 36, 1), ("Bo", 22, 2)]
    assert told.board.lights == (36, 22, 10, 0)


def test_a_break_stops_the_game_and_its_clock():
    room = working(minutes=10)
    deadline = room.state.papers[1].deadline
    say(room, 1, right=True)
    room.do(c.Pause())
    with pytest.raises(NotPossible):
        room.do(c.MakeMove(1, Buy(what="wick")))
    room.now += 5_000
    room.do(c.Resume(room.state.step))
    assert room.state.papers[1].deadline == deadline + 5_000
