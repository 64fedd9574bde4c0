"""Letters and numbers that name options and questions, in the scripts that people write them in."""

import re

SERIES = (
    "ABCDEFGHIJKL",
    "ΑΒΓΔΕΖΗΘΙΚΛΜ",
    "АБВГДЕЖЗИКЛМ",
    "אבגדהוזחטיכל",
    "アイウエオカキクケコサシ",
    "甲乙丙丁戊己庚辛壬癸",
)
"""The letters of each script in the order in which options take them."""
_ARABIC = "أبجدهوزحطيكل"
_UKRAINIAN = "АБВГҐДЕЄЖЗИІ"
_ALIKE = {"ا": "أ", "إ": "أ", "هـ": "ه", "ة": "ه", "С": "С"}
ROMAN = ("i", "ii", "iii", "iv", "v", "vi", "vii", "viii", "ix", "x", "xi", "xii", "xiii", "xiv", "xv")
MOST = 12

_ONE = "A-La-lΑ-Μα-μА-Ма-мҐґЄєІіא-ל" + _ARABIC + "اإ" + "甲乙丙丁戊己庚辛壬癸"
LETTER = rf"(?:[{_ONE}]|هـ|[アイウエオカキクケコサシ])"


def index_of(label: str) -> int | None:
    """The place that a letter names, from 0; None for what is no letter of any series."""
    sign = _ALIKE.get(label, label).upper()
    for series in (*SERIES, _ARABIC):
        if sign in series and len(sign) == 1:
            return series.index(sign)
    return _UKRAINIAN.index(sign) if len(sign) == 1 and sign in _UKRAINIAN else None


def number_of(text: str) -> int | None:
    """A number in any digits, or in Roman ones."""
    text = text.strip()
    if re.fullmatch(r"\d{1,3}", text):
        return int(text)
    roman = text.casefold()
    return ROMAN.index(roman) + 1 if roman in ROMAN else None


def same_script(first: str, second: str) -> bool:
    """Whether two letters are of one series: a Cyrillic В is no Latin B."""
    first, second = (_ALIKE.get(one, one).upper() for one in (first, second))
    return any(first in series and second in series for series in (*SERIES, _ARABIC, _UKRAINIAN))
