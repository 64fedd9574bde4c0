"""Cuts a pasted text into blocks, one for each question, exercise or piece of prose."""

import re
from dataclasses import dataclass, field
from itertools import islice, takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.exercises import Exercise, answered, exercises_in, with_keys
from lantern.core.formats.pasted.headings import NAME_OF_SECTION, name_of_heading, section_of
from lantern.core.formats.pasted.keys import Key, without_key
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_DO = r"(?:choose|circle|select|tick|mark|write|answer|fill)"
_HEADING = re.compile(
    rf"^(?:across|down|waagerecht|senkrecht|horizontalement|verticalement|horizontales|verticales"
    rf"|{words('section')}\s+{NAME_OF_SECTION}\b[^?]*"
    rf"|(?:[一二三四五六七八九十]+、\s*)?(?:{words('true')}\s*(?:/|&|,|{words('either')}|{words('both')})\s*{words('false')}|{words('closed_kind')}|{words('open_kind')})"
    rf"(?:\s+{words('question')})?(?:\s+items?)?\s*[.:?？]?(?:\s*\(.*\))?(?:[?？]?\s+{_DO}\b[^?]*)?"
    rf"|(?:\w+ (?:and|und|et|y|e) )?(?:{_DO}|decide|state|say)\b[^?]*{words('true')}\s*(?:\(\w\)\s*)?"
    rf"{words('either')}\s*{words('false')}[^?]*[.:]"
    rf"|{words('do')}\b.{{0,40}}{words('true')}\s*(?:\(\w\)\s*)?{words('either')}\s*{words('false')}.{{0,20}}"
    rf"|{_DO}\b[^?]*\b(?:answers?|letters?|options?|questions?|blanks?|gaps?)\b[^?]*[.:])$",
    re.I,
)
_LETTERED_HEADING = re.compile(r"^[\s*_]*\(?([A-H])[.)]\s+(?=[^?？؟_]{3,60}$)")
_INSTRUCTION = re.compile(rf"^{words('do')}(?!\w)[^?？_]*[.:!]$", re.I)
"""Of several questions below it."""
_SPEAKS = re.compile(rf"^\W*{words('speaks')}(?!\w)", re.I)
_ASKS_WITHIN = re.compile(r"[?？؟](?:\s|$)|__")
_IS_SAID = re.compile(
    rf"(?:[(\[]|[-–—→:]\s|[.!]\s+\**)(?:{words('true')}|{words('false')}|[TF])[)\]]?\**[.]?\s*$|[✅✔✓❌✗✘]\s*$", re.I
)
"""A statement that is said to be true or false."""
_NAME = re.compile(r"[^\W\d_][^\W\d]+(?:\s[^\W\d_][^\W\d]+)?")
_POINTED = re.compile(r"^\s*(?:→|⇒|->|=>)\s*\S")
_TO_FILL_IN = re.compile(
    rf"^(?:\W*(?:{words('about_you')}|total|summe|gesamt)\s*[.:：]?\s*[_.…]{{3,}}\W*(?:\d{{1,3}}\s*(?:{words('points')})?\W*)?)+$",
    re.I,
)
_ANSWERED = re.compile(r"[?？؟]\s+[^\s?？؟(\[_][^?？؟_]{0,60}$")
LONGEST_HEADING, MOST_LAST_LINES = 100, 3
MOST_WORDS_OF_A_TITLE, FEWEST_NESTED, MOST_OF_PROSE = 3, 2, 40


@dataclass
class Block:
    """The lines of one question, or of prose. `number` is its own number in the text, if it has one, `section` the
    part of the text in which numbers are counted. An exercise is read as a whole."""

    lines: list[Line] = field(default_factory=list)
    number: int | None = None
    section: str = ""
    exercise: Exercise | None = None
    # Lines are only ever added, often thousands, and each is looked at once.
    _filled: list[Line] = field(default_factory=list, init=False, repr=False, compare=False)
    _counted: int = field(default=0, init=False, repr=False, compare=False)
    _answered: bool = field(default=False, init=False, repr=False, compare=False)
    _looked_at: int = field(default=1, init=False, repr=False, compare=False)

    @property
    def at(self) -> int:
        return next((line.at for line in self.lines if not line.is_blank), self.lines[0].at if self.lines else 1)

    @property
    def text(self) -> str:
        return "\n".join(line.text for line in self.lines).strip("\n")

    @property
    def source(self) -> str:
        return "\n".join(line.source for line in self.lines).strip("\n")

    @property
    def texts(self) -> list[str]:
        return [line.text for line in self.filled]

    @property
    def filled(self) -> list[Line]:
        """The lines that say something."""
        if self._counted < len(self.lines):
            self._filled += [line for line in self.lines[self._counted :] if not line.is_blank]
            self._counted = len(self.lines)
        return self._filled

    @property
    def is_done(self) -> bool:
        """Whether it has its options or its answer, so that what follows a blank line is a new one."""
        filled = self.filled
        if not self._answered:
            self._answered = any(belongs(line) for line in filled[self._looked_at :])
            self._looked_at = max(1, len(filled))
        return self.exercise is not None or self._answered or bool(filled and line_of.options_in_one_line(filled[0]))


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
    title, first = _title(body)
    return _Cutter(body, first, exercises, key).cut(title, key)


