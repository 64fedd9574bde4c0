"""Asking what would count, how a number is read, and putting marks right, over the API."""

import pytest

from lantern.core.questions import read_item
from lantern.core.questions.kinds.text_entry import TextEntryAnswer
from lantern.core.questions.marking import FIRST, LATEST
from lantern.core.session import Recorded, Settings
from lantern.core.session import commands as c
from lantern.core.session.course import replay
from lantern.core.session.engine import decide
from lantern.server.library.actions import make_set
from lantern.server.live import store
from lantern.server.live.actions import start_session
from lantern.server.live.models import LiveSession
from tests.builders import joins
from tests.builders.session import sent
from tools import web
from tools.client import join, send_answer

NOW = 1_800_000_000_000
LOOSE = {"typos": False}
WROTE = {"id": "t1", "kind": "text_entry", "prompt": "I write. I …", "accepts": ["wrote"], "strictness": LOOSE}
DEPTH = {"id": "n1", "kind": "numeric_entry", "prompt": "How deep?", "value": "12500", "unit": "m"}


def test_a_text_is_marked_as_it_would_be_in_the_set(as_odile, odile, knots):
    def verdict(item, text, part=""):
        return as_odile("post", f"/sets/{knots.pk}/would-count", {"item": item, "text": text, "part": part})["verdicts"]

    (said,) = verdict(WROTE, "write")
    assert (said["counts"], said["can_count"], said["why"]["code"]) == (False, True, "another_word")
    (said,) = verdict(DEPTH, "12,5")
    assert (said["can_count"], said["why"]["sentence"]) == (False, "Read as 12.5 m, which is not right.")
    (said,) = verdict(WROTE, "wrotte")
    assert (said["counts"], said["why"]["sentence"]) == (True, "wrotte → wrote, a slip forgiven")
    assert verdict(WROTE, "  ")[0]["answer"] is None
    gap = {"id": "g1", "kind": "gap_fill", "prompt": "Fill.", "text": "The [sea] is [calm]."}
    assert [v["counts"] for part in ("1", "2") for v in verdict(gap, "Calm.", part)] == [False, True]
    near = as_odile("post", f"/sets/{knots.pk}/would-count", {"item": WROTE})["verdicts"]
    assert {"WROTE", "wrote."} <= {one["text"] for one in near}
    refused = as_odile("post", f"/sets/{knots.pk}/would-count", {"item": WROTE, "text": "x", "part": "7"}, 422)
    assert refused["family"] == "bad_answer"


def test_words_of_the_sets_other_questions_are_words(as_odile, odile):
    other = {"id": "t2", "kind": "text_entry", "prompt": "?", "accepts": ["tvätten"]}
    item = {"id": "t1", "kind": "text_entry", "prompt": "?", "accepts": ["tvätter"], "strictness": LOOSE}
    made = as_odile("post", "/sets", {"title": "Ord"})
    put = [{"base": 0, "item": one} for one in (item, other)]
    as_odile("patch", f"/sets/{made['id']}", {"put": put, "order": ["t1", "t2"], "about": {"language": "sv"}})
    said = as_odile("post", f"/sets/{made['id']}/would-count", {"item": item, "text": "tvätten"})["verdicts"][0]
    assert (said["counts"], said["why"]["code"]) == (False, "another_word")


@pytest.mark.parametrize(
    ("text", "language", "value"),
    [
        ("1,000", "en", "1000"),
        ("1,000", "de", "1"),
        ("12.500", "de", "12500"),
        ("", "en", None),
        ("a dozen", "en", None),
    ],
)
def test_a_teachers_number_is_read_by_the_same_reader(as_odile, text, language, value):
    read = as_odile("post", "/sets/read-number", {"text": text, "language": language})
    assert read["value"] == value
    assert bool(read["sentence"]) == (text == "a dozen")


def test_a_kind_is_turned_in_the_language_of_the_set(as_odile):
    item = {"id": "t1", "kind": "text_entry", "prompt": "?", "accepts": ["12.500 m"]}
    turned = as_odile("post", "/sets/turn", {"item": item, "into": "numeric_entry", "language": "de"})["item"]
    assert (turned["value"], turned["unit"]) == ("12500", "m")


