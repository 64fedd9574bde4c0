"""Rarer ways of counting questions, and of lettering options, as the usual ones."""

import re
from collections.abc import Callable, Iterable
from itertools import pairwise, repeat

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import says_what_to_do
from lantern.core.formats.pasted.labels import LETTER, SERIES, index_of, number_of
from lantern.core.formats.pasted.rare.patterns import (
    FEWEST_EITHER,
    FEWEST_LETTERS,
    LETTERED,
    LONGEST_CLUE,
    MOST_LETTERS,
    place_of_letter,
)
from lantern.core.formats.sayings import words

_ROMAN = re.compile(r"^(\s*)\(?([ivx]+|[IVX]+)[.)]\s+(?=\S)")
_BARE_NUMBER = re.compile(r"^(\s*)(\d{1,3})\s+(?=[A-ZÀ-Þ“\"¿])")
_BARE_LETTER = re.compile(r"^(\s*)([a-lA-L])\s+(?![-–—=:.)/|])(?=\S)")
_BARE_OTHER = re.compile(rf"^(\s*)(?![A-Za-z])({LETTER})\s+(?=\S)")
_FAR_LETTER = re.compile(r"^(\s*)([A-L])(?:\s{2,}|\t)(?=\S)")
_EQUAL_LETTER = re.compile(r"^(\s*)([a-lA-L])\s*=\s*(?=\S)")
_FAR_NUMBER = re.compile(r"^(\s*)(\d{1,3})(?:\s{2,}|\t)(?=[^\W\d_])")
_IN_BRACKETS = re.compile(r"^(\s*)\((\d{1,3})\)\s+(?=\S)")
_NUMBERS = {
    word: number
    for spelled in (
        "one two three four five six seven eight nine ten eleven twelve",
        "eins zwei drei vier fünf sechs sieben acht neun zehn elf zwölf",
        "un deux trois quatre cinq six sept huit neuf dix onze douze",
        "uno dos tres cuatro cinco seis siete ocho nueve diez once doce",
    )
    for number, word in enumerate(spelled.split(), start=1)
}
_SPELLED = re.compile(rf"^([\s#*_]*(?:{words('question')}))\s+({'|'.join(_NUMBERS)})(?![\w’'])", re.I)
_CODED = re.compile(r"^(\s*)\[Q[-\s]?(\d{1,3})\]\s*(?=\S)", re.I)
_CLUE = re.compile(r"^\s*(\d{1,2})\.?\s+(\S.*\(\d{1,2}(?:[,-]\d{1,2})*\))\s+[-–]?\s*([A-ZÀ-Þ][A-ZÀ-Þ\s-]+)$")
_BLANK_BEFORE = re.compile(r"^(\s*)_{2,}\s+(?=\d{1,3}[.)]\s)")
_LETTER_ASKS = re.compile(r"^(\s*)\(?([A-L])[.)]\s+(?=\S)")
_ONE = re.compile(r"^\s*\(?1[.)]\s")
_SOME_NUMBER = re.compile(r"^(\s*)\(?(\d{1,2})[.)]\s+(?=\S)")
_LETTER_NUMBER = re.compile(r"(?<!\w)([A-L])\s*[-–:=.)]?\s*([1-9])(?!\w)")
_BLANK_FOR_LETTER = re.compile(r"^(\s*\d{1,3}[.)]\s*)[_(]{1,}[\s_]*[_)]\s+(?=\S)")


def with_usual_numbers(lines: list[str]) -> list[str]:
    """ "Question Two", "[Q-102]" and clues of a crossword, "4 Front of a ship (3) BOW", are numbered as usual."""
    lines = [_SPELLED.sub(lambda found: f"{found[1]} {_NUMBERS[found[2].casefold()]}", line) for line in lines]
    lines = [_CODED.sub(r"\1Question \2: ", line) for line in lines]
    clues = [line for line in lines if len(line) <= LONGEST_CLUE and _CLUE.match(line)]
    if len(clues) < FEWEST_EITHER:
        return lines
    return [_CLUE.sub(r"\1. \2 – \3", line) if len(line) <= LONGEST_CLUE else line for line in lines]


