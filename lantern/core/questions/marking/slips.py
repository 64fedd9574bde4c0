"""Slips of the finger, and what only looks like one (docs/kinds.md, T11 to T14).

A slip is one edit (a letter too many, too few, another, or two neighbours swapped) in an answer of five letters or
more, two in one of nine or more: Damerau 1964, Levenshtein 1966.
"""

import re
import unicodedata
from collections.abc import Sequence
from dataclasses import dataclass

from rapidfuzz.distance import DamerauLevenshtein

from lantern.core.questions.marking.letters import in_small_letters, unaccented
from lantern.core.questions.marking.words import is_word

ONE_SLIP_FROM, TWO_SLIPS_FROM = 5, 9
SHORTEST_WORD = 4
"""Letters of the shortest word in which one may slip: in "on" and "in" every other letter makes another word."""
_LETTERS = re.compile(r"(?:[^\W\d_]|[\u0300-\u036f])+")
_IN_LETTERS = ("LATIN", "GREEK", "CYRILLIC", "ARABIC", "HEBREW", "ARMENIAN", "GEORGIAN", "DEVANAGARI")
"""Scripts whose letters stand for sounds: in the others one sign is a syllable or a word."""


@dataclass(frozen=True, slots=True)
class Slip:
    """`other_word` is what was written where that is a word of its own, which is no slip."""

    other_word: str = ""


def slip_between(
    given: str, wanted: str, written: Sequence[str], language: str, set_words: frozenset[str]
) -> Slip | None:
    """How `given` slipped from `wanted`; None where they differ in more, or in something else than letters.

    `written` are the words as they were typed, of which `given` may have lost capitals and accents.
    """
    most = _most_slips(wanted)
    if not most or abs(len(given) - len(wanted)) > most or _LETTERS.sub("x", given) != _LETTERS.sub("x", wanted):
        return None
    edits = 0
    for word, meant in zip(given.split(), wanted.split(), strict=True):
        if word == meant:
            continue
        edits += _edits(word, meant, language, most) or most + 1
        if edits > most:
            return None
    return Slip(_other_word(given, wanted, written, language, set_words)) if edits else None


def _most_slips(wanted: str) -> int:
    letters = sum(c.isalpha() for c in wanted)
    return 2 if letters >= TWO_SLIPS_FROM else 1 if letters >= ONE_SLIP_FROM else 0


def _edits(word: str, meant: str, language: str, most: int) -> int | None:
    """Edits between two words, None where it can be no slip: a short word, a formula, or a difference in capitals or
    accents, which their own switches decide."""
    if _letters(meant) < SHORTEST_WORD or not all(_is_sound(c) for c in word + meant):
        return None
    strict = DamerauLevenshtein.distance(word, meant, score_cutoff=most)
    loose = DamerauLevenshtein.distance(_loose(word, language), _loose(meant, language), score_cutoff=most)
    return strict if strict == loose and strict <= most else None


def _other_word(given: str, wanted: str, written: Sequence[str], language: str, set_words: frozenset[str]) -> str:
    """The first changed word that is one of its own, as it stands or as it was typed."""
    for word, meant in zip(given.split(), wanted.split(), strict=True):
        if word == meant:
            continue
        typed = [one for one in written if _loose(one, language) == _loose(word, language)]
        for one in (word, *typed):
            small = in_small_letters(one, language)
            if small in set_words or is_word(small, language):
                return one
    return ""


def _loose(word: str, language: str) -> str:
    return min(in_small_letters(bare, language) for bare in unaccented(word, language))


def _letters(word: str) -> int:
    return sum(c.isalpha() for c in word)


def _is_sound(character: str) -> bool:
    """A letter that stands for a sound, or a mark inside a word of such letters."""
    if character in "'-":
        return True
    name = unicodedata.name(character, "")
    return unicodedata.category(character)[0] in "LM" and name.startswith((*_IN_LETTERS, "COMBINING"))
