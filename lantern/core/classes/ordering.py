"""Names in the order of a language's alphabet, as a class list of that language has them.

Letters with marks stand with those without (in German "Ä" with "A"), except where the language has them as letters of
their own; between names that are otherwise the same the marks decide. Figures in names count as numbers: "Fen 10" comes
after "Fen 9". Source: the collation charts of CLDR, as far as they concern letters of names.
"""

import re
import unicodedata
from collections.abc import Callable, Collection

_OWN_LETTERS = {
    "es": str.maketrans({"ñ": "n\U0010ffff"}),
    "uk": str.maketrans({letter: chr(0xE000 + at) for at, letter in enumerate("абвгґдеєжзиіїйклмнопрстуфхцчшщьюя")}),
}
"""Letters that have a place of their own: ñ behind all that begins with n, those of a whole alphabet in its order."""
_AS_OTHERS = str.maketrans({"ø": "o", "œ": "oe", "æ": "ae", "ł": "l", "đ": "d", "ð": "d", "þ": "th", "ı": "i"})
_SIGNS = str.maketrans({sign: chr(0x20 + at) for at, sign in enumerate(" _-,;:!?.'\"()[]{}@*/\\&#%`^+<=>|~$")})
"""What is no letter comes before all letters, in this order."""
_NUMBERS = re.compile(r"(\d+)")
Key = tuple[tuple[str | int, ...], str, str]


def order_of(language: str) -> Callable[[str], Key]:
    """What names are sorted by."""
    return lambda name: _key(name, language)


def in_order(names: Collection[str], language: str) -> list[str]:
    return sorted(names, key=order_of(language))


def _key(name: str, language: str) -> Key:
    whole = unicodedata.normalize("NFC", name)
    parts = _NUMBERS.split(unicodedata.normalize("NFC", name.casefold()))
    letters = tuple(int(part) if at % 2 else _letters(part, language) for at, part in enumerate(parts))
    return letters, whole.lower(), whole.swapcase()


def _letters(text: str, language: str) -> str:
    text = text.translate(_SIGNS)
    if text.isascii():
        return text
    text = text.translate(_OWN_LETTERS.get(language, {})).translate(_AS_OTHERS)
    return "".join(one for one in unicodedata.normalize("NFD", text) if not unicodedata.combining(one))
