"""Whatever is asked, however oddly: a sentence, never a fault."""

import json

import pytest

from lantern.server.media.actions import store_sound
from tests.server.test_doors import a_lesson, in_thread
from tests.server.test_sounds import a_wav, own_media
from tools.client import join

__all__ = ["own_media"]

HUGE = [2**63, 2**64, 2**200, -1, -(2**63)]
WORDS = "+".join(f"word{n}" for n in range(3000))


def status(caller, method, path, body=None, **headers):
    caller.client.raise_request_exception = False
    text = body if isinstance(body, str) else json.dumps(body) if body is not None else ""
    return caller.client.generic(
        method.upper(), path, text, content_type="application/json", headers=headers
    ).status_code


@pytest.mark.parametrize("number", HUGE)
@pytest.mark.parametrize(
    ("method", "path", "body"),
    [
        ("get", "/sets/{}", None),
        ("patch", "/sets/{}", "{{}}"),
        ("get", "/sets/{0}/revisions/{0}", None),
        ("delete", "/sets/bin/{}", None),
        ("patch", "/sets/folders/{}", '{{"name":"x"}}'),
        ("post", "/sets/folders", '{{"name":"x","parent":{}}}'),
        ("post", "/sets/pick", '{{"title":"x","picked":[{{"set":{},"item":"q1"}}]}}'),
        ("post", "/live/sessions", '{{"set":{}}}'),
        ("get", "/live/sessions/{}", None),
        ("get", "/sessions/{}/report", None),
        ("post", "/trial/{}", '{{"item":"q1"}}'),
    ],
)
def test_a_number_that_no_row_can_have(as_odile, method, path, body, number):
    assert 400 <= status(as_odile, method, "/api" + path.format(number), body and body.format(number)) < 500


@pytest.mark.parametrize("path", ["/sets?q=", "/sets/questions?q=", "/media/collection?q="])
@pytest.mark.parametrize("words", [WORDS, "+a" * 3000, "x" * 20_000])
def test_a_search_for_three_thousand_words(as_odile, knots, path, words):
    assert status(as_odile, "get", f"/api{path}{words}") == 200


@pytest.mark.parametrize("path", ["/live/join", "/accounts/sign-in", "/sets", "/sets/read-text", "/exchange/mend"])
@pytest.mark.parametrize("text", ["[" * 60_000, '{"a":' * 20_000, "{", "", "null", '"\\ud800"'])
def test_text_that_is_hardly_json(as_odile, path, text):
    assert 400 <= status(as_odile, "post", f"/api{path}", text) < 500


@pytest.mark.parametrize("key", ["time-q1-1800000000000", "all-00", "join-a"])
async def test_joining_with_a_key_that_looks_like_the_servers_own_ids(server, key):
    teacher, session = await in_thread(a_lesson, server)
    await in_thread(teacher.command, session["id"], "advance")
    assert await in_thread(join, server.url, session["code"], "Fen", key)


def test_a_pictures_size_of_a_sound_and_a_range_with_five_thousand_digits(as_odile, odile):
    sound = store_sound(odile, a_wav())
    assert status(as_odile, "get", f"/media/{sound.media}/480.webp") == 404
    for wanted in ("9" * 5000 + "-", "-" + "9" * 5000, "0-" + "9" * 5000, "٣-", "5-2", "-"):
        assert status(as_odile, "get", f"/media/{sound.media}/sound", Range=f"bytes={wanted}") in (200, 206, 416)
