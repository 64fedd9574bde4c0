"""The live path, with a real server process and real sockets."""

import asyncio
import json

import pytest
import websockets

from tests.builders import choice
from tests.builders.devices import Device
from tools import web
from tools.client import TeacherClient, answering, join

SECRET = "because-the-collar-holds"


def items(count=2):
    return [choice("B", id=f"q{n}", explanation=SECRET).model_dump(mode="json") for n in range(1, count + 1)]


@pytest.fixture
def session(teacher):
    return teacher.start(teacher.make_set("Knots that hold", items()), close_when_all_answered=False)


def in_thread(call, *args, **kwargs):
    return asyncio.to_thread(call, *args, **kwargs)


async def test_an_answer_is_acknowledged_seen_on_the_desk_and_told_right_at_the_end(server, teacher, session):
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    await in_thread(teacher.command, session["id"], "advance")
    await fen.phase("open")
    assert "error" not in await fen.send("q1", "B")
    view = await in_thread(teacher.view, session["id"])
    assert (view["answered"], view["people"][0]["panes"]) == (1, ["B"])
    await in_thread(teacher.command, session["id"], "advance")
    assert (await fen.phase("closed"))["mine"]["mark"] is None
    await in_thread(teacher.command, session["id"], "advance")
    assert (await fen.phase("revealed"))["mine"]["mark"] == 1


async def test_no_byte_that_a_device_receives_holds_the_key_before_it_is_shown(server, teacher, session):
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    bo = await (await in_thread(Device, server.url, session["code"], "Bo the second student")).connect()
    await in_thread(teacher.command, session["id"], "advance")
    await asyncio.gather(fen.phase("open"), bo.phase("open"))
    await bo.send("q1", "B")
    await fen.send("q1", "C")
    await in_thread(teacher.command, session["id"], "add_time", seconds=15)
    await fen.until(lambda message: "view" in message)
    header = {"Authorization": f"Bearer {fen.token}"}
    over_http = [await in_thread(web.get, f"{server.url}/api/live/student", headers=header)]
    page = await in_thread(web.get, f"{server.url}/join/{session['code']}")
    info = await in_thread(web.get, f"{server.url}/api/live/codes/{session['code']}")
    before = fen.received + [reply.text for reply in [*over_http, page, info]]
    for text in before:
        assert SECRET not in text
        assert "Bo the second" not in text
        assert '"right":[' not in text
        assert '"tally":{' not in text
    await in_thread(teacher.command, session["id"], "advance")
    await fen.phase("closed")
    assert '"tally":{' in fen.received[-1]
    assert '"right":[' not in fen.received[-1]
    await in_thread(teacher.command, session["id"], "advance")
    assert (await fen.phase("revealed"))["view"]["shown"]["key"] == {"kind": "choice", "right": ["B"]}
    assert "Bo the second" not in "".join(fen.received)


async def test_sent_twice_counts_once_and_a_second_answer_is_refused_kindly(server, teacher, session):
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    await in_thread(teacher.command, session["id"], "advance")
    await fen.phase("open")
    for _ in range(2):
        assert "error" not in await fen.send("q1", "B", 1)
    refusal = await fen.send("q1", "C", 2)
    assert refusal["error"]["code"] == "already_answered"
    assert (await in_thread(teacher.view, session["id"]))["answered"] == 1


def a_message(answer='{"kind":"choice","chosen":["B"]}', ask='"q1.1"', number="1", id='"a"', more=""):
    """A student's message, one thing in it not as it should be."""
    return f'{{{more}"id":{id},"number":{number},"command":{{"do":"answer","ask":{ask},"answer":{answer}}}}}'


