"""What every game keeps to (`core/games/contract.py`, docs/games.md)."""

import json
from itertools import product
from random import Random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import TypeAdapter

from lantern.core.errors import LanternError
from lantern.core.games import (
    GAMES,
    PLAIN,
    AnyGame,
    BoardGame,
    Gain,
    Play,
    beacons,
    game_of,
    imagined_move,
    places_of,
    soundings,
)
from lantern.core.games.points import PointsSettings
from lantern.core.questions import kind_of
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.questions.recast import kind_named
from lantern.core.session import Phase, Settings, replay
from lantern.core.session import commands as c
from lantern.core.session.boards import comes_next, own_board, shown_board
from lantern.core.session.desk_view import DeskMemo, desk_text, desk_view
from lantern.core.session.glimpse import glimpse
from lantern.core.session.manners import misfit, settings_for_game
from lantern.core.session.own_views import mine_at_own_pace, mine_text, place_of
from lantern.core.session.standings import standings
from lantern.core.session.views import Places, mine, screen_view
from tests.builders import a_session, a_set, choice, page
from tests.builders.anything import any_of
from tests.builders.session import Room

shares = st.floats(0, 1)
plays = st.builds(Play, mark=shares, weight=st.sampled_from((0, 1, 2)), left=st.none() | shares, run=st.integers(0, 9))
chosen = st.sampled_from([PLAIN, PointsSettings(early_bonus=True), PointsSettings(early_bonus=True, run_bonus=True)])
PLAYED = [
    (game, manner)
    for game in GAMES
    for manner in ("led", "own_pace")
    if manner in game.manners and (isinstance(game, BoardGame) or manner == "led")
]
each_game = pytest.mark.parametrize("game", GAMES, ids=lambda game: game.name)
each_played = pytest.mark.parametrize(
    ("game", "manner"), PLAYED, ids=[f"{game.name}-{manner}" for game, manner in PLAYED]
)


@each_game
def test_a_game_is_known_by_its_settings_and_they_are_read_as_they_were_written(game):
    settings = game.settings()
    assert game_of(settings) is game
    assert TypeAdapter(AnyGame).validate_json(settings.model_dump_json()) == settings
    kept = Settings(game=settings)
    assert Settings.model_validate_json(kept.model_dump_json()) == kept


@given(chosen, plays)
def test_the_same_plays_earn_the_same_and_never_less_than_nothing(settings, play):
    gain = game_of(settings).gain(settings, play)
    assert gain == game_of(settings).gain(settings, play)
    assert 0 <= gain.bonus + gain.for_run <= gain.points
    if not play.mark or not play.weight:
        assert gain == Gain(0, 0)


@given(chosen, plays, shares)
def test_a_better_mark_never_earns_less(settings, play, better):
    game = game_of(settings)
    low, high = sorted((play.mark, better))
    earned = [game.gain(settings, play._replace(mark=mark)).points for mark in (low, high)]
    assert earned == sorted(earned)


@given(chosen, plays, shares)
def test_a_game_that_does_not_look_at_the_time_earns_the_same_at_any(settings, play, left):
    game = game_of(settings)
    if not game.wants_time(settings):
        assert game.gain(settings, play._replace(left=left)) == game.gain(settings, play)


@given(st.dictionaries(st.integers(1, 400), st.integers(0, 5)))
def test_a_place_is_one_more_than_those_who_are_ahead(points):
    assert places_of(points) == {
        player: 1 + sum(other > own for other in points.values()) for player, own in points.items()
    }


def test_a_session_gives_what_its_game_gives():
    """One way from marks to points: nothing but the game of the settings decides."""
    room = a_session(a_set(choice(weight=2, time_limit=20)), "Fen", game=PointsSettings(early_bonus=True))
    room.advance()
    room.now += 5_000
    room.answer(1, "B")
    response = room.state.responses(room.state.cursor)[0]
    assert response.left == 0.75
    expected = game_of(room.state.settings.game).gain(room.state.settings.game, Play(1.0, 2, 0.75))
    assert (response.points, response.bonus, response.for_run) == expected == (230, 30, 0)


@each_played
def test_what_goes_with_a_game_fits_it(game, manner):
    settings = settings_for_game(game, manner, Settings())
    assert misfit(settings) is None
    assert settings.is_played
    assert settings.shows_points == game.has_points


WORDS = ("tide", "ebb", "kelp", "halyard", "skerry")


def asking(n):
    """Of each question B is right, and another word."""
    item = choice(id=f"q{n}", weight=1 + n % 2)
    options = (one.model_copy(update={"text": WORDS[n]}) if one.id == "B" else one for one in item.options)
    return item.model_copy(update={"options": tuple(options)})


