"""The clock of the sessions that are here: one alarm for each, set to what it has to do next by itself.

What that is, is the core's to say (`next_due`); here it is only waited for.
"""

import asyncio
import logging
from collections.abc import Awaitable, Callable
from dataclasses import dataclass

from lantern.core.session import Command, Due, Sent, next_due
from lantern.server.live.clock import now_ms
from lantern.server.live.room import Room
from lantern.server.live.writer import Outcome

log = logging.getLogger(__name__)
A_LITTLE_LATER = 0.005
"""Seconds after a deadline: timers may be early by a millisecond."""
ONCE_MORE = 1.0
"""Seconds after which what was due and could not be stored is tried again."""

Submit = Callable[[int, Command, Sent], Awaitable[Outcome]]
Keep = Callable[[Awaitable[None]], None]


@dataclass(slots=True)
class Alarm:
    due: Due | None = None
    timer: asyncio.TimerHandle | None = None


class Alarms:
    """`keep` runs what is due beside everything else."""

    def __init__(self, loop: asyncio.AbstractEventLoop, submit: Submit, keep: Keep) -> None:
        self._loop, self._submit, self._keep = loop, submit, keep
        self._of: dict[int, Alarm] = {}

    def set(self, room: Room) -> None:
        """To what is due next in the room's session, as it is now."""
        if room.sleeps:
            return
        alarm = self._of.setdefault(room.session_id, Alarm())
        due = next_due(room.state, room.present)
        if due == alarm.due:
            return
        if alarm.timer:
            alarm.timer.cancel()
        alarm.due, alarm.timer = due, None
        if due:
            wait = max(0, due.at - now_ms()) / 1000 + (A_LITTLE_LATER if due.at else 0)
            alarm.timer = self._loop.call_later(wait, self._ring, room, due)

    def cancel(self, session_id: int) -> None:
        alarm = self._of.pop(session_id, None)
        if alarm and alarm.timer:
            alarm.timer.cancel()

    def _ring(self, room: Room, due: Due) -> None:
        self._keep(self._do(room, due))

    async def _do(self, room: Room, due: Due) -> None:
        outcome = await self._submit(room.session_id, due.command, Sent(due.by, 0, now_ms()))
        alarm = self._of.get(room.session_id)
        if alarm is None:
            return
        if alarm.due == due:
            alarm.due = None
        if outcome.error:
            log.error("what was due in session %d was refused: %s", room.session_id, outcome.error.sentence)
            self._loop.call_later(ONCE_MORE, self._set_again, room)

    def _set_again(self, room: Room) -> None:
        if room.session_id in self._of:
            self.set(room)
