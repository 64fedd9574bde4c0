"""What is done to a pasted text before it is cut: rarer ways of writing become the usual ones, line by line.

No line is added or taken away, so that places can still be told.
"""

import re
from collections.abc import Callable, Iterable
from itertools import pairwise, repeat, takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.asking_letters import with_asking_letters
from lantern.core.formats.pasted.bold_gaps import with_gaps_for_bold
from lantern.core.formats.pasted.codes import (
    chosen_within,
    judged,
    keys_in_headings,
    letters_that_ask,
    signs_behind,
    without_codes,
)
from lantern.core.formats.pasted.decimals import counted_through
from lantern.core.formats.pasted.headings import says_what_to_do
from lantern.core.formats.pasted.labels import LETTER, SERIES, index_of, number_of
from lantern.core.formats.pasted.said_before import (
    answers_below,
    either_behind,
    letters_behind,
    order_behind,
    reasons_behind,
    said_behind,
    truth_behind,
)
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.pasted.truth_letters import with_truth_letters
from lantern.core.formats.sayings import words

_CIRCLED = re.compile(r"^(\s*)([Ⓐ-Ⓛⓐ-ⓛ①-⑳❶-❿])\s*")
_WRONG = re.compile(r"^(\s*)[✗✘❌☓]\s*(?=\S)|(?<=\S)\s*[✗✘❌☓]\s*$")
_ROMAN = re.compile(r"^(\s*)\(?([ivx]+|[IVX]+)[.)]\s+(?=\S)")
_BARE_NUMBER = re.compile(r"^(\s*)(\d{1,3})\s+(?=[A-ZÀ-Þ“\"¿])")
_BARE_LETTER = re.compile(r"^(\s*)([a-lA-L])\s+(?![-–—=:.)/|])(?=\S)")
_BARE_OTHER = re.compile(rf"^(\s*)(?![A-Za-z])({LETTER})\s+(?=\S)")
_FAR_LETTER = re.compile(r"^(\s*)([A-L])(?:\s{2,}|\t)(?=\S)")
_EQUAL_LETTER = re.compile(r"^(\s*)([a-lA-L])\s*=\s*(?=\S)")
_FAR_NUMBER = re.compile(r"^(\s*)(\d{1,3})(?:\s{2,}|\t)(?=[^\W\d_])")
_SAID_WRONG = re.compile(r"^(\s*)(?:wrong|incorrect|false|distractor)(?: (?:answer|option))?\s*\d*\s*:\s*(?=\S)", re.I)
_SAID_RIGHT = re.compile(r"^(\s*)(?:right|correct|true)(?: (?:answer|option))?\s*\d*\s*:\s*(?P<text>\S.*)$", re.I)
_IN_BRACKETS = re.compile(r"^(\s*)\((\d{1,3})\)\s+(?=\S)")
_DECORATED = re.compile(
    rf"^(\s*)(?:{BULLET})\s*(?=(?:\d{{1,3}}(?:\.\s|\))|\(?{LETTER}(?:\.\s|\))|\**(?:{words('question')})\s*(?:\d{{1,3}}\s*)?[.):：]|{words('answer')}\s*[:：]|{words('why')}\s*[:：])\s*\S)",
    re.I,
)
_DECORATED_LETTER = re.compile(rf"^\s*(?:{BULLET})\s*\(?({LETTER})(?:\.\s|\))\s*\S", re.I)
_PICTURE = (
    r"[\u2b50\U0001f300-\U0001faff\u2600-\u2604\u2614\u2615\u2693\u26a0\u26a1\u26bd\u26c4\u26c5\u26f0-\u26fd\u2708"
    r"\u270f\u2728\u2744\u2753-\u2755\u27a1\u25b6]\ufe0f?\s*"
)
_PICTURES = re.compile(rf"^(\s*)(?:{_PICTURE})+(?=\S)|(?<=[\d.:?!])\s+(?:{_PICTURE})+$")
_ONLY_PICTURES = re.compile(rf"^\s*(?:{_PICTURE})+$")
_SOME_SIGN = re.compile(r"[✅✔✓❌✗✘]")
_FAR_APART = re.compile(r"\s{3,}|\t+")
_SIGNED = re.compile(r"([^✅✔✓❌✗✘]*\w[^✅✔✓❌✗✘]*?)\s*([✅✔✓❌✗✘])")
_CIRCLE = re.compile(r"^(\s*)O\s+(?=\S)")
"""A letter that stands for a circle to be crossed."""
_UNDERSCORED = re.compile(r"^(\s*)_{1,3}(?:\s*(?P<x>[xX✓✔])\s*_{1,3}|_)\s+(?=[^\s\d_])")
"""A blank for a cross before an option, and one with it: "__ bow", "_X_ stern"."""
_NAME_BEHIND = re.compile(r"(?<=\S)\s{2,}(?:name|date|class|score|klasse|datum|nom|nombre)\s*:?\s*_{3,}.*$", re.I)
_POINTS_BEHIND = re.compile(
    r"\s*\[(\d{1,2})\](?P<more>\s*$|(?=\s{2,}\(?[aA][.)]\s)|(?=\s+(?:_{2,}|\(?[TRVW]\s*/\s*[FO]\)?)\s*$))"
)
_POINTS_WITHIN = re.compile(
    rf"(\s*[(\[]\s*\d{{1,3}}\s*(?:{words('points')})\.?\s*[)\]])(\s+(?:_{{2,}}|\(?[TRVW]\s*/\s*[FO]\)?))\s*$", re.I
)
_POINTS_ENDING = re.compile(
    rf"^(?P<asks>\s*\S.*[?？؟])\s*(?P<points>[(\[]\s*\d{{1,3}}\s*(?:{words('points')})\.?\s*[)\]])\s*$", re.I
)
_POINTS_DASHED = re.compile(rf"(?<=[?？؟.])\s+[-–—]\s+(\d{{1,3}}\s*(?:{words('points')}))\.?\s*$", re.I)
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
_BEGINNING = re.compile(r"^\s*(?:#{1,6}\s+|[-•*]\s+)?")
_STARRED = re.compile(rf"^\s*\*\s+\(?{LETTER}[.):]\s*\S")
_LETTERED = re.compile(rf"^\s*\(?{LETTER}[.):]\s*\S")
_FIRST_ROMAN, _SECOND_ROMAN = re.compile(r"^\s*[IV][.)]"), re.compile(r"^\s*II[.)]")
_BLANK_BEFORE = re.compile(r"^(\s*)_{2,}\s+(?=\d{1,3}[.)]\s)")
_ROW = re.compile(r"^\s*\|\s*\(?([A-La-l])[.)]?\s*\|\s*([^|]*[^|\s])\s*\|?\s*$")
_ROW_RULE = re.compile(r"^\s*\|?\s*:?-{2,}:?\s*\|\s*:?-{2,}:?\s*\|?\s*$")
_ROW_HEAD = re.compile(
    rf"^\s*\|\s*(?:{words('option')}|{words('number')}|{words('answer')})?\s*\|\s*(?:{words('option')}|{words('answer')}|text)?\s*\|?\s*$",
    re.I,
)
_TERM = re.compile(r"^\s*\**(?:term|word|begriff|wort|terme|término|mot)\s*:\**\s*(?=\S)", re.I)
_DEFINITION = re.compile(
    r"^\s*\**(?:definition|meaning|bedeutung|erklärung|définition|definición)\s*:\**\s*(?=\S)", re.I
)
_RADIO = re.compile(r"^(\s*(?:[-*•]\s+)?)([🔘🔵⚪⚫⭕◯])\s*(?=\S)")
_POINTS_FAR_BEHIND = re.compile(
    rf"(?:\s{{3,}}|\t)_*(?:\s?/\s?(\d{{1,2}})\s*(?:{words('points')})?|\s?(\d{{1,2}})\s*(?:{words('points')}))\.?\s*$",
    re.I,
)
_LETTER_ASKS = re.compile(r"^(\s*)\(?([A-L])[.)]\s+(?=\S)")
_ONE = re.compile(r"^\s*\(?1[.)]\s")
_SOME_NUMBER = re.compile(r"^(\s*)\(?(\d{1,2})[.)]\s+(?=\S)")
_LETTER_NUMBER = re.compile(r"(?<!\w)([A-L])\s*[-–:=.)]?\s*([1-9])(?!\w)")
MOST_LETTERS, LONGEST_CLUE, LONGEST_ROW = 12, 200, 60
FEWEST_EITHER, FEWEST_LETTERS = 2, 3
_BLANK_FOR_LETTER = re.compile(r"^(\s*\d{1,3}[.)]\s*)[_(]{1,}[\s_]*[_)]\s+(?=\S)")