CONTENT = a_set(*map(asking, range(5)), page(id="p1"), choice(id="o1", scored=False))


def content_for(game):
    """With a question of the kind that it plays, where it plays one alone."""
    if not game.plays:
        return CONTENT
    kind = kind_named(game.plays)
    return a_set(kind.samples()[0].item.model_copy(update={"weight": 2}), *CONTENT.items)


def a_game(game, manner, chosen):
    settings = settings_for_game(game, manner, Settings())
    changes = {"game": chosen, "mix_options": False, "close_when_all_answered": False}
    return Room(content_for(game), settings.model_copy(update=changes))


MANY = 50
"""Of more values than that of one kind the first ones do, and the last."""


def any_moves(game, state):
    """One of each of its moves with every value that it can have, of questions and parts those of the session."""
    return [one for move in getattr(game, "moves", ()) for one in _each_of(move, state)]


def any_guides(game, state):
    return [one for guide in getattr(game, "guides", ()) for one in _each_of(guide, state)]


def _each_of(move, state):
    names = [name for name in move.model_fields if name != "move"]
    schema = move.model_json_schema()["properties"]
    return [
        move.model_validate(dict(zip(names, values, strict=True)))
        for values in product(*(_values_of(name, schema[name], state) for name in names))
    ]


def _values_of(name, schema, state):
    if "anyOf" in schema:
        return [None, *_values_of(name, schema["anyOf"][0], state)]
    if "minimum" in schema:
        values = range(schema["minimum"], schema.get("maximum", schema.get("exclusiveMaximum", 0) - 1) + 1)
        return values if len(values) <= MANY else [*values[: MANY // 2], values[-1]]
    if name in ("left", "right"):
        pairings = filter(None, (kind_of(item).pairing(item) for item in state.items.values()))
        return [part for pairing in pairings for part in getattr(pairing, name)]
    return schema.get("enum") or list(state.items)


def an_answer(state, ask, right):
    """To what is asked: the right one, or another."""
    item = state.items.get(ask.split(".")[0])
    if item is None or item.kind == "choice":
        return ChoiceAnswer(chosen=("B" if right else "A",))
    wanted = kind_of(item).pairing(item).wanted
    return kind_of(item).of_tries(item, wanted if right else wanted[:1])


STEPS = "join answer answer answer move guide advance advance out in pause clear back go begin".split()


def a_command(room, game, rng, step):
    """Something that a desk or a device might send now, sensible or not."""
    state = room.state
    seat = rng.choice(list(state.seats))
    paper = state.papers.get(seat)
    ask = paper.asked if paper else state.ask.id if state.ask else "q0.1"
    moves = any_moves(game, state) or any_moves(beacons.GAME, state)
    onward = comes_next(state, seat) or next(iter(paper.items if paper else ()), "q0")
    commands = {
        "answer": lambda: c.GiveAnswer(seat, ask, an_answer(state, ask, rng.random() < 2 / 3)),
        "move": lambda: c.MakeMove(seat, rng.choice(moves)),
        "guide": lambda: c.GuideGame(rng.choice(any_guides(game, state) or any_guides(soundings.GAME, state))),
        "advance": lambda: c.Advance(state.step),
        "out": lambda: c.Remove(seat),
        "in": lambda: c.Restore(seat),
        "pause": lambda: c.Resume(state.step) if state.is_paused else c.Pause(),
        "clear": lambda: c.ClearAnswers(state.step, rng.choice(("question", "all"))),
        "back": lambda: c.BringBack(state.step),
        "begin": lambda: c.BeginPaper(seat),
        "go": lambda: c.GoToPlace(seat, onward),
    }
    return commands[step]()


@each_played
@settings(max_examples=60)
@given(st.data(), st.integers(0, 10**9), st.lists(st.sampled_from(STEPS), max_size=60))
def test_no_order_of_joins_answers_and_moves_loses_or_doubles_anything_y1_y5(game, manner, data, seed, steps):
    rng = Random(seed)
    room = a_game(game, manner, data.draw(any_of(game.settings)))
    room.join("Fen", "Bo")
    memo = DeskMemo()
    for step in steps:
        room.now += rng.choice((1, 900, 30_000))
        before = room.state
        try:
            if step == "join":
                room.join(f"Student {len(before.seats) + 1}")
            else:
                room.do(a_command(room, game, rng, step))
        except LanternError:
            assert room.state is before
        _check_views(room.state, game, memo)
    again = replay(room.first, room.history)
    assert again == room.state
    if isinstance(game, BoardGame):
        assert again.hands.keys() == again.seats.keys()


@each_played
@settings(max_examples=25)
@given(st.data(), st.integers(0, 10**9))
def test_what_a_made_up_player_does_is_never_refused(game, manner, data, seed):
    rng = Random(seed)
    room = a_game(game, manner, data.draw(any_of(game.settings)))
    room.join("Fen", "Bo", "Ines")
    for step in range(40):
        if step == 10:
            room.advance()
        seat = rng.choice((1, 2, 3))
        board = own_board(room.state, seat)
        move = imagined_move(board.model_dump(mode="json"), rng) if board else None
        if move and not _is_over(room, seat):
            assert room.do(c.MakeMove(seat, move))
        elif room.state.phase is Phase.WORKING and not _is_over(room, seat):
            ask = _next_ask(room, seat)
            room.do(c.GiveAnswer(seat, ask, an_answer(room.state, ask, right=True)))


def _is_over(room, seat):
    paper = room.state.papers.get(seat)
    return paper is not None and (paper.is_over or (not paper.goes_round and len(paper.answered) == len(paper.items)))


@pytest.mark.parametrize("seed", range(6))
@each_played
def test_who_answers_alike_has_the_same_place_whatever_was_drawn_y7(game, manner, seed):
    chosen = a_game(game, manner, game.settings()).state.settings
    room = Room(content_for(game), chosen.model_copy(update={"mix_questions": True}), f"seed {seed}")
    room.join(*(f"Student {n}" for n in range(5)))
    room.advance()
    for _ in range(min(3, len(room.state.items))):
        _everybody_right(room)
    lines = getattr(shown_board(room.state), "teams", ())
    teams = {line.light for line in lines if hasattr(line, "light")}
    assert len(teams) <= 1
    assert {row.place for row in standings(room.state)} == {1}


def _everybody_right(room):
    """In the next question."""
    if not room.state.is_own_pace:
        while room.state.phase is not Phase.OPEN:
            room.advance()
    for seat in room.state.seats:
        ask = _next_ask(room, seat)
        room.do(c.GiveAnswer(seat, ask, an_answer(room.state, ask, right=True)))
    if not room.state.is_own_pace:
        room.advance(2)


def _next_ask(room, seat):
    """Where somebody has gone on to."""
    if not room.state.is_own_pace:
        return room.state.ask.id
    if seat not in room.state.papers:
        room.do(c.BeginPaper(seat))
    paper = room.state.papers[seat]
    while room.state.papers[seat].asked not in room.state.asks or seat in room.state.asks[paper.asked].responses:
        room.do(c.GoToPlace(seat, comes_next(room.state, seat) or paper.items[paper.items.index(paper.at) + 1]))
        paper = room.state.papers[seat]
    return paper.asked


@each_played
def test_a_glimpse_of_it_shows_its_board_and_the_first_question_and_no_name(game, manner):
    seen = glimpse(content_for(game), a_game(game, manner, game.settings()).state.settings, 5)
    assert (seen.screen.board is None) == (not isinstance(game, BoardGame))
    assert (seen.mine.board is None) == (not isinstance(game, BoardGame))
    assert seen.shown is not None
    assert seen.shown.deadline is None
    assert seen.screen.names == ()
    assert seen.screen.standings == ()


def _check_views(state, game, memo):
    """Everybody is told something, and nobody another's name. What is written as text, or kept from the view before,
    says what the views say."""
    screen = json.loads(screen_view(state, "KELP427").model_dump_json())
    assert (screen["board"] is None) == (not isinstance(game, BoardGame))
    desk = json.loads(desk_text(state, "KELP427", (), memo))
    assert desk == desk_view(state, "KELP427", ()).model_dump(mode="json")
    for player in list(state.hands)[-1:] if isinstance(game, BoardGame) else ():
        told = state.settings.game, state.board, state.hands, player
        assert json.loads(game.own_text(*told)) == game.own_view(*told).model_dump(mode="json")
    for seat in state.people():
        own = _own_part(state, seat)
        assert own["name"] == state.name(seat)
        others = [state.name(other) for other in state.people() if other is not seat]
        assert not any(f'"{name}"' in json.dumps(own) for name in others)


def _own_part(state, seat):
    if state.phase is not Phase.WORKING:
        return mine(state, Places(state), seat.number).model_dump(mode="json")
    text = json.loads(mine_text(state, seat, place_of(state, seat.number)))
    assert text == mine_at_own_pace(state, seat).model_dump(mode="json")
    return text
