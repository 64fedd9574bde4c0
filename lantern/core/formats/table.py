"""A plain table, as reports make it and file formats write it."""

from collections.abc import Sequence
from dataclasses import dataclass

Cell = str | int | float | None


@dataclass(frozen=True, slots=True)
class Table:
    name: str
    headings: Sequence[str]
    rows: Sequence[Sequence[Cell]]
