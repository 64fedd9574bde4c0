"""What is odd about a question among the others of its text: a count that jumps, options, right ones or lines that are
more or fewer than those of all the others. Alone, each of them would be read without a doubt."""

import re
from collections import Counter
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from lantern.core.formats.pasted.asking import Found, Read, unsure
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.fields import TO_WRITE
from lantern.core.formats.pasted.keys import Key
from lantern.core.messages import Message, said
from lantern.core.questions.items import Item
from lantern.core.questions.kinds.choice import ChoiceItem
from lantern.core.questions.kinds.open_response import OpenResponseItem

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
FEWEST_ALIKE = 2
"""Others that have to be alike for one to stand out."""


@dataclass(frozen=True, slots=True)
class _Asked:
    """One question: where it is among what was read (block, entry), and what it is."""

    at: tuple[int, int]
    block: Block
    item: Item


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
    for at, (block, _, found) in enumerate(blocks):
        for place, one in enumerate(found):
            if one.entry.item is not None and not one.entry.out:
                yield _Asked((at, place), block, one.entry.item)


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
    for section, number in key.answers:
        is_there = (section, number) in places or (not section and any(number == other for _, other in places))
        above = places.get((section, number - 1))
        if not is_there and above is not None:
            text = "The key answers a question {number}, which was not found: look whether it is part of this one."
            yield above, said("key_answers_more", text, number=number)


_Doubts = Iterator[tuple[tuple[int, int], Message]]


def _options(asked: list[_Asked]) -> _Doubts:
    """One that has another count of options than all others."""
    counts = {
        one.at: len(one.item.options)
        for one in asked
        if isinstance(one.item, ChoiceItem) and one.item.form != "true_false" and one.item.scored
    }
    usual, times = Counter(counts.values()).most_common(1)[0] if counts else (0, 0)
    if times < FEWEST_ALIKE or len(counts) - times > max(1, times // 4):
        return
    for at, count in counts.items():
        if count != usual:
            other = "It has {count} options, the other questions have {usual}."
            yield at, said("others_options", other, count=count, usual=usual)


def _right_ones(asked: list[_Asked]) -> _Doubts:
    """One of which several options are right, though it does not ask for several."""
    right = {
        one.at: (sum(option.right for option in one.item.options), one.item.prompt)
        for one in asked
        if isinstance(one.item, ChoiceItem)
    }
    many = [at for at, (count, prompt) in right.items() if count > 1 and not _ASKS_SEVERAL.search(prompt)]
    if len(many) == 1 and sum(count == 1 for count, _ in right.values()) >= FEWEST_ALIKE:
        yield many[0], _SEVERAL_RIGHT


def _twice(asked: list[_Asked]) -> _Doubts:
    """Two that ask the same, with the same options."""
    seen: dict[tuple[object, ...], tuple[int, int]] = {}
    for one in asked:
        texts = tuple(option.text for option in one.item.options) if isinstance(one.item, ChoiceItem) else ()
        said_text = getattr(one.item, "text", "")
        same = (one.item.prompt.casefold(), texts, said_text)
        if one.item.kind != "match" and same in seen:
            yield seen[same], _SAME
            yield one.at, _SAME
        seen[same] = one.at


def _lines(asked: list[_Asked]) -> _Doubts:
    """One that asks in several lines, where all others ask in one."""
    long = [one for one in asked if "\n" in one.item.prompt.strip() and "```" not in one.item.prompt]
    if len(long) == 1 and len(asked) > FEWEST_ALIKE and long[0].item.kind != "page":
        yield long[0].at, _LONGER


def _unanswered(asked: list[_Asked]) -> _Doubts:
    """One to which anything may be written, where all others have an answer."""
    free = [one for one in asked if isinstance(one.item, OpenResponseItem)]
    answered = sum(one.item.kind != "page" for one in asked) - len(free)
    if answered >= FEWEST_ALIKE * len(free):
        yield from ((one.at, _UNANSWERED) for one in free if not TO_WRITE.match(one.item.prompt))


_CHECKS: tuple[Callable[[list[_Asked]], _Doubts], ...] = (_options, _right_ones, _lines, _unanswered, _twice)
