"""Runs everything; prints a JSON line for each number of devices, one for every kind in turn, one for each of
a second vote, a wall, own pace, games, set work, several processes, reports, reading what was, work made aside, and
loading."""

import asyncio
import json
import os
import sys
from typing import Any

import psutil

from bench.aside import measure_aside
from bench.lecture import measure_votes, measure_wall
from bench.load import Figures, Load, in_turn
from bench.loading import measure_loading
from bench.own_pace import BeaconTarget, KeepersTarget, OwnPaceTarget, measure_own_pace
from bench.questions import questions
from bench.reading import measure_reading
from bench.reports import measure_reports
from bench.set_work import measure_set_work
from bench.several import measure_several
from bench.targets import LOAD_CORE, BareTarget, LanternTarget

COUNTS = (30, 300, 1000)
ROUNDS = 15
RATIOS = (
    "fan_out_p50_ms",
    "fan_out_p95_ms",
    "fan_out_usual_slowest_ms",
    "fan_out_cpu_ms",
    "burst_ack_p50_ms",
    "burst_ack_p95_ms",
    "burst_cpu_ms",
    "spread_ack_p50_ms",
    "spread_ack_p95_ms",
    "spread_cpu_ms",
)


async def measure(count: int, *, mixed: bool) -> tuple[Figures, Figures]:
    """(Tall Lantern's, the bare server's) figures for `count` devices, alternating round by round."""
    items = questions(ROUNDS + 1, mixed=mixed)
    lantern = LanternTarget(items)
    bare = BareTarget(items)
    try:
        loads = [Load(lantern, count), Load(bare, count)]
        await in_turn(loads, ROUNDS)
        return loads[0].figures, loads[1].figures
    finally:
        lantern.stop()
        bare.stop()


def compared(count: int, kinds: str, lantern: Figures, bare: Figures) -> dict[str, Any]:
    ours, theirs = lantern.summary(), bare.summary()
    ratios = {name: round(ours[name] / theirs[name], 2) for name in RATIOS if theirs[name]}
    return {"devices": count, "kinds": kinds, "lantern": ours, "bare": theirs, "ratios": ratios}


def main() -> None:
    if (os.cpu_count() or 1) > 1:
        psutil.Process().cpu_affinity([LOAD_CORE])
    counts = [int(argument) for argument in sys.argv[1:]] or COUNTS
    for count, kinds in [*((count, "choice") for count in counts), (max(counts), "mixed")]:
        figures = asyncio.run(measure(count, mixed=kinds == "mixed"))
        print(json.dumps(compared(count, kinds, *figures)), flush=True)
    most = max(counts)
    for kinds, lecture in (("second vote", measure_votes), ("open wall", measure_wall)):
        print(json.dumps(compared(most, kinds, *asyncio.run(lecture(most)))), flush=True)
    for played in (OwnPaceTarget, BeaconTarget, KeepersTarget):
        print(json.dumps(asyncio.run(measure_own_pace(most, played))), flush=True)
    print(json.dumps(asyncio.run(measure_set_work(most))), flush=True)
    print(json.dumps(asyncio.run(measure_several(max(counts)))), flush=True)
    print(json.dumps(measure_reports()), flush=True)
    print(json.dumps(measure_reading()), flush=True)
    print(json.dumps(asyncio.run(measure_aside())), flush=True)
    print(json.dumps(measure_loading()), flush=True)


if __name__ == "__main__":
    main()
