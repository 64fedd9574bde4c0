"""An HTTP/1.1 client that costs little, so that the server is what is measured. It keeps its connection as long as the
server does, as a browser would."""

import asyncio
import time


class HttpClient:
    """One request at a time."""

    def __init__(self, port: int) -> None:
        self.port, self.host = port, f"127.0.0.1:{port}"
        self.line: _Line | None = None

    async def request(self, method: str, path: str, body: bytes = b"", headers: str = "") -> tuple[int, bytes, float]:
        """The status, the body, and how many seconds it took."""
        begun = time.perf_counter()
        head = (
            f"{method} {path} HTTP/1.1\r\nHost: {self.host}\r\n{headers}"
            f"Content-Type: application/json\r\nContent-Length: {len(body)}\r\n\r\n"
        )
        text, is_kept = head.encode() + body, self.line is not None and not self.line.is_closed
        try:
            status, found, now = await (await self._open()).send(text)
        except ConnectionError:
            if not is_kept:
                raise
            # The server closed a quiet connection just then: a browser asks once more, too.
            status, found, now = await (await self._open()).send(text)
        return status, found, now - begun

    async def _open(self) -> "_Line":
        if self.line is None or self.line.is_closed:
            loop = asyncio.get_running_loop()
            _, self.line = await loop.create_connection(_Line, "127.0.0.1", self.port)
        return self.line


class _Line(asyncio.Protocol):
    def __init__(self) -> None:
        self.buffer, self.is_closed = b"", False
        self.waiting: asyncio.Future[tuple[int, bytes, float]] | None = None

    def connection_made(self, transport: asyncio.BaseTransport) -> None:
        assert isinstance(transport, asyncio.Transport)
        self.transport = transport

    def send(self, text: bytes) -> "asyncio.Future[tuple[int, bytes, float]]":
        self.waiting = asyncio.get_running_loop().create_future()
        self.transport.write(text)
        return self.waiting

    def data_received(self, data: bytes) -> None:
        now = time.perf_counter()
        self.buffer += data
        head, separator, body = self.buffer.partition(b"\r\n\r\n")
        if not separator or self.waiting is None:
            return
        lines = head.lower().split(b"\r\n")
        length = next((int(line[15:]) for line in lines if line.startswith(b"content-length:")), 0)
        if len(body) < length:
            return
        self.buffer = body[length:]
        waiting, self.waiting = self.waiting, None
        waiting.set_result((int(head[9:12]), body[:length], now))

    def connection_lost(self, error: Exception | None) -> None:
        self.is_closed = True
        if self.waiting is not None and not self.waiting.done():
            self.waiting.set_exception(ConnectionError("the server closed the connection"))
