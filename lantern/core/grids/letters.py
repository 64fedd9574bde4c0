"""What a letter is, in any script, and which words can lie in a grid (docs/games.md, Q1)."""

import unicodedata
from collections.abc import Iterable, Sequence
from typing import NamedTuple

import regex

from lantern.core.messages import Message, said

SHORTEST, LONGEST = 2, 20
LEAST_WORDS, MOST_WORDS = 3, 60
_LETTERS = regex.compile(r"\X")
"""Grapheme clusters (UAX #29): a letter with its marks, a syllable of Devanagari."""
_PARTS = regex.compile(r"[\s\-‐‑–'’ʼ׳.·]+")
"""What stands between the parts of a word, and in no cell."""
_A_LETTER = regex.compile(r"[\p{L}\p{Nd}][\p{M}\p{L}\u200c\u200d]*")


NO_WORD = said("no_grid_word", "no side of it is a word of {least} to {most} letters", least=SHORTEST, most=LONGEST)


class Clued(NamedTuple):
    """Two sides of a pair, and the id of what it stands in: a question and its answer, a term and what it means."""

    id: str
    left: str
    right: str


class Word(NamedTuple):
    """`letters` as they lie in a grid, `parts` how many there are in each part, `text` as it was written."""

    id: str
    letters: tuple[str, ...]
    parts: tuple[int, ...]
    clue: str
    text: str


class Left(NamedTuple):
    """A pair that gives no word, and why."""

    text: str
    why: Message


def letters_of(text: str) -> tuple[str, ...]:
    """Without case: a letter whose capital is several letters stays as it is, as the German ß."""
    return tuple(_capital(letter) for letter in _LETTERS.findall(unicodedata.normalize("NFKC", text)))


def _capital(letter: str) -> str:
    capital = unicodedata.normalize("NFC", letter.upper())
    return capital if len(_LETTERS.findall(capital)) == 1 else letter


def word_of(pair: Clued, text: str, clue: str) -> Word | None:
    """None where it cannot lie in a grid."""
    parts = [letters_of(part) for part in _PARTS.split(text.strip()) if part]
    letters = tuple(letter for part in parts for letter in part)
    fits = SHORTEST <= len(letters) <= LONGEST and all(_A_LETTER.fullmatch(letter) for letter in letters)
    return Word(pair.id, letters, tuple(map(len, parts)), clue.strip(), text.strip()) if fits else None


def words_from(pairs: Iterable[Clued]) -> tuple[list[Word], list[Left]]:
    """Of each pair the side that is one word, else the right one, else the left one; and what gives none."""
    found: dict[tuple[str, ...], Word] = {}
    left: list[Left] = []
    for pair in pairs:
        right, other = word_of(pair, pair.right, pair.left), word_of(pair, pair.left, pair.right)
        words = sorted(filter(None, (right, other)), key=lambda word: len(word.parts))
        if not words or not words[0].clue:
            why = said(
                "no_grid_word", "no side of it is a word of {least} to {most} letters", least=SHORTEST, most=LONGEST
            )
            left.append(Left(pair.right.strip() or pair.left.strip(), why))
        elif words[0].letters in found:
            left.append(Left(words[0].text, said("grid_word_twice", "the same letters stand in it already")))
        elif len(found) >= MOST_WORDS:
            left.append(Left(words[0].text, said("grid_is_full", "there are {most} words already", most=MOST_WORDS)))
        else:
            found[words[0].letters] = words[0]
    return list(found.values()), left


def runs_to_the_left(words: Iterable[Sequence[str]]) -> bool:
    """Whether most letters are of a script that is read from right to left."""
    kinds = [unicodedata.bidirectional(letter[0]) in ("R", "AL") for word in words for letter in word]
    return sum(kinds) * 2 > len(kinds)
