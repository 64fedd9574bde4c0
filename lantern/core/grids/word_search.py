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
TRIES, ROUNDS, THROWS = 12, 60, 150
"""Grids that are tried; how often one is mended; and places that are tried for a word before all are looked at."""
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
        made = _attempt(known, Random(f"{seed}:{attempt}"), side + attempt // 3, directions, avoided)
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
        place = _place_for(word, side, directions, cells, rng)
        if place is None:
            left.append(word)
            continue
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
    for _ in range(ROUNDS):
        read = reader.read(grid)
        if not read:
            return True
        for cells in read:
            filling = sorted(cells.difference(kept))
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

    def read(self, grid: Mapping[Cell, str]) -> list[frozenset[Cell]]:
        """The cells of each that shall not be there. Letters of several characters are read as one."""
        signs = {letter: chr(FIRST_SIGN + number) for number, letter in enumerate(dict.fromkeys(grid.values()))}
        lines = ["".join([signs[grid[cell]] for cell in line]) for line in self._lines]
        whole = "\n".join(lines)
        found: list[frozenset[Cell]] = []
        for letters in self._wanted:
            text = "".join([signs.get(letter, " ") for letter in letters])
            if text in whole:
                found += (cells for cells in self._found(text, lines) if not self._is_on_purpose(cells, letters))
        return found

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


def _place_for(
    word: Word, side: int, directions: Directions, cells: Mapping[Cell, str], rng: Random
) -> tuple[Cell, ...] | None:
    ways = _WAYS[directions]
    for _ in range(THROWS):
        thrown = _place(word, side, rng.choice(ways), (rng.randrange(side), rng.randrange(side)))
        if thrown and _fits(word, thrown, cells):
            return thrown
    every = [place for place in _places(word, side, directions) if _fits(word, place, cells)]
    return rng.choice(every) if every else None


def _place(word: Word, side: int, way: tuple[int, int], start: Cell) -> tuple[Cell, ...] | None:
    """None where it would not be within the grid."""
    (down, along), (row, column), reach = way, start, len(word.letters) - 1
    if not (0 <= row + down * reach < side and 0 <= column + along * reach < side):
        return None
    return tuple((row + down * step, column + along * step) for step in range(reach + 1))


def _places(word: Word, side: int, directions: Directions) -> Iterator[tuple[Cell, ...]]:
    every = (_place(word, side, way, start) for way in _WAYS[directions] for start in _square(side))
    return (place for place in every if place)


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
