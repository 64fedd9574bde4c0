from datetime import datetime
from typing import Annotated

from pydantic import Field

from lantern.core.analysis.report import Report
from lantern.core.questions.content import Title
from lantern.core.values import ShortId, Value
from lantern.server.live.faults import StoodAt


class SessionRow(Value):
    """A line of the list of sessions. Figures stand once the session has ended. `stopped`: it is paused, or closed
    until another day. `game` is the name of what is played, empty for nothing."""

    id: int
    title: str
    code: str
    game: str
    class_name: str
    created_at: datetime
    stopped: str
    ended_at: datetime | None
    took_part: int | None
    mean_share: float | None


Page = Annotated[int, Field(ge=1, le=100_000)]


class SessionRows(Value):
    """A page of the list; `more` says whether there is another behind it."""

    rows: list[SessionRow]
    more: bool


class SessionReport(Value):
    """`set_aside` are events that could be read no more, and that the session went on without."""

    id: int
    set: int | None
    created_at: datetime
    ended_at: datetime | None
    hardest: list[str]
    report: Report
    set_aside: list[StoodAt]


class TypedText(Value):
    """A text in one part of a question of a session."""

    item: ShortId
    text: Annotated[str, Field(max_length=300)]
    part: Annotated[str, Field(max_length=40)] = ""


class NewTitle(Value):
    title: Title
