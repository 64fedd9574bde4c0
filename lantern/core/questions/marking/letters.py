"""How letters are made alike before two texts are compared: always, by language, and where accents are forgiven.

Unicode's own tables do the work; what stands here is what they leave open, each line for one reason.
"""

import re
import unicodedata
from functools import lru_cache

_APOSTROPHES = "’‘‛ʼʹʻʽ′`´׳＇"
_QUOTES = "“”„‟«»‹›″״＂〝〞"
_DASHES = "‐‑‒–—―−⁃˗﹣－"
_ALIKE = str.maketrans(
    {**dict.fromkeys(_APOSTROPHES, "'"), **dict.fromkeys(_QUOTES, '"'), **dict.fromkeys(_DASHES, "-")}
)
_HIGH = str.maketrans("⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁺ⁿ", "0123456789-+n")
_HIGH_RUN = re.compile("[⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁺ⁿ]+")
_SPACES = re.compile(r"\s+")
_UNSEEN = re.compile("[\ufe00-\ufe0f\u0640]")
"""Variation selectors, and the stroke that only makes an Arabic word longer."""

_LIGATURES = {"œ": "oe", "Œ": "Oe"}
_ASH = {"æ": "ae", "Æ": "Ae"}
_ASH_IS_A_LETTER = ("da", "nb", "nn", "no", "is", "fo")
_KEYBOARDS = {
    "ro": str.maketrans("şţŞŢ", "șțȘȚ"),
    "ar": str.maketrans("یک", "يك"),
    "fa": str.maketrans("يك", "یک"),
    "ur": str.maketrans("يك", "یک"),
}
"""Letters that one keyboard has and another of the same language has not."""

_DOTTED = ("tr", "az", "kk", "crh", "tt")
"""Languages that tell i from ı: their capitals are İ and I."""

_BARE = str.maketrans({"ø": "o", "Ø": "O", "ł": "l", "Ł": "L", "đ": "d", "Đ": "D", "ħ": "h", "Ħ": "H", "ı": "i"})
_WRITTEN_OUT = {
    "de": {"ä": "ae", "ö": "oe", "ü": "ue", "Ä": "Ae", "Ö": "Oe", "Ü": "Ue"},
    "da": {"æ": "ae", "ø": "oe", "å": "aa", "Æ": "Ae", "Ø": "Oe", "Å": "Aa"},
}
_WRITTEN_OUT |= dict.fromkeys(("nb", "nn", "no"), _WRITTEN_OUT["da"])
"""How a language writes its letters where a keyboard lacks them."""

_VOWEL_MARKS = re.compile("[\u064b-\u0652\u0670]")
_ACCENTED = ("LATIN", "GREEK", "CYRILLIC")
_OTHER_LETTERS = "йЙїЇў"
"""Cyrillic letters that Unicode takes apart, though nobody who writes them does."""


def first_part(language: str) -> str:
    """The language of a BCP 47 tag, without its region."""
    return language.split("-")[0].lower()


def powers_written_out(text: str) -> str:
    """High figures behind a ^, where Unicode's compatible form would take 10³ for 103."""
    return _HIGH_RUN.sub(lambda high: "^" + high[0].translate(_HIGH), text)


@lru_cache(maxsize=16384)
def made_alike(text: str, language: str) -> str:
    """The text without what no reader would call a difference (T2): the ground on which everything is compared."""
    text = powers_written_out(text.translate(_ALIKE))
    text = unicodedata.normalize("NFKC", text).translate(_ALIKE).replace("⁄", "/")
    text = "".join(c for c in _UNSEEN.sub("", text) if unicodedata.category(c) != "Cf")
    language = first_part(language)
    for pair, two in (_LIGATURES | ({} if language in _ASH_IS_A_LETTER else _ASH)).items():
        text = _in_its_case(text, pair, two)
    text = text.translate(_KEYBOARDS.get(language, {}))
    return _SPACES.sub(" ", text).strip()


def lowered(text: str, language: str) -> frozenset[str]:
    """The text in small letters, in each way that capitals may be meant: as its language has them, or as most do."""
    return frozenset({in_small_letters(text, language), _small(text)})


def in_small_letters(text: str, language: str) -> str:
    """The text in small letters, as its language has them (T3)."""
    return _small(text.replace("I", "ı").replace("İ", "i") if first_part(language) in _DOTTED else text)


def bare_in_capitals(language: str) -> bool:
    """Whether the language leaves the accents off a word that stands in capitals."""
    return first_part(language) == "el"


def _small(text: str) -> str:
    return unicodedata.normalize("NFC", text.lower().replace("i\u0307", "i").replace("ς", "σ"))


def without_accents(text: str) -> str:
    """ö as o, é as e, ё as е, ß as ss; marks that make another letter stay, and so do letters that merely look alike.

    Latin, Greek and Cyrillic letters lose their accents, Arabic ones their vowel marks (T4).
    """
    return _accents_off(text).replace("ß", "ss").replace("ẞ", "SS")


def unaccented(text: str, language: str, *, heard: bool = False) -> frozenset[str]:
    """The text without accents, and as its language writes it out where a keyboard lacks them.

    What was heard in a dictation keeps its ß: there spelling is the point (D2).
    """
    bare = _accents_off if heard else without_accents
    written_out = text
    for letter, two in _WRITTEN_OUT.get(first_part(language), {}).items():
        written_out = _in_its_case(written_out, letter, two)
    return frozenset({bare(text), bare(written_out)})


def _accents_off(text: str) -> str:
    text = _VOWEL_MARKS.sub("", text.translate(_BARE))
    for letter, two in _ASH.items():
        text = _in_its_case(text, letter, two)
    return "".join(c if c in _OTHER_LETTERS else _bare(c) for c in unicodedata.normalize("NFC", text))


def _bare(character: str) -> str:
    parts = unicodedata.normalize("NFD", character)
    if len(parts) > 1 and unicodedata.name(parts[0], "").startswith(_ACCENTED):
        return parts[0]
    return "" if "\u0300" <= character <= "\u036f" else character  # an accent behind a letter that has no form with it


def _in_its_case(text: str, letter: str, two: str) -> str:
    """The letter as two: as OE where the one behind it is a capital too."""
    if letter not in text:
        return text
    if letter.islower():
        return text.replace(letter, two)
    whole = text.isupper() and len(text) > 1
    return text.replace(letter, two.upper() if whole else two)
