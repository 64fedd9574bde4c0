"""Questions whose answer is typed: a word, a number, words in gaps, anything."""

import re
from collections.abc import Sequence
from fractions import Fraction

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.patterns import WORTH
from lantern.core.formats.pasted.source import BULLET
from lantern.core.formats.pasted.usual.asked import Asked, does, ends_open, without_lines_to_write_on
from lantern.core.formats.pasted.usual.signs import Says, bare, in_a_row, numbered, said_in, word
from lantern.core.formats.sayings import words

_BEHIND = re.compile(rf"^(?:->|=>|[-–—=:→])?\s*\(?\s*(?:(?:{words('answer')})\s*[:：]\s*)?", re.I)
_ARROWS = ("→", "->", "=>")
MOST_SIGNS = 3
"""Before an answer behind what is asked, for it to be no label."""
_BELOW = re.compile(rf"^(?:(?:{BULLET}|→|->)\s*)?")
_POINTS_FIRST = re.compile(rf"^{WORTH}\s*", re.I)
_NUMBER = re.compile(r"[-−+]?\d+(?:[.,]\d+)?(?![\d.,/]*\d)")
_THOUSANDS = re.compile(r"[.,]\d{3}$")
_NO_WORD = re.compile(r"[?:()\[\]|_*;,{}]|\s/\s|(?<![A-Z])[.!]\s|^\W*$|^\(?(?:[A-Fa-f][.)]|[a-z]\))(?:\s|$)")
"""Signs in an answer by which it is more than one, or none."""
_SAYS_OPEN = re.compile(rf"^\W*(?:{words('open_kind')}|{words('own')})(?:\s+{words('question')})?\W*$", re.I)
_GAP = re.compile(r"\[([^\[\]]*)\]")
_KIND_FIRST = re.compile(rf"^{words('closed_kind')}\s*[:：]\s*", re.I)
_TO_FILL_IN = re.compile(r"^___\s*")
_TO_CHOOSE = re.compile(r"\([^()]*(?:/|,)[^()]*\)")
_ODD_AROUND = re.compile(r"(?:^|\s)/\d|[|→✓✔❌{}#]|->|\s[-–—]\s?$")
_BLANK = re.compile(r"\s*(?:_{2,}|\.{3,}|…)\s*")
_CHOICES = re.compile(r"\s*(?:___\s*)?\((?P<texts>[^()/]+(?:/[^()/]+)+)\)(?:\s*___)?\s*")
_EITHER = re.compile(rf"\s*[/|]\s*|\s+(?:{words('either')})\s+", re.I)
_APART = re.compile(rf"\s*[,;/]\s*|\s+(?:{words('both')})\s+|\s+", re.I)
OPEN = "open"
"""Nothing answers it, and nothing says that it is open."""
MOST_WORDS, MOST_LINES_OF_GAPS, WRAPPED_AT = 6, 4, 45


def with_answers(asked: Asked) -> str | None:
    missing = asked.take_prompt()
    if missing is not None:
        return missing
    if not ends_open(asked.prompt):
        return asked.prompt
    accepts = getattr(asked.item, "accepts", ())
    if isinstance(accepts, str):
        return _answered(asked, _number_of(asked))
    strange = next((one for one in accepts if not _is_word(one)), None)
    return strange or _answered(asked, in_a_row([word(said_in(one)) for one in accepts], _EITHER))


def _answered(asked: Asked, says: Says) -> str | None:
    """Behind what is asked, below it, in a line with a label, or in the key."""
    asked.behind = _TO_FILL_IN.sub("", asked.behind)
    if asked.behind:
        first = _BEHIND.match(asked.behind)
        sign, told = (first[0].strip(), asked.behind[first.end() :]) if first else ("", asked.behind)
        without = _POINTS_FIRST.sub("", asked.behind)
        if not _is_all(told, says) and without != asked.behind:
            asked.behind = without
            return _answered(asked, says)
        if not _is_all(told, says):
            return asked.behind
        asked.way = "" if sign in _ARROWS or len(sign) > MOST_SIGNS else f"behind {sign}"
    rest = without_lines_to_write_on(asked.rest)
    is_bare = len(rest) == 1 and line_of.answer(rest[0]) is None and line_of.short_answer(rest[0]) is None
    if not asked.behind and is_bare and _is_all(_BELOW.sub("", rest[0]), says):
        asked.way = "below"
        return None
    is_told, left = asked.take_facts(rest, says)
    if left is None and not (asked.behind or is_told):
        asked.needs = says
    return left


