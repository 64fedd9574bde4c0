"""A set as text that a person can read and write: Markdown with one block for each item (docs/formats.md).

    ---
    title: Knots that hold
    language: en
    ---

    ## Which knot makes a loop?
    :: kind: choice
    :: time_limit: 60

    - [ ] Reef knot
    - [x] Bowline

    > It holds under load.

The codec knows no kind: what stands between the settings and the explanation is the kind's own (`to_lines`,
`from_lines`); every other field that differs from its default is a setting.
"""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

from pydantic import ValidationError

from lantern.core.formats.checksum import sum_of
from lantern.core.formats.item_text import (
    HEAD,
    SETTING,
    USUAL_KIND,
    WHY,
    ItemText,
    checked,
    kind_called,
    place_in,
    problem_in,
    read_settings,
    read_values,
    values_of,
    write_item,
)
from lantern.core.messages import Message, said
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import MAX_ITEMS, About, SetContent
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import Item
from lantern.core.questions.textform import INDENT
from lantern.core.values import Value

_RULE = "---"
_TITLE, _CHECKSUM = "title", "checksum"
MOST_TOLD = 20
"""Problems of one block; more of them say no more."""
MOST_DOUBTED = 80
"""Lines of one block that are looked at for whether they say anything."""


class Misread(Value):
    """A place that was not understood, and why. Lines count from 1."""

    line: int
    why: Message


def write_set(content: SetContent, *, with_checksum: bool = False) -> str:
    """The whole set; `read_set` is its inverse, but for ids. With its sum, a reader can tell what was changed."""
    about = content.about.model_dump(exclude_defaults=True)
    fields = {**values_of(content, {_TITLE}), **values_of(content.about, about)}
    fields |= {_CHECKSUM: sum_of(content)} if with_checksum else {}
    head = "\n".join([_RULE, *(f"{name}: {value}".rstrip() for name, value in fields.items()), _RULE])
    return "\n\n".join([head, *(write_item(item) for item in content.items)]) + "\n"


@dataclass(frozen=True, slots=True)
class Found:
    """One block of a text: where it begins (lines count from 1), as it stood, and what it says."""

    line: int
    text: str
    item: Item | None
    misread: tuple[Misread, ...]


@dataclass(frozen=True, slots=True)
class FoundSet:
    """`misread` concerns the head, and what stands before the first block. `checksum` is what the head gives as one."""

    title: str
    about: About
    blocks: tuple[Found, ...]
    misread: tuple[Misread, ...]
    checksum: str = ""

    @property
    def content(self) -> SetContent:
        items = [block.item for block in self.blocks if block.item]
        return SetContent(title=self.title, about=self.about, items=tuple(items[:MAX_ITEMS]))


def read_blocks(text: str, new_id: NewId) -> FoundSet:
    """Every block of the text, understood or not."""
    lines = text.replace("\r\n", "\n").lstrip("\ufeff").split("\n")
    head, places, start, misread = _front_matter(lines)
    first, parted = _blocks(lines, start)
    misread += [_strange(at, lines[at]) for at in range(start, first) if lines[at].strip()][:MOST_TOLD]
    blocks = [Found(at + 1, "\n".join(block).rstrip(), *_item_of(block, at, new_id)) for at, block in parted]
    title = str(read_values({_TITLE: head.pop(_TITLE, "")}, SetContent)[_TITLE])[:200]
    checksum = head.pop(_CHECKSUM, "")
    about, wrong = _about(head, places)
    return FoundSet(title, about, tuple(blocks), (*misread, *wrong), checksum)


def read_set(text: str, new_id: NewId) -> tuple[SetContent, list[Misread]]:
    """The set, and every place that was not understood; what was understood is never lost with it."""
    return _understood(read_blocks(text, new_id))


def _understood(found: FoundSet) -> tuple[SetContent, list[Misread]]:
    misread = [*found.misread, *(wrong for block in found.blocks for wrong in block.misread)]
    understood = [block for block in found.blocks if block.item]
    if len(understood) > MAX_ITEMS:
        many = said("set_holds", "A set holds at most {most} items.", most=MAX_ITEMS)
        misread.append(Misread(line=understood[MAX_ITEMS].line, why=many))
    return found.content, misread


def read_again(
    text: str, present: tuple[Item, ...], new_id: NewId
) -> tuple[SetContent, list[Misread], tuple[int, ...]]:
    """As `read_set`, with the line at which each item begins; an item that says what one of `present` says is that
    one, with its ids."""
    found = read_blocks(text, new_id)
    content, misread = _understood(found)
    lines = tuple(block.line for block in found.blocks if block.item)[:MAX_ITEMS]
    unused: dict[str, list[Item]] = {}
    for item in present:
        unused.setdefault(write_item(item), []).append(item)
    items = []
    for item in content.items:
        same = unused.get(write_item(item))
        items.append(same.pop(0) if same else item)
    return content.model_copy(update={"items": tuple(items)}), misread, lines


def _front_matter(lines: Sequence[str]) -> tuple[dict[str, str], dict[str, int], int, list[Misread]]:
    """(values by name, index of each one's line, index of the first line behind them, what was not understood)."""
    if not lines or lines[0].rstrip() != _RULE:
        return {}, {}, 0, []
    end = next((at for at in range(1, len(lines)) if lines[at].rstrip() == _RULE), None)
    misread = []
    if end is None:
        endless = said("head_without_end", "The head of the set has no end. Close it with a line of three dashes.")
        misread.append(Misread(line=1, why=endless))
    begins = next((at for at in range(1, len(lines)) if _is_head(lines[at])), len(lines)) if end is None else end
    fields, places, strange = read_settings(lines[1:begins])
    wanted = said("head_line_wanted", "This line needs a name, a colon and a value.")
    misread += [Misread(line=at + 2, why=wanted) for at in strange]
    return fields, {name: at + 1 for name, at in places.items()}, begins + (end is not None), misread


