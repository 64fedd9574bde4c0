"""Hubs of two processes that share a database and a channel layer, on one loop."""

import asyncio
from itertools import count

import pytest
from asgiref.sync import sync_to_async

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.server.live import hub as hub_module
from lantern.server.live.actions import start_session
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Audience, Connection
from lantern.server.live.hub import GATHER, Hub
from tests.builders import joins
from tests.builders.session import sent
from tests.builders.wire import Device

pytestmark = pytest.mark.django_db(transaction=True)


@pytest.fixture
async def hubs():
    pair = Hub(), Hub()
    yield pair
    for hub in pair:
        hub.stop()


@pytest.fixture
def session(odile, knots):
    return start_session(odile, knots, Settings(close_when_all_answered=True))


async def enter(hub, session, role, seat=None):
    device = Device()
    room = await hub.room(session.pk)
    connection = Connection(role, seat, device)
    hub.enter(room, connection)
    return device, connection, room


_numbers = count(1)


async def do(hub, session, command):
    outcome = await hub.submit(session.pk, command, sent(command, next(_numbers), now_ms()))
    assert outcome.error is None, outcome.error
    return outcome


async def test_a_change_in_one_process_reaches_the_devices_of_the_other(hubs, session):
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await enter(here, session, Audience.DESK)
    await do(here, session, c.Advance(0))
    await phone.phase("open")


async def test_a_question_waits_for_a_student_on_the_other_process(hubs, session):
    here, there = hubs
    for key in ("k1", "k2"):
        await do(here, session, joins(key, key))
    phone, _, room = await enter(here, session, Audience.STUDENT, 1)
    await enter(there, session, Audience.STUDENT, 2)
    await there._notify({"session": session.pk, "present": [2]})
    await asyncio.sleep(0.05)
    assert room.present() == {1, 2}
    await do(here, session, c.Advance(0))
    answer = ChoiceAnswer(chosen=("B",))
    await do(here, session, c.GiveAnswer(1, "q1.1", answer))
    await asyncio.sleep(0.3)
    assert room.state.phase == "open"
    await do(here, session, c.GiveAnswer(2, "q1.1", answer))
    await phone.phase("closed")


async def test_many_answers_become_few_messages(hubs, session):
    hub, _ = hubs
    for number in range(40):
        await do(hub, session, joins(f"S{number}", f"k{number}"))
    desk, _, _ = await enter(hub, session, Audience.DESK)
    await do(hub, session, c.Advance(0))
    await desk.phase("open")
    answer = ChoiceAnswer(chosen=("B",))
    start = hub.loop.time()
    for number in range(1, 41):
        await do(hub, session, c.GiveAnswer(number, "q1.1", answer))
    messages, last = 0, {"answered": 0}
    async with asyncio.timeout(10):
        while last["answered"] < 40:
            messages, last = messages + 1, (await desk.next())["view"]
    # However long it took: no more than five a second, and one more at each end.
    assert messages <= (hub.loop.time() - start) / GATHER + 2


async def test_a_device_that_left_is_sent_nothing(hubs, session):
    hub, _ = hubs
    await do(hub, session, joins("Fen", "k1"))
    phone, connection, room = await enter(hub, session, Audience.STUDENT, 1)
    hub.leave(room, connection)
    await do(hub, session, c.Advance(0))
    await asyncio.sleep(0.1)
    assert phone.inbox.empty()


async def test_a_room_is_loaded_once_however_many_come_at_once(hubs, session):
    hub, _ = hubs
    found = await asyncio.gather(*(hub.room(session.pk) for _ in range(20)))
    assert all(room is found[0] for room in found)


@pytest.mark.slow
async def test_the_listener_outlives_a_fault_of_the_channel_layer(hubs, session, monkeypatch):
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await there._notify({"session": session.pk})
    real = there._heard
    faults = []

    async def faulty(notice):
        if not faults:
            faults.append(notice)
            raise ConnectionError("the layer went away")
        await real(notice)

    monkeypatch.setattr(there, "_heard", faulty)
    await here._notify({"session": session.pk})
    await asyncio.sleep(1.3)
    assert faults
    await do(here, session, c.Advance(0))
    await here._notify({"session": session.pk})
    await phone.phase("open")


async def test_the_row_is_the_only_truth(hubs, session):
    """A hub that has forgotten everything shows what is stored."""
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    await do(here, session, c.Advance(0))
    room = await there.room(session.pk)
    assert room.state.phase == "open"
    assert (await sync_to_async(lambda: session.events.count())()) == room.loaded.seq


async def test_a_room_that_nobody_enters_or_that_all_have_left_leaves_memory(hubs, session, monkeypatch):
    monkeypatch.setattr(hub_module, "EMPTY_LASTS", 0.05)
    hub, _ = hubs
    await hub.room(session.pk)
    await asyncio.sleep(0.2)
    assert not hub.rooms
    await do(hub, session, joins("Fen", "k1"))
    _, connection, room = await enter(hub, session, Audience.STUDENT, 1)
    await asyncio.sleep(0.2)
    assert hub.rooms
    hub.leave(room, connection)
    await asyncio.sleep(0.2)
    assert not hub.rooms


async def test_one_sessions_fault_in_telling_does_not_keep_news_from_another(hubs, session, odile, knots, monkeypatch):
    hub, _ = hubs
    other = await sync_to_async(start_session)(odile, knots, Settings())
    _, _, room = await enter(hub, session, Audience.SCREEN)
    healthy, _, _ = await enter(hub, other, Audience.SCREEN)
    monkeypatch.setattr(room, "update", lambda loaded: 1 / 0)
    first = hub.submit(session.pk, c.Advance(0), sent(c.Advance(0), 1, now_ms()))
    second = hub.submit(other.pk, c.Advance(0), sent(c.Advance(0), 1, now_ms()))
    outcomes = await asyncio.gather(first, second)
    assert [outcome.error for outcome in outcomes] == [None, None]
    await healthy.phase("open")


async def test_a_removed_student_is_told_on_every_process(hubs, session):
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await enter(here, session, Audience.DESK)
    await do(here, session, c.Remove(1))
    await asyncio.wait_for(phone.closed.wait(), 5)
    assert "taken_out" in phone.farewell
