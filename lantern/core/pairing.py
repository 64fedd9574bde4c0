"""What belongs together in a question, by ids alone: what games of pairs are told, and what they say was tried."""

from collections import Counter
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cached_property

Tries = tuple[tuple[str, str], ...]
"""A left part and the right one that it was put to, each; in the order in which that was."""


@dataclass(frozen=True)
class Pairing:
    """`wanted` are pairs of a left and a right part, one for each left one. `alike` says what each part reads like,
    with what it shows in a second line: parts that are alike stand for each other. `once`: a right part is taken by one
    left one, else by any number."""

    wanted: Tries
    right: tuple[str, ...]
    alike: Mapping[str, str]
    once: bool

    def text(self, part: str) -> str:
        return self.alike[part].partition("\n")[0]

    @cached_property
    def left(self) -> tuple[str, ...]:
        return tuple(left for left, _ in self.wanted)

    @cached_property
    def _wanted(self) -> Counter[tuple[str, str]]:
        return Counter(self._read(self.wanted))

    def belong(self, left: str, right: str) -> bool:
        """Whether such parts are a pair."""
        return (self.alike[left], self.alike[right]) in self._wanted

    def fits(self, found: Tries, left: str, right: str) -> bool:
        """Whether this is another pair, with those that were found."""
        read = (self.alike[left], self.alike[right])
        return self._wanted[read] > list(self._read(found)).count(read)

    def first_of(self, tries: Tries) -> Tries:
        """What of these can stand in one answer: a right part that is taken once, by the first that it belongs to, else
        by the first that tried it."""
        if not self.once:
            return tries
        taken, found = set[str](), set[tuple[str, str]]()
        for left, right in sorted(tries, key=lambda pair: not self.belong(*pair)):
            if right not in taken:
                taken.add(right)
                found.add((left, right))
        return tuple(pair for pair in tries if pair in found)

    def _read(self, pairs: Tries) -> Iterable[tuple[str, str]]:
        return ((self.alike[left], self.alike[right]) for left, right in pairs)
