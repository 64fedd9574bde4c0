"""Points: the plain game. Every mark earns points, and the most points are ahead.

points = round(100 x mark x weight) + bonus
bonus  = round(20 x mark x weight x share of the time left), where early answers are rewarded
"""

from typing import Literal

from lantern.core.games.contract import Gain, GameSettings, Play

FULL_POINTS = 100
EARLY_POINTS = 20


class PointsSettings(GameSettings):
    game: Literal["points"] = "points"
    early_bonus: bool = False


class Points:
    name = "points"
    settings = PointsSettings

    def wants_time(self, chosen: PointsSettings) -> bool:
        return chosen.early_bonus

    def gain(self, chosen: PointsSettings, play: Play) -> Gain:
        base = round(FULL_POINTS * play.mark * play.weight)
        if not chosen.early_bonus or play.left is None:
            return Gain(base, 0)
        bonus = round(EARLY_POINTS * play.mark * play.weight * play.left)
        return Gain(base + bonus, bonus)


GAME = Points()
