"""A PostgreSQL and a Redis of one's own, for tests and benchmarks of several processes: on free ports, gone after."""

import os
import shutil
import subprocess
import tempfile
import time
from pathlib import Path

import psutil

from tools.server import free_port

DEBIAN_KEEPS_IT_IN = "/usr/lib/postgresql"
STARTS_WITHIN = 60


def missing() -> str:
    """What has to be installed first, in a sentence; empty where all is there."""
    if _postgres_programs() is None or shutil.which("redis-server") is None:
        return "PostgreSQL and Redis are not installed here: tools/need-engines does it."
    return ""


class Engines:
    """Both, running. `environment` has the settings of a server that uses them."""

    def __init__(self) -> None:
        programs = _postgres_programs()
        assert programs, missing()
        self.programs = programs
        self.folder = Path(tempfile.mkdtemp(prefix="lantern-engines-"))
        self.database_port, self.redis_port = free_port(), free_port()
        self.environment = {
            "DATABASE_URL": f"postgres://lantern@127.0.0.1:{self.database_port}/postgres",
            "CHANNEL_LAYER_URL": f"redis://127.0.0.1:{self.redis_port}",
        }
        self._as_whom: list[str] = []
        if os.geteuid() == 0:  # PostgreSQL refuses to be run by root
            shutil.chown(self.folder, "postgres", "postgres")
            self._as_whom = ["runuser", "-u", "postgres", "--"]
        self._start_database()
        self._start_redis()

    def _start_database(self) -> None:
        data = str(self.folder / "data")
        self._run("initdb", "-D", data, "-U", "lantern", "--auth=trust", "--encoding=UTF8", "--locale=C.UTF-8")
        settings = f"-p {self.database_port} -k {self.folder} -c listen_addresses=127.0.0.1"
        self._run(
            "pg_ctl", "-D", data, "-w", "-t", str(STARTS_WITHIN), "-l", f"{self.folder}/log", "-o", settings, "start"
        )

    def _run(self, program: str, *arguments: str) -> None:
        command = [*self._as_whom, str(self.programs / program), *arguments]
        # Into a file and not a pipe: the server that pg_ctl starts would hold the pipe open.
        with (self.folder / "said").open("w+") as said:
            if subprocess.run(command, cwd="/", stdout=said, stderr=said, check=False).returncode:
                said.seek(0)
                raise RuntimeError(f"{program} failed:\n{said.read()}")

    def _start_redis(self) -> None:
        arguments = ["--port", str(self.redis_port), "--bind", "127.0.0.1", "--save", "", "--appendonly", "no"]
        with (self.folder / "redis.log").open("wb") as log:
            self.redis = subprocess.Popen(["redis-server", *arguments], cwd="/", stdout=log, stderr=log)
        deadline = time.monotonic() + STARTS_WITHIN
        while b"Ready to accept" not in (self.folder / "redis.log").read_bytes():
            if self.redis.poll() is not None or time.monotonic() > deadline:
                raise RuntimeError((self.folder / "redis.log").read_text())
            time.sleep(0.05)

    def cpu_seconds(self) -> float:
        """What both have used so far, with the database's processes that have ended in between."""
        first = int((self.folder / "data/postmaster.pid").read_text().split()[0])
        processes = [psutil.Process(first), psutil.Process(self.redis.pid)]
        used = 0.0
        for process in [*processes, *processes[0].children(recursive=True)]:
            times = process.cpu_times()
            used += times.user + times.system
        ended = processes[0].cpu_times()
        return used + ended.children_user + ended.children_system

    def stop(self) -> None:
        self._run("pg_ctl", "-D", str(self.folder / "data"), "-m", "immediate", "stop")
        self.redis.kill()
        self.redis.wait()
        shutil.rmtree(self.folder, ignore_errors=True)


def _postgres_programs() -> Path | None:
    """The folder of the newest PostgreSQL's programs: Debian has several beside each other, and none in the path."""
    found = sorted(Path(DEBIAN_KEEPS_IT_IN).glob("*/bin/initdb"), key=lambda path: int(path.parts[-3]))
    if found:
        return found[-1].parent
    on_path = shutil.which("initdb")
    return Path(on_path).parent if on_path else None
