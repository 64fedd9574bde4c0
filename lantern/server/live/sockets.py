"""Sockets of students, desks and big screens, on the server's own wire, because each message counts (law 7).

A student's first message is its token. From then on the server sends whole views, and answers every
command with an acknowledgement, or with the reason why not.

1. Nothing is loaded for a stranger: a teacher's right to a session is looked up before the session is.
2. Who does not say who he is within HELLO_WITHIN is told so and closed.
3. A device that says more than it may is not listened to for a while, and closed if it goes on regardless.
"""

import asyncio
import json
import time
from collections.abc import Awaitable, Callable
from functools import partial
from typing import Annotated, Any

from asgiref.sync import sync_to_async
from channels.auth import AuthMiddlewareStack
from pydantic import Field, TypeAdapter, ValidationError

from lantern.core.errors import LanternError, NotPossible, TakenOut, UnknownSeat
from lantern.core.messages import said
from lantern.core.session import Actor, Command, DeskCommand, Role, Sent
from lantern.core.session.commands import (
    Back,
    BeginPaper,
    ClearAnswer,
    Flag,
    GiveAnswer,
    GoToPlace,
    HandIn,
    MakeMove,
    WriteNote,
)
from lantern.core.session.common import OF_A_REPORT
from lantern.core.values import Value
from lantern.server.api.errors import TooFast, UnknownRemote, UnknownSession, farewell, replied, reply_to
from lantern.server.doors.budget import Budget
from lantern.server.doors.protocols import Wire, doors
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Audience, Connection
from lantern.server.live.hub import hub
from lantern.server.live.logins import login_of
from lantern.server.live.models import LiveSession
from lantern.server.live.queries import led_session, own_run
from lantern.server.live.remotes import remote_of
from lantern.server.live.room import Room
from lantern.server.live.schemas import (
    Ack,
    Answering,
    Backing,
    Beginning,
    Clearing,
    Flagging,
    GoingTo,
    HandingIn,
    Hello,
    Moving,
    Noting,
    Ping,
    Pong,
    RemoteOrder,
    StudentCommand,
    TeacherCommand,
)
from lantern.server.live.tokens import SeatPass, read_token
from lantern.server.live.writer import Job, Outcome

Receive = Callable[[], Awaitable[dict[str, Any]]]
Send = Callable[[dict[str, Any]], Awaitable[None]]
Handle = Callable[[str], str | None]

HELLO_WITHIN = 4.0
"""Seconds; less than PATIENCE of the doors, which close a silent line without a word."""
LONGEST_MESSAGE = 64 * 1024
CHEAP = 4 * 1024
"""Characters that cost as much as one message; a longer one costs more."""
MOST_ON_THEIR_WAY = 20
NOT_SERVED = 4404
NOT_UNDERSTOOD = replied(said("not_understood", "The server did not understand this message."), "not_understood")
# From left to right: whatever is a command is not tried as a ping, too.
IN_TURN = Field(union_mode="left_to_right")
_student_message: TypeAdapter[StudentCommand | Ping] = TypeAdapter(Annotated[StudentCommand | Ping, IN_TURN])
_teacher_message: TypeAdapter[TeacherCommand | Ping] = TypeAdapter(Annotated[TeacherCommand | Ping, IN_TURN])


_remote_message: TypeAdapter[RemoteOrder | Ping] = TypeAdapter(Annotated[RemoteOrder | Ping, IN_TURN])


