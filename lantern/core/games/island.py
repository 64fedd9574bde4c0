"""Round the island: boats of teams sail round it; the team whose turn it is rolls, everybody answers, and boats go on
(docs/games.md, R1 to R8). A game of luck.

bays of the team whose turn it is = what it rolled, 1 to 6, if the mean mark of its members is a half or more
bays of any other team            = 1, if the mean mark of its members is a half or more
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from random import Random
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.games.contract import GameMove, GameView, Given, Outline
from lantern.core.games.contract import Turn as Led
from lantern.core.games.crews import NOT_YOUR_TURN, CrewGame, Crews, CrewSettings, MadeInRoom, Mate, WithCrews
from lantern.core.games.teams import GiveTurn, JoinTeam, Tally
from lantern.core.messages import Message, said
from lantern.core.values import Value

MOST_BOATS = 6
SHORTEST, LONGEST = 12, 60
OF_ALL, OF_ONE = 0.5, 2.5
"""Bays that a question is usually worth to every team, and to the one whose turn it is."""
BETWEEN_EVENTS = 4
DRIFT = 2
"""Bays that a current takes a boat on, and a shoal back."""

Event = Literal["current", "lighthouse", "shoal", "fog"]
EVENTS: tuple[Event, ...] = ("current", "lighthouse", "shoal", "fog")


class IslandSettings(CrewSettings):
    """`teams`: how many. `bays`: how far it is round the
    island, None for what goes with the questions. `events`: something happens in some of the bays."""

    game: Literal["island"] = "island"
    teams: Annotated[int, Field(ge=2, le=MOST_BOATS)] = 4
    bays: Annotated[int, Field(ge=SHORTEST, le=LONGEST)] | None = None
    events: bool = True


class Roll(GameMove):
    """For the team whose turn it is."""

    move: Literal["roll"] = "roll"


class MoveBoat(GameMove):
    """A team's boat goes on by so many bays, or back."""

    move: Literal["move_boat"] = "move_boat"
    team: Annotated[int, Field(ge=1, le=MOST_BOATS)]
    bays: Annotated[int, Field(ge=-6, le=6)]


@dataclass(frozen=True, slots=True)
class Boat:
    """`bay` is how far round it is, `before` how far it was before the last question. `waits` is how many turns it
    misses. `arrived` is the number of the question with which it was round."""

    bay: int = 0
    before: int = 0
    waits: int = 0
    arrived: int | None = None


@dataclass(frozen=True, slots=True)
class Leg:
    """What came of the last roll, of the team from 0."""

    team: int
    rolled: int
    knew: bool
    event: Event | None


@dataclass(frozen=True, kw_only=True)
class Isle(WithCrews):
    """`rolled` is what the team that comes next rolled for the question that comes, or is on. `on` is that question as
    long as it is not told, `done` are those that were."""

    bays: int
    events: Mapping[int, Event]
    boats: tuple[Boat, ...]
    questions: tuple[str, ...]
    rolls: int = 0
    rolled: int | None = None
    on: str | None = None
    done: frozenset[str] = frozenset()
    counted: str = ""
    tallies: tuple[Tally, ...] = ()
    last: Leg | None = None


class BoatView(Value):
    """`number` from 1. `bay` is how far round it is, `before` how far it was before the last question. `waits`: it
    misses its next turn."""

    number: int
    members: int
    bay: int
    before: int
    waits: bool
    place: int


class EventView(Value):
    bay: int
    event: Event


class LegView(Value):
    """What came of the last roll: the team (from 1) went on if it `knew`, and what happened where it came to."""

    team: int
    rolled: int
    knew: bool
    event: Event | None


class IslandScreen(GameView):
    """`boats` are those of teams that anybody is in, or may go to. `turn` is the number of the team that rolls, None
    once it is over; `rolled` is what it has rolled."""

    game: Literal["island"] = "island"
    bays: int
    events: tuple[EventView, ...]
    boats: tuple[BoatView, ...]
    begun: bool
    made: MadeInRoom
    turn: int | None
    rolled: int | None
    last: LegView | None


