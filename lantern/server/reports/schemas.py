from datetime import date, datetime
from typing import Annotated

from pydantic import Field

from lantern.core.analysis.across import AcrossSessions
from lantern.core.analysis.gradebook import Book, Scheme
from lantern.core.analysis.narrowed import ReportParts
from lantern.core.analysis.one_question import QuestionPage
from lantern.core.analysis.preview import Correcting
from lantern.core.analysis.report import Pane, Report
from lantern.core.analysis.teaching import TeachAgain
from lantern.core.questions.content import Title
from lantern.core.session.settings import Settings
from lantern.core.session.views import Shown
from lantern.core.values import ShortId, Value, Written
from lantern.server.live.faults import StoodAt


class SessionRow(Value):
    """A line of the list of sessions. Figures stand once the session has ended. `stopped`: it is paused, or closed
    until another day. `game` is the name of what is played, empty for nothing; `waiting` is how many answers have no
    mark by hand yet."""

    id: int
    title: str
    note: str
    code: str
    game: str
    class_name: str
    created_at: datetime
    stopped: str
    ended_at: datetime | None
    archived: bool
    took_part: int | None
    mean_share: float | None
    waiting: int


Page = Annotated[int, Field(ge=1, le=100_000)]


class WantedSessions(Value):
    """Which sessions are listed: those of a class, a set, from one day to another (both included), with all these words
    in title, note or class. `kept`: those that were closed until another day; `archived`: those that were put away."""

    page: Page = 1
    of_class: int | None = None
    of_set: int | None = None
    since: date | None = None
    until: date | None = None
    search: Annotated[str, Field(max_length=200)] = ""
    kept: bool = False
    archived: bool = False


class SessionRows(Value):
    """A page of the list; `more` says whether there is another behind it."""

    rows: list[SessionRow]
    more: bool


class SessionChoice(Value):
    """Something that sessions can be listed by, and how many there are of it."""

    id: int
    name: str
    sessions: int


class SessionChoices(Value):
    """The classes and sets that there are sessions of."""

    classes: list[SessionChoice]
    sets: list[SessionChoice]
    archived: int


class SessionChanges(Value):
    """What is left out stays as it is."""

    title: Title | None = None
    note: Annotated[str, Field(max_length=2000)] | None = None
    archived: bool | None = None


class DoneLater(Value):
    """Somebody who was absent and did it later, as set work: their seat there, and their `share`, 0..1, None where an
    answer still waits for all of it."""

    work: int
    session: int
    seat: int
    name: str
    share: float | None


class SessionReport(Value):
    """`set_aside` are events that could be read no more, and that the session went on without. `parts` are what it can
    be narrowed to; `version` is that of the set that was run, None where nothing was prepared; `game` is the name of
    what was played, empty for nothing. `work` is the piece of set work that it is a part of, if it is one:
    then `ended_at` is when it was read."""

    id: int
    work: int | None
    set: int | None
    version: int | None
    note: str
    archived: bool
    created_at: datetime
    ended_at: datetime | None
    settings: Settings
    game: str
    parts: ReportParts
    teach: TeachAgain
    report: Report
    set_aside: list[StoodAt]
    later: list[DoneLater]


class SessionPanes(Value):
    """The grid in another way: seat number to panes along the report's questions."""

    panes: dict[int, tuple[Pane, ...]]


class QuestionResult(Value):
    """One question's page; `shown` is its result in its own form."""

    title: str
    page: QuestionPage
    shown: Shown


class NamedStudent(Value):
    student: str
    name: str


class ClassResults(Value):
    """A class over its sessions; `students` are names, in the order of the class list."""

    id: int
    name: str
    results: AcrossSessions
    students: list[NamedStudent]


class StudentResults(Value):
    """A student over the sessions of a class: `results` are of them alone, their trend is against the class."""

    id: int
    class_name: str
    name: str
    results: AcrossSessions


class AgainForm(Value):
    """A new set of questions of a session. `each_group`: one for each group instead, of as many that were hardest for
    it. `as_in`: of the set in which the questions are taken as they stand there, as far as they are in it."""

    title: Title
    items: Annotated[tuple[ShortId, ...], Field(min_length=1, max_length=100)]
    each_group: bool = False
    as_in: int | None = None


class OtherForm(Value):
    """A set in which questions of a session stand otherwise than they were asked: `items`, their ids."""

    set: int
    title: str
    items: tuple[ShortId, ...]


class MadeSet(Value):
    id: int
    title: str


class Proposed(Value):
    """A correction that is looked at before it is made."""

    command: Correcting


class TypedText(Value):
    """A text in one part of a question of a session."""

    item: ShortId
    text: Annotated[str, Field(max_length=300)]
    part: Annotated[str, Field(max_length=40)] = ""


class BookRow(Value):
    id: int
    name: str
    class_id: int
    class_name: str


class NewBook(Value):
    of_class: int
    name: Annotated[str, Field(max_length=120)] = ""


class BookForm(Written):
    name: Annotated[str, Field(max_length=120)]
    scheme: Scheme


class BookDetail(Value):
    """A grade book as it is now. `sessions` are those of its class that can be put into it."""

    id: int
    name: str
    class_id: int
    class_name: str
    scheme: Scheme
    book: Book
    sessions: list["BookSessionChoice"]


class BookSessionChoice(Value):
    id: int
    title: str
    created_at: datetime


class SharingForm(Value):
    """`until` is the last day on which the link opens the results."""

    until: date
    with_names: bool = False


class SharedLink(Value):
    """`link` is told once, when it is made: nobody keeps it."""

    id: int
    until: date
    with_names: bool
    made_at: datetime
    link: str


class SharedReport(Value):
    """Results as whoever has the link reads them: of people no more than their marks, and names where those are
    wanted."""

    title: str
    created_at: datetime
    until: date
    report: Report
    teach: TeachAgain
