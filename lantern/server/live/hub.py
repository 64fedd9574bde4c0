"""The hub of a process: every session that has a device here, and the way between them and the writer.

1. All of it runs on the event loop; only the writer has a thread of its own.
2. A change by the desk goes out at once; answers and arrivals are gathered, five times a second at most.
3. Other processes are told that a session changed, never what: they read it from the database.
4. A room in which nothing happens for IDLE_LASTS sleeps, also with devices in it; whatever comes next wakes it.
"""

import asyncio
import contextlib
import logging
import secrets
from collections.abc import Awaitable, Iterator
from dataclasses import dataclass, field
from itertools import chain
from typing import Any

from asgiref.sync import sync_to_async

from lantern.core.errors import LanternError
from lantern.core.session import Command, Event, Phase, Sent
from lantern.core.session.actors import CLOCK
from lantern.core.session.commands import Erase
from lantern.core.session.events import (
    AnswerCleared,
    Answered,
    Claimed,
    Erased,
    Flagged,
    FogLifted,
    HandedIn,
    Joined,
    LightChosen,
    Named,
    PaperDrawn,
    Removed,
    Renamed,
    Restored,
    WentTo,
)
from lantern.server.api.errors import Elsewhere
from lantern.server.doors.frames import text_frame
from lantern.server.live import store
from lantern.server.live.alarms import Alarms
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Connection
from lantern.server.live.logins import watch
from lantern.server.live.processes import Notice, Processes
from lantern.server.live.retention import forget_old_names
from lantern.server.live.room import LINGER, PEER_LASTS, Peer, Room
from lantern.server.live.store import Loaded
from lantern.server.live.writer import IDLE_LASTS, Job, Outcome, Writer

log = logging.getLogger(__name__)
GATHER = 0.2
"""Seconds between two messages about answers and arrivals."""
GATHER_AT_OWN_PACE = 1.0
"""Somebody answers all the time: the desk is told once a second."""
COST_SHARE = 12
"""In a very large room views are made less often: at most a twelfth of the time goes into them."""
AT_ONCE = 200
"""Messages that are written before the loop does anything else."""
IN_A_TURN = 100
"""The same where each of them has to be made. They are made together and then written together: making is the quicker
for no writing in between, and writing for no making."""
THE_END = object()
EMPTY_LASTS = 60.0
LOOK_EVERY = 60.0
"""Seconds between two looks for rooms in which nothing happens."""
QUIET = {Joined, Named, Answered, PaperDrawn, WentTo, AnswerCleared, Flagged, HandedIn}
OF_ONE_SEAT = (Joined, Renamed, Erased, Removed, Restored, Claimed, FogLifted, LightChosen)


@dataclass(eq=False)
class Timers:
    """What a room waits for."""

    flush: asyncio.Handle | None = None
    flush_at: float = 0.0
    last_flush: float = 0.0
    cost: float = 0.0
    to_tell: "ToTell | None" = None


@dataclass(slots=True)
class ToTell:
    """What other processes do not know of yet: this process has brought the session to `seq`."""

    seq: int
    quiet: bool

    def and_before(self, other: "ToTell | None") -> "ToTell":
        return ToTell(self.seq, self.quiet and other.quiet) if other else self


