"""The way to the other processes, and back: they are told *that* a session changed and how far it came, never what.

Whoever is told reads the events from the database, by the same path as what this process stored itself.
"""

import asyncio
import logging
from collections.abc import Awaitable, Callable, Iterable
from typing import Any

from channels.layers import get_channel_layer

log = logging.getLogger(__name__)
GROUP = "lantern.hubs"
LISTEN_AGAIN = 1.0
"""Seconds after a fault of the channel layer."""

Notice = dict[str, Any]
"""`session`; `from`, the process that tells; and either `seq` (it has that many events now) and `quiet` (answers and
arrivals alone), or `present`, the seats with a device there."""
Heard = Callable[[Notice], Awaitable[None]]


class Processes:
    """`name` is this process's."""

    def __init__(self, name: str) -> None:
        self.name = name
        self.layer = get_channel_layer()

    async def tell_of_change(self, session_id: int, seq: int, *, quiet: bool) -> None:
        await self._tell({"session": session_id, "seq": seq, "quiet": quiet})

    async def tell_who_is_here(self, session_id: int, present: Iterable[int]) -> None:
        await self._tell({"session": session_id, "present": sorted(present)})

    async def _tell(self, notice: Notice) -> None:
        try:
            await self.layer.group_send(GROUP, {"type": "notice", "from": self.name, **notice})
        except Exception:
            log.exception("other processes could not be told")

    async def listen(self, heard: Heard, missed: Callable[[], Awaitable[None]]) -> None:
        """Never ends: after a fault of the channel layer it starts anew, and calls `missed`."""
        is_first = True
        while True:
            try:
                channel = await self.layer.new_channel("lantern")
                await self.layer.group_add(GROUP, channel)
                if not is_first:
                    await missed()
                is_first = False
                while True:
                    notice = await self.layer.receive(channel)
                    if notice["from"] != self.name:
                        await heard(notice)
            except Exception:
                log.exception("the channel layer failed; listening again in a second")
                await asyncio.sleep(LISTEN_AGAIN)
