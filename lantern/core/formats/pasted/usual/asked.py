"""One question with its lines: what is asked, and what is said around it."""

import re
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Any

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.usual.signs import (
    BULLET_FIRST,
    FILLED_IN,
    REMARK,
    Says,
    bare,
    numbered,
    said_in,
)
from lantern.core.formats.sayings import words

MOST_LINES_ASKED, MOST_LINES_OF_CODE, WRAPPED_AT = 5, 40, 45
"""A line shorter than WRAPPED_AT was ended on purpose: the next one is another."""
_POINTS_FIRST = re.compile(rf"^{WORTH}\s*", re.I)
_POINTS_ALONE = re.compile(rf"^\W*{WORTH}\W*$", re.I)
_GOES_ON = re.compile(r"^[^\W\d_A-ZÀ-ÞΑ-ΩА-Я]")
_TRUTH_FIRST = re.compile(
    rf"^(?:{words('true')}\s*(?:/|{words('either')})\s*{words('false')}|[TRVW]\s*/\s*[FO])\s*[?:：]\s*|^___\s*", re.I
)
_BEGINS = re.compile(r"^(?:[^\W_]|[“\"'«„‘¿¡$(√−…`]|-\d|___)")
_LABEL_FIRST = re.compile(r"^[^:?.]{1,40}:\s(?![“\"„«])")
_COUNTED = re.compile(
    r"^\(?(?:[^\W\d_]|\d{1,3})[.)]\s|^\d+(?:\.\d+)+\.?\s+[^\W\d_]|^\d+(?:[.:,/-]\d+)*[.):]?\s+[A-ZÀ-ÞΑ-ΩА-Я]"
    r"|^(?=\S*\d)(?=\S*[^\W\d_])\S+\s+[A-ZÀ-ÞΑ-ΩА-Я]"
    r"|(?<=[^\s=+−*/×·:÷-])\s+\d+\s?[^\W\d_]{0,3}[.)]?$"
)
"""A number or a code before what is asked, or a number behind it."""
_ODD_SIGNS = re.compile(r"[\[\]|→⇒✓✔✅✗❌☐☑☒□{}#]|->|=>|\s[-–—]\s|\?\s*[-–—]|\s/\s|___\w|\w___")
_SET_APART = re.compile(r"`[^`]*`|\$[^$]*\$")
_DOES = re.compile(rf"^(?:{words('do')}|{words('write')}|{words('ordering')})(?!\w)", re.I)
_ENDS = ("?", "？", "؟", ";", ":", "：", "…", "=", "___", "か。")
_BRACKETS_LAST = re.compile(r"\([^()]*\)\W*$")
_BEHIND_QUESTION = re.compile(r"[?？؟][^\w?？؟]*(?P<more>\w[^?？؟]*)$")
_CORRECTS = re.compile(r"^\W*corrections?\b", re.I)
"""A reason that may say something else is right."""
_TO_CHOOSE = re.compile(rf"(?<!\w)(?:{words('do')}|{words('write')}|pick)(?!\w)", re.I)
_SENTENCES = re.compile(r"(?<=[.!])\s+")
_COLUMNS = re.compile(r"[^\s\d.):]\s*(?:\t|\s{3,})")
_NO_SIGNS = " .–—-:;,()[]"
_FACTS = (line_of.topics, line_of.writer, line_of.seconds, line_of.points)


