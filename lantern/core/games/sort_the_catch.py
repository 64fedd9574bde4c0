"""Sort the catch: one after another goes into the crate that it belongs in (docs/games.md)."""

from typing import Literal

from lantern.core.games.pairs import Hands, PairGame, PairSettings, PairsOwn, PairsScreen, Quay


class SortTheCatchSettings(PairSettings):
    game: Literal["sort_the_catch"] = "sort_the_catch"


class SortTheCatchScreen(PairsScreen):
    game: Literal["sort_the_catch"] = "sort_the_catch"


class SortTheCatchOwn(PairsOwn):
    game: Literal["sort_the_catch"] = "sort_the_catch"


class SortTheCatch(PairGame[SortTheCatchSettings]):
    name = "sort_the_catch"
    settings = SortTheCatchSettings
    plays = "classify"
    screen = SortTheCatchScreen
    own = SortTheCatchOwn

    def takes(self, left: str, right: str) -> bool:
        """What is sorted is read: a picture or a sound alone is in no crate."""
        return bool(left)

    def screen_view(self, chosen: SortTheCatchSettings, board: Quay, hands: Hands) -> SortTheCatchScreen:
        return SortTheCatchScreen(players=board.players, boards=self.lines(board, hands))

    def own_view(self, chosen: SortTheCatchSettings, board: Quay, hands: Hands, player: int) -> SortTheCatchOwn:
        return SortTheCatchOwn(right=hands[player].right, boards=self.own_lines(chosen, board, hands[player]))


GAME = SortTheCatch()
