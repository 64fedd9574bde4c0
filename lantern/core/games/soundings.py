"""Soundings: teams in one room. Topics are channels that lead out to sea, questions lie as soundings along them, and
the further out the more they count (docs/games.md, S1 to S9).

fathoms of a sounding = its place in its channel, from 1
fathoms of a team     = those of the soundings that it has charted + what was given or taken by hand
"""

from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property
from math import ceil
from random import Random
from typing import Annotated, Literal, TypeVar

from pydantic import Field

from lantern.core.games.contract import (
    Asked,
    BoardGame,
    GameMove,
    GameSettings,
    GameView,
    Given,
    LooksAt,
    Newcomer,
    Outline,
    Turn,
)
from lantern.core.games.crews import NOT_YOUR_TURN
from lantern.core.games.places import places_of
from lantern.core.games.teams import LOOKS_AT, GiveTurn, JoinTeam, Made, Tally, dealt, place_for, refused_to_join
from lantern.core.messages import Message, said
from lantern.core.values import ShortId, Value, Written

MOST_BOATS = 8
MOST_CHANNELS, MOST_SOUNDINGS = 8, 10
OPEN_WATER = 5
"""Soundings that a channel of the open water has, as long as there is room for another."""

T = TypeVar("T")
Claims = Literal["turns", "signal"]
BoatNumber = Annotated[int, Field(ge=1, le=MOST_BOATS)]


class LaidChannel(Written):
    """A channel that was laid by hand: its questions, from the shore outwards."""

    name: Annotated[str, Field(max_length=60)] = ""
    questions: Annotated[tuple[ShortId, ...], Field(max_length=MOST_SOUNDINGS)] = ()


class SoundingsSettings(GameSettings):
    """`teams`: how many; `made`: as other teams are, or (`room`) they have no devices. `claims`: who comes first, the
    team whose turn it is or the first to signal. `laid`: the channels, where they were laid by hand."""

    game: Literal["soundings"] = "soundings"
    teams: Annotated[int, Field(ge=2, le=MOST_BOATS)] = 4
    made: Made | Literal["room"] = "drawn"
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


@dataclass(frozen=True, slots=True)
class Sounding:
    """`first` is the team, from 0, that comes first at it. Once it is `over`, `team` has charted it; None: it is lost.
    `by_hand`: the desk said so, and that stays."""

    question: str
    fathoms: int
    first: int | None = None
    over: bool = False
    team: int | None = None
    by_hand: bool = False


@dataclass(frozen=True, slots=True)
class Channel:
    """`name` is empty for the open water."""

    name: str
    soundings: tuple[Sounding, ...]


@dataclass(frozen=True)
class Chart:
    """`members` and `given` (fathoms by hand) are by team. `turn` is the team, from 0, that chooses next; where nobody
    is in it, the next one does. `on` is the question that was opened last, as long as it is not told; `takes`: it takes
    answers. `course` is the question that was chosen and is not opened yet, `last` the one that was told last.
    `tallies` are those of `counted`."""

    channels: tuple[Channel, ...]
    members: tuple[int, ...]
    given: tuple[int, ...]
    devices: bool
    begun: bool = False
    turn: int = 0
    on: str | None = None
    takes: bool = False
    course: str | None = None
    last: str = ""
    counted: str = ""
    tallies: tuple[Tally, ...] = ()
    groups: tuple[str, ...] = ()

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

    def is_there(self, team: int) -> bool:
        """Whether anybody is in it; without devices everybody is."""
        return not self.devices or self.members[team] > 0

    @property
    def chooses(self) -> int:
        """Whose turn it is: the first that anybody is in, from `turn` on."""
        number = len(self.members)
        in_order = (team % number for team in range(self.turn, self.turn + number))
        return next(filter(self.is_there, in_order), self.turn)


@dataclass(frozen=True, slots=True)
class Sailor:
    """`team` from 0; None before it is decided, and for whoever is in none. `earlier` is the mean of earlier marks, as
    long as that decides."""

    team: int | None
    out: bool = False
    earlier: float | None = None


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
    made: Made | Literal["room"]
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


Hands = Mapping[int, Sailor]
Next = Turn[Chart, Sailor]