def _about(head: dict[str, str], places: dict[str, int]) -> tuple[About, list[Misread]]:
    """What the head says of the set; what it says wrongly is told, and the rest kept."""
    fields = read_values(head, About)
    try:
        return About.model_validate(fields), []
    except ValidationError as error:
        problems = error.errors()
    misread = []
    for problem in problems:
        name = str(problem["loc"][0]) if problem["loc"] else ""
        why = said("head_of_set", "The head of the set: {what}", what=problem_in(problem))
        if fields.pop(name, None) is not None:
            misread.append(Misread(line=places.get(name, 0) + 1, why=why))
    return About.model_validate(fields), misread


def _blocks(lines: Sequence[str], start: int) -> tuple[int, list[tuple[int, list[str]]]]:
    """(index of the first block's first line, each item's lines with the index of its first).

    Head lines that follow each other belong to one prompt.
    """
    blocks: list[tuple[int, list[str]]] = []
    for at in range(start, len(lines)):
        follows = at > start and blocks and _is_head(lines[at - 1])
        if _is_head(lines[at]) and not follows:
            blocks.append((at, []))
        if blocks:
            blocks[-1][1].append(lines[at])
    return blocks[0][0] if blocks else len(lines), blocks


def _is_head(line: str) -> bool:
    return line == HEAD or line.startswith(f"{HEAD} ")


def _strange(at: int, line: str) -> Misread:
    why = said("line_not_understood", "This line was not understood: “{line}”.", line=line.strip()[:120])
    return Misread(line=at + 1, why=why)


class _Block:
    """The lines of an item, taken apart. Places are indexes in the whole text."""

    def __init__(self, lines: Sequence[str], start: int) -> None:
        self.start = start
        self.prompt: list[str] = []
        self.why: list[str] = []
        self.own: list[tuple[int, str]] = []
        setting_lines: list[tuple[int, str]] = []
        in_setting = False
        for at, line in enumerate(lines, start=start):
            goes_on = in_setting and line.startswith(INDENT)
            in_setting = line.startswith(SETTING) or goes_on
            if in_setting:
                setting_lines.append((at, line.removeprefix(SETTING)))
            elif _is_head(line):
                self.prompt.append(line[len(HEAD) :].strip())
            elif line.startswith(WHY):
                self.why.append(line[len(WHY) :].removeprefix(" "))
            else:
                self.own.append((at, line))
        self.settings, places, strange = read_settings(line for _, line in setting_lines)
        self.places = {name: setting_lines[at][0] for name, at in places.items()}
        wanted = said("setting_wanted", "A setting needs a name, a colon and a value.")
        self.misread = [Misread(line=setting_lines[at][0] + 1, why=wanted) for at in strange]
        self.kind = self.settings.pop("kind", USUAL_KIND)

    @property
    def text(self) -> ItemText:
        own = tuple(line for _, line in self.own)
        return ItemText("\n".join(self.prompt), self.kind, self.settings, own, "\n".join(self.why))

    def line_of(self, problem: Any, kind: Kind[Any, Any, Any]) -> int:
        """The index of the line that a problem of the item concerns, as near as can be told."""
        name, *inside = [*place_in(problem), ""]
        if name in self.places:
            return self.places[name]
        begun = [at for at, line in self.own if line.strip() and not line.startswith(INDENT)]
        if name not in kind.text_fields or not begun:
            return self.start
        number = inside[0]
        return begun[number] if isinstance(number, int) and number < len(begun) else begun[0]


def _item_of(lines: Sequence[str], at: int, new_id: NewId) -> tuple[Item | None, tuple[Misread, ...]]:
    block = _Block(lines, at)
    kind = kind_called(block.kind)
    if isinstance(kind, Message):
        return None, (*block.misread, Misread(line=block.places.get("kind", at) + 1, why=kind))
    try:
        item = checked(block.text, kind, new_id)
    except ValidationError as error:
        told: dict[int, Misread] = {}
        for problem in error.errors()[:MOST_TOLD]:
            why = said("of_this_kind", "This {kind}: {what}", kind=kind.called, what=problem_in(problem))
            place = block.line_of(problem, kind)
            told.setdefault(place, Misread(line=place + 1, why=why))
        for place, line in _not_understood(block.own, None, kind):
            told.setdefault(place, _strange(place, line))
        return None, (*block.misread, *(told[place] for place in sorted(told)))
    strange = [_strange(place, line) for place, line in _not_understood(block.own, item, kind)]
    return item, (*block.misread, *strange[:MOST_TOLD])


def _not_understood(
    own: Sequence[tuple[int, str]], item: Item | None, kind: Kind[Any, Any, Any]
) -> list[tuple[int, str]]:
    """The lines that say nothing of the item: it is not written with them, and without one it would be the same."""
    in_full = "\n".join(kind.to_lines(item)) if item is not None else ""
    written = Counter(" ".join(line.split()) for line in in_full.split("\n"))
    in_doubt = []
    for index, (_, line) in enumerate(own):
        plain = " ".join(line.split())
        if plain and not written[plain]:
            in_doubt.append(index)
        written[plain] -= 1
    lines = [line for _, line in own]

    def said_by(some: Sequence[str]) -> dict[str, object]:
        return kind.from_lines(some, lambda: "same")

    whole = said_by(lines) if in_doubt else {}
    return [own[at] for at in in_doubt[:MOST_DOUBTED] if said_by([*lines[:at], *lines[at + 1 :]]) == whole]
