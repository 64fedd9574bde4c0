"""The key at the end of a text: which answer belongs to which number."""

import re
from collections.abc import Iterable, Iterator, Sequence, Set
from dataclasses import dataclass, field, replace
from itertools import dropwhile, takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import SECTION, name_of_heading, repeated_names, section_of
from lantern.core.formats.pasted.labels import LETTER, number_of
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_SAID = rf"(?:{LETTER}(?:\s*[,&+/]\s*{LETTER})*|{words('true')}|{words('false')}|[TFtf])"
_ONE_SAID = rf"(?:{words('true')}|{words('false')}|{LETTER}|[TFtf])(?![\w’'])"
_NUMBER = r"(?:\d{1,3}|[ivx]{1,5}|[IVX]{1,5})"
_Q = rf"(?:(?:{words('question')})\s*\.?\s*)?"
_HEAD = re.compile(
    rf"^(?:\([^()]*\)\s*)?[\s#*_>•\-–(✅✔☑📝🔑💡📋🗝\ufe0f]*(?:[^\W\d_]{{3,12}}\s+(?=\w+[\s*_]*:[\s*_]*\d))?(?:{words('key')}|{words('answer')})[\s*_]*"
    r"(?:\((?!\d)[^()]{2,40}\)[\s*_]*)?(?:[.:：)]|(?=\(?\d|$))[\s*_]*(?P<rest>.*)$",
    re.I,
)
_HEAD_OF_TABLE = re.compile(
    rf"^\s*\|?\s*(?:{words('question')}|{words('number')})\s*\|\s*(?:{words('key')}|{words('answer')})\s*\|?\s*(?P<rest>)$",
    re.I,
)
_BEHIND_A_SENTENCE = re.compile(
    rf"^(?P<before>[^:：?]{{1,60}}[.!])\s+(?P<key>(?:{words('key')}|{words('answer')})\s*[:：](?P<said>.*))$", re.I
)
_PLACES = re.compile(r"^\d{1,2}(?:\s*(?:[-–—→>,;]|->)\s*\d{1,2}){2,}\W*$")
MOST_ORDERED, MOST_ABOVE = 14, 3
_PAIR = re.compile(
    rf"(?:^|[\s,;|])#?{_Q}(?:(\d{{1,3}})\s*[.):：=\-–→>]*|([ivx]{{1,5}}|[IVX]{{1,5}})\s*[.):：=\-–→>]+)\s*"
    rf"\(?({_SAID})\)?(?![\w’'])",
    re.I,
)
_PART = re.compile(r"(?:^|(?<=[\s,;]))(\d{1,3})(?:\s*(\.(?!\d)|[):=\-–])\s*|\s+|(?=[A-La-l](?!\w)))(?=\S)")
_ROW = re.compile(rf"^\s*\|\s*#?{_Q}(\d{{1,3}})\s*[.):]?\s*\|\s*([^|]*[^|\s])\s*(?:\|.*)?$", re.I)
_LINE = re.compile(
    rf"^[\s>•*\-–]*#?{_Q}({_NUMBER})\s*(?:(?:\.(?!\d)|[):：=\-–→])+|\s-\s|\s(?={_SAID}\b|\(a\)\s))\s*(\S.*)$", re.I
)
_CELL = re.compile(rf"^#?{_Q}(\d{{1,3}})(?:\s*(?:\.(?!\d)|[):：=\-–→>])+\s*|\s*(?=\(?[^\W\d]))(\S.{{0,60}})$", re.I)
_BARE_LINE = re.compile(r"^(\d{1,3})\s+([^\W\d].*)$")
_SOME_LABEL = re.compile(r"^\s*[^\W\d_][^\d:]{1,30}:\s+(?=\d)")
""" "Teacher's copy: 1a, 2b" """
_COUNTED_CELL = re.compile(r"^\W*(?:\d{1,3}|[IVXivx]{1,4}(?=[.)]))\s*[.):=–→-]?\s*\(?[^\W\d]")
_BARS = re.compile(r"^\s*\||\|\s*$")
_LETTERED = re.compile(r"\(([a-h])\)\s*(?=\S)")
_RULE = re.compile(r"^[\s|:+-]+$")
MOST_LOOKED_AT = 20_000
"""Lines that are read, in all, in search of a key."""
_COUNTED_GAP = re.compile(r"\(\d{1,2}\)\s*_{2,}|_{2,}\s*\(\d{1,2}\)")
_ASKS = ("?", "？", "؟")
_WORTH = re.compile(rf"\s*{WORTH}\s*$", re.I)
"""How many points an answer is worth."""
MOST_LEFT = 2
"""Lines that say no answer, a signature, by which a key may be longer than its answers."""
FEWEST_IN_TURN, FEWEST_LISTED, LONGEST_LISTED = 2, 3, 40
_IN_TURN = re.compile(rf"^\s*{_ONE_SAID}(?:\s*[,;/]\s*{_ONE_SAID}|\s+{_ONE_SAID})+\s*[.]?\s*$", re.I)
_IN_A_WORD = re.compile(r"^\W*([A-L]{3,}|[a-l]{3,})\W*$")


