"""Lights that are kept (docs/games.md, A3 to A7): with the member or the device, through the real server."""

import secrets

import pytest

from lantern.core.lights import bought, price_of
from lantern.server.live.own_lights import of_device
from tests.builders import choice
from tests.server.test_erasing import everything
from tools.client import SeatClient, TeacherClient

PATH = "/api/live/student/light"
QUESTIONS = [choice("B", id=f"q{n}").model_dump(mode="json") for n in range(1, 7)]
FREE, DEAR = "01230123", "41230123"


NOT_BY_ITSELF = {"close_when_all_answered": False}


def begun(teacher, knots, **settings):
    return teacher.start(knots, **NOT_BY_ITSELF, **settings)


@pytest.fixture
def knots(teacher):
    return teacher.make_set("Knots that hold", QUESTIONS)


def seat(teacher, session, name="Fen", device="", member=""):
    return SeatClient(str(teacher.http.base_url), session["code"], name, member=member, device=device)


def light(student):
    reply = student.http.get(PATH)
    reply.raise_for_status()
    return reply.json()


def choose(student, wanted):
    return student.http.put(PATH, json={"light": wanted})


def led(teacher, session, *students, letters="BBBBBB"):
    """To its end; each of these answers every question."""
    for letter in letters:
        while teacher.view(session["id"])["phase"] != "open":
            teacher.command(session["id"], "advance")
        for student in students:
            student.answer(letter)
        if teacher.view(session["id"])["phase"] == "open":
            teacher.command(session["id"], "advance")
    teacher.command(session["id"], "end")


def test_a_light_and_its_shells_come_along_with_the_device_a7(teacher, knots):
    device = secrets.token_hex(8)
    session = begun(teacher, knots)
    fen, bo = seat(teacher, session, device=device), seat(teacher, session, "Bo")
    before = light(fen)
    assert (before["parts"], before["shells"], before["earned"], before["kept"]) == ([], 0, 0, True)
    assert light(bo)["kept"] is False
    assert choose(fen, FREE).json()["light"] == FREE == fen.told["mine"]["light"]
    assert [choose(bo, FREE).status_code, choose(bo, FREE).json()["code"]] == [409, "light_taken"]
    led(teacher, session, fen, bo)
    assert (light(fen)["shells"], light(fen)["earned"], light(bo)["shells"]) == (6, 6, 0)

    other = begun(teacher, knots)
    again = seat(teacher, other, "Una", device=device)
    assert light(again)["light"] == FREE
    assert seat(teacher, other, "Ines").told["mine"]["light"] != FREE
    elsewhere = TeacherClient(str(teacher.http.base_url))
    elsewhere.sign_up()
    of_other_school = elsewhere.start(elsewhere.make_set("Tides", QUESTIONS))
    assert light(seat(elsewhere, of_other_school, device=device))["shells"] == 0


def test_what_costs_shells_is_bought_once_and_never_with_too_few_a4(teacher, knots):
    device = secrets.token_hex(8)
    session = begun(teacher, knots)
    fen = seat(teacher, session, device=device)
    refused = choose(fen, DEAR)
    assert (refused.status_code, refused.json()["code"]) == (409, "too_few_shells")
    assert fen.told["mine"]["light"] != DEAR
    led(teacher, session, fen)
    bought_now = choose(fen, DEAR).json()
    assert (bought_now["light"], bought_now["parts"], bought_now["shells"]) == (DEAR, ["roof.4"], 1)
    assert choose(fen, FREE).json()["shells"] == choose(fen, DEAR).json()["shells"] == 1
    assert choose(fen, "42230123").json()["shells"] == 1
    assert choose(fen, "54230123").status_code == 409
    again = seat(teacher, begun(teacher, knots), "Una", device=device)
    assert (light(again)["light"], light(again)["parts"]) == ("42230123", ["roof.4"])
    for wrong in ("", "0123012", "99999999", None, 7):
        assert choose(again, wrong).status_code == 422


def test_two_that_come_at_once_pay_twice_or_not_at_all_a4(teacher, knots):
    device = secrets.token_hex(8)
    session = begun(teacher, knots)
    fen = seat(teacher, session, device=device)
    led(teacher, session, fen)
    replies = [choose(fen, f"{form}1230123") for form in (4, 5, 6, 4)]
    assert [reply.status_code for reply in replies] == [200, 409, 409, 200]
    own = light(fen)
    assert own["shells"] == 6 - sum(price_of(part) for part in own["parts"]) == 1
    assert list(bought(own["light"])) == ["roof.4"]


