"""Answers that are typed: a number where it is one, else a text, with all that is accepted."""

import re
from functools import cache

from lantern.core.formats.pasted.dates import is_date
from lantern.core.formats.pasted.made import ASKS, Fields, Made
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.sayings import words
from lantern.core.questions.companions import NewId
from lantern.core.questions.marking.numbers import number_and_unit

_MORE_OR_LESS = re.compile(
    r"^(?P<value>[^±+]+?)\s*[(\[]?\s*(?:±|\+\s?/\s?[-−–])\s*(?P<off>[\d.,]+\s*[^\s()\[\]]{0,8})\s*[)\]]?$"
)
_BETWEEN = re.compile(
    rf"^(?:{words('between')})\s+(?P<low>[-−\d.,]+(?:\s?[^\s\d]{{1,8}})?)\s+(?:{words('both')})\s+(?P<high>[-−\d.,]+(?:\s?\S{{1,8}})?)[.]?$",
    re.I,
)
YES_AND_NO = {
    "en": ("yes", "no"), "de": ("ja", "nein"), "fr": ("oui", "non"), "es": ("sí", "no"), "it": ("sì", "no"),
    "pt": ("sim", "não"), "nl": ("ja", "nee"), "sv": ("ja", "nej"), "pl": ("tak", "nie"), "tr": ("evet", "hayır"),
    "el": ("ναι", "όχι"), "ru": ("да", "нет"), "uk": ("так", "ні"), "ar": ("نعم", "لا"), "ja": ("はい", "いいえ"),
    "zh": ("是", "否"),
}  # fmt: skip
_OWN = re.compile(rf"^\W*(?:{words('own')})(?!\w)\W*(?P<model>.*)$", re.I | re.S)


def entry_made(prompt: str, parts: Parts, language: str) -> Made:
    answer = parts.answer or ""
    own = _OWN.match(answer)
    if own:
        return Made({"kind": "open_response", "prompt": prompt, "scored": False}, why=own["model"].strip())
    return Made(entry_fields(prompt, answer, language))


def yes_or_no(prompt: str, answer: str, new_id: NewId, language: str) -> Made | None:
    """A question that is answered by yes or no has both as its options."""
    said_word = answer.strip().strip("*_ .!").casefold()
    both = [pair for pair in YES_AND_NO.values() if said_word in pair]
    if not both or not prompt.rstrip("*_ ").endswith(ASKS[:3]):
        return None
    pair = YES_AND_NO.get(language, both[0])
    pair = pair if pair in both else both[0]
    options = [{"id": new_id(), "text": word.capitalize(), "right": word == said_word} for word in pair]
    return Made({"kind": "choice", "form": "one", "prompt": prompt, "options": options})


@cache
def _between_spellings(language: str) -> "re.Pattern[str]":
    either = words("either", language or "en")
    return re.compile(rf"\s+[/|]\s+|\s*[;|]\s*|\s+{either}\s+|(?<=[^\W\d])/(?=[^\W\d])", re.I)


def _spread(answer: str, language: str) -> Fields | None:
    """ "38 (± 2) m", "12 ± 5 %", "between 5.5 and 6.5 m"."""
    found = _MORE_OR_LESS.match(answer.strip())
    value = number_and_unit(found["value"], language) if found else None
    off = number_and_unit(found["off"], language) if found else None
    if found and value and off and _is_unit(value[1]) and _is_unit(off[1]):
        in_percent = off[1] == "%" != value[1]
        return {
            "value": value[0],
            "tolerance": off[0],
            "accepts": "percent" if in_percent else "absolute",
            "unit": value[1] or ("" if in_percent else off[1]),
        }
    found = _BETWEEN.match(answer.strip())
    low = number_and_unit(found["low"], language) if found else None
    high = number_and_unit(found["high"], language) if found else None
    if found and low and high and low[0] < high[0] and _is_unit(high[1]) and low[1] in {"", high[1]}:
        return {"accepts": "range", "low": low[0], "high": high[0], "unit": high[1]}
    return None


_OF_TWO_WORDS = re.compile(
    r"(?:nautical|square|cubic|degrees?|grad|degrés?|grados|gradi)\s[^\W\d_]+"
    r"|[^\W\d_]+\s(?:per|an?|pro|par|por|je|al)\s[^\W\d_]+",
    re.I,
)
"""Nautical miles, degrees Celsius, metres per second."""
LONGEST_UNIT = 20


def _is_unit(behind: str) -> bool:
    if _OF_TWO_WORDS.fullmatch(behind) and len(behind) <= LONGEST_UNIT:
        return True
    return re.fullmatch(r"(?:(?:[^\W\d_]|[%‰°€$£¥′″])\S{0,7})?", behind) is not None


def entry_fields(prompt: str, answer: str, language: str) -> Fields:
    """A number is asked for as a number, with what it may be off by; all else as a text; "or" and "/" part what is
    accepted."""
    spread = _spread(answer, language)
    if spread is not None:
        return {"kind": "numeric_entry", "prompt": prompt, **spread}
    number = None if is_date(answer) else number_and_unit(answer, language)
    money = re.match(r"^\s*([$€£¥₴])\s*(?=[\d.,-])", answer)
    if number is not None and money and not number[1]:
        number = (number[0], money[1])
    if number is not None and _is_unit(number[1]):
        return {"kind": "numeric_entry", "prompt": prompt, "value": number[0], "unit": number[1]}
    accepts = [part.strip() for part in _between_spellings(language).split(answer) if part and part.strip()]
    return {"kind": "text_entry", "prompt": prompt, "accepts": tuple(accepts[:40])}
