"""Sea chest: teams draw a card, talk, and say what they found; the desk says what it was worth (docs/games.md, C1 to
C7).
"""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.games.contract import GameMove, GameView, Given, Outline, Turn
from lantern.core.games.crews import CrewGame, Crews, CrewSettings, MadeInRoom, Mate, WithCrews
from lantern.core.games.teams import GiveTurn, JoinTeam
from lantern.core.messages import Message, said
from lantern.core.values import ShortId, Value

MOST_CHEST_TEAMS = 8
Pearls = Literal[0, 1, 2]
"""What the desk may give for a card: nothing, half, or all of it."""


class SeaChestSettings(CrewSettings):
    """`teams`: how many. `order`: cards are drawn by chance, or come as they stand in the set."""

    game: Literal["sea_chest"] = "sea_chest"
    teams: Annotated[int, Field(ge=2, le=MOST_CHEST_TEAMS)] = 4
    made: MadeInRoom = "room"
    order: Literal["drawn", "set"] = "drawn"


class Draw(GameMove):
    """A card, for the team whose turn it is."""

    move: Literal["draw"] = "draw"


class GivePearls(GameMove):
    """Of the desk: what this team said to a card that was drawn is worth so much. Given again, it is worth that."""

    move: Literal["give_pearls"] = "give_pearls"
    question: ShortId
    team: Annotated[int, Field(ge=1, le=MOST_CHEST_TEAMS)]
    pearls: Pearls


@dataclass(frozen=True, kw_only=True)
class Chest(WithCrews):
    """`cards` in the order in which they come, once it has begun. `on` is the card that is on, `last` the one before
    it, `done` are those that were. `given` are pearls, by card and team."""

    cards: tuple[str, ...]
    on: str | None = None
    last: str | None = None
    done: frozenset[str] = frozenset()
    given: Mapping[tuple[str, int], int] = field(default_factory=dict)

    def pearls_of(self, team: int) -> int:
        return sum(pearls for (_, one), pearls in self.given.items() if one == team)


class ChestTeam(Value):
    """`number` from 1. `now` is what it has for the card that is on, or was last; None as long as nothing was said."""

    number: int
    members: int
    pearls: int
    now: int | None
    place: int


class SeaChestScreen(GameView):
    """`teams` are those that anybody is in, or may go to. `turn` is the number of the team that draws, None once it is
    over. `card` is the one that is on, or was last."""

    game: Literal["sea_chest"] = "sea_chest"
    cards: int
    left: int
    teams: tuple[ChestTeam, ...]
    begun: bool
    made: MadeInRoom
    turn: int | None
    card: str | None
    open: bool


class SeaChestOwn(GameView):
    """`team` is one's own. `choices`: out of how many one may choose now. `may_draw`: it is for one's own team to
    draw."""

    game: Literal["sea_chest"] = "sea_chest"
    left: int
    team: ChestTeam | None
    teams: int
    choices: int
    may_draw: bool
    turn: int | None


Hands = Mapping[int, Mate]
Next = Turn[Chest, Mate]


