from datetime import datetime

from lantern.core.analysis.report import Report
from lantern.core.questions.content import Title
from lantern.core.values import Value


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


class NewTitle(Value):
    title: Title
