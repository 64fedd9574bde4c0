"""Uvicorn's protocols with doors: lines are counted, silent ones closed, and a socket's texts go straight in and out.

An application finds its line in `scope["lantern.line"]`, and a socket's `Wire` in `scope["lantern.wire"]`.

1. A text for many devices is framed once; each device costs one write (RFC 6455: what a server sends is not masked).
2. A text from a device is handed over in the call that read it, without a queue and a task between.
3. A device that is slow to take a message is not written to until it is ready again.
4. A device that says more than it may is not listened to for a while; one that goes on regardless is closed.
"""

import asyncio
from collections import deque
from collections.abc import Callable
from typing import Any

from uvicorn.protocols.http.httptools_impl import HttpToolsProtocol
from uvicorn.protocols.utils import get_remote_addr
from uvicorn.protocols.websockets.websockets_sansio_impl import WebSocketsSansIOProtocol

from lantern.server.doors.frames import are_whole, text_frame, text_payloads
from lantern.server.doors.lines import Line, Lines, Stage

SWEEP_EVERY = 1.0
MOST_TOO_MUCH = 60
"""Messages beyond its budget, one after the other, for which a device is slowed down; one more, and it is closed."""
FAREWELL_WITHIN = 1.5
"""Seconds in which a device may take what was still on its way when it was closed."""


class Doors:
    """The lines of this process, and their sweeping."""

    def __init__(self, lines: Lines) -> None:
        self.lines = lines
        self.of_transport: dict[asyncio.BaseTransport, Line] = {}
        self._sweeping: asyncio.TimerHandle | None = None

    def sweep(self, loop: asyncio.AbstractEventLoop) -> None:
        self.lines.sweep(loop.time())
        self._sweeping = loop.call_later(SWEEP_EVERY, self.sweep, loop)

    def come(self, transport: asyncio.Transport, loop: asyncio.AbstractEventLoop) -> Line | None:
        if self._sweeping is None:
            self.sweep(loop)
        client = get_remote_addr(transport)
        line = self.lines.open(client[0] if client else "local", transport.abort, loop.time())
        if line:
            self.of_transport[transport] = line
        else:
            transport.abort()
        return line

    def gone(self, transport: asyncio.BaseTransport) -> None:
        line = self.of_transport.pop(transport, None)
        if line:
            self.lines.closed(line)

    def know(self, scope: Any) -> None:
        """A seat or a teacher has been recognised behind this scope. Other servers have no lines: nothing to do."""
        if line := scope.get("lantern.line"):
            self.lines.know(line)


doors = Doors(Lines())
"""Those of this process; `serve` sets how many lines they allow."""


class HttpProtocol(HttpToolsProtocol):
    """A line that is counted."""

    line: Line | None = None

    def connection_made(self, transport: asyncio.Transport) -> None:  # type: ignore[override]
        super().connection_made(transport)
        self.line = doors.come(transport, self.loop)

    def connection_lost(self, exc: Exception | None) -> None:
        doors.gone(self.transport)
        super().connection_lost(exc)

    def on_message_begin(self) -> None:
        super().on_message_begin()
        self.scope["lantern.line"] = self.line  # type: ignore[typeddict-unknown-key]

    def on_body(self, body: bytes) -> None:
        """A long upload waits as long as something comes."""
        if self.line and self.line.stage in {Stage.WAITS, Stage.SENDS}:
            doors.lines.sends(self.line, self.loop.time())
        super().on_body(body)

    def on_message_complete(self) -> None:
        super().on_message_complete()
        if self.line and self.line.stage is not Stage.KNOWN and not self.parser.should_upgrade():
            self._works_or_waits(self.line)

    def on_response_complete(self) -> None:
        super().on_response_complete()
        if self.line:
            self._works_or_waits(self.line)

    def _works_or_waits(self, line: Line) -> None:
        """A request may be answered before it is whole, and another be whole behind one that is being answered."""
        is_at_work = self.cycle and not self.cycle.more_body and not self.cycle.response_complete
        (doors.lines.works if is_at_work else doors.lines.waits)(line, self.loop.time())