def tidy(lines: list[Line]) -> list[Line]:
    """The lines in the usual ways of writing."""
    lines = _with_signed_rows(_with_pictures_as_bullets(_with_radio_buttons(lines)))
    texts = [_bare(text) if text else "" for text in judged([line.text for line in lines])]
    for step in _STEPS:
        texts = step(texts)
    return [line if line.code else line.saying(text) for line, text in zip(lines, texts, strict=True)]


def _bare(text: str) -> str:
    """A line without a name to be filled in, small pictures, and crosses at what is wrong; letters in circles written
    out."""
    if _ONLY_PICTURES.match(text):
        return ""
    return _WRONG.sub(r"\1", _circled(_PICTURES.sub(r"\1", _NAME_BEHIND.sub("", text))))


def _with_radio_buttons(lines: list[Line]) -> list[Line]:
    """Small pictures of buttons before several lines are boxes; where there are two sorts, the full one is ticked."""
    found = {at: match for at, line in enumerate(lines) if (match := _RADIO.match(line.text)) and not line.code}
    if len(found) < FEWEST_EITHER:
        return lines
    two_sorts = len({match[2] for match in found.values()}) > 1
    return [
        line.saying(f"{match[1]}[{'x' if two_sorts and match[2] in '🔘🔵' else ' '}] {line.text[match.end() :]}")
        if (match := found.get(at))
        else line
        for at, line in enumerate(lines)
    ]


