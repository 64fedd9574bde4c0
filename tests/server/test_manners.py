"""Before a run, and around it: what is offered and remembered, presets, what is prepared, feedback, opening again."""

import asyncio
import time

import pytest
from asgiref.sync import sync_to_async

from lantern.core.errors import NotPossible
from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Phase, Settings
from lantern.core.session import commands as c
from lantern.core.session.settings import Timing
from lantern.server.api.errors import NotOpenYet
from lantern.server.live import store
from lantern.server.live.actions import open_session, start_session
from lantern.server.live.connections import Audience
from lantern.server.live.models import LiveSession, Preset
from lantern.server.live.queries import reading_of, running_session
from lantern.server.live.reading_aloud import spoken_part
from lantern.server.live.schemas import AnswerToRead
from tests.builders import joins
from tests.builders.hubs import do, enter
from tools import web

pytestmark = pytest.mark.django_db(transaction=True)
B = ChoiceAnswer(chosen=("B",))
OWN = {"manner": "own_pace", "answers": "changeable", "time": {"of": "none"}, "feedback": "handed_in"}


def prepared(caller, knots, **settings):
    return caller("POST", "/live/sessions", {"set": knots.pk, "later": True, "settings": settings})


# --- what is offered -----------------------------------------------------------------------------


def test_the_dialog_begins_with_how_this_set_was_run_last(as_odile, knots):
    before = as_odile("GET", f"/live/sets/{knots.pk}/run")
    assert (before["last"], before["questions"], before["topics"]) == (None, 2, [])
    assert [(one["manner"], one["answers"]) for one in before["switched"]] == [
        ("led", "final"),
        ("led", "changeable"),
        ("own_pace", "final"),
        ("own_pace", "changeable"),
    ]
    as_odile("POST", "/live/sessions", {"set": knots.pk, "settings": {"feedback": "never", "known": "nobody"}})
    prepared(as_odile, knots, **OWN)
    after = as_odile("GET", f"/live/sets/{knots.pk}/run")
    assert (after["last"]["manner"], after["last"]["feedback"]) == ("own_pace", "handed_in")


def test_a_school_s_own_way_of_knowing_students_goes_with_it(as_odile, odile, knots):
    odile.school.settings = {**odile.school.settings, "known": "record_id"}
    odile.school.save()
    offer = as_odile("GET", f"/live/sets/{knots.pk}/run")
    assert {one["settings"]["known"] for one in offer["switched"]} == {"record_id"}


def test_a_plan_says_what_it_comes_to_and_keeps_nothing(as_odile, knots):
    body = {"set": knots.pk, "settings": {**OWN, "questions": {"pick": "each", "count": 1}}}
    plan = as_odile("POST", "/live/plan", body)
    assert plan["questions"] == 1
    assert "nobody sees another’s answers" in plan["sentences"][0]["sentence"]
    assert not LiveSession.objects.exists()


def test_presets_are_kept_under_a_name_and_are_ones_own(as_odile, as_ravi, knots):
    assert as_odile("PUT", "/live/presets", {"name": "  ", "settings": OWN}, status=422)["field"] == "name"
    kept = as_odile("PUT", "/live/presets", {"name": "  Friday   test ", "settings": OWN})
    assert kept["name"] == "Friday test"
    again = as_odile("PUT", "/live/presets", {"name": "Friday test", "settings": {"feedback": "never"}})
    assert (again["id"], again["settings"]["manner"]) == (kept["id"], "led")
    assert [one["name"] for one in as_odile("GET", f"/live/sets/{knots.pk}/run")["presets"]] == ["Friday test"]
    as_ravi("DELETE", f"/live/presets/{kept['id']}", status=404)
    as_odile("DELETE", f"/live/presets/{kept['id']}", status=204)
    assert not Preset.objects.exists()


@pytest.mark.parametrize(
    ("settings", "field"),
    [
        ({"questions": {"topics": ["tides"]}}, "topics"),
        ({**OWN, "time": {"of": "clock"}}, "until"),
        ({**OWN, "time": {"of": "clock", "until": 1}}, "until"),
        ({"known": "list"}, "of_class"),
    ],
)
def test_what_cannot_be_run_so_is_said_in_its_place(as_odile, knots, settings, field):
    for later in (False, True):
        body = {"set": knots.pk, "settings": settings, "later": later}
        assert as_odile("POST", "/live/sessions", body, status=422)["field"] == field
    assert not LiveSession.objects.exists()


