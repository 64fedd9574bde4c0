"""Limits that are fair to a school behind one address."""

import asyncio
from concurrent.futures import ThreadPoolExecutor

import httpx
import pytest

from lantern.server.api import limits
from lantern.server.api.errors import TooManyTries
from tests.builders.devices import again
from tests.server.test_doors import a_lesson, in_thread
from tools import web


def codes(server, path, count, **headers):
    with web.client(base_url=server.url, headers=headers) as http:
        return [http.get(f"/api/live/codes/{path}").status_code for _ in range(count)]


def test_wrong_guesses_of_a_device_count_and_right_codes_never_do(own_server):
    _, session = a_lesson(own_server)
    assert codes(own_server, "KELP222", 33, **{"X-Device": "pupil"}) == [404] * 30 + [429] * 3
    reply = web.get(f"{own_server.url}/api/live/codes/KELP222", headers={"X-Device": "pupil"})
    assert reply.json()["code"] == "too_many_tries"
    assert codes(own_server, session["code"], 40, **{"X-Device": "pupil"}) == [200] * 40
    body = {"code": session["code"], "name": "Fen", "key": "pupil"}
    assert web.post(f"{own_server.url}/api/live/join", json=body).status_code == 200
    # Another in the same room mistypes, and is told so.
    reply = web.get(f"{own_server.url}/api/live/codes/KELP223", headers={"X-Device": "neighbour"})
    assert (reply.status_code, reply.json()["code"]) == (404, "unknown_code")


def test_a_forged_forwarding_header_makes_nobody_another(own_server):
    forged = [{"X-Forwarded-For": f"203.0.113.{n}", "Forwarded": f"for=203.0.113.{n}"} for n in range(33)]
    with web.client(base_url=own_server.url) as http:
        replies = [http.get("/api/live/codes/KELP222", headers=headers).status_code for headers in forged]
    assert replies == [404] * 30 + [429] * 3


def test_however_many_come_at_once_no_more_than_the_limit_pass():
    def one(_):
        try:
            limits.spend(limits.WRONG_CODES, "a device")
        except TooManyTries:
            return False
        return True

    with ThreadPoolExecutor(40) as pool:
        assert sum(pool.map(one, range(400))) == 30


async def test_joining_again_with_a_known_key_is_free(own_server, monkeypatch):
    _, session = await in_thread(a_lesson, own_server)
    body = {"code": session["code"], "name": "Fen", "key": "one-device"}
    async with web.async_client(base_url=own_server.url) as http:
        gate = asyncio.Semaphore(40)

        async def join(**more):
            async with gate:
                return (await http.post("/api/live/join", json=body | more)).status_code

        assert set(await asyncio.gather(*(join() for _ in range(1200)))) == {200}
        assert await join(name="Bo", key="another") == 200


@pytest.mark.slow
async def test_three_hundred_come_in_ten_seconds_while_one_of_them_guesses(own_server):
    """All from one address, each with its look-up, its join and its page."""
    _, session = await in_thread(a_lesson, own_server)
    done = asyncio.Event()
    refused = []
    lines = httpx.Limits(max_connections=60)
    async with web.async_client(base_url=own_server.url, timeout=60, limits=lines) as http:

        async def guess():
            while not done.is_set():
                await again(http.get, "/api/live/codes/KELP222", headers={"X-Device": "pupil"})

        async def come(number):
            await asyncio.sleep(number / 30)
            key, code = f"device-{number}", session["code"]
            # A line that waits for its next request may be closed by the server just when that comes.
            replies = [
                await again(http.get, f"/join/{code}"),
                await again(http.get, f"/api/live/codes/{code}", headers={"X-Device": key}),
                await again(http.post, "/api/live/join", json={"code": code, "name": f"S{number}", "key": key}),
            ]
            refused.extend(reply.status_code for reply in replies if reply.status_code != 200)

        guessing = asyncio.create_task(guess())
        await asyncio.gather(*(come(number) for number in range(300)))
        done.set()
        await guessing
    assert refused == []
