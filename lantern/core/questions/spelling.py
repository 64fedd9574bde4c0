"""Comparing what was typed with what is accepted, as strictly as the teacher says.

Always the same: Unicode form (NFKC), white space, typographic variants of quotes and hyphens.
By choice: capitals, accents, leading articles, punctuation, small typos. A typo is one edit (a letter
too many, too few, another, or two swapped: Damerau 1964, Levenshtein 1966) in an answer of five letters
or more, two in one of nine or more.
"""

import re
import unicodedata
from functools import lru_cache

from rapidfuzz.distance import DamerauLevenshtein

from lantern.core.values import Value

ARTICLES = {
    "en": ("the", "a", "an"),
    "de": ("der", "die", "das", "den", "dem", "des", "ein", "eine", "einen", "einem", "einer", "eines"),
    "fr": ("le", "la", "les", "l'", "un", "une", "des", "du"),
    "es": ("el", "la", "los", "las", "lo", "un", "una", "unos", "unas"),
    "it": ("il", "lo", "la", "i", "gli", "le", "l'", "un", "uno", "una", "un'"),
    "pt": ("o", "a", "os", "as", "um", "uma", "uns", "umas"),
    "nl": ("de", "het", "een", "'t"),
    "sv": ("en", "ett", "den", "det", "de"),
    "da": ("en", "et", "den", "det", "de"),
    "nb": ("en", "ei", "et", "den", "det", "de"),
}
_ALIKE = str.maketrans({"’": "'", "‘": "'", "ʼ": "'", "“": '"', "”": '"', "‐": "-", "‑": "-", "–": "-", "−": "-"})
_SPACES = re.compile(r"\s+")
ONE_TYPO_FROM, TWO_TYPOS_FROM = 5, 9


class Strictness(Value):
    """What has to be as it is written. The default forgives capitals, punctuation and nothing else."""

    capitals: bool = False
    accents: bool = True
    articles: bool = True
    punctuation: bool = False
    typos: bool = True


@lru_cache(maxsize=65536)
def folded(text: str, strictness: Strictness, language: str = "") -> str:
    """The text as it is compared. `language` is a BCP 47 tag; its first part chooses the articles."""
    text = _SPACES.sub(" ", unicodedata.normalize("NFKC", text).translate(_ALIKE)).strip()
    if not strictness.capitals:
        text = text.casefold()
    if not strictness.articles:
        text = _without_article(text, language)
    if not strictness.punctuation:
        text = _SPACES.sub(" ", "".join(_spoken(c) for c in text)).strip()
    # An accent that stood alone leaves a space behind.
    return text if strictness.accents else _SPACES.sub(" ", without_accents(text)).strip()


def without_accents(text: str) -> str:
    """ö as o, é as e; letters that merely look alike stay."""
    bare = "".join(c for c in unicodedata.normalize("NFD", text) if unicodedata.category(c) != "Mn")
    return unicodedata.normalize("NFC", bare)


@lru_cache(maxsize=8192)
def is_accepted(text: str, spellings: tuple[str, ...], strictness: Strictness, language: str = "") -> bool:
    """Whether `text` is one of the spellings, or near enough to one."""
    given = folded(text, strictness, language)
    if not given:
        return False
    wanted = [folded(spelling, strictness, language) for spelling in spellings]
    if given in wanted:
        return True
    return not strictness.typos and any(_is_near(given, one) for one in wanted if one)


def _is_near(given: str, wanted: str) -> bool:
    letters = sum(c.isalnum() for c in wanted)
    most = 2 if letters >= TWO_TYPOS_FROM else 1 if letters >= ONE_TYPO_FROM else 0
    return most > 0 and DamerauLevenshtein.distance(given, wanted, score_cutoff=most) <= most


def _without_article(text: str, language: str) -> str:
    for article in ARTICLES.get(language.split("-")[0].lower(), ()):
        lead = article if article.endswith("'") else f"{article} "
        if text.casefold().startswith(lead) and len(text) > len(lead):
            return text[len(lead) :].lstrip()
    return text


def _spoken(character: str) -> str:
    """Punctuation as nothing, a hyphen or an apostrophe between words as a space."""
    if unicodedata.category(character)[0] != "P":
        return character
    return " " if character in "-/_" else ""