@dataclass
class Key:
    """Answers by (section, number), and in the order in which they stand. `left` are lines among them that say no
    answer; `named` are parts that are called by their headings, and not by a letter or number."""

    answers: dict[tuple[str, int], str] = field(default_factory=dict)
    left: list[Line] = field(default_factory=list)
    lines: dict[tuple[str, int], Line] = field(default_factory=dict)
    named: set[str] = field(default_factory=set)

    def unused(self, numbers: Iterable[tuple[str, int | None]]) -> list[Line]:
        """Lines of which no answer belongs to one of these questions."""
        used = {place if place in self.answers else ("", place[1]) for place in numbers}
        lines = {line.at: line for place, line in self.lines.items() if place not in used}
        return [line for at, line in lines.items() if not any(self.lines[p].at == at for p in used if p in self.lines)]

    def of(self, section: str, number: int | None) -> str | None:
        if number is None:
            return None
        said = self.answers.get((section, number))
        has_sections = any(name for name, _ in self.answers)
        return said if said is not None or has_sections else self.answers.get(("", number))


def with_key_last(lines: list[Line]) -> list[Line]:
    """A key above the questions, as one paragraph, is put below them."""
    filled = [at for at, line in enumerate(lines) if not line.is_blank][:MOST_ABOVE]
    for at in takewhile(lambda at: not _number_of(lines[at]), filled):
        head = _HEAD.match(lines[at].text)
        if not head or lines[at].code:
            continue
        end = next((i for i in range(at, len(lines)) if lines[i].is_blank), len(lines))
        said = [head["rest"], *(line.text for line in lines[at + 1 : end])]
        numbers = [number for text in said for number, _ in _pairs(text.strip())]
        asked = set(_asked_in(lines[end:]))
        if len(numbers) > 1 and set(numbers) <= asked:
            return [*lines[:at], *lines[end:], lines[end - 1].saying(""), *lines[at:end]]
    return lines


def without_key(lines: list[Line]) -> tuple[list[Line], Key]:
    """The lines before a key at the end of the text, and the key."""
    lines = _with_key_apart(lines)
    looked_at = 0
    repeated = repeated_names(lines)
    counted = [found[0] if not line.code and (found := _number_of(line)) else None for line in lines]
    first_asked = next(
        (at for at, line in enumerate(lines) if counted[at] is not None or "__" in line.text), len(lines)
    )
    for at in range(len(lines) - 1, -1, -1):
        head, first = _head_of_key(lines, at)
        if head is None:
            continue
        looked_at += len(lines) - first
        if looked_at > MOST_LOOKED_AT:
            break
        asked = [number for number in counted[first_asked:first] if number is not None]
        key = _read([lines[first].saying(head), *lines[first + 1 :]], lines[first_asked:first], asked, repeated)
        key = _moved(key, asked) if key is not None else None
        fits = key is not None and (not asked or any(number in asked for _, number in key.answers))
        is_only = not head.strip() or len(asked) == 1
        if key and fits and first_asked < first and len(key.answers) >= (1 if is_only else 2):
            return lines[:first], key
    return _without_bare_key(lines)


def _moved(key: Key, asked: list[int]) -> Key:
    """A key that counts from 1 where the questions go on from another part: 11, 12, 13."""
    numbers = [number for _, number in key.answers]
    begins = asked[0] - 1 if asked else 0
    in_turn = numbers == list(range(1, len(asked) + 1)) and asked == [number + begins for number in numbers]
    if begins <= 0 or not in_turn or set(numbers) & set(asked):
        return key
    answers = {(section, number + begins): said for (section, number), said in key.answers.items()}
    return replace(
        key, answers=answers, lines={(section, number + begins): line for (section, number), line in key.lines.items()}
    )


