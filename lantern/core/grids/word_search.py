"""A word search (docs/games.md, Q7 to Q9): words hidden among letters, from a seed."""

from collections.abc import Collection, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from math import ceil, sqrt
from random import Random
from typing import Literal, NamedTuple

from lantern.core.grids.letters import Word, letters_of, runs_to_the_left

Directions = Literal["straight", "slopes", "backwards"]
"""To the right and down; with slopes; backwards, too."""
_WAYS: Mapping[Directions, tuple[tuple[int, int], ...]] = {
    "straight": ((0, 1), (1, 0)),
    "slopes": ((0, 1), (1, 0), (1, 1), (-1, 1)),
    "backwards": ((0, 1), (1, 0), (1, 1), (-1, 1), (0, -1), (-1, 0), (-1, -1), (1, -1)),
}
ROOM = 1.9
"""Cells for each letter that is hidden."""
TRIES, CHANGES = 40, 200
FIRST_SIGN = 0xE000

Cell = tuple[int, int]


class Hidden(NamedTuple):
    """A word and the cells that it lies in, from its first letter on."""

    word: Word
    cells: tuple[Cell, ...]


@dataclass(frozen=True)
class WordSearch:
    """`grid` by row and column, the first column where reading begins; `left` are words that found no place.
    `to_the_left`: it is read so."""

    grid: tuple[tuple[str, ...], ...]
    hidden: tuple[Hidden, ...]
    left: tuple[Word, ...]
    to_the_left: bool


def make_word_search(words: Sequence[Word], seed: str, directions: Directions, unfit: Iterable[str] = ()) -> WordSearch:
    """`unfit` are words that shall not be read in it."""
    avoided = [letters for letters in map(letters_of, unfit) if letters]
    known = sorted(words)
    side = max([*(len(word.letters) for word in known), ceil(sqrt(ROOM * sum(len(word.letters) for word in known)))])
    made = None
    for attempt in range(TRIES):
        made = _attempt(known, Random(f"{seed}:{attempt}"), side + attempt // 8, directions, avoided)
        if made is not None and not made.left:
            return made
    return made or WordSearch((), (), tuple(known), runs_to_the_left(word.letters for word in known))


def _attempt(
    words: Sequence[Word], rng: Random, side: int, directions: Directions, unfit: Iterable[tuple[str, ...]]
) -> WordSearch | None:
    """None where something can be read in it that shall not be."""
    cells: dict[Cell, str] = {}
    hidden: list[Hidden] = []
    left: list[Word] = []
    for word in sorted(words, key=lambda one: (-len(one.letters), rng.random())):
        places = [place for place in _places(word, side, directions) if _fits(word, place, cells)]
        if not places:
            left.append(word)
            continue
        place = rng.choice(places)
        cells |= zip(place, word.letters, strict=True)
        hidden.append(Hidden(word, place))
    letters = [letter for word in words for letter in word.letters]
    grid = {cell: cells.get(cell) or rng.choice(letters) for cell in _square(side)}
    if not _cleaned(grid, cells.keys(), _Reader(side, hidden, unfit), letters, rng):
        return None
    rows = tuple(tuple(grid[row, column] for column in range(side)) for row in range(side))
    return WordSearch(rows, tuple(sorted(hidden)), tuple(left), runs_to_the_left(word.letters for word in words))


def _cleaned(
    grid: dict[Cell, str], kept: Collection[Cell], reader: "_Reader", letters: Sequence[str], rng: Random
) -> bool:
    """Whether nothing can be read in it that shall not be, once some of what fills it became another letter."""
    for _ in range(CHANGES):
        read = reader.first(grid)
        if read is None:
            return True
        filling = sorted(read.difference(kept))
        if not filling:
            return False
        grid[rng.choice(filling)] = rng.choice(letters)
    return False


class _Reader:
    """Reads a grid in every direction, for words that stand where they shall not."""

    def __init__(self, side: int, hidden: Sequence[Hidden], unfit: Iterable[tuple[str, ...]]) -> None:
        self._lines = list(lines_of(side))
        self._wanted = [one.word.letters for one in hidden] + list(unfit)
        self._on_purpose = [(frozenset(one.cells), one.word.letters) for one in hidden]

    def first(self, grid: Mapping[Cell, str]) -> frozenset[Cell] | None:
        """The cells of one that shall not be there. Letters of several characters are read as one."""
        signs = {letter: chr(FIRST_SIGN + number) for number, letter in enumerate(dict.fromkeys(grid.values()))}
        lines = ["".join([signs[grid[cell]] for cell in line]) for line in self._lines]
        whole = "\n".join(lines)
        for letters in self._wanted:
            text = "".join([signs.get(letter, " ") for letter in letters])
            if text not in whole:
                continue
            for cells in self._found(text, lines):
                if not self._is_on_purpose(cells, letters):
                    return cells
        return None

    def _found(self, text: str, lines: Iterable[str]) -> Iterator[frozenset[Cell]]:
        for cells, line in zip(self._lines, lines, strict=True):
            start = line.find(text)
            while start >= 0:
                yield frozenset(cells[start : start + len(text)])
                start = line.find(text, start + 1)

    def _is_on_purpose(self, cells: frozenset[Cell], letters: Sequence[str]) -> bool:
        return any(
            cells <= there and (cells != there or letters in (own, own[::-1])) for there, own in self._on_purpose
        )


def _places(word: Word, side: int, directions: Directions) -> Iterator[tuple[Cell, ...]]:
    reach = len(word.letters) - 1
    for down, along in _WAYS[directions]:
        for row in range(side):
            for column in range(side):
                if 0 <= row + down * reach < side and 0 <= column + along * reach < side:
                    yield tuple((row + down * step, column + along * step) for step in range(reach + 1))


def _fits(word: Word, place: Sequence[Cell], cells: Mapping[Cell, str]) -> bool:
    """Where letters are there already they are the same; and not all of it lies in others."""
    there = [cells.get(cell) for cell in place]
    return None in there and all(one in (None, letter) for one, letter in zip(there, word.letters, strict=True))


def _square(side: int) -> Iterator[Cell]:
    return ((row, column) for row in range(side) for column in range(side))


def lines_of(side: int) -> Iterator[list[Cell]]:
    """Every line of a square, in each of the eight directions."""
    for down, along in _WAYS["backwards"]:
        for row in range(side):
            for column in range(side):
                before = (row - down, column - along)
                if 0 <= before[0] < side and 0 <= before[1] < side:
                    continue
                line = []
                at_row, at_column = row, column
                while 0 <= at_row < side and 0 <= at_column < side:
                    line.append((at_row, at_column))
                    at_row, at_column = at_row + down, at_column + along
                yield line
