"""Three processes on PostgreSQL and Redis beside one on SQLite, the same load on both, round by round in turn.

Devices are spread over the three; the desk and the big screen are on the first. At the end one process is killed as a
power cut would, and its devices go to the others.
"""

import asyncio
import time
from pathlib import Path
from typing import Any

from bench.load import PATIENCE, Load, connect_all, in_turn
from bench.questions import questions
from bench.socket_client import SocketClient
from bench.targets import LanternTarget
from tools.engines import Engines, missing
from tools.server import RealServer

PROCESSES = 3
ROUNDS = 12


class SeveralTarget(LanternTarget):
    def start_servers(self, folder: Path) -> list[RealServer]:
        self.engines = Engines()
        servers = [RealServer(folder, None, **self.engines.environment) for _ in range(PROCESSES)]
        servers[0].manage("migrate", "-v0")
        return [server.start() for server in servers]

    def stop(self) -> None:
        super().stop()
        self.engines.stop()


async def measure_several(count: int) -> dict[str, Any]:
    """A line of figures; where the engines are not installed, one that says so."""
    if reason := missing():
        return {"several_processes": reason}
    items = questions(ROUNDS + 1, mixed=True)
    several, one = SeveralTarget(items), LanternTarget(items)
    try:
        loads = [Load(several, count), Load(one, count)]
        await in_turn(loads, ROUNDS)
        ours, theirs = (load.figures.summary() for load in loads)
        names = ("burst_cpu_ms", "spread_cpu_ms", "fan_out_cpu_ms", "burst_ack_p95_ms")
        return {
            "devices": count,
            "processes": PROCESSES,
            "several": ours,
            "one": theirs,
            "ratios": {name: round(ours[name] / theirs[name], 2) for name in names},
            "missed_s": round(await _kill_one(several, loads[0]), 2),
        }
    finally:
        several.stop()
        one.stop()


async def _kill_one(target: SeveralTarget, load: Load) -> float:
    """Seconds from the end of the last process until each of its devices has its view from another one."""
    killed = target.servers.pop()
    target.ports.pop()
    tokens = load.tokens[PROCESSES - 1 :: PROCESSES]
    seen: set[int] = set()
    all_seen = asyncio.Event()

    def heard(device: SocketClient, text: bytes, now: float) -> None:
        if b'"view"' in text[:120]:
            seen.add(device.index)
            if len(seen) == len(tokens):
                all_seen.set()

    killed.kill()
    start = time.perf_counter()
    await connect_all(target, tokens, heard)
    await asyncio.wait_for(all_seen.wait(), PATIENCE)
    return time.perf_counter() - start


if __name__ == "__main__":
    import json
    import sys

    print(json.dumps(asyncio.run(measure_several(int(sys.argv[1])))))
