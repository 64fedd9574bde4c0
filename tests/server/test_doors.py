"""A real server and hostile devices: what one of them does must never shut out a class."""

import asyncio
import contextlib
import json
import secrets
import sys
import time
from asyncio.subprocess import PIPE
from copy import copy
from socket import create_connection

import psutil
import pytest
import websockets

from tests.builders import choice
from tests.builders.devices import Device, again
from tools import web
from tools.client import TeacherClient, answering, join
from tools.hostile import ask
from tools.server import ROOT, RealServer

OUT_AT_MOST = 8.0
"""Seconds of the server's own work that anybody may be kept out for: a request is given up after ten. How quick it is,
`make bench` says."""


def in_thread(call, *args, **kwargs):
    return asyncio.to_thread(call, *args, **kwargs)


@pytest.fixture
def small_house(tmp_path):
    """A server that may open 1,024 files, whatever the machine would allow."""
    running = RealServer(tmp_path / "small", descriptors=1024).start()
    yield running
    running.stop()
    assert "Traceback" not in running.log()


def a_lesson(server):
    teacher = TeacherClient(server.url)
    teacher.sign_up()
    items = [choice("B", id="q1").model_dump(mode="json")]
    return teacher, teacher.start(teacher.make_set("Knots that hold", items), close_when_all_answered=False)


async def gone(socket):
    """Why the server closes this socket; what else it says before is passed over."""
    async with asyncio.timeout(30):
        reason = None
        with contextlib.suppress(websockets.ConnectionClosed):
            while True:
                reason = json.loads(await socket.recv()).get("gone", reason)
        return reason


async def come_in(server, code) -> float:
    """Looks the code up, joins, opens a socket, sees the lobby, as a phone does; the seconds that the server worked
    meanwhile."""
    async with web.async_client(base_url=server.url, timeout=10) as http:
        start = server.spent()
        assert (await again(http.get, f"/api/live/codes/{code}")).status_code == 200
        body = {"code": code, "name": "Fen", "key": secrets.token_hex(8)}
        token = (await again(http.post, "/api/live/join", json=body)).raise_for_status().json()["token"]

    async def lobby():
        address = server.url.replace("http", "ws", 1) + "/live/student"
        async with websockets.connect(address, origin=server.url) as socket:
            await socket.send(json.dumps({"token": token}))
            assert json.loads(await socket.recv())["view"]["phase"] == "lobby"

    await again(lobby)
    return server.spent() - start


async def test_silent_lines_lookups_and_requests_do_not_keep_an_honest_student_out(small_house):
    _, session = await in_thread(a_lesson, small_house)
    arguments = ["-m", "tools.hostile", str(small_house.port), "1000", "200", "1000"]
    crowd = await asyncio.create_subprocess_exec(sys.executable, *arguments, cwd=ROOT, stdout=PIPE)
    try:
        assert (await crowd.stdout.readline()) == b"here\n"
        done = asyncio.create_task(crowd.stdout.readline())
        waits = []
        while not done.done() or len(waits) < 3:
            waits.append(await come_in(small_house, session["code"]))
        assert done.result() == b"done\n"
    finally:
        crowd.kill()
        await crowd.wait()
    print("seconds of work until one was in:", [round(wait, 2) for wait in waits])
    assert max(waits) < OUT_AT_MOST


async def test_a_socket_that_does_not_say_who_it_is_is_told_so_and_closed(server):
    """However long it took to become one: its line was silent for a while before."""
    address = server.url.replace("http", "ws", 1) + "/live/student"
    line = create_connection(("127.0.0.1", server.port))
    await asyncio.sleep(2.5)
    async with websockets.connect(address, origin=server.url, sock=line) as silent:
        assert (await gone(silent))["code"] == "unknown_seat"


