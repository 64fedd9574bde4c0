"""Cuts a pasted text into blocks, one for each question; finds the key at its end."""

import re
from dataclasses import dataclass, field

from lantern.core.formats.pasted import lines as line_of

_KEY_HEAD = re.compile(r"^\s*(?:answer\s*key|answers?|key|solutions?|correct\s+answers?)\s*[:.]?\s*(.*)$", re.I)
_KEY_PAIR = re.compile(
    r"(?:^|[\s,;|])(?:q\.?)?(\d{1,3})\s*[.):=\-–]?\s*"
    r"((?:[A-La-l](?:\s*[,&+/]\s*[A-La-l])*|true|false|t|f)(?![\w’']))",
    re.I,
)
_KEY_PART = re.compile(r"(?:^|(?<=[\s,;]))(\d{1,3})\s*[.):]\s+")
_KEY_LINE = re.compile(r"^\s*(?:q\.?)?(\d{1,3})\s*[.):=\-–]\s*(\S.*)$")


@dataclass
class Block:
    """The lines of one question. `at` counts lines from 1; `number` is its own number in the text, if it has one."""

    at: int
    number: int | None = None
    lines: list[str] = field(default_factory=list)

    @property
    def text(self) -> str:
        return "\n".join(self.lines).strip("\n")


@dataclass(frozen=True, slots=True)
class Cut:
    title: str
    blocks: list[Block]
    key: dict[int, str]


def cut(text: str) -> Cut:
    all_lines = text.split("\n")
    body, key = _without_key(all_lines)
    title, first = _title(body)
    numbering = _numbering(body[first:])
    blocks: list[Block] = []
    after_blank = True
    for at, line in enumerate(body[first:], start=first):
        if not line.strip():
            after_blank = True
            if blocks:
                blocks[-1].lines.append("")
            continue
        start = _starts(body, at, numbering, blocks, after_blank)
        if start is not None:
            blocks.append(Block(at + 1, start[0], [start[1]] if start[1] else []))
        else:
            blocks[-1].lines.append(line.rstrip())
        after_blank = False
    return Cut(title, [block for block in blocks if block.text], key)


def _starts(
    body: list[str], at: int, numbering: str | None, blocks: list[Block], after_blank: bool
) -> tuple[int | None, str] | None:
    """(number, its first line) where a question begins at this line."""
    line = body[at]
    numbered = line_of.question_number(line)
    if numbered and numbered[1] == numbering and not _is_answer_like(line):
        return numbered[0], numbered[2]
    told = line_of.asked(line)
    if told is not None and not (blocks and _is_answer_like(line)):
        return None, told
    if not blocks:
        return None, line.strip()
    if numbering is None and not after_blank and _asks_anew(line, blocks[-1]):
        return None, line.strip()
    if not after_blank or belongs(line):
        return None
    current = blocks[-1]
    if numbering is not None and current.number is not None and not _is_done(current):
        return None
    if not _is_done(current) and _continues(body, at):
        return None
    return None, line.strip()


def _asks_anew(line: str, above: Block) -> bool:
    """A question directly below the options of the one before, further left than they are."""
    asks = line.rstrip().endswith("?") and line[:1].isupper() and not belongs(line)
    return asks and _is_done(above) and above.lines[-1][:1].isspace()


def _is_answer_like(line: str) -> bool:
    return line_of.answer(line) is not None


def belongs(line: str) -> bool:
    """Whether the line can only belong to the question above it."""
    parts = (line_of.option(line), line_of.answer(line), line_of.short_answer(line), line_of.reason(line))
    facts = (line_of.topics(line), line_of.seconds(line), line_of.writer(line))
    return any(part is not None for part in (*parts, *facts)) or bool(line_of.options_in_one_line(line))


def _is_done(block: Block) -> bool:
    """Whether the block has its options or its answer, so that what follows a blank line is a new one."""
    return any(belongs(line) for line in block.lines[1:]) or bool(
        block.lines and line_of.options_in_one_line(block.lines[0])
    )


