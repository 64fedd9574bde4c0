"""Which lines head a part of a test, and how the part is called: "Section B: …", or by a heading of its own."""

import re
from collections import Counter
from collections.abc import Sequence, Set
from itertools import islice, pairwise

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.below import belongs
from lantern.core.formats.pasted.patterns import ASKS_WITHIN
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_COUNTED = "one|two|three|four|five|eins|zwei|drei|vier|un|deux|trois|quatre|uno|dos|tres|due|tre"
NAME_OF_SECTION = rf"(?:[A-Z]|\d{{1,2}}|[IVX]{{1,4}}|{_COUNTED})"
SECTION = re.compile(
    rf"^\s*(?:#{{1,6}}\s+)?(?:{words('section')})\s+(?P<name>{NAME_OF_SECTION})\b\s*[.:：)\-–]?\s*", re.I
)
_DO = r"(?:choose|circle|select|tick|mark|write|answer|fill)"
_HEADING = re.compile(
    rf"^(?:across|down|waagerecht|senkrecht|horizontalement|verticalement|horizontales|verticales"
    rf"|{words('section')}\s+{NAME_OF_SECTION}\b[^?]*"
    rf"|(?:[一二三四五六七八九十]+、\s*)?(?:{words('true')}\s*(?:/|&|,|{words('either')}|{words('both')})\s*{words('false')}|{words('closed_kind')}|{words('open_kind')})"
    rf"(?:\s+{words('question')})?(?:\s+items?)?\s*[.:?？]?(?:\s*\(.*\))?(?:[?？]?\s+{_DO}\b[^?]*)?"
    rf"|(?:\w+ (?:and|und|et|y|e) )?(?:{_DO}|decide|state|say)\b[^?]*{words('true')}\s*(?:\(\w\)\s*)?"
    rf"{words('either')}\s*{words('false')}[^?]*[.:]"
    rf"|{words('do')}\b.{{0,40}}{words('true')}\s*(?:\(\w\)\s*)?{words('either')}\s*{words('false')}.{{0,20}}"
    rf"|{_DO}\b[^?]*\b(?:answers?|letters?|options?|questions?|blanks?|gaps?)\b[^?]*[.:])$",
    re.I,
)
_LETTERED_HEADING = re.compile(r"^[\s*_]*\(?([A-H])[.)]\s+(?=[^?？؟_]{3,60}$)")
_INSTRUCTION = re.compile(rf"^{words('do')}(?!\w)[^?？_]*[.:!]$", re.I)
"""Of several questions below it."""
_SPEAKS = re.compile(rf"^\W*{words('speaks')}(?!\w)", re.I)
_TO_FILL_IN = re.compile(
    rf"^(?:\W*(?:{words('about_you')}|total|summe|gesamt)\s*[.:：]?\s*[_.…]{{3,}}\W*(?:\d{{1,3}}\s*(?:{words('points')})?\W*)?)+$",
    re.I,
)
_ASKS = ("?", "？", "؟")
_SHOUTED = re.compile(r"^[A-ZÀ-Þ][A-ZÀ-Þ\s-]{3,40}:?$")
LONGEST_NAME, LONGEST_HEADING, TWICE = 80, 100, 2


def section_of(text: str) -> str | None:
    """The name of a part of a test that a line begins with: "Section B: …"."""
    found = SECTION.match(text)
    return found["name"].upper() if found else None


def name_of_heading(line: Line) -> str:
    """A line without its marks and points, as two headings that say the same are compared."""
    return "" if line.code else line_of.points_in(line.text.strip("#*_: "))[0].strip("#*_: ").casefold()


def repeated_names(lines: Sequence[Line]) -> Set[str]:
    """Short lines without numbers that say the same as another: parts of a test are named once more in its key."""
    filled = [line for line in lines if not line.is_blank]
    below = dict(zip((line.at for line in filled), filled[1:], strict=False))
    above = {line.at: one for one, line in pairwise(lines)}
    names = Counter(
        name_of_heading(line)
        for line in filled
        if len(line.text.strip()) <= LONGEST_NAME
        and not _is_among_options(line, above.get(line.at), below.get(line.at))
    )
    return {name for name, times in names.items() if times == TWICE and _may_name_a_part(name)}


def _may_name_a_part(name: str) -> bool:
    asks = name.endswith(_ASKS) or line_of.question_number(name) is not None
    is_labelled = line_of.is_labelled(name) and section_of(name) is None
    says = line_of.answer(name) is not None or line_of.reason(name) is not None or is_labelled
    return bool(name) and not asks and not says


