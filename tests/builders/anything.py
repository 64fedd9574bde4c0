"""Values of any model, drawn from its declaration: whatever a model allows, a format has to carry.

Texts are words with single spaces between them, and lines in texts that may be long: white space at the ends of
lines is nothing that a teacher means.
"""

from collections.abc import Iterable
from fractions import Fraction
from functools import cache
from types import UnionType
from typing import Annotated, Any, Literal, Union, get_args, get_origin

from annotated_types import Ge, Gt, Le, MaxLen, MinLen
from hypothesis import strategies as st
from pydantic import BaseModel
from pydantic.fields import FieldInfo

from lantern.core.questions import KINDS
from lantern.core.questions.contract import Kind
from lantern.core.questions.items import Item
from lantern.core.values import ShortId

MULTILINE_FROM = 1000
TRICKY = (
    "## :: > | - + = 1. - [x] - [ ] --- <!-- --> <!-- {} --> [gap] [a|b] a|b ** * _ ` $x^2$ $5 \\ \\( "
    '=SUM(A1) +5 @home -3 \'tis 1,5 0012 1e5 null true {} "said" a) B. Answer: ✓ (correct) שלום é ﬁ 中 H₂O ♯'
).split()
_letters = st.text(st.characters(codec="utf-8", exclude_categories=["C", "Z"]), min_size=1, max_size=8)
_words = st.lists(_letters | st.sampled_from(TRICKY), min_size=1, max_size=4).map(" ".join)
_lines = st.lists(_words, min_size=1, max_size=3).map("\n".join)
_ids = st.uuids(version=4).map(lambda made: made.hex[:16])
_SHORT_ID = get_args(ShortId)[1]


def any_item(kinds: Iterable[Kind[Any, Any, Any]] = KINDS) -> st.SearchStrategy[Item]:
    """An item of any of these kinds."""
    return st.sampled_from([kind.item for kind in kinds]).flatmap(any_of)


@cache
def any_of(model: type[BaseModel]) -> st.SearchStrategy[Any]:
    """Valid values of the model. A reference named `group` points into the value's own `groups`."""
    fields = {name: _of(field.annotation, field.metadata) for name, field in model.model_fields.items()}
    return st.fixed_dictionaries(fields).map(_with_references).map(model.model_validate)


def _with_references(drawn: dict[str, Any]) -> dict[str, Any]:
    groups = [group.id for group in drawn.get("groups", ())]
    if "members" in drawn:
        drawn["members"] = [
            member.model_copy(update={"group": groups[at % len(groups)] if groups else None})
            for at, member in enumerate(drawn["members"])
        ]
    return drawn


def _of(annotation: Any, metadata: list[Any]) -> st.SearchStrategy[Any]:
    origin, inner = get_origin(annotation), get_args(annotation)
    if origin is Annotated:
        return _of(inner[0], [*metadata, *_flat(inner[1:])])
    if origin in {Union, UnionType}:
        return st.one_of(*(_of(one, metadata) for one in inner))
    if origin is Literal:
        return st.sampled_from(inner)
    if origin is tuple:
        return _tuple(inner, metadata)
    return _plain(annotation, metadata)


def _flat(metadata: Any) -> list[Any]:
    """The constraints, out of pydantic's fields too."""
    return [part for one in metadata for part in (one.metadata if isinstance(one, FieldInfo) else [one])]


def _tuple(inner: tuple[Any, ...], metadata: list[Any]) -> st.SearchStrategy[Any]:
    fewest = max([0, *_bounds(metadata, MinLen, "min_length")])
    most = max(fewest, min([4, *_bounds(metadata, MaxLen, "max_length")]))
    return st.lists(_of(inner[0], []), min_size=fewest, max_size=most).map(tuple)


def _plain(annotation: Any, metadata: list[Any]) -> st.SearchStrategy[Any]:
    if annotation is type(None):
        return st.none()
    if annotation is bool:
        return st.booleans()
    if annotation is int:
        low, high = _bounds(metadata, Ge, "ge"), _bounds(metadata, Le, "le")
        return st.integers(max(low, default=None), min(high, default=None))
    if annotation is Fraction:
        return _float(metadata).map(lambda number: Fraction(str(number)))
    if annotation is float:
        return _float(metadata)
    if annotation is str:
        return _text(metadata)
    return any_of(annotation)


def _float(metadata: list[Any]) -> st.SearchStrategy[float]:
    """Numbers as people write them: a few digits."""
    low = max([-1e6, *_bounds(metadata, Ge, "ge"), *(gt + 0.001 for gt in _bounds(metadata, Gt, "gt"))])
    high = min([1e6, *_bounds(metadata, Le, "le")])
    return st.floats(low, high).map(lambda number: min(max(round(number, 3), low), high) + 0.0)


def _text(metadata: list[Any]) -> st.SearchStrategy[str]:
    patterns = [pattern for one in metadata if (pattern := getattr(one, "pattern", None))]
    if _SHORT_ID.pattern in patterns:
        return _ids
    if patterns:  # a language
        return st.sampled_from(["", "en", "fr", "de-CH"])
    most = min([100, *_bounds(metadata, MaxLen, "max_length")])
    long = min(_bounds(metadata, MaxLen, "max_length"), default=0) >= MULTILINE_FROM
    empty = st.nothing() if _bounds(metadata, MinLen, "min_length") else st.just("")
    return (_lines if long else _words.filter(lambda text: len(text) <= most)) | empty


def _bounds(metadata: list[Any], kind: type, name: str) -> list[Any]:
    return [getattr(one, name) for one in metadata if isinstance(one, kind)]
