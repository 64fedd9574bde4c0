"""The bare server: the best that plain ASGI can do. What it costs is what the wire and the disk cost.

It speaks as much as the load generator needs: a control socket whose every text is stored and then
sent to all devices; devices whose answers are stored in groups and then acknowledged.

1. No task is made for a send or for an answer: a send that need not wait costs its own call alone.
2. An answer is acknowledged from the commit, by the thread of the event loop, not by a task that waits.
3. The event of a fan-out is made once. No framework, no rules, no views, no checks.
"""

import asyncio
import json
import sqlite3
import sys
import threading
from collections.abc import Callable
from queue import Empty, SimpleQueue
from typing import Any

import uvicorn

from bench import eager

Job = tuple[str, Callable[[], None]]


class GroupCommit:
    """One thread, one connection, `synchronous=FULL`: what has queued is committed at once."""

    def __init__(self, path: str) -> None:
        self.queue: SimpleQueue[Job] = SimpleQueue()
        self.path = path
        self.loop = asyncio.get_running_loop()
        threading.Thread(target=self.run, daemon=True).start()

    def run(self) -> None:
        database = sqlite3.connect(self.path, isolation_level=None)
        database.executescript("PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL;")
        database.execute("CREATE TABLE IF NOT EXISTS answer (id INTEGER PRIMARY KEY, text TEXT)")
        while True:
            batch = [self.queue.get()]
            try:
                while True:
                    batch.append(self.queue.get_nowait())
            except Empty:
                pass
            database.execute("BEGIN IMMEDIATE")
            database.executemany("INSERT INTO answer (text) VALUES (?)", [(text,) for text, _ in batch])
            database.execute("COMMIT")
            self.loop.call_soon_threadsafe(self.done, batch)

    @staticmethod
    def done(batch: list[Job]) -> None:
        for _, stored in batch:
            stored()


class Bare:
    """`follows` is the length of a text that follows each acknowledgement; 0: none does."""

    def __init__(self, path: str, follows: int = 0) -> None:
        self.path = path
        self.prepared = {"type": "websocket.send", "text": json.dumps({"view": "x" * follows})} if follows else None
        self.commit: GroupCommit | None = None
        self.devices: set[Any] = set()
        self.waiting: set[asyncio.Future[None]] = set()

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        if scope["type"] != "websocket":
            await self.request(scope, receive, send)
            return
        self.commit = self.commit or GroupCommit(self.path)
        await receive()
        await send({"type": "websocket.accept"})
        serve = self.control if scope["path"] == "/control" else self.device
        await serve(receive, send)

    async def request(self, scope: Any, receive: Any, send: Any) -> None:
        """What is posted is stored, and then replied to."""
        body = b"bare"
        if scope["method"] == "POST":
            self.commit = self.commit or GroupCommit(self.path)
            stored = asyncio.get_running_loop().create_future()
            text = (await receive())["body"].decode()
            json.loads(text)
            self.commit.queue.put((text, lambda: stored.set_result(None)))
            await stored
            body = self.prepared["text"].encode() if self.prepared else body
        length = (b"content-length", str(len(body)).encode())
        await send({"type": "http.response.start", "status": 200, "headers": [length]})
        await send({"type": "http.response.body", "body": body})

    async def control(self, receive: Any, send: Any) -> None:
        assert self.commit
        while (message := await receive())["type"] == "websocket.receive":
            event = {"type": "websocket.send", "text": message["text"]}
            self.commit.queue.put((message["text"], lambda event=event: self.to_all(event)))  # type: ignore[misc]

    def to_all(self, event: dict[str, str]) -> None:
        for device in self.devices:
            self.say(device, event)

    def say(self, send: Any, event: dict[str, str]) -> None:
        """Only a device that is slow to take it costs a task."""
        if task := eager.start(send(event)):
            self.waiting.add(task)
            task.add_done_callback(self.waiting.discard)

    def answered(self, send: Any, ack: dict[str, str]) -> None:
        self.say(send, ack)
        if self.prepared:
            self.say(send, self.prepared)

    async def device(self, receive: Any, send: Any) -> None:
        assert self.commit
        self.devices.add(send)
        await send({"type": "websocket.send", "text": '{"view":{}}'})
        while (message := await receive())["type"] == "websocket.receive":
            command = json.loads(message["text"])
            if "token" in command:
                continue
            ack = {"type": "websocket.send", "text": f'{{"ack":"{command["id"]}"}}'}
            self.commit.queue.put((message["text"], lambda ack=ack: self.answered(send, ack)))  # type: ignore[misc]
        self.devices.discard(send)


def main(port: int, path: str, follows: int = 0) -> None:
    uvicorn.run(
        Bare(path, follows),
        port=port,
        log_level="warning",
        access_log=False,
        lifespan="off",
        ws_per_message_deflate=False,
        backlog=4096,
    )


if __name__ == "__main__":
    main(int(sys.argv[1]), sys.argv[2], *map(int, sys.argv[3:]))