class _Cutter:
    """Goes through the lines once; what has been found of a block so far decides where the next one begins."""

    def __init__(self, body: list[Line], first: int, exercises: list[Exercise], key: Key) -> None:
        self._body, self._first = body, first
        self._listed = frozenset() if _are_answered(body, key) else _listed(body)
        matched = {at for exercise in exercises for at in range(exercise.first, exercise.end)}
        self._numbering = _numbering(body[first:], frozenset(at - first for at in self._listed | matched))
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
        if self._is_heading(at):
            self._passed.append(line)
            self._ended = self._apart = True
            self._parts += 1
            name = name_of_heading(line)
            self._section = section_of(_bare(line)) or (name if name in self._key.named else self._section)
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

    def _is_heading(self, at: int) -> bool:
        line = self._body[at]
        if line.code:
            return False
        bare = _bare(line)
        if _TO_FILL_IN.match(line.text.replace("*", "")) or name_of_heading(line) in self._key.named:
            return True
        if not bare or len(bare) > LONGEST_HEADING or line_of.question_number(bare) or line_of.answer(line.text):
            return False
        if section_of(bare) is not None and (not bare.endswith("?") or self._is_numbered_below(at)):
            return True
        marked = line_of.heading(line.text)
        if marked is not None:
            return not marked.endswith(("?", "？", "؟", ";")) and not self._is_asked_below(at)
        lettered = re.match(r"^\(?[A-H][.):]\s+(?=\S)", bare)
        if lettered and _HEADING.match(bare[lettered.end() :]) and self._is_numbered_below(at):
            return True
        if self._heads_a_part(at):
            return True
        if line_of.option(line):
            return False
        says_what_to_do = _HEADING.match(bare) is not None or _INSTRUCTION.match(bare) is not None
        return self._numbering is not None and says_what_to_do and self._is_numbered_below(at)

    def _heads_a_part(self, at: int) -> bool:
        """ "B. Matching", alone between blank lines, above something numbered or that says what to do. An option has
        the one before or behind it as its neighbour."""
        named = _LETTERED_HEADING.match(self._body[at].text)
        if not named or not self._apart or at + 1 >= len(self._body) or not self._body[at + 1].is_blank:
            return False
        below = self._first_filled(range(at + 1, len(self._body)))
        above = self._first_filled(range(at - 1, -1, -1))
        if below is None:
            return False
        beside = [_LETTERED_HEADING.match(line.text) for line in (above, below) if line is not None]
        place = ord(named[1])
        is_option = any(abs(ord(one[1]) - place) == 1 for one in beside if one)
        return not is_option and (_numbered(below) is not None or says_what_to_do(below.text))

    def _first_filled(self, places: range) -> Line | None:
        return next((self._body[at] for at in places if not self._body[at].is_blank), None)

    def _is_asked_below(self, at: int) -> bool:
        """Whether what stands below a heading belongs to it as to a question."""
        following = next((line for line in self._body[at + 1 :] if not line.is_blank), None)
        return following is not None and belongs(following) and not line_of.heading(following.text)

    def _is_numbered_below(self, at: int) -> bool:
        following = islice((i for i in range(at + 1, len(self._body)) if not self._body[i].is_blank), 2)
        return any(line_of.question_number(self._body[i].text) for i in following)

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
        if self._apart and _SPEAKS.search(line.text) and not line_of.option(line):
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
            and not any(map(_numbered, rest))
        )

    def _answers(self, at: int, current: Block) -> bool:
        """Whether the paragraph from here says what is right of the options above it: "Level: B1", "Answer: C"."""
        paragraph = [*takewhile(lambda line: not line.is_blank, self._body[at:])]
        says = [line_of.answer(line.text) is not None for line in (*current.filled, *paragraph)]
        asks = any(_ASKS_WITHIN.search(line.text) or line_of.option(line) for line in paragraph[:1])
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
        return len(paragraph) >= 2 and 0 < starred < len(paragraph) and not _ASKS_WITHIN.search(paragraph[0].text)


def _bare(line: Line) -> str:
    """What a heading says, without its marks and points."""
    return line_of.points_in(line.text.strip("*_# "))[0].strip("*_# ")


def is_heading(text: str) -> bool:
    """Whether a line says what is to be done with those below it."""
    return _HEADING.match(text.strip().strip("*_# ")) is not None


def says_what_to_do(text: str) -> bool:
    """ "Match the words with their meanings." """
    return _INSTRUCTION.match(text.strip().strip("*_# ")) is not None


