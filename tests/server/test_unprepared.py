"""A session with nothing prepared, and what was asked on the spot in the library."""

import pytest
from asgiref.sync import sync_to_async

from lantern.core.questions.kinds.choice import ChoiceAnswer, ChoiceItem, Option
from lantern.core.questions.kinds.letter import LetterAnswer, LetterItem
from lantern.core.session import Actor, Phase, Recorded, Role, Sent, Settings, decide, replay
from lantern.core.session import commands as c
from lantern.server.library.models import QuestionSet
from lantern.server.library.queries import content_of
from lantern.server.live import store
from lantern.server.live.actions import keep_asked, start_session
from lantern.server.live.schemas import KeepAsked
from tests.builders import joins
from tests.builders.hubs import do

pytestmark = pytest.mark.django_db(transaction=True)
NOTHING = {"set": None, "title": "Asked on Friday"}
TIDE = LetterItem(id="tide", letters=6)
EBB_OR_FLOW = (Option(id="a", text="Ebb"), Option(id="b", text="Flow"))
CHOSEN = ChoiceItem(id="flow", prompt="Which comes first?", options=EBB_OR_FLOW)
ANSWERS = {"letter": LetterAnswer(letter="C"), "choice": ChoiceAnswer(chosen=("a",))}


async def step(hub, session):
    return (await hub.room(session.pk)).state.step


async def asked(hub, session, *items):
    """Asked one after the other; Fen answers each."""
    for item in items:
        await do(hub, session, c.AskNow(await step(hub, session), item))
        await do(hub, session, c.GiveAnswer(1, f"{item.id}.1", ANSWERS[item.kind]))


def test_a_session_begins_with_nothing_and_is_led(as_odile):
    offer = as_odile("GET", "/live/unprepared")
    assert (offer["settings"]["manner"], offer["of_class"]) == ("led", None)
    session = as_odile("POST", "/live/sessions", {**NOTHING, "settings": {**offer["settings"], "known": "nobody"}})
    assert (session["set"], session["title"]) == (None, "Asked on Friday")
    again = as_odile("GET", f"/live/sessions/{session['id']}")
    assert again["set"] is None
    assert as_odile("GET", "/live/unprepared")["settings"]["known"] == "nobody"
    assert [row["title"] for row in as_odile("GET", "/sessions")["rows"]] == ["Asked on Friday"]
    assert as_odile("GET", f"/sessions/{session['id']}/report")["set"] is None


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"title": "  "}, "title"),
        ({"later": True}, "settings"),
        ({"settings": {"manner": "own_pace"}}, "settings"),
        ({"settings": {"known": "list"}}, "of_class"),
    ],
)
def test_what_cannot_begin_with_nothing_is_said_in_its_place(as_odile, more, field):
    assert as_odile("POST", "/live/sessions", {**NOTHING, **more}, status=422)["field"] == field


async def test_what_was_asked_is_there_after_a_restart(hubs, odile):
    here, there = hubs
    session = await sync_to_async(start_session)(odile, None, Settings(), title="Asked on Friday")
    await do(here, session, joins("Fen", "k1"))
    await asked(here, session, TIDE)
    await do(here, session, c.Close(await step(here, session)), c.SetKey("tide", LetterAnswer(letter="C")))
    state = (await there.room(session.pk)).state
    assert (state.phase, state.ids, state.asked_now) == (Phase.CLOSED, ["tide"], {"tide"})
    assert state.responses("tide")[0].mark == 1


async def test_the_library_keeps_what_was_asked_as_it_stands_and_keeps_it_once(hubs, odile):
    hub, _ = hubs
    session = await sync_to_async(start_session)(odile, None, Settings(), title="Asked on Friday")
    await do(hub, session, joins("Fen", "k1"))
    await asked(hub, session, TIDE, CHOSEN)
    await do(
        hub,
        session,
        c.SetKey("tide", LetterAnswer(letter="C")),
        c.AskNow(await step(hub, session), LetterItem(id="left")),
    )
    await do(hub, session, c.End())
    keep = sync_to_async(keep_asked)
    kept = await keep(odile, session, KeepAsked(title="From the fog"))
    assert (kept.questions, kept.kept) == (2, 2)
    assert await keep(odile, session, KeepAsked(title="From the fog")) == kept
    made = await QuestionSet.objects.aget(owner=odile)
    content = await sync_to_async(content_of)(made)
    assert (made.pk, content.title, [item.id for item in content.items]) == (kept.set, "From the fog", ["tide", "flow"])
    assert content.items[0].right == ("C",)
    await do(hub, session, c.OpenAgain())
    await asked(hub, session, LetterItem(id="more"))
    assert (await keep(odile, session, KeepAsked(title="And more"))).kept == 3
    assert await QuestionSet.objects.filter(owner=odile).acount() == 2


async def test_they_can_go_into_the_set_that_was_run(hubs, odile, knots, session):
    hub, _ = hubs
    await do(hub, session, joins("Fen", "k1"))
    await asked(hub, session, TIDE)
    kept = await sync_to_async(keep_asked)(odile, session, KeepAsked(add=True))
    assert (kept.set, kept.kept) == (knots.pk, 1)
    await knots.arefresh_from_db()
    content = await sync_to_async(content_of)(knots)
    assert content.items[-1].id == "tide"
    state = (await hub.room(session.pk)).state
    assert state.ids[0] == "tide"  # the session is as it was


def test_a_set_of_its_own_wants_a_title(as_odile, odile, asked_session):
    path = f"/live/sessions/{asked_session.pk}/asked-now"
    assert as_odile("GET", path) == {"questions": 1, "kept": 0, "set": None}
    assert as_odile("POST", path, {"title": " "}, status=422)["field"] == "title"
    assert as_odile("POST", path, {"title": "From the fog"})["kept"] == 1


@pytest.fixture
def asked_session(odile):
    session = start_session(odile, None, Settings(), title="Asked on Friday")
    loaded = store.load(session.pk)
    sent = Sent(Actor(Role.DESK, odile.pk, "p"), 1, 1_800_000_000_000)
    events = [Recorded(sent, event) for event in decide(loaded.state, c.AskNow(0, TIDE), sent)]
    store.append(loaded, replay(loaded.state, events), events)
    return session
