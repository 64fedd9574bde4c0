"""A line's stage, told from what really comes over it."""

import asyncio
from functools import partial

import pytest
import uvicorn
from uvicorn.server import ServerState

from lantern.server.doors import protocols
from lantern.server.doors.lines import Lines, Stage

HEAD = b"POST / HTTP/1.1\r\nHost: tall.example\r\nContent-Length: 5\r\n\r\n"


class Answering:
    """An application that answers when it is told to, without having read what it was sent."""

    def __init__(self):
        self.may_answer = asyncio.Semaphore(0)

    async def __call__(self, scope, receive, send):
        await self.may_answer.acquire()
        await send({"type": "http.response.start", "status": 200, "headers": [(b"content-length", b"2")]})
        await send({"type": "http.response.body", "body": b"ok"})


class Talk:
    """One connection to it, and the line that the doors know."""

    def __init__(self, app, reader, writer):
        self.app, self.reader, self.writer = app, reader, writer

    @property
    def stage(self):
        (line,) = protocols.doors.of_transport.values()
        return line.stage

    async def until(self, stage):
        for _ in range(500):
            if self.stage is stage:
                return
            await asyncio.sleep(0.01)
        raise AssertionError(f"the line is {self.stage}, not {stage}")

    async def answered(self):
        self.app.may_answer.release()
        assert (await self.reader.readuntil(b"ok")).startswith(b"HTTP/1.1 200")


@pytest.fixture
async def talk(monkeypatch):
    monkeypatch.setattr(protocols, "doors", protocols.Doors(Lines()))
    app = Answering()
    config = uvicorn.Config(app, proxy_headers=False, access_log=False, log_config=None)
    config.load()
    protocol = partial(protocols.HttpProtocol, config=config, server_state=ServerState(), app_state={})
    server = await asyncio.get_running_loop().create_server(protocol, "127.0.0.1", 0)
    reader, writer = await asyncio.open_connection(*server.sockets[0].getsockname())
    yield Talk(app, reader, writer)
    writer.close()
    server.close()


async def test_a_request_is_sent_then_at_work_then_the_line_waits(talk):
    talk.writer.write(HEAD + b"abc")
    await talk.until(Stage.SENDS)
    talk.writer.write(b"de")
    await talk.until(Stage.WORKS)
    await talk.answered()
    await talk.until(Stage.WAITS)


async def test_a_request_that_was_answered_before_it_was_whole_is_not_at_work(talk):
    talk.writer.write(HEAD + b"abc")
    await talk.until(Stage.SENDS)
    await talk.answered()
    await talk.until(Stage.WAITS)
    talk.writer.write(b"d")
    await talk.until(Stage.SENDS)
    talk.writer.write(b"e")
    await talk.until(Stage.WAITS)


async def test_a_second_request_behind_the_first_is_at_work_until_it_is_answered(talk):
    talk.writer.write((HEAD + b"abcde") * 2)
    await talk.until(Stage.WORKS)
    await talk.answered()
    assert talk.stage is Stage.WORKS
    await talk.answered()
    await talk.until(Stage.WAITS)
