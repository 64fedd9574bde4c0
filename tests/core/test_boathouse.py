"""Locked boathouse (docs/games.md, L1 to L9)."""

from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from lantern.core.errors import HandedIn, NotPossible
from lantern.core.games.boathouse import GAME, MOST_DIALS, MOST_LOCKS, BoathouseSettings, Stage, TakeHint
from lantern.core.games.contract import Asked, Given, Newcomer, Outline
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import commands as c
from lantern.core.session.boards import comes_next, own_board, shown_board
from lantern.core.session.manners import planned, settings_for_game
from lantern.core.session.settings import Settings
from tests.builders import a_set, at_own_pace, choice


class Game:
    """Played by hand, without a session. `questions` are q0, q1 ..."""

    def __init__(self, *players, questions=6, **chosen):
        self.chosen = BoathouseSettings(**chosen)
        asked = tuple(Asked(f"q{n}", 1, "") for n in range(questions))
        self.board, self.hands = GAME.start(self.chosen, Outline(questions, True, asked)), {}
        for player in players:
            self.join(player)
        self.after(GAME.on_begin(self.chosen, self.board, self.hands, Random(1)))

    def after(self, turn):
        self.board, self.hands = turn.board, {**self.hands, **turn.hands}

    def join(self, player):
        self.after(GAME.on_join(self.chosen, self.board, self.hands, Newcomer(player, Random(player))))

    def answer(self, player, question, mark=1.0, pace=1.0):
        self.after(GAME.on_answer(self.chosen, self.board, self.hands, player, Given(mark, 1, pace, 0, question)))

    def hint(self, player):
        """Whether there was one."""
        if GAME.refused(self.chosen, self.board, self.hands, player, TakeHint()):
            return False
        self.after(GAME.on_move(self.chosen, self.board, self.hands, player, TakeHint()))
        return True

    def own(self, player):
        return GAME.own_view(self.chosen, self.board, self.hands, player)

    def next(self, player, coming=None):
        everything = [one for lock in self.board.locks for one in lock]
        return list(GAME.in_turn(self.chosen, self.board, self.hands[player], coming or everything))

    def stands(self, player):
        return [bool(dial.figure) for dial in self.own(player).dials]


def test_a_lock_for_every_three_questions_in_the_order_of_the_set_l1():
    assert Game(questions=7).board.locks == (("q0", "q1", "q2", "q3"), ("q4", "q5", "q6"))
    assert Game(questions=1).board.locks == (("q0",),)
    assert Game(questions=5, locks=3).board.locks == (("q0", "q1"), ("q2", "q3"), ("q4",))
    assert Game(questions=2, locks=9).board.locks == (("q0",), ("q1",))
    assert Game(questions=0).board.locks == ()


@given(st.integers(1, 300), st.none() | st.integers(1, MOST_LOCKS))
def test_locks_are_as_even_as_can_be_and_none_has_more_than_ten_dials_l1(questions, locks):
    game = Game(questions=questions, locks=locks)
    dealt = [one for lock in game.board.locks for one in lock]
    sizes = [len(lock) for lock in game.board.locks]
    assert dealt == [f"q{n}" for n in range(min(questions, len(sizes) * MOST_DIALS))]
    assert sizes == sorted(sizes, reverse=True)
    assert max(sizes) - min(sizes) <= 1
    assert 1 <= len(sizes) <= MOST_LOCKS
    assert len(sizes) == min(locks, questions) if locks else True


def test_what_finds_no_dial_is_not_asked_and_told_before_l1():
    questions = [choice(id=f"q{n}") for n in range(12)]
    chosen = settings_for_game(GAME, "own_pace", Settings())
    plan = planned(questions, chosen.model_copy(update={"game": BoathouseSettings(locks=1)}))
    assert plan.played == plan.questions == 10
    assert [one.id for one in plan.unplayed] == ["q10", "q11"]
    assert [[one.id for one in part.questions] for part in plan.layout] == [[f"q{n}" for n in range(10)]]


