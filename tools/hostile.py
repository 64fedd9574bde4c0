"""A hostile crowd for tests, as a process of its own: `python -m tools.hostile PORT SILENT LOOKUPS REQUESTS`.

It opens SILENT connections that say nothing (one that is closed is opened again), asks for LOOKUPS wrong codes all
at once, then makes REQUESTS requests, fifty at a time; says "done" and goes on being silent until it is ended.
"""

import asyncio
import contextlib
import os
import sys

from lantern.server.doors.descriptors import raise_limit

AT_ONCE = 50


async def silent(port: int) -> None:
    while True:
        with contextlib.suppress(OSError):
            reader, writer = await asyncio.open_connection("127.0.0.1", port)
            with contextlib.suppress(OSError):
                await reader.read()
            writer.close()
        await asyncio.sleep(0.5)


async def ask(port: int, path: str, times: int) -> None:
    """So many requests on one connection, or on the next where that is closed."""
    text = f"GET {path} HTTP/1.1\r\nHost: 127.0.0.1:{port}\r\n\r\n".encode()
    while times > 0:
        with contextlib.suppress(OSError, asyncio.IncompleteReadError):
            reader, writer = await asyncio.open_connection("127.0.0.1", port)
            while times > 0:
                times -= 1
                writer.write(text)
                head = (await reader.readuntil(b"\r\n\r\n")).lower()
                await reader.readexactly(int(head.partition(b"content-length: ")[2].split(b"\r\n")[0]))
            writer.close()


async def main(port: int, lines: int, lookups: int, requests: int) -> None:
    raise_limit()
    os.nice(10)  # its devices have processors of their own
    crowd = [asyncio.create_task(silent(port)) for _ in range(lines)]
    await asyncio.sleep(1)
    print("here", flush=True)
    await asyncio.gather(
        *(ask(port, f"/api/live/codes/KELP{222 + number}", 1) for number in range(lookups)),
        *(ask(port, "/join", requests // AT_ONCE) for _ in range(AT_ONCE)),
    )
    print("done", flush=True)
    await asyncio.gather(*crowd)


if __name__ == "__main__":
    asyncio.run(main(*map(int, sys.argv[1:5])))
