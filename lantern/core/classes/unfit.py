"""Names that are unfit for a class (docs/classes.md, N1 to N6).

A word is looked for as it is read, not as it is spelt: without case, accents and marks, through letters that look
alike, figures that stand for letters, letters with something between them or left out, and letters that are repeated.
What is in the middle of another word is let through, unless nobody is called so: people are called Dickinson, and come
from Scunthorpe.
"""

import re
import unicodedata
from collections.abc import Collection, Iterable, Iterator
from dataclasses import dataclass
from functools import cache
from itertools import groupby, islice, product
from pathlib import Path

LISTED = Path(__file__).with_name("unfit_words.txt")
_READ_AS = {
    "0": "o", "1": "il", "3": "e", "4": "a", "5": "s", "6": "g", "7": "t", "8": "b", "9": "g",
    "@": "a", "$": "s", "!": "i", "|": "i", "€": "e", "£": "l", "+": "t", "(": "c", "¡": "i",
}  # fmt: skip
_LOOKS_LIKE = str.maketrans(
    "аеорсухівкмнтзιοαρντκχυµßſıøłđþ",
    "aeopcyxibkmhteioapvtkxuussioldp",
)
"""Letters of other scripts, and rare ones, as the Latin letter that they are taken for."""
_LIKE_CYRILLIC = str.maketrans("aeopcyxibkmht", "аеорсухівкмнт")
MOST_READINGS = 64
SHORT, SHORTEST_WORD = 3, 4
"""Pieces of so many letters may be one word that was taken apart; initials are no words."""


@dataclass(frozen=True)
class Unfit:
    """Words by where they are looked for: by themselves, or inside others, too; and several that follow each other."""

    alone: frozenset[str]
    inside: tuple[str, ...]
    sayings: tuple[str, ...]


def unfit_words(listed: Iterable[str], without: Collection[str] = ()) -> Unfit:
    """Words as the list writes them; `without` are those that a school does not want in it."""
    let_through = {_spelt(word) for word in without}
    lines = [line.strip() for line in listed if not line.startswith("#")]
    listed = [line for line in lines if _spelt(line) and _spelt(line) not in let_through]
    return Unfit(
        alone=frozenset(_spelt(line) for line in listed if not line.startswith("*")),
        inside=tuple(_spelt(line) for line in listed if line.startswith("*")),
        sayings=tuple(f" {_folded(line)} " for line in listed if " " in line),
    )


def _spelt(word: str) -> str:
    return "".join(char for char in _folded(word) if char.isalnum())


@cache
def usual_lines() -> tuple[str, ...]:
    """The list that ships."""
    return tuple(LISTED.read_text("utf-8").splitlines())


@cache
def usual_words() -> Unfit:
    return unfit_words(usual_lines())


def is_unfit(name: str, words: Unfit | None = None) -> bool:
    """Whether one of the words can be read in the name."""
    words = words or usual_words()
    return any(_holds(parts, words) for parts in _readings(name)) or _has_gaps(_folded(name), words)


def _has_gaps(text: str, words: Unfit) -> bool:
    """Whether a star stands for a letter of a word, as in "b*d"."""
    spelt = [re.escape(part).replace(r"\*", r"\w") for part in text.split() if "*" in part.strip("*")]
    return any(re.fullmatch(part, word) for part in spelt for word in (*words.alone, *words.inside))


def _holds(parts: list[str], words: Unfit) -> bool:
    if any(part in words.alone or any(word in part for word in words.inside) for part in parts):
        return True
    said = f" {' '.join(parts)} "
    if any(saying in said for saying in words.sayings):
        return True
    whole = "".join(parts)
    if len(parts) > 1 and len(whole) >= SHORTEST_WORD and (whole in words.alone or whole in words.inside):
        return min(map(len, parts)) <= SHORT
    return any(piece in words.alone or any(word in piece for word in words.inside) for piece in _put_together(parts))


def _put_together(parts: list[str]) -> Iterator[str]:
    """Letters that stand alone one after another, as in "b a d", as one word."""
    for is_short, run in groupby(parts, key=lambda part: len(part) < SHORT):
        piece = "".join(run)
        if is_short and len(piece) >= SHORTEST_WORD:
            yield piece


def _readings(name: str) -> Iterator[list[str]]:
    """The parts of a name in each way that they may be read."""
    folded = _folded(name)
    for text in dict.fromkeys((folded, folded.translate(_LOOKS_LIKE))):
        for read in dict.fromkeys(_as_letters(text)):
            parts = [part for part in re.split(r"[\W_]+", read) if part]
            yield parts
            if not read.isascii():
                yield [part.translate(_LIKE_CYRILLIC) for part in parts]
            yield [part.strip("0123456789") for part in parts]
            for most in (1, 2):
                yield [_unrepeated(part, most) for part in parts]


def _as_letters(text: str) -> Iterator[str]:
    """Figures and marks as the letters they may stand for."""
    yield text
    ways = [_READ_AS.get(char, char) for char in text]
    yield from islice(("".join(read) for read in product(*ways)), MOST_READINGS)


def _unrepeated(part: str, most: int) -> str:
    """With no letter more than `most` times in a row."""
    return "".join(char * min(most, len(list(run))) for char, run in groupby(part))


def _folded(text: str) -> str:
    plain = unicodedata.normalize("NFKD", text.casefold())
    return "".join(c for c in plain if not unicodedata.combining(c) and unicodedata.category(c) != "Cf")


@cache
def words_to_avoid() -> frozenset[str]:
    """Every word of the list that ships, as it is spelt: for what is made of letters at random."""
    words = usual_words()
    listed = {*words.alone, *(word.lstrip("*") for word in words.inside)}
    return frozenset(spelt for word in listed if len(spelt := _spelt(word)) >= SHORT)
