"""What crosses the wire about classes and their members."""

from datetime import date, datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.comparing import Compared
from lantern.core.classes.members import MOST_MEMBERS, MemberForm
from lantern.core.formats.exchange import Column
from lantern.core.languages import Language
from lantern.core.messages import Message
from lantern.core.values import RowNumber, ShortId, Value, Written

Joining = Literal["closed", "ask", "open"]


class ClassForm(Written):
    name: Annotated[str, Field(max_length=80)]
    subject: Annotated[str, Field(max_length=80)] = ""
    year: Annotated[str, Field(max_length=20)] = ""
    language: Language | Literal[""] = ""
    """By whose alphabet names are sorted; empty in a form: as the teacher's account, or as it was."""


class ClassRow(ClassForm):
    """A line of the list. `waiting` are those who ask to be members."""

    id: int
    code: str
    members: int
    waiting: int
    archived_at: datetime | None


class MemberRow(MemberForm):
    """`phrase` is empty where the class has none."""

    id: int
    phrase: str
    left_at: datetime | None


class RequestRow(Value):
    """Somebody who asks to be a member. `member` is whom of the class it may be, written otherwise."""

    id: int
    name: str
    record_id: str
    asked_at: datetime
    member: int | None


class Colleague(Value):
    id: int
    name: str


class ClassDetail(ClassRow):
    """`members_list` has everybody, in no order; `made_from` is the class of the year before."""

    joining: Joining
    joining_until: date | None
    join_url: str
    door_url: str
    has_phrases: bool
    made_from: int | None
    teachers: tuple[Colleague, ...]
    members_list: tuple[MemberRow, ...]
    requests: tuple[RequestRow, ...]


class Teaching(Value):
    """Who teaches a class, by account."""

    teachers: Annotated[tuple[RowNumber, ...], Field(max_length=50)]


class Archiving(Value):
    archived: bool


class CopyForm(ClassForm):
    """The class of another year."""

    with_members: bool


class Leaving(Value):
    left: bool


class Phrases(Value):
    on: bool


class Renewing(Value):
    """Whose phrases are drawn anew; None: everybody's."""

    members: Annotated[tuple[RowNumber, ...], Field(max_length=MOST_MEMBERS)] | None = None


class JoiningForm(Value):
    """Until the end of that day, by the school's clock; None: until it is closed."""

    joining: Joining
    until: date | None = None


class Deciding(Value):
    """Lets somebody in: as a new member, or as the member whom the class knows already."""

    let_in: bool
    member: RowNumber | None = None


class FoundClass(Value):
    """A class of a roster, or the one list of a spreadsheet. `into` is the class that it would go into, None a new one.

    `missing` are members whom the list does not name.
    """

    source: str
    name: str
    subject: str
    year: str
    into: int | None
    rows: tuple[Compared, ...]
    missing: tuple[int, ...]


class FoundList(Value):
    """What a file or pasted names hold; nothing is kept. `members` are those whom rows and `missing` speak of."""

    columns: tuple[Column, ...]
    notes: tuple[Message, ...]
    classes: tuple[FoundClass, ...]
    members: tuple[MemberRow, ...]


class KeptRow(Value):
    """One line as the teacher decided: `member` is who it is, None somebody new."""

    form: MemberForm
    member: RowNumber | None = None


class KeptClass(ClassForm):
    """`into` is an own class, None a new one; `leaving` are members who leave it."""

    source: Annotated[str, Field(max_length=200)] = ""
    into: RowNumber | None = None
    rows: Annotated[tuple[KeptRow, ...], Field(max_length=MOST_MEMBERS)] = ()
    leaving: Annotated[tuple[RowNumber, ...], Field(max_length=MOST_MEMBERS)] = ()


class KeptLists(Value):
    classes: Annotated[tuple[KeptClass, ...], Field(max_length=400)]


class ToJoin(Value):
    """What a device is told that opened a class's link. `state` is its own: `closed` for nobody new, `open` and `ask`
    before it asked; `waiting`, `in` or `turned_away` after. Only who is in is told the `phrase`, and only on the device
    that asked."""

    class_name: str
    teachers: tuple[str, ...]
    state: Literal["closed", "open", "ask", "waiting", "in", "turned_away"]
    name: str = ""
    phrase: str = ""
    code: str = ""
    languages: tuple[Language, ...] = ()


class JoinClassForm(Written):
    """`key` is made once by the device."""

    name: Annotated[str, Field(max_length=200)]
    record_id: Annotated[str, Field(max_length=200)] = ""
    key: ShortId
