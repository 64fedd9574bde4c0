"""Who may hold a line (a connection) to this process: one device must never shut out a class.

1. A line *waits* until it has sent a whole request, and again between two requests; a socket waits anew, from its
   handshake, until it has said who it is. A line *sends* while the body of a request comes in. It *works* while a
   request is answered. It is *known* once a seat or a teacher has been recognised on it.
2. A line that waits is closed after PATIENCE, one that sends when nothing has come for SEND_PATIENCE, one that works
   for a stranger after WORK_PATIENCE.
3. Where lines that wait are too many, from one address or in all, the one that has waited longest makes room.
4. Where lines are too many in all, a waiting one makes room, then one that sends; then a stranger's that has worked for
   longer than a request takes; if there is none, the newest is not taken. A known line never makes room.

So whoever opens many lines and says nothing closes his own, and someone who comes to ask is always answered.
"""

from collections.abc import Callable
from dataclasses import dataclass, field
from enum import Enum

PATIENCE = 5.0
"""Seconds for a request, or for the first message of a socket."""
SEND_PATIENCE = 30.0
"""Seconds without a byte of an upload on a bad network."""
WORK_PATIENCE = 300.0
"""Seconds for an answer to a stranger, such as a video on a slow network."""
REQUEST_TAKES = 3.0
"""Seconds after which a stranger's request may make room where there is none left."""
RESERVED = 128
"""Descriptors that are no lines: the database, files, the event loop, connections on their way in or out."""
MOST = 20_000
FEWEST = 64


class Stage(Enum):
    WAITS = "waits"
    SENDS = "sends"
    WORKS = "works"
    KNOWN = "known"


@dataclass(eq=False, slots=True)
class Line:
    """One connection. `since` is when it came to its stage, in seconds of the event loop's clock."""

    address: str
    close: Callable[[], None]
    since: float
    stage: Stage = Stage.WAITS


Lined = dict[Line, None]
"""Lines in the order in which they came to their stage."""


@dataclass
class Lines:
    """All lines of a process. `trusted` are the addresses of proxies, which speak for many."""

    most: int = MOST
    trusted: frozenset[str] = frozenset()
    count: int = 0
    waiting: Lined = field(default_factory=dict)
    sending: Lined = field(default_factory=dict)
    working: Lined = field(default_factory=dict)
    waiting_at: dict[str, Lined] = field(default_factory=dict)

    @classmethod
    def within(cls, descriptors: int, trusted: frozenset[str] = frozenset()) -> "Lines":
        """As many as this many descriptors allow."""
        return cls(most=max(FEWEST, min(MOST, descriptors - RESERVED)), trusted=trusted)

    @property
    def most_waiting(self) -> int:
        return self.most * 3 // 4

    @property
    def most_waiting_at_one(self) -> int:
        return self.most // 2

    def open(self, address: str, close: Callable[[], None], now: float) -> Line | None:
        """A new line, others making room for it. None: there is no room, it is not taken."""
        if self.count >= self.most and not self._make_room(now):
            return None
        line = Line(address, close, now)
        self.count += 1
        self._enter(line)
        here = self.waiting_at[address]
        if len(here) > self.most_waiting_at_one and address not in self.trusted:
            self._drop(next(iter(here)))
        elif len(self.waiting) > self.most_waiting:
            self._drop(next(iter(self.waiting)))
        return line

    def closed(self, line: Line) -> None:
        """The line is gone, whoever closed it."""
        if line.address:
            self._leave(line)
            self.count -= 1
            line.address = ""

    def waits(self, line: Line, now: float) -> None:
        self._to(line, Stage.WAITS, now)

    def sends(self, line: Line, now: float) -> None:
        """A part of a request's body has come."""
        self._to(line, Stage.SENDS, now)

    def works(self, line: Line, now: float) -> None:
        self._to(line, Stage.WORKS, now)

    def know(self, line: Line) -> None:
        """A seat or a teacher has been recognised on it."""
        self._to(line, Stage.KNOWN, line.since)

    def sweep(self, now: float) -> None:
        """Closes what has taken too long."""
        patiences = ((self.waiting, PATIENCE), (self.sending, SEND_PATIENCE), (self.working, WORK_PATIENCE))
        for lined, patience in patiences:
            while lined and now - (oldest := next(iter(lined))).since > patience:
                self._drop(oldest)

    def _make_room(self, now: float) -> bool:
        for lined, patience in ((self.waiting, 0.0), (self.sending, 0.0), (self.working, REQUEST_TAKES)):
            if lined and now - (oldest := next(iter(lined))).since >= patience:
                self._drop(oldest)
                return True
        return False

    def _drop(self, line: Line) -> None:
        close = line.close
        self.closed(line)
        close()

    def _to(self, line: Line, stage: Stage, now: float) -> None:
        if line.address:
            self._leave(line)
            line.stage, line.since = stage, now
            self._enter(line)

    def _enter(self, line: Line) -> None:
        if line.stage is Stage.WAITS:
            self.waiting[line] = None
            self.waiting_at.setdefault(line.address, {})[line] = None
        elif line.stage is Stage.SENDS:
            self.sending[line] = None
        elif line.stage is Stage.WORKS:
            self.working[line] = None

    def _leave(self, line: Line) -> None:
        self.working.pop(line, None)
        self.sending.pop(line, None)
        if self.waiting.pop(line, line) is None:
            here = self.waiting_at[line.address]
            del here[line]
            if not here:
                del self.waiting_at[line.address]