@pytest.mark.parametrize(
    "text",
    [
        "",
        "{",
        "[]",
        "null",
        '{"id": 5}',
        '{"id":"a","number":1,"command":{"do":"answer","ask":"q1.1"}}',
        a_message('{"kind":"choice","chosen":"B"}'),
        a_message('{"kind":"nonsense"}'),
        a_message('{"kind":"choice","chosen":["nowhere"]}'),
        a_message('{"kind":"choice","chosen":[]}'),
        a_message(ask='"q2.1"'),
        a_message(ask='"q1"'),
        a_message(ask='"q1.2"'),
        a_message(ask='"nowhere.1"'),
        a_message(number="0"),
        a_message(number="1e400"),
        a_message(number="9007199254740993"),
        a_message(id='"a\\"}"'),
        a_message(more='"seat":2,'),
        a_message(more='"role":"clock",'),
        a_message(more='"page":"p",'),
        '{"id":"a","page":"p","number":1,"command":{"do":"end"}}',
        '{"id":"a","number":1,"command":{"do":"close_if_all_answered","ask":"q1.1","present":[1]}}',
        '{"id":"a","number":1,"command":{"do":"time_up","ask":"q1.1","deadline":0}}',
        a_message(json.dumps({"kind": "choice", "chosen": ["x"] * 5000})),
    ],
)
async def test_a_hostile_message_is_refused_and_the_line_stays_open(server, teacher, session, text):
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    await in_thread(teacher.command, session["id"], "advance")
    await fen.phase("open")
    assert (await fen.raw(text))["error"]["sentence"]
    assert "error" not in await fen.send("q1", "B")
    assert (await in_thread(teacher.view, session["id"]))["phase"] == "open"


async def test_a_token_opens_its_one_seat_and_nothing_else(server, teacher, session):
    other = await in_thread(teacher.start, session["set"])
    token = await in_thread(join, server.url, session["code"], "Fen")
    seat, signature = token.rsplit(":", 1)
    session_id, _, mark = seat.split(".")
    forged = [
        token[:-1],
        f"{other['id']}.1.{mark}:{signature}",
        f"{session_id}.2.{mark}:{signature}",
        f"{session_id}.1:{signature}",
        "1.1",
    ]
    for bad in forged:
        reply = await in_thread(web.get, f"{server.url}/api/live/student", headers={"Authorization": f"Bearer {bad}"})
        assert reply.status_code in (401, 404), bad
    address = server.url.replace("http", "ws", 1) + "/live/student"
    async with websockets.connect(address, origin=server.url) as socket:
        await socket.send(json.dumps({"token": forged[1]}))
        assert "gone" in json.loads(await socket.recv())


async def test_a_desk_socket_wants_the_teacher_whose_session_it_is(server, teacher, session):
    other = TeacherClient(server.url)
    await in_thread(other.sign_up)
    for client in (other, None):
        cookies = "; ".join(f"{k}={v}" for k, v in client.http.cookies.items()) if client else ""
        for role in ("desk", "screen"):
            address = server.url.replace("http", "ws", 1) + f"/live/{role}/{session['id']}"
            async with websockets.connect(address, origin=server.url, additional_headers={"Cookie": cookies}) as socket:
                assert "gone" in json.loads(await socket.recv())
    await in_thread(other.call, "GET", f"/live/sessions/{session['id']}/desk", None, 404)


async def test_a_page_of_another_site_cannot_open_a_socket(server, session):
    address = server.url.replace("http", "ws", 1) + "/live/student"
    with pytest.raises(websockets.InvalidStatus):
        await websockets.connect(address, origin="https://elsewhere.example")


async def test_over_http_the_same_views_and_commands(server, teacher, session):
    token = await in_thread(join, server.url, session["code"], "Fen")
    async with web.async_client(base_url=server.url, headers={"Authorization": f"Bearer {token}"}) as http:
        first = (await http.get("/api/live/student")).json()
        waiting = asyncio.create_task(http.get("/api/live/student", params={"after": first["version"]}))
        await asyncio.sleep(0.3)
        assert not waiting.done()
        await in_thread(teacher.command, session["id"], "advance")
        message = (await waiting).json()
        assert message["view"]["phase"] == "open"
        body = answering("q1.1", {"kind": "choice", "chosen": ["B"]}, message_id="http-1")
        for _ in range(2):
            assert (await http.post("/api/live/student/commands", json=body)).json()["ack"] == "http-1"
        refusal = await http.post("/api/live/student/commands", json=body | {"id": "http-2", "number": 2})
        assert (refusal.status_code, refusal.json()["code"]) == (409, "already_answered")
        assert (await http.get("/api/live/student")).json()["mine"]["answer"]["chosen"] == ["B"]
    assert (await in_thread(teacher.view, session["id"]))["answered"] == 1


