"""Set work through its operations: given, done, followed, changed (docs/set-work.md)."""

import json
from datetime import timedelta

import pytest
from asgiref.sync import async_to_sync
from django.test import Client
from django.utils import timezone

from lantern.server.live import clock
from lantern.server.live.models import Attempt, AttemptEvent
from tests.server.conftest import Caller

pytestmark = pytest.mark.django_db(transaction=True)
HOUR = 3_600_000


@pytest.fixture
def now(monkeypatch):
    """The server's clock, moved by hand."""

    class Now:
        at = round(timezone.now().timestamp() * 1000)

        def __call__(self):
            return self.at

        def later(self, **span):
            self.at += round(timedelta(**span).total_seconds() * 1000)

    found = Now()
    for module in ("actions", "doing", "own_page", "queries", "reminding"):
        monkeypatch.setattr(f"lantern.server.work.{module}.now_ms", found)
    monkeypatch.setattr("lantern.server.live.sockets.now_ms", found)
    assert clock
    return found


class Phone:
    """A student's device, over HTTP."""

    def __init__(self, url, key):
        self.link, self.key = url.rsplit("/", 1)[-1], key
        self.client, self.token, self.numbers = Client(), "", {}

    def call(self, method, path, body=None, status=200):
        headers = {"authorization": f"Bearer {self.token}"} if self.token else {}
        reply = self.client.generic(
            method,
            f"/api/doing{path}",
            json.dumps(body) if body is not None else "",
            "application/json",
            headers=headers,
        )
        assert reply.status_code == status, f"{reply.status_code}: {reply.content[:400]!r}"
        return reply.json()

    def door(self, status=200):
        return self.call("GET", f"/at/{self.link}", status=status)

    def enter(self, status=200, **who):
        found = self.call("POST", f"/at/{self.link}", {"key": self.key, **who}, status)
        self.token = found.get("token", "")
        return found

    def mine(self, status=200):
        return self.call("GET", "/mine", status=status)

    def begin(self, status=200):
        return self.call("POST", "/attempts", {}, status)

    def say(self, command, attempt=1, number=None, status=200):
        what = command.get("ask", command["do"])
        count = self.numbers[what] = number or self.numbers.get(what, 0) + 1
        body = {"attempt": attempt, "said": {"id": f"c{count}", "number": count, "command": command}}
        return self.call("POST", "/commands", body, status)

    def answer(self, ask, *letters, attempt=1, status=200, moves_on=True):
        given = {"kind": "choice", "chosen": list(letters)}
        return self.say({"do": "answer", "ask": ask, "answer": given, "moves_on": moves_on}, attempt, status=status)

    def hand_in(self, attempt=1, status=200):
        return self.say({"do": "hand_in"}, attempt, status=status)


@pytest.fixture
def give(as_odile: Caller, knots, class_8c, now):
    def given(purpose="homework", status=200, /, classes=None, **changes):
        offer = as_odile("get", f"/work/of-set/{knots.pk}")
        start = next(one for one in offer["starts"] if one["purpose"] == purpose)
        terms = {**start["terms"], "due": now.at + 24 * HOUR, **changes.pop("terms", {})}
        settings = {**start["settings"], "known": "list", "mix_options": False, "mix_questions": False}
        settings |= changes.pop("settings", {})
        form = {
            "set": knots.pk,
            "terms": terms,
            "settings": settings,
            "classes": [class_8c.pk] if classes is None else classes,
            **changes,
        }
        return as_odile("post", "/work", form, status)

    return given


def phone_of(work, class_8c, name, key=None):
    """Somebody of the class, who has said who they are."""
    phone = Phone(work["classes"][0]["given"]["url"], key or f"key-{name.split()[0]}")
    phone.enter(member=class_8c.members.get(name=name).person)
    return phone


def line_of(work, name):
    return next(line for line in work["classes"][0]["lines"] if line["name"] == name)


