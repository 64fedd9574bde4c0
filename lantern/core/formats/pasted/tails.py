"""What stands below a question and is none of it: a signature, a line at the foot of a page, a word to the reader."""

import re
from collections.abc import Iterator
from itertools import pairwise

from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.gaps import BRACKETED, GAP
from lantern.core.formats.pasted.headings import speaks
from lantern.core.formats.pasted.literal import literal
from lantern.core.formats.pasted.source import Line

_ASKS = re.compile(r"[?？؟:：…]\W*$")
_SENTENCE = re.compile(r"[.!。]\W*$")
FEWEST_WITHOUT, MOST_LINES = 2, 4


def without_tails(blocks: list[Block]) -> list[Block]:
    """The blocks without what stands below them and is none of them."""
    return _without_last_word(_without_paragraphs(blocks))


def _without_last_word(blocks: list[Block]) -> list[Block]:
    """ "Let me know if you would like more!", directly below the last question."""
    last = blocks[-1] if blocks else None
    if last is None or last.exercise is not None or len(last.filled) < 2 or not speaks(last.filled[-1]):
        return blocks
    at = max(at for at, line in enumerate(last.lines) if not line.is_blank)
    return blocks if last.lines[at].code else [*blocks[:-1], *_parted(last, at)]


def _without_paragraphs(blocks: list[Block]) -> list[Block]:
    """Numbered questions of which only few have another paragraph below them, that says nothing of itself, lose it:
    it is a block of its own. Below all but the last question it is a line that is no sentence."""
    numbered = [block for block in blocks if block.number is not None and block.exercise is None]
    tails = {id(block): tail for block in numbered if (tail := _tail(block, is_last=block is blocks[-1]))}
    if not tails or len(numbered) - len(tails) < max(FEWEST_WITHOUT, 2 * len(tails)):
        return blocks
    return [part for block in blocks for part in _parted(block, tails.get(id(block)))]


def stands_apart(block: Block, asked: str) -> str:
    """The last line of what is asked, if it stands alone in the text, says nothing of itself and is no sentence."""
    _, has_more, last = asked.rpartition("\n")
    alone = [line for at, line in enumerate(block.lines) if has_more and _is_alone(block.lines, at)]
    return next((line.text.strip() for line in alone if literal(line.text.strip()) == last.strip()), "")


def _is_alone(lines: list[Line], at: int) -> bool:
    line = lines[at]
    around = [*lines[max(0, at - 1) : at], *lines[at + 1 : at + 2]]
    if line.is_blank or line.code or not at or not all(one.is_blank for one in around):
        return False
    return not (_SENTENCE.search(line.text) or belongs(line) or _may_ask(line))


def _parted(block: Block, tail: int | None) -> Iterator[Block]:
    if tail is None:
        yield block
        return
    yield Block(block.lines[:tail], block.number, block.section)
    yield Block(block.lines[tail:], None, block.section)


def _tail(block: Block, *, is_last: bool) -> int | None:
    """Index of the line with which the last paragraph begins, if nothing in it can belong to the question."""
    filled = [at for at, line in enumerate(block.lines) if not line.is_blank]
    begins = [at for above, at in pairwise(filled) if at - above > 1]
    if not begins:
        return None
    above = block.lines[max(at for at in filled if at < begins[0])]
    tail = [line for line in block.lines[begins[0] :] if not line.is_blank]
    if above.text.rstrip("*_ ").endswith((":", "：")) or len(tail) > MOST_LINES:
        return None
    if any(line.code or belongs(line) or _may_ask(line) for line in tail):
        return None
    if not is_last and (len(tail) > 1 or _SENTENCE.search(tail[0].text)):
        return None
    return begins[0]


def _may_ask(line: Line) -> bool:
    asks = _ASKS.search(line.text) is not None or "|" in line.text or "$" in line.text
    return asks or GAP.search(line.text) is not None or BRACKETED.search(line.text) is not None
