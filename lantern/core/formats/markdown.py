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
`from_lines`); every other field that differs from its default is a setting, its value in JSON.
"""

import json
from dataclasses import dataclass
from typing import Any

from pydantic import ValidationError

from lantern.core.messages import Message, said
from lantern.core.questions import KINDS, kind_of, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.content import MAX_ITEMS, About, SetContent
from lantern.core.questions.items import Item, Question
from lantern.core.sentences import message_of
from lantern.core.values import Value

_HEAD, _SETTING, _WHY = "##", "::", ">"
_WRITTEN = {"id", "kind", "prompt", "explanation"}
USUAL_KIND = "choice"


class Misread(Value):
    """A place that was not understood, and why. Lines count from 1."""

    line: int
    why: Message


def write_set(content: SetContent) -> str:
    """The whole set; `read_set` is its inverse, but for ids."""
    about = content.about.model_dump(mode="json", exclude_defaults=True)
    fields = [f"{name}: {_json(value)}" for name, value in {"title": content.title, **about}.items()]
    return "\n\n".join(["\n".join(["---", *fields, "---"]), *(write_item(item) for item in content.items)]) + "\n"


@dataclass(frozen=True, slots=True)
class ItemText:
    """An item taken apart into texts: what every text form of it is put together from.

    `settings` are JSON texts by field; `lines` are the kind's own.
    """

    prompt: str
    kind: str
    settings: dict[str, str]
    lines: tuple[str, ...]
    explanation: str


def text_of(item: Item) -> ItemText:
    kind = kind_of(item)
    whole = item.model_dump(mode="json")
    unusual = item.model_dump(exclude_defaults=True).keys() - _WRITTEN - set(kind.text_fields)
    settings = {name: _json(value) for name, value in whole.items() if name in unusual}
    why = item.explanation if isinstance(item, Question) else ""
    return ItemText(item.prompt, item.kind, settings, tuple(kind.to_lines(item)), why)


def item_of(text: ItemText, new_id: NewId) -> Item | Message:
    """The item, or why it is none: the inverse of `text_of`, but for ids."""
    kind = next((kind for kind in KINDS if kind.name == text.kind), None)
    if kind is None:
        return said("kind_unknown", "There is no kind of question called “{kind}”.", kind=text.kind[:40])
    fields: dict[str, Any] = {name: _value(value) for name, value in text.settings.items()}
    own = "\n".join(text.lines).split("\n")
    fields |= {"id": new_id(), "kind": kind.name, "prompt": text.prompt, **kind.from_lines(own, new_id)}
    fields |= {"explanation": text.explanation} if text.explanation else {}
    try:
        return read_item.validate_python(fields)
    except ValidationError as error:
        return said("of_this_kind", "This {kind}: {what}", kind=kind.called, what=first_of(error))


def write_item(item: Item) -> str:
    text = text_of(item)
    lines = [f"{_HEAD} {line}".rstrip() for line in text.prompt.split("\n")]
    lines.append(f"{_SETTING} kind: {text.kind}")
    lines += [f"{_SETTING} {name}: {value}" for name, value in text.settings.items()]
    reasons = [f"{_WHY} {line}".rstrip() for line in text.explanation.split("\n")] if text.explanation else []
    return "\n\n".join("\n".join(part) for part in (lines, text.lines, reasons) if part)


@dataclass(frozen=True, slots=True)
class Found:
    """One block of a text: where it begins (lines count from 1), as it stood, and what it says."""

    line: int
    text: str
    item: Item | None
    misread: tuple[Misread, ...]


@dataclass(frozen=True, slots=True)
class FoundSet:
    title: str
    about: About
    blocks: tuple[Found, ...]
    misread: tuple[Misread, ...]


def read_blocks(text: str, new_id: NewId) -> FoundSet:
    """Every block of the text, understood or not; `misread` concerns the head."""
    lines = text.replace("\r\n", "\n").lstrip("\ufeff").split("\n")
    head, start, misread = _front_matter(lines)
    blocks = [
        Found(at + 1, "\n".join(block).rstrip(), *_item_of(block, at, new_id)) for at, block in _blocks(lines, start)
    ]
    title = str(head.pop("title", ""))[:200]
    try:
        about = About.model_validate(head)
    except ValidationError as error:
        about = About()
        misread.append(Misread(line=1, why=said("head_of_set", "The head of the set: {what}", what=first_of(error))))
    return FoundSet(title, about, tuple(blocks), tuple(misread))


def read_set(text: str, new_id: NewId) -> tuple[SetContent, list[Misread]]:
    """The set, and every place that was not understood; what was understood is never lost with it."""
    found = read_blocks(text, new_id)
    items = [block.item for block in found.blocks if block.item]
    misread = [*found.misread, *(wrong for block in found.blocks for wrong in block.misread)]
    if len(items) > MAX_ITEMS:
        beyond = [block for block in found.blocks if block.item][MAX_ITEMS]
        misread.append(
            Misread(line=beyond.line, why=said("set_holds", "A set holds at most {most} items.", most=MAX_ITEMS))
        )
    return SetContent(title=found.title, about=found.about, items=tuple(items[:MAX_ITEMS])), misread


def read_again(text: str, present: tuple[Item, ...], new_id: NewId) -> tuple[SetContent, list[Misread]]:
    """As `read_set`; an item that says what one of `present` says is that one, with its ids."""
    content, misread = read_set(text, new_id)
    unused: dict[str, list[Item]] = {}
    for item in present:
        unused.setdefault(write_item(item), []).append(item)
    items = []
    for item in content.items:
        same = unused.get(write_item(item))
        items.append(same.pop(0) if same else item)
    return content.model_copy(update={"items": tuple(items)}), misread


def _front_matter(lines: list[str]) -> tuple[dict[str, Any], int, list[Misread]]:
    """(fields, index of the first line behind them, what was not understood)."""
    if not lines or lines[0].strip() != "---":
        return {}, 0, []
    end = next((at for at in range(1, len(lines)) if lines[at].strip() == "---"), None)
    if end is None:
        endless = said("head_without_end", "The head of the set has no end. Close it with a line of three dashes.")
        return {}, 1, [Misread(line=1, why=endless)]
    fields: dict[str, Any] = {}
    misread = []
    for at in range(1, end):
        name, colon, value = lines[at].partition(":")
        if colon:
            fields[name.strip()] = _value(value.strip())
        elif lines[at].strip():
            wanted = said("head_line_wanted", "This line needs a name, a colon and a value.")
            misread.append(Misread(line=at + 1, why=wanted))
    return fields, end + 1, misread


def _blocks(lines: list[str], start: int) -> list[tuple[int, list[str]]]:
    """Each item's lines with the index of its first. Head lines that follow each other belong to one prompt."""
    blocks: list[tuple[int, list[str]]] = []
    for at in range(start, len(lines)):
        is_head = lines[at] == _HEAD or lines[at].startswith(f"{_HEAD} ")
        follows = at > start and blocks and blocks[-1][1] and _is_head(blocks[-1][1][-1])
        if is_head and not follows:
            blocks.append((at, []))
        if blocks:
            blocks[-1][1].append(lines[at])
    return blocks


