"""Who is served the files of a private set, and who is not."""

import pytest
from django.test import Client

from lantern.core.questions.items import Picture
from lantern.core.session import Settings
from lantern.core.session.model import Seat
from lantern.server.library.actions import add_items, copy_set, make_set, set_privacy
from lantern.server.live.actions import start_session
from lantern.server.live.private_media import COOKIE
from lantern.server.live.tokens import make_token
from lantern.server.media.actions import store_picture
from tests.builders import choice
from tests.server.test_media import png
from tools import web

KEY = "key-of-fen"


@pytest.fixture(autouse=True)
def own_media(settings, tmp_path):
    settings.MEDIA_ROOT = tmp_path


@pytest.fixture
def picture(odile):
    return store_picture(odile, png())


@pytest.fixture
def private_set(odile, picture):
    made = make_set(odile, "Private knots", (choice("B", id="q1", picture=picture),))
    set_privacy(odile, made, private=True)
    return made


def served(client, picture):
    return client.get(f"/media/{picture.media}/480.webp").status_code


def device(*tokens):
    client = Client()
    client.cookies[COOKIE] = "~".join(tokens)
    return client


def a_seat(odile, question_set):
    session = start_session(odile, question_set, Settings())
    return make_token(session.pk, Seat(1, "Fen", KEY))


def test_a_picture_is_served_to_whoever_has_its_address_until_its_set_is_private(odile, nobody, picture):
    made = make_set(odile, "Knots", (choice("B", picture=picture),))
    assert served(nobody.client, picture) == 200
    set_privacy(odile, made, private=True)
    assert served(nobody.client, picture) == 404
    set_privacy(odile, made, private=False)
    assert served(nobody.client, picture) == 200


def test_a_private_one_is_served_to_its_owner_and_to_seats_of_a_session_with_it(
    odile, as_odile, as_ravi, nobody, private_set, picture, knots
):
    seat = a_seat(odile, private_set)
    assert served(as_odile.client, picture) == 200
    assert served(as_ravi.client, picture) == 404
    assert served(nobody.client, picture) == 404
    assert served(device(seat), picture) == 200
    assert served(device(a_seat(odile, knots)), picture) == 404
    assert served(device(seat[:-2] + "xx"), picture) == 404
    assert served(device("", "nonsense", seat), picture) == 200


def test_a_private_one_is_kept_in_no_shared_cache(odile, as_odile, private_set, picture):
    reply = as_odile.client.get(f"/media/{picture.media}/480.webp")
    assert "private" in reply["Cache-Control"]
    assert "public" not in reply["Cache-Control"]


def test_what_is_added_to_a_private_set_is_private_and_so_is_a_copys(odile, nobody, picture):
    made = make_set(odile, "Knots", (choice("B", id="q0"),))
    set_privacy(odile, made, private=True)
    assert served(nobody.client, picture) == 200
    add_items(odile, made, (choice("B", picture=picture),))
    assert served(nobody.client, picture) == 404
    copy = copy_set(odile, made)
    set_privacy(odile, made, private=False)
    assert copy.is_private
    assert served(nobody.client, picture) == 404


def test_joining_gives_a_device_what_it_needs_to_see_it_in_each_of_its_tabs(server, teacher):
    with web.client(base_url=server.url) as phone:
        pictures = []
        for what in ("anchor", "lighthouse"):
            code = next(row["code"] for row in teacher.call("GET", f"/media/collection?q={what}"))
            picture = teacher.call("POST", "/media/collection", {"code": code})
            item = choice("B", id="q1").model_dump(mode="json") | {"picture": picture}
            set_id = teacher.make_set("Private knots", [item])
            teacher.call("PUT", f"/sets/{set_id}/privacy", {"private": True}, 204)
            assert served(phone, Picture.model_validate(picture)) == 404
            body = {"code": teacher.start(set_id)["code"], "name": "Fen", "key": KEY}
            assert phone.post("/api/live/join", json=body).status_code == 200
            pictures.append(Picture.model_validate(picture))
            assert [served(phone, one) for one in pictures] == [200] * len(pictures)