def _continues(body: list[str], at: int) -> bool:
    """Options that stand apart from their question by a blank line: unmarked, one of them starred."""
    paragraph = []
    for line in body[at:]:
        if not line.strip():
            break
        paragraph.append(line)
    starred = sum(line_of.marked_plain(line) is not None for line in paragraph)
    return len(paragraph) >= 2 and 0 < starred < len(paragraph) and not paragraph[0].strip().endswith("?")


def _numbering(body: list[str]) -> str | None:
    """How questions are numbered, if they are: the mark behind the first number that is no option's."""
    filled = [line for line in body if line.strip()]
    for at, line in enumerate(filled):
        found = line_of.question_number(line)
        if found and not _is_list_below(filled, at):
            return found[1]
    return None


def _is_list_below(filled: list[str], at: int) -> bool:
    """Numbers below a question are its options: "Which knot …?", then 1), 2), 3)."""
    above = filled[at - 1].strip() if at else ""
    if at and line_of.question_number(filled[at - 1]):
        return _is_list_below(filled, at - 1)
    return above.endswith(("?", ":", "…", "_")) and line_of.option(above) is None


def _title(body: list[str]) -> tuple[str, int]:
    """(title, index behind it): one short line above all questions that asks nothing."""
    filled = [at for at, line in enumerate(body) if line.strip()]
    if len(filled) < 3:
        return "", 0
    first, second = body[filled[0]].strip(), body[filled[1]]
    told = line_of.asked(first) if first.startswith("#") and not first.startswith("##") else None
    apart = (
        filled[1] > filled[0] + 1 or line_of.question_number(second) is not None or line_of.asked(second) is not None
    )
    plain = not first.endswith(("?", ":", ".", "…")) and "_" not in first and not belongs(first)
    numbered = any(line_of.question_number(line) for line in body)
    paired = re.search(r"\t| [=|] " if numbered else r"\t| [-–—=|] ", first) is not None
    short = len(first) <= 80 and line_of.question_number(first) is None and not paired
    if (told or (plain and short and line_of.asked(first) is None)) and apart and not belongs(second):
        return told or first, filled[0] + 1
    return "", 0


def _without_key(lines: list[str]) -> tuple[list[str], dict[int, str]]:
    """The lines before a key at the end of the text, and the key: number to answer."""
    for at in range(len(lines) - 1, -1, -1):
        head = _KEY_HEAD.match(lines[at])
        if not head:
            continue
        rest = [head[1], *lines[at + 1 :]]
        found = _key_of(rest)
        filled = [line for line in rest if line.strip()]
        if len(found) >= 2 and len(filled) <= len(found) + 1:
            return lines[:at], found
    return lines, {}


def _key_parts(line: str) -> dict[int, str]:
    """ "1. bow 2. stern 3. left": numbers that follow each other, each with a text behind it."""
    marks = list(_KEY_PART.finditer(line))
    numbers = [int(mark[1]) for mark in marks]
    if len(numbers) < 2 or numbers != list(range(numbers[0], numbers[0] + len(numbers))):
        return {}
    ends = [*(mark.start() for mark in marks[1:]), len(line)]
    said = [line[mark.end() : end].strip(" ,;") for mark, end in zip(marks, ends, strict=True)]
    return dict(zip(numbers, said, strict=True)) if all(said) else {}


def _key_of(lines: list[str]) -> dict[int, str]:
    """Pairs in any layout; a line that is one number and one text counts, too."""
    found: dict[int, str] = {}
    for line in lines:
        pairs = _KEY_PAIR.findall(line)
        whole = _KEY_LINE.match(line)
        parts = _key_parts(line)
        if len(parts) > max(1, len(pairs)):
            found |= parts
        elif len(pairs) > 1 or (pairs and len(line.strip()) <= 8):
            found |= {int(number): said.strip() for number, said in pairs}
        elif whole:
            found[int(whole[1])] = whole[2].strip()
        elif pairs:
            found |= {int(number): said.strip() for number, said in pairs}
    return found
