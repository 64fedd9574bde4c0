"""Own pace: every device on another question, each answer stored, marked, acknowledged and followed by the next one.

Beside it a bare server that stores each answer with the same group commit, acknowledges it and sends one prepared text,
as long as Tall Lantern's messages are on average.
"""

import asyncio
import json
import statistics
import time
from typing import Any, ClassVar

from bench.load import PATIENCE, connect_all, percentile
from bench.questions import answers, questions
from bench.socket_client import SocketClient
from bench.targets import SERVER_CORE, BareTarget, LanternTarget, Target, cpu_seconds, pin
from tools.client import answering

QUESTIONS = 30
ROUNDS = 15


class OwnPaceTarget(LanternTarget):
    """A session at own pace, with a desk and a big screen connected. Everybody has another order of the questions, and
    of the options."""

    settings: ClassVar[dict[str, Any]] = {
        "manner": "own_pace",
        "answers": "changeable",
        "feedback": "handed_in",
        "time": {"of": "none"},
        "mix_questions": True,
        "mix_options": True,
    }

    async def start_control(self) -> None:
        await super().start_control()
        self.desk.send(json.dumps(self.teacher.ordered("advance", step=0)))


class Devices:
    """`views` is the last view that each device has; `arrived` when the one came that followed its answer."""

    def __init__(self, target: Target, count: int) -> None:
        self.target, self.count = target, count
        self.views: dict[int, bytes] = {}
        self.arrived: dict[int, float] = {}
        self.all_there = asyncio.Event()
        self.waits: list[list[float]] = []
        self.cpu: list[float] = []

    async def connect(self) -> None:
        tokens = await self.target.tokens(self.count)
        await self.target.start_control()
        pin(self.target.pids(), SERVER_CORE)
        self.devices = await connect_all(self.target, tokens, self._heard)
        await asyncio.sleep(1.0)

    def _heard(self, device: SocketClient, text: bytes, now: float) -> None:
        index = device.index
        if index < 0 or b'"view"' not in text[:120]:
            return
        self.views[index], self.arrived[index] = text, now
        if len(self.arrived) == self.count:
            self.all_there.set()

    async def all_send(self, texts: list[str]) -> None:
        """All at once; measured until each has the view that follows."""
        self.arrived.clear()
        self.all_there.clear()
        sent = []
        cpu = cpu_seconds(self.target.pids())
        for device, text in zip(self.devices, texts, strict=True):
            sent.append(time.perf_counter())
            device.send(text)
        await asyncio.wait_for(self.all_there.wait(), PATIENCE)
        await asyncio.sleep(0.5)
        self.cpu.append((cpu_seconds(self.target.pids()) - cpu) * 1000)
        self.waits.append([(self.arrived[index] - at) * 1000 for index, at in enumerate(sent)])

    def summary(self) -> dict[str, float]:
        """The first round loads code and fills caches, on both sides."""
        return {
            "p50_ms": round(statistics.median(percentile(w, 50) for w in self.waits[1:]), 2),
            "p95_ms": round(statistics.median(percentile(w, 95) for w in self.waits[1:]), 2),
            "cpu_ms": round(statistics.median(self.cpu[1:]), 2),
        }


async def measure_own_pace(count: int) -> dict[str, Any]:
    items = questions(QUESTIONS, mixed=True)
    target = OwnPaceTarget(items)
    bare: BareTarget | None = None
    try:
        ours = Devices(target, count)
        await ours.connect()
        begin = json.dumps({"id": "begin", "number": 1, "command": {"do": "begin"}})
        await ours.all_send([begin] * count)
        ours.waits.clear()
        ours.cpu.clear()
        length = round(statistics.mean(len(view) for view in ours.views.values()))
        bare = BareTarget(items, follows=length)
        theirs = Devices(bare, count)
        await theirs.connect()
        given = 0
        for turn in range(ROUNDS + 1):
            texts = [_answer(ours.views[index], index, items) for index in range(count)]
            for devices in (ours, theirs) if turn % 2 else (theirs, ours):
                await devices.all_send(texts)
            given += count
        stored = sum(line["answered"] for line in target.teacher.view(target.session["id"])["progress"])
        one, other = ours.summary(), theirs.summary()
        ratios = {name: round(one[name] / other[name], 2) for name in one}
        figures = {"lantern": one, "bare": other, "ratios": ratios, "bytes": length, "lost": given - stored}
        return {"devices": count, "kinds": "own pace", **figures}
    finally:
        target.stop()
        if bare:
            bare.stop()


def _answer(view: bytes, index: int, items: list[Any]) -> str:
    """What this device says to the question before it, and on to the next."""
    shown = json.loads(view)["view"]["shown"]
    number = int(shown["item"]["id"][1:])
    given = answers(number, items[number])
    message = answering(shown["ask"], json.loads(given[index % len(given)]), message_id=f"a{index}")
    message["command"]["moves_on"] = True
    return json.dumps(message)
