"""Two halves: what belongs together lies apart, and is put together again (docs/games.md)."""

from typing import Literal

from lantern.core.games.pairs import Hands, PairGame, PairSettings, PairsOwn, PairsScreen, Quay


class TwoHalvesSettings(PairSettings):
    game: Literal["two_halves"] = "two_halves"


class TwoHalvesScreen(PairsScreen):
    game: Literal["two_halves"] = "two_halves"


class TwoHalvesOwn(PairsOwn):
    game: Literal["two_halves"] = "two_halves"


class TwoHalves(PairGame[TwoHalvesSettings]):
    name = "two_halves"
    settings = TwoHalvesSettings
    plays = "match"
    screen = TwoHalvesScreen
    own = TwoHalvesOwn

    def screen_view(self, chosen: TwoHalvesSettings, board: Quay, hands: Hands) -> TwoHalvesScreen:
        return TwoHalvesScreen(players=board.players, boards=self.lines(board, hands))

    def own_view(self, chosen: TwoHalvesSettings, board: Quay, hands: Hands, player: int) -> TwoHalvesOwn:
        return TwoHalvesOwn(right=hands[player].right, boards=self.own_lines(chosen, board, hands[player]))


GAME = TwoHalves()
