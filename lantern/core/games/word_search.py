"""Word search, on a screen: the words of a board lie hidden among letters, and are found by their clues (docs/games.md,
H1 to H6).
"""

from collections.abc import Sequence
from dataclasses import replace
from functools import lru_cache
from random import Random
from typing import Annotated, Any, Literal, NamedTuple

from pydantic import Field

from lantern.core.games.contract import GameView, QuestionMove, Turn
from lantern.core.games.pairs import (
    NO_SUCH_PART,
    Hands,
    Next,
    OwnBoard,
    PairGame,
    PairSettings,
    PairsScreen,
    Parts,
    Quay,
    own_of,
    with_own,
)
from lantern.core.grids import (
    Clued,
    Directions,
    Hidden,
    Word,
    WordSearch,
    make_word_search,
    runs_to_the_left,
    words_from,
)
from lantern.core.messages import Message
from lantern.core.pairing import Pairing, Tries
from lantern.core.values import Value

LONGEST_WORD = 12
"""So that on a phone every letter can be touched."""
MOST_CELLS = 40 * 40
TRIES = 3


class WordSearchSettings(PairSettings):
    """`directions`: to the right and down; with slopes; backwards, too."""

    game: Literal["word_search"] = "word_search"
    directions: Directions = "slopes"


class MarkLetters(QuestionMove):
    """The letters from one cell to another, each by its number from the first of the first row."""

    move: Literal["mark_letters"] = "mark_letters"
    start: Annotated[int, Field(ge=0, le=MOST_CELLS)]
    end: Annotated[int, Field(ge=0, le=MOST_CELLS)]


class Clue(Value):
    """A part that is the clue of a hidden word, and how many letters that has."""

    part: str
    letters: int


class FoundWord(Value):
    """The parts that belong together by it, and its cells."""

    pair: Parts
    cells: tuple[int, ...]


class SearchView(Value):
    """`letters` row by row, `side` to a row. `clues` are those of words that were not found. `missed` is how often
    something else was marked."""

    question: str
    pairs: int
    side: int
    to_the_left: bool
    letters: tuple[str, ...]
    found: tuple[FoundWord, ...]
    clues: tuple[Clue, ...]
    missed: int


class WordSearchScreen(PairsScreen):
    game: Literal["word_search"] = "word_search"


class WordSearchOwn(GameView):
    game: Literal["word_search"] = "word_search"
    right: int
    boards: tuple[SearchView, ...]


class Search(NamedTuple):
    """A grid, and for each left part of its board: the word, its cells, and the part that is its clue."""

    grid: WordSearch
    of: dict[str, tuple[Word, tuple[int, ...], str]]

    @property
    def side(self) -> int:
        return len(self.grid.grid)


class WordSearchGame(PairGame[WordSearchSettings]):
    name = "word_search"
    settings = WordSearchSettings
    manners = frozenset(("own_pace",))
    """A question that is led stands on the big screen, and its words with it."""
    plays = "match"
    moves = (MarkLetters,)
    screen = WordSearchScreen
    own = WordSearchOwn

    def takes(self, left: str, right: str) -> bool:
        """One side of it is a word that can be hidden, and the other tells which."""
        if not left:
            return False
        words, _ = words_from([Clued("", left, right)])
        return bool(words) and len(words[0].letters) <= LONGEST_WORD

    def refused(self, chosen: WordSearchSettings, board: Quay, hands: Hands, player: int, move: Any) -> Message | None:
        if move.question not in board.boards or not board.salt:
            return NO_SUCH_PART
        search = _search(chosen, board, move.question)
        return None if cells_between(search.side, move.start, move.end) else NO_SUCH_PART

    def on_move(self, chosen: WordSearchSettings, board: Quay, hands: Hands, player: int, move: Any) -> Next:
        own = own_of(board, hands[player], move.question)
        search = _search(chosen, board, move.question)
        after = marked(board.boards[move.question], search, own, cells_between(search.side, move.start, move.end))
        return Turn(board, {player: with_own(hands[player], move.question, after)})

    def screen_view(self, chosen: WordSearchSettings, board: Quay, hands: Hands) -> WordSearchScreen:
        return WordSearchScreen(players=board.players, boards=self.lines(board, hands))

    def own_view(self, chosen: WordSearchSettings, board: Quay, hands: Hands, player: int) -> WordSearchOwn:
        hand = hands[player]
        views = []
        for question in board.boards if board.salt else ():
            search, own = _search(chosen, board, question), own_of(board, hand, question)
            found = {left: Parts(left=left, right=right) for left, right in own.found}
            views.append(
                SearchView(
                    question=question,
                    pairs=len(board.boards[question].left),
                    side=search.side,
                    to_the_left=search.grid.to_the_left,
                    letters=tuple(letter for row in search.grid.grid for letter in row),
                    found=tuple(FoundWord(pair=pair, cells=search.of[left][1]) for left, pair in found.items()),
                    clues=tuple(
                        Clue(part=clue, letters=len(word.letters))
                        for left, (word, _, clue) in search.of.items()
                        if left not in found
                    ),
                    missed=own.missed,
                )
            )
        return WordSearchOwn(right=hand.right, boards=tuple(views))


