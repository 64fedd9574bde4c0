"""Teams, for the games that are played by them: who goes where (docs/games.md, V1 to V5)."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from random import Random
from statistics import fmean
from typing import Annotated, Literal, NamedTuple

from pydantic import Field

from lantern.core.games.contract import GameMove, LooksAt, Newcomer
from lantern.core.messages import Message, said

MOST_TEAMS = 20
TAKES = 0.5
"""The mean mark of its members by which a team has answered right."""
TINY = 1e-6
USUAL_MARK = 0.5
"""Of those of whom nothing is known, where nothing is known of anybody."""

Made = Literal["drawn", "chosen", "listed", "balanced", "shared"]
"""How teams are made: drawn, chosen by the players, as the class list has them, balanced by earlier marks, or one for
each shared device."""


LOOKS_AT: Mapping[str, frozenset[LooksAt]] = {"listed": frozenset({"group"}), "balanced": frozenset({"earlier"})}
"""What has to be known of players, by how teams are made."""


class JoinTeam(GameMove):
    """Into this team, from 1, as long as it has not begun."""

    move: Literal["join_team"] = "join_team"
    team: Annotated[int, Field(ge=1, le=MOST_TEAMS)]


class GiveTurn(GameMove):
    """Of the desk: it is this team's turn, from 1."""

    move: Literal["give_turn"] = "give_turn"
    team: Annotated[int, Field(ge=1, le=MOST_TEAMS)]


@dataclass(frozen=True, slots=True)
class Tally:
    """The marks of one team for the question that is being told: their sum, and how many they are."""

    total: float = 0.0
    answers: int = 0

    @property
    def mean(self) -> float:
        return self.total / self.answers if self.answers else 0.0

    @property
    def takes(self) -> bool:
        """Whether its answer counts as right."""
        return self.answers > 0 and self.mean >= TAKES - TINY

    def with_mark(self, mark: float) -> "Tally":
        return Tally(self.total + mark, self.answers + 1)


class Place(NamedTuple):
    """A team, from 0, or None where that is decided when it begins; and the groups of the class list, each standing for
    the team of its place."""

    team: int | None
    groups: tuple[str, ...]


def place_for(made: Made, sizes: Sequence[int], who: Newcomer, groups: tuple[str, ...], *, begun: bool) -> Place:
    """Where somebody goes who comes in for the first time."""
    if made in ("chosen", "balanced") and not begun:
        return Place(None, groups)
    if made == "listed" and who.group:
        name = who.group.casefold()
        if name in groups:
            return Place(groups.index(name), groups)
        if len(groups) < len(sizes):
            return Place(len(groups), (*groups, name))
    return Place(smallest(sizes, who.rng if made == "drawn" and not begun else None), groups)


def smallest(sizes: Sequence[int], rng: Random | None = None) -> int:
    """Of equal ones the first, or any (with `rng`)."""
    least = min(sizes)
    found = [number for number, size in enumerate(sizes) if size == least]
    return rng.choice(found) if rng else found[0]


def dealt(made: Made, sizes: Sequence[int], waiting: Mapping[int, float | None], rng: Random) -> dict[int, int]:
    """The teams, from 0, of those who have none when it begins; each with their mean mark so far, 0..1, if it is
    known."""
    known = [mark for mark in waiting.values() if mark is not None]
    usual = fmean(known) if known else USUAL_MARK
    marks = {player: usual if mark is None else mark for player, mark in waiting.items()}
    order = list(marks)
    if made == "balanced":
        rng.shuffle(order)
        order.sort(key=lambda player: -marks[player])
    now, sums, found = list(sizes), [0.0] * len(sizes), dict[int, int]()
    for player in order:
        team = min(range(len(now)), key=lambda number: (now[number], sums[number] if made == "balanced" else 0, number))
        now[team] += 1
        sums[team] += marks[player]
        found[player] = team
    return found


def refused_to_join(made: Made, teams: int, move: JoinTeam, *, begun: bool) -> Message | None:
    if made != "chosen" or move.team > teams:
        return said("no_such_team", "There is no such team to choose.")
    return said("game_has_begun", "It has begun, so teams stay as they are.") if begun else None
