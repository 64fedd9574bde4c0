"""A frozen value with some of its fields changed."""

from typing import Any, TypeVar

S = TypeVar("S")


def changed(value: S, **changes: Any) -> S:
    """`dataclasses.replace` at a fraction of its cost, for values without slots: it runs twice for every answer."""
    new = object.__new__(type(value))
    fields = value.__dict__.copy()
    fields.update(changes)
    object.__setattr__(new, "__dict__", fields)  # the value is frozen
    return new
