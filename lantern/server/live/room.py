"""One session in this process: its present state, its devices, and the texts they are sent.

1. A text is encoded once for all who get the same: a role's view, or, at own pace, the frame and a fragment for each
   item and stage, of which a student's view is put together.
2. A text that has not changed is not sent again; at own pace only seats that did something are told.
3. `mine` goes along only where it may have changed, or where a device is new.
4. A room in which nothing happens for a long time sleeps: its devices stay, the session and all that is made of it
   leave memory. Whoever wants its state wakes it first (`Hub.awake`).
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Any

from lantern.core.errors import LanternError, TakenOut
from lantern.core.session import Phase, State
from lantern.core.session.allowing import has_own_options
from lantern.core.session.desk_view import DeskMemo, desk_text
from lantern.core.session.own_views import Fragments, mine_text, place_of, view_text
from lantern.core.session.remote_view import remote_view
from lantern.core.session.views import Places, mine, screen_view, student_view
from lantern.core.values import Milliseconds
from lantern.server.api.errors import GoneOn
from lantern.server.doors.budget import Budget
from lantern.server.doors.frames import text_frame
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Audience, Connection
from lantern.server.live.envelope import envelope
from lantern.server.live.store import Loaded

LINGER: Milliseconds = 8_000
"""How long a seat counts as here after its last device went: a reload is not an absence."""
PEER_LASTS: Milliseconds = 15_000
"""How long another process's word about who is there holds."""

MOST_LINES = 6
"""Devices and waiting requests of one seat; one more, and the oldest is closed."""

# While a question opens, nothing of a student's own changes, and the message is one text for all.
SAME_FOR_ALL = (Phase.OPEN, Phase.PAGE)


@dataclass(slots=True)
class Peer:
    """Another process with devices of the same session."""

    until: Milliseconds
    present: frozenset[int]


@dataclass(eq=False)
class Snapshot:
    """The texts of one state, each made when it is first wanted. Who is there matters to the desk alone:
    a thousand devices that come back at once are told from one snapshot."""

    state: State
    code: str
    memo: DeskMemo
    fragments: Fragments
    _desk: tuple[frozenset[int], str] | None = None

    @cached_property
    def student(self) -> str:
        return student_view(self.state).model_dump_json()

    @cached_property
    def screen(self) -> str:
        return screen_view(self.state, self.code).model_dump_json()

    def desk(self, present: frozenset[int]) -> str:
        if self._desk is None or self._desk[0] != present:
            self._desk = present, desk_text(self.state, self.code, present, self.memo)
        return self._desk[1]

    @cached_property
    def places(self) -> Places:
        return Places(self.state)

    @property
    def at_own_pace(self) -> bool:
        """Each student has another view."""
        return self.state.phase is Phase.WORKING

    def for_seat(self, seat: int) -> str:
        """The message for this student: what they see, and their own part."""
        if not self.at_own_pace:
            return envelope(self.student, mine(self.state, self.places, seat).model_dump_json())
        place = place_of(self.state, seat)
        view = view_text(self.state, place, self.fragments)
        return envelope(view, mine_text(self.state, self.state.seats[seat], place, self.fragments))