def cells_between(side: int, start: int, end: int) -> tuple[int, ...]:
    """The cells of a straight line, across, down or on a slope; empty where these two lie on none."""
    if max(start, end) >= side * side:
        return ()
    (row, column), (last, along) = divmod(start, side), divmod(end, side)
    down, over = last - row, along - column
    steps = max(abs(down), abs(over))
    if not steps or (down and over and abs(down) != abs(over)):
        return ()
    return tuple(start + (end - start) // steps * step for step in range(steps + 1))


def marked(pairing: Pairing, search: Search, own: OwnBoard, cells: Sequence[int]) -> OwnBoard:
    """With these letters marked. Whatever spells a word that is wanted is that word, wherever it was read."""
    letters = tuple(search.grid.grid[cell // search.side][cell % search.side] for cell in cells)
    spelt = {letters, letters[::-1]}
    found = dict(own.found)
    new = [(left, right) for left, right in pairing.wanted if left not in found and search.of[left][0].letters in spelt]
    if not new:
        return replace(own, missed=own.missed + 1)
    return replace(own, found=(*own.found, *new), first=(*own.first, *new))


def _search(chosen: WordSearchSettings, board: Quay, question: str) -> Search:
    pairing = board.boards[question]
    texts = tuple((left, pairing.text(left), pairing.text(right)) for left, right in pairing.wanted)
    return _hidden(pairing.wanted, texts, f"{board.salt}:{question}", chosen.directions)


@lru_cache(maxsize=256)
def _hidden(wanted: Tries, texts: tuple[tuple[str, str, str], ...], seed: str, directions: Directions) -> Search:
    """The same for everybody. What reads alike is hidden once."""
    words = {left: words_from([Clued(left, one, other)])[0][0] for left, one, other in texts}
    apart = list({word.letters: word for word in words.values()}.values())
    made = (make_word_search(apart, f"{seed}:{attempt}", directions) for attempt in range(TRIES))
    grid = next((one for one in made if not one.left), None) or _line_by_line(apart, Random(seed))
    cells = {one.word.letters: tuple(row * len(grid.grid) + column for row, column in one.cells) for one in grid.hidden}
    right_of = dict(wanted)
    of = {}
    for left, one, _ in texts:
        word = words[left]
        of[left] = word, cells[word.letters], left if word.clue == one.strip() else right_of[left]
    return Search(grid, of)


def _line_by_line(words: Sequence[Word], rng: Random) -> WordSearch:
    """Where any filling spells one of the words again, as with words of one letter alone: each has a row, and may be
    read elsewhere, too."""
    side = max(len(words), *(len(word.letters) for word in words))
    letters = sorted({letter for word in words for letter in word.letters})
    grid = [[rng.choice(letters) for _ in range(side)] for _ in range(side)]
    hidden = []
    for row, word in zip(rng.sample(range(side), len(words)), words, strict=True):
        start = rng.randint(0, side - len(word.letters))
        grid[row][start : start + len(word.letters)] = word.letters
        hidden.append(Hidden(word, tuple((row, start + step) for step in range(len(word.letters)))))
    return WordSearch(tuple(map(tuple, grid)), tuple(hidden), (), runs_to_the_left(word.letters for word in words))


GAME = WordSearchGame()
