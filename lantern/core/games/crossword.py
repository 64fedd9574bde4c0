"""Crossword, at own pace: right answers are its words, and their questions its clues (docs/games.md, E1 to E5)."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.games.contract import Asked, BoardGame, GameSettings, GameView, Given, Newcomer, Outline, Turn
from lantern.core.grids import LEAST_WORDS, Clued, Crossword, Word, make_crossword, words_from
from lantern.core.values import Value


class CrosswordSettings(GameSettings):
    """`number` chooses one of many crosswords of the same words. `together`: what anybody has right stands in the grid
    of all."""

    game: Literal["crossword"] = "crossword"
    number: Annotated[int, Field(ge=1, le=999)] = 1
    together: bool = False


@dataclass(frozen=True)
class Sheet:
    """`right` is how many have each word right, by question."""

    grid: Crossword
    right: Mapping[str, int]
    players: int = 0


@dataclass(frozen=True, slots=True)
class Pencil:
    """The questions that this player has answered: right ones, and others."""

    right: frozenset[str] = frozenset()
    missed: frozenset[str] = frozenset()
    out: bool = False


class Slot(Value):
    """Where a word lies: from this row and column on, `down` or across. `letters` are there once they may be told."""

    question: str
    number: int
    row: int
    column: int
    down: bool
    length: int
    letters: tuple[str, ...] = ()


class ScreenSlot(Slot):
    """`right` is how many have it right."""

    right: int


class OwnSlot(Slot):
    """`state`: not answered, right, or missed. `together`: somebody else has it right."""

    state: Literal["open", "right", "missed", "together"]


class CrosswordScreen(GameView):
    game: Literal["crossword"] = "crossword"
    rows: int
    columns: int
    to_the_left: bool
    together: bool
    players: int
    words: tuple[ScreenSlot, ...]


class CrosswordOwn(GameView):
    game: Literal["crossword"] = "crossword"
    rows: int
    columns: int
    to_the_left: bool
    right: int
    words: tuple[OwnSlot, ...]


Hands = Mapping[int, Pencil]
Next = Turn[Sheet, Pencil]


class CrosswordGame(BoardGame[CrosswordSettings, Sheet, Pencil]):
    name = "crossword"
    settings = CrosswordSettings
    manners = frozenset(("own_pace",))
    screen = CrosswordScreen
    own = CrosswordOwn

    def ranks_players(self, chosen: CrosswordSettings) -> bool:
        return True

    def alone(self, chosen: CrosswordSettings) -> CrosswordSettings:
        return chosen.model_copy(update={"together": False})

    def layout(self, chosen: CrosswordSettings, questions: Sequence[Asked]) -> Sequence[tuple[str, Sequence[str]]]:
        return [("", [entry.word.id for entry in _grid(chosen, questions).entries])]

    def start(self, chosen: CrosswordSettings, outline: Outline) -> Sheet:
        return Sheet(_grid(chosen, outline.questions), {})

    def on_join(self, chosen: CrosswordSettings, board: Sheet, hands: Hands, who: Newcomer) -> Next:
        known = hands.get(who.player)
        if known is not None and not known.out:
            return Turn(board)
        hand = replace(known, out=False) if known else Pencil()
        return Turn(replace(board, players=board.players + 1), {who.player: hand})

    def on_leave(self, chosen: CrosswordSettings, board: Sheet, hands: Hands, player: int) -> Next:
        hand = hands.get(player)
        if hand is None or hand.out:
            return Turn(board)
        return Turn(replace(board, players=board.players - 1), {player: replace(hand, out=True)})

    def on_answer(self, chosen: CrosswordSettings, board: Sheet, hands: Hands, player: int, given: Given) -> Next:
        hand, question = hands[player], given.question
        if given.mark < 1:
            return Turn(board, {player: replace(hand, missed=hand.missed | {question})})
        right = {**board.right, question: board.right.get(question, 0) + 1}
        return Turn(replace(board, right=right), {player: replace(hand, right=hand.right | {question})})

    def scores(self, chosen: CrosswordSettings, board: Sheet, hands: Hands) -> Mapping[int, int]:
        return {player: len(hand.right) for player, hand in hands.items()}

    def over(self, chosen: CrosswordSettings, board: Sheet) -> bool:
        entries = board.grid.entries
        return chosen.together and bool(entries) and all(board.right.get(one.word.id) for one in entries)

    def screen_view(self, chosen: CrosswordSettings, board: Sheet, hands: Hands) -> CrosswordScreen:
        def shown(question: str) -> bool:
            return chosen.together and board.right.get(question, 0) > 0

        return CrosswordScreen(
            rows=board.grid.rows,
            columns=board.grid.columns,
            to_the_left=board.grid.to_the_left,
            together=chosen.together,
            players=board.players,
            words=tuple(
                ScreenSlot(
                    question=one.word.id,
                    number=one.number,
                    row=one.row,
                    column=one.column,
                    down=one.down,
                    length=len(one.word.letters),
                    letters=one.word.letters if shown(one.word.id) else (),
                    right=board.right.get(one.word.id, 0),
                )
                for one in board.grid.entries
            ),
        )

    def own_view(self, chosen: CrosswordSettings, board: Sheet, hands: Hands, player: int) -> CrosswordOwn:
        hand = hands[player]

        def state(question: str) -> Literal["open", "right", "missed", "together"]:
            if question in hand.right:
                return "right"
            if question in hand.missed:
                return "missed"
            return "together" if chosen.together and board.right.get(question) else "open"

        return CrosswordOwn(
            rows=board.grid.rows,
            columns=board.grid.columns,
            to_the_left=board.grid.to_the_left,
            right=len(hand.right),
            words=tuple(
                OwnSlot(
                    question=one.word.id,
                    number=one.number,
                    row=one.row,
                    column=one.column,
                    down=one.down,
                    length=len(one.word.letters),
                    letters=() if state(one.word.id) == "open" else one.word.letters,
                    state=state(one.word.id),
                )
                for one in board.grid.entries
            ),
        )


def _grid(chosen: CrosswordSettings, questions: Sequence[Asked]) -> Crossword:
    """Of the words that cross. Made once more from these alone it is the same: what was left out has no part in it."""
    words, _ = words_from(Clued(one.question, "?", one.answer) for one in questions if one.answer)
    made = _of_those_that_cross(tuple(sorted(words)), str(chosen.number))
    return made if len(made.entries) >= LEAST_WORDS else make_crossword((), str(chosen.number))


@lru_cache(maxsize=64)
def _of_those_that_cross(words: tuple[Word, ...], seed: str) -> Crossword:
    made = make_crossword(words, seed)
    return _of_those_that_cross(tuple(sorted(one.word for one in made.entries)), seed) if made.left else made


GAME = CrosswordGame()
