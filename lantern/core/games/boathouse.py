"""Locked boathouse: locks in a chain, each with a code of several figures. A right answer to one of a lock's questions
turns one of its dials; alone or in teams (docs/games.md, L1 to L9).

lanterns of an opened lock = 3 less those that hints in it cost
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from itertools import pairwise
from random import Random
from typing import Annotated, Literal

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
from lantern.core.games.crews import Crewed, Crews, Mate, begun, entered, joined, left
from lantern.core.games.teams import LOOKS_AT, MOST_TEAMS, TINY, JoinTeam, Made, refused_to_join
from lantern.core.messages import Message, said
from lantern.core.values import Value

MOST_LOCKS, MOST_DIALS, USUAL_DIALS = 12, 10, 3
LANTERNS = 3
"""At each lock: what hints in it are paid with, but for the last one."""
STUCK = 3
LONGEST_STORY, LONGEST_HINT = 600, 200

Story = Annotated[str, Field(max_length=LONGEST_STORY)]


class Stage(Value):
    """What is told at a lock: its story, and a hint that costs a lantern. Each may be empty."""

    story: Story = ""
    hint: Annotated[str, Field(max_length=LONGEST_HINT)] = ""


class BoathouseSettings(GameSettings):
    """`made`: how teams are made, or everybody is alone. `locks`: how many, None for what goes with the questions.
    `intro` is told before it begins, `stages` lock by lock, `ending` when all are open."""

    game: Literal["boathouse"] = "boathouse"
    made: Made | Literal["alone"] = "alone"
    teams: Annotated[int, Field(ge=2, le=MOST_TEAMS)] = 4
    locks: Annotated[int, Field(ge=1, le=MOST_LOCKS)] | None = None
    intro: Story = ""
    stages: Annotated[tuple[Stage, ...], Field(max_length=MOST_LOCKS)] = ()
    ending: Story = ""


class TakeHint(GameMove):
    """At the lock that is before one."""

    move: Literal["take_hint"] = "take_hint"


@dataclass(frozen=True, slots=True)
class Chain:
    """How far somebody is, or a team. `opened` of `locks` are open. `turned` are the questions whose dials stand,
    `given` those of them that a hint turned, or more time did. `spent` is how many lanterns each lock cost; `read`: the
    words of this lock's hint were bought. `credit` is what more time has earned towards a dial."""

    locks: int
    opened: int = 0
    turned: frozenset[str] = frozenset()
    given: frozenset[str] = frozenset()
    spent: tuple[int, ...] = ()
    read: bool = False
    credit: float = 0.0

    @property
    def is_out(self) -> bool:
        return 0 < self.locks <= self.opened

    @property
    def spent_here(self) -> int:
        return 0 if self.is_out or not self.spent else self.spent[self.opened]

    @property
    def lanterns(self) -> int:
        return sum(LANTERNS - spent for spent in self.spent[: self.opened])


@dataclass(frozen=True, slots=True)
class House:
    """`locks` are the questions of each. `chains` are those of the teams; who is alone has one in hand."""

    locks: tuple[tuple[str, ...], ...]
    crews: Crews | None
    chains: tuple[Chain, ...]
    begun: bool = False
    salt: str = ""


@dataclass(frozen=True, slots=True)
class Rower:
    """`chain` is one's own, or the team's. `tries` is how often one has answered each question, `missed` how many
    answers in a row were not right."""

    mate: Mate
    chain: Chain
    tries: Mapping[str, int] = field(default_factory=dict)
    missed: int = 0


class CrewLine(Value):
    """A team, by its number from 1: how many locks it has opened, and the lanterns that it has for them."""

    number: int
    members: int
    opened: int
    lanterns: int
    place: int


class BoathouseScreen(GameView):
    """`crews` are teams that anybody is in, or, before it has begun, may go to. Alone, `opened` says of each lock how
    many of the `players` have opened it."""

    game: Literal["boathouse"] = "boathouse"
    locks: int
    begun: bool
    alone: bool
    crews: tuple[CrewLine, ...]
    opened: tuple[int, ...]
    players: int
    intro: str


class Dial(Value):
    """`figure` is empty as long as it does not stand. `given`: nobody of one's own has answered it."""

    figure: str
    given: bool