def test_it_is_given_done_and_followed(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    page = fen.mine()
    assert (page["title"], page["door"], page["running"], page["why_not"]) == ("Knots that hold", "open", None, None)
    paper = fen.begin()
    assert [one["shown"]["ask"] for one in paper["questions"]] == ["q1.1", "q2.1"]
    reply = fen.answer("q1.1", "B")
    assert (reply["mine"]["paper"]["answered"], reply["mine"]["paper"]["at"]) == (["q1"], "q2")
    fen.answer("q2.1", "A", "C")
    assert fen.hand_in()["mine"]["paper"]["handed_in"] == "hand"
    (attempt,) = fen.mine()["attempts"]
    assert (attempt["score"], attempt["out_of"], attempt["review"], attempt["late"]) == (2, 2, True, False)
    line = line_of(as_odile("get", f"/work/{work['id']}"), "Fen Okoro")
    assert (line["stage"], line["share"], line["attempts"][0]["why"]) == ("handed_in", 1, "hand")
    assert line_of(work, "Bo Tanaka-Lind")["stage"] == "not_begun"
    session = work["classes"][0]["given"]["session"]
    report = as_odile("get", f"/sessions/{session}/report")["report"]
    assert [(p["name"], p["score"]) for p in report["people"]] == [("Fen Okoro", 2)]
    assert (Attempt.objects.count(), AttemptEvent.objects.count()) == (1, 5)


# --- what one may do, and when ---------------------------------------------------------------------------


def test_before_it_opens_a_link_tells_nothing_but_when_that_is_b1(give, class_8c, now):
    work = give(terms={"opens": now.at + HOUR})
    phone = Phone(work["classes"][0]["given"]["url"], "k1")
    door = phone.door()
    assert (door["door"], door["opens"], door["title"], door["teacher"], door["asks"]) == (
        "not_yet",
        now.at + HOUR,
        "",
        "",
        None,
    )
    assert phone.enter(409, member=class_8c.members.first().person)["code"] == "work_not_yet"
    now.later(hours=1)
    assert phone.door()["title"] == "Knots that hold"


def test_a_link_that_nobody_was_given_leads_nowhere(nobody):
    assert nobody("get", "/doing/at/no-such-link", status=404)["family"] == "not_found"


@pytest.mark.parametrize("token", ["", "1.1.abc", "1.1.abcdefghij:forged"])
def test_a_pass_that_was_not_given_opens_nothing(give, token):
    phone = Phone(give()["classes"][0]["given"]["url"], "k1")
    phone.token = token
    assert phone.call("GET", "/mine", status=401)["code"] in ("unknown_pass", "signed_out")


def test_late_work_is_taken_and_marked_so_or_refused_b2(as_odile, give, class_8c, now):
    taken, closed = give(), give(terms={"after": "closed"})
    phones = [phone_of(work, class_8c, "Fen Okoro", f"k{n}") for n, work in enumerate((taken, closed))]
    for phone in phones:
        phone.begin()
        phone.answer("q1.1", "B")
    now.later(hours=25)
    phones[0].answer("q2.1", "A", "C")
    phones[0].hand_in()
    assert phones[0].mine()["attempts"][0]["late"]
    assert line_of(as_odile("get", f"/work/{taken['id']}"), "Fen Okoro")["late"]
    assert phones[1].answer("q2.1", "A", "C", status=409)["code"] == "handed_in"
    (attempt,) = phones[1].mine()["attempts"]
    assert (attempt["why"], attempt["late"], attempt["ended_at"], attempt["answered"]) == (
        "due",
        False,
        closed["terms"]["due"],
        1,
    )
    assert phones[1].begin(409)["code"] == "work_closed"


def test_an_attempts_own_time_ends_it_also_with_a_closed_lid_b3(give, class_8c, now):
    work = give(settings={"time": {"of": "whole", "whole": 600}})
    fen = phone_of(work, class_8c, "Fen Okoro")
    paper = fen.begin()["mine"]["paper"]
    assert paper["deadline"] == now.at + 600_000
    fen.answer("q1.1", "B")
    now.later(minutes=9)
    assert fen.call("GET", "/attempts/1")["mine"]["paper"]["handed_in"] is None
    now.later(minutes=2)
    (attempt,) = fen.mine()["attempts"]
    assert (attempt["why"], attempt["ended_at"]) == ("time", paper["deadline"])


def test_who_needs_more_time_has_it_and_is_given_more_by_the_teacher_b3(as_odile, give, class_8c, now):
    work = give(settings={"time": {"of": "whole", "whole": 600}})
    bo = class_8c.members.get(name="Bo Tanaka-Lind")
    bo.needs = {"time": 1.5}
    bo.save()
    phone = phone_of(work, class_8c, "Bo Tanaka-Lind")
    as_odile(
        "post", f"/work/{work['id']}/changes", {"change": {"type": "more_time", "person": bo.person, "minutes": 5}}
    )
    assert phone.begin()["mine"]["paper"]["deadline"] == now.at + 900_000 + 300_000


def test_attempts_are_counted_and_which_counts_is_told_b4(as_odile, give, class_8c):
    work = give(terms={"attempts": 2, "counts": "best"})
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    assert fen.begin(409)["code"] == "attempt_running"
    fen.answer("q1.1", "B")
    fen.hand_in()
    fen.begin()
    fen.answer("q1.1", "C", attempt=2)
    fen.hand_in(attempt=2)
    assert fen.begin(409)["code"] == "no_attempt_left"
    assert [one["counts"] for one in fen.mine()["attempts"]] == [True, False]
    line = line_of(as_odile("get", f"/work/{work['id']}"), "Fen Okoro")
    assert (line["share"], line["attempts_left"], len(line["attempts"])) == (0.5, 0, 2)
    person = class_8c.members.get(name="Fen Okoro").person
    as_odile("post", f"/work/{work['id']}/changes", {"change": {"type": "one_more_attempt", "person": person}})
    assert fen.begin()["attempt"] == 3
    report = as_odile("get", f"/sessions/{work['classes'][0]['given']['session']}/report")["report"]
    assert [(one["name"], one["score"]) for one in report["people"]] == [("Fen Okoro", 1)]


def test_a_target_ends_an_attempt_b5(give, class_8c, now):
    work = give("practice", terms={"target": {"right": 1, "minutes": 10}})
    fen, bo = phone_of(work, class_8c, "Fen Okoro"), phone_of(work, class_8c, "Bo Tanaka-Lind")
    fen.begin()
    bo.begin()
    assert fen.answer("q1.1", "B")["mine"]["paper"]["handed_in"] == "target"
    assert bo.answer("q1.1", "C")["mine"]["paper"]["handed_in"] is None
    now.later(minutes=10)
    assert bo.mine()["attempts"][0]["why"] == "target"


def test_what_was_given_stays_whatever_becomes_of_the_set_b6(as_odile, give, class_8c, knots):
    work = give()
    item = knots.items.get(key="q1")
    body = {"put": [{"base": item.version, "item": {**item.body, "prompt": "Something else"}}]}
    as_odile("patch", f"/sets/{knots.pk}", body)
    fen = phone_of(work, class_8c, "Fen Okoro")
    assert "Something else" not in json.dumps(fen.begin())


# --- changes ---------------------------------------------------------------------------------------------


def test_a_later_due_for_one_is_theirs_alone_and_stands_in_the_list_of_changes_b7(as_odile, give, class_8c, now):
    work = give(terms={"after": "closed"})
    fen, bo = phone_of(work, class_8c, "Fen Okoro"), phone_of(work, class_8c, "Bo Tanaka-Lind")
    later = now.at + 48 * HOUR
    person = class_8c.members.get(name="Fen Okoro").person
    change = {"type": "due_moved", "due": later, "person": person}
    found = as_odile("post", f"/work/{work['id']}/changes", {"change": change})
    assert [(one["by"], one["what"]["code"], one["what"]["params"]["name"]) for one in found["changes"]] == [
        ("Odile Brandt", "change_due", "Fen Okoro")
    ]
    now.later(hours=25)
    assert (fen.mine()["door"], bo.mine()["door"]) == ("open", "closed")
    assert (fen.mine()["due"], line_of(as_odile("get", f"/work/{work['id']}"), "Fen Okoro")["due"]) == (later, later)


def test_who_is_excused_is_not_waited_for_and_may_do_it_all_the_same_b7(as_odile, give, class_8c):
    work = give()
    person = class_8c.members.get(name="Ines Dahl").person
    found = as_odile(
        "post", f"/work/{work['id']}/changes", {"change": {"type": "excused", "person": person, "excused": True}}
    )
    assert (line_of(found, "Ines Dahl")["stage"], found["classes"][0]["given"]["expected"]) == ("excused", 3)
    report = as_odile("get", f"/sessions/{work['classes'][0]['given']['session']}/report")["report"]
    assert "Ines Dahl" not in report["attendance"][0]["absent"]
    assert phone_of(work, class_8c, "Ines Dahl").mine()["excused"]


def test_what_is_taken_back_takes_nothing_until_it_is_given_again_b7(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    path = f"/work/{work['id']}/changes"
    as_odile("post", path, {"change": {"type": "withdrawn", "withdrawn": True}})
    assert (fen.mine()["door"], fen.mine()["title"]) == ("withdrawn", "")
    assert fen.answer("q1.1", "B", status=409)["code"] == "work_withdrawn"
    as_odile("post", path, {"change": {"type": "withdrawn", "withdrawn": False}})
    assert fen.say({"do": "flag", "item": "q1", "flagged": True})["mine"]["paper"]["flagged"] == ["q1"]


def test_an_attempt_is_opened_again_unless_it_was_told_what_was_right_b8(as_odile, give, class_8c):
    open_, told = give(settings={"feedback": "opened"}), give()
    for work, status in ((open_, 200), (told, 409)):
        fen = phone_of(work, class_8c, "Fen Okoro", f"k{work['id']}")
        fen.begin()
        fen.hand_in()
        given = work["classes"][0]["given"]["id"]
        as_odile("post", f"/work/{work['id']}/given/{given}/reopen", {"seat": 1}, status)
    fen = phone_of(open_, class_8c, "Fen Okoro", f"k{open_['id']}")
    assert fen.mine()["running"] == 1
    fen.answer("q1.1", "B")


# --- who one is ------------------------------------------------------------------------------------------


def test_a_name_is_ones_own_until_the_teacher_frees_it_or_the_own_link_is_opened_b9(as_odile, give, class_8c):
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    person = class_8c.members.get(name="Fen Okoro").person
    other = Phone(work["classes"][0]["given"]["url"], "another")
    assert other.enter(409, member=person)["code"] == "work_name_taken"
    assert next(one for one in other.door()["names"] if one["name"] == "Fen Okoro")["taken"]
    other.token = fen.token
    assert other.mine()["running"] == 1  # the own link
    given = work["classes"][0]["given"]["id"]
    as_odile("post", f"/work/{work['id']}/given/{given}/free", {"who": person})
    assert fen.mine(401)["code"] == "unknown_pass"
    other.token = ""
    other.enter(member=person)
    assert other.mine()["running"] == 1


def test_who_is_known_by_one_piece_is_known_by_the_next_of_the_class_b9(give, class_8c):
    first, second = give(), give()
    fen = phone_of(first, class_8c, "Fen Okoro")
    there = Phone(second["classes"][0]["given"]["url"], fen.key)
    there.enter(known=fen.token)
    assert there.mine()["name"] == "Fen Okoro"
    assert [one["link"] for one in there.mine()["others"]] == [fen.link]
    stranger = Phone(second["classes"][0]["given"]["url"], "another")
    assert stranger.enter(422, known=fen.token)["code"] == "name_not_picked"  # somebody is there under that name


def test_an_older_pass_of_the_same_student_takes_nothing_from_the_new_one(as_odile, give, class_8c):
    """Both may come in one batch."""
    from lantern.server.work import doing
    from lantern.server.work.passes import read_pass
    from lantern.server.work.schemas import DoingCommand

    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro")
    fen.begin()
    old, person = fen.token, class_8c.members.get(name="Fen Okoro").person
    given = work["classes"][0]["given"]["id"]
    as_odile("post", f"/work/{work['id']}/given/{given}/free", {"who": person})
    fen.enter(member=person)
    said = {"attempt": 1, "said": {"id": "c1", "number": 1, "command": {"do": "flag", "item": "q1", "flagged": True}}}
    wanted = [doing.Wanted(read_pass(token), DoingCommand.model_validate(said)) for token in (old, fen.token, old)]
    first, second, third = doing.commands(wanted)
    assert (first.code, json.loads(second)["id"], third.code) == ("unknown_pass", "c1", "unknown_pass")


def test_somebody_else_at_the_same_device_is_somebody_else(give, class_8c):
    """A device that says it is another's comes with another key."""
    work = give()
    fen = phone_of(work, class_8c, "Fen Okoro", "one-key")
    fen.begin()
    bo = phone_of(work, class_8c, "Bo Tanaka-Lind", "another-key")
    assert (bo.mine()["name"], bo.mine()["attempts"]) == ("Bo Tanaka-Lind", [])


def test_several_attempts_and_people_stay_apart(give, class_8c):
    work = give(terms={"attempts": None})
    fen, bo = phone_of(work, class_8c, "Fen Okoro"), phone_of(work, class_8c, "Bo Tanaka-Lind")
    fen.begin()
    bo.begin()
    fen.answer("q1.1", "B")
    assert bo.call("GET", "/attempts/1")["mine"]["paper"]["answered"] == []
    assert bo.call("GET", "/attempts/2", status=409)["code"] == "not_begun"


# --- on the way ------------------------------------------------------------------------------------------


def test_a_command_that_comes_twice_or_late_counts_once_b10(give, class_8c):
    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.begin()
    given = {"do": "answer", "ask": "q1.1", "answer": {"kind": "choice", "chosen": ["C"]}}
    fen.say(given, number=1)
    before = AttemptEvent.objects.count()
    fen.say(given, number=1)
    assert AttemptEvent.objects.count() == before
    fen.say({**given, "answer": {"kind": "choice", "chosen": ["B"]}}, number=3)
    fen.say(given, number=2)  # overtaken on the way
    (question,) = [one for one in fen.call("GET", "/attempts/1")["questions"] if one["shown"]["ask"] == "q1.1"]
    assert (question["answer"]["chosen"], question["number"]) == (["B"], 3)


@pytest.mark.parametrize(
    ("command", "status"),
    [
        ({"do": "answer", "ask": "q9.1", "answer": {"kind": "choice", "chosen": ["B"]}}, 409),
        ({"do": "answer", "ask": "q1.2", "answer": {"kind": "choice", "chosen": ["B"]}}, 409),
        ({"do": "answer", "ask": "q1.1", "answer": {"kind": "choice", "chosen": ["Z"]}}, 422),
        ({"do": "answer", "ask": "q1.1", "answer": {"kind": "text_entry", "text": "B"}}, 422),
        ({"do": "begin"}, 409),
        ({"do": "note", "text": "help"}, 409),
        ({"do": "go_to", "item": "elsewhere"}, 409),
        ({"do": "shout"}, 422),
    ],
)
def test_what_a_device_cannot_do_changes_nothing(give, class_8c, command, status):
    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.begin()
    before = AttemptEvent.objects.count()
    fen.say(command, status=status)
    assert AttemptEvent.objects.count() == before


def test_a_device_that_goes_on_and_on_is_stopped_and_can_still_hand_in(give, class_8c, monkeypatch):
    from lantern.server.work import doing

    monkeypatch.setattr(doing, "most_events", lambda questions: 8)
    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.begin()
    flags = [fen.call("POST", "/commands", flagging(number), 200 if number < 7 else 429) for number in range(1, 9)]
    assert flags[-1]["code"] == "too_fast"
    assert fen.hand_in()["mine"]["paper"]["handed_in"] == "hand"


def flagging(number):
    command = {"do": "flag", "item": "q1", "flagged": bool(number % 2)}
    return {"attempt": 1, "said": {"id": f"f{number}", "number": number, "command": command}}


def test_no_device_says_more_than_anybody_could_press(give, class_8c, settings):
    from lantern.server.api import limits

    settings.RATE_LIMITS_ON = True
    fen = phone_of(give(), class_8c, "Fen Okoro")
    fen.begin()
    limits.forget_all()
    for _ in range(limits.WORK_COMMANDS.amount):
        fen.call("POST", "/commands", {**flagging(1), "attempt": 9}, 409)
    assert fen.call("POST", "/commands", flagging(1), 429)["code"] == "too_many_tries"


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
    assert [(one["name"], one["score"]) for one in report["people"]] == [("Student 1", 1)]  # the figure stays


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
