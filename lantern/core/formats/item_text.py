"""An item taken apart into texts, and put together from them: what every text form of it is made from."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from typing import Any

from pydantic import BaseModel, ValidationError

from lantern.core.formats import plain_values
from lantern.core.messages import Message, said
from lantern.core.questions import KINDS, kind_of, read_item
from lantern.core.questions.companions import NewId
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import Item, Question
from lantern.core.questions.textform import INDENT
from lantern.core.sentences import message_of

HEAD, SETTING, WHY = "##", "::", ">"
USUAL_KIND = "choice"
_WRITTEN = {"id", "kind", "prompt", "explanation"}


@dataclass(frozen=True, slots=True)
class ItemText:
    """`settings` are plain values by field (`plain_values`); `lines` are the kind's own."""

    prompt: str
    kind: str
    settings: dict[str, str]
    lines: tuple[str, ...]
    explanation: str


def text_of(item: Item) -> ItemText:
    kind = kind_of(item)
    unusual = item.model_dump(exclude_defaults=True).keys() - _WRITTEN - set(kind.text_fields)
    why = item.explanation if isinstance(item, Question) else ""
    return ItemText(item.prompt, item.kind, values_of(item, unusual), tuple(kind.to_lines(item)), why)


def values_of(model: BaseModel, names: Iterable[str]) -> dict[str, str]:
    """These fields of a model as texts, in the order of the model."""
    wanted, kept = set(names), model.model_dump(mode="json")
    return {
        name: plain_values.written(getattr(model, name), value, type(model), name)
        for name, value in kept.items()
        if name in wanted
    }


def read_values(settings: Mapping[str, str], model: type[BaseModel]) -> dict[str, Any]:
    return {name: plain_values.read(text, model, name) for name, text in settings.items()}


def kind_called(name: str) -> Kind[Any, Any, Any] | Message:
    found = next((kind for kind in KINDS if kind.name == name), None)
    if found is None:
        return said("kind_unknown", "There is no kind of question called “{kind}”.", kind=name[:40])
    return found


def checked(text: ItemText, kind: Kind[Any, Any, Any], new_id: NewId) -> Item:
    """The item: the inverse of `text_of`, but for ids. Raises ValidationError."""
    own = kind.from_lines("\n".join(text.lines).split("\n"), new_id)
    fields = own | read_values(text.settings, kind.item)
    fields |= {"id": new_id(), "kind": kind.name, "prompt": text.prompt}
    fields |= {"explanation": text.explanation} if text.explanation else {}
    return read_item.validate_python(fields)


def item_of(text: ItemText, new_id: NewId) -> Item | Message:
    """The item, or why it is none."""
    kind = kind_called(text.kind)
    if isinstance(kind, Message):
        return kind
    try:
        return checked(text, kind, new_id)
    except ValidationError as error:
        return said("of_this_kind", "This {kind}: {what}", kind=kind.called, what=first_of(error))


def write_item(item: Item) -> str:
    text = text_of(item)
    lines = [f"{HEAD} {line}".rstrip() for line in text.prompt.split("\n")]
    lines.append(f"{SETTING} kind: {text.kind}")
    lines += [f"{SETTING} {name}: {value}".rstrip() for name, value in text.settings.items()]
    reasons = [f"{WHY} {line}".rstrip() for line in text.explanation.split("\n")] if text.explanation else []
    return "\n\n".join("\n".join(part) for part in (lines, text.lines, reasons) if part)


def read_settings(lines: Iterable[str]) -> tuple[dict[str, str], dict[str, int], list[int]]:
    """(values by name, index of each one's line, indexes of lines that are none). A further line is indented."""
    settings: dict[str, str] = {}
    places: dict[str, int] = {}
    strange = []
    last = ""
    for at, line in enumerate(lines):
        name, colon, value = line.partition(":")
        if line.startswith(INDENT) and last:
            settings[last] += f"\n{line.strip()}"
        elif colon and name.strip():
            last = name.strip()
            settings[last], places[last] = value.strip(), at
        elif line.strip():
            strange.append(at)
    return settings, places, strange


def first_of(error: ValidationError) -> Message:
    return problem_in(error.errors()[0])


def problem_in(problem: Any) -> Message:
    """One problem of a value, with its place in it."""
    place = ".".join(str(part) for part in place_in(problem))
    what = message_of(problem)
    return said("at_place", "{place}: {what}", place=place, what=what) if place else what


def place_in(problem: Any) -> list[Any]:
    """Where in an item a problem is: the path, without the kind that begins it."""
    return [part for part in problem["loc"] if part not in {kind.name for kind in KINDS}]