def _with_pictures_as_bullets(lines: list[Line]) -> list[Line]:
    """Small pictures before each of several lines below a question are bullets."""
    made = list(lines)
    filled = [at for at, line in enumerate(lines) if not line.is_blank]
    for place, at in enumerate(filled):
        if not lines[at].text.rstrip("*_ ").endswith(("?", "？", "؟")) or lines[at].code:
            continue
        below = [*takewhile(lambda i: _PICTURES.match(lines[i].text), filled[place + 1 : place + 1 + MOST_LETTERS])]
        if len(below) >= FEWEST_EITHER and not any(_says_something(lines[i].text) for i in below):
            for i in below:
                made[i] = lines[i].saying(f"- {_PICTURES.sub('', lines[i].text).strip()}")
    return made


def _with_signed_rows(lines: list[Line]) -> list[Line]:
    """ "2 ❌ 3 ❌ 4 ✅", or "root ✓   stem   leaf": options in one line, each, or the right one, with its sign."""
    made = list(lines)
    for at, line in enumerate(lines):
        is_signed = not line.code and len(line.text) <= LONGEST_CLUE and _SOME_SIGN.search(line.text)
        found = _signed(line.text.strip()) if is_signed else []
        ticked = [tick for _, tick in found]
        if len(found) >= FEWEST_EITHER and any(ticked) and not all(ticked):
            row = (
                f"{name}) {text}{' (correct)' if tick else ''}"
                for name, (text, tick) in zip(SERIES[0], found, strict=False)
            )
            made[at] = line.saying("  ".join(row))
    return made


