"""What is said, in other languages than English: a catalogue for each, from the code of a message to its sentence.

English comes with the code. German has every code; the others what is sent to students. The pages of teachers read the
same catalogues. That none is missing, left over, or wants other parameters is for tests/contracts/test_messages.py.
"""

import json
from collections.abc import Mapping
from functools import cache
from pathlib import Path

from lantern.core.languages import LANGUAGES
from lantern.core.messages import Message


def catalogue(language: str) -> Mapping[str, str]:
    """Empty for a language that has none: a set can be in any."""
    return _read(language) if language in LANGUAGES else {}


@cache
def _read(language: str) -> Mapping[str, str]:
    place = Path(__file__).with_name(f"{language}.json")
    found: dict[str, str] = json.loads(place.read_text("utf-8")) if place.exists() else {}
    return found


def in_language(message: Message, language: str) -> str:
    """In English where the language has no words for it."""
    sentence = catalogue(language).get(message.code)
    if sentence is None:
        return message.sentence
    given = message.params.items()
    return sentence.format(
        **{name: in_language(value, language) if isinstance(value, Message) else value for name, value in given}
    )
