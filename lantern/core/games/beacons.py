"""Beacon run: teams, and for each a chain of beacons along the coast. Right answers light the next.

light of an answer = mark x weight x pace / members who take part
lit beacons        = whole light so far, as many as the chain has at most

So a team is its members' mean, whatever its size. Who takes part is counted anew with every question that is led, and
at own pace every time a team has given as many answers as it has members: whoever missed the last two questions, or
gave none of the team's last 2 x members answers, is away until they answer again. A lost device costs a team little.
"""

from bisect import bisect_left
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cached_property
from math import ceil
from random import Random
from typing import Annotated, Literal, NamedTuple

from pydantic import Field

from lantern.core.games.contract import BoardGame, GameSettings, GameView, Given, LooksAt, Newcomer, Outline, Turn
from lantern.core.games.teams import LOOKS_AT, MOST_TEAMS, JoinTeam, Made, dealt, place_for, refused_to_join
from lantern.core.messages import Message
from lantern.core.values import Milliseconds, Value

PATIENCE = 2
SHARE_OF_FIRST = 0.7
"""How long a chain is that somebody shall reach the end of, as a share of what the questions count."""
USUAL_LENGTH, LONGEST = 10, 60
TINY = 1e-6


class BeaconsSettings(GameSettings):
    """`teams`: how many; there is one for each shared device. `ends`: who is first at the end of the chain has won, or
    who is furthest when the questions are over. `length`: beacons of a chain, None for what goes with the
    questions."""

    game: Literal["beacons"] = "beacons"
    teams: Annotated[int, Field(ge=2, le=MOST_TEAMS)] = 4
    made: Made = "drawn"
    ends: Literal["first", "furthest"] = "furthest"
    length: Annotated[int, Field(ge=3, le=LONGEST)] | None = None


class Team(NamedTuple):
    """`light` is how far it is, `before` how far it was before the last question that was led. `turn` counts questions,
    or at own pace its answers; at the turn `counted` those who `take_part` were counted. `arrived` is the moment at
    which it was at the end."""

    members: int = 0
    take_part: int = 0
    light: float = 0.0
    before: float = 0.0
    turn: int = 0
    counted: int = 0
    arrived: Milliseconds | None = None


@dataclass(frozen=True)
class Coast:
    """`moment` is that of the last question that was led. `groups` of the class list stand for the teams of their
    places."""

    length: int
    teams: tuple[Team, ...]
    own_pace: bool
    begun: bool = False
    moment: Milliseconds = 0
    groups: tuple[str, ...] = ()

    @cached_property
    def lines(self) -> tuple["TeamLine", ...]:
        """Of all teams, with their places: those that arrived first, then who is furthest."""
        keys = [(team.arrived is None, team.arrived or 0, -round(team.light, 4)) for team in self.teams]
        there = sorted(key for key, team in zip(keys, self.teams, strict=True) if team.members)
        return tuple(
            TeamLine(
                number=number,
                members=team.members,
                light=round(team.light, 2),
                before=round(team.before, 2),
                arrived=team.arrived is not None,
                place=1 + bisect_left(there, key),
            )
            for number, (key, team) in enumerate(zip(keys, self.teams, strict=True), start=1)
        )

    @cached_property
    def there(self) -> int:
        """How many teams have members."""
        return sum(team.members > 0 for team in self.teams)

    @cached_property
    def team_texts(self) -> tuple[str, ...]:
        """What is alike for all of a team, once it has begun: `BeaconsOwn` as JSON, up to their own light."""
        return tuple(
            f'{{"game":"beacons","length":{self.length},"team":{line.model_dump_json()},"teams":{self.there},"choices":0,'
            for line in self.lines
        )


class Mate(NamedTuple):
    """`team` from 0; None before it is decided. `last` is the turn of its last answer, `light` what its
    answers were worth to the team. `earlier` is the mean of earlier marks, as long as that decides."""

    team: int | None
    last: int = 0
    light: float = 0.0
    out: bool = False
    earlier: float | None = None


