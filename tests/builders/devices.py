"""A student's device as a raw socket: everything it receives is kept."""

import asyncio
import json
from collections.abc import Awaitable, Callable
from typing import Any

import httpx
import websockets

from tools.client import answering, join


class Device:
    """`received` holds every text, in order."""

    def __init__(self, url: str, code: str, name: str) -> None:
        self.url = url
        self.token = join(url, code, name)
        self.received: list[str] = []

    async def connect(self) -> "Device":
        address = self.url.replace("http", "ws", 1) + "/live/student"
        self.socket = await websockets.connect(address, origin=self.url)  # type: ignore[arg-type]
        await self.socket.send(json.dumps({"token": self.token}))
        await self.until(lambda message: "view" in message)
        return self

    async def until(self, wanted: Any, seconds: float = 30) -> dict[str, Any]:
        """The next message that is wanted."""

        async def read() -> dict[str, Any]:
            while True:
                text = await self.socket.recv()
                self.received.append(str(text))
                message = json.loads(text)
                if wanted(message):
                    return dict(message)

        return await asyncio.wait_for(read(), seconds)

    async def phase(self, name: str) -> dict[str, Any]:
        return await self.until(lambda message: message.get("view", {}).get("phase") == name)

    async def send(self, item: str, letters: str, number: int = 1, round: int = 1) -> dict[str, Any]:
        """The acknowledgement of an answer."""
        message = answering(f"{item}.{round}", {"kind": "choice", "chosen": list(letters)}, number)
        await self.socket.send(json.dumps(message))
        return await self.until(lambda reply: reply.get("ack") == message["id"])

    async def raw(self, text: str | bytes) -> dict[str, Any]:
        await self.socket.send(text)
        return await self.until(lambda message: "ack" in message)


async def again(call: Callable[..., Awaitable[Any]], *args: Any, **kwargs: Any) -> Any:
    """As the page does: what got no answer is asked once more."""
    for wait in (0.2, 0.6):
        try:
            return await call(*args, **kwargs)
        except (httpx.TransportError, OSError, websockets.WebSocketException):
            await asyncio.sleep(wait)
    return await call(*args, **kwargs)
