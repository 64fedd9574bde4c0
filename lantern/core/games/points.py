"""Quick lights: every mark earns points, and the most points are ahead. Its name in what is stored is "points".

points = round(100 x mark x weight) + bonus
bonus  = round(20 x mark x weight x share of the time left), where early answers are rewarded
       + 10 x weight x right ones in a row before it (3 at most), for a whole mark, where runs are rewarded
"""

from typing import Literal

from lantern.core.games.contract import Gain, Game, GameSettings, Play

FULL_POINTS = 100
EARLY_POINTS = 20
RUN_POINTS, LONGEST_RUN = 10, 3


class PointsSettings(GameSettings):
    game: Literal["points"] = "points"
    early_bonus: bool = False
    run_bonus: bool = False


class Points(Game[PointsSettings]):
    name = "points"
    settings = PointsSettings
    has_points = True

    def ranks_players(self, chosen: PointsSettings) -> bool:
        return True

    def alone(self, chosen: PointsSettings) -> PointsSettings:
        return chosen

    def wants_time(self, chosen: PointsSettings) -> bool:
        return chosen.early_bonus

    def wants_runs(self, chosen: PointsSettings) -> bool:
        return chosen.run_bonus

    def gain(self, chosen: PointsSettings, play: Play) -> Gain:
        base, early, of_run = round(FULL_POINTS * play.mark * play.weight), 0, 0
        if chosen.early_bonus and play.left is not None:
            early = round(EARLY_POINTS * play.mark * play.weight * play.left)
        if chosen.run_bonus and play.mark >= 1:
            of_run = RUN_POINTS * play.weight * min(LONGEST_RUN, play.run)
        return Gain(base + early + of_run, early, of_run)


GAME = Points()
