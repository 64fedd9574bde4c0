"""What every game keeps to (`core/games/contract.py`)."""

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import TypeAdapter

from lantern.core.games import GAMES, PLAIN, AnyGame, Gain, Play, game_of, places_of
from lantern.core.games.points import PointsSettings
from lantern.core.session import Settings
from tests.builders import a_session, a_set, choice

shares = st.floats(0, 1)
plays = st.builds(Play, mark=shares, weight=st.sampled_from((0, 1, 2)), left=st.none() | shares, run=st.integers(0, 9))
chosen = st.sampled_from([PLAIN, PointsSettings(early_bonus=True), PointsSettings(early_bonus=True, run_bonus=True)])


@pytest.mark.parametrize("game", GAMES, ids=lambda game: game.name)
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