class Soundings(BoardGame[SoundingsSettings, Chart, Sailor]):
    name = "soundings"
    settings = SoundingsSettings
    manners = frozenset(("led",))
    chooses_questions = True
    moves = (JoinTeam, Choose, Signal)
    guides = (SayWhoCharted, GiveFathoms, GiveTurn)
    screen = SoundingsScreen
    own = SoundingsOwn

    def shares_devices(self, chosen: SoundingsSettings) -> bool:
        return chosen.made == "shared"

    def looks_at(self, chosen: SoundingsSettings) -> frozenset[LooksAt]:
        return LOOKS_AT.get(chosen.made, frozenset())

    def layout(self, chosen: SoundingsSettings, questions: Sequence[Asked]) -> Sequence[tuple[str, Sequence[str]]]:
        channels = _channels(chosen, questions)
        return [(channel.name, [one.question for one in channel.soundings]) for channel in channels]

    def start(self, chosen: SoundingsSettings, outline: Outline) -> Chart:
        teams = MOST_BOATS if chosen.made == "shared" else chosen.teams
        return Chart(_channels(chosen, outline.questions), (0,) * teams, (0,) * teams, chosen.made != "room")

    def on_join(self, chosen: SoundingsSettings, board: Chart, hands: Hands, who: Newcomer) -> Next:
        known = hands.get(who.player)
        if known is not None and not known.out:
            return Turn(board)
        if known is not None and known.team is not None:
            return _enter(board, known, who.player, known.team)
        if chosen.made == "room":
            return Turn(board, {who.player: Sailor(None)})
        place = place_for(chosen.made, board.members, who, board.groups, begun=board.begun)
        if place.team is None:
            return Turn(board, {who.player: Sailor(None, earlier=who.earlier)})
        return _enter(replace(board, groups=place.groups), Sailor(None), who.player, place.team)

    def on_leave(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int) -> Next:
        hand = hands.get(player)
        if hand is None or hand.out:
            return Turn(board)
        return Turn(_left(board, hand.team), {player: replace(hand, out=True)})

    def on_begin(self, chosen: SoundingsSettings, board: Chart, hands: Hands, rng: Random) -> Next:
        if board.begun:
            return Turn(board)
        board, found = replace(board, begun=True), dict[int, Sailor]()
        if chosen.made != "room":
            waiting = {player: hand.earlier for player, hand in hands.items() if hand.team is None and not hand.out}
            for player, team in dealt(chosen.made, board.members, waiting, rng).items():
                turn = _enter(board, hands[player], player, team)
                board, found = turn.board, found | dict(turn.hands)
        return Turn(board, found)

    def on_open(self, chosen: SoundingsSettings, board: Chart, question: str, asking: int) -> Chart:
        """Who comes first at it is decided when it is opened for the first time."""
        sounding = board.by_question.get(question)
        if sounding is None or sounding.over:
            return replace(board, on=None, takes=False, course=None)
        if chosen.claims == "turns" and sounding.first is None:
            board = _with(board, replace(sounding, first=board.chooses))
        return replace(board, on=question, takes=True, course=None)

    def on_close(self, chosen: SoundingsSettings, board: Chart, question: str, *, was_asked: bool) -> Chart:
        if was_asked or board.on != question:
            return replace(board, takes=False)
        return _with(replace(board, takes=False, on=None), replace(board.by_question[question], first=None))

    def on_answer(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, given: Given) -> Next:
        hand = hands.get(player)
        if board.counted != given.question:
            board = replace(board, counted=given.question, tallies=(Tally(),) * len(board.members))
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
        before = board.chooses if sounding.first is None else sounding.first
        return replace(board, turn=(before + 1) % len(board.members))

    def refused(
        self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, move: GameMove
    ) -> Message | None:
        hand = hands[player]
        if isinstance(move, JoinTeam):
            made = "drawn" if chosen.made == "room" else chosen.made
            return refused_to_join(made, len(board.members), move, begun=board.begun)
        if isinstance(move, Signal):
            return _signal_refused(chosen, board, hand)
        assert isinstance(move, Choose)
        sounding = board.by_question.get(move.question)
        if hand.team is None or hand.team != board.chooses or board.on is not None:
            return NOT_YOUR_TURN
        if sounding is None or sounding.over:
            return said("sounding_taken", "This sounding is not free any more.")
        return None if board.course is None else said("course_is_set", "Somebody in your team has chosen already.")

    def on_move(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int, move: GameMove) -> Next:
        hand = hands[player]
        if isinstance(move, JoinTeam):
            return _enter(_left(board, hand.team), hand, player, move.team - 1)
        if isinstance(move, Signal):
            assert board.on is not None
            return Turn(_with(board, replace(board.by_question[board.on], first=hand.team)))
        assert isinstance(move, Choose)
        return Turn(replace(board, course=move.question))

    def opens(self, chosen: SoundingsSettings, board: Chart, move: GameMove) -> str | None:
        return move.question if isinstance(move, Choose) else None

    def following(self, chosen: SoundingsSettings, board: Chart) -> str | None:
        """What was chosen, or the nearest that is free."""
        nearest = min(board.free, key=lambda one: one.fathoms, default=None)
        return board.course or (nearest.question if nearest else None)

    def guide_refused(self, chosen: SoundingsSettings, board: Chart, guide: GameMove) -> Message | None:
        team = getattr(guide, "team", None)
        if team is not None and team > len(board.members):
            return said("no_such_team", "There is no such team to choose.")
        if isinstance(guide, SayWhoCharted) and guide.question not in board.by_question:
            return said("no_such_sounding", "This question is not on the chart.")
        return None

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
        shows_all = chosen.made in ("chosen", "room") and not board.begun
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
            boats=tuple(line for line in _lines(board) if shows_all or board.is_there(line.number - 1)),
            begun=board.begun,
            claims=chosen.claims,
            made=chosen.made,
            turn=_number(board.chooses) if board.free else None,
            first=_first(board),
            signals=_awaits_signal(chosen, board),
        )

    def own_view(self, chosen: SoundingsSettings, board: Chart, hands: Hands, player: int) -> SoundingsOwn:
        hand = hands[player]
        is_on = board.by_question[board.on] if board.on else None
        chooses = hand.team is not None and hand.team == board.chooses and board.on is None
        return SoundingsOwn(
            boat=None if hand.team is None else _lines(board)[hand.team],
            boats=sum(board.is_there(team) for team in range(len(board.members))),
            choices=len(board.members) if chosen.made == "chosen" and not board.begun else 0,
            channels=tuple(_free(board.channels)) if chooses else (),
            course=board.course,
            turn=_number(board.chooses) if board.free else None,
            fathoms=is_on.fathoms if is_on else None,
            first=_first(board),
            signals=_awaits_signal(chosen, board),
        )


