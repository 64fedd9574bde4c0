"""Cuts a pasted text into blocks, one for each question, exercise or piece of prose."""

import re
from dataclasses import dataclass
from itertools import islice, takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.exercises import Exercise, answered, exercises_in, with_keys
from lantern.core.formats.pasted.headings import Headings, bare_heading, name_of_heading, section_of, speaks
from lantern.core.formats.pasted.keys import Key, without_key
from lantern.core.formats.pasted.numbering import are_answered, numbering_of, places_in_lists
from lantern.core.formats.pasted.patterns import ASKS_WITHIN
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.titles import title_of

_NAME = re.compile(r"[^\W\d_][^\W\d]+(?:\s[^\W\d_][^\W\d]+)?")
_ANSWERED = re.compile(r"[?？؟]\s+[^\s?？؟(\[_][^?？؟_]{0,60}$")
MOST_LAST_LINES, MOST_OF_PROSE = 3, 40


@dataclass
class Cut:
    """`passed` are lines that head parts of the text, or are to be filled in by hand: no block holds them."""

    title: Line | None
    blocks: list[Block]
    key: Key
    passed: list[Line]


def cut(lines: list[Line]) -> Cut:
    exercises, lines = with_keys(exercises_in(lines), lines)
    taken = {at for exercise in exercises for at in range(exercise.first, exercise.end)}
    body, key = without_key([line.saying("") if at in taken else line for at, line in enumerate(lines)])
    body += lines[len(body) : max([len(body), *(exercise.end for exercise in exercises)])]
    body = [lines[at] if at in taken else line for at, line in enumerate(body)]
    title, first = title_of(body)
    return _Cutter(body, first, exercises, key).cut(title, key)


