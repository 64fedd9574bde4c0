"""Set work as its teacher gives and follows it, and whose it is (docs/set-work.md)."""

import json
from datetime import timedelta

import pytest
from asgiref.sync import async_to_sync
from django.db import connection
from django.test import Client
from django.test.utils import CaptureQueriesContext
from django.utils import timezone

from tests.server.at_work import HOUR, Phone, give, line_of, now, phone_of

__all__ = ["give", "now"]
pytestmark = pytest.mark.django_db(transaction=True)


# --- results ---------------------------------------------------------------------------------------------


def test_a_key_that_is_put_right_changes_every_attempt_b11(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    fen.answer("q1.1", "C")
    fen.hand_in()
    session = work["classes"][0]["given"]["session"]
    body = {"id": "c1", "page": "p1", "number": 1, "command": {"do": "drop", "item": "q2"}}
    as_odile("post", f"/live/sessions/{session}/commands", body)
    body = {"id": "c2", "page": "p1", "number": 2, "command": {"do": "give_full_marks", "item": "q1"}}
    as_odile("post", f"/live/sessions/{session}/commands", body)
    assert line_of(as_odile("get", f"/work/{work['id']}"), "Fen Okoro")["share"] == 1
    (attempt,) = fen.mine()["attempts"]
    assert (attempt["score"], attempt["out_of"]) == (1, 1)
    refused = as_odile("post", f"/live/sessions/{session}/commands", {**body, "command": {"do": "open_again"}}, 409)
    assert refused["code"] == "not_in_set_work"


def test_every_way_out_of_results_is_there_b11(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    fen.answer("q1.1", "B")
    session = work["classes"][0]["given"]["session"]
    for path in ("workbook.xlsx", "tables.zip", "tables.json", "answers.csv", "happened.csv", "happened", "marking"):
        as_odile("get", f"/sessions/{session}/{path}")
    assert as_odile("get", f"/sessions/{session}/students/1")["line"]["name"] == "Fen Okoro"
    assert as_odile("get", f"/sessions/{session}/questions/q1")["page"]["report"]["answered"] == 1
    assert as_odile("get", "/sessions")["rows"] == []  # it has a list of its own


def test_set_work_is_read_over_time_and_graded_once_somebody_has_handed_in_b11(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    fen.answer("q1.1", "B")
    path = f"/sessions/of-class/{class_8c.pk}"
    assert as_odile("get", path)["results"]["sessions"] == []
    fen.hand_in()
    (row,) = as_odile("get", path)["results"]["sessions"]
    assert (row["title"], row["share"]) == ("Knots that hold", 0.5)
    book = as_odile("post", "/grade-books", {"of_class": class_8c.pk})
    lines = {line["name"]: line["total"] for line in book["book"]["lines"]}
    assert lines["Fen Okoro"] == 50
    as_odile("get", f"/grade-books/{book['id']}/grades.csv")


def test_a_make_up_is_for_the_absent_with_the_sessions_key_b12(as_odile, odile, knots, class_8c, now):
    from tests.builders.finished import ran

    session = ran(odile, knots, class_8c)
    body = {"id": "c1", "page": "p1", "number": 1, "command": {"do": "give_full_marks", "item": "q2"}}
    as_odile("post", f"/live/sessions/{session.pk}/commands", body)
    offer = as_odile("get", f"/work/of-session/{session.pk}")
    assert [one["name"] for one in offer["absent"]] == ["Birk Tammela"]
    start = next(one for one in offer["starts"] if one["purpose"] == "make_up")
    form = {
        "session": session.pk,
        "terms": {**start["terms"], "due": now.at + HOUR},
        "settings": {**start["settings"], "known": "list", "mix_options": False},
        "classes": [class_8c.pk],
        "named": [offer["absent"][0]["key"]],
    }
    work = as_odile("post", "/work", form)
    assert (work["made_up_for"], [line["name"] for line in work["classes"][0]["lines"]]) == (
        session.pk,
        ["Birk Tammela"],
    )
    birk = phone_of(work, class_8c, "Birk Tammela")
    birk.begin()
    birk.answer("q1.1", "C")
    birk.answer("q2.1", "B")
    birk.hand_in()
    assert line_of(as_odile("get", f"/work/{work['id']}"), "Birk Tammela")["share"] == 0.5
    (later,) = as_odile("get", f"/sessions/{session.pk}/report")["later"]
    assert (later["name"], later["share"], later["work"]) == ("Birk Tammela", 0.5, work["id"])
    fen = Phone(work["classes"][0]["given"]["url"], "k2")
    assert fen.enter(409, member=class_8c.members.get(name="Fen Okoro").person)["code"] == "not_for_you"


# --- reminders -------------------------------------------------------------------------------------------


def test_reminders_go_to_those_with_an_address_who_have_not_begun_once_a_day_b13(
    as_odile, give, class_8c, now, mailoutbox
):
    class_8c.members.filter(name="Bo Tanaka-Lind").update(record_id="bo@gullmark.example")
    class_8c.members.filter(name="Fen Okoro").update(record_id="fen@gullmark.example")
    work = give()
    phone_of(work, class_8c, "Fen Okoro").begin()
    body = {"given": work["classes"][0]["given"]["id"]}
    sent = as_odile("post", f"/work/{work['id']}/remind", body)
    assert (sent["mailed"], sent["already"], sent["no_address"]) == (1, 0, ["Birk Tammela", "Ines Dahl"])
    assert [one.to for one in mailoutbox] == [["bo@gullmark.example"]]
    assert work["classes"][0]["given"]["url"] in mailoutbox[0].body
    assert as_odile("post", f"/work/{work['id']}/remind", body)["mailed"] == 0
    now.later(hours=24)
    assert as_odile("post", f"/work/{work['id']}/remind", body)["mailed"] == 1


# --- giving ----------------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("changes", "field"),
    [
        ({"classes": [], "by_link": False}, "classes"),
        ({"terms": {"due": 1000}}, "due"),
        ({"settings": {"feedback": "opened"}, "terms": {"due": None}}, "due"),
        ({"settings": {"game": {"game": "beacons"}, "feedback": "each", "answers": "final"}}, "game"),
        ({"named": ["nobody-of-the-class"]}, "named"),
        ({"named": ["anybody"], "settings": {"known": "nickname"}}, "named"),
        ({"settings": {"time": {"of": "clock", "until": 5}}}, "until"),
    ],
)
def test_what_cannot_be_given_so_is_said_at_its_place(as_odile, knots, class_8c, now, changes, field):
    offer = as_odile("get", f"/work/of-set/{knots.pk}")
    start = offer["starts"][0]
    form = {
        "set": knots.pk,
        "terms": {**start["terms"], "due": now.at + HOUR, **changes.pop("terms", {})},
        "settings": {**start["settings"], "known": "list", **changes.pop("settings", {})},
        "classes": [class_8c.pk],
        **changes,
    }
    assert as_odile("post", "/work", form, 422)["field"] == field


def test_whoever_has_the_link_does_it_under_a_name_and_the_class_list_stays_unseen(give, class_8c):
    work = give(classes=[], by_link=True, settings={"known": "nickname"})
    one, other = (Phone(work["classes"][0]["given"]["url"], f"k{n}") for n in (1, 2))
    assert (one.door()["asks"], one.door()["names"]) == ("nickname", [])
    one.enter(name="Fen")
    assert other.enter(name="fen")["name"] != "Fen"  # told apart
    assert one.begin()["attempt"] == 1


def test_five_who_have_handed_in_are_seen_beside_each_other_without_names_b14(give, class_8c):
    work = give(classes=[], by_link=True, settings={"known": "nickname"})
    phones = [Phone(work["classes"][0]["given"]["url"], f"k{n}") for n in range(5)]
    for number, phone in enumerate(phones):
        phone.enter(name=f"Student {number}")
        phone.begin()
        phone.answer("q1.1", "B" if number else "C")
        phone.hand_in()
        if number == 3:
            assert phone.mine()["beside"] is None  # of so few each would be told
    beside = phones[0].mine()["beside"]
    assert (beside["people"], beside["own"], beside["tenths"][0], beside["tenths"][5]) == (5, 0, 1, 4)
    assert "Student" not in json.dumps({**phones[0].mine(), "name": ""})


def test_what_was_deleted_is_in_no_list_and_opens_nothing(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    as_odile("delete", f"/work/{work['id']}", status=204)
    assert as_odile("get", "/work") == []
    assert fen.door(404)["family"] == "not_found"
    fen.mine(401)


# --- whose it is, and how long ---------------------------------------------------------------------------


async def erase(teacher, member):
    from lantern.server.schools import students

    return await students.erase(teacher, member)


def test_who_is_erased_is_in_no_work_any_more_whether_they_did_it_or_only_came(as_odile, odile, give, class_8c):
    work = give()
    fen, bo = phone_of(work, class_8c, "Fen Okoro"), phone_of(work, class_8c, "Bo Tanaka-Lind")
    fen.begin()
    fen.answer("q1.1", "B")
    fen.hand_in()
    for name in ("Fen Okoro", "Bo Tanaka-Lind"):
        async_to_sync(erase)(odile, class_8c.members.get(name=name))
    kept = json.dumps(as_odile("get", f"/work/{work['id']}"))
    assert "Fen" not in kept
    assert "Tanaka" not in kept
    fen.mine(401)
    bo.mine(401)
    report = as_odile("get", f"/sessions/{work['classes'][0]['given']['session']}/report")["report"]
    assert [(one["name"], one["score"]) for one in report["people"]] == [("#1", 1)]  # the figure stays


def test_names_go_from_set_work_after_as_many_months_as_the_school_keeps_them(odile, give, class_8c):
    from lantern.server.live import retention
    from lantern.server.live.models import LiveSession

    work = give()
    phone_of(work, class_8c, "Fen Okoro")
    odile.school.settings = {"keep_months": 2}
    odile.school.save()
    assert retention.sessions_to_forget() == []
    later = timezone.now() + timedelta(days=70)
    session = work["classes"][0]["given"]["session"]
    assert retention.sessions_to_forget(later) == [session]
    retention.forget_who_only_came(session)
    assert not LiveSession.objects.get(pk=session).people.exists()


def test_set_work_goes_along_with_what_is_handed_over(as_odile, as_ravi, odile, ravi, give):
    from lantern.server.accounts.models import Teacher
    from lantern.server.schools.actions import hand_over

    work = give()
    Teacher.objects.filter(pk=ravi.pk).update(school=odile.school, role=Teacher.Role.KEEPER)
    ravi.refresh_from_db()
    hand_over(ravi, odile, ravi)
    assert [one["id"] for one in as_ravi("get", "/work")] == [work["id"]]


def test_a_pass_brings_its_student_the_pictures_of_a_private_set(give, class_8c):
    fen = phone_of(give(), class_8c, "Fen Okoro")
    there = fen.client.cookies["lantern_seats"].value
    fen.mine()
    assert fen.client.cookies["lantern_seats"].value == there  # once, however often the page is looked at
    other = Client()
    other.get("/api/doing/mine", headers={"authorization": f"Bearer {fen.token}"})
    assert other.cookies["lantern_seats"].value == there  # and on the other device, by the own link


def test_the_page_asks_as_often_for_a_class_of_thirty_as_for_one_of_four(
    as_odile, give, class_8c, django_assert_max_num_queries
):
    from lantern.server.classes.models import Member

    work = give()
    for number in range(26):
        Member.objects.create(of_class=class_8c, name=f"Student {number}", sort_name=f"{number}")
    with django_assert_max_num_queries(25):
        as_odile("get", f"/work/{work['id']}")


def test_the_list_says_how_far_each_piece_is_and_asks_no_more_for_many(
    as_odile, give, class_8c, django_assert_num_queries
):
    work = give()
    fen, bo = phone_of(work, class_8c, "Fen Okoro"), phone_of(work, class_8c, "Bo Tanaka-Lind")
    for phone in (fen, bo):
        phone.begin()
    bo.hand_in()
    ines = class_8c.members.get(name="Ines Dahl").person
    change = {"type": "excused", "person": ines, "excused": True}
    as_odile("post", f"/work/{work['id']}/changes", {"change": change})
    some = give(named=[ines])
    class_8c.members.filter(name="Fen Okoro").update(left_at=timezone.now())  # and does it nevertheless

    def far(row):
        return [(one["expected"], one["begun"], one["handed_in"]) for one in row["given"]]

    with CaptureQueriesContext(connection) as asked:
        rows = {row["id"]: row for row in as_odile("get", "/work")}
    of_two = len(asked)
    assert far(rows[work["id"]]) == [(3, 1, 1)]
    assert far(rows[some["id"]]) == [(1, 0, 0)]
    (part,) = as_odile("get", f"/work/{work['id']}")["classes"]
    assert part["given"] == rows[work["id"]]["given"][0]
    assert sum(not line["excused"] for line in part["lines"]) == 3
    for _ in range(3):
        give()
    with django_assert_num_queries(of_two):
        assert len(as_odile("get", "/work")) == 5


def test_a_command_in_the_servers_own_way_is_answered_as_the_api_would(give, class_8c):
    """What stands before Django says the same (`work/endpoint`)."""
    from lantern.server.work.endpoint import answering

    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.begin()
    otherwise = []

    async def rest(scope, receive, send):
        otherwise.append((await receive())["body"])

    async def ask(body, token=fen.token, path="/api/doing/commands"):
        sent = []

        async def receive():
            return {"type": "http.request", "body": body, "more_body": False}

        async def send(message):
            sent.append(message)

        headers = [(b"authorization", f"Bearer {token}".encode())]
        await answering(rest)({"path": path, "method": "POST", "headers": headers}, receive, send)
        return (sent[0]["status"], json.loads(sent[1]["body"])) if sent else None

    def body(command, number=1):
        return json.dumps({"attempt": 1, "said": {"id": "c1", "number": number, "command": command}}).encode()

    right = {"do": "answer", "ask": "q1.1", "answer": {"kind": "choice", "chosen": ["B"]}, "moves_on": True}
    status, reply = async_to_sync(ask)(body(right))
    assert (status, reply["id"], reply["mine"]["paper"]["answered"]) == (200, "c1", ["q1"])
    status, reply = async_to_sync(ask)(body({**right, "ask": "q9.1"}))
    assert (status, reply["code"]) == (409, "not_open")
    for unlike in ((b"{", fen.token), (body({"do": "shout"}), fen.token), (body(right), "forged")):
        assert async_to_sync(ask)(*unlike) is None
    assert otherwise == [b"{", body({"do": "shout"}), body(right)]  # the API answers these
