"""Shared ground for everything that crosses the wire."""

from typing import Annotated

from pydantic import BaseModel, ConfigDict, StringConstraints

Milliseconds = int
"""A moment (since 1970, UTC) or a span, in whole milliseconds."""

ShortId = Annotated[str, StringConstraints(pattern=r"^[A-Za-z0-9_-]{1,40}$")]
"""An id made by a client: random, URL-safe, told to nobody as an order or a rank."""


class Value(BaseModel):
    """A frozen value. Unknown fields are an error, so a misspelt one is never lost in silence."""

    model_config = ConfigDict(frozen=True, extra="forbid")
