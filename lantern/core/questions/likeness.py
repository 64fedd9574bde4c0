"""Which of many short texts say nearly the same (docs/manners.md, B1 to B4).

Two are alike when words that both have make up four fifths of what they are made of. Words are compared without
capitals, accents and punctuation; longer ones may differ by a slip (rapidfuzz's ratio, 0..100). A longer word weighs
more, so that "the" and "was" make nothing alike.
"""

import re
import unicodedata
from collections import Counter
from collections.abc import Mapping

from rapidfuzz import fuzz, process

ALIKE = 80
"""The share, in percent, of their words' weight that two texts have in common from here on."""
SLIP = 80
"""The likeness of two words that count as one."""
SHORT = 3
"""Words of so few letters have to be the same."""
MOST_GROUPED = 500
_WORD = re.compile(r"\w+(?:'\w+)*")


def alike(one: str, other: str) -> bool:
    words = _Words()
    return words.of(one).share(words.of(other)) >= ALIKE


def groups_of(texts: Mapping[str, str]) -> tuple[tuple[str, ...], ...]:
    """Keys of texts that are alike, each group's first text the one that the others are like; only groups of several.

    The first MOST_GROUPED texts are looked at, in their order.
    """
    words = _Words()
    heads: dict[str, _Made] = {}
    found: dict[str, list[str]] = {}
    for key, text in list(texts.items())[:MOST_GROUPED]:
        own = words.of(text)
        shares = ((head, theirs.share(own)) for head, theirs in heads.items())
        head, share = max(shares, key=lambda pair: pair[1], default=("", 0.0))
        if share >= ALIKE:
            found[head].append(key)
        else:
            heads[key], found[key] = own, [key]
    return tuple(tuple(group) for group in found.values() if len(group) > 1)


class _Made:
    """What a text is made of: its words, each with its weight times how often it stands there."""

    __slots__ = ("_weights", "_whole")

    def __init__(self, words: Counter[str]) -> None:
        self._weights = {word: (len(word) - 1 if len(word) > SHORT else 1) * n for word, n in words.items()}
        self._whole = sum(self._weights.values())

    def share(self, other: "_Made") -> float:
        """Twice what both have, of all that they have (Dice), in percent; 0 where it cannot come to ALIKE."""
        whole = self._whole + other._whole
        if 200 * min(self._whole, other._whole) < ALIKE * whole:
            return 0.0
        theirs = other._weights
        common = sum(min(weight, theirs[word]) for word, weight in self._weights.items() if word in theirs)
        return 200 * common / whole


class _Words:
    """Words as they are compared: one that is a slip of another met before counts as that."""

    def __init__(self) -> None:
        self._known: dict[str, str] = {}
        self._met: list[str] = []

    def of(self, text: str) -> _Made:
        return _Made(Counter(self._as_met(word) for word in _WORD.findall(_bare(text)) or [_bare(text)]))

    def _as_met(self, word: str) -> str:
        if len(word) <= SHORT:
            return word
        if word not in self._known:
            near = process.extractOne(word, self._met, scorer=fuzz.ratio, score_cutoff=SLIP)
            self._known[word] = near[0] if near else word
            self._met += [] if near else [word]
        return self._known[word]


def _bare(text: str) -> str:
    """Without capitals and accents, and with one sort of apostrophe."""
    letters = unicodedata.normalize("NFKD", text.casefold().replace("’", "'"))
    return "".join(letter for letter in letters if not unicodedata.combining(letter)).strip()
