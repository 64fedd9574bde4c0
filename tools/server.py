"""A real server process with data of its own: for browser tests, benchmarks and pictures."""

import atexit
import fcntl
import os
import shutil
import signal
import socket
import subprocess
import sys
import tempfile
import time
from functools import cache
from pathlib import Path

import httpx

from tools import web

ROOT = Path(__file__).resolve().parents[1]
STARTS_WITHIN = 40
SHARED = "LANTERN_TESTS_SHARE"
"""Names a folder that processes of one run share."""


class RealServer:
    """`folder` holds the database and the media; starting again on it finds everything.

    `descriptors` is how many open files the process may have; None for as many as this one may.
    """

    def __init__(self, folder: Path, descriptors: int | None = None, **environment: str) -> None:
        self.folder = folder
        self.descriptors = descriptors
        self.port = free_port()
        self.url = f"http://127.0.0.1:{self.port}"
        self.environment = {
            **os.environ,
            "LANTERN_VAR": str(folder),
            "PLAIN_HTTP": "1",
            "DJANGO_SETTINGS_MODULE": "lantern.server.config.settings",
            **environment,
        }
        self.process: subprocess.Popen[bytes] | None = None
        folder.mkdir(parents=True, exist_ok=True)
        static = folder / "static"
        if not static.exists():
            static.symlink_to(ROOT / "var/static")

    def manage(self, *arguments: str) -> str:
        command = [sys.executable, "manage.py", *arguments]
        done = subprocess.run(command, cwd=ROOT, env=self.environment, capture_output=True, text=True, check=False)
        if done.returncode:
            raise RuntimeError(done.stdout + done.stderr)
        return done.stdout

    def start(self) -> "RealServer":
        database = self.folder / "lantern.sqlite3"
        if not database.exists() and "DATABASE_URL" not in self.environment:
            shutil.copy(with_all_tables(), database)
        command = [sys.executable, "manage.py", "serve", "--port", str(self.port)]
        if self.descriptors:
            command = ["sh", "-c", f'ulimit -n {self.descriptors} && exec "$@"', "sh", *command]
        log = (self.folder / "server.log").open("ab")
        self.process = subprocess.Popen(command, cwd=ROOT, env=self.environment, stdout=log, stderr=log)
        deadline = time.monotonic() + STARTS_WITHIN
        while time.monotonic() < deadline:
            try:
                web.get(f"{self.url}/join", timeout=5)
                return self
            except httpx.HTTPError:
                if self.process.poll() is not None:
                    break
                time.sleep(0.1)
        raise RuntimeError(f"The server did not start:\n{self.log()}")

    def spent(self) -> float:
        """Seconds of a processor that it has had so far, whatever else the machine had to do meanwhile."""
        assert self.process
        return time.clock_gettime(~self.process.pid << 3 | 2)  # as clock_getcpuclockid(3) names a process's clock

    def log(self) -> str:
        return (self.folder / "server.log").read_text()

    def kill(self) -> None:
        """As a power cut would: no chance to tidy up."""
        assert self.process
        self.process.send_signal(signal.SIGKILL)
        self.process.wait()

    def stop(self) -> int:
        """As Ctrl-C does. Returns the exit code."""
        assert self.process
        self.process.send_signal(signal.SIGINT)
        return self.process.wait(timeout=60)


@cache
def with_all_tables() -> Path:
    """A database with nothing in its tables, made once: in a process, or where processes share a folder in all of
    them."""
    shared = os.environ.get(SHARED)
    folder = Path(shared or tempfile.mkdtemp(prefix="lantern-empty-"))
    if not shared:
        atexit.register(shutil.rmtree, folder, ignore_errors=True)
    made = folder / "made"
    with (folder / "making").open("w") as one_at_a_time:
        fcntl.flock(one_at_a_time, fcntl.LOCK_EX)
        if not made.exists():
            RealServer(folder).manage("migrate", "-v0")
            made.touch()
    return folder / "lantern.sqlite3"


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])
