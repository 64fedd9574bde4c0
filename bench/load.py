"""The load: N devices on one server, questions opened, answers sent; every moment measured at the devices."""

import asyncio
import statistics
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import Any

from bench.socket_client import SocketClient, connect
from bench.targets import SERVER_CORE, Target, cpu_seconds, memory, pin

SPREAD = 2.0
SPREAD_EVERY = 4
"""Most rounds answer at once; each fourth spreads its answers over two seconds."""
PATIENCE = 30.0


@dataclass
class Figures:
    """Milliseconds, one value a round; `lost` and `doubled` count answers over all rounds."""

    fan_out: list[list[float]] = field(default_factory=list)
    fan_out_cpu: list[float] = field(default_factory=list)
    burst: list[list[float]] = field(default_factory=list)
    burst_cpu: list[float] = field(default_factory=list)
    spread: list[list[float]] = field(default_factory=list)
    spread_cpu: list[float] = field(default_factory=list)
    lost: int = 0
    doubled: int = 0
    kb_per_connection: float = 0.0

    def summary(self) -> dict[str, Any]:
        return {
            "fan_out_p50_ms": _mid(self.fan_out, 50),
            "fan_out_p95_ms": _mid(self.fan_out, 95),
            "fan_out_usual_slowest_ms": _mid(self.fan_out, 100),
            "fan_out_cpu_ms": _median(self.fan_out_cpu),
            "burst_ack_p50_ms": _mid(self.burst, 50),
            "burst_ack_p95_ms": _mid(self.burst, 95),
            "burst_cpu_ms": _median(self.burst_cpu),
            "spread_ack_p50_ms": _mid(self.spread, 50),
            "spread_ack_p95_ms": _mid(self.spread, 95),
            "spread_cpu_ms": _median(self.spread_cpu),
            "kb_per_connection": round(self.kb_per_connection, 1),
            "lost": self.lost,
            "doubled": self.doubled,
        }


async def connect_all(
    target: Target, tokens: list[str], heard: Callable[[SocketClient, bytes, float], None]
) -> list[SocketClient]:
    """A device for each token, on the target's processes in turn; each knows its `index`."""
    devices = []
    for index, token in enumerate(tokens):
        device = await connect(target.ports[index % len(target.ports)], target.path, heard)
        device.index = index
        device.send(f'{{"token":"{token}"}}')
        devices.append(device)
    return devices


class Load:
    """`count` devices on `target`."""

    def __init__(self, target: Target, count: int) -> None:
        self.target, self.count = target, count
        self.figures = Figures()
        self.number = 0
        self.arrived: dict[int, float] = {}
        self.acknowledged: dict[str, float] = {}
        self.all_there = asyncio.Event()

    async def connect(self) -> None:
        self.tokens = await self.target.tokens(self.count)
        await self.target.start_control()
        pin(self.target.pids(), SERVER_CORE)
        await asyncio.sleep(0.5)
        before = memory(self.target.pids())
        self.devices = await connect_all(self.target, self.tokens, self._heard)
        await asyncio.sleep(1.5)
        self.figures.kb_per_connection = (memory(self.target.pids()) - before) / 1024 / self.count

    def _heard(self, device: SocketClient, text: bytes, now: float) -> None:
        if text.startswith(b'{"ack"'):
            self.acknowledged[text[8:-2].decode()] = now
            if len(self.acknowledged) == self.count:
                self.all_there.set()
        elif b'"phase":"open"' in text or b'"phase": "open"' in text:
            self.arrived.setdefault(device.index, now)  # type: ignore[attr-defined]
            if len(self.arrived) == self.count:
                self.all_there.set()

    async def round(self, burst: bool) -> None:
        """One question: opened, then answered by all, at once or over two seconds."""
        await self._open()
        await asyncio.sleep(0.4)
        await self._answers(0.0 if burst else SPREAD)
        await asyncio.sleep(0.4)
        stored = await self.target.stored(self.number)
        self.figures.lost += max(0, self.count - stored)
        self.figures.doubled += max(0, stored - self.count)
        self.number += 1

    def forget_warm_up(self) -> None:
        """The first round loads code and fills caches, on both sides."""
        for values in (self.figures.fan_out, self.figures.fan_out_cpu, self.figures.burst, self.figures.burst_cpu):
            values.clear()

    async def _open(self) -> None:
        self.arrived.clear()
        self.all_there.clear()
        cpu, start = cpu_seconds(self.target.pids()), time.perf_counter()
        self.target.open_question(self.number)
        await asyncio.wait_for(self.all_there.wait(), PATIENCE)
        await asyncio.sleep(0.1)
        self.figures.fan_out_cpu.append((cpu_seconds(self.target.pids()) - cpu) * 1000)
        self.figures.fan_out.append([(at - start) * 1000 for at in self.arrived.values()])

    async def _answers(self, over: float) -> None:
        self.acknowledged.clear()
        self.all_there.clear()
        commands = [f"r{self.number}-{index}" for index in range(self.count)]
        texts = [self.target.answer(self.number, index, command) for index, command in enumerate(commands)]
        sent: dict[str, float] = {}
        cpu = cpu_seconds(self.target.pids())
        begin = time.perf_counter()
        for index, device in enumerate(self.devices):
            if over and (wait := begin + over * index / self.count - time.perf_counter()) > 0:
                await asyncio.sleep(wait)
            sent[commands[index]] = time.perf_counter()
            device.send(texts[index])
        await asyncio.wait_for(self.all_there.wait(), PATIENCE)
        await asyncio.sleep(0.3)
        used = (cpu_seconds(self.target.pids()) - cpu) * 1000
        waits = [(self.acknowledged[command] - at) * 1000 for command, at in sent.items()]
        figures = self.figures
        (figures.spread if over else figures.burst).append(waits)
        (figures.spread_cpu if over else figures.burst_cpu).append(used)


async def in_turn(loads: Sequence[Load], rounds: int) -> None:
    """Round by round on each of them, whoever was last first; one round before that only warms up."""
    for load in loads:
        await load.connect()
    for turn in range(rounds + 1):
        for load in loads if turn % 2 else reversed(loads):
            await load.round(burst=turn % SPREAD_EVERY != SPREAD_EVERY - 1)
        if turn == 0:
            for load in loads:
                load.forget_warm_up()


def percentile(values: list[float], share: int) -> float:
    ordered = sorted(values)
    return ordered[min(len(ordered) - 1, round(share / 100 * (len(ordered) - 1)))]


def usual_p95(rounds: list[list[float]]) -> float:
    return _mid(rounds, 95)


def _mid(rounds: list[list[float]], share: int) -> float:
    """The median over rounds of each round's percentile; 100 is the round's slowest device."""
    return round(statistics.median(percentile(values, share) for values in rounds), 2)


def _median(values: list[float]) -> float:
    return round(statistics.median(values), 2)