def _signed(text: str) -> list[tuple[str, bool]]:
    """(each option, whether a tick stands at it), where the whole line is such options."""
    cells = _FAR_APART.split(text)
    if len(cells) >= FEWEST_EITHER and sum(_SOME_SIGN.search(cell) is not None for cell in cells) == 1:
        parted = [(_SOME_SIGN.sub("", cell).strip(), any(sign in cell for sign in "✅✔✓")) for cell in cells]
        return parted if all(cell and not _LETTERED.match(cell) for cell, _ in parted) else []
    if _SIGNED.sub("", text).strip():
        return []
    return [(cell.strip(), sign in "✅✔✓") for cell, sign in _SIGNED.findall(text)]


def _says_something(text: str) -> bool:
    """Whether a line is more than what is chosen: it is counted, or an answer."""
    bare = _PICTURES.sub("", text)
    says = (line_of.answer, line_of.reason, line_of.label_alone)
    is_counted = line_of.question_number(bare) is not None or _LETTERED.match(bare) is not None
    return is_counted or line_of.is_aside(text) or any(one(text) is not None for one in says)


def _without_decoration(lines: list[str]) -> list[str]:
    """Bullets before letters and numbers say nothing, unless they are stars before some of them alone."""
    roman = any(_SECOND_ROMAN.match(line) for line in lines)
    lettered = [line for line in lines if _LETTERED.match(line) and not (roman and _FIRST_ROMAN.match(line))]
    stars = bool(lettered) and any(_STARRED.match(line) for line in lines)
    names = {index_of(found[1]) for line in lines if (found := _DECORATED_LETTER.match(line))}
    kept = _STARRED if stars else _DECORATED_LETTER if 0 not in names else None  # "- J. Brandt" is nobody's option
    return [line if kept and kept.match(line) else _DECORATED.sub(r"\1", line) for line in lines]


def _as_boxes(lines: list[str]) -> list[str]:
    """Full and empty signs next to each other, equally far to the right, are boxes with and without a tick."""
    made = list(lines)
    blanks = {at: match for at, line in enumerate(lines) if (match := _UNDERSCORED.match(line))}
    if {match["x"] is None for match in blanks.values()} == {True, False}:
        for at, match in blanks.items():
            made[at] = f"{match[1]}[{'x' if match['x'] else ' '}] {lines[at][match.end() :]}"
    circles = [at for at, line in enumerate(lines) if _CIRCLE.match(line)]
    for at in circles:
        if {at - 1, at + 1} & set(circles):
            made[at] = _CIRCLE.sub(r"\1[ ] ", lines[at])
    for full, empty in (("■", "□"), ("◉", "○"), ("⬛", "⬜"), ("●", "○"), ("◆", "◇")):
        marked = [at for at, line in enumerate(lines) if line.strip()[:1] in (full, empty) and line.strip()[1:].strip()]
        indents = {len(lines[at]) - len(lines[at].lstrip()) for at in marked}
        if len({lines[at].strip()[0] for at in marked}) == 2 and len(indents) == 1:
            for at in marked:
                bare = lines[at].strip()
                made[at] = f"[{'x' if bare[0] == full else ' '}] {bare[1:].strip()}"
    return made


def _with_usual_numbers(lines: list[str]) -> list[str]:
    """ "Question Two", "[Q-102]" and clues of a crossword, "4 Front of a ship (3) BOW", are numbered as usual."""
    lines = [_SPELLED.sub(lambda found: f"{found[1]} {_NUMBERS[found[2].casefold()]}", line) for line in lines]
    lines = [_CODED.sub(r"\1Question \2: ", line) for line in lines]
    clues = [line for line in lines if len(line) <= LONGEST_CLUE and _CLUE.match(line)]
    if len(clues) < FEWEST_EITHER:
        return lines
    return [_CLUE.sub(r"\1. \2 – \3", line) if len(line) <= LONGEST_CLUE else line for line in lines]


