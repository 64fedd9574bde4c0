"""What a teacher changes in a piece of set work after it was given, and what holds then for one student.

1. A change is kept with who made it and when; nothing that was given is written over.
2. What was changed for one student goes before what holds for the class, whichever came first.
3. A person is the member's id of the class list, or, where there is none, the one in the roster.
"""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Annotated, Literal, NamedTuple, TypeVar

from pydantic import ConfigDict, Field, TypeAdapter

from lantern.core.shapes import Json, Shape
from lantern.core.values import Milliseconds
from lantern.core.work.terms import Moment, Terms

T = TypeVar("T")
Who = Annotated[str, Field(max_length=40)]
"""Of whom it is told; empty for everybody."""


@dataclass(frozen=True, slots=True)
class DueMoved:
    """It is due then; None: at no time."""

    due: Moment | None
    person: Who = ""
    type: Literal["due_moved"] = "due_moved"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class OpensMoved:
    opens: Moment | None
    type: Literal["opens_moved"] = "opens_moved"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class MoreTime:
    """So many minutes more in each attempt, where there is a limit."""

    person: Who
    minutes: Annotated[int, Field(ge=1, le=600)]
    type: Literal["more_time"] = "more_time"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class OneMoreAttempt:
    person: Who
    type: Literal["one_more_attempt"] = "one_more_attempt"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class Excused:
    """Nothing is expected of this student any more, or it is again."""

    person: Who
    excused: bool
    type: Literal["excused"] = "excused"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class Withdrawn:
    """Nobody sees it any more, or they do again. What was done stays."""

    withdrawn: bool
    type: Literal["withdrawn"] = "withdrawn"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class Reminded:
    """A mail went to these, who had not begun."""

    persons: tuple[str, ...]
    type: Literal["reminded"] = "reminded"
    __pydantic_config__ = ConfigDict(extra="forbid")


@dataclass(frozen=True, slots=True)
class OpenedAgain:
    """An attempt of this student, by its number, goes on."""

    person: Who
    number: int
    type: Literal["opened_again"] = "opened_again"
    __pydantic_config__ = ConfigDict(extra="forbid")


ByTeacher = DueMoved | OpensMoved | MoreTime | OneMoreAttempt | Excused | Withdrawn
"""What a teacher says; the others come of what she does."""
AnyChange = Annotated[ByTeacher, Field(discriminator="type")]
Change = ByTeacher | Reminded | OpenedAgain
CHANGE = Shape()
_READER: TypeAdapter[Change] = TypeAdapter(Annotated[Change, Field(discriminator="type")])


def write_change(change: Change) -> Json:
    found: Json = TypeAdapter(type(change)).dump_python(change, mode="json")
    return found


def read_change(shape: int, stored: Json) -> Change:
    return _READER.validate_python(CHANGE.upgrade(shape, stored))


class Own(NamedTuple):
    """What holds for one student. `closes` is from when on nothing is taken any more, `attempts` how many there may be
    in all (None: any number), `more_time` what is added to the time of each."""

    opens: Milliseconds | None
    due: Milliseconds | None
    closes: Milliseconds | None
    attempts: int | None
    more_time: Milliseconds
    excused: bool
    withdrawn: bool


def own_terms(terms: Terms, changes: Iterable[Change], person: str) -> Own:
    """What holds for this person after these changes, in the order in which they were made."""
    told = list(changes)
    opens = _last([one.opens for one in told if isinstance(one, OpensMoved)], terms.opens)
    due = _last([one.due for one in told if isinstance(one, DueMoved) and not one.person], terms.due)
    if person:
        due = _last([one.due for one in told if isinstance(one, DueMoved) and one.person == person], due)
    more = sum(isinstance(one, OneMoreAttempt) and one.person == person for one in told)
    minutes = sum(one.minutes for one in told if isinstance(one, MoreTime) and one.person == person)
    return Own(
        opens=opens,
        due=due,
        closes=due if terms.after == "closed" else None,
        attempts=None if terms.attempts is None else terms.attempts + more,
        more_time=minutes * 60_000,
        excused=_last([one.excused for one in told if isinstance(one, Excused) and one.person == person], False),
        withdrawn=_last([one.withdrawn for one in told if isinstance(one, Withdrawn)], False),
    )


def _last(found: Sequence[T], otherwise: T) -> T:
    return found[-1] if found else otherwise