def _is_among_options(line: Line, above: Line | None, below: Line | None) -> bool:
    """ "A. Ordering" may head a part; an option has others around it."""
    beside = [one for line in (above, below) if line is not None and (one := line_of.option(line))]
    return line_of.option(line) is not None and any(not one.label.isdigit() for one in beside)


def bare_heading(line: Line) -> str:
    """What a heading says, without its marks and points."""
    return line_of.points_in(line.text.strip("*_# "))[0].strip("*_# ")


def is_heading(text: str) -> bool:
    """Whether a line says what is to be done with those below it."""
    return _HEADING.match(text.strip().strip("*_# ")) is not None


def says_what_to_do(text: str) -> bool:
    """ "Match the words with their meanings." """
    return _INSTRUCTION.match(text.strip().strip("*_# ")) is not None


def speaks(line: Line) -> bool:
    """Whether a line is a word to the reader: "Let me know if you would like more!"."""
    return _SPEAKS.search(line.text) is not None


def is_to_fill_in(text: str) -> bool:
    """ "Name: ______ Date: ______" """
    return _TO_FILL_IN.match(text.replace("*", "")) is not None


class Headings:
    """Knows the lines that head a part of the text. `named` are headings that a key says once more."""

    def __init__(self, body: list[Line], named: Set[str], *, counts: bool) -> None:
        self._body, self._named, self._counts = body, named, counts

    def holds(self, at: int, *, apart: bool) -> bool:
        """Whether the line is one. `apart` says that a blank line stands above it."""
        line = self._body[at]
        if line.code:
            return False
        bare = bare_heading(line)
        if is_to_fill_in(line.text) or name_of_heading(line) in self._named:
            return True
        if not bare or len(bare) > LONGEST_HEADING or line_of.question_number(bare) or line_of.answer(line.text):
            return False
        if section_of(bare) is not None and (not bare.endswith("?") or self._is_numbered_below(at)):
            return True
        marked = line_of.heading(line.text)
        if marked is not None:
            return not marked.endswith(("?", "？", "؟", ";")) and not self._is_asked_below(at)
        lettered = re.match(r"^\(?[A-H][.):]\s+(?=\S)", bare)
        if lettered and _HEADING.match(bare[lettered.end() :]) and self._is_numbered_below(at):
            return True
        if apart and (self._heads_a_part(at) or self._is_shouted(at)):
            return True
        if line_of.option(line):
            return False
        says_what_to_do = _HEADING.match(bare) is not None or _INSTRUCTION.match(bare) is not None
        return self._counts and says_what_to_do and self._is_numbered_below(at)

    def _heads_a_part(self, at: int) -> bool:
        """ "B. Matching", alone between blank lines, above something numbered or that says what to do. An option has
        the one before or behind it as its neighbour."""
        named = _LETTERED_HEADING.match(self._body[at].text)
        if not named or at + 1 >= len(self._body) or not self._body[at + 1].is_blank:
            return False
        below = self._first_filled(range(at + 1, len(self._body)))
        above = self._first_filled(range(at - 1, -1, -1))
        if below is None:
            return False
        beside = [_LETTERED_HEADING.match(line.text) for line in (above, below) if line is not None]
        place = ord(named[1])
        is_option = any(abs(ord(one[1]) - place) == 1 for one in beside if one)
        return not is_option and (line_of.numbered(below) is not None or says_what_to_do(below.text))

    def _is_shouted(self, at: int) -> bool:
        """ "TIEBREAK", directly above something that is asked, or numbered."""
        text = self._body[at].text.strip()
        below = self._body[at + 1] if at + 1 < len(self._body) else None
        if not _SHOUTED.match(text) or below is None or below.is_blank:
            return False
        return self._counts and (line_of.numbered(below) is not None or ASKS_WITHIN.search(below.text) is not None)

    def _first_filled(self, places: range) -> Line | None:
        return next((self._body[at] for at in places if not self._body[at].is_blank), None)

    def _is_asked_below(self, at: int) -> bool:
        """Whether what stands below a heading belongs to it as to a question."""
        following = next((line for line in self._body[at + 1 :] if not line.is_blank), None)
        return following is not None and belongs(following) and not line_of.heading(following.text)

    def _is_numbered_below(self, at: int) -> bool:
        following = islice((i for i in range(at + 1, len(self._body)) if not self._body[i].is_blank), 2)
        return any(line_of.question_number(self._body[i].text) for i in following)