def _head_of_key(lines: list[Line], at: int) -> tuple[str | None, int]:
    """(what stands behind the word that heads a key in this line, the line the key begins at); None for no such line.
    A table with headings of its own may stand below that word."""
    line = lines[at]
    if line.code:
        return None, at
    table = _HEAD_OF_TABLE.match(line.text)
    if table:
        above = next((i for i in range(at - 1, max(-1, at - 4), -1) if not lines[i].is_blank), at)
        named = _HEAD.match(lines[above].text)
        return "", above if named and not named["rest"] else at
    head = _HEAD.match(line.text)
    rest = head["rest"].strip() if head else ""
    if _PLACES.match(rest) and any(map(_asks_for_order, lines[max(0, at - MOST_ORDERED) : at])):
        return None, at  # "3, 1, 2" below lines to be put into order
    is_list = at >= len(lines) - MOST_LEFT and bool(_listed(rest, len(_asked_in(lines[:at]))))
    says = not rest or is_list or bool(_answers_in_turn(rest) or [*_pairs(rest)]) or SECTION.match(rest)
    return (head["rest"], at) if head and says else (None, at)


def _asks_for_order(line: Line) -> bool:
    numbered = _number_of(line)
    return line_of.asks_for_order(numbered[2] if numbered else line.text)


def _answers_in_turn(said: str) -> list[str]:
    """Those of "F, T, T" and "BABC"."""
    word = _IN_A_WORD.match(said)
    return re.findall(_ONE_SAID, said, re.I) if _IN_TURN.match(said) else [*word[1]] if word else []


def _listed(said: str, count: int) -> list[str]:
    """ "owl, fox, hare": as many words as there are questions."""
    cells = [cell.strip() for cell in re.split(r"\s*[,;]\s*", said.strip().strip("()[]").rstrip("."))]
    is_list = len(cells) == count >= FEWEST_LISTED and all(0 < len(cell) <= LONGEST_LISTED for cell in cells)
    return cells if is_list and not any(map(_COUNTED_CELL.match, cells)) else []


def _in_turn(said: str, lines: list[Line], numbers: list[int]) -> dict[tuple[str, int], str]:
    """ "F, T, T" below the questions 1, 2 and 3: an answer for each, in their order."""
    answers = _answers_in_turn(said) or _listed(said, len(numbers))
    if len(answers) < FEWEST_IN_TURN or numbers != list(range(1, len(answers) + 1)):
        return {}
    if any(line_of.answer(line.text) is not None for line in lines):
        return {}  # it is that of the last question
    return {("", number): answer for number, answer in zip(numbers, answers, strict=True)}


def _with_key_apart(lines: list[Line]) -> list[Line]:
    """A key that stands behind a sentence in the last line is a line of its own."""
    last = max((at for at, line in enumerate(lines) if not line.is_blank), default=-1)
    found = _BEHIND_A_SENTENCE.match(lines[last].text) if last >= 0 and not lines[last].code else None
    if found is None or not list(_pairs(found["said"].strip())):
        return lines
    line = lines[last]
    return [*lines[:last], line.saying(found["before"]), line.saying(found["key"]), *lines[last + 1 :]]


def _numbered(line: Line) -> bool:
    return _number_of(line) is not None


def _number_of(line: Line) -> tuple[int, str, str] | None:
    return line_of.question_number(re.sub(r"^\s*(?:[>*_]+|#+(?!\d))+\s*", "", line.text))


def _without_bare_key(lines: list[Line]) -> tuple[list[Line], Key]:
    """A last paragraph, or last line, of nothing but numbers and letters is a key without a word above it."""
    last = max((at for at, line in enumerate(lines) if not line.is_blank), default=-1)
    first = last
    while first > 0 and not lines[first - 1].is_blank:
        first -= 1
    body, key = _bare_key(lines, first, last)
    if not key.answers:
        body, key = _counted_again(lines, first, last)
    return (body, key) if key.answers else _bare_key(lines, last, last)


