"""Acknowledgements of a running session: alone, while pages and workbooks are made aside, and while a bare loop of the
same low priority runs beside it: what the machine itself asks for two things at once."""

import asyncio
import sys
import threading
import time
from typing import Any

import psutil

from bench.load import Load, usual_p95
from bench.questions import questions
from bench.targets import SERVER_CORE, LanternTarget
from tools.server import ROOT

COUNT, ROUNDS = 300, 12
"""Students; rounds of each, in turn."""
LOOKS_EVERY = 1.0
"""Seconds, as a page does."""
LOOP = "from lantern.server.aside.priority import stand_back\nstand_back()\nwhile True: pass"


class Maker:
    """Has pages and workbooks of the session made, one after the other, for as long as it is told to."""

    def __init__(self, target: LanternTarget) -> None:
        self.target, self.made = target, 0
        self.busy, self.one_made, self.resting = threading.Event(), threading.Event(), threading.Event()
        self.resting.set()
        self.over = False
        self.thread = threading.Thread(target=self._make, daemon=True)
        self.thread.start()

    def _make(self) -> None:
        teacher, path = self.target.teacher, f"/sessions/{self.target.session['id']}"
        while not self.over:
            if not self.busy.wait(LOOKS_EVERY):
                continue
            self.resting.clear()
            for kind, body in (("files", {"format": "xlsx"}), ("pages", {"of": "questions", "as_zip": True})):
                job = teacher.call("POST", f"{path}/{kind}", body)["id"]
                while self._is_live(job):
                    time.sleep(LOOKS_EVERY)
                teacher.call("DELETE", f"/jobs/{job}", None, 204)
                self.made += 1
                self.one_made.set()
            self.resting.set()

    def _is_live(self, job: int) -> bool:
        (row,) = [one for one in self.target.teacher.call("GET", "/jobs") if one["id"] == job]
        return row["state"] in ("waiting", "running")

    async def begin(self) -> None:
        """Until one has been made, and the next is on its way."""
        self.one_made.clear()
        self.busy.set()
        await asyncio.to_thread(self.one_made.wait)

    async def rest(self) -> None:
        """Until the last is made."""
        self.busy.clear()
        await asyncio.to_thread(self.resting.wait)


async def measure_aside() -> dict[str, Any]:
    target = LanternTarget(questions(3 * ROUNDS + 2, mixed=True))
    load, maker, loop = Load(target, COUNT), Maker(target), psutil.Popen([sys.executable, "-c", LOOP], cwd=ROOT)
    loop.cpu_affinity([SERVER_CORE])  # where the worker is: it inherits that from the server
    loop.suspend()
    found: dict[str, list[list[float]]] = {"quiet": [], "loop": [], "busy": []}
    try:
        await load.connect()
        await load.round(burst=True)
        for _ in range(ROUNDS):
            for beside, waits in found.items():
                load.figures.burst.clear()
                await (maker.begin() if beside == "busy" else maker.rest())
                if beside == "loop":
                    loop.resume()
                await load.round(burst=True)
                loop.suspend()
                waits.append(load.figures.burst[0])
        p95 = {beside: usual_p95(waits) for beside, waits in found.items()}
        return {
            "aside_devices": COUNT,
            "made_aside": maker.made,
            **{f"{beside}_ack_p95_ms": value for beside, value in p95.items()},
            "loop_ratio": round(p95["loop"] / p95["quiet"], 2),
            "busy_ratio": round(p95["busy"] / p95["quiet"], 2),
            "lost": load.figures.lost,
        }
    finally:
        maker.over = True
        maker.thread.join()
        loop.kill()
        target.stop()
