"""Commands in set work, as a plain endpoint: each answer is one, and what is around a request costs more than it does.

It is the operation that the API declares (`doing_router.send_command`), word for word, without what Django does for
pages: there is no sign-in, no form, and no cookie that it could act on. Where anything is unlike a plain command the
API's own operation answers.
"""

from collections.abc import Awaitable, Callable, MutableMapping
from typing import Any

from pydantic import ValidationError

from lantern.core.errors import LanternError
from lantern.server.api.errors import reply_to, status_of
from lantern.server.work.commits import commits
from lantern.server.work.doing import commands, wanted_by
from lantern.server.work.passes import read_pass
from lantern.server.work.schemas import DoingCommand

Scope = MutableMapping[str, Any]
Receive = Callable[[], Awaitable[dict[str, Any]]]
Send = Callable[[dict[str, Any]], Awaitable[None]]
Application = Callable[[Scope, Receive, Send], Awaitable[None]]
PATH = "/api/doing/commands"
LONGEST = 64 * 1024
"""Bytes; what is longer is the API's to refuse."""
BEARER = b"bearer "
JSON = (b"content-type", b"application/json")
QUIET = ((b"x-content-type-options", b"nosniff"), (b"cache-control", b"no-store"))


def answering(otherwise: Application) -> Application:
    """Commands here; everything else goes on to `otherwise`."""

    async def serve(scope: Scope, receive: Receive, send: Send) -> None:
        if scope["path"] != PATH or scope["method"] != "POST":
            await otherwise(scope, receive, send)
            return
        token, body = _token(scope), await _body(receive)
        said = _read(token, body)
        if said is None:
            await otherwise(scope, _again(body, receive), send)
            return
        status, reply = await _kept(token, said)
        text = reply.encode()
        headers = [JSON, *QUIET, (b"content-length", str(len(text)).encode())]
        await send({"type": "http.response.start", "status": status, "headers": headers})
        await send({"type": "http.response.body", "body": text})

    return serve


async def _kept(token: str, said: DoingCommand) -> tuple[int, str]:
    try:
        return 200, await commits().together(commands, wanted_by(token, said))
    except LanternError as error:
        return status_of(error), reply_to(error).model_dump_json()


def _token(scope: Scope) -> str:
    for name, value in scope["headers"]:
        if name == b"authorization" and value[: len(BEARER)].lower() == BEARER:
            return str(value[len(BEARER) :].decode("latin-1").strip())
    return ""


async def _body(receive: Receive) -> bytes:
    found = bytearray()
    while True:
        message = await receive()
        found += message.get("body", b"")
        if not message.get("more_body") or len(found) > LONGEST:
            return bytes(found)


def _read(token: str, body: bytes) -> DoingCommand | None:
    """None for what is no plain command of somebody with a pass."""
    if len(body) > LONGEST:
        return None
    try:
        read_pass(token)
        return DoingCommand.model_validate_json(body)
    except (LanternError, ValidationError):
        return None


def _again(body: bytes, receive: Receive) -> Receive:
    """The same request once more, for who did not see it."""
    given = False

    async def receive_again() -> dict[str, Any]:
        nonlocal given
        if given:
            return await receive()
        given = True
        return {"type": "http.request", "body": body, "more_body": len(body) > LONGEST}

    return receive_again
