"""Uvicorn's server, taking connections in by itself.

The event loop's own listener takes in one connection a turn; while many ask at once a turn is long, and whoever comes
then waited for seconds. Here all that are at the door come in together, and the doors' rules say who stays.
"""

import asyncio
import logging
import socket
from functools import partial
from typing import Any

import uvicorn

from lantern.server.doors.protocols import HttpProtocol

log = logging.getLogger(__name__)
AT_ONCE = 32
"""Connections that are on their way in at once: each holds a descriptor that no rule knows of yet."""
REST = 0.1
"""Seconds until the next look where no file can be opened just now."""


class DoorServer(uvicorn.Server):
    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        await super().startup(sockets=[])
        self._listeners = sockets or []
        self._coming: set[asyncio.Task[Any]] = set()
        for listener in self._listeners:
            listener.setblocking(False)
            self._listen(listener)

    async def shutdown(self, sockets: list[socket.socket] | None = None) -> None:
        for listener in self._listeners:
            asyncio.get_running_loop().remove_reader(listener)
        await super().shutdown(sockets)

    def _listen(self, listener: socket.socket) -> None:
        if listener.fileno() >= 0:
            asyncio.get_running_loop().add_reader(listener, self._accept, listener)

    def _accept(self, listener: socket.socket) -> None:
        loop = asyncio.get_running_loop()
        while len(self._coming) < AT_ONCE:
            try:
                device, _ = listener.accept()
            except (BlockingIOError, InterruptedError, ConnectionAbortedError):
                return
            except OSError:
                log.exception("no connection could be taken in just now")
                loop.remove_reader(listener)
                loop.call_later(REST, self._listen, listener)
                return
            device.setblocking(False)
            task = loop.create_task(self._enter(device))
            self._coming.add(task)
            task.add_done_callback(self._coming.discard)

    async def _enter(self, device: socket.socket) -> None:
        protocol = partial(
            HttpProtocol, config=self.config, server_state=self.server_state, app_state=self.lifespan.state
        )
        try:
            await asyncio.get_running_loop().connect_accepted_socket(protocol, device)
        except OSError:
            device.close()  # it has gone again
