"""The two servers under load, behind one small interface."""

import asyncio
import json
import os
import secrets
import subprocess
import sys
import tempfile
import time
from pathlib import Path
from typing import Any, ClassVar, Protocol

import httpx
import psutil

from bench.questions import command, opening_size
from bench.socket_client import SocketClient, connect
from lantern.core.questions.items import Item
from tools import web
from tools.client import TeacherClient
from tools.server import ROOT, RealServer, free_port

SERVER_CORE, LOAD_CORE = 0, 1


class Target(Protocol):
    """A server that opens questions and takes answers."""

    ports: list[int]
    path: str

    def pids(self) -> list[int]: ...
    async def tokens(self, count: int) -> list[str]: ...
    async def start_control(self) -> None: ...
    def open_question(self, number: int) -> None: ...
    def answer(self, number: int, student: int, command_id: str) -> str: ...
    async def stored(self, number: int) -> int: ...
    def stop(self) -> None: ...


class LanternTarget:
    """Tall Lantern with a desk and a big screen connected, as in a lesson."""

    path = "/live/student"
    settings: ClassVar[dict[str, Any]] = {"close_when_all_answered": False}

    def __init__(self, items: list[Item]) -> None:
        self.items = items
        self.folder = tempfile.TemporaryDirectory()
        self.servers = self.start_servers(Path(self.folder.name))
        self.ports = [server.port for server in self.servers]
        self.server = self.servers[0]
        self.teacher = TeacherClient(self.server.url)
        self.teacher.sign_up()
        set_id = self.teacher.make_set("Bench", [item.model_dump(mode="json") for item in items])
        self.session = self.teacher.start(set_id, **self.settings)
        self.step = 0

    def start_servers(self, folder: Path) -> list[RealServer]:
        return [RealServer(folder).start()]

    def pids(self) -> list[int]:
        return [server.process.pid for server in self.servers if server.process]

    async def tokens(self, count: int) -> list[str]:
        async with web.async_client(base_url=self.server.url) as http:
            gate = asyncio.Semaphore(20)

            async def one(number: int) -> str:
                async with gate:
                    body = {"code": self.session["code"], "name": f"Student {number}", "key": secrets.token_hex(8)}
                    return str((await http.post("/api/live/join", json=body)).json()["token"])

            return list(await asyncio.gather(*(one(number) for number in range(count))))

    async def start_control(self) -> None:
        cookie = "; ".join(f"{k}={v}" for k, v in self.teacher.http.cookies.items())
        headers = f"Cookie: {cookie}\r\n"
        number = self.session["id"]
        self.desk = await connect(self.server.port, f"/live/desk/{number}", self._heard, headers)
        self.screen = await connect(self.server.port, f"/live/screen/{number}", lambda *_: None, headers)

    def _heard(self, client: SocketClient, text: bytes, now: float) -> None:
        if b'"view"' in text[:90]:
            self.step = json.loads(text)["view"]["step"]

    def open_question(self, number: int) -> None:
        self.desk.send(json.dumps(self.teacher.ordered("go_to", step=self.step, item=f"q{number}")))

    def answer(self, number: int, student: int, command_id: str) -> str:
        return command(number, self.items[number], student, command_id)

    async def stored(self, number: int) -> int:
        view = await asyncio.to_thread(self.teacher.view, self.session["id"])
        return int(view["shown"]["tally"]["n"])

    def stop(self) -> None:
        for server in self.servers:
            server.stop()
        self.folder.cleanup()


class BareTarget:
    """The bare server. The text it fans out for a question is as long as Tall Lantern's."""

    path = "/device"

    def __init__(self, items: list[Item], follows: int = 0) -> None:
        self.items = items
        self.folder = tempfile.TemporaryDirectory()
        self.ports = [free_port()]
        self.database = str(Path(self.folder.name) / "bare.sqlite3")
        program = [sys.executable, "-m", "bench.bare", str(self.ports[0]), self.database, str(follows)]
        self.process = subprocess.Popen(program, cwd=ROOT)
        head = len(self._opening(0, ""))
        self.fillers = ["x" * max(0, opening_size(item) - head) for item in items]
        self.before = 0
        _until_up(self.ports[0])

    def pids(self) -> list[int]:
        return [self.process.pid]

    async def tokens(self, count: int) -> list[str]:
        return ["none"] * count

    async def start_control(self) -> None:
        self.control = await connect(self.ports[0], "/control", lambda *_: None)

    def open_question(self, number: int) -> None:
        self.control.send(self._opening(number, self.fillers[number]))

    @staticmethod
    def _opening(number: int, filler: str) -> str:
        return json.dumps({"view": {"phase": "open", "number": number, "text": filler}})

    def answer(self, number: int, student: int, command_id: str) -> str:
        return command(number, self.items[number], student, command_id)

    def ask_of(self, number: int) -> str:
        return f"q{number}.1"

    async def stored(self, number: int) -> int:
        counting = f'SELECT count(*) FROM answer WHERE text LIKE \'%"ask": "{self.ask_of(number)}"%\''  # noqa: S608
        script = f"import sqlite3; print(sqlite3.connect({self.database!r}).execute({counting!r}).fetchone()[0])"
        done = await asyncio.to_thread(subprocess.run, [sys.executable, "-c", script], capture_output=True, text=True)
        return int(done.stdout)

    def stop(self) -> None:
        self.process.terminate()
        self.process.wait()
        self.folder.cleanup()


def _until_up(port: int) -> None:
    for _ in range(100):
        try:
            web.get(f"http://127.0.0.1:{port}/")
            return
        except httpx.HTTPError:
            time.sleep(0.1)
    raise RuntimeError("the bare server did not start")


def pin(pids: list[int], core: int) -> None:
    """Keep every thread of the processes on one core, so that server and load do not disturb each other. A server
    begins on the core of the load that began it."""
    if (os.cpu_count() or 1) < 2:
        return
    for pid in pids:
        for thread in psutil.Process(pid).threads():
            os.sched_setaffinity(thread.id, [core])
        assert os.sched_getaffinity(pid) == {core}


def cpu_seconds(pids: list[int]) -> float:
    """CPU time the processes have used, to the nanosecond (Linux: the CPU clock of another process)."""
    return sum(time.clock_gettime((~pid << 3) | 2) for pid in pids)


def memory(pids: list[int]) -> int:
    return sum(int(psutil.Process(pid).memory_info().rss) for pid in pids)
