"""What a block is given by what stands elsewhere: words above it, a key below it."""

import re

from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.blocks import Cut
from lantern.core.formats.pasted.gaps import GAP
from lantern.core.formats.pasted.headings import says_what_to_do
from lantern.core.formats.pasted.pairs import pairs_of

FEWEST_IN_BANK, LONGEST_IN_BANK = 3, 40


def gives_numbered_gaps(cuts: Cut) -> bool:
    """A key whose numbers are those of gaps within one text belongs to that text: whether it was given to one."""
    numbers = sorted(number for _, number in cuts.key.answers)
    if not numbers or any(block.number is not None for block in cuts.blocks):
        return False
    fitting = [block for block in cuts.blocks if len(GAP.findall(block.text)) == len(numbers) > 1]
    if len(fitting) == 1 and numbers == list(range(1, len(numbers) + 1)):
        said = "; ".join(cuts.key.answers[place] for place in sorted(cuts.key.answers, key=lambda one: one[1]))
        last = fitting[0].filled[-1]
        fitting[0].lines.append(last.saying(f"Answer: {said}"))
        return True
    return False


def with_asking_lines(blocks: list[Block]) -> list[Block]:
    """A list of pairs and the line above it that says what is to be done with them are one block."""
    made: list[Block] = []
    for block in blocks:
        above = made[-1] if made else None
        asks = above is not None and above.number is None and len(above.filled) == 1 and says_what_to_do(above.text)
        if above is not None and asks and block.number is None and not block.exercise and pairs_of(block.text):
            made[-1] = Block([*above.lines, *block.lines], None, block.section)
        else:
            made.append(block)
    return made


def banks_of(blocks: list[Block]) -> list[tuple[str, ...]]:
    """For each block the words that stand above it to be put into gaps: those of the last list of words that was no
    question."""
    banks: list[tuple[str, ...]] = []
    bank: tuple[str, ...] = ()
    for block in blocks:
        banks.append(bank if block.number is not None else ())
        words = (
            re.split(r"\s*[,;|/·•\t]\s*|\s+[-–—]\s+|\s{3,}", block.filled[-1].text.strip("()[] ."))
            if block.number is None and block.filled
            else []
        )
        if len(words) >= FEWEST_IN_BANK and all(0 < len(word) <= LONGEST_IN_BANK for word in words):
            first, colon, rest = words[0].partition(":")
            bank = (rest.strip() if colon else first, *words[1:])
    return banks