def test_pasted_numbers_are_read_in_the_language_of_the_set(as_odile):
    text = "How deep is it?\nAnswer: 12.500 m"
    for language, value in (("de", "12500"), ("en", "12.5")):
        reply = as_odile.client.post("/api/exchange/read", {"text": text, "language": language})
        assert reply.json()["found"]["entries"][0]["item"]["value"] == value
        body = {"text": text, "language": language}
        assert as_odile("post", "/exchange/mend", body)["entries"][0]["item"]["value"] == value


@pytest.fixture
def of_before(odile):
    """A session from before the rules were set anew, ended: "write" was taken for a slip of "wrote"."""
    question_set = make_set(odile, "Verbs", (read_item.validate_python(WROTE),))
    session = start_session(odile, question_set, Settings())
    LiveSession.objects.filter(pk=session.pk).update(rules=FIRST)
    loaded = store.load(session.pk)
    state, history = loaded.state, []
    commands = [joins("Fen", "k1"), c.Advance(0), c.GiveAnswer(1, "t1.1", TextEntryAnswer(text="write")), c.End()]
    for number, command in enumerate(commands, start=1):
        by = sent(command, number, NOW)
        records = [Recorded(by, event) for event in decide(state, command, by)]
        state, history = replay(state, records), history + records
    store.append(loaded, state, history)
    return LiveSession.objects.get(pk=session.pk)


def test_a_session_of_before_keeps_its_marks_and_says_what_would_change(as_odile, of_before):
    report = as_odile("get", f"/sessions/{of_before.pk}/report")["report"]
    assert (report["mean_share"], report["marked_otherwise"]) == (1, 1)
    said = as_odile("post", f"/sessions/{of_before.pk}/would-count", {"item": "t1", "text": "write"})
    assert (said["counts"], "rules that this session was run with" in said["why"]["sentence"]) == (True, True)


def test_new_sessions_are_marked_by_the_rules_of_today(odile, knots):
    assert start_session(odile, knots, Settings()).rules == LATEST


def test_what_scores_are_out_of_is_chosen_for_page_and_workbook(as_odile, of_before):
    for counting in ("since_joined", "everything"):
        assert as_odile("get", f"/sessions/{of_before.pk}/report?counting={counting}")["report"]["counting"] == counting
        assert as_odile("get", f"/sessions/{of_before.pk}/workbook.xlsx?counting={counting}").status_code == 200
    as_odile("get", f"/sessions/{of_before.pk}/report?counting=nothing", status=422)


def test_marks_are_put_right_after_the_end_and_read_in_the_list(server, teacher):
    set_id = teacher.make_set("Depths", [WROTE, DEPTH])
    session = teacher.start(set_id, close_when_all_answered=False)
    token = join(server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    send_answer(server.url, token, "t1", {"kind": "text_entry", "text": "penned"})
    teacher.command(session["id"], "go_to", item="n1")
    read = {"item": "n1", "answer": {"kind": "numeric_entry", "text": "12,500 m"}}
    header = {"Authorization": f"Bearer {token}"}
    reply = web.post(f"{server.url}/api/live/student/reading", json=read, headers=header)
    assert reply.json() == {"read": "12500 m"}
    read["answer"]["text"] = "12 kg"
    reply = web.post(f"{server.url}/api/live/student/reading", json=read, headers=header)
    assert (reply.status_code, reply.json()["family"]) == (422, "bad_answer")
    read["item"] = "t1"
    assert web.post(f"{server.url}/api/live/student/reading", json=read, headers=header).json()["code"] == "not_open"
    send_answer(server.url, token, "n1", {"kind": "numeric_entry", "text": "12.5"})
    teacher.command(session["id"], "end")

    def shares():
        report = teacher.call("GET", f"/sessions/{session['id']}/report")["report"]
        row = next(row for row in teacher.call("GET", "/sessions")["rows"] if row["id"] == session["id"])
        return report["mean_share"], row["mean_share"]

    assert shares() == (0, 0)
    teacher.command(session["id"], "count_as_right", item="t1", answer={"kind": "text_entry", "text": "penned"})
    assert shares() == (0.5, 0.5)
    teacher.command(session["id"], "take_back", item="t1")
    assert shares() == (0, 0)