class _Cutter:
    """Goes through the lines once; what has been found of a block so far decides where the next one begins."""

    def __init__(self, body: list[Line], first: int, exercises: list[Exercise], key: Key) -> None:
        self._body, self._first = body, first
        self._listed = frozenset() if are_answered(body, key) else places_in_lists(body)
        matched = {at for exercise in exercises for at in range(exercise.first, exercise.end)}
        self._numbering = numbering_of(body[first:], frozenset(at - first for at in self._listed | matched))
        self._headings = Headings(body, key.named, counts=self._numbering is not None)
        self._exercises = {exercise.first: exercise for exercise in exercises}
        self._key = key
        self._blocks: list[Block] = []
        self._passed: list[Line] = []
        self._section, self._parts = "", 0
        self._apart = True
        """Whether a blank line, or more, stands between the last line and this one."""
        self._ended = False
        """Whether a rule or a heading ended the block above."""

    def cut(self, title: Line | None, key: Key) -> Cut:
        at = self._first
        while at < len(self._body):
            at = self._take(at)
        return Cut(title, [block for block in self._blocks if block.filled or block.exercise], key, self._passed)

    def _take(self, at: int) -> int:
        """Puts the line where it belongs; returns the index of the next."""
        line = self._body[at]
        exercise = self._exercises.get(at)
        if exercise:
            exercise = answered(exercise, self._key.answers, self._section)
            self._begin(Block(self._body[at : exercise.end], exercise.number, self._section, exercise))
            self._ended = True
            return exercise.end
        if line.is_blank:
            self._apart = True
            self._ended |= line.rule
            if self._blocks and not self._ended:
                self._blocks[-1].lines.append(line)
            return at + 1
        if self._headings.holds(at, apart=self._apart):
            self._passed.append(line)
            self._ended = self._apart = True
            self._parts += 1
            name = name_of_heading(line)
            self._section = section_of(bare_heading(line)) or (name if name in self._key.named else self._section)
            return at + 1
        started = self._starts(at)
        if started is not None:
            number, text = started
            self._begin(Block([line.saying(text)] if text else [line.saying("")], number, self._section))
        else:
            is_first = not self._blocks[-1].filled
            text = line_of.without_asking_word(line.text) if is_first else line.text
            self._blocks[-1].lines.append(line.saying(text))
        self._apart = False
        return at + 1

    def _begin(self, block: Block) -> None:
        self._blocks.append(block)
        self._ended = False

    def _starts(self, at: int) -> tuple[int | None, str] | None:
        """(number, its first line) where a question begins at this line."""
        line = self._body[at]
        current = self._blocks[-1] if self._blocks else None
        if line.code:
            return (None, line.text) if current is None else None
        if at in self._listed and current is not None and not current.exercise:
            return None
        bare = re.sub(r"^\s*#{1,6}\s+", "", line.text)
        numbered = line_of.question_number(bare)
        if numbered and self._is_question_number(at, numbered):
            return numbered[0], line_of.without_asking_word(numbered[2])
        told = line_of.asked(line.text)
        if told is not None and not (current and _is_answer(line)):
            if current and not current.filled and current.number is not None:
                return None  # "Question 3", and below it its text behind the marks of a heading
            return None, told
        if current is None or self._ended:
            return None, line.text.rstrip()
        if self._apart and speaks(line) and not line_of.option(line):
            return None, line.text.rstrip()
        if self._numbering is None and not self._apart and _asks_anew(line, current):
            return None, line.text.rstrip()
        if not self._apart or not current.filled or (belongs(line) and not _is_prose(current)):
            return None
        if self._numbering is not None and current.number is not None and not current.is_done:
            return (None, line.text.rstrip()) if self._is_last_word(at, current) else None
        if not current.is_done and self._continues(at):
            return None
        if current.is_done and (line_of.is_aside(line.text) or self._answers(at, current)):
            return None
        return None, line.text.rstrip()

    def _is_question_number(self, at: int, numbered: tuple[int, str, str]) -> bool:
        if _is_answer(self._body[at]):
            return False
        if numbered[1] == "Q":
            return True
        if numbered[1] != self._numbering:
            return False
        return at not in self._listed

    def _is_last_word(self, at: int, current: Block) -> bool:
        """What stands at the end of the text below a question that is followed by its answer: "See you! Tove"."""
        filled = (i for i in range(at, len(self._body)) if not self._body[i].is_blank)
        rest = [self._body[i] for i in islice(filled, MOST_LAST_LINES + 1)]
        is_signed = (
            len(rest) == 1
            and _NAME.fullmatch(rest[0].text.strip()) is not None
            and [len(block.filled) for block in self._blocks[-2:]] == [1, 1]
        )
        if is_signed:
            return True
        is_answered = len(current.filled) == 1 and _ANSWERED.search(current.filled[0].text) is not None
        return (
            is_answered
            and len(rest) <= MOST_LAST_LINES
            and not any(map(belongs, rest))
            and not any(map(line_of.numbered, rest))
        )

    def _answers(self, at: int, current: Block) -> bool:
        """Whether the paragraph from here says what is right of the options above it: "Level: B1", "Answer: C"."""
        paragraph = [*takewhile(lambda line: not line.is_blank, self._body[at:])]
        says = [line_of.answer(line.text) is not None for line in (*current.filled, *paragraph)]
        asks = any(ASKS_WITHIN.search(line.text) or line_of.option(line) for line in paragraph[:1])
        has_options = len([line for line in current.filled[1:] if line_of.option(line)]) > 1
        return has_options and not asks and sum(says) == 1 and any(says[len(current.filled) :])

    def _continues(self, at: int) -> bool:
        """Options that stand apart from their question by a blank line: unmarked, one of them starred."""
        paragraph = []
        for line in self._body[at:]:
            if line.is_blank:
                break
            paragraph.append(line)
        starred = sum(line_of.marked_plain(line) is not None for line in paragraph)
        return len(paragraph) >= 2 and 0 < starred < len(paragraph) and not ASKS_WITHIN.search(paragraph[0].text)


def _is_answer(line: Line) -> bool:
    return line_of.answer(line.text) is not None


def _asks_anew(line: Line, above: Block) -> bool:
    """A question directly below the options of the one before, further left than they are."""
    one = line_of.option(line)
    if one and not one.sure and above.is_done and line_of.options_in_one_line(line):
        return True
    before = above.filled[-1].text
    if one is None and "__" in line.text and "__" not in before and line_of.answer(before) is not None:
        return True
    if not line.text.rstrip().endswith(("?", "？", "؟")) or not above.is_done or (one and one.sure):
        return False
    if one is None and (_is_answered(above) or (line.bold and not above.filled[-1].bold)):
        return True
    indent, last = (len(text) - len(text.lstrip()) for text in (line.text, above.filled[-1].text))
    return indent < last and (one is not None or (line.text[:1].isupper() and not belongs(line)))


def _is_answered(block: Block) -> bool:
    """Whether it ends in what is right, or why."""
    last = block.filled[-1].text
    return line_of.answer(last) is not None or line_of.reason(last) is not None


def _is_prose(block: Block) -> bool:
    """Several sentences that ask nothing: what is listed below them is no answer to them."""
    if block.number is not None or block.is_done:
        return False
    text = " ".join(line.text for line in block.filled[:MOST_OF_PROSE])
    return "?" not in text and "__" not in text and len(re.findall(r"(?<!\d)[.!]\s", f"{text} ")) > 1
