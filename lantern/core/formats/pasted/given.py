"""What a block is given by what stands elsewhere: words above it, a key below it."""

import re
from bisect import bisect_left

from lantern.core.formats.pasted.block import Block
from lantern.core.formats.pasted.blocks import Cut
from lantern.core.formats.pasted.gaps import GAP
from lantern.core.formats.pasted.headings import says_what_to_do
from lantern.core.formats.pasted.keys import Key
from lantern.core.formats.pasted.lines import before_inline_options, options_in_one_line
from lantern.core.formats.pasted.pairs import pairs_of
from lantern.core.formats.pasted.source import Line

FEWEST_IN_BANK, LONGEST_IN_BANK, FEWEST_LISTS = 3, 40, 2
_NUMBERED_GAP = re.compile(r"\((\d{1,2})\)\s*_{2,}")
_SENTENCE = re.compile(r"[^.!?\n]+[.!?]*")
_BETWEEN_WORDS = re.compile(r"\s*[,;|/·•\t]\s*|\s+[-–—]\s+|\s{3,}")


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


def with_lists_to_choose_from(cuts: Cut) -> list[Block]:
    """ "Which word does not belong?", and below it numbered lists of words of which a key names one each: a list is a
    question of its own, whose words are its options."""
    lists = {id(block): words for block in cuts.blocks if (words := _words_to_choose(block, cuts.key))}
    if len(lists) < FEWEST_LISTS:
        return cuts.blocks
    lone = [block.filled[0] for block in cuts.blocks if block.number is None and len(block.filled) == 1]
    heads = sorted([*cuts.passed, *lone], key=lambda line: line.at)
    places = [line.at for line in heads]
    made, used = [], set()
    for block in cuts.blocks:
        above = bisect_left(places, block.at) - 1
        asks = heads[above] if above >= 0 else None
        words = lists.get(id(block), ())
        if asks is None or not words:
            made.append(block)
            continue
        used.add(asks.at)
        options = [block.filled[0].saying(f"- {word}") for word in words]
        made.append(Block([block.filled[0].saying(asks.text.strip("#*_ ")), *options], block.number, block.section))
    cuts.passed = [line for line in cuts.passed if line.at not in used]
    return [block for block in made if block.number is not None or block.at not in used]


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


def _words_to_choose(block: Block, key: Key) -> tuple[str, ...]:
    """The words of a numbered list, if the key names one of them."""
    said = key.of(block.section, block.number)
    if said is None or len(block.filled) != 1:
        return ()
    words = tuple(word.strip() for word in _BETWEEN_WORDS.split(block.filled[0].text.strip().rstrip(".")))
    is_one = [word.casefold() for word in words].count(said.strip(" .").casefold()) == 1
    is_list = len(words) >= FEWEST_IN_BANK and all(0 < len(word) <= LONGEST_IN_BANK for word in words)
    return words if is_one and is_list else ()


def banks_of(blocks: list[Block]) -> list[tuple[str, ...]]:
    """For each block the words that stand above it to be put into gaps: those of the last list of words that was no
    question."""
    banks: list[tuple[str, ...]] = []
    bank: tuple[str, ...] = ()
    for block in blocks:
        banks.append(bank if block.number is not None else ())
        words = (
            _BETWEEN_WORDS.split(block.filled[-1].text.strip("()[] .")) if block.number is None and block.filled else []
        )
        if len(words) >= FEWEST_IN_BANK and all(0 < len(word) <= LONGEST_IN_BANK for word in words):
            first, colon, rest = words[0].partition(":")
            bank = (rest.strip() if colon else first, *words[1:])
    return banks
