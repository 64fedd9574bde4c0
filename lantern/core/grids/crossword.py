"""A crossword (docs/games.md, Q2 to Q6): words that cross, from a seed."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from random import Random
from typing import NamedTuple

from lantern.core.grids.letters import Word, runs_to_the_left

ATTEMPTS, FEWEST, EFFORT = 24, 4, 7000
"""Of which the best is taken: fewer where there are many letters, so that it takes about a second at most."""

Cell = tuple[int, int]
"""Row and column; the first column is where reading begins."""


class Entry(NamedTuple):
    """A word as it lies: from this cell on, `down` or across. `number` is that of its first cell."""

    word: Word
    row: int
    column: int
    down: bool
    number: int = 0

    def cells(self) -> Iterator[Cell]:
        for place in range(len(self.word.letters)):
            yield (self.row + place, self.column) if self.down else (self.row, self.column + place)


@dataclass(frozen=True)
class Crossword:
    """`entries` in the order of their numbers, across before down; `left` are those that found no place. `score` is the
    share of its letters that stand in two words. `to_the_left`: it is read so."""

    rows: int
    columns: int
    entries: tuple[Entry, ...]
    left: tuple[Word, ...]
    score: float
    to_the_left: bool

    def letters(self) -> dict[Cell, str]:
        return {
            cell: letter
            for entry in self.entries
            for cell, letter in zip(entry.cells(), entry.word.letters, strict=True)
        }

    def numbers(self) -> dict[Cell, int]:
        return {(entry.row, entry.column): entry.number for entry in self.entries}


def make_crossword(words: Sequence[Word], seed: str) -> Crossword:
    """The words in any order; with no letter in common they cannot all have a place."""
    known = sorted(words)
    best = max(attempts(known, seed), key=lambda one: one.worth)
    return best.made(known)


def attempts(words: Sequence[Word], seed: str) -> Iterator["_Attempt"]:
    letters = sum(len(word.letters) for word in words)
    number = max(FEWEST, min(ATTEMPTS, EFFORT // max(1, letters)))
    return (_Attempt(words, Random(f"{seed}:{one}")) for one in range(number))


class _Attempt:
    """Long words first; each where it crosses most, and makes the grid grow least. What finds no place is tried again
    once others have one."""

    def __init__(self, words: Sequence[Word], rng: Random) -> None:
        self._rng = rng
        self._cells: dict[Cell, str] = {}
        self._used: dict[Cell, set[bool]] = {}
        self._entries: list[Entry] = []
        self._by_letter: dict[str, list[Cell]] = {}
        self._top = self._start = self._bottom = self._end = 0
        waiting = sorted(words, key=lambda word: (-len(word.letters), rng.random()))
        while waiting:
            left = [word for word in waiting if not self._place(word)]
            if len(left) == len(waiting):
                break
            waiting = left

    @property
    def worth(self) -> tuple[int, int, int]:
        height, width = self._size()
        return len(self._entries), self._crossings(), -height * width - abs(height - width)

    def made(self, words: Sequence[Word]) -> Crossword:
        moved = [one._replace(row=one.row - self._top, column=one.column - self._start) for one in self._entries]
        firsts = sorted({(one.row, one.column) for one in moved})
        numbers = {cell: number for number, cell in enumerate(firsts, start=1)}
        entries = sorted(
            (one._replace(number=numbers[one.row, one.column]) for one in moved), key=lambda one: (one.number, one.down)
        )
        height, width = self._size()
        there = {one.word for one in entries}
        return Crossword(
            rows=height,
            columns=width,
            entries=tuple(entries),
            left=tuple(word for word in words if word not in there),
            score=round(self._crossings() / len(self._cells), 3) if self._cells else 0.0,
            to_the_left=runs_to_the_left(word.letters for word in words),
        )

    def _size(self) -> tuple[int, int]:
        return (self._bottom - self._top + 1, self._end - self._start + 1) if self._cells else (0, 0)

    def _crossings(self) -> int:
        return sum(len(ways) > 1 for ways in self._used.values())

    def _place(self, word: Word) -> bool:
        if not self._entries:
            self._lay(Entry(word, 0, 0, down=False))
            return True
        best = max(self._possible(word), default=None, key=lambda one: one[0])
        if best is None:
            return False
        self._lay(best[1])
        return True

    def _possible(self, word: Word) -> Iterator[tuple[tuple[int, int, float], Entry]]:
        seen: set[tuple[int, int, bool]] = set()
        for place, letter in enumerate(word.letters):
            for row, column in self._by_letter.get(letter, ()):
                for down in (False, True):
                    at = (row - place, column, True) if down else (row, column - place, False)
                    if down in self._used[row, column] or at in seen:
                        continue
                    seen.add(at)
                    entry = Entry(word, *at)
                    crossings = self._fits(entry)
                    if crossings:
                        yield (crossings, -self._grows(entry), self._rng.random()), entry

    def _fits(self, entry: Entry) -> int:
        """How many letters it crosses; 0 where it cannot lie so: nothing stands before it, behind it, or beside a
        letter of its own that crosses nothing."""
        cells = list(entry.cells())
        along, beside = ((1, 0), (0, 1)) if entry.down else ((0, 1), (1, 0))
        (first, last) = cells[0], cells[-1]
        if (first[0] - along[0], first[1] - along[1]) in self._cells:
            return 0
        if (last[0] + along[0], last[1] + along[1]) in self._cells:
            return 0
        crossings = 0
        for (row, column), letter in zip(cells, entry.word.letters, strict=True):
            there = self._cells.get((row, column))
            if there is not None:
                if there != letter:
                    return 0
                crossings += 1
            elif (row - beside[0], column - beside[1]) in self._cells or (
                row + beside[0], column + beside[1]
            ) in self._cells:  # fmt: skip
                return 0
        return crossings

    def _grows(self, entry: Entry) -> int:
        """How many cells the grid would have."""
        reach = len(entry.word.letters) - 1
        last_row, last_column = entry.row + reach * entry.down, entry.column + reach * (not entry.down)
        height = max(self._bottom, last_row) - min(self._top, entry.row) + 1
        width = max(self._end, last_column) - min(self._start, entry.column) + 1
        return height * width

    def _lay(self, entry: Entry) -> None:
        self._entries.append(entry)
        reach = len(entry.word.letters) - 1
        self._top, self._start = min(self._top, entry.row), min(self._start, entry.column)
        self._bottom = max(self._bottom, entry.row + reach * entry.down)
        self._end = max(self._end, entry.column + reach * (not entry.down))
        for cell, letter in zip(entry.cells(), entry.word.letters, strict=True):
            if cell not in self._cells:
                self._cells[cell] = letter
                self._by_letter.setdefault(letter, []).append(cell)
            self._used.setdefault(cell, set()).add(entry.down)


def runs_in(letters: Mapping[Cell, str]) -> list[tuple[str, ...]]:
    """Every run of two or more letters, across and down: for whoever wants to see that each is a word."""
    found = []
    for down_row, along_column in ((0, 1), (1, 0)):
        for row, column in sorted(letters):
            if (row - down_row, column - along_column) in letters:
                continue
            run = []
            while (row, column) in letters:
                run.append(letters[row, column])
                row, column = row + down_row, column + along_column
            if len(run) > 1:
                found.append(tuple(run))
    return found
