"""Lists of terms and what they mean, by tab, dash, colon, equals sign, or as a table."""

import re
from dataclasses import dataclass

FEWEST = 3
LONGEST_TERM = 80
# In the order in which they are tried: the surest first.
_BETWEEN = (
    re.compile(r"\t+"),
    re.compile(r"\s*\|\s*"),
    re.compile(r"\s+[-–—]+>?\s+"),
    re.compile(r"\s*=\s*"),
    re.compile(r"\s*:\s+"),
    re.compile(r"\s*;\s+"),
)
_COLUMNS = _BETWEEN[:2]
_RULE = re.compile(r"^[\s|:+-]+$")
_TABLE_RULE = re.compile(r"^\s*\|?\s*:?-{2,}:?\s*\|[\s|:-]*$")
_MARK = re.compile(r"^\s*(?:[-*•]|\d{1,3}[.)])\s+(?=\S)")
_HEADS = {"term", "word", "definition", "meaning", "translation", "vocabulary", "left", "right", "question", "answer"}
_ANSWERING = {"answer", "explanation", "correct", "key", "time", "topic", "q", "a", "why", "hint"}


@dataclass(frozen=True, slots=True)
class PairList:
    prompt: str
    pairs: tuple[tuple[str, str], ...]


def pairs_of(text: str) -> PairList | None:
    """The list of pairs that this text is, with the line above it; None if it is none."""
    filled = [line for line in text.split("\n") if line.strip()]
    headed = len(filled) > 1 and _TABLE_RULE.match(filled[1]) is not None
    lines = [line for line in filled[headed:] if not _RULE.match(line)]
    if len(lines) < FEWEST:
        return None
    for skipped in (0, 1):
        found = _pairs_in(lines[skipped:])
        if found is not None:
            prompt = lines[0].strip().rstrip(":") if skipped else ""
            return PairList(prompt, tuple(found))
    return None


def _pairs_in(lines: list[str]) -> list[tuple[str, str]] | None:
    if len(lines) < FEWEST:
        return None
    bare = [_MARK.sub("", line).strip().strip("|").strip() for line in lines]
    for between in _BETWEEN:
        halves = [[half.strip() for half in between.split(line, maxsplit=1)] for line in bare]
        if not all(len(half) == 2 and all(half) for half in halves):
            continue
        if between in _COLUMNS and any(between.search(half[1]) for half in halves):
            continue  # a table with more columns than two is no list of pairs
        pairs = [(half[0], half[1]) for half in halves]
        if {part.casefold() for part in pairs[0]} <= _HEADS:
            pairs = pairs[1:]
        if len(pairs) >= FEWEST - 1 and all(_is_pair(*pair) for pair in pairs):
            return pairs
    return None


def _is_pair(left: str, right: str) -> bool:
    """A term is short, asks nothing, and is no label like "Answer"."""
    said = left.casefold().strip("*_ ")
    is_term = len(left) <= LONGEST_TERM and not left.endswith("?") and said not in _ANSWERING and len(said) > 0
    return is_term and right.casefold().rstrip(".") not in {"true", "false", "t", "f"}
