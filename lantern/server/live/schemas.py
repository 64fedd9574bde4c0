"""What crosses the wire about a running session, over sockets and over HTTP alike."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import Field

from lantern.core.questions import AnyAnswer
from lantern.core.session import DeskCommand
from lantern.core.session.commands import AskId
from lantern.core.session.desk_view import DeskView
from lantern.core.session.model import LedSettings
from lantern.core.session.views import Mine, ScreenView, StudentView
from lantern.core.values import Milliseconds, ShortId, Value
from lantern.server.api.errors import ErrorReply, Gone


class NewSession(Value):
    set: int
    settings: LedSettings = LedSettings()


class SessionInfo(Value):
    id: int
    code: str
    title: str
    set: int
    join_url: str
    ended_at: datetime | None


class StoodEvent(Value):
    """The event that a session shall go on without."""

    seq: int


class CodeInfo(Value):
    """What a device is told about a code before it joins."""

    code: str
    title: str
    teacher: str
    ask_names: bool


class JoinForm(Value):
    """`key` is made once by the device: joining again with it leads to the same seat."""

    code: Annotated[str, Field(max_length=40)]
    name: Annotated[str, Field(max_length=200)] = ""
    key: ShortId


class Joined(Value):
    """`token` opens this one seat and nothing else."""

    token: str
    code: str
    title: str
    name: str


class Hello(Value):
    """A student socket's first message."""

    token: Annotated[str, Field(max_length=300)]


class Ping(Value):
    ping: Literal[True]


CommandNumber = Annotated[int, Field(ge=1, le=2**53 - 1)]
"""Rises from command to command: for each page of a desk, and for each ask of a seat."""


class Answering(Value):
    """`moves_on` at own pace: to the next item of one's paper, in the same step."""

    do: Literal["answer"] = "answer"
    ask: AskId
    answer: AnyAnswer
    moves_on: bool = False


class Beginning(Value):
    """At own pace: one's paper is drawn, and its time begins."""

    do: Literal["begin"]


class GoingTo(Value):
    do: Literal["go_to"]
    item: ShortId


class Clearing(Value):
    """One's own answer is taken back, where answers may be changed."""

    do: Literal["clear"]
    ask: AskId


class HandingIn(Value):
    do: Literal["hand_in"]


FromAStudent = Annotated[Answering | Beginning | GoingTo | Clearing | HandingIn, Field(discriminator="do")]


class StudentCommand(Value):
    """What a student's device wants. `id` comes back with the acknowledgement; `number` makes sending it twice count
    once."""

    id: ShortId
    number: CommandNumber
    command: FromAStudent


class AnswerToRead(Value):
    """An answer that is not sent yet."""

    item: ShortId
    answer: AnyAnswer


class Reading(Value):
    """How an answer is understood, as "1234.5 m"; empty where that is never in doubt."""

    read: str


class TeacherCommand(Value):
    """`page` is made by the page that sends it: each page of an account numbers its own commands."""

    id: ShortId
    page: ShortId
    number: CommandNumber
    command: DeskCommand


class StudentMessage(Value):
    """`mine` is absent where the student's own part is as it was."""

    now: Milliseconds
    version: str
    view: StudentView
    mine: Mine | None = None


class ScreenMessage(Value):
    now: Milliseconds
    version: str
    view: ScreenView


class DeskMessage(Value):
    now: Milliseconds
    version: str
    view: DeskView


class Ack(Value):
    """The command with this id is stored, or refused for the reason in `error`."""

    ack: str
    error: ErrorReply | None = None


class Pong(Value):
    now: Milliseconds


SOCKET_MESSAGES: list[type[Value]] = [
    Hello,
    Ping,
    StudentCommand,
    TeacherCommand,
    StudentMessage,
    ScreenMessage,
    DeskMessage,
    Ack,
    Pong,
    Gone,
]
