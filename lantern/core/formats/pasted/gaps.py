"""Gaps in a text, and what belongs into them."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.made import Fields, Made
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.words import (
    BRACKETS_AS_GAPS,
    FILL_GAP,
)
from lantern.core.formats.sayings import words
from lantern.core.messages import said
from lantern.core.questions.kinds.gap_fill import FILL_GAPS
from lantern.core.words import in_language

GAP = re.compile(r"_{2,}|\.{5,}|…{2,}")
_NUMBER_BEHIND = re.compile(r"(?:_{2,}|\.{5,}|…{2,})\s*\((\d{1,2})\)")
BRACKETED = re.compile(r"[\[{]([^\[\]{}]{1,80})[\]}]")
ROUND = re.compile(r"\(([^()\d]{1,30})\)(?=\s*[.!]?\s*$|\s+\w)")
_IN_BRACKETS = re.compile(r"[(\[]([^()\[\]]{3,120})[)\]]")
_SLASH = re.compile(r"\s*[/|]\s*")
FEWEST_TO_CHOOSE, FEWEST_BY_COMMAS = 2, 3
FILLED = re.compile(r"_{3,}([^\W_](?:[^_\n]{0,40}[^\W_])?)_{3,}")
"""A gap with its word in it: "___tanker___"."""
AFTER_DOTS = re.compile(r"\s*(?:\.{3,}|…)\s*\(([^()\d]{1,30})\)")


def gap_fields(prompt: str, parts: Parts, gaps: int, language: str) -> Made:
    answer = parts.answer or ""
    numbered = re.split(r"\s*\(?\b\d{1,2}\s*[.):]\s*", answer) if gaps > 1 else []
    cells = [part for part in numbered if part.strip(" ,;")]
    if len(cells) != gaps:
        cells = [part for part in re.split(r"\s*[;,]\s*|\s+[/|–-]\s+", answer) if part.strip()] if gaps > 1 else []
    if (
        gaps > 1
        and len(cells) != gaps
        and len(both := re.split(rf"\s*[;,]\s*|\s+{words('both', language or 'en')}\s+", answer, flags=re.I)) == gaps
    ):
        cells = both
    given = [line_of.unmarked(cell.strip(" ,;")) for cell in cells] or ([line_of.unmarked(answer)] if answer else [])
    if len(given) != gaps:
        how = said("how_gaps", "Add a line “Answer: …” with a word for each gap, commas between them.")
        if not given:
            return Made(None, [said("gap_words_missing", "What belongs into the gap is missing. {how}", how=how)])
        counted = "The gaps are {gaps}, and the words for them {words}. {how}"
        return Made(None, [said("gap_words_counted", counted, gaps=gaps, words=len(given), how=how)])
    numbers = [int(number) for number in _NUMBER_BEHIND.findall(prompt)]
    if numbers == list(range(1, gaps + 1)):
        prompt = _NUMBER_BEHIND.sub(lambda found: found[0][: found.start(1) - found.start() - 1].rstrip(), prompt)
    left = iter(given)
    text = GAP.sub(lambda _: f"[{'|'.join(_spellings(next(left)))}]", prompt)
    fields: Fields = {
        "kind": "gap_fill",
        "prompt": in_language(FILL_GAP if gaps == 1 else FILL_GAPS, language),
        "text": text,
    }
    if parts.bank and {word.casefold() for word in given} <= {word.casefold() for word in parts.bank}:
        used = {word.casefold() for word in given}
        fields |= {"way": "bank", "extra": tuple(word for word in parts.bank if word.casefold() not in used)[:30]}
    return Made(fields)


def bracketed(prompt: str, language: str) -> Made:
    """What stands in square brackets belongs into gaps. A number alone may be something else, and so may a text of
    many lines; of "[is/are]" nobody can tell whether both are right."""
    inside = BRACKETED.findall(prompt)
    text = BRACKETED.sub(lambda found: f"[{found[1].replace('/', '|')}]", prompt)
    asks = in_language(FILL_GAP if len(inside) == 1 else FILL_GAPS, language)
    several = next((one for one in inside if "/" in one or "|" in one), "")
    sentences = (
        [said("all_in_gap_right", "In the gap “{words}” all of them count as right.", words=several[:60])]
        if several
        else []
    )
    if all(one.isdigit() for one in inside) or prompt.count("\n") > 1:
        sentences.append(BRACKETS_AS_GAPS)
    return Made({"kind": "gap_fill", "prompt": asks, "text": text}, sentences, sure=not sentences)


def chosen_in_line(prompt: str, answer: str, language: str) -> Made | None:
    """ "The tide (rises / falls) …" with the right one below, or several with theirs: gaps in which one chooses."""
    groups = [found for found in _IN_BRACKETS.finditer(prompt) if len(_parted(found[1].strip(), answer)) > 1]
    if groups and "," in groups[-1][1] and prompt[: groups[-1].start()].rstrip().endswith(("?", "？", "؟")):
        return None  # they are the options of a question
    whole = answer.strip().rstrip(".")
    said_right = [whole] if len(groups) == 1 else [part for part in re.split(r"\s*[,;]\s*", whole) if part]
    if not groups or len(groups) != len(said_right):
        return None
    text, end = "", 0
    for found, right in zip(groups, said_right, strict=True):
        words_in = [part.strip() for part in _parted(found[1], right) if part.strip()]
        same = [word for word in words_in if word.casefold() == right.casefold()]
        if len(words_in) < FEWEST_TO_CHOOSE or len(same) != 1:
            return None
        choices = "|".join([*same, *(word for word in words_in if word != same[0])])
        text += f"{prompt[end : found.start()]}[{choices}]"
        end = found.end()
    asks = in_language(FILL_GAP if len(groups) == 1 else FILL_GAPS, language)
    return Made({"kind": "gap_fill", "prompt": asks, "text": text + prompt[end:], "way": "chosen"})


def _parted(inside: str, right: str) -> list[str]:
    """What may be chosen: parted by slashes, or by commas where one of them is what is right."""
    parts = _SLASH.split(inside)
    by_commas = re.split(r"\s*,\s*", inside)
    is_one = right.strip().rstrip(".").casefold() in {part.strip().casefold() for part in by_commas}
    return by_commas if len(parts) == 1 and len(by_commas) >= FEWEST_BY_COMMAS and is_one else parts


def numbered_gaps(prompt: str, parts: Parts) -> list[str]:
    """ "The (1) ____ steers, the (2) ____ cooks", and below it "(1) helmsman", "(2) cook": a word for each gap."""
    labels = [option.label for option in parts.options]
    counted = labels == [str(number) for number in range(1, len(labels) + 1)] and len(labels) > 1
    fits = counted and len(GAP.findall(prompt)) == len(labels) and all(f"({label})" in prompt for label in labels)
    said_otherwise = parts.answer is not None or any(option.right for option in parts.options)
    return [option.text for option in parts.options] if fits and not said_otherwise else []


def _spellings(answer: str) -> list[str]:
    return [part.strip() for part in re.split(r"[/|]", answer) if part.strip()] or [answer]
