"""Keepers: everybody keeps a light of their own. Right answers fill an oil can; oil buys what makes the light better.

oil of an answer = round(mark x weight x pace x (LENSES[lens] + 2 x flame))
flame            = right answers in a row before it, 5 at most

What was missed puts the flame out, unless a spare wick is there. Places are by all oil that was ever earned: what is
spent is not lost.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from random import Random
from typing import Annotated, Literal, NamedTuple

from pydantic import Field

from lantern.core.games.contract import BoardGame, GameMove, GameSettings, GameView, Given, Newcomer, Outline, Turn
from lantern.core.messages import Message, said
from lantern.core.values import Value

LENSES = (10, 14, 20, 28, 40)
"""Oil for a whole right answer, by lens."""
NEXT_LENS = (40, 90, 180, 320)
"""The price of the next lens, by the one that is there."""
FLAME, BRIGHTEST = 2, 5
WICK, MOST_WICKS = 25, 2
CHART, MOST_CHARTS = 20, 2
GUST, CALM = 40, 3
"""The price of a gust; after one, nobody sends another to the same light for so many of its answers."""
STUCK = 3

Thing = Literal["lens", "wick", "chart", "gust"]
Offered = tuple[Thing, int, bool]
"""What can be bought, its price, and whether there is enough oil, and use for it."""


class KeepersSettings(GameSettings):
    """`oil` and `answers`: who has earned so much, or given so many answers, has done; None: the time alone decides.
    `gusts`: players may put out another's flame."""

    game: Literal["keepers"] = "keepers"
    oil: Annotated[int, Field(ge=50, le=20_000)] | None = None
    answers: Annotated[int, Field(ge=3, le=500)] | None = None
    gusts: bool = False


class Buy(GameMove):
    """Something for oil."""

    move: Literal["buy"] = "buy"
    what: Thing


@dataclass(frozen=True, slots=True)
class Station:
    """Nothing is shared: each has a light."""


class Light(NamedTuple):
    """`oil` is in the can, `earned` was ever in it. `lens` is its number, from 0. `flame` is how many right answers in
    a row, `missed` how many that were not. `charts` are open for the question that is on. `calm`: for so many answers
    no gust comes. `gusts` is how many came."""

    oil: int = 0
    earned: int = 0
    lens: int = 0
    wicks: int = 0
    charts: int = 0
    flame: int = 0
    missed: int = 0
    answers: int = 0
    right: int = 0
    calm: int = 0
    gusts: int = 0
    out: bool = False


class Offer(Value):
    """Something that can be bought: what it costs, and whether there is enough oil, and use for it."""

    what: Thing
    price: int
    can: bool


class KeepersScreen(GameView):
    """`lights` are what everybody has earned, most first, and nobody's; `answers` how many there were in all."""

    game: Literal["keepers"] = "keepers"
    lights: tuple[int, ...]
    answers: int
    target: int | None


class KeepersOwn(GameView):
    """`each` is the oil for the next right answer. `target` is what one needs, of oil or of answers, to have done."""

    game: Literal["keepers"] = "keepers"
    oil: int
    earned: int
    lens: int
    wicks: int
    charts: int
    flame: int
    answers: int
    right: int
    gusts: int
    each: int
    target_oil: int | None
    target_answers: int | None
    offers: tuple[Offer, ...]


Hands = Mapping[int, Light]
Next = Turn[Station, Light]
TOO_LITTLE = said("too_little_oil", "There is too little oil in your can.")
NO_USE = said("no_use_now", "That is of no use just now.")


