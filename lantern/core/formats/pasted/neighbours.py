"""What is odd about a question among the others of its text: a count that jumps, options, right ones or lines that are
more or fewer than those of all the others. Alone, each of them would be read without a doubt."""

import re
from collections import Counter
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from lantern.core.formats.pasted.asking import Found, Read, unsure
from lantern.core.formats.pasted.fields import TO_WRITE
from lantern.core.formats.pasted.keys import Key
from lantern.core.messages import Message, said
from lantern.core.questions.items import Question

_ASKS_SEVERAL = re.compile(
    r"(?<!\w)(?:two|three|four|all|both|several|more than one|multiple|apply|are|were|zwei|drei|alle|mehrere|sind|deux"
    r"|trois|tou(?:te)?s|plusieurs|sont|dos|tres|tod[ao]s|varias|son|due|tre|tutt[ei]|sono|dois|duas|todas?|são)(?!\w)",
    re.I,
)
_JUMPS = said("numbers_jump", "The numbers of the questions jump here: is one missing, or part of another?")
_UNANSWERED = said("others_answered", "Nothing says what its answer is; of the other questions something does.")
_LONGER = said("others_shorter", "What it asks has more lines than all others: look whether they belong to it.")
_SAME = said("asked_twice", "Another question asks the same: is one of them meant otherwise?")
_SEVERAL_RIGHT = said("others_one_right", "Several options are right; of all other questions one is.")
FEWEST_ALIKE, FEWEST_OF_OPTIONS = 2, 3
"""Others that have to be alike for one to stand out."""


@dataclass(frozen=True, slots=True)
class _Asked:
    """One question: where it is among what was read (block, entry), what it asks, its options with whether they are
    right, and all else that it says. `counts`: how many options it has says something; `is_free`: anything may be
    answered."""

    at: tuple[int, int]
    prompt: str
    options: tuple[tuple[str, bool], ...]
    says: tuple[str, ...]
    counts: bool
    is_free: bool


def beside_others(blocks: list[Read], key: Key) -> list[Read]:
    """The same, with a doubt on each question that stands out, or behind which the key names one that is not there."""
    asked = [*_asked_in(blocks)]
    doubts = [(at, why) for check in _CHECKS for at, why in check(asked)]
    doubts += [((at, 0), _JUMPS) for at in _jumps(blocks)]
    doubts += [((at, 0), why) for at, why in _missing(blocks, key)]
    by_place: dict[tuple[int, int], list[Message]] = {}
    for place, why in doubts:
        by_place.setdefault(place, []).append(why)
    return [
        (block, parts, [_doubted(one, by_place.get((at, place), [])) for place, one in enumerate(found)])
        for at, (block, parts, found) in enumerate(blocks)
    ]


def _doubted(found: Found, reasons: Sequence[Message]) -> Found:
    for why in reasons:
        found = replace(found, entry=unsure(found.entry, why))
    return found


def _asked_in(blocks: list[Read]) -> Iterator[_Asked]:
    for at, (_, _, found) in enumerate(blocks):
        for place, one in enumerate(found):
            item = one.entry.item
            if isinstance(item, Question) and not one.entry.out:
                options = tuple((option.text, option.right) for option in getattr(item, "options", ()))
                parts = (*getattr(item, "pairs", ()), *getattr(item, "lines", ()), *getattr(item, "members", ()))
                says = (
                    getattr(item, "text", ""),
                    *(getattr(part, "left", "") or getattr(part, "text", "") for part in parts),
                )
                counts = item.scored and getattr(item, "form", "") != "true_false"
                is_free = not item.scored and not options and not parts
                yield _Asked((at, place), item.prompt, options, says, counts, is_free)


def _jumps(blocks: list[Read]) -> Iterator[int]:
    """Indices of the numbered blocks before and behind a number that is left out."""
    numbered = [(at, block) for at, (block, _, _) in enumerate(blocks) if block.number is not None]
    for (above, first), (at, second) in pairwise(numbered):
        before, behind = first.number or 0, second.number or 0
        if first.section == second.section and behind not in (before, before + 1, 1):
            yield from (above, at)


def _missing(blocks: list[Read], key: Key) -> Iterator[tuple[int, Message]]:
    """The question above one that the key answers, and that was not found."""
    places = {(block.section, block.number): at for at, (block, _, _) in enumerate(blocks) if block.number is not None}
    numbers = {number for _, number in places}
    for section, number in key.answers:
        is_there = (section, number) in places or (not section and number in numbers)
        above = places.get((section, number - 1))
        if not is_there and above is not None:
            text = "The key answers a question {number}, which was not found: look whether it is part of this one."
            yield above, said("key_answers_more", text, number=number)


_Doubts = Iterator[tuple[tuple[int, int], Message]]


def _options(asked: list[_Asked]) -> _Doubts:
    """One that has another count of options than all others."""
    counts = {one.at: len(one.options) for one in asked if one.options and one.counts}
    usual, times = Counter(counts.values()).most_common(1)[0] if counts else (0, 0)
    if times < FEWEST_OF_OPTIONS or len(counts) - times > max(1, times // 4):
        return
    for at, count in counts.items():
        if count != usual:
            other = "It has {count} options, the other questions have {usual}."
            yield at, said("others_options", other, count=count, usual=usual)


def _right_ones(asked: list[_Asked]) -> _Doubts:
    """One of which several options are right, though it does not ask for several."""
    right = [(one, sum(is_right for _, is_right in one.options)) for one in asked if one.options]
    many = [one.at for one, count in right if count > 1 and not _ASKS_SEVERAL.search(one.prompt)]
    if len(many) == 1 and sum(count == 1 for _, count in right) >= FEWEST_ALIKE:
        yield many[0], _SEVERAL_RIGHT


def _twice(asked: list[_Asked]) -> _Doubts:
    """Two that ask the same, with the same options."""
    seen: dict[tuple[object, ...], tuple[int, int]] = {}
    for one in asked:
        same = (one.prompt.casefold(), one.options, one.says)
        if same in seen:
            yield seen[same], _SAME
            yield one.at, _SAME
        seen[same] = one.at


def _lines(asked: list[_Asked]) -> _Doubts:
    """One that asks in several lines, where all others ask in one."""
    long = [one for one in asked if "\n" in one.prompt.strip() and "`" not in one.prompt]
    if len(long) == 1 and len(asked) > FEWEST_ALIKE:
        yield long[0].at, _LONGER


def _unanswered(asked: list[_Asked]) -> _Doubts:
    """Those to which anything may be written, where most others have an answer."""
    free = [one for one in asked if one.is_free]
    if len(asked) - len(free) >= FEWEST_ALIKE * len(free):
        yield from ((one.at, _UNANSWERED) for one in free if not TO_WRITE.match(one.prompt))


_CHECKS: tuple[Callable[[list[_Asked]], _Doubts], ...] = (_options, _right_ones, _lines, _unanswered, _twice)
