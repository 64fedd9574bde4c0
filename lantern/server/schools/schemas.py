from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.school import SchoolSettings
from lantern.core.values import RowNumber, Value, Written

Role = Literal["teacher", "keeper"]


class ColleagueRow(Value):
    """A teacher of this school. What is hers by number alone: nobody sees the rest."""

    id: int
    name: str
    email: str
    role: Role
    is_me: bool
    sets: int
    classes: int


class SchoolDetail(Value):
    """`has_outbox`: mail is not delivered here, but lies in an outbox."""

    name: str
    settings: SchoolSettings
    colleagues: tuple[ColleagueRow, ...]
    has_outbox: bool


class SchoolForm(Written):
    name: Annotated[str, Field(max_length=120)]
    settings: SchoolSettings


class Going(Value):
    """What a rule would take away at once. `first` are titles of some of the sessions, the oldest first."""

    sessions: int
    students: int
    first: tuple[str, ...]


class WouldGo(Value):
    """`names` are erased and leave the figures; `whole` sessions go with all that was in them."""

    names: Going
    whole: Going


class RoleForm(Value):
    role: Role


class HandOver(Value):
    """To whom the sets, classes and sessions of who leaves go."""

    to: RowNumber


class HandedOver(Value):
    sets: int
    classes: int
    sessions: int


class MailFile(Value):
    id: int
    name: str


class MailRow(Value):
    to: str
    subject: str
    text: str
    sent_at: datetime
    files: tuple[MailFile, ...]


class TookPart(Value):
    """A session that a student took part in. `is_certain` is false for who gave the record ID in other letters, until a
    teacher has confirmed it; `person` is what is confirmed then."""

    person: int
    session: int
    title: str
    at: datetime
    name: str
    record_id: str
    is_certain: bool
    score: float
    out_of: int


class StudentHistory(Value):
    """The newest first. `elsewhere` is how many sessions of colleagues there are besides."""

    sessions: tuple[TookPart, ...]
    elsewhere: int


class Confirming(Value):
    is_the_same: bool


class ErasedStudent(Value):
    """What remains in figures: the answers of nobody in particular, in so many sessions."""

    sessions: int
    answers: int
