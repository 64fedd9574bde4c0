"""Coming in, for each way that a session may know its students: with a real server, as devices do it."""

import asyncio
import base64
import json
import secrets

import pytest

from tests.builders import choice
from tests.builders.devices import Device
from tools import web
from tools.client import TeacherClient, send_answer

PEOPLE = [("Alva Renner", "GB-0104"), ("Bo Tanaka-Lind", "GB-0105"), ("Cyrus Adeyemi", "")]


class School:
    """A teacher with a set and a class."""

    def __init__(self, url):
        self.url, self.teacher = url, TeacherClient(url)
        self.teacher.sign_up()
        self.set = self.teacher.make_set("Knots that hold", [choice("B", id="q1").model_dump(mode="json")])
        self.of_class = self.teacher.call("POST", "/classes", {"name": "8C"})["id"]
        for name, record_id in PEOPLE:
            form = {"name": name, "record_id": record_id}
            self.teacher.call("POST", f"/classes/{self.of_class}/members", form)

    @property
    def detail(self):
        return self.teacher.call("GET", f"/classes/{self.of_class}")

    def run(self, known, *, with_class=True):
        body = {"set": self.set, "of_class": self.of_class if with_class else None, "settings": {"known": known}}
        return self.teacher.call("POST", "/live/sessions", body)

    def phrases(self):
        self.teacher.call("PUT", f"/classes/{self.of_class}/phrases", {"on": True}, 204)
        return {one["name"]: one["phrase"] for one in self.detail["members_list"]}

    def look(self, code, status=200):
        reply = web.get(f"{self.url}/api/live/codes/{code}", headers={"X-Device": secrets.token_hex(4)})
        assert reply.status_code == status, reply.text
        return reply.json()

    def join(self, code, status=200, key=None, **who):
        body = {"code": code, "key": key or secrets.token_hex(8), **who}
        reply = web.post(f"{self.url}/api/live/join", json=body)
        assert reply.status_code == status, reply.text
        return reply.json()


@pytest.fixture
def school(server):
    return School(server.url)


def test_a_device_is_told_the_languages_of_its_school(school):
    known = school.teacher.call("GET", "/school")
    settings = known["settings"] | {"languages": ["uk", "de"]}
    school.teacher.call("PUT", "/school", {"name": known["name"], "settings": settings}, 204)
    session = school.run("nobody")
    assert school.look(session["code"])["languages"] == ["uk", "de"]
    assert school.join(session["code"])["languages"] == ["uk", "de"]
    other = school.teacher.call("POST", "/classes", {"name": "9A"})["id"]
    of_class = school.teacher.call("GET", f"/classes/{other}")
    assert school.look(of_class["code"])["languages"] == ["uk", "de"]
    link = of_class["join_url"].rsplit("/", 1)[-1]
    assert web.get(f"{school.url}/api/classes/joining/{link}").json()["languages"] == ["uk", "de"]


def test_a_guest_has_a_number_and_no_name(school):
    session = school.run("nobody")
    assert school.look(session["code"])["asks"] == "nobody"
    joined = school.join(session["code"], name="ignored")
    assert (joined["name"], joined["seat"]) == ("", 1)
    assert school.teacher.view(session["id"])["people"][0]["name"] == "#1"


def test_a_name_is_picked_from_the_list_and_shows_as_taken_until_it_is_freed(school):
    session = school.run("list")
    info = school.look(session["code"])
    assert (info["asks"], [one["name"] for one in info["names"]]) == ("list", [name for name, _ in PEOPLE])
    alva = info["names"][0]["key"]
    assert school.join(session["code"], member=alva)["name"] == "Alva Renner"
    assert [one["taken"] for one in school.look(session["code"])["names"]] == [True, False, False]
    assert school.join(session["code"], 409, member=alva)["code"] == "name_taken"
    assert school.join(session["code"], 422, member="nobody")["field"] == "member"
    assert school.join(session["code"], 422, name="Alva Renner")["field"] == "member"
    assert school.teacher.view(session["id"])["people"][0]["claim"] == "held"
    school.teacher.command(session["id"], "release", seat=1)
    assert [one["taken"] for one in school.look(session["code"])["names"]] == [False, False, False]
    assert school.join(session["code"], member=alva)["seat"] == 1