def _counted_again(lines: list[Line], first: int, last: int) -> tuple[list[Line], Key]:
    """A last paragraph that counts once more what was counted above it, and nothing else is counted: "1. der Anker",
    and below "1. anchor"."""
    counted = [
        (at, found) for at, line in enumerate(lines[: last + 1]) if (found := line_of.question_number(line.text))
    ]
    numbers = [found[0] for _, found in counted]
    gaps = sum(len(_COUNTED_GAP.findall(line.text)) for line in lines[:first])
    if numbers == list(range(1, gaps + 1)) and [at for at, _ in counted] == list(range(first, last + 1)) and gaps > 1:
        return lines[:first], Key({("", found[0]): found[2] for _, found in counted})
    half = len(numbers) // 2
    behind = counted[half:]
    in_turn = numbers == [*range(1, half + 1), *range(1, half + 1)] and half >= FEWEST_IN_TURN
    if not in_turn or [at for at, _ in behind] != list(range(first, last + 1)):
        return lines, Key()
    if any(found[2].endswith(("?", "？", "؟")) or "__" in found[2] for _, found in behind):
        return lines, Key()
    return lines[:first], Key({("", found[0]): found[2] for _, found in behind})


def _bare_key(lines: list[Line], first: int, last: int) -> tuple[list[Line], Key]:
    paragraph = lines[first : last + 1]
    filled_in = _filled_in(lines[:first], paragraph)
    if filled_in:
        return lines[:first], Key(filled_in)
    if first <= 0 or not any(_numbered(line) or "(1)" in line.text for line in lines[:first]):
        return lines, Key()
    table = _table(paragraph)
    if table:
        return lines[:first], Key(table)
    answers: dict[tuple[str, int], str] = {}
    for line in paragraph:
        text = _SOME_LABEL.sub("", _BARS.sub("", line.text).replace("|", " "))
        found = _PAIR.findall(text)
        if _RULE.match(line.text):
            continue
        counted = _cells(text)
        if not counted and [number for number, _ in _parts(text)] == _asked_in(lines[:first]):
            counted = _parts(text)
        if counted and counted[0][0] == 1 and len(paragraph) == 1:
            return lines[:first], Key({("", number): said for number, said in counted})
        if not found or re.sub(r"[\s,;|]", "", _PAIR.sub("", text)):
            return lines, Key()
        answers |= {("", number_of(number or roman) or 0): said.strip() for number, roman, said in found}
    return (lines[:first], Key(answers)) if len(answers) > 1 else (lines, Key())


def _filled_in(above: Sequence[Line], paragraph: Sequence[Line]) -> dict[tuple[str, int], str]:
    """A last line that lists a word for each numbered question above, all of which have a blank to be filled."""
    asked = [line for line in above if not line.code and _number_of(line)]
    numbers = _asked_in(above)
    is_blank = len(paragraph) == 1 and all("__" in line.text for line in asked)
    words_in = _listed(paragraph[0].text, len(asked)) if is_blank and len(set(numbers)) == len(numbers) else []
    return {("", number): word for number, word in zip(numbers, words_in, strict=False)}


def _asked_in(lines: Sequence[Line]) -> list[int]:
    return [found[0] for line in lines if not line.code and (found := _number_of(line))]


def _table(lines: Sequence[Line]) -> dict[tuple[str, int], str]:
    """A row of numbers above a row of letters, parted by tabs, bars or spaces."""
    rows = [_BARS.sub("", line.text).replace("|", "\t") for line in lines if not _RULE.match(line.text)]
    cells = [[cell for cell in re.split(r"\t+|\s{2,}", row.strip()) if cell.strip()] for row in rows]
    if len(cells) != 2 or len(cells[0]) < 2 or len(cells[0]) != len(cells[1]):
        return {}
    numbers = [number_of(cell.strip().rstrip(".")) for cell in cells[0]]
    fits = all(numbers) and all(re.fullmatch(_SAID, cell.strip(), re.I) for cell in cells[1])
    return {("", number or 0): cell.strip() for number, cell in zip(numbers, cells[1], strict=True)} if fits else {}