@dataclass(eq=False)
class Hub:
    loop: asyncio.AbstractEventLoop = field(default_factory=asyncio.get_running_loop)
    name: str = field(default_factory=lambda: secrets.token_hex(6))

    def __post_init__(self) -> None:
        self.rooms: dict[int, Room] = {}
        self._timers: dict[int, Timers] = {}
        self._loading: dict[int, asyncio.Task[Room]] = {}
        self._meanwhile: dict[int, Loaded] = {}
        self._tasks: set[asyncio.Future[Any]] = set()
        self._acknowledged: list[Connection] = []
        self._writer = Writer(self._from_writer)
        self._writer.start()
        self._alarms = Alarms(self.loop, self.submit, self._keep)
        self._processes = Processes(self.name)
        self._keep(self._processes.listen(self._heard, self._catch_up_everywhere))
        self._keep(self._tell_who_is_here())
        self._keep(watch(self._lines))
        self._keep(self._look_for_idle())
        self._keep(forget_old_names(self.erase_all))

    def _lines(self) -> Iterator[Connection]:
        return (line for room in self.rooms.values() for line in room.lines())

    def stop(self) -> None:
        for task in self._tasks:
            task.cancel()
        self._writer.stop()

    # --- commands --------------------------------------------------------------------------------

    async def submit(self, session_id: int, command: Command, sent: Sent) -> Outcome:
        """Returns once the command's events are on disk. Refusals come back in the outcome."""
        future: asyncio.Future[Outcome] = self.loop.create_future()

        def done(outcome: Outcome) -> None:
            if not future.done():
                future.set_result(outcome)

        self.post(Job(session_id, command, sent, done))
        return await future

    def post(self, job: Job) -> None:
        """The same without waiting: `job.done` is called once it is stored or refused."""
        if room := self.rooms.get(job.session_id):
            job.known = room.in_memory
        self._writer.put(job)

    def _from_writer(self, outcomes: list[Outcome], loaded: dict[int, Loaded]) -> None:
        with contextlib.suppress(RuntimeError):  # the loop was closed: the process is on its way out
            self.loop.call_soon_threadsafe(self._settle, outcomes, loaded)

    def acknowledge(self, connection: Connection, text: str) -> None:
        """Said with the view that follows, where one does, in one write; at the latest once the batch is settled."""
        connection.hold(text)
        self._acknowledged.append(connection)

    def _settle(self, outcomes: list[Outcome], loaded: dict[int, Loaded]) -> None:
        events: dict[int, list[Event]] = {}
        for outcome in outcomes:
            outcome.job.done(outcome)
            if outcome.events:
                events.setdefault(outcome.job.session_id, []).extend(outcome.events)
        writes = []
        for session_id, happened in events.items():
            try:
                writes.append(self._changed(loaded[session_id], happened))
            except Exception:  # one session's fault stays its own
                log.exception("devices of session %d could not be told", session_id)
        acknowledged, self._acknowledged = self._acknowledged, []
        self._in_turns(chain(*writes, self._acknowledging(acknowledged)))

    def _in_turns(self, writes: Iterator[None]) -> None:
        """Some now, the rest after whatever else has come: what was written leaves between two turns, so the first of a
        large class are not told only once the last one's message is made."""
        if next(writes, THE_END) is not THE_END:
            self.loop.call_soon(self._in_turns, writes)

    @staticmethod
    def _acknowledging(connections: list[Connection]) -> Iterator[None]:
        held = [connection for connection in connections if connection.held]
        for begin in range(0, len(held), IN_A_TURN):
            for connection in held[begin : begin + IN_A_TURN]:
                connection.let_go()
            yield

    def _changed(self, loaded: Loaded, happened: list[Event]) -> Iterator[None]:
        """Takes it over at once, for whoever asks next; returns what is to be written to devices."""
        room = self.rooms.get(loaded.session_id)
        news = ToTell(loaded.seq, QUIET.issuperset(map(type, happened)))
        if room is None:
            if loaded.session_id in self._loading:
                self._meanwhile[loaded.session_id] = loaded
            self._tell(loaded.session_id, news)
            return iter(())
        room.used_at = self.loop.time()
        moved = room.update(loaded)
        self._alarms.set(room)
        if timers := self._timers.get(room.session_id):
            timers.to_tell = news.and_before(timers.to_tell)
        self._schedule(room, at_once=not news.quiet)
        return self._refreshed(room, moved | _seats_of(happened))

    @staticmethod
    def _refreshed(room: Room, seats: set[int]) -> Iterator[None]:
        """A student is told at once when only its own part has changed; one who was taken out is told that."""
        try:
            to_tell = list(seats)
            for begin in range(0, len(to_tell), IN_A_TURN):
                for connection, frame in _frames(room, to_tell[begin : begin + IN_A_TURN]):
                    connection.deliver(frame)
                yield
        except Exception:  # one session's fault stays its own
            log.exception("students of session %d could not be told", room.session_id)

    # --- devices ---------------------------------------------------------------------------------

    async def room(self, session_id: int) -> Room:
        """The session's room, awake: loaded from the database at first, and after it slept.

        Raises LiveSession.DoesNotExist, FaultySession.
        """
        known = self.rooms.get(session_id)
        if known and not known.sleeps:
            known.used_at = self.loop.time()
            return known
        if session_id not in self._loading:
            self._loading[session_id] = self.loop.create_task(self._load(session_id))
        try:
            return await self._loading[session_id]
        finally:
            self._loading.pop(session_id, None)

    async def _load(self, session_id: int) -> Room:
        loaded = await sync_to_async(store.load, thread_sensitive=True)(session_id)
        room = self.rooms.get(session_id)
        if room is None:
            room = self.rooms[session_id] = Room(loaded)
            self._timers[session_id] = Timers()
            self.loop.call_later(EMPTY_LASTS, self._forget, room)
        room.used_at = self.loop.time()
        # What was committed while the database was read may be missing from what was read.
        for newer in (loaded, self._meanwhile.pop(session_id, loaded)):
            self._in_turns(self._refreshed(room, room.update(newer)))
        self._alarms.set(room)
        return room

    async def awake(self, room: Room) -> bool:
        """Wakes the room where it sleeps. False where its session cannot be loaded, which was logged."""
        try:
            return not room.sleeps or await self.room(room.session_id) is room
        except Exception:
            log.exception("session %d could not be woken", room.session_id)
            return False

    async def _look_for_idle(self) -> None:
        while True:
            await asyncio.sleep(LOOK_EVERY)
            self.let_sleep(self.loop.time() - IDLE_LASTS)

    async def erase_all(self, session_id: int) -> None:
        """The names of everybody in the session."""
        state = (await self.room(session_id)).state
        for seat in state.seats.values():
            if seat.person in state.roster:
                await self.submit(session_id, Erase(seat.number), Sent(CLOCK, 0, now_ms()))

    def let_sleep(self, unused_since: float) -> None:
        """The rooms in which nothing has happened since then. What is due in a session is done all the same."""
        for room in self.rooms.values():
            if room.used_at <= unused_since and not any(line.stale for line in room.lines()):
                room.sleep()

    def enter(self, room: Room, connection: Connection) -> None:
        self.rooms[room.session_id] = room
        self._timers.setdefault(room.session_id, Timers())
        room.used_at = self.loop.time()
        one_too_many = room.add(connection)
        if one_too_many:
            one_too_many.end(Elsewhere())
            room.discard(one_too_many)
        if connection.seat is not None:
            self._schedule(room, at_once=False)

    def leave(self, room: Room, connection: Connection) -> None:
        room.discard(connection)
        if connection.seat is not None:
            self.loop.call_later(LINGER / 1000 + 0.05, self._gone_for_good, room)
        if room.is_empty:
            self.loop.call_later(EMPTY_LASTS, self._forget, room)

    def _gone_for_good(self, room: Room) -> None:
        self._keep(self._look_who_is_left(room))

    async def _look_who_is_left(self, room: Room) -> None:
        if self.rooms.get(room.session_id) is room and await self.awake(room):
            room.used_at = self.loop.time()
            self._schedule(room, at_once=False)
            self._alarms.set(room)

    def _forget(self, room: Room) -> None:
        session_id = room.session_id
        if room.is_empty and self.rooms.get(session_id) is room:
            del self.rooms[session_id]
            self._alarms.cancel(session_id)
            if flush := self._timers.pop(session_id).flush:
                flush.cancel()

    # --- broadcasts ------------------------------------------------------------------------------

    def _schedule(self, room: Room, *, at_once: bool) -> None:
        timers = self._timers.get(room.session_id)
        if timers is None:
            return
        now = self.loop.time()
        gather = GATHER_AT_OWN_PACE if not room.sleeps and room.state.phase is Phase.WORKING else GATHER
        due = now if at_once else max(now + gather, timers.last_flush + timers.cost * COST_SHARE)
        if timers.flush:
            if timers.flush_at <= due:
                return
            timers.flush.cancel()
        timers.flush_at = due
        timers.flush = self.loop.call_at(due, self._flush, room, timers)

    def _flush(self, room: Room, timers: Timers) -> None:
        timers.flush = None
        self._keep(self._timed_broadcast(room, timers))

    async def _timed_broadcast(self, room: Room, timers: Timers) -> None:
        start = self.loop.time()
        if await self.awake(room):
            await self._broadcast(room)
        if news := timers.to_tell:
            timers.to_tell = None
            self._tell(room.session_id, news)
        timers.last_flush = self.loop.time()
        timers.cost = timers.last_flush - start

    async def _broadcast(self, room: Room) -> None:
        """A stalled phone holds up nobody: it is written to when it is ready."""
        for written, (connection, frame) in enumerate(room.changed_messages(), start=1):
            connection.deliver(frame)
            if written % AT_ONCE == 0:
                await asyncio.sleep(0)

    # --- other processes -------------------------------------------------------------------------

    def _tell(self, session_id: int, news: ToTell) -> None:
        self._keep(self._processes.tell_of_change(session_id, news.seq, quiet=news.quiet))

    async def _heard(self, notice: Notice) -> None:
        room = self.rooms.get(notice["session"])
        if room is None:
            return
        try:
            if "present" in notice:
                self._heard_who_is_there(room, notice["from"], frozenset(notice["present"]))
            else:
                await self._heard_of_change(room, notice["seq"], quiet=notice["quiet"])
        except Exception:  # one session's fault stays its own
            log.exception("what another process did in session %d could not be taken in", room.session_id)

    async def _heard_of_change(self, room: Room, seq: int, *, quiet: bool) -> None:
        newest = await self._as_far_as(room, seq)
        if self.rooms.get(room.session_id) is not room:
            return
        room.used_at = self.loop.time()
        moved = room.update(newest)
        refused = {seat for seat, lines in room.devices.items() if any(map(room.refusal, lines))}
        self._in_turns(self._refreshed(room, moved | refused))
        self._alarms.set(room)
        self._schedule(room, at_once=not quiet)

    async def _catch_up_everywhere(self) -> None:
        """Whatever other processes told for a while was not heard here."""
        for session_id, seq in await sync_to_async(store.how_far)(list(self.rooms)):
            if session_id in self.rooms and self.rooms[session_id].seq < seq:
                await self._heard({"session": session_id, "from": "", "seq": seq, "quiet": False})

    async def _as_far_as(self, room: Room, seq: int) -> Loaded:
        """The session after at least `seq` events. What the writer has taken in already is not taken in once more."""
        known = [loaded for loaded in (room.in_memory, self._writer.known(room.session_id)) if loaded]
        newest = max(known, key=lambda loaded: loaded.seq, default=None)
        if newest is None:
            return await sync_to_async(store.load)(room.session_id)
        if newest.seq < seq:
            newest = await sync_to_async(store.catch_up)(newest)
        return newest

    def _heard_who_is_there(self, room: Room, process: str, present: frozenset[int]) -> None:
        before = room.peers.get(process)
        room.peers[process] = Peer(now_ms() + PEER_LASTS, present)
        is_news = before is None or before.present != present
        if is_news or not room.sleeps:
            self._schedule(room, at_once=False)

    async def _tell_who_is_here(self) -> None:
        while True:
            await asyncio.sleep(PEER_LASTS / 3000)
            for session_id, room in list(self.rooms.items()):
                if room.devices:
                    await self._processes.tell_who_is_here(session_id, room.here())

    def _keep(self, work: Awaitable[Any]) -> None:
        """Run it beside everything else. The reference keeps a running task from being collected."""
        task = asyncio.ensure_future(work, loop=self.loop)
        self._tasks.add(task)
        task.add_done_callback(self._tasks.discard)


def _frames(room: Room, seats: list[int]) -> list[tuple[Connection, bytes]]:
    """A message for each device of these seats that is served. What cannot be made for one student keeps nothing back
    from the others, and is written down once."""
    frames, faults = [], list[Exception]()
    for seat in seats:
        try:
            for connection in list(room.devices.get(seat, ())):
                if why := room.refusal(connection):
                    connection.end(why)
                else:
                    frames.append((connection, text_frame(room.message(connection))))
        except Exception as fault:
            faults.append(fault)
    if faults:
        log.error("%d students of session %d could not be told", len(faults), room.session_id, exc_info=faults[0])
    return frames


def _seats_of(happened: list[Event]) -> set[int]:
    return {event.seat for event in happened if isinstance(event, OF_ONE_SEAT)}


_hubs: dict[asyncio.AbstractEventLoop, Hub] = {}


def hub() -> Hub:
    """The hub of this process (of the running loop: tests have several)."""
    loop = asyncio.get_running_loop()
    if loop not in _hubs:
        _hubs[loop] = Hub()
    return _hubs[loop]


def raise_refusal(outcome: Outcome) -> None:
    if outcome.error is not None:
        raise outcome.error


__all__ = ["Hub", "LanternError", "hub", "raise_refusal"]
