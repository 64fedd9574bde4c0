"""Who is in which team, for boards that keep no more of them (docs/games.md, V1 to V5)."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from random import Random
from typing import Literal, NamedTuple

from lantern.core.games.contract import Newcomer
from lantern.core.games.teams import Made, dealt, place_for

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