class Keepers(BoardGame[KeepersSettings, Station, Light]):
    name = "keepers"
    settings = KeepersSettings
    manners = frozenset(("own_pace",))
    goes_round = True
    usual_minutes = 20
    moves = (Buy,)
    screen = KeepersScreen
    own = KeepersOwn

    def ranks_players(self, chosen: KeepersSettings) -> bool:
        return True

    def alone(self, chosen: KeepersSettings) -> KeepersSettings:
        return chosen.model_copy(update={"gusts": False})

    def start(self, chosen: KeepersSettings, outline: Outline) -> Station:
        return Station()

    def on_join(self, chosen: KeepersSettings, board: Station, hands: Hands, who: Newcomer) -> Next:
        return Turn(board, {who.player: hands.get(who.player, Light())._replace(out=False)})

    def on_leave(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int) -> Next:
        return Turn(board, {player: hands.get(player, Light())._replace(out=True)})

    def on_answer(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int, given: Given) -> Next:
        hand = hands[player]
        won = round(given.mark * given.weight * given.pace * _each(hand))
        is_right = given.mark >= 1
        is_saved = not is_right and hand.wicks > 0 and hand.flame > 0
        after = Light(
            oil=hand.oil + won,
            earned=hand.earned + won,
            lens=hand.lens,
            wicks=hand.wicks - is_saved,
            charts=0,
            flame=min(BRIGHTEST, hand.flame + 1) if is_right else hand.flame if is_saved else 0,
            missed=0 if is_right else hand.missed + 1,
            answers=hand.answers + 1,
            right=hand.right + is_right,
            calm=max(0, hand.calm - 1),
            gusts=hand.gusts,
            out=hand.out,
        )
        return Turn(board, {player: after})

    def refused(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int, move: Buy) -> Message | None:
        offer = next((_offer(one) for one in _offered(chosen, hands, player) if one[0] == move.what), None)
        if offer is None or (not offer.can and hands[player].oil >= offer.price):
            return NO_USE
        return None if offer.can else TOO_LITTLE

    def on_move(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int, move: Buy) -> Next:
        hand = hands[player]
        if move.what == "lens":
            return Turn(board, {player: hand._replace(oil=hand.oil - NEXT_LENS[hand.lens], lens=hand.lens + 1)})
        if move.what == "wick":
            return Turn(board, {player: hand._replace(oil=hand.oil - WICK, wicks=hand.wicks + 1)})
        if move.what == "chart":
            return Turn(board, {player: hand._replace(oil=hand.oil - CHART, charts=hand.charts + 1)})
        other = _before(hands, player)
        assert other is not None
        theirs = hands[other]._replace(flame=0, calm=CALM, gusts=hands[other].gusts + 1)
        return Turn(board, {player: hand._replace(oil=hand.oil - GUST), other: theirs})

    def done(self, chosen: KeepersSettings, hand: Light) -> bool:
        return (chosen.oil is not None and hand.earned >= chosen.oil) or (
            chosen.answers is not None and hand.answers >= chosen.answers
        )

    def left_out(self, chosen: KeepersSettings, hand: Light) -> int:
        return hand.charts

    def stuck(self, chosen: KeepersSettings, hand: Light) -> bool:
        return hand.missed >= STUCK

    def imagine(self, seen: KeepersOwn, rng: Random) -> Buy | None:
        """Saves for the next lens, keeps a wick once the flame is worth it, and is sometimes tempted."""
        can = {one.what for one in seen.offers if one.can}
        if "lens" in can:
            return Buy(what="lens")
        if "wick" in can and seen.flame >= 3 and not seen.wicks:
            return Buy(what="wick")
        tempting = sorted(can & {"chart", "gust"})
        return Buy(what=rng.choice(tempting)) if tempting and rng.random() < 0.1 else None

    def over(self, chosen: KeepersSettings, board: Station) -> bool:
        return False

    def scores(self, chosen: KeepersSettings, board: Station, hands: Hands) -> Mapping[int, int]:
        return {player: hand.earned for player, hand in hands.items()}

    def screen_view(self, chosen: KeepersSettings, board: Station, hands: Hands) -> KeepersScreen:
        there = [hand for hand in hands.values() if not hand.out]
        return KeepersScreen(
            lights=tuple(sorted((hand.earned for hand in there), reverse=True)),
            answers=sum(hand.answers for hand in there),
            target=chosen.oil,
        )

    def own_view(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int) -> KeepersOwn:
        hand = hands[player]
        return KeepersOwn(
            oil=hand.oil,
            earned=hand.earned,
            lens=hand.lens + 1,
            wicks=hand.wicks,
            charts=hand.charts,
            flame=hand.flame,
            answers=hand.answers,
            right=hand.right,
            gusts=hand.gusts,
            each=_each(hand),
            target_oil=chosen.oil,
            target_answers=chosen.answers,
            offers=tuple(map(_offer, _offered(chosen, hands, player))),
        )

    def own_text(self, chosen: KeepersSettings, board: Station, hands: Hands, player: int) -> str:
        hand = hands[player]
        oil, answers = chosen.oil or "null", chosen.answers or "null"
        offers = _offers_text(tuple(_offered(chosen, hands, player)))
        return (
            f'{{"game":"keepers","oil":{hand.oil},"earned":{hand.earned},"lens":{hand.lens + 1},"wicks":{hand.wicks},'
            f'"charts":{hand.charts},"flame":{hand.flame},"answers":{hand.answers},"right":{hand.right},'
            f'"gusts":{hand.gusts},"each":{_each(hand)},"target_oil":{oil},"target_answers":{answers},'
            f'"offers":[{offers}]}}'
        )


@lru_cache(maxsize=256)
def _offers_text(offered: tuple[Offered, ...]) -> str:
    return ",".join(_offer(one).model_dump_json() for one in offered)


def _offer(offered: Offered) -> Offer:
    what, price, can = offered
    return Offer(what=what, price=price, can=can)


def _each(hand: Light) -> int:
    return LENSES[hand.lens] + FLAME * hand.flame


def _offered(chosen: KeepersSettings, hands: Hands, player: int) -> list[Offered]:
    hand = hands[player]
    oil = hand.oil
    offered: list[Offered] = [
        ("wick", WICK, oil >= WICK and hand.wicks < MOST_WICKS),
        ("chart", CHART, oil >= CHART and hand.charts < MOST_CHARTS),
    ]
    if hand.lens < len(NEXT_LENS):
        price = NEXT_LENS[hand.lens]
        offered.insert(0, ("lens", price, oil >= price))
    if chosen.gusts:
        offered.append(("gust", GUST, oil >= GUST and _before(hands, player) is not None))
    return offered


def _before(hands: Hands, player: int) -> int | None:
    """Whose light a gust reaches: of those that are ahead the nearest, of those behind where nobody is; one that burns
    and had none for a while."""
    own = hands[player].earned
    others = [
        (one, hand)
        for one, hand in hands.items()
        if one != player and hand.flame > 0 and not hand.calm and not hand.out
    ]
    ahead = [(hand.earned, one) for one, hand in others if hand.earned >= own]
    behind = [(-hand.earned, one) for one, hand in others if hand.earned < own]
    return min(ahead or behind, default=(0, None))[1]


GAME = Keepers()