class IslandOwn(GameView):
    """`boat` is the own team's. `choices`: out of how many one may choose now. `may_roll`: it is for one's own team to
    roll. `turn`, `rolled` and `last` as the big screen has them."""

    game: Literal["island"] = "island"
    bays: int
    boat: BoatView | None
    boats: int
    choices: int
    may_roll: bool
    turn: int | None
    rolled: int | None
    last: LegView | None


Hands = Mapping[int, Mate]
Next = Led[Isle, Mate]


class RoundTheIsland(CrewGame[IslandSettings, Isle]):
    name = "island"
    settings = IslandSettings
    moves = (JoinTeam, Roll)
    guides = (MoveBoat, GiveTurn)
    screen = IslandScreen
    own = IslandOwn

    def start(self, chosen: IslandSettings, outline: Outline) -> Isle:
        teams = MOST_BOATS if chosen.made == "shared" else chosen.teams
        usual = round(len(outline.questions) * (OF_ALL + OF_ONE / teams))
        bays = chosen.bays or min(LONGEST, max(SHORTEST, usual))
        # Where teams answer aloud, boats are moved by hand: nothing comes of a roll by itself.
        has_events = chosen.events and chosen.made != "room"
        places = range(BETWEEN_EVENTS, bays, BETWEEN_EVENTS) if has_events else ()
        return Isle(
            bays=bays,
            events={bay: EVENTS[at % len(EVENTS)] for at, bay in enumerate(places)},
            crews=Crews(chosen.made, (0,) * teams),
            boats=(Boat(),) * teams,
            questions=tuple(one.question for one in outline.questions),
        )

    def on_open(self, chosen: IslandSettings, board: Isle, question: str, asking: int) -> Isle:
        """Where nobody has rolled for it, it is rolled now."""
        if question not in board.questions or question in board.done:
            return replace(board, on=None)
        return replace(_rolled(board), on=question)

    def on_close(self, chosen: IslandSettings, board: Isle, question: str, *, was_asked: bool) -> Isle:
        """What was rolled stays: nobody rolls again by leaving a question."""
        return board if was_asked or board.on != question else replace(board, on=None)

    def on_answer(self, chosen: IslandSettings, board: Isle, hands: Hands, player: int, given: Given) -> Next:
        mate = hands.get(player)
        if board.counted != given.question:
            board = replace(board, counted=given.question, tallies=(Tally(),) * len(board.boats))
        if mate is None or mate.team is None or mate.out:
            return Led(board)
        tallies = tuple(
            tally.with_mark(given.mark) if team == mate.team else tally for team, tally in enumerate(board.tallies)
        )
        return Led(replace(board, tallies=tallies))

    def on_told(self, chosen: IslandSettings, board: Isle, question: str) -> Isle:
        if question not in board.questions or question in board.done:
            return board
        board = _rolled(board)
        assert board.rolled is not None
        team = board.comes_next
        takes = [tally.takes for tally in board.tallies] if board.counted == question else [False] * len(board.boats)
        asked = len(board.done) + 1
        boats = [
            _on(replace(boat, before=boat.bay), (board.rolled if number == team else 1) * takes[number], board, asked)
            for number, boat in enumerate(board.boats)
        ]
        event = board.events.get(boats[team].bay) if takes[team] else None
        boats[team] = _met(boats[team], event, board, asked)
        leg = Leg(team, board.rolled, takes[team], event)
        board = replace(board, boats=tuple(boats), last=leg, on=None, rolled=None, done=board.done | {question})
        return board if event == "lighthouse" else _next(board, team + 1)

    def not_now(self, board: Isle, mate: Mate) -> Message | None:
        if board.on is not None:
            return NOT_YOUR_TURN
        is_rolled = said("rolled_already", "Your team has rolled already.") if board.rolled else None
        return super().not_now(board, mate) or is_rolled

    def on_move(self, chosen: IslandSettings, board: Isle, hands: Hands, player: int, move: GameMove) -> Next:
        if isinstance(move, JoinTeam):
            return self.entering(board, hands, player, move)
        return Led(_rolled(board))

    def opens(self, chosen: IslandSettings, board: Isle, move: GameMove) -> str | None:
        return self.following(chosen, board) if isinstance(move, Roll) else None

    def following(self, chosen: IslandSettings, board: Isle) -> str | None:
        return next((question for question in board.questions if question not in board.done), None)

    def on_guide(self, chosen: IslandSettings, board: Isle, guide: GameMove) -> Isle:
        if isinstance(guide, GiveTurn):
            return replace(board, turn=guide.team - 1, rolled=board.rolled if board.on else None)
        assert isinstance(guide, MoveBoat)
        boats = list(board.boats)
        boat = boats[guide.team - 1]
        boats[guide.team - 1] = _on(boat, guide.bays, board, len(board.done))
        return replace(board, boats=tuple(boats))

    def imagine(self, seen: IslandOwn, rng: Random) -> GameMove | None:
        if seen.choices and not seen.boat:
            return JoinTeam(team=rng.randint(1, seen.choices))
        return Roll() if seen.may_roll else None

    def over(self, chosen: IslandSettings, board: Isle) -> bool:
        """Once a boat is round."""
        return any(boat.arrived is not None for boat in board.boats) or self.following(chosen, board) is None

    def screen_view(self, chosen: IslandSettings, board: Isle, hands: Hands) -> IslandScreen:
        return IslandScreen(
            bays=board.bays,
            events=tuple(EventView(bay=bay, event=event) for bay, event in board.events.items()),
            boats=tuple(one for one in _lines(board) if self.shows(chosen, board, one.number - 1)),
            begun=board.crews.begun,
            made=chosen.made,
            turn=None if self.over(chosen, board) else board.comes_next + 1,
            rolled=board.rolled,
            last=_leg(board),
        )

    def own_view(self, chosen: IslandSettings, board: Isle, hands: Hands, player: int) -> IslandOwn:
        team, over = hands[player].team, self.over(chosen, board)
        is_own = team is not None and team == board.comes_next and board.crews.begun
        return IslandOwn(
            bays=board.bays,
            boat=None if team is None else _lines(board)[team],
            boats=sum(map(board.crews.is_there, range(len(board.boats)))),
            choices=self.choices(chosen, board),
            may_roll=is_own and not over and board.on is None and board.rolled is None,
            turn=None if over else board.comes_next + 1,
            rolled=board.rolled,
            last=_leg(board),
        )


