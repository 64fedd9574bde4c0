"""Labels, numbers and letters that stand alone in their lines: each is put before the line that it belongs to."""

import re

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.headings import name_of_heading, repeated_names, section_of
from lantern.core.formats.pasted.source import Line

_NUMBER_ALONE = re.compile(r"^\s*(\d{1,3})\s*[.)]?\s*$")
_LETTER_ALONE = re.compile(r"^\s*\(?([A-La-l])[.)]?\s*$")
_BULLET = re.compile(r"^[-–•*]\s+(?=\S)")
MOST_LINES_BETWEEN, FEWEST_LETTERS, MOST_STEPS = 3, 2, 10


def with_labels(lines: list[Line]) -> list[Line]:
    """A label alone in its line is put before the line that follows it."""
    made = list(lines)
    repeated = repeated_names(lines)
    for at, line in enumerate(made):
        label = None if line.code or line.is_blank else line_of.label_alone(line.text)
        below = next((i for i in range(at + 1, min(at + 4, len(made))) if not made[i].is_blank), None)
        if label is None or below is None or made[below].code:
            continue
        text = made[below].text.strip()
        following = made[below + 1].text.strip() if below + 1 < len(made) else ""
        is_counted: object = re.match(r"^\(?\d{1,3}\s*[.):(]|^\||^#", text) or line_of.question_number(text)
        is_counted = bool(is_counted) or (text.startswith("1 ") and following.startswith("2 "))
        if (
            is_counted
            or name_of_heading(made[below]) in repeated
            or section_of(text) is not None
            or line_of.answer(text) is not None
            or line_of.reason(text) is not None
            or line_of.label_alone(text)
        ):
            continue
        if line_of.answer(f"{label}x") is not None and _is_answered_below(made, below + 1):
            label = "Explanation: "  # a solution, step by step, and its result
        elif line_of.answer(f"{label}x") is not None:
            text = _BULLET.sub("", text)  # the first of a list of what is right
        indent = line.text[: len(line.text) - len(line.text.lstrip())]
        made[below] = made[below].saying(f"{indent}{label}{text}")
        made[at] = line.saying("")
    return made


def _is_answered_below(lines: list[Line], first: int) -> bool:
    """Whether an answer line follows before anything is asked anew."""
    for line in lines[first : first + MOST_STEPS]:
        if line_of.answer(line.text) is not None:
            return True
        if line.is_blank or line_of.question_number(line.text) or line_of.option(line):
            return False
    return False


def with_numbers(lines: list[Line]) -> list[Line]:
    """Numbers that stand alone in their lines, 1, 2, 3 in turn: each is put before the line below it."""
    found = [(at, int(match[1])) for at, line in enumerate(lines) if (match := _NUMBER_ALONE.match(line.text))]
    below = [lines[at + 1].text if at + 1 < len(lines) else "" for at, _ in found]
    in_turn = [number for _, number in found] == list(range(1, len(found) + 1)) and len(found) >= FEWEST_LETTERS
    if not in_turn or any(not text.strip() or line_of.question_number(text) for text in below):
        return lines
    made = list(lines)
    for (at, number), text in zip(found, below, strict=True):
        made[at], made[at + 1] = made[at].saying(""), made[at + 1].saying(f"{number}. {text.strip()}")
    return made


def with_letters(lines: list[Line]) -> list[Line]:
    """Letters that stand alone in their lines, A, B, C in turn: each is put before the line below it that it names, or,
    where the next letter stands there, it is an option itself."""
    made = list(lines)
    run: list[int] = []
    for at, line in enumerate(lines):
        found = None if line.code else _LETTER_ALONE.match(line.text)
        letter = ord(found[1].upper()) - ord("A") if found else -1
        if letter == len(run) > 0 and at - run[-1] <= MOST_LINES_BETWEEN:
            run.append(at)
        elif letter >= 0:
            _name(made, run)
            run = [at] if letter == 0 else []
    _name(made, run)
    return made


def _name(lines: list[Line], run: list[int]) -> None:
    if len(run) < FEWEST_LETTERS:
        return
    labels = [lines[at].text.strip().strip("().") for at in run]
    below = [lines[at + 1] if at + 1 < len(lines) else None for at in run]
    named = all(line and not line.is_blank and at + 1 not in run for at, line in zip(run, below, strict=True))
    for at, label, line in zip(run, labels, below, strict=True):
        if named and line is not None:
            lines[at], lines[at + 1] = lines[at].saying(""), line.saying(f"{label}) {line.text.strip()}")
        else:
            lines[at] = lines[at].saying(f"{label}) {label}")