def _is_head(line: str) -> bool:
    return line == _HEAD or line.startswith(f"{_HEAD} ")


def _item_of(block: list[str], at: int, new_id: NewId) -> tuple[Item | None, tuple[Misread, ...]]:
    prompt = [line[len(_HEAD) :].strip() for line in block if _is_head(line)]
    why = [line[len(_WHY) :].removeprefix(" ") for line in block if line.startswith(_WHY)]
    settings: dict[str, str] = {}
    misread = []
    for offset, line in enumerate(block):
        if line.startswith(_SETTING):
            name, colon, value = line[len(_SETTING) :].partition(":")
            if colon:
                settings[name.strip()] = value.strip()
            else:
                wanted = said("setting_wanted", "A setting needs a name, a colon and a value.")
                misread.append(Misread(line=at + offset + 1, why=wanted))
    kind = settings.pop("kind", USUAL_KIND)
    own = [line for line in block if not line.startswith((_SETTING, _WHY)) and not _is_head(line)]
    item = item_of(ItemText("\n".join(prompt), kind, settings, tuple(own), "\n".join(why)), new_id)
    if isinstance(item, Message):
        return None, (*misread, Misread(line=at + 1, why=item))
    return item, tuple(misread)


def _json(value: object) -> str:
    """JSON, but for plain words, which need no quotes."""
    written = json.dumps(value, ensure_ascii=False)
    plain = isinstance(value, str) and value and value == value.strip() and _value(value) == value and "\n" not in value
    return str(value) if plain else written


def _value(text: str) -> Any:
    try:
        return json.loads(text)
    except ValueError:
        return text


def first_of(error: ValidationError) -> Message:
    problem = error.errors()[0]
    place = ".".join(str(part) for part in problem["loc"] if part not in {kind.name for kind in KINDS})
    what = message_of(problem)
    return said("at_place", "{place}: {what}", place=place, what=what) if place else what