class BoathouseOwn(GameView):
    """`crew` is the own team's, None for who is alone. `choices`: out of how many teams one may choose now. `story` is
    that of the lock that one is at, of the beginning or of the end, `hint` what was bought of it. `left` are the
    lanterns at this lock; `next_hint` is what one more would buy."""

    game: Literal["boathouse"] = "boathouse"
    locks: int
    opened: int
    lanterns: int
    crew: CrewLine | None
    crews: int
    choices: int
    story: str
    hint: str
    dials: tuple[Dial, ...]
    left: int
    next_hint: Literal["words", "dial"] | None


Hands = Mapping[int, Rower]
Next = Turn[House, Rower]
NO_HINT = said("no_hint_left", "There is no hint left at this lock.")


class LockedBoathouse(BoardGame[BoathouseSettings, House, Rower]):
    name = "boathouse"
    settings = BoathouseSettings
    manners = frozenset(("own_pace",))
    goes_round = True
    usual_minutes = 30
    moves = (JoinTeam, TakeHint)
    screen = BoathouseScreen
    own = BoathouseOwn

    def ranks_players(self, chosen: BoathouseSettings) -> bool:
        return chosen.made == "alone"

    def shares_devices(self, chosen: BoathouseSettings) -> bool:
        return chosen.made == "shared"

    def looks_at(self, chosen: BoathouseSettings) -> frozenset[LooksAt]:
        return LOOKS_AT.get(chosen.made, frozenset())

    def layout(self, chosen: BoathouseSettings, questions: Sequence[Asked]) -> Sequence[tuple[str, Sequence[str]]]:
        return [("", lock) for lock in _locks(chosen, questions)]

    def start(self, chosen: BoathouseSettings, outline: Outline) -> House:
        locks = _locks(chosen, outline.questions)
        if chosen.made == "alone":
            return House(locks, None, ())
        teams = MOST_TEAMS if chosen.made == "shared" else chosen.teams
        return House(locks, Crews(chosen.made, (0,) * teams), (_new(locks),) * teams)

    def on_join(self, chosen: BoathouseSettings, board: House, hands: Hands, who: Newcomer) -> Next:
        known = hands.get(who.player)
        if board.crews is not None:
            return _crewed(board, hands, joined(board.crews, _mates(hands), who))
        mate = Mate(None)
        return Turn(board, {who.player: replace(known, mate=mate) if known else Rower(mate, _new(board.locks))})

    def on_leave(self, chosen: BoathouseSettings, board: House, hands: Hands, player: int) -> Next:
        if board.crews is not None:
            return _crewed(board, hands, left(board.crews, _mates(hands), player))
        hand = hands.get(player)
        return Turn(board, {player: replace(hand, mate=replace(hand.mate, out=True))} if hand else {})

    def on_begin(self, chosen: BoathouseSettings, board: House, hands: Hands, rng: Random) -> Next:
        if board.begun:
            return Turn(board)
        board = replace(board, begun=True, salt=f"{rng.getrandbits(64):x}")
        return Turn(board) if board.crews is None else _crewed(board, hands, begun(board.crews, _mates(hands), rng))

    def on_answer(self, chosen: BoathouseSettings, board: House, hands: Hands, player: int, given: Given) -> Next:
        hand, question = hands[player], given.question
        is_right = given.mark >= 1 - TINY
        tries = {**hand.tries, question: hand.tries.get(question, 0) + 1}
        hand = replace(hand, tries=tries, missed=0 if is_right else hand.missed + 1)
        chain = _with_right(board.locks, hand.chain, question, given.pace) if is_right else hand.chain
        return _with_chain(board, hands, player, hand, chain)

    def in_turn(self, chosen: BoathouseSettings, board: House, hand: Rower, coming: Sequence[str]) -> Sequence[str]:
        """Of the lock that one is at, what does not stand yet; what was tried least comes first."""
        wanted = set(_wanted(board.locks, hand.chain))
        return sorted((one for one in coming if one in wanted), key=lambda one: hand.tries.get(one, 0))

    def refused(
        self, chosen: BoathouseSettings, board: House, hands: Hands, player: int, move: GameMove
    ) -> Message | None:
        if isinstance(move, JoinTeam):
            made = "drawn" if chosen.made == "alone" else chosen.made
            return refused_to_join(made, len(board.chains), move, begun=board.begun)
        return None if board.begun and _next_hint(chosen, board, hands[player].chain) else NO_HINT

    def on_move(self, chosen: BoathouseSettings, board: House, hands: Hands, player: int, move: GameMove) -> Next:
        hand = hands[player]
        if isinstance(move, JoinTeam):
            assert board.crews is not None
            return _crewed(board, hands, entered(board.crews, hand.mate, player, move.team - 1))
        chain = hand.chain
        spent = tuple(one + (lock == chain.opened) for lock, one in enumerate(chain.spent))
        if _next_hint(chosen, board, chain) == "words":
            return _with_chain(board, hands, player, hand, replace(chain, spent=spent, read=True))
        dial = _wanted(board.locks, chain)[0]
        return _with_chain(board, hands, player, hand, _with_dial(replace(chain, spent=spent), dial, given=True))

    def done(self, chosen: BoathouseSettings, hand: Rower) -> bool:
        return hand.chain.is_out

    def team_of(self, hand: Rower) -> int | None:
        return hand.mate.team

    def stuck(self, chosen: BoathouseSettings, hand: Rower) -> bool:
        return hand.missed >= STUCK

    def imagine(self, seen: BoathouseOwn, rng: Random) -> GameMove | None:
        """Joins a team, and is now and then at a loss."""
        if seen.choices and not seen.crew:
            return JoinTeam(team=rng.randint(1, seen.choices))
        return TakeHint() if seen.next_hint and rng.random() < 0.05 else None

    def scores(self, chosen: BoathouseSettings, board: House, hands: Hands) -> Mapping[int, int]:
        return {player: hand.chain.lanterns for player, hand in hands.items()}

    def over(self, chosen: BoathouseSettings, board: House) -> bool:
        crews = board.crews
        if crews is None:
            return False
        there = [chain for team, chain in enumerate(board.chains) if crews.is_there(team)]
        return bool(there) and all(chain.is_out for chain in there)

    def screen_view(self, chosen: BoathouseSettings, board: House, hands: Hands) -> BoathouseScreen:
        there = [hand for hand in hands.values() if not hand.mate.out]
        shows_all = chosen.made == "chosen" and not board.begun
        crews = board.crews
        return BoathouseScreen(
            locks=len(board.locks),
            begun=board.begun,
            alone=crews is None,
            crews=tuple(line for line in _lines(board) if shows_all or line.members),
            opened=()
            if crews
            else tuple(sum(hand.chain.opened > lock for hand in there) for lock in range(len(board.locks))),
            players=len(there),
            intro=chosen.intro,
        )

    def own_view(self, chosen: BoathouseSettings, board: House, hands: Hands, player: int) -> BoathouseOwn:
        hand = hands[player]
        chain, team = hand.chain, hand.mate.team
        lines = _lines(board)
        is_at_lock = board.begun and not chain.is_out
        lock = board.locks[chain.opened] if is_at_lock and board.locks else ()
        stage = _stage(chosen, chain)
        return BoathouseOwn(
            locks=len(board.locks),
            opened=chain.opened,
            lanterns=chain.lanterns,
            crew=None if team is None else lines[team],
            crews=sum(line.members > 0 for line in lines),
            choices=len(board.chains) if chosen.made == "chosen" and not board.begun else 0,
            story=chosen.intro if not board.begun else chosen.ending if chain.is_out else stage.story,
            hint=stage.hint if chain.read else "",
            dials=tuple(
                Dial(figure=_figure(board, one) if one in chain.turned else "", given=one in chain.given)
                for one in lock
            ),
            left=LANTERNS - chain.spent_here if is_at_lock else 0,
            next_hint=_next_hint(chosen, board, chain) if board.begun else None,
        )