def _with_points(lines: list[str]) -> list[str]:
    """ "[2]" behind several questions says how many points they are worth. "(2 points)" behind what is asked stands
    before it, so that the line ends as questions do."""
    lines = [_points_before(_POINTS_DASHED.sub(r" (\1)", line)) for line in lines]
    far = [at for at, line in enumerate(lines) if _POINTS_FAR_BEHIND.search(line)]
    if len(far) > 1:
        lines = [
            _POINTS_FAR_BEHIND.sub(lambda found: f" ({found[1] or found[2]} points)", line) if at in far else line
            for at, line in enumerate(lines)
        ]
    counted = [at for at, line in enumerate(lines) if line.endswith("]") and line_of.question_number(line)]
    found = [at for at, line in enumerate(lines) if _POINTS_BEHIND.search(line) and line_of.question_number(line)]
    if len(found) < 2 or set(counted) - set(found):
        return [_POINTS_WITHIN.sub(r"\2\1", line) for line in lines]
    named = [_POINTS_BEHIND.sub(r" (\1 points)", line) if at in found else line for at, line in enumerate(lines)]
    return [_POINTS_WITHIN.sub(r"\2\1", line) for line in named]


def _points_before(line: str) -> str:
    """ "1. Which …? (2 points)" as "1. (2 points) Which …?"."""
    found = _POINTS_ENDING.match(line)
    if not found:
        return line
    bare = _BEGINNING.sub("", line)
    numbered = line_of.question_number(bare)
    rest = numbered[2] if numbered else line_of.asked(bare) or bare
    asks_from = len(line.rstrip()) - len(rest.rstrip())
    if line[asks_from:].rstrip() != rest.rstrip():
        return line  # it has points before it, too
    return f"{line[:asks_from]}{found['points']} {found['asks'][asks_from:]}"


def _circled(line: str) -> str:
    found = _CIRCLED.match(line)
    if not found:
        return line
    sign = found[2]
    if sign >= "❶":
        label = str(ord(sign) - ord("❶") + 1)
    else:
        label = chr(ord("A") + (ord(sign) - ord("Ⓐ")) % 26) if sign >= "Ⓐ" else str(ord(sign) - ord("①") + 1)
    return f"{found[1]}({label}) {line[found.end() :]}"


def circled_number(sign: str) -> str:
    """ "③" as "3", "🅑" as "B", other signs as they are."""
    sign = re.sub(r"[\U0001f150-\U0001f15b]", lambda found: chr(ord("A") + ord(found[0]) - 0x1F150), sign)
    return re.sub(r"[①-⑳]", lambda found: str(ord(found[0]) - ord("①") + 1), sign)


def _without_blanks_for_letters(lines: list[str]) -> list[str]:
    """ "1. ____ The tide …", several times: a blank for T or F, or for a letter, and no gap in a text."""
    lines = [_BLANK_BEFORE.sub(r"\1", line) for line in lines]
    found = [line for line in lines if _BLANK_FOR_LETTER.match(line)]
    if len(found) < 2 or any("__" in _BLANK_FOR_LETTER.sub("", line) for line in found):
        return lines
    return [_BLANK_FOR_LETTER.sub(r"\1", line) for line in lines]


def _as_options(lines: list[str]) -> list[str]:
    """ "Right: …" among "Wrong: …" are options; without a wrong one, "Right: …" is an answer line."""
    if not any(_SAID_WRONG.match(line) for line in lines):
        return lines
    lines = [_SAID_WRONG.sub(r"\1- ", line) for line in lines]
    return [_SAID_RIGHT.sub(r"\1- \g<text> (correct)", line) for line in lines]


def _terms_as_answers(lines: list[str]) -> list[str]:
    """ "Definition: …" and "Term: …", several times: a question and its answer."""
    terms = sum(_TERM.match(line) is not None for line in lines)
    if terms < FEWEST_EITHER or terms != sum(_DEFINITION.match(line) is not None for line in lines):
        return lines
    return [_TERM.sub("Answer: ", _DEFINITION.sub("Question: ", line)) for line in lines]