def test_settings_that_are_none_are_refused(as_odile, knots):
    for settings in ({"manner": "sideways"}, {"goes_on_after": 1}, {"paper": {}}, {"closing": {"words": "x" * 501}}):
        as_odile("POST", "/live/sessions", {"set": knots.pk, "settings": settings}, status=422)


# --- what is prepared ----------------------------------------------------------------------------


def test_nobody_comes_in_before_the_doors_are_opened(as_odile, nobody, knots):
    session = prepared(as_odile, knots, **OWN)
    info = nobody("GET", f"/live/codes/{session['code']}")
    assert (info["asks"], info["prepared"], info["title"]) == (None, True, "Knots that hold")
    form = {"code": session["code"], "name": "Fen", "key": "k1"}
    assert nobody("POST", "/live/join", form, status=404)["code"] == "not_open_yet"
    assert as_odile("GET", "/sessions")["rows"] == []
    as_odile("POST", f"/live/sessions/{session['id']}/open")
    info = nobody("GET", f"/live/codes/{session['code']}")
    assert (info["asks"], info["prepared"]) == ("nickname", False)
    assert [row["id"] for row in as_odile("GET", "/sessions")["rows"]] == [session["id"]]
    as_odile("POST", f"/live/sessions/{session['id']}/open", status=409)
    as_odile("DELETE", f"/live/sessions/{session['id']}/prepared", status=409)
    as_odile("PUT", f"/live/sessions/{session['id']}/prepared", {"settings": {}}, status=409)


def test_how_it_is_run_can_be_changed_until_it_is_opened_and_so_can_its_set(as_odile, knots):
    session = prepared(as_odile, knots)
    changed = as_odile("PUT", f"/live/sessions/{session['id']}/prepared", {"settings": OWN})
    assert (changed["code"], changed["settings"]["manner"]) == (session["code"], "own_pace")
    title = {"title": "Knots that hold well"}
    as_odile("PATCH", f"/sets/{knots.pk}", title)
    opened = as_odile("POST", f"/live/sessions/{session['id']}/open")
    assert opened["title"] == "Knots that hold well"
    assert store.load(session["id"]).state.is_own_pace


def test_a_set_that_is_not_ready_any_more_is_not_opened(as_odile, knots):
    session = prepared(as_odile, knots)
    document = as_odile("GET", f"/sets/{knots.pk}")
    broken = {**document["items"][0]["item"], "prompt": ""}
    as_odile("PATCH", f"/sets/{knots.pk}", {"put": [{"base": document["items"][0]["version"], "item": broken}]})
    as_odile("POST", f"/live/sessions/{session['id']}/open", status=422)
    assert [one["id"] for one in as_odile("GET", "/live/prepared")] == [session["id"]]
    as_odile("DELETE", f"/live/sessions/{session['id']}/prepared", status=204)
    assert as_odile("GET", "/live/prepared") == []


def test_the_code_of_what_is_prepared_is_no_guess(odile, knots):
    session = start_session(odile, knots, Settings(), later=True)
    for _ in range(60):
        with pytest.raises(NotOpenYet):
            running_session(session.code, "a-device", "192.0.2.7")
    open_session(odile, session)
    assert running_session(session.code, "a-device", "192.0.2.7").pk == session.pk
    with pytest.raises(NotPossible):
        open_session(odile, session)


# --- while it runs -------------------------------------------------------------------------------


@pytest.fixture
def own(odile, knots):
    settings = Settings(manner="own_pace", answers="changeable", time=Timing(of="none"), feedback="handed_in")
    return start_session(odile, knots, settings)


async def test_a_word_to_one_reaches_that_one_alone_also_through_another_process(hubs, own):
    here, there = hubs
    await do(here, own, joins("Fen", "k1"), joins("Bo", "k2"), c.Advance(0), c.BeginPaper(1), c.BeginPaper(2))
    fen, _, _ = await enter(there, own, Audience.STUDENT, 1)
    bo, _, _ = await enter(there, own, Audience.STUDENT, 2)
    await do(here, own, c.Write("Look at the splice.", 1))
    message = await fen.next()
    while not message.get("mine") or not message["mine"]["word"]:
        message = await fen.next()
    assert message["mine"]["word"]["text"] == "Look at the splice."
    await do(here, own, c.Write("Five minutes left."))
    for device in (fen, bo):
        message = await device.next()
        while not message["view"]["word"]:
            message = await device.next()
        assert message["view"]["word"]["text"] == "Five minutes left."
    assert message["mine"]["word"] is None