@dataclass
class Asked:
    """A question, and the lines that it was read from.

    `number` and `style` are of the number before it; `behind` is what stands behind what is asked, in its line, `rest`
    the lines below it, both bare. `way` names a way of saying what is right that says little. `needs` is what the key
    at the end has to say of it, or may say, where it `may_lack`.
    """

    item: Any
    lines: Sequence[Line]
    number: int | None = None
    style: str = ""
    behind: str = ""
    rest: list[str] = field(default_factory=list)
    way: str = ""
    needs: Says | None = None
    may_lack: bool = False

    @property
    def prompt(self) -> str:
        return said_in(self.item.prompt)

    @property
    def reason(self) -> str:
        return said_in(getattr(self.item, "explanation", ""))

    def take_prompt(self) -> str | None:
        """Looks for what is asked in the first lines; returns what of them is not accounted for."""
        texts = self._texts()
        is_code = "`" in self.item.prompt
        joined = ""
        for at, text in enumerate(texts[: MOST_LINES_OF_CODE if is_code else MOST_LINES_ASKED]):
            joined = f"{joined} {text}".strip()
            behind = self._behind(joined)
            if behind is None:
                continue
            if at and not is_code and not (len(texts[0]) >= WRAPPED_AT and all(map(_GOES_ON.match, texts[1 : at + 1]))):
                return texts[at]
            self.behind, self.rest = behind, texts[at + 1 :]
            return None if is_code or (is_usual(self.prompt) and not self.is_laid_out(at + 1)) else self.prompt
        return texts[0] if texts else self.prompt

    def is_laid_out(self, count: int) -> bool:
        """Whether columns stand in one of the first lines."""
        last = self.prompt.split()[-1:] or [""]
        shown = [line.text.strip() for line in self.lines[:count]]
        ends = [len(line) for line in shown[:-1]] + [line.rfind(last[0]) for line in shown[-1:]]
        return any(_COLUMNS.search(line[:end]) for line, end in zip(shown, ends, strict=True))

    def _texts(self) -> list[str]:
        """The bare lines, the first without its number; a number alone in its line is none."""
        texts = [bare(line.text) for line in self.lines]
        self.number, self.style, first = numbered(texts[0])
        if (not first or REMARK.fullmatch(first)) and len(texts) > 1:
            return [re.sub(r"^#{1,6}\s+", "", texts[1]), *texts[2:]]
        return [first, *texts[1:]]

    def _behind(self, joined: str) -> str | None:
        """What stands behind what is asked, where a text begins with it."""
        is_statement = getattr(self.item, "form", "") == "true_false"
        for text in (joined, _TRUTH_FIRST.sub("", joined) if is_statement else joined, _POINTS_FIRST.sub("", joined)):
            if text.startswith(self.prompt):
                behind = text[len(self.prompt) :].strip()
                is_number = getattr(self.item, "value", None) is not None  # which may stand there in brackets, too
                return behind if is_number else _POINTS_FIRST.sub("", behind)
        return None

    def take_facts(self, rest: Sequence[str], says: Says) -> tuple[bool, str | None]:
        """(whether one of the lines says what is right, the first line that is neither that, nor the reason, nor a fact
        with a label of its own)."""
        texts = [text for text in rest if text]
        is_said, at = False, 0
        while at < len(texts):
            text = texts[at]
            alone = line_of.label_alone(text)
            if alone and at + 1 < len(texts):
                below = [BULLET_FIRST.sub("", one) for one in texts[at + 1 :]]
                text = alone + (", " if alone.startswith("A") else " ").join(below)
                texts = [*texts[:at], text]
            told = self._told(text)
            if told is not None:
                if is_said or not self._is_answer(told, says):
                    return is_said, text
                is_said = True
            elif (reason := line_of.reason(text)) is not None:
                if _CORRECTS.match(text) or not self._is_reason(reason):
                    return is_said, text
                while at + 1 < len(texts) and self._told(texts[at + 1]) is None and self._is_reason(texts[at + 1]):
                    at += 1
            elif not _is_fact(text):
                return is_said, text
            at += 1
        return is_said, None

    def _told(self, text: str) -> str | None:
        told = line_of.answer(text)
        return line_of.short_answer(text) if told is None and not getattr(self.item, "options", ()) else told

    def _is_answer(self, told: str, says: Says) -> bool:
        told = bare(told)
        end = says(told)
        return end is not None and self.is_reason_or_nothing(told[end:])

    def is_reason_or_nothing(self, text: str) -> bool:
        return not text.strip(_NO_SIGNS) or self._is_reason(text)

    def _is_reason(self, text: str) -> bool:
        said = bare(text).strip(_NO_SIGNS)
        return bool(said) and said in self.reason


def is_usual(prompt: str) -> bool:
    """Whether a text looks like something that is asked, whatever it asks for."""
    behind = _BEHIND_QUESTION.search(prompt)
    label, brackets = _LABEL_FIRST.match(prompt), _BRACKETS_LAST.search(prompt)
    return (
        _BEGINS.match(prompt) is not None
        and _COUNTED.match(prompt) is None
        and _ODD_SIGNS.search(_SET_APART.sub("", prompt)) is None
        and (label is None or (does(prompt) and not prompt.endswith(("?", "？", "؟"))))
        and (behind is None or _TO_CHOOSE.search(behind["more"]) is not None)
        and (brackets is None or _TO_CHOOSE.search(brackets[0]) is not None)
    )


def does(prompt: str) -> bool:
    """Whether it begins by telling what to do: "Name …", "Calculate …"."""
    return _DOES.match(prompt) is not None


def ends_open(prompt: str) -> bool:
    """Whether something is missing behind it: a question, a sentence to be completed, a task."""
    last = _SENTENCES.split(prompt)[-1]
    return prompt.endswith(_ENDS) or "___" in prompt or does(prompt) or does(last)


def without_lines_to_write_on(texts: Sequence[str]) -> list[str]:
    return [text for text in texts if text and not FILLED_IN.match(text)]


def _is_fact(text: str) -> bool:
    """A label that says something beside the question: its points, its topic, a hint."""
    inside = BULLET_FIRST.sub("", text).removeprefix("> ").strip("()[] ")
    return (
        any(fact(one) is not None for fact in _FACTS for one in (text, inside))
        or any(is_one(one) for is_one in (line_of.is_aside, line_of.is_kind) for one in (text, inside))
        or _POINTS_ALONE.match(text) is not None
    )