def _letters_as_numbers(lines: list[str]) -> list[str]:
    """Questions A, B, C with options 1, 2, 3 change to the usual way round, and so does "A1, B3" at the end."""
    asked = [
        (at, match)
        for at, line in enumerate(lines)
        if (match := _LETTER_ASKS.match(line)) and _ONE.match(next(filter(str.strip, lines[at + 1 :]), ""))
    ]
    if len(asked) < FEWEST_EITHER or [_place(match[2]) for _, match in asked] != list(range(len(asked))):
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
                lambda one: f"{_place(one[1]) + 1}{chr(ord('a') + int(one[2]) - 1)}", lines[at]
            )
            break
    return made


def _heads_questions(lines: list[str], at: int) -> bool:
    """Whether what is counted below a lettered line are questions: blank or lettered lines stand between them."""
    counted = [i for i in range(at + 1, len(lines)) if _SOME_NUMBER.match(lines[i])][:2]
    between = lines[counted[0] + 1 : counted[1]] if len(counted) > 1 else []
    return any(not line.strip() or _LETTERED.match(line) for line in between)


def _rows_as_options(lines: list[str]) -> list[str]:
    """ "| A | red |", "| B | green |": a table of two columns that holds the options of a question."""
    made = list(lines)
    at = 0
    while at < len(lines):
        run = 0
        while at + run < len(lines) and (row := _ROW.match(lines[at + run])) and _place(row[1]) == run:
            run += 1
        ruled = at > 1 and _ROW_RULE.match(lines[at - 1]) is not None
        goes_on = lines[at + run].lstrip().startswith("|") if at + run < len(lines) else False
        if run >= FEWEST_EITHER and not goes_on and (not ruled or _ROW_HEAD.match(lines[at - 2])):
            made[at : at + run] = [_ROW.sub(r"\1) \2", line) for line in lines[at : at + run]]
            for above in range(max(0, at - 2), at):
                if _ROW_RULE.match(lines[above]) or _ROW_HEAD.match(lines[above]):
                    made[above] = ""
        at += max(1, run)
    return made


def _without_brackets(lines: list[str]) -> list[str]:
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


def _letters_alone(lines: list[str]) -> list[str]:
    """ "A  B  C  D" in a line of its own: letters to be chosen from."""
    made = list(lines)
    for at, line in enumerate(lines):
        named = line.split() if len(line) <= LONGEST_ROW else []
        if len(named) >= FEWEST_LETTERS and named == [*SERIES[0][: len(named)]]:
            made[at] = "  ".join(f"{name}) {name}" for name in named)
    return made


def _without_roman(lines: list[str]) -> list[str]:
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


def _with_marks(lines: list[str]) -> list[str]:
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
        while at + run < len(lines) and (one := _BARE_LETTER.match(lines[at + run])) and _place(one[2]) == run:
            run += 1
        if run >= FEWEST_LETTERS:
            made[at : at + run] = [_BARE_LETTER.sub(r"\1\2) ", line) for line in lines[at : at + run]]
        at += max(1, run)
    return made


def _place(letter: str) -> int:
    return ord(letter.lower()) - ord("a")


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


_STEPS: tuple[Callable[[list[str]], list[str]], ...] = (
    _without_decoration,
    without_codes,
    keys_in_headings,
    chosen_within,
    signs_behind,
    letters_that_ask,
    _with_usual_numbers,
    with_asking_letters,
    counted_through,
    _terms_as_answers,
    _as_boxes,
    _without_blanks_for_letters,
    _letters_as_numbers,
    _rows_as_options,
    either_behind,
    letters_behind,
    order_behind,
    answers_below,
    reasons_behind,
    _as_options,
    with_truth_letters,
    truth_behind,
    said_behind,
    _without_roman,
    _without_brackets,
    _letters_alone,
    _with_marks,
    with_gaps_for_bold,
    _with_points,
)
"""In this order: each relies on those before it."""