async def test_a_pause_reaches_everybody_and_the_list(hubs, own):
    hub, _ = hubs
    await do(hub, own, joins("Fen", "k1"), c.Advance(0), c.BeginPaper(1))
    fen, _, _ = await enter(hub, own, Audience.STUDENT, 1)
    await do(hub, own, c.Pause(for_today=True))
    message = await fen.next()
    while message["view"]["stopped"] != "today":
        message = await fen.next()
    assert message["view"]["shown"] is None
    row = await LiveSession.objects.aget(pk=own.pk)
    assert row.stopped == "today"
    await do(hub, own, c.Resume((await hub.room(own.pk)).state.step))
    message = await fen.next()
    while not message["view"]["shown"]:
        message = await fen.next()
    row = await LiveSession.objects.aget(pk=own.pk)
    assert row.stopped == ""


async def test_each_reads_and_hears_the_question_that_is_before_them(hubs, own):
    hub, _ = hubs
    await do(hub, own, joins("Fen", "k1"), joins("Bo", "k2"), c.Advance(0), c.BeginPaper(1), c.BeginPaper(2))
    await do(hub, own, c.GoToPlace(2, "q2"))
    state = (await hub.room(own.pk)).state
    for seat, item in ((1, "q1"), (2, "q2")):
        assert reading_of(state, seat, AnswerToRead(item=item, answer=B)).read == ""
        spoken = await sync_to_async(spoken_part)(state, seat, "prompt", 0, "en")
        assert spoken.text


async def test_a_session_that_has_ended_is_opened_again_with_its_code_or_another(hubs, odile, knots, session):
    here, there = hubs
    await do(here, session, joins("Fen", "k1"), c.Advance(0), c.GiveAnswer(1, "q1.1", B), c.End())
    await there.room(session.pk)
    row = await LiveSession.objects.aget(pk=session.pk)
    assert row.ended_at
    assert row.summary
    await do(here, session, c.OpenAgain())
    row = await LiveSession.objects.aget(pk=session.pk)
    assert (row.ended_at, row.summary, row.code) == (None, None, session.code)
    assert (await here.room(session.pk)).state.phase is Phase.CLOSED
    await do(here, session, c.End())
    other = await sync_to_async(start_session)(odile, knots, Settings())
    await LiveSession.objects.filter(pk=other.pk).aupdate(code=session.code)
    await do(here, session, c.OpenAgain())
    row = await LiveSession.objects.aget(pk=session.pk)
    assert row.code != session.code
    loaded = await sync_to_async(store.load)(session.pk)
    assert loaded.code == row.code == (await here.room(session.pk)).loaded.code
    deadline = time.monotonic() + 10
    while (await there.room(session.pk)).loaded.code != row.code:  # told by the other process
        assert time.monotonic() < deadline
        await asyncio.sleep(0.02)


def test_what_was_right_is_seen_once_it_may_be(server, teacher):
    """Over the wire: before the paper is handed in, after, and by its own seat alone."""

    from tests.builders import choice
    from tools.client import answering, join

    set_id = teacher.make_set("Knots", [choice("B", id="q1").model_dump(mode="json")])
    session = teacher.start(set_id, **OWN)
    token = join(server.url, session["code"], "Fen")
    teacher.command(session["id"], "advance")
    headers = {"Authorization": f"Bearer {token}"}

    def say(**command):
        number = command.pop("number", 1)
        body = {"id": "a", "number": number, "command": command}
        return web.post(f"{server.url}/api/live/student/commands", json=body, headers=headers)

    def seen():
        return web.get(f"{server.url}/api/live/student/review", headers=headers).json()["questions"]

    assert say(do="begin").is_success
    body = answering("q1.1", {"kind": "choice", "chosen": ["A"]})
    assert web.post(f"{server.url}/api/live/student/commands", json=body, headers=headers).is_success
    assert say(do="flag", item="q1", flagged=True).is_success
    assert seen() == []
    assert say(do="hand_in").is_success
    (one,) = seen()
    assert (one["mark"], one["answer"]["chosen"], one["shown"]["key"]["right"]) == (0, ["A"], ["B"])
    assert web.get(f"{server.url}/api/live/student/review").status_code == 401
    assert say(do="go_to", item="q1").status_code == 409
