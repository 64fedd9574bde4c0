"""Soundings: teams in one room. Topics are channels that lead out to sea, questions lie as soundings along them, and
the further out the more they count (docs/games.md, S1 to S9).

fathoms of a sounding = its place in its channel, from 1
fathoms of a team     = those of the soundings that it has charted + what was given or taken by hand
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from random import Random
from typing import Annotated, Any, Literal, TypeVar

from pydantic import Field

from lantern.core.games.chart import MOST_CHANNELS, Channel, LaidChannel, Sounding, channels_of
from lantern.core.games.contract import (
    Asked,
    GameMove,
    GameView,
    Given,
    Outline,
    Turn,
)
from lantern.core.games.crews import (
    NOT_YOUR_TURN,
    CrewGame,
    Crews,
    CrewSettings,
    MadeInRoom,
    Mate,
    WithCrews,
)
from lantern.core.games.places import places_of
from lantern.core.games.teams import GiveTurn, JoinTeam, Tally
from lantern.core.messages import Message, said
from lantern.core.values import ShortId, Value

MOST_BOATS = 8

T = TypeVar("T")
Claims = Literal["turns", "signal"]
BoatNumber = Annotated[int, Field(ge=1, le=MOST_BOATS)]


class SoundingsSettings(CrewSettings):
    """`teams`: how many. `claims`: who comes first, the team whose turn it is or the first to signal. `laid`: the
    channels, where they were laid by hand."""

    game: Literal["soundings"] = "soundings"
    teams: Annotated[int, Field(ge=2, le=MOST_BOATS)] = 4
    claims: Claims = "turns"
    laid: Annotated[tuple[LaidChannel, ...], Field(max_length=MOST_CHANNELS)] | None = None


class Choose(GameMove):
    """This sounding next, for the team whose turn it is."""

    move: Literal["choose"] = "choose"
    question: ShortId


class Signal(GameMove):
    """First, before the other teams."""

    move: Literal["signal"] = "signal"


class SayWhoCharted(GameMove):
    """A sounding is this team's, or (None) nobody's."""

    move: Literal["say_who_charted"] = "say_who_charted"
    question: ShortId
    team: BoatNumber | None


class GiveFathoms(GameMove):
    """So many fathoms more for a team, or less."""

    move: Literal["give_fathoms"] = "give_fathoms"
    team: BoatNumber
    fathoms: Annotated[int, Field(ge=-20, le=20)]


@dataclass(frozen=True, kw_only=True)
class Chart(WithCrews):
    """`given` are fathoms by hand, by team. `on` is the question that was opened last, as long as it is not told;
    `takes`: it takes answers. `course` is the question that was chosen and is not opened yet, `last` the one that was
    told last. `tallies` are those of `counted`."""

    channels: tuple[Channel, ...]
    given: tuple[int, ...]
    on: str | None = None
    takes: bool = False
    course: str | None = None
    last: str = ""
    counted: str = ""
    tallies: tuple[Tally, ...] = ()

    @cached_property
    def by_question(self) -> Mapping[str, Sounding]:
        return {one.question: one for channel in self.channels for one in channel.soundings}

    @property
    def free(self) -> list[Sounding]:
        return [one for one in self.by_question.values() if not one.over]

    @cached_property
    def fathoms(self) -> tuple[int, ...]:
        """By team."""
        charted = [one for one in self.by_question.values() if one.team is not None]
        return tuple(
            given + sum(one.fathoms for one in charted if one.team == team) for team, given in enumerate(self.given)
        )


class SoundingView(Value):
    """`team` from 1: who has charted it. `on`: it is being asked."""

    question: str
    fathoms: int
    on: bool
    over: bool
    team: int | None


class ChannelView(Value):
    """`name` is empty for the open water."""

    name: str
    soundings: tuple[SoundingView, ...]


class BoatLine(Value):
    """`number` from 1; `charted` soundings, and all `fathoms`."""

    number: int
    members: int
    charted: int
    fathoms: int
    place: int


class SoundingsScreen(GameView):
    """`boats` are the teams that anybody is in, or may go to. `turn` is the number of the team that chooses, None once
    nothing is left; `first` that of the team that comes first at the sounding that is on. `signals`: it waits for
    somebody to signal."""

    game: Literal["soundings"] = "soundings"
    channels: tuple[ChannelView, ...]
    boats: tuple[BoatLine, ...]
    begun: bool
    claims: Claims
    made: MadeInRoom
    turn: int | None
    first: int | None
    signals: bool


class FreeSounding(Value):
    question: str
    fathoms: int


class FreeChannel(Value):
    """What can still be chosen of a channel."""

    name: str
    soundings: tuple[FreeSounding, ...]


class SoundingsOwn(GameView):
    """`boat` is the own team. `choices`: out of how many one may choose now. `channels` are there for the team that
    chooses; `course` is what it has chosen. `turn`, `first` and `signals` as the big screen has them."""

    game: Literal["soundings"] = "soundings"
    boat: BoatLine | None
    boats: int
    choices: int
    channels: tuple[FreeChannel, ...]
    course: str | None
    turn: int | None
    fathoms: int | None
    first: int | None
    signals: bool


Hands = Mapping[int, Mate]
Next = Turn[Chart, Mate]


class Soundings(CrewGame[SoundingsSettings, Chart]):
    name = "soundings"
    settings = SoundingsSettings
    moves = (JoinTeam, Choose, Signal)
    guides = (SayWhoCharted, GiveFathoms, GiveTurn)
    screen = SoundingsScreen
    own = SoundingsOwn

    def layout(self, chosen: SoundingsSettings, questions: Sequence[Asked]) -> Sequence[tuple[str, Sequence[str]]]:
        channels = channels_of(chosen.laid, questions)
        return [(channel.name, [one.question for one in channel.soundings]) for channel in channels]

    def start(self, chosen: SoundingsSettings, outline: Outline) -> Chart:
        teams = MOST_BOATS if chosen.made == "shared" else chosen.teams
        channels = channels_of(chosen.laid, outline.questions)
        return Chart(crews=Crews(chosen.made, (0,) * teams), channels=channels, given=(0,) * teams)

    def on_open(self, chosen: SoundingsSettings, board: Chart, question: str, asking: int) -> Chart:
        """Who comes first at it is decided when it is opened for the first time."""
        sounding = board.by_question.get(question)
        if sounding is None or sounding.over:
            return replace(board, on=None, takes=False, course=None)
        if chosen.claims == "turns" and sounding.first is None:
            board = _with(board, replace(sounding, first=board.comes_next))
        return replace(board, on=question, takes=True, course=None)

    def on_close(self, chosen: SoundingsSettings, board: Chart, question: str, *, was_asked: bool) -> Chart:
        if was_asked or board.on != question:
            return replace(board, takes=False)
        return _with(replace(board, takes=False, on=None), replace(board.by_question[question], first=None))

    def on_answer(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, given: Given) -> Next:
        hand = hands.get(player)
        if board.counted != given.question:
            board = replace(board, counted=given.question, tallies=(Tally(),) * len(board.crews.sizes))
        if hand is None or hand.team is None or hand.out:
            return Turn(board)
        tally = board.tallies[hand.team].with_mark(given.mark)
        return Turn(replace(board, tallies=_at(board.tallies, hand.team, tally)))

    def on_told(self, chosen: SoundingsSettings, board: Chart, question: str) -> Chart:
        sounding = board.by_question.get(question)
        if sounding is None:
            return board
        if not sounding.by_hand:
            sounding = replace(sounding, over=True, team=_who_takes(board, sounding))
        is_on = board.on == question
        board = replace(board, last=question, on=None if is_on else board.on, takes=board.takes and not is_on)
        board = _with(board, sounding)
        if chosen.claims == "signal" and sounding.team is not None:
            return replace(board, turn=sounding.team)
        before = board.comes_next if sounding.first is None else sounding.first
        return replace(board, turn=(before + 1) % len(board.crews.sizes))

    def refused(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, move: Any) -> Message | None:
        if isinstance(move, Signal):
            return _signal_refused(chosen, board, hands[player])
        refusal = super().refused(chosen, board, hands, player, move)
        if refusal is not None or isinstance(move, JoinTeam):
            return refusal
        assert isinstance(move, Choose)
        sounding = board.by_question.get(move.question)
        if sounding is None or sounding.over:
            return said("sounding_taken", "This sounding is not free any more.")
        return None if board.course is None else said("course_is_set", "Somebody in your team has chosen already.")

    def not_now(self, board: Chart, mate: Mate) -> Message | None:
        return NOT_YOUR_TURN if board.on is not None else super().not_now(board, mate)

    def on_move(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, move: GameMove) -> Next:
        if isinstance(move, JoinTeam):
            return self.entering(board, hands, player, move)
        if isinstance(move, Signal):
            assert board.on is not None
            return Turn(_with(board, replace(board.by_question[board.on], first=hands[player].team)))
        assert isinstance(move, Choose)
        return Turn(replace(board, course=move.question))

    def opens(self, chosen: SoundingsSettings, board: Chart, move: GameMove) -> str | None:
        return move.question if isinstance(move, Choose) else None

    def following(self, chosen: SoundingsSettings, board: Chart) -> str | None:
        """What was chosen, or the nearest that is free."""
        nearest = min(board.free, key=lambda one: one.fathoms, default=None)
        return board.course or (nearest.question if nearest else None)

    def guide_refused(self, chosen: SoundingsSettings, board: Chart, guide: GameMove) -> Message | None:
        if isinstance(guide, SayWhoCharted) and guide.question not in board.by_question:
            return said("no_such_sounding", "This question is not on the chart.")
        return super().guide_refused(chosen, board, guide)

    def on_guide(self, chosen: SoundingsSettings, board: Chart, guide: GameMove) -> Chart:
        if isinstance(guide, GiveFathoms):
            return replace(board, given=_at(board.given, guide.team - 1, board.given[guide.team - 1] + guide.fathoms))
        if isinstance(guide, GiveTurn):
            return replace(board, turn=guide.team - 1, course=None)
        assert isinstance(guide, SayWhoCharted)
        team = None if guide.team is None else guide.team - 1
        sounding = replace(board.by_question[guide.question], over=True, team=team, by_hand=True)
        board = replace(_with(board, sounding), course=None if board.course == guide.question else board.course)
        if team is None or chosen.claims != "signal" or guide.question != board.last:
            return board
        return replace(board, turn=team)

    def imagine(self, seen: SoundingsOwn, rng: Random) -> GameMove | None:
        """Dares now and then to go far out; signals when it feels sure."""
        if seen.choices and not seen.boat:
            return JoinTeam(team=rng.randint(1, seen.choices))
        free = [one for channel in seen.channels for one in channel.soundings]
        if free and not seen.course:
            near = sorted(free, key=lambda one: one.fathoms)
            return Choose(question=near[min(len(near) - 1, int(rng.expovariate(2 / len(near))))].question)
        return Signal() if seen.signals and seen.boat and rng.random() < 0.15 else None

    def over(self, chosen: SoundingsSettings, board: Chart) -> bool:
        return not board.free

    def screen_view(self, chosen: SoundingsSettings, board: Chart, hands: Hands) -> SoundingsScreen:
        return SoundingsScreen(
            channels=tuple(
                ChannelView(
                    name=channel.name,
                    soundings=tuple(
                        SoundingView(
                            question=one.question,
                            fathoms=one.fathoms,
                            on=one.question == board.on,
                            over=one.over,
                            team=_number(one.team),
                        )
                        for one in channel.soundings
                    ),
                )
                for channel in board.channels
            ),
            boats=tuple(line for line in _lines(board) if self.shows(chosen, board, line.number - 1)),
            begun=board.crews.begun,
            claims=chosen.claims,
            made=chosen.made,
            turn=_number(board.comes_next) if board.free else None,
            first=_first(board),
            signals=_awaits_signal(chosen, board),
        )

    def own_view(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int) -> SoundingsOwn:
        hand = hands[player]
        is_on = board.by_question[board.on] if board.on else None
        chooses = self.not_now(board, hand) is None
        return SoundingsOwn(
            boat=None if hand.team is None else _lines(board)[hand.team],
            boats=sum(board.crews.is_there(team) for team in range(len(board.crews.sizes))),
            choices=self.choices(chosen, board),
            channels=tuple(_free(board.channels)) if chooses else (),
            course=board.course,
            turn=_number(board.comes_next) if board.free else None,
            fathoms=is_on.fathoms if is_on else None,
            first=_first(board),
            signals=_awaits_signal(chosen, board),
        )


def _who_takes(board: Chart, sounding: Sounding) -> int | None:
    """The team that comes first where it can, else the best of the others."""
    if board.counted != sounding.question:
        return None
    first, number = sounding.first, len(board.crews.sizes)
    if first is not None and board.tallies[first].takes:
        return first
    after = 0 if first is None else first + 1
    others = [team % number for team in range(after, after + number) if board.tallies[team % number].takes]
    return min(others, key=lambda team: (-round(board.tallies[team].mean, 6), board.fathoms[team]), default=None)


def _signal_refused(chosen: SoundingsSettings, board: Chart, hand: Mate) -> Message | None:
    if not _awaits_signal(chosen, board):
        if board.on and board.takes and chosen.claims == "signal":
            return said("somebody_was_first", "Another team was first.")
        return said("nothing_to_signal_for", "There is nothing to signal for now.")
    return None if hand.team is not None else said("no_team_yet", "You are in no team.")


def _awaits_signal(chosen: SoundingsSettings, board: Chart) -> bool:
    is_on = board.by_question[board.on] if board.on else None
    return chosen.claims == "signal" and board.takes and is_on is not None and is_on.first is None and not is_on.over


def _first(board: Chart) -> int | None:
    return _number(board.by_question[board.on].first) if board.on else None


def _number(team: int | None) -> int | None:
    """As it is told: from 1."""
    return None if team is None else team + 1


def _lines(board: Chart) -> list[BoatLine]:
    there = {team: fathoms for team, fathoms in enumerate(board.fathoms) if board.crews.is_there(team)}
    places = places_of(there)
    charted = [one.team for one in board.by_question.values()]
    return [
        BoatLine(
            number=team + 1,
            members=members,
            charted=charted.count(team),
            fathoms=board.fathoms[team],
            place=places.get(team, len(there) + 1),
        )
        for team, members in enumerate(board.crews.sizes)
    ]


def _free(channels: Iterable[Channel]) -> Iterable[FreeChannel]:
    for channel in channels:
        free = [one for one in channel.soundings if not one.over]
        if free:
            soundings = tuple(FreeSounding(question=one.question, fathoms=one.fathoms) for one in free)
            yield FreeChannel(name=channel.name, soundings=soundings)


def _with(board: Chart, sounding: Sounding) -> Chart:
    channels = (
        replace(
            channel,
            soundings=tuple(sounding if one.question == sounding.question else one for one in channel.soundings),
        )
        for channel in board.channels
    )
    return replace(board, channels=tuple(channels))


def _at(values: tuple[T, ...], place: int, value: T) -> tuple[T, ...]:
    return (*values[:place], value, *values[place + 1 :])


GAME = Soundings()
