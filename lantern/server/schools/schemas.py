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


class RoleForm(Value):
    role: Role


class HandOver(Value):
    """To whom the sets, classes and sessions of who leaves go."""

    to: RowNumber


class HandedOver(Value):
    sets: int
    classes: int
    sessions: int


class MailRow(Value):
    to: str
    subject: str
    text: str
    sent_at: datetime
