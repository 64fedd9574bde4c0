"""Which blocks of a text ask something, and of which that is doubtful."""

import re
from collections import Counter
from dataclasses import dataclass, replace
from itertools import pairwise

from lantern.core.formats.exchange import Entry
from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.choices import FEWEST_IN_ORDER
from lantern.core.formats.pasted.fields import TO_WRITE, answers_itself, is_answered_task, sums
from lantern.core.formats.pasted.headings import is_heading, is_to_fill_in
from lantern.core.formats.pasted.keys import Key
from lantern.core.formats.pasted.made import ASKS
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.statements import WHETHER_TRUE, states
from lantern.core.formats.pasted.words import APART
from lantern.core.formats.sayings import words
from lantern.core.messages import Message, said
from lantern.core.questions.items import Question

_SPEAKS = re.compile(rf"(?<!\w){words('speaks')}(?!\w)", re.I)
_TO_THE_READER = re.compile(r"\b(?:questions?|answers?|tick|choose|you(?:r|rs)?|let me|fragen?|kreuze)\b", re.I)
FEWEST_SENTENCES, SHORTEST_PASSAGE = 2, 80
FEWEST_ANSWERS = 2
FEWEST_PAIRS = 3
_ASKS_SOMETHING = re.compile(r"[?？؟]|_{3,}")
_BRACKET_BEHIND = re.compile(r"^\W*(?:\d+[.)]\s+)?[^()]{1,60}\([^()]{1,40}\)\s*$")
_BETWEEN_HALVES = (";", "\t", "|", "=", " – ", " → ", "::")


@dataclass(frozen=True, slots=True)
class Found:
    """An entry with the line it begins at, and the points that the text gives for it. `is_row`: it was read from a row
    of a table, as those of sheets are."""

    at: int
    entry: Entry
    points: int | None = None
    is_row: bool = False


Read = tuple[Block, "Parts | None", list[Found]]
"""A block, its parts where it was taken apart, and what it is."""


def asks(block: Block, parts: Parts | None) -> bool:
    """Whether a block is a question, well or badly put."""
    if parts is None:
        return True
    prompt = "\n".join(parts.prompt)
    asks = any(line.rstrip("*_ ").endswith(ASKS) for line in parts.prompt)
    asks |= block.number is not None and re.search(r"\([^()\d]{1,30}\)", prompt) is not None
    asks |= block.number is not None and not parts.options and TO_WRITE.match(prompt) is not None
    asks |= any(answers_itself(line) for line in parts.prompt)
    asks |= block.number is not None and not parts.options and is_answered_task(prompt)
    told = parts.answer is not None or any(one.right for one in parts.options)
    shape = (
        bool(re.search(r"_{2,}", prompt)) or states(prompt) or (parts.points is not None and block.number is not None)
    )
    if len(parts.options) > 1 and all(one.boxed for one in parts.options):
        return True
    if len(parts.options) >= FEWEST_IN_ORDER and line_of.is_about_order(prompt):
        return True
    if (
        parts.options
        and parts.options[0].sure
        and (block.number is not None or prompt.rstrip().endswith((":", "…", "_", "：")))
    ):
        return told or block.number is not None
    return asks or told or shape or _brackets(block, prompt) or (block.number is not None and sums(prompt))


def _brackets(block: Block, prompt: str) -> bool:
    return bool(re.search(r"\[[^\[\]]{1,80}\]", prompt)) and not block.text.lstrip().startswith("[")


def counted_twice(blocks: list[Read], key: Key) -> list[Read]:
    """Two questions with one number, one behind the other: one of them may be a slip. Where a key answers by numbers,
    it cannot be told which of all that have one number it means; and where one was not understood, it may be the answer
    to the other."""
    places = Counter((block.section, block.number) for block, _, _ in blocks if block.number is not None)
    doubted = set()
    for at, ((above, _, _), (block, _, _)) in enumerate(pairwise(blocks)):
        if block.number is not None and (above.number, above.section) == (block.number, block.section):
            doubted |= {at, at + 1}
    unread = {(block.section, block.number) for block, _, found in blocks if not any(one.entry.item for one in found)}
    made = []
    for at, (block, parts, found) in enumerate(blocks):
        many = block.number is not None and places[block.section, block.number] > 1
        by_key = many and key.of(block.section, block.number) is not None
        is_half = many and (block.section, block.number) in unread
        if block.number is not None and (at in doubted or by_key or is_half):
            twice = said("number_twice", "The number {number} stands before two questions.", number=block.number)
            found = [replace(f, entry=unsure(f.entry, twice)) for f in found]
        made.append((block, parts, found))
    return made


