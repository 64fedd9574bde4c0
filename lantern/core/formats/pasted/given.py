"""What a block is given by what stands elsewhere: words above it, a key below it."""

import re
from bisect import bisect_left
from collections import Counter

from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.blocks import Cut
from lantern.core.formats.pasted.gaps import GAP
from lantern.core.formats.pasted.headings import says_what_to_do
from lantern.core.formats.pasted.keys import Key
from lantern.core.formats.pasted.lines import before_inline_options, options_in_one_line
from lantern.core.formats.pasted.pairs import pairs_of
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

FEWEST_IN_BANK, LONGEST_IN_BANK, FEWEST_LISTS = 3, 40, 2
LONGEST_ASKING = 200
_NUMBERED_GAP = re.compile(r"\((\d{1,2})\)\s*_{2,}")
_SENTENCE = re.compile(r"[^.!?\n]+[.!?]*")
_BETWEEN_WORDS = re.compile(r"\s*[,;|/·•\t]\s*|\s+[-–—]\s+|\s{3,}")
_BETWEEN_CHOICES = re.compile(rf"{_BETWEEN_WORDS.pattern}|\s+{words('either')}\s+", re.I)
_BETWEEN_FEW = re.compile(r"\s*[,;|/·•\t]\s*|\s{2,}")
_ALTERNATIVES = re.compile(
    rf"(?:^|[:(]\s*)(?P<words>[^:()?]+?,[^:()?]+?\s{words('either')}\s[^:()?]+?)\s*[?)]*\s*$", re.I
)
"""The last words of a line that lists what may be chosen: "…: True, False or Not given?"."""
_ANSWERED_LIST = re.compile(r"^(?P<words>\S.*?\S)\s*(?:→|->|=>|\s[-–—]\s)\s*(?P<said>[^→\n]{1,40})$")
"""A list of words, and the one that is right: "ship  sheep  lip → sheep"."""
_ANSWERED_FAR = re.compile(r"^(?P<words>\S.*?\S)\s{3,}(?P<said>\S[^\n–—]{0,40}?)(?:\s+[–—-]\s+(?P<why>\S.*))?$")
_EITHER_BEHIND = re.compile(r"\s(\w{1,9}|\w+ \w+)\s*/\s*\w{1,9}\s*$")
_ASKS = ("?", "？", "؟", ":", "：", ".")


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


def with_options_from_above(cuts: Cut) -> list[Block]:
    """What a line above numbered ones asks of all of them is asked with each: "Which word does not belong?" above lists
    of words, "Which is right?" above options alone, "True, false or not given?" above statements."""
    lone = [block.filled[0] for block in cuts.blocks if block.number is None and len(block.filled) == 1]
    heads = sorted([*cuts.passed, *lone], key=lambda line: line.at)
    places = [line.at for line in heads]
    made: list[tuple[Block, Block | None, int]] = []
    for block in cuts.blocks:
        above = bisect_left(places, block.at) - 1
        head = heads[above] if above >= 0 and block.number is not None else None
        made.append((block, _asked_from(head, block, cuts.key), head.at) if head else (block, None, 0))
    by_head = Counter(at for _, asked, at in made if asked is not None)
    used = {at for at, times in by_head.items() if times >= FEWEST_LISTS}
    cuts.passed = [line for line in cuts.passed if line.at not in used]
    return [
        asked if asked is not None and at in used else block
        for block, asked, at in made
        if block.number is not None or block.at not in used
    ]


