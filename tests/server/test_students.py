"""One student: what they took part in, joined across sessions; all of it to take along; erased everywhere."""

import csv
import io
import json
import secrets
from datetime import timedelta
from zipfile import ZipFile

import pytest
from django.utils import timezone

from lantern.core.session import Sent, Settings
from lantern.core.session.actors import NEWCOMER
from lantern.core.session.commands import Join
from lantern.server.accounts.models import School
from lantern.server.classes.models import Member, SchoolClass
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession, Person
from lantern.server.live.retention import sessions_to_forget
from lantern.server.schools.students import is_certain
from tests.builders import choice
from tests.server.test_erasing import everything
from tools import web
from tools.client import TeacherClient, send_answer

NAME, RECORD_ID = "Ingeborg Vandermolen", "GB-0777"


class Room:
    """A teacher with a class of two, and a set of one question."""

    def __init__(self, server):
        self.server, self.url, self.teacher = server, server.url, TeacherClient(server.url)
        self.teacher.sign_up()
        self.set = self.teacher.make_set("Knots that hold", [choice("B", id="q1").model_dump(mode="json")])
        self.of_class = self.teacher.call("POST", "/classes", {"name": "8C"})["id"]
        self.path = f"/classes/{self.of_class}/members"
        needs = {"time": 1.5, "text": "largest"}
        form = {"name": NAME, "record_id": RECORD_ID, "notes": "plays the harp", "needs": needs}
        self.member = self.teacher.call("POST", self.path, form)["id"]
        self.teacher.call("POST", self.path, {"name": "Fen Okoro", "record_id": "GB-0778"})
        self.student = f"/students/{self.of_class}/{self.member}"

    def lesson(self, record_id, letter="B", name="Inge", *, with_class=True):
        """A session in which they answer, and which ends."""
        of_class = self.of_class if with_class else None
        body = {"set": self.set, "of_class": of_class, "settings": {"known": "record_id", "mix_options": False}}
        session = self.teacher.call("POST", "/live/sessions", body)
        who = {"code": session["code"], "record_id": record_id, "name": name, "key": secrets.token_hex(8)}
        token = web.post(f"{self.url}/api/live/join", json=who).json()["token"]
        self.teacher.command(session["id"], "advance")
        send_answer(self.url, token, "q1", {"kind": "choice", "chosen": [letter]})
        self.teacher.command(session["id"], "end")
        return session["id"]

    def history(self):
        return self.teacher.call("GET", self.student)


@pytest.fixture
def room(server):
    return Room(server)


def test_the_record_id_joins_sessions_with_and_without_the_class(room):
    first = room.lesson(RECORD_ID)
    second = room.lesson(RECORD_ID, "C", with_class=False)
    room.lesson("GB-0778", name="Fen")
    rows = room.history()["sessions"]
    assert [(one["session"], one["is_certain"], one["score"], one["out_of"]) for one in rows] == [
        (second, True, 0, 1),
        (first, True, 1, 1),
    ]


def test_an_id_in_other_letters_waits_for_the_teacher(room):
    first, second = room.lesson("gb-0777"), room.lesson("GB - 0777")
    rows = {one["session"]: one for one in room.history()["sessions"]}
    assert [one["is_certain"] for one in rows.values()] == [False, False]
    for session, same in ((first, True), (second, False)):
        path = f"{room.student}/confirm/{rows[session]['person']}"
        room.teacher.call("POST", path, {"is_the_same": same}, 204)
    assert [(one["session"], one["is_certain"]) for one in room.history()["sessions"]] == [(first, True)]


def test_everything_kept_is_taken_along(room):
    room.lesson(RECORD_ID)
    with ZipFile(io.BytesIO(room.teacher.call("GET", f"{room.student}/export.zip"))) as archive:
        files = {name: archive.read(name).decode("utf-8-sig") for name in archive.namelist()}
    member = json.loads(files["member.json"])
    assert (member["name"], member["record_id"], member["needs"]["time"]) == (NAME, RECORD_ID, 1.5)
    assert (member["notes"], member["classes"]) == ("plays the harp", ["8C"])
    answers = list(csv.DictReader(io.StringIO(files["answers.csv"])))
    assert [(one["Session"], one["Mark"], one["Name"]) for one in answers] == [("Knots that hold", "1.0", "Inge")]
    assert RECORD_ID in files["sessions.csv"]
    assert NAME in files["read me.txt"]


