"""Rarer ways of listing options, and of saying which is right, as the usual ones."""

import re
from itertools import takewhile

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.labels import SERIES
from lantern.core.formats.pasted.rare.patterns import (
    FEWEST_EITHER,
    FEWEST_LETTERS,
    LETTERED,
    LONGEST_CLUE,
    LONGEST_ROW,
    MOST_LETTERS,
    PICTURES,
    place_of_letter,
)
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_SAID_WRONG = re.compile(r"^(\s*)(?:wrong|incorrect|false|distractor)(?: (?:answer|option))?\s*\d*\s*:\s*(?=\S)", re.I)
_SAID_RIGHT = re.compile(r"^(\s*)(?:right|correct|true)(?: (?:answer|option))?\s*\d*\s*:\s*(?P<text>\S.*)$", re.I)
_SOME_SIGN = re.compile(r"[✅✔✓❌✗✘]")
_FAR_APART = re.compile(r"\s{3,}|\t+")
_SIGNED = re.compile(r"([^✅✔✓❌✗✘]*\w[^✅✔✓❌✗✘]*?)\s*([✅✔✓❌✗✘])")
_CIRCLE = re.compile(r"^(\s*)O\s+(?=\S)")
"""A letter that stands for a circle to be crossed."""
_UNDERSCORED = re.compile(r"^(\s*)_{1,3}(?:\s*(?P<x>[xX✓✔])\s*_{1,3}|_)\s+(?=[^\s\d_])")
"""A blank for a cross before an option, and one with it: "__ bow", "_X_ stern"."""
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


def with_radio_buttons(lines: list[Line]) -> list[Line]:
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


def with_pictures_as_bullets(lines: list[Line]) -> list[Line]:
    """Small pictures before each of several lines below a question are bullets."""
    made = list(lines)
    filled = [at for at, line in enumerate(lines) if not line.is_blank]
    for place, at in enumerate(filled):
        if not lines[at].text.rstrip("*_ ").endswith(("?", "？", "؟")) or lines[at].code:
            continue
        below = [*takewhile(lambda i: PICTURES.match(lines[i].text), filled[place + 1 : place + 1 + MOST_LETTERS])]
        if len(below) >= FEWEST_EITHER and not any(_says_something(lines[i].text) for i in below):
            for i in below:
                made[i] = lines[i].saying(f"- {PICTURES.sub('', lines[i].text).strip()}")
    return made


def with_signed_rows(lines: list[Line]) -> list[Line]:
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
        return parted if all(cell and not LETTERED.match(cell) for cell, _ in parted) else []
    if _SIGNED.sub("", text).strip():
        return []
    return [(cell.strip(), sign in "✅✔✓") for cell, sign in _SIGNED.findall(text)]


def _says_something(text: str) -> bool:
    """Whether a line is more than what is chosen: it is counted, or an answer."""
    bare = PICTURES.sub("", text)
    says = (line_of.answer, line_of.reason, line_of.label_alone)
    is_counted = line_of.question_number(bare) is not None or LETTERED.match(bare) is not None
    return is_counted or line_of.is_aside(text) or any(one(text) is not None for one in says)


def as_boxes(lines: list[str]) -> list[str]:
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


def as_options(lines: list[str]) -> list[str]:
    """ "Right: …" among "Wrong: …" are options; without a wrong one, "Right: …" is an answer line."""
    if not any(_SAID_WRONG.match(line) for line in lines):
        return lines
    lines = [_SAID_WRONG.sub(r"\1- ", line) for line in lines]
    return [_SAID_RIGHT.sub(r"\1- \g<text> (correct)", line) for line in lines]


def terms_as_answers(lines: list[str]) -> list[str]:
    """ "Definition: …" and "Term: …", several times: a question and its answer."""
    terms = sum(_TERM.match(line) is not None for line in lines)
    if terms < FEWEST_EITHER or terms != sum(_DEFINITION.match(line) is not None for line in lines):
        return lines
    return [_TERM.sub("Answer: ", _DEFINITION.sub("Question: ", line)) for line in lines]


def rows_as_options(lines: list[str]) -> list[str]:
    """ "| A | red |", "| B | green |": a table of two columns that holds the options of a question."""
    made = list(lines)
    at = 0
    while at < len(lines):
        run = 0
        while at + run < len(lines) and (row := _ROW.match(lines[at + run])) and place_of_letter(row[1]) == run:
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


def letters_alone(lines: list[str]) -> list[str]:
    """ "A  B  C  D" in a line of its own: letters to be chosen from."""
    made = list(lines)
    for at, line in enumerate(lines):
        named = line.split() if len(line) <= LONGEST_ROW else []
        if len(named) >= FEWEST_LETTERS and named == [*SERIES[0][: len(named)]]:
            made[at] = "  ".join(f"{name}) {name}" for name in named)
    return made
