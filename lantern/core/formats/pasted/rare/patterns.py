"""What several steps look for."""

import re

from lantern.core.formats.pasted.labels import LETTER

_PICTURE = (
    r"[\u2b50\U0001f300-\U0001faff\u2600-\u2604\u2614\u2615\u2693\u26a0\u26a1\u26bd\u26c4\u26c5\u26f0-\u26fd\u2708"
    r"\u270f\u2728\u2744\u2753-\u2755\u27a1\u25b6]\ufe0f?\s*"
)
PICTURES = re.compile(rf"^(\s*)(?:{_PICTURE})+(?=\S)|(?<=[\d.:?!])\s+(?:{_PICTURE})+$")
ONLY_PICTURES = re.compile(rf"^\s*(?:{_PICTURE})+$")
LETTERED = re.compile(rf"^\s*\(?{LETTER}[.):]\s*\S")
MOST_LETTERS, LONGEST_CLUE, LONGEST_ROW = 12, 200, 60
FEWEST_EITHER, FEWEST_LETTERS = 2, 3


def place_of_letter(letter: str) -> int:
    return ord(letter.lower()) - ord("a")
