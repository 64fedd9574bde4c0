"""Who answered what, as records of learning carry it, in whatever standard they are written."""

from collections.abc import Sequence
from dataclasses import dataclass

from lantern.core.questions.companions import Given
from lantern.core.values import Milliseconds


@dataclass(frozen=True, slots=True)
class Record:
    """One answer; `mark` is None where none is given, 0..1. `language` is that of the question."""

    item: str
    number: int
    title: str
    language: str
    given: Given
    mark: float | None
    at: Milliseconds
    took: Milliseconds


@dataclass(frozen=True, slots=True)
class PersonRecords:
    """`id` is opaque, and the same each time. `score` of `out_of`, as in the report."""

    id: str
    name: str
    score: float
    out_of: int
    records: Sequence[Record]


@dataclass(frozen=True, slots=True)
class SessionRecords:
    """`at` is when it began."""

    id: str
    title: str
    at: Milliseconds
    people: Sequence[PersonRecords]
