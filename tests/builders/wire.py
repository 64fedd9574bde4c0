"""A device's wire in memory: keeps what it is sent, and is slow where a test says so."""

import asyncio
import json
from collections.abc import Callable
from typing import Any


class FakeWire:
    """`texts` holds every message, in order, of so many `writes`; `farewell` is what it was closed with."""

    def __init__(self) -> None:
        self.texts: list[str] = []
        self.writes = 0
        self.farewell: str | None = None
        self.is_slow = False
        self.on_ready: Callable[[], None] | None = None

    def write(self, frame: bytes) -> bool:
        if not self.is_slow:
            self.texts += payloads(frame)
            self.writes += 1
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
        for text in payloads(frame):
            self.inbox.put_nowait(json.loads(text))
        return True

    def close(self, farewell: str = "", code: int = 1000) -> None:
        super().close(farewell, code)
        self.closed.set()

    async def next(self) -> dict[str, Any]:
        return await asyncio.wait_for(self.inbox.get(), 30)

    async def until(self, matches: Callable[[dict[str, Any]], bool]) -> dict[str, Any]:
        """The next view of which this is true."""
        async with asyncio.timeout(30):
            while not matches(view := (await self.inbox.get())["view"]):
                pass
        return view

    async def phase(self, name: str) -> None:
        await self.until(lambda view: view["phase"] == name)


def payloads(frames: bytes) -> list[str]:
    """The texts in unmasked text frames (RFC 6455, 5.2) that were written in one piece."""
    found = []
    while frames:
        assert frames[0] == 0x81
        start = {126: 4, 127: 10}.get(frames[1], 2)
        size = frames[1] if start == 2 else int.from_bytes(frames[2:start], "big")
        assert len(frames) >= start + size
        found.append(frames[start : start + size].decode())
        frames = frames[start + size :]
    return found
