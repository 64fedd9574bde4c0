"""A device's line to the hub: a socket, or a request that waits for the next view."""

import asyncio
from collections.abc import Callable, Coroutine
from enum import StrEnum
from typing import Any

SendText = Callable[[str], Coroutine[Any, Any, None]]


class Role(StrEnum):
    STUDENT = "student"
    SCREEN = "screen"
    DESK = "desk"


class Connection:
    """One device. While it is slow to take a message, newer ones are not queued behind it:
    when it is ready it gets the view as it is then (`refresh`)."""

    __slots__ = ("_send", "busy", "role", "seat", "stale")

    def __init__(self, role: Role, seat: int | None, send: SendText) -> None:
        self.role, self.seat, self._send = role, seat, send
        self.busy = self.stale = False

    async def deliver(self, text: str, refresh: Callable[["Connection"], str]) -> None:
        if self.busy:
            self.stale = True
            return
        self.busy = True
        try:
            await self._send(text)
            while self.stale:
                self.stale = False
                await self._send(refresh(self))
        finally:
            self.busy = False


class Waiting:
    """A send for a request that waits: each message ends one wait."""

    def __init__(self) -> None:
        self._arrived = asyncio.Event()

    async def send(self, text: str) -> None:
        self._arrived.set()

    async def next_message(self) -> None:
        await self._arrived.wait()
        self._arrived.clear()
