"""Questions that are answered by arranging: pairs, an order, groups."""

import re
from collections.abc import Sequence

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.labels import LETTER
from lantern.core.formats.pasted.pairs import HEADS
from lantern.core.formats.pasted.source import BULLET, Line
from lantern.core.formats.pasted.usual.asked import Asked, does
from lantern.core.formats.pasted.usual.signs import LETTER_OR_NUMBER, Says, bare, in_a_row, numbered, said_in, word
from lantern.core.formats.sayings import words
from lantern.core.languages import LANGUAGES
from lantern.core.questions.kinds.match import FIND_PARTNERS
from lantern.core.words import in_language

_RULED = re.compile(r"^\|?[\s|:-]*-[\s|:-]*\|?$")
_FRONT = re.compile(rf"^(?:\|\s*|(?:{BULLET})\s+|\d{{1,2}}[.)]\s+)")
_BETWEEN = re.compile(r"\s*(?:=|–|—|-|→|->|=>|\||::?|;)\s*|\s+")
_FAR = re.compile(r"\t|\s{2,}")
_KEY = re.compile(rf"^\W*(?:{words('answer')}|{words('key')})\W*", re.I)
_SIGNS = re.compile(r"[✓✔✅❌✗☐☑\[\]→?]|->|^[\W\d]+$|\s/\s|\([^()]*[,;/][^()]*\)")
_COLUMN = re.compile(r"^(?:column|spalte|colonne|columna|colonna|kolom|kolumn\w?)\s+[AB12]$", re.I)
_LISTED = re.compile(r"\s*[,;]\s*")
_SEQUENCE = re.compile(r"\s*(?:,|;|[-–]|→|->|>|/|\s)\s*")
_PLACE = re.compile(
    rf"^(?:(?:{BULLET})\s+)?(?P<label>[(\[]?\s*{LETTER_OR_NUMBER}\s*(?:[.)\]:]+|\s[-–]|(?<=\d)(?=\s))\s*)?(?P<text>.+)$"
)
_IN_KEY = re.compile(rf"\W*(?P<number>\d{{1,2}})\W*(?P<letter>{LETTER})(?!\w)", re.I)
_ASKS_NOTHING = {in_language(FIND_PARTNERS, language) for language in LANGUAGES}
FEWEST = 3
UNASKED = "unasked"
"""Nothing in the text says that they are pairs."""
Pairs = Sequence[tuple[str, str]]


def with_pairs(asked: Asked) -> str | None:
    pairs = [(said_in(pair.left), said_in(pair.right)) for pair in asked.item.pairs]
    lines = [line for line in asked.lines if not _RULED.match(line.text.strip())]
    texts = [bare(line.text) for line in lines]
    asked.number, asked.style, first = numbered(texts[0])
    if first.rstrip(":. ") == asked.prompt.rstrip(":. "):
        texts, lines = texts[1:], lines[1:]
    elif asked.prompt not in _ASKS_NOTHING:
        return texts[0]
    elif len(texts) == len(pairs) + 1 and _is_title(texts[0], texts[1], pairs[0]):
        texts, lines = texts[1:], lines[1:]
    asked.way = UNASKED if asked.prompt in _ASKS_NOTHING else ""
    strange = next((half for pair in pairs for half in pair if _SIGNS.search(half)), None)
    if len(pairs) < FEWEST or len({right for _, right in pairs}) < len(pairs) or strange is not None:
        return strange or pairs[0][0]
    extra = [said_in(one.text) for one in asked.item.extra]
    if not extra and _solved(pairs, texts, [line.text for line in lines], is_asked=asked.prompt not in _ASKS_NOTHING):
        return pairs[0][0] if asked.prompt in _ASKS_NOTHING and _is_headed(lines, pairs[0]) else None
    return _columns(asked, pairs, extra, texts)


def _is_title(text: str, first: str, pair: tuple[str, str]) -> bool:
    """Whether a line above the first pair is none itself: it has no such sign."""
    sign = first.replace(pair[0], "", 1).replace(pair[1], "").strip()
    return not text.startswith("|") and bool(sign) and sign not in text


def _heads_columns(text: str) -> bool:
    cells = [cell.strip() for cell in text.strip("| ").split("|")]
    return text.startswith("|") and all(HEADS.match(cell) or _COLUMN.match(cell) for cell in cells)


def _is_headed(lines: Sequence[Line], pair: tuple[str, str]) -> bool:
    """Whether the first pair may be what is asked, or the heading of both columns."""
    first, second = lines[0], lines[1]
    is_apart = second.at - first.at > 1 and not _RULED.match(second.text.strip())
    return does(pair[0]) or is_apart


