"""Questions within a question: "2. Look at the map.", and below it "a) Which …?", "b) Where …?"."""

import re
from collections.abc import Sequence

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.labels import LETTER, index_of
from lantern.core.formats.pasted.meant import truth_of
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.source import Line

_PART = re.compile(rf"(?:^|(?<=[\s,;]))\(?({LETTER})[.):]\s*(?=\S)")
_ASKS = ("?", "？", "؟")
_WORTH = re.compile(rf"\s*(?P<worth>{WORTH})\s*$", re.I)
"""The points of each part: "(2)"."""
FEWEST = 2


def sub_questions(block: Block, key: str | None) -> tuple[Block, list[Block]] | None:
    """(what stands above them, a block for each); None for a question with options. Lettered lines are questions where
    each of them asks, or has an answer line of its own, and the line above them asks nothing."""
    lines = block.filled
    starts = [at for at, line in enumerate(lines) if at and _letter(line) == 0][:1]
    if not starts or lines[0].code:
        return None
    for at, line in enumerate(lines[starts[0] + 1 :], start=starts[0] + 1):
        if _letter(line) == len(starts):
            starts.append(at)
    groups = [lines[at:end] for at, end in zip(starts, [*starts[1:], len(lines)], strict=True)]
    asks_above = lines[0].text.rstrip("*_ ").endswith(_ASKS)
    all_ask = not asks_above and all(_text(group[0]).endswith(_ASKS) for group in groups)
    *others, last = groups
    behind = key or next((said for line in last[1:] if (said := line_of.answer(line.text)) is not None), "")
    answers = _parts(behind)
    true_or_false = len(answers) == len(groups) and all(truth_of(answer.casefold()) is not None for answer in answers)
    gapped = all("__" in group[0].text for group in groups)
    valued = not asks_above and all(_WORTH.search(group[0].text) for group in groups)
    if len(groups) < FEWEST or not (
        all_ask or gapped or valued or true_or_false or (not asks_above and all(map(_is_answered, groups)))
    ):
        return None
    if len(answers) == len(groups):
        groups = [*others, [line for line in last if line_of.answer(line.text) is None]]
    else:
        answers = [""] * len(groups)
    return Block(lines[: starts[0]], None, block.section), [
        Block(_asked(group, answer), None, block.section) for group, answer in zip(groups, answers, strict=True)
    ]


def _letter(line: Line) -> int | None:
    one = None if line.code else line_of.option(line)
    return index_of(one.label) if one and one.label.isalpha() else None


def _text(line: Line) -> str:
    one = line_of.option(line)
    return _WORTH.sub(_points, one.text.strip() if one else line.text)


def _points(found: "re.Match[str]") -> str:
    number = re.sub(r"\D", "", found["worth"])
    return f" ({number} points)"


def _is_answered(group: Sequence[Line]) -> bool:
    return any(line_of.answer(line.text) is not None for line in group[1:])


def _asked(group: Sequence[Line], answer: str) -> list[Line]:
    first = group[0]
    said = [first.saying(f"Answer: {answer}")] if answer else []
    return [first.saying(_text(first)), *group[1:], *said]


def _parts(text: str) -> list[str]:
    """ "a) Tarnholm b) Lismer": what stands behind letters that follow each other from the first."""
    marks = list(_PART.finditer(text))
    ends = [*(mark.start() for mark in marks[1:]), len(text)]
    if not marks or [index_of(mark[1]) for mark in marks] != list(range(len(marks))):
        return []
    return [text[mark.end() : end].strip(" ,;") for mark, end in zip(marks, ends, strict=True)]