def _locks(chosen: BoathouseSettings, questions: Sequence[Asked]) -> tuple[tuple[str, ...], ...]:
    """The questions in the order of the set, as evenly as can be, the first locks with one more."""
    ids = [one.question for one in questions][: MOST_LOCKS * MOST_DIALS]
    wanted = chosen.locks or min(MOST_LOCKS, round(len(ids) / USUAL_DIALS))
    number = min(len(ids), max(1, wanted))
    ids = ids[: number * MOST_DIALS]
    each, more = divmod(len(ids), number) if number else (0, 0)
    starts = [lock * each + min(lock, more) for lock in range(number + 1)]
    return tuple(tuple(ids[start:end]) for start, end in pairwise(starts))


def _new(locks: tuple[tuple[str, ...], ...]) -> Chain:
    return Chain(len(locks), spent=(0,) * len(locks))


def _wanted(locks: tuple[tuple[str, ...], ...], chain: Chain) -> list[str]:
    """The questions of the lock whose dials do not stand yet."""
    return [] if chain.opened >= chain.locks else [one for one in locks[chain.opened] if one not in chain.turned]


def _with_dial(chain: Chain, question: str, *, given: bool = False) -> Chain:
    more = frozenset({question})
    return replace(chain, turned=chain.turned | more, given=chain.given | more if given else chain.given)