@pytest.mark.slow
def test_an_address_that_is_erased_is_in_no_mail_no_request_and_no_other_class(own_server):
    room, address = Room(own_server), "inge@gullmark.example"
    room.teacher.call("PUT", "/school", {"name": "", "settings": {"confirm_mail": True}}, 204)
    form = {"name": NAME, "record_id": address}
    room.teacher.call("PATCH", f"{room.path}/{room.member}", form, 204)
    other = room.teacher.call("POST", "/classes", {"name": "Evening"})["id"]
    room.teacher.call("POST", f"/classes/{other}/members", form)
    room.teacher.call("PUT", f"/classes/{room.of_class}/joining", {"joining": "ask"}, 204)
    link = room.teacher.call("GET", f"/classes/{room.of_class}")["join_url"].rsplit("/", 1)[-1]
    room.teacher.call("POST", f"/classes/joining/{link}", {"name": NAME, "record_id": address, "key": "k1"})
    room.lesson(address, name=NAME)
    assert address.encode() in everything(own_server.folder)
    room.teacher.call("POST", f"{room.student}/erase")
    own_server.stop()
    left = everything(own_server.folder)
    assert not [word for word in (NAME, address) if word.encode() in left]


@pytest.mark.slow
def test_who_is_erased_is_gone_everywhere_and_the_figures_stay(own_server):
    room = Room(own_server)
    sessions = [room.lesson(RECORD_ID, name=NAME), room.lesson("gb-0777", "C", name=NAME, with_class=False)]
    form = {"name": "9C", "with_members": True}
    next_year = room.teacher.call("POST", f"/classes/{room.of_class}/copy", form)["id"]
    before = [room.teacher.call("GET", f"/sessions/{one}/report")["report"] for one in sessions]
    for word in (NAME, "plays the harp", "gb-0777"):
        assert word.encode() in everything(own_server.folder)

    assert room.teacher.call("POST", f"{room.student}/erase") == {"sessions": 2, "answers": 2}

    after = [room.teacher.call("GET", f"/sessions/{one}/report")["report"] for one in sessions]
    assert [[person["name"] for person in one["people"]] for one in after] == [["#1"], ["#1"]]
    assert [one["median_score"] for one in after] == [one["median_score"] for one in before]
    for of_class in (room.of_class, next_year):
        members = room.teacher.call("GET", f"/classes/{of_class}")["members_list"]
        assert [one["name"] for one in members] == ["Fen Okoro"]
    room.teacher.call("GET", room.student, None, 404)
    own_server.stop()
    left = everything(own_server.folder)
    assert not [word for word in (NAME, "Vandermolen", "plays the harp", RECORD_ID, "gb-0777") if word.encode() in left]


@pytest.mark.django_db
def test_who_was_picked_from_the_list_is_certain_though_the_record_id_was_changed_since(odile, knots):
    of_class = SchoolClass.objects.create(name="8C", code="KELP4278")
    member = Member.objects.create(of_class=of_class, name="Fen", sort_name="Fen", record_id="new", record_key="new")
    for known, certain in (("list", True), ("record_id", False)):
        session = start_session(odile, knots, Settings(known=known), of_class)
        person = Person.objects.create(session=session, key="p", name="Fen", member=member.person, record_id="old")
        assert is_certain(member, person) is certain


@pytest.mark.django_db
def test_names_stay_as_long_as_the_school_keeps_them(odile, ravi, knots):
    School.objects.filter(pk=odile.school_id).update(settings={"keep_months": 6})
    ages = {months: start_session(odile, knots, Settings()) for months in (1, 5, 7, 30)}
    for months, session in ages.items():
        ended_at = timezone.now() - timedelta(days=31 * months)
        LiveSession.objects.filter(pk=session.pk).update(ended_at=ended_at)
        Person.objects.create(session=session, key="p", name="Fen")
    assert sessions_to_forget() == [ages[7].pk, ages[30].pk]
    School.objects.filter(pk=odile.school_id).update(settings={})
    assert sessions_to_forget() == []


@pytest.mark.django_db(transaction=True)
async def test_old_names_are_erased_as_by_hand(session, hubs):
    hub, _ = hubs
    await hub.submit(session.pk, Join("Fen", "key", "person"), Sent(NEWCOMER, 0, 1))
    await hub.erase_all(session.pk)
    assert (await hub.room(session.pk)).state.roster == {}
    assert not await Person.objects.filter(session=session).aexists()


def test_an_address_is_confirmed_by_a_message_whose_link_says_nothing(room):
    settings = {"confirm_mail": True, "record_ids": "email"}
    room.teacher.call("PUT", "/school", {"name": "Gullmark Bay", "settings": settings}, 204)
    session = room.lesson("Inge@gullmark.example")

    def confirmed():
        people = room.teacher.call("GET", f"/sessions/{session}/report")["report"]["people"]
        return [one["confirmed"] for one in people]

    assert confirmed() == [False]
    (mail,) = room.teacher.call("GET", "/school/outbox")
    assert mail["to"] == "inge@gullmark.example"
    secret = mail["text"].split("/confirm/")[1].split()[0]
    assert "inge" not in secret.lower()
    assert web.post(f"{room.url}/api/live/confirm", json={"token": "made-up"}).status_code == 422
    assert confirmed() == [False]
    assert web.post(f"{room.url}/api/live/confirm", json={"token": secret}).status_code == 204
    assert confirmed() == [True]
    room.lesson("inge@gullmark.example")
    assert len(room.teacher.call("GET", "/school/outbox")) == 1  # it was confirmed before