@pytest.mark.slow
async def test_time_runs_out_by_the_servers_clock_and_a_late_answer_is_told_so(server, teacher):
    quick = choice("B", id="q1", time_limit=5).model_dump(mode="json")
    session = await in_thread(lambda: teacher.start(teacher.make_set("Quick", [quick]), close_when_all_answered=False))
    fen = await (await in_thread(Device, server.url, session["code"], "Fen")).connect()
    await in_thread(teacher.command, session["id"], "advance")
    await fen.phase("open")
    await fen.until(lambda message: message.get("view", {}).get("phase") == "closed")
    assert (await fen.send("q1", "B"))["error"]["code"] == "not_open"


async def test_it_closes_by_itself_when_all_who_are_here_have_answered(server, teacher):
    session = await in_thread(lambda: teacher.start(teacher.make_set("Knots", items())))
    devices = [await (await in_thread(Device, server.url, session["code"], n)).connect() for n in ("Fen", "Bo")]
    await in_thread(teacher.command, session["id"], "advance")
    for device in devices:
        await device.phase("open")
        await device.send("q1", "B")
    await devices[0].phase("closed")


async def test_a_hundred_answers_at_once_are_all_there_once(server, teacher, session):
    devices = await asyncio.gather(*(in_thread(Device, server.url, session["code"], f"S{n}") for n in range(100)))
    await asyncio.gather(*(device.connect() for device in devices))
    await in_thread(teacher.command, session["id"], "advance")
    await asyncio.gather(*(device.phase("open") for device in devices))
    acks = await asyncio.gather(*(d.send("q1", "ABCD"[n % 4]) for n, d in enumerate(devices)))
    assert not any("error" in ack for ack in acks)
    view = await in_thread(teacher.view, session["id"])
    assert {row["id"]: row["count"] for row in view["shown"]["tally"]["counts"]} == dict.fromkeys("ABCD", 25)


async def test_after_a_kill_every_acknowledged_answer_is_there_and_the_session_goes_on(own_server):
    teacher = TeacherClient(own_server.url)
    await in_thread(teacher.sign_up)
    session = await in_thread(lambda: teacher.start(teacher.make_set("Knots", items()), close_when_all_answered=False))
    devices = await asyncio.gather(*(in_thread(Device, own_server.url, session["code"], f"S{n}") for n in range(30)))
    await asyncio.gather(*(device.connect() for device in devices))
    await in_thread(teacher.command, session["id"], "advance")
    await asyncio.gather(*(device.phase("open") for device in devices))
    acknowledged: set[int] = set()
    enough = asyncio.Event()

    async def answer_one(number, device):
        await asyncio.sleep(number * 0.01)
        await device.send("q1", "B")
        acknowledged.add(number)
        if len(acknowledged) == 10:
            enough.set()

    all_of_it = asyncio.gather(*(answer_one(n, d) for n, d in enumerate(devices)), return_exceptions=True)
    await asyncio.wait_for(enough.wait(), 30)
    own_server.kill()
    await all_of_it
    kept = set(acknowledged)
    assert len(kept) >= 10
    await in_thread(own_server.start)
    await asyncio.gather(*(device.connect() for device in devices))
    view = await in_thread(teacher.view, session["id"])
    answered = {p["name"] for p in view["people"] if p["panes"][0]}
    assert view["phase"] == "open"
    assert {f"S{n}" for n in kept} <= answered
    acks = await asyncio.gather(*(d.send("q1", "B") for n, d in enumerate(devices)))
    assert not any("error" in ack for ack in acks)
    assert (await in_thread(teacher.view, session["id"]))["answered"] == 30
    await in_thread(teacher.command, session["id"], "advance")
    await devices[0].phase("closed")