def test_only_what_is_wholly_right_turns_its_dial_and_a_lock_opens_by_itself_l2():
    game = Game(1, stages=(Stage(story="The gate."), Stage(story="The door.")), ending="Out.")
    assert (game.own(1).story, game.stands(1)) == ("The gate.", [False] * 3)
    game.answer(1, "q1", 0.99)
    assert game.stands(1) == [False, False, False]
    game.answer(1, "q1")
    assert game.stands(1) == [False, True, False]
    for question in ("q0", "q2"):
        game.answer(1, question)
    assert (game.own(1).opened, game.own(1).story, game.stands(1)) == (1, "The door.", [False] * 3)
    for question in ("q3", "q4", "q5"):
        assert not GAME.done(game.chosen, game.hands[1])
        game.answer(1, question)
    assert (game.own(1).opened, game.own(1).story, game.own(1).dials) == (2, "Out.", ())
    assert GAME.done(game.chosen, game.hands[1])


def test_no_figure_and_no_later_story_is_told_before_its_time_l2():
    game = Game(
        1,
        intro="Low water.",
        stages=(Stage(story="The gate.", hint="Low"), Stage(story="The door.", hint="High")),
        ending="end",
    )
    told = game.own(1).model_dump_json()
    assert game.own(1).story == "The gate."
    assert not [word for word in ("The door.", "Out.", "Low", "High") if word in told]
    assert [dial.figure for dial in game.own(1).dials] == ["", "", ""]
    assert "The gate." not in GAME.screen_view(game.chosen, game.board, game.hands).model_dump_json()


def test_figures_stay_what_they_are():
    game = Game(1, 2)
    for player in (1, 2):
        game.answer(player, "q0")
    first, second = (game.own(player).dials[0].figure for player in (1, 2))
    assert first == second != ""


def test_one_is_asked_what_is_wanted_at_the_lock_and_a_miss_comes_after_the_others_l3():
    game = Game(1)
    assert game.next(1) == ["q0", "q1", "q2"]
    game.answer(1, "q0", 0)
    assert game.next(1, ["q0", "q3", "q2", "q1"]) == ["q2", "q1", "q0"]
    game.answer(1, "q2")
    assert game.next(1) == ["q1", "q0"]
    game.answer(1, "q1", 0)
    assert game.next(1) == ["q0", "q1"]
    game.answer(1, "q0")
    game.answer(1, "q1")
    assert game.next(1) == ["q3", "q4", "q5"]


def test_a_hint_is_the_teachers_words_first_then_a_dial_and_costs_a_lantern_l4():
    game = Game(1, stages=(Stage(hint="Think of the tide."),))
    assert (game.own(1).left, game.own(1).next_hint, game.own(1).hint) == (3, "words", "")
    assert game.hint(1)
    assert (game.own(1).left, game.own(1).next_hint, game.own(1).hint) == (2, "dial", "Think of the tide.")
    assert game.stands(1) == [False] * 3
    assert game.hint(1)
    assert game.stands(1) == [True, False, False]
    assert game.own(1).dials[0].given
    # The last lantern stays.
    assert (game.own(1).left, game.own(1).next_hint) == (1, None)
    assert not game.hint(1)
    for question in ("q1", "q2"):
        game.answer(1, question)
    assert (game.own(1).opened, game.own(1).lanterns, game.own(1).hint) == (1, 1, "")
    assert (game.own(1).left, game.own(1).next_hint) == (3, "dial")


def test_the_last_dial_is_ones_own_l4():
    game = Game(1, questions=4, locks=2)
    game.answer(1, "q0")
    assert not game.hint(1)
    assert game.own(1).next_hint is None
    single = Game(1, questions=2, locks=2, stages=(Stage(hint="Low."),))
    assert single.hint(1)
    assert not single.hint(1)
    single.answer(1, "q0")
    assert (single.own(1).opened, single.own(1).lanterns, single.own(1).next_hint) == (1, 2, None)


def test_a_hint_is_paid_where_it_was_taken_l4():
    game = Game(1)
    game.hint(1)
    for question in ("q1", "q2"):
        game.answer(1, question)
    game.hint(1)
    game.hint(1)
    game.answer(1, game.next(1)[0])
    assert game.own(1).lanterns == (3 - 1) + (3 - 2)


def test_a_hint_that_was_bought_is_that_of_its_lock_alone_l4():
    game = Game(1, stages=(Stage(hint="Low."), Stage(hint="High.")))
    game.hint(1)
    for question in ("q0", "q1", "q2"):
        game.answer(1, question)
    assert (game.own(1).hint, game.own(1).next_hint, game.own(1).left) == ("", "words", 3)


