"""How hard a text is to read: the Flesch-Kincaid grade level (Kincaid et al. 1975), for English.

    grade = 0.39 words / sentences + 11.8 syllables / words - 15.59

Syllables are counted as groups of vowels, a silent final e left out: near enough for a hint.
"""

import re

FEWEST_WORDS = 25
"""Shorter texts give no level that could be trusted."""

_WORD = re.compile(r"[A-Za-z][A-Za-z'’]*")
_SENTENCE = re.compile(r"[.!?:;]+(?:\s|$)")
_VOWELS = re.compile(r"[aeiouy]+")


def reading_level(text: str) -> float | None:
    """The school year a text is fit for; None for a text too short to tell."""
    words = _WORD.findall(text)
    if len(words) < FEWEST_WORDS:
        return None
    sentences = max(1, len(_SENTENCE.findall(text)))
    syllables = sum(_syllables(word.lower()) for word in words)
    return round(0.39 * len(words) / sentences + 11.8 * syllables / len(words) - 15.59, 1)


def _syllables(word: str) -> int:
    count = len(_VOWELS.findall(word))
    if word.endswith("e") and not word.endswith("le") and count > 1:
        count -= 1
    return max(1, count)
