from typing import Annotated, Literal

from pydantic import Field

from lantern.core.classes.known import Known
from lantern.core.languages import TeacherLanguage
from lantern.core.values import Value

Password = Annotated[str, Field(max_length=200)]


class SignIn(Value):
    email: str
    password: Password


class SignUp(Value):
    name: Annotated[str, Field(min_length=1, max_length=80)]
    email: Annotated[str, Field(max_length=254)]
    password: Password
    invitation: Annotated[str, Field(max_length=100)] = ""


class SignUpRule(Value):
    """Who may make an account here."""

    sign_up: Literal["open", "invitation", "closed"]


class InvitationForm(Value):
    """`email`: where the link is sent, too."""

    email: Annotated[str, Field(max_length=254)] = ""


class InvitationLink(Value):
    """Good once, for a week."""

    link: str


class PasswordChange(Value):
    old: Password
    new: Password


class LanguageChoice(Value):
    """What this account's pages speak; empty: the language of the device."""

    language: TeacherLanguage | Literal[""]


class Me(Value):
    """`known` is how the school's sessions know students unless one chooses otherwise. `language` is empty where none
    was chosen: pages then speak that of the device."""

    name: str
    email: str
    school: str
    role: Literal["teacher", "keeper"]
    known: Known
    language: TeacherLanguage | Literal[""]