async def test_a_thousand_requests_leave_few_handles_of_the_database(own_server):
    _, session = await in_thread(a_lesson, own_server)
    paths = [f"/api/live/codes/{session['code']}", "/api/accounts/me", "/join", "/media/none/480.webp"]
    await asyncio.gather(*(ask(own_server.port, path, 25) for path in paths * 10))
    opened = [file.path for file in psutil.Process(own_server.process.pid).open_files()]
    assert 0 < sum(path.endswith("lantern.sqlite3") for path in opened) <= 10


async def test_a_flood_of_one_seat_is_slowed_down_then_closed_with_a_sentence(server, teacher):
    session = await in_thread(lambda: a_lesson(server)[1])
    hostile = await (await in_thread(Device, server.url, session["code"], "Flood")).connect()
    with contextlib.suppress(websockets.ConnectionClosed):
        for _ in range(5000):
            await hostile.socket.send('{"ping":true}')
    with contextlib.suppress(websockets.ConnectionClosed):
        await hostile.until(lambda message: message.get("gone", {}).get("code") == "too_fast")
    assert '"too_fast"' in hostile.received[-1]
    answered = sum('"now"' in text and "view" not in text for text in hostile.received)
    assert answered < 1000


async def test_an_honest_device_says_what_it_has_to_say_without_meeting_a_limit(server, teacher):
    session = await in_thread(lambda: a_lesson(server)[1])
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    for _ in range(50):
        await fen.socket.send('{"ping":true}')
    for _ in range(50):
        await fen.until(lambda message: set(message) == {"now"})


async def test_the_sockets_of_one_seat_share_what_it_may_say(server, teacher):
    """A hundred messages at once and twenty a second, however many sockets it has; others are heard meanwhile."""
    session = await in_thread(lambda: a_lesson(server)[1])
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    flood = [await in_thread(Device, server.url, session["code"], "Flood")]
    flood += [copy(flood[0]) for _ in range(3)]
    for device in flood:
        await device.connect()
    start = time.monotonic()
    for device in [*flood, fen]:
        for _ in range(40):
            await device.socket.send('{"ping":true}')
    for device in [fen, *flood]:
        for _ in range(40):
            await device.until(lambda message: set(message) == {"now"})
    assert time.monotonic() - start > (4 * 40 - 100) / 20 - 0.5


@pytest.mark.parametrize("role", ["desk", "screen"])
@pytest.mark.parametrize("how", ["sign_out", "password"])
async def test_a_teachers_lines_end_with_the_sign_in_that_opened_them(server, role, how):
    teacher, session = await in_thread(a_lesson, server)
    cookies = "; ".join(f"{k}={v}" for k, v in teacher.http.cookies.items())
    address = server.url.replace("http", "ws", 1) + f"/live/{role}/{session['id']}"
    version = (await in_thread(teacher.call, "GET", f"/live/sessions/{session['id']}/{role}"))["version"]
    async with (
        websockets.connect(address, origin=server.url, additional_headers={"Cookie": cookies}) as socket,
        web.async_client(base_url=server.url, headers={"Cookie": cookies}) as http,
    ):
        assert "view" in json.loads(await socket.recv())
        waiting = asyncio.create_task(http.get(f"/api/live/sessions/{session['id']}/{role}?after={version}"))
        await asyncio.sleep(0.2)
        if how == "sign_out":
            await in_thread(teacher.call, "POST", "/accounts/sign-out", None, 204)
        else:
            body = {"old": "a lamp in the fog 7", "new": "another lamp in the fog"}
            await in_thread(teacher.call, "POST", "/accounts/password", body, 204)
        assert (await gone(socket))["code"] == "signed_out"
        assert (await asyncio.wait_for(waiting, 30)).status_code == 401


