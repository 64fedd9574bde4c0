"""The look at a whole text: each question by its form, then all beside each other, the key, and what is left."""

from collections import Counter
from collections.abc import Container, Iterator, Mapping, Sequence
from dataclasses import replace
from itertools import groupby
from typing import Any

from lantern.core.formats.exchange import Entry
from lantern.core.formats.pasted.asking import Found, unsure
from lantern.core.formats.pasted.source import Line
from lantern.core.formats.pasted.usual.arranging import UNASKED
from lantern.core.formats.pasted.usual.asked import Asked, does
from lantern.core.formats.pasted.usual.choosing import NOTHING_RIGHT
from lantern.core.formats.pasted.usual.forms import MOST_LINES, form_of
from lantern.core.formats.pasted.usual.key_zone import key_begins, not_in_key
from lantern.core.formats.pasted.usual.left_over import is_nothing
from lantern.core.formats.pasted.usual.own_lines import own_lines
from lantern.core.formats.pasted.usual.signs import NUMBER_ALONE
from lantern.core.formats.pasted.usual.typing_in import OPEN
from lantern.core.formats.pasted.words import MAY_ASK, unusual
from lantern.core.messages import said
from lantern.core.questions.items import Question

FEWEST_ALIKE = 3
"""Questions that use a way that says little, for it to be usual."""
_OTHERS_DOUBTFUL = said(
    "others_doubtful", "Other parts of this text are doubtful: look whether this was read as it is meant."
)


def looked_over(lines: Sequence[Line], found: Sequence[Found]) -> list[Found]:
    """The same, with a doubt on each question that is not accounted for by these lines of its text."""
    places = [place for place, one in enumerate(found) if _is_asked(one.entry) and not one.is_row]
    key = key_begins(lines, max((found[place].at for place in places), default=0), len(places))
    own = [*own_lines(lines, found, key, MOST_LINES)]
    strange: dict[int, str] = {}
    asked: dict[int, Asked] = {}
    for places_at in _by_line(places, found):
        place = places_at[0]
        item, lines_of_it = _whole_item([found[one].entry.item for one in places_at]), own[place]
        form = form_of(item, lines_of_it) if item is not None else None
        if form is None:
            strange |= dict.fromkeys(places_at, lines_of_it[0].text if lines_of_it else found[place].entry.text)
            continue
        asked[place] = Asked(item, lines_of_it)
        missing = form(asked[place])
        if missing is not None:
            strange |= dict.fromkeys(places_at, missing)
    for place in strange.keys() & asked.keys():
        asked[place].needs = None  # it is doubtful, whatever the key says
    strange |= not_in_key(lines, key, asked)
    alike = _Alike(asked)
    little = [place for place in asked if place not in strange and alike.says_little(place, found, has_key=bool(key))]
    strange |= {place: asked[place].prompt for place in little}
    made = [_with_doubt(one, strange.get(place)) for place, one in enumerate(found)]
    unanswered = {place for place, one in asked.items() if one.way == OPEN}
    return _among_doubtful(_with_left_over(made), unanswered)


def _by_line(places: Sequence[int], found: Sequence[Found]) -> Iterator[list[int]]:
    """The places of what begins at one line, together."""
    for _, some in groupby(places, key=lambda place: found[place].at):
        yield [*some]


def _whole_item(items: Sequence[Any]) -> Any:
    """The item that several were made of: pairs that were too many for one. None where they are anything else."""
    if len(items) == 1:
        return items[0]
    pairs = [pair for item in items for pair in getattr(item, "pairs", ())]
    is_one = all(getattr(item, "pairs", ()) and not getattr(item, "extra", ()) for item in items)
    return items[0].model_copy(update={"pairs": tuple(pairs)}) if is_one else None


def _is_asked(entry: Entry) -> bool:
    return not entry.out and isinstance(entry.item, Question)


def _with_doubt(found: Found, what: str | None) -> Found:
    if what is None or not found.entry.sure:
        return found
    return replace(found, entry=unsure(found.entry, unusual(what)))


class _Alike:
    """Knows how many questions of a text are written alike."""

    def __init__(self, asked: Mapping[int, Asked]) -> None:
        self._asked = asked
        self._ways = Counter(one.way for one in asked.values())
        self._styles = Counter(one.style for one in asked.values())

    def says_little(self, place: int, found: Sequence[Found], *, has_key: bool) -> bool:
        """Whether nothing but its own way says what is right in a question, and too little around it is alike."""
        one = self._asked[place]
        are_all = self._ways[one.way] == len(self._asked)
        if one.way == OPEN:
            behind = found[place + 1].entry if place + 1 < len(found) else None
            is_cut = behind is not None and behind.item is None and one.number is None
            is_task = does(one.prompt) and one.number is not None
            return is_cut or (not is_task and (has_key or not are_all))
        if one.way == UNASKED:
            return place > 0
        if one.way == NOTHING_RIGHT:
            return not are_all
        is_bare = one.style == NUMBER_ALONE and self._styles[one.style] < FEWEST_ALIKE
        return is_bare or (bool(one.way) and self._ways[one.way] < FEWEST_ALIKE)


def _with_left_over(found: list[Found]) -> list[Found]:
    """Lines that came into no question, and may be one, wait to be mended."""
    if not any(_is_asked(one.entry) for one in found):
        return found
    asks_at = {one.at: _is_asked(one.entry) for one in reversed(found)}  # from the last line to the first
    is_asked_below = dict(zip(asks_at, [False, *asks_at.values()], strict=False))
    made = []
    for place, one in enumerate(found):
        heads = is_asked_below[one.at]
        is_page = one.entry.item is not None and not _is_asked(one.entry)
        if (one.entry.out or is_page) and not is_nothing(one.entry.text, heads=heads, begins=place == 0):
            changes = {"item": None, "out": False} if one.entry.out else {}
            entry = one.entry.model_copy(update={"sure": False, "sentences": (MAY_ASK,), **changes})
            one = replace(one, entry=entry)
        made.append(one)
    return made


def _among_doubtful(found: list[Found], unanswered: Container[int]) -> list[Found]:
    """A text is mostly written in one way: where half of it is unusual, all of it is; where anything is doubtful, so
    are questions that nothing answers."""
    shown = [one.entry for one in found if not one.entry.out]
    unusual = sum(_is_unusual(entry) for entry in shown)
    is_half = unusual * 2 > len(shown) or (unusual * 2 == len(shown) and len(shown) <= FEWEST_ALIKE)
    is_doubtful = any(not entry.sure for entry in shown)
    return [
        replace(one, entry=unsure(one.entry, _OTHERS_DOUBTFUL))
        if one.entry.sure and not one.entry.out and (is_half or (is_doubtful and place in unanswered))
        else one
        for place, one in enumerate(found)
    ]


def _is_unusual(entry: Entry) -> bool:
    is_unread = entry.item is None and not entry.readings
    return is_unread or any(sentence.code == "unusual_way" for sentence in entry.sentences)