def _solved(pairs: Pairs, texts: Sequence[str], sources: Sequence[str], *, is_asked: bool) -> bool:
    """Each pair in a line, all with one sign between their halves; `is_asked`: something says that they are pairs."""
    first = 1 if len(texts) == len(pairs) + 1 and _heads_columns(texts[0]) else 0
    if len(texts) - first != len(pairs):
        return False
    signs = set()
    for (left, right), text, source in zip(pairs, texts[first:], sources[first:], strict=True):
        inner = _FRONT.sub("", text).rstrip("| ")
        is_pair = inner.startswith(left) and inner.endswith(right) and len(inner) > len(left) + len(right)
        between = _BETWEEN.fullmatch(inner[len(left) : len(inner) - len(right)]) if is_pair else None
        if between is None or (not between[0].strip() and not _FAR.search(source.strip())):
            return False
        signs.add(between[0].strip())
    ends = {right[-1:] in ".!" for _, right in pairs}
    return len(signs) == 1 and len(ends) == 1 and not (signs == {":"} and not is_asked)


def _columns(asked: Asked, pairs: Pairs, extra: Sequence[str], texts: Sequence[str]) -> str | None:
    """Numbered and lettered ones, below or beside each other, and a key."""
    end = next((at for at, text in enumerate(texts) if _is_key(text)), len(texts))
    body = "\n".join(texts[:end])
    for place, (left, _) in enumerate(pairs, start=1):
        body, found = _without(body, rf"\(?{place}[.)]", left)
        if found is None:
            return left
    letters = {}
    for right in (*(right for _, right in pairs), *extra):
        body, found = _without(body, rf"\(?(?P<letter>{LETTER})[.)]", right)
        if found is None:
            return right
        letters[right] = found["letter"].upper()
    over = [line for line in body.split("\n") if line.strip("| ")]
    if over and not (len(over) == 1 and texts[0].startswith("|")):
        return over[0]
    says = _key_of([letters[right] for _, right in pairs])
    if end == len(texts):
        asked.needs = says
        return None
    key = _KEY.sub("", " ".join(texts[end:]))
    said = says(key)
    return texts[end] if said is None or key[said:].strip(" .)") else None


def _is_key(text: str) -> bool:
    return line_of.answer(text) is not None or bool(line_of.label_alone(text)) or _KEY.fullmatch(text) is not None


def _without(body: str, label: str, text: str) -> "tuple[str, re.Match[str] | None]":
    """(the body without a text and the label before it, where that was found)."""
    found = re.search(rf"(?:^|(?<=[\s|])){label}\s*{re.escape(text)}(?=\s|$|\|)", body)
    return (f"{body[: found.start()]}|{body[found.end() :]}" if found else body), found


def _key_of(letters: Sequence[str]) -> Says:
    """ "1-C, 2-A": a letter for each number, in their order."""

    def says(said: str) -> int | None:
        at = 0
        for place, letter in enumerate(letters, start=1):
            found = _IN_KEY.match(said, at)
            if not found or (int(found["number"]), found["letter"].upper()) != (place, letter):
                return None
            at = found.end()
        return at

    return says


def with_order(asked: Asked) -> str | None:
    missing = asked.take_prompt()
    if missing is not None or asked.behind or not line_of.is_about_order(asked.prompt):
        return missing or asked.behind or asked.prompt
    right = [said_in(line.text) for line in asked.item.lines]
    names: dict[str, str] = {}
    rest = [text for text in asked.rest if text]
    while rest and (named := _named(rest[0], right)) and named[0] not in names:
        names[named[0]] = named[1]
        rest = rest[1:]
    if names and len(names) < len(right):
        return rest[0] if rest else right[0]
    labels, is_shuffled = [names.get(text, "") for text in right], [*names] != right
    if not rest and is_shuffled and labels == [str(place) for place in range(1, len(right) + 1)]:
        return None
    if len(rest) == 1 and line_of.says_in_order(rest[0]):
        return rest[0] if is_shuffled else None
    by_text, by_label = (in_a_row([word(one) for one in some], _SEQUENCE) for some in (right, labels))

    def says(said: str) -> int | None:
        end = by_text(said)
        return by_label(re.sub(r"[()]", "", said)) if end is None and all(labels) else end

    is_told, left = asked.take_facts(rest, says)
    if left is None and not is_told:
        asked.needs = says
    return left


def _named(text: str, right: Sequence[str]) -> tuple[str, str] | None:
    """(a line that is to be ordered, its letter or number, if it has one)."""
    found = _PLACE.match(text)
    inner = re.sub(rf"^(?:{BULLET})\s+", "", text)
    if inner in right:
        return inner, ""
    return (found["text"], re.sub(r"\W", "", found["label"] or "")) if found and found["text"] in right else None


def with_groups(asked: Asked) -> str | None:
    """Each group in a line with its members; they may be listed before, behind what is asked."""
    missing = asked.take_prompt()
    if missing is not None:
        return missing
    groups = [
        (said_in(one.text), [said_in(m.text) for m in asked.item.members if m.group == one.id])
        for one in asked.item.groups
    ]
    every = sorted(member for _, members in groups for member in members)
    listed = asked.behind.lstrip(": ").rstrip(".")
    if listed and sorted(_LISTED.split(listed)) != every:
        return asked.behind
    rest = [text for text in asked.rest if text]
    written = [f"{name}: {', '.join(members)}" for name, members in groups]
    return next((text for text in rest if text not in written), None if len(rest) == len(written) else asked.prompt)