def without_blanks_for_letters(lines: list[str]) -> list[str]:
    """ "1. ____ The tide …", several times: a blank for T or F, or for a letter, and no gap in a text."""
    lines = [_BLANK_BEFORE.sub(r"\1", line) for line in lines]
    found = [line for line in lines if _BLANK_FOR_LETTER.match(line)]
    if len(found) < 2 or any("__" in _BLANK_FOR_LETTER.sub("", line) for line in found):
        return lines
    return [_BLANK_FOR_LETTER.sub(r"\1", line) for line in lines]


def letters_as_numbers(lines: list[str]) -> list[str]:
    """Questions A, B, C with options 1, 2, 3 change to the usual way round, and so does "A1, B3" at the end."""
    asked = [
        (at, match)
        for at, line in enumerate(lines)
        if (match := _LETTER_ASKS.match(line)) and _ONE.match(next(filter(str.strip, lines[at + 1 :]), ""))
    ]
    if len(asked) < FEWEST_EITHER or [place_of_letter(match[2]) for _, match in asked] != list(range(len(asked))):
        return lines
    if any(map(_heads_questions, repeat(lines), (at for at, _ in asked))):
        return lines
    made = list(lines)
    for at, line in enumerate(lines[asked[0][0] :], start=asked[0][0]):
        option = _SOME_NUMBER.match(line)
        if option and 0 < int(option[2]) <= MOST_LETTERS:
            made[at] = f"{option[1]}{chr(ord('a') + int(option[2]) - 1)}) {line[option.end() :]}"
    for place, (at, match) in enumerate(asked, start=1):
        made[at] = f"{match[1]}{place}. {lines[at][match.end() :]}"
    for at in range(len(lines) - 1, asked[-1][0], -1):
        if len(_LETTER_NUMBER.findall(lines[at])) == len(asked):
            made[at] = _LETTER_NUMBER.sub(
                lambda one: f"{place_of_letter(one[1]) + 1}{chr(ord('a') + int(one[2]) - 1)}", lines[at]
            )
            break
    return made


def _heads_questions(lines: list[str], at: int) -> bool:
    """Whether what is counted below a lettered line are questions: blank or lettered lines stand between them."""
    counted = [i for i in range(at + 1, len(lines)) if _SOME_NUMBER.match(lines[i])][:2]
    between = lines[counted[0] + 1 : counted[1]] if len(counted) > 1 else []
    return any(not line.strip() or LETTERED.match(line) for line in between)


def without_brackets(lines: list[str]) -> list[str]:
    """(1), (2) number questions where other lines stand between them; else they are options."""
    places = [(at, int(found[2])) for at, line in enumerate(lines) if (found := _IN_BRACKETS.match(line))]
    apart = all(after - before > 1 for (before, _), (after, _) in pairwise(places))
    if len(places) < 2 or not apart or [number for _, number in places] != list(range(1, len(places) + 1)):
        return lines
    return [_IN_BRACKETS.sub(r"\1\2. ", line) for line in lines]


def _as_section(line: str) -> str:
    """ "II. Calculate." above questions with other numbers heads a part."""
    match = _ROMAN.match(line)
    if not match or not match[2].isupper() or not says_what_to_do(line[match.end() :]):
        return line
    return f"Section {match[2]}: {line[match.end() :]}"


def without_roman(lines: list[str]) -> list[str]:
    """I. II. III. number questions, i) ii) iii) name options; a lone "I." is no number."""
    if any(_ONE.match(line) for line in lines):
        lines = [_as_section(line) for line in lines]
    found = [match[2] for line in lines if (match := _ROMAN.match(line))]
    large, small = "II" in found, "ii" in found

    def replaced(line: str) -> str:
        match = _ROMAN.match(line)
        if not match or not (large if match[2].isupper() else small):
            return line
        value = number_of(match[2]) or 0
        label = f"{value}." if match[2].isupper() else f"{SERIES[0][(value - 1) % 12].lower()})"
        return f"{match[1]}{label} {line[match.end() :]}" if value > 0 else line

    return [replaced(line) for line in lines]


