"""What has happened in a session. Events are all that is stored; the state is made from them."""

from dataclasses import dataclass
from typing import Annotated, Any, Literal, get_args

from pydantic import Field, TypeAdapter

from lantern.core.questions import AnyAnswer, AnyItem
from lantern.core.values import Milliseconds


@dataclass(frozen=True, slots=True)
class Joined:
    seat: int
    name: str
    key: str
    type: Literal["joined"] = "joined"


@dataclass(frozen=True, slots=True)
class Renamed:
    seat: int
    name: str
    type: Literal["renamed"] = "renamed"


@dataclass(frozen=True, slots=True)
class Removed:
    seat: int
    type: Literal["removed"] = "removed"


@dataclass(frozen=True, slots=True)
class Restored:
    seat: int
    type: Literal["restored"] = "restored"


@dataclass(frozen=True, slots=True)
class FogLifted:
    seat: int
    lifted: bool
    type: Literal["fog_lifted"] = "fog_lifted"


@dataclass(frozen=True, slots=True)
class KeySet:
    """The right answer was set after the question had been asked; every answer to it is marked anew."""

    item: str
    answer: AnyAnswer
    type: Literal["key_set"] = "key_set"


@dataclass(frozen=True, slots=True)
class Corrected:
    """A question that had been asked became `item`: one more answer counts, or words are counted apart.

    `text` is the answer or word it was done for. Every answer to it is marked anew.
    """

    item: AnyItem
    what: Literal["counts", "apart"]
    text: str
    type: Literal["corrected"] = "corrected"


@dataclass(frozen=True, slots=True)
class TakenBack:
    """The last correction of this question was undone."""

    item: str
    type: Literal["taken_back"] = "taken_back"


@dataclass(frozen=True, slots=True)
class MarkedAnew:
    """Every answer is marked by this version of the rules from now on."""

    rules: int
    type: Literal["marked_anew"] = "marked_anew"


@dataclass(frozen=True, slots=True)
class PageShown:
    item: str
    type: Literal["page_shown"] = "page_shown"


@dataclass(frozen=True, slots=True)
class Opened:
    """A question takes answers: for the first time, or again with the answers it already has."""

    item: str
    at: Milliseconds
    deadline: Milliseconds | None
    type: Literal["opened"] = "opened"


@dataclass(frozen=True, slots=True)
class TimeAdded:
    item: str
    deadline: Milliseconds
    type: Literal["time_added"] = "time_added"


@dataclass(frozen=True, slots=True)
class Answered:
    seat: int
    item: str
    answer: AnyAnswer
    at: Milliseconds
    type: Literal["answered"] = "answered"


@dataclass(frozen=True, slots=True)
class Closed:
    item: str
    why: Literal["desk", "time", "all_answered"]
    type: Literal["closed"] = "closed"


@dataclass(frozen=True, slots=True)
class Withdrawn:
    """A question was left before anybody answered: it counts as never asked."""

    item: str
    type: Literal["withdrawn"] = "withdrawn"


@dataclass(frozen=True, slots=True)
class Revealed:
    item: str
    type: Literal["revealed"] = "revealed"


@dataclass(frozen=True, slots=True)
class Revisited:
    """The desk went back to a question that had been asked."""

    item: str
    type: Literal["revisited"] = "revisited"


@dataclass(frozen=True, slots=True)
class CurtainSet:
    drawn: bool
    type: Literal["curtain_set"] = "curtain_set"


@dataclass(frozen=True, slots=True)
class StandingsShown:
    type: Literal["standings_shown"] = "standings_shown"


@dataclass(frozen=True, slots=True)
class Ended:
    at: Milliseconds
    type: Literal["ended"] = "ended"


Event = (
    Joined
    | Renamed
    | Removed
    | Restored
    | FogLifted
    | KeySet
    | Corrected
    | TakenBack
    | MarkedAnew
    | PageShown
    | Opened
    | TimeAdded
    | Answered
    | Closed
    | Withdrawn
    | Revealed
    | Revisited
    | CurtainSet
    | StandingsShown
    | Ended
)

_READER: TypeAdapter[Event] = TypeAdapter(Annotated[Event, Field(discriminator="type")])
_WRITERS: dict[type, TypeAdapter[Any]] = {event: TypeAdapter(event) for event in get_args(Event)}


def write_event(event: Event) -> str:
    """The event as JSON text; `read_event` is its inverse."""
    return _WRITERS[type(event)].dump_json(event).decode()


def read_event(text: str) -> Event:
    return _READER.validate_json(text)