class TeamLine(Value):
    """`number` from 1. `before` is how far it was before the last question, where the class was told at once."""

    number: int
    members: int
    light: float
    before: float
    arrived: bool
    place: int


class BeaconsScreen(GameView):
    """`teams` are those that have members, in the order of their numbers; before it has begun, all there are."""

    game: Literal["beacons"] = "beacons"
    length: int
    ends: Literal["first", "furthest"]
    made: Made
    begun: bool
    teams: tuple[TeamLine, ...]


class BeaconsOwn(GameView):
    """`team` is the own one. `choices`: out of how many one may choose now. `light` is what one's own answers were
    worth to the team."""

    game: Literal["beacons"] = "beacons"
    length: int
    team: TeamLine | None
    teams: int
    choices: int
    light: float


Hands = Mapping[int, Mate]
Next = Turn[Coast, Mate]


class BeaconRun(BoardGame[BeaconsSettings, Coast, Mate]):
    name = "beacons"
    settings = BeaconsSettings
    moves = (JoinTeam,)
    screen = BeaconsScreen
    own = BeaconsOwn

    def shares_devices(self, chosen: BeaconsSettings) -> bool:
        return chosen.made == "shared"

    def team_of(self, hand: Mate) -> int | None:
        return hand.team

    def looks_at(self, chosen: BeaconsSettings) -> frozenset[LooksAt]:
        return LOOKS_AT.get(chosen.made, frozenset())

    def start(self, chosen: BeaconsSettings, outline: Outline) -> Coast:
        weight = outline.weight or USUAL_LENGTH
        usual = ceil(weight * SHARE_OF_FIRST) if chosen.ends == "first" else weight
        length = chosen.length or min(LONGEST, max(1, usual))
        return Coast(length, (Team(),) * (MOST_TEAMS if chosen.made == "shared" else chosen.teams), outline.own_pace)

    def on_join(self, chosen: BeaconsSettings, board: Coast, hands: Hands, who: Newcomer) -> Next:
        known = hands.get(who.player)
        if known is not None and not known.out:
            return Turn(board)
        if known is not None and known.team is not None:
            return _enter(board, known, who.player, known.team)
        place = place_for(chosen.made, _sizes(board), who, board.groups, begun=board.begun)
        if place.team is None:
            return Turn(board, {who.player: Mate(None, earlier=who.earlier)})
        return _enter(replace(board, groups=place.groups), Mate(None), who.player, place.team)

    def on_leave(self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int) -> Next:
        hand = hands.get(player)
        if hand is None or hand.out:
            return Turn(board)
        return Turn(_left(board, hand.team), {player: hand._replace(out=True)})

    def on_begin(self, chosen: BeaconsSettings, board: Coast, hands: Hands, rng: Random) -> Next:
        """Whoever has no team by now gets one."""
        if board.begun:
            return Turn(board)
        waiting = {player: hand.earlier for player, hand in hands.items() if hand.team is None and not hand.out}
        board, found = replace(board, begun=True), dict[int, Mate]()
        for player, team in dealt(chosen.made, _sizes(board), waiting, rng).items():
            turn = _enter(board, hands[player], player, team)
            board, found = turn.board, found | dict(turn.hands)
        return Turn(board, found)

    def on_answer(self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int, given: Given) -> Next:
        hand = hands.get(player)
        if hand is None or hand.team is None or hand.out:
            return Turn(board)
        board = board if board.own_pace else _next_question(board, hands, given.moment)
        team = board.teams[hand.team]
        turn, take_part, counted = team.turn, team.take_part, team.counted
        if board.own_pace:
            turn += 1
            if turn - counted >= team.members:
                take_part, counted = _take_part(hands, hand.team, turn, PATIENCE * team.members), turn
        worth = given.mark * given.weight * given.pace / max(1, take_part)
        light = min(float(board.length), team.light + worth)
        arrives = team.arrived is None and light >= board.length - TINY
        team = Team(
            members=team.members,
            take_part=take_part,
            light=float(board.length) if arrives else light,
            before=team.before,
            turn=turn,
            counted=counted,
            arrived=given.moment if arrives else team.arrived,
        )
        own = Mate(hand.team, last=turn, light=hand.light + worth)
        return Turn(_with(board, hand.team, team), {player: own})

    def refused(
        self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int, move: JoinTeam
    ) -> Message | None:
        return refused_to_join(chosen.made, len(board.teams), move, begun=board.begun)

    def on_move(self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int, move: JoinTeam) -> Next:
        hand = hands[player]
        return _enter(_left(board, hand.team), hand, player, move.team - 1)

    def imagine(self, seen: BeaconsOwn, rng: Random) -> JoinTeam | None:
        return JoinTeam(team=rng.randint(1, seen.choices)) if seen.choices and not seen.team else None

    def over(self, chosen: BeaconsSettings, board: Coast) -> bool:
        there = [team for team in board.teams if team.members]
        arrived = [team.arrived is not None for team in there]
        return bool(there) and (any(arrived) if chosen.ends == "first" else all(arrived))

    def screen_view(self, chosen: BeaconsSettings, board: Coast, hands: Hands) -> BeaconsScreen:
        shown = chosen.made == "chosen" and not board.begun
        return BeaconsScreen(
            length=board.length,
            ends=chosen.ends,
            made=chosen.made,
            begun=board.begun,
            teams=tuple(line for line in board.lines if line.members or shown),
        )

    def own_view(self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int) -> BeaconsOwn:
        hand = hands[player]
        return BeaconsOwn(
            length=board.length,
            team=None if hand.team is None else board.lines[hand.team],
            teams=board.there,
            choices=len(board.teams) if chosen.made == "chosen" and not board.begun else 0,
            light=round(hand.light, 2),
        )

    def own_text(self, chosen: BeaconsSettings, board: Coast, hands: Hands, player: int) -> str:
        hand = hands[player]
        if hand.team is None or not board.begun:
            return super().own_text(chosen, board, hands, player)
        return f'{board.team_texts[hand.team]}"light":{round(hand.light, 2)!r}}}'


