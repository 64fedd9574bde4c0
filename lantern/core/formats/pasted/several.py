"""Blocks that hold several questions: lines that each ask and answer, questions and answers in turn, parts a), b)."""

import re
from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.fields import (
    answers_itself,
    chooses_itself,
    fills_itself,
    is_task,
    seems_answered,
    sums,
)
from lantern.core.formats.pasted.given import answered_list
from lantern.core.formats.pasted.headings import is_heading, speaks
from lantern.core.formats.pasted.made import ASKS
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.source import line_of as line_of_text
from lantern.core.formats.pasted.statements import states
from lantern.core.formats.pasted.sub_questions import sub_questions

_LABEL = re.compile(r"^\s*\(?(?:[A-La-l]|\d{1,2})[.)]\s+(?=\S)")
_IN_BRACKETS = re.compile(r"^\s*\([^()]+\)\s*$")


def _lists_itself(line: str) -> bool:
    """Whether a line is a question with its options behind it: "Which is a bird? (a) gull (b) cod [a]"."""
    text = line.strip()
    if len(text) > LONGEST or not line_of.before_inline_options(text).endswith(ASKS[:3]):
        return False
    return len(line_of.options_in_one_line(line_of_text(text))) > 1


_TOLD = (states, answers_itself, seems_answered, sums, fills_itself, chooses_itself, _lists_itself)
"""What lines are that each say all of a question."""
FEWEST_ALIKE, FEWEST_BETWEEN, LONGEST = 2, 3, 300


@dataclass(frozen=True, slots=True)
class Several:
    """Questions in their order, and what stands above and below them and asks nothing."""

    asked: list[Block]
    above: Block
    below: Block


def several_in(block: Block, key: str | None) -> Several | None:
    """The questions that one block holds; None where it is one question, or none."""
    is_free = block.number is None
    free = (
        (_by_topics(block) or _between(block) or _alike(block) or _headed(block) or _in_turn(block))
        if is_free
        else None
    )
    if free is not None:
        return free
    inner = sub_questions(block, key)
    if inner is not None:
        return Several(inner[1], above=inner[0], below=Block([]))
    return _chosen_from(block) or _as_options(block)


def _alike(block: Block) -> Several | None:
    """All lines are questions by themselves; nearly all of which the last one is."""
    lines = block.filled
    if len(lines) < FEWEST_ALIKE:
        return None
    alike = max(sum(map(one, block.texts)) for one in _TOLD)
    nearly = max(FEWEST_ALIKE, len(lines) - 1) if answers_itself(lines[-1].text) else len(lines)
    return _each(block, lines) if alike >= nearly or all(map(is_task, block.texts)) else None


def _by_topics(block: Block) -> Several | None:
    """Lines that are questions by themselves, with lines between them that name their topics."""
    heads = [line for line in block.filled if line_of.topics(line.text) is not None]
    lines = [line for line in block.filled if line_of.topics(line.text) is None]
    rest = [line.saying(one.text) if (one := line_of.option(line)) else line for line in lines]
    is_alike = any(all(one(line.text) for line in rest) for one in _TOLD)
    if not heads or len(lines) < FEWEST_BETWEEN or not is_alike or block.filled[0] is not heads[0]:
        return None
    return _each(block, rest, above=heads)


def _headed(block: Block) -> Several | None:
    """All lines are below one that says what is to be done with them."""
    lines, texts = block.filled, block.texts
    if len(lines) <= FEWEST_ALIKE or not is_heading(texts[0]) or not any(all(map(one, texts[1:])) for one in _TOLD):
        return None
    return _each(block, lines[1:], above=lines[:1])


def _between(block: Block) -> Several | None:
    """All lines but a first one, that is a title, and a last one, that is a word to the reader."""
    first, last = _bounds(block)
    lines = block.filled
    texts = [line.text for line in lines[first:last]]
    is_alike = any(all(map(one, texts)) for one in _TOLD)
    if (first, last) == (0, len(lines)) or len(texts) < FEWEST_BETWEEN or not is_alike:
        return None
    return _each(block, lines[first:last], above=lines[:first], below=lines[last:])


def _in_turn(block: Block) -> Several | None:
    """ "Who leads a ship?", "the captain", and so on: questions and answers in turn, several times."""
    first, last = _bounds(block)
    lines = block.filled[first:last]
    asking = [line.text.rstrip("*_ ").endswith(ASKS[:3]) for line in lines]
    if len(lines) < 2 * FEWEST_ALIKE or asking != [True, False] * (len(lines) // 2):
        return None
    if any(line.code or line_of.option(line) or line_of.answer(line.text) is not None for line in lines):
        return None
    asked = [Block(lines[at : at + 2], None, block.section) for at in range(0, len(lines), 2)]
    return Several(asked, Block(block.filled[:first]), Block(block.filled[last:]))


def _bounds(block: Block) -> tuple[int, int]:
    """(index of the first line behind a title, of the first line of the words to the reader at the end)."""
    lines = block.filled
    first = 1 if len(lines) > 1 and not any(one(lines[0].text) for one in _TOLD) and not _asks(lines[0]) else 0
    return first, len(lines) - 1 if len(lines) > 1 and speaks(lines[-1]) else len(lines)


def _asks(line: Line) -> bool:
    return line.text.rstrip("*_ ").endswith(ASKS) or "__" in line.text or line_of.option(line) is not None


def _as_options(block: Block) -> Several | None:
    """What stands as options below a line that asks nothing are questions."""
    lines = block.filled
    below = lines[-1:] if len(lines) > FEWEST_BETWEEN and _IN_BRACKETS.match(lines[-1].text) else []
    lines = lines[: len(lines) - len(below)]
    options = [one for line in lines[1:] if (one := line_of.option(line)) and _is_asked(one.text)]
    asks_nothing = block.number is None or not any(line.text.rstrip().endswith(ASKS[:3]) for line in lines)
    if not asks_nothing or len(options) < FEWEST_ALIKE or len(options) != len(lines) - 1:
        return None
    rest = [line.saying(one.text) for line, one in zip(lines[1:], options, strict=True)]
    return _each(block, rest, above=lines[:1], below=below)


def _chosen_from(block: Block) -> Several | None:
    """ "Which is spelled correctly?", and below it lists of words, each with the one that is right, or those in a last
    line: "a) sail, mast, wheel", "b) red, green, loud" and "a) wheel  b) loud"."""
    first, *lines = block.filled or [Line(0, "", "")]
    key = line_of.options_in_one_line(lines[-1]) if len(lines) > FEWEST_ALIKE else []
    lists = lines[: len(lines) - bool(key)]
    said = [one.text for one in key] if len(key) == len(lists) else [""] * len(lists)
    counted = [line for line in lists if _LABEL.match(line.text)]
    bare = [line.saying(_LABEL.sub("", line.text)) for line in counted]
    chosen = [answered_list(line, word) for line, word in zip(bare, said, strict=False)]
    if len(chosen) < FEWEST_ALIKE or len(counted) != len(lists) or not all(chosen):
        return None
    return Several([Block([first, *one], None, block.section) for one in chosen], Block([]), Block([]))


def _is_asked(text: str) -> bool:
    return text.rstrip().endswith(ASKS[:3]) or answers_itself(text)


def _each(block: Block, lines: Sequence[Line], above: Sequence[Line] = (), below: Sequence[Line] = ()) -> Several:
    if all(_LABEL.match(line.text) for line in lines):
        lines = [line.saying(_LABEL.sub("", line.text)) for line in lines]
    asked = [Block([line], None, block.section) for line in lines]
    return Several(asked, Block([*above]), Block([*below]))
