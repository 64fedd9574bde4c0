"""Hubs of two processes that share a database and a channel layer, on one loop."""

import asyncio

import pytest
from asgiref.sync import sync_to_async

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Settings
from lantern.core.session import commands as c
from lantern.server.live import hub as hub_module
from lantern.server.live import processes
from lantern.server.live.actions import start_session
from lantern.server.live.clock import now_ms
from lantern.server.live.connections import Audience
from lantern.server.live.hub import GATHER
from tests.builders import joins
from tests.builders.hubs import do, enter
from tests.builders.session import sent

pytestmark = pytest.mark.django_db(transaction=True)


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
    desk, _, _ = await enter(here, session, Audience.DESK)
    await enter(there, session, Audience.STUDENT, 2)
    await there._processes.tell_who_is_here(session.pk, [2])
    await desk.until(lambda view: view["here"] == 2)
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
    async with asyncio.timeout(30):
        while last["answered"] < 40:
            messages, last = messages + 1, (await desk.next())["view"]
    # However long it took: no more than five a second, and one more at each end.
    assert messages <= (hub.loop.time() - start) / GATHER + 2


async def test_whoever_asks_after_a_command_sees_it_however_many_devices_of_others_are_told(
    hubs, session, odile, knots, monkeypatch
):
    monkeypatch.setattr(hub_module, "IN_A_TURN", 1)
    hub, _ = hubs
    other = await sync_to_async(start_session)(odile, knots, Settings())
    await do(hub, session, *(joins(f"S{n}", f"k{n}") for n in (1, 2, 3)))
    phones = [(await enter(hub, session, Audience.STUDENT, n))[0] for n in (1, 2, 3)]
    await hub.room(other.pk)

    async def join_the_other():
        await do(hub, other, joins("Fen", "k9"))
        state = hub.rooms[other.pk].state
        return [state.name(seat) for seat in state.people()]

    hub._writer._batches.rest(0.2)  # all of it in one batch
    renamed = [do(hub, session, c.Rename(n, f"Student {n}")) for n in (1, 2, 3)]
    *_, seen = await asyncio.gather(*renamed, join_the_other())
    assert seen == ["Fen"]
    for number, phone in enumerate(phones, start=1):
        async with asyncio.timeout(30):
            while (await phone.inbox.get()).get("mine", {}).get("name") != f"Student {number}":
                pass


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


class BrokenLayer:
    """A channel layer that is away until it is mended."""

    def __init__(self, real):
        self.real, self.failed, self.is_mended = real, asyncio.Event(), False

    def __getattr__(self, name):
        return getattr(self.real, name)

    async def receive(self, channel):
        if self.is_mended:
            return await self.real.receive(channel)
        self.failed.set()
        raise ConnectionError("the layer went away")


@pytest.mark.parametrize("meanwhile", ["nothing", "news", "news while it sleeps"])
async def test_a_fault_of_the_channel_layer_is_outlived_and_what_was_missed_is_made_up_for(
    hubs, session, monkeypatch, meanwhile
):
    monkeypatch.setattr(processes, "LISTEN_AGAIN", 0.2)
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    there._processes.layer = broken = BrokenLayer(there._processes.layer)
    await here._processes.tell_of_change(session.pk, 1, quiet=True)  # for the one that it already waits for
    await asyncio.wait_for(broken.failed.wait(), 30)
    if meanwhile == "news while it sleeps":
        await asyncio.sleep(2 * GATHER)  # whatever is still to be told would wake it
        there.let_sleep(there.loop.time())
        assert there.rooms[session.pk].sleeps
    if meanwhile != "nothing":
        await do(here, session, c.Advance(0))  # nobody hears of it
    broken.is_mended = True
    if meanwhile == "nothing":
        await asyncio.sleep(0.5)
        await do(here, session, c.Advance(0))
    await phone.phase("open")


async def test_what_is_heard_is_not_told_again(hubs, session, monkeypatch):
    """Or a word would go round and round between the processes."""
    here, there = hubs
    await do(here, session, joins("Fen", "k1"), joins("Bo", "k2"))
    desk, _, _ = await enter(here, session, Audience.DESK)
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await enter(there, session, Audience.STUDENT, 2)  # the question waits for Bo
    await asyncio.sleep(2 * GATHER)
    told = []
    for hub in hubs:
        tell = hub._processes.tell_of_change

        async def telling(*change, quiet, hub=hub, tell=tell):
            told.append((hub.name, quiet))
            await tell(*change, quiet=quiet)

        monkeypatch.setattr(hub._processes, "tell_of_change", telling)
    await do(here, session, c.Advance(0))
    await phone.phase("open")
    await do(there, session, c.GiveAnswer(1, "q1.1", ChoiceAnswer(chosen=("B",))))
    await desk.until(lambda view: view["answered"] == 1)
    await asyncio.sleep(2 * GATHER)
    assert told == [(here.name, False), (there.name, True)]


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


async def test_a_fault_in_one_students_message_keeps_nothing_from_the_others(hubs, session, monkeypatch, caplog):
    hub, _ = hubs
    await do(hub, session, *(joins(key, key) for key in ("k1", "k2", "k3")))
    inboxes = {}
    for seat in (1, 2, 3):
        phone, _, room = await enter(hub, session, Audience.STUDENT, seat)
        inboxes[seat] = phone.inbox
    message = room.message
    monkeypatch.setattr(room, "message", lambda line: message(line) if line.seat != 2 else 1 / 0)
    before = {seat: inbox.qsize() for seat, inbox in inboxes.items()}
    for _ in hub._refreshed(room, {1, 2, 3}):
        pass
    assert {seat: inbox.qsize() - before[seat] for seat, inbox in inboxes.items()} == {1: 1, 2: 0, 3: 1}
    (record,) = caplog.records
    assert record.getMessage() == f"1 students of session {session.pk} could not be told"


async def test_a_removed_student_is_told_on_every_process(hubs, session):
    here, there = hubs
    await do(here, session, joins("Fen", "k1"))
    phone, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await enter(here, session, Audience.DESK)
    await do(here, session, c.Remove(1))
    await asyncio.wait_for(phone.closed.wait(), 30)
    assert "taken_out" in phone.farewell
