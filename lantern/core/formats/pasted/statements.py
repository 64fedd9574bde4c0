"""Statements that are true or false, and said to be so in many ways."""

import re

from lantern.core.formats.pasted.made import Made
from lantern.core.formats.pasted.meant import truth_of
from lantern.core.formats.pasted.parts import Parts
from lantern.core.formats.pasted.words import (
    FALSE,
    NO_RIGHT,
    TRUE,
    TRUE_OR_FALSE,
)
from lantern.core.formats.sayings import words
from lantern.core.questions.companions import NewId
from lantern.core.words import in_language

_T, _F = words("true"), words("false")
_TICKS = re.compile(r"\s*[✓✔✅]")
_SIGNS = {"√": True, "×": False}
_EITHER = rf"(?:/|\||,|{words('either')})"
WHETHER_TRUE = re.compile(
    rf"[(\[¿]?\s*(?<!\w)(?:{_T}\s*{_EITHER}\s*{_F}|[TRVWtrvw]\s*/\s*[FOfo])(?!\w)\s*[)\]]?\s*[:?.？：;؟]?\s*"
    r"|\s+[(\[]?[TRVW][)\]]?\s+[(\[]?[FO][)\]]?\s*$"
    rf"|(?<=[.!])\s+[☐□○(\[]*\s*{_T}\s*[)\]]?\s+[☐□○(\[]*\s*{_F}\s*[)\]]?\s*$",
    re.I,
)
_SAID_TRUE = re.compile(
    rf"(?P<before>.*?)\s*(?:[(\[（]\s*(?P<a>{_T}|{_F}|[TFRWVtf√×])\s*[.!]?\s*[)\]）]|\s(?:->|=>|[-–—→])\s*(?P<b>{_T}|{_F}|[TF])|\t+(?P<c>{_T}|{_F}|[TF])"
    rf"|[✅✔✓☑❌✗]\s*(?P<d>{_T}|{_F})|(?<=[.!?])\s+(?P<e>{_T}|{_F})|(?<=[.!])\s+(?P<f>[TFRVW])(?=\s*$|\s+(?:[-–—:→]|->)\s))(?P<behind>\s*$|[.!]?\s*$|\s*\([^()]+\)\W*|\s*(?:->|[-–—:,→])\s*\S.*|[.!]\s+\S.*)$",
    re.I | re.S,
)


def says_truth(text: str) -> bool:
    """Whether an answer says that a statement is true, or false, and perhaps why."""
    return _truth_of(text)[0] is not None


def states(line: str) -> bool:
    """Whether a line is a statement that is said to be true or false."""
    return _SAID_TRUE.match(line) is not None


def true_false_fields(prompt: str, parts: Parts, new_id: NewId, language: str) -> Made | None:
    """A statement that is said to be true or false, or that asks which it is."""
    asks = WHETHER_TRUE.search(prompt)
    above, _, last = prompt.rpartition("\n")
    if asks and parts.answer is None and above and truth_of(last.strip()) is not None:
        parts.answer, prompt = last.strip(), above
    if asks and asks.start() == 0 and parts.answer is None and _SAID_TRUE.match(rest := prompt[asks.end() :]):
        asks, prompt = None, rest.strip()  # "T / F  The tide turns.   T"
    statement = _SAID_TRUE.match(prompt)
    is_true, why = _truth_of(parts.answer or "")
    if statement and not asks:
        word = next(statement[name] for name in "abcdef" if statement[name])
        behind = re.sub(r"^[\s–—:,.!→>-]+", "", statement["behind"]).strip("()")
        if is_true is None and parts.answer is None:
            is_true, why = _truth_of(word)[0], behind
            prompt = statement["before"].strip()
    if is_true is None:
        if asks and parts.answer is None and not prompt.rstrip().endswith((":", "：")):
            return _as_true_false(WHETHER_TRUE.sub("", prompt).strip(), None, "", new_id, language)
        return None
    return _as_true_false(WHETHER_TRUE.sub("", prompt).strip() if asks else prompt, is_true, why, new_id, language)


def _as_true_false(prompt: str, is_true: bool | None, why: str, new_id: NewId, language: str) -> Made:
    options = [
        {"id": new_id(), "text": in_language(TRUE, language), "right": is_true is True},
        {"id": new_id(), "text": in_language(FALSE, language), "right": is_true is False},
    ]
    asked = re.sub(r"\s*_{2,}$", "", prompt) or in_language(TRUE_OR_FALSE, language)
    fields = {"kind": "choice", "form": "true_false", "prompt": asked, "options": options}
    return Made(fields, [NO_RIGHT] if is_true is None else [], sure=is_true is not None, why=why)


def _truth_of(answer: str) -> tuple[bool | None, str]:
    """(what an answer says of a statement, the reason behind it)."""
    answer = _TICKS.sub("", answer).strip()
    if answer in _SIGNS:
        return _SIGNS[answer], ""
    found = re.match(rf"^\W*(?P<word>{_T}|{_F}|[TFRWVtfrwv])(?!\w)\W*(?P<why>.*)$", answer, re.I | re.S)
    if not found:
        return None, ""
    behind = answer[found.end("word") :].strip()
    if behind and found["why"] and not re.match(r"^[.,;:!–—(-]|^(?:because|weil|denn)", behind, re.I):
        return None, ""  # "True north" is an answer by itself
    truth = truth_of(found["word"])
    if truth is None:
        truth = found["word"].casefold() in "trwv"
    return truth, found["why"].strip("() ")