async def student_socket(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    wire = await _accept(scope, receive, send)
    try:
        seat, room = await enter_seat(Hello.model_validate_json(await _hello(receive)).token)
    except (ValidationError, TimeoutError):
        _refuse(wire, UnknownSeat())
    except LanternError as error:
        _refuse(wire, error)
    else:
        connection = Connection(Audience.STUDENT, seat.seat, wire)
        handle = _commands(_student_message, student_command(seat), seat.session_id, connection)
        await _serve(scope, room, connection, receive, handle, room.budget(seat.seat))


async def _teacher_socket(role: Audience, scope: dict[str, Any], receive: Receive, send: Send) -> None:
    wire = await _accept(scope, receive, send)
    teacher = scope["user"]
    try:
        room = await led_room(teacher, scope["url_route"]["kwargs"]["session_id"])
        login = await sync_to_async(login_of)(teacher, scope["session"])
    except LanternError as error:
        _refuse(wire, error)
    else:
        connection = Connection(role, None, wire, login)
        handle = (
            _commands(_teacher_message, desk_command(teacher.pk), room.session_id, connection)
            if role is Audience.DESK
            else _screen_handler
        )
        await _serve(scope, room, connection, receive, handle, None)


async def _desk(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    await _teacher_socket(Audience.DESK, scope, receive, send)


async def _screen(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    await _teacher_socket(Audience.SCREEN, scope, receive, send)


desk_socket = AuthMiddlewareStack(_desk)
screen_socket = AuthMiddlewareStack(_screen)


async def remote_socket(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    """A teacher's phone: its first message is its token, as a student's is."""
    wire = await _accept(scope, receive, send)
    try:
        remote, login = await remote_of(Hello.model_validate_json(await _hello(receive)).token)
        room = await hub().room(remote.session_id)
    except (ValidationError, TimeoutError):
        _refuse(wire, UnknownRemote())
    except LanternError as error:
        _refuse(wire, error)
    else:
        connection = Connection(Audience.REMOTE, None, wire, login)
        handle = _commands(_remote_message, desk_command(remote.teacher_id), room.session_id, connection)
        await _serve(scope, room, connection, receive, handle, None)


async def unknown_socket(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    """An address where nothing is: refused before it is a socket."""
    await receive()
    await send({"type": "websocket.close"})


async def enter_seat(token: str) -> tuple[SeatPass, Room]:
    """The seat that the token opens, and its room. Raises UnknownSeat, TakenOut."""
    seat = read_token(token)
    try:
        room = await hub().room(seat.session_id)
    except LiveSession.DoesNotExist as error:
        raise UnknownSeat from error
    known = room.state.seats.get(seat.seat)
    if not seat.fits(known):
        raise UnknownSeat
    if known and known.removed:
        raise TakenOut
    return seat, room


async def led_room(user: Any, session_id: int) -> Room:
    """The room of a session that this user may lead. Raises UnknownSession, with nothing loaded."""
    if not user.is_authenticated or await sync_to_async(led_session)(user, session_id) is None:
        raise UnknownSession
    return await hub().room(session_id)


async def may_command(user: Any, session_id: int, command: DeskCommand) -> None:
    """Of set work that has no room, what a report asks for. Raises UnknownSession, NotPossible."""
    session = await sync_to_async(own_run)(user, session_id)
    if session is None:
        raise UnknownSession
    if not session.is_work:
        await hub().room(session_id)
    elif type(command) not in OF_A_REPORT:
        raise NotPossible(said("not_in_set_work", "Nobody leads set work: this can only be done in a session."))


async def _accept(scope: dict[str, Any], receive: Receive, send: Send) -> Wire:
    await receive()
    await send({"type": "websocket.accept"})
    wire: Wire = scope["lantern.wire"]
    wire.too_much = farewell(TooFast())
    return wire


async def _hello(receive: Receive) -> str:
    """The first text. Raises TimeoutError."""
    async with asyncio.timeout(HELLO_WITHIN):
        return (await receive()).get("text") or ""


def _refuse(wire: Wire, error: LanternError) -> None:
    wire.close(farewell(error), NOT_SERVED)


async def _serve(
    scope: dict[str, Any], room: Room, connection: Connection, receive: Receive, handle: Handle, shared: Budget | None
) -> None:
    """Until the device goes. What it says is bounded: by its own line, and by what its seat's devices say together."""
    wire = scope["lantern.wire"]
    the_hub = hub()
    doors.know(scope)

    def hear(text: str) -> float:
        now = time.monotonic()
        cost = 1 + len(text) / CHEAP
        rest = connection.budget.take(now, cost)
        if shared:
            rest = max(rest, shared.take(now, cost))
        if (reply := handle(text if len(text) <= LONGEST_MESSAGE else "")) is not None:
            connection.say(reply)
        return rest

    the_hub.enter(room, connection)
    try:
        connection.say(room.message(connection))
        wire.listen(hear)
        while (await receive())["type"] != "websocket.disconnect":
            pass  # bytes, or a text that came before it was listened to
    finally:
        the_hub.leave(room, connection)


def student_command(seat: SeatPass) -> Callable[[StudentCommand], tuple[Command, Sent]]:
    """Who it is from is the seat that the device proved, whatever the message says."""
    actor = Actor(Role.SEAT, seat.seat)

    def read(message: StudentCommand) -> tuple[Command, Sent]:
        return MEANT[type(message.command)](seat.seat, message.command), Sent(actor, message.number, now_ms())

    return read


MEANT: dict[type[Value], Callable[[int, Any], Command]] = {
    Answering: lambda seat, said: GiveAnswer(seat, said.ask, said.answer, said.moves_on),
    Clearing: lambda seat, said: ClearAnswer(seat, said.ask),
    GoingTo: lambda seat, said: GoToPlace(seat, said.item),
    Beginning: lambda seat, said: BeginPaper(seat),
    Flagging: lambda seat, said: Flag(seat, said.item, said.flagged),
    Noting: lambda seat, said: WriteNote(seat, said.text),
    Moving: lambda seat, said: MakeMove(seat, said.move),
    Backing: lambda seat, said: Back(seat, said.ask, said.entry, said.backs),
    HandingIn: lambda seat, said: HandIn(seat),
}


def desk_command(account: int) -> Callable[[TeacherCommand | RemoteOrder], tuple[Command, Sent]]:
    def read(message: TeacherCommand | RemoteOrder) -> tuple[Command, Sent]:
        return message.command, Sent(Actor(Role.DESK, account, message.page), message.number, now_ms())

    return read


def _commands(
    reader: TypeAdapter[Any],
    command_of: Callable[[Any], tuple[Command, Sent]],
    session_id: int,
    connection: Connection,
) -> Handle:
    """Reads commands and posts them. Acknowledgements are said once they are stored, without a task that waits
    for each; a reply comes at once only where a message is none, or too many are on their way."""
    the_hub, read = hub(), reader.validator.validate_json
    on_their_way = 0

    def acknowledge(message_id: str, outcome: Outcome) -> None:
        nonlocal on_their_way
        on_their_way -= 1
        the_hub.acknowledge(connection, _ack(message_id, outcome))

    def handle(text: str) -> str | None:
        nonlocal on_their_way
        try:
            message = read(text)
        except ValidationError:
            return _not_understood(text)
        if isinstance(message, Ping):
            return _pong()
        if on_their_way >= MOST_ON_THEIR_WAY:
            return Ack(ack=message.id, error=reply_to(TooFast())).model_dump_json()
        on_their_way += 1
        the_hub.post(Job(session_id, *command_of(message), partial(acknowledge, message.id)))
        return None

    return handle


def _screen_handler(text: str) -> str:
    return _pong()


def _pong() -> str:
    return Pong(now=now_ms()).model_dump_json()


def _ack(message_id: str, outcome: Outcome) -> str:
    if outcome.error is None:
        return f'{{"ack":"{message_id}"}}'  # the id matches ShortId: nothing to escape
    return Ack(ack=message_id, error=reply_to(outcome.error)).model_dump_json()


def _not_understood(text: str) -> str:
    """Refused under the id it carries, if it carries one, so that the device does not send it for ever."""
    try:
        command_id = str(json.loads(text)["id"])[:64]
    except (ValueError, KeyError, TypeError, RecursionError):
        command_id = ""
    return Ack(ack=command_id, error=NOT_UNDERSTOOD).model_dump_json()
