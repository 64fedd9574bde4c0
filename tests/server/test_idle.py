"""A room in which nothing happens leaves memory, also with devices in it, and nobody notices."""

import asyncio
import gc
import weakref

import pytest
from asgiref.sync import sync_to_async

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.server.live import alarms
from lantern.server.live import hub as hub_module
from lantern.server.live.actions import start_session
from lantern.server.live.connections import Audience
from tests.builders import joins
from tests.builders.hubs import do, enter

pytestmark = pytest.mark.django_db(transaction=True)
B = ChoiceAnswer(chosen=("B",))


async def asleep(hub, session):
    """The room, once every text of its devices was told and it was left alone for long."""
    room = hub.rooms[session.pk]
    state = weakref.ref(room.state)
    hub.let_sleep(asyncio.get_running_loop().time())
    assert room.sleeps
    hub._writer._forget(session.pk)
    gc.collect()
    assert state() is None
    return room


@pytest.fixture
async def asked(hubs, session):
    """A question is open, Fen's phone and the desk are there, and the room sleeps."""
    hub, _ = hubs
    await do(hub, session, joins("Fen", "k1"), joins("Bo", "k2"))
    await do(hub, session, c.Advance(0))
    desk, _, _ = await enter(hub, session, Audience.DESK)
    fen, line, _ = await enter(hub, session, Audience.STUDENT, 1)
    await desk.until(lambda view: view["here"] == 1)
    await asleep(hub, session)
    return hub, desk, fen, line


async def test_nothing_is_kept_of_a_session_that_sleeps_and_its_devices_stay(asked, session):
    hub, desk, fen, _ = asked
    assert hub.rooms[session.pk].sleeps
    assert not desk.closed.is_set()
    assert not fen.closed.is_set()


async def test_an_answer_wakes_it_and_everybody_is_told(asked, session):
    hub, desk, fen, _ = asked
    await do(hub, session, c.GiveAnswer(1, "q1.1", B))
    # All who are here have answered.
    await desk.until(lambda view: view["phase"] == "closed" and view["answered"] == 1)
    await fen.until(lambda view: view["phase"] == "closed")
    assert not hub.rooms[session.pk].sleeps


async def test_somebody_who_comes_finds_the_room_as_it_was(asked, session):
    hub, desk, _, _ = asked
    _, _, room = await enter(hub, session, Audience.STUDENT, 2)
    assert room.state.phase == "open"
    await desk.until(lambda view: view["here"] == 2)


async def test_somebody_who_goes_is_missed(asked, session, monkeypatch):
    monkeypatch.setattr(hub_module, "LINGER", 0)
    monkeypatch.setattr("lantern.server.live.room.LINGER", 0)
    hub, desk, _, line = asked
    hub.leave(hub.rooms[session.pk], line)
    await desk.until(lambda view: view["here"] == 0)


async def test_what_another_process_does_is_told(asked, hubs, session):
    _, there = hubs
    _, desk, fen, _ = asked
    await do(there, session, c.Close(1))
    await desk.until(lambda view: view["phase"] == "closed")
    await fen.until(lambda view: view["phase"] == "closed")


async def test_the_clock_goes_on_while_it_sleeps(hubs, session, monkeypatch):
    hub, _ = hubs
    await do(hub, session, joins("Fen", "k1"))
    await do(hub, session, c.Advance(0))
    desk, _, room = await enter(hub, session, Audience.DESK)
    deadline = room.state.ask.deadline
    monkeypatch.setattr(alarms, "now_ms", lambda: deadline)
    hub._alarms.cancel(session.pk)
    hub._alarms.set(room)
    await asleep(hub, session)
    await desk.until(lambda view: view["phase"] == "closed")


async def test_a_room_in_use_and_one_whose_device_waits_for_a_text_stay_awake(hubs, session):
    hub, _ = hubs
    await do(hub, session, joins("Fen", "k1"))
    _, line, room = await enter(hub, session, Audience.STUDENT, 1)
    hub.let_sleep(room.used_at - 1)
    assert not room.sleeps
    line.stale = True
    hub.let_sleep(room.used_at)
    assert not room.sleeps
    line.stale = False
    hub.let_sleep(room.used_at)
    assert room.sleeps


async def test_a_session_that_can_be_loaded_no_more_harms_no_other(asked, hubs, session, odile, knots):
    hub, desk, _, _ = asked
    other = await sync_to_async(start_session)(odile, knots, Settings())
    await sync_to_async(session.events.filter(seq=1).update)(payload='{"type": "unheard of"}')
    _, there = hubs
    await hub._processes.tell_of_change(session.pk, 99, quiet=True)
    await there._processes.tell_of_change(session.pk, 99, quiet=True)
    elsewhere, _, _ = await enter(hub, other, Audience.DESK)
    await do(there, other, joins("Fen", "k9"))
    await elsewhere.until(lambda view: len(view["people"]) == 1)
    assert hub.rooms[session.pk].sleeps
    assert not desk.closed.is_set()
