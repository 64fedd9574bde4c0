"""How the questions of a text are numbered, and which numbers in it are none of theirs."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import is_heading, says_what_to_do, section_of
from lantern.core.formats.pasted.keys import Key
from lantern.core.formats.pasted.patterns import ASKS_WITHIN
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

FEWEST_NESTED = 2


def numbering_of(body: list[Line], in_lists: frozenset[int]) -> str | None:
    """How questions are numbered, if they are: the mark behind the first number that is no option's."""
    for at, line in enumerate(body):
        found = line_of.numbered(line)
        if found and (found[1] == "Q" or at not in in_lists):
            return found[1]
    return None


def are_answered(body: list[Line], key: Key) -> bool:
    """Whether all that is counted in the text is one run of numbers, each with its answer in the key."""
    numbers = [found[0] for line in body if (found := line_of.numbered(line))]
    return len(numbers) > 1 and numbers == sorted({number for _, number in key.answers}) == list(
        range(1, len(numbers) + 1)
    )


def places_in_lists(body: list[Line]) -> frozenset[int]:
    """Indices of the numbers below a question that are its options, or lines to be put into order: "Which knot …?",
    then 1), 2), 3)."""
    places = _nested(body)
    at = 0
    while at < len(body):
        found = line_of.question_number(body[at].text)
        run = [found] if found and found[0] == 1 else []
        while run and at + len(run) < len(body):
            following = line_of.question_number(body[at + len(run)].text)
            if not following or following[0] != run[-1][0] + 1 or following[1] != run[-1][1]:
                break
            run.append(following)
        if run and _is_list_below(body, at, run):
            places |= set(range(at, at + len(run)))
        at += max(1, len(run))
    return frozenset(places)


def _nested(body: list[Line]) -> set[int]:
    """Indices of options that are counted as their questions are: "1) The bow is", and below it "1) in front" … Below
    each question stands a 1, and the questions follow each other; no number is left over."""
    counted = [(at, found) for at, line in enumerate(body) if (found := line_of.numbered(line)) and found[1] != "Q"]
    if len({found[1] for _, found in counted}) != 1:
        return set()
    numbers = [found[0] for _, found in counted]
    heads = [at for at, number in enumerate(numbers[1:]) if number == 1]
    asked = [numbers[at] for at in heads]
    if len(heads) < FEWEST_NESTED or asked != list(range(asked[0], asked[0] + len(asked))):
        return set()
    ends = [*heads[1:], len(numbers)]
    runs = [numbers[head + 1 : end] for head, end in zip(heads, ends, strict=True)]
    if heads[0] != 0 or any(run != list(range(1, len(run) + 1)) or len(run) < FEWEST_NESTED for run in runs):
        return set()
    return {at for place, (at, _) in enumerate(counted) if place not in heads}


def _is_list_below(body: list[Line], first: int, run: list[tuple[int, str, str]]) -> bool:
    """Whether a run of numbers from 1 stands below a line that it belongs to."""
    above = next((line for line in reversed(body[max(0, first - 2) : first]) if not line.is_blank), None)
    if above is None or first - body.index(above, max(0, first - 2)) > 2 or above.code:
        return False
    text = re.sub(r"[*_\s]+$", "", above.text)
    ends = text.endswith(("?", ":", "…", "_", "？", "：", "؟")) or line_of.asks_for_order(text)
    behind = body[first + len(run)] if first + len(run) < len(body) else None
    told = behind is not None and line_of.answer(behind.text) is not None and says_what_to_do(text)
    asks = (ends or told) and line_of.option(above) is None
    heads = is_heading(text) or section_of(text.strip("*_# ")) is not None
    asking = sum(ASKS_WITHIN.search(said) is not None for _, _, said in run)
    alone = all(line_of.options_in_one_line(above.saying(said)) for _, _, said in run)
    return asks and not heads and not alone and asking * 2 < len(run) > 1 and not _says_true(run)


def _says_true(run: list[tuple[int, str, str]]) -> bool:
    """Statements that are said to be true or false are questions, not options."""
    tail = rf"[(\[\s–-](?:{words('true')}|{words('false')}|[TF])[)\]]?\W*$"
    return len(run) > 1 and all(re.search(tail, text, re.I) for _, _, text in run)
