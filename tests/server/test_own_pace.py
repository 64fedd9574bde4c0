"""Own pace through the hub: who did something is told, and nobody else."""

import asyncio

import pytest

from lantern.core.questions.kinds.choice import ChoiceAnswer
from lantern.core.session import Actor, Role, Settings
from lantern.core.session import commands as c
from lantern.core.session.settings import Timing
from lantern.server.live import hub as hub_module
from lantern.server.live import store
from lantern.server.live.actions import start_session
from lantern.server.live.connections import Audience
from lantern.server.live.schemas import StudentCommand
from lantern.server.live.sockets import student_command
from lantern.server.live.tokens import SeatPass
from tests.builders import joins
from tests.builders.hubs import do, enter

pytestmark = pytest.mark.django_db(transaction=True)
B = ChoiceAnswer(chosen=("B",))


@pytest.fixture(autouse=True)
def _quickly(monkeypatch):
    monkeypatch.setattr(hub_module, "GATHER_AT_OWN_PACE", 0.05)


@pytest.fixture
def session(odile, knots):
    return start_session(odile, knots, Settings(manner="own_pace", mix_options=False, time=Timing(of="none")))


async def started(hub, session):
    await do(hub, session, joins("Fen", "k1"), joins("Bo", "k2"))
    fen, _, _ = await enter(hub, session, Audience.STUDENT, 1)
    bo, _, _ = await enter(hub, session, Audience.STUDENT, 2)
    await do(hub, session, c.Advance(0))
    for device in (fen, bo):
        message = await device.next()
        while message["view"]["phase"] != "working":
            message = await device.next()
        assert message["view"]["shown"] is None
        assert message["mine"]["paper"] is None
    return fen, bo


async def test_who_begins_and_answers_is_told_at_once_and_nobody_else(hubs, session):
    hub, _ = hubs
    fen, bo = await started(hub, session)
    await do(hub, session, c.BeginPaper(1))
    message = await fen.next()
    assert (message["view"]["shown"]["ask"], message["mine"]["paper"]["items"]) == ("q1.1", ["q1", "q2"])
    await do(hub, session, c.GiveAnswer(1, "q1.1", B))
    message = await fen.next()
    assert (message["view"]["shown"]["key"]["right"], message["mine"]["mark"]) == (["B"], 1)
    await do(hub, session, c.GoToPlace(1, "q2"))
    message = await fen.next()
    assert (message["view"]["shown"]["ask"], message["view"]["shown"]["key"]) == ("q2.1", None)
    assert message["mine"]["paper"]["answered"] == ["q1"]
    await asyncio.sleep(0.2)
    assert bo.inbox.empty()


async def test_one_step_answers_and_moves_on_and_the_desk_sees_how_far_everybody_is(hubs, session):
    hub, _ = hubs
    await started(hub, session)
    desk, _, _ = await enter(hub, session, Audience.DESK)
    await do(hub, session, c.BeginPaper(1), c.BeginPaper(2), c.GiveAnswer(1, "q1.1", B, moves_on=True), c.HandIn(2))
    expected = [("Fen", "q2", 1, 2, None), ("Bo", "q1", 0, 2, "hand")]
    seen = None
    while seen != expected:
        progress = (await desk.next())["view"]["progress"]
        seen = [(p["name"], p["at"], p["answered"], p["of"], p["handed_in"]) for p in progress]


async def test_a_device_of_the_seat_on_another_process_is_told_too(hubs, session):
    here, there = hubs
    await started(here, session)
    other, _, _ = await enter(there, session, Audience.STUDENT, 1)
    await do(here, session, c.BeginPaper(1), c.GiveAnswer(1, "q1.1", B, moves_on=True))
    message = await other.next()
    while not message["view"]["shown"] or message["view"]["shown"]["ask"] != "q2.1":
        message = await other.next()


async def test_the_end_hands_in_and_tells_everybody_their_marks(hubs, session):
    hub, _ = hubs
    fen, bo = await started(hub, session)
    await do(hub, session, c.BeginPaper(1), c.GiveAnswer(1, "q1.1", B), c.End())
    for device, right in ((fen, 1), (bo, 0)):
        message = await device.next()
        while message["view"]["phase"] != "ended":
            message = await device.next()
        assert message["mine"]["right"] == right


async def test_it_is_the_same_after_it_was_loaded_anew(hubs, session):
    hub, _ = hubs
    await started(hub, session)
    await do(hub, session, c.BeginPaper(2), c.BeginPaper(1), c.GiveAnswer(1, "q1.1", B, moves_on=True))
    room = await hub.room(session.pk)
    loaded = await asyncio.to_thread(store.load, session.pk)
    assert loaded.state == room.state


@pytest.mark.parametrize(
    ("said", "meant"),
    [
        ({"do": "begin"}, c.BeginPaper(7)),
        ({"do": "go_to", "item": "q2"}, c.GoToPlace(7, "q2")),
        ({"do": "clear", "ask": "q1.1"}, c.ClearAnswer(7, "q1.1")),
        ({"do": "hand_in"}, c.HandIn(7)),
        (
            {"do": "answer", "ask": "q1.1", "answer": {"kind": "choice", "chosen": ["B"]}, "moves_on": True},
            c.GiveAnswer(7, "q1.1", B, moves_on=True),
        ),
    ],
)
def test_what_a_device_says_is_said_by_its_own_seat(said, meant):
    message = StudentCommand.model_validate({"id": "a", "number": 3, "command": said})
    command, by = student_command(SeatPass(1, 7, "mark"))(message)
    assert command == meant
    assert (by.by, by.number) == (Actor(Role.SEAT, 7), 3)