async def test_who_is_taken_out_is_out_on_every_line_and_comes_back_only_when_let_in(server):
    teacher, session = await in_thread(a_lesson, server)
    key = secrets.token_hex(8)
    token = await in_thread(join, server.url, session["code"], "Fen", key)
    address = server.url.replace("http", "ws", 1) + "/live/student"
    header = {"Authorization": f"Bearer {token}"}
    async with (
        websockets.connect(address, origin=server.url) as socket,
        web.async_client(base_url=server.url) as http,
    ):
        await socket.send(json.dumps({"token": token}))
        version = json.loads(await socket.recv())["version"]
        waiting = asyncio.create_task(http.get(f"/api/live/student?after={version}", headers=header))
        await asyncio.sleep(0.2)
        await in_thread(teacher.command, session["id"], "remove", seat=1)
        assert (await gone(socket))["code"] == "taken_out"
        assert (await asyncio.wait_for(waiting, 30)).json()["code"] == "taken_out"
        await in_thread(teacher.command, session["id"], "advance")
        assert (await http.get("/api/live/student", headers=header)).json()["code"] == "taken_out"
        answer = answering("q1.1", {"kind": "choice", "chosen": ["B"]})
        assert (await http.post("/api/live/student/commands", json=answer, headers=header)).status_code == 404
        for body, why in (
            ({"key": key, "name": "Somebody"}, "taken_out"),
            ({"key": "new", "name": "fen"}, "name_was_taken_out"),
        ):
            reply = await http.post("/api/live/join", json={"code": session["code"], **body})
            assert (reply.json()["code"], reply.json()["family"]) == (why, "unknown_seat")
        await in_thread(teacher.command, session["id"], "restore", seat=1)
        assert (await http.get("/api/live/student", headers=header)).json()["view"]["phase"] == "open"
        assert await in_thread(join, server.url, session["code"], "Fen", key) == token


async def test_a_request_that_waits_is_told_why_it_is_closed(server):
    """A seat has six lines: of seven requests that wait, the oldest makes room."""
    _, session = await in_thread(a_lesson, server)
    token = await in_thread(join, server.url, session["code"], "Fen", secrets.token_hex(8))
    header = {"Authorization": f"Bearer {token}"}
    async with web.async_client(base_url=server.url, headers=header) as http:
        version = (await http.get("/api/live/student")).json()["version"]
        waiting = [asyncio.create_task(http.get(f"/api/live/student?after={version}")) for _ in range(7)]
        ended, _ = await asyncio.wait(waiting, return_when=asyncio.FIRST_COMPLETED, timeout=30)
        assert [(reply.result().status_code, reply.result().json()["code"]) for reply in ended] == [(409, "elsewhere")]
        for task in waiting:
            task.cancel()


async def test_nothing_of_a_session_is_loaded_for_who_may_not_lead_it(own_server):
    """Another's session and one that does not exist are refused in the same words, signed in or not."""
    _, session = await in_thread(a_lesson, own_server)
    other = TeacherClient(own_server.url)
    await in_thread(other.sign_up)
    said = set()
    for client in (other, None):
        cookies = "; ".join(f"{k}={v}" for k, v in client.http.cookies.items()) if client else ""
        for number in (session["id"], 999_999, 2**63, 2**70):
            for role in ("desk", "screen"):
                address = own_server.url.replace("http", "ws", 1) + f"/live/{role}/{number}"
                async with websockets.connect(
                    address, origin=own_server.url, additional_headers={"Cookie": cookies}
                ) as socket:
                    said.add(str(await socket.recv()))
    assert len(said) == 1
    assert "Traceback" not in own_server.log()


@pytest.mark.parametrize("path", ["/live/nowhere", "/", "/live/desk/abc"])
async def test_a_socket_at_an_unknown_address_is_refused(server, path):
    with pytest.raises(websockets.InvalidStatus) as refused:
        await websockets.connect(server.url.replace("http", "ws", 1) + path, origin=server.url)
    assert refused.value.response.status_code == 403


async def test_a_page_on_another_port_is_another_page(server):
    elsewhere = f"http://127.0.0.1:{server.port + 1}"
    with pytest.raises(websockets.InvalidStatus):
        await websockets.connect(server.url.replace("http", "ws", 1) + "/live/student", origin=elsewhere)
