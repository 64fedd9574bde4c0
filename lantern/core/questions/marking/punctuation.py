"""What is punctuation, and what is a sign that means something (docs/kinds.md, T6 to T9).

A mark is punctuation only where it ends or parts a sentence: at the edge of a word, by itself between words, or
between two words that were written without a space. Inside a number, a formula or a name of code it is a sign.
"""

import re
import unicodedata
from collections.abc import Iterable
from itertools import pairwise

_SOFT = ".,;?。、،؛؟।॥·"
"""Marks that mean nothing behind a number or a formula either."""
_MARKS = _SOFT + "!:¡¿\"'()[]{}「」『』"
_OPENING = "\"'([{¿¡「『"
_ABBREVIATION = re.compile(r"(?<![^\W\d_])(?:[^\W\d_]\.){2,}")
_RUN_ON = re.compile(r"(?<=[^\W\d_]{2})[,;](?=[^\W\d_]{2})")
_LETTER = r"[^\W\d_]"
_HYPHEN = re.compile(f"(?<={_LETTER}{_LETTER})-(?={_LETTER})|(?<={_LETTER})-(?={_LETTER}{_LETTER})")


def unpunctuated(forms: Iterable[str], *, is_key: bool) -> set[str]:
    """Each text without punctuation.

    What a student writes may be meant with its marks and without. A spelling without a word of two letters is a
    number, a formula or a sign: of it only a full stop or comma at the end is taken; and one that would be left empty
    stays as it is.
    """
    found = set()
    for given in forms:
        text = _ABBREVIATION.sub(lambda mark: mark[0].replace(".", ""), given)
        bare = _bare(text) if _is_wordy(text) or not is_key else _soft_end(text)
        found |= {bare or given} if is_key else {given, bare or given}
    return found


def hyphens_apart(forms: Iterable[str]) -> set[str]:
    """Each text with its hyphens between letters as spaces, and as nothing."""
    return {_HYPHEN.sub(between, text) for text in forms for between in (" ", "")}


def _bare(text: str) -> str:
    text = _RUN_ON.sub(" ", _without_marks_between_signs(text))
    tokens = text.split(" ")
    kept = [_edges_off(token) for token in tokens]
    return " ".join(bare for token, bare in zip(tokens, kept, strict=True) if bare and not _parts_words(token, tokens))


def _edges_off(token: str) -> str:
    """The word without the marks at its edges; nothing of a token that is nothing but marks.

    An apostrophe belongs to its word unless another one closes what it opens. A bracket or an exclamation mark at a
    single letter or a figure is part of a formula.
    """
    if all(c in _MARKS for c in token):
        return ""
    marks = _MARKS if _is_wordy(token) else _SOFT
    before = None
    while before != token:
        before = token
        token = token.rstrip("".join(m for m in marks if m not in "'([{"))
        token = _unpaired(token, marks)
    return token


def _unpaired(token: str, marks: str) -> str:
    """Without one opening mark, and without an apostrophe that closes it."""
    if token[:1] not in _OPENING or token[0] not in marks:
        return token
    if token[0] != "'":
        return token[1:]
    return token[1:-1] if len(token) > 2 and token.endswith("'") else token


def _parts_words(token: str, tokens: list[str]) -> bool:
    """A dash by itself parts words; between numbers or single letters it is a sign."""
    return token == "-" and all(_is_wordy(other) for other in tokens if other != "-") and len(tokens) > 1


def _soft_end(text: str) -> str:
    return text.rstrip(_SOFT + " ")


def _is_wordy(text: str) -> bool:
    """Whether there is a word in it: two letters side by side, or a sign that is a word by itself."""
    letters = [_is_letter(c) for c in text]
    pairs = any(a and b for a, b in pairwise(letters))
    return pairs or any(unicodedata.category(c) == "Lo" for c in text)


def _is_letter(character: str) -> bool:
    return unicodedata.category(character)[0] in "LM"


def _without_marks_between_signs(text: str) -> str:
    """Marks between letters of a script that is written without spaces part its sentences."""
    between = [
        "" if mark in _MARKS and _is_spaceless(before) and _is_spaceless(after) else mark
        for before, mark, after in zip(f" {text[:-1]}", text, f"{text[1:]} ", strict=True)
    ]
    return "".join(between)


def _is_spaceless(character: str) -> bool:
    return unicodedata.name(character, "").startswith(("CJK UNIFIED", "HIRAGANA", "KATAKANA", "THAI"))