def _channels(chosen: SoundingsSettings, questions: Sequence[Asked]) -> tuple[Channel, ...]:
    there = {one.question for one in questions}
    if chosen.laid is not None:
        by_hand = ((one.name, [id_ for id_ in one.questions if id_ in there]) for one in chosen.laid)
        laid = [(name, list(dict.fromkeys(ids))) for name, ids in by_hand if ids]
        if laid:
            return _laid(laid)
    return _laid(_by_itself(questions))


def _laid(channels: Iterable[tuple[str, Sequence[str]]]) -> tuple[Channel, ...]:
    """A question lies in the first channel that has it."""
    seen, found = set[str](), []
    for name, ids in channels:
        here = [id_ for id_ in ids if id_ not in seen]
        seen.update(here)
        if here:
            found.append(Channel(name, tuple(Sounding(id_, place) for place, id_ in enumerate(here, start=1))))
    return tuple(found)


def _by_itself(questions: Sequence[Asked]) -> list[tuple[str, list[str]]]:
    """Channels by topic, the open water last."""
    topics = Counter(one.topic for one in questions if one.topic)
    by_topic, open_water = _sorted_out(questions, topics, MOST_CHANNELS)
    if open_water and len(by_topic) == MOST_CHANNELS:
        by_topic, open_water = _sorted_out(questions, topics, MOST_CHANNELS - 1)
    number = min(MOST_CHANNELS - len(by_topic), ceil(len(open_water) / OPEN_WATER))
    waters = (open_water[start::number][:MOST_SOUNDINGS] for start in range(number))
    return [*by_topic.items(), *(("", water) for water in waters)]


def _sorted_out(questions: Sequence[Asked], topics: Counter[str], most: int) -> tuple[dict[str, list[str]], list[str]]:
    """The questions of the topics that have a channel, and those that are left for the open water; light ones first."""
    large = {topic for topic, _ in topics.most_common(most)}
    by_topic: dict[str, list[str]] = {topic: [] for topic in topics if topic in large}
    open_water: list[str] = []
    for one in sorted(questions, key=lambda one: one.weight):
        channel = by_topic.get(one.topic, open_water)
        (channel if len(channel) < MOST_SOUNDINGS else open_water).append(one.question)
    return by_topic, open_water


def _who_takes(board: Chart, sounding: Sounding) -> int | None:
    """The team that comes first where it can, else the best of the others."""
    if board.counted != sounding.question:
        return None
    first, number = sounding.first, len(board.members)
    if first is not None and board.tallies[first].takes:
        return first
    after = 0 if first is None else first + 1
    others = [team % number for team in range(after, after + number) if board.tallies[team % number].takes]
    return min(others, key=lambda team: (-round(board.tallies[team].mean, 6), board.fathoms[team]), default=None)


def _signal_refused(chosen: SoundingsSettings, board: Chart, hand: Sailor) -> Message | None:
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
    there = {team: fathoms for team, fathoms in enumerate(board.fathoms) if board.is_there(team)}
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
        for team, members in enumerate(board.members)
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


def _enter(board: Chart, hand: Sailor, player: int, team: int) -> Next:
    board = replace(board, members=_at(board.members, team, board.members[team] + 1))
    return Turn(board, {player: replace(hand, team=team, out=False, earlier=None)})


def _left(board: Chart, team: int | None) -> Chart:
    return board if team is None else replace(board, members=_at(board.members, team, board.members[team] - 1))


GAME = Soundings()