def test_a_phrase_says_who_one_is_and_no_list_is_shown(school):
    phrases = school.phrases()
    session = school.run("list")
    info = school.look(session["code"])
    assert (info["asks"], info["names"]) == ("phrase", [])
    words = phrases["Bo Tanaka-Lind"].upper().replace(" ", "-")
    assert school.join(session["code"], phrase=words)["name"] == "Bo Tanaka-Lind"
    assert school.join(session["code"], 422, phrase="amber amber amber")["field"] == "phrase"
    assert school.join(session["code"], phrase=words)["seat"] == 1


async def test_the_device_before_is_told_that_one_went_on_elsewhere(school):
    phrases = await asyncio.to_thread(school.phrases)
    session = await asyncio.to_thread(school.run, "list")
    first = Device.__new__(Device)
    first.url, first.received = school.url, []
    joined = await asyncio.to_thread(school.join, session["code"], phrase=phrases["Alva Renner"])
    first.token = joined["token"]
    await first.connect()
    again = await asyncio.to_thread(school.join, session["code"], phrase=phrases["Alva Renner"])
    gone = await first.until(lambda message: "gone" in message)
    assert gone["gone"]["code"] == "gone_on"
    reply = await asyncio.to_thread(
        web.get, f"{school.url}/api/live/student", headers={"Authorization": f"Bearer {first.token}"}
    )
    assert reply.status_code == 404
    second = Device.__new__(Device)
    second.url, second.received, second.token = school.url, [], again["token"]
    await second.connect()


def test_a_made_name_is_asked_for_changed_and_kept(school):
    session = school.run("made_up", with_class=False)
    names = []
    for _ in range(3):
        reply = web.get(f"{school.url}/api/live/codes/{session['code']}/made-name?language=de")
        names.append(reply.json())
    assert len({one["name"] for one in names}) > 1
    joined = school.join(session["code"], made=names[-1] | {"name": "something else"})
    assert joined["name"] == names[-1]["name"]
    assert school.join(session["code"], made={"language": "de", "number": names[-1]["number"]})["name"].endswith(" 2")


def test_a_record_id_finds_its_member_and_tells_nobody_a_name(school):
    session = school.run("record_id")
    assert school.look(session["code"])["asks"] == "record_id"
    joined = school.join(session["code"], record_id="gb 0104".replace(" ", "-"), name="Al")
    assert joined["name"] == "Al"
    assert "Renner" not in json.dumps(joined)
    assert school.join(session["code"], 409, record_id="GB-0104", name="Not Al")["code"] == "name_taken"
    assert school.join(session["code"], 422, record_id="", name="Al")["field"] == "record_id"
    school.teacher.command(session["id"], "advance")
    send_answer(school.url, joined["token"], "q1", {"kind": "choice", "chosen": ["B"]})
    report = school.teacher.call("GET", f"/sessions/{session['id']}/report")["report"]
    assert [one["record_id"] for one in report["people"]] == ["gb-0104"]
    answers = school.teacher.call("GET", f"/sessions/{session['id']}/answers.csv").decode("utf-8-sig")
    assert answers.splitlines()[0].endswith(",Record ID")
    assert "gb-0104" in answers