class SeaChest(CrewGame[SeaChestSettings, Chest]):
    name = "sea_chest"
    settings = SeaChestSettings
    by_hand = True
    moves = (JoinTeam, Draw)
    guides = (GivePearls, GiveTurn)
    screen = SeaChestScreen
    own = SeaChestOwn

    def start(self, chosen: SeaChestSettings, outline: Outline) -> Chest:
        teams = MOST_CHEST_TEAMS if chosen.made == "shared" else chosen.teams
        cards = tuple(one.question for one in outline.questions)
        return Chest(crews=Crews(chosen.made, (0,) * teams), cards=cards)

    def on_begin(self, chosen: SeaChestSettings, board: Chest, hands: Hands, rng: Random) -> Next:
        turn = super().on_begin(chosen, board, hands, rng)
        if board.crews.begun or chosen.order == "set":
            return turn
        cards = Random(turn.board.salt).sample(board.cards, len(board.cards))
        return Turn(replace(turn.board, cards=tuple(cards)), turn.hands)

    def on_open(self, chosen: SeaChestSettings, board: Chest, question: str, asking: int) -> Chest:
        return replace(board, on=question) if question in board.cards else board

    def on_close(self, chosen: SeaChestSettings, board: Chest, question: str, *, was_asked: bool) -> Chest:
        """A card that was put back before it was talked about stays in the chest."""
        return board if was_asked or board.on != question else replace(board, on=None)

    def on_answer(self, chosen: SeaChestSettings, board: Chest, hands: Hands, player: int, given: Given) -> Next:
        """Marks are no pearls."""
        return Turn(board)

    def on_told(self, chosen: SeaChestSettings, board: Chest, question: str) -> Chest:
        if question not in board.cards or question in board.done:
            return board
        board = replace(board, on=None, last=question, done=board.done | {question})
        return replace(board, turn=board.crews.from_on(board.comes_next + 1))

    def not_now(self, board: Chest, mate: Mate) -> Message | None:
        if board.on is not None:
            return said("card_is_drawn", "A card has been drawn already.")
        return super().not_now(board, mate)

    def on_move(self, chosen: SeaChestSettings, board: Chest, hands: Hands, player: int, move: GameMove) -> Next:
        return self.entering(board, hands, player, move) if isinstance(move, JoinTeam) else Turn(board)

    def opens(self, chosen: SeaChestSettings, board: Chest, move: GameMove) -> str | None:
        return self.following(chosen, board) if isinstance(move, Draw) else None

    def following(self, chosen: SeaChestSettings, board: Chest) -> str | None:
        return next((card for card in board.cards if card not in board.done), None)

    def guide_refused(self, chosen: SeaChestSettings, board: Chest, guide: GameMove) -> Message | None:
        if isinstance(guide, GivePearls) and guide.question not in {*board.done, board.on}:
            return said("card_not_drawn", "This card has not been drawn yet.")
        return super().guide_refused(chosen, board, guide)

    def on_guide(self, chosen: SeaChestSettings, board: Chest, guide: GameMove) -> Chest:
        if isinstance(guide, GiveTurn):
            return replace(board, turn=guide.team - 1)
        assert isinstance(guide, GivePearls)
        return replace(board, given={**board.given, (guide.question, guide.team - 1): guide.pearls})

    def imagine(self, seen: SeaChestOwn, rng: Random) -> GameMove | None:
        if seen.choices and not seen.team:
            return JoinTeam(team=rng.randint(1, seen.choices))
        return Draw() if seen.may_draw else None

    def over(self, chosen: SeaChestSettings, board: Chest) -> bool:
        return self.following(chosen, board) is None

    def screen_view(self, chosen: SeaChestSettings, board: Chest, hands: Hands) -> SeaChestScreen:
        return SeaChestScreen(
            cards=len(board.cards),
            left=len(board.cards) - len(board.done),
            teams=tuple(one for one in _lines(board) if self.shows(chosen, board, one.number - 1)),
            begun=board.crews.begun,
            made=chosen.made,
            turn=None if self.over(chosen, board) else board.comes_next + 1,
            card=board.on or board.last,
            open=board.on is not None,
        )

    def own_view(self, chosen: SeaChestSettings, board: Chest, hands: Hands, player: int) -> SeaChestOwn:
        mate, over = hands[player], self.over(chosen, board)
        return SeaChestOwn(
            left=len(board.cards) - len(board.done),
            team=None if mate.team is None else _lines(board)[mate.team],
            teams=sum(map(board.crews.is_there, range(len(board.crews.sizes)))),
            choices=self.choices(chosen, board),
            may_draw=not over and self.not_now(board, mate) is None,
            turn=None if over else board.comes_next + 1,
        )


def _lines(board: Chest) -> list[ChestTeam]:
    pearls = [board.pearls_of(team) for team in range(len(board.crews.sizes))]
    there = [one for team, one in enumerate(pearls) if board.crews.is_there(team)]
    card = board.on or board.last
    return [
        ChestTeam(
            number=team + 1,
            members=size,
            pearls=pearls[team],
            now=board.given.get((card, team)) if card else None,
            place=1 + sum(other > pearls[team] for other in there),
        )
        for team, size in enumerate(board.crews.sizes)
    ]


GAME = SeaChest()
