"""The kinds of question, in one explicit list, and the unions that are made from it."""

from typing import TYPE_CHECKING, Any

from pydantic import TypeAdapter

from lantern.core.questions.companions import NewId
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import Answer, Item, Key, Problem, PublicItem, Tally
from lantern.core.questions.kinds import (
    choice,
    classify,
    gap_fill,
    letter,
    match,
    numeric_entry,
    open_response,
    order,
    page,
    point,
    point_split,
    rating_scale,
    slider,
    text_entry,
    word_cloud,
)
from lantern.core.values import union_of

KINDS: tuple[Kind[Any, Any, Any], ...] = (
    choice.KIND,
    text_entry.KIND,
    numeric_entry.KIND,
    slider.KIND,
    order.KIND,
    match.KIND,
    classify.KIND,
    point.KIND,
    gap_fill.KIND,
    open_response.KIND,
    word_cloud.KIND,
    rating_scale.KIND,
    point_split.KIND,
    letter.KIND,
    page.KIND,
)

_BY_NAME = {kind.name: kind for kind in KINDS}


def kind_of(item: Item | Answer | PublicItem) -> Kind[Any, Any, Any]:
    """The kind that an item or an answer belongs to."""
    return _BY_NAME[item.kind]


def check_item(item: Item) -> list[Problem]:
    return kind_of(item).check(item)


if TYPE_CHECKING:
    AnyItem = Item
    AnyPublicItem = PublicItem
    AnyAnswer = Answer
    AnyKey = Key
    AnyTally = Tally
else:

    def _union(models):
        return union_of((model for model in models if model is not None), by="kind")

    AnyItem = _union(kind.item for kind in KINDS)
    AnyPublicItem = _union(kind.public_item for kind in KINDS)
    AnyAnswer = _union(kind.answer for kind in KINDS)
    AnyKey = _union(kind.key_model for kind in KINDS)
    AnyTally = _union(kind.tally_model for kind in KINDS)

read_item: TypeAdapter[Item] = TypeAdapter(AnyItem)

_IDS, _REFERENCES = ("id", "partner_id"), ("group",)


def with_new_ids(item: Item, new_id: NewId) -> Item:
    """The item with new ids for all its parts: one that somebody chose may say which part is right.

    A part names itself by a field of _IDS, and another part by one of _REFERENCES (a contract test holds every kind
    to that).
    """
    renewed: dict[str, str] = {}

    def walk(value: Any) -> Any:
        if isinstance(value, list):
            return [walk(inner) for inner in value]
        if not isinstance(value, dict):
            return value
        return {name: renew(name, inner) for name, inner in value.items()}

    def renew(name: str, value: Any) -> Any:
        if name in (*_IDS, *_REFERENCES) and isinstance(value, str):
            return renewed.setdefault(value, new_id())
        return walk(value)

    body = item.model_dump(mode="json")
    return read_item.validate_python({"id": item.id} | {name: walk(v) for name, v in body.items() if name != "id"})


__all__ = [
    "KINDS",
    "AnyAnswer",
    "AnyItem",
    "AnyKey",
    "AnyPublicItem",
    "AnyTally",
    "check_item",
    "kind_of",
    "read_item",
    "with_new_ids",
]