def test_there_is_no_hint_before_it_begins_l4():
    chosen = BoathouseSettings()
    board = GAME.start(chosen, Outline(3, True, tuple(Asked(f"q{n}", 1, "") for n in range(3))))
    turn = GAME.on_join(chosen, board, {}, Newcomer(1, Random(1)))
    assert GAME.refused(chosen, turn.board, turn.hands, 1, TakeHint()).code == "no_hint_left"
    assert GAME.own_view(chosen, turn.board, turn.hands, 1).next_hint is None


def test_what_stands_already_earns_nothing_more_l5():
    game = Game(1)
    game.answer(1, "q0", pace=2)
    assert game.stands(1) == [True, True, False]
    game.answer(1, "q0", pace=2)
    assert game.stands(1) == [True, True, False]


def test_where_nothing_is_asked_nobody_has_done_l7():
    game = Game(1, questions=0)
    assert not GAME.done(game.chosen, game.hands[1])
    assert game.own(1).dials == ()


def test_it_is_over_when_all_teams_that_anybody_is_in_are_out_l7():
    game = Game(1, made="drawn", teams=3, questions=1)
    assert not GAME.over(game.chosen, game.board)
    game.answer(1, "q0")
    assert GAME.over(game.chosen, game.board)


def test_who_was_taken_out_is_not_counted():
    game = Game(1, 2)
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, 2))
    assert GAME.screen_view(game.chosen, game.board, game.hands).players == 1


@pytest.mark.parametrize(("pace", "answers"), [(1, 6), (1.25, 5), (1.5, 4), (2, 3)])
def test_more_time_turns_more_dials_l5(pace, answers):
    game = Game(1)
    for _ in range(answers):
        assert not GAME.done(game.chosen, game.hands[1])
        game.answer(1, game.next(1)[0], pace=pace)
    assert GAME.done(game.chosen, game.hands[1])
    assert game.own(1).lanterns == 6


def test_any_member_turns_the_dials_of_the_team_and_not_of_another_l6():
    game = Game(1, 2, 3, 4, made="drawn", teams=2)
    mine = game.hands[1].mate.team
    mates = [player for player in (1, 2, 3, 4) if game.hands[player].mate.team == mine]
    others = [player for player in (1, 2, 3, 4) if player not in mates]
    assert len(mates) == len(others) == 2
    game.answer(mates[0], "q0")
    game.answer(mates[1], "q1")
    assert {tuple(game.stands(player)) for player in mates} == {(True, True, False)}
    assert {tuple(game.stands(player)) for player in others} == {(False,) * 3}
    # It stands by now: nothing is doubled.
    game.answer(mates[1], "q0")
    assert game.stands(mates[0]) == [True, True, False]
    assert game.next(mates[0]) == ["q2"]
    # Who comes late, or comes back, has what the team has.
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, mates[1]))
    game.answer(mates[0], "q2")
    game.join(mates[1])
    assert game.own(mates[1]).opened == 1
    lines = GAME.screen_view(game.chosen, game.board, game.hands).crews
    assert sorted((line.opened, line.lanterns, line.place, line.members) for line in lines) == [
        (0, 0, 2, 2),
        (1, 3, 1, 2),
    ]


def test_who_was_taken_out_turns_nothing_for_the_team():
    game = Game(1, 2, made="drawn", teams=2)
    game.after(GAME.on_leave(game.chosen, game.board, game.hands, 1))
    assert [line.members for line in GAME.screen_view(game.chosen, game.board, game.hands).crews] == [1]


def test_places_are_by_lanterns_whenever_they_came_l8():
    game = Game(1, 2, 3)
    game.hint(2)
    for question in ("q0", "q1", "q2"):
        game.answer(2, question)
        game.answer(3, question)
        game.answer(3, question, 0)
    assert GAME.scores(game.chosen, game.board, game.hands) == {1: 0, 2: 2, 3: 3}
    assert GAME.screen_view(game.chosen, game.board, game.hands).opened == (2, 0)
    assert GAME.ranks_players(game.chosen)
    assert not GAME.ranks_players(BoathouseSettings(made="drawn"))


def test_three_misses_in_a_row_are_told_to_the_desk_l9():
    game = Game(1)
    for mark in (0, 0, 1, 0, 0):
        game.answer(1, "q0", mark)
        assert not GAME.stuck(game.chosen, game.hands[1])
    game.answer(1, "q0", 0)
    assert GAME.stuck(game.chosen, game.hands[1])


