"""A device's line to the hub: a socket, or a request that waits for the next view."""

import asyncio
from collections.abc import Callable
from enum import StrEnum
from typing import Protocol

from lantern.core.errors import LanternError
from lantern.server.api.errors import farewell
from lantern.server.doors.budget import Budget
from lantern.server.doors.frames import text_frame
from lantern.server.live.logins import Login


class Audience(StrEnum):
    """Who is told: each has a view of its own."""

    STUDENT = "student"
    SCREEN = "screen"
    DESK = "desk"
    REMOTE = "remote"


class Wire(Protocol):
    """What messages are written to. `on_ready` is called when a device that was slow can take one again."""

    on_ready: Callable[[], None] | None

    def write(self, frame: bytes) -> bool: ...
    def close(self, farewell: str = "", code: int = 1000) -> None: ...


class Connection:
    """One device. While it is slow to take a message, newer ones are not queued behind it: when it is ready
    it gets the view as it is then. `login` is the sign-in that opened it; students have none. `ended` says why it was
    closed from this side. `held` are frames that go out with the next one. `key` is the one its seat had when it came
    in: a seat that was claimed from another device has another one."""

    __slots__ = ("budget", "ended", "held", "key", "login", "refresh", "role", "seat", "stale", "wire")

    def __init__(self, role: Audience, seat: int | None, wire: Wire, login: Login | None = None) -> None:
        self.role, self.seat, self.wire, self.login = role, seat, wire, login
        self.stale = False
        self.held = b""
        self.key = ""
        self.ended: LanternError | None = None
        self.refresh: Callable[[Connection], str] | None = None
        self.budget = Budget(rate=10, burst=60)
        wire.on_ready = self._ready

    def deliver(self, frame: bytes) -> None:
        if self.held:
            frame, self.held = self.held + frame, b""
        if not self.wire.write(frame):
            self.stale = True

    def hold(self, text: str) -> None:
        """A text of its own that goes out with the view that follows it, in one write, or with `let_go`."""
        self.held += text_frame(text)

    def let_go(self) -> None:
        if self.held:
            frames, self.held = self.held, b""
            self.wire.write(frames)

    def say(self, text: str) -> None:
        """A text of its own, such as an acknowledgement; one that is gone meanwhile misses it."""
        self.wire.write(text_frame(text))

    def end(self, why: LanternError) -> None:
        """Closes it, and tells the device why: to connect again does not help."""
        self.ended = why
        self.let_go()
        self.wire.close(farewell(why))

    def _ready(self) -> None:
        if self.stale and self.refresh:
            self.stale = False
            self.deliver(text_frame(self.refresh(self)))


class Waiting:
    """The wire of a request that waits: each message ends one wait, and so does its being closed."""

    def __init__(self) -> None:
        self._arrived = asyncio.Event()
        self.on_ready: Callable[[], None] | None = None

    def write(self, frame: bytes) -> bool:
        self._arrived.set()
        return True

    def close(self, farewell: str = "", code: int = 1000) -> None:
        self._arrived.set()

    async def next_message(self) -> None:
        await self._arrived.wait()
        self._arrived.clear()