def speaks(line: Line) -> bool:
    """Whether a line is a word to the reader: "Let me know if you would like more!"."""
    return _SPEAKS.search(line.text) is not None


def belongs(line: Line) -> bool:
    """Whether the line can only belong to the question above it."""
    text = line.text
    parts = (line_of.option(line), line_of.answer(text), line_of.short_answer(text), line_of.reason(text))
    facts = (line_of.topics(text), line_of.seconds(text), line_of.writer(text), line_of.points(text))
    return (
        _POINTED.match(text) is not None
        or any(part is not None for part in (*parts, *facts))
        or line_of.is_label_of_options(text)
        or line_of.says_in_order(text)
        or bool(line_of.options_in_one_line(line))
    )


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
    return "?" not in text and "__" not in text and len(re.findall(r"[.!]\s", f"{text} ")) > 1


def _numbered(line: Line) -> tuple[int, str, str] | None:
    return None if line.code else line_of.question_number(re.sub(r"^\s*#{1,6}\s+", "", line.text))


def _numbering(body: list[Line], listed: frozenset[int]) -> str | None:
    """How questions are numbered, if they are: the mark behind the first number that is no option's."""
    for at, line in enumerate(body):
        found = _numbered(line)
        if found and (found[1] == "Q" or at not in listed):
            return found[1]
    return None


def _are_answered(body: list[Line], key: Key) -> bool:
    """Whether all that is counted in the text is one run of numbers, each with its answer in the key."""
    numbers = [found[0] for line in body if (found := _numbered(line))]
    return len(numbers) > 1 and numbers == sorted({number for _, number in key.answers}) == list(
        range(1, len(numbers) + 1)
    )


def _listed(body: list[Line]) -> frozenset[int]:
    """Indices of the numbers below a question that are its options, or lines to be put into order: "Which knot …?",
    then 1), 2), 3)."""
    listed = _nested(body)
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
            listed |= set(range(at, at + len(run)))
        at += max(1, len(run))
    return frozenset(listed)


def _nested(body: list[Line]) -> set[int]:
    """Indices of options that are counted as their questions are: "1) The bow is", and below it "1) in front" … Below
    each question stands a 1, and the questions follow each other; no number is left over."""
    counted = [(at, found) for at, line in enumerate(body) if (found := _numbered(line)) and found[1] != "Q"]
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
    asks = ends and line_of.option(above) is None
    heads = _HEADING.match(text.strip("*_# ")) is not None or section_of(text.strip("*_# ")) is not None
    asking = sum(_ASKS_WITHIN.search(said) is not None for _, _, said in run)
    return asks and not heads and asking * 2 < len(run) > 1 and not _says_true(run)


def _says_true(run: list[tuple[int, str, str]]) -> bool:
    """Statements that are said to be true or false are questions, not options."""
    tail = rf"[(\[\s–-](?:{words('true')}|{words('false')}|[TF])[)\]]?\W*$"
    return len(run) > 1 and all(re.search(tail, text, re.I) for _, _, text in run)


def _title(body: list[Line]) -> tuple[Line | None, int]:
    """(title, index behind it): one short line above all questions that asks nothing."""
    filled = [at for at, line in enumerate(body) if not line.is_blank]
    if len(filled) < 3 or body[filled[0]].code:
        return None, 0
    line, below = body[filled[0]], body[filled[1]]
    first = line.text.strip()
    if _TO_FILL_IN.match(first) or section_of(first.strip("#* ")) is not None:
        return None, 0
    told = line_of.heading(first)
    if (told and (line_of.question_number(told) or told.endswith("?"))) or _HEADING.match(told or first):
        return None, 0
    apart = (
        filled[1] > filled[0] + 1
        or line_of.question_number(below.text) is not None
        or line_of.asked(below.text) is not None
        or (told is not None and below.bold)
        or (len(first.split()) <= MOST_WORDS_OF_A_TITLE and below.text.rstrip().endswith("?"))
    )
    plain = (
        (
            not first.endswith(("?", ":", ".", "…", "？", "：", "。", ",", "!"))
            and "_" not in first
            and not belongs(line)
        )
        and not _ASKS_WITHIN.search(first)
        and not _IS_SAID.search(first)
    )
    numbered = any(line_of.question_number(one.text) for one in body)
    paired = re.search(r"\t| [=|] " if numbered else r"\t| [-–—=|] ", first) is not None
    labelled = line_of.is_labelled(first) or line_of.is_aside(first)
    short = len(first) <= 80 and line_of.question_number(first) is None and not paired and not labelled
    facts = line_of.seconds(below.text) is not None or line_of.points(below.text) is not None
    if (told or (plain and short and line_of.asked(first) is None)) and apart | facts and (facts or not belongs(below)):
        return line.saying(told or first), filled[0] + 1
    return None, 0