def working(*names, **chosen):
    """A session of two locks with two dials each, in which everybody has begun."""
    questions = tuple(choice("B", id=f"q{n}") for n in range(4))
    settings = settings_for_game(GAME, "own_pace", Settings())
    changes = {name: getattr(settings, name) for name in ("answers", "feedback", "mix_questions", "time")}
    game = BoathouseSettings(locks=2, **chosen)
    room = at_own_pace(a_set(*questions), *names, **changes, game=game)
    room.advance()
    for seat in range(1, len(names) + 1):
        room.do(c.BeginPaper(seat))
    return room


def say(room, seat, right=True):
    """An answer to what is on, and on to the next. Returns which it was."""
    paper = room.state.papers[seat]
    room.do(c.GiveAnswer(seat, paper.asked, ChoiceAnswer(chosen=("B" if right else "A",))))
    following = comes_next(room.state, seat)
    if following:
        room.do(c.GoToPlace(seat, following))
    return paper.at


def test_papers_follow_the_locks_in_an_order_of_their_own_l3():
    room = working("Ada", "Bo", "Ines", "Jon")
    seen = {seat: [say(room, seat) for _ in range(4)] for seat in (1, 2, 3, 4)}
    for order in seen.values():
        assert set(order[:2]) == {"q0", "q1"}
        assert set(order[2:]) == {"q2", "q3"}
    assert len({tuple(order) for order in seen.values()}) > 1
    assert {paper.handed_in_by for paper in room.state.papers.values()} == {"done"}


def test_a_miss_comes_back_until_it_is_right_and_nothing_else_can_be_gone_to_l3():
    room = working("Ada")
    first = say(room, 1, right=False)
    second = say(room, 1)
    assert say(room, 1, right=False) == first != second
    assert room.state.papers[1].at == first
    later = choice_after(room)
    with pytest.raises(NotPossible):
        room.do(c.GoToPlace(1, later))
    assert say(room, 1) == first
    assert own_board(room.state, 1).opened == 1


def choice_after(room):
    """A question of the second lock."""
    return room.state.board.locks[1][0]


def test_a_team_has_done_together_and_who_joins_it_then_has_nothing_to_do_l6_l7():
    room = working("Ada", "Bo", made="chosen", teams=2)
    teams = {seat: room.state.hands[seat].mate.team for seat in (1, 2)}
    assert teams == {1: 0, 2: 1}
    room.join("Ines", "Jon")
    with_ada = next(seat for seat in (3, 4) if room.state.hands[seat].mate.team == 0)
    room.do(c.BeginPaper(with_ada))
    asked = {say(room, 1), say(room, with_ada)}
    while room.state.papers[1].handed_in_by is None:
        asked.add(say(room, 1))
    assert asked == {"q0", "q1", "q2", "q3"}
    assert room.state.papers[with_ada].handed_in_by == "done"
    assert room.state.papers[2].handed_in_by is None
    with pytest.raises(HandedIn):
        room.do(c.MakeMove(1, TakeHint()))
    room.join("Late", "Later")
    late = next(seat for seat in (5, 6) if room.state.hands[seat].mate.team == 0)
    room.do(c.BeginPaper(late))
    assert room.state.papers[late].handed_in_by == "done"
    assert not GAME.over(room.state.settings.game, room.state.board)
    while room.state.papers[2].handed_in_by is None:
        say(room, 2)
    assert GAME.over(room.state.settings.game, room.state.board)
    assert [line.place for line in shown_board(room.state).crews] == [1, 1]


def test_what_a_member_has_answered_is_not_asked_of_another_any_more_l6():
    room = working("Ada", "Bo", "Ines", made="drawn", teams=2)
    team = next(t for t in (0, 1) if sum(hand.mate.team == t for hand in room.state.hands.values()) == 2)
    one, other = (seat for seat, hand in room.state.hands.items() if hand.mate.team == team)
    before = room.state.papers[other].at
    done = [say(room, one), say(room, one)]
    assert set(done) == {"q0", "q1"}
    # What is before the other is still answered and marked; it turns nothing more.
    say(room, other)
    response = room.state.asks[f"{before}.1"].responses[other]
    assert response.mark == 1
    assert room.state.papers[other].at in {"q2", "q3"}
    assert own_board(room.state, other).dials == own_board(room.state, one).dials