def beside_the_key(blocks: list[Read], key: Key) -> list[Read]:
    """Numbered questions of which a key at the end says nothing, where it does of others."""
    if len(key.answers) < FEWEST_ANSWERS:
        return blocks
    lacks = said("key_lacks", "The key at the end says nothing of this question.")
    made = []
    for block, parts, found in blocks:
        answered = parts is None or parts.answer is not None or any(one.right for one in parts.options)
        is_open = parts is not None and (parts.is_open or TO_WRITE.match("\n".join(parts.prompt)) is not None)
        if block.number is not None and not answered and not is_open:
            found = [replace(one, entry=unsure(one.entry, lacks)) for one in found]
        made.append((block, parts, found))
    return made


def unsure(entry: Entry, why: Message) -> Entry:
    """The entry, with one more reason to look at it."""
    return entry.model_copy(update={"sentences": (*entry.sentences, why), "sure": False})


def with_doubts(blocks: list[Read]) -> list[Read]:
    """A question without number, options or answer among others that have them may be a word to the teacher."""
    numbered = sum(block.number is not None for block, _, _ in blocks)
    unread = sum(block.number is not None and not any(one.entry.item for one in found) for block, _, found in blocks)
    seems_a_list = unread * 2 > numbered
    made: list[Read] = []
    for block, parts, found in blocks:
        says_nothing_right = parts is not None and not parts.options and parts.answer is None
        bare = says_nothing_right and block.number is None
        if says_nothing_right and seems_a_list:
            found = [replace(one, entry=unsure(one.entry, APART)) if one.entry.item else one for one in found]
        elif bare and numbered > 1 and WHETHER_TRUE.search(block.text):
            parts, found = Parts(prompt=["."]), []  # "True or false: the life of a lobster" heads them
        elif bare and len(blocks) > 1 and _SPEAKS.search(block.text):
            parts = Parts(prompt=["."])
            found = []
        elif (
            bare
            and numbered > 1
            and len(found) == 1
            and found[0].entry.item is not None
            and not re.search(r"__|\[", block.text)
        ):
            found = [replace(found[0], entry=unsure(found[0].entry, APART))]
        made.append((block, parts, found))
    return made


def waits(block: Block, found: list[Found]) -> bool:
    """A numbered line among questions that is none yet: it may be one that is to be mended."""
    return block.number is not None or any(
        one.entry.item is not None and isinstance(one.entry.item, Question) for one in found
    )


def may_ask(text: str) -> bool:
    """Whether lines that were not understood look like several questions, or like pairs: they are not left out as
    prose is."""
    lines = [line for line in text.split("\n") if line.strip() and not is_to_fill_in(line)]
    if not lines or (len(lines) == 1 and is_heading(lines[0])):
        return False
    asking = sum(_ASKS_SOMETHING.search(line) is not None for line in lines)
    paired = any(all(line.count(mark) == 1 for line in lines) for mark in _BETWEEN_HALVES)
    translated = len(lines) >= FEWEST_PAIRS and sum(map(bool, map(_BRACKET_BEHIND.search, lines))) >= len(lines) - 1
    is_short = len(lines) <= FEWEST_PAIRS and not _SPEAKS.search(text)
    asks = asking > (0 if is_short else 1) and asking * 2 >= len(lines)
    return translated or asks or (paired and len(lines) >= FEWEST_PAIRS)


def is_passage(block: Block) -> bool:
    """A text to be read, and not a word to the reader before the questions begin."""
    text = " ".join(line.text.strip() for line in block.filled)
    sentences = len(re.findall(r"[.!?…。](?:\s|$)", text))
    return sentences >= FEWEST_SENTENCES and len(text) >= SHORTEST_PASSAGE and not _TO_THE_READER.search(text)
