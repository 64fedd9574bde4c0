"""What games of pairs have in common: questions are boards, and are answered by moves (docs/games.md, U1 to U10).

A player's own board remembers what was found and what was tried first; what was tried first is the answer.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from random import Random
from typing import Any, Generic, Literal, TypeVar

from lantern.core.games.contract import (
    BoardGame,
    GameMove,
    GameSettings,
    GameView,
    Given,
    Newcomer,
    Outline,
    QuestionMove,
    Tried,
    Turn,
)
from lantern.core.messages import Message, said
from lantern.core.pairing import Pairing, Tries
from lantern.core.values import ShortId, Value

NO_SUCH_PART = said("no_such_part", "This is not on the board.")
FOUND_ALREADY = said("found_already", "This has its place already.")


@dataclass(frozen=True, slots=True)
class OwnBoard:
    """What one player did on one board since it was asked the last time (`asking`).

    `found` are pairs, and `after` says how many tries had been wrong before each; `first` is what each left part was
    put to first, `missed` how many tries were wrong, and `last` the one that was last, if it was. `opened` are places
    that lie open, and `seen` those that ever did, where parts are turned.
    """

    found: Tries = ()
    after: tuple[int, ...] = ()
    first: Tries = ()
    missed: int = 0
    last: tuple[str, str] | None = None
    opened: tuple[int, ...] = ()
    seen: frozenset[int] = frozenset()
    asking: int = 1


@dataclass(frozen=True)
class Quay:
    """The boards that are played, by question, the same for everybody. `askings` says how often each was asked, where
    that was more than once. `salt` is what lies where."""

    boards: Mapping[str, Pairing]
    askings: Mapping[str, int] = field(default_factory=dict)
    players: int = 0
    salt: str = ""


@dataclass(frozen=True, slots=True)
class Finder:
    """`told` is how many parts were right at the first try, by question, of boards whose mark was told: also of those
    that were answered, and not played."""

    own: Mapping[str, OwnBoard] = field(default_factory=dict)
    told: Mapping[str, int] = field(default_factory=dict)
    out: bool = False

    @property
    def right(self) -> int:
        return sum(self.told.values())


class PairSettings(GameSettings):
    """`shared`: several play at each device, as at one large board in the room."""

    shared: bool = False


class TryPair(QuestionMove):
    """These belong together."""

    move: Literal["try_pair"] = "try_pair"
    left: ShortId
    right: ShortId


class BoardLine(Value):
    """A board, as the room sees it: how many pairs it has, how many of them all players together have found, and how
    many players have found all."""

    question: str
    pairs: int
    found: int
    finished: int


class Parts(Value):
    """A left and a right part that were put together."""

    left: str
    right: str


class OwnBoardView(Value):
    """What was `found`, and what went `wrong` with the last try, if it did. `turns`: where several play at one device,
    whose turn it was when each was found, and whose it is now; a number that counts on, from 0."""

    question: str
    pairs: int
    found: tuple[Parts, ...]
    wrong: Parts | None
    missed: int
    turns: tuple[int, ...] = ()


Chosen = TypeVar("Chosen", bound=PairSettings)
Hands = Mapping[int, Finder]
Next = Turn[Quay, Finder]


class PairGame(BoardGame[Chosen, Quay, Finder], Generic[Chosen]):
    """Everybody has the same boards and plays them alone, led or at own pace. Most parts that were right at the first
    try are ahead."""

    moves: tuple[type[GameMove], ...] = (TryPair,)

    def ranks_players(self, chosen: Chosen) -> bool:
        return True

    def shares_devices(self, chosen: Chosen) -> bool:
        return chosen.shared

    def alone(self, chosen: Chosen) -> Chosen:
        return chosen.model_copy(update={"shared": False})

    def start(self, chosen: Chosen, outline: Outline) -> Quay:
        return Quay({one.question: one.pairing for one in outline.questions if one.pairing})

    def on_join(self, chosen: Chosen, board: Quay, hands: Hands, who: Newcomer) -> Next:
        known = hands.get(who.player)
        if known is not None and not known.out:
            return Turn(board)
        hand = replace(known, out=False) if known else Finder()
        return Turn(replace(board, players=board.players + 1), {who.player: hand})

    def on_leave(self, chosen: Chosen, board: Quay, hands: Hands, player: int) -> Next:
        hand = hands.get(player)
        if hand is None or hand.out:
            return Turn(board)
        return Turn(replace(board, players=board.players - 1), {player: replace(hand, out=True)})

    def on_begin(self, chosen: Chosen, board: Quay, hands: Hands, rng: Random) -> Next:
        return Turn(board if board.salt else replace(board, salt=f"{rng.getrandbits(64):x}"))

    def on_open(self, chosen: Chosen, board: Quay, question: str, asking: int) -> Quay:
        if question not in board.boards or asking == board.askings.get(question, 1):
            return board
        return replace(board, askings={**board.askings, question: asking})

    def on_answer(self, chosen: Chosen, board: Quay, hands: Hands, player: int, given: Given) -> Next:
        hand, pairing = hands[player], board.boards.get(given.question)
        if pairing is None:
            return Turn(board)
        told = {**hand.told, given.question: round(given.mark * len(pairing.left))}
        return Turn(board, {player: replace(hand, told=told)})

    def refused(self, chosen: Chosen, board: Quay, hands: Hands, player: int, move: Any) -> Message | None:
        pairing = board.boards.get(move.question)
        if pairing is None or move.left not in pairing.left or move.right not in pairing.right:
            return NO_SUCH_PART
        own = own_of(board, hands[player], move.question)
        taken = any(move.left == left or (pairing.once and move.right == right) for left, right in own.found)
        return FOUND_ALREADY if taken else None

    def on_move(self, chosen: Chosen, board: Quay, hands: Hands, player: int, move: Any) -> Next:
        own = own_of(board, hands[player], move.question)
        return Turn(board, {player: with_own(hands[player], move.question, tried(board, own, move))})

    def tried(self, chosen: Chosen, board: Quay, hand: Finder, question: str) -> Tried | None:
        pairing = board.boards.get(question)
        if pairing is None:
            return None
        own = own_of(board, hand, question)
        first = sorted(own.first, key=lambda pair: pair not in own.found)
        return Tried(tuple(first), len(own.found) == len(pairing.left))

    def scores(self, chosen: Chosen, board: Quay, hands: Hands) -> Mapping[int, int]:
        return {player: hand.right for player, hand in hands.items()}

    def over(self, chosen: Chosen, board: Quay) -> bool:
        return False

    def lines(self, board: Quay, hands: Hands) -> tuple[BoardLine, ...]:
        there = [hand for hand in hands.values() if not hand.out]
        lines = []
        for question, pairing in board.boards.items():
            found = [max(len(own_of(board, hand, question).found), hand.told.get(question, 0)) for hand in there]
            pairs = len(pairing.left)
            lines.append(
                BoardLine(question=question, pairs=pairs, found=sum(found), finished=sum(one == pairs for one in found))
            )
        return tuple(lines)

    def own_lines(self, chosen: Chosen, board: Quay, hand: Finder) -> tuple[OwnBoardView, ...]:
        views = []
        for number, (question, pairing) in enumerate(board.boards.items()):
            own = own_of(board, hand, question)
            wrong = Parts(left=own.last[0], right=own.last[1]) if own.last else None
            found = tuple(Parts(left=left, right=right) for left, right in own.found)
            views.append(
                OwnBoardView(
                    question=question,
                    pairs=len(pairing.left),
                    found=found,
                    wrong=wrong,
                    missed=own.missed,
                    turns=turns_of(own, number) if chosen.shared else (),
                )
            )
        return tuple(views)


def turns_of(own: OwnBoard, number: int) -> tuple[int, ...]:
    """Whose turn it was when each pair was found, and whose it is now. Who finds one goes on; each board, by its number
    from 0, begins with the next."""
    return tuple(number + missed for missed in (*own.after, own.missed))


def own_of(board: Quay, hand: Finder, question: str) -> OwnBoard:
    """What a player did on a board since it was asked last."""
    own, asking = hand.own.get(question), board.askings.get(question, 1)
    return own if own is not None and own.asking == asking else OwnBoard(asking=asking)


def with_own(hand: Finder, question: str, own: OwnBoard) -> Finder:
    return replace(hand, own={**hand.own, question: own})


def tried(board: Quay, own: OwnBoard, move: TryPair) -> OwnBoard:
    """With a pair that was tried. Of each left part the first try is kept."""
    pair = (move.left, move.right)
    first = own.first if any(left == move.left for left, _ in own.first) else (*own.first, pair)
    if board.boards[move.question].fits(own.found, move.left, move.right):
        return replace(own, first=first, found=(*own.found, pair), after=(*own.after, own.missed), last=None)
    return replace(own, first=first, missed=own.missed + 1, last=pair)


class PairsScreen(GameView):
    """What the room sees of all boards. `players` is how many there are."""

    players: int
    boards: tuple[BoardLine, ...]


class PairsOwn(GameView):
    """`right` is how many parts one had right at the first try, of the boards that are over."""

    right: int
    boards: tuple[OwnBoardView, ...]
