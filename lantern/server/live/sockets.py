"""Sockets of students, desks and big screens: plain ASGI, because each message counts (law 7).

A student's first message is its token. From then on the server sends whole views, and answers every
command with an acknowledgement, or with the reason why not.
"""

import contextlib
import json
from collections.abc import Awaitable, Callable
from typing import Annotated, Any

from channels.auth import AuthMiddlewareStack
from pydantic import Field, TypeAdapter, ValidationError

from lantern.core.errors import LanternError, UnknownSeat
from lantern.core.session import Command
from lantern.core.session.commands import GiveAnswer
from lantern.server.api.errors import ErrorReply, reply_to
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Connection, Role, SendText
from lantern.server.live.hub import hub
from lantern.server.live.models import LiveSession
from lantern.server.live.room import Room
from lantern.server.live.rules import may_lead
from lantern.server.live.schemas import Ack, Gone, Hello, Ping, Pong, StudentCommand, TeacherCommand
from lantern.server.live.tokens import SeatPass, read_token
from lantern.server.live.writer import Job, Outcome

Receive = Callable[[], Awaitable[dict[str, Any]]]
Send = Callable[[dict[str, Any]], Awaitable[None]]
Handle = Callable[[str], str | None]

LONGEST_MESSAGE = 64 * 1024
MOST_ON_THEIR_WAY = 20
TOO_FAST = ErrorReply(code="too_fast", sentence="Too many messages at once. Wait a moment.")
NOT_UNDERSTOOD = ErrorReply(code="not_understood", sentence="The server did not understand this message.")
# From left to right: whatever is a command is not tried as a ping, too.
IN_TURN = Field(union_mode="left_to_right")
_student_message: TypeAdapter[StudentCommand | Ping] = TypeAdapter(Annotated[StudentCommand | Ping, IN_TURN])
_teacher_message: TypeAdapter[TeacherCommand | Ping] = TypeAdapter(Annotated[TeacherCommand | Ping, IN_TURN])


async def student_socket(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    say = await _accept(receive, send)
    try:
        seat, room = await enter_seat(Hello.model_validate_json(await _text(receive) or "").token)
    except ValidationError:
        await _refuse(send, say, UnknownSeat())
    except LanternError as error:
        await _refuse(send, say, error)
    else:
        await _serve(room, Connection(Role.STUDENT, seat.seat, say), receive, say, _student_handler(seat, say))


async def _teacher_socket(role: Role, scope: dict[str, Any], receive: Receive, send: Send) -> None:
    say = await _accept(receive, send)
    try:
        room = await led_room(scope["user"], scope["url_route"]["kwargs"]["session_id"])
    except LanternError as error:
        await _refuse(send, say, error)
    else:
        session_id = room.loaded.session_id
        handle = _desk_handler(session_id, say) if role is Role.DESK else _screen_handler
        await _serve(room, Connection(role, None, say), receive, say, handle)


async def _desk(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    await _teacher_socket(Role.DESK, scope, receive, send)


async def _screen(scope: dict[str, Any], receive: Receive, send: Send) -> None:
    await _teacher_socket(Role.SCREEN, scope, receive, send)


desk_socket = AuthMiddlewareStack(_desk)
screen_socket = AuthMiddlewareStack(_screen)


async def enter_seat(token: str) -> tuple[SeatPass, Room]:
    """The seat that the token opens, and its room. Raises UnknownSeat."""
    seat = read_token(token)
    try:
        room = await hub().room(seat.session_id)
    except LiveSession.DoesNotExist as error:
        raise UnknownSeat from error
    if not seat.fits(room.state.seats.get(seat.seat)):
        raise UnknownSeat
    return seat, room


async def led_room(user: Any, session_id: int) -> Room:
    """The room of a session that this user may lead. Raises LanternError."""
    try:
        room = await hub().room(session_id)
    except LiveSession.DoesNotExist:
        room = None
    if room is None or not user.is_authenticated or not may_lead(user, room.loaded):
        raise LanternError("This session does not exist, or it belongs to somebody else.")
    return room


async def _accept(receive: Receive, send: Send) -> SendText:
    await receive()
    await send({"type": "websocket.accept"})

    async def say(text: str) -> None:
        # A device that goes while something is said to it is noticed by the next receive.
        with contextlib.suppress(OSError, RuntimeError):
            await send({"type": "websocket.send", "text": text})

    return say


async def _text(receive: Receive) -> str | None:
    """The next text, "" for anything else that was sent, None when the socket has closed."""
    message = await receive()
    if message["type"] == "websocket.disconnect":
        return None
    text = message.get("text") or ""
    return text if len(text) <= LONGEST_MESSAGE else ""


async def _refuse(send: Send, say: SendText, error: LanternError) -> None:
    await say(Gone(gone=reply_to(error)).model_dump_json())
    await send({"type": "websocket.close", "code": 4404})


async def _serve(room: Room, connection: Connection, receive: Receive, say: SendText, handle: Handle) -> None:
    the_hub = hub()
    the_hub.enter(room, connection)
    try:
        await say(room.message(connection))
        while (text := await _text(receive)) is not None:
            if (reply := handle(text)) is not None:
                await say(reply)
    finally:
        the_hub.leave(room, connection)


def _student_handler(seat: SeatPass, say: SendText) -> Handle:
    post = _poster(seat.session_id, say)

    def handle(text: str) -> str | None:
        try:
            message = _student_message.validate_json(text)
        except ValidationError:
            return _not_understood(text)
        if isinstance(message, Ping):
            return _pong()
        return post(message.id, GiveAnswer(seat.seat, message.item, message.answer))

    return handle


def _desk_handler(session_id: int, say: SendText) -> Handle:
    post = _poster(session_id, say)

    def handle(text: str) -> str | None:
        try:
            message = _teacher_message.validate_json(text)
        except ValidationError:
            return _not_understood(text)
        if isinstance(message, Ping):
            return _pong()
        return post(message.id, message.command)

    return handle


def _poster(session_id: int, say: SendText) -> Callable[[str, Command], str | None]:
    """A way to post commands whose acknowledgements are said once they are stored, without a task that
    waits for each. It answers at once only where a device has too many on their way."""
    the_hub = hub()
    on_their_way = 0

    def acknowledge(outcome: Outcome) -> None:
        nonlocal on_their_way
        on_their_way -= 1
        the_hub.start(say(_ack(outcome)))

    def post(command_id: str, command: Command) -> str | None:
        nonlocal on_their_way
        if on_their_way >= MOST_ON_THEIR_WAY:
            return Ack(ack=command_id, error=TOO_FAST).model_dump_json()
        on_their_way += 1
        the_hub.post(Job(session_id, command, command_id, now_ms(), acknowledge))
        return None

    return post


def _screen_handler(text: str) -> str:
    return _pong()


def _pong() -> str:
    return Pong(now=now_ms()).model_dump_json()


def _ack(outcome: Outcome) -> str:
    if outcome.error is None:
        return f'{{"ack":"{outcome.job.command_id}"}}'  # the id matches ShortId: nothing to escape
    return Ack(ack=outcome.job.command_id, error=reply_to(outcome.error)).model_dump_json()


def _not_understood(text: str) -> str:
    """Refused under the id it carries, if it carries one, so that the device does not send it for ever."""
    try:
        command_id = str(json.loads(text)["id"])[:64]
    except (ValueError, KeyError, TypeError):
        command_id = ""
    return Ack(ack=command_id, error=NOT_UNDERSTOOD).model_dump_json()