def _sizes(board: Coast) -> list[int]:
    return [team.members for team in board.teams]


def _with(board: Coast, number: int, team: Team) -> Coast:
    teams = (*board.teams[:number], team, *board.teams[number + 1 :])
    return Coast(board.length, teams, board.own_pace, board.begun, board.moment, board.groups)


def _enter(board: Coast, hand: Mate, player: int, number: int) -> Next:
    team = board.teams[number]
    team = team._replace(members=team.members + 1, take_part=team.take_part + 1)
    return Turn(_with(board, number, team), {player: hand._replace(team=number, last=team.turn, out=False)})


def _left(board: Coast, number: int | None) -> Coast:
    if number is None:
        return board
    team = board.teams[number]
    members = team.members - 1
    return _with(board, number, team._replace(members=members, take_part=min(members, team.take_part)))


def _next_question(board: Coast, hands: Hands, moment: Milliseconds) -> Coast:
    """Every team as it is before the first answer to the next question."""
    if moment == board.moment:
        return board
    teams = (
        team._replace(
            before=team.light,
            turn=team.turn + 1,
            take_part=_take_part(hands, number, team.turn + 1, PATIENCE),
            counted=team.turn + 1,
        )
        for number, team in enumerate(board.teams)
    )
    return replace(board, teams=tuple(teams), moment=moment)


def _take_part(hands: Hands, number: int, turn: int, patience: int) -> int:
    """How many of a team have answered of late."""
    return sum(turn - hand.last <= patience for hand in hands.values() if hand.team == number and not hand.out)


GAME = BeaconRun()