def _asked_from(head: Line, block: Block, key: Key) -> Block | None:
    """The block as a question with options, if what it lacks stands in the line above."""
    asks = head.text.strip("#*_ ")
    if _is_only_options(block):
        return Block([head.saying(asks), *block.lines], block.number, block.section) if asks.endswith(_ASKS) else None
    said = key.of(block.section, block.number)
    if len(block.filled) != 1:
        return None
    line = block.filled[0]
    chosen = answered_list(line) if said is None else []
    if chosen:
        return Block([head.saying(asks), *chosen], block.number, block.section)
    if said is None:
        return None
    named = options_in_one_line(head)
    if len(named) > 1 and said.strip(" .").upper() in {one.label for one in named}:
        options = [line.saying(f"{one.label}) {one.text}") for one in named]
        return Block([line, *options], block.number, block.section)
    if _EITHER_BEHIND.search(line.text):
        return None  # each is a statement
    found = _words_in(line.text.strip().rstrip("."), said)
    if found:
        options = [line.saying(f"- {word}") for word in found]
        return Block([line.saying(asks), *options], block.number, block.section)
    listed = _ALTERNATIVES.search(asks) if len(asks) <= LONGEST_ASKING else None
    found = _words_in(listed["words"], said) if listed else ()
    options = [line.saying(f"- {word[:1].upper()}{word[1:]}") for word in found]
    return Block([line, *options], block.number, block.section) if found else None


def answered_list(line: Line, said: str = "") -> list[Line]:
    """The options, and the answer, of a line that lists words and the one that is right, which may be said elsewhere;
    none where it does not."""
    text = line.text.strip()
    found = None if said else _ANSWERED_LIST.match(text) or _ANSWERED_FAR.match(text)
    words_of, said = (found["words"].strip(), found["said"].strip()) if found else (text, said)
    cells = _words_in(words_of, said, _BETWEEN_FEW, FEWEST_LISTS) if said else ()
    why = found.groupdict().get("why") if found else None
    lines = [*(f"- {word}" for word in cells), f"Answer: {said}", *([f"Explanation: {why}"] if why else [])]
    return [line.saying(one) for one in lines] if cells else []


def _words_in(text: str, said: str, between: "re.Pattern[str]" = _BETWEEN_CHOICES, fewest: int = 3) -> tuple[str, ...]:
    """The words of a list, if a key names one of them."""
    cells = tuple(word.strip() for word in between.split(text))
    is_one = [word.casefold() for word in cells].count(said.strip(" .").casefold()) == 1
    is_list = len(cells) >= fewest and all(0 < len(word) <= LONGEST_IN_BANK for word in cells)
    return cells if is_one and is_list else ()


def with_sentences_of_gaps(cuts: Cut) -> list[Block]:
    """Options for each numbered gap of a text above them, "1. a) leave b) leaves", are asked with its sentence."""
    blocks = cuts.blocks
    sentences: dict[int, Line] = {}
    for block in blocks:
        if block.number is None and block.filled:
            sentences |= {
                int(found[1]): block.filled[0].saying(sentence.strip())
                for sentence in _SENTENCE.findall(block.text)
                for found in _NUMBERED_GAP.finditer(sentence)
            }
    bare = [block for block in blocks if block.number in sentences and _is_only_options(block)]
    if len(bare) < FEWEST_LISTS or {block.number for block in bare} != set(sentences):
        return blocks
    asked = {id(block): sentences[block.number or 0] for block in bare}
    texts = [block for block in blocks if block.number is None and _NUMBERED_GAP.search(block.text)]
    parted = set(map(id, texts))
    cuts.passed += [line for block in texts for line in block.filled]
    return [
        Block([asked[id(block)], *block.lines], block.number, block.section) if id(block) in asked else block
        for block in blocks
        if id(block) not in parted
    ]


def _is_only_options(block: Block) -> bool:
    first = block.filled[0] if block.filled else None
    return first is not None and bool(options_in_one_line(first)) and not before_inline_options(first.text)


def banks_of(blocks: list[Block]) -> list[tuple[str, ...]]:
    """For each block the words that stand above it to be put into gaps: those of the last list of words that was no
    question."""
    banks: list[tuple[str, ...]] = []
    bank: tuple[str, ...] = ()
    for block in blocks:
        banks.append(bank if block.number is not None else ())
        cells = (
            _BETWEEN_WORDS.split(block.filled[-1].text.strip("()[] .")) if block.number is None and block.filled else []
        )
        if len(cells) >= FEWEST_IN_BANK and all(0 < len(word) <= LONGEST_IN_BANK for word in cells):
            first, colon, rest = cells[0].partition(":")
            bank = (rest.strip() if colon else first, *cells[1:])
    return banks