def _is_all(told: str, says: Says) -> bool:
    end = says(told)
    return end is not None and not told[end:].strip(" .)")


def _is_word(answer: str) -> bool:
    return len(answer.split()) <= MOST_WORDS and not _NO_WORD.search(answer)


def _number_of(asked: Asked) -> Says:
    """The number itself, with its unit where it has one; none that may have thousands, none with a range."""
    item = asked.item
    unit = said_in(getattr(item, "unit", ""))

    def says(said: str) -> int | None:
        found = _NUMBER.match(said)
        is_exact = found and item.accepts == "exact" and item.value is not None and not _THOUSANDS.search(found[0])
        if not found or not is_exact or Fraction(found[0].replace("−", "-").replace(",", ".")) != item.value:
            return None
        apart = re.match(r"\s*", said[found.end() :])
        end = word(unit)(said, found.end() + (apart.end() if apart else 0))
        return found.end() if end is None else end

    return says


def with_gaps(asked: Asked) -> str | None:
    text = bare(re.sub(r"\\(.)", r"\1", asked.item.text))
    gaps = [gap.split("|") for gap in _GAP.findall(text)]
    strange = next((one for some in gaps for one in some if not _is_word(one)), None)
    is_odd = _TO_CHOOSE.search(text) or _ODD_AROUND.search(_GAP.sub("", text)) or asked.is_laid_out(1)
    if not gaps or strange is not None or is_odd:
        return strange or text
    missing, is_blank = _take_gaps(asked, text, gaps)
    if missing is not None:
        return missing
    says = in_a_row([word(some[0]) for some in gaps], _APART)
    if is_blank:
        return _answered(asked, says)
    return asked.behind or asked.take_facts(without_lines_to_write_on(asked.rest), says)[1]


def _take_gaps(asked: Asked, text: str, gaps: Sequence[Sequence[str]]) -> tuple[str | None, bool]:
    """(what is not accounted for, whether the gaps are still to be filled)."""
    texts = [bare(line.text) for line in asked.lines]
    asked.number, asked.style, first = numbered(texts[0])
    texts[0] = _KIND_FIRST.sub("", first)
    joined = ""
    for at, line in enumerate(texts[:MOST_LINES_OF_GAPS]):
        joined = f"{joined} {line}".strip()
        blank = _end_of(joined, text, gaps, is_chosen=asked.item.way == "chosen")
        end = blank if blank is not None else len(text) if joined.startswith(text) else None
        if end is None:
            continue
        asked.behind, asked.rest = _POINTS_FIRST.sub("", joined[end:].strip()), texts[at + 1 :]
        return (texts[1] if at and len(texts[0]) < WRAPPED_AT else None), blank is not None
    return texts[0], False


def _end_of(said: str, text: str, gaps: Sequence[Sequence[str]], *, is_chosen: bool) -> int | None:
    """Where a text ends that begins with this one, each gap a blank, or its choices in brackets."""
    at = 0
    for place, piece in enumerate(one.strip() for one in _GAP.split(text)[::2]):
        if place:
            blank = (_CHOICES if is_chosen else _BLANK).match(said, at)
            if blank is None or (
                is_chosen and {one.strip() for one in blank["texts"].split("/")} != {*gaps[place - 1]}
            ):
                return None
            at = blank.end()
        if not said.startswith(piece, at):
            return None
        at += len(piece)
    return at


def with_anything(asked: Asked) -> str | None:
    missing = asked.take_prompt()
    if _SAYS_OPEN.match(asked.behind):
        asked.behind = ""
    asks = asked.prompt.endswith(("?", "？", "؟", "…")) or does(asked.prompt)
    if missing is not None or asked.behind or not asks:
        return missing or asked.behind or asked.prompt

    def told(said: str) -> int | None:
        text = said.split("\n", 1)[0]
        is_model = len(text.split()) > MOST_WORDS and text.strip(" .") in asked.reason
        return len(text) if is_model or _SAYS_OPEN.match(text) else None

    rest = without_lines_to_write_on(asked.rest)
    is_told, left = asked.take_facts([one for one in rest if not _SAYS_OPEN.match(one)], told)
    has_lines = len(rest) < len(asked.rest) or any(map(_SAYS_OPEN.match, rest))
    if not (is_told or has_lines):
        asked.way, asked.needs, asked.may_lack = OPEN, told, True
    return left
