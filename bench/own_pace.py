"""Own pace: every device on another question, each answer stored, marked, acknowledged and followed by the next one,
or, in a game, by how it went.

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
from lantern.core.questions.items import Item
from lantern.core.session.drawing import why_unplayed
from lantern.core.session.settings import Settings
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


PLAIN = Settings()


class GameTarget(OwnPaceTarget):
    """A game is played: each is told after each answer how it went and how the game stands, and goes on by itself."""

    settings: ClassVar[dict[str, Any]] = {**OwnPaceTarget.settings, "answers": "final", "feedback": "each"}
    game: ClassVar[dict[str, Any]]

    def __init__(self, items: list[Item]) -> None:
        self.settings = {**type(self).settings, "game": self.game, "show_standings": True}  # type: ignore[misc]
        super().__init__([item for item in items if why_unplayed(item, PLAIN) is None])


class BeaconTarget(GameTarget):
    game: ClassVar[dict[str, Any]] = {"game": "beacons", "teams": 20}


class KeepersTarget(GameTarget):
    game: ClassVar[dict[str, Any]] = {"game": "keepers"}


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

    async def all_send(self, texts: list[str], *, counts: bool = True) -> None:
        """All at once; measured, where it counts, until each has the view that follows."""
        self.arrived.clear()
        self.all_there.clear()
        sent = []
        cpu = cpu_seconds(self.target.pids())
        for device, text in zip(self.devices, texts, strict=True):
            sent.append(time.perf_counter())
            device.send(text)
        await asyncio.wait_for(self.all_there.wait(), PATIENCE)
        await asyncio.sleep(0.5)
        if not counts:
            return
        self.cpu.append((cpu_seconds(self.target.pids()) - cpu) * 1000)
        self.waits.append([(self.arrived[index] - at) * 1000 for index, at in enumerate(sent)])

    def summary(self) -> dict[str, float]:
        """The first round loads code and fills caches, on both sides."""
        return {
            "p50_ms": round(statistics.median(percentile(w, 50) for w in self.waits[1:]), 2),
            "p95_ms": round(statistics.median(percentile(w, 95) for w in self.waits[1:]), 2),
            "cpu_ms": round(statistics.median(self.cpu[1:]), 2),
        }


async def measure_own_pace(count: int, played: type[OwnPaceTarget] = OwnPaceTarget) -> dict[str, Any]:
    target = played(questions(QUESTIONS, mixed=True))
    items, in_a_game = target.items, issubclass(played, GameTarget)
    bare: BareTarget | None = None
    try:
        ours = Devices(target, count)
        await ours.connect()
        begin = json.dumps({"id": "begin", "number": 1, "command": {"do": "begin"}})
        await ours.all_send([begin] * count, counts=False)
        length = round(statistics.mean(len(view) for view in ours.views.values()))
        bare = BareTarget(items, follows=length)
        theirs = Devices(bare, count)
        await theirs.connect()
        given = 0
        for turn in range(ROUNDS + 1):
            texts = [_answer(ours.views[index], index, items, moves_on=not in_a_game) for index in range(count)]
            for devices in (ours, theirs) if turn % 2 else (theirs, ours):
                await devices.all_send(texts)
            given += count
            if in_a_game:
                await ours.all_send([_onward(ours.views[index]) for index in range(count)], counts=False)
        stored = sum(line["answered"] for line in target.teacher.view(target.session["id"])["progress"])
        one, other = ours.summary(), theirs.summary()
        ratios = {name: round(one[name] / other[name], 2) for name in one}
        figures = {"lantern": one, "bare": other, "ratios": ratios, "bytes": length, "lost": given - stored}
        return {"devices": count, "kinds": NAMES[played], **figures}
    finally:
        target.stop()
        if bare:
            bare.stop()


NAMES = {OwnPaceTarget: "own pace", BeaconTarget: "Beacon run at own pace", KeepersTarget: "Keepers"}


def _answer(view: bytes, index: int, items: list[Item], *, moves_on: bool) -> str:
    """What this device says to the question before it."""
    shown = json.loads(view)["view"]["shown"]
    number = int(shown["item"]["id"][1:])
    given = answers(number, next(item for item in items if item.id == shown["item"]["id"]))
    message = answering(shown["ask"], json.loads(given[index % len(given)]), message_id=f"a{index}")
    message["command"]["moves_on"] = moves_on
    return json.dumps(message)


def _onward(view: bytes) -> str:
    """To the next question of a game."""
    paper = json.loads(view)["mine"]["paper"]
    after = paper["items"][paper["items"].index(paper["at"]) + 1 :]
    item = paper["following"] or after[0]
    return json.dumps({"id": "on", "number": paper["went"] + 1, "command": {"do": "go_to", "item": item}})
