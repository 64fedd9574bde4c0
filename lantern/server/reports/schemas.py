from datetime import datetime
from typing import Annotated

from pydantic import Field

from lantern.core.analysis.report import Report
from lantern.core.questions.content import Title
from lantern.core.values import ShortId, Value


class SessionRow(Value):
    """A line of the list of sessions. Figures stand once the session has ended."""

    id: int
    title: str
    code: str
    created_at: datetime
    ended_at: datetime | None
    took_part: int | None
    mean_share: float | None


class SessionReport(Value):
    id: int
    set: int
    created_at: datetime
    ended_at: datetime | None
    hardest: list[str]
    report: Report


class TypedText(Value):
    """A text in one part of a question of a session."""

    item: ShortId
    text: Annotated[str, Field(max_length=300)]
    part: Annotated[str, Field(max_length=40)] = ""


class NewTitle(Value):
    title: Title