def with_marks(lines: list[str]) -> list[str]:
    """ "1 What …" above "a …" and "b …": numbers and letters without a mark behind them get one."""
    equal = any(line_of.answer(line) is not None for line in lines)
    for pattern in (_BARE_OTHER, _FAR_LETTER, *([_EQUAL_LETTER] if equal else [])):
        bare = _in_turn(lines, pattern, lambda label: (index_of(label) or 0) + 1)
        lines = [pattern.sub(r"\1\2) ", line) if at in bare else line for at, line in enumerate(lines)]
    if any(line_of.question_number(line) for line in lines):
        return _with_close_letters(lines)
    far = _counted(lines, _FAR_NUMBER)
    lines = [_FAR_NUMBER.sub(r"\1\2. ", line) if at in far else line for at, line in enumerate(lines)]
    if far:
        return lines
    numbers = _in_turn(lines, _BARE_NUMBER, int) or _counted_first(lines)
    letters = _in_turn(lines, _BARE_LETTER, lambda label: ord(label.lower()) - ord("a") + 1)
    if not numbers or len(letters) < 2:
        return _with_close_letters(lines)
    lines = [_BARE_NUMBER.sub(r"\1\2. ", line) if at in numbers else line for at, line in enumerate(lines)]
    return [_BARE_LETTER.sub(r"\1\2) ", line) if at in letters else line for at, line in enumerate(lines)]


def _with_close_letters(lines: list[str]) -> list[str]:
    """ "A bowline", "B rudder", "C reef knot" in lines that follow each other: letters without a mark get one."""
    made = list(lines)
    at = 0
    while at < len(lines):
        run = 0
        while at + run < len(lines) and (one := _BARE_LETTER.match(lines[at + run])) and place_of_letter(one[2]) == run:
            run += 1
        if run >= FEWEST_LETTERS:
            made[at : at + run] = [_BARE_LETTER.sub(r"\1\2) ", line) for line in lines[at : at + run]]
        at += max(1, run)
    return made


def _counted(lines: list[str], pattern: "re.Pattern[str]") -> set[int]:
    """Indices of lines whose numbers go up one by one, from any, with other lines between them."""
    found = [(at, int(match[2])) for at, line in enumerate(lines) if (match := pattern.match(line))]
    steps = all(after - before == 1 and at - first > 1 for (first, before), (at, after) in pairwise(found))
    return {at for at, _ in found} if len(found) > 1 and steps else set()


def _counted_first(lines: list[str]) -> set[int]:
    """Indices of the first lines whose bare numbers go up one by one, from any, with other lines between them."""
    run: list[tuple[int, int]] = []
    for at, line in enumerate(lines):
        found = _BARE_NUMBER.match(line)
        if found and (not run or (int(found[2]) == run[-1][1] + 1 and at - run[-1][0] > 1)):
            run.append((at, int(found[2])))
        elif found:
            break
    return {at for at, _ in run} if len(run) > 1 else set()


def _in_turn(lines: Iterable[str], pattern: "re.Pattern[str]", value: Callable[[str], int]) -> set[int]:
    """Indices of lines whose labels follow each other: 1, 2, 3, or a, b, c, a, b …; "a" alone is an article."""
    found = [(at, value(match[2])) for at, line in enumerate(lines) if (match := pattern.match(line))]
    runs: list[list[tuple[int, int]]] = []
    for at, number in found:
        if number == 1 and not (runs and len(runs[-1]) == 1 and runs[-1][0][0] == at - 1):
            runs.append([(at, number)])
        elif runs and number == runs[-1][-1][1] + 1:
            runs[-1].append((at, number))
    return {at for run in runs if len(run) > 1 for at, _ in run}