def test_shells_are_given_once_and_never_taken_back_a6(teacher, knots):
    device = secrets.token_hex(8)
    session = begun(teacher, knots)
    fen = seat(teacher, session, device=device)
    led(teacher, session, fen, letters="BBB")
    number = session["id"]
    assert light(fen)["shells"] == 3
    teacher.command(number, "open_again")
    teacher.command(number, "end")
    assert light(fen)["shells"] == 3
    teacher.command(number, "open_again")
    while teacher.view(number)["phase"] != "open":
        teacher.command(number, "advance")
    fen.answer("A")
    teacher.command(number, "end")
    assert light(fen)["shells"] == 4
    teacher.command(number, "open_again")
    teacher.command(number, "clear_answers", of="all")
    teacher.command(number, "end")
    assert (light(fen)["shells"], light(fen)["earned"]) == (4, 4)


def test_getting_better_is_seen_from_session_to_session_a5(teacher, knots):
    device = secrets.token_hex(8)
    earned = []
    for letters in ("ABA", "BBA", "AAA"):
        session = begun(teacher, knots)
        fen = seat(teacher, session, device=device)
        led(teacher, session, fen, letters=letters)
        earned.append(light(fen)["earned"])
    assert earned == [3, 8, 3]


@pytest.mark.parametrize(
    ("settings", "status"),
    [({"known": "nobody"}, 200), ({"lights": False}, 409), ({"points": False, "show_standings": False}, 409)],
)
def test_where_nobody_is_known_or_they_are_off_nothing_is_kept_a7(teacher, knots, settings, status):
    device = secrets.token_hex(8)
    session = begun(teacher, knots, **settings)
    fen = seat(teacher, session, device=device)
    assert fen.http.get(PATH).status_code == choose(fen, FREE).status_code == status
    if status == 200:
        assert light(fen)["kept"] is False
        assert choose(fen, DEAR).status_code == 409
    led(teacher, session, fen, letters="B")
    kept = seat(teacher, begun(teacher, knots), device=device)
    assert light(kept)["shells"] == 0
    assert light(kept)["light"] != FREE


class OfAClass:
    def __init__(self, teacher, knots):
        self.teacher, self.knots = teacher, knots
        self.of_class = teacher.call("POST", "/classes", {"name": "8C"})["id"]
        form = {"name": "Fen Okoro", "record_id": "GB-0778"}
        self.member = teacher.call("POST", f"/classes/{self.of_class}/members", form)["id"]

    def session(self, **settings):
        body = {
            "set": self.knots,
            "of_class": self.of_class,
            "settings": {**NOT_BY_ITSELF, "mix_options": False, **settings},
        }
        return self.teacher.call("POST", "/live/sessions", body)

    def sit(self, session):
        names = self.teacher.call("GET", f"/live/codes/{session['code']}")["names"]
        return seat(self.teacher, session, member=names[0]["key"], device=secrets.token_hex(8))


def test_a_member_has_it_on_every_device_and_it_is_erased_with_them_a7(teacher, knots):
    of_class = OfAClass(teacher, knots)
    session = of_class.session(known="list")
    fen = of_class.sit(session)
    assert choose(fen, FREE).json()["kept"] is True
    led(teacher, session, fen)
    other = of_class.session(known="list")
    on_another = of_class.sit(other)
    assert (light(on_another)["light"], light(on_another)["shells"]) == (FREE, 6)

    path = f"/students/{of_class.of_class}/{of_class.member}"
    teacher.call("POST", f"{path}/erase")
    assert light(on_another) == {**light(on_another), "kept": False, "shells": 0, "light": ""}


def test_the_light_of_who_is_erased_is_in_no_event_any_more_a7(teacher, knots, server):
    session = begun(teacher, knots)
    fen, bo = seat(teacher, session, device="a-device"), seat(teacher, session, "Bo")
    first, others = fen.told["mine"]["light"], bo.told["mine"]["light"]
    choose(fen, DEAR.replace("4", "3", 1))
    teacher.command(session["id"], "erase", seat=1)
    screen = teacher.call("GET", f"/live/sessions/{session['id']}/screen")["view"]
    assert screen["signs"] == ["", others]
    stored = everything(server.folder)
    assert f'"light":"{others}"'.encode() in stored
    for gone in (first, "31230123"):
        assert f'"light":"{gone}"'.encode() not in stored


def test_the_key_of_a_device_is_nowhere_and_another_in_each_school():
    assert "a-device" not in of_device(1, "a-device")
    assert of_device(1, "a-device") != of_device(2, "a-device")
