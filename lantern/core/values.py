"""Shared ground for everything that crosses the wire."""

import re
from collections.abc import Iterable
from functools import reduce
from operator import or_
from typing import Annotated, Any

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, StringConstraints, model_validator

Milliseconds = int
"""A moment (since 1970, UTC) or a span, in whole milliseconds."""

ShortId = Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9_-]{1,40}$")]
"""An id made by a client: random, URL-safe, told to nobody as an order or a rank."""


RowNumber = Annotated[int, Field(ge=0, lt=2**63)]
"""The number of a row, as every database can hold it."""


class Value(BaseModel):
    """A frozen value. Unknown fields are an error, so a misspelt one is never lost in silence."""

    model_config = ConfigDict(frozen=True, extra="forbid")


def union_of(models: Iterable[type[BaseModel]], *, by: str) -> Any:
    """The type of any of these, told apart by the field `by`."""
    listed = list(models)
    return Annotated[reduce(or_, listed), Field(discriminator=by)] if len(listed) > 1 else listed[0]


_BREAKS = re.compile(r"\r\n?|[\x0b\x0c\u2028\u2029]")
_NO_CHARACTERS = re.compile(r"[\x00-\x08\x0e-\x1f\x7f\ufffe\uffff]")


def readable(text: str) -> str:
    """The text with one sign for the end of a line, and without characters that stand for nothing.

    They come along from slides and PDF files; XML cannot hold them, and nobody can see them.
    """
    return _NO_CHARACTERS.sub("", _BREAKS.sub("\n", text))


def _all_readable(value: Any) -> Any:
    if isinstance(value, str):
        return readable(value)
    if isinstance(value, dict):
        return {name: _all_readable(inner) for name, inner in value.items()}
    return type(value)(map(_all_readable, value)) if type(value) in {list, tuple} else value


ReadableText = Annotated[str, AfterValidator(readable)]


class Written(Value):
    """A value that people write: every text in it is made readable as it comes in."""

    @model_validator(mode="before")
    @classmethod
    def _readable(cls, data: Any) -> Any:
        return _all_readable(data)
