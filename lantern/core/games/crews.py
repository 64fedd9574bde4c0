"""Who is in which team, for boards that keep no more of them (docs/games.md, V1 to V5), and what games have in common
in which such teams take turns.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from random import Random
from typing import Any, Generic, Literal, NamedTuple, TypeVar

from lantern.core.games.contract import BoardGame, GameSettings, LooksAt, Newcomer, Turn
from lantern.core.games.teams import LOOKS_AT, JoinTeam, Made, dealt, place_for, refused_to_join
from lantern.core.messages import Message, said

MadeInRoom = Made | Literal["room"]
"""As other teams are, or they have no devices."""


@dataclass(frozen=True, slots=True)
class Mate:
    """`team` from 0; None before it is decided, and for whoever is in none. `earlier` is the mean of earlier marks, as
    long as that decides."""

    team: int | None
    out: bool = False
    earlier: float | None = None


@dataclass(frozen=True, slots=True)
class Crews:
    """How many members each team has. `groups` of the class list stand for the teams of their places."""

    made: MadeInRoom
    sizes: tuple[int, ...]
    groups: tuple[str, ...] = ()
    begun: bool = False

    def is_there(self, team: int) -> bool:
        """Whether anybody is in it; without devices everybody is."""
        return self.made == "room" or self.sizes[team] > 0

    def from_on(self, team: int) -> int:
        """This team, or the next one that anybody is in."""
        number = len(self.sizes)
        in_order = (one % number for one in range(team, team + number))
        return next(filter(self.is_there, in_order), team % number)


class Crewed(NamedTuple):
    """The crews, and the mates that are not as they were, by player."""

    crews: Crews
    mates: Mapping[int, Mate]


Mates = Mapping[int, Mate]


def joined(crews: Crews, mates: Mates, who: Newcomer) -> Crewed:
    known = mates.get(who.player)
    if known is not None and not known.out:
        return Crewed(crews, {})
    if known is not None and known.team is not None:
        return entered(crews, known, who.player, known.team)
    if crews.made == "room":
        return Crewed(crews, {who.player: Mate(None)})
    place = place_for(crews.made, crews.sizes, who, crews.groups, begun=crews.begun)
    if place.team is None:
        return Crewed(crews, {who.player: Mate(None, earlier=who.earlier)})
    return entered(replace(crews, groups=place.groups), Mate(None), who.player, place.team)


def left(crews: Crews, mates: Mates, player: int) -> Crewed:
    mate = mates.get(player)
    if mate is None or mate.out:
        return Crewed(crews, {})
    return Crewed(_without(crews, mate.team), {player: replace(mate, out=True)})


def begun(crews: Crews, mates: Mates, rng: Random) -> Crewed:
    """Whoever has no team by now gets one."""
    crews, found = replace(crews, begun=True), dict[int, Mate]()
    if crews.made == "room":
        return Crewed(crews, found)
    waiting = {player: mate.earlier for player, mate in mates.items() if mate.team is None and not mate.out}
    for player, team in dealt(crews.made, crews.sizes, waiting, rng).items():
        crews, entering = entered(crews, mates[player], player, team)
        found.update(entering)
    return Crewed(crews, found)


def entered(crews: Crews, mate: Mate, player: int, team: int) -> Crewed:
    """With this mate in another team, from 0."""
    crews = _resized(_without(crews, None if mate.out else mate.team), team, 1)
    return Crewed(crews, {player: replace(mate, team=team, out=False, earlier=None)})


def _without(crews: Crews, team: int | None) -> Crews:
    return crews if team is None else _resized(crews, team, -1)


def _resized(crews: Crews, team: int, by: int) -> Crews:
    sizes = tuple(size + by * (number == team) for number, size in enumerate(crews.sizes))
    return replace(crews, sizes=sizes)


NOT_YOUR_TURN = said("not_your_turn", "It is another team's turn.")


class CrewSettings(GameSettings):
    """`made`: as other teams are, or (`room`) they have no devices."""

    made: MadeInRoom = "drawn"


@dataclass(frozen=True, kw_only=True)
class WithCrews:
    """`turn` is the team, from 0, that comes next. What chance decides follows from `salt`."""

    crews: Crews
    turn: int = 0
    salt: str = ""

    @property
    def comes_next(self) -> int:
        return self.crews.from_on(self.turn)


Chosen = TypeVar("Chosen", bound=CrewSettings)
Board = TypeVar("Board", bound=WithCrews)


class CrewGame(BoardGame[Chosen, Board, Mate], Generic[Chosen, Board]):
    """Led, in one room: the board is looked at before each question, and the team whose turn it is does something that
    opens the next one."""

    manners = frozenset(("led",))
    chooses_questions = True

    def shares_devices(self, chosen: Chosen) -> bool:
        return chosen.made == "shared"

    def looks_at(self, chosen: Chosen) -> frozenset[LooksAt]:
        return LOOKS_AT.get(chosen.made, frozenset())

    def team_of(self, hand: Mate) -> int | None:
        return hand.team

    def on_join(self, chosen: Chosen, board: Board, hands: Mates, who: Newcomer) -> Turn[Board, Mate]:
        return _with_crews(board, joined(board.crews, hands, who))

    def on_leave(self, chosen: Chosen, board: Board, hands: Mates, player: int) -> Turn[Board, Mate]:
        return _with_crews(board, left(board.crews, hands, player))

    def on_begin(self, chosen: Chosen, board: Board, hands: Mates, rng: Random) -> Turn[Board, Mate]:
        if board.crews.begun:
            return Turn(board)
        turn = _with_crews(board, begun(board.crews, hands, rng))
        return Turn(replace(turn.board, salt=f"{rng.getrandbits(64):x}"), turn.hands)

    def refused(self, chosen: Chosen, board: Board, hands: Mates, player: int, move: Any) -> Message | None:
        if not isinstance(move, JoinTeam):
            return self.not_now(board, hands[player])
        made = "drawn" if chosen.made == "room" else chosen.made
        return refused_to_join(made, len(board.crews.sizes), move, begun=board.crews.begun)

    def not_now(self, board: Board, mate: Mate) -> Message | None:
        """Why this player cannot do it for their team."""
        is_own = mate.team is not None and mate.team == board.comes_next and board.crews.begun
        return None if is_own else NOT_YOUR_TURN

    def entering(self, board: Board, hands: Mates, player: int, move: JoinTeam) -> Turn[Board, Mate]:
        return _with_crews(board, entered(board.crews, hands[player], player, move.team - 1))

    def guide_refused(self, chosen: Chosen, board: Board, guide: Any) -> Message | None:
        team = getattr(guide, "team", None) or 1
        return said("no_such_team", "There is no such team to choose.") if team > len(board.crews.sizes) else None

    def choices(self, chosen: Chosen, board: Board) -> int:
        """Out of how many teams one may choose now."""
        return len(board.crews.sizes) if chosen.made == "chosen" and not board.crews.begun else 0

    def shows(self, chosen: Chosen, board: Board, team: int) -> bool:
        """Whether the room sees this team, from 0: somebody is in it, or may go to it."""
        may_go = chosen.made in ("chosen", "room") and not board.crews.begun
        return may_go or board.crews.is_there(team)


def _with_crews(board: Board, crewed: Crewed) -> Turn[Board, Mate]:
    crews, mates = crewed
    return Turn(replace(board, crews=crews), mates) if crews is not board.crews or mates else Turn(board)
