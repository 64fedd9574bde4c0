"""A device's wire in memory: keeps what it is sent, and is slow where a test says so."""

import asyncio
import json
from collections.abc import Callable
from typing import Any


class FakeWire:
    """`texts` holds every message, in order; `farewell` is what it was closed with."""

    def __init__(self) -> None:
        self.texts: list[str] = []
        self.farewell: str | None = None
        self.is_slow = False
        self.on_ready: Callable[[], None] | None = None

    def write(self, frame: bytes) -> bool:
        if not self.is_slow:
            self.texts.append(payload(frame))
        return not self.is_slow

    def close(self, farewell: str = "", code: int = 1000) -> None:
        self.farewell = farewell

    def ready(self) -> None:
        self.is_slow = False
        assert self.on_ready
        self.on_ready()

    @property
    def messages(self) -> list[dict[str, Any]]:
        return [json.loads(text) for text in self.texts]


class Device(FakeWire):
    """One whose messages can be waited for."""

    def __init__(self) -> None:
        super().__init__()
        self.inbox: asyncio.Queue[dict[str, Any]] = asyncio.Queue()
        self.closed = asyncio.Event()

    def write(self, frame: bytes) -> bool:
        self.inbox.put_nowait(json.loads(payload(frame)))
        return True

    def close(self, farewell: str = "", code: int = 1000) -> None:
        super().close(farewell, code)
        self.closed.set()

    async def next(self) -> dict[str, Any]:
        return await asyncio.wait_for(self.inbox.get(), 5)

    async def until(self, matches: Callable[[dict[str, Any]], bool]) -> dict[str, Any]:
        """The next view of which this is true."""
        async with asyncio.timeout(5):
            while not matches(view := (await self.inbox.get())["view"]):
                pass
        return view

    async def phase(self, name: str) -> None:
        await self.until(lambda view: view["phase"] == name)


def payload(frame: bytes) -> str:
    """The text in an unmasked text frame (RFC 6455, 5.2)."""
    assert frame[0] == 0x81
    start = {126: 4, 127: 10}.get(frame[1], 2)
    size = frame[1] if start == 2 else int.from_bytes(frame[2:start], "big")
    assert len(frame) == start + size
    return frame[start:].decode()
