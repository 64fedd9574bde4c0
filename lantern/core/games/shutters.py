"""Shutters: parts lie behind shutters; two are opened, and stay open where they belong together (docs/games.md).

A miss counts where one could have known better: its partner had been seen before.
"""

from dataclasses import replace
from functools import lru_cache
from random import Random
from typing import Annotated, Any, Literal

from pydantic import Field

from lantern.core.games.contract import GameView, QuestionMove, Turn
from lantern.core.games.pairs import (
    FOUND_ALREADY,
    NO_SUCH_PART,
    BoardLine,
    Finder,
    Hands,
    Next,
    OwnBoard,
    PairGame,
    PairSettings,
    Quay,
    own_of,
    turns_of,
    with_own,
)
from lantern.core.messages import Message
from lantern.core.pairing import Pairing, Tries
from lantern.core.values import Value

MOST_PLACES = 40


class ShuttersSettings(PairSettings):
    """`spoken`: devices say each word as it is opened."""

    game: Literal["shutters"] = "shutters"
    spoken: bool = False


class OpenShutter(QuestionMove):
    """The one at this place, from 0. Where two lie open that do not belong together, they are closed before."""

    move: Literal["open_shutter"] = "open_shutter"
    place: Annotated[int, Field(ge=0, lt=MOST_PLACES)]


class ShuttersScreen(GameView):
    game: Literal["shutters"] = "shutters"
    players: int
    boards: tuple[BoardLine, ...]


class ShutteredView(Value):
    """`places` are all places of a board: the id of the part where it is open, empty where it is shut. `opened` are the
    places, from 0, that were opened and do not stay so."""

    question: str
    pairs: int
    places: tuple[str, ...]
    opened: tuple[int, ...]
    found: int
    missed: int
    turns: tuple[int, ...] = ()


class ShuttersOwn(GameView):
    game: Literal["shutters"] = "shutters"
    right: int
    spoken: bool
    boards: tuple[ShutteredView, ...]


class Shutters(PairGame[ShuttersSettings]):
    name = "shutters"
    settings = ShuttersSettings
    plays = "match"
    moves = (OpenShutter,)
    screen = ShuttersScreen
    own = ShuttersOwn

    def refused(self, chosen: ShuttersSettings, board: Quay, hands: Hands, player: int, move: Any) -> Message | None:
        pairing = board.boards.get(move.question)
        if pairing is None or move.place >= 2 * len(pairing.left):
            return NO_SUCH_PART
        own = own_of(board, hands[player], move.question)
        part = _places(board, move.question)[move.place]
        is_open = len(own.opened) == 1 and move.place in own.opened
        return FOUND_ALREADY if is_open or part in _found(own) else None

    def on_move(self, chosen: ShuttersSettings, board: Quay, hands: Hands, player: int, move: Any) -> Next:
        own = own_of(board, hands[player], move.question)
        after = opened(board.boards[move.question], _places(board, move.question), own, move.place)
        return Turn(board, {player: with_own(hands[player], move.question, after)})

    def screen_view(self, chosen: ShuttersSettings, board: Quay, hands: Hands) -> ShuttersScreen:
        return ShuttersScreen(players=board.players, boards=self.lines(board, hands))

    def own_view(self, chosen: ShuttersSettings, board: Quay, hands: Hands, player: int) -> ShuttersOwn:
        hand = hands[player]
        boards = (_seen(chosen, board, number, question, hand) for number, question in enumerate(board.boards))
        return ShuttersOwn(right=hand.right, spoken=chosen.spoken, boards=tuple(boards))


def opened(pairing: Pairing, places: tuple[str, ...], own: OwnBoard, place: int) -> OwnBoard:
    """With this shutter opened. `places` are the parts that lie behind them."""
    if len(own.opened) != 1:
        return replace(own, opened=(place,), seen=own.seen | {place})
    (before,) = own.opened
    one, other = places[before], places[place]
    left, right = (one, other) if one in pairing.left else (other, one)
    after = replace(own, seen=own.seen | {place})
    if left in pairing.left and right in pairing.right and pairing.fits(own.found, left, right):
        first = own.first if _was_tried(own, left) else (*own.first, (left, right))
        found = (*own.found, (left, right))
        return replace(after, first=first, found=found, after=(*own.after, own.missed), opened=())
    after = replace(after, opened=(before, place), missed=own.missed + 1)
    return _with_miss(pairing, places, own, after, one, other)


def _with_miss(
    pairing: Pairing, places: tuple[str, ...], own: OwnBoard, after: OwnBoard, one: str, other: str
) -> OwnBoard:
    """It counts where a partner of `one` had been seen: that was known, and `other` was taken for it."""
    partners = _partners(pairing, own, one)
    if not any(places[place] in partners for place in own.seen):
        return after
    left = one if one in pairing.left else min(partners)
    right = other if other in pairing.right else dict(pairing.wanted)[other]
    return after if _was_tried(own, left) else replace(after, first=(*own.first, (left, right)))


def _partners(pairing: Pairing, own: OwnBoard, part: str) -> set[str]:
    """Those of this part that were not found."""
    found = _found(own)
    if part in pairing.left:
        return {right for right in pairing.right if right not in found and pairing.fits(own.found, part, right)}
    return {left for left in pairing.left if left not in found and pairing.fits(own.found, left, part)}


def _was_tried(own: OwnBoard, left: str) -> bool:
    return any(left == one for one, _ in own.first)


def _found(own: OwnBoard) -> set[str]:
    return {part for pair in own.found for part in pair}


def _places(board: Quay, question: str) -> tuple[str, ...]:
    return _spread(board.boards[question].wanted, board.salt, question)


@lru_cache(maxsize=256)
def _spread(wanted: Tries, salt: str, question: str) -> tuple[str, ...]:
    """All parts, each at its place; the same for everybody. What belongs to nothing lies nowhere."""
    parts = [part for pair in wanted for part in pair]
    Random(f"{salt}:{question}").shuffle(parts)
    return tuple(parts)


def _seen(chosen: ShuttersSettings, board: Quay, number: int, question: str, hand: Finder) -> ShutteredView:
    own = own_of(board, hand, question)
    found, places = _found(own), _places(board, question)
    return ShutteredView(
        question=question,
        pairs=len(board.boards[question].left),
        places=tuple(part if part in found or place in own.opened else "" for place, part in enumerate(places)),
        opened=own.opened,
        found=len(own.found),
        missed=own.missed,
        turns=turns_of(own, number) if chosen.shared else (),
    )


GAME = Shutters()
