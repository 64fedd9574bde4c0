"""Single values of a set or an item as people write them, by the type that the model gives them.

1. A text stands as it is, further lines indented by four spaces.
2. Several texts stand in a row with commas between, a group of switches as the names of those that are on.
3. A picture, sound or video is a link (`media_links`). Yes and no are `true` and `false`, what is not set is `none`.
4. Whatever would be read as something else that way, or is of any other shape, is JSON; JSON is read everywhere.
"""

import json
from types import NoneType, UnionType
from typing import Annotated, Any, Literal, Union, get_args, get_origin

from pydantic import BaseModel

from lantern.core.questions import media_links
from lantern.core.questions.items import Film, Media, Picture, Recording
from lantern.core.questions.textform import INDENT

_NOTHING = "none"
_WORDS = {"yes": True, "no": False, "true": True, "false": False}


def written(value: object, kept: object, model: type[BaseModel], name: str) -> str:
    """The field `name` as a text: `value` is its value in the model, `kept` the one in JSON."""
    plain = _plainly(value, kept)
    lines = plain.split("\n") if plain is not None else []
    is_tidy = all(line == line.strip() for line in lines) and all(lines[1:])
    if plain is not None and is_tidy and read(plain, model, name) == _as_read(value, kept):
        return plain.replace("\n", f"\n{INDENT}")
    return json.dumps(kept, ensure_ascii=False)


def read(text: str, model: type[BaseModel], name: str) -> Any:
    """What a text says for the field `name` of a model, to be checked by it; its further lines without their indent."""
    types = _types_of(model.model_fields[name].annotation) if name in model.model_fields else [str]
    if text == _NOTHING and NoneType in types and str not in types:
        return None
    for reader in (_link, _switches, _texts, _text):
        found = reader(text, types)
        if found is not None:
            return found
    return _json(text)


def _as_read(value: object, kept: object) -> object:
    """What `read` gives for a value: of a link the numbers are texts still."""
    return media_links.read(media_links.written(value)) if isinstance(value, Picture | Recording | Film) else kept


def _plainly(value: object, kept: object) -> str | None:
    if isinstance(value, Picture | Recording | Film):
        return media_links.written(value)
    if isinstance(value, BaseModel) and isinstance(kept, dict):
        return ", ".join(name for name, on in kept.items() if on) or _NOTHING
    if isinstance(kept, bool):
        return "true" if kept else "false"
    if kept is None:
        return _NOTHING
    if isinstance(kept, list):
        return ", ".join(kept) if all(isinstance(one, str) for one in kept) else None
    return kept if isinstance(kept, str) else None


def _types_of(annotation: Any) -> list[Any]:
    """What a field may hold, unions and annotations taken apart."""
    origin, inner = get_origin(annotation), get_args(annotation)
    if origin is Annotated:
        return _types_of(inner[0])
    if origin in {Union, UnionType}:
        return [one for part in inner for one in _types_of(part)]
    if origin is Literal:
        return [type(one) for one in inner]
    if origin is tuple:
        return [("several", *dict.fromkeys(_types_of(inner[0])))]
    return [annotation]


def _link(text: str, types: list[Any]) -> object:
    return media_links.read(text) if set(types) & set(get_args(Media)) else None


def _switches(text: str, types: list[Any]) -> object:
    model = next((one for one in types if isinstance(one, type) and issubclass(one, BaseModel)), None)
    fields = model.model_fields if model else {}
    if not fields or any(field.annotation is not bool for field in fields.values()) or text.startswith("{"):
        return None
    on = [] if text == _NOTHING else [part.strip() for part in text.split(",")]
    # A name that is no switch goes on to the model, which says that it knows none.
    return {name: name in on for name in fields} | {name: True for name in on if name not in fields}


def _texts(text: str, types: list[Any]) -> object:
    if ("several", str) not in types:
        return None
    listed = _json(text) if text.startswith("[") else text
    return listed if isinstance(listed, list) else [part.strip() for part in text.split(",") if part.strip()]


def _text(text: str, types: list[Any]) -> object:
    if str not in types and any(one in (bool, int, float) for one in types):
        word = _WORDS.get(text.casefold())
        return word if bool in types and word is not None else None
    if str not in types and not any(_is_from_text(one) for one in types):
        return None
    quoted = _json(text) if text.startswith('"') else text
    return quoted if isinstance(quoted, str) else text


def _is_from_text(one: Any) -> bool:
    """Types that JSON has no other form for than a text, as an exact number."""
    return isinstance(one, type) and not issubclass(one, BaseModel | NoneType) and one not in (bool, int, float, str)


def _json(text: str) -> Any:
    try:
        return json.loads(text)
    except (ValueError, RecursionError):
        return text
