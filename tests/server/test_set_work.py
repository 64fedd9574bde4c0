"""Set work through its operations: given, done, followed, changed (docs/set-work.md)."""

import json

import pytest

from lantern.server.live.models import Attempt, AttemptEvent
from tests.server.at_work import HOUR, Phone, give, line_of, now, phone_of

__all__ = ["give", "now"]
pytestmark = pytest.mark.django_db(transaction=True)


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


def test_a_game_that_was_kept_is_given_as_it_was_kept(as_odile, knots, give, class_8c):
    own = {"manner": "own_pace", "known": "nickname", "feedback": "each", "answers": "final"}
    kept = {
        "Lamps on Friday": {**own, "game": {"game": "keepers", "gusts": True, "oil": 60}, "time": {"of": "whole"}},
        "Friday test": own,
        "Beacons as ever": {"manner": "led", "game": {"game": "beacons"}},
    }
    for name, settings in kept.items():
        as_odile("put", "/live/presets", {"name": name, "settings": settings})
    offer = as_odile("get", f"/work/of-set/{knots.pk}")
    (one,) = offer["kept"]
    assert (one["name"], one["settings"]["game"]["oil"], one["settings"]["game"]["gusts"]) == (
        "Lamps on Friday",
        60,
        False,
    )
    assert "points" not in {one["game"] for one in offer["games"]}
    work = give(settings={**one["settings"], "known": "list"})
    fen = phone_of(work, class_8c, "Fen Okoro")
    assert fen.begin()["view"]["game"]["game"] == "keepers"


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
    assert phone.mine()["ends"] is None
    assert phone.begin()["mine"]["paper"]["deadline"] == now.at + 900_000 + 300_000
    assert phone.mine()["ends"] == now.at + 900_000 + 300_000
    now.later(minutes=20)
    page = phone.mine()
    assert (page["running"], page["ends"]) == (None, None)


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