def _with_right(locks: tuple[tuple[str, ...], ...], chain: Chain, question: str, pace: float) -> Chain:
    """With a right answer. Whoever may take longer has turned a further dial as often as that makes a whole one."""
    if question not in _wanted(locks, chain):
        return chain
    chain = replace(_with_dial(chain, question), credit=chain.credit + pace - 1)
    while chain.credit >= 1 - TINY and (wanted := _wanted(locks, chain)):
        chain = replace(_with_dial(chain, wanted[0], given=True), credit=chain.credit - 1)
    return chain if _wanted(locks, chain) else replace(chain, opened=chain.opened + 1, read=False)


def _next_hint(chosen: BoathouseSettings, board: House, chain: Chain) -> Literal["words", "dial"] | None:
    """What a hint would be; None where there is none. The last lantern stays, and the last dial is one's own."""
    if chain.is_out or not board.locks or chain.spent_here >= LANTERNS - 1:
        return None
    if _stage(chosen, chain).hint and not chain.read:
        return "words"
    return "dial" if len(_wanted(board.locks, chain)) > 1 else None


def _stage(chosen: BoathouseSettings, chain: Chain) -> Stage:
    return chosen.stages[chain.opened] if chain.opened < len(chosen.stages) and not chain.is_out else Stage()


def _figure(board: House, question: str) -> str:
    return str(Random(f"{board.salt}:{question}").randint(0, 9))


def _with_chain(board: House, hands: Hands, player: int, hand: Rower, chain: Chain) -> Next:
    """With a chain that is further: the whole team has it."""
    team = hand.mate.team
    own = replace(hand, chain=chain)
    if board.crews is None or team is None or chain is hands[player].chain:
        return Turn(board, {player: own})
    chains = tuple(chain if number == team else one for number, one in enumerate(board.chains))
    mates = {one: replace(other, chain=chain) for one, other in hands.items() if other.mate.team == team}
    return Turn(replace(board, chains=chains), {**mates, player: own})


def _mates(hands: Hands) -> dict[int, Mate]:
    return {player: hand.mate for player, hand in hands.items()}


def _crewed(board: House, hands: Hands, crewed: Crewed) -> Next:
    """With those who came into a team, or left it: whoever is in one has its chain."""
    changed: dict[int, Rower] = {}
    for player, mate in crewed.mates.items():
        chain = _new(board.locks) if mate.team is None else board.chains[mate.team]
        hand = hands.get(player)
        changed[player] = replace(hand, mate=mate, chain=chain) if hand else Rower(mate, chain)
    return Turn(replace(board, crews=crewed.crews), changed)


def _lines(board: House) -> list[CrewLine]:
    crews = board.crews
    if crews is None:
        return []
    there = [chain.lanterns for team, chain in enumerate(board.chains) if crews.is_there(team)]
    return [
        CrewLine(
            number=team + 1,
            members=crews.sizes[team],
            opened=chain.opened,
            lanterns=chain.lanterns,
            place=1 + sum(other > chain.lanterns for other in there),
        )
        for team, chain in enumerate(board.chains)
    ]


GAME = LockedBoathouse()
