"""A WebSocket client that costs little (RFC 6455, unfragmented texts only), so that the server is what is measured."""

import asyncio
import base64
import os
import struct
import time
from collections.abc import Callable

TEXT, CLOSE, PING, PONG = 1, 8, 9, 10


class SocketClient(asyncio.Protocol):
    """`on_text(client, text, now)` is called for each text; `now` is the moment its bytes arrived."""

    def __init__(
        self, path: str, host: str, headers: str, on_text: Callable[["SocketClient", bytes, float], None]
    ) -> None:
        self.request = (
            f"GET {path} HTTP/1.1\r\nHost: {host}\r\nOrigin: http://{host}\r\nUpgrade: websocket\r\n"
            f"Connection: Upgrade\r\nSec-WebSocket-Key: {base64.b64encode(os.urandom(16)).decode()}\r\n"
            f"Sec-WebSocket-Version: 13\r\n{headers}\r\n"
        ).encode()
        self.on_text = on_text
        self.index = -1
        """Which device it is; below nought before that was said."""
        self.buffer = b""
        self.open = asyncio.get_running_loop().create_future()
        self.upgraded = False

    def connection_made(self, transport: asyncio.BaseTransport) -> None:
        assert isinstance(transport, asyncio.Transport)
        self.transport = transport
        transport.write(self.request)

    def data_received(self, data: bytes) -> None:
        now = time.perf_counter()
        self.buffer += data
        if not self.upgraded:
            head, separator, rest = self.buffer.partition(b"\r\n\r\n")
            if not separator:
                return
            if b" 101 " not in head[:20]:
                self.open.set_exception(ConnectionError(head[:200].decode()))
                return
            self.upgraded, self.buffer = True, rest
            self.open.set_result(None)
        while (frame := self._frame()) is not None:
            kind, payload = frame
            if kind == TEXT:
                self.on_text(self, payload, now)
            elif kind == PING:
                self._write(PONG, payload)

    def _frame(self) -> tuple[int, bytes] | None:
        if len(self.buffer) < 2:
            return None
        length, start = self.buffer[1] & 127, 2
        if length == 126:
            if len(self.buffer) < 4:
                return None
            length, start = struct.unpack_from(">H", self.buffer, 2)[0], 4
        elif length == 127:
            if len(self.buffer) < 10:
                return None
            length, start = struct.unpack_from(">Q", self.buffer, 2)[0], 10
        if len(self.buffer) < start + length:
            return None
        frame = self.buffer[0] & 15, self.buffer[start : start + length]
        self.buffer = self.buffer[start + length :]
        return frame

    def send(self, text: str) -> None:
        self._write(TEXT, text.encode())

    def _write(self, kind: int, payload: bytes) -> None:
        mask = os.urandom(4)
        size = len(payload)
        head = bytes([128 | kind, 128 | size]) if size < 126 else struct.pack(">BBH", 128 | kind, 254, size)
        masked = bytes(byte ^ mask[i & 3] for i, byte in enumerate(payload))
        self.transport.write(head + mask + masked)


async def connect(
    port: int, path: str, on_text: Callable[[SocketClient, bytes, float], None], headers: str = ""
) -> SocketClient:
    loop = asyncio.get_running_loop()
    host = f"127.0.0.1:{port}"
    _, client = await loop.create_connection(lambda: SocketClient(path, host, headers, on_text), "127.0.0.1", port)
    await client.open
    return client