@dataclass(eq=False)
class Room:
    """`used_at` is when anything last happened in it, by the clock of the event loop."""

    _loaded: Loaded | None
    used_at: float = 0.0
    connections: dict[Audience, set[Connection]] = field(default_factory=lambda: {role: set() for role in Audience})
    devices: dict[int, dict[Connection, None]] = field(default_factory=dict)
    budgets: dict[int, Budget] = field(default_factory=dict)
    left_at: dict[int, Milliseconds] = field(default_factory=dict)
    peers: dict[str, Peer] = field(default_factory=dict)
    sent: dict[Audience, str] = field(default_factory=dict)
    memo: DeskMemo = field(default_factory=DeskMemo)
    fragments: Fragments = field(default_factory=Fragments)
    _snapshot: Snapshot | None = None

    def __post_init__(self) -> None:
        self.session_id, self.seq = self.loaded.session_id, self.loaded.seq

    @property
    def in_memory(self) -> Loaded | None:
        return self._loaded

    @property
    def loaded(self) -> Loaded:
        assert self._loaded is not None, "the room sleeps: wake it first"
        return self._loaded

    @property
    def state(self) -> State:
        return self.loaded.state

    @property
    def sleeps(self) -> bool:
        return self._loaded is None

    def sleep(self) -> None:
        self._loaded = self._snapshot = None
        self.memo, self.fragments = DeskMemo(), Fragments()
        self.sent.pop(Audience.DESK, None)  # a line for everybody; the other texts are small

    @property
    def is_empty(self) -> bool:
        return not any(self.connections.values())

    def add(self, connection: Connection) -> Connection | None:
        """Returns the oldest line of its seat where that has too many now."""
        self.connections[connection.role].add(connection)
        connection.refresh = self.message
        if connection.seat is None:
            return None
        if not self.sleeps and connection.seat in self.state.seats:
            connection.key = self.state.seats[connection.seat].key
        of_seat = self.devices.setdefault(connection.seat, {})
        of_seat[connection] = None
        return next(iter(of_seat)) if len(of_seat) > MOST_LINES else None

    def refusal(self, connection: Connection) -> LanternError | None:
        """Why this student's device is served no more, if it is not."""
        seat = self.state.seats[connection.seat or 0]
        if seat.removed:
            return TakenOut()
        return GoneOn() if connection.key and connection.key != seat.key else None

    def discard(self, connection: Connection) -> None:
        self.connections[connection.role].discard(connection)
        of_seat = self.devices.get(connection.seat, {}) if connection.seat is not None else {}
        if of_seat.pop(connection, connection) is None and not of_seat:
            assert connection.seat is not None
            del self.devices[connection.seat]
            self.left_at[connection.seat] = now_ms()

    def lines(self) -> Iterable[Connection]:
        return (connection for devices in self.connections.values() for connection in devices)

    def budget(self, seat: int) -> Budget:
        """How much all devices of a seat may say together."""
        return self.budgets.setdefault(seat, Budget(rate=20, burst=100))

    def here(self) -> frozenset[int]:
        """The seats with a device on this process, or that had one just now."""
        now = now_ms()
        self.left_at = {seat: at for seat, at in self.left_at.items() if now - at < LINGER}
        return frozenset(self.devices) | frozenset(self.left_at)

    def present(self) -> frozenset[int]:
        """The seats with a device on any process."""
        now = now_ms()
        self.peers = {name: peer for name, peer in self.peers.items() if peer.until > now}
        return self.here().union(*(peer.present for peer in self.peers.values()))

    def update(self, loaded: Loaded) -> set[int]:
        """Take over a newer state; an older one (batches of two processes may cross) is left aside.

        Returns the seats with devices here whose own part has changed: they are at another place of their papers, have
        answered there, the desk wrote to them, a note of theirs was read, they backed something, their seat is not as
        it was, or something happened to them in the game; in a session that is led also where its board is not as it
        was.
        """
        if loaded.seq < self.seq:
            return set()
        is_news, before = loaded.seq > self.seq, None if self.sleeps else self.state
        self._loaded, self.seq, self._snapshot = loaded, loaded.seq, None
        after = loaded.state
        if before is None:  # what has changed for whom is not known any more
            some = after.papers or after.words or after.noted or after.backed or after.hands
            return set(self.devices) if is_news and some else set()
        moved: set[int] = set()
        own: list[tuple[Mapping[Any, object], Mapping[Any, object]]] = [
            (before.papers, after.papers),
            (before.words, after.words),
            (before.noted, after.noted),
            (before.backed, after.backed),
            (before.moved, after.moved),
        ]
        if after.step == before.step:  # else everybody is told
            own.append((before.hands, after.hands))
            if after.board is not before.board and self._was_moved(before, after):
                return set(self.devices)  # each one sees the board in their own part
        for then, now in own:
            if now is not then:
                moved |= {seat for seat in self.devices if now.get(seat) is not then.get(seat)}
        if after.seats is not before.seats:  # a state that was read anew has the same seats as other values
            moved |= {seat for seat in self.devices if after.seats.get(seat) != before.seats.get(seat)}
        read = {note.seat for note in before.notes if note not in after.notes}
        return moved | (read & self.devices.keys())

    @staticmethod
    def _was_moved(before: State, after: State) -> bool:
        """Whether a player or the desk did something with a board that all look at. Those who come in change it for
        themselves."""
        has_acted = after.moved is not before.moved or after.done is not before.done
        return has_acted and not after.is_own_pace and after.phase is not Phase.LOBBY

    def snapshot(self) -> Snapshot:
        if self._snapshot is None or self._snapshot.state is not self.state:
            self._snapshot = Snapshot(self.state, self.loaded.code, self.memo, self.fragments)
        return self._snapshot

    def text(self, role: Audience) -> str:
        """The role's present view."""
        snapshot = self.snapshot()
        if role is Audience.DESK:
            return snapshot.desk(self.present())
        if role is Audience.REMOTE:
            return remote_view(self.state, self.loaded.code, self.present(), self.memo).model_dump_json()
        return snapshot.student if role is Audience.STUDENT else snapshot.screen

    def message(self, connection: Connection) -> str:
        """The whole present view for one device, its own part with it."""
        if connection.seat is None:
            return envelope(self.text(connection.role), None)
        return self.snapshot().for_seat(connection.seat)

    def changed_messages(self) -> Iterable[tuple[Connection, bytes]]:
        """A framed message for each device whose role's view has changed since it was last sent."""
        snapshot = self.snapshot()
        for role, devices in self.connections.items():
            if not devices:
                continue
            text = self.text(role)
            if self.sent.get(role) == text:
                continue
            self.sent[role] = text
            yield from self._messages(role, text, snapshot)

    def _messages(self, role: Audience, text: str, snapshot: Snapshot) -> Iterable[tuple[Connection, bytes]]:
        is_alike = snapshot.state.phase in SAME_FOR_ALL and snapshot.state.board is None
        with_own = role is Audience.STUDENT and not is_alike
        apart = has_own_options(snapshot.state) if role is Audience.STUDENT else frozenset()
        same = b"" if with_own else text_frame(envelope(text, None))
        for connection in list(self.connections[role]):
            if (with_own or connection.seat in apart) and connection.seat is not None:
                yield connection, text_frame(snapshot.for_seat(connection.seat))
            else:
                yield connection, same