def _rolled(board: Isle) -> Isle:
    """With a roll for the question that comes, where there is none yet."""
    if board.rolled is not None:
        return board
    rolled = Random(f"{board.salt}:{board.rolls}").randint(1, 6)
    return replace(board, rolled=rolled, rolls=board.rolls + 1)


def _on(boat: Boat, bays: int, board: Isle, asked: int) -> Boat:
    """So many bays on, or back."""
    bay = min(board.bays, max(0, boat.bay + bays))
    arrived = None if bay < board.bays else asked if boat.arrived is None else boat.arrived
    return replace(boat, bay=bay, arrived=arrived)


def _met(boat: Boat, event: Event | None, board: Isle, asked: int) -> Boat:
    """With what happens in the bay that it came to."""
    if event == "fog":
        return replace(boat, waits=boat.waits + 1)
    if event in ("current", "shoal"):
        return _on(boat, DRIFT if event == "current" else -DRIFT, board, asked)
    return boat


def _next(board: Isle, turn: int) -> Isle:
    """The next team in turn; those that lie in fog miss theirs."""
    boats = list(board.boats)
    team = board.crews.from_on(turn)
    for _ in boats:
        if not boats[team].waits:
            break
        boats[team] = replace(boats[team], waits=boats[team].waits - 1)
        team = board.crews.from_on(team + 1)
    return replace(board, boats=tuple(boats), turn=team)


def _leg(board: Isle) -> LegView | None:
    last = board.last
    if last is None:
        return None
    return LegView(team=last.team + 1, rolled=last.rolled, knew=last.knew, event=last.event)


def _lines(board: Isle) -> list[BoatView]:
    keys = [(boat.arrived is None, boat.arrived or 0, -boat.bay) for boat in board.boats]
    there = [key for team, key in enumerate(keys) if board.crews.is_there(team)]
    return [
        BoatView(
            number=team + 1,
            members=board.crews.sizes[team],
            bay=boat.bay,
            before=boat.before,
            waits=boat.waits > 0,
            place=1 + sum(key < keys[team] for key in there),
        )
        for team, boat in enumerate(board.boats)
    ]


GAME = RoundTheIsland()