class Wire:
    """A socket as its application sees it once it has accepted it."""

    def __init__(self, protocol: "SocketProtocol") -> None:
        self._protocol = protocol
        self._loop = protocol.loop
        self._on_text: Callable[[str], float] | None = None
        self._held: deque[str] = deque()
        self._deaf: asyncio.TimerHandle | None = None
        self._too_much = 0
        self.on_ready: Callable[[], None] | None = None
        """Called when a device that was slow can be written to again."""
        self.too_much: str = ""
        """What a device is told that is closed because it says too much."""

    def write(self, frame: bytes) -> bool:
        """Sends a whole frame; False where the device is slow just now, or gone."""
        protocol = self._protocol
        if protocol.close_sent or protocol.disconnected or not protocol.writable.is_set():
            return False
        protocol.transport.write(frame)
        return True

    def close(self, farewell: str = "", code: int = 1000) -> None:
        """Closes it, with a last text. The application's `receive` tells it as a disconnect."""
        if farewell:
            self.write(text_frame(farewell))
        self._protocol.hang_up(code)

    def listen(self, on_text: Callable[[str], float]) -> None:
        """From now on each text goes to `on_text`, which returns for how many seconds it wants to hear nothing.

        Texts that have come since the first one are handed over first.
        """
        self._on_text = on_text
        for text in self._protocol.take_texts():
            self.hear(text)

    @property
    def listens(self) -> bool:
        return self._on_text is not None

    def hear(self, text: str) -> None:
        if self._deaf is None and not self._held:
            self._take(text)
            return
        self._held.append(text)
        if len(self._held) > MOST_TOO_MUCH:
            self._turn_away()

    def _take(self, text: str) -> None:
        assert self._on_text
        rest = self._on_text(text)
        self._too_much = self._too_much + 1 if rest else 0
        if self._too_much > MOST_TOO_MUCH:
            self._turn_away()
        elif rest:
            self._protocol.transport.pause_reading()
            self._deaf = self._loop.call_later(rest, self._listen_again)

    def _turn_away(self) -> None:
        self._held.clear()
        self.close(self.too_much, 1008)

    def _listen_again(self) -> None:
        self._deaf = None
        while self._held and self._deaf is None and not self._protocol.close_sent:
            self._take(self._held.popleft())
        if self._deaf is None and not self._protocol.transport.is_closing():
            self._protocol.transport.resume_reading()

    def gone(self) -> None:
        self._held.clear()
        if self._deaf:
            self._deaf.cancel()


class SocketProtocol(WebSocketsSansIOProtocol):
    """A WebSocket that can be written to, and listened to, without a task for each message."""

    wire: Wire | None = None
    has_hung_up = False
    is_between_frames = True
    """Whether all that came until now were whole frames: only then may one be read here."""

    def data_received(self, data: bytes) -> None:
        """Whole text frames are read here; whatever else comes, by the library."""
        if self.has_hung_up or self.transport.is_closing():
            return
        if self.wire and self.is_between_frames:
            payloads = text_payloads(data) if self.wire.listens and not self.close_sent else None
            if payloads is not None:
                for payload in payloads:
                    self.take_text(payload)
                return
            self.is_between_frames = are_whole(data)
        super().data_received(data)

    def connection_lost(self, exc: Exception | None) -> None:
        doors.gone(self.transport)
        if self.wire:
            self.wire.gone()
        super().connection_lost(exc)

    def handle_connect(self, event: Any) -> None:
        super().handle_connect(event)
        if self.response.status_code == 101:
            self.wire = Wire(self)
            line = doors.of_transport.get(self.transport)
            if line:
                doors.lines.waits(line, self.loop.time())
            self.scope["lantern.line"] = line  # type: ignore[typeddict-unknown-key]
            self.scope["lantern.wire"] = self.wire  # type: ignore[typeddict-unknown-key]

    def resume_writing(self) -> None:
        super().resume_writing()
        if self.wire and self.wire.on_ready:
            self.wire.on_ready()

    def send_receive_event_to_app(self) -> None:
        wire = self.wire
        if wire is None or not wire.listens or self.curr_msg_data_type != "text" or self.close_sent:
            super().send_receive_event_to_app()
            return
        data = self.frames[0] if len(self.frames) == 1 else b"".join(self.frames)
        self.frames = []
        self.take_text(data)

    def take_text(self, data: bytes) -> None:
        assert self.wire
        if self.close_sent:
            return
        try:
            text = data.decode()
        except UnicodeDecodeError:
            self.hang_up(1007)
            return
        self.wire.hear(text)

    def take_texts(self) -> list[str]:
        """The texts that wait for the application to ask; it need not ask any more."""
        messages = [self.queue.get_nowait() for _ in range(self.queue.qsize())]
        texts = [str(message["text"]) for message in messages if message.get("text") is not None]  # type: ignore[typeddict-item]
        for message in messages:
            if message["type"] == "websocket.disconnect":
                self.queue.put_nowait(message)
        if self.read_paused:
            self.read_paused = False
            self.transport.resume_reading()
        return texts

    def hang_up(self, code: int) -> None:
        """Closes from this side, and tells the application.

        What the device still says is read and dropped for a while: closing with something unread would reset the
        connection, and take from the device what it has just been told.
        """
        if self.close_sent or self.disconnected or self.transport.is_closing():
            return
        self.queue.put_nowait({"type": "websocket.disconnect", "code": code, "reason": ""})
        self.conn.send_close(code)
        self.transport.write(b"".join(self.conn.data_to_send()))
        self.close_sent = self.has_hung_up = True
        self.transport.write_eof()
        self.transport.resume_reading()
        self.close_timer = self.loop.call_later(FAREWELL_WITHIN, self.transport.abort)
