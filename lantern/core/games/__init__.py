"""The games, in one explicit list, and the union that is made from it."""

from typing import TYPE_CHECKING, Any

from lantern.core.games import points
from lantern.core.games.contract import NOTHING, Gain, Game, GameSettings, Play
from lantern.core.games.places import places_of
from lantern.core.values import union_of

GAMES: tuple[Game[Any], ...] = (points.GAME,)

_BY_NAME = {game.name: game for game in GAMES}


def game_of(chosen: GameSettings) -> Game[Any]:
    """The game that these settings are for."""
    return _BY_NAME[chosen.game]


if TYPE_CHECKING:
    AnyGame = GameSettings
else:
    AnyGame = union_of((game.settings for game in GAMES), by="game")

PLAIN = points.PointsSettings()
"""What is played where nothing was chosen."""

__all__ = ["GAMES", "NOTHING", "PLAIN", "AnyGame", "Gain", "Game", "GameSettings", "Play", "game_of", "places_of"]
