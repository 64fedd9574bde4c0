"""Answers that are typed: a number where it is one, else a text, with all that is accepted."""

import re
from functools import cache

from lantern.core.formats.pasted.made import Fields, Made
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.sayings import words
from lantern.core.questions.marking.numbers import number_and_unit

_OWN = re.compile(rf"^\W*(?:{words('own')})(?!\w)\W*(?P<model>.*)$", re.I | re.S)


def entry_made(prompt: str, parts: Parts, language: str) -> Made:
    answer = parts.answer or ""
    own = _OWN.match(answer)
    if own:
        return Made({"kind": "open_response", "prompt": prompt, "scored": False}, why=own["model"].strip())
    return Made(entry_fields(prompt, answer, language))


@cache
def _between_spellings(language: str) -> "re.Pattern[str]":
    either = words("either", language or "en")
    return re.compile(rf"\s+[/|]\s+|\s*[;|]\s*|\s+{either}\s+|(?<=[^\W\d])/(?=[^\W\d])", re.I)


def entry_fields(prompt: str, answer: str, language: str) -> Fields:
    """A number is asked for as a number, all else as a text; "or" and "/" part what is accepted."""
    number = number_and_unit(answer, language)
    money = re.match(r"^\s*([$€£¥₴])\s*(?=[\d.,-])", answer)
    if number is not None and money and not number[1]:
        number = (number[0], money[1])
    if number is not None and re.fullmatch(r"(?:(?:[^\W\d_]|[%‰°€$£¥′″])\S{0,7})?", number[1]):
        return {"kind": "numeric_entry", "prompt": prompt, "value": number[0], "unit": number[1]}
    accepts = [part.strip() for part in _between_spellings(language).split(answer) if part and part.strip()]
    return {"kind": "text_entry", "prompt": prompt, "accepts": tuple(accepts[:40])}
