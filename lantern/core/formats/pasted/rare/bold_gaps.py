"""Sentences to be filled in that have their words, in bold, where the gaps will be."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.gaps import BRACKETED, GAP
from lantern.core.formats.sayings import words

_BOLD = re.compile(r"\*\*(?=\S)([^*]{1,40}?)(?<=\S)\*\*")
_SAYS_SO = re.compile(
    rf"(?<!\w)(?:{words('closed_kind')})(?!\w).*|\b(?:in bold|bold(?:ed)? words?|fett(?:gedruckt)?|en gras|en negrita"
    r"|grassetto|negrito)\b",
    re.I,
)
"""A line above them that says what the bold words are."""
FEWEST, LONGEST_HEADING = 2, 100


def with_gaps_for_bold(lines: list[str]) -> list[str]:
    counted = {at: found for at, line in enumerate(lines) if (found := line_of.question_number(line))}
    inside = {at: len(_BOLD.findall(found[2])) for at, found in counted.items()}
    first = min(counted, default=0)
    above = [line for line in lines[:first] if line.strip() and len(line) <= LONGEST_HEADING]
    is_said = any(map(_SAYS_SO.search, above))
    is_sentence = all(
        found[2].rstrip().endswith((".", "!", "。")) and not GAP.search(found[2]) and not BRACKETED.search(found[2])
        for found in counted.values()
    )
    if len(counted) < FEWEST or not is_said or not is_sentence or set(inside.values()) != {1}:
        return lines
    return [_BOLD.sub(r"[\1]", line) if at in counted else line for at, line in enumerate(lines)]
