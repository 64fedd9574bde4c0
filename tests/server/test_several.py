"""Several processes on PostgreSQL and Redis: the real engines, brought up for these tests alone."""

import asyncio
import json
import os
import subprocess
import sys
import time
from concurrent.futures import ThreadPoolExecutor

import psycopg
import pytest
from channels_redis.core import RedisChannelLayer

from lantern.server.config.settings import channel_layer
from tests.builders import choice
from tests.builders.devices import Device
from tools import web
from tools.client import TeacherClient, answering
from tools.engines import Engines, missing
from tools.server import ROOT, RealServer

pytestmark = [
    pytest.mark.slow,
    pytest.mark.skipif(bool(missing()), reason=missing() or "they are here"),
    pytest.mark.xdist_group("engines"),
]
PROCESSES, STUDENTS, BEFORE_THE_KILL = 3, 30, 12
WHAT_IS_STORED_AND_HEARD = ("hub", "writer", "faults", "own_pace")
ANSWERS = 'SELECT count(*) FROM live_sessionevent WHERE payload LIKE \'%"type":"answered"%\''
in_thread = asyncio.to_thread


@pytest.fixture(scope="module")
def engines():
    running = Engines()
    yield running
    running.stop()


@pytest.fixture
def processes(engines, tmp_path):
    """Three, on one database; a front server would spread devices over them."""
    environment = {**engines.environment, "RATE_LIMITS_ON": "0"}
    three = [RealServer(tmp_path, None, **environment) for _ in range(PROCESSES)]
    three[0].manage("migrate", "-v0")
    with ThreadPoolExecutor() as at_once:
        list(at_once.map(RealServer.start, three))
    yield three
    for process in three:
        if process.process.poll() is None:
            process.stop()
    assert "Traceback" not in three[0].log(), three[0].log()


@pytest.fixture
async def quiet_layer(engines):
    """One that hears nothing."""
    config = channel_layer(engines.environment["CHANNEL_LAYER_URL"])["CONFIG"]
    layer = RedisChannelLayer(**config)
    yield layer
    await layer.close_pools()


async def test_a_quiet_moment_is_no_fault_of_the_channel_layer(quiet_layer):
    """Longer than the client waits for an answer by default."""
    channel = await quiet_layer.new_channel("lantern")
    with pytest.raises(TimeoutError) as nothing:
        await asyncio.wait_for(quiet_layer.receive(channel), 6)
    assert type(nothing.value) is TimeoutError


async def answer_twice(device, other):
    """By the socket, and a copy of it through another process: one of the two comes later."""
    message = answering("q1.1", {"kind": "choice", "chosen": ["B"]})
    header = {"Authorization": f"Bearer {device.token}"}
    copy = in_thread(web.post, f"{other.url}/api/live/student/commands", json=message, headers=header, timeout=30)
    reply, replied = await asyncio.gather(device.raw(json.dumps(message)), copy)
    assert "error" not in reply
    assert replied.status_code == 200, replied.text


def view_once_all_answered(teacher, session):
    """The desk's. Answers are gathered before other processes are told of them."""
    deadline = time.monotonic() + 30
    while (view := teacher.view(session))["answered"] < STUDENTS:
        assert time.monotonic() < deadline, f"{view['answered']} have answered"
        time.sleep(0.05)
    return view


async def test_nothing_is_lost_or_doubled_where_three_store_at_once_and_one_is_killed(engines, processes):
    first, second, third = processes
    teacher = TeacherClient(first.url)
    await in_thread(teacher.sign_up)
    items = [choice("B", id=f"q{n}", time_limit=600).model_dump(mode="json") for n in (1, 2)]
    set_id = await in_thread(teacher.make_set, "Knots", items)
    session = await in_thread(lambda: teacher.start(set_id, close_when_all_answered=False))
    where = [processes[n % PROCESSES] for n in range(STUDENTS)]
    devices = await asyncio.gather(*(in_thread(Device, at.url, session["code"], f"S{n}") for n, at in enumerate(where)))
    await asyncio.gather(*(device.connect() for device in devices))
    await in_thread(teacher.command, session["id"], "advance")
    await asyncio.gather(*(device.phase("open") for device in devices))

    lasting = [device for device, at in zip(devices, where, strict=True) if at is not third]
    doomed = [device for device, at in zip(devices, where, strict=True) if at is third]
    await asyncio.gather(*(answer_twice(device, second) for device in lasting[:BEFORE_THE_KILL]))
    under_way = [asyncio.create_task(answer_twice(device, first)) for device in lasting[BEFORE_THE_KILL:]]
    cut_off = [asyncio.create_task(device.send("q1", "B")) for device in doomed]
    await in_thread(third.kill)
    await asyncio.gather(*under_way)
    await asyncio.gather(*cut_off, return_exceptions=True)

    for device in doomed:  # as a phone does: to another process, with the same number
        device.url = second.url
    await asyncio.gather(*(device.connect() for device in doomed))
    acks = await asyncio.gather(*(device.send("q1", "B") for device in doomed))
    assert not any("error" in ack for ack in acks)

    view = await in_thread(view_once_all_answered, teacher, session["id"])
    assert view["shown"]["tally"]["n"] == STUDENTS
    with psycopg.connect(engines.environment["DATABASE_URL"]) as database:
        assert database.execute(ANSWERS).fetchone() == (STUDENTS,)
    await in_thread(teacher.command, session["id"], "advance")
    await asyncio.gather(*(device.phase("closed") for device in devices))


def test_what_is_stored_and_heard_is_so_on_these_engines_too(engines, tmp_path):
    """The tests of the writer, the hub and their faults, with PostgreSQL below and Redis between."""
    files = [f"tests/server/test_{name}.py" for name in WHAT_IS_STORED_AND_HEARD]
    program = [sys.executable, "-m", "pytest", "-q", "-n0", "-p", "no:cacheprovider", "-m", "not slow", *files]
    own = {name: value for name, value in os.environ.items() if not name.startswith("PYTEST")}
    environment = {**own, **engines.environment, "LANTERN_VAR": str(tmp_path)}
    done = subprocess.run(program, cwd=ROOT, env=environment, capture_output=True, text=True, check=False)
    assert done.returncode == 0, done.stdout[-4000:] + done.stderr[-2000:]
    assert " passed" in done.stdout