async def test_two_processes_on_one_database_serve_one_session(own_server, tmp_path):
    """What one process stores, another decides on: the database is the only truth."""
    teacher = TeacherClient(own_server.url)
    await in_thread(teacher.sign_up)
    session = await in_thread(lambda: teacher.start(teacher.make_set("Knots", items()), close_when_all_answered=False))
    second = type(own_server)(own_server.folder)
    await in_thread(second.start)
    try:
        here = await (await in_thread(Device, own_server.url, session["code"], "Fen")).connect()
        there = await in_thread(Device, second.url, session["code"], "Bo")
        await in_thread(teacher.command, session["id"], "advance")
        await here.phase("open")
        await there.connect()
        assert "error" not in await here.send("q1", "B")
        header = {"Authorization": f"Bearer {there.token}"}
        body = answering("q1.1", {"kind": "choice", "chosen": ["C"]})
        reply = await in_thread(web.post, f"{second.url}/api/live/student/commands", json=body, headers=header)
        assert reply.status_code == 200
        await in_thread(teacher.command, session["id"], "advance")
        assert (await here.phase("closed"))["view"]["shown"]["tally"]["n"] == 2
    finally:
        second.stop()


def test_ctrl_c_stops_it_cleanly_and_a_taken_port_is_a_sentence(own_server):
    with pytest.raises(RuntimeError) as taken:
        own_server.manage("serve", "--port", str(own_server.port))
    assert "cannot be used" in str(taken.value)
    assert "Traceback" not in str(taken.value)
    assert own_server.stop() == 0
    assert "Stopped." in own_server.log()


def test_joining_twice_with_one_key_takes_one_seat(server, teacher, session):
    tokens = {join(server.url, session["code"], "Fen", key="one-phone") for _ in range(2)}
    assert len(tokens) == 1
    assert len(teacher.view(session["id"])["people"]) == 1


async def test_many_who_join_at_once_while_the_session_is_being_loaded_all_get_a_seat(own_server):
    teacher = TeacherClient(own_server.url)
    await in_thread(teacher.sign_up)
    set_id = await in_thread(teacher.make_set, "Knots", items())
    for _ in range(3):
        session = await in_thread(teacher.start, set_id)
        async with web.async_client(base_url=own_server.url) as http:
            bodies = [{"code": session["code"], "name": f"S{n}", "key": f"k{n}"} for n in range(30)]
            replies = await asyncio.gather(*(http.post("/api/live/join", json=body) for body in bodies))
        assert {reply.status_code for reply in replies} == {200}


def test_a_bad_name_and_an_ended_session_are_told_in_their_place(server, teacher, session):
    body = {"code": session["code"], "name": "  ", "key": "k"}
    reply = web.post(f"{server.url}/api/live/join", json=body)
    assert (reply.status_code, reply.json()["field"]) == (422, "name")
    teacher.command(session["id"], "end")
    reply = web.post(f"{server.url}/api/live/join", json=body | {"name": "Fen"})
    assert (reply.status_code, reply.json()["field"]) == (404, "code")


def test_the_clock_of_a_killed_server_is_taken_up_again(own_server):
    teacher = TeacherClient(own_server.url)
    teacher.sign_up()
    quick = choice("B", id="q1", time_limit=5).model_dump(mode="json")
    session = teacher.start(teacher.make_set("Quick", [quick]), close_when_all_answered=False)
    teacher.command(session["id"], "advance")
    own_server.kill()
    own_server.start()
    version = ""
    for _ in range(20):
        view = teacher.call("GET", f"/live/sessions/{session['id']}/desk?after={version}") or {}
        if view and view["view"]["phase"] == "closed":
            return
        version = view["version"] if view else version
    pytest.fail("still open")
