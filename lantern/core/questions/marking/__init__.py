"""How answers are marked: every rule of docs/kinds.md about comparing, in one place.

`Rules` go with an item as it is run: the version of the rules that it is marked by, and the words of its set.
Each module says which sentences of docs/kinds.md it keeps.
"""

from dataclasses import dataclass

FIRST, LATEST = 1, 2
"""The rules of the first sessions, and those of today.

1  capitals and punctuation forgiven as plain characters; typos without regard to words; numbers as floats, read with
   comma and point alike; equal lines told apart; the points of an early answer by the time that was left just then.
2  docs/kinds.md as it stands.
"""


@dataclass(frozen=True, slots=True)
class Rules:
    """`words` are the words that the set uses as answers or options, in small letters."""

    version: int = LATEST
    words: frozenset[str] = frozenset()
