"""How the parts of a test are called: "Section B: …", or by a heading of their own."""

import re
from collections import Counter
from collections.abc import Sequence, Set
from itertools import pairwise

from lantern.core.formats.pasted import lines as line_of
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.sayings import words

_COUNTED = "one|two|three|four|five|eins|zwei|drei|vier|un|deux|trois|quatre|uno|dos|tres|due|tre"
NAME_OF_SECTION = rf"(?:[A-Z]|\d{{1,2}}|[IVX]{{1,4}}|{_COUNTED})"
SECTION = re.compile(
    rf"^\s*(?:#{{1,6}}\s+)?(?:{words('section')})\s+(?P<name>{NAME_OF_SECTION})\b\s*[.:：)\-–]?\s*", re.I
)
_ASKS = ("?", "？", "؟")
LONGEST_HEADING, TWICE = 80, 2


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
        if len(line.text.strip()) <= LONGEST_HEADING
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