def _read(lines: list[Line], above: list[Line], asked: list[int], repeated: Set[str] = frozenset()) -> Key | None:
    """The answers in these lines; None where more of them say something else. `asked` are the numbers of the lines
    above, `repeated` the names of headings that stand above and here."""
    filled = list(dropwhile(lambda line: line.is_blank, lines))
    first = list(takewhile(lambda line: not line.is_blank, filled))
    table = _table(first)
    if table:
        return Key(table, left=[line for line in filled[len(first) :] if not line.is_blank])
    alone = [line for line in lines if not line.is_blank][:1]
    if alone and (in_turn := _in_turn(alone[0].text, above, asked)):
        return Key(in_turn, left=[line for line in lines if not line.is_blank][1:])
    key, section, last = Key(), "", None
    for line in lines:
        name = name_of_heading(line)
        if name in repeated and section_of(name) is None and not list(_pairs(name)):
            section, last = name, None
            key.named.add(name)
            continue
        row = _ROW.match(line.text)
        text = _BARS.sub("", line.text).replace("|", " ").strip() if "|" in line.text else line.text.strip()
        if not text or _RULE.match(text):
            continue
        again = _HEAD.match(text) if line_of.answer(text) is None else None
        if again and again["rest"] and [*_pairs(again["rest"])]:
            text = again["rest"]
        begun = SECTION.match(text)
        if begun:
            section, text, last = begun["name"].upper(), text[begun.end() :].strip(), None
            if not text or name in repeated:
                continue
        found = [(int(row[1]), row[2])] if row else list(_pairs(text))
        bare = _BARE_LINE.match(text) if not found else None
        if bare and int(bare[1]) == (last[1] + 1 if last else 1):
            found = [(int(bare[1]), bare[2].strip())]
        if any(said.endswith(_ASKS) or "__" in said for _, said in found):
            return None
        if not found and (line_of.answer(text) is not None or (text.endswith(_ASKS) and _number_of(line))):
            return None
        if found:
            key.answers |= {(section, number): _WORTH.sub("", said) or said for number, said in found}
            key.lines |= {(section, number): line for number, _ in found}
            last = (section, found[-1][0])
        elif last and _next_part(key.answers[last], text):
            key.answers[last] += f" {text}"
        elif last and _indent(line) > _indent(key.lines[last]):
            key.answers[last] += f" – {text}"
        else:
            key.left.append(line)
            if len(key.left) > len(key.answers) + MOST_LEFT:
                return None
    return key


def _next_part(said: str, text: str) -> bool:
    """ "(b) decibel" below "3 (a) eardrum": the answer to the next part of the same question."""
    parts, following = _LETTERED.findall(said), _LETTERED.match(text)
    return bool(following and said.lstrip().startswith("(a)") and ord(following[1]) - ord(parts[-1]) == 1)


def _indent(line: Line) -> int:
    return len(line.text) - len(line.text.lstrip())


def _cells(line: str) -> list[tuple[int, str]]:
    """ "1a, 2b, 3 voyage": answers in turn, with commas between them."""
    found = [_CELL.match(cell) for cell in re.split(r"\s*[,;]\s+", line.strip().rstrip("."))]
    pairs = [(int(one[1]), one[2].strip()) for one in found if one is not None]
    numbers = [number for number, _ in pairs]
    in_turn = numbers == list(range(numbers[0], numbers[0] + len(numbers))) if numbers else False
    return pairs if len(pairs) == len(found) > 1 and in_turn else []


def _pairs(line: str) -> Iterator[tuple[int, str]]:
    cells = _cells(line)
    if cells:
        yield from cells
        return
    pairs = [(number_of(number or roman), said.strip()) for number, roman, said in _PAIR.findall(line)]
    parts = _parts(line)
    whole = _LINE.match(line)
    if len(parts) >= max(FEWEST_IN_TURN, len(pairs)):
        yield from parts
    elif len(pairs) > 1 and not (whole and len(re.sub(r"\W", "", _PAIR.sub("", line))) > 3):
        yield from ((number, said) for number, said in pairs if number)
    elif whole and number_of(whole[1]):
        yield number_of(whole[1]) or 0, whole[2].strip()
    elif pairs and pairs[0][0] and len(line) <= 8:
        yield from ((number, said) for number, said in pairs if number)


def _parts(line: str) -> list[tuple[int, str]]:
    """ "1. bow 2. stern 3. left": numbers that follow each other, each with something behind it."""
    marks: list[re.Match[str]] = []
    for mark in _PART.finditer(line):
        if not marks or (int(mark[1]) == int(marks[-1][1]) + 1 and bool(mark[2]) == bool(marks[0][2])):
            marks.append(mark)
    is_counted = len(marks) > 1 and all(mark[2] or not line[mark.end() :][:1].isdigit() for mark in marks)
    if not is_counted or marks[0].start() > 0:
        return []
    ends = [*(mark.start() for mark in marks[1:]), len(line)]
    said = [line[mark.end() : end].strip(" ,;·•|") for mark, end in zip(marks, ends, strict=True)]
    return [(int(mark[1]), text) for mark, text in zip(marks, said, strict=True)] if all(said) else []
