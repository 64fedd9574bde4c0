"""Wrong codes are turned away at the door: whoever guesses costs next to nothing, and nobody waits behind him.

Right codes go on to the API, which alone says what a device is told of a session.
"""

import re
from collections.abc import Awaitable, Callable
from typing import Any

from asgiref.sync import sync_to_async

from lantern.core.errors import LanternError
from lantern.server.api.errors import reply_to, status_of
from lantern.server.doors.threads import on_few_threads
from lantern.server.live.queries import refuse_code

App = Callable[[dict[str, Any], Any, Any], Awaitable[None]]
_LOOK_UP = re.compile(r"^/api/live/codes/([^/]{1,40})$")


def doorman(app: App) -> App:
    async def guarded(scope: dict[str, Any], receive: Any, send: Any) -> None:
        asked = _LOOK_UP.match(scope["path"]) if scope["method"] == "GET" else None
        refusal = await _refusal(scope, asked[1]) if asked else None
        if refusal is None:
            await app(scope, receive, send)
            return
        headers = [(b"content-type", b"application/json"), (b"cache-control", b"no-store")]
        body = reply_to(refusal).model_dump_json().encode()
        headers.append((b"content-length", str(len(body)).encode()))
        await send({"type": "http.response.start", "status": status_of(refusal), "headers": headers})
        await send({"type": "http.response.body", "body": body})

    return guarded


async def _refusal(scope: dict[str, Any], typed: str) -> LanternError | None:
    device = next((value for name, value in scope["headers"] if name == b"x-device"), b"").decode("latin1")
    address = scope["client"][0] if scope["client"] else ""
    try:
        async with on_few_threads():
            await sync_to_async(refuse_code)(typed, device, address)
    except LanternError as error:
        return error
    return None
