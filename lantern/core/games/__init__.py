"""The games, in one explicit list, and the unions that are made from it."""

from collections.abc import Mapping
from random import Random
from typing import TYPE_CHECKING, Any

from lantern.core.games import (
    beacons,
    boathouse,
    crossword,
    island,
    keepers,
    points,
    sea_chest,
    shutters,
    sort_the_catch,
    soundings,
    two_halves,
    word_search,
)
from lantern.core.games.contract import (
    NOTHING,
    Asked,
    BoardGame,
    Gain,
    Game,
    GameMove,
    GameSettings,
    GameView,
    Given,
    Newcomer,
    Outline,
    Play,
    QuestionMove,
    Tried,
    Turn,
)
from lantern.core.games.places import places_of
from lantern.core.values import union_of

GAMES: tuple[Game[Any], ...] = (
    points.GAME,
    beacons.GAME,
    keepers.GAME,
    soundings.GAME,
    island.GAME,
    sea_chest.GAME,
    boathouse.GAME,
    crossword.GAME,
    word_search.GAME,
    two_halves.GAME,
    shutters.GAME,
    sort_the_catch.GAME,
)

_BY_NAME = {game.name: game for game in GAMES}
_BOARDS: dict[str, BoardGame[Any, Any, Any]] = {game.name: game for game in GAMES if isinstance(game, BoardGame)}


def game_of(chosen: GameSettings) -> Game[Any]:
    """The game that these settings are for."""
    return _BY_NAME[chosen.game]


def board_game_of(chosen: GameSettings) -> BoardGame[Any, Any, Any] | None:
    """The game, where it has a board."""
    return _BOARDS.get(chosen.game)


def imagined_move(board: Mapping[str, Any], rng: Random) -> GameMove | None:
    """What a made-up player does who is sent this of a board; None for nothing."""
    game = _BY_NAME[board["game"]]
    return game.imagine(game.own.model_validate(board), rng) if isinstance(game, BoardGame) else None


if TYPE_CHECKING:
    AnyGame = GameSettings
    AnyGameMove = GameMove
    AnyGameGuide = GameMove
    AnyGameScreen = GameView
    AnyGameOwn = GameView
else:
    AnyGame = union_of((game.settings for game in GAMES), by="game")
    AnyGameMove = union_of(dict.fromkeys(move for game in _BOARDS.values() for move in game.moves), by="move")
    AnyGameGuide = union_of(dict.fromkeys(guide for game in _BOARDS.values() for guide in game.guides), by="move")
    AnyGameScreen = union_of((game.screen for game in _BOARDS.values()), by="game")
    AnyGameOwn = union_of((game.own for game in _BOARDS.values()), by="game")

PLAIN = points.PointsSettings()
"""What is played where nothing was chosen."""

__all__ = [
    "GAMES",
    "NOTHING",
    "PLAIN",
    "AnyGame",
    "AnyGameGuide",
    "AnyGameMove",
    "AnyGameOwn",
    "AnyGameScreen",
    "Asked",
    "BoardGame",
    "Gain",
    "Game",
    "GameMove",
    "GameSettings",
    "Given",
    "Newcomer",
    "Outline",
    "Play",
    "QuestionMove",
    "Tried",
    "Turn",
    "board_game_of",
    "game_of",
    "imagined_move",
    "places_of",
]
