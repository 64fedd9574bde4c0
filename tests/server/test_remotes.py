"""A teacher's phone as a remote: who gets in, what it may do, and how its trust ends."""

import asyncio
import json
from datetime import timedelta

import pytest
import websockets
from django.utils import timezone

from lantern.core.session import Settings
from lantern.server.api.errors import UnknownRemote
from lantern.server.live import remotes
from lantern.server.live.actions import start_session
from lantern.server.live.logins import Login
from lantern.server.live.models import Remote
from tests.builders import choice
from tools import web
from tools.client import join, send_answer


@pytest.fixture
def led(server, teacher):
    """A running session with one student, and a phone's token for it."""
    items = [choice("B", id="q1").model_dump(mode="json"), choice("B", id="q2").model_dump(mode="json")]
    session = teacher.start(teacher.make_set("Knots that hold", items), close_when_all_answered=False)
    return server.url, session, join(server.url, session["code"], "Fen Okoro")


def key_of(teacher, session):
    offer = teacher.call("POST", f"/live/sessions/{session['id']}/remotes")
    assert "<svg" in offer["picture"]
    return offer["url"].partition("#")[2]


def claim(url, key):
    return web.post(f"{url}/api/live/remote/claim", json={"key": key})


def token_of(teacher, url, session):
    return claim(url, key_of(teacher, session)).json()["token"]


def look(url, token):
    return web.get(f"{url}/api/live/remote", headers={"Authorization": f"Bearer {token}"})


def say(url, token, number, **command):
    body = {"id": f"c{number}", "page": "phone", "number": number, "command": command}
    return web.post(f"{url}/api/live/remote/commands", json=body, headers={"Authorization": f"Bearer {token}"})


def test_a_phone_leads_the_session(teacher, led):
    url, session, seat = led
    token = token_of(teacher, url, session)
    view = look(url, token).json()["view"]
    assert (view["phase"], view["people"], view["next"]) == ("lobby", 1, "next")
    assert say(url, token, 1, do="advance", step=view["step"]).status_code == 200
    send_answer(url, seat, "q1", {"kind": "choice", "chosen": ["B"]})
    assert say(url, token, 2, do="advance", step=1).status_code == 200
    view = look(url, token).json()["view"]
    assert (view["phase"], view["answered"], view["right_share"]) == ("closed", 1, 1.0)
    assert "Fen" not in json.dumps(view)
    assert {"talk", "set_curtain"} <= set(view["allowed"])
    assert not {"erase", "end", "set_key"} & set(view["allowed"])
    assert say(url, token, 3, do="set_curtain", drawn=True).status_code == 200
    assert say(url, token, 4, do="talk", step=2, seconds=60).status_code == 200
    assert say(url, token, 4, do="talk", step=2, seconds=60).status_code == 200  # a copy
    assert teacher.view(session["id"])["phase"] == "talk"


def test_it_may_do_what_a_remote_may_and_no_more(teacher, led):
    url, session, _ = led
    token = token_of(teacher, url, session)
    for command in (
        {"do": "erase", "seat": 1},
        {"do": "end"},
        {"do": "rename", "seat": 1, "name": "x"},
        {"do": "lock"},
    ):
        assert say(url, token, 9, **command).status_code == 422
    for path in (f"/live/sessions/{session['id']}/desk", "/sets", f"/sessions/{session['id']}/report"):
        assert web.get(f"{url}/api{path}", headers={"Authorization": f"Bearer {token}"}).status_code == 401


def test_the_picture_is_for_one_phone(teacher, led):
    url, session, _ = led
    key = key_of(teacher, session)
    assert claim(url, key).status_code == 200
    assert claim(url, key).status_code == 401
    first, second = key_of(teacher, session), key_of(teacher, session)
    assert claim(url, first).status_code == 401  # another picture was asked for
    assert claim(url, second).status_code == 200
    assert teacher.call("GET", f"/live/sessions/{session['id']}/remotes") == {"connected": 2}
    for wrong in ("x", second, "x" * 99):
        assert claim(url, wrong).status_code == 401
        assert look(url, wrong).status_code == 401


async def test_an_open_line_ends_as_the_desk_cuts_it_off_and_as_it_signs_out(teacher, led):
    url, session, _ = led

    async def opened(token):
        socket = await websockets.connect(f"{url.replace('http', 'ws', 1)}/live/remote", origin=url)
        await socket.send(json.dumps({"token": token}))
        assert "view" in json.loads(await socket.recv())
        return socket

    async def farewell(socket):
        async with asyncio.timeout(30):
            while "gone" not in (message := json.loads(await socket.recv())):
                pass
        return message["gone"]["code"]

    token = token_of(teacher, url, session)
    socket = await opened(token)
    teacher.call("DELETE", f"/live/sessions/{session['id']}/remotes", status=204)
    assert await farewell(socket) == "unknown_remote"
    assert look(url, token).status_code == 401
    token = token_of(teacher, url, session)
    socket = await opened(token)
    teacher.call("POST", "/accounts/sign-out", status=204)
    assert await farewell(socket) == "unknown_remote"
    assert look(url, token).status_code == 401


async def test_a_stranger_on_the_socket_is_told_so(led):
    url, _, _ = led
    for hello in ('{"token": "x"}', "{}", "nonsense"):
        async with websockets.connect(f"{url.replace('http', 'ws', 1)}/live/remote", origin=url) as socket:
            await socket.send(hello)
            assert json.loads(await socket.recv())["gone"]["code"] == "unknown_remote"


@pytest.mark.django_db
def test_of_two_phones_at_once_one_gets_in(odile, knots, client, monkeypatch):
    client.force_login(odile)
    login = Login(client.session.session_key, odile.pk, odile.get_session_auth_hash())
    key = remotes.offer_remote(odile, start_session(odile, knots, Settings()), login, "").url.partition("#")[2]
    tokens = []

    def quicker(row):
        monkeypatch.setattr(remotes, "_is_trusted", lambda row: True)
        tokens.append(remotes.claim(key))
        return True

    monkeypatch.setattr(remotes, "_is_trusted", quicker)
    with pytest.raises(UnknownRemote):
        remotes.claim(key)
    assert remotes._remote_of(tokens[0])


@pytest.mark.django_db
def test_a_picture_grows_old_and_nothing_that_opens_is_stored(odile, knots, client):
    client.force_login(odile)
    login = Login(client.session.session_key, odile.pk, odile.get_session_auth_hash())
    session = start_session(odile, knots, Settings())
    key = remotes.offer_remote(odile, session, login, "http://here").url.partition("#")[2]
    Remote.objects.update(made_at=timezone.now() - remotes.GOOD_FOR - timedelta(seconds=1))
    with pytest.raises(UnknownRemote):
        remotes.claim(key)
    key = remotes.offer_remote(odile, session, login, "http://here").url.partition("#")[2]
    token = remotes.claim(key)
    (row,) = Remote.objects.all()
    assert key not in (row.key, row.token)
    assert token not in (row.key, row.token)
    odile.set_password("another one 9")
    odile.save()
    with pytest.raises(UnknownRemote):
        remotes._remote_of(token)
