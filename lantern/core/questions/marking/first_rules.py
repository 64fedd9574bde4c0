"""The first rules, as they were: sessions that were marked by them keep their marks (docs/kinds.md, R1).

Nothing here changes any more; it goes when no session is left that was marked by it.
"""

import re
import unicodedata
from functools import lru_cache
from typing import TYPE_CHECKING

from rapidfuzz.distance import DamerauLevenshtein

if TYPE_CHECKING:
    from lantern.core.questions.marking.spelling import Strictness

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


@lru_cache(maxsize=65536)
def folded(text: str, strictness: "Strictness", language: str = "") -> str:
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
def is_accepted(text: str, spellings: tuple[str, ...], strictness: "Strictness", language: str = "") -> bool:
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


# --- numbers ---

_BLANKS = re.compile(r"[\s'’_]+")
_MIXED = re.compile(r"^([+-]?)(?:(\d+) )?(\d+)/(\d+)$")
_POWER = re.compile(r"^(.+?)[*x×·]10\^?([+-]?\d+)$", re.IGNORECASE)
_PLAIN = re.compile(r"^[+-]?(\d+(?:[.,]\d*)*|[.,]\d+)(e[+-]?\d+)?$", re.IGNORECASE)
_GROUPS = re.compile(r"[+-]?\d{1,3}(?:[.,]\d{3})+")
_VULGAR = re.compile(r"(?<=\d)(?=[¼-¾⅐-⅞])")
LONGEST = 60


@lru_cache(maxsize=4096)
def readings(text: str, unit: str = "") -> tuple[float, ...]:
    """Every number that `text` may mean, the likeliest first; none if it is no number.

    Kept, because a class sends the same few texts and each is read when it comes, marked and counted.
    """
    cleaned = _cleaned(text, unit)
    fraction = _MIXED.match(cleaned)
    if fraction:
        sign, whole, top, bottom = fraction.groups()
        if int(bottom) == 0:
            return ()
        amount = int(whole or 0) + int(top) / int(bottom)
        return (-amount if sign == "-" else amount,)
    digits = _BLANKS.sub("", cleaned)
    power = _POWER.match(digits)
    exponent = f"e{power.group(2)}" if power else ""
    forms = _forms(power.group(1) if power else digits)
    return tuple(value for form in forms if (value := _float(form + exponent)) is not None)


def _cleaned(text: str, unit: str) -> str:
    text = _VULGAR.sub(" ", text[:LONGEST])  # 1½ is one and a half, not eleven halves
    text = unicodedata.normalize("NFKC", text).replace("−", "-").replace("⁄", "/").strip()
    unit = unicodedata.normalize("NFKC", unit).strip()
    if unit and text.casefold().endswith(unit.casefold()):
        text = text[: -len(unit)].rstrip()
    text = re.sub(r"\s*/\s*", "/", text)
    return re.sub(r"\s+", " ", text)


def _forms(digits: str) -> list[str]:
    """The text with a point for the decimal sign and nothing for thousands, in each way it can be read."""
    if not _PLAIN.match(digits):
        return []
    mantissa, mark, exponent = re.match(r"([^eE]*)([eE]?)(.*)", digits).groups()  # type: ignore[union-attr]
    tail = mark + exponent
    signs = re.findall(r"[.,]", mantissa)
    if not signs:
        return [mantissa + tail]
    last = signs[-1]
    if len(set(signs)) == 2:  # 1.234,5: the last one is the decimal sign, and stands once
        head, _, decimals = mantissa.rpartition(last)
        whole = re.sub(r"[.,]", "", head)
        return [f"{whole}.{decimals}{tail}"] if last not in head and _GROUPS.fullmatch(head) else []
    as_thousands = _GROUPS.fullmatch(mantissa)
    forms = [] if len(signs) > 1 else [mantissa.replace(last, ".") + tail]
    return [*forms, re.sub(r"[.,]", "", mantissa) + tail] if as_thousands else forms


def _float(text: str) -> float | None:
    try:
        value = float(text)
    except (ValueError, OverflowError):
        return None
    return value if abs(value) < 1e300 else None


# --- words of a cloud ---

_STEMS = re.compile(r"(?<=[a-z])(?:ie|oe)$")
_ENDINGS = re.compile(r"(?<=[a-z]{2})(?:(?<=[sxz])es|(?<=[cs]h)es|(?<![su])s)$")


@lru_cache(maxsize=8192)
def merge_key(word: str, loose: "Strictness") -> str:
    """What two words of a cloud had in common; `loose` forgives accents and, as always then, capitals."""
    text = folded(word, loose)
    bare = _ENDINGS.sub("", text) if len(text) > 3 else text
    return _STEMS.sub(lambda found: found[0][:-1] if found[0] == "oe" else "y", bare) if len(bare) > 4 else bare


# --- points on a picture ---


def in_ellipse(radii: tuple[float, float], away: tuple[float, float], margin: float) -> bool:
    """Whether a point is in an ellipse with radii that are longer by the margin, which is nearly what is meant."""
    reach_x, reach_y = radii[0] + margin, radii[1] + margin
    if reach_x <= 0 or reach_y <= 0:
        return False
    return (away[0] / reach_x) ** 2 + (away[1] / reach_y) ** 2 <= 1 + 1e-9