async def test_a_record_id_is_in_no_byte_that_a_device_the_big_screen_or_the_desk_gets(school):
    """Also not in the one's own device, in another's, or in a link."""
    session = await asyncio.to_thread(school.run, "record_id")
    secret = "gb-0104"
    devices = []
    for name, record_id in (("Al", secret), ("Bo", "GB-0105")):
        joined = await asyncio.to_thread(school.join, session["code"], record_id=record_id, name=name)
        device = Device.__new__(Device)
        device.url, device.received, device.token = school.url, [json.dumps(joined)], joined["token"]
        devices.append(await device.connect())
    desk = school.teacher
    for do in ("advance", "advance", "advance", "advance"):
        await asyncio.to_thread(desk.command, session["id"], do)
    for device in devices:
        await device.phase("standings")
    told = [text for device in devices for text in device.received]
    live = f"/live/sessions/{session['id']}"
    for path in (f"{live}/desk", f"{live}/screen", live, f"/sessions/{session['id']}/happened"):
        reply = await asyncio.to_thread(desk.call, "GET", path)
        told += [json.dumps(reply)]
    told += [json.dumps(await asyncio.to_thread(school.look, session["code"]))]
    assert not [text for text in told if secret in text.casefold()]


def test_the_standing_code_leads_to_what_is_running(school):
    code = school.detail["code"]
    waiting = school.look(code)
    assert (waiting["asks"], waiting["class_name"], waiting["running"]) == (None, "8C", [])
    first = school.run("nickname")
    assert (school.look(code)["code"], school.look(code)["asks"]) == (first["code"], "nickname")
    second = school.run("nickname")
    assert {one["code"] for one in school.look(code)["running"]} == {first["code"], second["code"]}
    school.run("nickname", with_class=False)
    school.teacher.command(first["id"], "end")
    assert school.look(code)["code"] == second["code"]
    assert school.look("KELP9999", 404)["code"] == "unknown_code"


def test_a_list_wants_a_class(school):
    body = {"set": school.set, "settings": {"known": "list"}}
    assert school.teacher.call("POST", "/live/sessions", body, 422)["field"] == "of_class"
    other = TeacherClient(school.url)
    other.sign_up()
    own = other.make_set("Knots", [choice("B", id="q1").model_dump(mode="json")])
    other.call("POST", "/live/sessions", {"set": own, "of_class": school.of_class}, 404)


def test_what_ran_in_a_class_is_listed_there(school):
    session = school.run("nickname")
    school.run("nickname", with_class=False)
    rows = school.teacher.call("GET", f"/sessions?of_class={school.of_class}")["rows"]
    assert [(one["id"], one["class_name"]) for one in rows] == [(session["id"], "8C")]


def test_a_class_of_before_leads_nowhere(school):
    code = school.detail["code"]
    school.run("nickname")
    school.teacher.call("PUT", f"/classes/{school.of_class}/archive", {"archived": True}, 204)
    school.look(code, 404)


def test_a_question_is_read_aloud_part_by_part_and_says_nothing_that_is_not_shown(school):
    session = school.run("nickname")
    token = school.join(session["code"], name="Fen")["token"]

    def part(name, status=200, **asked):
        headers = {"Authorization": f"Bearer {token}"}
        address = f"{school.url}/api/live/student/spoken/{name}"
        reply = web.get(address, params={"language": "de", **asked}, headers=headers)
        assert reply.status_code == status, reply.text
        return reply.json()

    part("prompt", 409)  # nothing is on yet
    school.teacher.command(session["id"], "advance")
    shown = web.get(f"{school.url}/api/live/student", headers={"Authorization": f"Bearer {token}"}).json()
    options = shown["view"]["shown"]["item"]["options"]
    prompt = part("prompt")
    assert base64.b64decode(prompt["wav"])[:4] == b"RIFF"
    assert len(prompt["words"]) == len(prompt["text"].split()) == prompt["of"]
    rest = part("prompt", start=1)
    assert (rest["text"], rest["start"], rest["of"]) == (prompt["text"].split(" ", 1)[1], 1, prompt["of"])
    part("prompt", 404, start=prompt["of"])
    assert part(options[0]["id"])["text"].startswith("A: ")
    part("explanation", 404)
